import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { propKey } from '../model/member';
import { analyseFiles, componentNamed, type Files, rows, treeOf } from '../../../testing/src/project';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** What the only use in `src/App.tsx` points to. */
function targetIn(files: Files): string {
  const { model } = analyseFiles(files);
  const use = [...model.usesBy.values()].flat().find((one) => one.file.endsWith('App.tsx'));
  if (!use) return 'no use';
  switch (use.target.kind) {
    case 'component':
      return use.target.id + (use.target.wrapped ? ' wrapped' : '');
    case 'outside':
      return `outside ${use.target.module} ${use.target.name}`;
    case 'provider':
    case 'consumer':
      return `${use.target.kind} ${use.target.context}`;
    case 'opaque':
      return `opaque ${use.target.file}#${use.target.name}`;
    default:
      return use.target.kind;
  }
}

const card = 'export function Card() { return <p/>; }';
const cardByDefault = 'export default function Card() { return <p/>; }';
const app = (imports: string, tag = 'Card'): string => `${imports}\nexport function App() { return <${tag}/>; }`;

describe('who is meant by a tag', () => {
  const cases: readonly [name: string, files: Files, target: string][] = [
    ['a relative path', { 'src/App.tsx': app("import { Card } from './Card';"), 'src/Card.tsx': card }, 'src/Card.tsx#Card'],
    [
      'a folder with an index',
      {
        'src/App.tsx': app("import { Card } from './card';"),
        'src/card/index.ts': "export { Card } from './Card';",
        'src/card/Card.tsx': card,
      },
      'src/card/Card.tsx#Card',
    ],
    ['the default', { 'src/App.tsx': app("import Card from './Card';"), 'src/Card.tsx': cardByDefault }, 'src/Card.tsx#Card'],
    [
      'a default without a name',
      { 'src/App.tsx': app("import Card from './Card';"), 'src/Card.tsx': 'export default () => <p/>;' },
      'src/Card.tsx#Card',
    ],
    [
      'a default by name at the end',
      { 'src/App.tsx': app("import Card from './Card';"), 'src/Card.tsx': 'const Card = () => <p/>;\nexport default Card;' },
      'src/Card.tsx#Card',
    ],
    [
      'another name here',
      { 'src/App.tsx': app("import { Card as Box } from './Card';", 'Box'), 'src/Card.tsx': card },
      'src/Card.tsx#Card',
    ],
    [
      'a barrel of a barrel',
      {
        'src/App.tsx': app("import { Card } from './a';"),
        'src/a.ts': "export * from './b';",
        'src/b.ts': "export * from './Card';",
        'src/Card.tsx': card,
      },
      'src/Card.tsx#Card',
    ],
    [
      'a default handed on under a name',
      {
        'src/App.tsx': app("import { Card } from './a';"),
        'src/a.ts': "export { default as Card } from './Card';",
        'src/Card.tsx': cardByDefault,
      },
      'src/Card.tsx#Card',
    ],
    ['a namespace', { 'src/App.tsx': app("import * as Ui from './Card';", 'Ui.Card'), 'src/Card.tsx': card }, 'src/Card.tsx#Card'],
    [
      'a namespace handed on',
      { 'src/App.tsx': app("import { Ui } from './a';", 'Ui.Card'), 'src/a.ts': "export * as Ui from './Card';", 'src/Card.tsx': card },
      'src/Card.tsx#Card',
    ],
    [
      'a member',
      {
        'src/App.tsx': app("import { Card } from './Card';", 'Card.Head'),
        'src/Card.tsx': `${card}\nfunction Head() { return <h2/>; }\nCard.Head = Head;`,
      },
      'src/Card.tsx#Head',
    ],
    [
      'a member by Object.assign',
      {
        'src/App.tsx': app("import { Card } from './Card';", 'Card.Head'),
        'src/Card.tsx': 'const Root = () => <p/>;\nconst Head = () => <h2/>;\nexport const Card = Object.assign(Root, { Head });',
      },
      'src/Card.tsx#Head',
    ],
    [
      'the root of Object.assign',
      {
        'src/App.tsx': app("import { Card } from './Card';"),
        'src/Card.tsx': 'const Root = () => <p/>;\nconst Head = () => <h2/>;\nexport const Card = Object.assign(Root, { Head });',
      },
      'src/Card.tsx#Root',
    ],
    [
      'memo of another',
      { 'src/App.tsx': app("import { Fast } from './Card';", 'Fast'), 'src/Card.tsx': `${card}\nexport const Fast = memo(Card);` },
      'src/Card.tsx#Card',
    ],
    [
      'a wrapper of the project',
      { 'src/App.tsx': app("import { Rich } from './Card';", 'Rich'), 'src/Card.tsx': `${card}\nexport const Rich = withMore(Card);` },
      'src/Card.tsx#Card wrapped',
    ],
    [
      'a wrapper of the project that can be read',
      {
        'src/App.tsx': app("import { Rich } from './Card';", 'Rich'),
        'src/Card.tsx': `${card}\nconst withMore = (Inner) => (props) => <Inner {...props} more/>;\nexport const Rich = withMore(Card);`,
      },
      'src/Card.tsx#withMore(Card)',
    ],
    [
      'a wrapper of the project around what it does not name',
      {
        'src/App.tsx': app("import { Rich } from './Card';", 'Rich'),
        'src/Card.tsx': `${card}\nconst withMore = (Inner) => { register(Inner); return () => <p/>; };\nexport const Rich = withMore(Card);`,
      },
      'src/Card.tsx#Card wrapped',
    ],
    [
      'a lazy part',
      { 'src/App.tsx': app("const Card = lazy(() => import('./Card'));"), 'src/Card.tsx': cardByDefault },
      'src/Card.tsx#Card',
    ],
    [
      'paths of tsconfig',
      {
        'tsconfig.json': '{ /* of the project */ "compilerOptions": { "paths": { "@ui/*": ["./src/ui/*"] } } }',
        'src/App.tsx': app("import { Card } from '@ui/Card';"),
        'src/ui/Card.tsx': card,
      },
      'src/ui/Card.tsx#Card',
    ],
    [
      'paths from a config above',
      {
        'tsconfig.base.json': '{"compilerOptions":{"baseUrl":".","paths":{"ui":["src/ui/index.ts"]}}}',
        'tsconfig.json': '{"extends":"./tsconfig.base.json"}',
        'src/App.tsx': app("import { Card } from 'ui';"),
        'src/ui/index.ts': "export * from './Card';",
        'src/ui/Card.tsx': card,
      },
      'src/ui/Card.tsx#Card',
    ],
    [
      'baseUrl alone',
      {
        'jsconfig.json': '{"compilerOptions":{"baseUrl":"src"}}',
        'src/App.jsx': '',
        'src/App.tsx': app("import { Card } from 'ui/Card';"),
        'src/ui/Card.jsx': card,
      },
      'src/ui/Card.jsx#Card',
    ],
    [
      'the usual alias without configuration',
      { 'src/App.tsx': app("import { Card } from '@/Card';"), 'src/Card.tsx': card },
      'src/Card.tsx#Card',
    ],
    [
      'imports of package.json',
      {
        'package.json': '{"imports":{"#ui/*":"./src/ui/*.tsx"}}',
        'src/App.tsx': app("import { Card } from '#ui/Card';"),
        'src/ui/Card.tsx': card,
      },
      'src/ui/Card.tsx#Card',
    ],
    [
      'another package of the workspace',
      {
        'packages/ui/package.json': '{"name":"@it/ui","main":"dist/index.js"}',
        'packages/ui/src/index.ts': "export * from './Card';",
        'packages/ui/src/Card.tsx': card,
        'app/src/App.tsx': app("import { Card } from '@it/ui';"),
      },
      'packages/ui/src/Card.tsx#Card',
    ],
    [
      'an export of another package',
      {
        'packages/ui/package.json': '{"name":"@it/ui","exports":{"./*":{"import":"./dist/*.js"}}}',
        'packages/ui/src/Card.tsx': card,
        'app/src/App.tsx': app("import { Card } from '@it/ui/Card';"),
      },
      'packages/ui/src/Card.tsx#Card',
    ],
    ['.js written for .tsx', { 'src/App.tsx': app("import { Card } from './Card.js';"), 'src/Card.tsx': card }, 'src/Card.tsx#Card'],
    ['require', { 'src/App.tsx': app("const { Card } = require('./Card');"), 'src/Card.tsx': card }, 'src/Card.tsx#Card'],
    [
      'an ambient module with one file of its name',
      {
        'src/types.d.ts': "declare module '@theme/Card' { export default function Card(): void; }",
        'src/App.tsx': app("import Card from '@theme/Card';"),
        'src/theme/Card/index.tsx': cardByDefault,
      },
      'src/theme/Card/index.tsx#Card',
    ],
    ['a package', { 'src/App.tsx': app("import { Card } from 'ui';") }, 'outside ui Card'],
    ['a missing file', { 'src/App.tsx': app("import { Card } from './Card';") }, 'unresolved'],
    ['a missing export', { 'src/App.tsx': app("import { Card } from './Card';"), 'src/Card.tsx': 'export const a = 1;' }, 'unresolved'],
    ['a name nobody declares', { 'src/App.tsx': app('') }, 'unresolved'],
    [
      'files that export each other',
      { 'src/App.tsx': app("import { Card } from './a';"), 'src/a.ts': "export * from './b';", 'src/b.ts': "export * from './a';" },
      'unresolved',
    ],
    [
      'something made by a function from outside',
      {
        'src/App.tsx': app("import { Card } from './Card';"),
        'src/Card.tsx': "import styled from 'styled'; export const Card = styled.div``;",
      },
      'opaque src/Card.tsx#Card',
    ],
    [
      'a name taken out of what a function makes',
      { 'src/App.tsx': `const { Slot } = make();\n${app('', 'Slot')}` },
      'opaque src/App.tsx#Slot',
    ],
    [
      'the same, imported',
      { 'src/App.tsx': app("import { Slot } from './slot';", 'Slot'), 'src/slot.ts': 'export const { Slot } = make();' },
      'opaque src/slot.ts#Slot',
    ],
    [
      'a provider',
      { 'src/App.tsx': app("import { K } from './k';", 'K.Provider'), 'src/k.ts': 'export const K = createContext(null);' },
      'provider src/k.ts#K',
    ],
    [
      'a context used as its own provider',
      { 'src/App.tsx': app("import { K } from './k';", 'K'), 'src/k.ts': 'export const K = createContext(null);' },
      'provider src/k.ts#K',
    ],
    [
      'a member called Provider that is none',
      { 'src/App.tsx': app("import { Card } from './Card';", 'Card.Provider'), 'src/Card.tsx': `${card}\nCard.Provider = () => <b/>;` },
      'src/Card.tsx#Card.Provider',
    ],
    ['React as a global', { 'src/App.tsx': app('', 'React.Suspense') }, 'outside react Suspense'],
    ['a component chosen while running', { 'src/App.tsx': 'export function App({ as: As }) { return <As/>; }' }, 'dynamic'],
  ];
  test.each(cases)('%s', (_, files, target) => {
    expect(targetIn(files)).toBe(target);
  });
});

