import { mounted, type TraceCase } from '../trace';
import { leaf } from './parts';

/** Traces: through hooks of the project. */
export const hooks: readonly TraceCase[] = [
  {
    name: 'a form that runs an action',
    files: mounted(`export function App() {
  const [count, add] = useActionState((n: number) => n + 1, 0);
  return <form action={add}><b>{count}</b></form>;
}`),
    of: 'App.count',
    ask: 'changes',
    rungs: ['App owns count', 'App changes count', 'App starts action | platform form'],
  },
  {
    name: 'state inside a hook',
    files: mounted(`${leaf}function useBoats() { const [boats] = useState([]); return boats; }
export function App() { const boats = useBoats(); return <Leaf a={boats}/>; }`),
    of: 'useBoats.boats',
    ask: 'goes',
    rungs: ['App/useBoats owns boats', 'App/useBoats gives boats', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'what a hook returns as an object, member by member',
    files: mounted(`${leaf}function useBoats() { const [boats] = useState([]); const [busy] = useState(false); return { boats, busy }; }
export function App() { const { boats, busy } = useBoats(); return <><Leaf a={boats}/><b>{busy}</b></>; }`),
    of: 'useBoats.busy',
    ask: 'goes',
    rungs: ['App/useBoats owns busy', 'App/useBoats gives busy', 'App paints busy | painted'],
  },
  {
    name: 'back into the member',
    files: mounted(`${leaf}function useBoats() { const [boats] = useState([]); const [busy] = useState(false); return { boats, busy }; }
export function App() { const { boats, busy } = useBoats(); return <><Leaf a={boats}/><b>{busy}</b></>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boats', 'App/useBoats gives boats', 'App/useBoats owns boats | constant'],
  },
  {
    name: 'a tuple',
    files: mounted(`${leaf}function useToggle() { const [on, setOn] = useState(false); return [on, () => setOn(!on)]; }
export function App() { const [on, toggle] = useToggle(); return <b onClick={toggle}><Leaf a={on}/></b>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows on', 'App/useToggle gives on', 'App/useToggle owns on | constant'],
  },
  {
    name: 'a hook that calls a hook',
    files: mounted(`${leaf}function useRaw() { const [raw] = useState(1); return { raw }; }
function useFine() { const { raw } = useRaw(); return raw * 2; }
export function App() { const fine = useFine(); return <Leaf a={fine}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames fine', 'App/useFine derives raw', 'App/useRaw gives raw', 'App/useRaw owns raw | constant'],
  },
  {
    name: 'what a hook is given',
    files: mounted(`${leaf}function useTwice(n) { return n * 2; }
export function App() { const [a] = useState(1); const twice = useTwice(a); return <Leaf a={twice}/>; }`),
    of: 'App.a',
    ask: 'goes',
    rungs: ['App owns a', 'App/useTwice passes n', 'App/useTwice gives twice', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'what a hook is given, taken apart',
    files: mounted(`${leaf}function useSum({ a, b }) { return a; }
export function App() { const [x] = useState(1); const [y] = useState(2); const sum = useSum({ a: x, b: y }); return <Leaf a={sum}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App renames sum', 'App/useSum gives { a, b }', 'App passes x', 'App owns x | constant'],
  },
  {
    name: 'two calls of one hook stay apart',
    files: mounted(`${leaf}function useBox() { const [box] = useState(1); return box; }
export function App() { const one = useBox(); const two = useBox(); return <><b>{one}</b><Leaf a={two}/></>; }`),
    of: 'useBox[1].box',
    ask: 'goes',
    rungs: ['App/useBox owns box', 'App/useBox gives two', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'a hook of another module',
    files: mounted(
      `${leaf}import { useBoats } from './boats';
export function App() { const { boats } = useBoats(); return <Leaf a={boats}/>; }`,
      { 'src/boats.ts': `export function useBoats() { const [boats] = useState([]); return { boats }; }` },
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows boats', 'App/useBoats gives boats', 'App/useBoats owns boats | constant'],
  },
  {
    name: 'a hook that returns the pair',
    files: mounted(`${leaf}function useBoat() { return useState(1); }
export function App() { const [boat, setBoat] = useBoat(); return <b onClick={() => setBoat(2)}><Leaf a={boat}/></b>; }`),
    of: 'Leaf.a',
    ask: 'changes',
    rungs: [
      'Leaf owns a',
      'App narrows boat',
      'App/useBoat gives useState',
      'App/useBoat renames value',
      'App/useBoat relays useState',
      'App/useBoat relays setBoat',
      'App changes value',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a callback given to a hook runs when the hook runs it',
    files:
      mounted(`${leaf}function useTick(run) { useEffect(() => { const id = setInterval(() => run(), 10); return () => clearInterval(id); }, [run]); }
export function App() { const [n, setN] = useState(0); useTick(() => setN(1)); return <Leaf a={n}/>; }`),
    of: 'App.n',
    ask: 'changes',
    rungs: [
      'App owns n',
      'App changes n',
      'App catches callback',
      'App/useTick relays run',
      'App/useTick calls run',
      'App/useTick catches timer',
      'App/useTick hears timer | platform',
      'App/useTick starts useEffect | platform when run changes',
    ],
  },
  {
    name: 'a memo inside a hook',
    files:
      mounted(`${leaf}function useAll() { const [all] = useState([]); const open = useMemo(() => all.filter((one) => one.open), [all]); return { open }; }
export function App() { const { open } = useAll(); return <Leaf a={open}/>; }`),
    of: 'useAll.all',
    ask: 'goes',
    rungs: ['App/useAll owns all', 'App/useAll derives open', 'App/useAll gives open', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'all props handed to a hook',
    files: mounted(`${leaf}function useShown(props) { return props.a; }
function Mid(props) { const shown = useShown(props); return <Leaf a={shown}/>; }
export function App() { const [a] = useState(1); return <Mid a={a}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Mid renames shown', 'Mid/useShown gives props', 'Mid passes props', 'App passes a', 'App owns a | constant'],
  },
  {
    name: 'the rest of what a hook is given',
    files: mounted(`${leaf}function useShown({ b, ...others }) { return { ...others }; }
export function App() { const [a] = useState(1); const { a: shown } = useShown({ a, b: 2 }); return <Leaf a={shown}/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'App narrows shown', 'App/useShown gives others', 'App passes a', 'App owns a | constant'],
  },
];

/** Traces: class components. */
export const classes: readonly TraceCase[] = [
  {
    name: 'class state painted and passed',
    files: mounted(
      `${leaf}export class App extends Component { state = { open: true }; render() { return <b title={this.state.open}><Leaf a={this.state.open}/></b>; } }`,
    ),
    of: 'App.open',
    ask: 'goes',
    rungs: ['App owns open', '  App paints open | painted', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'who changes class state',
    files: mounted(
      `export class App extends Component { constructor(props) { super(props); this.state = { open: true }; this.toggle = this.toggle.bind(this); } toggle() { this.setState({ open: false }); } render() { return <b onClick={this.toggle}>{this.state.open}</b>; } }`,
    ),
    of: 'App.open',
    ask: 'changes',
    rungs: ['App owns open', 'App changes open', 'App catches toggle', 'App starts click | platform b'],
  },
  {
    name: 'a functional update and an arrow method',
    files: mounted(
      `export class App extends React.Component { state = { n: 0 }; more = () => this.setState((before) => ({ n: before.n + 1 })); render() { const { n } = this.state; return <b onClick={this.more}>{n}</b>; } }`,
    ),
    of: 'App.n',
    ask: 'changes',
    rungs: ['App owns n', 'App changes n', 'App catches more', 'App starts click | platform b'],
  },
  {
    name: 'a class’s prop comes from its owner',
    files: mounted(`class Old extends Component { render() { return <b>{this.props.a}</b>; } }
export function App() { const [a] = useState(1); return <Old a={a}/>; }`),
    of: 'Old.a',
    ask: 'comes',
    rungs: ['Old owns a', 'App passes a', 'App owns a | constant'],
  },
  {
    name: 'an event raised by a class',
    files: mounted(`class Old extends Component { pick() { this.props.onPick(1); } render() { return <b onClick={() => this.pick()}/>; } }
export function App() { const [a, setA] = useState(0); return <Old onPick={setA}/>; }`),
    of: 'App.a',
    ask: 'changes',
    rungs: ['App owns a', 'Old relays onPick', 'Old changes a', 'Old catches pick', 'Old calls pick', 'Old starts click | platform b'],
  },
  {
    name: 'a lifecycle that asks for something',
    files: mounted(
      `${leaf}export class App extends Component { state = { boats: [] }; componentDidMount() { fetch('/api/boats').then((r) => r.json()).then((boats) => this.setState({ boats })); } render() { return <Leaf a={this.state.boats}/>; } }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App renames boats',
      '  App owns boats | constant',
      'App changes /api/boats',
      'App owns /api/boats | asked fetch /api/boats',
    ],
  },
  {
    name: 'context of a class',
    files: mounted(`${leaf}const C = createContext(null);
class Old extends Component { static contextType = C; render() { return <Leaf a={this.context.keeper}/>; } }
export function App() { const [keeper] = useState(1); return <C.Provider value={{ keeper }}><Old/></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Old narrows context.keeper', 'Old takes C', 'App provides keeper', 'App owns keeper | constant'],
  },
];

/** Traces: what is dispatched. */
export const reducers: readonly TraceCase[] = [
  {
    name: 'what is dispatched reaches the case that handles it',
    files:
      mounted(`function reducer(state, action) { switch (action.type) { case "book": return [...state, action.boat]; case "clear": return []; } }
export function App() { const [boats, dispatch] = useReducer(reducer, []); return <b onClick={() => dispatch({ type: "book", boat: 1 })}>{boats}</b>; }`),
    of: 'App.boats',
    ask: 'changes',
    rungs: ['App owns boats', 'App.tsx catches book', 'App changes boats', 'App starts click | platform b'],
  },
  {
    name: 'where a dispatched value goes',
    files:
      mounted(`${leaf}function reducer(state, action) { switch (action.type) { case "book": return [...state, action.boat]; case "clear": return []; } }
export function App() { const [draft] = useState(""); const [boats, dispatch] = useReducer(reducer, []); return <b onClick={() => dispatch({ type: "book", boat: draft })}><Leaf a={boats}/></b>; }`),
    of: 'App.draft',
    ask: 'goes',
    rungs: ['App owns draft', 'App.tsx catches book', 'App changes boats', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'dispatch handed down',
    files: mounted(`function reducer(state, action) { return action === "on"; }
function Key({ dispatch }) { return <b onClick={() => dispatch("on")}/>; }
export function App() { const [on, dispatch] = useReducer(reducer, false); return <i title={on}><Key dispatch={dispatch}/></i>; }`),
    of: 'App.on',
    ask: 'changes',
    rungs: ['App owns on', 'Key relays dispatch', 'App catches reducer', 'Key changes on', 'Key starts click | platform b'],
  },
  {
    name: 'a reducer of another module',
    files: mounted(
      `import { reducer } from './reducer';
export function App() { const [boats, dispatch] = useReducer(reducer, []); return <b onClick={() => dispatch({ type: 'clear' })}>{boats}</b>; }`,
      { 'src/reducer.ts': `export function reducer(state, action) { if (action.type === "clear") return []; return state; }` },
    ),
    of: 'App.boats',
    ask: 'goes',
    rungs: ['App owns boats', 'App paints boats | painted'],
  },
];

/** Traces: contexts. */
export const contexts: readonly TraceCase[] = [
  {
    name: 'through a provider to who takes it',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
function Mid() { return <Deep/>; }
export function App() { const [keeper] = useState(1); return <C.Provider value={keeper}><Mid/></C.Provider>; }`),
    of: 'App.keeper',
    ask: 'goes',
    rungs: ['App owns keeper', 'App provides C', 'Deep takes keeper', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'back to the provider',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
export function App() { const [keeper] = useState(1); return <C.Provider value={keeper}><Deep/></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep renames keeper', 'Deep takes C', 'App provides keeper', 'App owns keeper | constant'],
  },
  {
    name: 'a member of the provided object',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const { keeper } = useContext(C); return <Leaf a={keeper}/>; }
export function App() { const [keeper] = useState(1); const [shift] = useState(2); return <C.Provider value={{ keeper, shift }}><Deep/></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep narrows keeper', 'Deep takes C', 'App provides keeper', 'App owns keeper | constant'],
  },
  {
    name: 'the provided object is kept by a memo',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const { keeper } = useContext(C); return <Leaf a={keeper}/>; }
export function App() { const [keeper] = useState(1); const [shift] = useState(2); const value = useMemo(() => ({ keeper, shift }), [keeper, shift]); return <C.Provider value={value}><Deep/></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep narrows keeper', 'Deep takes C', 'App provides value', 'App renames keeper', 'App owns keeper | constant'],
  },
  {
    name: 'a nearer provider shadows',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
export function App() { const [far] = useState(1); const [near] = useState(2); return <C.Provider value={far}><b/><C.Provider value={near}><Deep/></C.Provider></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep renames keeper', 'Deep takes C', 'App provides near', 'App owns near | constant'],
  },
  {
    name: 'nobody takes what is provided',
    files: mounted(`const C = createContext(null);
export function App() { const [keeper] = useState(1); return <C.Provider value={keeper}><p/></C.Provider>; }`),
    of: 'App.keeper',
    ask: 'goes',
    rungs: ['App owns keeper', 'App provides C | untaken'],
  },
  {
    name: 'nobody provides it',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
export function App() { return <Deep/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep renames keeper', 'Deep takes C | ungiven C'],
  },
  {
    name: 'nobody provides it, and there is a default',
    files: mounted(`${leaf}const C = createContext(7);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
export function App() { return <Deep/>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep renames keeper', 'Deep takes C | default C'],
  },
  {
    name: 'through a hook of the project',
    files: mounted(`${leaf}const C = createContext(null);
function useKeeper() { const value = useContext(C); if (!value) throw new Error(); return value; }
function Deep() { const keeper = useKeeper(); return <Leaf a={keeper.name}/>; }
export function App() { const [keeper] = useState(1); return <C.Provider value={keeper}><Deep/></C.Provider>; }`),
    of: 'App.keeper',
    ask: 'goes',
    rungs: [
      'App owns keeper',
      'App provides C',
      'Deep/useKeeper takes value',
      'Deep/useKeeper gives keeper',
      'Leaf narrows a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a provider component with its content',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = useContext(C); return <Leaf a={keeper}/>; }
function Shell({ children }) { const [keeper] = useState(1); return <C value={keeper}>{children}</C>; }
export function App() { return <Shell><Deep/></Shell>; }`),
    of: 'Shell.keeper',
    ask: 'goes',
    rungs: ['Shell owns keeper', 'Shell provides C', 'Deep takes keeper', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'taken by use',
    files: mounted(`${leaf}const C = createContext(null);
function Deep() { const keeper = use(C); return <Leaf a={keeper}/>; }
export function App() { const [keeper] = useState(1); return <C.Provider value={keeper}><Deep/></C.Provider>; }`),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: ['Leaf owns a', 'Deep renames keeper', 'Deep takes C', 'App provides keeper', 'App owns keeper | constant'],
  },
];
