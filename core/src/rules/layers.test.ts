import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { type Sources, table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const routed = (lock: string, roster: string, more = ''): string =>
  `import { useLoaderData, Outlet, Routes, Route } from 'react-router';\nfunction Lock() { ${lock} }\nfunction Roster() { ${roster} }\n${more}export function App() { return <Routes><Route path="/lock" element={<Lock/>}/><Route path="/roster" element={<Roster/>}/></Routes>; }`;

table(
  'page-imported',
  'react',
  [
    [
      'it lives from loaded data',
      routed('const lock = useLoaderData(); return <p>{lock.name}</p>;', 'return <div><Lock/></div>;'),
      'Roster Lock',
    ],
    ['a layout', routed('return <main><Outlet/></main>;', 'return <div><Lock/></div>;'), 'Roster Lock'],
    [
      'by its file',
      {
        'package.json': '{"dependencies":{"next":"15"}}',
        'app/lock/page.tsx': 'export default function Lock({ params }) { return <p>{params.id}</p>; }',
        'app/roster/page.tsx': "import Lock from '../lock/page'; export default function Roster() { return <div><Lock/></div>; }",
      },
      'Roster Lock',
    ],
  ],
  [
    ['it lives from nothing of the route', routed('return <p/>;', 'return <div><Lock/></div>;')],
    [
      'what both need stands apart',
      routed(
        'const lock = useLoaderData(); return <Panel lock={lock}/>;',
        'return <Panel lock={1}/>;',
        'function Panel({ lock }) { return <p>{lock.name}</p>; }\n',
      ),
    ],
    ['shown as another page as it is', routed('const lock = useLoaderData(); return <p>{lock.name}</p>;', 'return <Lock/>;')],
    [
      'it loads for itself, and is no page',
      'import { useLoaderData } from "react-router"; function Lock() { const lock = useLoaderData(); return <p>{lock.name}</p>; }\nexport function App() { return <Lock/>; }',
    ],
    [
      'given what it needs',
      {
        'package.json': '{"dependencies":{"next":"15"}}',
        'app/lock/page.tsx': 'export default function Lock({ params }) { return <p>{params.id}</p>; }',
        'app/roster/page.tsx':
          "import Lock from '../lock/page'; export default function Roster() { return <div><Lock params={{ id: 1 }}/></div>; }",
      },
    ],
  ],
);

const kit = (lock: string, roster: string): Sources => ({
  'package.json': '{"devDependencies":{"@sveltejs/kit":"2"}}',
  'src/routes/lock/+page.svelte': lock,
  'src/routes/lock/+page.js': 'export const load = () => ({ a: 1 });',
  'src/routes/roster/+page.svelte': roster,
});
const importLock = "<script>import Lock from '../lock/+page.svelte';</script>";
table(
  'page-imported',
  'svelte',
  [
    [
      'it lives from loaded data',
      kit('<script>let { data } = $props();</script><p>{data.a}</p>', `${importLock}<div><Lock/></div>`),
      '+page Lock',
    ],
    ['the older way', kit('<script>export let data;</script><p>{data.a}</p>', `${importLock}<div><Lock/></div>`), '+page Lock'],
    [
      'under a condition',
      kit('<script>let { data } = $props();</script><p>{data.a}</p>', `${importLock}{#if 1}<Lock/>{/if}`),
      '+page Lock',
    ],
  ].map(
    ([name, sources, found]) =>
      [name, sources, (found as string).replace('+page Lock', 'RosterPage LockPage')] as [string, Sources, string],
  ),
  [
    ['given what it needs', kit('<script>let { data } = $props();</script><p>{data.a}</p>', `${importLock}<div><Lock data={1}/></div>`)],
    ['it needs nothing', kit('<p></p>', `${importLock}<div><Lock/></div>`)],
    ['not imported', kit('<script>let { data } = $props();</script><p>{data.a}</p>', '<p></p>')],
    [
      'all is handed on',
      kit(
        '<script>let { data } = $props();</script><p>{data.a}</p>',
        "<script>import Lock from '../lock/+page.svelte'; let all = $props();</script><div><Lock {...all}/></div>",
      ),
    ],
    ['shown as another page as it is', kit('<script>let { data } = $props();</script><p>{data.a}</p>', `${importLock}<Lock/>`)],
  ],
);

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

const reads = (name: string, more = '', what = "'/api/passages'"): string =>
  `function ${name}() { const [rows, setRows] = useState([]); useEffect(() => { fetch(${what}).then((r) => r.json()).then(setRows); }, []); return <p onClick={() => { ${more} }}>{rows.length}</p>; }\n`;
const both = 'export function App() { return <><Bar/><Queue/></>; }';
table(
  'two-truths',
  'react',
  [
    ['one request, two copies', `${reads('Bar')}${reads('Queue', 'setRows([]);')}${both}`, 'Queue /api/passages'],
    [
      'a key of the storage',
      `function Bar() { const [tone, setTone] = useState(localStorage.getItem('tone')); return <p>{tone}</p>; }\nfunction Queue() { const [tone, setTone] = useState(localStorage.getItem('tone')); return <p onClick={() => setTone('calm')}>{tone}</p>; }\n${both}`,
      'Queue tone',
    ],
    [
      'through a hook of the project',
      `function useRows() { const [rows, setRows] = useState([]); useEffect(() => { fetch('/api/passages').then((r) => r.json()).then(setRows); }, []); const clear = () => setRows([]); return { rows, clear }; }\nfunction Bar() { const { rows } = useRows(); return <p>{rows.length}</p>; }\nfunction Queue() { const { rows, clear } = useRows(); return <p onClick={clear}>{rows.length}</p>; }\n${both}`,
      'Queue /api/passages',
    ],
  ],
  [
    ['nobody changes a copy', `${reads('Bar')}${reads('Queue')}${both}`],
    ['other requests', `${reads('Bar')}${reads('Queue', 'setRows([]);', "'/api/keepers'")}${both}`],
    ['asked for by what is known only while running', `${reads('Bar', '', 'url')}${reads('Queue', 'setRows([]);', 'url')}${both}`],
    [
      'on two pages',
      `${reads('Bar')}${reads('Queue', 'setRows([]);')}import { Routes, Route } from 'react-router';\nexport function App() { return <Routes><Route path="/a" element={<Bar/>}/><Route path="/b" element={<Queue/>}/></Routes>; }`,
    ],
    [
      'one copy, given to both',
      `function Bar({ rows }) { return <p>{rows.length}</p>; }\nfunction Queue({ rows }) { return <p>{rows.length}</p>; }\nexport function App() { const [rows, setRows] = useState([]); useEffect(() => { fetch('/api/passages').then((r) => r.json()).then(setRows); }, []); return <><Bar rows={rows}/><Queue rows={rows}/></>; }`,
    ],
    [
      'a cache with one key',
      `function Bar() { const { data } = useQuery({ queryKey: ['passages'] }); return <p>{data}</p>; }\nfunction Queue() { const { data } = useQuery({ queryKey: ['passages'] }); return <p>{data}</p>; }\n${both}`,
    ],
  ],
);

const vueReads = (more = ''): string =>
  `<script setup>import { ref, onMounted } from "vue"; const rows = ref([]); onMounted(async () => { rows.value = await fetch("/api/passages").then((r) => r.json()); }); const clear = () => { ${more} };</script><template><p @click="clear">{{ rows.length }}</p></template>`;
const vueBoth = '<template><main><Bar/><Queue/></main></template>';
table(
  'two-truths',
  'vue',
  [
    ['one request, two copies', { App: vueBoth, Bar: vueReads(), Queue: vueReads('rows.value = [];') }, 'Queue /api/passages'],
    ['the first changes it', { App: vueBoth, Bar: vueReads('rows.value = [];'), Queue: vueReads() }, 'Queue /api/passages'],
    ['both change it', { App: vueBoth, Bar: vueReads('rows.value = [];'), Queue: vueReads('rows.value = [];') }, 'Queue /api/passages'],
  ],
  [
    ['nobody changes a copy', { App: vueBoth, Bar: vueReads(), Queue: vueReads() }],
    ['one of it', { App: '<template><main><Queue/></main></template>', Queue: vueReads('rows.value = [];') }],
    ['other requests', { App: vueBoth, Bar: vueReads().replace('passages', 'keepers'), Queue: vueReads('rows.value = [];') }],
    ['the same part twice', { App: '<template><main><Queue/><Queue/></main></template>', Queue: vueReads('rows.value = [];') }],
    ['not asked for', { App: vueBoth, Bar: '<template><p/></template>', Queue: vueReads('rows.value = [];') }],
  ],
);

const svelteReads = (more = ''): string =>
  `<script>import { onMount } from "svelte"; let rows = $state([]); onMount(async () => { rows = await fetch("/api/passages").then((r) => r.json()); }); const clear = () => { ${more} };</script><p onclick={clear}>{rows.length}</p>`;
table(
  'two-truths',
  'svelte',
  [
    ['one request, two copies', { App: '<Bar/><Queue/>', Bar: svelteReads(), Queue: svelteReads('rows = [];') }, 'Queue /api/passages'],
    ['the first changes it', { App: '<Bar/><Queue/>', Bar: svelteReads('rows = [];'), Queue: svelteReads() }, 'Queue /api/passages'],
    [
      'deeper',
      { App: '<Bar/><Box/>', Box: '<div><Queue/></div>', Bar: svelteReads(), Queue: svelteReads('rows = [];') },
      'Queue /api/passages',
    ],
  ],
  [
    ['nobody changes a copy', { App: '<Bar/><Queue/>', Bar: svelteReads(), Queue: svelteReads() }],
    ['one of it', { App: '<Queue/>', Queue: svelteReads('rows = [];') }],
    ['other requests', { App: '<Bar/><Queue/>', Bar: svelteReads().replace('passages', 'keepers'), Queue: svelteReads('rows = [];') }],
    ['the same part twice', { App: '<Queue/><Queue/>', Queue: svelteReads('rows = [];') }],
    ['not asked for', { App: '<Bar/><Queue/>', Bar: '<p></p>', Queue: svelteReads('rows = [];') }],
  ],
);
