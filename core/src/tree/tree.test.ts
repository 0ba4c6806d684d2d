import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { conditionOf, reachOf, unfold } from '.';
import { analyseFiles, rows, treeOf } from '../../../testing/src/project';

/** The tree of `App` in one file, with everything in it. */
function treeIn(text: string): string {
  const { model } = analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" });
  return rows(model, treeOf(model, 'App'));
}

const parts =
  'function Row({ a }) { return <p>{a}</p>; }\nfunction Frame({ children, head }) { return <section>{head}<Row/>{children}</section>; }\nfunction Deep({ children }) { return <Frame>{children}</Frame>; }\n';

describe('unfolding', () => {
  const cases: readonly [name: string, app: string, expected: string][] = [
    ['uses in the order of the text', 'return <div><Row/><Frame/></div>;', 'App\n  Row\n  Frame\n    Row'],
    [
      'content stands in the slot and keeps its owner',
      'return <Frame><Row/></Frame>;',
      'App\n  Frame\n    Row\n    Row in slot:default of App',
    ],
    [
      'content handed on stands where it ends up',
      'return <Deep><Row/></Deep>;',
      'App\n  Deep\n    Frame\n      Row\n      Row in slot:default of App',
    ],
    ['markup in a prop is a slot of its name', 'return <Frame head={<Row/>}/>;', 'App\n  Frame\n    Row in head of App\n    Row'],
    ['lists', 'return <ul>{props.all.map((one) => <Row key={one}/>)}</ul>;', 'App\n  Row each one'],
    [
      'conditions',
      'if (!props.b) return null; return props.a ? <Row/> : <Frame/>;',
      'App\n  Row if not !props.b if props.a\n  Frame if not !props.b if not props.a\n    Row',
    ],
    ['parts from outside are seen through', 'return <Outside icon={<Row/>}><Frame/></Outside>;', 'App\n  Row\n  Frame\n    Row'],
    ['a component handed on as a value', 'return <Frame head={Row}/>;', 'App\n  Frame\n    Row in head of App\n    Row'],
    [
      'content in a loop of the child',
      'return <Each>{(one) => <Row a={one}/>}</Each>;',
      'App\n  Each\n    Row in slot:default of App each one',
    ],
    ['recursion is cut at the second turn', 'return <Nest/>;', 'App\n  Nest\n    Nest if n > 0 cut: recursion'],
    [
      'the same component in its own content is no recursion',
      'return <Deep><Deep/></Deep>;',
      'App\n  Deep\n    Frame\n      Row\n      Deep in slot:default of App\n        Frame\n          Row',
    ],
    ['content that the child does not show is nowhere', 'return <Row><Frame/></Row>;', 'App\n  Row'],
  ];
  test.each(cases)('%s', (_, app, expected) => {
    const more =
      "import { Outside } from 'outside';\nfunction Each({ all, children }) { return all.map((one) => <li key={one}>{children(one)}</li>); }\nfunction Nest({ n }) { return n > 0 && <Nest n={n - 1}/>; }\n";
    expect(treeIn(`${more}${parts}export function App(props) { ${app} }`)).toBe(expected);
  });
});

