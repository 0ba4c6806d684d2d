import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const vueLeaf = `${setup('defineProps({ a: Number });')}<template><p>{{ a }}</p></template>`;

const vueCarrier = (markup: string): string => `${setup('defineProps({ a: Number });')}<template><div>${markup}</div></template>`;

const vueCarried = (inner: string, mid = vueCarrier('<Inner :a="a"/>'), use = '<Outer :a="a"/>'): Sources => ({
  App: vueApp(use, 'const a = ref(1);'),
  Outer: mid,
  Inner: inner,
  Leaf: vueLeaf,
});

const svelteLeaf = `${contextScript('let { a } = $props();')}<p>{a}</p>`;

const svelteCarrier = (markup: string): string => `${contextScript('let { a } = $props();')}<div>${markup}</div>`;

const svelteCarried = (inner: string, mid = svelteCarrier('<Inner {a}/>'), use = '<Outer {a}/>'): Sources => ({
  App: `${contextScript('let a = $state(1);')}${use}`,
  Outer: mid,
  Inner: inner,
  Leaf: svelteLeaf,
});

const carried = (leaf: string, mid = '<Inner a={a}/>'): string =>
  `${leaf}\nfunction Inner({ a }) { return <Leaf a={a}/>; }\nfunction Outer({ a }) { return ${mid}; }\nexport function App() { const [a] = useState(1); return <Outer a={a}/>; }`;

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
        Inner: `${setup("import Far from 'out'; defineProps({ a: Number });")}<template><div><Far :a="a"/></div></template>`,
      },
    ],
  ],
);

table(
  'prop-carried',
  'svelte',
  [
    ['through two', svelteCarried(svelteCarrier('<Leaf {a}/>')), 'Outer a'],
    [
      'under another name',
      svelteCarried(`${contextScript('let { b } = $props();')}<div><Leaf a={b}/></div>`, svelteCarrier('<Inner b={a}/>')),
      'Outer a',
    ],
    [
      'the older way',
      svelteCarried(`${contextScript('export let a;')}<div><Leaf {a}/></div>`, `${contextScript('export let a;')}<Inner {a}/>`),
      'Outer a',
    ],
  ],
  [
    ['through one', { App: `${contextScript('let a = $state(1);')}<Inner {a}/>`, Inner: svelteCarrier('<Leaf {a}/>'), Leaf: svelteLeaf }],
    ['read on the way', svelteCarried(svelteCarrier('<Leaf {a}/>{a}'))],
    ['narrowed on the way', svelteCarried(svelteCarrier('<Leaf a={a.b}/>'))],
    ['followed on the way', svelteCarried(`${contextScript('let { a } = $props(); $effect(() => print(a));')}<div><Leaf {a}/></div>`)],
    ['never given', svelteCarried(svelteCarrier('<Leaf {a}/>'), svelteCarrier('<Inner {a}/>'), '<Outer/>')],
    ['all props go on', svelteCarried(`${contextScript('let props = $props();')}<div><Leaf {...props}/></div>`)],
  ],
);

table(
  'prop-carried',
  'react',
  [
    ['through two', carried('function Leaf({ a }) { return <p>{a}</p>; }'), 'Outer a'],
    [
      'under another name',
      'function Leaf({ c }) { return <p>{c}</p>; }\nfunction Inner({ b }) { return <Leaf c={b}/>; }\nfunction Outer({ a }) { return <Inner b={a}/>; }\nexport function App() { const [x] = useState(1); return <Outer a={x}/>; }',
      'Outer a',
    ],
    ['a theme', carried('function Leaf({ a }) { return <p>{a}</p>; }').replace(/\ba\b/g, 'theme'), 'Outer theme'],
    ['a callback handed on by reference', carried('function Leaf({ a }) { return <p onClick={() => a()}/>; }'), 'Outer a'],
  ],
  [
    [
      'through one',
      'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Outer({ a }) { return <Leaf a={a}/>; }\nexport function App() { const [a] = useState(1); return <Outer a={a}/>; }',
    ],
    ['read on the way', carried('function Leaf({ a }) { return <p>{a}</p>; }', '<p title={a}><Inner a={a}/></p>')],
    ['narrowed on the way', carried('function Leaf({ a }) { return <p>{a}</p>; }', '<Inner a={a.b}/>')],
    ['sorted on the way', carried('function Leaf({ a }) { return <p>{a}</p>; }', '<Inner a={a.sort()}/>')],
    [
      'a class name',
      'function Leaf({ className }) { return <p className={className}/>; }\nfunction Inner({ className }) { return <Leaf className={className}/>; }\nfunction Outer({ className }) { return <Inner className={className}/>; }\nexport function App() { const [x] = useState(1); return <Outer className={x}/>; }',
    ],
    [
      'children',
      'function Inner({ children }) { return <p>{children}</p>; }\nfunction Mid({ children }) { return <Inner>{children}</Inner>; }\nfunction Outer({ children }) { return <Mid>{children}</Mid>; }\nexport function App() { return <Outer><b/></Outer>; }',
    ],
    [
      'to a component from outside',
      "import { Leaf } from 'out';\nfunction Outer({ a }) { return <Leaf a={a}/>; }\nfunction More({ a }) { return <Outer a={a}/>; }\nexport function App() { const [a] = useState(1); return <More a={a}/>; }",
    ],
    [
      'never given',
      'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Inner({ a }) { return <Leaf a={a}/>; }\nfunction Outer({ a }) { return <Inner a={a}/>; }\nexport function App() { return <Outer/>; }',
    ],
    [
      'components that pass it to each other',
      'function Inner({ a, n }) { return n ? <Outer a={a} n={n - 1}/> : null; }\nfunction Outer({ a, n }) { return <Inner a={a} n={n}/>; }\nexport function App() { const [a] = useState(1); return <Outer a={a} n={2}/>; }',
    ],
  ],
);
