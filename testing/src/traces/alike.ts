import type { Question } from '../../../core/src/flow';
import type { Files } from '../project';

/** The same small application in each framework. */
export type Sources = { readonly react: Files; readonly vue: Files; readonly svelte: Files };

type EachFramework<T> = { readonly react: T; readonly vue: T; readonly svelte: T };

/** One question about the same application in each framework: the rungs show that the answers agree. */
export type AlikeCase = {
  readonly name: string;
  readonly sources: Sources;
  /** As `spotNamed` understands it; by framework where the names differ. */
  readonly of: string | EachFramework<string>;
  readonly ask: Question;
  readonly rungs: EachFramework<readonly string[]>;
  /** The strands of the same page. */
  readonly strands: EachFramework<readonly string[]>;
};

/** The script and the markup of a component's file. */
export type Part = readonly [script: string, markup: string];

const react = (app: string, more: Files = {}): Files => ({
  'src/App.tsx': app,
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  ...more,
});

const parts = (files: Readonly<Record<string, string | Part>>, write: (part: Part) => string): Files =>
  Object.fromEntries(Object.entries(files).map(([file, part]) => [`src/${file}`, typeof part === 'string' ? part : write(part)]));

export const vue = (files: Readonly<Record<string, string | Part>>): Files => ({
  'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
  ...parts(files, ([script, markup]) => `<script setup>\n${script}\n</script>\n<template>${markup}</template>`),
});

export const svelte = (files: Readonly<Record<string, string | Part>>): Files => ({
  'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
  ...parts(files, ([script, markup]) => `<script>\n${script}\n</script>\n${markup}`),
});

export const importVue = (...names: string[]): string => names.map((name) => `import ${name} from './${name}.vue';`).join(' ');
export const importSvelte = (...names: string[]): string => names.map((name) => `import ${name} from './${name}.svelte';`).join(' ');
const all = (rungs: readonly string[]): EachFramework<readonly string[]> => ({ react: rungs, vue: rungs, svelte: rungs });

