import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const copy = (more: string, use = '<Field note={note}/>'): string =>
  `function Field({ note }) { const [text, setText] = useState(note); ${more} return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\nexport function App() { const [note, setNote] = useState(''); return <p onClick={() => setNote('x')}>${use}</p>; }`;

const vueProps = (script: string, markup = '<p/>'): Sources => ({
  App: '<script setup>import { ref } from "vue"; const boat = ref({ name: 1 }); const level = ref(1); const go = () => { level.value = 2; };</script><template><main @click="go"><Part :boat="boat" :level="level"/></main></template>',
  Part: `<script setup>import { ref, watch } from "vue"; const props = defineProps({ boat: Object, level: Number }); ${script}</script><template>${markup}</template>`,
});

const svelteCopy = (script: string, markup = '<p>{own}</p>', given = '<Part {level}/>'): Sources => ({
  App: `<script>let level = $state(1);</script><p onclick={() => { level = 2; }}></p>${given}`,
  Part: `<script>${script}</script>${markup}`,
});

table(
  'prop-copied',
  'react',
  [
    ['once', copy(''), 'Field note'],
    ['in a class of parts', copy('useEffect(() => { print(text); }, [text]);'), 'Field note'],
    ['shown beside the copy', copy('print(note);'), 'Field note'],
    ['compared with the copy', copy('const isDirty = text !== note;'), 'Field note'],
    [
      'through what is computed, and a part of it',
      'function Field({ boat }) { const [text, setText] = useState(boat.name); return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\nexport function App({ boats }) { const [at, setAt] = useState(0); const boat = boats[at]; return <p onClick={() => setAt(1)}><Field boat={boat}/></p>; }',
      'Field boat',
    ],
    [
      'through a part that hands it on',
      'function Field({ note }) { const [text, setText] = useState(note); return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\nfunction Frame({ note }) { return <Field note={note}/>; }\nexport function App() { const [note, setNote] = useState(""); return <p onClick={() => setNote("x")}><Frame note={note}/></p>; }',
      'Field note',
    ],
    ['made once by a function', copy('').replace('useState(note)', 'useState(() => note)'), 'Field note'],
    ['in another form', copy('').replace('useState(note)', 'useState(note.trim())'), 'Field note'],
    ['as a text', copy('').replace('useState(note)', 'useState(() => String(note))'), 'Field note'],
    ['as a copy of each', copy('').replace('useState(note)', 'useState(note.rows.map((row) => ({ ...row })))'), 'Field note'],
    ['one of two uses changes', copy('', '<Field note="a"/><Field note={note}/>'), 'Field note'],
  ],
  [
    ['followed by an effect', copy('useEffect(() => { setText(note); }, [note]);')],
    ['followed while rendering', copy('const [last, setLast] = useState(note); if (last !== note) { setLast(note); setText(note); }')],
    ['keyed', copy('', '<Field key={note} note={note}/>')],
    ['it takes over where it is given', copy('const shown = note ?? text;')],
    ['it is asked whether it is given', copy('const shown = note !== undefined ? note : text;')],
    ['made anew each time that it comes', copy('', '{note && <Field note={note}/>}')],
    ['computed from it', copy('').replace('useState(note)', 'useState(parse(note))')],
    ['only the length of it', copy('').replace('useState(note)', 'useState(note.trim().length)')],
    ['whether it is anything', copy('').replace('useState(note)', "useState(note.trim() !== '')")],
    ['made of it by a function of the project', copy('').replace('useState(note)', 'useState(() => parse(note))')],
    ['given a constant', copy('', '<Field note="a"/>')],
    [
      'an initial value by name',
      'function Field({ initialNote }) { const [text, setText] = useState(initialNote); return <input value={text} onChange={() => setText(1)}/>; }\nexport function App() { const [note, setNote] = useState(""); return <p onClick={() => setNote("x")}><Field initialNote={note}/></p>; }',
    ],
    ['reset by an event', copy('const reset = () => setText(note); useEffect(() => { print(reset); });')],
  ],
);

table(
  'prop-copied',
  'vue',
  [
    ['a prop as a text', vueProps('const own = ref(String(props.level));', '<p>{{ own }}</p>'), 'Part level'],
    ['a ref from a prop', vueProps('const own = ref(props.level);', '<p>{{ own }}</p>'), 'Part level'],
    [
      'taken apart',
      {
        App: (vueProps('') as { App: string }).App,
        Part: '<script setup>import { ref } from "vue"; const { level } = defineProps({ boat: Object, level: Number }); const own = ref(level);</script><template><p>{{ own }}</p></template>',
      },
      'Part level',
    ],
    ['read as well', vueProps('const own = ref(props.level);', '<p>{{ own }}{{ level }}</p>'), 'Part level'],
    ['by another name for it', vueProps('const first = props.level; const own = ref(first);', '<p>{{ own }}</p>'), 'Part level'],
    [
      'members in data',
      {
        App: (vueProps('') as { App: string }).App,
        Part: '<script>export default { props: { boat: Object, level: Number }, data() { const { name } = this.level; return { draft: { name } }; } };</script><template><input v-model="draft.name"/></template>',
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

table(
  'prop-copied',
  'svelte',
  [
    ['read as well', svelteCopy('let { level } = $props(); let own = $state(level);', '<p>{own}{level}</p>'), 'Part level'],
    [
      'a part, in a legacy script',
      svelteCopy('export let level; let own = level.name; const go = () => { own = 1; };', '<p onclick={go}>{own}</p>'),
      'Part level',
    ],
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
    ['keyed', svelteCopy('let { level } = $props(); let own = $state(level);', '<p>{own}</p>', '{#key level}<Part {level}/>{/key}')],
    ['a constant is given', svelteCopy('let { level } = $props(); let own = $state(level);', '<p>{own}</p>', '<Part level={1}/>')],
    [
      'called a start',
      svelteCopy('let { initialLevel } = $props(); let own = $state(initialLevel);', '<p>{own}</p>', '<Part initialLevel={level}/>'),
    ],
  ],
);
