import type * as t from '@babel/types';
import type { OriginFact } from '../../model/facts';
import { type Body, excerpt } from './body';
import { keyIn, keyParts } from './query-keys';
import { bare, dottedName, keyName, spanOf } from './syntax';
import { ownValue } from '../../model/own-value';

type Asked = Pick<OriginFact, 'kind' | 'what' | 'key'>;

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
  createQuery: 'query',
  createInfiniteQuery: 'query',
  injectQuery: 'query',
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
  const kind = ownValue(platform, name);
  return kind && { kind, what: askedFor(body, call.arguments[0]) ?? name };
}

/** Packages by which requests are sent. */
const requesting = /^(?:axios|redaxios|ky|got|superagent|wretch|ofetch|node-fetch|cross-fetch|isomorphic-fetch)$/;

/** Whether a name of the module is that of a package by which requests are sent. */
const sendsRequests = ({ module }: Body, name: string): boolean => requesting.test(module.imported.get(name)?.from ?? '');

/** `axios.get('/boats')`, `ky('/boats')`: what is asked for through a package that is imported under a name; undefined for all other calls. */
export function originOfRequest(
  body: Body,
  call: t.CallExpression | t.OptionalCallExpression,
  base: string,
  path: readonly string[],
): Asked | undefined {
  if (!sendsRequests(body, base) || path.length > 1 || /^(?:create|extend|isAxiosError|isCancel|all|spread)$/.test(path[0] ?? ''))
    return undefined;
  const [first] = call.arguments;
  const given = first && bare(first);
  return { kind: 'fetch', what: (given && askedFor(body, keyIn(given))) ?? [base, ...path].join('.') };
}

/** `axios.create({ baseURL: '/api' })`: something through which requests are sent, with what it asks at; undefined for all else. */
export function requesterMade(body: Body, given: t.Node | undefined): Asked | undefined {
  const call = given && bare(given);
  const name = call?.type === 'CallExpression' ? (dottedName(call.callee) ?? '') : '';
  const [base = '', method = '', ...more] = name.split('.');
  if (call?.type !== 'CallExpression' || more.length > 0 || !/^(?:create|extend)$/.test(method) || !sendsRequests(body, base))
    return undefined;
  const options = call.arguments[0] && bare(call.arguments[0]);
  const at =
    options?.type === 'ObjectExpression'
      ? options.properties.find(
          (one): one is t.ObjectProperty => one.type === 'ObjectProperty' && /^(?:baseURL|prefixUrl)$/.test(keyName(one) ?? ''),
        )
      : undefined;
  return { kind: 'fetch', what: (at && askedFor(body, at.value)) ?? base };
}

/** What a hook from outside asks for; undefined for hooks that are not known to. */
export function originOfHook(body: Body, call: t.CallExpression, name: string): Asked | undefined {
  const kind = ownValue(hooks, name);
  if (!kind) return undefined;
  const [first] = call.arguments;
  const asked = first && keyIn(bare(first));
  const what = askedFor(body, asked) ?? name;
  return kind === 'query' && asked ? { kind, what, key: keyParts(body.module, asked) } : { kind, what };
}

/** What is asked for, as it is written: a text, or an expression whose text says it; undefined for all else. */
export function askedFor(body: Body, given: t.Node | undefined): string | undefined {
  const node = given && bare(given);
  switch (node?.type) {
    case 'StringLiteral':
      return node.value;
    case 'Identifier':
    case 'MemberExpression':
      return body.module.texts.get(dottedName(node) ?? '') ?? excerpt(body.module, spanOf(node));
    case 'TemplateLiteral':
    case 'ArrayExpression':
      return excerpt(body.module, spanOf(node)).replace(/^`|`$/g, '');
    case 'BinaryExpression':
    case 'CallExpression':
      return excerpt(body.module, spanOf(node));
    default:
      return undefined;
  }
}