const still: Sources = {
  react: react(
    `function Still() { return <p/>; }\nfunction Shell({ children }) { return <i>{children}</i>; }\nexport function App() { const [a] = useState(1); return <><Still/><Shell><b>{a}</b></Shell></>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Still', 'Shell')}\nconst a = ref(1);`, '<Still/><Shell><b>{{ a }}</b></Shell>'],
    'Still.vue': ['', '<p/>'],
    'Shell.vue': ['', '<i><slot/></i>'],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Still', 'Shell')}\nlet a = $state(1);`, '<Still/><Shell><b>{a}</b></Shell>'],
    'Still.svelte': ['', '<p/>'],
    'Shell.svelte': ['let { children } = $props();', '<i>{@render children()}</i>'],
  }),
};
const vueLeaf: Part = ["defineProps(['a']);", '<p>{{ a }}</p>'];
const svLeaf: Part = ['let { a } = $props();', '<p>{a}</p>'];
const rLeaf = 'function Leaf({ a }) { return <p>{a}</p>; }\n';
const drill: Sources = {
  react: react(
    `${rLeaf}function Mid({ a }) { return <Leaf a={a}/>; }\nexport function App() { const [a] = useState(1); return <Mid a={a}/>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Mid')}\nconst a = ref(1);`, '<Mid :a="a"/>'],
    'Mid.vue': [`${importVue('Leaf')}\ndefineProps(['a']);`, '<Leaf :a="a"/>'],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Mid')}\nlet a = $state(1);`, '<Mid {a}/>'],
    'Mid.svelte': [`${importSvelte('Leaf')}\nlet { a } = $props();`, '<Leaf {a}/>'],
    'Leaf.svelte': svLeaf,
  }),
};
const up: Sources = {
  react: react(
    `function Row({ name, onPick }) { return <button onClick={() => onPick(name)}>x</button>; }\nexport function App() { const [a, setA] = useState(''); return <><Row name="b" onPick={setA}/><p>{a}</p></>; }`,
  ),
  vue: vue({
    'App.vue': [
      `import { ref } from 'vue'; ${importVue('Row')}\nconst a = ref('');\nfunction setA(to) { a.value = to; }`,
      '<Row name="b" @pick="setA"/><p>{{ a }}</p>',
    ],
    'Row.vue': [
      "const { name } = defineProps(['name']); const emit = defineEmits(['pick']);",
      `<button @click="emit('pick', name)">x</button>`,
    ],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Row')}\nlet a = $state('');\nfunction setA(to) { a = to; }`, '<Row name="b" onpick={setA}/><p>{a}</p>'],
    'Row.svelte': ['let { name, onpick } = $props();', '<button onclick={() => onpick(name)}>x</button>'],
  }),
};
const two: Sources = {
  react: react(
    `function Field({ value, onChange }) { return <input value={value} onChange={(event) => onChange(event.target.value)}/>; }\nexport function App() { const [name, setName] = useState(''); return <Field value={name} onChange={setName}/>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Field')}\nconst name = ref('');`, '<Field v-model="name"/>'],
    'Field.vue': ['const value = defineModel();', '<input v-model="value">'],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Field')}\nlet name = $state('');`, '<Field bind:value={name}/>'],
    'Field.svelte': ['let { value = $bindable() } = $props();', '<input bind:value>'],
  }),
};
const slot: Sources = {
  react: react(
    `function Card({ children }) { const [eta] = useState(1); return <div>{children(eta)}</div>; }\nexport function App() { return <Card>{(eta) => <p>{eta}</p>}</Card>; }`,
  ),
  vue: vue({
    'App.vue': [importVue('Card'), '<Card v-slot="{ eta }"><p>{{ eta }}</p></Card>'],
    'Card.vue': ["import { ref } from 'vue';\nconst eta = ref(1);", '<div><slot :eta="eta"/></div>'],
  }),
  svelte: svelte({
    'App.svelte': [importSvelte('Card'), '<Card>{#snippet children(eta)}<p>{eta}</p>{/snippet}</Card>'],
    'Card.svelte': ['let { children } = $props();\nlet eta = $state(1);', '<div>{@render children(eta)}</div>'],
  }),
};
const named: Sources = {
  react: react(
    `function Card({ head }) { return <div>{head}</div>; }\nexport function App() { const [a] = useState(1); return <Card head={<p>{a}</p>}/>; }`,
  ),
  vue: vue({
    'App.vue': [
      `import { ref } from 'vue'; ${importVue('Card')}\nconst a = ref(1);`,
      '<Card><template #head><p>{{ a }}</p></template></Card>',
    ],
    'Card.vue': ['', '<div><slot name="head"/></div>'],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Card')}\nlet a = $state(1);`, '<Card>{#snippet head()}<p>{a}</p>{/snippet}</Card>'],
    'Card.svelte': ['let { head } = $props();', '<div>{@render head()}</div>'],
  }),
};
const ctx: Sources = {
  react: react(
    `const Keeper = createContext(null);\nfunction Badge() { const keeper = useContext(Keeper); return <b>{keeper}</b>; }\nexport function App() { const [ada] = useState(1); return <Keeper.Provider value={ada}><Badge/></Keeper.Provider>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref, provide } from 'vue'; ${importVue('Badge')}\nconst ada = ref(1);\nprovide('Keeper', ada);`, '<Badge/>'],
    'Badge.vue': ["import { inject } from 'vue';\nconst keeper = inject('Keeper');", '<b>{{ keeper }}</b>'],
  }),
  svelte: svelte({
    'App.svelte': [
      `import { setContext } from 'svelte'; ${importSvelte('Badge')}\nlet ada = $state(1);\nsetContext('Keeper', ada);`,
      '<Badge/>',
    ],
    'Badge.svelte': ["import { getContext } from 'svelte';\nconst keeper = getContext('Keeper');", '<b>{keeper}</b>'],
  }),
};
const near: Sources = {
  react: react(
    `const Keeper = createContext(null);\nfunction Badge() { const keeper = useContext(Keeper); return <b>{keeper}</b>; }\nfunction Shift() { const [bo] = useState(2); return <Keeper.Provider value={bo}><Badge/></Keeper.Provider>; }\nexport function App() { const [ada] = useState(1); return <Keeper.Provider value={ada}><Shift/></Keeper.Provider>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref, provide } from 'vue'; ${importVue('Shift')}\nconst ada = ref(1);\nprovide('Keeper', ada);`, '<Shift/>'],
    'Shift.vue': [`import { ref, provide } from 'vue'; ${importVue('Badge')}\nconst bo = ref(2);\nprovide('Keeper', bo);`, '<Badge/>'],
    'Badge.vue': ["import { inject } from 'vue';\nconst keeper = inject('Keeper');", '<b>{{ keeper }}</b>'],
  }),
  svelte: svelte({
    'App.svelte': [
      `import { setContext } from 'svelte'; ${importSvelte('Shift')}\nlet ada = $state(1);\nsetContext('Keeper', ada);`,
      '<Shift/>',
    ],
    'Shift.svelte': [
      `import { setContext } from 'svelte'; ${importSvelte('Badge')}\nlet bo = $state(2);\nsetContext('Keeper', bo);`,
      '<Badge/>',
    ],
    'Badge.svelte': ["import { getContext } from 'svelte';\nconst keeper = getContext('Keeper');", '<b>{keeper}</b>'],
  }),
};
const hook: Sources = {
  react: react(
    `function useCount() { const [n, setN] = useState(0); const twice = n * 2; return { n, twice, add: () => setN(n + 1) }; }\nexport function App() { const { n, twice, add } = useCount(); return <button onClick={add}>{n}{twice}</button>; }`,
  ),
  vue: vue({
    'useCount.js':
      "import { ref, computed } from 'vue';\nexport function useCount() { const n = ref(0); const twice = computed(() => n.value * 2); return { n, twice, add: () => n.value++ }; }",
    'App.vue': [
      "import { useCount } from './useCount';\nconst { n, twice, add } = useCount();",
      '<button @click="add">{{ n }}{{ twice }}</button>',
    ],
  }),
  svelte: svelte({
    'count.svelte.js':
      'export function useCount() { let n = $state(0); const twice = $derived(n * 2); return { get n() { return n; }, get twice() { return twice; }, add: () => n++ }; }',
    'App.svelte': [
      "import { useCount } from './count.svelte.js';\nconst count = useCount();",
      '<button onclick={count.add}>{count.n}{count.twice}</button>',
    ],
  }),
};
const list: Sources = {
  react: react(
    `${rLeaf}export function App() { const [boats] = useState([]); const late = boats.filter((one) => one.late); return <ul>{late.map((boat) => <li key={boat.id}><Leaf a={boat.name}/></li>)}</ul>; }`,
  ),
  vue: vue({
    'App.vue': [
      `import { ref, computed } from 'vue'; ${importVue('Leaf')}\nconst boats = ref([]);\nconst late = computed(() => boats.value.filter((one) => one.late));`,
      '<ul><li v-for="boat in late" :key="boat.id"><Leaf :a="boat.name"/></li></ul>',
    ],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({
    'App.svelte': [
      `${importSvelte('Leaf')}\nlet boats = $state([]);\nconst late = $derived(boats.filter((one) => one.late));`,
      '<ul>{#each late as boat (boat.id)}<li><Leaf a={boat.name}/></li>{/each}</ul>',
    ],
    'Leaf.svelte': svLeaf,
  }),
};
const cond: Sources = {
  react: react(
    `export function App() { const [open, setOpen] = useState(false); return <div>{open ? <p>a</p> : <button onClick={() => setOpen(true)}>b</button>}</div>; }`,
  ),
  vue: vue({
    'App.vue': [
      "import { ref } from 'vue';\nconst open = ref(false);",
      '<div><p v-if="open">a</p><button v-else @click="open = true">b</button></div>',
    ],
  }),
  svelte: svelte({
    'App.svelte': ['let open = $state(false);', '<div>{#if open}<p>a</p>{:else}<button onclick={() => open = true}>b</button>{/if}</div>'],
  }),
};
const eff: Sources = {
  react: react(
    `export function App({ id }) { const [n, setN] = useState(0); const [m] = useState(1); useEffect(() => { setN(m); }, [m]); return <p>{n}</p>; }`,
  ),
  vue: vue({
    'App.vue': [
      "import { ref, watch } from 'vue';\nconst n = ref(0);\nconst m = ref(1);\nwatch(m, () => { n.value = m.value; });",
      '<p>{{ n }}</p>',
    ],
  }),
  svelte: svelte({ 'App.svelte': ['let n = $state(0);\nlet m = $state(1);\n$effect(() => { n = m; });', '<p>{n}</p>'] }),
};
const fetched: Sources = {
  react: react(
    `export function App() { const [levels, setLevels] = useState([]); useEffect(() => { fetch('/levels').then((r) => r.json()).then(setLevels); }, []); return <p>{levels}</p>; }`,
  ),
  vue: vue({
    'App.vue': [
      "import { ref, onMounted } from 'vue';\nconst levels = ref([]);\nonMounted(async () => { const answer = await fetch('/levels'); levels.value = await answer.json(); });",
      '<p>{{ levels }}</p>',
    ],
  }),
  svelte: svelte({
    'App.svelte': [
      "import { onMount } from 'svelte';\nlet levels = $state([]);\nonMount(async () => { const answer = await fetch('/levels'); levels = await answer.json(); });",
      '<p>{levels}</p>',
    ],
  }),
};
const timer: Sources = {
  react: react(
    `export function App() { const [now, setNow] = useState(0); useEffect(() => { setInterval(() => setNow(Date.now()), 1000); }, []); return <p>{now}</p>; }`,
  ),
  vue: vue({
    'App.vue': [
      "import { ref, onMounted } from 'vue';\nconst now = ref(0);\nonMounted(() => { setInterval(() => { now.value = Date.now(); }, 1000); });",
      '<p>{{ now }}</p>',
    ],
  }),
  svelte: svelte({
    'App.svelte': [
      "import { onMount } from 'svelte';\nlet now = $state(0);\nonMount(() => { setInterval(() => { now = Date.now(); }, 1000); });",
      '<p>{now}</p>',
    ],
  }),
};
const rest: Sources = {
  react: react(
    `function Row({ boat, ...rest }) { return <li {...rest}>{boat}</li>; }\nexport function App() { const [tip, setTip] = useState(1); return <Row boat="x" title={tip} onClick={() => setTip(2)}/>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Row')}\nconst tip = ref(1);`, '<Row boat="x" :title="tip" @click="tip = 2"/>'],
    'Row.vue': ["defineProps(['boat']);", '<li>{{ boat }}</li>'],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Row')}\nlet tip = $state(1);`, '<Row boat="x" title={tip} onclick={() => tip = 2}/>'],
    'Row.svelte': ['let { boat, ...rest } = $props();', '<li {...rest}>{boat}</li>'],
  }),
};
const relay: Sources = {
  react: react(
    `function Inner({ onGo }) { return <button onClick={() => onGo(1)}>x</button>; }\nfunction Mid({ onGo }) { return <Inner onGo={onGo}/>; }\nexport function App() { const [n, setN] = useState(0); return <Mid onGo={(to) => setN(to)}/>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Mid')}\nconst n = ref(0);`, '<Mid @go="(to) => n = to"/>'],
    'Mid.vue': [`${importVue('Inner')}\nconst emit = defineEmits(['go']);`, `<Inner @go="emit('go', $event)"/>`],
    'Inner.vue': ["defineEmits(['go']);", `<button @click="$emit('go', 1)">x</button>`],
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Mid')}\nlet n = $state(0);`, '<Mid ongo={(to) => n = to}/>'],
    'Mid.svelte': [`${importSvelte('Inner')}\nlet { ongo } = $props();`, '<Inner {ongo}/>'],
    'Inner.svelte': ['let { ongo } = $props();', '<button onclick={() => ongo(1)}>x</button>'],
  }),
};
const store: Sources = {
  react: react(
    `import { useLevels } from './levels';\nfunction Gauge() { const high = useLevels((s) => s.high); return <p>{high}</p>; }\nexport function App() { const raise = useLevels((s) => s.raise); return <><Gauge/><button onClick={() => raise(2)}>x</button></>; }`,
    { 'src/levels.ts': 'export const useLevels = create((set) => ({ high: 1, raise: (to) => set({ high: to }) }));' },
  ),
  vue: vue({
    'levels.js':
      "import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', { state: () => ({ high: 1 }), actions: { raise(to) { this.high = to; } } });",
    'App.vue': [
      `import { useLevels } from './levels'; ${importVue('Gauge')}\nconst levels = useLevels();`,
      '<Gauge/><button @click="levels.raise(2)">x</button>',
    ],
    'Gauge.vue': [
      "import { storeToRefs } from 'pinia'; import { useLevels } from './levels';\nconst { high } = storeToRefs(useLevels());",
      '<p>{{ high }}</p>',
    ],
  }),
  svelte: svelte({
    'levels.js': "import { writable } from 'svelte/store';\nexport const high = writable(1);\nexport function raise(to) { high.set(to); }",
    'App.svelte': [`import { raise } from './levels'; ${importSvelte('Gauge')}`, '<Gauge/><button onclick={() => raise(2)}>x</button>'],
    'Gauge.svelte': ["import { high } from './levels';", '<p>{$high}</p>'],
  }),
};
const handle: Sources = {
  react: react(
    `const Dialog = forwardRef(function Dialog(props, ref) { const [open, setOpen] = useState(false); useImperativeHandle(ref, () => ({ show: () => setOpen(true) })); return <p>{open}</p>; });\nexport function App() { const dialog = useRef(null); return <><Dialog ref={dialog}/><button onClick={() => dialog.current.show()}>x</button></>; }`,
  ),
  vue: vue({
    'App.vue': [
      `import { ref } from 'vue'; ${importVue('Dialog')}\nconst dialog = ref();`,
      '<Dialog ref="dialog"/><button @click="dialog.show()">x</button>',
    ],
    'Dialog.vue': [
      "import { ref } from 'vue';\nconst open = ref(false);\ndefineExpose({ show: () => open.value = true });",
      '<p>{{ open }}</p>',
    ],
  }),
  svelte: svelte({
    'App.svelte': [
      `${importSvelte('Dialog')}\nlet dialog = $state();`,
      '<Dialog bind:this={dialog}/><button onclick={() => dialog.show()}>x</button>',
    ],
    'Dialog.svelte': ['let open = $state(false);\nexport function show() { open = true; }', '<p>{open}</p>'],
  }),
};
const spread: Sources = {
  react: react(`${rLeaf}export function App() { const [boat] = useState({}); return <Leaf {...boat}/>; }`),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Leaf')}\nconst boat = ref({});`, '<Leaf v-bind="boat"/>'],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({ 'App.svelte': [`${importSvelte('Leaf')}\nlet boat = $state({});`, '<Leaf {...boat}/>'], 'Leaf.svelte': svLeaf }),
};
const dflt: Sources = {
  react: react(`function Leaf({ a = 3 }) { return <p>{a}</p>; }\nexport function App() { return <Leaf/>; }`),
  vue: vue({ 'App.vue': [importVue('Leaf'), '<Leaf/>'], 'Leaf.vue': ["const { a = 3 } = defineProps(['a']);", '<p>{{ a }}</p>'] }),
  svelte: svelte({ 'App.svelte': [importSvelte('Leaf'), '<Leaf/>'], 'Leaf.svelte': ['let { a = 3 } = $props();', '<p>{a}</p>'] }),
};
const dyn: Sources = {
  react: react(
    `${rLeaf}function Frame({ part: Part }) { const [n] = useState(1); return <Part a={n}/>; }\nexport function App() { return <Frame part={Leaf}/>; }`,
  ),
  vue: vue({
    'App.vue': [`${importVue('Frame', 'Leaf')}`, '<Frame :part="Leaf"/>'],
    'Frame.vue': ["import { ref } from 'vue';\ndefineProps(['part']);\nconst n = ref(1);", '<component :is="part" :a="n"/>'],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({
    'App.svelte': [importSvelte('Frame', 'Leaf'), '<Frame part={Leaf}/>'],
    'Frame.svelte': ['let { part: Part } = $props();\nlet n = $state(1);', '<Part a={n}/>'],
    'Leaf.svelte': svLeaf,
  }),
};
const content: Sources = {
  react: react(
    `function Card({ children }) { return <div>{children}</div>; }\n${rLeaf}export function App() { const [a] = useState(1); return <Card><Leaf a={a}/></Card>; }`,
  ),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Card', 'Leaf')}\nconst a = ref(1);`, '<Card><Leaf :a="a"/></Card>'],
    'Card.vue': ['', '<div><slot/></div>'],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Card', 'Leaf')}\nlet a = $state(1);`, '<Card><Leaf {a}/></Card>'],
    'Card.svelte': ['let { children } = $props();', '<div>{@render children()}</div>'],
    'Leaf.svelte': svLeaf,
  }),
};
const storage: Sources = {
  react: react(`${rLeaf}export function App() { const [a] = useState(localStorage.getItem('a')); return <Leaf a={a}/>; }`),
  vue: vue({
    'App.vue': [`import { ref } from 'vue'; ${importVue('Leaf')}\nconst a = ref(localStorage.getItem('a'));`, '<Leaf :a="a"/>'],
    'Leaf.vue': vueLeaf,
  }),
  svelte: svelte({
    'App.svelte': [`${importSvelte('Leaf')}\nlet a = $state(localStorage.getItem('a'));`, '<Leaf {a}/>'],
    'Leaf.svelte': svLeaf,
  }),
};
const chan: Sources = {
  react: react(
    `import { bus } from './bus';\nfunction Bell() { const [n, setN] = useState(0); useEffect(() => { bus.on('alarm', (level) => setN(level)); }, []); return <p>{n}</p>; }\nexport function App() { const [level] = useState(3); return <><Bell/><button onClick={() => bus.emit('alarm', level)}>x</button></>; }`,
    { 'src/bus.ts': 'export const bus = makeBus();' },
  ),
  vue: vue({
    'bus.js': 'export const bus = makeBus();',
    'App.vue': [
      `import { ref } from 'vue'; import { bus } from './bus'; ${importVue('Bell')}\nconst level = ref(3);`,
      `<Bell/><button @click="bus.emit('alarm', level)">x</button>`,
    ],
    'Bell.vue': [
      "import { ref, onMounted } from 'vue'; import { bus } from './bus';\nconst n = ref(0);\nonMounted(() => { bus.on('alarm', (level) => { n.value = level; }); });",
      '<p>{{ n }}</p>',
    ],
  }),
  svelte: svelte({
    'bus.js': 'export const bus = makeBus();',
    'App.svelte': [
      `import { bus } from './bus'; ${importSvelte('Bell')}\nlet level = $state(3);`,
      `<Bell/><button onclick={() => bus.emit('alarm', level)}>x</button>`,
    ],
    'Bell.svelte': [
      "import { onMount } from 'svelte'; import { bus } from './bus';\nlet n = $state(0);\nonMount(() => { bus.on('alarm', (level) => { n = level; }); });",
      '<p>{n}</p>',
    ],
  }),
};

