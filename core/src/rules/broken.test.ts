import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../read';
import { analyseFiles, type Files, findingLines } from '../testing/project';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** A small application: in React one file, in Vue and Svelte its components by name; `App` is the first. */
type Sources = string | Readonly<Record<string, string>>;

const mounts = {
  react: { 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" },
  vue: { 'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');" },
  svelte: { 'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });" },
} as const;
type Framework = keyof typeof mounts;

/** `App` gets the imports of the other components, so that a case says only what it is about. */
function filesOf(framework: Framework, sources: Sources): Files {
  if (typeof sources === 'string') return { ...mounts[framework], 'src/App.tsx': sources };
  const others = Object.keys(sources).filter((name) => name !== 'App' && !name.includes('.'));
  const entries = Object.entries(sources).map(([name, text]) => {
    if (name.includes('.')) return [`src/${name}`, text];
    const imports = others
      .filter((one) => one !== name && text.includes(`<${one}`))
      .map((one) => `import ${one} from './${one}.${framework}';`);
    const lang = framework === 'vue' ? '<script setup>' : '<script>';
    const given =
      imports.length > 0
        ? text.includes(lang)
          ? text.replace(lang, `${lang}${imports.join(' ')}\n`)
          : `${lang}${imports.join(' ')}</script>${text}`
        : text;
    return [`src/${name}.${framework}`, given];
  });
  return { ...mounts[framework], ...Object.fromEntries(entries) };
}

type Fires = readonly (readonly [name: string, sources: Sources, found: string])[];
type Silent = readonly (readonly [name: string, sources: Sources])[];

/** Cases in which a rule must find just one thing, named; and cases in which it must stay silent. */
function table(rule: string, framework: Framework, fires: Fires, silent: Silent): void {
  const found = (sources: Sources): string[] =>
    findingLines(analyseFiles(filesOf(framework, sources)).findings).filter((line) => line.startsWith(`${rule} `));
  describe(`${rule}, ${framework}`, () => {
    test.each(fires)('fires: %s', (_, sources, expected) => expect(found(sources)).toEqual([`${rule} ${expected}`]));
    test.each(silent)('stays silent: %s', (_, sources) => expect(found(sources)).toEqual([]));
  });
}

const pill = (body: string, type = '{ onClear?: () => void; tone?: string }'): string =>
  `function Pill({ onClear, tone }: ${type}) { ${body} }\n`;
const usePill = 'export function App() { return <Pill onClear={() => location.reload()}/>; }';

table(
  'event-never-raised',
  'react',
  [
    ['declared, taken and never called', `${pill('return <p>{tone}</p>;')}${usePill}`, 'App onClear'],
    [
      'declared and not even taken',
      `function Pill({ tone }: { tone?: string; onClear: () => void }) { return <p>{tone}</p>; }\n${usePill}`,
      'App onClear',
    ],
    ['through memo', `const Pill = memo(({ tone }: { tone?: string; onClear?: () => void }) => <p>{tone}</p>);\n${usePill}`, 'App onClear'],
  ],
  [
    ['called', `${pill('return <p onClick={() => onClear?.()}>{tone}</p>;')}${usePill}`],
    ['handed to an element', `${pill('return <p onClick={onClear}>{tone}</p>;')}${usePill}`],
    ['handed to a part', `${pill('return <Out on={onClear}/>;')}${usePill}`],
    ['called in an effect', `${pill('useEffect(() => { onClear?.(); }, [onClear]); return <p/>;')}${usePill}`],
    [
      'the rest goes on',
      `function Pill({ tone, ...rest }: { tone?: string; onClear?: () => void }) { return <Out {...rest}/>; }\n${usePill}`,
    ],
    ['the props as a whole', `function Pill(props: { onClear?: () => void }) { return <Out {...props}/>; }\n${usePill}`],
    ['handed to a hook', `${pill('useClearing(onClear); return <p/>;')}${usePill}`],
  ],
);

table(
  'event-never-raised',
  'vue',
  [
    [
      'not among its events',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/><b/></template>',
      },
      'App @vanish',
    ],
    [
      'not among its events, one root',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/></template>',
      },
      'App @vanish',
    ],
    [
      'several roots let nothing through',
      { App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>', Pill: '<template><p/><b/></template>' },
      'App @click',
    ],
  ],
  [
    [
      'declared and raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/></template>',
      },
    ],
    [
      'hyphens',
      {
        App: '<template><Pill @clear-all="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clearAll"]);</script><template><p @click="emit(\'clearAll\')"/></template>',
      },
    ],
    [
      'native, to the one root',
      { App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>', Pill: '<template><p/></template>' },
    ],
    [
      'a declared prop of that name',
      {
        App: '<template><Pill @open="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const { onOpen } = defineProps(["onOpen"]);</script><template><p @click="onOpen()"/><b/></template>',
      },
    ],
    [
      'emit is handed on',
      {
        App: '<template><Pill @cleared="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>import { useIt } from "out"; const emit = defineEmits(["clear"]); useIt(emit);</script><template><p/></template>',
      },
    ],
    [
      'the root is a part from outside',
      {
        App: '<template><Pill @cleared="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>import Out from "out";</script><template><Out/></template>',
      },
    ],
  ],
);

table(
  'event-never-raised',
  'svelte',
  [
    [
      'an older listener onto a callback',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>let { onclear } = $props();</script><button onclick={onclear}>x</button>',
      },
      'App on:clear',
    ],
    [
      'not dispatched',
      {
        App: '<script>const go = () => 1;</script><Pill on:cleared={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; const dispatch = createEventDispatcher();</script><button on:click={() => dispatch("clear")}>x</button>',
      },
      'App on:cleared',
    ],
    [
      'native and not forwarded',
      {
        App: '<script>const go = () => 1;</script><Pill on:click={go}/>',
        Pill: '<script>export let tone = "";</script><button>{tone}</button>',
      },
      'App on:click',
    ],
  ],
  [
    [
      'dispatched',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; const dispatch = createEventDispatcher();</script><button on:click={() => dispatch("clear")}>x</button>',
      },
    ],
    ['forwarded', { App: '<script>const go = () => 1;</script><Pill on:click={go}/>', Pill: '<button on:click>x</button>' }],
    [
      'a callback',
      {
        App: '<script>const go = () => 1;</script><Pill onclear={go}/>',
        Pill: '<script>let { onclear } = $props();</script><button onclick={onclear}>x</button>',
      },
    ],
    [
      'the dispatcher is handed on',
      {
        App: '<script>const go = () => 1;</script><Pill on:clear={go}/>',
        Pill: '<script>import { createEventDispatcher } from "svelte"; import { useIt } from "out"; const dispatch = createEventDispatcher(); useIt(dispatch);</script><p/>',
      },
    ],
    ['a part from outside', { App: '<script>import Out from "out"; const go = () => 1;</script><Out on:clear={go}/>', Pill: '<p/>' }],
  ],
);

