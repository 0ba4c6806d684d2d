import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;
const script = (text: string): string => `<script>${text}</script>`;
const vueRow = `${setup('defineProps({ eta: { type: String, required: true }, boat: String });')}<template><p>{{ eta }}{{ boat }}</p></template>`;
const svelteRow = '<script lang="ts">let { eta, boat }: { eta: string; boat?: string } = $props();</script><p>{eta}{boat}</p>';

table(
  'prop-missing',
  'vue',
  [
    ['not given', { App: `${setup('')}<template><main><Row boat="b"/></main></template>`, Row: vueRow }, 'App eta'],
    ['in a list', { App: `${setup('const all = [1];')}<template><Row v-for="one in all" :key="one"/></template>`, Row: vueRow }, 'App eta'],
    [
      'declared by a type',
      {
        App: `${setup('')}<template><main><Row/></main></template>`,
        Row: '<script setup lang="ts">defineProps<{ eta: string; boat?: string }>();</script><template><p>{{ eta }}{{ boat }}</p></template>',
      },
      'App eta',
    ],
  ],
  [
    ['given by kebab case', { App: `${setup('')}<template><Row last-eta="1"/></template>`, Row: vueRow.replaceAll('eta', 'lastEta') }],
    ['bound', { App: `${setup('const eta = "1";')}<template><Row :eta="eta"/></template>`, Row: vueRow }],
    ['the same name, short', { App: `${setup('const eta = "1";')}<template><Row :eta/></template>`, Row: vueRow }],
    ['all of an object', { App: `${setup('const row = load();')}<template><Row v-bind="row"/></template>`, Row: vueRow }],
    ['with a default', { App: `${setup('')}<template><Row/></template>`, Row: vueRow.replace('required: true', "default: ''") }],
    ['two-way', { App: `${setup('const eta = ref("1");')}<template><Row v-model:eta="eta"/></template>`, Row: vueRow }],
  ],
);

table(
  'prop-missing',
  'svelte',
  [
    ['not given', { App: '<Row boat="b"/>', Row: svelteRow }, 'App eta'],
    ['in a list', { App: '{#each [1] as one (one)}<Row boat="b"/>{/each}', Row: svelteRow }, 'App eta'],
    [
      'an older prop without a default',
      { App: '<Row/>', Row: '<script lang="ts">export let eta: string;</script><p>{eta}</p>' },
      'App eta',
    ],
  ],
  [
    ['given', { App: '<Row eta="1"/>', Row: svelteRow }],
    ['short', { App: `${script('const eta = "1";')}<Row {eta}/>`, Row: svelteRow }],
    ['all of an object', { App: `${script('const row = load();')}<Row {...row}/>`, Row: svelteRow }],
    ['bound', { App: `${script('let eta = $state("1");')}<Row bind:eta/>`, Row: svelteRow }],
    [
      'with a default',
      { App: '<Row/>', Row: svelteRow.replace('{ eta, boat }', "{ eta = '', boat }").replace('eta: string', 'eta?: string') },
    ],
    ['an older prop with a default', { App: '<Row/>', Row: `${script('export let eta = "";')}<p>{eta}</p>` }],
  ],
);

const vueGauge = `${setup('defineProps({ maxLevel: Number });')}<template><p>{{ maxLevel }}</p><b/></template>`;
const svelteGauge = '<script>let { maxLevel } = $props();</script><p>{maxLevel}</p>';

