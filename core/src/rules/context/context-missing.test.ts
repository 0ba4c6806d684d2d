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

const keeper = 'const K = createContext(null);\nfunction Menu() { const { name } = useContext(K); return <p>{name}</p>; }\n';

table(
  'context-missing',
  'vue',
  [
    [
      'nobody provides',
      { App: `${setup('')}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
      'Menu key',
    ],
    [
      'provided beside it',
      {
        App: `${setup('')}<template><Shell/><Menu/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`,
        ...vueKey,
      },
      'Menu key',
    ],
    [
      'provided below it',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}<Shell/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        ...vueKey,
      },
      'Menu key',
    ],
  ],
  [
    [
      'provided above',
      { App: `${setup(provides)}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
    ],
    [
      'with a default',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper.replace('inject(key)', 'inject(key, { name: 1 })'))}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'asked whether it is there',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup("import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key); const name = keeper ? keeper.name : '';")}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'provided through a slot’s parent',
      {
        App: `${setup('')}<template><Shell><Menu/></Shell></template>`,
        Shell: `${setup(provides)}<template><slot/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'read in a way that is optional',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup("import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key);")}<template>{{ keeper?.name }}</template>`,
        ...vueKey,
      },
    ],
  ],
);

table(
  'context-missing',
  'svelte',
  [
    ['nobody provides', { App: '<Menu/>', Menu: `${script(svelteTakes)}<p>{name}</p>` }, 'Menu keeper'],
    [
      'provided beside it',
      { App: '<Shell/><Menu/>', Shell: `${script(svelteGives)}<p/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` },
      'Menu keeper',
    ],
    [
      'under another key',
      { App: `${script(svelteGives.replace("'keeper'", "'boat'"))}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` },
      'Menu keeper',
    ],
  ],
  [
    ['provided above', { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` }],
    [
      'provided by whose content it is',
      {
        App: '<Shell><Menu/></Shell>',
        Shell: `${script(`${svelteGives} let { children } = $props();`)}{@render children()}`,
        Menu: `${script(svelteTakes)}<p>{name}</p>`,
      },
    ],
    [
      'asked whether it is there',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext, hasContext } from 'svelte'; const name = hasContext('keeper') ? getContext('keeper').name : '';")}<p>{name}</p>`,
      },
    ],
    [
      'read in a way that is optional',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext } from 'svelte'; const keeper = getContext('keeper');")}<p>{keeper?.name}</p>`,
      },
    ],
    [
      'a key that is computed',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext } from 'svelte'; let { key } = $props(); const { name } = getContext(key);")}<p>{name}</p>`,
      },
    ],
  ],
);

table(
  'context-missing',
  'react',
  [
    ['no provider', `${keeper}export function App() { return <Menu/>; }`, 'Menu K'],
    ['a provider beside it', `${keeper}export function App() { return <><K.Provider value={1}><p/></K.Provider><Menu/></>; }`, 'Menu K'],
    [
      'the owner provides, the parent does not',
      `${keeper}function Frame({ children }) { return <><K value={1}><p/></K>{children}</>; }\nexport function App() { return <Frame><Menu/></Frame>; }`,
      'Menu K',
    ],
  ],
  [
    ['provided above', `${keeper}export function App() { return <K.Provider value={1}><Menu/></K.Provider>; }`],
    [
      'provided by the parent of its slot',
      `${keeper}function Frame({ children }) { return <K value={1}>{children}</K>; }\nexport function App() { return <Frame><Menu/></Frame>; }`,
    ],
    [
      'a default',
      'const K = createContext({ name: "-" });\nfunction Menu() { const { name } = useContext(K); return <p>{name}</p>; }\nexport function App() { return <Menu/>; }',
    ],
    [
      'guarded',
      'const K = createContext(null);\nfunction Menu() { const k = useContext(K); return k ? <p>{k.name}</p> : null; }\nexport function App() { return <Menu/>; }',
    ],
    ['below something that cannot be followed', `${keeper}export function App({ as: As }) { return <As><Menu/></As>; }`],
    [
      'below a wrapper that may provide',
      `${keeper}const Frame = withKeeper(({ children }) => <p>{children}</p>);\nexport function App() { return <Frame><Menu/></Frame>; }`,
    ],
    [
      'mounted with a provider in main',
      `export ${keeper.replace('const K', 'const K')}export function App() { return <Other/>; }\nfunction Other() { return <p/>; }`,
    ],
  ],
);

table(
  'context-missing',
  'react',
  [
    [
      'taken by a class, and a member of it is read',
      'const K = createContext();\nclass Lamp extends React.Component { static contextType = K; render() { return <p>{this.context.colour}</p>; } }\nexport function App() { return <Lamp/>; }',
      'Lamp K',
    ],
    [
      'a function that is called when something happens',
      'const K = createContext(null);\nconst useSend = () => useContext(K);\nfunction Add() { const send = useSend(); return <p onClick={() => send(1)}/>; }\nexport function App() { return <Add/>; }',
      'Add K',
    ],
  ],
  [
    [
      'taken by a class that asks for it first',
      'const K = createContext();\nclass Lamp extends React.Component { static contextType = K; render() { return <p>{this.context?.colour}</p>; } }\nexport function App() { return <Lamp/>; }',
    ],
    [
      'a function that is called if there is one',
      'const K = createContext(null);\nconst useSend = () => useContext(K);\nfunction Add() { const send = useSend(); return <p onClick={() => send?.(1)}/>; }\nexport function App() { return <Add/>; }',
    ],
  ],
);

table(
  'context-missing',
  'vue',
  [
    [
      'a key in the options',
      {
        App: '<template><Row/></template>',
        Row: '<script>export default { inject: ["keeper"] };</script><template><p>{{ keeper }}</p></template>',
      },
      'Row keeper',
    ],
  ],
  [
    [
      'a default in the options',
      {
        App: '<template><Row/></template>',
        Row: '<script>export default { inject: { keeper: { default: 1 } } };</script><template><p>{{ keeper }}</p></template>',
      },
    ],
  ],
);
