import { describe, expect, test } from 'vitest';
import { contractLine } from '../../../../../testing/src/contract';
import { analyseFiles, outline } from '../../../../../testing/src/project';
import { readFile } from '../../read-file';
import { filesBeside } from './beside';
import { loadCompilers } from '../../registry';

await loadCompilers(['Part.vue']);

/** What a file says: its contract, its markup, and what could not be read (`!`). */
function said(text: string): string[] {
  const facts = readFile('src/Part.vue', text);
  const [component] = facts.components;
  if (!component) return [];
  const markup = outline(component.template).split('\n');
  return [contractLine(component), ...markup.filter((line) => line !== ''), ...facts.problems.map((problem) => `! ${problem.message}`)];
}

const cases: readonly (readonly [name: string, text: string, says: readonly string[]])[] = [
  [
    'props as an array',
    `<script setup>defineProps(['a', 'b']);</script><template><p>{{ a }}</p></template>`,
    ['a, b : platform', 'p', '  text'],
  ],
  [
    'props as an object',
    `<script setup>defineProps({ a: String, b: { type: Number, required: true }, c: { default: 1 }, onGo: Function });</script><template><p>{{ a }}</p></template>`,
    ['a, b!, c=1, event:go() : platform', 'p', '  text'],
  ],
  [
    'required with a default is not required',
    `<script setup>defineProps({ a: { required: true, default: 1 } });</script><template><p/></template>`,
    ['a=1 : platform', 'p'],
  ],
  [
    'props by type',
    `<script setup lang="ts">defineProps<{ a: string; b?: number; onGo?: () => void }>();</script><template><p>{{ a }}</p></template>`,
    ['a!, b, event:go() : platform', 'p', '  text'],
  ],
  [
    'props by type, taken apart with defaults',
    `<script setup lang="ts">const { a, b = 2 } = defineProps<{ a: string; b?: number }>();</script><template><p>{{ a }}{{ b }}</p></template>`,
    ['a!, b=2 : platform', 'p', '  text', '  text'],
  ],
  [
    'withDefaults',
    `<script setup lang="ts">withDefaults(defineProps<{ a?: string }>(), { a: 'x' });</script><template><p>{{ a }}</p></template>`,
    ["a='x' : platform", 'p', '  text'],
  ],
  [
    'props spread from elsewhere are open',
    `<script setup>import { shared } from './s'; defineProps({ ...shared, a: String });</script><template><p/></template>`,
    ['a : open', 'p'],
  ],
  [
    'props held elsewhere are open',
    `<script setup>import { props } from './s'; defineProps(props);</script><template><p/></template>`,
    [' : open', 'p'],
  ],
  [
    'props of options',
    `<script>export default { props: { a: { type: String, required: true } } };</script><template><p>{{ a }}</p></template>`,
    ['a! : platform', 'p', '  text'],
  ],
  [
    'defineComponent',
    `<script lang="ts">import { defineComponent } from 'vue'; export default defineComponent({ props: ['a'], emits: ['go'] });</script><template><p>{{ a }}</p></template>`,
    ['a, event:go() : platform', 'p', '  text'],
  ],
  [
    'options kept in a constant',
    `<script>const options = { props: ['a'] }; export default options;</script><template><p>{{ a }}</p></template>`,
    ['a : platform', 'p', '  text'],
  ],
  [
    'mixins are open',
    `<script>import m from './m'; export default { mixins: [m], props: ['a'] };</script><template><p>{{ a }}</p></template>`,
    ['a : open', 'p', '  text'],
  ],
  [
    'emits as an array',
    `<script setup>defineEmits(['go', 'row-pick']);</script><template><p/></template>`,
    ['event:go(), event:rowPick() : platform', 'p'],
  ],
  [
    'emits as an object',
    `<script setup>defineEmits({ go: null, stop: (x) => true });</script><template><p/></template>`,
    ['event:go(), event:stop() : platform', 'p'],
  ],
  [
    'emits by call signatures',
    `<script setup lang="ts">defineEmits<{ (e: 'go', to: number): void; (e: 'stop' | 'wait'): void }>();</script><template><p/></template>`,
    ['event:go(), event:stop(), event:wait() : platform', 'p'],
  ],
  [
    'emits by members',
    `<script setup lang="ts">defineEmits<{ go: [to: number]; 'update:a': [a: string] }>();</script><template><p/></template>`,
    ['event:go(), model:a() : platform', 'p'],
  ],
  [
    'emits by an interface of the file',
    `<script setup lang="ts">interface Emits { (e: 'go'): void } defineEmits<Emits>();</script><template><p/></template>`,
    ['event:go() : platform', 'p'],
  ],
  [
    'emits by a type from elsewhere, which link resolves',
    `<script setup lang="ts">import type { Emits } from './e'; defineEmits<Emits>();</script><template><p/></template>`,
    [' : platform', 'p'],
  ],
  [
    'an event that is raised without being declared',
    `<template><button @click="$emit('go')">x</button></template>`,
    ['event:go()? : platform', 'button'],
  ],
  [
    'a model',
    `<script setup>const model = defineModel();</script><template><input v-model="model"></template>`,
    ['modelValue<>, model:modelValue() : platform', 'input'],
  ],
  [
    'a named model with options',
    `<script setup>const t = defineModel('title', { required: true });</script><template><input v-model="t"></template>`,
    ['title<>!, model:title() : platform', 'input'],
  ],
  [
    'the older model',
    `<script>export default { props: ['modelValue'], emits: ['update:modelValue'] };</script><template><input :value="modelValue" @input="$emit('update:modelValue', $event.target.value)"></template>`,
    ['modelValue, model:modelValue() : platform', 'input'],
  ],
  ['one root takes what is not declared', `<template><p/></template>`, [' : platform', 'p']],
  [
    'one root in a chain of conditions',
    `<script setup>defineProps(['a']);</script><template><p v-if="a"/><b v-else/></template>`,
    ['a : platform', 'if a', '  p', 'if not a', '  b'],
  ],
  ['several roots lose it', `<template><p/><b/></template>`, [' : closed', 'p', 'b']],
  [
    'a list as root loses it',
    `<script setup>defineProps(['a']);</script><template><p v-for="x in a" :key="x"/></template>`,
    ['a : closed', 'each x of a', '  p'],
  ],
  ['a slot as root loses it', `<template><slot/></template>`, ['slot:default{} : closed', '{slot:default}']],
  [
    'inheritAttrs false loses it',
    `<script setup>defineOptions({ inheritAttrs: false });</script><template><p/></template>`,
    [' : closed', 'p'],
  ],
  [
    'inheritAttrs false with $attrs',
    `<script setup>defineOptions({ inheritAttrs: false });</script><template><p/><b v-bind="$attrs"/></template>`,
    [' : platform', 'p', 'b'],
  ],
  ['inheritAttrs in options', `<script>export default { inheritAttrs: false };</script><template><p/></template>`, [' : closed', 'p']],
  [
    'a component as root',
    `<script setup>import Inner from './Inner.vue';</script><template><Inner/></template>`,
    [' : through Inner', 'Inner(…)'],
  ],
  [
    'attrs read in script by name',
    `<script setup>import { useAttrs } from 'vue'; const attrs = useAttrs(); console.log(attrs.id);</script><template><p/></template>`,
    ['id : platform', 'p'],
  ],
  [
    'attrs read in script as a whole are open',
    `<script setup>import { useAttrs } from 'vue'; const attrs = useAttrs(); console.log(attrs);</script><template><p/></template>`,
    [' : open', 'p'],
  ],
  ['a teleport as root loses it', `<template><Teleport to="body"><p/></Teleport></template>`, [' : closed', 'Teleport', '  p']],
  ['root within a transition', `<template><Transition><p/></Transition></template>`, [' : platform', 'Transition', '  p']],
  ['the default slot', `<template><div><slot/></div></template>`, ['slot:default{} : platform', 'div', '  {slot:default}']],
  [
    'named slots, with fallback and values',
    `<script setup>defineProps(['a']);</script><template><div><slot name="head">none</slot><slot name="row" :a="a"/></div></template>`,
    ['a, slot:head{}, slot:row{} : platform', 'div', '  {slot:head}', '  {slot:row}'],
  ],
  [
    'a slot named by a value',
    `<script setup>defineProps(['a']);</script><template><div><slot :name="a"/></div></template>`,
    ['a, slot:*{} : platform', 'div', '  {slot:*}'],
  ],
  [
    'both scripts',
    `<script>export const kinds = [1];</script><script setup>defineProps(['a']); const x = kinds[0];</script><template><p>{{ a }}{{ x }}</p></template>`,
    ['a : platform', 'p', '  text', '  text'],
  ],
  [
    'a render function that is read whole tells its contract',
    `<script>import { h } from 'vue'; export default { props: ['a'], render() { return h('p', this.a); } };</script>`,
    ['a : platform', 'p'],
  ],
  [
    'one that is not is open',
    `<script>import { h } from 'vue'; import { made } from './made'; export default { props: ['a'], render() { return made(h, this.a); } };</script>`,
    ['a : open', 'text'],
  ],
  [
    'a setup that renders tells its contract',
    `<script>import { h } from 'vue'; export default { props: ['a'], setup(props) { return () => h('p', props.a); } };</script>`,
    ['a : platform', 'p'],
  ],
  ['a template in another language is told', `<template lang="pug">p a</template>`, [' : open', '! Liana does not read templates in pug.']],
  [
    'a script that stands elsewhere is told',
    `<script src="./a.js"></script><template><p/></template>`,
    [' : open', 'p', '! The script stands in ./a.js and is not followed.'],
  ],
  [
    'a template that breaks off',
    `<script setup>defineProps(['a']);</script><template><div><p>{{ a }</p></div></template>`,
    [
      'a : platform',
      'div',
      '  p',
      '! Interpolation end sign was not found.',
      '! Element is missing end tag.',
      '! Element is missing end tag.',
      '! Element is missing end tag.',
    ],
  ],
  [
    'a script that breaks off',
    `<script setup>const a = ;</script><template><p>{{ a }}</p></template>`,
    ['a? : open', 'p', '  text', '! Unexpected token'],
  ],
  [
    'an expression that breaks off',
    `<script setup>const a = 1;</script><template><p :title="a +">{{ a }}</p></template>`,
    [' : platform', 'p', '  text', '! Unexpected token'],
  ],
  ['an empty file', ``, [' : closed']],
  [
    'conditions',
    `<script setup>defineProps(['a', 'b']);</script><template><div><p v-if="a">1</p><b v-else-if="b">2</b><i v-else>3</i></div></template>`,
    ['a, b : platform', 'div', '  if a', '    p', '  if not a', '    if b', '      b', '  if not a', '    if not b', '      i'],
  ],
  [
    'a list',
    `<script setup>import Row from './Row.vue'; defineProps(['rows']);</script><template><ul><Row v-for="(row, at) in rows" :key="row.id" :row="row" :at="at"/></ul></template>`,
    ['rows : platform', 'ul', '  each row of rows', '    Row(row, at)'],
  ],
  [
    'a repeated template',
    `<script setup>import Row from './Row.vue'; defineProps(['rows']);</script><template><ul><template v-for="row in rows" :key="row.id"><Row :row="row"/><hr></template></ul></template>`,
    ['rows : platform', 'ul', '  each row of rows', '    Row(row)', '    hr'],
  ],
  [
    'spellings of a tag',
    `<script setup>import BoatRow from './BoatRow.vue';</script><template><div><BoatRow/><boat-row/><boatRow/></div></template>`,
    [' : platform', 'div', '  BoatRow()', '  BoatRow()', '  BoatRow()'],
  ],
  [
    'registered components',
    `<script>import Row from './Row.vue'; export default { components: { 'the-row': Row, Other: Row } };</script><template><div><the-row/><Other/><TheRow/></div></template>`,
    [' : platform', 'div', '  Row()', '  Row()', '  TheRow()'],
  ],
  [
    'members of a namespace',
    `<script setup>import * as Form from './form';</script><template><Form.Input a="1"/></template>`,
    [' : through Form.Input', 'Form.Input(a, …)'],
  ],
  [
    'built-in parts',
    `<template><Teleport to="body"><KeepAlive><Suspense><p/></Suspense></KeepAlive></Teleport></template>`,
    [' : closed', 'Teleport', '  KeepAlive', '    Suspense', '      p'],
  ],
  [
    'slots of a use',
    `<script setup>import Card from './Card.vue';</script><template><Card><template #head><p/></template><template #[name]="x"><b/></template>text</Card></template>`,
    [' : through Card', 'Card(slot:head, slot:*, …)', '  p', '  b'],
  ],
  [
    'slots of a use, in the older way',
    `<script>import Card from './Card.vue'; export default { components: { Card } };</script><template><Card><template slot="head" slot-scope="{ boat }"><p>{{ boat }}</p></template><b slot="foot">x</b><i slot-scope="one">{{ one.eta }}</i></Card></template>`,
    [' : through Card', 'Card(slot:head, slot:foot, …)', '  p', '    text', '  b', '  i', '    text'],
  ],
  [
    'an attribute of the platform, in a script that only the newer version has',
    `<script setup>import Card from './Card.vue';</script><template><Card><b slot="foot">x</b></Card></template>`,
    [' : through Card', 'Card(…)', '  b'],
  ],
  [
    'every kind of binding',
    `<script setup>import Row from './Row.vue'; const a = {}; const go = () => {};</script><template><Row a :b="a" :c v-bind="a" v-model="a.x" v-model:t.trim="a.t" @go="go" @stop.once="a.n++" v-on="a" v-show="a" data-x="1" some-prop="2" class="k"/></template>`,
    [
      ' : through Row',
      'Row(a, b, c, modelValue, model:modelValue, t, model:t, event:go, event:stop, directive show, data-x, someProp, class, …, …, …)',
    ],
  ],
  [
    'a component of its own name',
    `<script setup>defineProps(['a']);</script><template><Part v-if="a" :a="a.next"/></template>`,
    ['a : through default', 'if a', '  default(a, …)'],
  ],
  [
    'a tag by a value',
    `<script setup>defineProps(['part']);</script><template><component :is="part" a="1"/><component is="p"/></template>`,
    ['part : closed', '?(a)', 'p'],
  ],
  [
    'what is provided',
    `<script setup>import { provide } from 'vue'; provide('a', 1); provide('b', 2);</script><template><slot/></template>`,
    ['slot:default{} : closed', "key:'a'(value)", "  key:'b'(value)", '    {slot:default}'],
  ],
];