table(
  'prop-spelt',
  'vue',
  [
    ['a letter too few', { App: `${setup('')}<template><Gauge :maxLevl="1"/></template>`, Gauge: vueGauge }, 'App maxLevl'],
    [
      'letters changed places, by kebab case',
      { App: `${setup('')}<template><Gauge :max-leevl="1"/></template>`, Gauge: vueGauge },
      'App maxLeevl',
    ],
    ['a letter too many', { App: `${setup('')}<template><Gauge :maxLevell="1"/></template>`, Gauge: vueGauge }, 'App maxLevell'],
  ],
  [
    ['the name itself', { App: `${setup('')}<template><Gauge :max-level="1"/></template>`, Gauge: vueGauge }],
    ['quite another name', { App: `${setup('')}<template><Gauge tone="a"/></template>`, Gauge: vueGauge }],
    ['the declared one is given as well', { App: `${setup('')}<template><Gauge :maxLevel="1" :maxLevl="2"/></template>`, Gauge: vueGauge }],
    [
      'an attribute for the root',
      { App: `${setup('')}<template><Gauge title="a"/></template>`, Gauge: vueGauge.replaceAll('maxLevel', 'titel').replace('<b/>', '') },
    ],
    [
      'near to two',
      {
        App: `${setup('')}<template><Gauge :levelC="1"/></template>`,
        Gauge: `${setup('defineProps({ levelA: Number, levelB: Number });')}<template><p>{{ levelA }}{{ levelB }}</p><b/></template>`,
      },
    ],
  ],
);

table(
  'prop-spelt',
  'svelte',
  [
    ['a letter too few', { App: '<Gauge maxLevl={1}/>', Gauge: svelteGauge }, 'App maxLevl'],
    ['another case', { App: '<Gauge maxlevel={1}/>', Gauge: svelteGauge }, 'App maxlevel'],
    [
      'bound both ways',
      {
        App: '<script>let maxLevle = $state(1);</script><Gauge bind:maxLevle/>',
        Gauge: svelteGauge.replace('maxLevel }', 'maxLevel = $bindable() }'),
      },
      'App maxLevle',
    ],
  ],
  [
    ['the name itself', { App: '<Gauge maxLevel={1}/>', Gauge: svelteGauge }],
    ['quite another name', { App: '<Gauge tone="a"/>', Gauge: svelteGauge }],
    ['the declared one is given as well', { App: '<Gauge maxLevel={1} maxLevl={2}/>', Gauge: svelteGauge }],
    [
      'the rest goes on',
      { App: '<Gauge maxLevl={1}/>', Gauge: '<script>let { maxLevel, ...rest } = $props();</script><p {...rest}>{maxLevel}</p>' },
    ],
    [
      'all props are taken',
      { App: '<Gauge maxLevl={1}/>', Gauge: '<script>export let maxLevel;</script><p {...$$restProps}>{maxLevel}</p>' },
    ],
  ],
);

table(
  'prop-unknown',
  'vue',
  [
    ['several roots', { App: `${setup('')}<template><Gauge tone="calm"/></template>`, Gauge: vueGauge }, 'App tone'],
    [
      'not inherited',
      {
        App: `${setup('')}<template><Gauge tone="calm"/></template>`,
        Gauge: `${setup('defineOptions({ inheritAttrs: false });')}<template><p/></template>`,
      },
      'App tone',
    ],
    ['bound', { App: `${setup('const a = 1;')}<template><Gauge :tone="a"/></template>`, Gauge: vueGauge }, 'App tone'],
  ],
  [
    ['declared', { App: `${setup('')}<template><Gauge :max-level="1"/></template>`, Gauge: vueGauge }],
    [
      'class and style of one root',
      { App: `${setup('')}<template><Gauge class="a" style="b"/></template>`, Gauge: '<template><p/></template>' },
    ],
    [
      'data and aria on one root',
      { App: `${setup('')}<template><Gauge data-a="1" aria-label="b"/></template>`, Gauge: '<template><p/></template>' },
    ],
    [
      'attributes are placed',
      { App: `${setup('')}<template><Gauge tone="calm"/></template>`, Gauge: '<template><p v-bind="$attrs"/><b/></template>' },
    ],
    [
      'one of two roots at a time',
      {
        App: `${setup('')}<template><Gauge title="calm"/></template>`,
        Gauge: `${setup('const a = 1;')}<template><p v-if="a"/><b v-else/></template>`,
      },
    ],
    [
      'keys and refs',
      { App: `${setup('const all = [1];')}<template><Gauge v-for="one in all" :key="one" ref="it"/></template>`, Gauge: vueGauge },
    ],
  ],
);

