import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { standsIn } from '../../../testing/src/moves';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { askedMove, lostWords, parseMove, type WhatIf, whatIfAll } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'app.component.html']));

const asked = (files: Files, move: string): WhatIf | { readonly wrong: string } => askedMove(analyseFiles(files).model, move);
const told = (files: Files, move: string): Omit<WhatIf, 'move'> => {
  const found = asked(files, move);
  if ('wrong' in found) throw new Error(found.wrong);
  const { move: _, ...rest } = found;
  return rest;
};
const nothing = { answers: [], elsewhere: [], endless: false, lost: [], another: [], unheard: [], heardBy: [], unchanged: [] };

const react: Files = {
  'src/unit.js': "import { createContext } from 'react'; export const UnitContext = createContext('m');",
  'src/Row.jsx':
    "import { useContext } from 'react'; import { UnitContext } from './unit'; export const Row = ({ n, label, onPick }) => <b onClick={() => onPick(n)}>{label}{n}{useContext(UnitContext)}</b>;",
  'src/Box.jsx': 'export const Box = ({ n, children, foot }) => <section>{n}{children}<footer>{foot}</footer></section>;',
  'src/Deck.jsx':
    "import { UnitContext } from './unit'; export const Deck = ({ pick }) => <UnitContext.Provider value='ft'><p/><Lamp/></UnitContext.Provider>; const Lamp = () => <i/>;",
  'src/App.jsx':
    "import { useState } from 'react'; import { Row } from './Row'; import { Box } from './Box'; import { Deck } from './Deck';\nexport function App() { const [n, setN] = useState(1); const pick = (one) => setN(one); return <main><Row n={n} label=\"a\" onPick={pick}/><Box n={2} foot={<u/>}><s/></Box><Deck/></main>; }",
};

describe('a part written elsewhere reads what is known there', () => {
  test.each<[string, string, Partial<WhatIf>]>([
    [
      'a name that stands for another value there',
      'Row@App>Box',
      {
        lost: [],
        another: [{ component: 'Row', name: 'n', of: 'n' }],
        unheard: [{ component: 'Row', event: 'onPick' }],
        unchanged: [{ component: 'Row', name: 'label' }],
      },
    ],
    [
      'a function is known by its name',
      'Row@App>Deck',
      {
        lost: [{ component: 'Row', name: 'n', of: 'n' }],
        another: [{ component: 'Row', name: 'onPick', of: 'pick' }],
        unheard: [],
        heardBy: [{ component: 'Row', event: 'onPick', by: 'Deck' }],
      },
    ],
    ['another provider answers', 'Row@App>Deck', { answers: [{ component: 'Row', key: 'UnitContext', before: null, after: 'Deck' }] }],
    [
      'constants go with it',
      'Box@App>Deck',
      {
        lost: [],
        unchanged: [
          { component: 'Box', name: 'n' },
          { component: 'Box', name: 'foot' },
        ],
      },
    ],
  ])('%s', (_, move, expected) => {
    expect(told(react, move)).toMatchObject(expected);
  });
  test('a value that comes there as it is, from prop to prop, is the same', () => {
    const files: Files = {
      'src/App.jsx':
        "import { useState } from 'react'; export function App() { const [n] = useState(1); return <main><Row n={n}/><Outer n={n}/></main>; }\nconst Row = ({ n }) => <b>{n}</b>;\nconst Outer = ({ n }) => <section><Inner n={n}/><Other n={n + 1}/></section>;\nconst Inner = ({ n }) => <p>{n}</p>;\nconst Other = ({ n }) => <p>{n}</p>;",
    };
    expect(told(files, 'Row@App>Inner')).toEqual({ ...nothing, unchanged: [{ component: 'Row', name: 'n' }] });
    expect(told(files, 'Row@App>Other')).toEqual({ ...nothing, another: [{ component: 'Row', name: 'n', of: 'n' }] });
  });
  test('a question that ends at the own element is not said to be answered from around', () => {
    const files: Files = {
      'src/parts.ts':
        "import { Component, inject, Injectable } from '@angular/core';\n@Injectable() export class Tide {}\n@Component({ selector: 'a-row', template: '' }) export class Row { tide = inject(Tide, { self: true }); }\n@Component({ selector: 'a-deck', template: '<p></p>', providers: [Tide] }) export class Deck {}\n@Component({ selector: 'a-app', template: '<a-row></a-row><a-deck></a-deck>', imports: [Row, Deck] }) export class App {}",
      'src/main.ts':
        "import { bootstrapApplication } from '@angular/platform-browser'; import { App } from './parts'; bootstrapApplication(App);",
    };
    expect(told(files, 'Row@App>Deck').answers).toEqual([]);
  });
  test('into a slot it keeps its owner, and all it is given', () => {
    expect(told(react, 'Row@App>Box#children')).toEqual({
      ...nothing,
      answers: [{ component: 'Row', key: 'UnitContext', before: null, after: null }],
      heardBy: [{ component: 'Row', event: 'onPick', by: 'App' }],
      unchanged: [
        { component: 'Row', name: 'n' },
        { component: 'Row', name: 'label' },
      ],
    });
  });
});

