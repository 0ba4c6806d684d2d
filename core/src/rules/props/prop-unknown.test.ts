import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const vueGauge = `${setup('defineProps({ maxLevel: Number });')}<template><p>{{ maxLevel }}</p><b/></template>`;

const svelteGauge = '<script>let { maxLevel } = $props();</script><p>{maxLevel}</p>';

const row = 'function Row({ eta, boat }: { eta: string; boat?: string }) { return <p>{eta}{boat}</p>; }\n';

table(
  'prop-unknown',
  'vue',
  [
    ['several roots', { App: `${setup('')}<template><Gauge tone="calm"/></template>`, Gauge: vueGauge }, 'App tone'],
    [
      'not inherited',
      {
        App: `${setup('')}<template><Gauge tone="calm"/></template>`,
        Gauge: `${setup('defineOptions({ inheritAttrs: false });')}<template><p/></template>`,
      },
      'App tone',
    ],
    ['bound', { App: `${setup('const a = 1;')}<template><Gauge :tone="a"/></template>`, Gauge: vueGauge }, 'App tone'],
    [
      'beside events of a type of another file',
      {
        App: `${setup('')}<template><Gauge tone="calm"/></template>`,
        Gauge:
          '<script setup lang="ts">import type { Events } from "./events"; const emit = defineEmits<Events>(); emit("clear");</script><template><p/><b/></template>',
        'events.ts': 'export type Events = { clear: [] };',
      },
      'App tone',
    ],
  ],
  [
    ['declared', { App: `${setup('')}<template><Gauge :max-level="1"/></template>`, Gauge: vueGauge }],
    [
      'class and style of one root',
      { App: `${setup('')}<template><Gauge class="a" style="b"/></template>`, Gauge: '<template><p/></template>' },
    ],
    [
      'data and aria on one root',
      { App: `${setup('')}<template><Gauge data-a="1" aria-label="b"/></template>`, Gauge: '<template><p/></template>' },
    ],
    [
      'attributes are placed',
      { App: `${setup('')}<template><Gauge tone="calm"/></template>`, Gauge: '<template><p v-bind="$attrs"/><b/></template>' },
    ],
    [
      'one of two roots at a time',
      {
        App: `${setup('')}<template><Gauge title="calm"/></template>`,
        Gauge: `${setup('const a = 1;')}<template><p v-if="a"/><b v-else/></template>`,
      },
    ],
    [
      'keys and refs',
      { App: `${setup('const all = [1];')}<template><Gauge v-for="one in all" :key="one" ref="it"/></template>`, Gauge: vueGauge },
    ],
  ],
);

table(
  'prop-unknown',
  'svelte',
  [
    ['not declared', { App: '<Gauge tone="calm"/>', Gauge: svelteGauge }, 'App tone'],
    [
      'not exported',
      { App: '<Gauge tone="calm"/>', Gauge: '<script>export let maxLevel; let tone = 1;</script><p>{maxLevel}{tone}</p>' },
      'App tone',
    ],
    ['a callback', { App: '<script>const go = () => 1;</script><Gauge onopen={go}/>', Gauge: svelteGauge }, 'App onopen'],
  ],
  [
    ['declared', { App: '<Gauge maxLevel={1}/>', Gauge: svelteGauge }],
    ['a variable of styles', { App: '<Gauge --tone="calm"/>', Gauge: svelteGauge }],
    [
      'the rest is taken',
      { App: '<Gauge tone="calm"/>', Gauge: '<script>let { maxLevel, ...rest } = $props();</script><p {...rest}>{maxLevel}</p>' },
    ],
    ['all props are taken', { App: '<Gauge tone="calm"/>', Gauge: '<script>export let maxLevel;</script><p {...$$props}>{maxLevel}</p>' }],
    ['the props as a whole', { App: '<Gauge tone="calm"/>', Gauge: '<script>let props = $props();</script><p {...props}/>' }],
    ['what is given is not all seen', { App: '<script>const a = load();</script><Gauge {...a}/>', Gauge: svelteGauge }],
  ],
);

table(
  'prop-unknown',
  'react',
  [
    ['not declared', `${row}export function App() { return <Row eta="1" tone="calm"/>; }`, 'App tone'],
    [
      'no types, taken apart without a rest',
      'function Row({ eta }) { return <p>{eta}</p>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
      'App tone',
    ],
    [
      'a name that only some runtimes of markup turn into a class',
      'function Row({ className }) { return <p className={className}/>; }\nexport function App() { return <Row sx={{ mt: 4 }}/>; }',
      'App sx',
    ],
    ['no parameter at all', 'function Row() { return <p/>; }\nexport function App() { return <Row tone="calm"/>; }', 'App tone'],
    [
      'the rest goes to a component that does not take it',
      'function Inner({ a }) { return <p>{a}</p>; }\nfunction Row({ eta, ...rest }) { return <Inner {...rest} a={eta}/>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
      'App tone',
    ],
  ],
  [
    [
      'what a runtime of markup turns into a class',
      '/** @jsx jsx */\nimport { jsx } from "theme-ui";\nfunction Row({ className }) { return <p className={className}/>; }\nexport function App() { return <Row sx={{ mt: 4 }}/>; }',
    ],
    [
      'given by a function that makes a component around any other',
      'const withTone = (Inner) => (props) => <Inner {...props} tone="calm"/>;\nfunction Row({ eta }) { return <p>{eta}</p>; }\nfunction Card({ tone }) { return <p>{tone}</p>; }\nconst Calm = withTone(Row);\nconst CalmCard = withTone(Card);\nexport function App() { return <main><Calm eta={1}/><CalmCard/></main>; }',
    ],
    ['declared', `${row}export function App() { return <Row eta="1" boat="b"/>; }`],
    [
      'the rest reaches an element',
      'function Row({ eta, ...rest }) { return <p {...rest}>{eta}</p>; }\nexport function App() { return <Row eta="1" tone="calm"/>; }',
    ],
    ['all props are spread', 'function Row(props) { return <p {...props}/>; }\nexport function App() { return <Row tone="calm"/>; }'],
    [
      'props go somewhere unseen',
      'function Row(props) { return <p>{format(props)}</p>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'attributes of the platform',
      'function Row(props: HTMLAttributes<Element> & { a?: 1 }) { return <p {...props}/>; }\nexport function App() { return <Row title="t"/>; }',
    ],
    ['hyphenated', `${row}export function App() { return <Row eta="1" data-test="r" aria-label="r"/>; }`],
    [
      'an index signature',
      'function Row(props: { [key: string]: string }) { return <p/>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'the rest goes to a component that takes it',
      'function Inner({ tone }) { return <p>{tone}</p>; }\nfunction Row({ ...rest }) { return <Inner {...rest}/>; }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    ['key and ref', `${row}export function App() { return <Row key="k" ref={null} eta="1"/>; }`],
  ],
);