const field = (given: string): string =>
  `export function App() { const [a, setA] = useState(''); const ref = useRef(null); return <form>${given}<p onClick={() => setA('')}/></form>; }`;
table(
  'two-way-half',
  'react',
  [
    ['a text field', field('<input value={a}/>'), 'App value'],
    ['a box to tick', field('<input type="checkbox" checked={a}/>'), 'App checked'],
    ['a list', field('<select value={a}><option/></select>'), 'App value'],
    ['a text area', field('<textarea value={a}/>'), 'App value'],
  ],
  [
    ['with its change', field('<input value={a} onChange={(e) => setA(e.target.value)}/>')],
    ['only read', field('<input value={a} readOnly/>')],
    ['switched off', field('<input value={a} disabled/>')],
    ['hidden', field('<input type="hidden" value={a}/>')],
    ['a radio button’s own value', field('<input type="radio" value={a}/>')],
    ['a type that is not seen', field('<input type={a} value={a}/>')],
    ['a spread that may hold it', field('<input {...out} value={a}/>')],
    ['its first value', field('<input defaultValue={a}/>')],
    ['an older event', field('<input value={a} onInput={(e) => setA(e.target.value)}/>')],
  ],
);
table(
  'two-way-half',
  'vue',
  [
    [
      'the value alone',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<script setup>defineProps(["modelValue"]);</script><template><p>{{ modelValue }}</p></template>',
      },
      'App modelValue',
    ],
    [
      'the change alone',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model:open="a"/></template>',
        Field:
          '<script setup>const emit = defineEmits(["update:open"]);</script><template><p @click="emit(\'update:open\', 1)"/></template>',
      },
      'App open',
    ],
    [
      'neither',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<template><p/></template>',
      },
      'App modelValue',
    ],
  ],
  [
    [
      'a model',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field: '<script setup>const value = defineModel();</script><template><input v-model="value"></template>',
      },
    ],
    [
      'both halves by hand',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field v-model="a"/></template>',
        Field:
          '<script setup>defineProps(["modelValue"]); const emit = defineEmits(["update:modelValue"]);</script><template><p @click="emit(\'update:modelValue\', 1)"/></template>',
      },
    ],
    [
      'one way only',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Field :model-value="a"/></template>',
        Field: '<script setup>defineProps(["modelValue"]);</script><template><p>{{ modelValue }}</p></template>',
      },
    ],
    [
      'an element',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><input v-model="a"></template>',
        Field: '<p/>',
      },
    ],
    [
      'a part from outside',
      {
        App: '<script setup>import { ref } from "vue"; import Out from "out"; const a = ref("");</script><template><Out v-model="a"/></template>',
        Field: '<p/>',
      },
    ],
    [
      'it goes on to a part that has both',
      {
        App: '<script setup>import { ref } from "vue"; const a = ref("");</script><template><Wrap v-model="a"/></template>',
        Wrap: '<template><Field/></template>',
        Field: '<script setup>const value = defineModel();</script><template><input v-model="value"></template>',
      },
    ],
  ],
);
table(
  'two-way-half',
  'svelte',
  [
    [
      'not bindable',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value } = $props();</script><p>{value}</p>',
      },
      'App value',
    ],
    [
      'not bindable, with a default',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value = "" } = $props();</script><p>{value}</p>',
      },
      'App value',
    ],
    [
      'not bindable, deeper',
      {
        App: '<Wrap/>',
        Wrap: '<script>let a = $state({ b: 1 });</script><Field bind:open={a.b}/>',
        Field: '<script>let { open, tone } = $props();</script><p>{open}{tone}</p>',
      },
      'Wrap open',
    ],
  ],
  [
    [
      'bindable',
      {
        App: '<script>let a = $state("");</script><Field bind:value={a}/>',
        Field: '<script>let { value = $bindable() } = $props();</script><input bind:value/>',
      },
    ],
    [
      'an older prop',
      { App: '<script>let a = "";</script><Field bind:value={a}/>', Field: '<script>export let value;</script><p>{value}</p>' },
    ],
    ['an element', { App: '<script>let a = $state("");</script><input bind:value={a}/>', Field: '<p/>' }],
    ['a part from outside', { App: '<script>import Out from "out"; let a = $state("");</script><Out bind:value={a}/>', Field: '<p/>' }],
    [
      'one way only',
      { App: '<script>let a = $state("");</script><Field value={a}/>', Field: '<script>let { value } = $props();</script><p>{value}</p>' },
    ],
  ],
);

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