test.each<[string, string, string[]]>([
  ['state of its own', 'const [level] = useState(0); return level;', ['level']],
  ['state by another hook', 'return useInner();', ['level']],
  ['no state', 'return useContext(Unit);', []],
])('a hook that two components call gives the same only where it holds no state: %s', (_, body, another) => {
  const files: Files = {
    'src/tide.js': `import { createContext, useContext, useState } from 'react'; const Unit = createContext(1); export function useTide() { ${body} } function useInner() { const [a] = useState(0); return a; }`,
    'src/App.jsx':
      "import { useTide } from './tide'; export function App() { const level = useTide(); return <main><Gauge level={level}/><Box/></main>; }\nconst Gauge = ({ level }) => <b>{level}</b>;\nconst Box = () => { const level = useTide(); return <p>{level}</p>; };",
  };
  expect(told(files, 'Gauge@App>Box').another.map(({ name }) => name)).toEqual(another);
});

test('a prop is known by the name that the body gives it', () => {
  const files: Files = {
    'src/App.jsx':
      'export function App({ n }) { return <main><Row n={n}/><Box n={n}/></main>; }\nconst Row = ({ n }) => <b>{n}</b>;\nconst Box = ({ n: count }) => <p>{count}</p>;',
  };
  expect(told(files, 'Row@App>Box').lost).toMatchObject([{ component: 'Row', name: 'n', of: 'n' }]);
});

describe('what a slot hands out is known in it alone', () => {
  const files: Files = {
    'src/Frame.vue': '<template><slot :dense="true"/><slot name="foot"/></template>',
    'src/Line.vue':
      "<script setup>defineProps(['dense', 'no']); const emit = defineEmits(['pin']);</script><template><b @click=\"emit('pin')\">{{ dense }}{{ no }}</b></template>",
    'src/App.vue':
      '<script setup>import Frame from \'./Frame.vue\'; import Line from \'./Line.vue\'; const no = 4; const pin = () => {};</script><template><Frame v-slot="{ dense }"><Line :dense="dense" :no="no" @pin="pin"/></Frame></template>',
  };
  test.each<[string, string]>([
    ['moved to another slot', 'Line@Frame>Frame#foot'],
    ['moved out of the slots', 'Line@Frame>App'],
  ])('%s', (_, move) => {
    expect(told(files, move)).toEqual({
      ...nothing,
      lost: [{ component: 'Line', name: 'dense', of: 'dense' }],
      heardBy: [{ component: 'Line', event: 'pin', by: 'App' }],
      unchanged: [{ component: 'Line', name: 'no' }],
    });
  });
});

test('what bubbles is heard by who stands around it then', () => {
  const files: Files = {
    'src/Lock.svelte': '<button>a</button>',
    'src/Wall.svelte': '<p/>',
    'src/App.svelte':
      "<script>import Lock from './Lock.svelte'; import Wall from './Wall.svelte'; let n = 0;</script><div on:click={() => n += 1}><Wall/></div><Lock/>{n}",
  };
  expect(told(files, 'Lock@App>Wall')).toEqual({ ...nothing, heardBy: [{ component: 'Lock', event: 'click', by: 'App' }] });
});