table(
  'prop-unknown',
  'svelte',
  [
    ['not declared', { App: '<Gauge tone="calm"/>', Gauge: svelteGauge }, 'App tone'],
    [
      'not exported',
      { App: '<Gauge tone="calm"/>', Gauge: '<script>export let maxLevel; let tone = 1;</script><p>{maxLevel}{tone}</p>' },
      'App tone',
    ],
    ['a callback', { App: '<script>const go = () => 1;</script><Gauge onopen={go}/>', Gauge: svelteGauge }, 'App onopen'],
  ],
  [
    ['declared', { App: '<Gauge maxLevel={1}/>', Gauge: svelteGauge }],
    ['a variable of styles', { App: '<Gauge --tone="calm"/>', Gauge: svelteGauge }],
    [
      'the rest is taken',
      { App: '<Gauge tone="calm"/>', Gauge: '<script>let { maxLevel, ...rest } = $props();</script><p {...rest}>{maxLevel}</p>' },
    ],
    ['all props are taken', { App: '<Gauge tone="calm"/>', Gauge: '<script>export let maxLevel;</script><p {...$$props}>{maxLevel}</p>' }],
    ['the props as a whole', { App: '<Gauge tone="calm"/>', Gauge: '<script>let props = $props();</script><p {...props}/>' }],
    ['what is given is not all seen', { App: '<script>const a = load();</script><Gauge {...a}/>', Gauge: svelteGauge }],
  ],
);

const vueKeeper = "import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key); const name = keeper.name;";
const provides = "import { provide } from 'vue'; import { key } from './key'; provide(key, { name: 'a' });";
const vueKey = { 'key.js': "export const key = Symbol('key');" };
table(
  'context-missing',
  'vue',
  [
    [
      'nobody provides',
      { App: `${setup('')}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
      'Menu key',
    ],
    [
      'provided beside it',
      {
        App: `${setup('')}<template><Shell/><Menu/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`,
        ...vueKey,
      },
      'Menu key',
    ],
    [
      'provided below it',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}<Shell/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        ...vueKey,
      },
      'Menu key',
    ],
  ],
  [
    [
      'provided above',
      { App: `${setup(provides)}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
    ],
    [
      'with a default',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper.replace('inject(key)', 'inject(key, { name: 1 })'))}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'asked whether it is there',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup("import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key); const name = keeper ? keeper.name : '';")}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'provided through a slot’s parent',
      {
        App: `${setup('')}<template><Shell><Menu/></Shell></template>`,
        Shell: `${setup(provides)}<template><slot/></template>`,
        Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    [
      'read in a way that is optional',
      {
        App: `${setup('')}<template><Menu/></template>`,
        Menu: `${setup("import { inject } from 'vue'; import { key } from './key'; const keeper = inject(key);")}<template>{{ keeper?.name }}</template>`,
        ...vueKey,
      },
    ],
  ],
);

const svelteTakes = "import { getContext } from 'svelte'; const { name } = getContext('keeper');";
const svelteGives = "import { setContext } from 'svelte'; setContext('keeper', { name: 'a' });";
table(
  'context-missing',
  'svelte',
  [
    ['nobody provides', { App: '<Menu/>', Menu: `${script(svelteTakes)}<p>{name}</p>` }, 'Menu keeper'],
    [
      'provided beside it',
      { App: '<Shell/><Menu/>', Shell: `${script(svelteGives)}<p/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` },
      'Menu keeper',
    ],
    [
      'under another key',
      { App: `${script(svelteGives.replace("'keeper'", "'boat'"))}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` },
      'Menu keeper',
    ],
  ],
  [
    ['provided above', { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` }],
    [
      'provided by whose content it is',
      {
        App: '<Shell><Menu/></Shell>',
        Shell: `${script(`${svelteGives} let { children } = $props();`)}{@render children()}`,
        Menu: `${script(svelteTakes)}<p>{name}</p>`,
      },
    ],
    [
      'asked whether it is there',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext, hasContext } from 'svelte'; const name = hasContext('keeper') ? getContext('keeper').name : '';")}<p>{name}</p>`,
      },
    ],
    [
      'read in a way that is optional',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext } from 'svelte'; const keeper = getContext('keeper');")}<p>{keeper?.name}</p>`,
      },
    ],
    [
      'a key that is computed',
      {
        App: '<Menu/>',
        Menu: `${script("import { getContext } from 'svelte'; let { key } = $props(); const { name } = getContext(key);")}<p>{name}</p>`,
      },
    ],
  ],
);

