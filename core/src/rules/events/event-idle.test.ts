import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const dispatcher = (types: string, markup = '<b on:click={() => dispatch("pick", 1)}></b>'): string =>
  `<script lang="ts">import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher<${types}>();</script>${markup}`;

const heard = '<Row on:pick={() => print()}/>';

const setup = (script: string): string => `<script setup>${script}</script>`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const emits = (events: string, does = ''): string =>
  `${setup(`const emit = defineEmits([${events}]); ${does}`)}<template><b @click="emit('clear')">x</b></template>`;

table(
  'event-idle',
  'svelte',
  [
    ['beside one that is raised', { App: heard, Row: dispatcher('{ pick: number; drop: void }') }, 'Row on:drop'],
    ['a quoted name', { App: heard, Row: dispatcher("{ pick: number; 'drop-all': void }") }, 'Row on:drop-all'],
    ['alone', { App: '<Row/>', Row: dispatcher('{ drop: void }', '<b></b>') }, 'Row on:drop'],
  ],
  [
    ['raised', { App: heard, Row: dispatcher('{ pick: number }') }],
    [
      'somebody waits for it',
      { App: '<Row on:pick={() => print()} on:drop={() => print()}/>', Row: dispatcher('{ pick: number; drop: void }') },
    ],
    [
      'raised by a name that is computed',
      { App: heard, Row: dispatcher('{ pick: number; drop: void }', '<b on:click={() => dispatch(next())}></b>') },
    ],
    [
      'the dispatcher is handed on',
      { App: heard, Row: dispatcher('{ pick: number; drop: void }', '<b on:click={() => dispatch("pick", 1)} use:hold={dispatch}></b>') },
    ],
    ['without types', { App: heard, Row: dispatcher('any') }],
  ],
);

table(
  'event-idle',
  'vue',
  [
    ['declared alone', { App: vueApp('<Pill @clear="go"/>', 'const go = () => 1;'), Pill: emits("'clear', 'hover'") }, 'Pill @hover'],
    [
      'by a type',
      {
        App: vueApp('<Pill/>'),
        Pill: '<script setup lang="ts">const emit = defineEmits<{ hover: [] }>();</script><template><b/></template>',
      },
      'Pill @hover',
    ],
    [
      'the update of a prop',
      { App: vueApp('<Pill/>'), Pill: `${setup("defineEmits(['update:open']);")}<template><b/></template>` },
      'Pill @update:open',
    ],
  ],
  [
    ['raised', { App: vueApp('<Pill/>'), Pill: emits("'clear'") }],
    ['raised in script', { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", "setTimeout(() => emit('hover'), 1);") }],
    ['somebody listens', { App: vueApp('<Pill @hover="go"/>', 'const go = () => 1;'), Pill: emits("'clear', 'hover'") }],
    ['what raises is handed on', { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", 'useHover(emit);') }],
    ['all listeners of an object', { App: vueApp('<Pill v-on="all"/>', 'const all = load();'), Pill: emits("'clear', 'hover'") }],
    [
      'raised by a name that is computed',
      { App: vueApp('<Pill/>'), Pill: emits("'clear', 'hover'", 'const tell = (name) => emit(name);') },
    ],
  ],
);