test('elements hear what comes up to them', () => {
  const files: Files = {
    'src/parts.js':
      "class BerthRow extends HTMLElement { take() { this.dispatchEvent(new CustomEvent('berth-taken', { bubbles: true })); } connectedCallback() { this.innerHTML = '<b>a</b>'; } }\ncustomElements.define('berth-row', BerthRow);\nclass NightDeck extends HTMLElement { connectedCallback() { this.innerHTML = '<p></p>'; } }\ncustomElements.define('night-deck', NightDeck);\nclass QuayBoard extends HTMLElement { connectedCallback() { this.addEventListener('berth-taken', () => {}); this.innerHTML = '<berth-row></berth-row><night-deck></night-deck>'; } }\ncustomElements.define('quay-board', QuayBoard);",
    'index.html': '<quay-board></quay-board><script type="module" src="/src/parts.js"></script>',
  };
  expect(told(files, 'BerthRow@QuayBoard>NightDeck').heardBy).toEqual([{ component: 'BerthRow', event: 'berth-taken', by: 'QuayBoard' }]);
});

describe('where a lost value would have to live', () => {
  const files: Files = {
    'src/App.jsx': `import { useState, memo } from 'react';
export function App() { return <main><Side/><Main/></main>; }
function Main() { const [n, setN] = useState(1); const twice = n * 2; return <div><Row n={n} twice={twice} onPick={() => setN(2)}/><Deep m={n}/></div>; }
function Side() { return <nav><Inner/></nav>; }
function Inner() { return <p><Leaf/></p>; }
const Leaf = () => <i></i>;
const Kept = memo(() => <u/>);
const Deep = ({ m }) => <s><Tag n={m}/></s>;
const Tag = ({ n }) => <b>{n}</b>;
const Row = ({ n, twice, onPick }) => <b onClick={onPick}>{n}{twice}<Kept/></b>;`,
  };
  test.each<[string, string, string[]]>([
    [
      'in the nearest owner of both, handed on by those between',
      'Row@Main>Leaf',
      [
        'n would not be given: n is state of Main. It would have to live in App, and Side and Inner would hand it on. At each change up to 4 places more would render, not counting what is wrapped.',
        'twice would not be given: twice is computed in Main. It would have to live in App, and Side and Inner would hand it on.',
      ],
    ],
    [
      'where it is, handed down',
      'Row@Main>Tag',
      ['twice would not be given: twice is computed in Main, which would have to hand it down through Deep.'],
    ],
    [
      'with whoever holds it by another name',
      'Tag@Deep>Main',
      ['n would not be given: m, there n, is state of Main, which would have to hand it down.'],
    ],
  ])('%s', (_, move, expected) => {
    expect(told(files, move).lost.map((one) => `${one.name} ${lostWords(one)}`)).toEqual(expected);
  });
  test('what a hook gives is of who calls it', () => {
    const asking: Files = {
      'src/tide.js': "import { useState } from 'react'; export function useTide() { const [level] = useState(0); return level; }",
      'src/App.jsx':
        "import { useTide } from './tide'; export function App() { const level = useTide(); return <main><Gauge level={level}/><Box/></main>; }\nconst Gauge = ({ level }) => <b>{level}</b>;\nconst Box = () => <p></p>;",
    };
    const [lost] = told(asking, 'Gauge@App>Box').lost;
    expect(lost && lostWords(lost)).toBe('would not be given: level is what a hook gives to App, which would have to hand it down.');
  });
  test('what a context gives can be asked for there', () => {
    const asking: Files = {
      'src/App.jsx':
        "import { createContext, useContext } from 'react'; const Unit = createContext('m'); export function App() { const unit = useContext(Unit); return <main><Gauge unit={unit}/><Box/></main>; }\nconst Gauge = ({ unit }) => <b>{unit}</b>;\nconst Box = () => <p></p>;",
    };
    const [lost] = told(asking, 'Gauge@App>Box').lost;
    expect(lost && lostWords(lost)).toBe('would not be given: App asks for unit. Whoever would write it could ask for it as well.');
  });
  test('an item of a loop lives nowhere else', () => {
    const looped: Files = {
      'src/App.jsx':
        'export function App() { const all = [1, 2]; return <main>{all.map((one) => <Row key={one} n={one}/>)}<Box/></main>; }\nconst Row = ({ n }) => <b>{n}</b>;\nconst Box = () => <p></p>;',
    };
    const [lost] = told(looped, 'Row@App>Box').lost;
    expect(lost && lostWords(lost)).toBe('would not be given: one is not known there.');
  });
});

