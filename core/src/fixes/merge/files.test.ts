import { expect, test } from 'vitest';
import { applyEdits, mergeTwins } from '..';
import { analyseFiles, type Files } from '../../../../testing/src/project';

// What a merge does to the files around: imports, exports, and what else stands in the file of the one that goes.

const part = (name: string, tone: string, before = ''): string =>
  `${before}export function ${name}({ label }: { label: string }) {\n  return (\n    <div className="${tone}" role="note">\n      <b>{label}</b>\n      <i>!</i>\n    </div>\n  );\n}\n`;
const app = (imports: string, uses = '<Hint label="1" /><Info label="2" />'): string =>
  `${imports}\n\nexport function App() {\n  return <main>${uses}</main>;\n}\n`;
const files = (changes: Files = {}): Files => ({
  'src/main.tsx':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
  'src/App.tsx': app("import { Hint } from './parts/Hint';\nimport { Info } from './parts/Info';"),
  'src/parts/Hint.tsx': part('Hint', 'hint'),
  'src/parts/Info.tsx': part('Info', 'info'),
  ...changes,
});

function merged(before: Files): Files | string {
  const { model } = analyseFiles(before);
  const [a, b] = ['Hint', 'Info'].map((name) => [...model.components.values()].find((one) => one.name === name)?.id);
  const made = mergeTwins(model, a as never, b as never, (file) => before[file]);
  if ('wrong' in made) return made.wrong;
  return Object.fromEntries(
    Object.entries(before).map(([file, text]) => [
      file,
      applyEdits(
        text,
        made.edits.filter((edit) => edit.file === file),
      ),
    ]),
  );
}

const config = { 'tsconfig.json': '{ "compilerOptions": { "baseUrl": ".", "paths": { "@/*": ["src/*"] } } }' };
const written: readonly (readonly [name: string, changes: Files, file: string, holds: string])[] = [
  [
    'the import of the one that goes goes too',
    {},
    'src/App.tsx',
    app("import { Hint } from './parts/Hint';", '<Hint label="1" /><Hint tone="info" label="2" />'),
  ],
  [
    'where only the one that goes was known, the other is imported',
    {
      'src/App.tsx': app("import { Info } from './parts/Info';", '<Info label="2" />'),
      'src/Other.tsx': app("import { Hint } from './parts/Hint';", '<Hint label="1" />').replace('App', 'Other'),
    },
    'src/App.tsx',
    app("import { Hint } from './parts/Hint';", '<Hint tone="info" label="2" />'),
  ],
  [
    'by the alias that the file has',
    {
      ...config,
      'src/pages/Page.tsx': app("import { Info } from '@/parts/Info';", '<Info label="2" />').replace('App', 'Page'),
      'src/App.tsx': app("import { Hint } from './parts/Hint';\nimport { Page } from './pages/Page';", '<Hint label="1" /><Page />'),
    },
    'src/pages/Page.tsx',
    "import { Hint } from '@/parts/Hint';",
  ],
  [
    'under the name that the file gives it',
    {
      'src/App.tsx': app(
        "import { Hint as Note } from './parts/Hint';\nimport { Info } from './parts/Info';",
        '<Note label="1" /><Info label="2" />',
      ),
    },
    'src/App.tsx',
    '<Note label="1" /><Note tone="info" label="2" />',
  ],
  [
    'by default',
    {
      'src/parts/Hint.tsx': part('Hint', 'hint').replace('export function', 'export default function'),
      'src/App.tsx': app("import { Info } from './parts/Info';", '<Info label="2" />'),
      'src/Other.tsx': app("import Hint from './parts/Hint';", '<Hint label="1" />').replace('App', 'Other'),
    },
    'src/App.tsx',
    "import Hint from './parts/Hint';",
  ],
  ['alone in its file, the file goes', {}, 'src/parts/Info.tsx', ''],
  [
    'beside others, it alone goes, with the import that only it needs',
    {
      'src/parts/Info.tsx': `${part('Info', 'info', "import { more } from './more';\nimport { less } from './less';\n\n").replace('<i>!</i>', '<i title={more}>!</i>')}\nexport const rest = less;\n`,
      'src/parts/Hint.tsx': part('Hint', 'hint', "import { more } from './more';\n\n").replace('<i>!</i>', '<i title={more}>!</i>'),
      'src/parts/more.ts': "export const more = 'more';\n",
      'src/parts/less.ts': "export const less = 'less';\n",
    },
    'src/parts/Info.tsx',
    "import { less } from './less';\n\nexport const rest = less;\n",
  ],
];

test.each(written)('%s', (_, changes, file, holds) => {
  const after = merged(files(changes));
  if (typeof after === 'string') throw new Error(after);
  if (holds === '') expect(after[file]).toBe('');
  else expect(after[file]).toContain(holds);
});

const refused: readonly (readonly [name: string, changes: Files, why: string])[] = [
  [
    'another file hands it on',
    { 'src/parts/index.ts': "export { Hint } from './Hint';\nexport { Info } from './Info';\n" },
    'src/parts/index.ts hands Info on',
  ],
  ['another file hands on all that is in it', { 'src/all.ts': "export * from './parts/Info';\n" }, 'src/all.ts hands Info on'],
  [
    'it is given what cannot be seen',
    {
      'src/App.tsx': app(
        "import { Hint } from './parts/Hint';\nimport { Info } from './parts/Info';\nimport { all } from './all';",
        '<Hint label="1" /><Info {...all} />',
      ),
      'src/all.ts': "export const all = { label: '2' };\n",
    },
    'cannot be seen',
  ],
];

test.each(refused)('refused: %s', (_, changes, why) => {
  expect(merged(files(changes))).toContain(why);
});
