import { type Form, mended } from './form';

/** A component by its setup and its template. */
const sfc = (setup: string, template: string, lang = ''): string =>
  `<script setup${lang === '' ? '' : ` lang="${lang}"`}>\n${setup}\n</script>\n\n<template>\n  ${template}\n</template>\n`;

/** A component by its options. */
const options = (script: string, template: string): string => `<template>\n  ${template}\n</template>\n\n<script>\n${script}\n</script>\n`;

/** Faults as they are written in Vue. */
export const vueForms: readonly Form[] = [
  {
    rule: 'prop-written',
    form: 'a member of a prop is set by a field',
    files: {
      'App.vue': sfc(
        `import { reactive } from 'vue';\nimport Edit from './Edit.vue';\nconst boat = reactive({ name: 'Wren' });`,
        `<main><Edit :boat="boat" /><p>{{ boat.name }}</p></main>`,
      ),
      'Edit.vue': sfc(`defineProps({ boat: Object });`, `<label>Name<input ¶v-model="boat.name" /></label>`),
    },
    sound: {
      'Edit.vue': sfc(
        `defineProps({ boat: Object });\nconst emit = defineEmits(['rename']);`,
        `<label>Name<input :value="boat.name" @input="emit('rename', $event.target.value)" /></label>`,
      ),
      'App.vue': sfc(
        `import { reactive } from 'vue';\nimport Edit from './Edit.vue';\nconst boat = reactive({ name: 'Wren' });`,
        `<main><Edit :boat="boat" @rename="boat.name = $event" /><p>{{ boat.name }}</p></main>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'prop-written',
    form: 'a prop is assigned in a method',
    files: {
      'App.vue': sfc(`import Dial from './Dial.vue';`, `<Dial :level="2" />`),
      'Dial.vue': options(
        `export default { props: ['level'], methods: { up() { ¶this.level++; } } };`,
        `<button @click="up">Up {{ level }}</button>`,
      ),
    },
    sound: {
      'Dial.vue': options(
        `export default { props: ['level'], data() { return { more: 0 }; }, methods: { up() { this.more++; } } };`,
        `<button @click="up">Up {{ level + more }}</button>`,
      ),
    },
    acts: ['Up'],
  },
  {
    rule: 'prop-copied',
    form: 'a ref begins with a prop',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Note from './Note.vue';\nconst text = ref('first');`,
        `<main><button @click="text = 'second'">Next</button><Note :text="text" /></main>`,
      ),
      'Note.vue': sfc(
        `import { ref } from 'vue';\nconst props = defineProps(['text']);\nconst shown = ref(¶props.text);\nconst clear = () => { shown.value = ''; };`,
        `<p @click="clear">{{ shown }}</p>`,
      ),
    },
    sound: { 'Note.vue': sfc(`defineProps(['text']);`, `<p>{{ text }}</p>`) },
    acts: ['Next'],
  },
  {
    rule: 'prop-copied',
    form: 'reactive with a spread of a prop',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Form from './Form.vue';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nconst at = ref(0);`,
        `<main><button @click="at = 1">Next</button><Form :person="all[at]" /></main>`,
      ),
      'Form.vue': sfc(
        `import { reactive } from 'vue';\nconst props = defineProps({ person: { type: Object, required: true } });\nconst draft = reactive({ ...¶props.person });`,
        `<input v-model="draft.name" />`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Form from './Form.vue';\nconst all = [{ name: 'Ann' }, { name: 'Bo' }];\nconst at = ref(0);`,
        `<main><button @click="at = 1">Next</button><Form :key="at" :person="all[at]" /></main>`,
      ),
    },
    acts: ['Next'],
  },
  {
    rule: 'stale-reading',
    form: 'a prop that is taken out of props once',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Price from './Price.vue';\nconst amount = ref(1);`,
        `<main><button @click="amount++">More</button><Price :amount="amount" /></main>`,
      ),
      'Price.vue': options(
        `import { computed, toRefs } from 'vue';\nexport default {\n  props: { amount: Number },\n  setup(props) {\n    const { ¶amount } = props;\n    const price = computed(() => amount * 3);\n    return { price };\n  },\n};`,
        `<p>{{ price }}</p>`,
      ),
    },
    sound: {
      'Price.vue': options(
        `import { computed } from 'vue';\nexport default {\n  props: { amount: Number },\n  setup(props) {\n    const price = computed(() => props.amount * 3);\n    return { price };\n  },\n};`,
        `<p>{{ price }}</p>`,
      ),
    },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'a computed value is read once and kept',
    files: {
      'App.vue': sfc(
        `import { computed, ref } from 'vue';\nconst n = ref(1);\nconst twice = computed(() => n.value * 2);\nconst label = 'twice ' + ¶twice.value;`,
        `<main><button @click="n++">More</button><p>{{ label }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { computed, ref } from 'vue';\nconst n = ref(1);\nconst twice = computed(() => n.value * 2);\nconst label = computed(() => 'twice ' + twice.value);`,
        `<main><button @click="n++">More</button><p>{{ label }}</p></main>`,
      ),
    },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'a watcher of a reactive member by its value',
    files: {
      'App.vue': sfc(
        `import { reactive, ref, watch } from 'vue';\nconst form = reactive({ name: 'a' });\nconst said = ref('');\nwatch(¶form.name, (to) => { said.value = to; });`,
        `<main><button @click="form.name = 'b'">Name</button><p>{{ said }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { reactive, ref, watch } from 'vue';\nconst form = reactive({ name: 'a' });\nconst said = ref('');\nwatch(() => form.name, (to) => { said.value = to; });`,
        `<main><button @click="form.name = 'b'">Name</button><p>{{ said }}</p></main>`,
      ),
    },
    acts: ['Name'],
  },
  {
    rule: 'change-unseen',
    form: 'a plain variable is counted up',
    files: {
      'App.vue': sfc(`let count = 0;\nfunction more() {\n  ¶count++;\n}`, `<button @click="more">Count {{ count }}</button>`),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nconst count = ref(0);\nfunction more() {\n  count.value++;\n}`,
        `<button @click="more">Count {{ count }}</button>`,
      ),
    },
    acts: ['Count'],
  },
  {
    rule: 'change-unseen',
    form: 'a shallow ref is changed inside',
    files: {
      'App.vue': sfc(
        `import { shallowRef } from 'vue';\nconst rows = shallowRef(['oak']);\nconst add = () => ¶rows.value.push('ash');`,
        `<main><button @click="add">Add</button><p>{{ rows.length }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { shallowRef } from 'vue';\nconst rows = shallowRef(['oak']);\nconst add = () => { rows.value = [...rows.value, 'ash']; };`,
        `<main><button @click="add">Add</button><p>{{ rows.length }}</p></main>`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a reactive object is put in place of another',
    files: {
      'App.vue': sfc(
        `import { reactive } from 'vue';\nlet state = reactive({ n: 1 });\nconst reset = () => {\n  ¶state = reactive({ n: 0 });\n};`,
        `<main><button @click="reset">Reset</button><p>{{ state.n }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { reactive } from 'vue';\nconst state = reactive({ n: 1 });\nconst reset = () => {\n  state.n = 0;\n};`,
        `<main><button @click="reset">Reset</button><p>{{ state.n }}</p></main>`,
      ),
    },
    acts: ['Reset'],
  },
  {
    rule: 'event-never-raised',
    form: 'a listener by another name than is raised',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Pick from './Pick.vue';\nconst at = ref('none');`,
        `<main><Pick ¶@selected="at = $event" /><p>{{ at }}</p></main>`,
      ),
      'Pick.vue': sfc(`const emit = defineEmits(['select']);`, `<button @click="emit('select', 'oak')">oak</button>`),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Pick from './Pick.vue';\nconst at = ref('none');`,
        `<main><Pick @select="at = $event" /><p>{{ at }}</p></main>`,
      ),
    },
    acts: ['oak'],
  },
  {
    rule: 'event-never-raised',
    form: 'an event that is declared and raised nowhere',
    files: {
      'App.vue': options(
        `import Upload from './Upload.vue';\nexport default { components: { Upload }, data: () => ({ state: 'idle' }), methods: { done() { this.state = 'done'; } } };`,
        `<main><Upload ¶@done="done" /><p>{{ state }}</p></main>`,
      ),
      'Upload.vue': options(
        `export default { emits: ['done', 'start'], methods: { go() { this.$emit('start'); } } };`,
        `<button @click="go">Send</button>`,
      ),
    },
    sound: {
      'Upload.vue': options(
        `export default { emits: ['done', 'start'], methods: { go() { this.$emit('start'); this.$emit('done'); } } };`,
        `<button @click="go">Send</button>`,
      ),
    },
    acts: ['Send'],
  },
  {
    rule: 'two-way-half',
    form: 'a v-model to a part that raises another event',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Field from './Field.vue';\nconst name = ref('Ann');`,
        `<main><Field ¶v-model="name" /><p>{{ name }}</p></main>`,
      ),
      'Field.vue': sfc(
        `defineProps(['modelValue']);\nconst emit = defineEmits(['update']);`,
        `<label>Name<input :value="modelValue" @input="emit('update', $event.target.value)" /></label>`,
      ),
    },
    sound: {
      'Field.vue': sfc(
        `defineProps(['modelValue']);\nconst emit = defineEmits(['update:modelValue']);`,
        `<label>Name<input :value="modelValue" @input="emit('update:modelValue', $event.target.value)" /></label>`,
      ),
    },
    acts: ['Name=Bo'],
  },
  {
    rule: 'prop-missing',
    form: 'a required prop by type, at one of two uses',
    files: {
      'App.vue': sfc(`import Row from './Row.vue';`, `<table><tbody><Row name="a" :depth="2" /><¶Row name="b" /></tbody></table>`, 'ts'),
      'Row.vue': sfc(
        `defineProps<{ name: string; depth: number }>();`,
        `<tr><td>{{ name }}</td><td>{{ depth.toFixed(1) }}</td></tr>`,
        'ts',
      ),
    },
    sound: {
      'App.vue': sfc(
        `import Row from './Row.vue';`,
        `<table><tbody><Row name="a" :depth="2" /><Row name="b" :depth="3" /></tbody></table>`,
        'ts',
      ),
    },
  },
  {
    rule: 'prop-missing',
    form: 'a required prop of options, through a local name',
    files: {
      'App.vue': options(`import TideRow from './Row.vue';\nexport default { components: { 'tide-line': TideRow } };`, `<¶tide-line />`),
      'Row.vue': options(`export default { props: { at: { type: String, required: true } } };`, `<p>{{ at }}</p>`),
    },
    sound: {
      'App.vue': options(
        `import TideRow from './Row.vue';\nexport default { components: { 'tide-line': TideRow } };`,
        `<tide-line at="6:10" />`,
      ),
    },
  },
  {
    rule: 'prop-spelt',
    form: 'a prop in kebab case with two letters changed',
    files: {
      'App.vue': sfc(`import Row from './Row.vue';`, `<Row ¶high-wtaer="6" />`),
      'Row.vue': sfc(`defineProps({ highWater: String });`, `<p>{{ highWater }}</p>`),
    },
    sound: { 'App.vue': sfc(`import Row from './Row.vue';`, `<Row high-water="6" />`) },
  },
  {
    rule: 'prop-kind',
    form: 'a number is given as a text',
    files: {
      'App.vue': sfc(`import Row from './Row.vue';`, `<Row ¶count="3" />`),
      'Row.vue': sfc(`defineProps({ count: Number });`, `<p>{{ count + 1 }}</p>`),
    },
    sound: { 'App.vue': sfc(`import Row from './Row.vue';`, `<Row :count="3" />`) },
  },
  {
    rule: 'prop-unknown',
    form: 'a prop for a part with two roots',
    files: {
      'App.vue': sfc(`import Pair from './Pair.vue';`, `<Pair a="1" ¶gap="2" />`),
      'Pair.vue': sfc(`defineProps(['a']);`, `<b>{{ a }}</b><i>b</i>`),
    },
    sound: { 'App.vue': sfc(`import Pair from './Pair.vue';`, `<Pair a="1" />`) },
  },
  {
    rule: 'slot-nowhere',
    form: 'content under a name that the part has not',
    files: {
      'App.vue': sfc(`import Panel from './Panel.vue';`, `<Panel><template ¶#footer><b>end</b></template>body</Panel>`),
      'Panel.vue': sfc('', `<section><slot name="foot" /><slot /></section>`),
    },
    sound: { 'App.vue': sfc(`import Panel from './Panel.vue';`, `<Panel><template #foot><b>end</b></template>body</Panel>`) },
  },
  {
    rule: 'slot-shape',
    form: 'a slot hands out another name than is taken',
    files: {
      'App.vue': sfc(
        `import Each from './Each.vue';`,
        `<Each :items="['a']"><template #default="{ ¶entry }"><b>{{ entry }}</b></template></Each>`,
      ),
      'Each.vue': sfc(`defineProps(['items']);`, `<ul><li v-for="one in items" :key="one"><slot :item="one" /></li></ul>`),
    },
    sound: {
      'App.vue': sfc(
        `import Each from './Each.vue';`,
        `<Each :items="['a']"><template #default="{ item }"><b>{{ item }}</b></template></Each>`,
      ),
    },
  },
  {
    rule: 'context-missing',
    form: 'an injection by a symbol that nobody provides',
    files: {
      'App.vue': sfc(
        `import { provide } from 'vue';\nimport { unitKey } from './keys';\nimport Sheet from './Sheet.vue';\nprovide(unitKey, { name: 'm' });`,
        `<Sheet />`,
      ),
      'keys.js': `export const unitKey = Symbol('unit');\nexport const placeKey = Symbol('place');`,
      'Sheet.vue': sfc(
        `import { inject } from 'vue';\nimport { placeKey } from './keys';\nconst place = ¶inject(placeKey);`,
        `<p>{{ place.name }}</p>`,
      ),
    },
    sound: {
      'Sheet.vue': sfc(
        `import { inject } from 'vue';\nimport { unitKey } from './keys';\nconst place = inject(unitKey);`,
        `<p>{{ place.name }}</p>`,
      ),
    },
  },
  {
    rule: 'handler-missing',
    form: 'a method that the component has not',
    files: {
      'App.vue': options(
        `export default { data: () => ({ n: 0 }), methods: { increase() { this.n++; } } };`,
        `<button ¶@click="increment">More {{ n }}</button>`,
      ),
    },
    sound: {
      'App.vue': options(
        `export default { data: () => ({ n: 0 }), methods: { increase() { this.n++; } } };`,
        `<button @click="increase">More {{ n }}</button>`,
      ),
    },
    or: ['name-unknown'],
    acts: ['More'],
  },
  {
    rule: 'name-unknown',
    form: 'a name of the template that was renamed in the setup',
    files: {
      'App.vue': sfc(
        `import { computed, ref } from 'vue';\nconst rows = ref([1]);\nconst rowCount = computed(() => rows.value.length);`,
        `<p>{{ ¶count }} rows</p>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { computed, ref } from 'vue';\nconst rows = ref([1]);\nconst rowCount = computed(() => rows.value.length);`,
        `<p>{{ rowCount }} rows</p>`,
      ),
    },
  },
  {
    rule: 'component-unknown',
    form: 'a part that is imported and not registered',
    files: {
      'App.vue': options(
        `import { defineComponent } from 'vue';\nimport Lamp from './Lamp.vue';\nexport default defineComponent({ name: 'App', components: {} });`,
        `<¶Lamp />`,
      ),
      'Lamp.vue': sfc('', `<b>lamp</b>`),
    },
    sound: {
      'App.vue': options(
        `import { defineComponent } from 'vue';\nimport Lamp from './Lamp.vue';\nexport default defineComponent({ name: 'App', components: { Lamp } });`,
        `<Lamp />`,
      ),
    },
  },
  {
    rule: 'list-unkeyed',
    form: 'parts with a state of their own, by their position',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Line from './Line.vue';\nconst rows = ref([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);\nconst drop = () => rows.value.shift();`,
        `<main><button @click="drop">Drop</button><Line v-for="(row, at) in rows" ¶:key="at" :row="row" /></main>`,
      ),
      'Line.vue': sfc(
        `import { ref } from 'vue';\nconst props = defineProps(['row']);\nconst first = ref(props.row.n);`,
        `<p>{{ row.n }} {{ first }}</p>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Line from './Line.vue';\nconst rows = ref([{ id: 1, n: 'a' }, { id: 2, n: 'b' }]);\nconst drop = () => rows.value.shift();`,
        `<main><button @click="drop">Drop</button><Line v-for="row in rows" :key="row.id" :row="row" /></main>`,
      ),
    },
    acts: ['Drop'],
  },
  {
    rule: 'subscription-kept',
    form: 'a listener of the document, put there when it is mounted',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Menu from './Menu.vue';\nconst on = ref(true);`,
        `<main><button @click="on = !on">Menu</button><Menu v-if="on" /></main>`,
      ),
      'Menu.vue': sfc(
        `import { onMounted, ref } from 'vue';\nconst open = ref(true);\nconst close = (event) => { if (event.key === 'Escape') open.value = false; };\nonMounted(() => ¶document.addEventListener('keydown', close));`,
        `<nav v-if="open">menu</nav>`,
      ),
    },
    sound: {
      'Menu.vue': sfc(
        `import { onMounted, onUnmounted, ref } from 'vue';\nconst open = ref(true);\nconst close = (event) => { if (event.key === 'Escape') open.value = false; };\nonMounted(() => document.addEventListener('keydown', close));\nonUnmounted(() => document.removeEventListener('keydown', close));`,
        `<nav v-if="open">menu</nav>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'endless-render',
    form: 'a watcher lengthens what it watches',
    files: {
      'App.vue': sfc(
        `import { ref, watch } from 'vue';\nconst log = ref([]);\nwatch(log, () => {\n  ¶log.value.push('changed');\n}, { deep: true });`,
        `<main><button @click="log.push('x')">Log</button><p>{{ log.length > 20 ? 'many' : 'few' }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref, watch } from 'vue';\nconst log = ref([]);\nconst seen = ref(0);\nwatch(log, () => {\n  seen.value++;\n}, { deep: true });`,
        `<main><button @click="log.push('x')">Log</button><p>{{ log.length > 20 ? 'many' : 'few' }}</p></main>`,
      ),
    },
    acts: ['Log'],
  },
  {
    rule: 'default-lacking',
    form: 'a member of an optional prop is read in the template',
    files: {
      'App.vue': sfc(`import Card from './Card.vue';`, `<main><Card :boat="{ name: 'Wren' }" /><Card /></main>`),
      'Card.vue': sfc(`defineProps({ boat: Object });`, `<p>{{ ¶boat.name }}</p>`),
    },
    sound: { 'Card.vue': sfc(`defineProps({ boat: { type: Object, default: () => ({ name: '' }) } });`, `<p>{{ boat.name }}</p>`) },
    or: ['prop-missing'],
  },
  {
    rule: 'event-unheard',
    form: 'an event that nobody hears, raised by the only button',
    files: {
      'App.vue': sfc(`import Row from './Row.vue';`, `<main><Row name="a" /><Row name="b" /></main>`),
      'Row.vue': sfc(
        `defineProps(['name']);\nconst emit = defineEmits(['remove']);`,
        `<p>{{ name }} <button @click="¶emit('remove', name)">Remove</button></p>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Row from './Row.vue';\nconst gone = ref('');`,
        `<main><Row name="a" @remove="gone = $event" /><Row name="b" @remove="gone = $event" /></main>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'prop-idle',
    form: 'a prop of options that nothing reads',
    files: {
      'App.vue': sfc(`import Buoy from './Buoy.vue';`, `<Buoy name="Fairway" colour="red" />`),
      'Buoy.vue': options(
        `export default { props: { name: String, ¶colour: String }, computed: { label() { return this.name.toUpperCase(); } } };`,
        `<p>{{ label }}</p>`,
      ),
    },
    sound: {
      'App.vue': sfc(`import Buoy from './Buoy.vue';`, `<Buoy name="Fairway" />`),
      'Buoy.vue': options(
        `export default { props: { name: String }, computed: { label() { return this.name.toUpperCase(); } } };`,
        `<p>{{ label }}</p>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'state-too-high',
    form: 'a ref that one part alone reads and sets',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Find from './Find.vue';\nimport Chart from './Chart.vue';\nconst ¶text = ref('');`,
        `<main><Find v-model="text" /><Chart /></main>`,
      ),
      'Find.vue': sfc(`const text = defineModel();`, `<input v-model="text" />`),
      'Chart.vue': sfc('', `<svg />`),
    },
    sound: {
      'App.vue': sfc(`import Find from './Find.vue';\nimport Chart from './Chart.vue';`, `<main><Find /><Chart /></main>`),
      'Find.vue': sfc(`import { ref } from 'vue';\nconst text = ref('');`, `<input v-model="text" />`),
    },
    unseen: true,
  },
  {
    rule: 'store-dead',
    form: 'a state of a store that nothing reads',
    files: {
      'App.vue': sfc(
        `import { useLevels } from './levels';\nconst levels = useLevels();`,
        `<button @click="levels.raise()">Up {{ levels.high }}</button>`,
      ),
      'levels.js': `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', {\n  state: () => ({ high: 1, ¶lastAt: 0 }),\n  actions: {\n    raise() { this.high++; this.lastAt = Date.now(); },\n  },\n});`,
    },
    sound: {
      'levels.js': `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', {\n  state: () => ({ high: 1 }),\n  actions: {\n    raise() { this.high++; },\n  },\n});`,
    },
    unseen: true,
  },
  {
    rule: 'stale-reading',
    form: 'members of a store are taken apart',
    files: {
      'App.vue': sfc(
        `import { useLevels } from './levels';\nconst { ¶high, raise } = useLevels();`,
        `<main><button @click="raise">Up</button><p>{{ high }}</p></main>`,
      ),
      'levels.js': `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', { state: () => ({ high: 1 }), actions: { raise() { this.high++; } } });`,
    },
    sound: {
      'App.vue': sfc(
        `import { storeToRefs } from 'pinia';\nimport { useLevels } from './levels';\nconst store = useLevels();\nconst { high } = storeToRefs(store);\nconst { raise } = store;`,
        `<main><button @click="raise">Up</button><p>{{ high }}</p></main>`,
      ),
    },
    or: ['change-unseen'],
    acts: ['Up'],
  },
  {
    rule: 'twins',
    form: 'two parts that differ by one word',
    files: {
      'App.vue': sfc(
        `import HighTide from './HighTide.vue';\nimport LowTide from './LowTide.vue';`,
        `<main><HighTide :rows="[1]" /><LowTide :rows="[2]" /></main>`,
      ),
      'HighTide.vue': sfc(
        `¶import { computed, ref } from 'vue';\nconst props = defineProps({ rows: Array });\nconst open = ref(true);\nconst sum = computed(() => props.rows.reduce((all, one) => all + one, 0));\nconst mean = computed(() => sum.value / props.rows.length);`,
        `<section class="tide"><h2 @click="open = !open">High tide</h2><ul v-if="open"><li v-for="row in rows" :key="row">{{ row }} m</li></ul><p>{{ sum }} in all, {{ mean }} each</p></section>`,
      ),
      'LowTide.vue': sfc(
        `import { computed, ref } from 'vue';\nconst props = defineProps({ rows: Array });\nconst open = ref(true);\nconst sum = computed(() => props.rows.reduce((all, one) => all + one, 0));\nconst mean = computed(() => sum.value / props.rows.length);`,
        `<section class="tide"><h2 @click="open = !open">Low tide</h2><ul v-if="open"><li v-for="row in rows" :key="row">{{ row }} m</li></ul><p>{{ sum }} in all, {{ mean }} each</p></section>`,
      ),
    },
    sound: { 'LowTide.vue': sfc('', `<p>low</p>`) },
    unseen: true,
  },
  {
    rule: 'prop-written',
    form: 'a list that is given is pushed into',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Add from './Add.vue';\nconst names = ref(['oak']);`,
        `<main><Add :names="names" /><p>{{ names.length }}</p></main>`,
      ),
      'Add.vue': sfc(
        `const props = defineProps({ names: Array });\nfunction add() {\n  ¶props.names.push('ash');\n}`,
        `<button @click="add">Add</button>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Add from './Add.vue';\nconst names = ref(['oak']);`,
        `<main><Add @add="names.push('ash')" /><p>{{ names.length }}</p></main>`,
      ),
      'Add.vue': sfc(`const emit = defineEmits(['add']);`, `<button @click="emit('add')">Add</button>`),
    },
    unseen: true,
  },
  {
    rule: 'prop-written',
    form: 'a typed prop is assigned in the template',
    files: {
      'App.vue': sfc(`import Fold from './Fold.vue';`, `<Fold :open="true" />`, 'ts'),
      'Fold.vue': sfc(`defineProps<{ open: boolean }>();`, `<button ¶@click="open = !open">{{ open ? 'less' : 'more' }}</button>`, 'ts'),
    },
    sound: {
      'Fold.vue': sfc(
        `import { ref } from 'vue';\ndefineProps<{ open: boolean }>();\nconst shut = ref(false);`,
        `<button @click="shut = !shut">{{ open && !shut ? 'less' : 'more' }}</button>`,
        'ts',
      ),
    },
    acts: ['less'],
  },
  {
    rule: 'prop-copied',
    form: 'data of options begins with a prop',
    files: {
      'App.vue': options(
        `import Tally from './Tally.vue';\nexport default { components: { Tally }, data: () => ({ n: 1 }) };`,
        `<main><button @click="n++">More</button><Tally :start="n" :count="n" /></main>`,
      ),
      'Tally.vue': options(
        `export default {\n  props: ['count', 'start'],\n  data() {\n    return { shown: ¶this.count };\n  },\n  methods: { clear() { this.shown = 0; } },\n};`,
        `<p @click="clear">{{ shown }} {{ start }}</p>`,
      ),
    },
    sound: { 'Tally.vue': options(`export default { props: ['count', 'start'] };`, `<p>{{ count }} {{ start }}</p>`) },
    acts: ['More'],
  },
  {
    rule: 'stale-reading',
    form: 'members of a reactive object are taken apart for a computed value',
    files: {
      'App.vue': sfc(
        `import { computed, reactive } from 'vue';\nconst form = reactive({ first: 'a', last: 'b' });\nconst { ¶first, last } = form;\nconst whole = computed(() => first + last);`,
        `<main><button @click="form.first = 'z'">First</button><p>{{ whole }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { computed, reactive, toRefs } from 'vue';\nconst form = reactive({ first: 'a', last: 'b' });\nconst { first, last } = toRefs(form);\nconst whole = computed(() => first.value + last.value);`,
        `<main><button @click="form.first = 'z'">First</button><p>{{ whole }}</p></main>`,
      ),
    },
    or: ['change-unseen'],
    acts: ['First'],
  },
  {
    rule: 'stale-reading',
    form: 'an effect reads a state after its await',
    files: {
      'App.vue': sfc(
        `import { ref, watchEffect } from 'vue';\nconst unit = ref('m');\nconst text = ref('');\nwatchEffect(async () => {\n  const depth = await Promise.resolve(3);\n  text.value = depth + ¶unit.value;\n});`,
        `<main><button @click="unit = 'ft'">Feet</button><p>{{ text }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref, watchEffect } from 'vue';\nconst unit = ref('m');\nconst text = ref('');\nwatchEffect(async () => {\n  const now = unit.value;\n  const depth = await Promise.resolve(3);\n  text.value = depth + now;\n});`,
        `<main><button @click="unit = 'ft'">Feet</button><p>{{ text }}</p></main>`,
      ),
    },
    acts: ['Feet'],
  },
  {
    rule: 'stale-reading',
    form: 'a provided value is what a ref holds at first',
    files: {
      'App.vue': sfc(
        `import { provide, ref } from 'vue';\nimport Label from './Label.vue';\nconst unit = ref('m');\nprovide('unit', ¶unit.value);`,
        `<main><button @click="unit = 'ft'">Feet</button><Label /></main>`,
      ),
      'Label.vue': sfc(`import { inject, unref } from 'vue';\nconst unit = inject('unit');`, `<i>{{ unref(unit) }}</i>`),
    },
    sound: {
      'App.vue': sfc(
        `import { provide, ref } from 'vue';\nimport Label from './Label.vue';\nconst unit = ref('m');\nprovide('unit', unit);`,
        `<main><button @click="unit = 'ft'">Feet</button><Label /></main>`,
      ),
    },
    acts: ['Feet'],
  },
  {
    rule: 'stale-reading',
    form: 'a composable is handed the value of a prop',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Boat from './Boat.vue';\nconst id = ref(1);`,
        `<main><button @click="id++">Next</button><Boat :id="id" /></main>`,
      ),
      'Boat.vue': sfc(
        `import { useName } from './useName';\nconst props = defineProps({ id: Number });\nconst name = useName(¶props.id);`,
        `<p>{{ name }}</p>`,
      ),
      'useName.js': `import { computed, toValue } from 'vue';\nexport function useName(id) {\n  return computed(() => 'boat ' + toValue(id));\n}`,
    },
    sound: {
      'Boat.vue': sfc(
        `import { useName } from './useName';\nconst props = defineProps({ id: Number });\nconst name = useName(() => props.id);`,
        `<p>{{ name }}</p>`,
      ),
    },
    acts: ['Next'],
  },
  {
    rule: 'change-unseen',
    form: 'a list outside of reactivity is shown and pushed into',
    files: {
      'App.vue': sfc(
        `const rows = ['oak'];\nfunction add() {\n  ¶rows.push('ash');\n}`,
        `<main><button @click="add">Add</button><p>{{ rows.length }} trees</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nconst rows = ref(['oak']);\nfunction add() {\n  rows.value.push('ash');\n}`,
        `<main><button @click="add">Add</button><p>{{ rows.length }} trees</p></main>`,
      ),
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a field that is no data is set on this',
    files: {
      'App.vue': options(
        `export default {\n  data() { return { n: 1 }; },\n  computed: { text() { return this.n + ' boats'; } },\n  created() { this.open = false; },\n  methods: { toggle() { ¶this.open = !this.open; } },\n};`,
        `<main><button @click="toggle">Toggle</button><p>{{ text }} {{ open ? 'open' : 'shut' }}</p></main>`,
      ),
    },
    sound: {
      'App.vue': options(
        `export default {\n  data() { return { n: 1, open: false }; },\n  computed: { text() { return this.n + ' boats'; } },\n  methods: { toggle() { this.open = !this.open; } },\n};`,
        `<main><button @click="toggle">Toggle</button><p>{{ text }} {{ open ? 'open' : 'shut' }}</p></main>`,
      ),
    },
    or: ['name-unknown'],
    acts: ['Toggle'],
  },
  {
    rule: 'event-stops-short',
    form: 'an owner waits for an event of a part two below',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Shelf from './Shelf.vue';\nconst at = ref('');`,
        `<main><Shelf ¶@open="at = $event" /><p>{{ at }}</p></main>`,
      ),
      'Shelf.vue': sfc(`import Book from './Book.vue';`, `<section><h2>Books</h2><ul><Book title="Tides" /></ul></section>`),
      'Book.vue': sfc(
        `defineProps(['title']);\nconst emit = defineEmits(['open']);`,
        `<li><button @click="emit('open', title)">{{ title }}</button></li>`,
      ),
    },
    sound: {
      'Shelf.vue': sfc(
        `import Book from './Book.vue';\nconst emit = defineEmits(['open']);`,
        `<section><h2>Books</h2><ul><Book title="Tides" @open="emit('open', $event)" /></ul></section>`,
      ),
    },
    or: ['event-never-raised'],
    acts: ['Tides'],
  },
  {
    rule: 'event-idle',
    form: 'an event that is declared, raised nowhere and heard nowhere',
    files: {
      'App.vue': sfc(`import Card from './Card.vue';`, `<Card title="a" />`),
      'Card.vue': sfc(
        `defineProps(['title']);\nconst emit = defineEmits(['open', ¶'close']);`,
        `<p>{{ title }} <button @click="emit('open')">Open</button></p>`,
      ),
    },
    sound: {
      'Card.vue': sfc(
        `defineProps(['title']);\nconst emit = defineEmits(['open']);`,
        `<p>{{ title }} <button @click="emit('open')">Open</button></p>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'two-way-half',
    form: 'v-model on a part that takes no model',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Slider from './Slider.vue';\nconst level = ref(2);`,
        `<main><Slider ¶v-model:level="level" /><p>{{ level }}</p></main>`,
      ),
      'Slider.vue': sfc(`defineProps({ level: Number });`, `<p><label>Level<input type="text" :value="level" /></label></p>`),
    },
    sound: {
      'Slider.vue': sfc(
        `const level = defineModel('level', { type: Number });`,
        `<p><label>Level<input type="text" v-model="level" /></label></p>`,
      ),
    },
    acts: ['Level=7'],
  },
  {
    rule: 'prop-unknown',
    form: 'a misnamed prop of a part that hands attributes nowhere',
    files: {
      'App.vue': sfc(`import Row from './Row.vue';`, `<Row name="a" ¶zone="3" />`),
      'Row.vue': options(`export default { inheritAttrs: false, props: { name: String } };`, `<p>{{ name }}</p>`),
    },
    sound: { 'App.vue': sfc(`import Row from './Row.vue';`, `<Row name="a" />`) },
    unseen: true,
  },
  {
    rule: 'prop-kind',
    form: 'an object where a function is declared',
    files: {
      'App.vue': sfc(`import List from './List.vue';`, `<List :items="[2, 1]" ¶:sort="{ by: 'n' }" />`),
      'List.vue': sfc(
        `const props = defineProps({ items: Array, sort: Function });\nconst sorted = [...props.items].sort(props.sort ? (a, b) => props.sort(a, b) : undefined);`,
        `<p>{{ sorted.join(' ') }}</p>`,
      ),
    },
    sound: { 'App.vue': sfc(`import List from './List.vue';`, `<List :items="[2, 1]" :sort="(a, b) => a - b" />`) },
  },
  {
    rule: 'slot-shape',
    form: 'a slot without props is taken apart',
    files: {
      'App.vue': sfc(`import Panel from './Panel.vue';`, `<Panel v-slot="{ ¶open }">{{ open }}</Panel>`),
      'Panel.vue': sfc(`import { ref } from 'vue';\nconst open = ref(true);`, `<section><p v-if="open"><slot /></p></section>`),
    },
    sound: {
      'Panel.vue': sfc(
        `import { ref } from 'vue';\nconst open = ref(true);`,
        `<section><p v-if="open"><slot :open="open" /></p></section>`,
      ),
    },
  },
  {
    rule: 'slot-idle',
    form: 'a named slot that no use fills',
    files: {
      'App.vue': sfc(`import Panel from './Panel.vue';`, `<main><Panel>one</Panel><Panel>two</Panel></main>`),
      'Panel.vue': sfc('', `<section><header><slot name=¶"head" /></header><slot /></section>`),
    },
    sound: { 'Panel.vue': sfc('', `<section><slot /></section>`) },
    unseen: true,
  },
  {
    rule: 'context-missing',
    form: 'options inject a name that only a part beside provides',
    files: {
      'App.vue': options(
        `import Left from './Left.vue';\nimport Right from './Right.vue';\nexport default { components: { Left, Right } };`,
        `<main><Left /><Right /></main>`,
      ),
      'Left.vue': options(`export default { provide: { unit: 'm' } };`, `<p>left</p>`),
      'Right.vue': options(
        `export default { inject: [¶'unit'], computed: { text() { return this.unit.toUpperCase(); } } };`,
        `<p>{{ text }}</p>`,
      ),
    },
    sound: {
      'App.vue': options(
        `import Left from './Left.vue';\nimport Right from './Right.vue';\nexport default { components: { Left, Right }, provide: { unit: 'm' } };`,
        `<main><Left /><Right /></main>`,
      ),
      'Left.vue': options(`export default {};`, `<p>left</p>`),
    },
  },
  {
    rule: 'context-unread',
    form: 'a key is provided and taken by nobody',
    files: {
      'App.vue': sfc(
        `import { provide } from 'vue';\nimport Label from './Label.vue';\nprovide('unit', 'm');\n¶provide('place', 'quay');`,
        `<Label />`,
      ),
      'Label.vue': sfc(`import { inject } from 'vue';\nconst unit = inject('unit');`, `<i>{{ unit }}</i>`),
    },
    sound: { 'App.vue': sfc(`import { provide } from 'vue';\nimport Label from './Label.vue';\nprovide('unit', 'm');`, `<Label />`) },
    unseen: true,
  },
  {
    rule: 'subscription-kept',
    form: 'a timer in created of options',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Clock from './Clock.vue';\nconst on = ref(true);`,
        `<main><button @click="on = !on">Clock</button><Clock v-if="on" /></main>`,
      ),
      'Clock.vue': options(
        `export default {\n  data: () => ({ n: 0 }),\n  created() {\n    this.timer = ¶setInterval(() => { this.n++; }, 1000);\n  },\n};`,
        `<time>{{ n > 0 ? 'now' : '' }}</time>`,
      ),
    },
    sound: {
      'Clock.vue': options(
        `export default {\n  data: () => ({ n: 0 }),\n  created() {\n    this.timer = setInterval(() => { this.n++; }, 1000);\n  },\n  beforeUnmount() {\n    clearInterval(this.timer);\n  },\n};`,
        `<time>{{ n > 0 ? 'now' : '' }}</time>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'channel-unpaired',
    form: 'a listener of a bus by a name that nobody sends',
    files: {
      'App.vue': sfc(`import Bell from './Bell.vue';\nimport Ear from './Ear.vue';`, `<main><Bell /><Ear /></main>`),
      'bus.js': `import mitt from 'mitt';\nexport const bus = mitt();`,
      'Bell.vue': sfc(`import { bus } from './bus';`, `<button @click="bus.emit('boat:moored', 1)">Ring</button>`),
      'Ear.vue': sfc(
        `import { onMounted, onUnmounted, ref } from 'vue';\nimport { bus } from './bus';\nconst n = ref(0);\nconst hear = () => { n.value++; };\nonMounted(() => bus.on(¶'boat:moord', hear));\nonUnmounted(() => bus.off('boat:moord', hear));`,
        `<p>{{ n }}</p>`,
      ),
    },
    sound: {
      'Ear.vue': sfc(
        `import { onMounted, onUnmounted, ref } from 'vue';\nimport { bus } from './bus';\nconst n = ref(0);\nconst hear = () => { n.value++; };\nonMounted(() => bus.on('boat:moored', hear));\nonUnmounted(() => bus.off('boat:moored', hear));`,
        `<p>{{ n }}</p>`,
      ),
    },
    unseen: true,
  },
  {
    rule: 'derived-twice',
    form: 'a computed value that the owner has computed too',
    files: {
      'App.vue': sfc(
        `import { computed, ref } from 'vue';\nimport Foot from './Foot.vue';\nconst lines = ref([{ price: 2, count: 3 }]);\nconst total = computed(() => lines.value.reduce((all, one) => all + one.price * one.count, 0));`,
        `<main><h2>{{ total }}</h2><Foot :lines="lines" /></main>`,
      ),
      'Foot.vue': sfc(
        `import { computed } from 'vue';\nconst props = defineProps(['lines']);\nconst sum = ¶computed(() => props.lines.reduce((before, line) => before + line.price * line.count, 0));`,
        `<footer>{{ sum }}</footer>`,
      ),
    },
    sound: { 'Foot.vue': sfc(`defineProps(['lines']);`, `<footer>{{ lines.length }}</footer>`) },
    unseen: true,
  },
  {
    rule: 'two-truths',
    form: 'a copy of a store is counted on its own',
    files: {
      'App.vue': sfc(`import One from './One.vue';\nimport Two from './Two.vue';`, `<main><One /><Two /></main>`),
      'levels.js': `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', { state: () => ({ high: 1 }), actions: { raise() { this.high++; } } });`,
      'One.vue': sfc(
        `import { useLevels } from './levels';\nconst levels = useLevels();`,
        `<button @click="levels.raise()">Up {{ levels.high }}</button>`,
      ),
      'Two.vue': sfc(
        `import { ref } from 'vue';\nimport { useLevels } from './levels';\nconst levels = useLevels();\nconst high = ref(¶levels.high);\nconst lower = () => { high.value--; };`,
        `<button @click="lower">Down {{ high }}</button>`,
      ),
    },
    sound: {
      'Two.vue': sfc(
        `import { useLevels } from './levels';\nconst levels = useLevels();\nconst lower = () => { levels.high--; };`,
        `<button @click="lower">Down {{ levels.high }}</button>`,
      ),
    },
    acts: ['Up'],
  },
  {
    rule: 'component-idle',
    form: 'a part that is imported and never used',
    files: {
      'App.vue': sfc(`import Lamp from './Lamp.vue';\nimport Shade from './Shade.vue';`, `<Lamp />`),
      'Lamp.vue': sfc('', `<b>lamp</b>`),
      'Shade.vue': `¶${sfc('', `<i>shade</i>`)}`,
    },
    sound: { 'App.vue': sfc(`import Lamp from './Lamp.vue';\nimport Shade from './Shade.vue';`, `<main><Lamp /><Shade /></main>`) },
    unseen: true,
  },
  {
    rule: 'stale-reading',
    form: 'a reactive copy of props is made once',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Row from './Row.vue';\nconst n = ref(1);`,
        `<main><button @click="n++">More</button><Row :n="n" /></main>`,
      ),
      'Row.vue': sfc(`const props = defineProps({ n: Number });\nconst label = \`row \${¶props.n}\`;`, `<p>{{ label }}</p>`),
    },
    sound: {
      'Row.vue': sfc(
        `import { computed } from 'vue';\nconst props = defineProps({ n: Number });\nconst label = computed(() => \`row \${props.n}\`);`,
        `<p>{{ label }}</p>`,
      ),
    },
    acts: ['More'],
  },
  {
    rule: 'change-unseen',
    form: 'a ref is put in place of another',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nlet rows = ref(['oak']);\nfunction clear() {\n  ¶rows = ref([]);\n}`,
        `<main><button @click="clear">Clear</button><p>{{ rows.length }} trees</p></main>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nconst rows = ref(['oak']);\nfunction clear() {\n  rows.value = [];\n}`,
        `<main><button @click="clear">Clear</button><p>{{ rows.length }} trees</p></main>`,
      ),
    },
    acts: ['Clear'],
  },
  {
    rule: 'change-unseen',
    form: 'a store is taken apart and its part is assigned',
    files: {
      'App.vue': sfc(
        `import { useLevels } from './levels';\nlet { ¶high } = useLevels();\nconst up = () => { high++; };`,
        `<main><button @click="up">Up</button><p>{{ high }} m</p></main>`,
      ),
      'levels.js': `import { defineStore } from 'pinia';\nexport const useLevels = defineStore('levels', { state: () => ({ high: 1 }), actions: { raise() { this.high++; } } });`,
    },
    sound: {
      'App.vue': sfc(
        `import { useLevels } from './levels';\nconst levels = useLevels();\nconst up = () => { levels.high++; };`,
        `<main><button @click="up">Up</button><p>{{ levels.high }} m</p></main>`,
      ),
    },
    or: ['stale-reading'],
    acts: ['Up'],
  },
  {
    rule: 'prop-missing',
    form: 'a required prop of a part in a loop',
    files: {
      'App.vue': sfc(
        `import Row from './Row.vue';\nconst rows = [{ id: 1, name: 'a' }];`,
        `<ul><¶Row v-for="row in rows" :key="row.id" :name="row.name" /></ul>`,
      ),
      'Row.vue': options(
        `export default { props: { name: { type: String, required: true }, at: { type: Number, required: true } } };`,
        `<li>{{ name }} {{ at.toFixed(1) }}</li>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import Row from './Row.vue';\nconst rows = [{ id: 1, name: 'a' }];`,
        `<ul><Row v-for="row in rows" :key="row.id" :name="row.name" :at="2" /></ul>`,
      ),
    },
  },
  {
    rule: 'prop-kind',
    form: 'a flag is given as the text false',
    files: {
      'App.vue': sfc(`import Fold from './Fold.vue';`, `<Fold ¶open="false" />`),
      'Fold.vue': sfc(`defineProps({ open: Boolean });`, `<p>{{ open ? 'open' : 'shut' }}</p>`),
    },
    sound: { 'App.vue': sfc(`import Fold from './Fold.vue';`, `<Fold :open="false" />`) },
  },
  {
    rule: 'event-never-raised',
    form: 'a listener in kebab case for an event that was renamed',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Pick from './Pick.vue';\nconst at = ref('none');`,
        `<main><Pick ¶@item-chosen="at = $event" /><p>{{ at }}</p></main>`,
      ),
      'Pick.vue': sfc(`const emit = defineEmits(['select']);`, `<ul><li><button @click="emit('select', 'oak')">oak</button></li></ul>`),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Pick from './Pick.vue';\nconst at = ref('none');`,
        `<main><Pick @select="at = $event" /><p>{{ at }}</p></main>`,
      ),
    },
    acts: ['oak'],
  },
  {
    rule: 'list-unkeyed',
    form: 'a loop without a key over parts that remember',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Line from './Line.vue';\nconst rows = ref(['a', 'b']);`,
        `<main><button @click="rows.shift()">Drop</button><¶Line v-for="row in rows" :text="row" /></main>`,
      ),
      'Line.vue': sfc(
        `import { ref } from 'vue';\nconst props = defineProps(['text']);\nconst first = ref(props.text);`,
        `<p @click="first = ''">{{ text }} {{ first }}</p>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Line from './Line.vue';\nconst rows = ref(['a', 'b']);`,
        `<main><button @click="rows.shift()">Drop</button><Line v-for="row in rows" :key="row" :text="row" /></main>`,
      ),
    },
    acts: ['Drop'],
  },
  {
    rule: 'handler-missing',
    form: 'a handler that is declared inside another function',
    files: {
      'App.vue': sfc(
        `import { onMounted, ref } from 'vue';\nconst n = ref(0);\nonMounted(() => {\n  const more = () => { n.value++; };\n  more();\n});`,
        `<button ¶@click="more">More {{ n }}</button>`,
      ),
    },
    sound: {
      'App.vue': sfc(
        `import { onMounted, ref } from 'vue';\nconst n = ref(0);\nconst more = () => { n.value++; };\nonMounted(() => {\n  more();\n});`,
        `<button @click="more">More {{ n }}</button>`,
      ),
    },
    or: ['name-unknown'],
    acts: ['More'],
  },
  {
    rule: 'subscription-kept',
    form: 'an interval in a composable',
    files: {
      'App.vue': sfc(
        `import { ref } from 'vue';\nimport Clock from './Clock.vue';\nconst on = ref(true);`,
        `<main><button @click="on = !on">Clock</button><Clock v-if="on" /></main>`,
      ),
      'useNow.js': `import { onMounted, ref } from 'vue';\nexport function useNow() {\n  const now = ref(0);\n  onMounted(() => {\n    ¶setInterval(() => { now.value = Date.now(); }, 1000);\n  });\n  return now;\n}`,
      'Clock.vue': sfc(`import { useNow } from './useNow';\nconst now = useNow();`, `<time>{{ now > 0 ? 'now' : '' }}</time>`),
    },
    sound: {
      'useNow.js': `import { onMounted, onUnmounted, ref } from 'vue';\nexport function useNow() {\n  const now = ref(0);\n  let id;\n  onMounted(() => {\n    id = setInterval(() => { now.value = Date.now(); }, 1000);\n  });\n  onUnmounted(() => clearInterval(id));\n  return now;\n}`,
    },
    unseen: true,
  },
  {
    rule: 'context-missing',
    form: 'a composable throws where its key is not provided',
    files: {
      'App.vue': sfc(`import Left from './Left.vue';\nimport Right from './Right.vue';`, `<main><Left /><Right /></main>`),
      'unit.js': `import { inject, provide } from 'vue';\nconst key = Symbol('unit');\nexport function provideUnit(unit) { provide(key, unit); }\nexport function useUnit() {\n  const unit = inject(key);\n  if (!unit) throw new Error('No unit is provided.');\n  return unit;\n}`,
      'Left.vue': sfc(`import { provideUnit } from './unit';\nprovideUnit({ name: 'm' });`, `<p>left</p>`),
      'Right.vue': sfc(`import { useUnit } from './unit';\nconst unit = ¶useUnit();`, `<p>{{ unit.name }}</p>`),
    },
    sound: {
      'App.vue': sfc(
        `import { provideUnit } from './unit';\nimport Right from './Right.vue';\nprovideUnit({ name: 'm' });`,
        `<main><Right /></main>`,
      ),
      'Left.vue': sfc('', '<p/>'),
    },
  },

  mended({
    rule: 'prop-written',
    form: 'what is given is reversed in a computed value',
    files: {
      'App.vue':
        "<script setup>\nimport { ref } from 'vue';\nimport List from './List.vue';\nconst names = ref(['oak', 'elm']);\n</script>\n<template><p>{{ names.join(' ') }}</p><List :names=\"names\" /></template>",
      'List.vue':
        '<script setup>\nimport { computed } from \'vue\';\nconst props = defineProps({ names: Array });\nconst last = computed(() => ¶props.names.reverse());\n</script>\n<template><p v-for="one in last" :key="one">{{ one }}</p></template>',
    },
    by: [['props.names.reverse()', '[...props.names].reverse()']],
    unseen: true,
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'an id made from the position is the key of rows that keep a state',
    files: {
      'App.vue':
        '<script setup>\nimport { computed, ref } from \'vue\';\nimport Row from \'./Row.vue\';\nconst names = ref([\'cod\']);\nconst rows = computed(() => names.value.map((name, at) => ({ key: `row-${at}`, name })));\nconst add = () => { names.value = [\'ling\', ...names.value]; };\n</script>\n<template>\n  <button @click="add">add</button>\n  ¶<Row v-for="row in rows" :key="row.key" :name="row.name" />\n</template>',
      'Row.vue':
        "<script setup>\nimport { ref } from 'vue';\ndefineProps({ name: String });\nconst open = ref(false);\n</script>\n<template><button @click=\"open = !open\">{{ name }}{{ open ? ' more' : '' }}</button></template>",
    },
    by: [['`row-${at}`', 'name']],
    acts: ['cod', 'add'],
  }),
  mended({
    rule: 'two-truths',
    form: 'two parts read one entry of the storage by a constant of the project',
    files: {
      'App.vue':
        "<script setup>\nimport List from './List.vue';\nimport Count from './Count.vue';\n</script>\n<template><Count /><List /></template>",
      'keys.js': "export const SAVED = 'saved-walks';",
      'List.vue':
        "<script setup>\nimport { ref } from 'vue';\nimport { SAVED } from './keys';\nconst walks = ref(JSON.parse(localStorage.getItem(SAVED) ?? '[]'));\nfunction add() {\n  walks.value = [...walks.value, 'oak'];\n  localStorage.setItem(SAVED, JSON.stringify(walks.value));\n}\n</script>\n<template><button @click=\"add\">add</button><p v-for=\"one in walks\" :key=\"one\">{{ one }}</p></template>",
      'Count.vue':
        "<script setup>\nimport { ref } from 'vue';\nimport { SAVED } from './keys';\n¶const walks = ref(JSON.parse(localStorage.getItem(SAVED) ?? '[]'));\n</script>\n<template><b>{{ walks.length }}</b></template>",
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'store-dead',
    form: 'a table of a module is only written to',
    files: {
      'App.vue':
        "<script setup>\nimport { note } from './seen';\n</script>\n<template><button @click=\"note('home')\">home</button></template>",
      'seen.js': '¶const seen = {};\nexport function note(page) {\n  seen[page] = true;\n}',
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a listener for what the child raises under the name of a model',
    files: {
      'App.vue':
        "<script setup>\nimport { ref } from 'vue';\nimport Dial from './Dial.vue';\nconst n = ref(0);\n</script>\n<template><p>{{ n }}</p><Dial\n  ¶@changed=\"n = $event\" /></template>",
      'Dial.vue':
        '<script setup>\nconst level = defineModel({ default: 0 });\n</script>\n<template><button @click="level++">{{ level }}</button></template>',
    },
    or: ['prop-unknown', 'event-stops-short'],
    by: [['@changed', '@update:model-value']],
    acts: ['0'],
  }),
  mended({
    rule: 'context-missing',
    form: 'a part is moved beside the one that provides',
    files: {
      'App.vue':
        "<script setup>\nimport Zone from './Zone.vue';\nimport Depth from './Depth.vue';\n</script>\n<template><Zone /><Depth /></template>",
      'Zone.vue':
        "<script setup>\nimport { provide, reactive } from 'vue';\nimport Depth from './Depth.vue';\nprovide('levels', reactive({ upper: 4 }));\n</script>\n<template><section><Depth /></section></template>",
      'Depth.vue':
        "<script setup>\nimport { inject } from 'vue';\n¶const levels = inject('levels');\n</script>\n<template><b>{{ levels.upper }}</b></template>",
    },
    by: [['<Zone /><Depth />', '<Zone />']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a listener that is one letter off falls through to the root',
    files: {
      'App.vue':
        "<script setup>\nimport { ref } from 'vue';\nimport Row from './Row.vue';\nconst n = ref(0);\n</script>\n<template><p>{{ n }}</p><Row\n  ¶@chosn=\"n++\" /></template>",
      'Row.vue':
        "<script setup>\nconst emit = defineEmits(['chosen']);\n</script>\n<template><button @click=\"emit('chosen')\">choose</button></template>",
    },
    by: [['@chosn', '@chosen']],
    acts: ['choose'],
  }),
  mended({
    rule: 'endless-render',
    form: 'a watcher sets what it watches to one more',
    files: {
      'App.vue':
        '<script setup>\nimport { ref, watch } from \'vue\';\nconst n = ref(0);\nwatch(n, (now) => {\n  ¶n.value = now + 1;\n});\n</script>\n<template><button @click="n++">more</button>{{ n }}</template>',
    },
    by: [['n.value = now + 1;', '']],
    acts: ['more'],
  }),
];
