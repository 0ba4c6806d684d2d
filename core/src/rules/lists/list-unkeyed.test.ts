import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const vueRow = `${setup('defineProps({ eta: { type: String, required: true }, boat: String });')}<template><p>{{ eta }}{{ boat }}</p></template>`;

table(
  'list-unkeyed',
  'vue',
  [
    ['no key', { App: `${setup('const all = load();')}<template><p v-for="one in all">{{ one }}</p></template>` }, 'App key'],
    [
      'no key on a part',
      { App: `${setup('const all = load();')}<template><Row v-for="one in all" :eta="one"/></template>`, Row: vueRow },
      'App key',
    ],
    [
      'its position, while fields keep their text',
      {
        App: `${setup('const all = load();')}<template><p v-for="(one, at) in all.filter((one) => one.a)" :key="at"><input/></p></template>`,
      },
      'App key',
    ],
  ],
  [
    ['a key', { App: `${setup('const all = load();')}<template><p v-for="one in all" :key="one.id">{{ one }}</p></template>` }],
    [
      'the key on the template',
      { App: `${setup('const all = load();')}<template><template v-for="one in all" :key="one.id"><p/><b/></template></template>` },
    ],
    [
      'a position where nothing is kept',
      {
        App: `${setup('const all = load();')}<template><p v-for="(one, at) in all.filter((one) => one.a)" :key="at">{{ one }}</p></template>`,
      },
    ],
    [
      'a position of what keeps its order',
      { App: `${setup("const all = ['a', 'b'];")}<template><p v-for="(one, at) in all" :key="at"><input/></p></template>` },
    ],
    ['a key that is spread', { App: `${setup('const all = load();')}<template><p v-for="one in all" v-bind="one"/></template>` }],
  ],
);

table(
  'list-unkeyed',
  'react',
  [
    ['no key', 'export function App({ all }) { return <ul>{all.map((one) => <li>{one}</li>)}</ul>; }', 'App key'],
    ['a fragment that cannot have one', 'export function App({ all }) { return <ul>{all.map((one) => <><b/>{one}</>)}</ul>; }', 'App key'],
    ['in a condition', 'export function App({ all }) { return <ul>{all.map((one) => one.a && <li>{one.a}</li>)}</ul>; }', 'App key'],
    [
      'pushed in a loop',
      'export function App({ all }) { const rows = []; for (const one of all) rows.push(<li>{one}</li>); return <ul>{rows}</ul>; }',
      'App key',
    ],
    [
      'the position, filtered while rendering, and the parts remember',
      'function Row() { const [a] = useState(1); return <p>{a}</p>; }\nexport function App({ all }) { return all.filter(Boolean).map((one, i) => <Row key={i}/>); }',
      'App key',
    ],
    [
      'the position, the state is filtered, and there is a field',
      'export function App() { const [all, setAll] = useState([]); const cut = () => setAll(all.filter(Boolean)); return <ul onClick={cut}>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
      'App key',
    ],
  ],
  [
    ['a key', 'export function App({ all }) { return <ul>{all.map((one) => <li key={one.id}>{one.a}</li>)}</ul>; }'],
    ['a fragment with one', 'export function App({ all }) { return <ul>{all.map((one) => <Fragment key={one.id}><b/></Fragment>)}</ul>; }'],
    ['a spread may bring it', 'export function App({ all }) { return <ul>{all.map((one) => <li {...one}/>)}</ul>; }'],
    [
      'the position, and nothing remembers',
      'export function App({ all }) { return <ul>{all.filter(Boolean).map((one, i) => <li key={i}>{one}</li>)}</ul>; }',
    ],
    [
      'the position of a list that only grows',
      'export function App() { const [all, setAll] = useState([]); const more = () => setAll([...all, 1]); return <ul onClick={more}>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    [
      'the position of a constant list',
      'const all = [1, 2];\nexport function App() { return <ul>{all.map((one, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    [
      'the position of a list of fixed length',
      'export function App() { return <ul>{Array.from({ length: 3 }, (_, i) => <li key={i}><input/></li>)}</ul>; }',
    ],
    ['Children.map', 'export function App({ children }) { return <ul>{Children.map(children, (one) => <li>{one}</li>)}</ul>; }'],
    ['Children.toArray', 'export function App({ all }) { return <ul>{Children.toArray(all.map((one) => <li>{one}</li>))}</ul>; }'],
    ['objects that hold markup', 'export function App({ all }) { return <Table columns={all.map((one) => ({ cell: <b>{one}</b> }))}/>; }'],
    ['the key of a portal', 'export function App({ all }) { return all.map((one) => createPortal(<li>{one}</li>, one.at, one.id)); }'],
    ['texts', 'export function App({ all }) { return <p>{all.map((one) => one.name)}</p>; }'],
    [
      'a list given as a prop',
      "import { List } from 'out';\nexport function App({ all }) { return <List items={all.map((one) => <li>{one}</li>)}/>; }",
    ],
  ],
);

const rows = (
  each: string,
  change: string,
  row = '<script>let { item } = $props(); let note = $state(""); const go = () => { note = "a"; };</script><p onclick={go}>{item}{note}</p>',
): Sources => ({
  App: `<script>let items = $state([1]); const go = () => { ${change} };</script><button onclick={go}>x</button>${each}`,
  Row: row,
});

table(
  'list-unkeyed',
  'svelte',
  [
    ['no key, and the list grows at the front', rows('{#each items as item}<Row {item}/>{/each}', 'items.unshift(2);'), 'App key'],
    ['its position as key', rows('{#each items as item, at (at)}<Row {item}/>{/each}', 'items.unshift(2);'), 'App key'],
  ],
  [
    ['a key', rows('{#each items as item (item)}<Row {item}/>{/each}', 'items.unshift(2);')],
    ['the list grows at its end', rows('{#each items as item}<Row {item}/>{/each}', 'items.push(2);')],
    [
      'the parts remember nothing',
      rows('{#each items as item}<Row {item}/>{/each}', 'items.unshift(2);', '<script>let { item } = $props();</script><p>{item}</p>'),
    ],
  ],
);
