import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { type Sources, table } from '../../../testing/src/rules';

// The rules of the second table in the frameworks where their first cases do not stand.

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;
const script = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;
const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;
const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const vueLeaf = `${setup('defineProps({ a: Number });')}<template><p>{{ a }}</p></template>`;
const vueCarrier = (markup: string): string => `${setup('defineProps({ a: Number });')}<template><div>${markup}</div></template>`;
const vueCarried = (inner: string, mid = vueCarrier('<Inner :a="a"/>'), use = '<Outer :a="a"/>'): Sources => ({
  App: vueApp(use, 'const a = ref(1);'),
  Outer: mid,
  Inner: inner,
  Leaf: vueLeaf,
});
table(
  'prop-carried',
  'vue',
  [
    ['through two', vueCarried(vueCarrier('<Leaf :a="a"/>')), 'Outer a'],
    [
      'under another name',
      vueCarried(`${setup('defineProps({ b: Number });')}<template><div><Leaf :a="b"/></div></template>`, vueCarrier('<Inner :b="a"/>')),
      'Outer a',
    ],
    [
      'by the object of all props',
      vueCarried(`${setup('const props = defineProps({ a: Number });')}<template><div><Leaf :a="props.a"/></div></template>`),
      'Outer a',
    ],
  ],
  [
    ['through one', { App: vueApp('<Inner :a="a"/>', 'const a = ref(1);'), Inner: vueCarrier('<Leaf :a="a"/>'), Leaf: vueLeaf }],
    ['read on the way', vueCarried(vueCarrier('<Leaf :a="a"/><i>{{ a }}</i>'))],
    ['narrowed on the way', vueCarried(vueCarrier('<Leaf :a="a.b"/>'))],
    [
      'watched on the way',
      vueCarried(
        `${setup('const props = defineProps({ a: Number }); watch(() => props.a, () => print());')}<template><div><Leaf :a="a"/></div></template>`,
      ),
    ],
    ['never given', vueCarried(vueCarrier('<Leaf :a="a"/>'), vueCarrier('<Inner :a="a"/>'), '<Outer/>')],
    [
      'to a part from outside',
      {
        ...(vueCarried(vueCarrier('<Leaf :a="a"/>')) as Readonly<Record<string, string>>),
        Inner: `${setup("import Leaf from 'out'; defineProps({ a: Number });")}<template><div><Leaf :a="a"/></div></template>`,
      },
    ],
  ],
);

const svelteLeaf = `${script('let { a } = $props();')}<p>{a}</p>`;
const svelteCarrier = (markup: string): string => `${script('let { a } = $props();')}<div>${markup}</div>`;
const svelteCarried = (inner: string, mid = svelteCarrier('<Inner {a}/>'), use = '<Outer {a}/>'): Sources => ({
  App: `${script('let a = $state(1);')}${use}`,
  Outer: mid,
  Inner: inner,
  Leaf: svelteLeaf,
});
table(
  'prop-carried',
  'svelte',
  [
    ['through two', svelteCarried(svelteCarrier('<Leaf {a}/>')), 'Outer a'],
    [
      'under another name',
      svelteCarried(`${script('let { b } = $props();')}<div><Leaf a={b}/></div>`, svelteCarrier('<Inner b={a}/>')),
      'Outer a',
    ],
    [
      'the older way',
      svelteCarried(`${script('export let a;')}<div><Leaf {a}/></div>`, `${script('export let a;')}<Inner {a}/>`),
      'Outer a',
    ],
  ],
  [
    ['through one', { App: `${script('let a = $state(1);')}<Inner {a}/>`, Inner: svelteCarrier('<Leaf {a}/>'), Leaf: svelteLeaf }],
    ['read on the way', svelteCarried(svelteCarrier('<Leaf {a}/>{a}'))],
    ['narrowed on the way', svelteCarried(svelteCarrier('<Leaf a={a.b}/>'))],
    ['followed on the way', svelteCarried(`${script('let { a } = $props(); $effect(() => print(a));')}<div><Leaf {a}/></div>`)],
    ['never given', svelteCarried(svelteCarrier('<Leaf {a}/>'), svelteCarrier('<Inner {a}/>'), '<Outer/>')],
    ['all props go on', svelteCarried(`${script('let props = $props();')}<div><Leaf {...props}/></div>`)],
  ],
);

const vueCopy = (sync = 'watch(() => props.day, () => { own.value = props.day; });', change = 'own = 1'): string =>
  `${setup(`const props = defineProps({ day: String }); const own = ref(props.day); ${sync}`)}<template><i @click="${change}">{{ own }}</i></template>`;
