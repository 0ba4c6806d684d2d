import { analyseFiles } from '../../../../testing/src/project';
import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, expect, test } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const queue = (body: string): string =>
  `function Queue({ items, listRef, onAdd }) { ${body} return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { const [items, setItems] = useState([]); return <Queue items={items}/>; }`;

const vueProps = (script: string, markup = '<p/>'): Sources => ({
  App: '<script setup>import { ref } from "vue"; const boat = ref({ name: 1 }); const level = ref(1); const go = () => { level.value = 2; };</script><template><main @click="go"><Part :boat="boat" :level="level"/></main></template>',
  Part: `<script setup>import { ref, watch } from "vue"; const props = defineProps({ boat: Object, level: Number }); ${script}</script><template>${markup}</template>`,
});

const svelteProps = (script: string, markup: string, given = '<Part {boat}/>'): Sources => ({
  App: `<script>let boat = $state({ name: 1 });</script>${given}`,
  Part: `<script>${script}</script>${markup}`,
});

table(
  'prop-written',
  'react',
  [
    [
      'a member of what is state of the owner',
      'function Row({ item }) { return <li onClick={() => { item.done = true; }}>{item.name}</li>; }\nexport function App() { const [items, setItems] = useState([]); return <ul onClick={() => setItems([])}>{items.map((item) => <Row key={item.id} item={item}/>)}</ul>; }',
      'Row item',
    ],
    ['added to', queue('const go = () => { items.push(1); };'), 'Queue items'],
    ['sorted', queue('const go = () => { items.sort(); };'), 'Queue items'],
    ['at a position', queue('const go = () => { items[0] = 1; };'), 'Queue items'],
  ],
  [
    [
      'a member of what is no state: it may be made to be written',
      'const form = makeForm();\nfunction Row({ item }) { return <li onClick={() => { item.done = true; }}>{item.name}</li>; }\nexport function App() { return <Row item={form}/>; }',
    ],
    ['a copy', queue('const go = () => { const own = [...items]; own.push(1); };')],
    ['a sorted copy', queue('const go = () => print([...items].sort());')],
    ['a new list', queue('const go = () => print(items.concat(1));')],
    ['a handle', queue('const go = () => { listRef.current.push(1); };')],
    [
      'its own state',
      'function Queue() { const [items, setItems] = useState([]); const go = () => { items.push(1); setItems([...items]); }; return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { return <Queue/>; }',
    ],
    [
      'a router, to which a place is pushed',
      'export function App({ history }) { return <b onClick={() => { history.push("/locks"); }}/>; }',
    ],
    ['only its own name for it', queue('const go = () => print(1); items = items ?? [];')],
  ],
);

table(
  'prop-written',
  'vue',
  [
    [
      'added to',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => { props.items.push(1); };</script><template><p @click="go">{{ items }}</p></template>',
      },
      'Queue items',
    ],
    [
      'in markup',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue: '<script setup>defineProps(["items"]);</script><template><p @click="items.push(1)">{{ items }}</p></template>',
      },
      'Queue items',
    ],
    [
      'in a method',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script>export default { props: ["items"], methods: { go() { this.items.push(1); } } };</script><template><p @click="go">{{ items }}</p></template>',
      },
      'Queue items',
    ],
  ],
  [
    [
      'a model',
      {
        App: '<template><Queue v-model="a"/></template><script setup>import { ref } from "vue"; const a = ref([]);</script>',
        Queue:
          '<script setup>const items = defineModel(); const go = () => { items.value.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'a copy',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => { const own = [...props.items]; own.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'its own',
      {
        App: '<template><Queue/></template>',
        Queue:
          '<script setup>import { ref } from "vue"; const items = ref([]); const go = () => { items.value.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'told to the owner',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>defineProps(["items"]); const emit = defineEmits(["add"]);</script><template><p @click="emit(\'add\')">{{ items }}</p></template>',
      },
    ],
    [
      'only read',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => print(props.items.map((one) => one));</script><template><p @click="go"/></template>',
      },
    ],
  ],
);

