import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { comparedWords, comparisonSummary } from '../formats/comparison';
import { compareProjects, type ProjectComparison } from './compare';
import { wordsShared } from './match';
import type { Side } from './side';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

function side(files: Files): Side {
  const { model, findings } = analyseFiles(files);
  return { model, findings, textOf: (file) => files[file] };
}
const compared = (before: Files, after: Files): ProjectComparison => compareProjects(side(before), side(after));

/** Two parts that show one which takes a context; what the page and the first of them show. */
const keepers = (page: string, left: string): Record<string, string> => ({
  'src/keeper.js': "import { createContext } from 'react'; export const Keeper = createContext(null);",
  'src/Name.jsx':
    "import { useContext } from 'react'; import { Keeper } from './keeper'; export function Name() { const keeper = useContext(Keeper); return <b>{keeper.length}</b>; }",
  'src/Left.jsx': `import { Keeper } from './keeper'; import { Name } from './Name'; export const Left = () => <main>${left}</main>;`,
  'src/Right.jsx': "import { Name } from './Name'; export const Right = () => <aside><Name/></aside>;",
  'src/App.jsx': `import { createRoot } from 'react-dom/client'; import { Keeper } from './keeper'; import { Left } from './Left'; import { Right } from './Right'; export function App() { return ${page}; } createRoot(document.body).render(<App/>);`,
});

/** `Name status`, with `!` for what no longer holds; untouched ones that hold are left out. */
const states = ({ components }: ProjectComparison): string[] =>
  components.flatMap(({ before, after, status, holds }) =>
    status === 'same' && holds !== false ? [] : [`${before?.name ?? '–'}→${after?.name ?? '–'} ${status}${holds === false ? '!' : ''}`],
  );
const contractOf = ({ components }: ProjectComparison, name: string): string[] =>
  (components.find(({ after }) => after?.name === name)?.contract ?? []).map(
    ({ member, name: of, change, to }) => `${member} ${of} ${change}${to ? ` ${to}` : ''}`,
  );
const breaksOf = ({ breaks }: ProjectComparison): string[] => breaks.map(({ rule, subject, at }) => `${rule} ${subject} ${at.file}`);

const app = (use: string, more = ''): string =>
  `import { Card } from './Card';\n${more}export function App() { return <main>${use}</main>; }`;
const react = (card: string, use: string): Files => ({ 'src/Card.jsx': card, 'src/App.jsx': app(use) });
const vue = (card: string, use: string): Files => ({
  'src/Card.vue': card,
  'src/App.vue': `<script setup>import Card from './Card.vue'; const heard = () => {};</script><template>${use}</template>`,
});
const svelte = (card: string, use: string): Files => ({
  'src/Card.svelte': card,
  'src/App.svelte': `<script>import Card from './Card.svelte'; let n = 1; function heard() {}</script>${use}`,
});

