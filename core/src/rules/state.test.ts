import { beforeAll, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { analyseFiles } from '../../../testing/src/project';
import { filesOf, type Sources, table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const listState = 'const [notes, setNotes] = useState([]);';
table(
  'change-unseen',
  'react',
  [
    ['pushed', `export function App() { ${listState} return <p onClick={() => { notes.push(1); }}>{notes.length}</p>; }`, 'App notes'],
    [
      'a member assigned',
      `export function App() { const [note, setNote] = useState({ a: 1 }); const put = () => { note.a = 2; }; return <p onClick={put}>{note.a}</p>; }`,
      'App note',
    ],
    [
      'sorted in place',
      `export function App() { ${listState} return <p onClick={() => { notes.sort(); }}>{notes.length}</p>; }`,
      'App notes',
    ],
    [
      'shown only because something else is set',
      `export function App() { ${listState} const [at, setAt] = useState(0); const add = () => { notes.push(1); setAt(at + 1); }; return <p onClick={add}>{at}{notes.length}</p>; }`,
      'App notes',
    ],
  ],
  [
    ['set anew', `export function App() { ${listState} return <p onClick={() => setNotes([...notes, 1])}>{notes.length}</p>; }`],
    [
      'and set afterwards',
      `export function App() { ${listState} return <p onClick={() => { notes.push(1); setNotes([...notes]); }}>{notes.length}</p>; }`,
    ],
    [
      'a copy',
      `export function App() { ${listState} return <p onClick={() => { const next = [...notes]; next.push(1); setNotes(next); }}>{notes.length}</p>; }`,
    ],
    ['a ref', 'export function App() { const notes = useRef([]); return <p onClick={() => { notes.current.push(1); }}/>; }'],
    [
      'a copy that is sorted',
      `export function App() { ${listState} return <p onClick={() => setNotes([...notes].sort())}>{notes.length}</p>; }`,
    ],
    ['only read', `export function App() { ${listState} return <p onClick={() => print(notes.map((one) => one))}>{notes.length}</p>; }`],
    [
      'set by a function that it calls',
      `export function App() { ${listState} const show = () => setNotes([...notes]); return <p onClick={() => { notes.push(1); show(); }}>{notes.length}</p>; }`,
    ],
  ],
);

const stateA = 'const [a, setA] = useState(1);';
table(
  'stale-reading',
  'react',
  [
    ['an effect', `export function App() { ${stateA} useEffect(() => { print(a); }, []); return <p onClick={() => setA(2)}/>; }`, 'App a'],
    [
      'a callback',
      `export function App() { ${stateA} const save = useCallback(() => print(a), []); return <p onClick={() => { setA(2); save(); }}/>; }`,
      'App a',
    ],
    [
      'a prop that changes',
      `function Part({ a }) { useEffect(() => { print(a); }, []); return <p/>; }\nexport function App() { ${stateA} return <b onClick={() => setA(2)}><Part a={a}/></b>; }`,
      'Part a',
    ],
  ],
  [
    ['followed', `export function App() { ${stateA} useEffect(() => { print(a); }, [a]); return <p onClick={() => setA(2)}/>; }`],
    ['no list at all', `export function App() { ${stateA} useEffect(() => { print(a); }); return <p onClick={() => setA(2)}/>; }`],
    ['the setter', `export function App() { ${stateA} useEffect(() => { setA(2); }, []); return <p>{a}</p>; }`],
    [
      'the setter’s own latest value',
      `export function App() { ${stateA} useEffect(() => { setA((before) => before + 1); }, []); return <p>{a}</p>; }`,
    ],
    [
      'a ref',
      `export function App() { ${stateA} const r = useRef(a); useEffect(() => { print(r.current); }, []); return <p onClick={() => setA(2)}/>; }`,
    ],
    ['it never changes', 'export function App() { const [a] = useState(1); useEffect(() => { print(a); }, []); return <p/>; }'],
    [
      'a prop that is always the same',
      'function Part({ a }) { useEffect(() => { print(a); }, []); return <p/>; }\nexport function App() { return <Part a="1"/>; }',
    ],
    [
      'on purpose',
      `export function App() { ${stateA} useEffect(() => { print(a);\n// eslint-disable-next-line react-hooks/exhaustive-deps\n}, []); return <p onClick={() => setA(2)}/>; }`,
    ],
    [
      'the part that is read',
      `export function App() { const [a, setA] = useState({ b: 1 }); useEffect(() => { print(a.b); }, [a.b]); return <p onClick={() => setA({ b: 2 })}/>; }`,
    ],
  ],
);

const copy = (more: string, use = '<Field note={note}/>'): string =>
  `function Field({ note }) { const [text, setText] = useState(note); ${more} return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\nexport function App() { const [note, setNote] = useState(''); return <p onClick={() => setNote('x')}>${use}</p>; }`;
table(
  'prop-copied',
  'react',
  [
    ['once', copy(''), 'Field note'],
    ['in a class of parts', copy('useEffect(() => { print(text); }, [text]);'), 'Field note'],
    ['one of two uses changes', copy('', '<Field note="a"/><Field note={note}/>'), 'Field note'],
  ],
  [
    ['followed by an effect', copy('useEffect(() => { setText(note); }, [note]);')],
    ['followed while rendering', copy('const [last, setLast] = useState(note); if (last !== note) { setLast(note); setText(note); }')],
    ['keyed', copy('', '<Field key={note} note={note}/>')],
    ['given a constant', copy('', '<Field note="a"/>')],
    [
      'an initial value by name',
      'function Field({ initialNote }) { const [text, setText] = useState(initialNote); return <input value={text} onChange={() => setText(1)}/>; }\nexport function App() { const [note, setNote] = useState(""); return <p onClick={() => setNote("x")}><Field initialNote={note}/></p>; }',
    ],
    ['reset by an event', copy('const reset = () => setText(note); useEffect(() => { print(reset); });')],
    [
      'shown beside the copy',
      'function Field({ note }) { const [text, setText] = useState(note); return <p onClick={() => setText(1)}>{note}{text}</p>; }\nexport function App() { const [note, setNote] = useState(""); return <p onClick={() => setNote("x")}><Field note={note}/></p>; }',
    ],
  ],
);

const queue = (body: string): string =>
  `function Queue({ items, listRef, onAdd }) { ${body} return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { const [items, setItems] = useState([]); return <Queue items={items}/>; }`;
table(
  'prop-written',
  'react',
  [
    ['added to', queue('const go = () => { items.push(1); };'), 'Queue items'],
    ['sorted', queue('const go = () => { items.sort(); };'), 'Queue items'],
    ['at a position', queue('const go = () => { items[0] = 1; };'), 'Queue items'],
  ],
  [
    ['a copy', queue('const go = () => { const own = [...items]; own.push(1); };')],
    ['a sorted copy', queue('const go = () => print([...items].sort());')],
    ['a new list', queue('const go = () => print(items.concat(1));')],
    ['a handle', queue('const go = () => { listRef.current.push(1); };')],
    [
      'its own state',
      'function Queue() { const [items, setItems] = useState([]); const go = () => { items.push(1); setItems([...items]); }; return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { return <Queue/>; }',
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

const vueShown = (script: string, markup: string, files: Readonly<Record<string, string>> = {}): Sources => ({
  App: `<script setup>${script}</script><template>${markup}</template>`,
  ...files,
});
const store = {
  'store.js':
    'import { defineStore } from "pinia"; export const useLevels = defineStore("levels", { state: () => ({ level: 2 }), actions: { raise() { this.level = 3; } } });',
};
table(
  'change-unseen',
  'vue',
  [
    [
      'a plain variable',
      vueShown('let open = false; const toggle = () => { open = !open; };', '<p @click="toggle">{{ open }}</p>'),
      'App open',
    ],
    [
      'a plain variable by which the markup decides',
      vueShown('let open = false; const toggle = () => { open = true; };', '<p @click="toggle"><b v-if="open"/></p>'),
      'App open',
    ],
    [
      'a member taken out of reactive',
      vueShown(
        'import { reactive } from "vue"; const gauge = reactive({ level: 2 }); const { level } = gauge; const raise = () => { gauge.level = 3; };',
        '<p @click="raise">{{ level }}</p>',
      ),
      'App level',
    ],
    [
      'of a store',
      vueShown('import { useLevels } from "./store"; const { level } = useLevels();', '<p>{{ level }}</p>', store),
      'App level',
    ],
  ],
  [
    [
      'a ref',
      vueShown(
        'import { ref } from "vue"; let open = ref(false); const toggle = () => { open.value = true; };',
        '<p @click="toggle">{{ open }}</p>',
      ),
    ],
    ['written while it is set up', vueShown('let tone = "calm"; if (late) tone = "late";', '<p>{{ tone }}</p>')],
    ['not shown', vueShown('let timer; const start = () => { timer = 1; };', '<p @click="start"/>')],
    ['never written', vueShown('let tone = "calm";', '<p>{{ tone }}</p>')],
    [
      'toRefs',
      vueShown(
        'import { reactive, toRefs } from "vue"; const gauge = reactive({ level: 2 }); const { level } = toRefs(gauge); const raise = () => { gauge.level = 3; };',
        '<p @click="raise">{{ level }}</p>',
      ),
    ],
    [
      'storeToRefs',
      vueShown(
        'import { storeToRefs } from "pinia"; import { useLevels } from "./store"; const { level } = storeToRefs(useLevels());',
        '<p>{{ level }}</p>',
        store,
      ),
    ],
    ['an action of a store', vueShown('import { useLevels } from "./store"; const { raise } = useLevels();', '<p @click="raise"/>', store)],
    [
      'another member of it',
      vueShown(
        'import { reactive } from "vue"; const gauge = reactive({ level: 2, tone: 1 }); const { tone } = gauge; const raise = () => { gauge.level = 3; };',
        '<p @click="raise">{{ tone }}</p>',
      ),
    ],
    [
      'what a composable gives',
      vueShown('import { useGauge } from "./gauge"; const { level } = useGauge();', '<p>{{ level }}</p>', {
        'gauge.js':
          'import { ref } from "vue"; export function useGauge() { const level = ref(1); const raise = () => { level.value = 2; }; return { level, raise }; }',
      }),
    ],
    [
      'changed inside',
      vueShown('import { ref } from "vue"; const rows = ref([]); const add = () => rows.value.push(1);', '<p @click="add">{{ rows }}</p>'),
    ],
  ],
);

table(
  'change-unseen',
  'svelte',
  [
    [
      'a plain variable among runes',
      { App: '<script>let { a } = $props(); let open = false;</script><p onclick={() => { open = !open; }}>{open}{a}</p>' },
      'App open',
    ],
    [
      'by which the markup decides',
      { App: '<script>let { a } = $props(); let open = false;</script><p onclick={() => { open = true; }}>{a}</p>{#if open}<b></b>{/if}' },
      'App open',
    ],
    [
      'a method that changes a list, the older way',
      { App: '<script>let rows = [];</script><p on:click={() => rows.push(1)}>{rows.length}</p>' },
      'App rows',
    ],
    [
      'sorted, the older way',
      { App: '<script>let rows = [2, 1]; function sort() { rows.sort(); }</script><p on:click={sort}>{rows.length}</p>' },
      'App rows',
    ],
  ],
  [
    ['state', { App: '<script>let open = $state(false);</script><p onclick={() => { open = !open; }}>{open}</p>' }],
    ['a list in a proxy', { App: '<script>let rows = $state([]);</script><p onclick={() => rows.push(1)}>{rows.length}</p>' }],
    ['assigned afterwards', { App: '<script>let rows = [];</script><p on:click={() => { rows.push(1); rows = rows; }}>{rows.length}</p>' }],
    [
      'a member is assigned, the older way',
      { App: '<script>let boat = { a: 1 };</script><p on:click={() => { boat.a = 2; }}>{boat.a}</p>' },
    ],
    ['a variable, the older way', { App: '<script>let open = false;</script><p on:click={() => { open = !open; }}>{open}</p>' }],
    ['not shown', { App: '<script>let { a } = $props(); let timer = 0;</script><p onclick={() => { timer = 1; }}>{a}</p>' }],
    ['written while it is set up', { App: '<script>let { a } = $props(); let tone = 1; if (a) tone = 2;</script><p>{tone}</p>' }],
  ],
);

const vueEffect = (effect: string): Sources =>
  vueShown(
    `import { ref, watchEffect } from "vue"; import { load } from "out"; const lock = ref(1); const shown = ref([]); const pick = () => { lock.value = 2; }; ${effect}`,
    '<p @click="pick">{{ shown }}</p>',
  );
table(
  'stale-reading',
  'vue',
  [
    ['after an await', vueEffect('watchEffect(async () => { const rows = await load(); shown.value = rows[lock.value]; });'), 'App lock'],
    ['in a promise', vueEffect('watchEffect(() => { load().then((rows) => { shown.value = rows[lock.value]; }); });'), 'App lock'],
    ['in a timer', vueEffect('watchEffect(() => { setTimeout(() => { shown.value = [lock.value]; }, 100); });'), 'App lock'],
  ],
  [
    [
      'before the await',
      vueEffect('watchEffect(async () => { const wanted = lock.value; const rows = await load(); shown.value = rows[wanted]; });'),
    ],
    ['before and after', vueEffect('watchEffect(async () => { load(lock.value); await load(); shown.value = [lock.value]; });')],
    ['in what is awaited', vueEffect('watchEffect(async () => { shown.value = await load(lock.value); });')],
    ['what it writes itself', vueEffect('watchEffect(async () => { const rows = await load(); shown.value = [...shown.value, rows]; });')],
    ['a handler', vueEffect('const go = async () => { await load(); shown.value = [lock.value]; };')],
    [
      'it never changes',
      vueShown(
        'import { ref, watchEffect } from "vue"; import { load } from "out"; const lock = ref(1); watchEffect(async () => { await load(); load(lock.value); });',
        '<p>{{ lock }}</p>',
      ),
    ],
  ],
);

const svelteEffect = (script: string): Sources => ({
  App: `<script>import { load } from "out"; let lock = $state(1); let shown = $state([]); ${script}</script><p onclick={() => { lock = 2; }}>{shown}</p>`,
});
table(
  'stale-reading',
  'svelte',
  [
    ['after an await', svelteEffect('$effect(() => { (async () => {})(); load().then((rows) => { shown = rows[lock]; }); });'), 'App lock'],
    [
      'in a timer',
      svelteEffect('$effect(() => { const at = setTimeout(() => { shown = [lock]; }, 100); return () => clearTimeout(at); });'),
      'App lock',
    ],
    [
      'hidden in a function, the older way',
      {
        App: '<script>let lock = 1; let shown = 0; function update() { shown = lock * 2; } $: update();</script><p on:click={() => { lock = 2; }}>{shown}</p>',
      },
      'App lock',
    ],
  ],
  [
    ['read before', svelteEffect('$effect(() => { const wanted = lock; load().then((rows) => { shown = rows[wanted]; }); });')],
    ['handed over', svelteEffect('$effect(() => { load(lock).then((rows) => { shown = rows; }); });')],
    ['what it writes itself', svelteEffect('$effect(() => { load().then((rows) => { shown = [...shown, rows]; }); });')],
    [
      'named, the older way',
      {
        App: '<script>let lock = 1; let shown = 0; function update(n) { shown = n * 2; } $: update(lock);</script><p on:click={() => { lock = 2; }}>{shown}</p>',
      },
    ],
    [
      'it follows something, the older way',
      {
        App: '<script>let lock = 1; let a = 1; let shown = 0; function update() { shown = lock * 2; } $: if (a) update();</script><p on:click={() => { lock = 2; a = 2; }}>{shown}</p>',
      },
    ],
    [
      'it never changes',
      { App: '<script>let lock = 1; let shown = 0; function update() { shown = lock * 2; } $: update();</script><p>{shown}</p>' },
    ],
  ],
);

const vueProps = (script: string, markup = '<p/>'): Sources => ({
  App: '<script setup>import { ref } from "vue"; const boat = ref({ name: 1 }); const level = ref(1); const go = () => { level.value = 2; };</script><template><main @click="go"><Part :boat="boat" :level="level"/></main></template>',
  Part: `<script setup>import { ref, watch } from "vue"; const props = defineProps({ boat: Object, level: Number }); ${script}</script><template>${markup}</template>`,
});
table(
  'prop-written',
  'vue',
  [
    ['the prop itself', vueProps('const up = () => { props.level = 3; };', '<p @click="up"/>'), 'Part level'],
    ['counted up', vueProps('const up = () => { props.level++; };', '<p @click="up"/>'), 'Part level'],
    ['a member of it', vueProps('const name = () => { props.boat.name = 2; };', '<p @click="name"/>'), 'Part boat'],
    ['in the template', vueProps('', '<p @click="boat.name = 2"/>'), 'Part boat'],
  ],
  [
    ['a copy', vueProps('const own = ref({ ...props.boat }); const name = () => { own.value.name = 2; };', '<p @click="name"/>')],
    ['read', vueProps('const show = () => props.boat.name;', '<p @click="show"/>')],
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

const svelteProps = (script: string, markup: string, given = '<Part {boat}/>'): Sources => ({
  App: `<script>let boat = $state({ name: 1 });</script>${given}`,
  Part: `<script>${script}</script>${markup}`,
});
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

table(
  'prop-copied',
  'vue',
  [
    ['a ref from a prop', vueProps('const own = ref(props.level);', '<p>{{ own }}</p>'), 'Part level'],
    [
      'taken apart',
      {
        App: (vueProps('') as { App: string }).App,
        Part: '<script setup>import { ref } from "vue"; const { level } = defineProps({ boat: Object, level: Number }); const own = ref(level);</script><template><p>{{ own }}</p></template>',
      },
      'Part level',
    ],
    [
      'and changed',
      vueProps('const own = ref(props.level); const up = () => { own.value = 2; };', '<p @click="up">{{ own }}</p>'),
      'Part level',
    ],
  ],
  [
    ['followed', vueProps('const own = ref(props.level); watch(() => props.level, (next) => { own.value = next; });', '<p>{{ own }}</p>')],
    ['computed', vueProps('import { computed } from "vue"; const own = computed(() => props.level);', '<p>{{ own }}</p>')],
    ['read as well', vueProps('const own = ref(props.level);', '<p>{{ own }}{{ level }}</p>')],
    [
      'a constant is given',
      {
        App: '<template><main><Part :level="1"/></main></template>',
        Part: '<script setup>import { ref } from "vue"; const props = defineProps({ level: Number }); const own = ref(props.level);</script><template><p>{{ own }}</p></template>',
      },
    ],
    [
      'called a start',
      {
        App: '<script setup>import { ref } from "vue"; const level = ref(1); const go = () => { level.value = 2; };</script><template><main @click="go"><Part :initial-level="level"/></main></template>',
        Part: '<script setup>import { ref } from "vue"; const props = defineProps({ initialLevel: Number }); const own = ref(props.initialLevel);</script><template><p>{{ own }}</p></template>',
      },
    ],
  ],
);

const svelteCopy = (script: string, markup = '<p>{own}</p>', given = '<Part {level}/>'): Sources => ({
  App: `<script>let level = $state(1);</script><p onclick={() => { level = 2; }}></p>${given}`,
  Part: `<script>${script}</script>${markup}`,
});
table(
  'prop-copied',
  'svelte',
  [
    ['state from a prop', svelteCopy('let { level } = $props(); let own = $state(level);'), 'Part level'],
    [
      'and changed',
      svelteCopy('let { level } = $props(); let own = $state(level);', '<p onclick={() => { own = 3; }}>{own}</p>'),
      'Part level',
    ],
    [
      'in a list',
      svelteCopy('let { level } = $props(); let own = $state(level);', '{#each [1] as one}<p>{own}{one}</p>{/each}'),
      'Part level',
    ],
  ],
  [
    ['derived', svelteCopy('let { level } = $props(); let own = $derived(level);')],
    ['followed', svelteCopy('let { level } = $props(); let own = $state(level); $effect(() => { own = level; });')],
    ['read as well', svelteCopy('let { level } = $props(); let own = $state(level);', '<p>{own}{level}</p>')],
    ['a constant is given', svelteCopy('let { level } = $props(); let own = $state(level);', '<p>{own}</p>', '<Part level={1}/>')],
    [
      'called a start',
      svelteCopy('let { initialLevel } = $props(); let own = $state(initialLevel);', '<p>{own}</p>', '<Part initialLevel={level}/>'),
    ],
  ],
);

test.each([
  ['what shows nothing is a fault', 'notes.push(1);', 'fault'],
  ['what shows by chance is a risk', 'notes.push(1); setAt(at + 1);', 'risk'],
  ['what shows by a function that is called is one too', 'notes.push(1); go();', 'risk'],
])('a change that nobody notices: %s', (_, does, severity) => {
  const app = `export function App() { ${listState} const [at, setAt] = useState(0); const go = () => setAt(2); const add = () => { ${does} }; return <p onClick={add} onBlur={go}>{at}{notes.length}</p>; }`;
  const { findings } = analyseFiles(filesOf('react', app));
  expect(findings.filter((one) => one.rule === 'change-unseen').map((one) => one.severity)).toEqual([severity]);
});
