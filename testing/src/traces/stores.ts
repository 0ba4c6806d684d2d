import { mounted, type TraceCase } from '../trace';
import { vue } from './alike';
import { leaf } from './parts';

/** A service with a stream and a plain field, and a component that keeps both. */
const boatService = {
  'package.json': '{ "dependencies": { "@angular/core": "^20.0.0", "rxjs": "^7" } }',
  'src/main.ts':
    "import { bootstrapApplication } from '@angular/platform-browser';\nimport { App } from './app';\nbootstrapApplication(App);",
  'src/boats.ts': `import { Injectable } from '@angular/core'; import { BehaviorSubject, map } from 'rxjs';
@Injectable({ providedIn: 'root' })
export class Boats { private word$ = new BehaviorSubject(''); found$ = this.word$.pipe(map((word) => [word])); plain = 1; search(word: string) { this.word$.next(word); } rename() { this.plain = 2; } }`,
  'src/app.ts': `import { Component, inject } from '@angular/core'; import { AsyncPipe } from '@angular/common'; import { Boats } from './boats';
@Component({ selector: 'app-root', imports: [AsyncPipe], template: '<b (click)="boats.search(1)">{{ found$ | async }}</b><i (click)="boats.rename()">{{ first }}</i>' })
export class App { boats = inject(Boats); found$ = this.boats.found$; first = this.boats.plain; }`,
};

