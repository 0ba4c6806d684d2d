import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const pill = (head: string, body: string): string => `function Pill(${head}) { return <b>${body}</b>; }\n`;

const vuePill = (props: string, markup: string): string => `${setup(`defineProps({ ${props} });`)}<template><b>${markup}</b></template>`;

const sveltePill = (props: string, markup: string): string => `<script lang="ts">let { ${props} } = $props();</script><b>${markup}</b>`;

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
        App: vueApp('<component :is="it"/><Pill/>', 'const it = Pill;'),
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
