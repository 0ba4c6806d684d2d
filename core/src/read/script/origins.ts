import type * as t from '@babel/types';
import type { OriginFact } from '../../model/facts';
import { type Body, excerpt } from './body';
import { bare, spanOf } from './syntax';

type Asked = { readonly kind: OriginFact['kind']; readonly what: string };

/** Platform functions that give what the project does not compute, by name. */
const platform: Readonly<Record<string, OriginFact['kind']>> = {
  fetch: 'fetch',
  'localStorage.getItem': 'storage',
  'sessionStorage.getItem': 'storage',
  'window.localStorage.getItem': 'storage',
  'window.sessionStorage.getItem': 'storage',
  'window.fetch': 'fetch',
  'location.search': 'url',
  'performance.now': 'platform',
  'Date.now': 'platform',
  'crypto.randomUUID': 'platform',
  'navigator.geolocation': 'platform',
  matchMedia: 'platform',
  'window.matchMedia': 'platform',
};

/** Hooks from outside the project that give something asked for, by name. */
const hooks: Readonly<Record<string, OriginFact['kind']>> = {
  useQuery: 'query',
  useSuspenseQuery: 'query',
  useInfiniteQuery: 'query',
  useQueries: 'query',
  useSWR: 'query',
  useFetch: 'query',
  useLoaderData: 'loader',
  useRouteLoaderData: 'loader',
  useActionData: 'loader',
  useFetcher: 'loader',
  useParams: 'url',
  useSearchParams: 'url',
  useLocation: 'url',
  usePathname: 'url',
  useMatch: 'url',
  useLocalStorage: 'storage',
  useMediaQuery: 'platform',
};

/** What a call of the platform asks for; undefined for calls that give nothing from outside. */
export function originOfCall(
  body: Body,
  call: t.CallExpression | t.OptionalCallExpression,
  base: string,
  path: readonly string[],
): Asked | undefined {
  const name = path.length === 0 ? base : `${base}.${path.join('.')}`;
  const kind = platform[name];
  return kind && { kind, what: askedFor(body, call.arguments[0]) ?? name };
}

/** What a hook from outside asks for; undefined for hooks that are not known to. */
export function originOfHook(body: Body, call: t.CallExpression, name: string): Asked | undefined {
  const kind = Object.hasOwn(hooks, name) ? hooks[name] : undefined;
  if (!kind) return undefined;
  const [first] = call.arguments;
  const given = first && bare(first);
  const key =
    given?.type === 'ObjectExpression'
      ? given.properties.find(
          (one): one is t.ObjectProperty =>
            one.type === 'ObjectProperty' && one.key.type === 'Identifier' && /^(queryKey|key|url)$/.test(one.key.name),
        )?.value
      : given;
  return { kind, what: (key && askedFor(body, key)) ?? name };
}

function askedFor(body: Body, given: t.Node | undefined): string | undefined {
  const node = given && bare(given);
  switch (node?.type) {
    case 'StringLiteral':
      return node.value;
    case 'TemplateLiteral':
    case 'ArrayExpression':
    case 'Identifier':
    case 'MemberExpression':
      return excerpt(body.module, spanOf(node)).replace(/^`|`$/g, '');
    case 'BinaryExpression':
      return excerpt(body.module, spanOf(node));
    default:
      return undefined;
  }
}
