import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const vueKeeper = "import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key); const name = keeper.name;";

const provides = "import { provide } from 'vue'; import { key } from './key'; provide(key, { name: 'a' });";

const vueKey = { 'key.js': "export const key = Symbol('key');" };

const svelteTakes = "import { getContext } from 'svelte'; const { name } = getContext('keeper');";

const svelteGives = "import { setContext } from 'svelte'; setContext('keeper', { name: 'a' });";

table(
  'context-unread',
  'vue',
  [
    ['nobody takes it', { App: `${setup(provides)}<template><p/></template>`, ...vueKey }, 'App key'],
    [
      'taken beside it',
      {
        App: `${setup('')}<template><Shell/><Menu/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        Menu: `${setup('')}<template><p/></template>`,
        ...vueKey,
      },
      'Shell key',
    ],
    ['a text as key', { App: `${setup("import { provide } from 'vue'; provide('keeper', 1);")}<template><p/></template>` }, 'App keeper'],
  ],
  [
    [
      'taken below',
      { App: `${setup(provides)}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
    ],
    [
      'taken by a composable',
      {
        App: `${setup(provides)}<template><Menu/></template>`,
        Menu: `${setup("import { useKeeper } from './use'; const { name } = useKeeper();")}<template>{{ name }}</template>`,
        ...vueKey,
        'use.js': "import { inject } from 'vue'; import { key } from './key'; export function useKeeper() { return inject(key); }",
      },
    ],
    [
      'taken with a default',
      {
        App: `${setup(provides)}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper.replace('inject(key)', 'inject(key, {})'))}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    ['something below cannot be seen', { App: `${setup(`import Out from 'out'; ${provides}`)}<template><Out/></template>`, ...vueKey }],
    [
      'what is below is chosen while running',
      { App: `${setup(`${provides} const it = pick();`)}<template><component :is="it"/></template>`, ...vueKey },
    ],
  ],
);

table(
  'context-unread',
  'svelte',
  [
    ['nobody takes it', { App: `${script(svelteGives)}<p/>` }, 'App keeper'],
    [
      'another key is taken',
      { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes.replace("'keeper'", "'boat'"))}<p>{name}</p>` },
      'App keeper',
    ],
    ['taken above only', { App: `${script(svelteTakes)}<Shell/><p>{name}</p>`, Shell: `${script(svelteGives)}<p/>` }, 'Shell keeper'],
  ],
  [
    ['taken below', { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` }],
    [
      'taken by a function',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { useKeeper } from './use'; const { name } = useKeeper();")}<p>{name}</p>`,
        'use.js': "import { getContext } from 'svelte'; export const useKeeper = () => getContext('keeper');",
      },
    ],
    [
      'all are taken',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { getAllContexts } from 'svelte'; const all = getAllContexts();")}<p>{all.size}</p>`,
      },
    ],
    ['something below cannot be seen', { App: `${script(`import Out from 'out'; ${svelteGives}`)}<Out/>` }],
    [
      'asked for',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { hasContext } from 'svelte'; const has = hasContext('keeper');")}<p>{has}</p>`,
      },
    ],
  ],
);

table(
  'context-unread',
  'react',
  [
    [
      'nobody takes it',
      'const Tide = createContext(null);\nfunction Part() { return <p/>; }\nexport function App() { return <Tide.Provider value={1}><Part/></Tide.Provider>; }',
      'App Tide',
    ],
    ['the newer form', 'const Tide = createContext(null);\nexport function App() { return <Tide value={1}><p/></Tide>; }', 'App Tide'],
    [
      'deeper',
      'const Tide = createContext(null);\nfunction Mid() { return <Tide value={1}><p/></Tide>; }\nexport function App() { return <Mid/>; }',
      'Mid Tide',
    ],
  ],
  [
    [
      'taken',
      'const Tide = createContext(null);\nfunction Part() { const t = useContext(Tide); return <p>{t}</p>; }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
    [
      'taken by a hook',
      'const Tide = createContext(null);\nfunction useTide() { return useContext(Tide); }\nfunction Part() { const t = useTide(); return <p>{t}</p>; }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
    [
      'taken by markup',
      'const Tide = createContext(null);\nfunction Part() { return <Tide.Consumer>{(t) => <p>{t}</p>}</Tide.Consumer>; }\nexport function App() { return <Tide.Provider value={1}><Part/></Tide.Provider>; }',
    ],
    ['from outside', "import { Tide } from 'out';\nexport function App() { return <Tide.Provider value={1}><p/></Tide.Provider>; }"],
    [
      'taken by a class',
      'const Tide = createContext(null);\nclass Part extends Component { static contextType = Tide; render() { return <p>{this.context}</p>; } }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
  ],
);
