import type { TraceCase } from '../trace';
import { importVue, vue } from './alike';

const leaf = ["defineProps(['a']);", '<p>{{ a }}</p>'] as const;
/** A component in the options style. */
const opt = (body: string, template: string, imports = ''): string =>
  `<script>\n${imports}\nexport default {${body}};\n</script>\n<template>${template}</template>`;
const vueOld = vue({
  'App.vue': opt(
    ' components: { Leaf }, data() { return { n: 0, open: false }; }, computed: { twice() { return this.n * 2; }, all: { get() { return this.n; }, set(to) { this.n = to; } } }, watch: { open(now) { this.n = now; } }, methods: { add() { this.n++; }, reset() { this.add(); this.all = 0; } }, mounted() { this.open = true; } ',
    '<div><Leaf :a="twice"/><button @click="reset">x</button><input v-model="all"></div>',
    "import Leaf from './Leaf.vue';",
  ),
  'Leaf.vue': leaf,
});
/** A page that a route shows, with what the router gives to it. */
const vueRouted = (props: string) => ({
  ...vue({
    'Frame.vue': ['', '<RouterView/>'],
    'App.vue': ['defineProps({ lockId: Number, wide: Boolean });', '<p>{{ lockId }}{{ wide }}</p>'],
  }),
  'src/main.js': `import { createApp } from 'vue'; import { createRouter } from 'vue-router'; import Frame from './Frame.vue'; import App from './App.vue';
const router = createRouter({ routes: [{ path: '/locks/:lockId', component: App, props: ${props} }] });
createApp(Frame).use(router).mount('#app');`,
});
const vueProv = vue({
  'App.vue': opt(
    ' components: { Badge }, data() { return { ada: 1 }; }, provide() { return { keeper: this.ada }; } ',
    '<Badge/>',
    "import Badge from './Badge.vue';",
  ),
  'Badge.vue': opt(" inject: ['keeper'], computed: { loud() { return this.keeper + '!'; } } ", '<b>{{ loud }}</b>'),
});
const vueEmit = vue({
  'App.vue': opt(
    " components: { Row }, data() { return { picked: '' }; }, methods: { pick(name) { this.picked = name; } } ",
    '<Row boat-name="b" @row-pick="pick"/>',
    "import Row from './Row.vue';",
  ),
  'Row.vue': opt(
    " props: { boatName: { type: String, required: true } }, emits: ['rowPick'], methods: { go() { this.$emit('rowPick', this.boatName); } } ",
    '<button @click="go">x</button>',
  ),
});
const vueModels = vue({
  'App.vue': [
    `import { reactive } from 'vue'; ${importVue('Form')}\nconst form = reactive({ boat: '', eta: 1 });`,
    '<Form v-model:boat="form.boat" v-model:eta.number="form.eta"/>',
  ],
  'Form.vue': [
    "const boat = defineModel('boat'); const eta = defineModel('eta', { default: 2 });",
    '<input v-model="boat"><select v-model="eta"></select>',
  ],
});
const vueTyped = vue({
  'App.vue': `<script setup lang="ts">\nimport { ref } from 'vue'; import Leaf from './Leaf.vue';\nconst a = ref<number>(1);\n</script>\n<template><Leaf :a="a"/></template>`,
  'Leaf.vue': `<script lang="ts">\nexport interface Props { a: number; b?: string }\n</script>\n<script setup lang="ts">\nconst props = withDefaults(defineProps<Props>(), { b: 'x' });\nconst emit = defineEmits<{ (e: 'go', to: number): void; (e: 'stop'): void }>();\n</script>\n<template><p @click="emit('go', props.a)">{{ a }}{{ b }}</p></template>`,
});
const vueRefs = vue({
  'App.vue': [
    `import { reactive, toRefs, computed, readonly } from 'vue'; ${importVue('Leaf')}\nconst state = reactive({ n: 1, m: 2 });\nconst { n } = toRefs(state);\nconst shown = readonly(n);\nconst sum = computed(() => n.value + state.m);`,
    '<Leaf :a="sum"/><b @click="n++">{{ shown }}</b>',
  ],
  'Leaf.vue': leaf,
});
const vuePropRefs = vue({
  'App.vue': [`import { ref } from 'vue'; ${importVue('Leaf')}\nconst a = ref(1);`, '<Leaf :a/>'],
  'Leaf.vue': [
    "import { toRefs, toRef, computed } from 'vue'; import { useTwice } from './twice';\nconst props = defineProps(['a']); const { a } = toRefs(props); const b = toRef(props, 'a'); const c = toRef(() => props.a); const d = useTwice(a);",
    '<p>{{ a }}{{ b }}{{ c }}{{ d }}</p>',
  ],
  'twice.js': "import { computed, toValue } from 'vue';\nexport function useTwice(n) { return computed(() => toValue(n) * 2); }",
});
const vueSetupStore = vue({
  'keeper.js':
    "import { defineStore } from 'pinia'; import { ref, computed } from 'vue';\nexport const useKeeper = defineStore('keeper', () => { const name = ref('Ada'); const loud = computed(() => name.value + '!'); function rename(to) { name.value = to; } return { name, loud, rename }; });",
  'App.vue': [
    "import { useKeeper } from './keeper';\nconst keeper = useKeeper();",
    '<p>{{ keeper.loud }}</p><button @click="keeper.rename(\'Bo\')">x</button>',
  ],
});
const vueWatch = vue({
  'App.vue': [
    "import { ref, watch, watchEffect } from 'vue';\nconst a = ref(1); const b = ref(2); const c = ref(3); const d = ref(4);\nwatch([a, () => b.value], () => { c.value = 0; });\nwatchEffect(() => { d.value = a.value; });",
    '<p>{{ c }}{{ d }}</p>',
  ],
});
const vueSlots = vue({
  'App.vue': [
    `import { ref } from 'vue'; ${importVue('Table', 'Leaf')}\nconst boats = ref([]);`,
    '<Table :rows="boats"><template #row="{ row, at }"><Leaf :a="row.name"/></template><template #empty>none</template></Table>',
  ],
  'Table.vue': [
    "defineProps(['rows']);",
    '<ul><li v-for="(row, at) in rows" :key="row.id"><slot name="row" :row="row" :at="at"/></li><slot name="empty"><b>empty</b></slot></ul>',
  ],
  'Leaf.vue': leaf,
});
const vueGlobal = {
  ...vue({ 'App.vue': ["import { ref } from 'vue';\nconst a = ref(1);", '<base-leaf :a="a"/>'], 'Leaf.vue': leaf }),
  'src/main.js':
    "import { createApp } from 'vue'; import App from './App.vue'; import Leaf from './Leaf.vue';\nconst app = createApp(App); app.component('BaseLeaf', Leaf); app.provide('site', 'x'); app.mount('#app');",
};
const vueObject = vue({
  'App.vue': [`import { ref } from 'vue'; import { Leaf } from './leaf';\nconst a = ref(1);`, '<Leaf :a="a"/>'],
  'leaf.js': "import { defineComponent } from 'vue';\nexport const Leaf = defineComponent({ props: ['a'], template: '<p>{{ a }}</p>' });",
});
const vueSetupOption = vue({
  'App.vue': opt(
    ' components: { Row }, setup(props, { emit }) { const n = ref(0); const twice = computed(() => n.value * 2); const add = () => { n.value++; }; return { n, twice, add, late: computed(() => n.value > 3) }; } ',
    '<Row @pick="add" :a="twice"/><p>{{ late }}</p>',
    "import { ref, computed } from 'vue'; import Row from './Row.vue';",
  ),
  'Row.vue': opt(
    " props: ['a'], emits: ['pick'], setup(props, context) { return { go: () => context.emit('pick', props.a) }; } ",
    '<b @click="go">{{ a }}</b>',
  ),
});
const vueLazy = vue({
  'App.vue': [
    "import { ref, defineAsyncComponent } from 'vue';\nconst Leaf = defineAsyncComponent(() => import('./Leaf.vue'));\nconst a = ref(1);",
    '<Suspense><Leaf :a="a"/></Suspense>',
  ],
  'Leaf.vue': leaf,
});
const vueKey = vue({
  'keys.js': "export const keeperKey = Symbol('keeper');",
  'App.vue': [
    `import { ref, provide, readonly } from 'vue'; import { keeperKey } from './keys'; ${importVue('Badge')}\nconst ada = ref(1);\nprovide(keeperKey, { name: readonly(ada), rename: (to) => { ada.value = to; } });`,
    '<Badge/>',
  ],
  'Badge.vue': [
    "import { inject } from 'vue'; import { keeperKey } from './keys';\nconst { name, rename } = inject(keeperKey);",
    '<b @click="rename(2)">{{ name }}</b>',
  ],
});
const vueElse = vue({
  'App.vue': [
    "import { ref } from 'vue';\nconst kind = ref('a'); const boat = ref('x');",
    `<p v-if="kind === 'a'">{{ boat }}</p><p v-else-if="kind === 'b'" v-show="boat">b</p><p v-else v-html="boat"/>`,
  ],
});