const listState = 'const [notes, setNotes] = useState([]);';
table(
  'change-unseen',
  'react',
  [
    ['pushed', `export function App() { ${listState} return <p onClick={() => { notes.push(1); }}>{notes.length}</p>; }`, 'App notes'],
    [
      'a member assigned',
      `export function App() { const [note, setNote] = useState({ a: 1 }); const put = () => { note.a = 2; }; return <p onClick={put}>{note.a}</p>; }`,
      'App note',
    ],
    [
      'sorted in place',
      `export function App() { ${listState} return <p onClick={() => { notes.sort(); }}>{notes.length}</p>; }`,
      'App notes',
    ],
  ],
  [
    ['set anew', `export function App() { ${listState} return <p onClick={() => setNotes([...notes, 1])}>{notes.length}</p>; }`],
    [
      'and set afterwards',
      `export function App() { ${listState} return <p onClick={() => { notes.push(1); setNotes([...notes]); }}>{notes.length}</p>; }`,
    ],
    [
      'a copy',
      `export function App() { ${listState} return <p onClick={() => { const next = [...notes]; next.push(1); setNotes(next); }}>{notes.length}</p>; }`,
    ],
    ['a ref', 'export function App() { const notes = useRef([]); return <p onClick={() => { notes.current.push(1); }}/>; }'],
    [
      'a copy that is sorted',
      `export function App() { ${listState} return <p onClick={() => setNotes([...notes].sort())}>{notes.length}</p>; }`,
    ],
    ['only read', `export function App() { ${listState} return <p onClick={() => print(notes.map((one) => one))}>{notes.length}</p>; }`],
    [
      'set by a function that it calls',
      `export function App() { ${listState} const show = () => setNotes([...notes]); return <p onClick={() => { notes.push(1); show(); }}>{notes.length}</p>; }`,
    ],
  ],
);