table(
  'prop-written',
  'svelte',
  [
    [
      'by a function of another module',
      {
        App: '<script>let boat = $state({ name: 1 });</script><Part {boat}/>',
        Part: '<script>import { rename } from "./boat.js"; let { boat } = $props();</script><button onclick={() => rename(boat)}>{boat.name}</button>',
        'boat.js': 'export function rename(boat) { boat.name = 2; }',
      },
      'Part boat',
    ],
    [
      'added to',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items } = $props(); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
      'Queue items',
    ],
    [
      'in markup',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props();</script><button onclick={() => items.push(1)}>{items.length}</button>',
      },
      'Queue items',
    ],
    [
      'at a position',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props(); const go = () => { items[0] = 1; };</script><button onclick={go}>{items.length}</button>',
      },
      'Queue items',
    ],
  ],
  [
    [
      'a function of another module that makes a copy',
      {
        App: '<script>let boat = $state({ name: 1 });</script><Part {boat}/>',
        Part: '<script>import { renamed } from "./boat.js"; let { boat } = $props();</script><button onclick={() => renamed(boat)}>{boat.name}</button>',
        'boat.js': 'export function renamed(boat) { const own = { ...boat }; own.name = 2; return own; }',
      },
    ],
    [
      'bindable',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items = $bindable() } = $props(); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'an older prop',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>export let items; const go = () => { items.push(1); items = items; };</script><button on:click={go}>{items.length}</button>',
      },
    ],
    [
      'its own',
      {
        App: '<Queue/>',
        Queue: '<script>let items = $state([]); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'given anew',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props(); const go = () => { items = []; };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'a copy',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items } = $props(); const go = () => print([...items].sort());</script><button onclick={go}>{items.length}</button>',
      },
    ],
  ],
);

table(
  'prop-written',
  'vue',
  [
    ['the prop itself', vueProps('const up = () => { props.level = 3; };', '<p @click="up"/>'), 'Part level'],
    ['counted up', vueProps('const up = () => { props.level++; };', '<p @click="up"/>'), 'Part level'],
    ['a member of it', vueProps('const name = () => { props.boat.name = 2; };', '<p @click="name"/>'), 'Part boat'],
    ['in the template', vueProps('', '<p @click="boat.name = 2"/>'), 'Part boat'],
    [
      'a member, by another name for it',
      vueProps('const own = props.boat; const name = () => { own.name = 2; };', '<p @click="name"/>'),
      'Part boat',
    ],
    [
      'a list in it, by another name',
      vueProps('const { crew } = props.boat; const add = () => { crew.push(2); };', '<p @click="add"/>'),
      'Part boat',
    ],
    [
      'added to, taken out of the props',
      vueProps('const { boat } = props; const add = () => { boat.push(2); };', '<p @click="add"/>'),
      'Part boat',
    ],
  ],
  [
    ['a copy', vueProps('const own = ref({ ...props.boat }); const name = () => { own.value.name = 2; };', '<p @click="name"/>')],
    ['read', vueProps('const show = () => props.boat.name;', '<p @click="show"/>')],
    ['a list made of it', vueProps('const own = props.boat; const show = () => own.slice().sort();', '<p>{{ show() }}</p>')],
    ['told', vueProps('const emit = defineEmits(["name"]); const name = () => emit("name", 2);', '<p @click="name"/>')],
    [
      'a model',
      {
        App: '<script setup>import { ref } from "vue"; const on = ref(1);</script><template><main><Part v-model="on"/></main></template>',
        Part: '<script setup>const on = defineModel(); const up = () => { on.value = 2; };</script><template><p @click="up"/></template>',
      },
    ],
    ['another object', vueProps('const other = {}; const name = () => { other.name = props.boat; };', '<p @click="name"/>')],
  ],
);

table(
  'prop-written',
  'svelte',
  [
    ['a member of it', svelteProps('let { boat } = $props();', '<p onclick={() => { boat.name = 2; }}></p>'), 'Part boat'],
    ['deeper', svelteProps('let { boat } = $props();', '<p onclick={() => { boat.dock.name = 2; }}></p>'), 'Part boat'],
    ['by a function', svelteProps('let { boat } = $props(); function name() { boat.name = 2; }', '<p onclick={name}></p>'), 'Part boat'],
  ],
  [
    ['bound', svelteProps('let { boat = $bindable() } = $props();', '<p onclick={() => { boat.name = 2; }}></p>', '<Part bind:boat/>')],
    ['written anew, which is its own', svelteProps('let { boat } = $props();', '<p onclick={() => { boat = 2; }}></p>')],
    ['the older way', svelteProps('export let boat;', '<p on:click={() => { boat.name = 2; }}></p>', '<Part bind:boat/>')],
    ['a copy', svelteProps('let { boat } = $props(); let own = $state({ ...boat });', '<p onclick={() => { own.name = 2; }}></p>')],
    ['read', svelteProps('let { boat } = $props();', '<p onclick={() => boat.name}></p>')],
  ],
);

test.each([
  ['items.shift();', 'Queue changes the list items that it was given.'],
  ['items.first.boats.shift();', 'Queue changes the list items.first.boats that it was given.'],
  ['items[0].boats.shift();', 'Queue changes a list within items, which it was given.'],
])('what is changed is named as the component reaches it: %s', (code, says) => {
  const { findings } = analyseFiles({ 'App.tsx': queue(`const go = () => { ${code} };`) });
  const [first] = findings.filter(({ rule }) => rule === 'prop-written');
  expect(first?.message).toBe(says);
});