table(
  'context-unread',
  'vue',
  [
    ['nobody takes it', { App: `${setup(provides)}<template><p/></template>`, ...vueKey }, 'App key'],
    [
      'taken beside it',
      {
        App: `${setup('')}<template><Shell/><Menu/></template>`,
        Shell: `${setup(provides)}<template><p/></template>`,
        Menu: `${setup('')}<template><p/></template>`,
        ...vueKey,
      },
      'Shell key',
    ],
    ['a text as key', { App: `${setup("import { provide } from 'vue'; provide('keeper', 1);")}<template><p/></template>` }, 'App keeper'],
  ],
  [
    [
      'taken below',
      { App: `${setup(provides)}<template><Menu/></template>`, Menu: `${setup(vueKeeper)}<template>{{ name }}</template>`, ...vueKey },
    ],
    [
      'taken by a composable',
      {
        App: `${setup(provides)}<template><Menu/></template>`,
        Menu: `${setup("import { useKeeper } from './use'; const { name } = useKeeper();")}<template>{{ name }}</template>`,
        ...vueKey,
        'use.js': "import { inject } from 'vue'; import { key } from './key'; export function useKeeper() { return inject(key); }",
      },
    ],
    [
      'taken with a default',
      {
        App: `${setup(provides)}<template><Menu/></template>`,
        Menu: `${setup(vueKeeper.replace('inject(key)', 'inject(key, {})'))}<template>{{ name }}</template>`,
        ...vueKey,
      },
    ],
    ['something below cannot be seen', { App: `${setup(`import Out from 'out'; ${provides}`)}<template><Out/></template>`, ...vueKey }],
    [
      'what is below is chosen while running',
      { App: `${setup(`${provides} const it = pick();`)}<template><component :is="it"/></template>`, ...vueKey },
    ],
  ],
);

table(
  'context-unread',
  'svelte',
  [
    ['nobody takes it', { App: `${script(svelteGives)}<p/>` }, 'App keeper'],
    [
      'another key is taken',
      { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes.replace("'keeper'", "'boat'"))}<p>{name}</p>` },
      'App keeper',
    ],
    ['taken above only', { App: `${script(svelteTakes)}<Shell/><p>{name}</p>`, Shell: `${script(svelteGives)}<p/>` }, 'Shell keeper'],
  ],
  [
    ['taken below', { App: `${script(svelteGives)}<Menu/>`, Menu: `${script(svelteTakes)}<p>{name}</p>` }],
    [
      'taken by a function',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { useKeeper } from './use'; const { name } = useKeeper();")}<p>{name}</p>`,
        'use.js': "import { getContext } from 'svelte'; export const useKeeper = () => getContext('keeper');",
      },
    ],
    [
      'all are taken',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { getAllContexts } from 'svelte'; const all = getAllContexts();")}<p>{all.size}</p>`,
      },
    ],
    ['something below cannot be seen', { App: `${script(`import Out from 'out'; ${svelteGives}`)}<Out/>` }],
    [
      'asked for',
      {
        App: `${script(svelteGives)}<Menu/>`,
        Menu: `${script("import { hasContext } from 'svelte'; const has = hasContext('keeper');")}<p>{has}</p>`,
      },
    ],
  ],
);