const stateA = 'const [a, setA] = useState(1);';
table(
  'stale-reading',
  'react',
  [
    ['an effect', `export function App() { ${stateA} useEffect(() => { print(a); }, []); return <p onClick={() => setA(2)}/>; }`, 'App a'],
    [
      'a callback',
      `export function App() { ${stateA} const save = useCallback(() => print(a), []); return <p onClick={() => { setA(2); save(); }}/>; }`,
      'App a',
    ],
    [
      'a prop that changes',
      `function Part({ a }) { useEffect(() => { print(a); }, []); return <p/>; }\nexport function App() { ${stateA} return <b onClick={() => setA(2)}><Part a={a}/></b>; }`,
      'Part a',
    ],
  ],
  [
    ['followed', `export function App() { ${stateA} useEffect(() => { print(a); }, [a]); return <p onClick={() => setA(2)}/>; }`],
    ['no list at all', `export function App() { ${stateA} useEffect(() => { print(a); }); return <p onClick={() => setA(2)}/>; }`],
    ['the setter', `export function App() { ${stateA} useEffect(() => { setA(2); }, []); return <p>{a}</p>; }`],
    [
      'the setter’s own latest value',
      `export function App() { ${stateA} useEffect(() => { setA((before) => before + 1); }, []); return <p>{a}</p>; }`,
    ],
    [
      'a ref',
      `export function App() { ${stateA} const r = useRef(a); useEffect(() => { print(r.current); }, []); return <p onClick={() => setA(2)}/>; }`,
    ],
    ['it never changes', 'export function App() { const [a] = useState(1); useEffect(() => { print(a); }, []); return <p/>; }'],
    [
      'a prop that is always the same',
      'function Part({ a }) { useEffect(() => { print(a); }, []); return <p/>; }\nexport function App() { return <Part a="1"/>; }',
    ],
    [
      'on purpose',
      `export function App() { ${stateA} useEffect(() => { print(a);\n// eslint-disable-next-line react-hooks/exhaustive-deps\n}, []); return <p onClick={() => setA(2)}/>; }`,
    ],
    [
      'the part that is read',
      `export function App() { const [a, setA] = useState({ b: 1 }); useEffect(() => { print(a.b); }, [a.b]); return <p onClick={() => setA({ b: 2 })}/>; }`,
    ],
  ],
);

