import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const vuePill = (props: string, markup: string): string => `${setup(`defineProps({ ${props} });`)}<template><b>${markup}</b></template>`;

const sveltePill = (props: string, markup: string): string => `<script lang="ts">let { ${props} } = $props();</script><b>${markup}</b>`;

const chart = 'function Chart({ a, b }: { a: string; b?: string }) { return <p>{a}{b}</p>; }\n';

table(
  'wrapper-thin',
  'react',
  [
    [
      'all props',
      `${chart}function Frame(props: { a: string }) { return <Chart {...props}/>; }\n${app('<Frame a={load()}/>')}`,
      'Frame Frame',
    ],
    [
      'by name',
      `${chart}function Frame({ a, b }: { a: string; b: string }) { return <Chart a={a} b={b}/>; }\n${app('<Frame a="1" b="2"/>')}`,
      'Frame Frame',
    ],
    [
      'with its content',
      `function Box({ children }) { return <p>{children}</p>; }\nfunction Frame({ children }) { return <Box>{children}</Box>; }\n${app('<Frame>a</Frame>')}`,
      'Frame Frame',
    ],
  ],
  [
    ['it adds a prop', `${chart}function Frame({ a }: { a: string }) { return <Chart a={a} b="x"/>; }\n${app('<Frame a="1"/>')}`],
    ['under another name', `${chart}function Frame({ word }: { word: string }) { return <Chart a={word}/>; }\n${app('<Frame word="1"/>')}`],
    ['with a default', `${chart}function Frame({ a = 'x' }: { a?: string }) { return <Chart a={a}/>; }\n${app('<Frame a="1"/>')}`],
    ['an element around', `${chart}function Frame({ a }: { a: string }) { return <div><Chart a={a}/></div>; }\n${app('<Frame a="1"/>')}`],
    [
      'state of its own',
      `${chart}function Frame({ a }: { a: string }) { const [b] = useState(1); return <Chart a={a}/>; }\n${app('<Frame a="1"/>')}`,
    ],
    ['loaded later', `const Frame = lazy(() => import('./Chart'));\n${app('<Frame a="1"/>')}`],
    ['memoised', `${chart}const Frame = memo(({ a }: { a: string }) => <Chart a={a}/>);\n${app('<Frame a="1"/>')}`],
    ['nothing is handed on', `${chart}function Page() { return <Chart a="1"/>; }\n${app('<Page/>')}`],
  ],
);

table(
  'wrapper-thin',
  'vue',
  [
    [
      'what falls through',
      { App: vueApp('<Frame a="1"/>'), Frame: `${setup('')}<template><Chart/></template>`, Chart: vuePill('a: String', '{{ a }}') },
      'Frame Frame',
    ],
    [
      'by name',
      {
        App: vueApp('<Frame a="1"/>'),
        Frame: `${setup('defineProps({ a: String });')}<template><Chart :a="a"/></template>`,
        Chart: vuePill('a: String', '{{ a }}'),
      },
      'Frame Frame',
    ],
    [
      'with its content',
      {
        App: vueApp('<Frame>x</Frame>'),
        Frame: `${setup('')}<template><Chart><slot/></Chart></template>`,
        Chart: '<template><p><slot/></p></template>',
      },
      'Frame Frame',
    ],
  ],
  [
    [
      'it adds a prop',
      {
        App: vueApp('<Frame a="1"/>'),
        Frame: `${setup('defineProps({ a: String });')}<template><Chart :a="a" b="2"/></template>`,
        Chart: vuePill('a: String, b: String', '{{ a }}{{ b }}'),
      },
    ],
    [
      'an element around',
      { App: vueApp('<Frame a="1"/>'), Frame: `${setup('')}<template><p><Chart/></p></template>`, Chart: vuePill('a: String', '{{ a }}') },
    ],
    [
      'it provides',
      {
        App: vueApp('<Frame a="1"/>'),
        Frame: `${setup("provide('a', 1);")}<template><Chart/></template>`,
        Chart: vuePill('a: String', '{{ a }}'),
      },
    ],
    [
      'a condition',
      {
        App: vueApp('<Frame a="1"/>'),
        Frame: `${setup('')}<template><Chart v-if="ready()"/></template>`,
        Chart: vuePill('a: String', '{{ a }}'),
      },
    ],
    [
      'something else as well',
      { App: vueApp('<Frame a="1"/>'), Frame: `${setup('')}<template><Chart/><i/></template>`, Chart: vuePill('a: String', '{{ a }}') },
    ],
  ],
);

table(
  'wrapper-thin',
  'svelte',
  [
    [
      'all props',
      { App: '<Frame a="1"/>', Frame: '<script>let props = $props();</script><Chart {...props}/>', Chart: sveltePill('a', '{a}') },
      'Frame Frame',
    ],
    [
      'by name',
      { App: '<Frame a="1"/>', Frame: '<script>let { a } = $props();</script><Chart {a}/>', Chart: sveltePill('a', '{a}') },
      'Frame Frame',
    ],
    ['the older way', { App: '<Frame a="1"/>', Frame: '<Chart {...$$props}/>', Chart: sveltePill('a', '{a}') }, 'Frame Frame'],
  ],
  [
    [
      'it adds a prop',
      { App: '<Frame a="1"/>', Frame: '<script>let { a } = $props();</script><Chart {a} b="2"/>', Chart: sveltePill('a, b', '{a}{b}') },
    ],
    [
      'an element around',
      { App: '<Frame a="1"/>', Frame: '<script>let { a } = $props();</script><p><Chart {a}/></p>', Chart: sveltePill('a', '{a}') },
    ],
    [
      'a default',
      { App: '<Frame a="1"/>', Frame: '<script>let { a = 1 } = $props();</script><Chart {a}/>', Chart: sveltePill('a', '{a}') },
    ],
    [
      'it provides',
      {
        App: '<Frame a="1"/>',
        Frame: "<script>import { setContext } from 'svelte'; let { a } = $props(); setContext('a', 1);</script><Chart {a}/>",
        Chart: sveltePill('a', '{a}'),
      },
    ],
    [
      'a condition',
      { App: '<Frame a="1"/>', Frame: '<script>let { a } = $props();</script>{#if a}<Chart {a}/>{/if}', Chart: sveltePill('a', '{a}') },
    ],
  ],
);
