import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const routed = (lock: string, roster: string, more = ''): string =>
  `import { useLoaderData, Outlet, Routes, Route } from 'react-router';\nfunction Lock() { ${lock} }\nfunction Roster() { ${roster} }\n${more}export function App() { return <Routes><Route path="/lock" element={<Lock/>}/><Route path="/roster" element={<Roster/>}/></Routes>; }`;

const kit = (lock: string, roster: string): Sources => ({
  'package.json': '{"devDependencies":{"@sveltejs/kit":"2"}}',
  'src/routes/lock/+page.svelte': lock,
  'src/routes/lock/+page.js': 'export const load = () => ({ a: 1 });',
  'src/routes/roster/+page.svelte': roster,
});

const importLock = "<script>import Lock from '../lock/+page.svelte';</script>";

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
