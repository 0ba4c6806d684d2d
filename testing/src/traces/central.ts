import type { Question } from '../../../core/src/flow';
import type { Files } from '../project';

/** A project whose application has one store, what is asked of it as the shell does (`file#name`, `Component.name`), and the rungs that answer. */
export type CentralCase = {
  readonly name: string;
  readonly files: Files;
  readonly of: string;
  readonly ask: Question;
  readonly rungs: readonly string[];
};

const sfc = (template: string, script: string): string => `<template>${template}</template>\n<script>\n${script}\n</script>`;
const vueMain =
  "import { createApp } from 'vue';\nimport App from './App.vue';\nimport store from './store';\ncreateApp(App).use(store).mount('#app');";
const reactMain = (wrap: string, imports: string): string => `import { App } from './App';\n${imports}\ncreateRoot(x).render(${wrap});`;

/** Modules within modules, names held in constants, helpers of one module, the store by hand and in the markup. */
const byModules: Files = {
  'src/main.js': vueMain,
  'src/store/index.js':
    "import { createStore } from 'vuex';\nimport harbour from './harbour';\nimport * as types from './types';\nconst store = createStore({\n  state: { wind: 0 },\n  getters: { strong: (state) => state.wind > 6 },\n  mutations: {\n    [types.SET_WIND](state, { speed }) { state.wind = speed; },\n  },\n  actions: {\n    measure({ commit, dispatch }, speed) {\n      commit(types.SET_WIND, { speed });\n      dispatch('harbour/warn', speed);\n    },\n  },\n  modules: { harbour },\n});\nexport default store;",
  'src/store/types.js': "export const SET_WIND = 'set wind';\nexport const SET_NOTE = 'set note';",
  'src/store/harbour.js':
    "import gates from './gates';\nexport default {\n  namespaced: true,\n  state: () => ({ warned: false, boats: [] }),\n  getters: {\n    waiting: (state) => state.boats.filter((boat) => boat.waiting),\n    count: (state, getters) => getters.waiting.length,\n  },\n  mutations: {\n    warned(state, on) { state.warned = on; },\n    arrive(state, boat) { state.boats.push(boat); },\n  },\n  actions: {\n    warn(context, speed) { context.commit('warned', speed); },\n  },\n  modules: { gates },\n};",
  'src/store/gates.js':
    'export default { namespaced: true, state: () => ({ open: false }), mutations: { toggle(state) { state.open = !state.open; } } };',
  'src/App.vue': sfc(
    "<main><p>{{ $store.getters['harbour/count'] }} {{ warned }}</p><Wind/><Gate/><button @click=\"$store.commit('harbour/arrive', { waiting: true })\">arrive</button></main>",
    "import Wind from './Wind.vue';\nimport Gate from './Gate.vue';\nexport default { components: { Wind, Gate }, computed: { warned() { return this.$store.state.harbour.warned; } } };",
  ),
  'src/Wind.vue': sfc(
    '<input v-model="wind">',
    "export default { computed: { wind: { get() { return this.$store.state.wind; }, set(to) { this.$store.dispatch('measure', to); } } } };",
  ),
  'src/Gate.vue': sfc(
    '<button @click="toggle">{{ open }} {{ isStrong }}</button>',
    "import { createNamespacedHelpers, mapGetters } from 'vuex';\nconst { mapState, mapMutations } = createNamespacedHelpers('harbour/gates');\nexport default { computed: { ...mapState(['open']), ...mapGetters({ isStrong: 'strong' }) }, methods: mapMutations(['toggle']) };",
  ),
};

/** Parts of the store by the files of a folder, and a component that is set up by a function. */
const byFolder: Files = {
  'src/main.js': vueMain.replace("import store from './store';\n", '').replace('.use(store)', ''),
  'store/cart.js':
    'export const state = () => ({ items: [] });\nexport const getters = { total: (state) => state.items.length };\nexport const mutations = { add(state, item) { state.items.push(item); } };',
  'src/App.vue':
    "<script setup>\nimport { computed } from 'vue';\nimport { useStore } from 'vuex';\nconst store = useStore();\nconst total = computed(() => store.getters['cart/total']);\nconst items = computed(() => store.state.cart.items);\n</script>\n<template><button @click=\"store.commit('cart/add', { id: 1 })\">{{ total }} {{ items }}</button></template>",
};

