import { beforeAll } from 'vitest';
import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** A component with a state that an effect sets, under what the effect follows. */
const follows = (set: string, list: string, before = ''): string =>
  `function fresh() { return [1]; }\nfunction same(n: number) { return n; }\nexport function App() { const [rows, setRows] = useState<any>([]); ${before} useEffect(() => { setRows(${set}); }, [${list}]); return <p>{rows}</p>; }`;

const withDefault = (use: string): string =>
  `function Chart({ opts = {} }: { opts?: object }) { const [n, setN] = useState(0); useEffect(() => { setN((one) => one + 1); }, [opts]); return <p>{n}</p>; }\nconst given = {};\nexport function App() { return ${use}; }`;

table(
  'endless-render',
  'react',
  [
    [
      'a list made by a function, for an object that is another each time',
      follows('fresh()', 'ask', 'const ask = { late: true };'),
      'App rows',
    ],
    ['a list made by a method', follows('[1, 2].map(String)', 'ask', 'const ask = { late: true };'), 'App rows'],
    ['a default that is another each time, where nothing is given', withDefault('<Chart/>'), 'Chart n'],
  ],
  [
    ['what may be the same', follows('same(1)', 'ask', 'const ask = { late: true };')],
    ['what it follows stays', follows('fresh()', 'ask', 'const [ask] = useState({ late: true });')],
    ['something is given for the default', withDefault('<Chart opts={given}/>')],
  ],
);

const part = (effect: string): string =>
  `function Part() { const [w, set] = useState(0); useEffect(() => { const measure = () => set(1); window.addEventListener('resize', measure); ${effect} }, []); return <p>{w}</p>; }\nexport function App() { return <Part/>; }`;

table(
  'subscription-kept',
  'react',
  [
    [
      'another function is taken away',
      part("return () => window.removeEventListener('resize', () => measure());"),
      'Part resize of the window',
    ],
  ],
  [
    ['the same function is taken away', part("return () => window.removeEventListener('resize', measure);")],
    [
      'of another event another function',
      part("return () => { window.removeEventListener('resize', measure); window.removeEventListener('scroll', () => measure()); };"),
    ],
  ],
);

const vue = (script: string, markup: string): Sources => ({ App: `<script setup>${script}</script><template>${markup}</template>` });

table(
  'change-unseen',
  'vue',
  [
    [
      'a variable that was taken out of what is followed, and is written to',
      vue(
        "import { reactive } from 'vue'; const all = reactive({ open: false }); let { open } = all; const go = () => { open = !open; };",
        '<p @click="go">{{ open }}</p>',
      ),
      'App open',
    ],
  ],
  [
    [
      'the object itself is written to',
      vue(
        "import { reactive } from 'vue'; const all = reactive({ open: false }); const go = () => { all.open = !all.open; };",
        '<p @click="go">{{ all.open }}</p>',
      ),
    ],
  ],
);

const watched = (source: string): Sources =>
  vue(
    `import { ref, watch } from 'vue'; const form = ref({ name: '', rows: [] }); const n = ref(0); watch(${source}, () => { n.value++; });`,
    '<input v-model="form.name"><p>{{ n }}</p>',
  );

table(
  'stale-reading',
  'vue',
  [['a text of what is followed is watched as it is', watched('form.value.name'), 'App form']],
  [
    ['a function that gives it', watched('() => form.value.name')],
    ['a list of it', watched('form.value.rows')],
    ['all of it', watched('form')],
  ],
);
