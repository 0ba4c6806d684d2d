import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, expect, test } from 'vitest';
import { analyseFiles } from '../../../../testing/src/project';

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

table(
  'name-unknown',
  'react',
  [
    ['in a text', 'export function App() { const trend = 1; return <p>{trnd}</p>; }', 'App trnd'],
    ['a helper that is not imported', 'export function App({ day }) { return <p>{formatDay(day)}</p>; }', 'App formatDay'],
    [
      'of a loop',
      'export function App({ weeks }) { return <ol>{weeks.map((week) => <li key={week.no}>{wekk.who}</li>)}</ol>; }',
      'App wekk',
    ],
    ['in a branch', 'export function App({ a }) { return <p>{a && <b title={caption}/>}</p>; }', 'App caption'],
  ],
  [
    ['declared', 'export function App() { const trend = 1; return <p>{trend}</p>; }'],
    ['of the module', 'const trend = 1;\nexport function App() { return <p>{trend}</p>; }'],
    ['imported', "import { trend } from 'out';\nexport function App() { return <p>{trend}</p>; }"],
    [
      'of a function around it',
      'export function App({ rows }) { return <p>{rows.map(({ id, ...rest }) => <b key={id} {...rest}/>)}</p>; }',
    ],
    [
      'caught',
      'export function App({ a }) { const say = () => { try { a(); } catch (error) { return <p>{error.message}</p>; } }; return <p>{say()}</p>; }',
    ],
    ['the platform’s', 'export function App() { return <p>{window.location.href}{Math.max(1, 2)}{new Date().getDate()}</p>; }'],
    ['what bundlers know', 'export function App() { return <img src={require("./a.png")} alt=""/>; }'],
    ['put in when it is built', 'export function App() { return <p>{VERSION}{__BUILD__}</p>; }'],
    [
      'declared for all',
      {
        'package.json': '{}',
        'src/App.tsx': 'export function App() { return <p>{release}</p>; }',
        'src/env.d.ts': 'declare const release: string;',
      },
    ],
    ['its own handler’s', 'export function App() { return <p onClick={(event) => { const { target } = event; print(target); }}/>; }'],
  ],
);

const options = (object: string, markup: string, before = ''): Readonly<Record<string, string>> => ({
  'App.vue': `<script>${before} export default { ${object} };</script><template>${markup}</template>`,
});

table(
  'name-unknown',
  'vue',
  [
    [
      'a name of the module, which options do not hand on',
      options('props: ["a"]', '<p>{{ a }}{{ total }}</p>', 'const total = 12;'),
      'App total',
    ],
    ['a global that the framework does not let through', vueApp('', '<p>{{ window.innerWidth }}</p>'), 'App window'],
    ['the same in a handler', vueApp('', '<p @click="localStorage.clear()"/>'), 'App localStorage'],
    [
      'beside what is mixed into what is mixed in',
      {
        ...options('mixins: [hours]', '<p>{{ text }}{{ eta }}{{ txet }}</p>', "import hours from './hours';"),
        'hours.js': "import base from './base'; export default { mixins: [base], data() { return { eta: 1 }; } };",
        'base.js': 'export default { data() { return { text: 1 }; } };',
      },
      'App txet',
    ],
    [
      'beside what is mixed in',
      {
        ...options('mixins: [hours]', '<p>{{ text }}{{ txet }}</p>', "import hours from './hours';"),
        'hours.js': 'export default { data() { return { text: 1 }; } };',
      },
      'App txet',
    ],
  ],
  [
    ['handed on', options('data() { return { total }; }', '<p>{{ total }}</p>', 'const total = 12;')],
    ['added to the component later', options('created() { this.steps = [1]; }', '<p>{{ steps }}</p>')],
    ['taken out of a store', options("computed: { ...mapState(['total']) }", '<p>{{ total }}</p>', "import { mapState } from 'vuex';")],
    [
      'mixed in',
      {
        ...options('mixins: [hours]', '<p>{{ text }}</p>', "import hours from './hours';"),
        'hours.js': 'export default { computed: { text() { return 1; } } };',
      },
    ],
    [
      'mixed into what is mixed in, from outside',
      {
        ...options('mixins: [hours]', '<p>{{ text }}</p>', "import hours from './hours';"),
        'hours.js': "import base from 'out'; export default { mixins: [base], data() { return { eta: 1 }; } };",
      },
    ],
    [
      'mixed in with the members of something else',
      {
        ...options('mixins: [hours]', '<p>{{ text }}</p>', "import hours from './hours';"),
        'hours.js': "import { base } from 'out'; export default { ...base, data() { return { eta: 1 }; } };",
      },
    ],
    [
      'given by a call, beside what is mixed in',
      {
        ...options(
          'mixins: [hours], setup() { return useTide(); }',
          '<p>{{ text }}</p>',
          "import hours from './hours'; import { useTide } from 'out';",
        ),
        'hours.js': 'export default { data() { return { eta: 1 }; } };',
      },
    ],
    ['given by a call', options('setup() { return useTide(); }', '<p>{{ text }}</p>', "import { useTide } from 'out';")],
    ['mixed in from outside', options('mixins: [hours]', '<p>{{ text }}</p>', "import hours from 'out';")],
    [
      'given to all',
      {
        ...options('props: ["a"]', '<p>{{ money(a) }}</p>'),
        'more.js': "import { createApp } from 'vue'; const app = createApp({}); app.config.globalProperties.money = (n) => n;",
      },
    ],
  ],
);

table(
  'name-unknown',
  'svelte',
  [
    [
      'of a block, read outside of it',
      svelteApp(
        'let hours = $state([]); function book(hour) { hour.left = 1; }',
        '{#each hours as hour (hour.id)}<p onclick={() => book(hour)}>{hour.id}</p>{/each}<p>{hour.label}</p>',
      ),
      'App hour',
    ],
  ],
  [['of a block', svelteApp('let hours = $state([]);', '{#each hours as hour (hour.id)}<p>{hour.label}</p>{/each}')]],
);

test('a name that is read at several places is one finding, with all of them and all that is to be corrected', () => {
  const { findings } = analyseFiles({
    'src/App.svelte': '<script>let boats = $state([]);</script><p>{boast}</p><p>{boast.length}</p><b>{other}</b>',
  });
  const told = findings.filter(({ rule }) => rule === 'name-unknown');
  expect(told.map(({ subject, evidence, edits }) => [subject, evidence.map(({ text }) => text), edits?.length])).toEqual([
    ['boast', ['The markup reads boast.', 'The markup reads boast.', 'boats is declared here.'], 2],
    ['other', ['The markup reads other.'], undefined],
  ]);
});