describe('declared props', () => {
  const shape = (type: string, more = '', files: Files = {}): string => {
    const { model } = analyseFiles({ ...files, 'src/C.tsx': `${more}\nexport function C(props: ${type}) { return <p/>; }` });
    const { contract } = componentNamed(model, 'C');
    const props = [...contract.members.values()].map((prop) => prop.name + (prop.required === 'yes' ? '' : '?'));
    return `${props.join(' ')} ${contract.openness}`.trim();
  };
  const cases: readonly [name: string, type: string, more: string, expected: string][] = [
    ['a literal', '{ a: string; b?: number }', '', 'a b? closed'],
    ['methods', '{ a(): void }', '', 'a closed'],
    ['an index signature', '{ a: string; [key: string]: unknown }', '', 'a open'],
    ['an alias', 'P', 'type P = { a: string };', 'a closed'],
    ['an interface that extends', 'P', 'interface Q { a: string; b: string } interface P extends Q { b?: never; c: 1 }', 'a b c closed'],
    ['declared twice', 'P', 'interface P { a: string } interface P { b: string }', 'a b closed'],
    ['an intersection', 'P & { b: string }', 'type P = { a: string };', 'a b closed'],
    ['Pick', "Pick<P, 'a'>", 'type P = { a: string; b: string };', 'a closed'],
    ['Omit', "Omit<P, 'a'>", 'type P = { a: string; b: string };', 'b closed'],
    ['Omit by a named key', 'Omit<P, K>', "type K = 'a' | 'b'; type P = { a: string; b: string; c: string };", 'c closed'],
    ['Partial', 'Partial<P>', 'type P = { a: string };', 'a? closed'],
    ['Required', 'Required<P>', 'type P = { a?: string };', 'a closed'],
    ['Readonly', 'Readonly<P>', 'type P = { a: string };', 'a closed'],
    ['Record', "Record<'a' | 'b', string>", '', 'a b closed'],
    ['keyof', 'Pick<P, keyof Q>', 'type Q = { a: 1 }; type P = { a: string; b: string };', 'a closed'],
    ['a union', 'P | Q', 'type P = { a: string; b: string }; type Q = { a: string };', 'a b? closed'],
    ['a generic', 'P<{ b: string }>', 'type P<T> = T & { a: string };', 'b a closed'],
    ['a generic with a default', 'P', 'type P<T = { b: string }> = T & { a: string };', 'b a closed'],
    ['a generic of its own', 'P<T>', 'type P<T> = { items: T[] };', 'items closed'],
    ['PropsWithChildren', 'PropsWithChildren<{ a: string }>', '', 'a children? closed'],
    ['attributes of the platform', 'React.HTMLAttributes<HTMLDivElement> & { a: string }', '', 'a platform'],
    ['ComponentProps of an element', "ComponentProps<'button'>", '', 'platform'],
    ['ComponentProps of a component', 'ComponentProps<typeof D>', 'function D({ a }: { a: string }) { return <p>{a}</p>; }', 'a closed'],
    ['a type from outside', 'P & { a: string }', "import type { P } from 'outside';", 'a open'],
    ['Pick from the platform', "Pick<HTMLAttributes<Element>, 'title'>", '', 'title? closed'],
    ['a conditional type', 'T extends 1 ? { a: 1 } : { b: 1 }', '', 'open'],
    ['a type that refers to itself', 'P', 'type P = P & { a: string };', 'a open'],
    ['key is no prop', '{ key: string; a: string }', '', 'a closed'],
  ];
  test.each(cases)('%s', (_, type, more, expected) => {
    expect(shape(type, more)).toBe(expected);
  });

  const kinds: readonly [file: string, text: string, expected: readonly string[]][] = [
    [
      'src/Card.tsx',
      'type P = { onPick: (id: string) => void; setTone: (tone: string) => void; label: string; foot: React.ReactNode };\nexport function Card({ ...rest }: P) { return <Row {...rest}/>; }',
      ['onPick callback', 'setTone callback', 'label value', 'foot slot'],
    ],
    [
      'src/Card.vue',
      '<script setup lang="ts">defineProps<{ onPick?: (id: string) => void; label: string }>();</script><template><p/></template>',
      ['event:pick callback', 'label value'],
    ],
    [
      'src/Card.svelte',
      '<script lang="ts">let { ...rest }: { onpick: (id: string) => void; only: boolean; label: string; foot: Snippet } = $props();</script><Row {...rest}/>',
      ['onpick callback', 'only value', 'label value', 'foot slot'],
    ],
  ];
  test.each(kinds)('what each member is, by its name and type: %s', (file, text, expected) => {
    const { members } = componentNamed(analyseFiles({ [file]: text }).model, 'Card').contract;
    expect([...members.values()].map(({ key, kind }) => `${key} ${kind}`)).toEqual(expected);
  });

  test('imported, through a barrel', () => {
    expect(
      shape('P', "import type { P } from './types';", {
        'src/types/index.ts': "export * from './p';",
        'src/types/p.ts': 'export interface P { a: string }',
      }),
    ).toBe('a closed');
  });

  test('of an ambient module', () => {
    expect(
      shape('Props', "import type { Props } from '@x/C';", {
        'src/x.d.ts': "declare module '@x/C' { export interface Props { readonly a: string } }",
      }),
    ).toBe('a closed');
  });

  test('by the wrapper, by the annotation', () => {
    const { model } = analyseFiles({
      'src/C.tsx':
        'type P = { a: string };\nexport const A = forwardRef<Element, P>((props, ref) => <p/>);\nexport const B: React.FC<P> = (props) => <p/>;\nexport const D = memo<P>((props) => <p/>);',
    });
    for (const name of ['A', 'B', 'D']) expect([...componentNamed(model, name).contract.members.keys()]).toEqual(['a']);
  });

  test('a default makes a required prop optional, and a rest spread takes what its target takes', () => {
    const { model } = analyseFiles({
      'src/C.tsx':
        'export function A({ a = 1 }: { a: number }) { return <p>{a}</p>; }\nexport function B({ b, ...rest }) { return <D {...rest} b={b}/>; }\nexport function D({ b, d }) { return <p>{b}{d}</p>; }',
    });
    expect(componentNamed(model, 'A').contract.members.get(propKey('a'))?.required).toBe('no');
    const { contract } = componentNamed(model, 'B');
    expect([[...contract.members.keys()], contract.openness]).toEqual([['b', 'd'], 'closed']);
  });
});

