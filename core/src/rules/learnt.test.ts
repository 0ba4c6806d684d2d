import { beforeAll } from 'vitest';
import { table } from '../../../testing/src/rules';
import { loadCompilers } from '../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** Cases of several rules that one cause has in common: what is read of classes, of objects that are spread, of what remains of the props. */

const setup = (script: string): string => `<script setup>${script}</script>`;
const vueApp = (markup: string, script = ''): string => `${setup(script)}<template><main>${markup}</main></template>`;
const vueRow = `${setup('defineProps({ eta: { type: String, required: true }, boat: String });')}<template><p>{{ eta }}{{ boat }}</p></template>`;
const reactRow = 'function Row({ eta, boat }: { eta: string; boat?: string }) { return <p>{eta}{boat}</p>; }\n';
const reactClass =
  'class Row extends Component { render() { const { a } = this.props; for (let i = 0; i < this.props.n; i++) a.log(i); return <p>{a}</p>; } }\n';

table(
  'prop-missing',
  'vue',
  [
    ['of an object that is spread', { App: vueApp('<Row v-bind="one"/>', "const one = { boat: 'Ada' };"), Row: vueRow }, 'App eta'],
    [
      'of an object that the options give',
      {
        App: `<script>export default { components: { Row }, setup() { const one = { boat: 'Ada' }; return { one }; } };</script><template><main><Row v-bind="one"/></main></template>`,
        Row: vueRow,
      },
      'App eta',
    ],
  ],
  [
    ['it is in the object', { App: vueApp('<Row v-bind="one"/>', "const one = { eta: '1', boat: 'Ada' };"), Row: vueRow }],
    ['the object takes over another', { App: vueApp('<Row v-bind="one"/>', "const one = { ...load(), boat: 'Ada' };"), Row: vueRow }],
    [
      'the object is written to',
      {
        App: vueApp('<Row v-bind="one"/>', "import { reactive } from 'vue'; const one = reactive({ boat: 'Ada' }); one.eta = '1';"),
        Row: vueRow,
      },
    ],
  ],
);

table(
  'prop-missing',
  'react',
  [
    ['of an object that is spread', `${reactRow}export function App() { const one = { boat: 'Ada' }; return <Row {...one}/>; }`, 'App eta'],
    ['of an object of the module', `${reactRow}const one = { boat: 'Ada' };\nexport function App() { return <Row {...one}/>; }`, 'App eta'],
    [
      'of a class',
      'import PropTypes from "prop-types";\nclass Row extends Component { render() { return <p>{this.props.tone}</p>; } }\nRow.propTypes = { tone: PropTypes.oneOf(["calm"]).isRequired };\nexport function App() { return <Row/>; }',
      'App tone',
    ],
  ],
  [
    ['the object holds it', `${reactRow}const one = { eta: '1' };\nexport function App() { return <Row {...one}/>; }`],
    ['the object is given by a function', `${reactRow}export function App() { const one = made(); return <Row {...one}/>; }`],
  ],
);

table(
  'prop-unknown',
  'react',
  [
    [
      'a class',
      'class Row extends Component { render() { return <p>{this.props.a}</p>; } }\nexport function App() { return <Row a="1" tone="calm"/>; }',
      'App tone',
    ],
    [
      'what remains is read by name',
      'function Row({ a, ...rest }) { return <p>{a}{rest.boat}</p>; }\nexport function App() { return <Row a="1" boat="Ada" tone="calm"/>; }',
      'App tone',
    ],
  ],
  [
    ['a class that reads it in a loop', `${reactClass}export function App() { return <Row a="1" n={2}/>; }`],
    [
      'a class that hands all of its props on',
      'class Row extends Component { render() { return <p {...this.props}/>; } }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'a class that extends another',
      'class Base extends Component {}\nclass Row extends Base { render() { return <p/>; } }\nexport function App() { return <Row tone="calm"/>; }',
    ],
    [
      'what remains is read by a computed name',
      'function Row({ a, ...rest }) { return <p>{a}{rest[a]}</p>; }\nexport function App() { return <Row a="1" tone="calm"/>; }',
    ],
  ],
);

