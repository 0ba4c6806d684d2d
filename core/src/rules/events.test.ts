import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const pill = (body: string, type = '{ onClear?: () => void; tone?: string }'): string =>
  `function Pill({ onClear, tone }: ${type}) { ${body} }\n`;
const usePill = 'export function App() { return <Pill onClear={() => location.reload()}/>; }';

table(
  'event-never-raised',
  'react',
  [
    ['declared, taken and never called', `${pill('return <p>{tone}</p>;')}${usePill}`, 'App onClear'],
    [
      'declared and not even taken',
      `function Pill({ tone }: { tone?: string; onClear: () => void }) { return <p>{tone}</p>; }\n${usePill}`,
      'App onClear',
    ],
    ['without a type, taken and never called', `function Pill({ tone, onClear }) { return <p>{tone}</p>; }\n${usePill}`, 'App onClear'],
    ['through memo', `const Pill = memo(({ tone }: { tone?: string; onClear?: () => void }) => <p>{tone}</p>);\n${usePill}`, 'App onClear'],
  ],
  [
    ['called', `${pill('return <p onClick={() => onClear?.()}>{tone}</p>;')}${usePill}`],
    ['handed to an element', `${pill('return <p onClick={onClear}>{tone}</p>;')}${usePill}`],
    ['handed to a part', `${pill('return <Out on={onClear}/>;')}${usePill}`],
    ['called in an effect', `${pill('useEffect(() => { onClear?.(); }, [onClear]); return <p/>;')}${usePill}`],
    [
      'the rest goes on',
      `function Pill({ tone, ...rest }: { tone?: string; onClear?: () => void }) { return <Out {...rest}/>; }\n${usePill}`,
    ],
    ['the props as a whole', `function Pill(props: { onClear?: () => void }) { return <Out {...props}/>; }\n${usePill}`],
    ['handed to a hook', `${pill('useClearing(onClear); return <p/>;')}${usePill}`],
  ],
);

table(
  'event-never-raised',
  'vue',
  [
    [
      'not among its events',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/><b/></template>',
      },
      'App @vanish',
    ],
    [
      'declared and never raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>defineEmits(["clear"]);</script><template><p/><b/></template>',
      },
      'App @clear',
    ],
    [
      'declared, so that the platform raises it no more',
      {
        App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>defineEmits(["click"]);</script><template><p/></template>',
      },
      'App @click',
    ],
    [
      'not among its events, one root',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/></template>',
      },
      'App @vanish',
    ],
    [
      'several roots let nothing through',
      { App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>', Pill: '<template><p/><b/></template>' },
      'App @click',
    ],
  ],
  [
    [
      'declared and raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/></template>',
      },
    ],
    [
      'hyphens',
      {
        App: '<template><Pill @clear-all="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clearAll"]);</script><template><p @click="emit(\'clearAll\')"/></template>',
      },
    ],
    [
      'native, to the one root',
      { App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>', Pill: '<template><p/></template>' },
    ],
    [
      'a declared prop of that name',
      {
        App: '<template><Pill @open="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const { onOpen } = defineProps(["onOpen"]);</script><template><p @click="onOpen()"/><b/></template>',
      },
    ],
    [
      'emit is handed on',
      {
        App: '<template><Pill @cleared="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>import { useIt } from "out"; const emit = defineEmits(["clear"]); useIt(emit);</script><template><p/></template>',
      },
    ],
    [
      'the root is a part from outside',
      {
        App: '<template><Pill @cleared="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>import Out from "out";</script><template><Out/></template>',
      },
    ],
  ],
);

table(
  'event-never-raised',
  'svelte',
  [
    [
      'an older listener onto a callback',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>let { onclear } = $props();</script><button onclick={onclear}>x</button>',
      },
      'App on:clear',
    ],
    [
      'not dispatched',
      {
        App: '<script>const go = () => 1;</script><Pill on:cleared={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; const dispatch = createEventDispatcher();</script><button on:click={() => dispatch("clear")}>x</button>',
      },
      'App on:cleared',
    ],
    [
      'native and not forwarded',
      {
        App: '<script>const go = () => 1;</script><Pill on:click={go}/>',
        Pill: '<script>export let tone = "";</script><button>{tone}</button>',
      },
      'App on:click',
    ],
  ],
  [
    [
      'dispatched',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; const dispatch = createEventDispatcher();</script><button on:click={() => dispatch("clear")}>x</button>',
      },
    ],
    ['forwarded', { App: '<script>const go = () => 1;</script><Pill on:click={go}/>', Pill: '<button on:click>x</button>' }],
    [
      'a callback',
      {
        App: '<script>const go = () => 1;</script><Pill onclear={go}/>',
        Pill: '<script>let { onclear } = $props();</script><button onclick={onclear}>x</button>',
      },
    ],
    [
      'the dispatcher is handed on',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; import { useIt } from "out"; const dispatch = createEventDispatcher(); useIt(dispatch);</script><p/>',
      },
    ],
    ['a part from outside', { App: '<script>import Out from "out"; const go = () => 1;</script><Out on:clear={go}/>', Pill: '<p/>' }],
  ],
);

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