const vuePill = `${setup("const emit = defineEmits(['clear']);")}<template><button @click="emit('clear')">x</button></template>`;
table(
  'event-unheard',
  'vue',
  [
    [
      'heard at one use alone',
      { App: `${setup('const go = () => 1;')}<template><Pill @clear="go"/><Pill/></template>`, Pill: vuePill },
      'Pill @clear',
    ],
    ['nobody hears it', { App: `${setup('')}<template><main><Pill/></main></template>`, Pill: vuePill }, 'Pill @clear'],
    [
      'raised in markup',
      {
        App: `${setup('')}<template><main><Pill/></main></template>`,
        Pill: `${setup("defineEmits(['clear']);")}<template><button @click="$emit('clear')">x</button></template>`,
      },
      'Pill @clear',
    ],
  ],
  [
    ['heard', { App: `${setup('const go = () => 1;')}<template><Pill @clear="go"/></template>`, Pill: vuePill }],
    [
      'heard by kebab case',
      { App: `${setup('const go = () => 1;')}<template><Pill @clear-all="go"/></template>`, Pill: vuePill.replaceAll('clear', 'clearAll') },
    ],
    ['all listeners of an object', { App: `${setup('const all = load();')}<template><Pill v-on="all"/></template>`, Pill: vuePill }],
    [
      'the update of what is not bound',
      { App: `${setup('')}<template><main><Pill/></main></template>`, Pill: vuePill.replaceAll("'clear'", "'update:modelValue'") },
    ],
    ['given as a prop', { App: `${setup('const go = () => 1;')}<template><Pill :onClear="go"/></template>`, Pill: vuePill }],
  ],
);

const sveltePill = `${script('let { onclear } = $props();')}<button onclick={() => onclear?.()}>x</button>`;
table(
  'event-unheard',
  'svelte',
  [
    ['heard at one use alone', { App: `${script('const go = () => 1;')}<Pill onclear={go}/><Pill/>`, Pill: sveltePill }, 'Pill onclear'],
    ['nobody hears it', { App: '<Pill/>', Pill: sveltePill }, 'Pill onclear'],
    [
      'dispatched',
      {
        App: '<Pill/>',
        Pill: `${script("import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();")}<button on:click={() => dispatch('clear')}>x</button>`,
      },
      'Pill on:clear',
    ],
  ],
  [
    ['heard', { App: `${script('const go = () => 1;')}<Pill onclear={go}/>`, Pill: sveltePill }],
    [
      'forwarded by who uses it',
      {
        App: `${script('const go = () => 1;')}<Frame on:clear={go}/>`,
        Frame: '<Pill on:clear/>',
        Pill: `${script("import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();")}<button on:click={() => dispatch('clear')}>x</button>`,
      },
    ],
    ['an empty function by default', { App: '<Pill/>', Pill: sveltePill.replace('{ onclear }', '{ onclear = () => {} }') }],
    ['all of an object', { App: `${script('const a = load();')}<Pill {...a}/>`, Pill: sveltePill }],
    [
      'a two-way prop',
      {
        App: '<Pill/>',
        Pill: `${script('let { open = $bindable(false) } = $props();')}<button onclick={() => (open = !open)}>{open}</button>`,
      },
    ],
  ],
);

table(
  'list-unkeyed',
  'vue',
  [
    ['no key', { App: `${setup('const all = load();')}<template><p v-for="one in all">{{ one }}</p></template>` }, 'App key'],
    [
      'no key on a part',
      { App: `${setup('const all = load();')}<template><Row v-for="one in all" :eta="one"/></template>`, Row: vueRow },
      'App key',
    ],
    [
      'its position, while fields keep their text',
      {
        App: `${setup('const all = load();')}<template><p v-for="(one, at) in all.filter((one) => one.a)" :key="at"><input/></p></template>`,
      },
      'App key',
    ],
  ],
  [
    ['a key', { App: `${setup('const all = load();')}<template><p v-for="one in all" :key="one.id">{{ one }}</p></template>` }],
    [
      'the key on the template',
      { App: `${setup('const all = load();')}<template><template v-for="one in all" :key="one.id"><p/><b/></template></template>` },
    ],
    [
      'a position where nothing is kept',
      {
        App: `${setup('const all = load();')}<template><p v-for="(one, at) in all.filter((one) => one.a)" :key="at">{{ one }}</p></template>`,
      },
    ],
    [
      'a position of what keeps its order',
      { App: `${setup("const all = ['a', 'b'];")}<template><p v-for="(one, at) in all" :key="at"><input/></p></template>` },
    ],
    ['a key that is spread', { App: `${setup('const all = load();')}<template><p v-for="one in all" v-bind="one"/></template>` }],
  ],
);

