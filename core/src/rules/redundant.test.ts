import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;
const script = (text: string): string => `<script>${text}</script>`;
const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;
const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const pill = (head: string, body: string): string => `function Pill(${head}) { return <b>${body}</b>; }\n`;
table(
  'prop-idle',
  'react',
  [
    ['never read', pill('{ a, dense }: { a: string; dense?: boolean }', '{a}') + app('<Pill a="1"/>'), 'Pill dense'],
    ['never read, and given', pill('{ a, dense }: { a: string; dense?: boolean }', '{a}') + app('<Pill a="1" dense/>'), 'Pill dense'],
    ['without a type, with a default', pill('{ a, dense = false }', '{a}') + app('<Pill a="1"/>'), 'Pill dense'],
  ],
  [
    ['read in markup', pill('{ dense }: { dense?: boolean }', '{dense ? 1 : 2}') + app('<Pill/>')],
    ['read in a statement', 'function Pill({ dense }) { let a = 1; if (dense) a = 2; return <b>{a}</b>; }\n' + app('<Pill/>')],
    ['handed on', pill('{ dense }: { dense?: boolean }', '<Out dense={dense}/>') + app('<Pill/>')],
    ['the props as a whole', 'function Pill(props: { dense?: boolean }) { return <Out {...props}/>; }\n' + app('<Pill/>')],
    ['left unread on purpose', pill('{ _dense }: { _dense?: boolean }', '1') + app('<Pill/>')],
    ['a callback that is given', pill('{ onOpen }: { onOpen?: () => void }', '1') + app('<Pill onOpen={() => 1}/>')],
    ['taken under another name', pill('{ dense: tight }: { dense?: boolean }', '{tight}') + app('<Pill/>')],
    [
      'of a type that two share',
      'type Props = { dense?: boolean };\nfunction Pill({ dense }: Props) { return <b/>; }\nfunction Tag({ dense }: Props) { return <i>{dense}</i>; }\n' +
        app('<Pill/><Tag/>'),
    ],
  ],
);
const vuePill = (props: string, markup: string): string => `${setup(`defineProps({ ${props} });`)}<template><b>${markup}</b></template>`;
table(
  'prop-idle',
  'vue',
  [
    ['never read', { App: vueApp('<Pill a="1"/>'), Pill: vuePill('a: String, dense: Boolean', '{{ a }}') }, 'Pill dense'],
    ['given by kebab case', { App: vueApp('<Pill :is-dense="true"/>'), Pill: vuePill('isDense: Boolean', '') }, 'Pill isDense'],
    [
      'a list of names',
      { App: vueApp('<Pill a="1"/>'), Pill: `${setup("defineProps(['a', 'dense']);")}<template><b>{{ a }}</b></template>` },
      'Pill dense',
    ],
  ],
  [
    ['read in markup', { App: vueApp('<Pill/>'), Pill: vuePill('dense: Boolean', '{{ dense }}') }],
    [
      'read in script',
      {
        App: vueApp('<Pill/>'),
        Pill: `${setup('const props = defineProps({ dense: Boolean }); print(props.dense);')}<template><b/></template>`,
      },
    ],
    [
      'handed on as a whole',
      {
        App: vueApp('<Pill/>'),
        Pill: `${setup('const props = defineProps({ dense: Boolean });')}<template><b v-bind="props"/></template>`,
      },
    ],
    ['decides what shows', { App: vueApp('<Pill/>'), Pill: vuePill('dense: Boolean', '<i v-if="dense"/>') }],
    ['a style', { App: vueApp('<Pill/>'), Pill: `${vuePill('tone: String', '')}<style scoped>b { color: v-bind(tone); }</style>` }],
  ],
);
const sveltePill = (props: string, markup: string): string => `<script lang="ts">let { ${props} } = $props();</script><b>${markup}</b>`;
table(
  'prop-idle',
  'svelte',
  [
    ['never read', { App: '<Pill a="1"/>', Pill: sveltePill('a, dense', '{a}') }, 'Pill dense'],
    ['with a default', { App: '<Pill a="1"/>', Pill: sveltePill('a, dense = false', '{a}') }, 'Pill dense'],
    ['an older prop', { App: '<Pill a="1"/>', Pill: '<script>export let a; export let dense = false;</script><b>{a}</b>' }, 'Pill dense'],
  ],
  [
    ['read', { App: '<Pill/>', Pill: sveltePill('dense', '{dense}') }],
    ['a class', { App: '<Pill/>', Pill: '<script>let { dense } = $props();</script><b class:dense/>' }],
    ['read in script', { App: '<Pill/>', Pill: '<script>let { dense } = $props(); $effect(() => print(dense));</script><b/>' }],
    ['all that is given', { App: '<Pill/>', Pill: '<script>let props = $props();</script><b {...props}/>' }],
    ['taken under another name', { App: '<Pill/>', Pill: '<script>let { dense: tight } = $props();</script><b>{tight}</b>' }],
  ],
);

