import { describe, expect, test } from 'vitest';
import type { ComponentFacts } from '../../../model/facts';
import { factsOf, outline } from '../../../../../testing/src/project';

function only(text: string): ComponentFacts {
  const { components } = factsOf(text);
  const [first] = components;
  if (!first || components.length !== 1)
    throw new Error(`${components.length} components: ${components.map((one) => one.name).join(', ')}`);
  return first;
}

describe('what counts as a component', () => {
  const cases: readonly [name: string, text: string, found: readonly string[]][] = [
    ['a function declaration', 'function Card() { return <p/>; }', ['Card']],
    ['an exported function', 'export function Card() { return <p/>; }', ['Card']],
    ['an arrow', 'const Card = () => <p/>;', ['Card']],
    ['a function expression', 'const Card = function () { return <p/>; };', ['Card']],
    ['a default export with a name', 'export default function Card() { return <p/>; }', ['Card']],
    ['a default export without one takes the name of its file', 'export default () => <p/>;', ['Part']],
    ['memo', 'const Card = memo(() => <p/>);', ['Card']],
    ['memo of a named function goes by its variable', 'const Card = memo(function Inner() { return <p/>; });', ['Card']],
    ['forwardRef', 'const Card = forwardRef((props, ref) => <p ref={ref}/>);', ['Card']],
    ['memo around forwardRef', 'export const Card = React.memo(React.forwardRef((props, ref) => <p/>));', ['Card']],
    ['a wrapper of the project', 'const Card = withTheme(() => <p/>);', ['Card']],
    ['a class', 'class Card extends React.Component { render() { return <p/>; } }', ['Card']],
    ['one that returns null', 'function Tick({ onTick }) { useEffect(onTick); return null; }', ['Tick']],
    ['one that returns its children', 'function Frame({ children }) { return children; }', ['Frame']],
    ['one that calls createElement', "function Card() { return createElement('p', null); }", ['Card']],
    ['a member', 'const Card = () => <p/>; Card.Header = function () { return <h2/>; };', ['Card', 'Card.Header']],
    ['a typed constant', 'const Card: FC<{ a: string }> = ({ a }) => <p>{a}</p>;', ['Card']],
    ['a name with an accent', 'function Über() { return <p/>; }', ['Über']],
    ['a lower-case function is none', 'function card() { return <p/>; }', []],
    [
      'a function that makes components is none',
      'function WithTheme(Inner) { return function (props) { return <Inner {...props}/>; }; }',
      [],
    ],
    ['a capitalised function without markup is none', 'function Sum(a, b) { return a + b; }', []],
    ['a plain class is none', 'class Store { render() { return 1; } }', []],
    ['a hook is none', 'function useCard() { return <p/>; }', []],
  ];
  test.each(cases)('%s', (_, text, found) => {
    expect(factsOf(text).components.map((component) => component.name)).toEqual(found);
  });
});

describe('the contract that the body shows', () => {
  const cases: readonly [name: string, text: string, props: string, openness: string][] = [
    ['destructured', 'function C({ a, b = 1, c: d }) { return <p>{a}{b}{d}</p>; }', 'a, b=1, c', 'closed'],
    ['members of props', 'function C(props) { return <p title={props.a}>{props.b.c}</p>; }', 'a, b', 'closed'],
    ['taken apart later', 'function C(props) { const { a, b = 2 } = props; return <p>{a}{b}</p>; }', 'a, b=2', 'closed'],
    ['nested pattern', 'function C({ user: { name } }) { return <p>{name}</p>; }', 'user', 'closed'],
    ['no parameter', 'function C() { return <p/>; }', '', 'closed'],
    ['rest on an element', 'function C({ a, ...rest }) { return <p {...rest}>{a}</p>; }', 'a', 'platform'],
    ['rest on a component', 'function C({ a, ...rest }) { return <Inner {...rest} a={a}/>; }', 'a', 'through'],
    ['rest handed to a function', 'function C({ a, ...rest }) { useThing(rest); return <p>{a}</p>; }', 'a', 'open'],
    ['rest read by name', 'function C({ a, ...rest }) { return <p>{rest.b}</p>; }', 'a, b', 'closed'],
    ['props spread on an element', 'function C(props) { return <p {...props}/>; }', '', 'platform'],
    ['props handed on as a whole', 'function C(props) { return <p>{format(props)}</p>; }', '', 'open'],
    ['a computed member', 'function C(props) { return <p>{props[name]}</p>; }', '', 'open'],
    ['content cloned', 'function C({ children }) { return cloneElement(children, { a: 1 }); }', 'children', 'open'],
    ['a class', 'class C extends Component { render() { return <p>{this.props.a}</p>; } }', 'a', 'closed'],
    ['a wrapper that may add props', 'const C = connect(({ a }) => <p>{a}</p>);', 'a', 'open'],
    ['forwardRef is no prop', 'const C = forwardRef(({ a }, ref) => <p ref={ref}>{a}</p>);', 'a', 'closed'],
  ];
  test.each(cases)('%s', (_, text, props, openness) => {
    const facts = only(text);
    expect(facts.members.map((prop) => prop.name + (prop.fallback === undefined ? '' : `=${prop.fallback}`)).join(', ')).toBe(props);
    expect(facts.openness).toBe(openness);
  });
});

