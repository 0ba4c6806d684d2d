import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const next = (page: string, more: Readonly<Record<string, string>> = {}): Sources => ({
  'package.json': '{"dependencies":{"next":"15"}}',
  'app/page.tsx': page,
  ...more,
});

const button = {
  'app/Button.tsx': "'use client';\nexport function Button({ onPick }: { onPick?: () => void }) { return <button onClick={onPick}/>; }",
};

table(
  'layer-crossed',
  'react',
  [
    [
      'state on the server',
      next("import { useState } from 'react'; export default function Page() { const [a, setA] = useState(1); return <p>{a}</p>; }"),
      'Page a',
    ],
    ['a listener on an element', next('export default function Page() { return <p onClick={() => 1}/>; }'), 'Page onClick'],
    [
      'a function for the client',
      next("import { Button } from './Button'; export default function Page() { return <Button onPick={() => 1}/>; }", button),
      'Page onPick',
    ],
    [
      'by name',
      next(
        "import { Button } from './Button'; export default function Page() { function pick() { return 1; } return <Button onPick={pick}/>; }",
        button,
      ),
      'Page onPick',
    ],
    [
      'further down',
      next("import { Part } from './Part'; export default function Page() { return <Part/>; }", {
        'app/Part.tsx': 'export function Part() { return <p onClick={() => 1}/>; }',
      }),
      'Part onClick',
    ],
  ],
  [
    [
      'marked for the client',
      next(
        "'use client';\nimport { useState } from 'react'; export default function Page() { const [a, setA] = useState(1); return <p onClick={() => setA(2)}>{a}</p>; }",
      ),
    ],
    [
      'below a file that is marked',
      next("import { Box } from './Box'; export default function Page() { return <Box/>; }", {
        'app/Box.tsx': "'use client';\nimport { Part } from './Part'; export function Box() { return <Part/>; }",
        'app/Part.tsx': 'export function Part() { return <p onClick={() => 1}/>; }',
      }),
    ],
    [
      'a function of the server',
      next(
        "import { Button } from './Button'; export default function Page() { async function pick() { 'use server'; } return <Button onPick={pick}/>; }",
        button,
      ),
    ],
    [
      'markup for the client',
      next("import { Box } from './Box'; export default function Page() { return <Box row={<b/>}><i/></Box>; }", {
        'app/Box.tsx': "'use client';\nexport function Box({ row, children }) { return <p>{row}{children}</p>; }",
      }),
    ],
    ['a form’s action', next('export default function Page() { async function book() { return 1; } return <form action={book}/>; }')],
    ['no such application', 'export function App() { const [a, setA] = useState(1); return <p onClick={() => setA(2)}>{a}</p>; }'],
  ],
);

const tabs = (forecast: string, mark = "'use client';\n"): Sources =>
  next("import { Tabs } from './Tabs'; export default function Page() { return <Tabs/>; }", {
    'app/Tabs.tsx': `${mark}import { Forecast } from './Forecast';\nexport function Tabs() { return <Forecast/>; }`,
    'app/Forecast.tsx': forecast,
  });

table(
  'layer-crossed',
  'react',
  [['an async part in the browser', tabs('export async function Forecast() { return <p/>; }'), 'Forecast Forecast']],
  [
    ['a part that does not wait', tabs('export function Forecast() { return <p/>; }')],
    ['an async part on the server', tabs('export async function Forecast() { return <p/>; }', '')],
  ],
);

const kit = (files: Record<string, string>): Sources => ({ 'package.json': '{"devDependencies":{"@sveltejs/kit":"2"}}', ...files });
const shown = '<script>let { data } = $props();</script><p>{data.a}</p>';

table(
  'layer-crossed',
  'svelte',
  [
    [
      'a load on the server hands over a function',
      kit({
        'src/routes/+page.svelte': shown,
        'src/routes/+page.server.js': 'export const load = async () => { return { a: 1, format: (n) => n }; };',
      }),
      'RootPage format',
    ],
    [
      'by the name of one of its own',
      kit({
        'src/routes/+page.svelte': shown,
        'src/routes/+page.server.js': 'const metres = (n) => n;\nexport function load() { return { a: 1, format: metres }; }',
      }),
      'RootPage format',
    ],
    [
      'a part that answers to people on a page that never starts',
      kit({
        'src/routes/+page.svelte': "<script>import Rope from './Rope.svelte';</script><Rope/>",
        'src/routes/Rope.svelte': '<script>let n = $state(0);</script><button onclick={() => n++}>{n}</button>',
        'src/routes/+page.js': 'export const csr = false;',
      }),
      'RootPage Rope',
    ],
  ],
  [
    [
      'plain data, and dates',
      kit({ 'src/routes/+page.svelte': shown, 'src/routes/+page.server.js': 'export const load = () => ({ a: new Date(), b: [1] });' }),
    ],
    [
      'a load of both halves may hand over functions',
      kit({ 'src/routes/+page.svelte': shown, 'src/routes/+page.js': 'export const load = () => ({ a: 1, format: (n) => n });' }),
    ],
    [
      'a part that only shows',
      kit({
        'src/routes/+page.svelte': "<script>import Rope from './Rope.svelte';</script><Rope/>",
        'src/routes/Rope.svelte': '<p>rope</p>',
        'src/routes/+page.js': 'export const csr = false;',
      }),
    ],
    [
      'a page that starts',
      kit({
        'src/routes/+page.svelte': "<script>import Rope from './Rope.svelte';</script><Rope/>",
        'src/routes/Rope.svelte': '<script>let n = $state(0);</script><button onclick={() => n++}>{n}</button>',
        'src/routes/+page.js': 'export const csr = true;',
      }),
    ],
  ],
);
