import { describe, expect, test } from 'vitest';
import { link, relink } from '.';
import type { Model } from '../model/model';
import { readFile } from '../frameworks/read-file';
import { check, type CheckKeep, newCheckKeep } from '../rules';
import { unfold } from '../tree';

const files = {
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx':
    "import { Row } from './Row';\nimport { K } from './k';\nexport function App() { const [a] = useState(1); return <K value={1}><Row eta={a}/></K>; }",
  'src/Row.tsx':
    "import { useK } from './k';\nimport type { P } from './types';\nexport function Row({ eta }: P) { const { b } = useK(); return <p>{eta}{b}</p>; }\nexport function Loose() { return <p/>; }",
  'src/k.ts':
    'export const K = createContext(null);\nexport function useK() { const k = useContext(K); if (!k) throw new Error(); return k; }',
  'src/types.ts': 'export type P = { eta: number };',
};

function factsOf(texts: Readonly<Record<string, string>>): Map<string, ReturnType<typeof readFile>> {
  return new Map(Object.entries(texts).map(([file, text]) => [file, readFile(file, text)]));
}

/** All that a model answers, as far as it can be compared. */
function answers(model: Model, keep?: CheckKeep): unknown {
  return {
    findings: check(model, keep),
    counts: model.counts,
    pages: model.pages,
    trees: model.pages.map((page) => unfold(model, page).places.map((place) => [place.component, place.owner, place.parent, place.use])),
    contracts: [...model.components]
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([id, component]) => [id, [...component.contract.members], component.contract.openness, component.consumes]),
    uses: [...model.usesOf].sort(([a], [b]) => a.localeCompare(b)).map(([id, uses]) => [id, uses.map((use) => use.id).sort()]),
  };
}

describe('linking again after an edit gives what linking everything gives', () => {
  const edits: readonly [name: string, file: keyof typeof files, change: (text: string) => string][] = [
    ['a line above', 'src/Row.tsx', (text) => `// note\n\n${text}`],
    ['a line above a type that others use', 'src/types.ts', (text) => `// note\n${text}`],
    ['a line above a context', 'src/k.ts', (text) => `// note\n${text}`],
    ['a use more', 'src/App.tsx', (text) => text.replace('<Row eta={a}/>', '<Row eta={a}/><Row eta={2}/>')],
    ['a use less', 'src/App.tsx', (text) => text.replace('<Row eta={a}/>', '<p/>')],
    ['a prop forgotten', 'src/App.tsx', (text) => text.replace(' eta={a}', '')],
    ['a provider gone', 'src/App.tsx', (text) => text.replace('<K value={1}>', '<>').replace('</K>', '</>')],
    [
      'another page’s component used',
      'src/App.tsx',
      (text) => text.replace("{ Row } from './Row'", "{ Row, Loose } from './Row'").replace('<Row eta', '<Loose/><Row eta'),
    ],
    ['a member more in a type', 'src/types.ts', (text) => text.replace('eta: number', 'eta: number; boat: string')],
    ['a component more', 'src/Row.tsx', (text) => `${text}\nexport function More() { return <p/>; }`],
    ['a component less', 'src/Row.tsx', (text) => text.replace(/export function Loose.*/, '')],
    ['an export renamed', 'src/Row.tsx', (text) => text.replace('function Row', 'function Line')],
    ['a hook that no longer throws', 'src/k.ts', (text) => text.replace('if (!k) throw new Error();', '')],
    ['a context with a default', 'src/k.ts', (text) => text.replace('null', '{}')],
    ['broken off', 'src/Row.tsx', (text) => text.slice(0, 60)],
    ['another root', 'src/main.tsx', (text) => text.replace('<App/>', '<><App/><App/></>')],
  ];
  test.each(edits)('%s', (_, file, change) => {
    const before = factsOf(files);
    const linked = link(before, []);
    const keep = newCheckKeep();
    check(linked, keep);
    const text = change(files[file]);
    expect(text).not.toBe(files[file]);
    const after = new Map(before).set(file, readFile(file, text));
    expect(answers(relink(linked, after, []), keep)).toEqual(answers(link(after, [])));
  });

  test.each([
    ['named', '<p>{n}</p>', '<p>{n}{cells.wide}</p>'],
    ['named no longer', '<p>{n}{cells.wide}</p>', '<p>{n}</p>'],
  ])('markup kept in a constant is %s', (_, was, is) => {
    const app = (body: string): string => `import { cells } from './cells';\nexport function App({ n }) { return ${body}; }`;
    const texts = {
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
      'src/App.tsx': app(was),
      'src/cells.tsx': "import { Wide } from './Wide';\nexport const cells = { wide: <Wide/> };",
      'src/Wide.tsx': 'export function Wide() { return <b/>; }',
    };
    const before = factsOf(texts);
    const after = new Map(before).set('src/App.tsx', readFile('src/App.tsx', app(is)));
    const linked = link(before, []);
    const whole = answers(link(after, []));
    expect(answers(linked)).not.toEqual(whole);
    expect(answers(relink(linked, after, []))).toEqual(whole);
  });

  test('edit after edit', () => {
    let texts: Record<string, string> = files;
    let facts = factsOf(files);
    let linked = link(facts, []);
    const keep = newCheckKeep();
    for (const [, file, change] of edits.slice(0, 7)) {
      texts = { ...texts, [file]: change(texts[file] ?? '') };
      facts = new Map(facts).set(file, readFile(file, texts[file] ?? ''));
      linked = relink(linked, facts, []);
      expect(answers(linked, keep)).toEqual(answers(link(facts, [])));
    }
  });

  test('a file more or less', () => {
    const before = factsOf(files);
    const linked = link(before, []);
    const less = new Map(before);
    less.delete('src/types.ts');
    expect(answers(relink(linked, less, []))).toEqual(answers(link(less, [])));
  });
});
