import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string =>
  `<script setup>import { computed, inject, provide, ref, watch, watchEffect } from 'vue'; ${script}</script>`;

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

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

const vueStoreForm = (markup = '<input v-model="draft.text"/>'): string =>
  `${setup("import { draft } from './draft';")}<template><p>${markup}{{ draft.text }}</p></template>`;

const vueStore = (markup: string, more: Readonly<Record<string, string>> = {}): Sources => ({
  App: vueApp(markup),
  Form: vueStoreForm(),
  'draft.js': "import { reactive } from 'vue'; export const draft = reactive({ text: '' });",
  ...more,
});

const script = (text: string): string => `<script>${text}</script>`;

const store = (does: string, before = '<i/>'): Readonly<Record<string, string>> => ({
  App: `${before}<Form/>`,
  Form: `${script(`import { draft } from './draft'; ${does}`)}<input bind:value={$draft}/>`,
  'draft.js': "import { writable } from 'svelte/store'; export const draft = writable('');",
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

table(
  'store-private',
  'svelte',
  [
    ['a store of one component', store(''), 'Form draft'],
    [
      'state of a module',
      {
        App: '<Form/>',
        Form: `${script("import { draft } from './draft.svelte.js';")}<input oninput={() => (draft.text = 'a')}/>{draft.text}`,
        'draft.svelte.js': "export const draft = $state({ text: '' });",
      },
      'Form draft',
    ],
    [
      'set by a function',
      {
        App: '<Form/>',
        Form: `${script("import { draft } from './draft'; const put = () => draft.set('a');")}<input oninput={put}/>{$draft}`,
        'draft.js': "import { writable } from 'svelte/store'; export const draft = writable('');",
      },
      'Form draft',
    ],
  ],
  [
    ['two use it', { ...store(''), App: '<Form/><Other/>', Other: `${script("import { draft } from './draft';")}{$draft}` }],
    ['under a condition', { ...store(''), App: '{#if open()}<Form/>{/if}' }],
    ['in two places', { ...store(''), App: '<Form/><Form/>' }],
    ['in a list', { ...store(''), App: '{#each all() as one (one)}<Form/>{/each}' }],
    ['used by a module', { ...store(''), 'save.js': "import { draft } from './draft'; export const save = () => draft.set('');" }],
  ],
);