/** Traces of the same construct in each framework. */
export const alike: readonly AlikeCase[] = [
  {
    name: 'what renders when a value in a slot changes',
    sources: still,
    of: 'App.a',
    ask: 'impact',
    rungs: {
      react: ['App owns a', 'App paints App | painted', '  Still reads Still | read', 'Shell reads Shell | read'],
      vue: ['App owns a', 'App paints App | painted', 'Shell reads Shell | read'],
      svelte: ['App owns a', 'App paints App | painted'],
    },
    strands: all([]),
  },
  {
    name: 'what renders when a value is handed down',
    sources: drill,
    of: 'App.a',
    ask: 'impact',
    rungs: all(['App owns a', 'App reads App | read', 'Mid reads Mid | read', 'Leaf paints Leaf | painted']),
    strands: all(['state a: App owns > Mid passes > Leaf reads']),
  },
  {
    name: 'a value drilled',
    sources: drill,
    of: 'App.a',
    ask: 'goes',
    rungs: all(['App owns a', 'Mid passes unread a', 'Leaf passes a', 'Leaf paints a | painted']),
    strands: all(['state a: App owns > Mid passes > Leaf reads']),
  },
  {
    name: 'a value drilled, back',
    sources: drill,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: all(['Leaf owns a', 'Mid passes a', 'App passes a', 'App owns a | constant']),
    strands: all(['state a: App owns > Mid passes > Leaf reads']),
  },
  {
    name: 'a value drilled, if it changes',
    sources: drill,
    of: 'App.a',
    ask: 'impact',
    rungs: all(['App owns a', 'App reads App | read', 'Mid reads Mid | read', 'Leaf paints Leaf | painted']),
    strands: all(['state a: App owns > Mid passes > Leaf reads']),
  },
  {
    name: 'an event changes a state',
    sources: up,
    of: 'App.a',
    ask: 'changes',
    rungs: {
      react: ['App owns a', 'Row relays onPick', 'Row changes a', 'Row starts click | platform button'],
      vue: ['App owns a', 'App changes a', 'App catches setA', 'Row relays pick', 'Row raises pick', 'Row starts click | platform button'],
      svelte: [
        'App owns a',
        'App changes a',
        'App catches setA',
        'Row relays onpick',
        'Row raises onpick',
        'Row starts click | platform button',
      ],
    },
    strands: {
      react: ['state a: App owns+reads > Row changes', 'event onPick: App catches > Row raises'],
      vue: ['event pick: App catches > Row raises'],
      svelte: ['event onpick: App catches > Row raises'],
    },
  },
  {
    name: 'what an event hands over',
    sources: up,
    of: 'Row.name',
    ask: 'goes',
    rungs: {
      react: ['Row owns name', 'Row raises onPick', 'App relays setA', 'App changes a', 'App paints a | painted'],
      vue: ['Row owns name', 'Row raises pick', 'App relays setA', 'App catches to', 'App changes a', 'App paints a | painted'],
      svelte: ['Row owns name', 'Row raises onpick', 'App relays setA', 'App catches to', 'App changes a', 'App paints a | painted'],
    },
    strands: {
      react: ['state a: App owns+reads > Row changes', 'event onPick: App catches > Row raises'],
      vue: ['event pick: App catches > Row raises'],
      svelte: ['event onpick: App catches > Row raises'],
    },
  },
  {
    name: 'where a state comes from',
    sources: up,
    of: 'App.a',
    ask: 'comes',
    rungs: {
      react: ['App owns a', '  App owns a | constant', 'Row renames onPick', 'Row changes name', 'App passes name | constant "b"'],
      vue: [
        'App owns a',
        '  App owns a | constant',
        'App changes to',
        'Row relays pick',
        'Row raises name',
        'App passes name | constant "b"',
      ],
      svelte: [
        'App owns a',
        '  App owns a | constant',
        'App changes to',
        'Row relays onpick',
        'Row raises name',
        'App passes name | constant "b"',
      ],
    },
    strands: {
      react: ['state a: App owns+reads > Row changes', 'event onPick: App catches > Row raises'],
      vue: ['event pick: App catches > Row raises'],
      svelte: ['event onpick: App catches > Row raises'],
    },
  },
  {
    name: 'an event that is relayed',
    sources: relay,
    of: 'App.n',
    ask: 'changes',
    rungs: {
      react: [
        'App owns n',
        'App changes n',
        'App catches onGo',
        'Inner relays onGo',
        'Inner raises onGo',
        'Inner starts click | platform button',
      ],
      vue: [
        'App owns n',
        'App changes n',
        'App catches go',
        'Mid raises go',
        'Mid catches go',
        'Inner raises go',
        'Inner starts click | platform button',
      ],
      svelte: [
        'App owns n',
        'App changes n',
        'App catches ongo',
        'Inner relays ongo',
        'Inner raises ongo',
        'Inner starts click | platform button',
      ],
    },
    strands: {
      react: ['event onGo: App catches > Mid passes > Inner raises'],
      vue: ['event go: App catches > Mid raises', 'event go: Mid catches > Inner raises'],
      svelte: ['event ongo: App catches > Mid passes > Inner raises'],
    },
  },
  {
    name: 'a two-way field, down',
    sources: two,
    of: 'App.name',
    ask: 'goes',
    rungs: {
      react: ['App owns name', 'Field renames value', 'Field paints value | painted'],
      vue: ['App owns name', 'Field renames modelValue', 'Field paints modelValue | painted'],
      svelte: ['App owns name', 'Field renames value', 'Field paints value | painted'],
    },
    strands: {
      react: ['state name: App owns > Field changes+reads+renames two-way', 'event onChange: App catches > Field raises'],
      vue: ['state name: App owns+changes > Field reads+renames two-way', 'event modelValue: App catches > Field raises'],
      svelte: ['state name: App owns+changes > Field reads+renames two-way', 'event value: App catches > Field raises'],
    },
  },
  {
    name: 'a two-way field, up',
    sources: two,
    of: 'App.name',
    ask: 'changes',
    rungs: {
      react: ['App owns name', 'Field relays onChange', 'Field changes name', 'Field starts change | platform input'],
      vue: [
        'App owns name',
        'App changes name',
        'App catches modelValue',
        'Field raises modelValue',
        'Field starts input | platform input',
      ],
      svelte: ['App owns name', 'App changes name', 'App catches value', 'Field raises value', 'Field starts input | platform input'],
    },
    strands: {
      react: ['state name: App owns > Field changes+reads+renames two-way', 'event onChange: App catches > Field raises'],
      vue: ['state name: App owns+changes > Field reads+renames two-way', 'event modelValue: App catches > Field raises'],
      svelte: ['state name: App owns+changes > Field reads+renames two-way', 'event value: App catches > Field raises'],
    },
  },
  {
    name: 'a two-way field, back',
    sources: two,
    of: { react: 'Field.value', vue: 'Field.modelValue', svelte: 'Field.value' },
    ask: 'comes',
    rungs: {
      react: [
        'Field owns value',
        'App renames name',
        '  App owns name | constant',
        'Field renames onChange',
        'Field changes event',
        'Field starts change | platform input',
      ],
      vue: [
        'Field owns modelValue',
        'App renames name',
        '  App owns name | constant',
        'App changes $event',
        'App catches modelValue',
        'Field raises $event',
        'Field starts input | platform input',
      ],
      svelte: [
        'Field owns value',
        'App renames name',
        '  App owns name | constant',
        'App changes event',
        'App catches value',
        'Field raises event',
        'Field starts input | platform input',
      ],
    },
    strands: {
      react: ['state name: App owns > Field changes+reads+renames two-way', 'event onChange: App catches > Field raises'],
      vue: ['state name: App owns+changes > Field reads+renames two-way', 'event modelValue: App catches > Field raises'],
      svelte: ['state name: App owns+changes > Field reads+renames two-way', 'event value: App catches > Field raises'],
    },
  },
  {
    name: 'a slot that hands out values',
    sources: slot,
    of: 'Card.eta',
    ask: 'goes',
    rungs: {
      react: ['Card owns eta', 'App gives eta', 'App paints eta | painted'],
      vue: ['Card owns eta', 'App gives { eta }', 'App paints { eta } | painted'],
      svelte: ['Card owns eta', 'App gives eta', 'App paints eta | painted'],
    },
    strands: all(['state eta: App reads > Card owns']),
  },
  {
    name: 'a slot that hands out values, back',
    sources: slot,
    of: { react: 'App.eta', vue: 'App.{ eta }', svelte: 'App.eta' },
    ask: 'comes',
    rungs: {
      react: ['App owns eta', 'Card gives eta', 'Card owns eta | constant'],
      vue: ['App owns { eta }', 'Card gives eta', 'Card owns eta | constant'],
      svelte: ['App owns eta', 'Card gives eta', 'Card owns eta | constant'],
    },
    strands: all(['state eta: App reads > Card owns']),
  },
  {
    name: 'content in a slot',
    sources: content,
    of: 'App.a',
    ask: 'goes',
    rungs: all(['App owns a', 'Leaf passes a', 'Leaf paints a | painted']),
    strands: all(['state a: App owns > Leaf reads']),
  },
  {
    name: 'content in a named slot',
    sources: named,
    of: 'App.a',
    ask: 'goes',
    rungs: {
      react: ['App owns a', '  App paints a | painted', 'Card derives head', 'Card paints head | painted'],
      vue: ['App owns a', 'App paints a | painted'],
      svelte: ['App owns a', 'App paints a | painted'],
    },
    strands: { react: ['state a: App owns+reads > Card reads+narrows'], vue: [], svelte: [] },
  },
  {
    name: 'a context',
    sources: ctx,
    of: 'App.ada',
    ask: 'goes',
    rungs: all(['App owns ada', 'App provides Keeper', 'Badge takes keeper', 'Badge paints keeper | painted']),
    strands: all(['context keeper: App owns > Badge reads']),
  },
  {
    name: 'a context, back',
    sources: ctx,
    of: 'Badge.keeper',
    ask: 'comes',
    rungs: all(['Badge owns keeper', 'Badge takes Keeper', 'App provides ada', 'App owns ada | constant']),
    strands: all(['context keeper: App owns > Badge reads']),
  },
  {
    name: 'the nearer provider answers',
    sources: near,
    of: 'Badge.keeper',
    ask: 'comes',
    rungs: all(['Badge owns keeper', 'Badge takes Keeper', 'Shift provides bo', 'Shift owns bo | constant']),
    strands: all(['context keeper: Shift owns > Badge reads']),
  },
  {
    name: 'a provider that nobody takes from',
    sources: near,
    of: 'App.ada',
    ask: 'goes',
    rungs: all(['App owns ada', 'App provides Keeper | untaken']),
    strands: all(['context keeper: Shift owns > Badge reads']),
  },
  {
    name: 'state in a function',
    sources: hook,
    of: 'useCount.n',
    ask: 'goes',
    rungs: {
      react: [
        'App/useCount owns n',
        '  App/useCount gives n',
        '  App paints n | painted',
        'App/useCount derives twice',
        'App/useCount gives twice',
        'App paints twice | painted',
      ],
      vue: [
        'App/useCount owns n',
        '  App/useCount gives n',
        '  App paints n | painted',
        'App/useCount derives twice',
        'App/useCount gives twice',
        'App paints twice | painted',
      ],
      svelte: [
        'App/useCount owns n',
        '  App/useCount gives count.n',
        '  App paints count.n | painted',
        'App/useCount derives twice',
        'App/useCount gives count.twice',
        'App paints count.twice | painted',
      ],
    },
    strands: all([]),
  },
  {
    name: 'what changes state in a function',
    sources: hook,
    of: 'useCount.n',
    ask: 'changes',
    rungs: {
      react: [
        'App/useCount owns n',
        'App/useCount changes n',
        'App/useCount catches add',
        'App/useCount relays add',
        'App starts click | platform button',
      ],
      vue: [
        'App/useCount owns n',
        'App/useCount changes n',
        'App/useCount catches add',
        'App/useCount relays add',
        'App starts click | platform button',
      ],
      svelte: [
        'App/useCount owns n',
        'App/useCount changes n',
        'App/useCount catches add',
        'App/useCount relays count.add',
        'App starts click | platform button',
      ],
    },
    strands: all([]),
  },
  {
    name: 'a list, computed',
    sources: list,
    of: 'App.boats',
    ask: 'goes',
    rungs: all(['App owns boats', 'App derives late', 'App narrows boat', 'Leaf narrows a', 'Leaf paints a | painted']),
    strands: all(['state boats: App owns+reads > Leaf reads+narrows']),
  },
  {
    name: 'one item of a list, back',
    sources: list,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: all(['Leaf owns a', 'App narrows boat', 'App narrows late', 'App derives boats', 'App owns boats | constant']),
    strands: all(['state boats: App owns+reads > Leaf reads+narrows']),
  },
  {
    name: 'a condition',
    sources: cond,
    of: 'App.open',
    ask: 'goes',
    rungs: all(['App owns open', 'App paints open | painted']),
    strands: all([]),
  },
  {
    name: 'a handler written in place',
    sources: cond,
    of: 'App.open',
    ask: 'changes',
    rungs: {
      react: ['App owns open', 'App changes open', 'App starts click | platform button'],
      vue: ['App owns open', 'App changes open', 'App starts click | platform button'],
      svelte: ['App owns open', 'App changes open', 'App starts click | platform button'],
    },
    strands: all([]),
  },
  {
    name: 'an effect that sets',
    sources: eff,
    of: 'App.n',
    ask: 'changes',
    rungs: {
      react: ['App owns n', 'App changes n', 'App starts useEffect | platform when m changes'],
      vue: ['App owns n', 'App changes n', 'App starts watch | platform when m changes'],
      svelte: ['App owns n', 'App changes n', 'App starts $effect | platform when m changes'],
    },
    strands: all([]),
  },
  {
    name: 'an effect that reads',
    sources: eff,
    of: 'App.m',
    ask: 'goes',
    rungs: all(['App owns m', '  App reads m | read', 'App changes n', 'App paints n | painted']),
    strands: all([]),
  },
  {
    name: 'what is fetched',
    sources: fetched,
    of: 'App.levels',
    ask: 'comes',
    rungs: all(['App owns levels', '  App owns levels | constant', 'App changes /levels', 'App owns /levels | asked fetch /levels']),
    strands: all([]),
  },
  {
    name: 'what an answer changes',
    sources: fetched,
    of: 'App.levels',
    ask: 'changes',
    rungs: {
      react: ['App owns levels', 'App changes levels', 'App starts useEffect | platform once it stands on the page'],
      vue: ['App owns levels', 'App changes levels', 'App starts onMounted | platform once it stands on the page'],
      svelte: ['App owns levels', 'App changes levels', 'App starts onMount | platform once it stands on the page'],
    },
    strands: all([]),
  },
  {
    name: 'a timer',
    sources: timer,
    of: 'App.now',
    ask: 'changes',
    rungs: {
      react: [
        'App owns now',
        'App changes now',
        'App catches timer',
        'App hears timer | platform',
        'App starts useEffect | platform once it stands on the page',
      ],
      vue: [
        'App owns now',
        'App changes now',
        'App catches timer',
        'App hears timer | platform',
        'App starts onMounted | platform once it stands on the page',
      ],
      svelte: [
        'App owns now',
        'App changes now',
        'App catches timer',
        'App hears timer | platform',
        'App starts onMount | platform once it stands on the page',
      ],
    },
    strands: all([]),
  },
  {
    name: 'an attribute that is not declared',
    sources: rest,
    of: 'App.tip',
    ask: 'goes',
    rungs: {
      react: ['App owns tip', 'Row renames title', 'Row paints rest | painted'],
      vue: ['App owns tip', 'Row renames title', 'Row paints $attrs | painted'],
      svelte: ['App owns tip', 'Row renames title', 'Row paints rest | painted'],
    },
    strands: {
      react: ['state tip: App owns+changes > Row reads+renames', 'event onClick: App catches > Row raises'],
      vue: ['state tip: App owns+changes > Row reads+renames', 'event click: App catches > Row raises'],
      svelte: ['state tip: App owns+changes > Row reads+renames', 'event onclick: App catches > Row raises'],
    },
  },
  {
    name: 'a listener that is not declared',
    sources: rest,
    of: 'App.tip',
    ask: 'changes',
    rungs: {
      react: ['App owns tip', 'App changes tip', 'App catches onClick', 'Row starts click | platform li'],
      vue: ['App owns tip', 'App changes tip', 'App catches click', 'Row starts click | platform li'],
      svelte: ['App owns tip', 'App changes tip', 'App catches onclick', 'Row starts click | platform li'],
    },
    strands: {
      react: ['state tip: App owns+changes > Row reads+renames', 'event onClick: App catches > Row raises'],
      vue: ['state tip: App owns+changes > Row reads+renames', 'event click: App catches > Row raises'],
      svelte: ['state tip: App owns+changes > Row reads+renames', 'event onclick: App catches > Row raises'],
    },
  },
  {
    name: 'a handle',
    sources: handle,
    of: 'Dialog.open',
    ask: 'changes',
    rungs: {
      react: [
        'Dialog owns open',
        'Dialog changes open',
        'Dialog catches show',
        'App relays dialog',
        'App calls dialog.current.show',
        'App starts click | platform button',
      ],
      vue: [
        'Dialog owns open',
        'Dialog changes open',
        'Dialog catches show',
        'App relays dialog',
        'App calls dialog.show',
        'App starts click | platform button',
      ],
      svelte: [
        'Dialog owns open',
        'Dialog changes open',
        'Dialog catches show',
        'App relays dialog',
        'App calls dialog.show',
        'App starts click | platform button',
      ],
    },
    strands: all([]),
  },
  {
    name: 'a spread',
    sources: spread,
    of: 'App.boat',
    ask: 'goes',
    rungs: all(['App owns boat', 'Leaf narrows a', 'Leaf paints a | painted']),
    strands: all(['state boat: App owns > Leaf reads+narrows']),
  },
  {
    name: 'a default',
    sources: dflt,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: all(['Leaf owns a', 'Leaf passes a | default 3']),
    strands: all([]),
  },
  {
    name: 'a component given as a prop',
    sources: dyn,
    of: 'Frame.n',
    ask: 'goes',
    rungs: all(['Frame owns n', 'Leaf renames a', 'Leaf paints a | painted']),
    strands: all(['state n: Frame owns > Leaf reads+renames']),
  },
  {
    name: 'from storage',
    sources: storage,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: all(['Leaf owns a', 'App passes a', 'App starts a', 'App owns a | asked storage a']),
    strands: all(['state a: App owns > Leaf reads']),
  },
  {
    name: 'a channel, sent',
    sources: chan,
    of: 'App.level',
    ask: 'goes',
    rungs: all(['App owns level', 'App publishes alarm', 'Bell hears level', 'Bell changes n', 'Bell paints n | painted']),
    strands: all(['event alarm: App raises > Bell catches']),
  },
  {
    name: 'a channel, heard',
    sources: chan,
    of: 'Bell.n',
    ask: 'changes',
    rungs: {
      react: [
        'Bell owns n',
        'Bell changes n',
        'Bell catches alarm',
        'Bell hears alarm',
        'App publishes alarm',
        'App starts click | platform button',
      ],
      vue: [
        'Bell owns n',
        'Bell changes n',
        'Bell catches alarm',
        'Bell hears alarm',
        'App publishes alarm',
        'App starts click | platform button',
      ],
      svelte: [
        'Bell owns n',
        'Bell changes n',
        'Bell catches alarm',
        'Bell hears alarm',
        'App publishes alarm',
        'App starts click | platform button',
      ],
    },
    strands: all(['event alarm: App raises > Bell catches']),
  },
  {
    name: 'a store',
    sources: store,
    of: { react: 'levels.ts:useLevels.high', vue: 'levels.js:useLevels.high', svelte: 'levels.js:high' },
    ask: 'goes',
    rungs: {
      react: ['levels.ts owns useLevels.high', 'Gauge takes high', 'Gauge paints high | painted'],
      vue: ['levels.js owns useLevels.high', 'Gauge takes high', 'Gauge paints high | painted'],
      svelte: ['levels.js owns high', 'Gauge paints high | painted'],
    },
    strands: {
      react: ['store useLevels: App changes+reads > Gauge reads'],
      vue: ['store useLevels: App changes+reads > Gauge reads'],
      svelte: ['store high: App changes > Gauge reads'],
    },
  },
  {
    name: 'what changes a store',
    sources: store,
    of: { react: 'levels.ts:useLevels.high', vue: 'levels.js:useLevels.high', svelte: 'levels.js:high' },
    ask: 'changes',
    rungs: {
      react: [
        'levels.ts owns useLevels.high',
        'levels.ts changes useLevels',
        'levels.ts catches raise',
        'levels.ts relays useLevels',
        'App relays raise',
        'App calls raise',
        'App starts click | platform button',
      ],
      vue: [
        'levels.js owns useLevels.high',
        'levels.js changes useLevels',
        'levels.js catches raise',
        'levels.js relays useLevels',
        'App relays levels.raise',
        'App calls levels.raise',
        'App starts click | platform button',
      ],
      svelte: [
        'levels.js owns high',
        'levels.js changes high',
        'levels.js catches raise',
        'App calls raise',
        'App starts click | platform button',
      ],
    },
    strands: {
      react: ['store useLevels: App changes+reads > Gauge reads'],
      vue: ['store useLevels: App changes+reads > Gauge reads'],
      svelte: ['store high: App changes > Gauge reads'],
    },
  },
];
