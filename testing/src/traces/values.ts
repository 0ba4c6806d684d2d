import { mounted, type TraceCase } from '../trace';
import { leaf } from './parts';

/** Traces: where a value goes. */
export const values: readonly TraceCase[] = [
  {
    name: 'painted where it is owned',
    files: mounted(`export function App() { const [a] = useState(1); return <p>{a}</p>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'painted as an attribute',
    files: mounted(`export function App() { const [a] = useState(1); return <p title={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'decides what shows',
    files: mounted(`export function App() { const [a] = useState(1); return a ? <p/> : <b/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'decides an early return',
    files: mounted(`export function App() { const [a] = useState(1); if (!a) return null; return <p/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'passed under its own name',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return <Leaf a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'renamed',
    files: mounted(`${leaf}export function App() { const [b] = useState(1); return <Leaf a={b}/>; }`),
    of: 'App.b',
    ask: 'goes',
    rungs: ['App owns b', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'passed on unread',
    files: mounted(`${leaf}function Mid({ a }) { return <Leaf a={a}/>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Mid passes unread a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'passed on and read',
    files: mounted(`${leaf}function Mid({ a }) { return <i title={a}><Leaf a={a}/></i>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Mid passes a', '  Mid paints a | painted', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'narrowed to a part',
    files: mounted(`${leaf}export function App() { const [boat] = useState({}); return <Leaf a={boat.name}/>; }`),
    of: 'App.boat',
    ask: 'goes',
    rungs: ['App owns boat', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'a part that is followed does not go where another part goes',
    files: mounted(`${leaf}export function App() { const [boat] = useState({}); return <><Leaf a={boat.name}/><b>{boat.length}</b></>; }`),
    of: 'App.boat.length',
    ask: 'goes',
    rungs: ['App owns boat.length', 'App paints boat | painted'],
  },
  {
    name: 'narrowed to an item',
    files: mounted(`${leaf}export function App() { const [all] = useState([]); return all.map((one) => <Leaf key={one.id} a={one}/>); }`),
    of: 'App.all',
    ask: 'goes',
    rungs: ['App owns all', 'App narrows one', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'an item’s part',
    files: mounted(
      `${leaf}export function App() { const [all] = useState([]); return all.map(({ id, name }) => <Leaf key={id} a={name}/>); }`,
    ),
    of: 'App.all',
    ask: 'goes',
    rungs: ['App owns all', 'App narrows one of all', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'computed in place',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return <Leaf a={a * 2}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf derives a', 'Leaf paints a | painted'],
  },
  {
    name: 'computed by a constant of the body',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); const twice = a * 2; return <Leaf a={twice}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App derives twice', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'computed by a memo',
    files: mounted(
      `${leaf}export function App() { const [a] = useState(1); const twice = useMemo(() => a * 2, [a]); return <Leaf a={twice}/>; }`,
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App derives twice', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'computed by a function of another module',
    files: mounted(
      `${leaf}import { toneOf } from './tone';
export function App() { const [a] = useState(1); return <Leaf a={toneOf(a)}/>; }`,
      { 'src/tone.ts': `export const toneOf = (a) => a + 1;` },
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf derives a', 'Leaf paints a | painted'],
  },
  {
    name: 'another name for a part',
    files: mounted(`${leaf}export function App() { const [boat] = useState({}); const { name } = boat; return <Leaf a={name}/>; }`),
    of: 'App.boat',
    ask: 'goes',
    rungs: ['App owns boat', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'through the rest of the props',
    files: mounted(`${leaf}function Mid({ b, ...rest }) { return <Leaf {...rest}/>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Mid passes unread a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'through all of the props',
    files: mounted(`${leaf}function Mid(props) { return <Leaf {...props}/>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Mid passes unread a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'an object spread: a part of it may go to each prop that is not given otherwise',
    files: mounted(`${leaf}export function App() { const [all] = useState({}); return <Leaf {...all}/>; }`),
    of: 'App.all',
    ask: 'goes',
    rungs: ['App owns all', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'a prop that the component does not take',
    files: mounted(`function Deaf() { return <p/>; }
export function App() { const [a] = useState(1); return <Deaf a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Deaf passes a | untaken'],
  },
  {
    name: 'to a component from outside',
    files: mounted(`import { Chart } from 'charts';
export function App() { const [a] = useState(1); return <Chart data={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App passes a | leaves Chart of charts'],
  },
  {
    name: 'to a component that is only known while running',
    files: mounted(`export function App({ as: Tag }) { const [a] = useState(1); return <Tag a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App passes a | unknown'],
  },
  {
    name: 'nothing reads it',
    files: mounted(`export function App() { const [a] = useState(1); return <p/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a'],
  },
  {
    name: 'two uses do not mix',
    files: mounted(`${leaf}function Mid({ a }) { return <Leaf a={a}/>; }
export function App() { const [a] = useState(1); const [b] = useState(2); return <><Mid a={a}/><Mid a={b}/></>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Mid passes unread a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'back from the second of two uses',
    files: mounted(`${leaf}function Mid({ a }) { return <Leaf a={a}/>; }
export function App() { const [a] = useState(1); const [b] = useState(2); return <><Mid a={a}/><Mid a={b}/></>; }`),
    of: 'Leaf[1].a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Mid passes a', 'App renames b', 'App owns b | constant'],
  },
  {
    name: 'as content: the owner gives it, the parent does not see it',
    files: mounted(`${leaf}function Frame({ children }) { return <i>{children}</i>; }
export function App() { const [a] = useState(1); return <Frame><Leaf a={a}/></Frame>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'shown as content',
    files: mounted(`function Frame({ children }) { return <i>{children}</i>; }
export function App() { const [a] = useState(1); return <Frame>{a}</Frame>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'a recursive component',
    files: mounted(`function Node({ n }) { return n > 0 ? <Node n={n - 1}/> : <b>{n}</b>; }
export function App() { const [n] = useState(3); return <Node n={n}/>; }`),
    of: 'App.n',
    ask: 'goes',
    rungs: ['App owns n', 'Node passes n', '  Node paints n | painted', '  Node paints n | painted', 'Node derives n | again'],
  },
  {
    name: 'read in an effect',
    files: mounted(`export function App() { const [a] = useState(1); useEffect(() => { document.title = a; }); return null; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App reads a | read'],
  },
  {
    name: 'what an effect follows',
    files: mounted(`export function App() { const [a] = useState(1); useEffect(() => { log(); }, [a]); return null; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App reads a | read'],
  },
  {
    name: 'read in a handler',
    files: mounted(`export function App() { const [a] = useState(1); return <b onClick={() => alert(a)}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App reads a | read'],
  },
  {
    name: 'into the first value of another state',
    files: mounted(`${leaf}function Field({ start }) { const [own] = useState(start); return <Leaf a={own}/>; }
export function App() { const [a] = useState(1); return <Field start={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Field renames start', 'Field starts own', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'put into another state',
    files: mounted(
      `${leaf}export function App() { const [a] = useState(1); const [b, setB] = useState(0); return <b onClick={() => setB(a)}><Leaf a={b}/></b>; }`,
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App changes b', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'given to a hook from outside',
    files: mounted(`import { useChart } from 'charts';
${leaf}export function App() { const [a] = useState(1); const chart = useChart(a); return <Leaf a={chart}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: [
      'App owns a',
      '  App calls chart | leaves useChart of charts',
      'App derives chart',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a ref and what it holds',
    files: mounted(`${leaf}export function App() { const seen = useRef(0); return <Leaf a={seen.current}/>; }`),
    of: 'App.seen',
    ask: 'goes',
    rungs: ['App owns seen', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'deferred',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); const late = useDeferredValue(a); return <Leaf a={late}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App renames late', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'handed to a portal',
    files: mounted(`export function App() { const [a] = useState(1); return createPortal(<b>{a}</b>, document.body); }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'through a memoised component',
    files: mounted(`const Fast = memo(function Fast({ a }) { return <p>{a}</p>; });
export function App() { const [a] = useState(1); return <Fast a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Fast passes a', 'Fast paints a | painted'],
  },
  {
    name: 'through forwardRef',
    files: mounted(`const Field = forwardRef(function Field({ a }, ref) { return <input ref={ref} value={a}/>; });
export function App() { const [a] = useState(1); return <Field a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Field passes a', 'Field paints a | painted'],
  },
  {
    name: 'an item of a spread list',
    files: mounted(
      `${leaf}export function App() { const [a] = useState([]); const more = [...a, 1]; return more.map((one) => <Leaf key={one} a={one}/>); }`,
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App renames more', 'App narrows one', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'a member of a spread object',
    files: mounted(
      `${leaf}export function App() { const [boat] = useState({}); const [eta] = useState(1); const shown = { ...boat, eta }; return <Leaf a={shown.eta}/>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App narrows shown',
      '  App renames boat',
      '  App owns boat | constant',
      'App renames eta',
      'App owns eta | constant',
    ],
  },
  {
    name: 'a method’s result',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return <Leaf a={a.toFixed(1)}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf derives a', 'Leaf paints a | painted'],
  },
  {
    name: 'one field of an item, by a key that is computed',
    files: mounted(`${leaf}export function App({ id }) { const [levels] = useState({}); return <Leaf a={levels[id]}/>; }`),
    of: 'App.levels',
    ask: 'goes',
    rungs: ['App owns levels', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'through optional chaining',
    files: mounted(`${leaf}export function App() { const [boat] = useState(null); return <Leaf a={boat?.name}/>; }`),
    of: 'App.boat',
    ask: 'goes',
    rungs: ['App owns boat', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'a template literal',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return <Leaf a={\`no \${a}\`}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf derives a', 'Leaf paints a | painted'],
  },
  {
    name: 'of a lazily loaded page part',
    files: mounted(
      `const Late = lazy(() => import('./Late'));
export function App() { const [a] = useState(1); return <Late a={a}/>; }`,
      { 'src/Late.tsx': `export default function Late({ a }) { return <p>{a}</p>; }` },
    ),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Late passes a', 'Late paints a | painted'],
  },
  {
    name: 'a component from a table',
    files: mounted(`const icons = { up: Up, down: Down };
function Up({ a }) { return <p>{a}</p>; }
function Down({ a }) { return <b>{a}</b>; }
export function App({ kind }) { const [a] = useState(1); const Icon = icons[kind]; return <Icon a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', '  Up passes a', '  Up paints a | painted', 'Down passes a', 'Down paints a | painted'],
  },
  {
    name: 'a component given as a prop',
    files: mounted(`function Row({ icon: Icon, a }) { return <Icon a={a}/>; }
${leaf}export function App() { const [a] = useState(1); return <Row icon={Leaf} a={a}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Row passes unread a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'decides which element stands there',
    files: mounted(`export function App() { const [a] = useState("b"); const Tag = a; return <Tag/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App paints a | painted'],
  },
  {
    name: 'decides which handler an element has',
    files: mounted(`export function App() { const [a] = useState(1); const run = () => 1; return <b onClick={a ? run : undefined}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App reads a | read'],
  },
  {
    name: 'created without markup',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return createElement(Leaf, { a }); }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
];

/** Traces: where a value comes from. */
export const origins: readonly TraceCase[] = [
  {
    name: 'a request through a package',
    files: mounted(
      "import axios from 'axios';\nexport function App() { const [rows, setRows] = useState([]); useEffect(() => { axios.get('/boats').then(({ data }) => setRows(data)); }, []); return <p>{rows}</p>; }",
    ),
    of: 'App.rows',
    ask: 'comes',
    rungs: ['App owns rows', '  App owns rows | constant', 'App changes /boats', 'App owns /boats | asked fetch /boats'],
  },
  {
    name: 'a request through what a module makes for it',
    files: mounted(
      "import { load } from './api';\nexport function App() { const [rows, setRows] = useState([]); useEffect(() => { load().then(setRows); }, []); return <p>{rows}</p>; }",
      {
        'src/api.ts':
          "import axios from 'axios';\nconst api = axios.create({ baseURL: '/api' });\nexport async function load() { const answer = await api.get('/boats'); return answer.data; }",
      },
    ),
    of: 'App.rows',
    ask: 'comes',
    rungs: ['App owns rows', '  App owns rows | constant', 'App changes load', 'api.ts derives api', 'api.ts owns api | asked fetch /api'],
  },
  {
    name: 'from state',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); return <Leaf a={a}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App passes a', 'App owns a | constant'],
  },
  {
    name: 'a constant in place',
    files: mounted(`${leaf}export function App() { return <Leaf a="x"/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App passes a | constant "x"'],
  },
  {
    name: 'a constant of the module',
    files: mounted(`${leaf}const first = [1];
export function App() { return <Leaf a={first}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames first', 'App owns first | constant'],
  },
  {
    name: 'a constant of another module',
    files: mounted(
      `${leaf}import { first } from './data';
export function App() { return <Leaf a={first}/>; }`,
      { 'src/data.ts': `export const first = [1];` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames first', 'App owns first | constant'],
  },
  {
    name: 'an import from outside',
    files: mounted(`${leaf}import { first } from 'data';
export function App() { return <Leaf a={first}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames first', 'App owns first | leaves first of data'],
  },
  {
    name: 'not given: the default',
    files: mounted(`function Leaf({ a = 3 }) { return <p>{a}</p>; }
export function App() { return <Leaf/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Leaf passes a | default 3'],
  },
  {
    name: 'not given at all',
    files: mounted(`${leaf}export function App() { return <Leaf/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Leaf passes a | ungiven'],
  },
  {
    name: 'given from above the page',
    files: mounted(`export function App({ a }) { return <p>{a}</p>; }`, { 'src/main.tsx': `` }),
    of: 'App.a',
    ask: 'comes',
    rungs: ['App owns a', 'App passes a | page'],
  },
  {
    name: 'a part of an item',
    files: mounted(
      `${leaf}export function App() { const [all] = useState([]); return all.map((one) => <Leaf key={one.id} a={one.name}/>); }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows one', 'App narrows all', 'App owns all | constant'],
  },
  {
    name: 'several: one or the other',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); const [b] = useState(2); return <Leaf a={a || b}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', '  App passes a', '  App owns a | constant', 'App renames b', 'App owns b | constant'],
  },
  {
    name: 'computed from two',
    files: mounted(
      `${leaf}export function App() { const [a] = useState(1); const [b] = useState(2); const sum = a + b; return <Leaf a={sum}/>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames sum', '  App derives a', '  App owns a | constant', 'App derives b', 'App owns b | constant'],
  },
  {
    name: 'what is put into the state',
    files: mounted(
      `${leaf}export function App() { const [a, setA] = useState(0); return <input onChange={(event) => setA(event.target.value)} value={a}/>; }`,
    ),
    of: 'App.a',
    ask: 'comes',
    rungs: ['App owns a', '  App owns a | constant', 'App changes event', 'App starts change | platform input'],
  },
  {
    name: 'a constant is put into the state',
    files: mounted(`${leaf}export function App() { const [a, setA] = useState(0); return <b onClick={() => setA(7)}>{a}</b>; }`),
    of: 'App.a',
    ask: 'comes',
    rungs: ['App owns a', '  App owns a | constant', 'App changes a | constant'],
  },
  {
    name: 'only the member of an object that is asked for',
    files: mounted(
      `${leaf}export function App() { const [a] = useState(1); const [b] = useState(2); const both = { a, b }; return <Leaf a={both.b}/>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows both', 'App renames b', 'App owns b | constant'],
  },
  {
    name: 'through a spread of the rest',
    files: mounted(`${leaf}function Mid({ b, ...rest }) { return <Leaf {...rest}/>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Mid passes rest', 'App passes a', 'App owns a | constant'],
  },
  {
    name: 'a request',
    files: mounted(
      `${leaf}export function App() { const [a, setA] = useState(null); useEffect(() => { fetch('/api/boats').then((r) => r.json()).then(setA); }, []); return <Leaf a={a}/>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App passes a',
      '  App owns a | constant',
      'App changes /api/boats',
      'App owns /api/boats | asked fetch /api/boats',
    ],
  },
  {
    name: 'a request in an async function',
    files: mounted(
      `${leaf}export function App() { const [a, setA] = useState(null); useEffect(() => { async function load() { const answer = await fetch('/api/boats'); setA(await answer.json()); } load(); }, []); return <Leaf a={a}/>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App passes a',
      '  App owns a | constant',
      'App changes /api/boats',
      'App owns /api/boats | asked fetch /api/boats',
    ],
  },
  {
    name: 'a request by a function of another module',
    files: mounted(
      `${leaf}import { loadBoats } from './api';
export function App() { const [a, setA] = useState(null); useEffect(() => { loadBoats().then(setA); }, []); return <Leaf a={a}/>; }`,
      { 'src/api.ts': `export async function loadBoats() { const answer = await fetch('/api/boats'); return answer.json(); }` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App passes a',
      '  App owns a | constant',
      'App changes loadBoats',
      'api.ts renames /api/boats',
      'api.ts owns /api/boats | asked fetch /api/boats',
    ],
  },
  {
    name: 'a query hook with its key',
    files: mounted(`${leaf}import { useQuery } from 'queries';
export function App() { const { data } = useQuery({ queryKey: ['boats'], queryFn: () => fetch('/api/boats') }); return <Leaf a={data}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows data', "App owns useQuery | asked query ['boats']"],
  },
  {
    name: 'a route loader',
    files: mounted(`${leaf}import { useLoaderData } from 'react-router';
export function App() { const boats = useLoaderData(); return <Leaf a={boats}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames boats', 'App owns boats | asked loader useLoaderData'],
  },
  {
    name: 'the URL',
    files: mounted(`${leaf}import { useParams } from 'react-router';
export function App() { const { lock } = useParams(); return <Leaf a={lock}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows lock', 'App owns useParams | asked url useParams'],
  },
  {
    name: 'the browser’s storage',
    files: mounted(`${leaf}export function App() { const [a] = useState(() => localStorage.getItem('theme')); return <Leaf a={a}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App passes a', 'App starts theme', 'App owns theme | asked storage theme'],
  },
  {
    name: 'a hook from outside',
    files: mounted(`${leaf}import { useClock } from 'clocks';
export function App() { const now = useClock(); return <Leaf a={now}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames now', 'App owns now | leaves useClock of clocks'],
  },
  {
    name: 'an object that is filled after it is made',
    files: mounted(`${leaf}export function App() { const [a] = useState(1); const shown = {}; shown.a = a; return <Leaf a={shown.a}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows shown', 'App renames a', 'App owns a | constant'],
  },
  {
    name: 'one of several from a function’s result',
    files: mounted(
      `${leaf}import { split } from './split';
export function App() { const [all] = useState([]); const [left, right] = split(all); return <Leaf a={right}/>; }`,
      { 'src/split.ts': `export function split(all) { return [all, all]; }` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App renames right',
      '  App derives all',
      '  App owns all | constant',
      'App renames split',
      'App owns split | function',
    ],
  },
];

/** Traces: slots and render functions. */
export const slots: readonly TraceCase[] = [
  {
    name: 'children as a function',
    files: mounted(`${leaf}function Each({ all, children }) { return all.map((one) => <i key={one.id}>{children(one)}</i>); }
export function App() { const [all] = useState([]); return <Each all={all}>{(boat) => <Leaf a={boat.name}/>}</Each>; }`),
    of: 'App.all',
    ask: 'goes',
    rungs: ['App owns all', 'Each passes all', 'Each narrows one', 'App gives boat', 'Leaf narrows a', 'Leaf paints a | painted'],
  },
  {
    name: 'back out of a function as children',
    files: mounted(`${leaf}function Each({ all, children }) { return all.map((one) => <i key={one.id}>{children(one)}</i>); }
export function App() { const [all] = useState([]); return <Each all={all}>{(boat) => <Leaf a={boat.name}/>}</Each>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boat', 'Each gives one', 'Each narrows all', 'App passes all', 'App owns all | constant'],
  },
  {
    name: 'children that the list itself calls, each item at a time',
    files: mounted(`${leaf}function Each({ all, children }) { return <ul>{all.map(children)}</ul>; }
export function App() { const [all] = useState([]); return <Each all={all}>{(boat) => <Leaf key={boat.id} a={boat.name}/>}</Each>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boat', 'Each gives item', 'Each narrows all', 'App passes all', 'App owns all | constant'],
  },
  {
    name: 'a render function as a prop',
    files: mounted(`${leaf}function Each({ all, render }) { return all.map((one) => <i key={one.id}>{render(one)}</i>); }
export function App() { const [all] = useState([]); return <Each all={all} render={(boat) => <Leaf a={boat.name}/>}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boat', 'Each gives one', 'Each narrows all', 'App passes all', 'App owns all | constant'],
  },
  {
    name: 'the second of what is handed out',
    files: mounted(`${leaf}function Pair({ children }) { const [x] = useState(1); const [y] = useState(2); return <i>{children(x, y)}</i>; }
export function App() { return <Pair>{(x, y) => <Leaf a={y}/>}</Pair>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames y', 'Pair gives y', 'Pair owns y | constant'],
  },
  {
    name: 'markup in a prop',
    files: mounted(`${leaf}function Frame({ head }) { return <i>{head}</i>; }
export function App() { const [a] = useState(1); return <Frame head={<Leaf a={a}/>}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App passes a', 'App owns a | constant'],
  },
  {
    name: 'compound parts that share a context',
    files: mounted(`const C = createContext(null);
function Tabs({ children }) { const [open, setOpen] = useState(0); return <C.Provider value={{ open, setOpen }}>{children}</C.Provider>; }
Tabs.Tab = function Tab({ at }) { const { open, setOpen } = useContext(C); return <b title={open} onClick={() => setOpen(at)}/>; };
export function App() { return <Tabs><Tabs.Tab at={1}/></Tabs>; }`),
    of: 'Tabs.open',
    ask: 'changes',
    rungs: ['Tabs owns open', 'Tabs relays C', 'Tabs.Tab relays setOpen', 'Tabs.Tab changes open', 'Tabs.Tab starts click | platform b'],
  },
];