describe('routes', () => {
  const parts =
    "import { Outlet } from 'router';\nexport function A() { return <p/>; }\nexport function B() { return <p/>; }\nexport function Shell() { return <main><Bar/><Outlet/></main>; }\nfunction Bar() { return <nav/>; }";

  test('a page stands in the outlet of its layout, below what is mounted', () => {
    const { model } = analyseFiles({
      'src/parts.tsx': parts,
      'src/main.tsx':
        "import { RouterProvider } from 'router'; import { A, B, Shell } from './parts';\nconst router = createBrowserRouter([{ path: '/', element: <Shell/>, children: [{ index: true, element: <A/> }, { path: 'b', Component: B }] }]);\nfunction App() { return <RouterProvider router={router}/>; }\ncreateRoot(x).render(<App/>);",
    });
    expect(rows(model, treeOf(model, 'A'))).toBe('App\n  Shell\n    Bar\n    A');
    expect(rows(model, treeOf(model, 'B'))).toBe('App\n  Shell\n    Bar\n    B');
  });

  test('of routes as markup only the page’s own are shown', () => {
    const { model } = analyseFiles({
      'src/parts.tsx': parts,
      'src/App.tsx':
        "import { Routes, Route } from 'router'; import { A, B, Shell } from './parts';\nexport function App() { return <Routes><Route element={<Shell/>}><Route path='a' element={<A/>}/></Route><Route path='b' element={<B/>}/></Routes>; }",
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    expect(rows(model, treeOf(model, 'A'))).toBe('App\n  Shell\n    Bar\n    A');
    expect(rows(model, treeOf(model, 'B'))).toBe('App\n  B');
  });
});

test('on a large page what is below a component is unfolded once', () => {
  const wide = Array.from({ length: 14 }, (_, level) => `function P${level}() { return <>${`<P${level + 1}/>`.repeat(3)}</>; }`).join('\n');
  const { model } = analyseFiles({ 'src/App.tsx': `${wide}\nfunction P14() { return <p/>; }\nexport function App() { return <P0/>; }` });
  const page = model.pages[0];
  if (!page) throw new Error('no page');
  const { places, truncated } = unfold(model, page);
  expect([places.length, truncated]).toEqual([2 + 3 * 14, false]);
  const folded = places.filter((place) => place.cut === 'folded');
  expect(folded.length).toBe(2 * 13);
  for (const place of folded) {
    const same = places[place.sameAs ?? -1];
    expect([same?.component, same?.cut]).toEqual([place.component, undefined]);
  }
});

test('a page that grows without end is cut, and says so', () => {
  const wide = Array.from(
    { length: 14 },
    (_, level) => `function P${level}({ children }) { return <>${`<P${level + 1}>{children}</P${level + 1}>`.repeat(3)}</>; }`,
  ).join('\n');
  const { model } = analyseFiles({
    'src/App.tsx': `${wide}\nfunction P14({ children }) { return <p>{children}</p>; }\nexport function App() { return <P0><b/></P0>; }`,
  });
  const page = model.pages[0];
  if (!page) throw new Error('no page');
  const tree = unfold(model, page);
  expect(tree.truncated).toBe(true);
  expect(tree.places.length).toBe(20_000);
});

test('a chain of a thousand components unfolds', () => {
  const chain = Array.from({ length: 1000 }, (_, level) => `function P${level}() { return <P${level + 1}/>; }`).join('\n');
  const { model } = analyseFiles({ 'src/App.tsx': `${chain}\nfunction P1000() { return <p/>; }\nexport function App() { return <P0/>; }` });
  expect(treeOf(model, 'App').places.length).toBe(1002);
});

describe('a condition in words', () => {
  const cases: readonly [when: string, negated: boolean, words: string][] = [
    ['lock', false, 'lock'],
    ['lock', true, 'not lock'],
    ['!lock', true, 'lock'],
    ['!lock.open', false, 'not lock.open'],
    ['!(a && b)', true, 'a && b'],
    ['!a && b', true, 'not !a && b'],
    ['a.length === 0', true, 'not a.length === 0'],
  ];
  test.each(cases)('%s %s', (when, negated, words) => {
    expect(conditionOf({ when, negated })).toBe(words);
  });
});

describe('parts that are chosen while running', () => {
  beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));
  const vue = (script: string, markup: string): string => {
    const { model } = analyseFiles({
      'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
      'src/App.vue': `<script setup>import { defineAsyncComponent, ref, shallowRef } from 'vue'; import Wind from './Wind.vue'; import Rain from './Rain.vue'; ${script}</script><template>${markup}</template>`,
      'src/Wind.vue': '<template><p/></template>',
      'src/Rain.vue': '<template><p/></template>',
    });
    return rows(model, treeOf(model, 'App'));
  };
  test.each([
    [
      'from a table in the script',
      "const tab = ref('wind'); const tabs = { wind: Wind, rain: Rain };",
      '<component :is="tabs[tab]"/>',
      'App\n  Wind if the choice is wind\n  Rain if the choice is rain',
    ],
    [
      'from a state that is set',
      'const shown = shallowRef(Wind); const go = () => { shown.value = Rain; };',
      '<component :is="shown" @click="go"/>',
      'App\n  Wind if shown is Wind\n  Rain if shown is Rain',
    ],
    [
      'from a table with one that is loaded later',
      "const Late = defineAsyncComponent(() => import('./Rain.vue')); const tab = ref('wind'); const tabs = { wind: Wind, rain: Late };",
      '<component :is="tabs[tab]"/>',
      'App\n  Wind if the choice is wind\n  Rain if the choice is rain',
    ],
  ])('%s', (_, script, markup, expected) => expect(vue(script, markup)).toBe(expected));

  test('what a route shows in an outlet with a name stands there, and is no page', () => {
    const { model } = analyseFiles({
      'src/main.js':
        "import { createApp } from 'vue'; import { createRouter } from 'vue-router'; import App from './App.vue'; import Wind from './Wind.vue'; import Rain from './Rain.vue'; import Side from './Side.vue'; createApp(App).use(createRouter({ routes: [{ path: '/', components: { default: Wind, side: Side } }, { path: '/rain', component: Rain }] })).mount('#app');",
      'src/App.vue': '<template><RouterView name="side"/><RouterView/></template>',
      'src/Wind.vue': '<template><p/></template>',
      'src/Rain.vue': '<template><p/></template>',
      'src/Side.vue': '<template><p/></template>',
    });
    expect(model.pages.map(({ name }) => name)).toEqual(['Wind', 'Rain']);
    expect([rows(model, treeOf(model, 'Wind')), rows(model, treeOf(model, 'Rain'))]).toEqual(['App\n  Side\n  Wind', 'App\n  Rain']);
  });

  const svelte = (markup: string): { readonly pages: string[]; readonly shown: string } => {
    const { model } = analyseFiles({
      'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
      'src/App.svelte': `<script>import { signs } from './signs'; let { sign } = $props(); const Sign = $derived(signs[sign]);</script>${markup}`,
      'src/signs.js':
        "import Wind from './Wind.svelte'; import Rain from './Rain.svelte'; export const signs = { wind: Wind, rain: Rain };",
      'src/Wind.svelte': '<p></p>',
      'src/Rain.svelte': '<p></p>',
    });
    return { pages: model.pages.map(({ name, why }) => `${name} ${why}`), shown: rows(model, treeOf(model, 'App')) };
  };
  test.each([
    ['from a table of another module', '<Sign/>', 'App\n  Wind if Sign is wind\n  Rain if Sign is rain'],
    [
      'by a module that is awaited in place',
      "{#await import('./Wind.svelte') then { default: Late }}<Late/>{/await}{#await import('./Rain.svelte') then rain}<rain.default/>{/await}",
      'App\n  Wind if it is there\n  Rain if it is there',
    ],
  ])('%s', (_, markup, expected) => expect(svelte(markup)).toEqual({ pages: ['App mounted'], shown: expected }));

  test('a condition that holds already is told once', () => {
    const { model } = analyseFiles({
      'src/App.jsx':
        'const Row = () => <p/>; export function App({ none }) { if (none) return <b/>; return <div>{none ? <i/> : <Row/>}</div>; }',
    });
    expect(rows(model, treeOf(model, 'App'))).toBe('App\n  Row if not none');
  });

  test('markup under the name of a slot arrives in it', () => {
    const { model } = analyseFiles({
      'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
      'src/App.svelte':
        '<script>import Panel from "./Panel.svelte"; import Row from "./Row.svelte"; let n = $state(1);</script><Panel>{#snippet head()}<Row/>{/snippet}{n}</Panel>',
      'src/Panel.svelte': '<script>export let tone = 1;</script><section><slot name="head"/><slot/>{tone}</section>',
      'src/Row.svelte': '<p></p>',
    });
    expect(rows(model, treeOf(model, 'App')).replace('slot:', '')).toBe('App\n  Panel\n    Row in head of App');
  });
});