table(
  'prop-unknown',
  'vue',
  [
    [
      'attributes are read by name',
      {
        App: vueApp('<Field maxlength="8" hint="x"/>'),
        Field:
          '<script>export default { inheritAttrs: false };</script><template><label><input :maxlength="$attrs.maxlength"></label></template>',
      },
      'App hint',
    ],
  ],
  [
    [
      'attributes are taken apart in a function',
      {
        App: vueApp('<Field maxlength="8" hint="x"/>'),
        Field:
          '<script>export default { inheritAttrs: false, computed: { rest() { const { title, ...rest } = this.$attrs; return rest; } } };</script><template><label><input v-bind="rest"></label></template>',
      },
    ],
  ],
);

table(
  'wrapper-thin',
  'vue',
  [
    [
      'it raises what it hears',
      {
        App: vueApp('<Plain label="x" @press="go"/>', 'const go = () => console.log(1);'),
        Plain: `${setup("defineProps({ label: String }); const emit = defineEmits(['press']);")}<template><Base :label="label" @press="emit('press')"/></template>`,
        Base: `${setup("defineProps({ label: String }); const emit = defineEmits(['press']);")}<template><button @click="emit('press')">{{ label }}</button></template>`,
      },
      'Plain Plain',
    ],
  ],
  [
    [
      'it raises another event',
      {
        App: vueApp('<Plain label="x" @save="go"/>', 'const go = () => console.log(1);'),
        Plain: `${setup("defineProps({ label: String }); const emit = defineEmits(['save']);")}<template><Base :label="label" @press="emit('save')"/></template>`,
        Base: `${setup("defineProps({ label: String }); const emit = defineEmits(['press']);")}<template><button @click="emit('press')">{{ label }}</button></template>`,
      },
    ],
  ],
);

const sum = (name: string, one: string, result = 'cents'): string =>
  `${setup(`import { computed } from 'vue'; const props = defineProps({ fines: Array }); const ${name} = computed(() => props.fines.filter((${one}) => ${one}.days > 0).reduce((all, ${one}) => all + ${one}.${result}, 0));`)}<template><p>{{ ${name} }}</p></template>`;
const both = (a: string, b: string): string =>
  vueApp(`<Sum :fines="${a}"/><Notice :fines="${b}"/>`, "import { ref } from 'vue'; const fines = ref([]); const old = ref([]);");

table(
  'derived-twice',
  'vue',
  [
    [
      'by other names, of what both are given',
      { App: both('fines', 'fines'), Sum: sum('total', 'fine'), Notice: sum('owed', 'f') },
      'Notice owed',
    ],
  ],
  [
    ['of what is not the same', { App: both('fines', 'old'), Sum: sum('total', 'fine'), Notice: sum('owed', 'f') }],
    ['another computation', { App: both('fines', 'fines'), Sum: sum('total', 'fine'), Notice: sum('owed', 'f', 'days') }],
  ],
);

const slider = (input: string, script = ''): string => `<script>export let angle = 0; ${script}</script><label>{angle}${input}</label>`;

table(
  'two-way-half',
  'svelte',
  [
    [
      'a field that writes it nowhere',
      { App: '<script>let angle = 1;</script><Slider bind:angle/>', Slider: slider('<input value={angle}/>') },
      'App angle',
    ],
  ],
  [
    [
      'a field that is bound',
      { App: '<script>let angle = 1;</script><Slider bind:angle/>', Slider: slider('<input bind:value={angle}/>') },
    ],
    [
      'a field whose entry is written',
      {
        App: '<script>let angle = 1;</script><Slider bind:angle/>',
        Slider: slider('<input value={angle} on:input={slide}/>', 'const slide = (event) => (angle = event.target.value);'),
      },
    ],
    ['it is only shown', { App: '<script>let angle = 1;</script><Slider bind:angle/>', Slider: slider('') }],
  ],
);