describe('the template', () => {
  const cases: readonly [name: string, body: string, expected: string][] = [
    ['an element', 'return <p><b/></p>;', 'p\n  b'],
    ['a use', 'return <Row a={1} b {...x}/>;', 'Row(a, b, …)'],
    ['a member', 'return <Card.Row/>;', 'Card.Row()'],
    ['constants show nothing', 'return <p>text {1} {"a"} {null}</p>;', 'p'],
    ['a value', 'return <p>{a.name}</p>;', 'p\n  text'],
    ['a prop itself may be content', 'return <p>{children}{a}</p>;', 'p\n  {slot:default}\n  {a}'],
    ['and', 'return <p>{a.b && <Row/>}</p>;', 'p\n  if a.b\n    Row()'],
    ['either', 'return a.b ? <Row/> : <Card/>;', 'if a.b\n  Row()\nif not a.b\n  Card()'],
    ['an early return', 'if (!a.b) return null; return <Row/>;', 'if not !a.b\n  Row()'],
    ['two returns', 'if (a.b) { return <Row/>; } return <Card/>;', 'if a.b\n  Row()\nif not a.b\n  Card()'],
    ['else', 'if (a.b) return <Row/>; else return <Card/>;', 'if a.b\n  Row()\nif not a.b\n  Card()'],
    ['switch', "switch (a.kind) { case 'x': return <Row/>; default: return <Card/>; }", 'if a.kind\n  Row()\nif a.kind\n  Card()'],
    ['a list', 'return a.map((one) => <Row key={one.id} one={one}/>);', 'each one of a\n  Row(one)'],
    ['a list with a body', 'return a.map((one) => { const b = one.b; return <Row b={b}/>; });', 'each one of a\n  Row(b)'],
    ['a list by a named function', 'const row = (one) => <Row one={one}/>; return a.map(row);', 'each one of a\n  Row(one)'],
    ['a destructured item', 'return a.map(({ id }) => <Row key={id}/>);', 'each one of a of a\n  Row()'],
    ['Array.from', 'return Array.from({ length: 3 }, (_, i) => <Row key={i}/>);', 'each _ of { length: 3 }\n  Row()'],
    [
      'a loop that fills a list',
      'const rows = []; for (const one of a) { rows.push(<Row one={one}/>); } return <ul>{rows}</ul>;',
      'ul\n  each one of a\n    Row(one)',
    ],
    ['a fragment', 'return <><Row/><Card/></>;', '<>\n  Row()\n  Card()'],
    ['markup in a variable', 'const head = <Row/>; return <p>{head}</p>;', 'p\n  Row()'],
    [
      'a variable filled by condition',
      'let head = null; if (a.b) head = <Row/>; else head = <Card/>; return <p>{head}</p>;',
      'p\n  Row()\n  Card()',
    ],
    ['memoised markup', 'const head = useMemo(() => <Row a={a}/>, [a]); return <p>{head}</p>;', 'p\n  Row(a)'],
    ['a function that renders', 'const row = () => <Row/>; return <p>{row()}</p>;', 'p\n  Row()'],
    ['a component made inside', 'const Inner = ({ x }) => <Row x={x}/>; return <Inner x={a}/>;', '<>\n  Row(x)'],
    ['markup given as a prop', 'return <Card icon={<Row/>}/>;', 'Card(icon)\n  Row()'],
    ['a component given as a prop', 'return <Card icon={Row}/>;', 'Card(icon)\n  Row(…)'],
    ['children as a function', 'return <Card>{(one) => <Row one={one}/>}</Card>;', 'Card()\n  Row(one)'],
    ['a slot that hands out values', 'return <p>{children(a)}</p>;', 'p\n  {slot:default}'],
    ['a portal', 'return createPortal(<Row/>, document.body);', 'Row()'],
    ['createElement', "return createElement(Row, { a: 1 }, createElement('b'));", 'Row(a)\n  b'],
    ['a lookup', 'return { x: <Row/>, y: <Card/> }[a.kind];', 'text\n<>\n  Row()\n  Card()'],
    ['typed and asserted', 'return (<Row a={a as string} b={a!}/>) as JSX.Element;', 'Row(a, b)'],
    ['try', 'try { return <Row/>; } catch { return <Card/>; }', 'Row()\nCard()'],
  ];
  test.each(cases)('%s', (_, body, expected) => {
    const facts = factsOf(`import { Row, Card } from './parts';\nexport function C({ a, children }) { ${body} }`);
    expect(outline(facts.components[0]?.template ?? [])).toBe(expected);
  });
});