table(
  'subscription-kept',
  'react',
  [
    [
      'the window',
      'function Part() { useEffect(() => { window.addEventListener("resize", go); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part resize of the window',
    ],
    [
      'a timer',
      'function Part() { useEffect(() => { setInterval(go, 1000); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part a timer',
    ],
    [
      'a channel',
      "import { bus } from './bus';\nfunction Part() { useEffect(() => { bus.on('alarm', go); }, []); return <p/>; }\nexport function App() { return <Part/>; }",
      'Part alarm of bus',
    ],
  ],
  [
    [
      'undone',
      'function Part() { useEffect(() => { window.addEventListener("resize", go); return () => window.removeEventListener("resize", go); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'once',
      'function Part() { useEffect(() => { window.addEventListener("resize", go, { once: true }); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'a signal',
      'function Part({ signal }) { useEffect(() => { window.addEventListener("resize", go, { signal }); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'a timer that fires once',
      'function Part() { useEffect(() => { setTimeout(go, 1000); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'its own element',
      'function Part() { const r = useRef(null); useEffect(() => { r.current.addEventListener("resize", go); }, []); return <p ref={r}/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'undone within a condition',
      'function Part({ on }) { useEffect(() => { if (on) { window.addEventListener("resize", go); return () => window.removeEventListener("resize", go); } }, [on]); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    ['the root of all', 'export function App() { useEffect(() => { window.addEventListener("resize", go); }, []); return <p/>; }'],
    [
      'what subscribing gives is returned',
      "import { bus } from './bus';\nfunction Part() { useEffect(() => bus.subscribe(go), []); return <p/>; }\nexport function App() { return <Part/>; }",
    ],
  ],
);
table(
  'subscription-kept',
  'vue',
  [
    [
      'the window',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted } from "vue"; onMounted(() => { window.addEventListener("resize", () => 1); });</script><template><p/></template>',
      },
      'Part resize of the window',
    ],
    [
      'a timer',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted } from "vue"; onMounted(() => { setInterval(() => 1, 9); });</script><template><p/></template>',
      },
      'Part a timer',
    ],
    [
      'in the options',
      {
        App: '<template><Part/></template>',
        Part: '<script>export default { mounted() { document.addEventListener("keydown", () => 1); } };</script><template><p/></template>',
      },
      'Part keydown of the document',
    ],
  ],
  [
    [
      'undone',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onUnmounted } from "vue"; const f = () => 1; onMounted(() => window.addEventListener("resize", f)); onUnmounted(() => window.removeEventListener("resize", f));</script><template><p/></template>',
      },
    ],
    [
      'undone by a name',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onUnmounted } from "vue"; const f = () => 1; const stop = () => window.removeEventListener("resize", f); onMounted(() => { window.addEventListener("resize", f); onUnmounted(stop); });</script><template><p/></template>',
      },
    ],
    [
      'the timer is cleared',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onBeforeUnmount } from "vue"; let t; onMounted(() => { t = setInterval(() => 1, 9); }); onBeforeUnmount(() => clearInterval(t));</script><template><p/></template>',
      },
    ],
    [
      'undone in the options',
      {
        App: '<template><Part/></template>',
        Part: '<script>export default { mounted() { document.addEventListener("keydown", this.go); }, unmounted() { document.removeEventListener("keydown", this.go); }, methods: { go() {} } };</script><template><p/></template>',
      },
    ],
    [
      'the root of all',
      {
        App: '<script setup>import { onMounted } from "vue"; onMounted(() => { window.addEventListener("resize", () => 1); });</script><template><p/></template>',
      },
    ],
  ],
);
table(
  'subscription-kept',
  'svelte',
  [
    [
      'the window',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; onMount(() => { window.addEventListener("resize", () => 1); });</script><p></p>',
      },
      'Part resize of the window',
    ],
    [
      'a timer',
      { App: '<Part/>', Part: '<script>import { onMount } from "svelte"; onMount(() => { setInterval(() => 1, 9); });</script><p></p>' },
      'Part a timer',
    ],
    [
      'an effect',
      {
        App: '<Part/>',
        Part: '<script>let { on } = $props(); $effect(() => { if (on) document.addEventListener("keydown", () => 1); });</script><p></p>',
      },
      'Part keydown of the document',
    ],
  ],
  [
    [
      'returned',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; const f = () => 1; onMount(() => { window.addEventListener("resize", f); return () => window.removeEventListener("resize", f); });</script><p></p>',
      },
    ],
    [
      'at the end',
      {
        App: '<Part/>',
        Part: '<script>import { onMount, onDestroy } from "svelte"; const f = () => 1; onMount(() => { window.addEventListener("resize", f); }); onDestroy(() => window.removeEventListener("resize", f));</script><p></p>',
      },
    ],
    ['in the markup', { App: '<Part/>', Part: '<svelte:window onresize={() => 1}/><p></p>' }],
    [
      'within a condition',
      {
        App: '<Part/>',
        Part: '<script>let { on } = $props(); const f = () => 1; $effect(() => { if (on) { document.addEventListener("keydown", f); return () => document.removeEventListener("keydown", f); } });</script><p></p>',
      },
    ],
    [
      'once',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; onMount(() => { window.addEventListener("resize", () => 1, { once: true }); });</script><p></p>',
      },
    ],
  ],
);