describe('what is taken from above', () => {
  const context =
    'export const K = createContext(null);\nexport function useK() { const k = useContext(K); if (!k) throw new Error(); return k; }\nexport function useLoose() { return useContext(K); }\nexport function useDeep() { return useK(); }';
  const cases: readonly [name: string, body: string, expected: string][] = [
    ['directly', 'const k = useContext(K); return <p>{k.a}</p>;', ' needed'],
    ['destructured', 'const { a } = useContext(K); return <p>{a}</p>;', ' needed'],
    ['guarded', 'const k = useContext(K); if (!k) return null; return <p>{k.a}</p>;', ''],
    ['optional', 'const k = useContext(K); return <p>{k?.a}</p>;', ''],
    ['only handed on', 'const k = useContext(K); return <Row k={k}/>;', ''],
    ['through a hook that throws', 'const k = useK(); return <p/>;', 'useK needed'],
    ['through two', 'const k = useDeep(); return <p/>;', 'useDeep useK needed'],
    ['through a hook that does not, and needed here', 'const { a } = useLoose(); return <p>{a}</p>;', 'useLoose needed'],
    ['through a hook that does not, and guarded here', 'const k = useLoose(); return k ? <p>{k.a}</p> : null;', 'useLoose'],
  ];
  test.each(cases)('%s', (_, body, expected) => {
    const { model } = analyseFiles({
      'src/k.ts': context,
      'src/C.tsx': `import { K, useK, useLoose, useDeep } from './k';\nimport { Row } from 'x';\nexport function C() { ${body} }`,
    });
    const takes = componentNamed(model, 'C').consumes.map((take) => `${take.via.join(' ')}${take.needed ? ' needed' : ''}`);
    expect(takes).toEqual([expected]);
  });
});