describe('what is written within the part goes with it', () => {
  const part =
    'const Row = ({ n }) => <b>{n}</b>;\nconst Box = () => <p></p>;\nconst Card = ({ children, foot }) => <div>{children}{foot}</div>;';
  test.each<[string, string, string[]]>([
    ['a component between its tags', '<Card><Row n={n}/></Card>', ['Row n']],
    ['a text between its tags', '<Card>{n}</Card>', ['Card children']],
    ['markup that is given as a value', '<Card foot={<i>{n}</i>}/>', ['Card foot']],
    ['names of which it takes all', '<Card {...n}/>', ['Card …n']],
    ['content that is handed on', '<Card>{children}</Card>', ['Card children']],
    ['a loop brings its items', '<Card>{[1, 2].map((one) => <Row key={one} n={one}/>)}</Card>', []],
    ['a loop over what is not known there', '<Card>{n.map((one) => <Row key={one} n={one}/>)}</Card>', ['Row n', 'Card children']],
  ])('%s', (_, markup, expected) => {
    const files: Files = {
      'src/App.jsx': `import { useState } from 'react'; export function App({ children }) { const [n] = useState([]); return <main>${markup}<Box/></main>; }\n${part}`,
    };
    expect(told(files, 'Card@App>Box').lost.map(({ component, name }) => `${component} ${name}`)).toEqual(expected);
  });
});

test('a slot of whoever writes it now is none of whoever would', () => {
  const files: Files = {
    'src/App.vue': "<script setup>import Frame from './Frame.vue';</script><template><Frame>a</Frame></template>",
    'src/Frame.vue':
      "<script setup>import Card from './Card.vue'; import Box from './Box.vue';</script><template><main><Card><slot/></Card><Box/></main></template>",
    'src/Card.vue': '<template><p><slot/></p></template>',
    'src/Box.vue': '<template><p></p></template>',
    'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
  };
  expect(told(files, 'Card@Frame>Box').lost).toEqual([{ component: 'Card', name: 'children', of: 'the slot default' }]);
});

test('a provider that is written within the part goes with it, and is asked first', () => {
  const files: Files = {
    ...react,
    'src/App.jsx': `import { UnitContext } from './unit'; import { Row } from './Row'; import { createContext, useContext } from 'react';
const Tide = createContext();
export const App = () => <main><Card><UnitContext.Provider value="ft"><Row n={1} label="a"/><Ask/></UnitContext.Provider></Card><Deck/></main>;
const Card = ({ children }) => <div>{children}</div>;
const Ask = () => <i>{useContext(Tide)}</i>;
const Deck = () => <Tide.Provider value="high"><p><Lamp/></p></Tide.Provider>;
const Lamp = () => <u/>;`,
  };
  expect(told(files, 'Card@App>Deck').answers).toEqual([
    { component: 'Row', key: 'UnitContext', before: 'App', after: 'App' },
    { component: 'Ask', key: 'Tide', before: null, after: 'Deck' },
  ]);
});

describe('in a slot that holds nothing yet', () => {
  test.each<[string, string, string | null]>([
    ['what is around it there answers', '<UnitContext.Provider value="ft">{children}</UnitContext.Provider>', 'Shell'],
    ['also of a component that shows it', '<Deck>{children}</Deck>', 'Deck'],
    ['what stands beside it does not', '<><UnitContext.Provider value="ft"><p/></UnitContext.Provider>{children}</>', null],
  ])('%s', (_, markup, after) => {
    const files: Files = {
      ...react,
      'src/App.jsx': `import { UnitContext } from './unit'; import { Row } from './Row'; export const App = () => <main><Row n={1} label="a"/><Shell/></main>;
const Shell = ({ children }) => ${markup};
const Deck = ({ children }) => <UnitContext.Provider value="ft">{children}</UnitContext.Provider>;`,
    };
    expect(told(files, 'Row@App>Shell#children').answers).toEqual([{ component: 'Row', key: 'UnitContext', before: null, after }]);
  });
});

