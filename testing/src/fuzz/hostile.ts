import type { Files } from '../project';

const times = (count: number, write: (at: number) => string, between = ''): string =>
  Array.from({ length: count }, (_, at) => write(at)).join(between);

/** Projects of one thing too much of: each is small enough that no phase may take long over it. `problems`: whether it cannot be read in full. */
export const hostile: readonly { readonly name: string; readonly files: Files; readonly problems: boolean }[] = [
  {
    name: '4,000 branches of one chain in Vue',
    files: {
      'A.vue': `<script setup>const a = ref(0)</script><template><p v-if="a==0">x</p>${times(4000, (at) => `<p v-else-if="a==${at}">${at}</p>`)}</template>`,
    },
    problems: false,
  },
  {
    name: '500 loops within loops in Vue',
    files: {
      'A.vue': `<script setup>const a = ref([])</script><template>${times(500, (at) => `<div v-for="x${at} in a">`)}{{ x499 }}${'</div>'.repeat(500)}</template>`,
    },
    problems: false,
  },
  {
    name: '500 loops within loops in Svelte',
    files: {
      'A.svelte': `<script>let a = $state([])</script>${times(500, (at) => `{#each a as x${at}}`)}{x499}${'{/each}'.repeat(500)}`,
    },
    problems: false,
  },
  {
    name: '2,000 hooks in a chain',
    files: {
      'hooks.ts': times(2000, (at) => `export function useH${at}() { return ${at === 0 ? 'useState(0)' : `useH${at - 1}()`}; }\n`),
      'A.tsx':
        "import { useH1999 } from './hooks';\nexport function A() { const [a, setA] = useH1999(); return <p onClick={() => setA(1)}>{a}</p>; }",
    },
    problems: false,
  },
  {
    name: '200,000 calls in a component',
    files: { 'A.tsx': `export function A({ f }) {${'f();'.repeat(200_000)} return <p />; }` },
    problems: false,
  },
  {
    name: '3,000 components in a chain',
    files: {
      'A.tsx': times(3000, (at) => `export function C${at}({ a }) { return ${at === 0 ? '<p>{a}</p>' : `<C${at - 1} a={a} />`}; }\n`),
    },
    problems: false,
  },
  {
    name: '2,000 modules that export each other in a ring',
    files: {
      ...Object.fromEntries(Array.from({ length: 2000 }, (_, at) => [`m${at}.ts`, `export * from './m${(at + 1) % 2000}';`])),
      'A.tsx': "import { Q } from './m0';\nexport function A() { return <Q />; }",
    },
    problems: false,
  },
  {
    name: '3,000 types in a chain',
    files: {
      'A.tsx': `${times(3000, (at) => `interface I${at}${at === 0 ? '' : ` extends I${at - 1}`} { a${at}: string }\n`)}export function A(p: I2999) { return <p>{p.a0}</p>; }`,
    },
    problems: false,
  },
  {
    name: '5,000 props',
    files: {
      'A.tsx': `export function A({ ${times(5000, (at) => `p${at}`, ', ')} }) { return <p>{p0}</p>; }\nexport function B() { return <A ${times(5000, (at) => `p${at}={${at}}`, ' ')} />; }`,
    },
    problems: false,
  },
  {
    name: 'markup nested 20,000 deep in React',
    files: { 'A.tsx': `export function A({ a }) { return ${'<div>'.repeat(20_000)}{a}${'</div>'.repeat(20_000)}; }` },
    problems: true,
  },
  {
    name: 'parentheses nested 50,000 deep',
    files: { 'A.tsx': `export const a = ${'('.repeat(50_000)}1${')'.repeat(50_000)};` },
    problems: true,
  },
  {
    name: 'a call whose first argument is not yet there',
    files: {
      'A.tsx': 'export function A({ a }: { a: number }) { f(, 1); return <p>{a}</p>; }',
      'B.vue': '<script setup>const a = ref(0); f(, 1)</script><template><p @click="f(, 1)">{{ a }}</p></template>',
      'C.svelte': '<script>let a = $state(0); f(, 1)</script><p onclick={() => f(, 1)}>{a}</p>',
    },
    problems: true,
  },
  {
    name: 'names that every object has',
    files: {
      'A.tsx':
        'export function constructor({ __proto__, toString, hasOwnProperty }) { return <p>{__proto__}{toString}</p>; }\nexport const A = { constructor };\nexport function B() { return <A.constructor __proto__={1} toString={2} onConstructor={() => 0} />; }',
      'B.vue':
        "<script setup>defineProps(['__proto__', 'constructor']); defineEmits(['__proto__', 'toString'])</script><template><p @__proto__=\"toString\" :constructor=\"valueOf\" /></template>",
      'C.svelte':
        "<script>import { writable } from 'svelte/store'; let { __proto__, constructor } = $props(); const toString = writable(0)</script>{$toString}{__proto__}",
    },
    problems: false,
  },
];