test.each(cases)('%s', (_, text, says) => {
  expect(said(text)).toEqual(says);
});

describe('a component that names files as its parts', () => {
  const files = {
    'src/App.vue': '<template><Row :at="1"/></template><script setup>import Row from "./Row.vue";</script>',
    'src/Row.vue': '<template><p @click="go">{{ at }} {{ wide }}</p></template>\n<script src="./Row" lang="ts"></script>',
    'src/Row.ts':
      "import { defineComponent } from 'vue';\nexport default defineComponent({ props: { at: { type: Number, required: true } }, methods: { go() { this.$emit('pick'); } } });\n",
    'src/Box.vue': '<template src="./Box.html"></template>\n<script setup>defineProps(["at"]);</script>',
    'src/Box.html': '<p>{{ at }}<b>{{ none }}</b></p>\n',
  };
  const { model, findings } = analyseFiles(files);
  const places = findings
    .filter(({ rule }) => rule === 'name-unknown')
    .map(({ at, subject }) => [subject, at.file, files[at.file as keyof typeof files].slice(at.start, at.end)]);
  test('its script is read with it, and stands for no component of its own', () => {
    const row = [...model.components.values()].filter(({ name }) => name === 'Row');
    expect(row.map(({ file, facts }) => [file, facts.files, contractLine(facts)])).toEqual([
      ['src/Row.vue', ['src/Row.vue', 'src/Row.ts'], 'at!, event:pick()? : platform'],
    ]);
    expect(row[0]?.facts.actions.find(({ name }) => name === 'go')?.span).toMatchObject({ file: 'src/Row.ts' });
  });
  test('what is wrong is told where it stands', () => {
    expect(places).toEqual([
      ['none', 'src/Box.html', 'none'],
      ['wide', 'src/Row.vue', 'wide'],
    ]);
  });
  test('nothing is said of one whose part is not at hand, or which is made of another', () => {
    const { 'src/Row.ts': _, ...without } = files;
    expect(analyseFiles(without).findings.filter(({ component }) => /Row/.test(component))).toEqual([]);
    const made = {
      ...files,
      'src/Row.ts': "import { Base } from './base';\nexport default Base.extend({ props: { at: { type: Number } } });\n",
      'src/base.ts': "import Vue from 'vue';\nexport const Base = Vue.extend({ data: () => ({ wide: 1 }) });\n",
    };
    expect(
      analyseFiles(made)
        .findings.filter(({ rule }) => rule === 'name-unknown')
        .map(({ subject }) => subject),
    ).toEqual(['none']);
  });
});

test.each<[string, readonly string[], readonly string[]]>([
  ['of its own name', ['a/Row.vue', 'a/Row.ts', 'a/Row.html', 'a/Row.spec.ts', 'a/Box.vue', 'a/other.ts'], ['a/Row.html', 'a/Row.ts']],
  ['few beside the one component', ['a/Row.vue', 'a/script.ts', 'a/index.ts', 'b/c.ts'], ['a/script.ts']],
  ['not beside one of several', ['a/Row.vue', 'a/Box.vue', 'a/script.ts'], []],
  ['not of many', ['a/Row.vue', 'a/b.ts', 'a/c.ts', 'a/d.ts', 'a/e.ts'], []],
])('files that may be parts: %s', (_, all, expected) => {
  expect(filesBeside('a/Row.vue', all)).toEqual(expected);
});