const routes = (name: string, more: Readonly<Record<string, string>> = {}): Readonly<Record<string, string>> => ({
  'package.json': `{ ${name}"devDependencies": { "@sveltejs/kit": "^2.0.0" } }`,
  'src/routes/+page.svelte': "<script>import Row from '../lib/Row.svelte';</script><Row/>",
  'src/lib/Row.svelte': '<p/>',
  'src/lib/Old.svelte': '<script>let a = 1;</script><p>{a}</p>',
  ...more,
});

table(
  'component-idle',
  'svelte',
  [['beside pages that are files', routes(''), 'Old Old']],
  [['in a package that others import', routes('"exports": "./src/index.js", ')]],
);

table(
  'change-unseen',
  'svelte',
  [
    [
      'a list by another name',
      {
        App: '<script>let pot = { fruits: [] }; function add() { const next = pot.fruits; next.push(1); }</script><b on:click={add}>{pot.fruits}</b>',
      },
      'App pot',
    ],
  ],
  [
    [
      'a list by another name that is put back',
      {
        App: '<script>let pot = { fruits: [] }; function add() { const next = pot.fruits; next.push(1); pot.fruits = next; }</script><b on:click={add}>{pot.fruits}</b>',
      },
    ],
  ],
);

table(
  'change-unseen',
  'react',
  [
    [
      'an item that is found',
      'export function App() { const [rows, set] = useState([]); const go = () => { const one = rows.find((row) => row.on); one.on = 2; }; return <b onClick={go}>{rows.length}</b>; }',
      'App rows',
    ],
    [
      'each of a loop',
      'export function App() { const [rows, set] = useState([]); const go = () => { for (const one of rows) one.on = 2; }; return <b onClick={go}>{rows.length}</b>; }',
      'App rows',
    ],
  ],
  [
    [
      'a copy',
      'export function App() { const [rows, set] = useState([]); const go = () => { const next = [...rows]; next.push(2); set(next); }; return <b onClick={go}>{rows.length}</b>; }',
    ],
  ],
);

const shown = (effect: string): string =>
  `export function App() { const [on] = useState(true); return on && <Row/>; }\nfunction Row() { ${effect} return <p/>; }`;

table(
  'subscription-kept',
  'react',
  [
    [
      'an observer of the document',
      shown('useEffect(() => { const seen = new IntersectionObserver(go); seen.observe(document.body); }, []);'),
      'Row IntersectionObserver of the document',
    ],
    [
      'beside another observer that is ended',
      shown(
        'useEffect(() => { const seen = new IntersectionObserver(go); seen.observe(document.body); }, []); useEffect(() => { const sizes = new ResizeObserver(go); sizes.observe(document.body); return () => sizes.disconnect(); }, []);',
      ),
      'Row IntersectionObserver of the document',
    ],
    [
      'a query of the window',
      shown('useEffect(() => { const wide = matchMedia("(width > 9px)"); wide.addEventListener("change", go); }, []);'),
      'Row change of the window',
    ],
  ],
  [
    [
      'an observer that ends',
      shown(
        'useEffect(() => { const seen = new IntersectionObserver(go); seen.observe(document.body); return () => seen.disconnect(); }, []);',
      ),
    ],
    [
      'an observer of its own element',
      shown('const at = useRef(null); useEffect(() => { const seen = new IntersectionObserver(go); seen.observe(at.current); }, []);'),
    ],
    [
      'a query that is let go',
      shown(
        'useEffect(() => { const wide = matchMedia("(width > 9px)"); wide.addEventListener("change", go); return () => wide.removeEventListener("change", go); }, []);',
      ),
    ],
  ],
);

