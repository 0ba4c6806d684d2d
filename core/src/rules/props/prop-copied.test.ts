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
