import { beforeAll, describe, expect, test } from 'vitest';
import { standsIn } from '../../../../testing/src/moves';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { whatIfAll } from '../../what-if';
import { loadCompilers } from '../../frameworks/registry';
import { applyEdits } from '../patch';
import { proposeMoves } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** The files that some moves change, as they are then; or why they are not written. */
function moved(files: Files, ...moves: string[]): Files | string {
  const { model } = analyseFiles(files);
  const { tree, stands } = standsIn(model, moves);
  const proposal = proposeMoves(
    model,
    tree,
    stands,
    whatIfAll(model, tree, stands, () => []),
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
  test('between the tags of a use, and behind what it holds', () => {
    const before = react['src/App.jsx'] ?? '';
    expect(moved(react, 'Row@App>Box#children')).toEqual({
      'src/App.jsx': before
        .replace('      <Row kinds={kinds} label="a" />\n', '')
        .replace('<s />\n      </Box>', '<s />\n        <Row kinds={kinds} label="a" />\n      </Box>'),
    });
  });
  test('into a use that stands just before it', () => {
    const files: Files = {
      'src/App.jsx':
        'export function App() { return <main><Box/><Row/></main>; }\nconst Box = ({ children }) => <p>{children}</p>;\nconst Row = () => <i></i>;',
    };
    expect(moved(files, 'Row@App>Box#children')).toEqual({
      'src/App.jsx': (files['src/App.jsx'] ?? '').replace('<Box/><Row/>', '<Box><Row/></Box>'),
    });
  });
  test.each(['Lamp@Box>Box', 'Last@App>App'])('what stands there already, the last: %s', (move) => {
    const before = react['src/App.jsx'] ?? '';
    const last: Files = {
      'src/App.jsx': `${before.replace('    </main>', '      <Last /></main>')}const Last = () => <b />;\n`,
    };
    const name = move.slice(0, 4);
    expect(moved({ ...react, ...last }, move)).toBe(`${name} stands there already, the last of what is in it.`);
  });
  test('several moves in one patch', () => {
    const files: Files = {
      'src/App.jsx':
        'export function App() { return <main><A/><B/><C/><D/></main>; }\nconst A = () => <a></a>;\nconst B = () => <b></b>;\nconst C = () => <i></i>;\nconst D = () => <u></u>;',
    };
    expect(moved(files, 'A@App>C', 'B@App>D')).toEqual({
      'src/App.jsx':
        'export function App() { return <main><C/><D/></main>; }\nconst A = () => <a></a>;\nconst B = () => <b></b>;\nconst C = () => <i><A/></i>;\nconst D = () => <u><B/></u>;',
    });
  });
  test.each<[string, string, string, string, string]>([
    ['a use that closes itself gets tags', '<Row/><Box/>', 'Row@App>Box#children', 'props.children', '<Box><Row/></Box>'],
    ['a prop that may hold markup', '<Row/><Box/>', 'Row@App>Box#foot', 'props.foot', '<Box foot={<Row/>}/>'],
    ['braces go with it', '{<Row/>}<Box></Box>', 'Row@App>Box#children', 'props.children', '<Box><Row/></Box>'],
    [
      'along with what it holds',
      '<Row><i>a</i></Row><Box></Box>',
      'Row@App>Box#children',
      'props.children',
      '<Box><Row><i>a</i></Row></Box>',
    ],
    [
      'within one loop',
      '{[1, 2].map((n) => <p key={n}><Row n={n}/><Box/></p>)}',
      'Row@App>Box#children',
      'props.children',
      '{[1, 2].map((n) => <p key={n}><Box><Row n={n}/></Box></p>)}',
    ],
  ])('in a slot: %s', (_, markup, move, shown, expected) => {
    const file = (inner: string): Files => ({
      'src/App.jsx': `export function App() { return <main>${inner}</main>; }\nconst Row = (props) => <b>{props.n}</b>;\nconst Box = (props) => <p>{${shown}}</p>;`,
    });
    expect(moved(file(markup), move)).toEqual(file(expected));
  });
});