/** Reducers by hand, actions made by functions, a component that is connected, and one that asks by hooks. */
const byReducers: Files = {
  'src/main.jsx': reactMain(
    '<Provider store={store}><App/></Provider>',
    "import { Provider } from 'react-redux';\nimport { createStore, combineReducers } from 'redux';\nimport boats from './boats';\nimport filter from './filter';\nconst store = createStore(combineReducers({ boats, filter }));",
  ),
  'src/types.js': "export const ADD = 'boats/add';\nexport const MOVE = 'boats/move';\nexport const FILTER = 'filter/set';",
  'src/boats.js':
    "import { ADD, MOVE } from './types';\nconst initial = { list: [], moved: 0 };\nexport default function boats(state = initial, action) {\n  switch (action.type) {\n    case ADD:\n      return { ...state, list: [...state.list, action.payload] };\n    case MOVE:\n      return { ...state, moved: state.moved + 1 };\n    default:\n      return state;\n  }\n}",
  'src/filter.js':
    "import { FILTER } from './types';\nexport default function filter(state = 'all', action) {\n  if (action.type === FILTER) return action.filter;\n  return state;\n}",
  'src/actions.js':
    "import { ADD, MOVE, FILTER } from './types';\nexport const add = (name) => ({ type: ADD, payload: name });\nexport const move = (id) => ({ type: MOVE, id });\nexport const setFilter = (filter) => (dispatch) => dispatch({ type: FILTER, filter });",
  'src/App.jsx': "import List from './List';\nimport { Add } from './Add';\nexport function App() { return <main><Add/><List/></main>; }",
  'src/List.jsx':
    "import { connect } from 'react-redux';\nimport { move } from './actions';\nfunction List({ boats, onMove }) { return <ul>{boats.map((boat) => <li key={boat} onClick={() => onMove(boat)}>{boat}</li>)}</ul>; }\nconst mapState = (state) => ({ boats: state.boats.list });\nconst mapDispatch = (dispatch) => ({ onMove: (id) => dispatch(move(id)) });\nexport default connect(mapState, mapDispatch)(List);",
  'src/Add.jsx':
    "import { useDispatch, useSelector } from 'react-redux';\nimport { add, setFilter } from './actions';\nexport function Add() { const dispatch = useDispatch(); const filter = useSelector((state) => state.filter); return <form onSubmit={() => dispatch(add('Ada'))}><b onClick={() => dispatch(setFilter('late'))}>{filter}</b></form>; }",
};

/** Slices with what they do for others, functions that wait, selectors made of selectors, hooks with types of their own. */
const bySlices: Files = {
  'src/main.tsx': reactMain(
    '<Provider store={store}><App/></Provider>',
    "import { Provider } from 'react-redux';\nimport { store } from './store';",
  ),
  'src/store.ts':
    "import { configureStore } from '@reduxjs/toolkit';\nimport { useDispatch, useSelector, type TypedUseSelectorHook } from 'react-redux';\nimport locks from './locks';\nexport const store = configureStore({ reducer: { locks } });\nexport const useAppDispatch = () => useDispatch<typeof store.dispatch>();\nexport const useAppSelector: TypedUseSelectorHook<any> = useSelector;",
  'src/locks.ts':
    "import { createAction, createAsyncThunk, createSelector, createSlice } from '@reduxjs/toolkit';\nexport const load = createAsyncThunk('locks/load', async (id: number) => (await fetch('/locks/' + id)).json());\nexport const reset = createAction('locks/reset');\nconst slice = createSlice({\n  name: 'locks',\n  initialState: { items: [] as any[], status: 'idle' },\n  reducers: { toggled(state, action) { state.items[action.payload].open = true; } },\n  extraReducers: (builder) => {\n    builder.addCase(load.fulfilled, (state, action) => { state.items = action.payload; });\n    builder.addCase(reset, (state) => { state.status = 'idle'; });\n  },\n});\nexport const { toggled } = slice.actions;\nconst selectLocks = (state: any) => state.locks;\nexport const selectOpen = createSelector([(state: any) => selectLocks(state).items], (items: any[]) => items.filter((one) => one.open));\nexport const selectStatus = (state: any) => state.locks.status;\nexport default slice.reducer;",
  'src/App.tsx':
    "import { useEffect } from 'react';\nimport { useAppDispatch, useAppSelector } from './store';\nimport { load, reset, selectOpen, selectStatus, toggled } from './locks';\nexport function App() {\n  const dispatch = useAppDispatch();\n  const open = useAppSelector(selectOpen);\n  const status = useAppSelector(selectStatus);\n  useEffect(() => { dispatch(load(1)); }, [dispatch]);\n  return <div onClick={() => dispatch(reset())}>{status}{open.map((one: any) => <button key={one.id} onClick={() => dispatch(toggled(one.id))}>{one.id}</button>)}</div>;\n}",
};