describe('values of a body', () => {
  const cases: readonly [name: string, body: string, values: string][] = [
    ['state', 'const [open, setOpen] = useState(false);', 'state open, setter setOpen'],
    ['state named by React', 'const [open, setOpen] = React.useState(a);', 'prop a, state open, setter setOpen'],
    ['a reducer', 'const [state, dispatch] = useReducer(reduce, first);', 'state state, setter dispatch'],
    ['only the setter', 'const [, setTick] = useState(0);', 'state tick, setter setTick'],
    ['a ref', 'const box = useRef(null);', 'ref box'],
    ['computed', 'const sum = a + 1;', 'prop a, derived sum'],
    ['memoised', 'const sum = useMemo(() => a + 1, [a]);', 'prop a, derived sum'],
    ['another name is no new value', 'const name = a.name;', 'prop a'],
    ['a handler', 'const click = () => onPick(a);', 'function click, prop onPick, prop a'],
    ['a memoised handler', 'const click = useCallback(() => onPick(), []);', 'function click, prop onPick'],
    ['a context', 'const keeper = useContext(KeeperContext);', 'context keeper'],
    ['use', 'const keeper = use(KeeperContext);', 'context keeper'],
    ['a hook', 'const { data } = useThing(a);', 'prop a, hook useThing'],
    ['a store', 'const all = useSyncExternalStore(subscribe, get);', 'store all'],
  ];
  test.each(cases)('%s', (_, body, values) => {
    const facts = only(`function C(props) { ${body.replace(/\ba\b/g, 'props.a').replace(/\bonPick\b/g, 'props.onPick')} return <p/>; }`);
    expect(facts.values.map((value) => `${value.kind} ${value.name}`).join(', ')).toBe(values);
  });
});

describe('what handlers do', () => {
  const text = (body: string): string =>
    `function C({ onPick, items }) { const [open, setOpen] = useState(false); const [list, setList] = useState([]); const act = () => { ${body} }; return <p onClick={act}/>; }`;
  const cases: readonly [name: string, body: string, does: string][] = [
    ['sets state', 'setOpen(true)', 'changes open set'],
    ['sets it from what it was', 'setOpen((was) => !was)', 'changes open set'],
    ['grows a list', 'setList([...list, 1])', 'changes list set append'],
    ['grows it in front', 'setList([1, ...list])', 'changes list set reorder'],
    ['filters it', 'setList((all) => all.filter(Boolean))', 'changes list set reorder'],
    ['maps it', 'setList(list.map((one) => one))', 'changes list set'],
    ['changes it in place', 'list.push(1)', 'changes list in-place append'],
    ['assigns a member', 'list.first = 1', 'changes list in-place'],
    ['calls a callback', 'onPick(list)', 'raises onPick'],
    ['calls it if it is there', 'onPick?.(1)', 'raises onPick optional'],
    ['asks first', 'if (onPick) onPick(1)', 'raises onPick optional'],
    ['asks first, short', 'onPick && onPick(1)', 'raises onPick optional'],
    ['in a callback', 'items.forEach((one) => onPick(one))', 'raises onPick'],
    ['what a timer runs is read on its own', 'setTimeout(() => setOpen(false), 10)', ''],
    ['after waiting', 'void (async () => { await 1; setOpen(false); })()', 'changes open set'],
    ['under a local name that hides', 'const setOpen = () => {}; setOpen()', ''],
  ];
  test.each(cases)('%s', (_, body, does) => {
    const facts = only(text(body));
    const action = facts.actions.find((one) => one.name === 'act');
    const changes =
      action?.changes.map(
        (change) => `changes ${facts.values[change.value]?.name} ${change.how}${change.order ? ` ${change.order}` : ''}`,
      ) ?? [];
    const raises = action?.raises.map((raise) => `raises ${raise.member}${raise.optional ? ' optional' : ''}`) ?? [];
    expect([...changes, ...raises].join(', ')).toBe(does);
  });

  test('an effect tells what it follows and that it cleans up', () => {
    const facts = only(
      'function C({ a }) { useEffect(() => { const t = setInterval(a); return () => clearInterval(t); }, [a]); return <p/>; }',
    );
    const effect = facts.actions.find((action) => action.kind === 'effect');
    expect(effect?.cleansUp).toBe(true);
    expect(effect?.follows?.map((reading) => facts.values[reading.value]?.name)).toEqual(['a']);
  });

  test('a callback given to an element is raised by the platform', () => {
    const facts = only('function C({ onPick }) { return <button onClick={onPick}/>; }');
    expect(facts.events.map((event) => [event.name, event.raised.length])).toEqual([['pick', 1]]);
  });
});

