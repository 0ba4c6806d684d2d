import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const reads = (name: string, more = '', what = "'/api/passages'"): string =>
  `function ${name}() { const [rows, setRows] = useState([]); useEffect(() => { fetch(${what}).then((r) => r.json()).then(setRows); }, []); return <p onClick={() => { ${more} }}>{rows.length}</p>; }\n`;

const both = 'export function App() { return <><Bar/><Queue/></>; }';

const vueReads = (more = ''): string =>
  `<script setup>import { ref, onMounted } from "vue"; const rows = ref([]); onMounted(async () => { rows.value = await fetch("/api/passages").then((r) => r.json()); }); const clear = () => { ${more} };</script><template><p @click="clear">{{ rows.length }}</p></template>`;

const vueBoth = '<template><main><Bar/><Queue/></main></template>';

const svelteReads = (more = ''): string =>
  `<script>import { onMount } from "svelte"; let rows = $state([]); onMount(async () => { rows = await fetch("/api/passages").then((r) => r.json()); }); const clear = () => { ${more} };</script><p onclick={clear}>{rows.length}</p>`;

table(
  'two-truths',
  'react',
  [
    ['one request, two copies', `${reads('Bar')}${reads('Queue', 'setRows([]);')}${both}`, 'Queue /api/passages'],
    [
      'a key of the storage',
      `function Bar() { const [tone, setTone] = useState(localStorage.getItem('tone')); return <p>{tone}</p>; }\nfunction Queue() { const [tone, setTone] = useState(localStorage.getItem('tone')); return <p onClick={() => setTone('calm')}>{tone}</p>; }\n${both}`,
      'Queue tone',
    ],
    [
      'through a hook of the project',
      `function useRows() { const [rows, setRows] = useState([]); useEffect(() => { fetch('/api/passages').then((r) => r.json()).then(setRows); }, []); const clear = () => setRows([]); return { rows, clear }; }\nfunction Bar() { const { rows } = useRows(); return <p>{rows.length}</p>; }\nfunction Queue() { const { rows, clear } = useRows(); return <p onClick={clear}>{rows.length}</p>; }\n${both}`,
      'Queue /api/passages',
    ],
  ],
  [
    ['nobody changes a copy', `${reads('Bar')}${reads('Queue')}${both}`],
    ['other requests', `${reads('Bar')}${reads('Queue', 'setRows([]);', "'/api/keepers'")}${both}`],
    ['asked for by what is known only while running', `${reads('Bar', '', 'url')}${reads('Queue', 'setRows([]);', 'url')}${both}`],
    [
      'on two pages',
      `${reads('Bar')}${reads('Queue', 'setRows([]);')}import { Routes, Route } from 'react-router';\nexport function App() { return <Routes><Route path="/a" element={<Bar/>}/><Route path="/b" element={<Queue/>}/></Routes>; }`,
    ],
    [
      'one copy, given to both',
      `function Bar({ rows }) { return <p>{rows.length}</p>; }\nfunction Queue({ rows }) { return <p>{rows.length}</p>; }\nexport function App() { const [rows, setRows] = useState([]); useEffect(() => { fetch('/api/passages').then((r) => r.json()).then(setRows); }, []); return <><Bar rows={rows}/><Queue rows={rows}/></>; }`,
    ],
    [
      'a cache with one key',
      `function Bar() { const { data } = useQuery({ queryKey: ['passages'] }); return <p>{data}</p>; }\nfunction Queue() { const { data } = useQuery({ queryKey: ['passages'] }); return <p>{data}</p>; }\n${both}`,
    ],
  ],
);