/** A store that is put together of parts, each made by a function. */
const byParts: Files = {
  'src/main.jsx': reactMain('<App/>', ''),
  'src/store.js':
    "import { create } from 'zustand';\nimport { devtools } from 'zustand/middleware';\nconst createBoats = (set, get) => ({ boats: [], add: (name) => set((state) => ({ boats: [...state.boats, name] })) });\nconst createFilter = (set) => ({ filter: 'all', setFilter: (filter) => set({ filter }) });\nexport const useStore = create(devtools((...all) => ({ ...createBoats(...all), ...createFilter(...all) })));",
  'src/App.jsx':
    "import { useStore } from './store';\nimport { useShallow } from 'zustand/react/shallow';\nexport function App() {\n  const boats = useStore((state) => state.boats);\n  const { filter, setFilter } = useStore(useShallow((state) => ({ filter: state.filter, setFilter: state.setFilter })));\n  const add = useStore.getState().add;\n  return <div><b onClick={() => add('Ada')}>{boats}</b><i onClick={() => setFilter('late')}>{filter}</i></div>;\n}",
};

/** Actions, reducers and selectors of a store that a class asks for. */
const bySelection: Files = {
  'src/main.ts':
    "import { bootstrapApplication } from '@angular/platform-browser';\nimport { provideStore } from '@ngrx/store';\nimport { App } from './app';\nimport { boatsReducer } from './boats';\nbootstrapApplication(App, { providers: [provideStore({ boats: boatsReducer })] });",
  'src/boats.ts':
    "import { createAction, createFeatureSelector, createReducer, createSelector, on, props } from '@ngrx/store';\nexport const addBoat = createAction('[Boats] add', props<{ name: string }>());\nexport const boatsReducer = createReducer({ list: [] as string[] }, on(addBoat, (state, { name }) => ({ ...state, list: [...state.list, name] })));\nexport const selectBoats = createFeatureSelector<any>('boats');\nexport const selectList = createSelector(selectBoats, (boats) => boats.list);",
  'src/app.ts':
    "import { Component, inject } from '@angular/core';\nimport { Store } from '@ngrx/store';\nimport { addBoat, selectList } from './boats';\n@Component({ selector: 'app-root', template: '<button (click)=\"add()\">{{ list().length }}</button>' })\nexport class App {\n  private store = inject(Store);\n  list = this.store.selectSignal(selectList);\n  add() { this.store.dispatch(addBoat({ name: 'Ada' })); }\n}",
};

/** The same with actions that are made as a group. */
const byGroup: Files = {
  ...bySelection,
  'src/boats.ts': (bySelection['src/boats.ts'] ?? '')
    .replace('createAction,', 'createActionGroup, emptyProps,')
    .replace(
      "export const addBoat = createAction('[Boats] add', props<{ name: string }>());",
      "export const Boats = createActionGroup({ source: 'Boats', events: { 'Add one': props<{ name: string }>(), Clear: emptyProps() } });",
    )
    .replace('on(addBoat,', 'on(Boats.clear, () => ({ list: [] })), on(Boats.addOne,'),
  'src/app.ts': (bySelection['src/app.ts'] ?? '')
    .replace('addBoat, selectList', 'Boats, selectList')
    .replace('addBoat({', 'Boats.addOne({'),
};

/** Who changes what its reducer holds. */
const changedByGroup = [
  '  boats.ts changes boatsReducer',
  '  boats.ts catches boatsReducer',
  '  boats.ts calls dispatch Boats.clear',
  '  boats.ts starts clear | uncalled clear',
  'boats.ts changes boatsReducer',
  'boats.ts catches boatsReducer',
  'boats.ts calls dispatch Boats.addOne',
  'boats.ts catches addOne',
  'boats.ts relays Boats',
  'App calls Boats.addOne',
  'App catches add',
  'App calls add',
  'App starts click | platform button',
];

