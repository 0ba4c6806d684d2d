import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'app.component.html']));

const listState = 'const [notes, setNotes] = useState([]);';

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
  'react',
  [
    [
      'set to itself',
      `export function App() { ${listState} return <p onClick={() => { notes.push(1); setNotes(notes); }}>{notes.length}</p>; }`,
      'App notes',
    ],
    [
      'a plain variable',
      'export function App() { let open = false; const toggle = () => { open = !open; }; return <p onClick={toggle}>{open ? "a" : "b"}</p>; }',
      'App open',
    ],
    ['a plain variable, written in place', 'export function App() { let n = 0; return <p onClick={() => { n += 1; }}>{n}</p>; }', 'App n'],
    [
      'a reducer that gives back what it changed',
      'function reduce(notes, action) { notes.list.push(action.note); return notes; }\nexport function App() { const [notes, send] = useReducer(reduce, { list: [] }); return <p onClick={() => send({ note: 1 })}>{notes.list}</p>; }',
      'App notes',
    ],
    [
      'sorted where it stands and set to what that gives',
      `export function App() { ${listState} return <p onClick={() => setNotes(notes.sort())}>{notes.length}</p>; }`,
      'App notes',
    ],
    [
      'a map that is set to itself with one more',
      'export function App() { const [at, setAt] = useState(new Map()); return <p onClick={() => setAt(at.set("a", 1))}>{at.size}</p>; }',
      'App at',
    ],
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
    [
      'a reducer that gives another',
      'function reduce(notes, action) { return { list: [...notes.list, action.note] }; }\nexport function App() { const [notes, send] = useReducer(reduce, { list: [] }); return <p onClick={() => send({ note: 1 })}>{notes.list}</p>; }',
    ],
    [
      'a variable that is used up while rendering',
      'export function App({ rows }) { let n = 0; const next = () => { n += 1; return n; }; return <ul>{rows.map((row) => <li key={row.id}>{next()}</li>)}{n}</ul>; }',
    ],
    [
      'a variable that is written while rendering',
      'export function App({ late }) { let tone = "calm"; if (late) tone = "late"; return <p>{tone}</p>; }',
    ],
    [
      'a variable that does not show',
      'export function App() { let timer; const start = () => { timer = 1; }; return <p onClick={start}>a</p>; }',
    ],
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
    [
      'sorted where it stands, and a copy of that is set',
      `export function App() { ${listState} return <p onClick={() => setNotes([...notes.sort()])}>{notes.length}</p>; }`,
    ],
    [
      'sorted where it stands, and a part of that is set',
      `export function App() { ${listState} return <p onClick={() => setNotes(notes.sort().slice(1))}>{notes.length}</p>; }`,
    ],
    [
      'a copy of a map with one more',
      'export function App() { const [at, setAt] = useState(new Map()); return <p onClick={() => setAt(new Map(at).set("a", 1))}>{at.size}</p>; }',
    ],
    ['only read', `export function App() { ${listState} return <p onClick={() => print(notes.map((one) => one))}>{notes.length}</p>; }`],
    [
      'set by a function that it calls',
      `export function App() { ${listState} const show = () => setNotes([...notes]); return <p onClick={() => { notes.push(1); show(); }}>{notes.length}</p>; }`,
    ],
  ],
);

