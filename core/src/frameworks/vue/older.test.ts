import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, findingLines, rows, treeOf } from '../../../../testing/src/project';
import { tracedIn } from '../../../../testing/src/trace';
import { loadCompilers } from '../registry';

await loadCompilers(['App.vue']);

const field = (options = ''): string =>
  `<script>export default { ${options} props: ['value', 'checked'], methods: { enter(e) { this.$emit('input', e.target.value); this.$emit('tick', true); } } };</script><template><p><input :value="value" :checked="checked" @input="enter"></p></template>`;

const app = (files: Files): Files => ({
  'App.vue':
    '<script>import Field from "./Field.vue"; export default { components: { Field }, data: () => ({ word: "" }) };</script><template><Field v-model="word"/></template>',
  'Field.vue': field(),
  ...files,
});

const two: Files = { 'package.json': '{ "dependencies": { "vue": "^2.6.14" } }' };
const three: Files = { 'package.json': '{ "dependencies": { "vue": "^3.4.0" } }' };

describe('a two-way binding without a name', () => {
  const told = (files: Files): string[] => findingLines(analyseFiles(files).findings).filter((line) => !/unused|unheard|idle/.test(line));

  test.each<[string, Files, readonly string[]]>([
    ['is the value and its input in version 2', app(two), []],
    ['and what the component names for it', app({ ...two, 'Field.vue': field("model: { prop: 'checked', event: 'tick' },") }), []],
    ['is another prop in version 3', app(three), ['two-way-half App modelValue']],
    ['is told by the export that only version 2 has', app({ 'main.js': "import Vue from 'vue'; Vue.use(kit);" }), []],
    [
      'lacks its prop in version 2',
      app({ ...two, 'Field.vue': '<script>export default { props: ["text"] };</script><template><p>{{ text }}</p><b/></template>' }),
      ['prop-unknown App value', 'event-never-raised App @input'],
    ],
  ])('%s', (_, files, expected) => {
    expect(told(files).sort()).toEqual([...expected].sort());
  });
});

test('a prop that is bound both ways by its name', () => {
  const files = app({
    ...two,
    'App.vue':
      '<script>import Field from "./Field.vue"; export default { components: { Field }, data: () => ({ open: false }) };</script><template><main><Field :open.sync="open"/>{{ open }}</main></template>',
    'Field.vue':
      '<script>export default { props: ["open"], methods: { shut() { this.$emit("update:open", false); } } };</script><template><p @click="shut">{{ open }}</p></template>',
    'main.js': "import Vue from 'vue'; import App from './App.vue'; new Vue({ render: (h) => h(App) }).$mount('#app');",
  });
  expect(findingLines(analyseFiles(files).findings)).toEqual([]);
  expect(tracedIn(files, 'App.open', 'changes').at(-1)).toMatch(/^ *Field starts click \| platform p$/);
});

describe('classes and styles of a component that says it inherits nothing', () => {
  const styled = (files: Files): Files => ({
    'App.vue':
      '<script>import Field from "./Field.vue"; export default { components: { Field } };</script><template><Field class="wide" :style="{}" title="a"/></template>',
    'Field.vue': '<script>export default { inheritAttrs: false };</script><template><p>a</p></template>',
    ...files,
  });
  test.each<[string, Files, readonly string[]]>([
    ['are on its element in version 2', styled(two), ['prop-unknown App title']],
    ['are nowhere in version 3', styled(three), ['prop-unknown App class', 'prop-unknown App style', 'prop-unknown App title']],
  ])('%s', (_, files, expected) => {
    const told = findingLines(analyseFiles(files).findings).filter((line) => line.startsWith('prop-unknown'));
    expect(told.sort()).toEqual(expected);
  });
});

test.each([
  ['by a function', "new Vue({ router, render: (h) => h(App) }).$mount('#app');"],
  ['by a method', "new Vue({ el: '#app', render(create) { return create(App); } });"],
  ['by a template', "new Vue({ el: '#app', components: { App }, template: '<App/>' });"],
])('an application of version 2 shows its component %s', (_, start) => {
  const { model } = analyseFiles({ ...app(two), 'main.js': `import Vue from 'vue'; import App from './App.vue'; ${start}` });
  expect(model.pages.map(({ name, why }) => `${name} ${why}`)).toEqual(['App mounted']);
  expect(rows(model, treeOf(model, 'App'))).toBe('App\n  Field');
});

describe('what a render function of version 2 gives, by kinds', () => {
  const rendered = (data: string, content = '[]'): Files => ({
    ...two,
    'Field.vue':
      '<script>export default { props: { at: { type: Number, required: true } }, methods: { go() { this.$emit("pick"); } } };</script><template><p @click="go">{{ at }}<slot name="head"/></p></template>',
    'App.js': `import Vue from 'vue'; import Field from './Field.vue'; export default Vue.extend({ data: () => ({ n: 1 }), methods: { take() { this.n = 2; } }, render(h) { return h(Field, ${data}, ${content}); } });`,
    'main.js': "import Vue from 'vue'; import App from './App'; new Vue({ render: (h) => h(App) }).$mount('#app');",
  });
  const told = (files: Files): string[] =>
    findingLines(analyseFiles(files).findings).filter((line) => /^(prop-|event-|slot-nowhere)/.test(line) && !/unused/.test(line));
  test.each<[string, Files, readonly string[]]>([
    [
      'a prop, a listener, and content for a slot',
      rendered('{ props: { at: this.n }, on: { pick: this.take } }', "[h('b', { slot: 'head' }, 'a')]"),
      [],
    ],
    [
      'content for a slot under a condition',
      rendered(
        '{ props: { at: this.n }, on: { pick: this.take } }',
        "[this.n ? h('b', { slot: 'head' }, 'a') : h('i', { slot: 'head' }, 'b')]",
      ),
      [],
    ],
    ['the same by hand', rendered('{ props: { at: this.n }, on: { pick: () => { this.n = 2; } }, nativeOn: { click: this.take } }'), []],
    [
      'another prop, event and slot',
      rendered('{ props: { att: this.n }, on: { taken: this.take } }', "[h('b', { slot: 'foot' }, 'a')]"),
      ['prop-missing App at', 'event-never-raised App @taken', 'event-unheard Field @pick', 'slot-nowhere App #foot'],
    ],
    [
      'content without a slot',
      rendered('{ props: { at: this.n }, on: { pick: this.take } }', "[h('b', {}, 'a')]"),
      ['slot-nowhere App children'],
    ],
    [
      'content by functions may fill any',
      rendered("{ props: { at: this.n }, scopedSlots: { head: () => h('b') }, on: { pick: this.take } }"),
      [],
    ],
  ])('%s', (_, files, expected) => {
    expect(told(files).sort()).toEqual([...expected].sort());
  });
});
