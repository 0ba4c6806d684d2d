import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../../frameworks/registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { askedMove, parseMove, type WhatIf } from '.';

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
      { lost: [{ component: 'Row', name: 'n', of: 'n' }], unheard: [], heardBy: [{ component: 'Row', event: 'onPick', by: 'Deck' }] },
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