describe('contracts', () => {
  test.each<[string, Files, Files, string[]]>([
    [
      'nothing',
      react('export const Card = ({ tone }) => <b>{tone}</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ tone }) => <i>{tone}</i>;', '<Card tone="a"/>'),
      [],
    ],
    [
      'a prop renamed with its use',
      react('export const Card = ({ tone }) => <b className={tone}>{tone}</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ level }) => <b className={level}>{level}</b>;', '<Card level="a"/>'),
      ['prop tone renamed level'],
    ],
    [
      'a prop gone, and another new that is read elsewhere',
      react('export const Card = ({ tone }) => <b className={tone}>x</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ size }) => <ul style={{ width: size * 2 }}><li>y</li></ul>;', '<Card size={1}/>'),
      ['prop tone gone', 'prop size new'],
    ],
    [
      'a default',
      react('export const Card = ({ tone }) => <b>{tone}</b>;', '<Card tone="a"/>'),
      react("export const Card = ({ tone = 'calm' }) => <b>{tone}</b>;", '<Card tone="a"/>'),
      ["prop tone default 'calm'"],
    ],
    [
      'a callback in another letter case',
      react('export const Card = ({ onPick }) => <b onClick={() => onPick(1)}/>;', '<Card onPick={() => {}}/>'),
      react('export const Card = ({ onpick }) => <b onClick={() => onpick(1)}/>;', '<Card onpick={() => {}}/>'),
      ['event onPick renamed onpick'],
    ],
    [
      'children become another slot',
      react('export const Card = ({ children }) => <b>{children}</b>;', '<Card>a</Card>'),
      react('export const Card = () => <b/>;', '<Card/>'),
      ['slot children gone'],
    ],
    [
      'required by its type',
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone?: string }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone="a"/>') },
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone: string }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone="a"/>') },
      ['prop tone required'],
    ],
    [
      'optional by its type',
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone: string }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone="a"/>') },
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone?: string }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone="a"/>') },
      ['prop tone optional'],
    ],
    [
      'another kind of value',
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone: string }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone="a"/>') },
      { 'src/Card.tsx': 'export const Card = ({ tone }: { tone: number }) => <b>{tone}</b>;', 'src/App.tsx': app('<Card tone={1}/>') },
      ['prop tone kind number'],
    ],
    [
      'an event of Vue gone',
      vue(
        "<script setup>const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick')\"/></template>",
        '<Card @pick="heard"/>',
      ),
      vue('<template><b/></template>', '<Card/>'),
      ['event pick gone'],
    ],
    [
      'a slot of Vue gone',
      vue('<template><slot name="foot"/></template>', '<Card><template #foot>a</template></Card>'),
      vue('<template><b/></template>', '<Card/>'),
      ['slot foot gone'],
    ],
    [
      'a slot and its snippet are one',
      svelte('<slot/>', '<Card>a</Card>'),
      svelte('<script>let { children } = $props();</script>{@render children()}', '<Card>a</Card>'),
      [],
    ],
    [
      'an event and its callback are one',
      svelte(
        "<script>import { createEventDispatcher } from 'svelte'; const send = createEventDispatcher();</script><b on:click={() => send('pick')}/>",
        '<Card on:pick={heard}/>',
      ),
      svelte('<script>let { onpick } = $props();</script><b onclick={() => onpick()}/>', '<Card onpick={heard}/>'),
      [],
    ],
  ])('%s', (_, before, after, changes) => {
    expect(contractOf(compared(before, after), 'Card')).toEqual(changes);
  });
});