describe('Vue and Svelte', () => {
  test('Vue: into the markup of another component', () => {
    const files: Files = {
      'src/App.vue': `<script setup>
import Row from './parts/Row.vue';
import Box from './parts/Box.vue';
</script>
<template>
  <main>
    <row label="a" />
    <Box />
  </main>
</template>
`,
      'src/parts/Row.vue': "<script setup>defineProps(['label']);</script><template><b>{{ label }}</b></template>",
      'src/parts/Box.vue': `<script setup>
import Lamp from './Lamp.vue';
</script>
<template>
  <section>
    <Lamp />
  </section>
</template>
`,
      'src/parts/Lamp.vue': '<template><i></i></template>',
      'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
    };
    expect(moved(files, 'Row@App>Box')).toEqual({
      'src/App.vue': `<script setup>
import Box from './parts/Box.vue';
</script>
<template>
  <main>
    <Box />
  </main>
</template>
`,
      'src/parts/Box.vue': `<script setup>
import Lamp from './Lamp.vue';
import Row from './Row.vue';
</script>
<template>
  <section>
    <Lamp />
    <row label="a" />
  </section>
</template>
`,
    });
    expect(moved(files, 'Row@App>Lamp')).toBe('src/parts/Lamp.vue has no script that could import it.');
  });
  test.each<[string, string, string, string]>([
    ['Vue: a named slot', '<Row/><Box/>', 'Row@App>Box#foot', '<Box><template #foot><Row/></template></Box>'],
    ['Vue: between the tags', '<Row/><Box><i/></Box>', 'Row@App>Box#default', '<Box><i/><Row/></Box>'],
  ])('%s', (_, markup, move, expected) => {
    const files = (inner: string): Files => ({
      'src/App.vue': `<script setup>import Row from './Row.vue'; import Box from './Box.vue';</script><template><main>${inner}</main></template>`,
      'src/Row.vue': '<template><b/></template>',
      'src/Box.vue': '<template><p><slot/><slot name="foot"/></p></template>',
      'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
    });
    expect(moved(files(markup), move)).toEqual({ 'src/App.vue': files(expected)['src/App.vue'] });
  });
  test.each<[string, string, string, string, string]>([
    ['Svelte: a snippet', '<Row/><Box/>', 'Row@App>Box#foot', '{@render foot?.()}', '<Box>{#snippet foot()}<Row/>{/snippet}</Box>'],
    [
      'Svelte: a slot of the older form',
      '<Row/><Box/>',
      'Row@App>Box#foot',
      '<slot name="foot"/>',
      '<Box><svelte:fragment slot="foot"><Row/></svelte:fragment></Box>',
    ],
    ['Svelte: between the tags', '<Row/><Box>a</Box>', 'Row@App>Box#default', '<slot/>', '<Box>a<Row/></Box>'],
  ])('%s', (_, markup, move, shown, expected) => {
    const files = (inner: string): Files => ({
      'src/App.svelte': `<script>\n  import Row from './Row.svelte';\n  import Box from './Box.svelte';\n</script>\n<main>${inner}</main>`,
      'src/Row.svelte': '<b></b>',
      'src/Box.svelte': `<script>${shown.startsWith('<') ? '' : ' let { foot } = $props(); '}</script><p>${shown}</p>`,
      'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
    });
    expect(moved(files(markup), move)).toEqual({ 'src/App.svelte': files(expected)['src/App.svelte'] });
  });
});