describe('how a binding reads', () => {
  const cases: readonly [name: string, body: string, expected: string][] = [
    ['itself', 'return <Row x={a}/>;', 'a same'],
    ['a part', 'return <Row x={a.b.c}/>;', 'a.b.c part'],
    ['through another name', 'const { b } = a; return <Row x={b.c}/>;', 'a.b.c part'],
    ['computed', 'return <Row x={a + 1}/>;', 'a computed'],
    ['either of two', 'return <Row x={a || a.b}/>;', 'a same, a.b part'],
    ['a member by a computed name', 'return <Row x={a[0]}/>;', 'a.0 part'],
    ['an item', 'return a.map((one) => <Row x={one}/>);', 'one same'],
    ['a part of an item', 'return a.map(({ b }) => <Row x={b}/>);', 'one of a.b part'],
    ['in an object', 'return <Row x={{ a }}/>;', 'a computed'],
    ['asserted', 'return <Row x={a as never}/>;', 'a same'],
  ];
  test.each(cases)('%s', (_, body, expected) => {
    const facts = only(`function C({ a }) { ${body} }`);
    const stack = [...facts.template];
    let found = '';
    for (let node = stack.pop(); node; node = stack.pop()) {
      if (node.kind === 'use') {
        found =
          node.bindings[0]?.readings
            .map((reading) => `${[facts.values[reading.value]?.name, ...reading.path].join('.')} ${reading.how}`)
            .join(', ') ?? '';
      } else if ('children' in node) stack.push(...node.children);
    }
    expect(found).toBe(expected);
  });
});

describe('keys', () => {
  const cases: readonly [name: string, key: string, kind: string][] = [
    ['none', '', 'none'],
    ['of the item', 'key={one.id}', 'value'],
    ['the position', 'key={i}', 'position'],
    ['the position as text', 'key={`row-${i}`}', 'position'],
    ['both', 'key={`${one.id}-${i}`}', 'value'],
    ['a constant', 'key="a"', 'constant'],
    ['perhaps in a spread', '{...one}', 'spread'],
  ];
  test.each(cases)('%s', (_, key, kind) => {
    const facts = only(`function C({ a }) { return a.map((one, i) => <p ${key}/>); }`);
    const [repeat] = facts.template;
    const part = repeat?.kind === 'repeat' ? repeat.children[0] : undefined;
    expect(part?.kind === 'element' && part.key.kind).toBe(kind);
  });
});