table(
  'change-unseen',
  'vue',
  [
    [
      'the inside of a shallow ref',
      vueShown(
        'import { shallowRef } from "vue"; const rows = shallowRef([]); const add = () => rows.value.push(1);',
        '<p @click="add">{{ rows }}</p>',
      ),
      'App rows',
    ],
    [
      'deeper in an object that is followed at its surface',
      vueShown(
        'import { shallowReactive } from "vue"; const state = shallowReactive({ rows: [] }); const add = () => state.rows.push(1);',
        '<p @click="add">{{ state.rows }}</p>',
      ),
      'App state',
    ],
    [
      'a member that a function of the project took out once',
      vueShown('import { useTimer } from "./timer"; const { seconds, tick } = useTimer();', '<p @click="tick">{{ seconds }}</p>', {
        'timer.js':
          'import { reactive } from "vue"; export function useTimer() { const state = reactive({ seconds: 0 }); const { seconds } = state; return { seconds, tick() { state.seconds += 1; } }; }',
      }),
      'App seconds',
    ],
    [
      'a member that it gives as it is',
      vueShown('import { useTimer } from "./timer"; const timer = useTimer();', '<p @click="timer.tick">{{ timer.now }}</p>', {
        'timer.js':
          'import { reactive } from "vue"; export function useTimer() { const state = reactive({ seconds: 0 }); return { now: state.seconds, tick() { state.seconds += 1; } }; }',
      }),
      'App now',
    ],
    [
      'all members at once',
      vueShown('import { useTimer } from "./timer"; const { seconds, tick } = useTimer();', '<p @click="tick">{{ seconds }}</p>', {
        'timer.js':
          'import { reactive } from "vue"; export function useTimer() { const state = reactive({ seconds: 0 }); return { ...state, tick() { state.seconds += 1; } }; }',
      }),
      'App seconds',
    ],
    [
      'a getter of a store',
      vueShown('import { useLocks } from "./locks"; const { open } = useLocks();', '<p>{{ open }}</p>', {
        'locks.js':
          'import { defineStore } from "pinia"; export const useLocks = defineStore("locks", { state: () => ({ locks: [] }), getters: { open: (state) => state.locks.filter((one) => one.open).length }, actions: { shut(id) { this.locks.find((one) => one.id === id).open = false; } } });',
      }),
      'App open',
    ],
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
      'the surface of such an object',
      vueShown(
        'import { shallowReactive } from "vue"; const state = shallowReactive({ rows: [], n: 1 }); const rows = shallowReactive([]); const add = () => { state.rows = [...state.rows, 1]; state.n += 1; rows.push(1); };',
        '<p @click="add">{{ state.rows }}{{ state.n }}{{ rows }}</p>',
      ),
    ],
    [
      'members that a function gives as they follow',
      vueShown(
        'import { useTimer } from "./timer"; const { seconds, now, twice, state, last, tick } = useTimer();',
        '<p @click="tick">{{ seconds }}{{ now }}{{ twice }}{{ state.seconds }}{{ last }}</p>',
        {
          'timer.js':
            'import { computed, reactive, toRef, toRefs } from "vue"; export function useTimer() { const state = reactive({ seconds: 0, last: 0 }); const { last } = state; return { ...toRefs(state), now: toRef(state, "seconds"), twice: computed(() => state.seconds * 2), state, last, tick() { state.seconds += 1; } }; }',
        },
      ),
    ],
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
      'a getter that is taken out of what a function gives',
      {
        App: '<script>import { useHeat } from "./heat.svelte.js"; const { degrees, stoke } = useHeat();</script><p onclick={() => stoke()}>{degrees}</p>',
        'heat.svelte.js':
          'export function useHeat() { let degrees = $state(1); let log = $state([]); return { get degrees() { return degrees; }, log, stoke() { degrees += 1; log.push(1); } }; }',
      },
      'App degrees',
    ],
    [
      'the inside of raw state',
      { App: '<script>let rows = $state.raw([]);</script><p onclick={() => rows.push(1)}>{rows.length}</p>' },
      'App rows',
    ],
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
    [
      'an element that a part gives, by another name, the older way',
      {
        App: '<script>let table = null; $: if (table) { const box = table; box.style.maxHeight = "9px"; }</script><Part bind:ref={table}/>{#if table}<b></b>{/if}',
        Part: '<script>export let ref = null;</script><table bind:this={ref}></table>',
      },
    ],
    [
      'raw state that is replaced',
      { App: '<script>let rows = $state.raw([]);</script><p onclick={() => { rows = [...rows, 1]; }}>{rows.length}</p>' },
    ],
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

/** An element of the platform alone, whose module holds `n`. */
const plainElement = (body: string): Sources => ({
  'package.json': '{"name":"quay"}',
  'index.html':
    '<!doctype html><html><head><script type="module" src="./src/clock.js"></script></head><body><tide-clock></tide-clock></body></html>',
  'src/clock.js': `let n = 0;\nclass TideClock extends HTMLElement { ${body} }\ncustomElements.define('tide-clock', TideClock);`,
});

/** A part of Angular that is checked only when it is given something, which a timer writes into. */
const onPush = (write: string, markup: string): Sources => ({
  'package.json': '{"name":"quay","dependencies":{"@angular/core":"20.0.0"}}',
  'src/main.ts': `import { bootstrapApplication } from '@angular/platform-browser';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
@Component({ selector: 'app-root', changeDetection: ChangeDetectionStrategy.OnPush, template: \`${markup}\` })
export class App { level = 0; turns = signal(0); constructor() { setInterval(() => { ${write} }, 100); } }
bootstrapApplication(App);`,
});

table(
  'change-unseen',
  'react',
  [
    [
      'a date by its methods, on what people do',
      'export function App() { const [day, setDay] = useState(new Date()); return <p onClick={() => day.setHours(1)}>{day.getTime()}</p>; }',
      'App day',
    ],
    ['a field, by a timer', onPush('this.level = 2;', '<p>{{ level }}</p>'), 'App level'],
    ['a field, beside what no markup shows', onPush('this.level = 2; this.turns.set(1);', '<p>{{ level }}</p>'), 'App level'],
  ],
  [
    [
      'a date while rendering, which shows in that very rendering',
      'export function App() { const [day, setDay] = useState(new Date()); day.setHours(0); return <p onClick={() => setDay(new Date())}>{day.getTime()}</p>; }',
    ],
    ['a field, beside a signal that is shown', onPush('this.level = 2; this.turns.set(1);', '<p>{{ level }}{{ turns() }}</p>')],
    [
      'a map of an element that draws by itself',
      plainElement(
        "m = new Map(); connectedCallback() { this.draw(); this.addEventListener('click', () => { this.m.set('a', 1); this.draw(); }); } draw() { this.innerHTML = `<p>${this.m.size}</p>`; }",
      ),
    ],
    [
      'a variable of the module in an element that draws by itself',
      plainElement(
        "connectedCallback() { this.draw(); this.addEventListener('click', () => { n++; this.draw(); }); } draw() { this.innerHTML = `<p>${n}</p>`; }",
      ),
    ],
  ],
);
