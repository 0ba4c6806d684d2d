import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const field = (given: string): string =>
  `export function App() { const [a, setA] = useState(''); const ref = useRef(null); return <form>${given}<p onClick={() => setA('')}/></form>; }`;

table(
  'two-way-half',
  'react',
  [
    ['a text field', field('<input value={a}/>'), 'App value'],
    ['a box to tick', field('<input type="checkbox" checked={a}/>'), 'App checked'],
    ['a list', field('<select value={a}><option/></select>'), 'App value'],
    ['a text area', field('<textarea value={a}/>'), 'App value'],
  ],
  [
    ['with its change', field('<input value={a} onChange={(e) => setA(e.target.value)}/>')],
    ['only read', field('<input value={a} readOnly/>')],
    ['switched off', field('<input value={a} disabled/>')],
    ['hidden', field('<input type="hidden" value={a}/>')],
    ['a radio button’s own value', field('<input type="radio" value={a}/>')],
    ['a type that is not seen', field('<input type={a} value={a}/>')],
    ['a spread that may hold it', field('<input {...out} value={a}/>')],
    ['its first value', field('<input defaultValue={a}/>')],
    ['an older event', field('<input value={a} onInput={(e) => setA(e.target.value)}/>')],
  ],
);

table(
  'two-way-half',
  'vue',
  [
    [
      'the value alone',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<script setup>defineProps(["modelValue"]);</script><template><p>{{ modelValue }}</p></template>',
      },
      'App modelValue',
    ],
    [
      'the change alone',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model:open="a"/></template>',
        Field:
          '<script setup>const emit = defineEmits(["update:open"]);</script><template><p @click="emit(\'update:open\', 1)"/></template>',
      },
      'App open',
    ],
    [
      'neither',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<template><p/></template>',
      },
      'App modelValue',
    ],
  ],
  [
    [
      'a model',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<script setup>const value = defineModel();</script><template><input v-model="value"></template>',
      },
    ],
    [
      'both halves by hand',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field:
          '<script setup>defineProps(["modelValue"]); const emit = defineEmits(["update:modelValue"]);</script><template><p @click="emit(\'update:modelValue\', 1)"/></template>',
      },
    ],
    [
      'one way only',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field :model-value="a"/></template>',
        Field: '<script setup>defineProps(["modelValue"]);</script><template><p>{{ modelValue }}</p></template>',
      },
    ],
    [
      'an element',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><input v-model="a"></template>',
        Field: '<p/>',
      },
    ],
    [
      'a part from outside',
      {
        App: '<script setup>import { ref } from "vue"; import Out from "out"; const a = ref("");</script><template><Out v-model="a"/></template>',
        Field: '<p/>',
      },
    ],
    [
      'it goes on to a part that has both',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Wrap v-model="a"/></template>',
        Wrap: '<template><Field/></template>',
        Field: '<script setup>const value = defineModel();</script><template><input v-model="value"></template>',
      },
    ],
  ],
);

table(
  'two-way-half',
  'svelte',
  [
    [
      'not bindable',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value } = $props();</script><p>{value}</p>',
      },
      'App value',
    ],
    [
      'not bindable, with a default',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value = "" } = $props();</script><p>{value}</p>',
      },
      'App value',
    ],
    [
      'not bindable, deeper',
      {
        App: '<Wrap/>',
        Wrap: '<script>let a = $state({ b: 1 });</script><Field bind:open={a.b}/>',
        Field: '<script>let { open, tone } = $props();</script><p>{open}{tone}</p>',
      },
      'Wrap open',
    ],
  ],
  [
    [
      'bindable',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value = $bindable() } = $props();</script><input bind:value/>',
      },
    ],
    [
      'an older prop',
      { App: '<script>let a = "";</script><Field bind:value={a}/>', Field: '<script>export let value;</script><p>{value}</p>' },
    ],
    ['an element', { App: '<script>let a = $state("");</script><input bind:value={a}/>', Field: '<p/>' }],
    ['a part from outside', { App: '<script>import Out from "out"; let a = $state("");</script><Out bind:value={a}/>', Field: '<p/>' }],
    [
      'one way only',
      { App: '<script>let a = $state("");</script><Field value={a}/>', Field: '<script>let { value } = $props();</script><p>{value}</p>' },
    ],
  ],
);
