import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

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
    ['without a type, taken and never called', `function Pill({ tone, onClear }) { return <p>{tone}</p>; }\n${usePill}`, 'App onClear'],
    [
      'the rest is read by name alone, and by another one',
      `function Pill({ tone, ...rest }: { tone?: string; onShow: () => void; onClear?: () => void }) { return <p onClick={() => rest.onShow()}>{tone}</p>; }\nexport function App() { return <Pill onShow={() => 1} onClear={() => 2}/>; }`,
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
    [
      'called on the rest',
      `function Pill({ tone, ...rest }: { tone?: string; onClear?: () => void }) { return <p onClick={() => rest.onClear?.()}>{tone}</p>; }\n${usePill}`,
    ],
    [
      'the rest is read by name, and goes on too',
      `function Pill({ tone, ...rest }: { tone?: string; onShow: () => void; onClear?: () => void }) { rest.onShow(); return <Out {...rest}/>; }\n${usePill}`,
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
      'a name of an object of listeners, as it is written there',
      {
        App: '<script setup>const hear = { "price-change": () => 1 };</script><template><Price v-on="hear"/></template>',
        Price: '<script setup>const emit = defineEmits(["priceChange"]);</script><template><p @click="emit(\'priceChange\')"/></template>',
      },
      'App @price-change',
    ],
    [
      'the same in place',
      {
        App: '<script setup>const go = () => 1;</script><template><Price v-on="{ \'price-change\': go }"/></template>',
        Price: '<script setup>const emit = defineEmits(["priceChange"]);</script><template><p @click="emit(\'priceChange\')"/></template>',
      },
      'App @price-change',
    ],
    [
      'not among its events',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/><b/></template>',
      },
      'App @vanish',
    ],
    [
      'declared and never raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>defineEmits(["clear"]);</script><template><p/><b/></template>',
      },
      'App @clear',
    ],
    [
      'declared by a type of another file, and never raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup lang="ts">import type { Events } from "./events"; const emit = defineEmits<Events>(); emit("book");</script><template><p/><b/></template>',
        'events.ts': 'export interface Events { book: []; (e: "clear" | "stop", at: number): void }',
      },
      'App @clear',
    ],
    [
      'not among those that a type of another file declares',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup lang="ts">import type { Events } from "./events"; const emit = defineEmits<Events>(); emit("clear");</script><template><p/><b/></template>',
        'events.ts': 'export type Events = { clear: [] };',
      },
      'App @vanish',
    ],
    [
      'declared, so that the platform raises it no more',
      {
        App: '<template><Pill @click="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>defineEmits(["click"]);</script><template><p/></template>',
      },
      'App @click',
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
      'whoever is given the component itself may raise it',
      {
        App: '<template><Rows @pick="go"/></template><script setup>const go = () => 1;</script>',
        Rows: '<script>export default { provide() { return { rows: this }; } };</script><template><ul><slot/></ul></template>',
      },
    ],
    [
      'raised when a transition ends',
      {
        App: '<template><Pill @gone="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup>const emit = defineEmits(["gone"]);</script><template><transition @after-leave="emit(\'gone\')"><p v-if="false"/></transition></template>',
      },
    ],
    [
      'a name of an object of listeners that is raised so',
      {
        App: '<script setup>const hear = { priceChange: () => 1, click: () => 1 };</script><template><Price v-on="hear"/></template>',
        Price: '<script setup>const emit = defineEmits(["priceChange"]);</script><template><p @click="emit(\'priceChange\')"/></template>',
      },
    ],
    [
      'an object of listeners of which the text does not tell the names',
      {
        App: '<script setup>import { hear } from "./hear";</script><template><Price v-on="hear"/></template>',
        Price: '<script setup>const emit = defineEmits(["priceChange"]);</script><template><p @click="emit(\'priceChange\')"/></template>',
      },
    ],
    [
      'declared by a type that cannot be seen',
      {
        App: '<template><Pill @vanish="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup lang="ts">import type { Events } from "outside"; const emit = defineEmits<Events>(); emit("clear");</script><template><p/><b/></template>',
      },
    ],
    [
      'declared by a type of another file, and raised',
      {
        App: '<template><Pill @clear="go"/></template><script setup>const go = () => 1;</script>',
        Pill: '<script setup lang="ts">import type { Events } from "./events"; const emit = defineEmits<Events>(); emit("clear");</script><template><p/><b/></template>',
        'events.ts': 'export type Events = { clear: [] };',
      },
    ],
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
      'forwarded as the framework’s own tool rewrites it',
      {
        App: '<script>const go = () => 1;</script><Pill on:click={go} on:submit={go}/>',
        Pill: '<script>import { createBubbler, preventDefault } from "svelte/legacy"; const bubble = createBubbler();</script><button onclick={bubble("click")}>x</button><form onsubmit={preventDefault(bubble("submit"))}></form>',
      },
    ],
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
