import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const stateA = 'const [a, setA] = useState(1);';

const vueShown = (script: string, markup: string, files: Readonly<Record<string, string>> = {}): Sources => ({
  App: `<script setup>${script}</script><template>${markup}</template>`,
  ...files,
});

const vueEffect = (effect: string): Sources =>
  vueShown(
    `import { ref, watchEffect } from "vue"; import { load } from "out"; const lock = ref(1); const shown = ref([]); const pick = () => { lock.value = 2; }; ${effect}`,
    '<p @click="pick">{{ shown }}</p>',
  );

const svelteEffect = (script: string): Sources => ({
  App: `<script>import { load } from "out"; let lock = $state(1); let shown = $state([]); ${script}</script><p onclick={() => { lock = 2; }}>{shown}</p>`,
});

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
    [
      'a memo',
      `export function App() { ${stateA} const b = useMemo(() => a + 1, []); return <p onClick={() => setA(2)}>{b}</p>; }`,
      'App a',
    ],
    [
      'a timer that an effect starts',
      `export function App() { ${stateA} useEffect(() => { const id = setInterval(() => setA(a + 1), 100); return () => clearInterval(id); }, []); return <p>{a}</p>; }`,
      'App a',
    ],
    [
      'what a hook of the project gives',
      'function useKept(first) { const [a, setA] = useState(first); return [a, setA]; }\nexport function App() { const [a, setA] = useKept(1); const b = useMemo(() => a + 1, []); return <p onClick={() => setA(2)}>{b}</p>; }',
      'App useKept',
    ],
  ],
  [
    [
      'a memo that follows',
      `export function App() { ${stateA} const b = useMemo(() => a + 1, [a]); return <p onClick={() => setA(2)}>{b}</p>; }`,
    ],
    [
      'a timer that hands its function the latest value',
      `export function App() { ${stateA} useEffect(() => { const id = setInterval(() => setA((before) => before + 1), 100); return () => clearInterval(id); }, []); return <p>{a}</p>; }`,
    ],
    ['followed', `export function App() { ${stateA} useEffect(() => { print(a); }, [a]); return <p onClick={() => setA(2)}/>; }`],
    [
      'what it sets itself, through a copy of it',
      `export function App({ word }) { ${stateA} useEffect(() => { const next = { ...a }; next.word = word; setA(next); }, [word]); return <p onClick={() => setA({})}>{word}</p>; }`,
    ],
    [
      'what a class begins with, and follows each time it was given something',
      'class Row extends Component { componentDidMount() { if (!this.props.off) listen(); } componentDidUpdate(before) { if (before.off !== this.props.off) listen(); } render() { return <p/>; } }\nexport function App() { const [off, setOff] = useState(false); return <main onClick={() => setOff(true)}><Row off={off}/></main>; }',
    ],
    [
      'what a class begins with of its own state',
      'class App extends Component { state = { a: 1 }; componentDidMount() { this.props.load(this.state.a); } render() { return <p onClick={() => this.setState({ a: 2 })}>{this.state.a}</p>; } }',
    ],
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

table(
  'stale-reading',
  'vue',
  [
    [
      'a prop that a constant is, shown by what is computed',
      vueShown('import { ref } from "vue"; const level = ref(1);', '<p @click="level++"/><Gauge :level="level"/>', {
        Gauge:
          '<script setup>import { computed } from "vue"; const props = defineProps({ level: Number }); const now = props.level; const text = computed(() => now + 1);</script><template><b>{{ text }}</b></template>',
      }),
      'Gauge level',
    ],
    [
      'computed once, when it is mounted',
      vueShown('import { ref } from "vue"; const level = ref(1);', '<p @click="level++"/><Gauge :level="level"/>', {
        Gauge:
          '<script setup>import { onMounted, ref } from "vue"; const props = defineProps({ level: Number }); const text = ref(0); onMounted(() => { text.value = props.level + 1; });</script><template><b>{{ text }}</b></template>',
      }),
      'Gauge level',
    ],
    [
      'computed once from a ref',
      vueShown('import { ref } from "vue"; const n = ref(1); const twice = n.value * 2;', '<p @click="n++">{{ twice }}</p>'),
      'App n',
    ],
    [
      'in a function, after its await',
      vueEffect(
        'const load2 = async () => { const rows = await load(); shown.value = rows[lock.value]; }; watchEffect(() => { load2(); });',
      ),
      'App lock',
    ],
    ['after an await', vueEffect('watchEffect(async () => { const rows = await load(); shown.value = rows[lock.value]; });'), 'App lock'],
    ['in a promise', vueEffect('watchEffect(() => { load().then((rows) => { shown.value = rows[lock.value]; }); });'), 'App lock'],
    ['in a timer', vueEffect('watchEffect(() => { setTimeout(() => { shown.value = [lock.value]; }, 100); });'), 'App lock'],
  ],
  [
    [
      'computed when it is mounted, and set by something else as well',
      vueShown('import { ref } from "vue"; const level = ref(1);', '<p @click="level++"/><Gauge :level="level"/>', {
        Gauge:
          '<script setup>import { onMounted, ref } from "vue"; const props = defineProps({ level: Number }); const text = ref(0); onMounted(() => { text.value = props.level + 1; }); const more = () => { text.value++; };</script><template><b @click="more">{{ text }}</b></template>',
      }),
    ],
    [
      'computed again',
      vueShown(
        'import { computed, ref } from "vue"; const n = ref(1); const twice = computed(() => n.value * 2);',
        '<p @click="n++">{{ twice }}</p>',
      ),
    ],
    [
      'a ref is handed on, not its value',
      vueShown(
        'import { ref } from "vue"; import { twiceOf } from "out"; const n = ref(1); const twice = twiceOf(n);',
        '<p @click="n++">{{ twice }}</p>',
      ),
    ],
    [
      'a prop that a constant is and that never changes',
      vueShown('', '<Gauge :level="1"/>', {
        Gauge:
          '<script setup>const props = defineProps({ level: Number }); const now = props.level;</script><template><b>{{ now }}</b></template>',
      }),
    ],
    [
      'computed once and not shown',
      vueShown(
        'import { ref } from "vue"; const n = ref(1); const first = n.value * 2; const log = () => print(first);',
        '<p @click="n++">{{ n }}</p>',
      ),
    ],
    [
      'before the await',
      vueEffect('watchEffect(async () => { const wanted = lock.value; const rows = await load(); shown.value = rows[wanted]; });'),
    ],
    ['before and after', vueEffect('watchEffect(async () => { load(lock.value); await load(); shown.value = [lock.value]; });')],
    ['in what is awaited', vueEffect('watchEffect(async () => { shown.value = await load(lock.value); });')],
    ['what it writes itself', vueEffect('watchEffect(async () => { const rows = await load(); shown.value = [...shown.value, rows]; });')],
    [
      'a watcher among options, which follows what it is named after',
      {
        App: '<script>export default { data: () => ({ lock: 1, picked: 1, shown: [] }), watch: { lock() { this.look(); } }, methods: { async look() { await load(); this.shown = [this.picked]; }, pick() { this.lock = 2; this.picked = 2; } } };</script><template><p @click="pick">{{ shown }}</p></template>',
      },
    ],
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

table(
  'stale-reading',
  'svelte',
  [
    [
      'in a function, after its await',
      svelteEffect('const load2 = async () => { const rows = await load(); shown = rows[lock]; }; $effect(() => { load2(); });'),
      'App lock',
    ],
    [
      'computed once',
      { App: '<script>let lock = $state(1); const twice = lock * 2;</script><p onclick={() => { lock = 2; }}>{twice}</p>' },
      'App lock',
    ],
    [
      'given to all below by its value',
      {
        App: '<script>import { setContext } from "svelte"; let lock = $state(1); setContext("lock", lock);</script><p onclick={() => { lock = 2; }}>{lock}</p><Part/>',
        Part: '<script>import { getContext } from "svelte"; const lock = getContext("lock");</script><p>{lock}</p>',
      },
      'App lock',
    ],
    [
      'hidden in a function that gives a value, the older way',
      {
        App: '<script>let lock = 1; function twice() { return lock * 2; } $: shown = twice();</script><p on:click={() => { lock = 2; }}>{shown}</p>',
      },
      'App lock',
    ],
    [
      'as the framework’s own tool writes it',
      svelteEffect('import { run } from "svelte/legacy"; run(() => { setTimeout(() => { shown = [lock]; }, 100); });'),
      'App lock',
    ],
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
    [
      'a store that is given for reading alone',
      {
        App: '<script>import { writable } from "svelte/store"; const lock = writable(1); const reading = { subscribe: lock.subscribe };</script><p on:click={() => lock.set(2)}>{$reading}</p>',
      },
    ],
    [
      'given to all below by a function',
      {
        App: '<script>import { setContext } from "svelte"; let lock = $state(1); setContext("lock", () => lock);</script><p onclick={() => { lock = 2; }}>{lock}</p><Part/>',
        Part: '<script>import { getContext } from "svelte"; const lock = getContext("lock");</script><p>{lock()}</p>',
      },
    ],
    [
      'a list that is given as it is and changed inside',
      {
        App: '<script>import { setContext } from "svelte"; let locks = $state([]); setContext("locks", locks);</script><p onclick={() => { locks.push(2); }}>{locks}</p><Part/>',
        Part: '<script>import { getContext } from "svelte"; const locks = getContext("locks");</script><p>{locks}</p>',
      },
    ],
    [
      'given what it reads, the older way',
      {
        App: '<script>let lock = 1; function twice(n) { return n * 2; } $: shown = twice(lock);</script><p on:click={() => { lock = 2; }}>{shown}</p>',
      },
    ],
    [
      'computed again',
      { App: '<script>let lock = $state(1); const twice = $derived(lock * 2);</script><p onclick={() => { lock = 2; }}>{twice}</p>' },
    ],
    [
      'an object that a statement keeps in step',
      {
        App: '<script>let rows = [];</script><button on:click={() => (rows = [1])}>x</button><Part {rows}/>',
        Part: '<script>import { make } from "made"; export let rows; const held = make({ wide: true }); $: { if (rows) { held.rows = rows; } }</script><p>{held.rows}</p>',
      },
    ],
    [
      'an object that an effect keeps in step',
      {
        App: '<script>import { Held } from "made"; let lock = $state(1); const held = new Held({ wide: true }); $effect(() => { held.lock = lock; });</script><button onclick={() => (lock = 2)}>x</button><p>{held.lock}</p>',
      },
    ],
    [
      'what a function reads later that a statement calls',
      {
        App: '<script>let lock = 1; let wide = 2; let shown; async function load(one) { await one; shown = wide; } $: load(lock);</script><p on:click={() => { lock = 2; wide = 3; }}>{shown}</p>',
      },
    ],
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
