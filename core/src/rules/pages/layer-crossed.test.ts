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
