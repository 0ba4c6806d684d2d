import { mounted, type TraceCase } from '../trace';
import { importSvelte, importVue, svelte, vue } from './alike';

/** A component in the options style. */
const options = (body: string, template: string, imports = ''): string =>
  `<script>\n${imports}\nexport default {${body}};\n</script>\n<template>${template}</template>`;

const rowsInVue = (make: string): TraceCase['files'] =>
  vue({
    'App.vue': [
      `import { ref, shallowRef } from 'vue'; ${importVue('Row')}\nconst rows = ${make}([{ on: 1 }]);`,
      '<Row v-for="row in rows" :row="row"/>',
    ],
    'Row.vue': ["defineProps(['row']);", '<input v-model="row.on">'],
  });

const toggled = svelte({
  'App.svelte': [`${importSvelte('Row')}\nlet rows = $state([{ on: false }]);`, '{#each rows as row}<Row {row}/>{/each}'],
  'Row.svelte': [
    "import { toggle, show } from './rows';\nlet { row } = $props();",
    '<b onclick={() => toggle(row)}></b><i onclick={() => show(row)}></i>',
  ],
  'rows.js': 'export function toggle(row) { row.on = !row.on; }\nexport function show(row) { console.log(row.on); }',
});

const aliased = (change: string): TraceCase['files'] =>
  vue({
    'App.vue': [
      `import { ref } from 'vue';\nconst rows = ref([{ on: 1, tags: [] }]);\nfunction go() { ${change} }`,
      '<b @click="go">{{ rows }}</b>',
    ],
  });

const levels = `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', { state: () => ({ high: 1, all: [{ at: 1 }] }), actions: { raise(to) { const one = this.all.find((each) => each.at === to); one.at = to; this.high = to; } } });`;

const mixin = vue({
  'App.vue': options(
    ' mixins: [counted], methods: { twice() { this.add(); } } ',
    '<b @click="twice">{{ count }}</b>',
    "import counted from './counted';",
  ),
  'counted.js': 'export default { data() { return { count: 0 }; }, methods: { add() { this.count++; } } };',
});

const tabs = svelte({
  'App.svelte': [
    "import { tabs } from './tabs';\nlet tab = $state('list');\nlet boats = $state(['Ada']);",
    '<svelte:component this={tabs[tab]} {boats}/>',
  ],
  'tabs.js': `${importSvelte('List', 'Grid')}\nexport const tabs = { list: List, grid: Grid };`,
  'List.svelte': ['let { boats } = $props();', '<p>{boats}</p>'],
  'Grid.svelte': ['let { boats } = $props();', '<i>{boats}</i>'],
});

const chosen = vue({
  'App.vue': [
    "import { ref } from 'vue'; import { partOf } from './parts';\nconst boats = ref([]); const kind = ref('a');",
    '<component :is="partOf(kind)" :boats="boats"/>',
  ],
  'parts.js': `${importVue('List', 'Grid')}\nconst parts = { a: List, b: Grid };\nexport const partOf = (kind) => parts[kind] ?? List;`,
  'List.vue': ["defineProps(['boats']);", '<p>{{ boats }}</p>'],
  'Grid.vue': ["defineProps(['boats']);", '<i>{{ boats }}</i>'],
});

const held = svelte({
  'App.svelte': [
    `import { Gauge } from './gauge.svelte'; ${importSvelte('Leaf')}\nconst gauge = new Gauge();`,
    '<Leaf a={gauge.level}/><b onclick={() => gauge.rise(2)}></b><i onclick={() => (gauge.level = 0)}></i>',
  ],
  'gauge.svelte.js':
    'export class Gauge {\n  level = $state(0);\n  #step = 1;\n  high = $derived(this.level > 3);\n  rise(by) { this.level += by * this.#step; }\n}',
  'Leaf.svelte': ['let { a } = $props();', '<p>{a}</p>'],
});

