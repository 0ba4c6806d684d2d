import { analyseFiles, findingLines } from '../../../../testing/src/project';
import { filesOf, type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, describe, expect, test } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const sends = "const send = () => document.dispatchEvent(new CustomEvent('towpath:alarm', { bubbles: true }));";

const hears = (name = 'towpath:alarm'): string => `document.addEventListener('${name}', ring);`;

const vueSends = `${setup(sends)}<template><button @click="send">x</button></template>`;

const vueHears = (name?: string): string =>
  `${setup(`import { onMounted, onUnmounted } from 'vue'; const ring = () => 1; onMounted(() => { ${hears(name)} }); onUnmounted(() => document.removeEventListener('${name ?? 'towpath:alarm'}', ring));`)}<template><p/></template>`;

const svelteSends = `${script(sends)}<button onclick={send}>x</button>`;

const svelteHears = (name?: string): string =>
  `${script(`import { onMount } from 'svelte'; const ring = () => 1; onMount(() => { ${hears(name)} return () => document.removeEventListener('${name ?? 'towpath:alarm'}', ring); });`)}<p/>`;

const alarm = (sent: string, heard: string): string =>
  `function Button() { return <p onClick={() => window.dispatchEvent(new CustomEvent('${sent}'))}/>; }\nfunction Badge() { useEffect(() => { window.addEventListener('${heard}', go); return () => window.removeEventListener('${heard}', go); }, []); return <p/>; }\nexport function App() { return <><Button/><Badge/></>; }`;

table(
  'channel-unpaired',
  'vue',
  [
    ['sent, and nobody hears', { App: vueSends }, 'App towpath:alarm'],
    [
      'heard under a near name',
      {
        App: `${setup('')}<template><main><Bell/><Other/><Badge/></main></template>`,
        Bell: vueSends,
        Other: vueHears(),
        Badge: vueHears('towpath:alram'),
      },
      'Badge towpath:alram',
    ],
    ['sent in a part', { App: `${setup('')}<template><main><Bell/></main></template>`, Bell: vueSends }, 'Bell towpath:alarm'],
  ],
  [
    ['both ends', { App: `${setup('')}<template><main><Bell/><Badge/></main></template>`, Bell: vueSends, Badge: vueHears() }],
    ['an event of the platform', { App: vueHears('visibilitychange') }],
    ['heard by a module', { App: vueSends, 'ring.js': "export const start = (ring) => document.addEventListener('towpath:alarm', ring);" }],
    [
      'a name known while running',
      {
        App: `${setup('const send = (name) => document.dispatchEvent(new CustomEvent(name));')}<template><button @click="send(a)">x</button></template>`,
      },
    ],
    [
      'heard under a name known while running',
      {
        App: `${setup('')}<template><main><Bell/><Badge/></main></template>`,
        Bell: vueSends,
        Badge: `${setup('const start = (name, ring) => document.addEventListener(name, ring);')}<template><p @click="start(a, b)"/></template>`,
      },
    ],
  ],
);

table(
  'channel-unpaired',
  'svelte',
  [
    ['sent, and nobody hears', { App: svelteSends }, 'App towpath:alarm'],
    [
      'heard under a near name',
      { App: '<Bell/><Other/><Badge/>', Bell: svelteSends, Other: svelteHears(), Badge: svelteHears('towpath:alram') },
      'Badge towpath:alram',
    ],
    ['sent in a part', { App: '<Bell/>', Bell: svelteSends }, 'Bell towpath:alarm'],
  ],
  [
    ['both ends', { App: '<Bell/><Badge/>', Bell: svelteSends, Badge: svelteHears() }],
    ['an event of the platform', { App: svelteHears('visibilitychange') }],
    [
      'heard by a module',
      { App: svelteSends, 'ring.js': "export const start = (ring) => document.addEventListener('towpath:alarm', ring);" },
    ],
    [
      'a name known while running',
      {
        App: `${script('const send = (name) => document.dispatchEvent(new CustomEvent(name));')}<button onclick={() => send(a)}>x</button>`,
      },
    ],
    [
      'heard under a name known while running',
      {
        App: '<Bell/><Badge/>',
        Bell: svelteSends,
        Badge: `${script('const start = (name, ring) => document.addEventListener(name, ring);')}<p onclick={() => start(a, b)}/>`,
      },
    ],
  ],
);

