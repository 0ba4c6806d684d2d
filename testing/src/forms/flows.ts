import type { Files } from './form';

/** A question about a value of a small application: what a right answer holds stands at `①` and so on, what only a sloppy one does at `⓪`. */
export type FlowForm = {
  readonly form: string;
  readonly framework: 'react' | 'vue' | 'svelte' | 'elements' | 'lwc' | 'angular' | 'astro';
  readonly files: Files;
  /** It is known, and not answered yet. */
  readonly missed?: true;
  /** As the shell is asked: `changes:App.count`. */
  readonly ask: string;
};

const vue = (setup: string, template: string): string => `<script setup>\n${setup}\n</script>\n\n<template>\n${template}\n</template>\n`;
const svelte = (script: string, markup: string): string => `<script>\n${script}\n</script>\n\n${markup}\n`;

/** Questions of flow over what people write. */
export const flowForms: readonly FlowForm[] = [
  {
    framework: 'react',
    form: 'a dispatch given by a context, through a hook of the project',
    ask: 'changes:CartProvider.cart',
    files: {
      'App.jsx': `import { CartProvider } from './cart';
import { Shelf } from './Shelf';
import { Basket } from './Basket';

export default function App() {
  return (
    <CartProvider>
      <Shelf />
      <Basket />
    </CartProvider>
  );
}`,
      'cart.jsx': `import { createContext, useContext, useReducer } from 'react';

const Cart = createContext(null);

function reduce(cart, action) {
  switch (action.type) {
    case 'put':
      return [...cart, action.item];

    case 'empty':
      return [];

    default:
      return cart;
  }
}

export function CartProvider({ children }) {
  const [cart, dispatch] = useReducer(reduce, []);
  return <Cart.Provider value={{ cart, dispatch }}>{children}</Cart.Provider>;
}

export function useCart() {
  return useContext(Cart);
}`,
      'Shelf.jsx': `import { useCart } from './cart';

export function Shelf() {
  const { dispatch } = useCart();
  return <button onClick={() => ①dispatch({ type: 'put', item: 'rope' })}>Rope</button>;
}`,
      'Basket.jsx': `import { useCart } from './cart';

export function Basket() {
  const { cart, dispatch } = useCart();
  const clear = () => {
    ②dispatch({ type: 'empty' });
  };

  return (
    <section>
      {cart.length}
      <button onClick={clear}>Empty</button>



      <button onClick={() => ⓪window.print()}>Print</button>
    </section>
  );
}`,
    },
  },
  {
    framework: 'react',
    form: 'a setter handed down under other names, called in a timer',
    ask: 'changes:App.open',
    files: {
      'App.jsx': `import { useState } from 'react';
import { Menu } from './Menu';

export default function App() {
  const [open, setOpen] = useState(false);
  return (
    <main>
      <button onClick={() => ①setOpen(true)}>Open</button>
      {open && <Menu onDone={setOpen} />}
    </main>
  );
}`,
      'Menu.jsx': `import { Item } from './Item';

export function Menu({ onDone }) {
  const later = () => {
    setTimeout(() => {
      ②onDone(false);
    }, 300);
  };


  return (
    <ul>
      <Item label="Save" onPick={later} />
      <Item label="Close" onPick={() => ③onDone(false)} />
    </ul>
  );
}`,
      'Item.jsx': `export function Item({ label, onPick }) {
  return <li onClick={onPick}>{label}</li>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'a value through a render prop and a memo',
    ask: 'goes:App.level',
    files: {
      'App.jsx': `import { useMemo, useState } from 'react';
import { Frame } from './Frame';
import { Gauge } from './Gauge';
import { Foot } from './Foot';

export default function App() {
  const [level, setLevel] = useState(2);
  const text = useMemo(() => level + ' m', [level]);
  return (
    <main onClick={() => setLevel(3)}>
      <Frame render={(wide) => <Gauge wide={wide} at={level} />} />
      <Foot text={text} />
    </main>
  );
}`,
      'Frame.jsx': `export function Frame({ render }) {
  const wide = window.innerWidth > 700;
  return <section>⓪{render(wide)}</section>;
}`,
      'Gauge.jsx': `export function Gauge({ wide, at }) {
  return <b className={wide ? 'wide' : ''}>{①at}</b>;
}`,
      'Foot.jsx': `export function Foot({ text }) {
  return <footer>{②text}</footer>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'a field of a form in one state object',
    ask: 'changes:Form.values',
    files: {
      'App.jsx': `import { Form } from './Form';

export default function App() {
  return <Form />;
}`,
      'Form.jsx': `import { useState } from 'react';
import { Field } from './Field';

export function Form() {
  const [values, setValues] = useState({ name: '', age: 0 });
  const [sent, setSent] = useState(false);

  const change = (key) => (value) => {
    ①setValues((before) => ({ ...before, [key]: value }));
  };


  function reset() {
    ②setValues({ name: '', age: 0 });
    setSent(false);
  }


  return (
    <form onReset={reset} onSubmit={() => setSent(true)}>
      <Field value={values.name} onValue={change('name')} />
      <Field value={values.age} onValue={change('age')} />
      {sent ? 'sent' : ''}
    </form>
  );
}`,
      'Field.jsx': `export function Field({ value, onValue }) {
  return (
    <input
      value={value}
      onChange={(event) => ③onValue(event.target.value)}
    />
  );
}`,
    },
  },
  {
    framework: 'react',
    form: 'a store of the project with listeners of its own',
    ask: 'goes:theme.js#theme',
    files: {
      'App.jsx': `import { Switch } from './Switch';
import { Page } from './Page';

export default function App() {
  return <main><Switch /><Page /></main>;
}`,
      'theme.js': `import { create } from 'zustand';

export const theme = create((set) => ({
  dark: false,
  flip: () => set((all) => ({ dark: !all.dark })),
}));`,
      'Switch.jsx': `import { theme } from './theme';

export function Switch() {
  const flip = theme((all) => all.flip);
  return <button onClick={flip}>Dark</button>;
}`,
      'Page.jsx': `import { theme } from './theme';

export function Page() {
  const dark = theme((all) => all.dark);
  return <article className={①dark ? 'dark' : 'light'}>Page</article>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'who answers for a context, given twice',
    ask: 'answers:Label.unit',
    files: {
      'App.jsx': `import { Unit } from './unit';
import { Sheet } from './Sheet';

export default function App() {
  return <⓪Unit.Provider value="m"><Sheet /></Unit.Provider>;
}`,
      'unit.js': `import { createContext } from 'react';
export const Unit = createContext('m');`,
      'Sheet.jsx': `import { Unit } from './unit';
import { Label } from './Label';

export function Sheet() {
  return (
    <section>
      <h2>Depths</h2>


      <①Unit.Provider value="ft"><Label /></Unit.Provider>
    </section>
  );
}`,
      'Label.jsx': `import { useContext } from 'react';
import { Unit } from './unit';

export function Label() {
  const unit = useContext(Unit);
  return <i>{unit}</i>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'where a prop comes from through a list and a lookup',
    ask: 'comes:Row.label',
    files: {
      'App.jsx': `import { useEffect, useState } from 'react';
import { Table } from './Table';

export default function App() {
  const [rows, setRows] = useState([]);
  const [wide, setWide] = useState(false);
  const widen = () => setWide(true);



  useEffect(() => {
    ①fetch('/rows').then((answer) => answer.json()).then(setRows);
  }, []);


  return <Table rows={rows} wide={wide} onWide={widen} />;
}`,
      'Table.jsx': `import { Row } from './Row';

export function Table({ rows, wide, onWide }) {
  const sorted = [...rows].sort((a, b) => a.at - b.at);
  return (
    <ul className={wide ? 'wide' : ''} onClick={onWide}>
      {sorted.map((one) => (
        <Row key={one.id} label={one.name} />
      ))}
    </ul>
  );
}`,
      'Row.jsx': `export function Row({ label }) {
  return <li>{label}</li>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'a class that holds a state and hands a method down',
    ask: 'changes:Board.at',
    files: {
      'App.jsx': `import { Board } from './Board';

export default function App() {
  return <Board />;
}`,
      'Board.jsx': `import { Component } from 'react';
import { Keys } from './Keys';

export class Board extends Component {
  constructor(props) {
    super(props);
    this.state = { at: 0, name: '' };
    this.move = this.move.bind(this);
  }

  move(by) {
    ①this.setState((before) => ({ at: before.at + by }));
  }


  render() {
    return (
      <section>
        {this.state.at} {this.state.name}
        <Keys onMove={this.move} />
        <button onClick={() => ②this.setState({ at: 0 })}>Home</button>


        <button onClick={() => ⓪this.setState({ name: 'Wren' })}>Name</button>
      </section>
    );
  }
}`,
      'Keys.jsx': `export function Keys({ onMove }) {
  return <button onClick={() => ③onMove(1)}>On</button>;
}`,
    },
  },
  {
    framework: 'vue',
    form: 'a composable with shared state, changed by two parts',
    ask: 'changes:useLevel.js#level',
    files: {
      'App.vue': vue(`import Up from './Up.vue';\nimport Show from './Show.vue';`, `  <main>\n    <Up />\n    <Show />\n  </main>`),
      'useLevel.js': `import { ref } from 'vue';

const level = ref(1);
const name = ref('');

export function useLevel() {
  const raise = () => {
    ①level.value++;
  };


  const rename = (to) => {
    ⓪name.value = to;
  };


  return { level, name, raise, rename };
}`,
      'Up.vue': vue(`import { useLevel } from './useLevel';\nconst { raise } = useLevel();`, `  <button @click="②raise">Up</button>`),
      'Show.vue': vue(
        `import { useLevel } from './useLevel';\nconst { level, name, rename } = useLevel();`,
        `  <p>{{ level }} {{ name }}</p>\n\n\n  <button @click="rename('x')">Name</button>\n\n\n  <button @click="③level = 0">Zero</button>`,
      ),
    },
  },
  {
    framework: 'vue',
    form: 'v-model over two components',
    ask: 'changes:App.text',
    files: {
      'App.vue': vue(
        `import { ref } from 'vue';\nimport Search from './Search.vue';\nconst text = ref('');\nconst clear = () => {\n  ①text.value = '';\n};`,
        `  <Search v-model="text" />\n\n\n\n  <button @click="clear">Clear</button>`,
      ),
      'Search.vue': vue(
        `import Field from './Field.vue';\nconst query = defineModel();`,
        `  <Field v-model:value="②query" label="Find" />`,
      ),
      'Field.vue': vue(
        `defineProps(['value', 'label']);\nconst emit = defineEmits(['update:value']);`,
        `  <label>{{ label }}</label>\n\n\n\n  <input :value="value" @input="③emit('update:value', $event.target.value)" />`,
      ),
    },
  },
  {
    framework: 'vue',
    form: 'who hears an event that is raised again by its owner',
    ask: 'hears:Item.pick',
    files: {
      'App.vue': vue(
        `import { ref } from 'vue';\nimport List from './List.vue';\nconst at = ref('');`,
        `  <List ①@picked="at = $event" />\n\n\n\n  <p @click="⓪at = ''">{{ at }}</p>`,
      ),
      'List.vue': vue(
        `import Item from './Item.vue';\nconst emit = defineEmits(['picked']);\nconst names = ['oak', 'ash'];`,
        `  <Item v-for="name in names" :key="name" :name="name" ②@pick="emit('picked', name)" />`,
      ),
      'Item.vue': vue(`defineProps(['name']);\nconst emit = defineEmits(['pick']);`, `  <li @click="emit('pick')">{{ name }}</li>`),
    },
  },
  {
    framework: 'vue',
    form: 'a value into a slot by its props',
    ask: 'goes:List.rows',
    files: {
      'App.vue': vue(
        `import List from './List.vue';\nimport Row from './Row.vue';`,
        `  <List>\n    <template #default="{ row }">\n      <Row :boat="row" />\n    </template>\n  </List>`,
      ),
      'List.vue': vue(
        `import { ref } from 'vue';\nconst rows = ref([{ id: 1, name: 'Wren' }]);\nconst title = ref('Boats');`,
        `  <h2>⓪{{ title }}</h2>\n\n\n\n  <ul>\n    <li v-for="row in rows" :key="row.id"><slot :row="row" /></li>\n  </ul>`,
      ),
      'Row.vue': vue(`defineProps(['boat']);`, `  <b>{{ ①boat.name }}</b>`),
    },
  },
  {
    framework: 'vue',
    form: 'a provided function that sets a state, called deep below',
    ask: 'changes:App.note',
    files: {
      'App.vue': vue(
        `import { provide, ref } from 'vue';\nimport Middle from './Middle.vue';\nconst note = ref('');\nprovide('say', (text) => {\n  ①note.value = text;\n});`,
        `  <p>{{ note }}</p>\n  <Middle />`,
      ),
      'Middle.vue': vue(`import Deep from './Deep.vue';`, `  <section><Deep /></section>`),
      'Deep.vue': vue(
        `import { inject } from 'vue';\nconst say = inject('say');\nconst hush = () => undefined;`,
        `  <button @click="②say('hello')">Say</button>\n\n\n\n  <button @click="⓪hush">Hush</button>`,
      ),
    },
  },
  {
    framework: 'vue',
    form: 'where a value of options comes from',
    ask: 'comes:Line.text',
    files: {
      'App.vue': `<template>\n  <Panel :boats="boats" />\n</template>\n\n<script>\nimport Panel from './Panel.vue';\nexport default {\n  components: { Panel },\n  data() {\n    return { boats: [], other: 1 };\n  },\n  async created() {\n    ①this.boats = await (await fetch('/boats')).json();\n  },\n};\n</script>\n`,
      'Panel.vue': `<template>\n  <ul><Line v-for="one in named" :key="one.id" :text="one.name" /></ul>\n</template>\n\n<script>\nimport Line from './Line.vue';\nexport default {\n  components: { Line },\n  props: { boats: Array },\n  data: () => ({ open: true }),\n  computed: {\n    named() {\n      return this.boats.filter((one) => one.name);\n    },\n  },\n};\n</script>\n`,
      'Line.vue': `<template>\n  <li>{{ text }}</li>\n</template>\n\n<script>\nexport default { props: { text: String } };\n</script>\n`,
    },
  },
  {
    framework: 'vue',
    form: 'a watcher that writes another state',
    ask: 'impact:App.place',
    files: {
      'App.vue': vue(
        `import { ref, watch } from 'vue';\nimport Map from './Map.vue';\nimport Note from './Note.vue';\nimport Foot from './Foot.vue';\nconst place = ref('quay');\nconst zoom = ref(1);\nwatch(place, () => {\n  zoom.value = 1;\n});`,
        `  <input v-model="place" />\n  <Map :zoom="zoom" />\n  <Note :text="place" />\n  <Foot />`,
      ),
      'Map.vue': vue(`defineProps(['zoom']);`, `  <i>{{ ①zoom }}</i>`),
      'Note.vue': vue(`defineProps(['text']);`, `  <p>{{ ②text }}</p>`),
      'Foot.vue': vue(`const year = 2026;`, `  <footer>{{ ⓪year }}</footer>`),
    },
  },
  {
    framework: 'vue',
    form: 'a store whose action is called from a hook and from markup',
    ask: 'changes:stores.js#count',
    files: {
      'App.vue': vue(
        `import { onMounted } from 'vue';\nimport { useBoats } from './stores';\nimport Reset from './Reset.vue';\nconst boats = useBoats();\nonMounted(() => {\n  ①boats.load();\n});`,
        `  <p>{{ boats.count }}</p>\n  <Reset />`,
      ),
      'stores.js': `import { defineStore } from 'pinia';\nimport { ref } from 'vue';\n\nexport const useBoats = defineStore('boats', () => {\n  const count = ref(0);\n  const name = ref('');\n\n  async function load() {\n    const answer = await fetch('/boats');\n    ②count.value = (await answer.json()).length;\n  }\n\n\n  function rename(to) {\n    ⓪name.value = to;\n  }\n\n\n  return { count, name, load, rename };\n});`,
      'Reset.vue': vue(
        `import { useBoats } from './stores';\nconst boats = useBoats();`,
        `  <button @click="③boats.count = 0">Reset</button>`,
      ),
    },
  },
  {
    framework: 'svelte',
    form: 'a class with state, handed down and changed by a method',
    ask: 'changes:timer.svelte.js#left',
    files: {
      'App.svelte': svelte(
        `import { timer } from './timer.svelte.js';\nimport Keys from './Keys.svelte';`,
        `<p>{timer.left}</p>\n<Keys {timer} />`,
      ),
      'timer.svelte.js': `class Timer {\n  left = $state(60);\n  name = $state('');\n\n  tick() {\n    ①this.left -= 1;\n  }\n\n\n  rename(to) {\n    ⓪this.name = to;\n  }\n}\n\nexport const timer = new Timer();`,
      'Keys.svelte': svelte(
        `let { timer } = $props();`,
        `<button onclick={() => ②timer.tick()}>Tick</button>\n\n\n\n<button onclick={() => (③timer.left = 60)}>Reset</button>`,
      ),
    },
  },
  {
    framework: 'svelte',
    form: 'bind over two components, in the form before runes',
    ask: 'changes:App.text',
    files: {
      'App.svelte': svelte(
        `import Search from './Search.svelte';\nlet text = '';\nfunction clear() {\n  ①text = '';\n}`,
        `<Search bind:query={text} />\n\n\n\n<button on:click={clear}>Clear</button>`,
      ),
      'Search.svelte': svelte(`import Field from './Field.svelte';\nexport let query;`, `<Field bind:value={②query} label="Find" />`),
      'Field.svelte': svelte(`export let value;\nexport let label;`, `<label>{label}</label>\n\n\n\n<input bind:value={③value} />`),
    },
  },
  {
    framework: 'svelte',
    form: 'a snippet that is given a value by who renders it',
    ask: 'goes:List.rows',
    files: {
      'App.svelte': svelte(
        `import List from './List.svelte';\nimport Row from './Row.svelte';`,
        `<List>\n  {#snippet item(row)}\n    <Row boat={row} />\n  {/snippet}\n</List>`,
      ),
      'List.svelte': svelte(
        `let { item } = $props();\nlet rows = $state([{ id: 1, name: 'Wren' }]);\nlet title = $state('Boats');`,
        `<h2>⓪{title}</h2>\n\n\n\n{#each rows as row (row.id)}\n  {@render item(row)}\n{/each}`,
      ),
      'Row.svelte': svelte(`let { boat } = $props();`, `<b>{①boat.name}</b>`),
    },
  },
  {
    framework: 'svelte',
    form: 'who hears a dispatched event that is forwarded',
    ask: 'hears:Item.pick',
    files: {
      'App.svelte': svelte(
        `import List from './List.svelte';\nlet at = '';`,
        `<List ①on:pick={(event) => (at = event.detail)} />\n\n\n\n<p on:click={() => (⓪at = '')}>{at}</p>`,
      ),
      'List.svelte': svelte(`import Item from './Item.svelte';`, `<Item name="oak" on:pick />`),
      'Item.svelte': svelte(
        `import { createEventDispatcher } from 'svelte';\nexport let name;\nconst dispatch = createEventDispatcher();`,
        `<li on:click={() => dispatch('pick', name)}>{name}</li>`,
      ),
    },
  },
  {
    framework: 'svelte',
    form: 'a store that another is derived from',
    ask: 'impact:stores.js#level',
    files: {
      'App.svelte': svelte(
        `import Show from './Show.svelte';\nimport Plain from './Plain.svelte';\nimport { level } from './stores';`,
        `<button on:click={() => level.update((n) => n + 1)}>Up</button>\n<Show />\n<Plain />`,
      ),
      'stores.js': `import { derived, writable } from 'svelte/store';\nexport const level = writable(1);\nexport const twice = derived(level, ($level) => $level * 2);\nexport const other = writable('');`,
      'Show.svelte': svelte(`import { twice } from './stores';`, `<b>{①$twice}</b>`),
      'Plain.svelte': svelte(`import { other } from './stores';`, `<i>{⓪$other}</i>`),
    },
  },
  {
    framework: 'svelte',
    form: 'where a prop comes from, through a derived value and a rest',
    ask: 'comes:Label.text',
    files: {
      'App.svelte': svelte(
        `import Card from './Card.svelte';\nlet boat = $state({ name: 'Wren' });\nlet wide = $state(false);\nconst upper = $derived(①boat.name.toUpperCase());\n\n\n\nconst widen = () => {\n  ⓪wide = true;\n};`,
        `<Card text={upper} {wide} />\n<button onclick={widen}>Wide</button>`,
      ),
      'Card.svelte': svelte(
        `import Label from './Label.svelte';\nlet { wide, ...rest } = $props();`,
        `<section class:wide><Label {...rest} /></section>`,
      ),
      'Label.svelte': svelte(`let { text } = $props();`, `<b>{text}</b>`),
    },
  },
  {
    framework: 'svelte',
    form: 'a context of functions that set a state',
    ask: 'changes:App.note',
    files: {
      'App.svelte': svelte(
        `import { setContext } from 'svelte';\nimport Middle from './Middle.svelte';\nlet note = $state('');\nsetContext('notes', {\n  say: (text) => {\n    ①note = text;\n  },\n});`,
        `<p>{note}</p>\n<Middle />`,
      ),
      'Middle.svelte': svelte(`import Deep from './Deep.svelte';`, `<section><Deep /></section>`),
      'Deep.svelte': svelte(
        `import { getContext } from 'svelte';\nconst { say } = getContext('notes');`,
        `<button onclick={() => ②say('hello')}>Say</button>\n\n\n\n<button onclick={() => ⓪undefined}>Hush</button>`,
      ),
    },
  },
  {
    framework: 'svelte',
    form: 'who answers for a context set by a wrapper',
    ask: 'answers:Label.unit',
    files: {
      'App.svelte': svelte(
        `import { setContext } from 'svelte';\nimport Feet from './Feet.svelte';\nimport Label from './Label.svelte';\n⓪setContext('unit', 'm');`,
        `<Feet><Label /></Feet>`,
      ),
      'Feet.svelte': svelte(
        `import { setContext } from 'svelte';\nlet { children } = $props();\n①setContext('unit', 'ft');`,
        `<section>{@render children()}</section>`,
      ),
      'Label.svelte': svelte(`import { getContext } from 'svelte';\nconst unit = getContext('unit');`, `<i>{unit}</i>`),
    },
  },
  {
    framework: 'react',
    form: 'a list handed to a part as a list of actions, each of which sets',
    ask: 'changes:App.mode',
    files: {
      'App.jsx': `import { useState } from 'react';
import { Toolbar } from './Toolbar';

export default function App() {
  const [mode, setMode] = useState('read');
  const [size, setSize] = useState(1);
  const tools = [
    { label: 'Edit', run: () => ①setMode('edit') },
    { label: 'Read', run: () => ②setMode('read') },



    { label: 'Bigger', run: () => setSize(size + 1) },
  ];
  return <Toolbar tools={tools} mode={mode} size={size} />;
}`,
      'Toolbar.jsx': `export function Toolbar({ tools, mode, size }) {
  return (
    <nav className={mode} style={{ zoom: size }}>
      {tools.map((tool) => (
        <button key={tool.label} onClick={③tool.run}>{tool.label}</button>
      ))}
    </nav>
  );
}`,
    },
  },
  {
    framework: 'react',
    form: 'a hook of the project that keeps a list and its functions',
    ask: 'changes:useList.js#items',
    files: {
      'App.jsx': `import { useList } from './useList';
import { Row } from './Row';

export default function App() {
  const { items, add, drop } = useList([]);
  return (
    <main>
      <button onClick={() => ①add('rope')}>Add</button>
      {items.map((one) => (
        <Row key={one} name={one} onDrop={drop} />
      ))}
    </main>
  );
}`,
      'useList.js': `import { useCallback, useState } from 'react';

export function useList(first) {
  const [items, setItems] = useState(first);
  const add = useCallback((one) => ②setItems((all) => [...all, one]), []);
  const drop = useCallback((one) => ③setItems((all) => all.filter((other) => other !== one)), []);
  return { items, add, drop };
}`,
      'Row.jsx': `export function Row({ name, onDrop }) {
  return <li><button onClick={() => ④onDrop(name)}>{name}</button></li>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'children that are cloned with another prop by who wraps them',
    missed: true,
    ask: 'goes:Tabs.at',
    files: {
      'App.jsx': `import { Tabs } from './Tabs';
import { Tab } from './Tab';

export default function App() {
  return <Tabs><Tab name="one" /><Tab name="two" /></Tabs>;
}`,
      'Tabs.jsx': `import { Children, cloneElement, useState } from 'react';

export function Tabs({ children }) {
  const [at, setAt] = useState('one');
  return (
    <section>
      {Children.map(children, (child) => cloneElement(child, { isOn: ①child.props.name === at, onPick: setAt }))}
    </section>
  );
}`,
      'Tab.jsx': `export function Tab({ name, isOn, onPick }) {
  return <button className={②isOn ? 'on' : ''} onClick={() => onPick(name)}>{name}</button>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'where a value comes from that is kept in the address',
    ask: 'comes:Results.query',
    files: {
      'App.jsx': `import { useSearchParams } from 'react-router-dom';
import { Results } from './Results';

export default function App() {
  const [params, setParams] = ①useSearchParams();
  const query = params.get('q') ?? '';



  return (
    <main>
      <input value={query} onChange={(event) => setParams({ q: event.target.value })} />
      <Results query={query} />
    </main>
  );
}`,
      'Results.jsx': `export function Results({ query }) {
  return <p>{query}</p>;
}`,
    },
  },
  {
    framework: 'react',
    form: 'who hears a callback that goes through a spread',
    ask: 'hears:Button.onPress',
    files: {
      'App.jsx': `import { useState } from 'react';
import { SaveButton } from './SaveButton';

export default function App() {
  const [saved, setSaved] = useState(false);
  return <main>{String(saved)}<SaveButton tone="calm" onPress={() => ①setSaved(true)} /></main>;
}`,
      'SaveButton.jsx': `import { Button } from './Button';

export function SaveButton(props) {
  return <Button label="Save" {...props} />;
}`,
      'Button.jsx': `export function Button({ label, tone, onPress }) {
  return <button className={tone} onClick={onPress}>{label}</button>;
}`,
    },
  },
  {
    framework: 'vue',
    form: 'an emit by options through two parts, with its value',
    ask: 'changes:App.total',
    files: {
      'App.vue': `<template>\n  <Basket @change="①update" />\n</template>\n\n<script>\nimport Basket from './Basket.vue';\nexport default {\n  components: { Basket },\n  data: () => ({ total: 0, name: '' }),\n  methods: {\n    update(value) {\n      ②this.total = value;\n    },\n\n\n    rename(to) {\n      ⓪this.name = to;\n    },\n  },\n};\n</script>\n`,
      'Basket.vue': `<template>\n  <Line @count="forward" />\n</template>\n\n<script>\nimport Line from './Line.vue';\nexport default {\n  components: { Line },\n  emits: ['change'],\n  methods: {\n    forward(n) {\n      ③this.$emit('change', n * 2);\n    },\n  },\n};\n</script>\n`,
      'Line.vue': `<template>\n  <button @click="④$emit('count', 3)">Add</button>\n</template>\n\n<script>\nexport default { emits: ['count'] };\n</script>\n`,
    },
  },
  {
    framework: 'vue',
    form: 'a computed value with a setter behind v-model',
    ask: 'changes:App.form',
    files: {
      'App.vue': vue(
        `import { computed, reactive } from 'vue';\nimport Field from './Field.vue';\nconst form = reactive({ name: '', age: 0 });\nconst name = computed({\n  get: () => form.name,\n  set: (to) => {\n    ①form.name = to.trim();\n  },\n});`,
        `  <Field v-model="②name" />\n  <p>{{ form.age }}</p>`,
      ),
      'Field.vue': vue(`const text = defineModel();`, `  <input v-model="③text" />`),
    },
  },
  {
    framework: 'vue',
    form: 'a template reference by which an owner calls a method',
    ask: 'changes:Dialog.open',
    files: {
      'App.vue': vue(
        `import { ref } from 'vue';\nimport Dialog from './Dialog.vue';\nconst dialog = ref(null);`,
        `  <button @click="①dialog.show()">Open</button>\n\n\n\n  <Dialog ref="dialog" />`,
      ),
      'Dialog.vue': vue(
        `import { ref } from 'vue';\nconst open = ref(false);\nconst text = ref('');\nconst show = () => {\n  ②open.value = true;\n};\ndefineExpose({ show });`,
        `  <section v-if="open">\n    {{ text }}\n\n\n    <button @click="③open = false">Close</button>\n  </section>`,
      ),
    },
  },
  {
    framework: 'vue',
    form: 'where a value comes from that a route gives',
    ask: 'comes:Boat.id',
    files: {
      'App.vue': vue(
        `import { computed } from 'vue';\nimport { useRoute } from 'vue-router';\nimport Boat from './Boat.vue';\nconst route = ①useRoute();\nconst id = computed(() => Number(route.params.id));`,
        `  <Boat :id="id" />`,
      ),
      'Boat.vue': vue(`defineProps(['id']);`, `  <p>{{ id }}</p>`),
    },
  },
  {
    framework: 'svelte',
    form: 'a list handed to each row with a function that drops it',
    ask: 'changes:App.rows',
    files: {
      'App.svelte': svelte(
        `import Row from './Row.svelte';\nlet rows = $state([{ id: 1, done: false }]);\nlet name = $state('');\nfunction add() {\n  ①rows.push({ id: rows.length + 1, done: false });\n}\n\n\nfunction drop(id) {\n  ②rows = rows.filter((one) => one.id !== id);\n}`,
        `<input bind:value={name} />\n<button onclick={add}>Add</button>\n\n\n\n{#each rows as row (row.id)}\n  <Row bind:done={③row.done} ondrop={() => drop(row.id)} />\n{/each}`,
      ),
      'Row.svelte': svelte(
        `let { done = $bindable(), ondrop } = $props();`,
        `<input type="checkbox" bind:checked={④done} />\n\n\n\n<button onclick={⑤ondrop}>Drop</button>`,
      ),
    },
  },
  {
    framework: 'svelte',
    form: 'a store with functions of its own',
    ask: 'changes:stores.js#cart',
    files: {
      'App.svelte': svelte(
        `import { cart } from './stores';\nimport Foot from './Foot.svelte';`,
        `<button on:click={() => ①cart.add('rope')}>Rope</button>\n<p>{$cart.length}</p>\n<Foot />`,
      ),
      'stores.js': `import { writable } from 'svelte/store';\n\nfunction makeCart() {\n  const { subscribe, set, update } = writable([]);\n  return {\n    subscribe,\n    add: (item) => ②update((all) => [...all, item]),\n    clear: () => ③set([]),\n  };\n}\n\nexport const cart = makeCart();`,
      'Foot.svelte': svelte(`import { cart } from './stores';`, `<button on:click={④cart.clear}>Clear</button>`),
    },
  },
  {
    framework: 'svelte',
    form: 'an effect that writes another state, and who shows that',
    ask: 'impact:App.place',
    files: {
      'App.svelte': svelte(
        `import Map from './Map.svelte';\nimport Foot from './Foot.svelte';\nlet place = $state('quay');\nlet zoom = $state(1);\nconst year = 2026;\n$effect(() => {\n  place;\n  zoom = 1;\n});`,
        `<input bind:value={place} />\n<Map {zoom} title={place} />\n<Foot {year} />`,
      ),
      'Map.svelte': svelte(`let { zoom, title } = $props();`, `<i>{①zoom}</i>\n<b>{②title}</b>`),
      'Foot.svelte': svelte(`let { year } = $props();`, `<footer>{⓪year}</footer>`),
    },
  },
  {
    framework: 'react',
    form: 'a set of chosen ids, changed through a toggling callback and cleared by an effect on a key',
    ask: 'changes:Board.picked',
    files: {
      'App.jsx': `import { Board } from './Board';
export default function App() {
  return <Board stalls={[{ id: 1, name: 'Nets' }]} />;
}
`,
      'Board.jsx': `import { useCallback, useEffect, useState } from 'react';
import { Stall } from './Stall';

export function Board({ stalls }) {
  const [picked, setPicked] = useState(() => new Set());
  const [open, setOpen] = useState(false);



  const toggle = useCallback((id) => {
    ①setPicked((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }, []);



  useEffect(() => {
    function onKey(event) {
      ②if (event.key === 'Escape') setPicked(new Set());
    }
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);



  return (
    <ul>



      ⓪<button onClick={() => setOpen(!open)}>{open ? 'close' : 'open'}</button>



      {stalls.map((stall) => (
        ③<Stall key={stall.id} stall={stall} chosen={picked.has(stall.id)} onToggle={() => toggle(stall.id)} />
      ))}
    </ul>
  );
}
`,
      'Stall.jsx': `export function Stall({ stall, chosen, onToggle }) {
  return (
    <li className={chosen ? 'on' : ''}>



      ④<input type="checkbox" checked={chosen} onChange={onToggle} />
      {stall.name}
    </li>
  );
}
`,
    },
  },
  {
    framework: 'react',
    form: 'a value through a context that a hook of the project reads, memoised and formatted',
    ask: 'goes:App.height',
    files: {
      'App.jsx': `import { createContext, useContext, useMemo, useState } from 'react';
import { Scale } from './Scale';

export const TideContext = createContext({ height: 0 });

export default function App() {
  const [height, setHeight] = useState(2);
  const [name, setName] = useState('Sluice');



  const value = useMemo(() => ({ height, raise: () => setHeight((h) => h + 1) }), [height]);



  return (
    ①<TideContext.Provider value={value}>
      <Scale />



      ⓪<input value={name} onChange={(e) => setName(e.target.value)} />
    </TideContext.Provider>
  );
}
`,
      'useTide.js': `import { useContext } from 'react';
import { TideContext } from './App';

export function useTide() {
  const { height } = useContext(TideContext);



  ②const text = \`\${height.toFixed(1)} m\`;
  return { text, isHigh: height > 3 };
}
`,
      'Scale.jsx': `import { useTide } from './useTide';

export function Scale() {
  const { text, isHigh } = useTide();
  return (
    <section>
      ③<b className={isHigh ? 'high' : 'low'}>{text}</b>
    </section>
  );
}
`,
    },
  },
  {
    framework: 'react',
    form: 'where a sum comes from: a reduce over lines whose prices are asked for in an effect',
    ask: 'comes:Total.sum',
    files: {
      'App.jsx': `import { useEffect, useState } from 'react';
import { Total } from './Total';
import { loadPrices } from './api';

export default function App() {
  const [lines, setLines] = useState([]);
  const [tone, setTone] = useState('dark');



  useEffect(() => {
    let gone = false;
    loadPrices().then((found) => {
      ①if (!gone) setLines(found);
    });
    return () => {
      gone = true;
    };
  }, []);



  ②const sum = lines.reduce((all, line) => all + line.price, 0);



  ⓪const shade = tone === 'dark' ? 1 : 0;
  return (
    <main style={{ opacity: shade }}>
      <button onClick={() => setTone('light')}>light</button>



      ③<Total sum={sum} />
    </main>
  );
}
`,
      'api.js': `export async function loadPrices() {
  ④const answer = await fetch('/api/prices');
  return answer.json();
}
`,
      'Total.jsx': `export function Total({ sum }) {
  return <p>{sum}</p>;
}
`,
    },
  },
  {
    framework: 'react',
    form: 'who hears a callback held by a ref in a child and handed on under another name',
    ask: 'hears:Stepper.onStep',
    files: {
      'App.jsx': `import { useState } from 'react';
import { Panel } from './Panel';

export default function App() {
  const [count, setCount] = useState(0);



  const change = (by) => {
    ③setCount((now) => now + by);
  };



  return (
    <>
      ②<Panel onChange={change} />
      <p>{count}</p>
    </>
  );
}
`,
      'Panel.jsx': `import { Stepper } from './Stepper';

export function Panel({ onChange }) {
  return (
    <div>



      ①<Stepper onStep={onChange} />
    </div>
  );
}
`,
      'Stepper.jsx': `import { useEffect, useRef } from 'react';

export function Stepper({ onStep }) {
  const latest = useRef(onStep);
  useEffect(() => {
    latest.current = onStep;
  });
  return <button onClick={() => latest.current(1)}>+</button>;
}
`,
    },
  },
  {
    framework: 'react',
    form: 'who works with a search text: a deferred copy, a filtered list, and a count',
    ask: 'impact:App.query',
    files: {
      'App.jsx': `import { useDeferredValue, useMemo, useState } from 'react';
import { Hits } from './Hits';
import { Hint } from './Hint';

export default function App({ boats = [] }) {
  const [query, setQuery] = useState('');
  const [sort, setSort] = useState('name');
  const late = useDeferredValue(query);



  const hits = useMemo(() => boats.filter((boat) => boat.name.includes(late)), [boats, late]);



  return (
    <main>
      <input value={query} onChange={(e) => setQuery(e.target.value)} />
      <select value={sort} onChange={(e) => setSort(e.target.value)} />



      <Hits hits={hits} />



      <Hint sort={sort} />
    </main>
  );
}
`,
      'Hits.jsx': `①export function Hits({ hits }) {
  return (
    <ol>



      {hits.map((hit) => <li key={hit.id}>{hit.name}</li>)}
    </ol>
  );
}
`,
      'Hint.jsx': `⓪export function Hint({ sort }) {
  return <i>{sort}</i>;
}
`,
    },
  },
  {
    framework: 'react',
    form: 'a form object changed by name from inputs below, and put back by a reset',
    ask: 'changes:App.draft',
    files: {
      'App.jsx': `import { useState } from 'react';
import { Field } from './Field';

const empty = { name: '', berth: '' };

export default function App() {
  const [draft, setDraft] = useState(empty);
  const [sent, setSent] = useState(0);



  function put({ target: { name, value } }) {
    ①setDraft((now) => ({ ...now, [name]: value }));
  }



  async function send(event) {
    event.preventDefault();
    await fetch('/api/boats', { method: 'POST', body: JSON.stringify(draft) });
    ②setDraft(empty);



    ⓪setSent(sent + 1);
  }



  return (
    ③<form onSubmit={send}>
      {sent}
      {Object.keys(empty).map((name) => (
        <Field key={name} name={name} value={draft[name]} onChange={put} />
      ))}
    </form>
  );
}
`,
      'Field.jsx': `export function Field({ name, ...rest }) {
  return (
    <label>
      {name}



      ④<input name={name} {...rest} />
    </label>
  );
}
`,
    },
  },
  {
    framework: 'vue',
    form: 'a reactive object changed by a child’s v-model on a member and a button that puts it back',
    ask: 'changes:App.filters',
    files: {
      'App.vue': `<script setup>
import { reactive, ref } from 'vue';
import RangeField from './RangeField.vue';

const filters = reactive({ from: 0, to: 9 });
const pane = ref('a');



function clear() {
  ①Object.assign(filters, { from: 0, to: 9 });
}
</script>

<template>
  ②<RangeField v-model="filters.to" />



  ③<button @click="clear">clear</button>



  ⓪<button @click="pane = 'b'">{{ pane }}</button>
  <p>{{ filters.from }} {{ filters.to }}</p>
</template>
`,
      'RangeField.vue': `<script setup>
const model = defineModel({ type: Number });
</script>

<template>



  ④<input type="range" :value="model" @input="model = Number($event.target.value)" />
</template>
`,
    },
  },
  {
    framework: 'vue',
    form: 'a provided ref, injected through a composable into a computed text and a class',
    ask: 'goes:App.unit',
    files: {
      'App.vue': `<script setup>
import { provide, ref } from 'vue';
import Gauge from './Gauge.vue';
import { UNIT } from './unit';

const unit = ref('m');
const title = ref('Depth');



①provide(UNIT, unit);
</script>

<template>
  <h1>{{ title }}</h1>
  <button @click="unit = 'ft'">ft</button>



  <Gauge :depth="3" />
</template>
`,
      'unit.js': `import { computed, inject } from 'vue';
export const UNIT = Symbol('unit');

export function useUnit() {
  ②const unit = inject(UNIT);



  const factor = computed(() => {
    ③return unit.value === 'ft' ? 3.28 : 1;
  });
  return { unit, factor };
}
`,
      'Gauge.vue': `<script setup>
import { computed } from 'vue';
import { useUnit } from './unit';

const props = defineProps({ depth: Number });
const { unit, factor } = useUnit();



const text = computed(() => {
  ④return (props.depth * factor.value).toFixed(1);
});
</script>

<template>



  ⑤<b :class="unit">{{ text }}</b>
</template>
`,
    },
  },
  {
    framework: 'vue',
    form: 'where a boat comes from: a map in a pinia store, filled by an action, found by a route’s parameter',
    ask: 'comes:Card.boat',
    files: {
      'stores/boats.js': `import { defineStore } from 'pinia';
import { ref, computed } from 'vue';

export const useBoats = defineStore('boats', () => {
  const all = ref([]);



  async function load() {
    ①all.value = await fetch('/api/boats').then((r) => r.json());
  }



  const byId = computed(() => {
    ②return Object.fromEntries(all.value.map((boat) => [boat.id, boat]));
  });
  return { all, load, byId };
});
`,
      'App.vue': `<script setup>
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { useBoats } from './stores/boats';
import Card from './Card.vue';

const route = useRoute();
const boats = useBoats();
onMounted(() => boats.load());



const boat = computed(() => {
  ③return boats.byId[route.params.id];
});
</script>

<template>



  ④<Card v-if="boat" :boat="boat" />
</template>
`,
      'Card.vue': `<script setup>
defineProps({ boat: Object });
</script>

<template>
  <h2>{{ boat.name }}</h2>
</template>
`,
    },
  },
  {
    framework: 'vue',
    form: 'who hears an event of a row in a scoped slot of a list',
    ask: 'hears:Row.remove',
    files: {
      'App.vue': `<script setup>
import { ref } from 'vue';
import List from './List.vue';
import Row from './Row.vue';

const rows = ref([{ id: 1 }]);



function drop(id) {
  ②rows.value = rows.value.filter((row) => row.id !== id);
}
</script>

<template>
  <List :items="rows">
    <template #item="{ item }">



      ①<Row :row="item" @remove="drop(item.id)" />
    </template>
  </List>
</template>
`,
      'List.vue': `<script setup>
defineProps({ items: Array });
</script>

<template>
  <ul>



    ⓪<li v-for="item in items" :key="item.id"><slot name="item" :item="item" /></li>
  </ul>
</template>
`,
      'Row.vue': `<script setup>
defineProps({ row: Object });
const emit = defineEmits(['remove']);
</script>

<template>
  <button @click="emit('remove')">{{ row.id }}</button>
</template>
`,
    },
  },
  {
    framework: 'vue',
    form: 'options API: a field changed by an interval in mounted, a method of a mixin, and a watcher',
    ask: 'changes:App.left',
    files: {
      'App.vue': `<script>
import ticking from './ticking';

export default {
  mixins: [ticking],
  data() {
    return { left: 60, paused: false };
  },



  watch: {
    paused(now) {
      ①if (now) this.left = 60;
    },
  },



  methods: {
    pause() {
      ⓪this.$emit('pause');
    },
  },
};
</script>

<template>
  <p>{{ left }}</p>



  ③<button @click="tick">tick</button>
  <button @click="paused = !paused">pause</button>
</template>
`,
      'ticking.js': `export default {
  created() {
    this.timer = setInterval(() => this.tick(), 1000);
  },
  beforeUnmount() {
    clearInterval(this.timer);
  },



  methods: {
    tick() {
      ②this.left--;
    },
  },
};
`,
    },
  },
  {
    framework: 'vue',
    form: 'who works with a chosen boat: a watcher that asks for its log, and a keyed part',
    ask: 'impact:App.boat',
    files: {
      'App.vue': `<script setup>
import { ref, watch } from 'vue';
import Log from './Log.vue';
import Foot from './Foot.vue';

const boat = ref('Teal');
const log = ref([]);
const year = ref(2026);



watch(boat, async (name) => {
  log.value = await fetch(\`/api/log/\${name}\`).then((r) => r.json());
});
</script>

<template>
  <select v-model="boat"></select>



  <Log :key="boat" :lines="log" />



  <Foot :year="year" />
</template>
`,
      'Log.vue': `<script setup>
defineProps({ lines: Array });
</script>

<template>
  ①<p v-for="line in lines" :key="line">{{ line }}</p>
</template>
`,
      'Foot.vue': `⓪<script setup>
defineProps({ year: Number });
</script>

<template>
  <footer>{{ year }}</footer>
</template>
`,
    },
  },
  {
    framework: 'svelte',
    form: 'a state list changed by a child’s callback with a value, by a snippet’s button, and by an effect from storage',
    ask: 'changes:App.cart',
    files: {
      'App.svelte': `<script>
  import Shelf from './Shelf.svelte';
  let cart = $state([]);
  let wide = $state(false);



  $effect(() => {
    const kept = localStorage.getItem('cart');
    ①if (kept) cart = JSON.parse(kept);
  });
</script>

②<Shelf onput={(item) => cart.push(item)}>
  {#snippet foot()}



    ③<button onclick={() => (cart = [])}>empty</button>
  {/snippet}
</Shelf>



⓪<button onclick={() => (wide = !wide)}>{wide}</button>
<p>{cart.length}</p>
`,
      'Shelf.svelte': `<script>
  let { onput, foot } = $props();
  const goods = ['rope', 'lamp'];
</script>

{#each goods as item (item)}



  ④<button onclick={() => onput(item)}>{item}</button>
{/each}
{@render foot()}
`,
    },
  },
  {
    framework: 'svelte',
    form: 'a state through $derived.by, a context getter, and an action',
    ask: 'goes:App.metres',
    files: {
      'App.svelte': `<script>
  import { setContext } from 'svelte';
  import Needle from './Needle.svelte';
  let metres = $state(3);
  let label = $state('Lock');



  setContext('depth', {
    get now() {
      ①return metres;
    },
  });



  const bars = $derived.by(() => {
    ②return Math.round(metres) * 2;
  });
</script>

<input type="number" bind:value={metres} />



⓪<h1>{label}</h1>



③<p>{bars}</p>
<Needle />
`,
      'Needle.svelte': `<script>
  import { getContext } from 'svelte';
  const depth = getContext('depth');
</script>



④<i style:rotate="{depth.now * 10}deg"></i>
`,
    },
  },
  {
    framework: 'svelte',
    form: 'who hears an event of a part in an each block, forwarded by a wrapper with on:close',
    ask: 'hears:Chip.close',
    files: {
      'App.svelte': `<script>
  import Bar from './Bar.svelte';
  let tags = ['a', 'b'];



  function drop(event) {
    ③tags = tags.filter((tag) => tag !== event.detail);
  }
</script>

②<Bar {tags} on:close={drop} />
`,
      'Bar.svelte': `<script>
  import Chip from './Chip.svelte';
  export let tags;
</script>

{#each tags as tag (tag)}



  ①<Chip {tag} on:close />
{/each}
`,
      'Chip.svelte': `<script>
  import { createEventDispatcher } from 'svelte';
  export let tag;
  const send = createEventDispatcher();
</script>

<button on:click={() => send('close', tag)}>{tag}</button>
`,
    },
  },
  {
    framework: 'svelte',
    form: 'where a price comes from: a store set by a subscription, derived with a rate',
    ask: 'comes:Row.price',
    files: {
      'stores.js': `import { derived, writable } from 'svelte/store';

export const rate = writable(1);
export const fees = writable([]);



export async function loadFees() {
  ①fees.set(await (await fetch('/api/fees')).json());
}



②export const priced = derived([fees, rate], ([$fees, $rate]) => $fees.map((fee) => ({ ...fee, price: fee.base * $rate })));
`,
      'App.svelte': `<script>
  import { onMount } from 'svelte';
  import { loadFees, priced, rate } from './stores';
  import Row from './Row.svelte';
  let tone = 'a';
  onMount(loadFees);
</script>

<input type="range" bind:value={$rate} />



⓪<p class={tone}>fees</p>



{#each $priced as fee (fee.id)}
  ③<Row price={fee.price} />
{/each}
`,
      'Row.svelte': `<script>
  export let price;
</script>

<b>{price}</b>
`,
    },
  },
  {
    framework: 'svelte',
    form: 'who works with a bound size: a reactive block, a child two levels down',
    ask: 'impact:App.size',
    files: {
      'App.svelte': `<script>
  import Frame from './Frame.svelte';
  let size = $state(10);
  let name = $state('x');
  let area = $state(0);



  $effect(() => {
    area = size * size;
  });
</script>

<input type="range" bind:value={size} />



<Frame {size} />



<b>{name}</b>



<p>{area}</p>
`,
      'Frame.svelte': `<script>
  import Box from './Box.svelte';
  let { ...rest } = $props();
</script>

<Box {...rest} />
`,
      'Box.svelte': `<script>
  let { size = 1 } = $props();
</script>



①<div style:width="{size}px"></div>
`,
    },
  },
  {
    framework: 'svelte',
    form: 'who answers for a context when a wrapper sets it by a typed helper, twice above',
    ask: 'answers:Leaf.theme',
    files: {
      'App.svelte': `<script>
  import Wrap from './Wrap.svelte';
  import Leaf from './Leaf.svelte';
  import { giveTheme } from './theme';



  giveTheme('dark');
</script>

<Wrap>
  <Leaf />
</Wrap>
`,
      'theme.js': `import { getContext, setContext } from 'svelte';
const key = Symbol('theme');

export function giveTheme(theme) {



  ①setContext(key, theme);
}

export function takeTheme() {
  return getContext(key);
}
`,
      'Wrap.svelte': `<script>
  import { giveTheme } from './theme';
  let { children } = $props();
  let own = $state('light');



  giveTheme(() => own);
</script>

{@render children()}
`,
      'Leaf.svelte': `<script>
  import { takeTheme } from './theme';
  const theme = takeTheme();
</script>

<i>{theme}</i>
`,
    },
  },
  {
    framework: 'vue',
    form: 'a composable that is handed refs in an object and counts down',
    ask: 'changes:App.left',
    files: {
      'App.vue': `<script setup>
import { ref } from 'vue';
import { useTick } from './tick';

const left = ref(60);
const paused = ref(false);
const { tick } = useTick({ left, paused });
</script>

<template>
  <p>{{ left }}</p>



  ③<button @click="tick">tick</button>
</template>
`,
      'tick.js': `export function useTick({ left, paused }) {



  function tick() {
    ②if (!paused.value) left.value--;
  }
  return { tick };
}
`,
    },
  },
];