table(
  'prop-unused',
  'react',
  [
    [
      'never given',
      pill('{ a, dense = false }: { a: string; dense?: boolean }', '{dense ? a : 1}') + app('<Pill a={location.href}/>'),
      'Pill dense',
    ],
    ['the same in all uses', pill('{ tone }: { tone: string }', '{tone}') + app('<Pill tone="calm"/><Pill tone="calm"/>'), 'Pill tone'],
    ['a number in all uses', pill('{ max }: { max: number }', '{max}') + app('<Pill max={3}/><Pill max={3}/><Pill max={3}/>'), 'Pill max'],
  ],
  [
    [
      'given once',
      pill('{ a, dense = false }: { a: string; dense?: boolean }', '{dense ? a : 1}') + app('<Pill a="1"/><Pill a="2" dense/>'),
    ],
    ['the same in the only use', pill('{ tone }: { tone: string }', '{tone}') + app('<Pill tone="calm"/>')],
    ['one gives a value', pill('{ tone }: { tone: string }', '{tone}') + app('<Pill tone="calm"/><Pill tone={pick()}/>')],
    ['spread over', pill('{ dense = false }: { dense?: boolean }', '{dense}') + app('<Pill {...load()}/>')],
    [
      'handed on as a value',
      `${pill('{ dense = false }: { dense?: boolean }', '{dense}')}export function App() { return <main><Pill/><Out as={Pill}/></main>; }`,
    ],
    ['a class', pill('{ className = "" }: { className?: string }', '{className}') + app('<Pill/>')],
    ['needed and left out is another matter', pill('{ boat }: { boat?: { name: string } }', '{boat.name}') + app('<Pill/>')],
  ],
);
table(
  'prop-unused',
  'vue',
  [
    [
      'never given',
      { App: vueApp('<Pill a="1"/>'), Pill: vuePill('a: String, dense: Boolean', '<i v-if="dense">{{ a }}</i>') },
      'Pill dense',
    ],
    [
      'the same in all uses',
      { App: vueApp('<Pill tone="calm"/><Pill tone="calm"/>'), Pill: vuePill('tone: String', '{{ tone }}') },
      'Pill tone',
    ],
    ['bound to the same', { App: vueApp('<Pill :max="3"/><Pill :max="3"/>'), Pill: vuePill('max: Number', '{{ max }}') }, 'Pill max'],
  ],
  [
    ['given by kebab case', { App: vueApp('<Pill is-dense/>'), Pill: vuePill('isDense: Boolean', '<i v-if="isDense"/>') }],
    [
      'an object is given',
      { App: vueApp('<Pill v-bind="a"/>', 'const a = load();'), Pill: vuePill('dense: Boolean', '<i v-if="dense"/>') },
    ],
    ['other constants', { App: vueApp('<Pill tone="calm"/><Pill tone="loud"/>'), Pill: vuePill('tone: String', '{{ tone }}') }],
    [
      'chosen while running',
      {
        App: vueApp('<component :is="it"/><Pill/>', "import Pill from './Pill.vue'; const it = Pill;"),
        Pill: vuePill('dense: Boolean', '<i v-if="dense"/>'),
      },
    ],
    [
      'two-way',
      {
        App: vueApp('<Pill v-model="a"/>', 'const a = ref(1);'),
        Pill: `${setup('const model = defineModel();')}<template><input v-model="model"/></template>`,
      },
    ],
  ],
);
table(
  'prop-unused',
  'svelte',
  [
    ['never given', { App: '<Pill a="1"/>', Pill: sveltePill('a, dense = false', '{#if dense}{a}{/if}') }, 'Pill dense'],
    ['the same in all uses', { App: '<Pill tone="calm"/><Pill tone="calm"/>', Pill: sveltePill('tone', '{tone}') }, 'Pill tone'],
    ['an older prop', { App: '<Pill/>', Pill: '<script>export let dense = false;</script>{#if dense}<b/>{/if}' }, 'Pill dense'],
  ],
  [
    ['given', { App: '<Pill dense/>', Pill: sveltePill('dense = false', '{dense}') }],
    [
      'bound',
      { App: '<script>let open = $state(false);</script><Pill bind:open/>', Pill: sveltePill('open = $bindable(false)', '{open}') },
    ],
    ['all of an object', { App: '<script>const a = load();</script><Pill {...a}/>', Pill: sveltePill('dense = false', '{dense}') }],
    [
      'short',
      { App: '<script>const dense = load();</script><Pill {dense}/><Pill {dense}/>', Pill: sveltePill('dense = false', '{dense}') },
    ],
    ['other constants', { App: '<Pill tone="calm"/><Pill tone="loud"/>', Pill: sveltePill('tone', '{tone}') }],
  ],
);

