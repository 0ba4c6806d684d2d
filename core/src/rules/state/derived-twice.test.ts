import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const contextScript = (text: string): string => `<script>import { getContext, setContext } from 'svelte'; ${text}</script>`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const formula = 'levels.filter((one) => one < 2).length';

const vueDerived = (one: string, other: string, take = 'const levels = useLevels();'): Sources => ({
  App: vueApp('<A/><B/>'),
  A: `${setup(`import { useLevels } from './levels'; ${take} const low = computed(() => ${one});`)}<template><p>{{ low }}</p></template>`,
  B: `${setup(`import { useLevels } from './levels'; ${take} const low = computed(() => ${other});`)}<template><i>{{ low }}</i></template>`,
  'levels.js': "import { ref } from 'vue'; const levels = ref([1]); export function useLevels() { return levels; }",
});

const vueFormula = 'levels.value.filter((one) => one < 2).length';

const svelteDerived = (one: string, other: string, from = "import { levels } from './levels.svelte.js';"): Sources => ({
  App: '<A/><B/>',
  A: `${contextScript(`${from} const low = $derived(${one});`)}<p>{low}</p>`,
  B: `${contextScript(`${from} const low = $derived(${other});`)}<i>{low}</i>`,
  'levels.svelte.js': 'export const levels = $state([1]); export const more = $state([2]);',
});

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const useLevels = "import { useLevels } from './levels';\n";

const levels = {
  'src/levels.ts': "import { useState } from 'react';\nexport function useLevels() { const [a] = useState([1]); return a; }",
};

const levelStore = {
  'src/levels.ts':
    "import { create } from 'zustand';\nexport const useLevels = create((set) => ({ levels: [1], others: [2], add: () => set({ levels: [], others: [] }) }));",
};

const derived = (one: string, other: string, more = levels, take = 'const levels = useLevels();'): Readonly<Record<string, string>> => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': `${useLevels}function A() { ${take} const low = ${one}; return <p>{low}</p>; }\nfunction B() { ${take} const low = ${other}; return <i>{low}</i>; }\n${app('<A/><B/>')}`,
  ...more,
});

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
        A: `${contextScript("import { levels } from './levels'; $: low = $levels.filter((one) => one < 2).length;")}<p>{low}</p>`,
        B: `${contextScript("import { levels } from './levels'; $: low = $levels.filter((one) => one < 2).length;")}<i>{low}</i>`,
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
        A: `${contextScript(`import { levels } from './levels.svelte.js'; const low = $derived(${formula}); const other = $derived(${formula});`)}<p>{low}{other}</p>`,
      },
    ],
    ['of two sources', svelteDerived(formula, formula.replace('levels', 'more'), "import { levels, more } from './levels.svelte.js';")],
  ],
);

table(
  'derived-twice',
  'react',
  [
    ['of a hook', derived(formula, formula), 'B low'],
    ['kept by a hook', derived(`useMemo(() => ${formula}, [levels])`, `useMemo(() => ${formula}, [levels])`), 'B low'],
    [
      'of a part of a store, selected by each',
      derived(formula, formula, levelStore, 'const levels = useLevels((held) => held.levels);'),
      'B low',
    ],
    [
      'of a context',
      {
        ...derived(formula, formula, levels, 'const levels = useContext(Levels);'),
        'src/App.tsx': `const Levels = createContext([]);\nfunction A() { const levels = useContext(Levels); const low = ${formula}; return <p>{low}</p>; }\nfunction B() { const levels = useContext(Levels); const low = ${formula}; return <i>{low}</i>; }\n${app('<Levels value={[1]}><A/><B/></Levels>')}`,
      },
      'B low',
    ],
  ],
  [
    ['another computation', derived(formula, 'levels.filter((one) => one < 3).length')],
    ['a mere reading', derived('levels.length', 'levels.length')],
    ['of props', derived(formula, formula, levels, 'const [levels] = useState([1]);')],
    [
      'of other parts of a store',
      {
        ...derived(formula, formula, levelStore, ''),
        'src/App.tsx': `${useLevels}function A() { const levels = useLevels((held) => held.levels); const low = ${formula}; return <p>{low}</p>; }\nfunction B() { const levels = useLevels((held) => held.others); const low = ${formula}; return <i>{low}</i>; }\n${app('<A/><B/>')}`,
      },
    ],
    [
      'of what a selector makes of a store',
      derived(formula, formula, levelStore, 'const levels = useLevels((held) => held.levels.concat(now()));'),
    ],
    ['of hooks that are given something', derived(formula, formula, levels, 'const [k] = useState(1); const levels = useLevels(k);')],
    [
      'in one component',
      {
        ...derived(formula, formula),
        'src/App.tsx': `${useLevels}${app('<p>{low}</p><i>{other}</i>', `const levels = useLevels(); const low = ${formula}; const other = ${formula};`)}`,
      },
    ],
  ],
);
