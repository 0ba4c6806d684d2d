import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { table, type Sources } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

table(
  'slot-nowhere',
  'react',
  [
    [
      'a declared contract without children',
      'function Panel({ a }: { a?: string }) { return <p>{a}</p>; }\nexport function App() { return <Panel><b/></Panel>; }',
      'App children',
    ],
    ['no contract at all', 'function Panel() { return <p/>; }\nexport function App() { return <Panel>text</Panel>; }', 'App children'],
    [
      'a list as content',
      'function Panel({ a }) { return <p>{a}</p>; }\nexport function App({ all }) { return <Panel>{all.map((one) => <b key={one}/>)}</Panel>; }',
      'App children',
    ],
  ],
  [
    ['rendered', 'function Panel({ children }) { return <p>{children}</p>; }\nexport function App() { return <Panel><b/></Panel>; }'],
    [
      'declared',
      'function Panel({ a }: { a?: string; children?: ReactNode }) { return <p>{a}</p>; }\nexport function App() { return <Panel><b/></Panel>; }',
    ],
    ['the props go on', 'function Panel(props) { return <Out {...props}/>; }\nexport function App() { return <Panel><b/></Panel>; }'],
    [
      'the rest goes on',
      'function Panel({ a, ...rest }) { return <p {...rest}/>; }\nexport function App() { return <Panel><b/></Panel>; }',
    ],
    ['nothing between the tags', 'function Panel() { return <p/>; }\nexport function App() { return <Panel>\n  </Panel>; }'],
    ['a wrapper that may use it', 'const Panel = withMore(() => <p/>);\nexport function App() { return <Panel><b/></Panel>; }'],
  ],
);
table(
  'slot-nowhere',
  'vue',
  [
    ['no slot', { App: '<template><Panel>text</Panel></template>', Panel: '<template><p/></template>' }, 'App children'],
    [
      'another name',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel: '<template><p><slot name="footer"/></p></template>',
      },
      'App #foot',
    ],
    [
      'only named ones',
      { App: '<template><Panel><b/></Panel></template>', Panel: '<template><p><slot name="footer"/></p></template>' },
      'App children',
    ],
  ],
  [
    ['the slot', { App: '<template><Panel>text</Panel></template>', Panel: '<template><p><slot/></p></template>' }],
    [
      'the named slot',
      { App: '<template><Panel><template #foot>x</template></Panel></template>', Panel: '<template><p><slot name="foot"/></p></template>' },
    ],
    [
      'a name that is computed',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel: '<script setup>defineProps(["n"]);</script><template><p><slot :name="n"/></p></template>',
      },
    ],
    [
      'all are handed on',
      {
        App: '<template><Panel><template #foot>x</template></Panel></template>',
        Panel:
          '<script setup>import Out from "out";</script><template><Out><template v-for="(_, n) in $slots" #[n]><slot :name="n"/></template></Out></template>',
      },
    ],
    [
      'a render function',
      {
        App: '<template><Panel>x</Panel></template>',
        'Panel.vue': '<script>import { h } from "vue"; export default { render() { return h("p", this.$slots.default()); } };</script>',
      },
    ],
    [
      'slots in the script',
      {
        App: '<template><Panel>x</Panel></template>',
        Panel:
          '<script setup>import { useSlots, h } from "vue"; const slots = useSlots(); const Inner = () => h("p", slots.default());</script><template><Inner/></template>',
      },
    ],
  ],
);
table(
  'slot-nowhere',
  'svelte',
  [
    ['no place for it', { App: '<Panel>text</Panel>', Panel: '<p></p>' }, 'App children'],
    ['other props only', { App: '<Panel><b></b></Panel>', Panel: '<script>let { a } = $props();</script><p>{a}</p>' }, 'App children'],
    [
      'only a named slot',
      { App: '<Panel><b></b></Panel>', Panel: '<script>export let a = 1;</script><p>{a}<slot name="foot"/></p>' },
      'App children',
    ],
  ],
  [
    ['children', { App: '<Panel>text</Panel>', Panel: '<script>let { children } = $props();</script><p>{@render children()}</p>' }],
    ['a slot', { App: '<Panel>text</Panel>', Panel: '<p><slot/></p>' }],
    [
      'the rest goes on',
      { App: '<Panel>text</Panel>', Panel: '<script>import Out from "out"; let { a, ...rest } = $props();</script><Out {a} {...rest}/>' },
    ],
    ['all props go on', { App: '<Panel>text</Panel>', Panel: '<script>import Out from "out";</script><Out {...$$props}/>' }],
    ['a part from outside', { App: '<script>import Out from "out";</script><Out>text</Out>', Panel: '<p></p>' }],
  ],
);