describe('whoever it is written into stands elsewhere as well', () => {
  const files: Files = {
    ...react,
    'src/App.jsx': `import { UnitContext } from './unit'; import { Row } from './Row';
export const App = () => <main><UnitContext.Provider value="ft"><Row n={1} label="a"/><Box/></UnitContext.Provider><Rest/></main>;
const Rest = () => <p><Box/></p>;
const Box = () => <p></p>;`,
  };
  test('with another answer', () => {
    expect(told(files, 'Row@App>Box')).toMatchObject({
      answers: [{ component: 'Row', key: 'UnitContext', before: 'App', after: 'App' }],
      elsewhere: [{ page: 'App', component: 'Row', key: 'UnitContext', after: null }],
    });
  });
  test('a slot of one use is that of no other', () => {
    expect(told(files, 'Row@App>Box#children').elsewhere).toEqual([]);
  });
});

test('a part that renders who would write it is said to have no end', () => {
  const files: Files = {
    'src/App.jsx':
      'export const App = () => <main><Outer/><Leaf/></main>;\nconst Outer = () => <div><Leaf/></div>;\nconst Leaf = () => <p></p>;',
  };
  expect(told(files, 'Outer@App>Leaf')).toMatchObject({ endless: true });
  expect(told(files, 'Leaf@Outer>App')).toMatchObject({ endless: false });
});

describe('several moves', () => {
  const files: Files = {
    'src/unit.js': "import { createContext } from 'react'; export const UnitContext = createContext('m');",
    'src/App.jsx': `import { useContext } from 'react'; import { UnitContext } from './unit';
export const App = () => <main><Row/><Box/><Deck/></main>;
const Row = () => <b>{useContext(UnitContext)}</b>;
const Box = () => <p><i/></p>;
const Deck = () => <UnitContext.Provider value="ft"><Lamp/></UnitContext.Provider>;
const Lamp = () => <i></i>;`,
  };
  /** What is answered to moves that are made together; null for one that cannot be. */
  const together = (...moves: string[]): (WhatIf['answers'] | null)[] => {
    const { model } = analyseFiles(files);
    const { tree, stands } = standsIn(model, moves);
    return whatIfAll(model, tree, stands, () => []).map((one) => one?.answers ?? null);
  };
  const by = (after: string | null): WhatIf['answers'] => [{ component: 'Row', key: 'UnitContext', before: null, after }];
  test('each is answered with the others made, against what is now', () => {
    expect(together('Row@App>Box')).toEqual([by(null)]);
    expect(together('Row@App>Box', 'Box@App>Deck')).toEqual([by('Deck'), []]);
  });
  test('one that another makes impossible is not made', () => {
    expect(together('Row@App>Box', 'Box@App>Row')).toEqual([by(null), null]);
  });
});

describe('what cannot be asked is said', () => {
  test.each([
    ['Row>Box', '"Row>Box" is no move: write Component@Parent>Target, with #slot where it is to stand in one.'],
    ['Rou@App>Box', 'No page has Rou in App.'],
    ['Row@Deck>Box', 'No page has Row in Deck.'],
    ['Row@App>Bax', 'No page has Bax beside Row for it to be moved to.'],
    ['App@App>Row', 'No page has App in App.'],
    ['Box@App>Box', 'No page has Box beside Box for it to be moved to.'],
  ])('%s', (move, says) => {
    expect(asked(react, move)).toEqual({ wrong: says });
  });
  test('a move in parts', () => {
    expect(parseMove(' Row@App > Box#foot ')).toEqual({ component: 'Row', from: 'App', to: 'Box', slot: 'foot' });
  });
});
