import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const counts = (statement: string): string =>
  `export function App({ row }) { const [n, setN] = useState(0); ${statement} return <p>{n}</p>; }`;

const rune = (effect: string): Sources => ({
  App: `<script>let n = $state(0); let other = $state(0); ${effect}</script><p onclick={() => { other = 1; }}>{n}</p>`,
});

table(
  'endless-render',
  'vue',
  [
    [
      'by a watcher of a count that sets it to one more',
      { App: `${setup('const n = ref(0); watch(n, (now) => { n.value = now + 1; });')}<template><p @click="n++">{{ n }}</p></template>` },
      'App n',
    ],
    [
      'by a function that the markup calls',
      { App: `${setup('const n = ref(0); function label() { n.value += 1; return n.value; }')}<template><p>{{ label() }}</p></template>` },
      'App n',
    ],
    ['itself', { App: `${setup('')}<template><main><Row/></main></template>`, Row: '<template><p><Row/></p></template>' }, 'Row Row'],
    [
      'each other',
      {
        App: `${setup('')}<template><main><A/></main></template>`,
        A: `${setup('')}<template><p><B/></p></template>`,
        B: `${setup('')}<template><p><A/></p></template>`,
      },
      'A A',
    ],
    [
      'with a prop',
      {
        App: `${setup('')}<template><main><Row a="1"/></main></template>`,
        Row: `${setup('defineProps({ a: String });')}<template><p>{{ a }}<Row :a="a"/></p></template>`,
      },
      'Row Row',
    ],
  ],
  [
    [
      'by a function that the markup calls under a condition, that sets another value only at times, or the same one each time',
      {
        App: `${setup('const n = ref(0); const m = ref(0); const label = () => { n.value++; return 1; }; function once() { if (m.value === 0) m.value += 1; return m.value; } function same() { m.value = 3; return m.value; }')}<template><p><i v-if="n < 3">{{ label() }}</i>{{ once() }}{{ same() }}</p></template>`,
      },
    ],
    [
      'by a function that the markup hands on',
      { App: `${setup('const n = ref(0); function more() { n.value += 1; }')}<template><p @click="more()">{{ n }}</p></template>` },
    ],
    [
      'by a watcher that makes a text of a count',
      { App: `${setup("const n = ref(0); watch(n, (now) => { n.value = now + ''; });")}<template><p @click="n++">{{ n }}</p></template>` },
    ],
    [
      'by a watcher that sets the count to a number, or another one to one more',
      {
        App: `${setup('const n = ref(0); const m = ref(0); watch(n, (now) => { n.value = 3; m.value = now + 1; });')}<template><p @click="n++">{{ n }}{{ m }}</p></template>`,
      },
    ],
    [
      'under a condition',
      {
        App: `${setup('')}<template><main><Row/></main></template>`,
        Row: `${setup('const more = load();')}<template><p><Row v-if="more"/></p></template>`,
      },
    ],
    [
      'in a list',
      {
        App: `${setup('')}<template><main><Row :all="[]"/></main></template>`,
        Row: `${setup('defineProps({ all: Array });')}<template><p><Row v-for="one in all" :key="one" :all="one"/></p></template>`,
      },
    ],
    ['as content', { App: `${setup('')}<template><main><Row><Row/></Row></main></template>`, Row: '<template><p><slot/></p></template>' }],
    [
      'in a slot’s fallback',
      { App: `${setup('')}<template><main><Row>a</Row></main></template>`, Row: '<template><p><slot/></p></template>' },
    ],
    ['another of the same name', { App: `${setup("import Row from 'rows';")}<template><main><Row/></main></template>` }],
  ],
);

table(
  'endless-render',
  'react',
  [
    [
      'itself',
      'function Thread({ talk }) { return <div><Thread talk={talk.reply}/></div>; }\nexport function App() { return <Thread talk={1}/>; }',
      'Thread Thread',
    ],
    ['by another', 'function A() { return <B/>; }\nfunction B() { return <p><A/></p>; }\nexport function App() { return <A/>; }', 'A A'],
    ['as content of an element', 'function A() { return <ul><li><A/></li></ul>; }\nexport function App() { return <A/>; }', 'A A'],
  ],
  [
    [
      'under a condition',
      'function Thread({ talk }) { return <div>{talk.reply && <Thread talk={talk.reply}/>}</div>; }\nexport function App() { return <Thread talk={1}/>; }',
    ],
    [
      'in a list',
      'function Thread({ all }) { return <ul>{all.map((one) => <Thread key={one} all={one}/>)}</ul>; }\nexport function App() { return <Thread all={[]}/>; }',
    ],
    [
      'after an early return',
      'function Thread({ talk }) { if (!talk) return null; return <div><Thread talk={talk.reply}/></div>; }\nexport function App() { return <Thread talk={1}/>; }',
    ],
    [
      'in a variable under a condition',
      'function Thread({ talk }) { let more; if (talk) more = <Thread talk={talk.reply}/>; return <div>{more}</div>; }\nexport function App() { return <Thread talk={1}/>; }',
    ],
    [
      'as content that another may leave out',
      'function Thread({ talk }) { return <Out><Thread talk={talk.reply}/></Out>; }\nexport function App() { return <Thread talk={1}/>; }',
    ],
  ],
);

table(
  'endless-render',
  'react',
  [
    ['set while rendering', counts('setN(1);'), 'App n'],
    ['in an effect that runs each time', counts('useEffect(() => { setN(n + 1); });'), 'App n'],
    ['to a new list', counts('useEffect(() => { setN([row]); });'), 'App n'],
    ['from what it was', counts('useEffect(() => { setN((was) => was + 1); });'), 'App n'],
  ],
  [
    ['the guarded form', counts('const [was, setWas] = useState(row); if (was !== row) { setWas(row); setN(0); }')],
    ['an effect with a list', counts('useEffect(() => { setN(n + 1); }, [row]);')],
    ['to the same value', counts('useEffect(() => { setN(row.length); });')],
    ['under a condition', counts('useEffect(() => { if (row) setN([row]); });')],
    ['after an early return', counts('if (!row) return null; setN(1);')],
    ['in a handler', counts('const go = () => { setN(n + 1); };')],
  ],
);

table(
  'endless-render',
  'svelte',
  [
    ['an effect that counts up', rune('$effect(() => { n++; });'), 'App n'],
    ['from what it was', rune('$effect(() => { n = n + 1; });'), 'App n'],
    ['added', rune('$effect(() => { n += other; });'), 'App n'],
  ],
  [
    ['to something else', rune('$effect(() => { n = other; });')],
    ['under a condition', rune('$effect(() => { if (n < 3) n++; });')],
    ['not followed', rune('$effect(() => { untrack(() => { n++; }); });')],
    ['in a handler', rune('const go = () => { n++; };')],
    ['derived', rune('let twice = $derived(n * 2);')],
  ],
);
