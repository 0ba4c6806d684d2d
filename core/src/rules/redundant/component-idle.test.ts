import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const reactFiles = (more: Readonly<Record<string, string>>, markup: string, before = ''): Readonly<Record<string, string>> => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': app(markup, before),
  ...more,
});

table(
  'component-idle',
  'react',
  [
    ['a file of its own', reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }' }, '<i/>'), 'Old Old'],
    [
      'with what it alone renders',
      reactFiles(
        {
          'src/Old.tsx': "import { Row } from './Row';\nexport function Old() { return <Row/>; }",
          'src/Row.tsx': 'export function Row() { return <p/>; }',
        },
        '<i/>',
      ),
      'Old Old',
    ],
    ['a default export', reactFiles({ 'src/Old.tsx': 'export default function Old() { return <p/>; }' }, '<i/>'), 'Old Old'],
    [
      'that a file hands on to nobody, while others take something else from it',
      reactFiles(
        {
          'src/Old.tsx': 'export function Old() { return <p/>; }',
          'src/New.tsx': 'export function New() { return <p/>; }',
          'src/parts.ts': "export { Old } from './Old';\nexport { New } from './New';",
        },
        '<New/>',
        "import { New } from './parts';\n",
      ),
      'Old Old',
    ],
  ],
  [
    ['rendered', reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }' }, '<Old/>', "import { Old } from './Old';\n")],
    [
      'imported as a value',
      reactFiles(
        {
          'src/Old.tsx': 'export function Old() { return <p/>; }',
          'src/table.ts': "import { Old } from './Old';\nexport const table = { Old };",
        },
        '<i/>',
      ),
    ],
    [
      'loaded later',
      reactFiles({ 'src/Old.tsx': 'export default function Old() { return <p/>; }' }, '<i/>', "const load = () => import('./Old');\n"),
    ],
    [
      'found by a pattern',
      reactFiles(
        { 'src/parts/Old.tsx': 'export default function Old() { return <p/>; }' },
        '<i/>',
        "const all = import.meta.glob('./parts/*.tsx');\n",
      ),
    ],
    [
      'handed on by a file that is there for others',
      reactFiles({ 'src/Old.tsx': 'export function Old() { return <p/>; }', 'src/index.ts': "export { Old } from './Old';" }, '<i/>'),
    ],
    [
      'handed on by another file that is imported as a whole',
      reactFiles(
        {
          'src/Old.tsx': 'export function Old() { return <p/>; }',
          'src/index.ts': "export { Old } from './Old';",
          'src/all.ts': "import * as parts from './index';\nexport const all = Object.values(parts);",
        },
        '<i/>',
      ),
    ],
    [
      'handed on by the file that the package begins with, from which others in it take something too',
      reactFiles(
        {
          'src/Old.tsx': "import { tone } from '.';\nexport function Old() { return <p className={tone}/>; }",
          'src/index.ts': "export const tone = 'calm';\nexport { Old } from './Old';",
        },
        '<i/>',
      ),
    ],
    [
      'of a package that says what others may import, and puts some of it on the screen itself',
      reactFiles(
        { 'package.json': '{ "exports": { "./*": "./src/*.tsx" } }', 'src/Old.tsx': 'export function Old() { return <p/>; }' },
        '<i/>',
      ),
    ],
    [
      'as most are: the pages that are known are not what the project is for',
      reactFiles(
        Object.fromEntries(
          Array.from({ length: 11 }, (_, at) => [`src/Part${at}.tsx`, `export function Part${at}() { return <p>{${at}}</p>; }`]),
        ),
        '<i/>',
      ),
    ],
    ['a declaration', reactFiles({ 'src/Old.d.ts': 'export default class Old extends React.Component {}' }, '<i/>')],
    ['an example', reactFiles({ 'src/docs/example.jsx': 'export default function Example() { return <p/>; }' }, '<i/>')],
    ['a library', { 'package.json': '{}', 'src/Old.tsx': 'export function Old() { return <p/>; }' }],
    ['a test', reactFiles({ 'src/Old.test.tsx': 'export function Old() { return <p/>; }' }, '<i/>')],
  ],
);

table(
  'component-idle',
  'vue',
  [
    ['a file of its own', { App: vueApp('<i/>'), Old: '<template><p/></template>' }, 'Old Old'],
    ['with a script', { App: vueApp('<i/>'), Old: `${setup('const a = 1;')}<template><p>{{ a }}</p></template>` }, 'Old Old'],
    [
      'that renders others',
      { App: vueApp('<Row/>'), Row: '<template><p/></template>', Old: `${setup('')}<template><Row/></template>` },
      'Old Old',
    ],
  ],
  [
    ['rendered', { App: vueApp('<Old/>'), Old: '<template><p/></template>' }],
    [
      'loaded later',
      { App: vueApp('<i/>', "const it = defineAsyncComponent(() => import('./Old.vue'));"), Old: '<template><p/></template>' },
    ],
    [
      'registered for all',
      {
        App: vueApp('<i/>'),
        Old: '<template><p/></template>',
        'all.js': "import Old from './Old.vue'; export default { install: (app) => app.component('Old', Old) };",
      },
    ],
    ['a page by its place', { App: vueApp('<i/>'), 'pages/Old.vue': '<template><p/></template>' }],
    [
      'found by a pattern',
      { App: vueApp('<i/>', "const all = import.meta.glob('./parts/*.vue');"), 'parts/Old.vue': '<template><p/></template>' },
    ],
  ],
);

table(
  'component-idle',
  'svelte',
  [
    ['a file of its own', { App: '<i/>', Old: '<p/>' }, 'Old Old'],
    ['with a script', { App: '<i/>', Old: '<script>let a = 1;</script><p>{a}</p>' }, 'Old Old'],
    ['that renders others', { App: '<Row/>', Row: '<p/>', Old: '<Row/>' }, 'Old Old'],
  ],
  [
    ['rendered', { App: '<Old/>', Old: '<p/>' }],
    ['loaded later', { App: "<script>const it = import('./Old.svelte');</script><i/>", Old: '<p/>' }],
    ['imported by script', { App: '<i/>', Old: '<p/>', 'open.js': "import Old from './Old.svelte'; export const open = () => Old;" }],
    ['a page by its place', { App: '<i/>', 'routes/+page.svelte': '<p/>' }],
    [
      'handed on by another file that is imported as a whole',
      {
        App: '<i/>',
        Old: '<p/>',
        'parts.js': "export { default as Old } from './Old.svelte';",
        'all.js': "import * as parts from './parts.js'; export const all = Object.values(parts);",
      },
    ],
  ],
);