const vueDays = (markup: string, parts: Readonly<Record<string, string>>): Sources => ({
  App: vueApp(
    `${markup}<b @click="day = 'y'"/>`,
    "const day = ref('x'); const night = ref('z'); const wake = () => { night.value = 'n'; };",
  ),
  ...parts,
});
table(
  'state-too-low',
  'vue',
  [
    ['two siblings', vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(), B: vueCopy() }), 'B own'],
    [
      'by what is watched',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy('watch(() => props.day, (next) => { own.value = next; });'), B: vueCopy() }),
      'B own',
    ],
    [
      'by an effect',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy('watchEffect(() => { own.value = props.day; });'), B: vueCopy() }),
      'B own',
    ],
  ],
  [
    ['one alone', vueDays('<A :day="day"/>', { A: vueCopy() })],
    [
      'the other shows what it is given',
      vueDays('<A :day="day"/><B :day="day"/>', {
        A: vueCopy(),
        B: `${setup('defineProps({ day: String });')}<template><p>{{ day }}</p></template>`,
      }),
    ],
    ['of other values', vueDays('<A :day="day"/><B :day="night" @click="wake"/>', { A: vueCopy(), B: vueCopy() })],
    [
      'never changed by hand',
      vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(undefined, 'print(own)'), B: vueCopy(undefined, 'print(own)') }),
    ],
    ['never taken over again', vueDays('<A :day="day"/><B :day="day"/>', { A: vueCopy(''), B: vueCopy('') })],
  ],
);

const svelteCopy = (sync = '$effect(() => { own = day; });', change = 'own = 1'): string =>
  `${script(`let { day } = $props(); let own = $state(day); ${sync}`)}<i onclick={() => { ${change}; }}>{own}</i>`;
const svelteDays = (markup: string, parts: Readonly<Record<string, string>>): Sources => ({
  App: `${script("let day = $state('x'); let night = $state('z');")}${markup}<b onclick={() => { day = 'y'; night = 'n'; }}></b>`,
  ...parts,
});
table(
  'state-too-low',
  'svelte',
  [
    ['two siblings', svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(), B: svelteCopy() }), 'B own'],
    ['three', svelteDays('<A {day}/><B {day}/><C {day}/>', { A: svelteCopy(), B: svelteCopy(), C: svelteCopy() }), 'B own'],
    [
      'the older way',
      svelteDays('<A {day}/><B {day}/>', {
        A: `${script('export let day; let own = day; $: own = day;')}<i on:click={() => (own = 1)}>{own}</i>`,
        B: `${script('export let day; let own = day; $: own = day;')}<i on:click={() => (own = 1)}>{own}</i>`,
      }),
      'B own',
    ],
  ],
  [
    ['one alone', svelteDays('<A {day}/>', { A: svelteCopy() })],
    [
      'the other shows what it is given',
      svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(), B: `${script('let { day } = $props();')}<p>{day}</p>` }),
    ],
    ['of other values', svelteDays('<A {day}/><B day={night}/>', { A: svelteCopy(), B: svelteCopy() })],
    [
      'never changed by hand',
      svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(undefined, 'print(own)'), B: svelteCopy(undefined, 'print(own)') }),
    ],
    ['never taken over again', svelteDays('<A {day}/><B {day}/>', { A: svelteCopy(''), B: svelteCopy('') })],
  ],
);