describe('what else a module says', () => {
  test('contexts and their defaults', () => {
    const { shared } = factsOf(
      'export const A = createContext(null); const B = React.createContext({ a: 1 }); const C = createContext<X | undefined>(undefined);',
    );
    expect(shared.map((one) => (one.kind === 'context' ? [one.name, one.fallback] : one.kind))).toEqual([
      ['A', 'none'],
      ['B', 'given'],
      ['C', 'none'],
    ]);
  });

  test('hooks, and that a guard which throws makes the context needed', () => {
    const { shared } = factsOf('export function useKeeper() { const k = useContext(K); if (!k) throw new Error(); return k; }');
    const [hook] = shared;
    expect(hook?.kind === 'hook' && hook.values.map((value) => [value.kind, value.needed, value.guarded])).toEqual([
      ['context', true, undefined],
    ]);
    expect(hook?.kind === 'hook' && hook.returns.length).toBe(1);
  });

  test('what is mounted, and routes as objects', () => {
    const facts = factsOf(
      `createRoot(x).render(<App/>); const router = createBrowserRouter([{ path: '/', element: <Shell/>, children: [{ path: 'a', Component: A }, { path: 'b', lazy: () => import('./b') }] }]);`,
    );
    expect(facts.roots.map((root) => [root.mounts, outline(root.template)])).toEqual([[true, 'App()']]);
    expect(facts.routes.map((route) => [route.path, route.children.map((child) => [child.path, child.component])])).toEqual([
      [
        '/',
        [
          ['a', 'A'],
          ['b', 'import:./b#Component,default'],
        ],
      ],
    ]);
  });

  test.each([
    ["import { render } from 'react-dom'; render(<App/>, box);", 1],
    ["import * as ReactDOM from 'react-dom'; ReactDOM.render(<App/>, box);", 1],
    ["import { hydrateRoot } from 'react-dom/client'; hydrateRoot(box, <App/>);", 1],
    ['export function Field({ render }) { return render(<Input/>); }', 0],
    ['export function Field(props) { return props.render(<Input/>); }', 0],
    ['export class Field extends Component { render() { return this.props.render(<Input/>); } }', 0],
  ])('what mounts an application, and what a component is handed to show something with: %s', (text, mounted) => {
    expect(factsOf(text).roots.filter(({ mounts }) => mounts)).toHaveLength(mounted);
  });

  test('lazy parts and namespaces', () => {
    const { aliases } = factsOf(
      `const A = lazy(() => import('./a')); const B = lazy(() => import('./b').then((m) => ({ default: m.B }))); const C = memo(D); const E = { F: G }; const H = Object.assign(I, { J: K }); const L = withX(M);`,
    );
    expect(aliases.map((one) => `${one.name}=${one.from ?? ''}#${one.target}${one.wrappedBy.map((by) => ` by ${by}`).join('')}`)).toEqual([
      'A=./a#default',
      'B=./b#B',
      'C=#D',
      'E.F=#G',
      'H=#I',
      'H.J=#K',
      'L=#M by withX',
    ]);
  });

  test('where it runs', () => {
    expect(factsOf("'use client';\nexport function C() { return <p/>; }").runs).toBe('client');
  });
});

describe('bad source', () => {
  const cases: readonly [name: string, text: string, problems: boolean, components: number][] = [
    ['an empty file', '', false, 0],
    ['a file that breaks off', 'export function C() { return <p>', true, 0],
    ['one that the parser recovers from', 'const a = 1; const a = 2; function C() { return <p/>; }', true, 1],
    ['no script at all', '\u0000\u0001\u0002', true, 0],
    ['a component that renders itself by a function', 'function C() { const row = () => <p>{row()}</p>; return row(); }', false, 1],
  ];
  test.each(cases)('%s', (_, text, problems, components) => {
    const facts = factsOf(text);
    expect(facts.problems.length > 0).toBe(problems);
    expect(facts.components.length).toBe(components);
    for (const problem of facts.problems) expect(problem.start).toBeLessThanOrEqual(text.length);
  });

  test('nesting as deep as generated code gets', () => {
    const depth = 400;
    const facts = factsOf(`function C() { return ${'<p>'.repeat(depth)}${'</p>'.repeat(depth)}; }`);
    expect(facts.components.length).toBe(1);
  });
});

describe('props declared at run time', () => {
  const cases: readonly [name: string, text: string, props: string][] = [
    [
      'required and not',
      'function C({ a, b }) { return <p>{a}{b}</p>; }\nC.propTypes = { a: PropTypes.string.isRequired, b: PropTypes.number };',
      'a yes, b no',
    ],
    [
      'a default makes it optional',
      'function C({ a }) { return <p>{a}</p>; }\nC.propTypes = { a: PropTypes.string.isRequired };\nC.defaultProps = { a: 3 };',
      'a no 3',
    ],
    [
      'only declared',
      'function C(props) { return <p {...props}/>; }\nC.propTypes = { a: PropTypes.oneOfType([PropTypes.string, PropTypes.shape({})]).isRequired };',
      'a yes',
    ],
    [
      'static in a class',
      'class C extends Component { static propTypes = { a: PropTypes.node.isRequired }; static defaultProps = { b: 1 }; render() { return <p>{this.props.a}{this.props.b}</p>; } }',
      'a yes, b no 1',
    ],
    ['of another component', 'function C({ a }) { return <p>{a}</p>; }\nD.propTypes = { a: PropTypes.string.isRequired };', 'a unknown'],
    ['made by a call: not told', 'function C({ a }) { return <p>{a}</p>; }\nC.propTypes = make();', 'a unknown'],
  ];
  test.each(cases)('%s', (_, text, props) => {
    const [facts] = factsOf(text).components;
    expect(facts?.members.map((prop) => [prop.name, prop.required, prop.fallback].filter(Boolean).join(' ')).join(', ')).toBe(props);
  });
});