/** Each of the projects by its kind. */
export const centralProjects = { byModules, byFolder, byReducers, bySlices, byParts, bySelection, byGroup };

/** What is asked of the one store of an application. */
export const central: readonly CentralCase[] = [
  {
    name: 'a state of the whole, by an action and a mutation',
    files: byModules,
    of: 'src/store/index.js#wind',
    ask: 'changes',
    rungs: [
      'index.js owns store.wind',
      'index.js changes store',
      'index.js catches SET_WIND',
      'index.js calls commit set wind',
      'index.js catches measure',
      'Wind calls dispatch measure',
      'Wind catches set wind',
      'Wind calls set wind',
      'Wind starts input | platform input',
    ],
  },
  {
    name: 'a state of the whole',
    files: byModules,
    of: 'src/store/index.js#wind',
    ask: 'goes',
    rungs: [
      'index.js owns store.wind',
      '  index.js reads store | read',
      '  Wind derives wind',
      '  Wind paints wind | painted',
      'index.js gives store',
      'Gate renames isStrong',
      'Gate paints isStrong | painted',
    ],
  },
  {
    name: 'a state of a module',
    files: byModules,
    of: 'src/store/harbour.js#warned',
    ask: 'changes',
    rungs: [
      'harbour.js owns harbour.warned',
      'harbour.js changes harbour',
      'harbour.js catches warned',
      'harbour.js calls commit warned',
      'harbour.js catches warn',
      'index.js calls dispatch harbour/warn',
      'index.js catches measure',
      'Wind calls dispatch measure',
      'Wind catches set wind',
      'Wind calls set wind',
      'Wind starts input | platform input',
    ],
  },
  {
    name: 'a state of a module through getters',
    files: byModules,
    of: 'src/store/harbour.js#boats',
    ask: 'goes',
    rungs: [
      'harbour.js owns harbour.boats',
      '  harbour.js reads harbour | read ×2',
      'harbour.js gives harbour',
      'harbour.js gives harbour',
      'App paints store.getters.harbour/count | painted',
    ],
  },
  {
    name: 'a state of a module within a module',
    files: byModules,
    of: 'src/store/gates.js#open',
    ask: 'changes',
    rungs: ['gates.js owns gates.open', 'gates.js changes gates', 'gates.js catches toggle', 'Gate starts click | platform button'],
  },
  {
    name: 'a state that a helper takes',
    files: byModules,
    of: 'Gate.open',
    ask: 'comes',
    rungs: ['Gate owns open', 'Gate narrows store.state.harbour.gates.open', 'gates.js owns gates | constant'],
  },
  {
    name: 'a part by its folder',
    files: byFolder,
    of: 'store/cart.js#items',
    ask: 'changes',
    rungs: [
      'cart.js owns cart.items',
      'cart.js changes cart',
      'cart.js catches add',
      'App calls commit cart/add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'a part by its folder',
    files: byFolder,
    of: 'store/cart.js#items',
    ask: 'goes',
    rungs: [
      'cart.js owns cart.items',
      '  App derives items',
      '  App paints items | painted',
      'cart.js gives cart',
      'App derives total',
      'App paints total | painted',
    ],
  },
  {
    name: 'one member of what a reducer holds',
    files: byReducers,
    of: 'src/boats.js#moved',
    ask: 'changes',
    rungs: [
      'boats.js owns boats.moved',
      'boats.js changes boats',
      'boats.js catches boats',
      'actions.js calls dispatch boats/move',
      'actions.js catches move',
      'List calls move',
      'List catches onMove',
      'List relays onMove',
      'List raises onMove',
      'List starts click | platform li',
    ],
  },
  {
    name: 'a prop that a connection gives',
    files: byReducers,
    of: 'List.boats',
    ask: 'comes',
    rungs: [
      'List owns boats',
      'List narrows store.boats',
      'List takes store',
      'main.jsx gives boats',
      '  boats.js starts initial',
      '  boats.js owns initial | constant',
      'boats.js changes action',
      'actions.js calls name',
      "Add calls add | constant 'Ada'",
    ],
  },
  {
    name: 'a reducer that tests',
    files: byReducers,
    of: 'src/filter.js#filter',
    ask: 'changes',
    rungs: [
      'filter.js owns filter',
      'filter.js changes filter',
      'filter.js catches filter',
      'actions.js calls dispatch filter/set',
      'actions.js catches setFilter',
      'Add calls setFilter',
      'Add starts click | platform b',
    ],
  },
  {
    name: 'a reducer that tests',
    files: byReducers,
    of: 'src/filter.js#filter',
    ask: 'goes',
    rungs: ['filter.js owns filter', 'main.jsx starts store', 'Add takes filter', 'Add paints filter | painted'],
  },
  {
    name: 'what a function that waits puts in',
    files: bySlices,
    of: 'src/locks.ts#items',
    ask: 'changes',
    rungs: [
      'locks.ts owns slice.items',
      '  locks.ts changes slice',
      '  locks.ts catches toggled',
      '  locks.ts relays slice',
      '  locks.ts relays toggled',
      '  App calls toggled',
      '  App starts click | platform button',
      'locks.ts changes slice',
      'locks.ts catches slice',
      'locks.ts calls dispatch load.fulfilled',
      'locks.ts catches load',
      'App calls load',
      'App starts useEffect | platform when dispatch changes',
    ],
  },
  {
    name: 'an action of its own',
    files: bySlices,
    of: 'src/locks.ts#status',
    ask: 'changes',
    rungs: [
      'locks.ts owns slice.status',
      'locks.ts changes slice',
      'locks.ts catches slice',
      'locks.ts calls dispatch reset',
      'locks.ts catches reset',
      'App calls reset',
      'App starts click | platform div',
    ],
  },
  {
    name: 'selectors made of selectors',
    files: bySlices,
    of: 'App.open',
    ask: 'comes',
    rungs: [
      'App owns open',
      'App takes store',
      'store.ts gives locks',
      '  locks.ts owns slice | constant',
      '  locks.ts changes slice | constant ×2',
      'locks.ts changes action',
      "  locks.ts calls '/locks/' + id",
      "  locks.ts owns '/locks/' + id | asked fetch '/locks/' + id",
      'locks.ts calls id',
      'App calls load | constant 1',
    ],
  },
  {
    name: 'selectors made of selectors',
    files: bySlices,
    of: 'src/locks.ts#items',
    ask: 'goes',
    rungs: [
      'locks.ts owns slice.items',
      'store.ts starts store',
      'App takes open',
      'App narrows one',
      '  App paints one | painted',
      'App calls toggled',
      'locks.ts passes action',
    ],
  },
  {
    name: 'a part of a store',
    files: byParts,
    of: 'src/store.js#boats',
    ask: 'changes',
    rungs: [
      'store.js owns createBoats.boats',
      'store.js changes createBoats',
      'store.js catches add',
      'store.js relays createBoats',
      'store.js relays useStore',
      'App relays add',
      'App calls add',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a part of a store',
    files: byParts,
    of: 'App.filter',
    ask: 'comes',
    rungs: [
      'App owns filter',
      'App takes useStore',
      'store.js starts createFilter',
      '  store.js owns createFilter | constant',
      'store.js changes filter',
      'store.js relays createFilter',
      'store.js relays useStore',
      'App relays setFilter',
      "App calls useStore.setFilter | constant 'late'",
    ],
  },
  {
    name: 'what a class selects',
    files: bySelection,
    of: 'src/boats.ts#list',
    ask: 'changes',
    rungs: [
      'boats.ts owns boatsReducer.list',
      'boats.ts changes boatsReducer',
      'boats.ts catches boatsReducer',
      'boats.ts calls dispatch addBoat',
      'boats.ts catches addBoat',
      'App calls addBoat',
      'App catches add',
      'App calls add',
      'App starts click | platform button',
    ],
  },
  {
    name: 'what a class selects',
    files: bySelection,
    of: 'src/boats.ts#boatsReducer',
    ask: 'goes',
    rungs: ['boats.ts owns boatsReducer', 'main.ts starts store', 'App takes store', 'App starts list', 'App paints list | painted'],
  },
  {
    name: 'a state of a class that asks for the store, by a group of actions',
    files: byGroup,
    of: 'src/boats.ts#list',
    ask: 'changes',
    rungs: ['boats.ts owns boatsReducer.list', ...changedByGroup],
  },
  {
    name: 'what a field selects of the store is changed where the store is',
    files: byGroup,
    of: 'App.list',
    ask: 'changes',
    rungs: ['App owns list', 'App starts store', 'App takes store', 'main.ts gives boatsReducer', ...changedByGroup],
  },
];