describe('what became of each, and what breaks', () => {
  test.each<[string, Files, Files, string[], string[]]>([
    ['nothing', react('export const Card = () => <b/>;', '<Card/>'), react('export const Card = () => <b/>;', '<Card/>'), [], []],
    [
      'a class becomes a function',
      react(
        "import { Component } from 'react'; export class Card extends Component { render() { return <b>{this.props.tone}</b>; } }",
        '<Card tone="a"/>',
      ),
      react('export function Card({ tone }) { return <b>{tone}</b>; }', '<Card tone="a"/>'),
      ['Card→Card changed'],
      [],
    ],
    [
      'options become setup',
      vue("<script>export default { props: ['tone'] };</script><template><b>{{ tone }}</b></template>", '<Card tone="a"/>'),
      vue("<script setup>defineProps(['tone']);</script><template><b>{{ tone }}</b></template>", '<Card tone="a"/>'),
      ['Card→Card changed'],
      [],
    ],
    [
      'legacy becomes runes',
      svelte('<script>export let tone;</script><b>{tone}</b>', '<Card tone="a"/>'),
      svelte('<script>let { tone } = $props();</script><b>{tone}</b>', '<Card tone="a"/>'),
      ['Card→Card changed'],
      [],
    ],
    [
      'React becomes Svelte',
      react('export function Card({ tone }) { return <b>{tone}</b>; }', '<Card tone="a"/>'),
      svelte('<script>let { tone } = $props();</script><b>{tone}</b>', '<Card tone="a"/>'),
      ['App→App changed', 'Card→Card changed'],
      [],
    ],
    [
      'a part is renamed, with its use',
      react('export const Card = ({ tone }) => <b className="card">{tone} of the lock</b>;', '<Card tone="a"/>'),
      {
        'src/Card.jsx': 'export const Tile = ({ tone }) => <b className="card">{tone} of the lock</b>;',
        'src/App.jsx': app('<Tile tone="a"/>').replace('Card', 'Tile'),
      },
      ['App→App changed', 'Card→Tile renamed'],
      [],
    ],
    [
      'a part moves to another file',
      react('export const Card = () => <b/>;', '<Card/>'),
      { 'src/parts/Card.jsx': 'export const Card = () => <b/>;', 'src/App.jsx': app('<Card/>').replace('./Card', './parts/Card') },
      ['Card→Card moved'],
      [],
    ],
    [
      'a part is inlined',
      { 'src/Card.jsx': 'export const Dot = () => <i>·</i>; export const Card = () => <b><Dot/></b>;', 'src/App.jsx': app('<Card/>') },
      { 'src/Card.jsx': 'export const Card = () => <b><i>·</i></b>;', 'src/App.jsx': app('<Card/>') },
      ['Card→Card changed', 'Dot→– gone'],
      [],
    ],
    [
      'another default, which some use takes',
      react("export const Card = ({ tone = 'calm' }) => <b>{tone}</b>;", '<Card/>'),
      react("export const Card = ({ tone = 'loud' }) => <b>{tone}</b>;", '<Card/>'),
      ['Card→Card changed!'],
      [],
    ],
    [
      'another default, and all uses give a value',
      react("export const Card = ({ tone = 'calm' }) => <b>{tone}</b>;", '<Card tone="a"/>'),
      react("export const Card = ({ tone = 'loud' }) => <b>{tone}</b>;", '<Card tone="a"/>'),
      ['Card→Card changed'],
      [],
    ],
    [
      'a provider goes from above two takers to one of them',
      keepers('<Keeper.Provider value="a"><Left/><Right/></Keeper.Provider>', '<Name/>'),
      keepers('<><Left/><Right/></>', '<Keeper.Provider value="a"><Name/></Keeper.Provider>'),
      ['App→App changed!', 'Name→Name same!', 'Left→Left changed'],
      ['context-missing Keeper src/Name.jsx'],
    ],
    [
      'a part is new',
      react('export const Card = () => <b/>;', '<Card/>'),
      {
        'src/Card.jsx': 'export const Card = () => <b/>; export const Foot = ({ line }) => <footer>{line}</footer>;',
        'src/App.jsx': app('<Card/>'),
      },
      ['–→Foot new'],
      [],
    ],
    [
      'a prop renamed, and its use left behind',
      react('export const Card = ({ tone }) => <b>{tone}</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ level }) => <b>{level}</b>;', '<Card tone="a"/>'),
      ['Card→Card changed!', 'App→App same!'],
      ['prop-unknown tone src/App.jsx'],
    ],
    [
      'and it throws without',
      react('export const Card = ({ tone }) => <b>{tone.toUpperCase()}</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ level }) => <b>{level.toUpperCase()}</b>;', '<Card tone="a"/>'),
      ['Card→Card changed!', 'App→App same!'],
      ['prop-missing level src/App.jsx'],
    ],
    [
      'a slot gone that is filled',
      vue('<template><slot name="foot"/><slot/></template>', '<Card>b<template #foot>a</template></Card>'),
      vue('<template><slot/></template>', '<Card>b<template #foot>a</template></Card>'),
      ['Card→Card changed!', 'App→App same!'],
      ['slot-nowhere #foot src/App.vue'],
    ],
    [
      'a function that is called while rendering is handed on no more',
      {
        'src/Card.jsx': "import { Gauge } from './Gauge'; export const Card = ({ title, ...rest }) => <b>{title}<Gauge {...rest}/></b>;",
        'src/Gauge.jsx': 'export const Gauge = ({ format }) => <i>{format(1)}</i>;',
        'src/App.jsx': app('<Card title="a" format={(n) => n}/>'),
      },
      {
        'src/Card.jsx': "import { Gauge } from './Gauge'; export const Card = ({ title }) => <b>{title}<Gauge/></b>;",
        'src/Gauge.jsx': 'export const Gauge = ({ format }) => <i>{format(1)}</i>;',
        'src/App.jsx': app('<Card title="a" format={(n) => n}/>'),
      },
      ['Card→Card changed!'],
      ['prop-missing format src/Card.jsx'],
    ],
    [
      'what was wrong before is no break',
      react('export const Card = () => <b/>;', '<Card tone="a"/>'),
      react('export const Card = () => <i/>;', '<Card tone="a"/>'),
      ['Card→Card changed'],
      [],
    ],
  ])('%s', (_, before, after, all, breaks) => {
    const comparison = compared(before, after);
    expect([states(comparison), breaksOf(comparison)]).toEqual([all, breaks]);
  });
});