describe('what is not certain is not written', () => {
  const parts =
    'const Row = ({ n, onPick, children }) => <b onClick={onPick}>{n}{children}</b>;\nconst Box = ({ children }) => <p>{children}</p>;\nconst Bare = () => <input/>;\nconst Other = () => { const pick = () => {}; return <p onClick={pick}></p>; };\nconst Only = () => <Box/>;';
  test.each<[string, string, string, string]>([
    [
      'a value that would be lost',
      '<Row n={n}/><Box/>',
      'Row@App>Box',
      'Row would not be given n: where that is to come from is for you to say.',
    ],
    [
      'an event that nobody would hear',
      '<Row onPick={pick}/><Box/>',
      'Row@App>Box',
      'Nobody would hear onPick of Row: who is to hear it is for you to say.',
    ],
    ['another function of the same name', '<Row onPick={pick}/><Other/>', 'Row@App>Other', 'Row would be given another value for onPick.'],
    [
      'a condition that stays behind',
      '{n && <i><Row/></i>}<Box/>',
      'Row@App>Box',
      'Row stands under a condition there: what becomes of that is for you to say.',
    ],
    [
      'a list that stays behind',
      '{[1, 2].map((m) => <i key={m}><Row/></i>)}<Box/>',
      'Row@App>Box',
      'Row stands in a list there: what becomes of that is for you to say.',
    ],
    ['an element that can hold nothing', '<Row/><Bare/>', 'Row@App>Bare', 'The element that Bare renders has nothing between tags.'],
    [
      'no element of its own',
      '<Row/><Only/>',
      'Row@App>Only',
      'Only has no element of its own: where in it that would stand is for you to say.',
    ],
    [
      'content that is code',
      '<Row/><Box>{() => <i/>}</Box>',
      'Row@App>Box#children',
      'What stands between the tags of Box is given by code.',
    ],
    ['part of an expression', '<Box/>{[<Row/>]}', 'Row@App>Box', 'App writes it as part of an expression, which would have to go as well.'],
  ])('%s', (_, markup, move, says) => {
    const files: Files = {
      'src/App.jsx': `import { useState } from 'react'; export function App() { const [n, setN] = useState(1); const pick = () => setN(2); return <main>${markup}</main>; }\n${parts}`,
    };
    expect(moved(files, move)).toBe(says);
  });
  test.each<[string, Files, string, string]>([
    [
      'a name of the file alone',
      {
        'src/App.jsx':
          "import { Box } from './Box'; const size = 4; export const App = () => <main><Row n={size}/><Box/></main>; const Row = ({ n }) => <b>{n}</b>;",
        'src/Box.jsx': 'export const Box = () => <p></p>;',
      },
      'Row@App>Box',
      'Row is known in src/App.jsx alone.',
    ],
    [
      'a name that means another thing there',
      {
        'src/App.jsx': "import { Box } from './Box'; import { Row } from './Row'; export const App = () => <main><Row/><Box/></main>;",
        'src/Row.jsx': 'export const Row = () => <b/>;',
        'src/Box.jsx': 'const Row = () => <i/>; export const Box = () => <p><Row/></p>;',
      },
      'Row@App>Box',
      'Row means one thing here and another there.',
    ],
    [
      'who renders who would write it',
      {
        'src/App.jsx':
          'export const App = () => <main><Outer/><Leaf/></main>;\nconst Outer = () => <div><Leaf/></div>;\nconst Leaf = () => <p></p>;',
      },
      'Outer@App>Leaf',
      'Outer would stand within itself, again and again, unless a condition ends it.',
    ],
    [
      'a context that nobody would answer',
      {
        'src/App.jsx': `import { createContext, useContext } from 'react'; const Unit = createContext();
export const App = () => <main><Deck/><Box/></main>;
const Deck = () => <Unit.Provider value="ft"><p><Row/></p></Unit.Provider>;
const Row = () => <b>{useContext(Unit)}</b>;
const Box = () => <p></p>;`,
      },
      'Row@Deck>Box',
      'Nobody would answer Unit of Row.',
    ],
    [
      'a function with parameters of its own',
      {
        'src/App.jsx':
          'export const App = () => { const row = (m) => <i><Row n={m}/></i>; return <main>{row(1)}<Box/></main>; };\nconst Row = ({ n }) => <b>{n}</b>;\nconst Box = ({ children }) => <p>{children}</p>;',
      },
      'Row@App>Box#children',
      'It stands in a function with parameters of its own.',
    ],
  ])('%s', (_, files, move, says) => {
    expect(moved(files, move)).toBe(says);
  });
});

test('a component that stands in several files is not written', () => {
  const files: Files = {
    'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
    'src/App.vue': '<template><main><Row/><Box/></main></template>\n<script src="./App.js"></script>\n',
    'src/App.js': "import Row from './Row.vue'; import Box from './Box.vue'; export default { components: { Row, Box } };\n",
    'src/Row.vue': '<template><b>a</b></template>\n<script setup></script>\n',
    'src/Box.vue': '<template><p>b</p></template>\n<script setup></script>\n',
  };
  expect(moved(files, 'Row@App>Box')).toBe('App stands in several files, which is not written yet.');
});