/** Traces: stores. */
export const stores: readonly TraceCase[] = [
  {
    name: 'a setup store of Pinia: who changes what is computed in it, also by a member that it is bound to',
    files: vue({
      'main.js': `import { createApp } from 'vue'; import { createPinia } from 'pinia'; import App from './App.vue'; createApp(App).use(createPinia()).mount('#app');`,
      'walls.js': `import { computed, ref } from 'vue'; import { defineStore } from 'pinia';
export const useWalls = defineStore('walls', () => { const all = ref([]); const word = ref(''); const shown = computed(() => all.value.filter((one) => one.includes(word.value))); function add(one) { all.value.push(one); } return { all, word, shown, add }; });`,
      'App.vue': [
        `import { storeToRefs } from 'pinia'; import { useWalls } from './walls';\nconst walls = useWalls(); const { shown, word } = storeToRefs(walls);`,
        '<input v-model="word"><b @click="walls.add(1)">{{ shown }}</b>',
      ],
    }),
    of: 'App.walls.shown',
    ask: 'changes',
    rungs: [
      'App owns walls.shown',
      '  App takes useWalls',
      '  walls.js gives shown',
      '  walls.js derives word',
      '  App changes word',
      '  App starts input | platform input',
      'App takes useWalls',
      'walls.js gives shown',
      'walls.js derives all',
      'walls.js changes all',
      'walls.js catches add',
      'walls.js relays useWalls',
      'App relays walls.add',
      'App calls walls.add',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a field of Angular that keeps a stream of a service: what makes the stream give another value',
    files: boatService,
    of: 'App.found$',
    ask: 'changes',
    rungs: [
      'App owns found$',
      'App starts boats',
      'boats.ts gives found$',
      'boats.ts renames word$',
      'boats.ts changes word$',
      'boats.ts catches search',
      'boats.ts relays Boats',
      'App calls boats.search',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a field of Angular that is made once of what a service holds, and is no stream',
    files: boatService,
    of: 'App.first',
    ask: 'changes',
    rungs: ['App owns first', 'App owns first | constant'],
  },
  {
    name: 'a store by hand, and who subscribes',
    files: mounted(
      `${leaf}import { subscribe, getLevels } from './levels';
function Gauge() { const levels = useSyncExternalStore(subscribe, getLevels); return <Leaf a={levels.north}/>; }
export function App() { return <Gauge/>; }`,
      {
        'src/levels.ts': `let levels = {};
const listeners = new Set();
export function subscribe(listener) { listeners.add(listener); return () => listeners.delete(listener); }
export const getLevels = () => levels;
export function setLevel(id, value) { levels = { ...levels, [id]: value }; listeners.forEach((one) => one()); }`,
      },
    ),
    of: 'levels.ts:levels',
    ask: 'goes',
    rungs: ['levels.ts owns levels', 'Gauge takes levels', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'a store by hand, and who writes',
    files: mounted(
      `import { subscribe, getLevels, setLevel } from './levels';
function Gate() { return <b onClick={() => setLevel('north', 2)}/>; }
function Gauge() { const levels = useSyncExternalStore(subscribe, getLevels); return <i>{levels.north}</i>; }
export function App() { return <><Gate/><Gauge/></>; }`,
      {
        'src/levels.ts': `let levels = {};
const listeners = new Set();
export function subscribe(listener) { listeners.add(listener); return () => listeners.delete(listener); }
export const getLevels = () => levels;
export function setLevel(id, value) { levels = { ...levels, [id]: value }; listeners.forEach((one) => one()); }`,
      },
    ),
    of: 'levels.ts:levels',
    ask: 'changes',
    rungs: [
      'levels.ts owns levels',
      'levels.ts changes levels',
      'levels.ts catches setLevel',
      'Gate calls setLevel',
      'Gate starts click | platform b',
    ],
  },
  {
    name: 'a hook made by a factory, read by a selector',
    files: mounted(
      `${leaf}import { useLevels } from './levels';
function Gauge() { const north = useLevels((state) => state.north); return <Leaf a={north}/>; }
export function App() { return <Gauge/>; }`,
      { 'src/levels.ts': `export const useLevels = create((set) => ({ north: 1, south: 2, setNorth: (north) => set({ north }) }));` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'Gauge renames north',
      'Gauge takes useLevels',
      '  levels.ts owns useLevels | constant',
      'levels.ts changes north',
      'levels.ts owns north | uncalled setNorth',
    ],
  },
  {
    name: 'a factory store’s part does not go where another part is read',
    files: mounted(
      `${leaf}import { useLevels } from './levels';
function Gauge() { const north = useLevels((state) => state.north); return <Leaf a={north}/>; }
export function App() { return <Gauge/>; }`,
      { 'src/levels.ts': `export const useLevels = create((set) => ({ north: 1, south: 2, setNorth: (north) => set({ north }) }));` },
    ),
    of: 'levels.ts:useLevels.south',
    ask: 'goes',
    rungs: ['levels.ts owns useLevels.south'],
  },
  {
    name: 'a factory store, and who writes',
    files: mounted(
      `import { useLevels } from './levels';
function Gate() { const setNorth = useLevels((state) => state.setNorth); return <b onClick={() => setNorth(3)}/>; }
export function App() { return <Gate/>; }`,
      { 'src/levels.ts': `export const useLevels = create((set) => ({ north: 1, south: 2, setNorth: (north) => set({ north }) }));` },
    ),
    of: 'levels.ts:useLevels.north',
    ask: 'changes',
    rungs: [
      'levels.ts owns useLevels.north',
      'levels.ts changes useLevels',
      'levels.ts catches setNorth',
      'levels.ts relays useLevels',
      'Gate relays setNorth',
      'Gate calls setNorth',
      'Gate starts click | platform b',
    ],
  },
  {
    name: 'a factory store taken apart as a whole',
    files: mounted(
      `${leaf}import { useLevels } from './levels';
function Gauge() { const { north } = useLevels(); return <Leaf a={north}/>; }
export function App() { return <Gauge/>; }`,
      { 'src/levels.ts': `export const useLevels = create((set, get) => ({ north: 1, rise: () => set({ north: get().north + 1 }) }));` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Gauge narrows north', 'Gauge takes useLevels', 'levels.ts owns useLevels | constant'],
  },
  {
    name: 'a slice: dispatched action to state',
    files: mounted(
      `import { opened } from './gates';
import { useDispatch } from 'react-redux';
function Gate() { const dispatch = useDispatch(); return <b onClick={() => dispatch(opened('north'))}/>; }
export function App() { return <Gate/>; }`,
      {
        'src/gates.ts': `const gates = createSlice({ name: "gates", initialState: { open: [] }, reducers: { opened(state, action) { state.open.push(action.payload); } } });
export const { opened } = gates.actions;
export default gates.reducer;`,
      },
    ),
    of: 'gates.ts:gates',
    ask: 'changes',
    rungs: [
      'gates.ts owns gates',
      'gates.ts changes gates',
      'gates.ts catches opened',
      'gates.ts relays gates',
      'gates.ts relays opened',
      'Gate calls opened',
      'Gate starts click | platform b',
    ],
  },
  {
    name: 'a slice: through the store to a selector',
    files: mounted(
      `${leaf}import { useSelector } from 'react-redux';
function Gauge() { const open = useSelector((state) => state.gates.open); return <Leaf a={open}/>; }
export function App() { return <Gauge/>; }`,
      {
        'src/gates.ts': `const gates = createSlice({ name: "gates", initialState: { open: [] }, reducers: { opened(state, action) { state.open.push(action.payload); } } });
export const { opened } = gates.actions;
export default gates.reducer;`,
        'src/store.ts': `import gates from "./gates";
export const store = configureStore({ reducer: { gates } });`,
      },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'Gauge renames open',
      'Gauge takes store',
      'store.ts gives gates',
      '  gates.ts owns gates | constant',
      'gates.ts changes action',
      'gates.ts owns action | uncalled opened',
    ],
  },
  {
    name: 'a slice: who changes what a selector reads through the store, and not the other slice',
    files: mounted(
      `import { useSelector, useDispatch } from 'react-redux';
import { opened } from './gates';
function Gauge() { const open = useSelector((state) => state.gates.open); const dispatch = useDispatch(); return <b onClick={() => dispatch(opened(1))}>{open}</b>; }
export function App() { return <Gauge/>; }`,
      {
        'src/gates.ts': `const gates = createSlice({ name: "gates", initialState: { open: [] }, reducers: { opened(state, action) { state.open.push(action.payload); } } });
export const { opened } = gates.actions;
export default gates.reducer;`,
        'src/pumps.ts': `const pumps = createSlice({ name: "pumps", initialState: { on: 0 }, reducers: { started(state) { state.on += 1; } } });
export const { started } = pumps.actions;
export default pumps.reducer;`,
        'src/store.ts': `import gates from "./gates";
import pumps from "./pumps";
export const store = configureStore({ reducer: { gates, pumps } });`,
      },
    ),
    of: 'Gauge.open',
    ask: 'changes',
    rungs: [
      'Gauge owns open',
      'Gauge takes store',
      'store.ts gives gates',
      'gates.ts changes gates',
      'gates.ts catches opened',
      'gates.ts relays gates',
      'gates.ts relays opened',
      'Gauge calls opened',
      'Gauge starts click | platform b',
    ],
  },
  {
    name: 'a store of Vuex: who changes what a getter is computed from, and not what another one is',
    files: vue({
      'main.js': `import { createApp } from 'vue'; import App from './App.vue'; import store from './store'; createApp(App).use(store).mount('#app');`,
      'store.js': `import { createStore } from 'vuex';
export default createStore({ state: { gates: [], wind: 0 }, getters: { open: (state) => state.gates.filter((one) => one.open) }, mutations: { gates(state, to) { state.gates = to; }, wind(state, to) { state.wind = to; } } });`,
      'App.vue': `<script>
import { mapGetters } from 'vuex';
export default { computed: { ...mapGetters(['open']) }, methods: { renew() { this.$store.commit('gates', [1]); }, blow() { this.$store.commit('wind', 1); } } };
</script>
<template><b @click="renew" @keydown="blow">{{ open }}</b></template>`,
    }),
    of: 'App.open',
    ask: 'changes',
    rungs: [
      'App owns open',
      'App narrows store.getters.open',
      'store.js gives open',
      'store.js derives store',
      'store.js changes store',
      'store.js catches gates',
      'App calls commit gates',
      'App catches renew',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a store that asks for itself by a function: what it reads of itself and what it runs are told apart',
    files: mounted(
      `import { useLevels } from './levels';
export function App() { const all = useLevels((s) => s.all); const rise = useLevels((s) => s.rise); return <b onClick={() => rise(1)}>{all.length}</b>; }`,
      {
        'src/levels.ts': `export const useLevels = create((set, get) => ({ all: [], add: (id) => set((s) => ({ all: [...s.all, id] })), clear: () => set({ all: [] }), rise: (id) => { if (!get().all.includes(id)) get().add(id); } }));`,
      },
    ),
    of: 'App.all',
    ask: 'changes',
    rungs: [
      'App owns all',
      'App takes useLevels',
      '  levels.ts changes useLevels',
      '  levels.ts starts clear | uncalled clear',
      'levels.ts changes useLevels',
      'levels.ts catches add',
      'levels.ts relays useLevels',
      'levels.ts calls useLevels.add',
      'levels.ts catches rise',
      'levels.ts relays useLevels',
      'App relays rise',
      'App calls rise',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a slice: a payload goes into its state',
    files: mounted(
      `import { opened } from './gates';
import { useDispatch } from 'react-redux';
function Gate() { const [lock] = useState(1); const dispatch = useDispatch(); return <b onClick={() => dispatch(opened(lock))}/>; }
export function App() { return <Gate/>; }`,
      {
        'src/gates.ts': `export const gates = createSlice({ name: "gates", initialState: { last: 0 }, reducers: { opened(state, action) { state.last = action.payload; } } });
export const { opened } = gates.actions;`,
      },
    ),
    of: 'Gate.lock',
    ask: 'goes',
    rungs: ['Gate owns lock', 'Gate calls opened', 'gates.ts passes action', 'gates.ts changes gates'],
  },
  {
    name: 'an atom',
    files: mounted(
      `${leaf}import { levelAtom } from './atoms';
import { useAtom } from 'jotai';
function Gauge() { const [level, setLevel] = useAtom(levelAtom); return <b onClick={() => setLevel(2)}><Leaf a={level}/></b>; }
export function App() { return <Gauge/>; }`,
      { 'src/atoms.ts': `export const levelAtom = atom(0);` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'Gauge narrows level',
      'Gauge takes levelAtom',
      '  atoms.ts owns levelAtom | constant',
      'Gauge changes levelAtom | constant 2',
    ],
  },
  {
    name: 'an atom, and who writes',
    files: mounted(
      `${leaf}import { levelAtom } from './atoms';
import { useAtomValue, useSetAtom } from 'jotai';
function Gauge() { const level = useAtomValue(levelAtom); return <Leaf a={level}/>; }
function Gate() { const set = useSetAtom(levelAtom); return <b onClick={() => set(2)}/>; }
export function App() { return <><Gauge/><Gate/></>; }`,
      { 'src/atoms.ts': `export const levelAtom = atom(0);` },
    ),
    of: 'atoms.ts:levelAtom',
    ask: 'changes',
    rungs: ['atoms.ts owns levelAtom', 'Gate changes levelAtom', 'Gate starts click | platform b'],
  },
  {
    name: 'a derived atom',
    files: mounted(
      `${leaf}import { doubleAtom } from './atoms';
import { useAtomValue } from 'jotai';
function Gauge() { const level = useAtomValue(doubleAtom); return <Leaf a={level}/>; }
export function App() { return <Gauge/>; }`,
      {
        'src/atoms.ts': `export const levelAtom = atom(0);
export const doubleAtom = atom((get) => get(levelAtom) * 2);`,
      },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'Gauge renames level',
      'Gauge takes doubleAtom',
      'atoms.ts derives levelAtom',
      'atoms.ts owns levelAtom | constant',
    ],
  },
  {
    name: 'an observable object',
    files: mounted(
      `${leaf}import { levels } from './levels';
import { useSnapshot } from 'valtio';
function Gauge() { const shown = useSnapshot(levels); return <b onClick={() => { levels.north = 3; }}><Leaf a={shown.north}/></b>; }
export function App() { return <Gauge/>; }`,
      { 'src/levels.ts': `export const levels = proxy({ north: 1 });` },
    ),
    of: 'levels.ts:levels',
    ask: 'goes',
    rungs: ['levels.ts owns levels', 'Gauge takes shown', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'an observable object, and who writes',
    files: mounted(
      `${leaf}import { levels } from './levels';
import { useSnapshot } from 'valtio';
function Gauge() { const shown = useSnapshot(levels); return <b onClick={() => { levels.north = 3; }}><Leaf a={shown.north}/></b>; }
export function App() { return <Gauge/>; }`,
      { 'src/levels.ts': `export const levels = proxy({ north: 1 });` },
    ),
    of: 'levels.ts:levels',
    ask: 'changes',
    rungs: ['levels.ts owns levels', 'Gauge changes levels', 'Gauge starts click | platform b'],
  },
  {
    name: 'an instance of a class',
    files: mounted(
      `${leaf}import { levels } from './levels';
function Gate() { return <b onClick={() => levels.raise(2)}>{levels.north}</b>; }
export function App() { return <Gate/>; }`,
      {
        'src/levels.ts': `class Levels { north = 1; raise(by) { this.north = this.north + by; } }
export const levels = new Levels();`,
      },
    ),
    of: 'levels.ts:levels',
    ask: 'changes',
    rungs: [
      'levels.ts owns levels',
      'levels.ts changes levels',
      'levels.ts catches raise',
      'levels.ts relays levels',
      'Gate calls levels.raise',
      'Gate starts click | platform b',
    ],
  },
  {
    name: 'a variable of the module itself',
    files: mounted(`let count = 0;
function bump() { count++; }
export function App() { return <b onClick={bump}>{count}</b>; }`),
    of: 'App.tsx:count',
    ask: 'changes',
    rungs: ['App.tsx owns count', 'App.tsx changes count', 'App.tsx catches bump', 'App starts click | platform b'],
  },
];

/** Traces: what renders again. */
export const impact: readonly TraceCase[] = [
  {
    name: 'the owner and all it renders',
    files: mounted(`${leaf}function Still() { return <p/>; }
export function App() { const [a] = useState(1); return <><Leaf a={a}/><Still/></>; }`),
    of: 'App.a',
    ask: 'impact',
    rungs: ['App owns a', 'App reads App | read', '  Leaf paints Leaf | painted', 'Still reads Still | read'],
  },
  {
    name: 'a memo spares what is given the same',
    files: mounted(`${leaf}const Still = memo(function Still({ b }) { return <p>{b}</p>; });
export function App() { const [a] = useState(1); const [b] = useState(2); return <><Leaf a={a}/><Still b={b}/></>; }`),
    of: 'App.a',
    ask: 'impact',
    rungs: ['App owns a', 'App reads App | read', 'Leaf paints Leaf | painted'],
  },
  {
    name: 'a memo does not help against a new function',
    files: mounted(`const Still = memo(function Still({ onPick }) { return <p onClick={onPick}/>; });
export function App() { const [a] = useState(1); return <b title={a}><Still onPick={() => 1}/></b>; }`),
    of: 'App.a',
    ask: 'impact',
    rungs: ['App owns a', 'App paints App | painted', 'Still reads Still | read'],
  },
  {
    name: 'a kept function helps',
    files: mounted(`const Still = memo(function Still({ onPick }) { return <p onClick={onPick}/>; });
export function App() { const [a] = useState(1); const pick = useCallback(() => 1, []); return <b title={a}><Still onPick={pick}/></b>; }`),
    of: 'App.a',
    ask: 'impact',
    rungs: ['App owns a', 'App paints App | painted'],
  },
  {
    name: 'content from further up stays',
    files: mounted(`${leaf}function Shell({ children }) { const [open] = useState(1); return <i title={open}>{children}</i>; }
export function App() { return <Shell><Leaf a={1}/></Shell>; }`),
    of: 'Shell.open',
    ask: 'impact',
    rungs: ['Shell owns open', 'Shell paints Shell | painted'],
  },
  {
    name: 'who takes a context renders though nothing between does',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
function Mid() { return <Deep/>; }
function Shell({ children }) { const [keeper] = useState(1); return <C.Provider value={keeper}>{children}</C.Provider>; }
export function App() { return <Shell><Mid/></Shell>; }`),
    of: 'Shell.keeper',
    ask: 'impact',
    rungs: ['Shell owns keeper', '  Shell reads Shell | read', 'Deep reads Deep | read', 'Leaf paints Leaf | painted'],
  },
  {
    name: 'who reads a store',
    files: mounted(
      `${leaf}import { useLevels } from './levels';
function Gauge() { const north = useLevels((state) => state.north); return <Leaf a={north}/>; }
function Other() { return <p/>; }
export function App() { return <><Gauge/><Other/></>; }`,
      { 'src/levels.ts': `export const useLevels = create((set) => ({ north: 1, setNorth: (north) => set({ north }) }));` },
    ),
    of: 'levels.ts:useLevels.north',
    ask: 'impact',
    rungs: ['levels.ts owns useLevels.north', 'Gauge reads Gauge | read', 'Leaf paints Leaf | painted'],
  },
];