describe('who answers, and where values go', () => {
  const files = (page: string): Files => ({
    'src/main.jsx': "import { createRoot } from 'react-dom/client'; import { App } from './App'; createRoot(document.body).render(<App/>);",
    'src/unit.js': "import { createContext } from 'react'; export const UnitContext = createContext();",
    'src/Row.jsx':
      "import { useContext } from 'react'; import { UnitContext } from './unit'; export function Row({ n }) { const unit = useContext(UnitContext); return <b>{n} {unit.name}</b>; }",
    'src/App.jsx': `import { useState } from 'react'; import { UnitContext } from './unit'; import { Row } from './Row'; export function App() { const [unit] = useState({ name: 'm' }); return ${page}; }`,
  });
  const inside = files('<UnitContext.Provider value={unit}><Row n={1}/></UnitContext.Provider>');
  const outside = files('<><UnitContext.Provider value={unit}><p/></UnitContext.Provider><Row n={1}/></>');

  test('a provider that no longer stands around a taker', () => {
    const comparison = compared(inside, outside);
    expect(comparison.answers).toEqual([{ component: 'Row', place: 'App', key: 'UnitContext', before: 'App', after: null }]);
    expect(comparison.ways.find(({ of }) => of === 'App.unit')).toEqual({
      of: 'App.unit',
      lost: [{ component: 'Row', place: 'App' }],
      gained: [],
    });
    expect(breaksOf(comparison)).toEqual(['context-missing UnitContext src/Row.jsx']);
    expect(states(comparison)).toEqual(['App→App changed!', 'Row→Row same!']);
  });
  test('and the other way round nothing breaks', () => {
    const comparison = compared(outside, inside);
    expect(comparison.answers).toEqual([{ component: 'Row', place: 'App', key: 'UnitContext', before: null, after: 'App' }]);
    expect([breaksOf(comparison), comparison.findings.gone.map(({ rule }) => rule)]).toEqual([[], ['context-missing', 'context-unread']]);
  });
  const wayOf = (comparison: ProjectComparison, of: string): string[] => {
    const { lost = [], gained = [] } = comparison.ways.find((one) => one.of === of) ?? {};
    return [...lost.map((one) => `-${one.component}@${one.place}`), ...gained.map((one) => `+${one.component}@${one.place}`)];
  };
  const shown = (app: string, panel: string): Files => ({
    'src/main.jsx': "import { createRoot } from 'react-dom/client'; import { App } from './App'; createRoot(document.body).render(<App/>);",
    'src/Row.jsx': 'export const Row = ({ n, onMore }) => <b onClick={() => onMore(n + 1)}>{n}</b>;',
    'src/Panel.jsx': `import { Row } from './Row'; export const Panel = ${panel};`,
    'src/App.jsx': `import { useState } from 'react'; import { Panel } from './Panel'; import { Row } from './Row'; export function App() { const [n, setN] = useState(0); return ${app}; }`,
  });
  test.each<[string, Files, Files, string[]]>([
    [
      'what stood in the rest of the props and is handed on no more; that it comes back changed makes a circle',
      shown('<Panel n={n} onMore={setN}/>', '(props) => <p><Row {...props}/></p>'),
      shown('<Panel n={n} onMore={setN}/>', '({ onMore }) => <p><Row onMore={onMore}/></p>'),
      ['-Row@Panel'],
    ],
    [
      'what stood between the tags of one that shows it no more',
      shown('<Panel><Row n={n} onMore={setN}/></Panel>', '({ children }) => <p>{children}</p>'),
      shown('<Panel><Row n={n} onMore={setN}/></Panel>', '() => <p/>'),
      ['-Row@Panel'],
    ],
    [
      'and one that shows it for the first time',
      shown('<Panel><Row n={n} onMore={setN}/></Panel>', '() => <p/>'),
      shown('<Panel><Row n={n} onMore={setN}/></Panel>', '({ children }) => <p>{children}</p>'),
      ['+Row@Panel'],
    ],
    [
      'nothing where it is handed on under another name',
      shown('<Panel n={n} onMore={setN}/>', '({ n, onMore }) => <p><Row n={n} onMore={onMore}/></p>'),
      shown('<Panel level={n} onMore={setN}/>', '({ level, onMore }) => <p><Row n={level} onMore={onMore}/></p>'),
      [],
    ],
    [
      'nothing where a prop became content, or the reverse',
      shown('<Panel label={n}/>', '({ label }) => <b>{label}</b>'),
      shown('<Panel>{n}</Panel>', '({ children }) => <b>{children}</b>'),
      [],
    ],
    [
      'who is not shown the content either',
      shown('<Panel label={n}/>', '({ label }) => <b>{label}</b>'),
      shown('<p><Panel>none</Panel>{n}</p>', '({ children }) => <b>{children}</b>'),
      ['-Panel@App'],
    ],
  ])('%s', (_, before, after, way) => {
    expect(wayOf(compared(before, after), 'App.n')).toEqual(way);
  });
  test('who calls a hook that was changed, by whatever hooks, counts as touched', () => {
    const hooked = (gives: string): Files => ({
      ...shown('<Panel n={n}/>', '({ n }) => null'),
      'src/Panel.jsx':
        "import { useLevel } from './level'; import { Row } from './Row'; export const Panel = ({ n }) => { const level = useLevel(n); return <p><Row n={level}/></p>; };",
      'src/level.js': "import { useSteps } from './steps'; export function useLevel(n) { const steps = useSteps(n); return steps; }",
      'src/steps.js': `import { useState } from 'react'; export function useSteps(n) { const [first] = useState(4); return ${gives}; }`,
    });
    expect(wayOf(compared(hooked('n'), hooked('first')), 'App.n')).toEqual(['-Row@Panel']);
    expect(compared(hooked('n'), hooked('n')).ways).toEqual([]);
  });
  test('pages on which nothing was touched are not asked', () => {
    expect(compared(inside, inside)).toMatchObject({ ways: [], answers: [], breaks: [] });
  });
});