table(
  'change-unseen',
  'react',
  [
    [
      'a map',
      'export function App() { const [all] = useState(new Map()); return <b onClick={() => all.set(1, 2)}>{all.size}</b>; }',
      'App all',
    ],
    [
      'what a ref holds is shown',
      'export function App() { const count = useRef(0); return <b onClick={() => { count.current += 1; }}>{count.current}</b>; }',
      'App count',
    ],
    [
      'Object.assign',
      'export function App() { const [one, set] = useState({ n: 1 }); return <b onClick={() => Object.assign(one, { n: 2 })}>{one.n}</b>; }',
      'App one',
    ],
  ],
  [
    [
      'a ref beside state',
      'export function App() { const [n, set] = useState(0); const count = useRef(0); return <b onClick={() => { count.current += 1; set(n + 1); }}>{count.current}{n}</b>; }',
    ],
    ['a ref that is not shown', 'export function App() { const count = useRef(0); return <b onClick={() => { count.current += 1; }}/>; }'],
    [
      'into a new object',
      'export function App() { const [one, set] = useState({ n: 1 }); return <b onClick={() => set(Object.assign({}, one, { n: 2 }))}>{one.n}</b>; }',
    ],
  ],
);

table(
  'change-unseen',
  'svelte',
  [
    ['a set in a rune', { App: '<script>let all = $state(new Set());</script><p onclick={() => all.add(1)}>{all.size}</p>' }, 'App all'],
    [
      'a member taken out of state',
      { App: '<script>let one = $state({ n: 1 }); let { n } = one;</script><p onclick={() => one.n++}>{n}</p>' },
      'App n',
    ],
  ],
  [
    [
      'a list taken out of state',
      { App: '<script>let one = $state({ all: [] }); let { all } = one;</script><p onclick={() => one.all.push(1)}>{all.length}</p>' },
    ],
    [
      'a set that is followed',
      {
        App: "<script>import { SvelteSet } from 'svelte/reactivity'; let all = new SvelteSet();</script><p onclick={() => all.add(1)}>{all.size}</p>",
      },
    ],
  ],
);

table(
  'prop-written',
  'react',
  [
    [
      'by Object.assign',
      'function Row({ one }) { return <b onClick={() => Object.assign(one, { n: 2 })}/>; }\nexport function App() { const [one] = useState({ n: 1 }); return <Row one={one}/>; }',
      'Row one',
    ],
    [
      'a member is deleted',
      'function Row({ one }) { return <b onClick={() => { delete one.n; }}/>; }\nexport function App() { const [one] = useState({ n: 1 }); return <Row one={one}/>; }',
      'Row one',
    ],
  ],
  [
    [
      'a place in a copy',
      'function Row({ all, onPick }) { return <b onClick={() => { const next = all.slice(); next[0] = 1; onPick(next); }}/>; }\nexport function App() { const [all, set] = useState([]); return <Row all={all} onPick={set}/>; }',
    ],
  ],
);

table(
  'prop-written',
  'vue',
  [
    [
      'by the options',
      {
        App: vueApp('<Row :name="name"/>', "import { ref } from 'vue'; const name = ref('a');"),
        Row: '<script>export default { props: ["name"], methods: { go() { this.name = "x"; } } };</script><template><p @click="go">{{ name }}</p></template>',
      },
      'Row name',
    ],
  ],
  [],
);

table(
  'prop-missing',
  'vue',
  [
    [
      'a type is named as a tag is',
      {
        App: vueApp('<Row/>'),
        Row: '<script setup lang="ts">import type { P } from "./t"; defineProps<P>();</script><template><p>{{ eta }}</p></template>',
        't.ts': 'export interface P { eta: string }',
      },
      'App eta',
    ],
  ],
  [],
);

table(
  'endless-render',
  'react',
  [
    [
      'an effect follows what it makes anew',
      'export function App() { const [one, set] = useState({}); useEffect(() => { set({ ...one }); }, [one]); return <p>{one.a}</p>; }',
      'App one',
    ],
  ],
  [
    [
      'it follows another',
      'export function App({ id }) { const [one, set] = useState({}); useEffect(() => { set({ id }); }, [id]); return <p>{one.a}</p>; }',
    ],
    [
      'it sets the same',
      'export function App() { const [one, set] = useState(1); useEffect(() => { set(2); }, [one]); return <p>{one}</p>; }',
    ],
  ],
);