describe('channel-unpaired, react', () => {
  const found = (text: Sources): string[] =>
    findingLines(analyseFiles(filesOf('react', text)).findings).filter((line) => line.startsWith('channel-unpaired '));
  test.each([
    ['two names for one', alarm('alarm-raised', 'alarm-rased'), ['channel-unpaired Badge alarm-rased']],
    [
      'sent alone',
      "export function App() { return <p onClick={() => window.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      ['channel-unpaired App alarm'],
    ],
    [
      'sent over the document',
      "export function App() { return <p onClick={() => document.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      ['channel-unpaired App alarm'],
    ],
    ['one name', alarm('alarm', 'alarm'), []],
    [
      'waited for alone: a script from outside may send it',
      "export function App() { useEffect(() => { window.addEventListener('widget-ready', go); }, []); return <p/>; }",
      [],
    ],
    ['the platform’s', "export function App() { useEffect(() => { window.addEventListener('resize', go); }, []); return <p/>; }", []],
    [
      'the platform’s, sent by hand',
      "export function App() { return <p onClick={() => window.dispatchEvent(new Event('resize'))}/>; }",
      [],
    ],
    [
      'a name that is computed',
      `export function App({ n }) { return <p onClick={() => { window.dispatchEvent(new CustomEvent(n)); window.dispatchEvent(new CustomEvent('alarm')); }}/>; }`,
      [],
    ],
    [
      'on an element',
      "export function App() { const r = useRef(null); return <p ref={r} onClick={() => r.current.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      [],
    ],
    [
      'heard by a hook of that name, from a package of the project',
      {
        'package.json': '{ "name": "@towpath/board" }',
        'App.tsx':
          "import { useEvent } from '@towpath/board/useEvent';\nfunction Bell() { return <b onClick={() => document.dispatchEvent(new Event('alarm'))}/>; }\nexport function App() { const [n, set] = useState(0); useEvent('alarm', () => set(1)); return <p><Bell/>{n}</p>; }",
        'useEvent.ts':
          'export function useEvent(name, run) { useEffect(() => { document.addEventListener(name, run); return () => document.removeEventListener(name, run); }); }',
      },
      [],
    ],
  ])('%s', (_, text, expected) => expect(found(text).sort()).toEqual([...expected].sort()));
});

/** An application with one store of a part, and a component that tells it something. */
const told = (app: string, more: Readonly<Record<string, string>> = {}): Readonly<Record<string, string>> => ({
  'package.json': '{}',
  'src/main.js':
    "import { createApp } from 'vue'; import App from './App.vue'; import store from './store'; createApp(App).use(store).mount('#app');",
  'src/store.js':
    "import { createStore } from 'vuex'; import boats from './boats';\nexport default createStore({ state: { n: 0 }, mutations: { reset(state) { state.n = 0; } }, actions: { load({ commit }) { commit('reset'); } }, modules: { boats } });",
  'src/boats.js':
    "export default { namespaced: true, state: () => ({ list: [] }), mutations: { add(state, boat) { state.list.push(boat); } }, actions: { fetch({ commit }) { commit('add', 1); } } };",
  'src/App.vue': app,
  ...more,
});

const tells = (call: string): string =>
  `<template><button @click="go">{{ $store.state.boats.list }}</button></template>\n<script>\nexport default { methods: { go() { this.$store.${call}; } } };\n</script>`;

const helper = (methods: string): string =>
  `<template><button @click="add">x</button></template>\n<script>\nimport { mapMutations } from 'vuex';\nexport default { methods: { ${methods} } };\n</script>`;

table(
  'channel-unpaired',
  'vue',
  [
    ['a mutation that the store has not', told(tells("commit('boats/ad', 1)")), 'App boats/ad'],
    ['a mutation without the key of its part', told(tells("commit('add', 1)")), 'App add'],
    ['an action that is a mutation', told(tells("dispatch('boats/add', 1)")), 'App boats/add'],
    [
      'a mutation that a helper takes, and the markup gives to an element',
      told(helper("...mapMutations('boats', { add: 'append' })")),
      'App boats/append',
    ],
  ],
  [
    ['a mutation of a part', told(tells("commit('boats/add', 1)"))],
    ['an action of the whole', told(tells("dispatch('load')"))],
    ['a mutation that a helper takes', told(helper("...mapMutations('boats', ['add'])"))],
    [
      'a part with a key within one without',
      told(tells("commit('gates/open')"), {
        'src/boats.js': "import gates from './gates';\nexport default { mutations: { add() {} }, modules: { gates } };",
        'src/gates.js': 'export default { namespaced: true, mutations: { open(state) { state.on = true; } } };',
      }),
    ],
    ['a name that is known while it runs', told(tells('commit(this.name, 1)'))],
    [
      'a part that is added while it runs',
      told(tells("commit('late/add', 1)"), { 'src/late.js': "import store from './store'; store.registerModule('late', {});" }),
    ],
    [
      'a part with more than the text tells',
      told(tells("commit('boats/ad', 1)"), {
        'src/boats.js': "import { more } from './more';\nexport default { namespaced: true, mutations: { ...more } };",
      }),
    ],
  ],
);