const formula = 'levels.filter((one) => one < 2).length';
const vueDerived = (one: string, other: string, take = 'const levels = useLevels();'): Sources => ({
  App: vueApp('<A/><B/>'),
  A: `${setup(`import { useLevels } from './levels'; ${take} const low = computed(() => ${one});`)}<template><p>{{ low }}</p></template>`,
  B: `${setup(`import { useLevels } from './levels'; ${take} const low = computed(() => ${other});`)}<template><i>{{ low }}</i></template>`,
  'levels.js': "import { ref } from 'vue'; const levels = ref([1]); export function useLevels() { return levels; }",
});
const vueFormula = 'levels.value.filter((one) => one < 2).length';
table(
  'derived-twice',
  'vue',
  [
    ['of a composable', vueDerived(vueFormula, vueFormula), 'B low'],
    [
      'of a store',
      {
        ...(vueDerived('levels.all.filter((one) => one < 2).length', 'levels.all.filter((one) => one < 2).length') as Readonly<
          Record<string, string>
        >),
        'levels.js':
          "import { defineStore } from 'pinia'; export const useLevels = defineStore('levels', { state: () => ({ all: [1] }) });",
      },
      'B low',
    ],
    [
      'of what is provided',
      {
        App: vueApp('<A/><B/>', "import { levelsKey } from './keys'; provide(levelsKey, ref([1]));"),
        A: `${setup(`import { levelsKey } from './keys'; const levels = inject(levelsKey); const low = computed(() => ${vueFormula});`)}<template><p>{{ low }}</p></template>`,
        B: `${setup(`import { levelsKey } from './keys'; const levels = inject(levelsKey); const low = computed(() => ${vueFormula});`)}<template><i>{{ low }}</i></template>`,
        'keys.js': "export const levelsKey = Symbol('levels');",
      },
      'B low',
    ],
  ],
  [
    ['another computation', vueDerived(vueFormula, 'levels.value.filter((one) => one < 3).length')],
    ['a mere reading', vueDerived('levels.value', 'levels.value')],
    ['of state of their own', vueDerived(vueFormula, vueFormula, 'const levels = ref([1]);')],
    ['of what is given something', vueDerived(vueFormula, vueFormula, 'const k = ref(1); const levels = useLevels(k);')],
    [
      'in one component',
      {
        ...(vueDerived(vueFormula, 'levels.value') as Readonly<Record<string, string>>),
        A: `${setup(`import { useLevels } from './levels'; const levels = useLevels(); const low = computed(() => ${vueFormula}); const other = computed(() => ${vueFormula});`)}<template><p>{{ low }}{{ other }}</p></template>`,
      },
    ],
  ],
);

const svelteDerived = (one: string, other: string, from = "import { levels } from './levels.svelte.js';"): Sources => ({
  App: '<A/><B/>',
  A: `${script(`${from} const low = $derived(${one});`)}<p>{low}</p>`,
  B: `${script(`${from} const low = $derived(${other});`)}<i>{low}</i>`,
  'levels.svelte.js': 'export const levels = $state([1]); export const more = $state([2]);',
});
table(
  'derived-twice',
  'svelte',
  [
    ['of state of a module', svelteDerived(formula, formula), 'B low'],
    [
      'of a store',
      {
        ...(svelteDerived(
          '$levels.filter((one) => one < 2).length',
          '$levels.filter((one) => one < 2).length',
          "import { levels } from './levels';",
        ) as Readonly<Record<string, string>>),
        'levels.js': "import { writable } from 'svelte/store'; export const levels = writable([1]);",
      },
      'B low',
    ],
    [
      'the older way',
      {
        App: '<A/><B/>',
        A: `${script("import { levels } from './levels'; $: low = $levels.filter((one) => one < 2).length;")}<p>{low}</p>`,
        B: `${script("import { levels } from './levels'; $: low = $levels.filter((one) => one < 2).length;")}<i>{low}</i>`,
        'levels.js': "import { writable } from 'svelte/store'; export const levels = writable([1]);",
      },
      'B low',
    ],
  ],
  [
    ['another computation', svelteDerived(formula, 'levels.filter((one) => one < 3).length')],
    ['a mere reading', svelteDerived('levels', 'levels')],
    ['of state of their own', svelteDerived(formula, formula, 'let levels = $state([1]);')],
    ['of props', svelteDerived(formula, formula, 'let { levels } = $props();')],
    [
      'in one component',
      {
        ...(svelteDerived(formula, 'levels') as Readonly<Record<string, string>>),
        A: `${script(`import { levels } from './levels.svelte.js'; const low = $derived(${formula}); const other = $derived(${formula});`)}<p>{low}{other}</p>`,
      },
    ],
    ['of two sources', svelteDerived(formula, formula.replace('levels', 'more'), "import { levels, more } from './levels.svelte.js';")],
  ],
);

const draft = "import { atom } from 'jotai';\nexport const draft = atom('');";
const form =
  'function Form() { const [text, setText] = useAtom(draft); return <input value={text} onChange={(e) => setText(e.target.value)}/>; }\n';