const alarm = (sent: string, heard: string): string =>
  `function Button() { return <p onClick={() => window.dispatchEvent(new CustomEvent('${sent}'))}/>; }\nfunction Badge() { useEffect(() => { window.addEventListener('${heard}', go); return () => window.removeEventListener('${heard}', go); }, []); return <p/>; }\nexport function App() { return <><Button/><Badge/></>; }`;
describe('channel-unpaired, react', () => {
  const found = (text: string): string[] =>
    findingLines(analyseFiles(filesOf('react', text)).findings).filter((line) => line.startsWith('channel-unpaired '));
  test.each([
    [
      'two names for one',
      alarm('alarm-raised', 'alarm-rased'),
      ['channel-unpaired Button alarm-raised', 'channel-unpaired Badge alarm-rased'],
    ],
    [
      'sent alone',
      "export function App() { return <p onClick={() => window.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      ['channel-unpaired App alarm'],
    ],
    [
      'sent over the document',
      "export function App() { return <p onClick={() => document.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      ['channel-unpaired App alarm'],
    ],
    ['one name', alarm('alarm', 'alarm'), []],
    [
      'waited for alone: a script from outside may send it',
      "export function App() { useEffect(() => { window.addEventListener('widget-ready', go); }, []); return <p/>; }",
      [],
    ],
    ['the platform’s', "export function App() { useEffect(() => { window.addEventListener('resize', go); }, []); return <p/>; }", []],
    [
      'the platform’s, sent by hand',
      "export function App() { return <p onClick={() => window.dispatchEvent(new Event('resize'))}/>; }",
      [],
    ],
    [
      'a name that is computed',
      `export function App({ n }) { return <p onClick={() => { window.dispatchEvent(new CustomEvent(n)); window.dispatchEvent(new CustomEvent('alarm')); }}/>; }`,
      [],
    ],
    [
      'on an element',
      "export function App() { const r = useRef(null); return <p ref={r} onClick={() => r.current.dispatchEvent(new CustomEvent('alarm'))}/>; }",
      [],
    ],
  ])('%s', (_, text, expected) => expect(found(text).sort()).toEqual([...expected].sort()));
});

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

const copy = (more: string, use = '<Field note={note}/>'): string =>
  `function Field({ note }) { const [text, setText] = useState(note); ${more} return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\nexport function App() { const [note, setNote] = useState(''); return <p onClick={() => setNote('x')}>${use}</p>; }`;
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

const gauge =
  'type Tone = "calm" | "late";\nfunction Gauge(props: { level?: number; open?: boolean; tone?: Tone; onPick?: () => void; name?: string; any?: unknown }) { return <p>{props.level}{props.open}{props.tone}{props.name}{props.any}</p>; }\n';
