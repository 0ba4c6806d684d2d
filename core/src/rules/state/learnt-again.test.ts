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

const timed = (list: string): string =>
  `function useTick(run: () => void) { useEffect(() => { const id = setInterval(run, 500); return () => clearInterval(id); }, [${list}]); }\nexport function App() { const [step, setStep] = useState(1); const [n, setN] = useState(0); useTick(() => setN((one) => one + step)); return <p onClick={() => setStep(step + 1)}>{n}</p>; }`;

table(
  'stale-reading',
  'react',
  [['a function that a hook hands to a timer as it was at first', timed(''), 'App run']],
  [['the hook follows the function', timed('run')]],
);

const asking = (change: string): string =>
  `function Count() { const [n, setN] = useState(0); useEffect(() => { fetch('/api/boats').then((r) => r.json()).then((all) => setN(all.length)); }, []); return <b>{n}</b>; }\nfunction List() { const [rows, setRows] = useState<any[]>([]); useEffect(() => { fetch('/api/boats').then((r) => r.json()).then(setRows); }, []); ${change} return <ul onClick={add}>{rows.map((r) => <li key={r.id}>{r.id}</li>)}</ul>; }\nexport function App() { return <div><Count/><List/></div>; }`;

table(
  'two-truths',
  'react',
  [
    [
      'one puts what it is answered beside what it had',
      asking("const add = () => fetch('/api/boats', { method: 'POST' }).then((r) => r.json()).then((one) => setRows([...rows, one]));"),
      'List /api/boats',
    ],
  ],
  [['both only ask', asking('const add = () => 1;')]],
);

const kept = (taking: string): Sources => ({
  App: `<script setup>import { storeToRefs } from 'pinia'; import { useCounter } from './counter'; const store = useCounter(); ${taking}</script><template><button @click="store.add()">{{ count }}</button></template>`,
  'counter.js':
    "import { defineStore } from 'pinia'; export const useCounter = defineStore('counter', { state: () => ({ count: 0 }), actions: { add() { this.count++; } } });",
});

table(
  'change-unseen',
  'vue',
  [['a member that is taken out of a store by its name', kept('const { count } = store;'), 'App count']],
  [['a member that is taken out as one that is followed', kept('const { count } = storeToRefs(store);')]],
);

const element = (add: string, use = ''): Sources => ({
  'package.json': '{}',
  'index.html': `<!doctype html><html><head><script type="module" src="/src/main.js"></script></head><body><x-app></x-app>${use}</body></html>`,
  'src/main.js': `import { LitElement, html } from 'lit';\nclass XApp extends LitElement { static properties = { rows: { type: Array } }; constructor() { super(); this.rows = []; } add() { ${add} } render() { return html\`<button @click=\${this.add}>\${this.rows.length}</button>\`; } }\ncustomElements.define('x-app', XApp);`,
});

table(
  'change-unseen',
  'vue',
  [['the inside of a property that an element begins itself', element('this.rows.push(1);'), 'XApp rows']],
  [
    ['another list is put in its place', element('this.rows = [...this.rows, 1];')],
    ['it is given from outside', element('this.rows.push(1);', '<x-app rows="[1]"></x-app>')],
  ],
);

/** An element that shows a field which nothing in it declares. */
const extending = (base: string): Sources => ({
  'package.json': '{}',
  'index.html': '<!doctype html><html><head><script type="module" src="/src/main.js"></script></head><body><x-app></x-app></body></html>',
  'src/main.js': `import { LitElement, html } from 'lit';\nimport { inputMixin } from 'out';\nclass XApp extends ${base} { render() { return html\`<button @click=\${() => { this.focused = true; }}>\${this.focused}</button>\`; } }\ncustomElements.define('x-app', XApp);`,
});

table(
  'change-unseen',
  'vue',
  [['a field of an element that nothing declares', extending('LitElement'), 'XApp focused']],
  [['a field that what it extends may declare', extending('inputMixin(LitElement)')]],
);

const data = (given: string, shown: string): Sources => ({
  App: `<script>const first = { open: false }; export default { data: ${given} };</script><template><p @click="open = true">{{ ${shown} }}</p></template>`,
});

table(
  'name-unknown',
  'vue',
  [['a name that the data has not', data('() => ({ open: false })', 'shut'), 'App shut']],
  [
    [
      'most of what it reads, which something that cannot be seen gives',
      {
        App: '<script>export default { data: () => ({ merge: true }) };</script><template><p :id="fieldId" :class="classes">{{ text }}{{ hint }}{{ rows }}{{ attrs }}</p></template>',
      },
    ],
    ['data that the module declares', data('() => first', 'open')],
    ['data that a function makes', data('() => make()', 'shut')],
    ['data with more than the text tells', data('() => ({ ...make(), open: false })', 'shut')],
  ],
);