table(
  'endless-render',
  'vue',
  [
    [
      'a watcher counts what it watches',
      {
        App: `${setup("import { ref, watch } from 'vue'; const n = ref(0); watch(n, () => { n.value++; });")}<template><p @click="n = 1">{{ n }}</p></template>`,
      },
      'App n',
    ],
  ],
  [
    [
      'under a condition',
      {
        App: `${setup("import { ref, watch } from 'vue'; const n = ref(0); watch(n, () => { if (n.value < 3) n.value++; });")}<template><p @click="n = 1">{{ n }}</p></template>`,
      },
    ],
    [
      'it counts another',
      {
        App: `${setup("import { ref, watch } from 'vue'; const n = ref(0); const m = ref(0); watch(n, () => { m.value++; });")}<template><p @click="n = 1">{{ n }}{{ m }}</p></template>`,
      },
    ],
  ],
);

table(
  'endless-render',
  'svelte',
  [
    [
      'an effect lengthens a list',
      { App: '<script>let all = $state([]); $effect(() => { all.push(1); });</script><p>{all.length}</p>' },
      'App all',
    ],
  ],
  [['a raw list', { App: '<script>let all = $state.raw([]); $effect(() => { all.push(1); });</script><p>{all.length}</p>' }]],
);

table(
  'list-unkeyed',
  'react',
  [
    [
      'a key that is made anew',
      'export function App() { const [all] = useState([1]); return <ul>{all.map((one) => <li key={Math.random()}>{one}</li>)}</ul>; }',
      'App key',
    ],
  ],
  [
    [
      'a method of the item that gives its own key',
      'export function App() { const [all] = useState([]); return <ul>{all.map((one) => <li key={one.uniqueId()}>{one.id}</li>)}</ul>; }',
    ],
    [
      'a key that is kept',
      'export function App() { const [all] = useState([{ id: crypto.randomUUID() }]); return <ul>{all.map((one) => <li key={one.id}>{one.id}</li>)}</ul>; }',
    ],
  ],
);

table(
  'two-truths',
  'vue',
  [
    [
      'a store that components write',
      {
        App: vueApp('{{ s.n }}<b @click="s.n++"/><A/>', "import { useS } from './s'; const s = useS();"),
        A: `${setup("import { ref } from 'vue'; import { useS } from './s'; const s = useS(); const n = ref(s.n);")}<template><p @click="n++">{{ n }}</p></template>`,
        's.js': "import { defineStore } from 'pinia'; export const useS = defineStore('s', { state: () => ({ n: 0 }) });",
      },
      'A n',
    ],
  ],
  [
    [
      'what is changed is within the list that both hold',
      {
        App: vueApp('{{ s.rows }}<b @click="s.rows = []"/><A/>', "import { useS } from './s'; const s = useS();"),
        A: `${setup("import { ref } from 'vue'; import { useS } from './s'; const s = useS(); const rows = ref(s.rows);")}<template><p @click="rows.push(1)">{{ rows }}</p></template>`,
        's.js': "import { defineStore } from 'pinia'; export const useS = defineStore('s', { state: () => ({ rows: [] }) });",
      },
    ],
    [
      'nobody writes it',
      {
        App: vueApp('{{ s.n }}<A/>', "import { useS } from './s'; const s = useS();"),
        A: `${setup("import { ref } from 'vue'; import { useS } from './s'; const s = useS(); const n = ref(s.n);")}<template><p @click="n++">{{ n }}</p></template>`,
        's.js': "import { defineStore } from 'pinia'; export const useS = defineStore('s', { state: () => ({ n: 0 }) });",
      },
    ],
  ],
);