table(
  'component-unknown',
  'react',
  [
    ['not imported', 'export function App() { return <LevelGauge/>; }', 'App LevelGauge'],
    ['misspelt', 'function LevelGauge() { return <p/>; }\nexport function App() { return <LevelGuage/>; }', 'App LevelGuage'],
    ['a member of nothing', 'export function App() { return <Card.Head/>; }', 'App Card.Head'],
  ],
  [
    ['imported from outside', "import { LevelGauge } from 'out';\nexport function App() { return <LevelGauge/>; }"],
    ['imported from a file that is not there', "import { LevelGauge } from './gone';\nexport function App() { return <LevelGauge/>; }"],
    ['held by a prop', 'export function App({ as: Tag }) { return <Tag/>; }'],
    ['a variable', 'export function App({ a }) { const Tag = a ? One : Two; return <Tag/>; }'],
    ['of the module', 'const { LevelGauge } = parts;\nexport function App() { return <LevelGauge/>; }'],
    ['a custom element', 'export function App() { return <level-gauge/>; }'],
  ],
);
table(
  'component-unknown',
  'vue',
  [
    [
      'misspelt',
      { App: '<template><div><LevelGuage/><LevelGauge/></div></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGuage',
    ],
    [
      'misspelt in a list',
      { App: '<template><ul><li v-for="a in 3"><LevelGaug/></li><LevelGauge/></ul></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGaug',
    ],
    [
      'misspelt with hyphens',
      { App: '<template><div><LevelGauges/><LevelGauge/></div></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGauges',
    ],
  ],
  [
    ['imported', { App: '<template><LevelGauge/></template>', LevelGauge: '<template><p/></template>' }],
    ['may be registered elsewhere', { App: '<template><TideTable/></template>', LevelGauge: '<template><p/></template>' }],
    ['the framework’s own', { App: '<template><Transition><p/></Transition></template>', LevelGauge: '<template><p/></template>' }],
    ['the router’s', { App: '<template><RouterView/></template>', LevelGauge: '<template><p/></template>' }],
    [
      'of that very name, registered in a way that cannot be seen',
      {
        App: '<template><div><LevelGauges/></div></template>',
        LevelGauge: '<template><p/></template>',
        'LevelGauges.vue': '<template><p/></template>',
      },
    ],
    [
      'registered for all',
      {
        App: '<template><TideTables/></template>',
        'more.js': "import { createApp } from 'vue'; import T from './T.vue'; createApp({}).component('TideTables', T);",
        TideTable: '<template><p/></template>',
        'T.vue': '<template><p/></template>',
      },
    ],
  ],
);
table(
  'component-unknown',
  'svelte',
  [
    ['not imported', { App: '<TideTable/>', Panel: '<p></p>' }, 'App TideTable'],
    ['misspelt', { App: '<div><LevelGuage/><LevelGauge/></div>', LevelGauge: '<p></p>' }, 'App LevelGuage'],
    ['in a block', { App: '{#if true}<TideTable/>{/if}', Panel: '<p></p>' }, 'App TideTable'],
  ],
  [
    ['imported', { App: '<LevelGauge/>', LevelGauge: '<p></p>' }],
    ['held by a prop', { App: '<script>let { Tag } = $props();</script><Tag/>', Panel: '<p></p>' }],
    ['a variable', { App: '<script>import A from "a"; const Tag = $derived(A);</script><Tag/>', Panel: '<p></p>' }],
    ['from outside', { App: '<script>import Out from "out";</script><Out/>', Panel: '<p></p>' }],
    [
      'a block’s constant',
      { App: '<script>let { all } = $props();</script>{#each all as one}{@const Tag = one.tag}<Tag/>{/each}', Panel: '<p></p>' },
    ],
  ],
);

const vueApp = (script: string, markup: string): Sources => ({ App: `<script setup>${script}</script><template>${markup}</template>` });
const svelteApp = (script: string, markup: string): Sources => ({ App: `<script>${script}</script>${markup}` });
table(
  'name-unknown',
  'vue',
  [
    ['in a text', vueApp('const label = 1;', '<p>{{ lable }}</p>'), 'App lable'],
    ['in a condition', vueApp('const isOpen = 1;', '<p v-if="isOpne">{{ isOpen }}</p>'), 'App isOpne'],
    ['given to an element', vueApp('', '<p :title="caption"/>'), 'App caption'],
    ['called', vueApp('', '<p>{{ format(1) }}</p>'), 'App format'],
  ],
  [
    ['declared', vueApp('const label = 1;', '<p>{{ label }}</p>')],
    ['a prop', vueApp('defineProps(["label"]);', '<p>{{ label }}</p>')],
    ['of the list', vueApp('const all = [];', '<p v-for="(one, at) in all" :key="at">{{ one.a }}</p>')],
    [
      'of the slot',
      { App: '<template><Panel v-slot="{ row }">{{ row }}</Panel></template>', Panel: '<template><p><slot :row="1"/></p></template>' },
    ],
    ['the language’s', vueApp('', '<p>{{ Math.max(1, 2) }}{{ undefined }}</p>')],
    ['the framework’s', vueApp('', '<p>{{ $t("a") }}{{ $route.path }}</p>')],
    ['imported', vueApp('import { label } from "out";', '<p>{{ label }}</p>')],
    [
      'a mixin may have it',
      { 'App.vue': '<script>import m from "m"; export default { mixins: [m] };</script><template><p>{{ label }}</p></template>' },
    ],
    [
      'data of the options',
      {
        'App.vue':
          '<script>export default { data() { return { label: 1 }; }, computed: { more() { return 1; } } };</script><template><p>{{ label }}{{ more }}</p></template>',
      },
    ],
    ['a parameter', vueApp('const all = [];', '<p :title="all.map((one) => one.a).join()"/>')],
  ],
);
table(
  'name-unknown',
  'svelte',
  [
    ['in a text', svelteApp('const label = 1;', '<p>{lable}</p>'), 'App lable'],
    ['in a condition', svelteApp('let isOpen = $state(1);', '{#if isOpne}<p>{isOpen}</p>{/if}'), 'App isOpne'],
    ['given to a part', { App: '<Panel a={caption}/>', Panel: '<script>let { a } = $props();</script><p>{a}</p>' }, 'App caption'],
  ],
  [
    ['declared', svelteApp('const label = 1;', '<p>{label}</p>')],
    ['a prop', svelteApp('let { label } = $props();', '<p>{label}</p>')],
    ['of the list', svelteApp('let all = $state([]);', '{#each all as one, at (one.id)}<p>{one.a}{at}</p>{/each}')],
    ['a snippet and its parameter', svelteApp('', '{#snippet row(one)}<p>{one}</p>{/snippet}{@render row(1)}')],
    ['the platform’s', svelteApp('', '<p>{window.innerWidth}{Math.PI}{location.href}</p>')],
    ['a store', svelteApp('import { levels } from "./levels";', '<p>{$levels}</p>')],
    ['awaited', svelteApp('let { a } = $props();', '{#await a}<p/>{:then done}<p>{done}</p>{:catch error}<p>{error.message}</p>{/await}')],
    ['a reactive declaration', svelteApp('let a = 1; $: double = a * 2;', '<p>{double}</p>')],
    ['of the module', { App: '<script module>const label = 1;</script><p>{label}</p>' }],
  ],
);
table(
  'handler-missing',
  'vue',
  [
    ['by name', vueApp('const clearAll = () => 1;', '<p @click="clearAl">{{ clearAll }}</p>'), 'App clearAl'],
    ['called', vueApp('', '<p @click="clear(1)"/>'), 'App clear'],
    [
      'on a part',
      {
        App: '<template><Panel @go="leave"/></template>',
        Panel: '<script setup>const emit = defineEmits(["go"]);</script><template><p @click="emit(\'go\')"/></template>',
      },
      'App leave',
    ],
  ],
  [
    ['declared', vueApp('const clear = () => 1;', '<p @click="clear"/>')],
    ['imported', vueApp('import { clear } from "./clear";', '<p @click="clear"/>')],
    ['a method', { 'App.vue': '<script>export default { methods: { clear() {} } };</script><template><p @click="clear"/></template>' }],
    ['the event', vueApp('const go = () => 1;', '<p @click="go($event)"/>')],
    ['in place', vueApp('import { ref } from "vue"; const a = ref(1);', '<p @click="a++"/>')],
    ['what is caught', vueApp('const go = () => 1;', '<p @click="() => { try { go(); } catch (e) { console.log(e); } }"/>')],
  ],
);
table(
  'handler-missing',
  'svelte',
  [
    ['by name', svelteApp('const clearAll = () => 1;', '<p onclick={clearAl}>{clearAll}</p>'), 'App clearAl'],
    ['the older form', svelteApp('', '<p on:click={clear}/>'), 'App clear'],
    [
      'on a part',
      { App: '<Panel ongo={leave}/>', Panel: '<script>let { ongo } = $props();</script><button onclick={ongo}>x</button>' },
      'App leave',
    ],
  ],
  [
    ['declared', svelteApp('const clear = () => 1;', '<p onclick={clear}/>')],
    ['imported', svelteApp('import { clear } from "./clear";', '<p onclick={clear}/>')],
    ['a prop', svelteApp('let { onclear } = $props();', '<p onclick={onclear}/>')],
    ['forwarded', svelteApp('', '<p on:click/>')],
    ['the platform’s', svelteApp('', '<p onclick={print}/>')],
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
  'context-unread',
  'react',
  [
    [
      'nobody takes it',
      'const Tide = createContext(null);\nfunction Part() { return <p/>; }\nexport function App() { return <Tide.Provider value={1}><Part/></Tide.Provider>; }',
      'App Tide',
    ],
    ['the newer form', 'const Tide = createContext(null);\nexport function App() { return <Tide value={1}><p/></Tide>; }', 'App Tide'],
    [
      'deeper',
      'const Tide = createContext(null);\nfunction Mid() { return <Tide value={1}><p/></Tide>; }\nexport function App() { return <Mid/>; }',
      'Mid Tide',
    ],
  ],
  [
    [
      'taken',
      'const Tide = createContext(null);\nfunction Part() { const t = useContext(Tide); return <p>{t}</p>; }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
    [
      'taken by a hook',
      'const Tide = createContext(null);\nfunction useTide() { return useContext(Tide); }\nfunction Part() { const t = useTide(); return <p>{t}</p>; }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
    [
      'taken by markup',
      'const Tide = createContext(null);\nfunction Part() { return <Tide.Consumer>{(t) => <p>{t}</p>}</Tide.Consumer>; }\nexport function App() { return <Tide.Provider value={1}><Part/></Tide.Provider>; }',
    ],
    ['from outside', "import { Tide } from 'out';\nexport function App() { return <Tide.Provider value={1}><p/></Tide.Provider>; }"],
    [
      'taken by a class',
      'const Tide = createContext(null);\nclass Part extends Component { static contextType = Tide; render() { return <p>{this.context}</p>; } }\nexport function App() { return <Tide value={1}><Part/></Tide>; }',
    ],
  ],
);

const button = (handler: string, given: string): string =>
  `export function App() { const [open, setOpen] = useState(false); ${handler} return <p onClick={${given}}>{open}</p>; }`;
table(
  'handler-missing',
  'react',
  [
    ['a function of the component is called', button('function close() { setOpen(false); }', 'close()'), 'App close'],
    ['with what it needs', button('const close = (row) => { setOpen(row); };', 'close(1)'), 'App close'],
    ['a setter is called', button('', 'setOpen(true)'), 'App setOpen'],
    ['a function of the module', `function close() { location.reload(); }\n${button('', 'close()')}`, 'App close'],
  ],
  [
    ['handed over', button('function close() { setOpen(false); }', 'close')],
    ['in a function', button('function close() { setOpen(false); }', '() => close()')],
    ['it gives a function', button('function closer(row) { return () => setOpen(row); }', 'closer(1)')],
    ['it may give a function', button('const closer = (row) => bind(row);', 'closer(1)')],
    ['bound', button('function close() { setOpen(false); }', 'close.bind(null)')],
    ['from outside', `import { close } from 'out';\n${button('', 'close()')}`],
    ['for what is no event', 'function size() { }\nexport function App() { return <p title={size()}/>; }'],
  ],
);

table(
  'handler-missing',
  'svelte',
  [
    ['called', { App: '<script>function close() { location.reload(); }</script><p onclick={close()}></p>' }, 'App close'],
    ['called, the older way', { App: '<script>function close() { location.reload(); }</script><p on:click={close()}></p>' }, 'App close'],
    [
      'with what it needs',
      { App: '<script>const close = (row) => { location.assign(row); };</script><p onclick={close(1)}></p>' },
      'App close',
    ],
  ],
  [
    ['handed over', { App: '<script>function close() { location.reload(); }</script><p onclick={close}></p>' }],
    ['in a function', { App: '<script>function close() { location.reload(); }</script><p onclick={() => close()}></p>' }],
    [
      'it gives a function',
      { App: '<script>function closer(row) { return () => location.assign(row); }</script><p onclick={closer(1)}></p>' },
    ],
    ['from outside', { App: '<script>import { close } from "out";</script><p onclick={close()}></p>' }],
    [
      'it may give a function',
      { App: '<script>import { bind } from "out"; const closer = (row) => bind(row);</script><p onclick={closer(1)}></p>' },
    ],
  ],
);

const counts = (statement: string): string =>
  `export function App({ row }) { const [n, setN] = useState(0); ${statement} return <p>{n}</p>; }`;
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

const rune = (effect: string): Sources => ({
  App: `<script>let n = $state(0); let other = $state(0); ${effect}</script><p onclick={() => { other = 1; }}>{n}</p>`,
});
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