const sends = "const send = () => document.dispatchEvent(new CustomEvent('towpath:alarm', { bubbles: true }));";
const hears = (name = 'towpath:alarm'): string => `document.addEventListener('${name}', ring);`;
const vueSends = `${setup(sends)}<template><button @click="send">x</button></template>`;
const vueHears = (name?: string): string =>
  `${setup(`import { onMounted, onUnmounted } from 'vue'; const ring = () => 1; onMounted(() => { ${hears(name)} }); onUnmounted(() => document.removeEventListener('${name ?? 'towpath:alarm'}', ring));`)}<template><p/></template>`;
table(
  'channel-unpaired',
  'vue',
  [
    ['sent, and nobody hears', { App: vueSends }, 'App towpath:alarm'],
    [
      'heard under a near name',
      {
        App: `${setup('')}<template><main><Bell/><Other/><Badge/></main></template>`,
        Bell: vueSends,
        Other: vueHears(),
        Badge: vueHears('towpath:alram'),
      },
      'Badge towpath:alram',
    ],
    ['sent in a part', { App: `${setup('')}<template><main><Bell/></main></template>`, Bell: vueSends }, 'Bell towpath:alarm'],
  ],
  [
    ['both ends', { App: `${setup('')}<template><main><Bell/><Badge/></main></template>`, Bell: vueSends, Badge: vueHears() }],
    ['an event of the platform', { App: vueHears('visibilitychange') }],
    ['heard by a module', { App: vueSends, 'ring.js': "export const start = (ring) => document.addEventListener('towpath:alarm', ring);" }],
    [
      'a name known while running',
      {
        App: `${setup('const send = (name) => document.dispatchEvent(new CustomEvent(name));')}<template><button @click="send(a)">x</button></template>`,
      },
    ],
    [
      'heard under a name known while running',
      {
        App: `${setup('')}<template><main><Bell/><Badge/></main></template>`,
        Bell: vueSends,
        Badge: `${setup('const start = (name, ring) => document.addEventListener(name, ring);')}<template><p @click="start(a, b)"/></template>`,
      },
    ],
  ],
);
const svelteSends = `${script(sends)}<button onclick={send}>x</button>`;
const svelteHears = (name?: string): string =>
  `${script(`import { onMount } from 'svelte'; const ring = () => 1; onMount(() => { ${hears(name)} return () => document.removeEventListener('${name ?? 'towpath:alarm'}', ring); });`)}<p/>`;
table(
  'channel-unpaired',
  'svelte',
  [
    ['sent, and nobody hears', { App: svelteSends }, 'App towpath:alarm'],
    [
      'heard under a near name',
      { App: '<Bell/><Other/><Badge/>', Bell: svelteSends, Other: svelteHears(), Badge: svelteHears('towpath:alram') },
      'Badge towpath:alram',
    ],
    ['sent in a part', { App: '<Bell/>', Bell: svelteSends }, 'Bell towpath:alarm'],
  ],
  [
    ['both ends', { App: '<Bell/><Badge/>', Bell: svelteSends, Badge: svelteHears() }],
    ['an event of the platform', { App: svelteHears('visibilitychange') }],
    [
      'heard by a module',
      { App: svelteSends, 'ring.js': "export const start = (ring) => document.addEventListener('towpath:alarm', ring);" },
    ],
    [
      'a name known while running',
      {
        App: `${script('const send = (name) => document.dispatchEvent(new CustomEvent(name));')}<button onclick={() => send(a)}>x</button>`,
      },
    ],
    [
      'heard under a name known while running',
      {
        App: '<Bell/><Badge/>',
        Bell: svelteSends,
        Badge: `${script('const start = (name, ring) => document.addEventListener(name, ring);')}<p onclick={() => start(a, b)}/>`,
      },
    ],
  ],
);

table(
  'endless-render',
  'vue',
  [
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
  'slot-nowhere',
  'svelte',
  [['a named slot that is not there', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot/></p>' }, 'App #foot']],
  [
    ['a named slot', { App: '<Box><i slot="foot">a</i></Box>', Box: '<p><slot name="foot"/></p>' }],
    ['a misspelt one is another matter', { App: '<Box><i slot="footer">a</i></Box>', Box: '<p><slot name="footre"/></p>' }],
  ],
);
