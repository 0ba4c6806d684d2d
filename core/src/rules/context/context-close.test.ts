import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const count = 'const Count = createContext(null);\nfunction Sum() { const n = useContext(Count); return <b>{n}</b>; }\n';

const vueKey = { 'key.js': "export const key = Symbol('key');" };

const vueGives = "import { provide } from 'vue'; import { key } from './key'; provide(key, 2);";

const vueSum = `${setup("import { inject } from 'vue'; import { key } from './key'; const n = inject(key);")}<template><b>{{ n }}</b></template>`;

const svelteGives = "import { setContext } from 'svelte'; setContext('n', 2);";

const svelteSum = "<script>import { getContext } from 'svelte'; const n = getContext('n');</script><b>{n}</b>";

table(
  'context-close',
  'react',
  [
    ['right below', app('<Count value={2}><Sum/></Count>', '', count), 'App Count'],
    ['in an element', app('<Count value={2}><p><Sum/></p></Count>', '', count), 'App Count'],
    ['one part between', app('<Count value={2}><Box/></Count>', '', `${count}function Box() { return <Sum/>; }\n`), 'App Count'],
  ],
  [
    [
      'two take it',
      app('<Count value={2}><Sum/><Other/></Count>', '', `${count}function Other() { const n = useContext(Count); return <i>{n}</i>; }\n`),
    ],
    ['in two places', app('<Count value={2}><Sum/><Sum/></Count>', '', count)],
    [
      'far below',
      app(
        '<Count value={2}><A/></Count>',
        '',
        `${count}function A() { return <B/>; }\nfunction B() { return <C/>; }\nfunction C() { return <Sum/>; }\n`,
      ),
    ],
    [
      'content of another',
      `${count}function Shell({ children }) { return <Count value={2}>{children}</Count>; }\n${app('<Shell><Sum/></Shell>')}`,
    ],
    ['two providers', app('<Count value={2}><Sum/></Count><Count value={3}><i/></Count>', '', count)],
    ['in a list', app('<Count value={2}>{all.map((one) => <Sum key={one}/>)}</Count>', '', count)],
  ],
);

table(
  'context-close',
  'vue',
  [
    ['right below', { App: vueApp('<Sum/>', vueGives), Sum: vueSum, ...vueKey }, 'App key'],
    ['in an element', { App: vueApp('<p><Sum/></p>', vueGives), Sum: vueSum, ...vueKey }, 'App key'],
    ['one part between', { App: vueApp('<Box/>', vueGives), Box: vueApp('<Sum/>'), Sum: vueSum, ...vueKey }, 'App key'],
  ],
  [
    ['in two places', { App: vueApp('<Sum/><Sum/>', vueGives), Sum: vueSum, ...vueKey }],
    ['two take it', { App: vueApp('<Sum/><Other/>', vueGives), Sum: vueSum, Other: vueSum, ...vueKey }],
    [
      'content of another',
      { App: vueApp('<Shell><Sum/></Shell>'), Shell: `${setup(vueGives)}<template><p><slot/></p></template>`, Sum: vueSum, ...vueKey },
    ],
    ['in a list', { App: vueApp('<Sum v-for="one in all" :key="one"/>', `${vueGives} const all = load();`), Sum: vueSum, ...vueKey }],
    ['far below', { App: vueApp('<A/>', vueGives), A: vueApp('<B/>'), B: vueApp('<C/>'), C: vueApp('<Sum/>'), Sum: vueSum, ...vueKey }],
  ],
);

table(
  'context-close',
  'svelte',
  [
    ['right below', { App: `${script(svelteGives)}<Sum/>`, Sum: svelteSum }, 'App n'],
    ['in an element', { App: `${script(svelteGives)}<p><Sum/></p>`, Sum: svelteSum }, 'App n'],
    ['one part between', { App: `${script(svelteGives)}<Box/>`, Box: '<p><Sum/></p>', Sum: svelteSum }, 'App n'],
  ],
  [
    ['in two places', { App: `${script(svelteGives)}<Sum/><Sum/>`, Sum: svelteSum }],
    ['two take it', { App: `${script(svelteGives)}<Sum/><Other/>`, Sum: svelteSum, Other: svelteSum }],
    [
      'content of another',
      {
        App: '<Shell><Sum/></Shell>',
        Shell: `${script(`${svelteGives} let { children } = $props();`)}{@render children()}`,
        Sum: svelteSum,
      },
    ],
    ['in a list', { App: `${script(`${svelteGives} const all = load();`)}{#each all as one (one)}<Sum/>{/each}`, Sum: svelteSum }],
    ['far below', { App: `${script(svelteGives)}<A/>`, A: '<p><B/></p>', B: '<p><C/></p>', C: '<p><Sum/></p>', Sum: svelteSum }],
  ],
);