const useGauge = (given: string): string => `${gauge}export function App() { return <Gauge ${given}/>; }`;
table(
  'prop-kind',
  'react',
  [
    ['a text for a number', useGauge('level="2"'), 'App level'],
    ['a text for a flag', useGauge('open="false"'), 'App open'],
    ['a word that is not among those', useGauge('tone="clam"'), 'App tone'],
    ['a number for a text', useGauge('name={4}'), 'App name'],
  ],
  [
    ['of its kind', useGauge('level={2} open tone="late" name="a"')],
    ['a flag that is said', useGauge('open={false}')],
    ['anything', useGauge('any="2"')],
    ['a value that is not seen', useGauge('level={out}')],
    [
      'a union that takes it',
      'function Part({ a }: { a: string | number }) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'a type from outside',
      'import type { Tone } from \'out\';\nfunction Part({ a }: { a: Tone }) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'a type parameter',
      'type P<T> = { a: T };\nfunction Part({ a }: P<string>) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'alternatives of the whole',
      'type P = { k: "a"; a: number } | { k: "b"; a: string };\nfunction Part(p: P) { return <p>{p.a}</p>; }\nexport function App() { return <Part k="b" a="2"/>; }',
    ],
    ['nothing', useGauge('level={undefined}')],
  ],
);
table(
  'prop-kind',
  'vue',
  [
    [
      'a text for a number',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: Number });</script><template><p>{{ level }}</p></template>',
      },
      'App level',
    ],
    [
      'a text for a flag',
      {
        App: '<template><Gauge open="false"/></template>',
        Gauge: '<script setup>defineProps({ open: { type: Boolean } });</script><template><p>{{ open }}</p></template>',
      },
      'App open',
    ],
    [
      'a number for a text',
      {
        App: '<template><Gauge :name="4"/></template>',
        Gauge: '<script setup>defineProps({ name: { type: String } });</script><template><p>{{ name }}</p></template>',
      },
      'App name',
    ],
  ],
  [
    [
      'bound',
      {
        App: '<template><Gauge :level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: Number });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'a flag alone',
      {
        App: '<template><Gauge open/></template>',
        Gauge: '<script setup>defineProps({ open: Boolean });</script><template><p>{{ open }}</p></template>',
      },
    ],
    [
      'an empty flag',
      {
        App: '<template><Gauge open=""/></template>',
        Gauge: '<script setup>defineProps({ open: Boolean });</script><template><p>{{ open }}</p></template>',
      },
    ],
    [
      'either',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: [Number, String] });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'a class of its own',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>import { Level } from "out"; defineProps({ level: Level });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'any',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps(["level"]);</script><template><p>{{ level }}</p></template>',
      },
    ],
  ],
);
table(
  'prop-kind',
  'svelte',
  [
    [
      'a text for a number',
      { App: '<Gauge level="2"/>', Gauge: '<script lang="ts">let { level }: { level: number } = $props();</script><p>{level}</p>' },
      'App level',
    ],
    [
      'a text for a flag',
      {
        App: '<Gauge open="false"/>',
        Gauge: '<script lang="ts">type P = { open?: boolean }; let { open }: P = $props();</script><p>{open}</p>',
      },
      'App open',
    ],
    [
      'a word that is not among those',
      { App: '<Gauge tone="clam"/>', Gauge: '<script lang="ts">let { tone }: { tone: "calm" | "late" } = $props();</script><p>{tone}</p>' },
      'App tone',
    ],
  ],
  [
    [
      'of its kind',
      { App: '<Gauge level={2}/>', Gauge: '<script lang="ts">let { level }: { level: number } = $props();</script><p>{level}</p>' },
    ],
    ['no type', { App: '<Gauge level="2"/>', Gauge: '<script>let { level } = $props();</script><p>{level}</p>' }],
    [
      'a flag alone',
      { App: '<Gauge open/>', Gauge: '<script lang="ts">let { open }: { open: boolean } = $props();</script><p>{open}</p>' },
    ],
    [
      'either',
      {
        App: '<Gauge level="2"/>',
        Gauge: '<script lang="ts">let { level }: { level: number | string } = $props();</script><p>{level}</p>',
      },
    ],
    [
      'the rest of the words',
      { App: '<Gauge tone="late"/>', Gauge: '<script lang="ts">let { tone }: { tone: "calm" | "late" } = $props();</script><p>{tone}</p>' },
    ],
  ],
);

