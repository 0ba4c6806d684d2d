import { describe, expect, test } from 'vitest';
import {
  ladderLines,
  makeFlowQueries,
  orderColumns,
  placeCard,
  type Rung,
  rungText,
  spotAt,
  spotOf,
  strandsOf,
  subjectId,
  subjectOf,
  traceOf,
  traceText,
  whoAnswers,
} from '../..';
import { analyseFiles, strandLines, treeOf } from '../../../../../testing/src/project';
import { mounted, spotNamed, waysOf } from '../../../../../testing/src/trace';

function strandsIn(text: string): string[] {
  const { model } = analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" });
  return strandLines(model, 'App');
}

describe('strands of a page', () => {
  const leaf = 'function Leaf({ a }) { return <p>{a}</p>; }\n';
  const cases: readonly [name: string, text: string, expected: readonly string[]][] = [
    [
      'state passed to a child that reads it',
      `${leaf}export function App() { const [a] = useState(1); return <Leaf a={a}/>; }`,
      ['state a: App owns > Leaf reads'],
    ],
    [
      'passed on unread',
      `${leaf}function Mid({ a }) { return <Leaf a={a}/>; }\nexport function App() { const [a] = useState(1); return <Mid a={a}/>; }`,
      ['state a: App owns > Mid passes > Leaf reads'],
    ],
    [
      'renamed',
      `${leaf}function Mid({ b }) { return <Leaf a={b}/>; }\nexport function App() { const [a] = useState(1); return <Mid b={a}/>; }`,
      ['state a: App owns > Mid renames > Leaf reads+renames'],
    ],
    [
      'narrowed to a part',
      `${leaf}export function App() { const [a] = useState({}); return <Leaf a={a.b}/>; }`,
      ['state a: App owns > Leaf reads+narrows'],
    ],
    [
      'narrowed to an item',
      `${leaf}export function App() { const [all] = useState([]); return all.map((one) => <Leaf key={one.id} a={one}/>); }`,
      ['state all: App owns > Leaf reads+narrows'],
    ],
    [
      'of an object made in place, the part that is read',
      'function Row({ item }) { return <p>{item.a}</p>; }\nexport function App() { const [a] = useState(1); const [b, setB] = useState(2); return <div onClick={() => setB(3)}><Row item={{ a, b }}/></div>; }',
      ['state a: App owns > Row reads+renames', 'state b: App owns+changes > Row renames'],
    ],
    [
      'computed on the way',
      `${leaf}export function App() { const [a] = useState(1); const twice = a * 2; return <Leaf a={twice}/>; }`,
      ['state a: App owns+reads > Leaf reads+narrows'],
    ],
    [
      'through the rest of the props',
      `${leaf}function Mid({ b, ...rest }) { return <Leaf {...rest}/>; }\nexport function App() { const [a] = useState(1); return <Mid a={a} b={1}/>; }`,
      ['state a: App owns > Mid passes > Leaf reads'],
    ],
    [
      'through content',
      `${leaf}function Frame({ children }) { return <section>{children}</section>; }\nexport function App() { const [a] = useState(1); return <Frame><Leaf a={a}/></Frame>; }`,
      ['state a: App owns > Leaf reads'],
    ],
    [
      'an object spread on a child: a part of it may go to each prop that is not given otherwise',
      `${leaf}export function App() { const [all] = useState({}); return <Leaf {...all}/>; }`,
      ['state all: App owns > Leaf reads+narrows'],
    ],
    [
      'state inside a hook, under the component that calls it',
      `${leaf}function useBoats() { const [all, setAll] = useState([]); return { all, add: (one) => setAll([one]) }; }\nexport function App() { const { all, add } = useBoats(); return <b onClick={add}><Leaf a={all}/></b>; }`,
      ['state all: App owns+changes > Leaf reads+renames'],
    ],
    [
      'a store of the module: who reads and who changes it',
      `${leaf}let level = 1;\nconst setLevel = (next) => { level = next; };\nconst subscribe = () => () => 1;\nfunction Gate() { return <b onClick={() => setLevel(2)}/>; }\nfunction Gauge() { const now = useSyncExternalStore(subscribe, () => level); return <Leaf a={now}/>; }\nexport function App() { return <><Gate/><Gauge/></>; }`,
      ['store level: Gate changes > Gauge reads > Leaf reads+renames'],
    ],
    [
      'a channel: who sends and who hears',
      `function Bell() { return <b onClick={() => { const c = new BroadcastChannel('alarm'); c.postMessage(1); }}/>; }\nfunction Ear() { useEffect(() => { const c = new BroadcastChannel('alarm'); c.onmessage = () => 1; }, []); return null; }\nexport function App() { return <><Bell/><Ear/></>; }`,
      ['event alarm: Bell raises > Ear catches'],
    ],
    [
      'what a hook gives, by the name it has here',
      `${leaf}function useBoat() { return useState(1); }\nexport function App() { const [boat] = useBoat(); return <Leaf a={boat}/>; }`,
      ['state boat: App owns > Leaf reads+renames'],
    ],
    [
      'changed by its owner',
      `${leaf}export function App() { const [a, setA] = useState(1); const go = () => setA(2); return <button onClick={go}><Leaf a={a}/></button>; }`,
      ['state a: App owns+changes > Leaf reads'],
    ],
    ['state that stays at home is no strand', 'export function App() { const [a] = useState(1); return <p>{a}</p>; }', []],
    [
      'a callback: caught, handed on, raised',
      'function Leaf({ onPick }) { return <button onClick={() => onPick(1)}/>; }\nfunction Mid({ onPick }) { return <Leaf onPick={onPick}/>; }\nexport function App() { const pick = () => {}; return <Mid onPick={pick}/>; }',
      ['event onPick: App catches > Mid passes > Leaf raises'],
    ],
    [
      'a callback under another name',
      'function Leaf({ onPick }) { return <button onClick={onPick}/>; }\nfunction Mid({ onChoose }) { return <Leaf onPick={onChoose}/>; }\nexport function App() { return <Mid onChoose={() => {}}/>; }',
      ['event onChoose: App catches > Mid passes > Leaf raises'],
    ],
    [
      'a value and its change',
      'function Field({ value, onChange }) { return <input value={value} onChange={onChange}/>; }\nexport function App() { const [a, setA] = useState(1); return <Field value={a} onChange={setA}/>; }',
      ['state a: App owns > Field changes+reads+renames two-way', 'event onChange: App catches > Field raises'],
    ],
    [
      'a context',
      'const K = createContext(null);\nfunction Leaf() { const k = useContext(K); return <p>{k.a}</p>; }\nexport function App() { return <K.Provider value={1}><div><Leaf/></div></K.Provider>; }',
      ['context k: App owns > Leaf reads'],
    ],
    [
      'the nearer provider answers',
      'const K = createContext(null);\nfunction Leaf() { const k = useContext(K); return <p>{k?.a}</p>; }\nfunction Inner({ children }) { return <K value={2}>{children}</K>; }\nexport function App() { return <K value={1}><Leaf/><Inner><Leaf/></Inner></K>; }',
      ['context k: App owns > Leaf reads', 'context k: Inner owns > Leaf reads'],
    ],
    [
      'a required prop that is not given',
      'function Leaf({ a }: { a: string }) { return <p>{a}</p>; }\nexport function App() { return <Leaf/>; }',
      ['loose prop a: App ground > Leaf loose'],
    ],
    [
      'an event that another use hears',
      'function Leaf({ onPick }: { onPick?: () => void }) { return <button onClick={() => onPick?.()}/>; }\nexport function App() { return <><Leaf onPick={() => {}}/><Leaf/></>; }',
      ['event onPick: App catches > Leaf raises', 'loose event onPick: App ground > Leaf loose+raises'],
    ],
    [
      'a context that nothing provides',
      'const K = createContext(null);\nfunction Leaf() { const { a } = useContext(K); return <p>{a}</p>; }\nexport function App() { return <Leaf/>; }',
      ['loose context k: Leaf loose'],
    ],
  ];
  test.each(cases)('%s', (_, text, expected) => {
    expect(strandsIn(text)).toEqual(expected);
  });

  test('two uses of one component with different sources stay apart', () => {
    const text =
      'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Mid({ a }) { return <Leaf a={a}/>; }\nexport function App() { const [x] = useState(1); const [y] = useState(2); return <><Mid a={x}/><Mid a={y}/></>; }';
    const { model } = analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" });
    const { strands } = strandsOf(makeFlowQueries(model, treeOf(model, 'App')));
    expect(strands.map((strand) => [strand.name, strand.knots.map((knot) => knot.place)])).toEqual([
      ['x', [0, 1, 2]],
      ['y', [0, 3, 4]],
    ]);
  });

  test('components that pass a value to themselves end', () => {
    expect(
      strandsIn(
        'function Nest({ a, n }) { return <>{a}{n > 0 && <Nest a={a} n={n - 1}/>}</>; }\nexport function App() { const [a] = useState(1); return <Nest a={a} n={3}/>; }',
      ),
    ).toEqual(['state a: App owns > Nest reads > Nest passes']);
  });

  test('each knot shows where in the code it is', () => {
    const text = 'function Leaf({ a }) { return <p>{a}</p>; }\nexport function App() { const [a] = useState(1); return <Leaf a={a}/>; }';
    const { model } = analyseFiles({ 'src/App.tsx': text, 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" });
    const [strand] = strandsOf(makeFlowQueries(model, treeOf(model, 'App'))).strands;
    expect(strand?.knots.map((knot) => knot.code.map(({ at, does }) => `${does} ${text.slice(at.start, at.end)}`))).toEqual([
      ['owns a'],
      ['passes a={a}', 'reads a'],
    ]);
  });
});

describe('columns', () => {
  test('strands that share places stand together, the highest first', () => {
    const strand = (id: string, places: readonly number[]): Parameters<typeof orderColumns>[0][number] => ({
      id,
      kind: 'state',
      name: id,
      home: `f#${id}` as never,
      knots: places.map((place) => ({ place, kinds: ['reads'], name: id, names: [id], code: [], from: -1, twoWay: false })),
    });
    const ordered = orderColumns([strand('far', [8, 9]), strand('b', [0, 1, 3]), strand('a', [0, 5]), strand('b2', [0, 1, 3, 4])]);
    const names = ordered.map((one) => one.id);
    expect(Math.abs(names.indexOf('b') - names.indexOf('b2'))).toBe(1);
    expect(names.at(-1)).toBe('far');
    expect(orderColumns([])).toEqual([]);
  });
});

describe('the card of a place', () => {
  test('tells contract, giver, owner and parent', () => {
    const { model } = analyseFiles({
      'src/App.tsx':
        'function Row({ name, tone = 1, onPick }: { name: string; tone?: number; onPick?: () => void }) { return <b onClick={onPick}>{name}</b>; }\nfunction Frame({ children }) { return <section>{children}</section>; }\nexport function App() { const [all] = useState([]); return <Frame>{all.map((one) => <Row key={one.id} name={one.name}/>)}</Frame>; }',
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    const tree = treeOf(model, 'App');
    const { strands } = strandsOf(makeFlowQueries(model, tree));
    const card = placeCard(model, tree, strands, 2);
    expect(card).toMatchObject({
      name: 'Row',
      owner: { name: 'App' },
      parent: { name: 'Frame' },
      slot: { name: 'children', of: 'Frame' },
      repeats: ['one'],
      places: 1,
      uses: 1,
    });
    expect(card?.props.map((prop) => [prop.name, prop.required, prop.given?.what, prop.from?.name])).toEqual([
      ['name', 'yes', 'value', 'all'],
      ['tone', 'no', undefined, undefined],
    ]);
    expect(card?.events.map((event) => [event.name, event.raised.length, event.heard])).toEqual([['onPick', 1, undefined]]);
    expect(placeCard(model, tree, strands, 99)).toBeUndefined();
  });
});

describe('who answers for a context', () => {
  const parts =
    'const C = createContext(null);\nfunction Deep() { const c = useContext(C); return <p>{c}</p>; }\nfunction Mid({ children }) { return <i>{children}</i>; }\nfunction Shell({ children }) { return <C.Provider value={1}><Mid>{children}</Mid></C.Provider>; }\n';
  const cases: readonly [name: string, app: string, chain: readonly string[], fallback: string][] = [
    [
      'the nearest of two, though another stands higher',
      'return <Shell><C.Provider value={2}><Deep/></C.Provider></Shell>;',
      ['Deep', 'App answers', 'Mid', 'Shell beyond', 'Shell', 'App'],
      'none',
    ],
    [
      'the only one, in whose content it stands',
      'return <Shell><Deep/></Shell>;',
      ['Deep', 'Mid', 'Shell answers', 'Shell', 'App'],
      'none',
    ],
    ['nobody', 'return <Mid><Deep/></Mid>;', ['Deep', 'Mid', 'App'], 'none'],
  ];
  test.each(cases)('%s', (_, app, chain, fallback) => {
    const { model } = analyseFiles({
      'src/App.tsx': `${parts}export function App() { ${app} }`,
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    });
    const tree = treeOf(model, 'App');
    const place = tree.places.findIndex((one) => one.component.endsWith('#Deep'));
    const [context] = model.contexts.keys();
    const answer = context && whoAnswers(model, tree, place, context);
    expect(answer?.chain.map((one) => (one.provides === 'not' ? one.name : `${one.name} ${one.provides}`))).toEqual(chain);
    expect(answer?.fallback).toBe(fallback);
  });
});

describe('the lines of a ladder', () => {
  const app = `function Leaf({ a }) { return <p>{a}</p>; }\nexport function App() { const [a] = useState(1); return <>${'<Leaf a={a}/>'.repeat(6)}</>; }`;
  const trace = (): readonly Rung[] => {
    const ways = waysOf(mounted(app));
    return traceOf(ways, spotNamed(ways, 'App.a'), 'goes').rungs;
  };

  test('many branches of one component are folded to one line', () => {
    const lines = ladderLines(trace(), new Set());
    expect(lines.map((line) => (line.kind === 'fan' ? `${line.count} ${line.who} ${line.isOpen}` : line.rung.who))).toEqual([
      'App',
      '6 Leaf false',
    ]);
  });

  test('and open on demand', () => {
    const [, fan] = ladderLines(trace(), new Set());
    const lines = ladderLines(trace(), new Set([fan?.kind === 'fan' ? fan.key : '']));
    expect(lines).toHaveLength(1 + 1 + 12);
    expect(lines.filter((line) => line.kind === 'rung' && line.rung.kind === 'paints')).toHaveLength(6);
  });

  test('a line passes by all rows between a rung and the last that branches off it', () => {
    const ways = waysOf(
      mounted(
        'function Leaf({ a }) { return <p>{a}</p>; }\nfunction Mid({ a }) { return <><b>{a}</b><Leaf a={a}/></>; }\nexport function App() { const [a] = useState(1); return <><Leaf a={a}/><Mid a={a}/></>; }',
      ),
    );
    const lines = ladderLines(traceOf(ways, spotNamed(ways, 'App.a'), 'goes').rungs, new Set());
    expect(
      lines.map(
        ({ lanes }) => `${lanes.lane} from ${lanes.from} past ${lanes.through.map((one) => one.lane).join(',')}${lanes.below ? ' on' : ''}`,
      ),
    ).toEqual([
      '0 from -1 past  on',
      '1 from 0 past 0 on',
      '1 from 1 past 0',
      '0 from 0 past  on',
      '1 from 0 past 0',
      '0 from 0 past  on',
      '0 from 0 past ',
    ]);
  });

  test('a trace of no rungs has no lines', () => {
    expect(ladderLines([], new Set())).toEqual([]);
  });
});

describe('what a trace is of', () => {
  const files = mounted(
    'function useBoats() { const [all] = useState([]); const first = all.length * 2; return { all, first }; }\nfunction Row({ boat, onPick, ...rest }) { return <li {...rest} onClick={() => onPick(boat.name)}>{boat.name}</li>; }\nexport function App() { const { all } = useBoats(); return all.map((one) => <Row key={one.id} boat={one} onPick={() => 1} title="x"/>); }',
  );

  test.each(['useBoats.all', 'useBoats.first', 'Row.boat', 'Row.onPick'])('%s is found again by its id', (name) => {
    const ways = waysOf(files);
    const spot = spotNamed(ways, name);
    expect(spotOf(ways.graph, subjectId(ways.graph, spot), ways.graph.frames[spot.frame]?.place)).toEqual(spot);
  });

  test.each([
    ['of a component that is gone', 'src/App.tsx#Gone~boat'],
    ['of a value that is gone', 'src/App.tsx#App~gone'],
    ['of a hook that is gone', 'src/App.tsx#App~useGone~all'],
    ['without any sense', 'x'],
    ['of nothing', ''],
  ])('an id %s names nothing', (_, id) => {
    expect(spotOf(waysOf(files).graph, id)).toBeUndefined();
  });

  test('a prop that goes with the rest is found by its name', () => {
    const { graph } = waysOf(files);
    const spot = spotOf(graph, 'src/App.tsx#Row~title');
    expect(spot && subjectOf(graph, spot).name).toBe('rest.title');
  });

  const clicks: readonly [word: string, nth: number, meant: string][] = [
    ['all', 0, 'src/App.tsx#App~useBoats~all'],
    ['boat.name', 0, 'src/App.tsx#Row~boat.name'],
    ['onPick(boat', 0, 'src/App.tsx#Row~onPick'],
    ['boat={one}', 0, 'src/App.tsx#Row~boat'],
    ['{one}', 0, 'src/App.tsx#App~one'],
    ['function useBoats', 0, ''],
  ];
  test.each(clicks)('a click on %s', (word, _nth, meant) => {
    const { graph } = waysOf(files);
    const text = files['src/App.tsx'] ?? '';
    const offset = text.indexOf(word) + (word.startsWith('{') ? 1 : 0);
    const spot = spotAt(graph, 'src/App.tsx', offset);
    expect(spot ? subjectId(graph, spot) : '').toBe(meant);
  });

  test('a click on what a function calls or sets', () => {
    const text =
      'export function App({ onPick }) { const [at, setAt] = useState(0); const go = () => { setAt(1); onPick(at); }; return <p onClick={go}>{at}</p>; }';
    const { graph } = waysOf(mounted(text));
    const named = (word: string): string | undefined => {
      const spot = spotAt(graph, 'src/App.tsx', text.indexOf(word) + 1);
      return spot && subjectOf(graph, spot).name;
    };
    expect(named('setAt(1)')).toBe('setAt');
    expect(named('onPick(at)')).toBe('onPick');
    expect(named('at); }')).toBe('at');
  });
});

describe('a rung in words', () => {
  const app = mounted(
    'function Leaf({ a, onPick }) { return <p onClick={() => onPick(a)}>{a}</p>; }\nexport function App() { const [all, setAll] = useState([0]); const one = all[0]; return <Leaf a={one} onPick={(next) => setAll([next])}/>; }',
  );
  const cases: readonly [of: string, ask: 'goes' | 'comes' | 'changes' | 'impact', says: readonly string[]][] = [
    [
      'App.all',
      'goes',
      [
        'starts here',
        'a part of it, as a',
        'painted',
        'raises onPick',
        'caught by onPick as next',
        'changes all',
        'renamed: all → a, seen above',
      ],
    ],
    [
      'Leaf.a',
      'comes',
      ['starts here', 'a part of all', 'a constant', 'put in by a change: next', 'caught by onPick', 'carried by an event: a, seen above'],
    ],
    ['App.all', 'changes', ['starts here', 'changes all', 'caught by onPick', 'raises onPick', 'click on <p>']],
    ['App.all', 'impact', ['starts here', 'renders again, shows nothing new', 'renders again, may show something new']],
  ];
  test.each(cases)('%s %s', (of, ask, says) => {
    const ways = waysOf(app);
    expect(traceOf(ways, spotNamed(ways, of), ask).rungs.map((rung) => rungText(rung, ask))).toEqual(says);
  });

  test('a trace as text has a line for each rung, with its place and its code', () => {
    const ways = waysOf(app);
    const text = traceText(traceOf(ways, spotNamed(ways, 'App.all'), 'changes'), () => ({ line: 7, text: '  setAll([next])' }));
    expect(text.split('\n').slice(0, 4)).toEqual([
      'all, state of App: what changes it',
      '',
      'App (src/App.tsx:7): starts here',
      '    setAll([next])',
    ]);
  });
});
