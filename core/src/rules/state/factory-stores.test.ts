import { beforeAll } from 'vitest';
import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const zoom =
  "import { create } from 'zustand';\nexport const useZoom = create((set) => ({ level: 1, closer: () => set((s) => ({ level: s.level + 1 })), shown: () => 1 }));";

const react = (view: string, others: Record<string, string> = {}, store = zoom): Sources => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': `import { useZoom } from './zoom';\n${view}`,
  'src/zoom.ts': store,
  ...others,
});

const view =
  'function View() { const level = useZoom((z) => z.level); const closer = useZoom((z) => z.closer); return <p onClick={closer}>{level}</p>; }\nexport function App() { return <View/>; }';

table(
  'store-private',
  'react',
  [
    ['made by a factory, read and called by one component', react(view), 'View useZoom'],
    [
      'taken whole, and apart',
      react(
        'function View() { const { level, closer } = useZoom(); return <p onClick={() => closer()}>{level}</p>; }\nexport function App() { return <View/>; }',
      ),
      'View useZoom',
    ],
  ],
  [
    [
      'two take it',
      react(
        view.replace('<View/>;', '<><View/><Other/></>;') +
          '\nfunction Other() { const level = useZoom((z) => z.level); return <p>{level}</p>; }',
      ),
    ],
    ['it only reads', react('export function App() { const level = useZoom((z) => z.level); return <p>{level}</p>; }')],
    ['in a list', react(view.replace('<View/>;', '<>{all.map((one) => <View key={one}/>)}</>;'))],
    [
      'a selector that is not seen',
      react(
        'export function App() { const level = useZoom(pick); const closer = useZoom((z) => z.closer); return <p onClick={closer}>{level}</p>; }',
      ),
    ],
    [
      'a module takes it too',
      react(view, {
        'src/keys.ts': "import { useZoom } from './zoom';\nwindow.addEventListener('keydown', () => useZoom.getState().closer());",
      }),
    ],
    [
      'kept by the browser',
      react(
        view,
        {},
        zoom
          .replace('create((set) =>', 'create(persist((set) =>')
          .replace('}));', "}), { name: 'zoom' }));")
          .replace("'zustand';", "'zustand';\nimport { persist } from 'zustand/middleware';"),
      ),
    ],
  ],
);

const pinia =
  "import { defineStore } from 'pinia';\nexport const useZoom = defineStore('zoom', { state: () => ({ level: 1 }), getters: { double: (s) => s.level * 2 }, actions: { closer() { this.level = this.level + 1; } } });";
const part = (script: string, markup: string): string =>
  `<script setup>import { useZoom } from './zoom'; ${script}</script><template>${markup}</template>`;
const vue = (parts: Record<string, string>): Sources => ({ 'zoom.js': pinia, ...parts });

table(
  'store-private',
  'vue',
  [
    [
      'made by a factory',
      vue({
        App: '<template><main><View/></main></template>',
        View: part('const zoom = useZoom();', '<p @click="zoom.closer()">{{ zoom.level }}</p>'),
      }),
      'View useZoom',
    ],
  ],
  [
    [
      'two take it',
      vue({
        App: '<template><main><View/><Other/></main></template>',
        View: part('const zoom = useZoom();', '<p @click="zoom.closer()">{{ zoom.level }}</p>'),
        Other: part('const zoom = useZoom();', '<p>{{ zoom.double }}</p>'),
      }),
    ],
  ],
);

table(
  'store-dead',
  'vue',
  [
    [
      'all who take it change it, and none reads it',
      vue({
        App: '<template><main><View/><Other/></main></template>',
        View: part('const { closer } = useZoom();', '<p @click="closer()"/>'),
        Other: part('const zoom = useZoom();', '<p @click="zoom.closer()"/>'),
      }),
      'View useZoom',
    ],
  ],
  [
    [
      'one reads it',
      vue({
        App: '<template><main><View/><Other/></main></template>',
        View: part('const { closer } = useZoom();', '<p @click="closer()"/>'),
        Other: part('const zoom = useZoom();', '<p>{{ zoom.level }}</p>'),
      }),
    ],
    [
      'one reads what is computed of it',
      vue({
        App: '<template><main><View/><Other/></main></template>',
        View: part('const { closer } = useZoom();', '<p @click="closer()"/>'),
        Other: part('const zoom = useZoom();', '<p>{{ zoom.double }}</p>'),
      }),
    ],
    ['it is handed on whole', vue({ App: part('const zoom = useZoom(); zoom.closer(); send(zoom);', '<main/>') })],
  ],
);

table(
  'two-truths',
  'vue',
  [
    [
      'copied once, and both are changed',
      vue({
        App: part(
          'import { ref } from "vue"; const zoom = useZoom(); const level = ref(zoom.level);',
          '<p @click="level++" @keydown="zoom.closer()">{{ level }}</p>',
        ),
      }),
      'App level',
    ],
  ],
  [
    [
      'copied and only shown',
      vue({
        App: part(
          'import { ref } from "vue"; const zoom = useZoom(); const level = ref(zoom.level);',
          '<p @keydown="zoom.closer()">{{ level }}</p>',
        ),
      }),
    ],
    [
      'the copy follows',
      vue({
        App: part(
          'import { ref, watch } from "vue"; const zoom = useZoom(); const level = ref(zoom.level); watch(() => zoom.level, () => { level.value = zoom.level; });',
          '<p @click="level++" @keydown="zoom.closer()">{{ level }}</p>',
        ),
      }),
    ],
  ],
);

const loans =
  "import { writable } from 'svelte/store';\nexport const loans = writable([]);\nexport const back = (id) => loans.update((all) => all.filter((one) => one !== id));";
const desk = (script: string): string =>
  `<script>import { get } from 'svelte/store'; import { back, loans } from './loans'; let list = get(loans); ${script}</script><p on:click={() => back(1)}>{list.length}</p>`;

table(
  'two-truths',
  'svelte',
  [
    [
      'a store copied by get',
      { App: desk('function drop(id) { list = list.filter((one) => one !== id); }'), 'loans.js': loans },
      'App list',
    ],
  ],
  [
    ['and never changed', { App: desk(''), 'loans.js': loans }],
    [
      'a draft that goes back',
      { App: desk('function drop(id) { list = list.filter((one) => one !== id); loans.set(list); }'), 'loans.js': loans },
    ],
  ],
);
