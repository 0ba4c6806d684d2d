import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

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