const provided = svelte({
  'App.svelte': [`import { provideNights } from './nights'; ${importSvelte('Price')}\nconst nights = provideNights(2);`, '<Price/>'],
  'Price.svelte': ["import { takeNights } from './nights';\nconst nights = takeNights();", '<p>{$nights}</p>'],
  'nights.js':
    "import { getContext, setContext } from 'svelte'; import { writable } from 'svelte/store';\nexport const provideNights = (n) => { const own = writable(n); setContext('nights', own); return own; };\nexport const takeNights = () => getContext('nights');",
});

const bus = vue({
  'main.js':
    "import { createApp } from 'vue'; import App from './App.vue'; import hub from './hub'; const app = createApp(App); app.config.globalProperties.$hub = hub; app.mount('#app');",
  'hub.js': 'export default { $on(name, run) {}, $off(name, run) {}, $emit(name, it) {} };',
  'App.vue': options(
    ' components: { Bell }, data() { return { told: [] }; }, mounted() { this.$hub.$on("ring", this.note); }, beforeUnmount() { this.$hub.$off("ring", this.note); }, methods: { note(what) { this.told.push(what); } } ',
    '<Bell/><p>{{ told }}</p>',
    importVue('Bell'),
  ),
  'Bell.vue': options(' methods: { ring() { this.$hub.$emit("ring", 1); } } ', '<b @click="ring"/>'),
});

const watched = vue({
  'App.vue': [
    `import { ref, watch } from 'vue'; ${importVue('Leaf')}\nconst n = ref(0); const m = ref(0); const shown = ref(0);\nwatch([n, m], ([now]) => { shown.value = now; });`,
    '<Leaf :a="shown"/>',
  ],
  'Leaf.vue': ["defineProps(['a']);", '<p>{{ a }}</p>'],
});

const effect = svelte({
  'App.svelte': [`${importSvelte('Held', 'Other')}\nlet depth = $state(1);`, '<Held {depth}/><Other/><b onclick={() => depth++}></b>'],
  'Held.svelte': ['let { depth } = $props();\nlet held = $state(0);\n$effect(() => { held = depth; });', '<p>{held}</p>'],
  'Other.svelte': ['', '<i/>'],
});