describe('messages with two ends', () => {
  /** A part that sends, one that waits, and one more, on a page; each a statement within an effect. */
  const heard = (sends: string, hears: string, more = ''): Files =>
    Object.fromEntries(
      Object.entries({ Sender: sends, Hearer: hears, Other: more }).map(([name, text]) => [
        `src/${name}.jsx`,
        `import { useEffect } from 'react'; export function ${name}({ show, lock }) { useEffect(() => { ${text} }, [lock]); return <i/>; }`,
      ]),
    );
  const onDocument = (name: string): string =>
    `document.addEventListener(${name}, show); return () => document.removeEventListener(${name}, show);`;
  const toDocument = (name: string): string => `document.dispatchEvent(new CustomEvent(${name}, { detail: lock }));`;
  const onChannel = "const channel = new BroadcastChannel('locks'); channel.onmessage = show; return () => channel.close();";
  const toChannel = "const channel = new BroadcastChannel('locks'); channel.postMessage(lock); channel.close();";
  test.each<[string, Files, Files, string[]]>([
    ['all as it was', heard(toDocument("'opened'"), onDocument("'opened'")), heard(toDocument("'opened'"), onDocument("'opened'")), []],
    ['both renamed', heard(toDocument("'opened'"), onDocument("'opened'")), heard(toDocument("'shut'"), onDocument("'shut'")), []],
    ['both on another carrier', heard(toChannel, onChannel), heard(toDocument("'opened'"), onDocument("'opened'")), []],
    ['one that never met', heard('', onDocument("'opened'")), heard('', onDocument("'raised'")), []],
    [
      'the one that waits is on another carrier, and is told of once',
      heard(toChannel, onChannel),
      heard(toChannel, onDocument("'opened'")),
      ['channel-unpaired opened src/Hearer.jsx'],
    ],
    [
      'the one that sends is on another carrier',
      heard(toDocument("'opened'"), onDocument("'opened'")),
      heard(toChannel, onDocument("'opened'")),
      ['channel-unpaired locks src/Sender.jsx'],
    ],
    [
      'what the later version tells by itself is told once',
      heard(toDocument("'opened'"), onDocument("'opened'")),
      heard(toDocument("'raised'"), onDocument("'opened'")),
      ['channel-unpaired raised src/Sender.jsx'],
    ],
    [
      'nothing is sent any more',
      heard(toDocument("'opened'"), onDocument("'opened'")),
      heard('', onDocument("'opened'")),
      ['channel-unpaired opened src/Hearer.jsx'],
    ],
    [
      'somebody else sends it',
      heard(toDocument("'opened'"), onDocument("'opened'")),
      heard('', onDocument("'opened'"), toDocument("'opened'")),
      [],
    ],
    [
      'the name is not known',
      heard(toDocument("'opened'"), onDocument("'opened'")),
      heard(toDocument('lock.name'), onDocument("'opened'")),
      [],
    ],
    ['the platform sends it', heard(toDocument("'click'"), onDocument("'click'")), heard('', onDocument("'click'")), []],
  ])('%s', (_, before, after, found) => {
    expect(breaksOf(compared(before, after))).toEqual(found);
  });
});