const heard = (end: string): Readonly<Record<string, string>> => ({
  App: vueApp('<Row v-if="on"/><b @click="on = false"/>', "import { ref } from 'vue'; const on = ref(true);"),
  Row: `${setup(`import { onMounted, onUnmounted } from 'vue'; const go = () => 1; onMounted(() => document.addEventListener('keydown', go)); onUnmounted(() => document.removeEventListener('${end}', go));`)}<template><p/></template>`,
});

table(
  'subscription-kept',
  'vue',
  [['another event is let go', heard('keyup'), 'Row keydown of the document']],
  [['the same is let go', heard('keydown')]],
);

const asked = (release: string): Readonly<Record<string, string>> => ({
  App: vueApp('<A/><B/>'),
  A: `${setup(`import { onMounted, ref } from 'vue'; const birds = ref([]); onMounted(async () => { birds.value = await (await fetch('/api/birds')).json(); }); ${release}`)}<template><p v-for="bird in birds" :key="bird.ring" @click="release(bird)">{{ bird.free }}</p></template>`,
  B: `${setup("import { onMounted, ref } from 'vue'; const held = ref([]); onMounted(async () => { const all = await (await fetch('/api/birds')).json(); held.value = all.filter((bird) => !bird.free); });")}<template><p>{{ held.length }}</p></template>`,
});

table(
  'two-truths',
  'vue',
  [['an item of one copy is written', asked('function release(bird) { bird.free = true; }'), 'B /api/birds']],
  [['nothing is written', asked('function release(bird) { console.log(bird.free); }')]],
);

const views = (chart: string): string =>
  `const C = createContext(undefined);\nfunction Chip() { const { at } = useContext(C); return <p>{at}</p>; }\nfunction Provider({ children }) { return <C.Provider value={{ at: 1 }}>{children}</C.Provider>; }\nconst views = { list: () => <Provider><Chip/></Provider>, chart: () => ${chart} };\nexport function App() { const [at] = useState('list'); return <main>{views[at]()}</main>; }`;

table(
  'context-missing',
  'react',
  [['in a table of functions', views('<Chip/>'), 'Chip C']],
  [['provided in each of a table', views('<Provider><Chip/></Provider>')]],
);

// What real packages showed to be wrong, and the same where it is right.

const shows = (script: string): Readonly<Record<string, string>> => ({
  App: vueApp('<Box>text</Box>'),
  Box: `${setup(script)}<template><p>box</p></template>`,
});

table(
  'slot-nowhere',
  'vue',
  [['nothing takes it', shows(''), 'App children']],
  [
    ['the script takes its slots', shows("import { useSlots } from 'vue'; const slots = useSlots(); console.log(slots.default?.());")],
    ['a tag of a package shows it', { App: vueApp('<Box>text</Box>'), Box: '<template><p><ContentSlot unwrap="p"/></p></template>' }],
  ],
);

table(
  'name-unknown',
  'vue',
  [['nothing declares it', { App: vueApp('{{ localPath }}') }, 'App localPath']],
  [['a package gives it to every template', { App: vueApp("<a :href=\"localePath('/')\">{{ switchLocalePath('nl') }}</a>") }]],
);

const crew = (mounted: string, other = ''): string =>
  `const Crew = createContext(null);\nfunction Chip() { const { at } = useContext(Crew); return <p>{at}</p>; }\n${other}export function App() { return <main>${mounted}</main>; }`;

table(
  'context-missing',
  'react',
  [['nobody provides it', crew('<Chip/>'), 'Chip Crew']],
  [
    [
      'a part that stands on no page provides it, which something unseen puts around the pages',
      crew('<Chip/>', 'export function Around({ children }) { return <Crew.Provider value={{ at: 1 }}>{children}</Crew.Provider>; }\n'),
    ],
  ],
);

const kept = (shown: string): string =>
  `export function App({ all }) { const [seen, setSeen] = useState({}); useEffect(() => { for (const one of all) { seen[one.id] = true; setSeen(seen); } }, [all]); return <main>${shown}</main>; }`;