describe('pages', () => {
  const pages = (files: Files): string[] => analyseFiles(files).model.pages.map((page) => `${page.name} ${page.path} ${page.why}`);
  const parts =
    'export function A() { return <p/>; } export function B() { return <p/>; } export function Shell() { return <main><Outlet/></main>; }';

  test('what is mounted', () => {
    expect(
      pages({
        'src/main.tsx': "import { A } from './parts'; createRoot(x).render(<StrictMode><A/></StrictMode>);",
        'src/parts.tsx': parts,
      }),
    ).toEqual(['A  mounted', 'B  alone', 'Shell  alone']);
  });

  test('routes as objects, nested', () => {
    const main =
      "import { A, B, Shell } from './parts';\nconst router = createBrowserRouter([{ path: '/', element: <Shell/>, children: [{ index: true, element: <A/> }, { path: 'b', Component: B }] }]);\ncreateRoot(x).render(<RouterProvider router={router}/>);";
    expect(pages({ 'src/main.tsx': `import { RouterProvider } from 'router';\n${main}`, 'src/parts.tsx': parts })).toEqual([
      'A / route',
      'B /b route',
    ]);
  });

  test('routes as markup', () => {
    const app =
      "import { Routes, Route } from 'router'; import { A, B, Shell } from './parts';\nexport function App() { return <Routes><Route path='/' element={<Shell/>}><Route path='a' element={<A/>}/><Route path='b' element={<B/>}/></Route></Routes>; }";
    expect(
      pages({ 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);", 'src/App.tsx': app, 'src/parts.tsx': parts }),
    ).toEqual(['Shell / route', 'A /a route', 'B /b route']);
  });

  test('files, where the package uses a router by files', () => {
    const files = { 'app/page.tsx': cardByDefault, 'app/(in)/locks/[id]/page.tsx': 'export default function Lock() { return <p/>; }' };
    expect(pages({ ...files, 'package.json': '{"dependencies":{"next":"15"}}' }).sort()).toEqual(['Card / file', 'Lock /locks/[id] file']);
  });

  test('a table of files, with layouts and prefixes', () => {
    const routes =
      "import { index, layout, prefix, route } from '@react-router/dev/routes';\nexport default [index('routes/home.tsx'), ...prefix('locks', [layout('routes/frame.tsx', [index('routes/locks.tsx'), route(':id', './routes/lock.tsx')])])] satisfies RouteConfig;";
    const page = (name: string): string => `export default function ${name}() { return <p><Outlet/></p>; }`;
    const files = {
      'app/routes.ts': routes,
      'app/entry.client.tsx': "import { HydratedRouter } from 'react-router/dom'; hydrateRoot(document, <HydratedRouter/>);",
      'app/routes/home.tsx': page('Home'),
      'app/routes/frame.tsx': `import { Outlet } from 'react-router'; ${page('Frame')}`,
      'app/routes/locks.tsx': page('Locks'),
      'app/routes/lock.tsx': page('Lock'),
    };
    expect(pages(files)).toEqual(['Home / route', 'Locks /locks route', 'Lock /locks/:id route']);
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, 'Lock'))).toBe('Frame\n  Lock');
  });

  test('else what nothing uses; tests and stories are no users', () => {
    expect(
      pages({
        'src/A.tsx': 'export function A() { return <B/>; }\nexport function B() { return <p/>; }',
        'src/A.test.tsx': "import { A } from './A'; test('a', () => { render(<A/>); });",
      }),
    ).toEqual(['A  alone']);
  });

  const tree = (files: Files, page: string): string => {
    const { model } = analyseFiles(files);
    return rows(model, treeOf(model, page));
  };

  test('files within the layouts and the slots of their folders', () => {
    const part = (name: string, shown = ''): string => `export default function ${name}({ children, side }) { return <p>${shown}</p>; }`;
    const files = {
      'app/layout.tsx': part('Outer', '{children}{side}'),
      'app/page.tsx': part('Home'),
      'app/@side/page.tsx': part('Side'),
      'app/in/template.tsx': part('Fresh', '{children}'),
      'app/in/page.tsx': part('In'),
      'app/in/loading.tsx': part('Wait'),
    };
    expect(pages(files).sort()).toEqual(['Home / file', 'In /in file', 'Side / file', 'Wait /in/(loading) file']);
    expect(tree(files, 'Home')).toBe('Outer\n  Home in slot:default\n  Side in side');
    expect(tree(files, 'In')).toBe('Outer\n  Fresh in slot:default\n    In in slot:default\n  Side in side');
  });

  test('files within the application and the parts of their path', () => {
    const flat = (name: string): string =>
      `import { Outlet } from '@remix-run/react'; export default function ${name}() { return <p><Outlet/></p>; }`;
    const files = {
      'package.json': '{ "dependencies": { "@remix-run/react": "2" } }',
      'app/root.tsx': flat('Root'),
      'app/routes/_in.tsx': flat('In'),
      'app/routes/_in.list.$id.tsx': flat('Item'),
    };
    expect(pages(files)).toEqual(['In / file', 'Item /list/:id file']);
    expect(tree(files, 'Item')).toBe('Root\n  In\n    Item');
    const next = {
      'package.json': '{ "dependencies": { "next": "15" } }',
      'pages/_app.tsx': 'export default function App({ Component, pageProps }) { return <main><Component {...pageProps}/></main>; }',
      'pages/list.tsx': 'export default function List() { return <p/>; }',
    };
    expect(pages(next)).toEqual(['List /list file']);
    expect(tree(next, 'List')).toBe('App\n  List');
  });

  test('routes of components further in, each within the routes around it', () => {
    const files = {
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
      'src/App.tsx':
        "import { Routes, Route } from 'router'; import { In } from './In'; import { A } from './parts';\nexport function App() { return <Routes><Route path='/' element={<A/>}/><Route path='in/*' element={<In/>}/></Routes>; }",
      'src/In.tsx':
        "import { Routes, Route } from 'router'; import { A, B } from './parts';\nexport function In() { return <main><Routes><Route path='a' element={<A/>}/><Route path='b' element={<B/>}/></Routes></main>; }",
      'src/parts.tsx': 'export function A() { return <p/>; } export function B() { return <p/>; }',
    };
    expect(pages(files)).toEqual(['A / route', 'A /in/a route', 'B /in/b route']);
    expect(tree(files, 'B')).toBe('App\n  In\n    B');
  });

  test('tables in tables, in other modules too, and routes by their path', () => {
    const files = {
      'src/main.tsx':
        "import { RouterProvider } from 'router'; import { routes } from './routes';\nconst router = createBrowserRouter(routes);\ncreateRoot(x).render(<RouterProvider router={router}/>);",
      'src/routes.tsx':
        "import { Shell, A } from './parts'; import { more } from './more';\nexport const routes = [{ path: '/', element: <Shell/>, children: [{ index: true, element: <A/> }, ...more()] }];",
      'src/more.tsx': "import { B } from './parts';\nexport function more() { return [{ path: 'b', Component: B }]; }",
      'src/parts.tsx': `import { Outlet } from 'router'; ${parts}`,
    };
    expect(pages(files)).toEqual(['A / route', 'B /b route']);
    expect(tree(files, 'B')).toBe('Shell\n  B');
    const route = (path: string, name: string): string =>
      `import { createFileRoute, Outlet } from 'router';\nexport const Route = createFileRoute('${path}')({ component: ${name} });\nfunction ${name}() { return <p><Outlet/></p>; }`;
    const byPath = { 'src/routes/_in.tsx': route('/_in', 'In'), 'src/routes/_in/a.$id.tsx': route('/_in/a/$id', 'A') };
    expect(pages(byPath)).toEqual(['A /a/:id route']);
    expect(tree(byPath, 'A')).toBe('In\n  A');
  });

  test('what is loaded later, by the project or by whoever asks', () => {
    const files = {
      'src/main.tsx': "import { lazy } from 'react';\nconst A = lazy(() => import('./A'));\ncreateRoot(x).render(<A/>);",
      'src/A.tsx': 'export default function A() { return <p/>; }',
      'src/index.ts': "export const b = load(() => import('./B'), { name: 'b' });",
      'src/B.tsx': 'export default function B() { return <p/>; }',
    };
    expect(pages(files)).toEqual(['A  mounted', 'B  mounted']);
  });

  test('what a module makes of a component for others, which is no tag', () => {
    const files = {
      'src/index.ts':
        "import { mount } from 'out';\nimport bellComponent from './Bell';\nimport { Chip } from './Chip';\nexport const bell = mount(bellComponent, { name: 'bell' });\nexport const Wide = mount(Chip);",
      'src/Bell.tsx': 'export default function Bell() { return <p/>; }',
      'src/Chip.tsx': 'export function Chip() { return <p/>; }',
    };
    expect(pages(files)).toEqual(['Bell  mounted', 'Chip  alone']);
  });

  test('what a script adds by its file', () => {
    const files = {
      'gatsby-node.js':
        "exports.createPages = ({ actions }) => { const post = require.resolve('./src/templates/post.jsx'); actions.createPage({ path: `/log/${slug}`, component: post }); actions.createPage({ path: '/', component: require.resolve('./src/templates/home') }); };",
      'src/templates/post.jsx': 'export default function Post() { return <p/>; }',
      'src/templates/home.jsx': 'export default function Home() { return <p/>; }',
    };
    expect(pages(files).sort()).toEqual(['Home / file', 'Post /log/:slug file']);
  });

  test('the component that pages by file stand in, and the layout that they name', () => {
    const files = {
      'package.json': '{ "dependencies": { "nuxt": "4" } }',
      'app.vue': '<template><main><NuxtLayout><NuxtPage/></NuxtLayout></main></template>',
      'layouts/default.vue': '<template><div><slot/></div></template>',
      'layouts/wide.vue': '<template><div><slot/></div></template>',
      'pages/index.vue': '<template><p/></template>',
      'pages/list/[id].vue': "<script setup>definePageMeta({ layout: 'wide' });</script><template><p/></template>",
      'pages/list.vue': '<template><p><NuxtPage/></p></template>',
      'error.vue': '<template><p/></template>',
    };
    expect(pages(files).sort()).toEqual(['Error (error) file', 'Id /list/:id file', 'List /list file', 'Pages / file']);
    expect(tree(files, 'Pages')).toBe('App\n  Default\n    Pages in slot:default');
    expect(tree(files, 'Id')).toBe('App\n  Wide\n    List in slot:default\n      Id');
  });

  test('a project without components has none', () => {
    expect(pages({ 'src/a.ts': 'export const a = 1;' })).toEqual([]);
  });
});