const reactStore = (markup: string, more = '', others: Readonly<Record<string, string>> = {}): Sources => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': `import { useAtom, useAtomValue } from 'jotai';\nimport { draft } from './draft';\n${form}${more}${app(markup)}`,
  'src/draft.ts': draft,
  ...others,
});
table(
  'store-private',
  'react',
  [
    ['a store of one component', reactStore('<Form/>'), 'Form draft'],
    ['beside others', reactStore('<i/><Form/><b/>'), 'Form draft'],
    ['below another', reactStore('<Box/>', 'function Box() { return <p><Form/></p>; }\n'), 'Form draft'],
  ],
  [
    ['two use it', reactStore('<Form/><Other/>', 'function Other() { const text = useAtomValue(draft); return <i>{text}</i>; }\n')],
    ['under a condition', reactStore('{open() && <Form/>}')],
    ['in two places', reactStore('<Form/><Form/>')],
    ['in a list', reactStore('{all.map((one) => <Form key={one}/>)}')],
    [
      'used by a module',
      reactStore('<Form/>', '', { 'src/save.ts': "import { draft } from './draft'; export const save = (store) => store.set(draft, '');" }),
    ],
  ],
);

const vueStoreForm = (markup = '<input v-model="draft.text"/>'): string =>
  `${setup("import { draft } from './draft';")}<template><p>${markup}{{ draft.text }}</p></template>`;
const vueStore = (markup: string, more: Readonly<Record<string, string>> = {}): Sources => ({
  App: vueApp(markup),
  Form: vueStoreForm(),
  'draft.js': "import { reactive } from 'vue'; export const draft = reactive({ text: '' });",
  ...more,
});
table(
  'store-private',
  'vue',
  [
    ['state of a module', vueStore('<Form/>'), 'Form draft'],
    [
      'changed by a function',
      vueStore('<Form/>', {
        Form: `${setup("import { draft } from './draft'; const put = () => { draft.text = 'a'; };")}<template><p @click="put">{{ draft.text }}</p></template>`,
      }),
      'Form draft',
    ],
    ['below another', vueStore('<Box/>', { Box: '<template><p><Form/></p></template>' }), 'Form draft'],
  ],
  [
    [
      'two use it',
      vueStore('<Form/><Other/>', { Other: `${setup("import { draft } from './draft';")}<template><i>{{ draft.text }}</i></template>` }),
    ],
    ['under a condition', vueStore('<Form v-if="open()"/>')],
    ['in two places', vueStore('<Form/><Form/>')],
    ['in a list', vueStore('<Form v-for="one in 3" :key="one"/>')],
    [
      'used by a module',
      vueStore('<Form/>', { 'save.js': "import { draft } from './draft'; export const save = () => { draft.text = ''; };" }),
    ],
  ],
);

const vueShell = (gives: string): Sources => ({
  App: vueApp('<Shell><Row/></Shell>', "import { keeper } from './keys'; provide(keeper, 1);"),
  Shell: `${setup(`import { keeper } from './keys'; ${gives}`)}<template><p><slot/></p></template>`,
  Row: `${setup("import { keeper } from './keys'; const a = inject(keeper);")}<template><i>{{ a }}</i></template>`,
  'keys.js': "export const keeper = Symbol('keeper'); export const other = Symbol('other');",
});
table(
  'wrapper-empty',
  'vue',
  [
    ['a provider that gives what it took', vueShell('const a = inject(keeper); provide(keeper, a);'), 'Shell keeper'],
    [
      'by a text as key',
      {
        App: vueApp('<Shell><Row/></Shell>', "provide('keeper', 1);"),
        Shell: `${setup("const a = inject('keeper'); provide('keeper', a);")}<template><p><slot/></p></template>`,
        Row: `${setup("const a = inject('keeper');")}<template><i>{{ a }}</i></template>`,
      },
      'Shell keeper',
    ],
    [
      'that it shows too',
      {
        ...(vueShell('') as Readonly<Record<string, string>>),
        Shell: `${setup("import { keeper } from './keys'; const a = inject(keeper); provide(keeper, a);")}<template><p>{{ a }}<slot/></p></template>`,
      },
      'Shell keeper',
    ],
  ],
  [
    ['another value', vueShell('const a = inject(keeper); provide(keeper, a + 1);')],
    ['a part of it', vueShell('const a = inject(keeper); provide(keeper, a.next);')],
    ['under another key', vueShell("const a = inject(keeper); import { other } from './keys'; provide(other, a);")],
    ['with a default', vueShell('const a = inject(keeper, 2); provide(keeper, a);')],
    ['a constant', vueShell('inject(keeper); provide(keeper, 2);')],
  ],
);