table(
  'change-unseen',
  'react',
  [['the page shows it', kept('{Object.keys(seen).length}'), 'App seen']],
  [['it is kept for functions alone', kept('<p/>')]],
);

table(
  'prop-written',
  'vue',
  [
    [
      'at many places, told once',
      {
        App: vueApp('<Row :boat="boat"/>', "import { reactive } from 'vue'; const boat = reactive({ x: 1, y: 1 });"),
        Row: `${setup('const props = defineProps({ boat: Object }); const move = () => { props.boat.x++; props.boat.y++; props.boat.x = 0; };')}<template><p @click="move">{{ boat.x }}</p></template>`,
      },
      'Row boat',
    ],
  ],
  [
    [
      'by its owner',
      {
        App: vueApp('<Row :boat="boat"/>', "import { reactive } from 'vue'; const boat = reactive({ x: 1 }); boat.x = 2;"),
        Row: vueRow.replace('eta: { type: String, required: true }, boat: String', 'boat: Object').replace('{{ eta }}', ''),
      },
    ],
  ],
);

const half = (script: string): Readonly<Record<string, string>> => ({
  App: vueApp('<Row a="1"/>'),
  Row: `${setup(script)}<template><Part a="1" b="2"/></template>`,
  Part: `${setup('defineProps({ a: String, b: String, c: String });')}<template><p>{{ a }}{{ b }}</p></template>`,
});

table(
  'prop-idle',
  'vue',
  [['of the one root of another', half(''), 'Part c']],
  [['what falls through may be it', { ...half(''), App: vueApp('<Row a="1" v-bind="$attrs"/>') }]],
);

const nuxt = (tag: string): Readonly<Record<string, string>> => ({
  'package.json': '{ "dependencies": { "nuxt": "4.0.0" } }',
  'app/app.vue': `<template><main><${tag}/></main></template>`,
  'app/components/ui/Chip.vue': '<template><b>chip</b></template>',
});

table(
  'component-unknown',
  'vue',
  [['no file has it', nuxt('Chipp'), 'App Chipp']],
  [
    ['by its folders', nuxt('UiChip')],
    ['with a prefix that the configuration gives', nuxt('SwChip')],
  ],
);

// What misled on packages that were read for the first time.

const named = (said: string): Readonly<Record<string, string>> => ({
  App: vueApp('<OFeld/>'),
  Feld: `${setup(`defineOptions({ name: '${said}' });`)}<template><i>feld</i></template>`,
});

table(
  'component-unknown',
  'vue',
  [['by a name that nobody gives itself', named('OForm'), 'App OFeld']],
  [
    ['by the name that a component gives itself', named('OFeld')],
    [
      'itself, by that name',
      {
        App: vueApp('<Feld/>'),
        Feld: `${setup("defineOptions({ name: 'OFeld' }); defineProps(['all']);")}<template><i><OFeld v-if="all"/></i></template>`,
      },
    ],
  ],
);

const lit = "function Switch() { return <button onClick={() => document.dispatchEvent(new CustomEvent('lamp:lit'))}>lit</button>; }";

table(
  'channel-unpaired',
  'react',
  [['sent by a part of an application', `${lit}\nexport function App() { return <Switch/>; }`, 'Switch lamp:lit']],
  [
    [
      'sent by a part of a package, for who uses it',
      {
        'package.json': '{ "name": "levels", "exports": { ".": "./src/index.js" } }',
        'src/index.js': "export { Switch } from './Switch';",
        'src/Switch.jsx': `export ${lit}`,
      },
    ],
  ],
);

const message = (script: string): Readonly<Record<string, string>> => ({
  App: '<script>const focus = () => {};</script><Message onClose={focus}/>',
  Message: `<script>import { onDestroy } from 'svelte'; export let onClose = undefined; export let shut = false; ${script}</script><p>{shut}</p>`,
});

table(
  'event-never-raised',
  'svelte',
  [['it is declared, and never called', message(''), 'App onClose']],
  [['it is handed to the end of a life', message('if (onClose) { onDestroy(onClose); }')]],
);