table(
  'two-truths',
  'vue',
  [
    ['one request, two copies', { App: vueBoth, Bar: vueReads(), Queue: vueReads('rows.value = [];') }, 'Queue /api/passages'],
    ['the first changes it', { App: vueBoth, Bar: vueReads('rows.value = [];'), Queue: vueReads() }, 'Queue /api/passages'],
    ['both change it', { App: vueBoth, Bar: vueReads('rows.value = [];'), Queue: vueReads('rows.value = [];') }, 'Queue /api/passages'],
    [
      'asked for by a function of the project',
      {
        App: vueBoth,
        Bar: "<script>import { load } from './api'; export default { data: () => ({ rows: [] }), async created() { this.rows = await load('/passages'); } };</script><template><p>{{ rows.length }}</p></template>",
        Queue:
          "<script>import { load } from './api'; export default { data: () => ({ rows: [] }), async created() { this.rows = await load('/passages', { open: 1 }); }, methods: { clear() { this.rows = []; } } };</script><template><p @click=\"clear\">{{ rows.length }}</p></template>",
        'api.js': 'export const load = (path) => fetch(path).then((answer) => answer.json());',
      },
      'Queue /passages',
    ],
  ],
  [
    ['nobody changes a copy', { App: vueBoth, Bar: vueReads(), Queue: vueReads() }],
    ['one of it', { App: '<template><main><Queue/></main></template>', Queue: vueReads('rows.value = [];') }],
    ['other requests', { App: vueBoth, Bar: vueReads().replace('passages', 'keepers'), Queue: vueReads('rows.value = [];') }],
    ['the same part twice', { App: '<template><main><Queue/><Queue/></main></template>', Queue: vueReads('rows.value = [];') }],
    ['not asked for', { App: vueBoth, Bar: '<template><p/></template>', Queue: vueReads('rows.value = [];') }],
  ],
);

table(
  'two-truths',
  'svelte',
  [
    ['one request, two copies', { App: '<Bar/><Queue/>', Bar: svelteReads(), Queue: svelteReads('rows = [];') }, 'Queue /api/passages'],
    ['the first changes it', { App: '<Bar/><Queue/>', Bar: svelteReads('rows = [];'), Queue: svelteReads() }, 'Queue /api/passages'],
    [
      'deeper',
      { App: '<Bar/><Box/>', Box: '<div><Queue/></div>', Bar: svelteReads(), Queue: svelteReads('rows = [];') },
      'Queue /api/passages',
    ],
  ],
  [
    ['nobody changes a copy', { App: '<Bar/><Queue/>', Bar: svelteReads(), Queue: svelteReads() }],
    ['one of it', { App: '<Queue/>', Queue: svelteReads('rows = [];') }],
    ['other requests', { App: '<Bar/><Queue/>', Bar: svelteReads().replace('passages', 'keepers'), Queue: svelteReads('rows = [];') }],
    ['the same part twice', { App: '<Queue/><Queue/>', Queue: svelteReads('rows = [];') }],
    ['not asked for', { App: '<Bar/><Queue/>', Bar: '<p></p>', Queue: svelteReads('rows = [];') }],
  ],
);

const copied = (script: string): string =>
  `export function App() { const [visits, setVisits] = useState(['wren', 'tit']); ${script} return <p>{visits.length}{shown.join()}<b onClick={() => setVisits([...visits, 'wren'])}/></p>; }`;

table(
  'two-truths',
  'react',
  [
    [
      'a state copied into another, and both changed',
      copied(
        'const [shown, setShown] = useState(visits); const hide = () => setShown((all) => all.slice(1)); useEffect(() => { on(hide); }, []);',
      ),
      'App shown',
    ],
  ],
  [
    ['a copy that nobody changes', copied('const [shown] = useState(visits);')],
    [
      'a copy that is kept in step',
      copied('const [shown, setShown] = useState(visits); useEffect(() => { setShown(visits); }, [visits]);'),
    ],
    [
      'a draft, which goes back',
      copied(
        'const [shown, setShown] = useState(visits); const more = () => setShown([]); const keep = () => setVisits(shown); on(more, keep);',
      ),
    ],
    [
      'what is to differ by its name',
      copied('const [shown, draft] = [visits, 1]; const [draftVisits, setDraft] = useState(visits); on(() => setDraft([]), draftVisits);'),
    ],
  ],
);