describe('in words', () => {
  const words = (before: Files, after: Files): string[] => {
    const comparison = compared(before, after);
    return [comparisonSummary(comparison), ...comparison.components.filter(({ status }) => status !== 'same').map(comparedWords)];
  };
  test.each<[string, Files, Files, string[]]>([
    [
      'renamed',
      react('export const Card = ({ tone }) => <b className="card">{tone} of the lock</b>;', '<Card tone="a"/>'),
      {
        'src/Card.jsx': 'export const Tile = ({ tone }) => <b className="card">{tone} of the lock</b>;',
        'src/App.jsx': app('<Tile tone="a"/>').replace('Card', 'Tile'),
      },
      [
        '2 of 2 components hold what they held; nothing is broken that was not before. Also: 1 renamed.',
        'App was changed. It holds what it held, as far as can be read.',
        'Card is named Tile now. It holds what it held, as far as can be read.',
      ],
    ],
    [
      'broken',
      react('export const Card = ({ tone }) => <b>{tone}</b>;', '<Card tone="a"/>'),
      react('export const Card = ({ level }) => <b>{level}</b>;', '<Card tone="a"/>'),
      [
        '0 of 2 components hold what they held; 1 thing is broken that was not before.',
        'Card was changed: prop tone is named level now. It no longer holds what it held.',
      ],
    ],
    ['nothing at all', {}, {}, ['Neither version has a component that can be read.']],
  ])('%s', (_, before, after, said) => {
    expect(words(before, after)).toEqual(said);
  });
});

test.each([
  ['a b', 'a b', 1],
  ['a b', 'c d', 0],
  ['a b', 'b c', 0.5],
  ['', '', 1],
  ['a', '', 0],
])('words shared by %j and %j: %d', (one, other, share) => {
  expect(wordsShared(one, other)).toBe(share);
});
