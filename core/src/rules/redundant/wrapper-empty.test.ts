import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const vueShell = (gives: string): Sources => ({
  App: vueApp('<Shell><Row/></Shell>', "import { keeper } from './keys'; provide(keeper, 1);"),
  Shell: `${setup(`import { keeper } from './keys'; ${gives}`)}<template><p><slot/></p></template>`,
  Row: `${setup("import { keeper } from './keys'; const a = inject(keeper);")}<template><i>{{ a }}</i></template>`,
  'keys.js': "export const keeper = Symbol('keeper'); export const other = Symbol('other');",
});

const svelteShell = (gives: string): Sources => ({
  App: `${contextScript("setContext('keeper', 1);")}<Shell><Row/></Shell>`,
  Shell: `${contextScript(`let { children } = $props(); ${gives}`)}{@render children()}`,
  Row: `${contextScript("const a = getContext('keeper');")}{a}`,
});

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

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
        Shell: `${contextScript("const a = getContext('keeper'); setContext('keeper', a);")}<slot/>`,
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

table(
  'wrapper-empty',
  'react',
  [
    ['a fragment around one element', 'export function App() { return <><main/></>; }', 'App fragment'],
    ['a fragment around a part', 'function Row() { return <p/>; }\nexport function App() { return <>\n<Row/>\n</>; }', 'App fragment'],
    [
      'a provider that gives what it took',
      `const Keeper = createContext(null);\nfunction Row() { const a = useContext(Keeper); return a; }\nfunction Shell({ children }) { const keeper = useContext(Keeper); return <Keeper value={keeper}>{children}</Keeper>; }\n${app('<Keeper value={1}><Shell><Row/></Shell></Keeper>')}`,
      'Shell Keeper',
    ],
  ],
  [
    ['around two', 'export function App() { return <><main/><i/></>; }'],
    ['around a text and an element', 'export function App() { return <>Boats <b/></>; }'],
    ['around an expression and an element', "export function App() { return <>{t('a')} <b/></>; }"],
    ['around a condition', 'export function App({ a }) { return <>{a && <b/>}</>; }'],
    ['around content', 'export function App({ children }) { return <>{children}</>; }'],
    ['with a key', 'export function App({ all }) { return all.map((one) => <Fragment key={one}><b/></Fragment>); }'],
    [
      'a provider that gives another value',
      `const Keeper = createContext(null);\nfunction Row() { const a = useContext(Keeper); return a; }\nfunction Shell({ children }) { const keeper = useContext(Keeper); return <Keeper value={keeper.next}>{children}</Keeper>; }\n${app('<Keeper value={1}><Shell><Row/></Shell></Keeper>')}`,
    ],
  ],
);