/** Traces: what is changed by others than who has it, and what is reached by other ways than props. */
export const others: readonly TraceCase[] = [
  {
    name: 'an item is written by who is given it',
    files: rowsInVue('ref'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App relays row', 'Row relays row', 'Row changes rows', 'Row starts input | platform input'],
  },
  {
    name: 'an item is written where only the list is followed',
    files: rowsInVue('shallowRef'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App owns rows | constant'],
  },
  {
    name: 'a function that writes to what it is handed',
    files: toggled,
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App relays row', 'Row relays row', 'Row changes rows', 'Row starts click | platform b'],
  },
  {
    name: 'an item is written where nobody follows it',
    files: mounted(
      'function Row({ row }) { return <b onClick={() => { row.on = 1; }}/>; }\nexport function App() { const [rows] = useState([{ on: 0 }]); return rows.map((row) => <Row key={row.on} row={row}/>); }',
    ),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App owns rows | constant'],
  },
  {
    name: 'found, and written by another name',
    files: aliased('const one = rows.value.find((row) => row.on); one.on = 2;'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App changes rows', 'App catches go', 'App starts click | platform b'],
  },
  {
    name: 'each in a loop',
    files: aliased('for (const one of rows.value) one.on = 2;'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App changes rows', 'App catches go', 'App starts click | platform b'],
  },
  {
    name: 'each by a function',
    files: aliased('rows.value.filter((row) => row.on).forEach((one) => { one.on = 2; });'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App changes rows', 'App catches go', 'App starts click | platform b'],
  },
  {
    name: 'a list by another name',
    files: aliased('const [one] = rows.value; const { tags } = one; tags.push(1);'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App changes rows', 'App catches go', 'App starts click | platform b'],
  },
  {
    name: 'two that change places',
    files: aliased('[rows.value[0], rows.value[1]] = [rows.value[1], rows.value[0]];'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App changes rows', 'App catches go', 'App starts click | platform b'],
  },
  {
    name: 'a copy is another',
    files: aliased('const copy = [...rows.value]; copy.push(1);'),
    of: 'App.rows',
    ask: 'changes',
    rungs: ['App owns rows', 'App owns rows | constant'],
  },
  {
    name: 'members of a store by the helpers of options',
    files: vue({
      'App.vue': options(
        " computed: { ...mapState(useLevels, ['high']), ...mapState(useLevels, { first: (store) => store.all[0] }) }, methods: { ...mapActions(useLevels, { up: 'raise' }) } ",
        '<b @click="up(2)">{{ high }}{{ first }}</b>',
        "import { mapActions, mapState } from 'pinia'; import { useLevels } from './levels';",
      ),
      'levels.js': levels,
    }),
    of: 'levels.js:useLevels.high',
    ask: 'changes',
    rungs: [
      'levels.js owns useLevels.high',
      'levels.js changes useLevels',
      'levels.js catches raise',
      'levels.js relays useLevels',
      'App relays raise',
      'App calls useLevels.raise',
      'App starts click | platform b',
    ],
  },
  {
    name: 'what is mixed in',
    files: mixin,
    of: 'counted.count',
    ask: 'changes',
    rungs: [
      'App/counted owns count',
      'App/counted changes count',
      'App/counted catches add',
      'App/counted relays counted.add',
      'App calls counted.add',
      'App catches twice',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a component out of a table',
    files: tabs,
    of: 'App.boats',
    ask: 'goes',
    rungs: ['App owns boats', '  List passes boats', '  List paints boats | painted', 'Grid passes boats', 'Grid paints boats | painted'],
  },
  {
    name: 'a component that a function chooses',
    files: chosen,
    of: 'App.boats',
    ask: 'goes',
    rungs: ['App owns boats', '  List passes boats', '  List paints boats | painted', 'Grid passes boats', 'Grid paints boats | painted'],
  },
  {
    name: 'the state of an instance',
    files: held,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App narrows gauge.level',
      'App/Gauge gives level',
      '  App/Gauge owns level | constant',
      '  App/Gauge changes #step',
      '  App/Gauge owns #step | constant',
      'App/Gauge changes by',
      'App/Gauge relays gauge.rise',
      'App calls gauge.rise | constant 2',
    ],
  },
  {
    name: 'the state of an instance changes',
    files: held,
    of: 'Leaf.a',
    ask: 'changes',
    rungs: [
      'Leaf owns a',
      'App narrows gauge.level',
      'App/Gauge gives level',
      '  App/Gauge relays gauge.level',
      '  App changes level',
      '  App starts click | platform i',
      'App/Gauge changes level',
      'App/Gauge catches rise',
      'App/Gauge relays gauge.rise',
      'App calls gauge.rise',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a context that a function gives',
    files: provided,
    of: 'Price.nights',
    ask: 'comes',
    rungs: [
      'Price owns nights',
      'Price/takeNights gives getContext',
      'Price/takeNights takes nights',
      'App/provideNights provides own',
      'App/provideNights starts n',
      'App/provideNights passes n | constant 2',
    ],
  },
  {
    name: 'a bus of the application',
    files: bus,
    of: 'App.told',
    ask: 'changes',
    rungs: [
      'App owns told',
      'App changes told',
      'App catches note',
      'App hears ring',
      'Bell publishes ring',
      'Bell catches ring',
      'Bell starts click | platform b',
    ],
  },
  {
    name: 'the latest in a watcher',
    files: watched,
    of: 'App.n',
    ask: 'goes',
    rungs: ['App owns n', '  App reads n | read', 'App renames [now]', 'App changes shown', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'not what is watched beside it',
    files: watched,
    of: 'App.m',
    ask: 'goes',
    rungs: ['App owns m', '  App reads m | read', 'App renames [now]'],
  },
  {
    name: 'an effect sets what shows',
    files: effect,
    of: 'App.depth',
    ask: 'impact',
    rungs: ['App owns depth', 'App reads App | read', 'Held paints Held | painted'],
  },
  {
    name: 'a function handed to content by an object',
    files: mounted(
      'function Picker({ render }) { const [at, move] = useState(0); return <p>{render({ at, move })}</p>; }\nexport function App() { return <Picker render={({ at, move }) => <b onClick={() => move(1)}>{at}</b>}/>; }',
    ),
    of: 'Picker.at',
    ask: 'changes',
    rungs: ['Picker owns at', 'App relays what it hands out', 'App changes at', 'App starts click | platform b'],
  },
  {
    name: 'an atom that writes another',
    files: mounted(
      'import { useSetAtom } from "jotai"; import { clearAtom } from "./atoms";\nexport function App() { const clear = useSetAtom(clearAtom); return <b onClick={() => clear()}/>; }',
      {
        'src/atoms.ts':
          'import { atom } from "jotai";\nexport const boatsAtom = atom([]);\nexport const clearAtom = atom(null, (get, set) => set(boatsAtom, []));',
      },
    ),
    of: 'atoms.ts:boatsAtom',
    ask: 'changes',
    rungs: [
      'atoms.ts owns boatsAtom',
      'atoms.ts changes boatsAtom',
      'atoms.ts catches write',
      'App calls clear',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a query that is asked again',
    files: mounted(
      'import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";\nexport function App() { const client = useQueryClient(); const { data } = useQuery({ queryKey: ["boats", 1], queryFn: load }); const add = useMutation({ mutationFn: save, onSuccess: () => client.invalidateQueries({ queryKey: ["boats"] }) }); return <b onClick={() => add.mutate()}>{data}</b>; }',
    ),
    of: 'App.useQuery.data',
    ask: 'changes',
    rungs: ['App owns data', 'App changes useQuery', 'App catches onSuccess', 'App calls add.mutate', 'App starts click | platform b'],
  },
  {
    name: 'another query is asked again',
    files: mounted(
      'import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";\nexport function App() { const client = useQueryClient(); const { data } = useQuery({ queryKey: ["boats"], queryFn: load }); const add = useMutation({ mutationFn: save, onSuccess: () => client.invalidateQueries({ queryKey: ["berths"] }) }); return <b onClick={() => add.mutate()}>{data}</b>; }',
    ),
    of: 'App.useQuery.data',
    ask: 'changes',
    rungs: ['App owns data', 'App owns useQuery | asked query ["boats"]'],
  },
  {
    name: 'handlers by the names of events',
    files: vue({
      'App.vue': [
        `import { ref } from 'vue'; ${importVue('Row')}\nconst at = ref(0); const on = (n) => ({ pick: () => { at.value = n; } });`,
        '<Row v-on="on(2)"/>{{ at }}',
      ],
      'Row.vue': ["const emit = defineEmits(['pick', 'drop']);", `<b @click="emit('pick')"/><i @click="emit('drop')"/>`],
    }),
    of: 'App.at',
    ask: 'changes',
    rungs: ['App owns at', 'App changes at', 'App catches pick', 'Row relays pick', 'Row raises pick', 'Row starts click | platform b'],
  },
  {
    name: 'a function given as a prop',
    files: vue({
      'App.vue': [`import { ref } from 'vue'; ${importVue('Row')}\nconst at = ref(0);`, '<Row :on-done="() => (at = 2)"/>{{ at }}'],
      'Row.vue': ['defineProps({ onDone: Function });', '<b @click="onDone"/>'],
    }),
    of: 'App.at',
    ask: 'changes',
    rungs: ['App owns at', 'App changes at', 'App catches on-done', 'Row relays onDone', 'Row starts click | platform b'],
  },
  {
    name: 'a tag that is one of two',
    files: mounted(
      'function Wide({ a }) { return <p>{a}</p>; }\nfunction Narrow({ a }) { return <i>{a}</i>; }\nfunction Other({ a }) { return <b>{a}</b>; }\nexport function App() { const [wide, set] = useState(true); const [a] = useState(1); const Tag = wide ? Wide : Narrow; return <Tag a={a}/>; }',
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', '  Wide passes a', '  Wide paints a | painted', 'Narrow passes a', 'Narrow paints a | painted'],
  },
  {
    name: 'a function handed to a snippet',
    files: svelte({
      'App.svelte': [`${importSvelte('List')}`, '<List>{#snippet row(pick)}<b onclick={() => pick(1)}></b>{/snippet}</List>'],
      'List.svelte': ['let { row } = $props();\nlet at = $state(0);', '{@render row((to) => (at = to))}{at}'],
    }),
    of: 'List.at',
    ask: 'changes',
    rungs: [
      'List owns at',
      'List changes at',
      'List catches callback',
      'App relays pick',
      'App calls pick',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a method called by a handle of options',
    files: vue({
      'App.vue': options(
        ' components: { Sheet }, methods: { go() { this.$refs.sheet.show(1); } } ',
        '<Sheet ref="sheet"/><b @click="go"/>',
        importVue('Sheet'),
      ),
      'Sheet.vue': options(' data() { return { at: 0 }; }, methods: { show(to) { this.at = to; } } ', '<p>{{ at }}</p>'),
    }),
    of: 'Sheet.at',
    ask: 'changes',
    rungs: [
      'Sheet owns at',
      'Sheet changes at',
      'Sheet catches show',
      'App relays sheet',
      'App calls sheet.show',
      'App catches go',
      'App starts click | platform b',
    ],
  },
  {
    name: 'an event of an element that an action sends',
    files: svelte({
      'App.svelte': [
        "import { outside } from './outside';\nlet open = true;",
        '<div use:outside on:outside={() => (open = false)}>{open}</div>',
      ],
      'outside.js':
        "export function outside(node) { const tell = () => node.dispatchEvent(new CustomEvent('outside')); document.addEventListener('click', tell); return { destroy: () => document.removeEventListener('click', tell) }; }",
    }),
    of: 'App.open',
    ask: 'changes',
    rungs: [
      'App owns open',
      'App changes open',
      'App hears outside',
      'outside.js publishes outside',
      'outside.js catches tell',
      'outside.js hears click | platform the page',
    ],
  },
  {
    name: 'an event that is sent to an element is heard by an element around it',
    files: svelte({
      'App.svelte': [
        "import Child from './Child.svelte';\nlet last;",
        '<main on:pick={(event) => (last = event.detail)}><Child/></main>{last}',
      ],
      'Child.svelte': [
        'let el; let lock = 1;',
        "<b bind:this={el} on:click={() => el.dispatchEvent(new CustomEvent('pick', { bubbles: true, detail: lock }))}/>",
      ],
    }),
    of: 'Child.lock',
    ask: 'goes',
    rungs: ['Child owns lock', 'Child publishes pick', 'App hears event', 'App changes last', 'App paints last | painted'],
  },
  {
    name: 'an event that is sent to an element, from where it is heard',
    files: svelte({
      'App.svelte': [
        "import Child from './Child.svelte';\nlet last;",
        '<main on:pick={(event) => (last = event.detail)}><Child/></main>{last}',
      ],
      'Child.svelte': [
        'let el; let lock = 1;',
        "<b bind:this={el} on:click={() => el.dispatchEvent(new CustomEvent('pick', { bubbles: true, detail: lock }))}/>",
      ],
    }),
    of: 'App.last',
    ask: 'comes',
    rungs: [
      'App owns last',
      '  App owns last | constant',
      'App changes event',
      'App hears event',
      'Child publishes lock',
      'Child owns lock | constant',
    ],
  },
  {
    name: 'an event that is sent to an element does not come by another beside it',
    files: svelte({
      'App.svelte': ["import Child from './Child.svelte';\nlet last;", '<main on:pick={(event) => (last = event.detail)}/><Child/>{last}'],
      'Child.svelte': [
        'let el; let lock = 1;',
        "<b bind:this={el} on:click={() => el.dispatchEvent(new CustomEvent('pick', { bubbles: true, detail: lock }))}/>",
      ],
    }),
    of: 'Child.lock',
    ask: 'goes',
    rungs: ['Child owns lock', 'Child publishes pick | unheard'],
  },
  {
    name: 'a slice under the one store',
    files: mounted(
      'import { useDispatch, useSelector } from "react-redux"; import { added } from "./boats";\nexport function App() { const dispatch = useDispatch(); const items = useSelector((all) => all.boats.items); return <b onClick={() => dispatch(added("Ada"))}>{items}</b>; }',
      {
        'src/boats.ts':
          'import { configureStore, createSlice } from "@reduxjs/toolkit";\nconst boats = createSlice({ name: "boats", initialState: { items: [] }, reducers: { added(state, action) { state.items.push(action.payload); } } });\nexport const { added } = boats.actions;\nexport const store = configureStore({ reducer: { boats: boats.reducer } });',
      },
    ),
    of: 'App.items',
    ask: 'comes',
    rungs: [
      'App owns items',
      'App takes store',
      'boats.ts gives boats',
      '  boats.ts owns boats | constant',
      'boats.ts changes action',
      'boats.ts relays boats',
      'boats.ts relays added',
      'App calls added | constant "Ada"',
    ],
  },
  {
    name: 'a store is set by a function of its own module',
    files: mounted(
      'import { reset, useBoats } from "./boats";\nexport function App() { const n = useBoats((all) => all.n); return <b onClick={reset}>{n}</b>; }',
      {
        'src/boats.ts':
          'import { create } from "zustand";\nexport const useBoats = create(() => ({ n: 0 }));\nexport const reset = () => useBoats.setState({ n: 0 });',
      },
    ),
    of: 'App.n',
    ask: 'changes',
    rungs: ['App owns n', 'App takes useBoats', 'boats.ts changes useBoats', 'boats.ts catches reset', 'App starts click | platform b'],
  },
  {
    name: 'what a list is filtered by only decides',
    files: mounted(
      'function Row({ boat }) { return <p>{boat.name}</p>; }\nexport function App() { const [boats] = useState([]); const [asked, ask] = useState(""); const shown = boats.filter((boat) => boat.name.includes(asked)); return <><input value={asked} onChange={(e) => ask(e.target.value)}/>{shown.map((boat) => <Row key={boat.name} boat={boat}/>)}</>; }',
    ),
    of: 'Row.boat',
    ask: 'comes',
    rungs: [
      'Row owns boat',
      'App passes boat',
      'App narrows shown',
      '  App derives asked | decides',
      'App derives boats',
      'App owns boats | constant',
    ],
  },
  {
    name: 'a condition in what a prop is given only decides',
    files: mounted(
      'function Row({ text }) { return <p>{text}</p>; }\nexport function App() { const [on, set] = useState(true); const [name, rename] = useState("Heron"); return <Row text={on ? name : "off"}/>; }',
    ),
    of: 'Row.text',
    ask: 'comes',
    rungs: ['Row owns text', '  App derives on | decides', 'App renames name', 'App owns name | constant'],
  },
  {
    name: 'by which of its own items a list is changed is no source of it',
    files: mounted(
      'function Row({ boats }) { return <p>{boats.length}</p>; }\nexport function App() { const [boats, set] = useState([]); const close = (id) => set((all) => all.map((boat) => (boat.id === id ? { ...boat, shut: true } : boat))); return <><Row boats={boats}/><button onClick={() => close("a")}>x</button></>; }',
    ),
    of: 'Row.boats',
    ask: 'comes',
    rungs: ['Row owns boats', 'App passes boats', 'App owns boats | constant'],
  },
  {
    name: 'a condition between two constants is where it comes from',
    files: mounted(
      'function Row({ text }) { return <p>{text}</p>; }\nexport function App() { const [on, set] = useState(true); return <Row text={on ? "on" : "off"}/>; }',
    ),
    of: 'Row.text',
    ask: 'comes',
    rungs: ['Row owns text', 'App derives on', 'App owns on | constant'],
  },
  {
    name: 'a function of another module that is named as one that sets',
    files: svelte({
      'App.svelte': [
        "import { levels, setLevel } from './levels';\nconst fill = (to) => setLevel(to);",
        '<b onclick={() => fill(2)}>{$levels}</b>',
      ],
      'levels.js':
        "import { writable } from 'svelte/store';\nexport const levels = writable(0);\nexport function setLevel(to) { levels.set(to); }",
    }),
    of: 'levels.js:levels',
    ask: 'changes',
    rungs: [
      'levels.js owns levels',
      'levels.js changes levels',
      'levels.js catches setLevel',
      'App calls setLevel',
      'App catches fill',
      'App calls fill',
      'App starts click | platform b',
    ],
  },
];