const emits = (events: string, does = ''): string =>
  `${setup(`const emit = defineEmits([${events}]); ${does}`)}<template><b @click="emit('clear')">x</b></template>`;
table(
  'event-idle',
  'vue',
  [
    ['declared alone', { App: vueApp('<Pill @clear="go"/>', 'const go = () => 1;'), Pill: emits("'clear', 'hover'") }, 'Pill @hover'],
    [
      'by a type',
      {
        App: vueApp('<Pill/>'),
        Pill: '<script setup lang="ts">const emit = defineEmits<{ hover: [] }>();</script><template><b/></template>',
      },
      'Pill @hover',
    ],
    [
      'the update of a prop',
      { App: vueApp('<Pill/>'), Pill: `${setup("defineEmits(['update:open']);")}<template><b/></template>` },
      'Pill @update:open',
    ],
  ],
  [
    ['raised', { App: vueApp('<Pill/>'), Pill: emits("'clear'") }],
    ['raised in script', { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", "setTimeout(() => emit('hover'), 1);") }],
    ['somebody listens', { App: vueApp('<Pill @hover="go"/>', 'const go = () => 1;'), Pill: emits("'clear', 'hover'") }],
    ['what raises is handed on', { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", 'useHover(emit);') }],
    ['all listeners of an object', { App: vueApp('<Pill v-on="all"/>', 'const all = load();'), Pill: emits("'clear', 'hover'") }],
    [
      'raised by a name that is computed',
      { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", 'const tell = (name) => emit(name);') },
    ],
  ],
);

table(
  'slot-idle',
  'react',
  [
    ['content', 'function Box({ children }: { children?: ReactNode }) { return <p>{children}</p>; }\n' + app('<Box/>'), 'Box children'],
    [
      'a part that is given',
      'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box/>'),
      'Box footer',
    ],
    [
      'of several uses',
      'function Box({ footer, a }: { footer?: ReactNode; a: string }) { return <p>{a}{footer}</p>; }\n' + app('<Box a="1"/><Box a="2"/>'),
      'Box footer',
    ],
  ],
  [
    ['filled', 'function Box({ children }: { children?: ReactNode }) { return <p>{children}</p>; }\n' + app('<Box>a</Box>')],
    ['filled once', 'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box/><Box footer={<i/>}/>')],
    [
      'something shows in its place',
      'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer ?? <i/>}</p>; }\n' + app('<Box footer="x"/>'),
    ],
    ['spread over', 'function Box({ footer }: { footer?: ReactNode }) { return <p>{footer}</p>; }\n' + app('<Box {...load()}/>')],
    ['any value that is shown', 'function Box({ a }) { return <p>{a}</p>; }\n' + app('<Box/>')],
  ],
);
table(
  'slot-idle',
  'vue',
  [
    ['content', { App: vueApp('<Box/>'), Box: '<template><p><slot/></p></template>' }, 'Box children'],
    ['named', { App: vueApp('<Box>a</Box>'), Box: '<template><p><slot/><slot name="foot"/></p></template>' }, 'Box #foot'],
    ['of several uses', { App: vueApp('<Box/><Box/>'), Box: '<template><p><slot name="foot"/></p></template>' }, 'Box #foot'],
    [
      'handed on to a place that shows nothing instead',
      {
        App: vueApp('<Box/>'),
        Box: '<template><p><Rim><template v-if="$slots.foot" #foot><slot name="foot"/></template></Rim></p></template>',
        Rim: '<template><p><slot name="foot"/></p></template>',
      },
      'Box #foot',
    ],
  ],
  [
    ['filled', { App: vueApp('<Box>a</Box>'), Box: '<template><p><slot/></p></template>' }],
    [
      'handed on to a place that shows something else instead',
      {
        App: vueApp('<Box/>'),
        Box: '<template><p><Rim><template v-if="$slots.foot" #foot><slot name="foot"/></template></Rim></p></template>',
        Rim: '<template><p><slot name="foot">none</slot></p></template>',
      },
    ],
    [
      'named and filled',
      { App: vueApp('<Box><template #foot>a</template></Box>'), Box: '<template><p><slot name="foot"/></p></template>' },
    ],
    ['with something in its place', { App: vueApp('<Box/>'), Box: '<template><p><slot>Nothing.</slot></p></template>' }],
    ['a name known while running', { App: vueApp('<Box/>'), Box: '<template><p><slot :name="pick()"/></p></template>' }],
    [
      'given a name while running',
      {
        App: vueApp('<Box><template #[a]>x</template></Box>', 'const a = load();'),
        Box: '<template><p><slot name="foot"/></p></template>',
      },
    ],
  ],
);
table(
  'slot-idle',
  'svelte',
  [
    ['content', { App: '<Box/>', Box: '<p><slot/></p>' }, 'Box children'],
    ['a snippet', { App: '<Box/>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' }, 'Box foot'],
    ['named', { App: '<Box>a</Box>', Box: '<p><slot/><slot name="foot"/></p>' }, 'Box #foot'],
  ],
  [
    ['filled', { App: '<Box>a</Box>', Box: '<p><slot/></p>' }],
    [
      'a snippet is given',
      { App: '<Box>{#snippet foot()}a{/snippet}</Box>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' },
    ],
    ['named and filled', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot name="foot"/></p>' }],
    ['with something in its place', { App: '<Box/>', Box: '<p><slot>Nothing.</slot></p>' }],
    [
      'all of an object',
      { App: '<script>const a = load();</script><Box {...a}/>', Box: '<script>let { foot } = $props();</script><p>{@render foot?.()}</p>' },
    ],
  ],
);

const reactFiles = (more: Readonly<Record<string, string>>, markup: string, before = ''): Readonly<Record<string, string>> => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': app(markup, before),
  ...more,
});
table(
  'component-idle',
  'react',
  [
    ['a file of its own', reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }' }, '<i/>'), 'Old Old'],
    [
      'with what it alone renders',
      reactFiles(
        {
          'src/Old.tsx': "import { Row } from './Row';\nexport function Old() { return <Row/>; }",
          'src/Row.tsx': 'export function Row() { return <p/>; }',
        },
        '<i/>',
      ),
      'Old Old',
    ],
    ['a default export', reactFiles({ 'src/Old.tsx': 'export default function Old() { return <p/>; }' }, '<i/>'), 'Old Old'],
  ],
  [
    ['rendered', reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }' }, '<Old/>', "import { Old } from './Old';\n")],
    [
      'imported as a value',
      reactFiles(
        {
          'src/Old.tsx': 'export function Old() { return <p/>; }',
          'src/table.ts': "import { Old } from './Old';\nexport const table = { Old };",
        },
        '<i/>',
      ),
    ],
    [
      'loaded later',
      reactFiles({ 'src/Old.tsx': 'export default function Old() { return <p/>; }' }, '<i/>', "const load = () => import('./Old');\n"),
    ],
    [
      'found by a pattern',
      reactFiles(
        { 'src/parts/Old.tsx': 'export default function Old() { return <p/>; }' },
        '<i/>',
        "const all = import.meta.glob('./parts/*.tsx');\n",
      ),
    ],
    [
      'handed on by another file',
      reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }', 'src/index.ts': "export { Old } from './Old';" }, '<i/>'),
    ],
    ['a library', { 'package.json': '{}', 'src/Old.tsx': 'export function Old() { return <p/>; }' }],
    ['a test', reactFiles({ 'src/Old.test.tsx': 'export function Old() { return <p/>; }' }, '<i/>')],
  ],
);
table(
  'component-idle',
  'vue',
  [
    ['a file of its own', { App: vueApp('<i/>'), Old: '<template><p/></template>' }, 'Old Old'],
    ['with a script', { App: vueApp('<i/>'), Old: `${setup('const a = 1;')}<template><p>{{ a }}</p></template>` }, 'Old Old'],
    [
      'that renders others',
      { App: vueApp('<Row/>'), Row: '<template><p/></template>', Old: `${setup('')}<template><Row/></template>` },
      'Old Old',
    ],
  ],
  [
    ['rendered', { App: vueApp('<Old/>'), Old: '<template><p/></template>' }],
    [
      'loaded later',
      { App: vueApp('<i/>', "const it = defineAsyncComponent(() => import('./Old.vue'));"), Old: '<template><p/></template>' },
    ],
    [
      'registered for all',
      {
        App: vueApp('<i/>'),
        Old: '<template><p/></template>',
        'all.js': "import Old from './Old.vue'; export default { install: (app) => app.component('Old', Old) };",
      },
    ],
    ['a page by its place', { App: vueApp('<i/>'), 'pages/Old.vue': '<template><p/></template>' }],
    [
      'found by a pattern',
      { App: vueApp('<i/>', "const all = import.meta.glob('./parts/*.vue');"), 'parts/Old.vue': '<template><p/></template>' },
    ],
  ],
);
table(
  'component-idle',
  'svelte',
  [
    ['a file of its own', { App: '<i/>', Old: '<p/>' }, 'Old Old'],
    ['with a script', { App: '<i/>', Old: '<script>let a = 1;</script><p>{a}</p>' }, 'Old Old'],
    ['that renders others', { App: '<Row/>', Row: '<p/>', Old: '<Row/>' }, 'Old Old'],
  ],
  [
    ['rendered', { App: '<Old/>', Old: '<p/>' }],
    ['loaded later', { App: "<script>const it = import('./Old.svelte');</script><i/>", Old: '<p/>' }],
    ['imported by script', { App: '<i/>', Old: '<p/>', 'open.js': "import Old from './Old.svelte'; export const open = () => Old;" }],
    ['a page by its place', { App: '<i/>', 'routes/+page.svelte': '<p/>' }],
    ['handed on by another file', { App: '<i/>', Old: '<p/>', 'parts.js': "export { default as Old } from './Old.svelte';" }],
  ],
);

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

table(
  'wrapper-empty',
  'react',
  [
    ['a fragment around one element', 'export function App() { return <><main/></>; }', 'App fragment'],
    ['a fragment around a part', 'function Row() { return <p/>; }\nexport function App() { return <>\n<Row/>\n</>; }', 'App fragment'],
    [
      'a provider that gives what it took',
      `const Keeper = createContext(null);\nfunction Row() { const a = useContext(Keeper); return a; }\nfunction Shell({ children }) { const keeper = useContext(Keeper); return <Keeper value={keeper}>{children}</Keeper>; }\n${app('<Keeper value={1}><Shell><Row/></Shell></Keeper>')}`,
      'Shell Keeper',
    ],
  ],
  [
    ['around two', 'export function App() { return <><main/><i/></>; }'],
    ['around a text and an element', 'export function App() { return <>Boats <b/></>; }'],
    ['around an expression and an element', "export function App() { return <>{t('a')} <b/></>; }"],
    ['around a condition', 'export function App({ a }) { return <>{a && <b/>}</>; }'],
    ['around content', 'export function App({ children }) { return <>{children}</>; }'],
    ['with a key', 'export function App({ all }) { return all.map((one) => <Fragment key={one}><b/></Fragment>); }'],
    [
      'a provider that gives another value',
      `const Keeper = createContext(null);\nfunction Row() { const a = useContext(Keeper); return a; }\nfunction Shell({ children }) { const keeper = useContext(Keeper); return <Keeper value={keeper.next}>{children}</Keeper>; }\n${app('<Keeper value={1}><Shell><Row/></Shell></Keeper>')}`,
    ],
  ],
);

const row = 'function Row({ onPick }) { return <b onClick={() => onPick(1)}/>; }\n';
table(
  'event-relayed',
  'react',
  [
    [
      'twice',
      `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
      'Day onPick',
    ],
    [
      'by named functions',
      `${row}function Day({ onPick }) { const pick = (id) => onPick(id); return <Row onPick={pick}/>; }\nfunction List({ onPick }) { const pick = (id) => onPick(id); return <Day onPick={pick}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
      'Day onPick',
    ],
    [
      'under another name',
      `${row}function Day({ onChoose }) { return <Row onPick={(id) => onChoose(id)}/>; }\nfunction List({ onTake }) { return <Day onChoose={(id) => onTake(id)}/>; }\n${app('<List onTake={(id) => print(id)}/>')}`,
      'Day onChoose',
    ],
  ],
  [
    ['once', `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id)}/>; }\n${app('<Day onPick={(id) => print(id)}/>')}`],
    [
      'by reference',
      `${row}function Day({ onPick }) { return <Row onPick={onPick}/>; }\nfunction List({ onPick }) { return <Day onPick={onPick}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with something added',
      `${row}function Day({ onPick, day }) { return <Row onPick={(id) => onPick(id, day)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id, day) => onPick(id, day)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with a change',
      `${row}function Day({ onPick }) { const [a, setA] = useState(1); return <Row onPick={(id) => { setA(id); onPick(id); }}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with another value',
      `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id + 1)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
  ],
);
const vueRelay = (below: string, markup: string): string =>
  `${setup(`const emit = defineEmits(['pick']); ${below}`)}<template><p>${markup}</p></template>`;
table(
  'event-relayed',
  'vue',
  [
    [
      'twice',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
      'Day @pick',
    ],
    [
      'by functions',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="(id) => emit(\'pick\', id)"/>'),
        Day: vueRelay('', '<Row @pick="(id) => emit(\'pick\', id)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
      'Day @pick',
    ],
    [
      'without a value',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\')"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\')"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\')"/>'),
      },
      'Day @pick',
    ],
  ],
  [
    [
      'once',
      {
        App: vueApp('<Day @pick="go"/>', 'const go = () => 1;'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'with another value',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', 2)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'and raised otherwise',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/><i @click="emit(\'pick\', 3)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'from two children',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/><Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'from an element',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<b @click="emit(\'pick\', $event)"/>'),
      },
    ],
  ],
);
const dispatches = "import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();";
table(
  'event-relayed',
  'svelte',
  [
    [
      'forwarded twice',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: '<Day on:pick/>',
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
      'Day on:pick',
    ],
    [
      'dispatched again',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: `${script(dispatches)}<Day on:pick={(e) => dispatch('pick', e.detail)}/>`,
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
      'Day on:pick',
    ],
    [
      'callbacks',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props();</script><Day onpick={(id) => onpick(id)}/>',
        Day: '<script>let { onpick } = $props();</script><Row onpick={(id) => onpick(id)}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
      'Day onpick',
    ],
  ],
  [
    [
      'once',
      {
        App: '<script>const go = () => 1;</script><Day on:pick={go}/>',
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
    ],
    [
      'with another value',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: `${script(dispatches)}<Day on:pick={(e) => dispatch('pick', e.detail + 1)}/>`,
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
    ],
    [
      'callbacks by reference',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props();</script><Day {onpick}/>',
        Day: '<script>let { onpick } = $props();</script><Row {onpick}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
    ],
    [
      'events of the platform',
      { App: '<script>const go = () => 1;</script><List on:click={go}/>', List: '<Day on:click/>', Day: '<button on:click>x</button>' },
    ],
    [
      'with a change',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props(); let a = $state(1);</script><Day onpick={(id) => { a = id; onpick(id); }}/>{a}',
        Day: '<script>let { onpick } = $props();</script><Row onpick={(id) => onpick(id)}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
    ],
  ],
);