describe('markup that no component has as its own stands where its name is read', () => {
  const cell = 'export function Cell() { return <b/>; }';
  test.each([
    [
      'of a hook',
      'export function useColumns() { return useMemo(() => [{ cell: () => <Cell/> }], []); }',
      'const columns = useColumns(); return <Table columns={columns}/>;',
    ],
    ['of a function', 'export const columnsOf = (rows) => [{ cell: <Cell/>, rows }];', 'return <Table columns={columnsOf(rows)}/>;'],
    ['of a constant', 'export const columns = [{ cell: () => <Cell/> }];', 'return <Table columns={columns}/>;'],
    ['that a table names as values', 'export const cells = { text: Cell };', 'return <Table cells={cells}/>;'],
    [
      'of a hook that another one calls',
      'const useInner = () => useMemo(() => [<Cell/>], []); export function useColumns() { const inner = useInner(); return inner; }',
      'const columns = useColumns(); return <Table columns={columns}/>;',
    ],
    [
      'of a function that another one calls',
      'const inner = () => [<Cell/>]; export const columnsOf = () => ({ all: inner() });',
      'return <Table columns={columnsOf(rows)}/>;',
    ],
  ])('%s', (_, kept, body) => {
    const { model } = analyseFiles({
      'src/cell.tsx': cell,
      'src/kept.tsx': `import { useMemo } from 'react'; import { Cell } from './cell';\n${kept}`,
      'src/App.tsx': `import { Table } from 'ui'; import * as all from './kept'; import { useColumns, columnsOf, columns, cells } from './kept';\nexport function App({ rows }) { ${body} }`,
    });
    expect(rows(model, treeOf(model, 'App'))).toBe('App\n  Cell');
  });

  test('a function whose markup is read where it is called stands there alone', () => {
    const { model } = analyseFiles({
      'src/App.tsx': `${cell}\nfunction renderRow(row) { return <Cell/>; }\nexport function App({ rows }) { return <ul>{rows.map(renderRow)}</ul>; }`,
    });
    expect(rows(model, treeOf(model, 'App'))).toBe('App\n  Cell each row');
  });
});

test('the reach counts what something names, and what of it stands on a page', () => {
  const { model } = analyseFiles({
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    'src/App.tsx': "import { Used } from './parts';\nexport function App() { return <Used/>; }",
    'src/parts.tsx':
      'export function Used() { return <p/>; } export function Nobody() { return <Left/>; } function Left() { return <p/>; }',
  });
  const { components, onPages, alone } = reachOf(model);
  expect([components, onPages, alone]).toEqual([3, 2, ['src/parts.tsx#Left']]);
});