const svelteShell = (gives: string): Sources => ({
  App: `${script("setContext('keeper', 1);")}<Shell><Row/></Shell>`,
  Shell: `${script(`let { children } = $props(); ${gives}`)}{@render children()}`,
  Row: `${script("const a = getContext('keeper');")}{a}`,
});
table(
  'wrapper-empty',
  'svelte',
  [
    ['a provider that gives what it took', svelteShell("const a = getContext('keeper'); setContext('keeper', a);"), 'Shell keeper'],
    ['in one line', svelteShell("setContext('keeper', getContext('keeper'));"), 'Shell keeper'],
    [
      'the older way',
      {
        ...(svelteShell('') as Readonly<Record<string, string>>),
        Shell: `${script("const a = getContext('keeper'); setContext('keeper', a);")}<slot/>`,
      },
      'Shell keeper',
    ],
  ],
  [
    ['another value', svelteShell("const a = getContext('keeper'); setContext('keeper', a + 1);")],
    ['a part of it', svelteShell("const a = getContext('keeper'); setContext('keeper', a.next);")],
    ['under another key', svelteShell("const a = getContext('keeper'); setContext('other', a);")],
    ['a constant', svelteShell("const a = getContext('keeper'); setContext('keeper', 2); print(a);")],
    ['of its own', svelteShell("let a = $state(1); setContext('keeper', () => a);")],
  ],
);

// A project of twenty small components, and one that holds far more than any of them.
const small = Array.from({ length: 21 }, (_, at) => `Part${at}`);
const names = (from: string, count: number): string[] => Array.from({ length: count }, (_, at) => `${from}${at}`);
const parts = small.map((name) => `<${name}/>`).join('');

type Crowd = { readonly groups: readonly string[]; readonly tied?: boolean };
const reactCrowd = ({ groups, tied = false }: Crowd, others = small): Sources => {
  const states = groups.flatMap((group) => names(group, 5));
  const held = states.map(
    (one) => `const [${one}, set${one}] = useState(1); const clear${one} = () => set${one}(${tied ? `${states[0] ?? ''} + 1` : '0'});`,
  );
  const shown = groups.map(
    (group) =>
      `<p>${names(group, 5)
        .map((one) => `<b onClick={clear${one}}>{${one}}</b>`)
        .join('')}{${names(group, 5).join(' + ')}}</p>`,
  );
  return `${others.map((name) => `function ${name}() { return <i>a</i>; }\n`).join('')}function Desk() { ${held.join(' ')} return <main>${shown.join('')}</main>; }\n${app(`<Desk/>${others.map((name) => `<${name}/>`).join('')}`)}`;
};
table(
  'component-crowded',
  'react',
  [
    ['two groups', reactCrowd({ groups: ['Boat', 'Lock'] }), 'Desk Desk'],
    ['three groups', reactCrowd({ groups: ['Boat', 'Lock', 'Keeper'] }), 'Desk Desk'],
    ['four groups', reactCrowd({ groups: ['Boat', 'Lock', 'Keeper', 'Toll'] }), 'Desk Desk'],
  ],
  [
    ['one group', reactCrowd({ groups: ['Boat'] })],
    ['groups that touch', reactCrowd({ groups: ['Boat', 'Lock'], tied: true })],
    ['in a small project', reactCrowd({ groups: ['Boat', 'Lock'] }, small.slice(0, 5))],
    [
      'where all are as large',
      `${['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H', 'I', 'J', 'K', 'L', 'M', 'N', 'O', 'P', 'Q', 'R', 'S', 'T', 'U']
        .map(
          (name) =>
            `function ${name}() { ${['x', 'y', 'z']
              .map((group) =>
                names(group, 5)
                  .map((one) => `const [${one}, set${one}] = useState(1); const clear${one} = () => set${one}(0);`)
                  .join(''),
              )
              .join('')} return <p onClick={clearx0}>{x0 + x1}</p>; }\n`,
        )
        .join('')}${app('<A/>')}`,
    ],
    [
      'few values',
      `${small.map((name) => `function ${name}() { return <i/>; }\n`).join('')}function Desk() { const [a, setA] = useState(1); const [b, setB] = useState(2); return <main><p onClick={() => setA(2)}>{a}</p><p onClick={() => setB(1)}>{b}</p></main>; }\n${app(`<Desk/>${parts}`)}`,
    ],
  ],
);