const queue = (body: string): string =>
  `function Queue({ items, listRef, onAdd }) { ${body} return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { const [items, setItems] = useState([]); return <Queue items={items}/>; }`;
table(
  'prop-written',
  'react',
  [
    ['added to', queue('const go = () => { items.push(1); };'), 'Queue items'],
    ['sorted', queue('const go = () => { items.sort(); };'), 'Queue items'],
    ['at a position', queue('const go = () => { items[0] = 1; };'), 'Queue items'],
  ],
  [
    ['a copy', queue('const go = () => { const own = [...items]; own.push(1); };')],
    ['a sorted copy', queue('const go = () => print([...items].sort());')],
    ['a new list', queue('const go = () => print(items.concat(1));')],
    ['a handle', queue('const go = () => { listRef.current.push(1); };')],
    [
      'its own state',
      'function Queue() { const [items, setItems] = useState([]); const go = () => { items.push(1); setItems([...items]); }; return <ul onClick={go}>{items.length}</ul>; }\nexport function App() { return <Queue/>; }',
    ],
    ['only its own name for it', queue('const go = () => print(1); items = items ?? [];')],
  ],
);
table(
  'prop-written',
  'vue',
  [
    [
      'added to',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => { props.items.push(1); };</script><template><p @click="go">{{ items }}</p></template>',
      },
      'Queue items',
    ],
    [
      'in markup',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue: '<script setup>defineProps(["items"]);</script><template><p @click="items.push(1)">{{ items }}</p></template>',
      },
      'Queue items',
    ],
    [
      'in a method',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script>export default { props: ["items"], methods: { go() { this.items.push(1); } } };</script><template><p @click="go">{{ items }}</p></template>',
      },
      'Queue items',
    ],
  ],
  [
    [
      'a model',
      {
        App: '<template><Queue v-model="a"/></template><script setup>import { ref } from "vue"; const a = ref([]);</script>',
        Queue:
          '<script setup>const items = defineModel(); const go = () => { items.value.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'a copy',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => { const own = [...props.items]; own.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'its own',
      {
        App: '<template><Queue/></template>',
        Queue:
          '<script setup>import { ref } from "vue"; const items = ref([]); const go = () => { items.value.push(1); };</script><template><p @click="go"/></template>',
      },
    ],
    [
      'told to the owner',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>defineProps(["items"]); const emit = defineEmits(["add"]);</script><template><p @click="emit(\'add\')">{{ items }}</p></template>',
      },
    ],
    [
      'only read',
      {
        App: '<template><Queue :items="[]"/></template>',
        Queue:
          '<script setup>const props = defineProps(["items"]); const go = () => print(props.items.map((one) => one));</script><template><p @click="go"/></template>',
      },
    ],
  ],
);
table(
  'prop-written',
  'svelte',
  [
    [
      'added to',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items } = $props(); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
      'Queue items',
    ],
    [
      'in markup',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props();</script><button onclick={() => items.push(1)}>{items.length}</button>',
      },
      'Queue items',
    ],
    [
      'at a position',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props(); const go = () => { items[0] = 1; };</script><button onclick={go}>{items.length}</button>',
      },
      'Queue items',
    ],
  ],
  [
    [
      'bindable',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items = $bindable() } = $props(); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'an older prop',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>export let items; const go = () => { items.push(1); items = items; };</script><button on:click={go}>{items.length}</button>',
      },
    ],
    [
      'its own',
      {
        App: '<Queue/>',
        Queue: '<script>let items = $state([]); const go = () => { items.push(1); };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'given anew',
      {
        App: '<Queue items={[]}/>',
        Queue: '<script>let { items } = $props(); const go = () => { items = []; };</script><button onclick={go}>{items.length}</button>',
      },
    ],
    [
      'a copy',
      {
        App: '<Queue items={[]}/>',
        Queue:
          '<script>let { items } = $props(); const go = () => print([...items].sort());</script><button onclick={go}>{items.length}</button>',
      },
    ],
  ],
);
