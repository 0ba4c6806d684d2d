import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const menu = 'const Keeper = createContext(null);\nfunction Menu() { const keeper = useContext(Keeper); return <b>{keeper.name}</b>; }\n';

const inner = (body: string): string => `function Panel() { ${body} }\n`;

const shadowed = (panel: string, more = '<Menu/>'): string =>
  `${menu}${inner(panel)}export function App() { return <Keeper.Provider value={today}>${more}<Panel/></Keeper.Provider>; }`;

const vueMenu =
  '<script setup>import { inject } from "vue"; const keeper = inject("keeper");</script><template><b>{{ keeper.name }}</b></template>';

const vueApp =
  '<script setup>import { provide } from "vue"; const today = { name: 1 }; provide("keeper", today);</script><template><main><Menu/><Panel/></main></template>';

const svelteMenu = '<script>import { getContext } from "svelte"; const keeper = getContext("keeper");</script><b>{keeper.name}</b>';

const svelteApp = '<script>import { setContext } from "svelte"; setContext("keeper", { name: 1 });</script><main><Menu/><Panel/></main>';

const sveltePanel = (script: string, markup = '<div><Menu/></div>'): Sources => ({
  App: svelteApp,
  Menu: svelteMenu,
  Panel: `<script>import { getContext, setContext } from "svelte"; ${script}</script>${markup}`,
});

table(
  'context-shadowed',
  'react',
  [
    ['another value further down', shadowed('return <Keeper.Provider value={other}><Menu/></Keeper.Provider>;'), 'Panel Keeper'],
    ['by its own name', shadowed('return <Keeper value={other}><Menu/></Keeper>;'), 'Panel Keeper'],
    [
      'deeper',
      `${shadowed('return <Keeper.Provider value={other}><Deep/></Keeper.Provider>;')}\nfunction Deep() { return <div><Menu/></div>; }`,
      'Panel Keeper',
    ],
  ],
  [
    [
      'made from the outer one',
      shadowed('const keeper = useContext(Keeper); return <Keeper.Provider value={{ ...keeper, deputy: true }}><Menu/></Keeper.Provider>;'),
    ],
    ['taken only inside', shadowed('return <Keeper.Provider value={other}><Menu/></Keeper.Provider>;', '')],
    ['taken only outside', shadowed('return <Keeper.Provider value={other}><p/></Keeper.Provider>;')],
    [
      'two beside each other',
      `${menu}export function App() { return <><Keeper.Provider value={a}><Menu/></Keeper.Provider><Keeper.Provider value={b}><Menu/></Keeper.Provider></>; }`,
    ],
    [
      'a part in itself',
      `${menu}function Panel({ depth }) { return <Keeper.Provider value={depth}><Menu/>{depth > 0 && <Panel depth={depth - 1}/>}</Keeper.Provider>; }\nexport function App() { return <Panel depth={3}/>; }`,
    ],
    [
      'another context',
      `${menu}const Other = createContext(null);\n${inner('return <Other.Provider value={other}><Menu/></Other.Provider>;')}export function App() { return <Keeper.Provider value={today}><Menu/><Panel/></Keeper.Provider>; }`,
    ],
  ],
);

table(
  'context-shadowed',
  'vue',
  [
    [
      'another value further down',
      {
        App: vueApp,
        Menu: vueMenu,
        Panel:
          '<script setup>import { provide } from "vue"; provide("keeper", { name: 2 });</script><template><div><Menu/></div></template>',
      },
      'Panel keeper',
    ],
    [
      'deeper',
      {
        App: vueApp,
        Menu: vueMenu,
        Deep: '<template><i><Menu/></i></template>',
        Panel:
          '<script setup>import { provide } from "vue"; provide("keeper", { name: 2 });</script><template><div><Deep/></div></template>',
      },
      'Panel keeper',
    ],
    [
      'by options',
      {
        App: vueApp,
        Menu: vueMenu,
        Panel: '<script>export default { provide: { keeper: { name: 2 } } };</script><template><div><Menu/></div></template>',
      },
      'Panel keeper',
    ],
  ],
  [
    [
      'made from the outer one',
      {
        App: vueApp,
        Menu: vueMenu,
        Panel:
          '<script setup>import { provide, inject } from "vue"; const outer = inject("keeper"); provide("keeper", { ...outer });</script><template><div><Menu/></div></template>',
      },
    ],
    [
      'another key',
      {
        App: vueApp,
        Menu: vueMenu,
        Panel: '<script setup>import { provide } from "vue"; provide("rota", { name: 2 });</script><template><div><Menu/></div></template>',
      },
    ],
    ['not provided again', { App: vueApp, Menu: vueMenu, Panel: '<template><div><Menu/></div></template>' }],
    [
      'taken only outside',
      {
        App: vueApp,
        Menu: vueMenu,
        Panel: '<script setup>import { provide } from "vue"; provide("keeper", 2);</script><template><div/></template>',
      },
    ],
    [
      'taken only inside',
      {
        App: vueApp.replace('<Menu/>', ''),
        Menu: vueMenu,
        Panel:
          '<script setup>import { provide } from "vue"; provide("keeper", { name: 2 });</script><template><div><Menu/></div></template>',
      },
    ],
  ],
);

table(
  'context-shadowed',
  'svelte',
  [
    ['another value further down', sveltePanel('setContext("keeper", { name: 2 });'), 'Panel keeper'],
    ['in a condition', sveltePanel('setContext("keeper", { name: 2 });', '{#if 1}<Menu/>{/if}'), 'Panel keeper'],
    ['in a list', sveltePanel('setContext("keeper", { name: 2 });', '{#each [1] as one}<Menu/>{/each}'), 'Panel keeper'],
  ],
  [
    ['made from the outer one', sveltePanel('const outer = getContext("keeper"); setContext("keeper", { ...outer });')],
    ['another key', sveltePanel('setContext("rota", { name: 2 });')],
    ['not provided again', sveltePanel('')],
    ['taken only outside', sveltePanel('setContext("keeper", { name: 2 });', '<div></div>')],
    ['taken by itself alone', sveltePanel('const outer = getContext("keeper");')],
  ],
);