/** Traces: what is Vue's own. */
export const vueOwn: readonly TraceCase[] = [
  {
    name: 'a prop that a route computes from the address',
    files: vueRouted('(route) => ({ lockId: Number(route.params.lockId), wide: true })'),
    of: 'App.lockId',
    ask: 'comes',
    rungs: ['App owns lockId', 'main.js derives route', 'main.js owns route | asked url route'],
  },
  {
    name: 'a prop that a route gives as it is',
    files: vueRouted('(route) => ({ lockId: Number(route.params.lockId), wide: true })'),
    of: 'App.wide',
    ask: 'comes',
    rungs: ['App owns wide', 'main.js passes wide | constant true'],
  },
  {
    name: 'a prop of a route that hands on what its path names',
    files: vueRouted('true'),
    of: 'App.lockId',
    ask: 'comes',
    rungs: ['App owns lockId', 'main.js passes route', 'main.js owns route | asked url route'],
  },
  {
    name: 'a prop that a route gives to nobody',
    files: vueRouted('false'),
    of: 'App.lockId',
    ask: 'comes',
    rungs: ['App owns lockId', 'App passes lockId | ungiven'],
  },

  {
    name: 'options: data through a computed',
    files: vueOld,
    of: 'App.n',
    ask: 'goes',
    rungs: [
      'App owns n',
      '  App derives all',
      '  App paints all | painted',
      'App derives twice',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'options: methods that call methods',
    files: vueOld,
    of: 'App.n',
    ask: 'changes',
    rungs: [
      'App owns n',
      '  App changes n',
      '  App starts watch open | platform when open changes',
      '  App changes n',
      '  App catches add',
      '  App calls add',
      '  App catches reset',
      '  App starts click | platform button',
      'App changes n',
      'App catches set all',
      '  App calls set all',
      '  App catches reset | again',
      'App calls set all',
      'App starts input | platform input',
    ],
  },
  {
    name: 'options: mounted',
    files: vueOld,
    of: 'App.open',
    ask: 'changes',
    rungs: ['App owns open', 'App changes open', 'App starts mounted | platform once it stands on the page'],
  },
  {
    name: 'options: a computed that is written',
    files: vueOld,
    of: 'App.all',
    ask: 'goes',
    rungs: ['App owns all', 'App paints all | painted'],
  },
  {
    name: 'options: a watcher',
    files: vueOld,
    of: 'App.open',
    ask: 'goes',
    rungs: [
      'App owns open',
      '  App reads open | read',
      'App renames now',
      'App changes n',
      '  App derives all',
      '  App paints all | painted',
      'App derives twice',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'options: provide and inject',
    files: vueProv,
    of: 'App.ada',
    ask: 'goes',
    rungs: ['App owns ada', 'App provides keeper', 'Badge takes keeper', 'Badge derives loud', 'Badge paints loud | painted'],
  },
  {
    name: 'options: inject, back',
    files: vueProv,
    of: 'Badge.loud',
    ask: 'comes',
    rungs: ['Badge owns loud', 'Badge derives keeper', 'Badge takes keeper', 'App provides ada', 'App owns ada | constant'],
  },
  {
    name: 'options: $emit, kebab and camel',
    files: vueEmit,
    of: 'App.picked',
    ask: 'changes',
    rungs: [
      'App owns picked',
      'App changes picked',
      'App catches pick',
      'Row relays rowPick',
      'Row raises rowPick',
      'Row catches go',
      'Row starts click | platform button',
    ],
  },
  {
    name: 'options: what $emit hands over',
    files: vueEmit,
    of: 'Row.boatName',
    ask: 'goes',
    rungs: ['Row owns boatName', 'Row raises rowPick', 'App relays pick', 'App catches name', 'App changes picked'],
  },
  {
    name: 'options: a prop in kebab, back',
    files: vueEmit,
    of: 'Row.boatName',
    ask: 'comes',
    rungs: ['Row owns boatName', 'App passes boatName | constant "b"'],
  },
  {
    name: 'two models of one form, down',
    files: vueModels,
    of: 'App.form.boat',
    ask: 'goes',
    rungs: ['App owns form.boat', 'Form renames boat', 'Form paints boat | painted'],
  },
  {
    name: 'two models of one form, up',
    files: vueModels,
    of: 'App.form.eta',
    ask: 'changes',
    rungs: ['App owns form.eta', 'App changes form', 'App catches eta', 'Form raises eta', 'Form starts change | platform select'],
  },
  {
    name: 'props and emits by type',
    files: vueTyped,
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', '  Leaf paints a | painted', 'Leaf raises go | unheard'],
  },
  { name: 'a default beside a type', files: vueTyped, of: 'Leaf.b', ask: 'comes', rungs: ['Leaf owns b', "Leaf passes b | default 'x'"] },
  {
    name: 'reactive, toRefs, readonly',
    files: vueRefs,
    of: 'App.state.n',
    ask: 'goes',
    rungs: [
      'App owns state.n',
      '  App renames shown',
      '  App paints shown | painted',
      'App derives sum',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a change through a ref of reactive',
    files: vueRefs,
    of: 'App.state.n',
    ask: 'changes',
    rungs: ['App owns state.n', 'App changes state', 'App starts click | platform b'],
  },
  {
    name: 'another member of reactive',
    files: vueRefs,
    of: 'App.state.m',
    ask: 'goes',
    rungs: ['App owns state.m', 'App derives sum', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'refs of props, and a composable that is given one',
    files: vuePropRefs,
    of: 'App.a',
    ask: 'goes',
    rungs: [
      'App owns a',
      'Leaf passes a',
      '  Leaf paints a | painted ×2',
      '  Leaf derives c',
      '  Leaf paints c | painted',
      'Leaf/useTwice passes n',
      'Leaf/useTwice derives computed',
      'Leaf/useTwice gives d',
      'Leaf paints d | painted',
    ],
  },
  {
    name: 'a composable, back to the prop',
    files: vuePropRefs,
    of: 'Leaf.d',
    ask: 'comes',
    rungs: [
      'Leaf owns d',
      'Leaf/useTwice gives computed',
      'Leaf/useTwice derives n',
      'Leaf passes a',
      'App passes a',
      'App owns a | constant',
    ],
  },
  {
    name: 'a store that is set up',
    files: vueSetupStore,
    of: 'keeper.js:name',
    ask: 'goes',
    rungs: [
      'keeper.js owns name',
      '  keeper.js gives useKeeper',
      'keeper.js derives loud',
      'keeper.js gives useKeeper',
      'App takes keeper.loud',
      'App paints keeper.loud | painted',
    ],
  },
  {
    name: 'what changes a store that is set up',
    files: vueSetupStore,
    of: 'keeper.js:name',
    ask: 'changes',
    rungs: [
      'keeper.js owns name',
      'keeper.js changes name',
      'keeper.js catches rename',
      'keeper.js relays useKeeper',
      'App relays keeper.rename',
      'App calls keeper.rename',
      'App starts click | platform button',
    ],
  },
  {
    name: 'watch of several',
    files: vueWatch,
    of: 'App.c',
    ask: 'changes',
    rungs: ['App owns c', 'App changes c', 'App starts watch | platform when a, b changes'],
  },
  {
    name: 'watchEffect',
    files: vueWatch,
    of: 'App.d',
    ask: 'changes',
    rungs: ['App owns d', 'App changes d', 'App starts watchEffect | platform when a changes'],
  },
  {
    name: 'watched',
    files: vueWatch,
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', '  App reads a | read ×2', 'App changes d', 'App paints d | painted'],
  },
  {
    name: 'a scoped slot in a list',
    files: vueSlots,
    of: 'App.boats',
    ask: 'goes',
    rungs: [
      'App owns boats',
      'Table renames rows',
      'Table narrows row',
      'App gives { row, at }',
      'Leaf narrows a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a scoped slot in a list, back',
    files: vueSlots,
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App narrows { row, at }',
      'Table gives row',
      'Table narrows rows',
      'App renames boats',
      'App owns boats | constant',
    ],
  },
  {
    name: 'a component registered for all',
    files: vueGlobal,
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'a component written as an object',
    files: vueObject,
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'a component loaded when shown',
    files: vueLazy,
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'the setup option',
    files: vueSetupOption,
    of: 'App.n',
    ask: 'goes',
    rungs: [
      'App owns n',
      '  App derives late',
      '  App paints late | painted',
      'App derives twice',
      'Row renames a',
      '  Row paints a | painted',
      'App relays add',
      'Row raises pick | untaken add',
    ],
  },
  {
    name: 'the setup option, an event',
    files: vueSetupOption,
    of: 'App.n',
    ask: 'changes',
    rungs: [
      'App owns n',
      'App changes n',
      'App catches add',
      'Row relays pick',
      'Row raises pick',
      'Row catches go',
      'Row starts click | platform b',
    ],
  },
  {
    name: 'a context by a symbol, with members',
    files: vueKey,
    of: 'App.ada',
    ask: 'goes',
    rungs: ['App owns ada', 'App provides keeperKey', 'Badge takes keeperKey.name', 'Badge paints keeperKey.name | painted'],
  },
  {
    name: 'a function in a context',
    files: vueKey,
    of: 'App.ada',
    ask: 'changes',
    rungs: [
      'App owns ada',
      'App changes ada',
      'App catches rename',
      'App relays keeperKey',
      'Badge relays keeperKey.rename',
      'Badge calls keeperKey.rename',
      'Badge starts click | platform b',
    ],
  },
  { name: 'conditions in a chain', files: vueElse, of: 'App.kind', ask: 'goes', rungs: ['App owns kind', 'App paints kind | painted ×2'] },
  {
    name: 'what is shown in a chain',
    files: vueElse,
    of: 'App.boat',
    ask: 'goes',
    rungs: ['App owns boat', '  App paints boat | painted', 'App paints boat | painted ×2'],
  },
];