const crowdOf = (framework: 'vue' | 'svelte', { groups, tied = false }: Crowd, others = small): Sources => {
  const states = groups.flatMap((group) => names(group.toLowerCase(), 5));
  const next = tied ? (framework === 'vue' ? `${states[0] ?? ''}.value + 1` : `${states[0] ?? ''} + 1`) : '0';
  const held = states.map((one) =>
    framework === 'vue'
      ? `const ${one} = ref(1); const clear${one} = () => { ${one}.value = ${next}; };`
      : `let ${one} = $state(1); const clear${one} = () => { ${one} = ${next}; };`,
  );
  const [open, close, on] =
    framework === 'vue'
      ? (['{{', '}}', (name: string) => `@click="${name}"`] as const)
      : (['{', '}', (name: string) => `onclick={${name}}`] as const);
  const shown = groups.map((group) => {
    const own = names(group.toLowerCase(), 5);
    return `<p>${own.map((one) => `<b ${on(`clear${one}`)}>${open}${one}${close}</b>`).join('')}${open}${own.join(' + ')}${close}</p>`;
  });
  const all = `<Desk/>${others.map((name) => `<${name}/>`).join('')}`;
  const markup = shown.join('');
  return {
    App: framework === 'vue' ? vueApp(all) : all,
    Desk:
      framework === 'vue'
        ? `${setup(held.join(' '))}<template><main>${markup}</main></template>`
        : `${script(held.join(' '))}<main>${markup}</main>`,
    ...Object.fromEntries(others.map((name) => [name, framework === 'vue' ? '<template><i>a</i></template>' : '<i>a</i>'])),
  };
};
for (const framework of ['vue', 'svelte'] as const)
  table(
    'component-crowded',
    framework,
    [
      ['two groups', crowdOf(framework, { groups: ['Boat', 'Lock'] }), 'Desk Desk'],
      ['three groups', crowdOf(framework, { groups: ['Boat', 'Lock', 'Keeper'] }), 'Desk Desk'],
      ['four groups', crowdOf(framework, { groups: ['Boat', 'Lock', 'Keeper', 'Toll'] }), 'Desk Desk'],
    ],
    [
      ['one group', crowdOf(framework, { groups: ['Boat'] })],
      ['groups that touch', crowdOf(framework, { groups: ['Boat', 'Lock'], tied: true })],
      ['groups that touch, of three', crowdOf(framework, { groups: ['Boat', 'Lock', 'Toll'], tied: true })],
      ['in a small project', crowdOf(framework, { groups: ['Boat', 'Lock'] }, small.slice(0, 5))],
      [
        'nothing but parts',
        {
          App: framework === 'vue' ? vueApp(parts) : parts,
          ...Object.fromEntries(small.map((name) => [name, framework === 'vue' ? '<template><i>a</i></template>' : '<i>a</i>'])),
        },
      ],
    ],
  );

const svelteLegend = `${script('let { colour = false, times = false, help = false } = $props();')}<p>{#if colour}<i></i>{/if}{#if times}<b></b>{/if}{#if help}<u></u>{/if}</p>`;
table(
  'flags-many',
  'svelte',
  [
    ['one form', { App: '<Legend colour/><Legend colour/><Legend colour/>', Legend: svelteLegend }, 'Legend Legend'],
    ['two forms', { App: '<Legend colour times/><Legend colour times/><Legend help/>', Legend: svelteLegend }, 'Legend Legend'],
    [
      'the older way',
      {
        App: '<Legend colour={true}/><Legend colour={true}/><Legend/>',
        Legend: `${script('export let colour = false; export let times = false; export let help = false;')}<p>{#if colour}<i></i>{/if}{#if times}<b></b>{/if}{#if help}<u></u>{/if}</p>`,
      },
      'Legend Legend',
    ],
  ],
  [
    ['five forms', { App: '<Legend/><Legend colour/><Legend times/><Legend help/><Legend colour help/>', Legend: svelteLegend }],
    ['known while running', { App: `${script('let a = $state(true);')}<Legend colour={a}/><Legend/><Legend help/>`, Legend: svelteLegend }],
    ['two uses', { App: '<Legend colour/><Legend times/>', Legend: svelteLegend }],
    ['an object is given', { App: `${script('const a = load();')}<Legend {...a}/><Legend/><Legend help/>`, Legend: svelteLegend }],
    [
      'texts',
      {
        App: '<Legend tone="a"/><Legend tone="b"/><Legend tone="a"/>',
        Legend: `${script("let { tone = '' } = $props();")}<p>{#if tone}<i></i>{/if}</p>`,
      },
    ],
  ],
);

const dispatcher = (types: string, markup = '<b on:click={() => dispatch("pick", 1)}></b>'): string =>
  `<script lang="ts">import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher<${types}>();</script>${markup}`;
const heard = '<Row on:pick={() => print()}/>';
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
