import { beforeAll, describe, expect, test } from 'vitest';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { parseMove, standOf, whatIfAll } from '../../compare';
import { loadCompilers } from '../../frameworks/registry';
import { applyEdits } from '../patch';
import { proposeMoves } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** The files that some moves change, as they are then; or why they are not written. */
function moved(files: Files, ...moves: string[]): Files | string {
  const { model } = analyseFiles(files);
  const found = moves.map((text) => {
    const move = parseMove(text);
    const stand = 'wrong' in move ? move : standOf(model, move);
    if ('wrong' in stand) throw new Error(stand.wrong);
    return stand;
  });
  const [first] = found;
  if (!first) return {};
  const stands = found.map(({ stand }) => stand);
  const proposal = proposeMoves(
    model,
    first.tree,
    stands,
    whatIfAll(model, first.tree, stands, () => []),
    (file) => files[file],
  );
  if ('wrong' in proposal) return proposal.wrong;
  const changed = [...new Set(proposal.edits.map(({ file }) => file))];
  return Object.fromEntries(
    changed.map((file) => [
      file,
      applyEdits(
        files[file] ?? '',
        proposal.edits.filter((edit) => edit.file === file),
      ),
    ]),
  );
}

const react: Files = {
  'src/App.jsx': `import { Row } from './parts/Row';
import { Box } from './parts/Box';
import { kinds } from './kinds';

export function App() {
  return (
    <main>
      <Row kinds={kinds} label="a" />
      <Box foot={<u />}>
        <s />
      </Box>
      <Box title="b" />
    </main>
  );
}
`,
  'src/kinds.js': "export const kinds = ['a'];\n",
  'src/parts/Row.jsx': 'export const Row = ({ kinds, label }) => <b>{label}{kinds}</b>;\n',
  'src/parts/Box.jsx': `import { Lamp } from './Lamp';

export const Box = ({ title, children, foot }) => (
  <section>
    {title}
    {children}
    <footer>{foot}</footer>
    <Lamp />
  </section>
);
`,
  'src/parts/Lamp.jsx': 'export const Lamp = () => <i />;\n',
};

describe('React', () => {
  test('into the markup of another component, with what it imports', () => {
    expect(moved(react, 'Row@App>Lamp')).toBe('The element that Lamp renders has nothing between tags.');
    expect(moved(react, 'Row@App>Box')).toEqual({
      'src/App.jsx': `import { Box } from './parts/Box';

export function App() {
  return (
    <main>
      <Box foot={<u />}>
        <s />
      </Box>
      <Box title="b" />
    </main>
  );
}
`,
      'src/parts/Box.jsx': `import { Lamp } from './Lamp';
import { kinds } from '../kinds';
import { Row } from './Row';

export const Box = ({ title, children, foot }) => (
  <section>
    {title}
    {children}
    <footer>{foot}</footer>
    <Lamp />
    <Row kinds={kinds} label="a" />
  </section>
);
`,
    });
  });
  test.each<[string, string, string, string]>([
    ['between the tags', 'Row@App>Box#children', '<s />\n      </Box>', '<s />\n        <Row kinds={kinds} label="a" />\n      </Box>'],
  ])('into a slot: %s', (_, move, was, is) => {
    const before = react['src/App.jsx'] ?? '';
    expect(moved(react, move)).toEqual({ 'src/App.jsx': before.replace('      <Row kinds={kinds} label="a" />\n', '').replace(was, is) });
  });
  test('a slot that holds something is not written over', () => {
    expect(moved(react, 'Row@App>Box#foot')).toBe('foot holds something there already.');
  });
});