table(
  'change-unseen',
  'svelte',
  [
    [
      'it is shown',
      { App: '<script>let { a } = $props(); let seen = false;</script><button onclick={() => { seen = true; }}>{a}{seen}</button>' },
      'App seen',
    ],
  ],
  [
    [
      'it is read by a function that a context gives',
      {
        App: "<script>import { onMount, setContext } from 'svelte'; let { a } = $props(); let seen = false; setContext('told', () => { if (seen) a(); }); onMount(() => { seen = true; });</script><p>b</p>",
      },
    ],
  ],
);

const choice = (type: string): Readonly<Record<string, string>> => ({
  App: '<script>let a = 1;</script><Choice bind:value={a}/>',
  Choice: `<script>export let value = 1;</script><input type="${type}" {value}/>`,
});

table('two-way-half', 'svelte', [['people enter it', choice('text'), 'App value']], [['it says which one is chosen', choice('radio')]]);

const timed = (watch: string): Readonly<Record<string, string>> => ({
  App: vueApp(
    '<b>{{ n }}</b><button @click="n++; on = !on">x</button>',
    `import { ref, watch, watchEffect } from 'vue'; const n = ref(0); const on = ref(true); ${watch}`,
  ),
});

table(
  'stale-reading',
  'vue',
  [
    [
      'of what it follows by reading',
      timed('watchEffect(() => { if (on.value) setTimeout(() => { console.log(n.value); }, 9); });'),
      'App n',
    ],
  ],
  [['what it follows is said apart', timed('watch(on, () => { setTimeout(() => { console.log(n.value); }, 9); });')]],
);

const rows = 'function Rows({ renderRow }) { return <ul>{[1, 2].map((n) => renderRow({ n }))}</ul>; }\n';

table(
  'slot-shape',
  'react',
  [['markup for what is called', `${rows}export function App() { return <Rows renderRow={<li>a</li>}/>; }`, 'App renderRow']],
  [['a component by its name', `${rows}const Row = ({ n }) => <li>{n}</li>;\nexport function App() { return <Rows renderRow={Row}/>; }`]],
);

const themed = (sync: string): Readonly<Record<string, string>> => ({
  'theme.js':
    "import { writable } from 'svelte/store'; export const theme = writable('light'); export const flip = () => theme.set('dark');",
  App: `<script>import { onDestroy } from 'svelte'; import { theme, flip } from './theme'; let shown = $theme; ${sync}</script><p>{shown}</p><button on:click={flip}>flip</button>`,
});

table(
  'two-truths',
  'svelte',
  [['changed by the part alone', themed("const go = () => { shown = 'dark'; }; go();"), 'App shown']],
  [['kept in step by a subscription', themed('onDestroy(theme.subscribe((value) => { shown = value; }));')]],
);

table(
  'prop-written',
  'react',
  [
    [
      'a list is pushed to',
      'function Row({ all }) { return <button onClick={() => all.push(1)}>{all.length}</button>; }\nexport function App() { const [all] = useState([]); return <Row all={all}/>; }',
      'Row all',
    ],
  ],
  [
    [
      'a stack of pages is none',
      'function Row({ pages }) { return <button onClick={() => { pages.push(1); }} onBlur={pages.reset}>a</button>; }\nexport function App({ pages }) { return <Row pages={pages}/>; }',
    ],
  ],
);

const modes = (sync: string): Readonly<Record<string, string>> => ({
  App: "<script>let mode = 'text';</script><button on:click={() => (mode = 'tree')}>{mode}</button><View given={mode}/>",
  View: `<script>export let given; let mode = given; function apply(one) { mode = one; } const reset = () => { mode = 'text'; }; ${sync}</script><b on:click={reset}>{mode}</b>`,
});

table(
  'prop-copied',
  'svelte',
  [['nothing makes it follow', modes(''), 'View given']],
  [['a function that is called with it each time', modes('$: apply(given);')]],
);
