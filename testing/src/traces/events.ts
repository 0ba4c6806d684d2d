import { mounted, type TraceCase } from '../trace';
import { leaf, pick } from './parts';

/** Traces: events, both ways. */
export const events: readonly TraceCase[] = [
  {
    name: 'raised in two places of one component',
    files: mounted(
      `function Two({ onPick }) { return <><b onClick={() => onPick(1)}/><i onClick={() => onPick(2)}/></>; }\nexport function App() { const [a, setA] = useState(0); return <p title={a}><Two onPick={setA}/></p>; }`,
    ),
    of: 'Two.onPick',
    ask: 'goes',
    rungs: ['Two owns onPick', '  Two raises onPick', 'Two raises onPick', 'App relays setA', 'App changes a', 'App paints a | painted'],
  },
  {
    name: 'raised, caught, and what it changes',
    files: mounted(`${leaf}${pick}export function App() { const [a, setA] = useState(0); return <Pick onPick={(id) => setA(id)}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'App catches onPick', 'App changes a'],
  },
  {
    name: 'a setter given as the handler',
    files: mounted(
      `${pick}${leaf}export function App() { const [a, setA] = useState(0); return <><Pick onPick={setA}/><Leaf a={a}/></>; }`,
    ),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'App relays setA', 'App changes a', 'Leaf passes a', 'Leaf paints a | painted'],
  },
  {
    name: 'relayed by one between',
    files: mounted(`${pick}${leaf}function Mid({ onPick }) { return <Pick onPick={onPick}/>; }
export function App() { const [a, setA] = useState(0); return <><Mid onPick={(id) => setA(id)}/><Leaf a={a}/></>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: [
      'Pick owns onPick',
      'Pick raises onPick',
      'Mid relays onPick',
      'App catches onPick',
      'App changes a',
      'Leaf passes a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'relayed under another name',
    files: mounted(`${pick}function Mid({ onChoose }) { return <Pick onPick={onChoose}/>; }
export function App() { const [a, setA] = useState(0); return <Mid onChoose={(id) => setA(id)}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'Mid relays onChoose', 'App catches onChoose', 'App changes a'],
  },
  {
    name: 'raised again by a handler between',
    files: mounted(`${pick}function Mid({ onChoose }) { const pick = (id) => onChoose(id + 1); return <Pick onPick={pick}/>; }
export function App() { const [a, setA] = useState(0); return <Mid onChoose={(id) => setA(id)}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: [
      'Pick owns onPick',
      'Pick raises onPick',
      'Mid relays pick',
      'Mid catches pick',
      'Mid raises onChoose',
      'App catches onChoose',
      'App changes a',
    ],
  },
  {
    name: 'nobody listens',
    files: mounted(`${pick}export function App() { return <Pick/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'Pick catches onPick | unheard'],
  },
  {
    name: 'the handler is given from above the page',
    files: mounted(`${pick}export function App({ onPick }) { return <Pick onPick={onPick}/>; }`, { 'src/main.tsx': `` }),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'App relays onPick', 'App catches onPick | page'],
  },
  {
    name: 'the handler comes from outside',
    files: mounted(`${pick}import { useNavigate } from 'react-router';
export function App() { const go = useNavigate(); return <Pick onPick={go}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'App relays go', 'App catches go | leaves useNavigate of react-router'],
  },
  {
    name: 'through the rest of the props',
    files: mounted(`${pick}function Mid({ b, ...rest }) { return <Pick {...rest}/>; }
export function App() { const [a, setA] = useState(0); return <Mid onPick={(id) => setA(id)}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'Mid relays rest', 'App catches onPick', 'App changes a'],
  },
  {
    name: 'a handler kept by useCallback',
    files: mounted(
      `${pick}export function App() { const [a, setA] = useState(0); const pick = useCallback((id) => setA(id), []); return <Pick onPick={pick}/>; }`,
    ),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'App relays pick', 'App catches pick', 'App changes a'],
  },
  {
    name: 'a handler of a hook',
    files:
      mounted(`${pick}function useChoice() { const [choice, setChoice] = useState(0); const choose = (id) => setChoice(id); return { choice, choose }; }
export function App() { const { choice, choose } = useChoice(); return <Pick onPick={choose}/>; }`),
    of: 'Pick.onPick',
    ask: 'goes',
    rungs: [
      'Pick owns onPick',
      'Pick raises onPick',
      'App relays choose',
      'App/useChoice relays choose',
      'App/useChoice catches choose',
      'App/useChoice changes choice',
      'App/useChoice gives choice',
    ],
  },
  {
    name: 'who raises it, back to the click',
    files: mounted(`${pick}export function App() { return <Pick onPick={(id) => 1}/>; }`),
    of: 'Pick.onPick',
    ask: 'comes',
    rungs: ['Pick owns onPick', 'Pick raises onPick', 'Pick starts click | platform button'],
  },
  {
    name: 'given to an element as it is',
    files: mounted(`function Key({ onPress }) { return <button onClick={onPress}/>; }
export function App() { const [a, setA] = useState(0); return <Key onPress={() => setA(1)}/>; }`),
    of: 'App.a',
    ask: 'changes',
    rungs: ['App owns a', 'App changes a', 'App catches onPress', 'Key starts click | platform button'],
  },
  {
    name: 'what it carries',
    files: mounted(
      `${pick}${leaf}export function App() { const [a, setA] = useState(0); return <><Pick onPick={(id) => setA(id)}/><Leaf a={a}/></>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App passes a',
      '  App owns a | constant',
      'App changes id',
      'App catches onPick',
      'Pick raises onPick | constant 1',
    ],
  },
  {
    name: 'a value carried by an event into a state',
    files:
      mounted(`${leaf}function Form({ onSave }) { const [draft] = useState(""); return <form onSubmit={() => onSave({ text: draft })}/>; }
export function App() { const [last, setLast] = useState(""); return <><Form onSave={(given) => setLast(given.text)}/><Leaf a={last}/></>; }`),
    of: 'Form.draft',
    ask: 'goes',
    rungs: ['Form owns draft', 'Form raises onSave', 'App catches given', 'App changes last', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'a handler in a context',
    files: mounted(`function Pick({ q }) { return <button onClick={() => onPick(1)}>x</button>; }
const C = createContext(null);
function Deep() { const { choose } = useContext(C); return <b onClick={() => choose(1)}/>; }
export function App() { const [a, setA] = useState(0); const choose = (id) => setA(id); return <C.Provider value={{ choose }}><Deep/></C.Provider>; }`),
    of: 'App.a',
    ask: 'changes',
    rungs: [
      'App owns a',
      'App changes a',
      'App catches choose',
      'App relays C',
      'Deep relays choose',
      'Deep calls useContext.choose',
      'Deep starts click | platform b',
    ],
  },
  {
    name: 'a timer',
    files: mounted(
      `${leaf}export function App() { const [now, setNow] = useState(0); useEffect(() => { const id = setInterval(() => setNow(1), 10); return () => clearInterval(id); }, []); return <Leaf a={now}/>; }`,
    ),
    of: 'App.now',
    ask: 'changes',
    rungs: [
      'App owns now',
      'App changes now',
      'App catches timer',
      'App hears timer | platform',
      'App starts useEffect | platform once it stands on the page',
    ],
  },
  {
    name: 'a key on the window',
    files: mounted(
      `${leaf}export function App() { const [last, setLast] = useState(''); useEffect(() => { const press = (event) => setLast(event.key); window.addEventListener('keydown', press); return () => window.removeEventListener('keydown', press); }, []); return <Leaf a={last}/>; }`,
    ),
    of: 'App.last',
    ask: 'changes',
    rungs: ['App owns last', 'App changes last', 'App catches press', 'App hears keydown | platform the page'],
  },
  {
    name: 'a local function between',
    files: mounted(
      `export function App() { const [a, setA] = useState(0); const reset = () => setA(0); const clear = () => { reset(); }; return <b onClick={clear}>{a}</b>; }`,
    ),
    of: 'App.a',
    ask: 'changes',
    rungs: ['App owns a', 'App changes a', 'App catches reset', 'App calls reset', 'App catches clear', 'App starts click | platform b'],
  },
  {
    name: 'two that write',
    files: mounted(
      `${pick}export function App() { const [a, setA] = useState(0); return <><Pick onPick={setA}/><b onClick={() => setA(2)}>{a}</b></>; }`,
    ),
    of: 'App.a',
    ask: 'changes',
    rungs: [
      'App owns a',
      '  App changes a',
      '  App starts click | platform b',
      'Pick relays onPick',
      'Pick changes a',
      'Pick starts click | platform button',
    ],
  },
  {
    name: 'a state that nothing changes',
    files: mounted(`export function App() { const [a] = useState(0); return <b>{a}</b>; }`),
    of: 'App.a',
    ask: 'changes',
    rungs: ['App owns a', 'App owns a | constant'],
  },
  {
    name: 'an assignment to a ref',
    files: mounted(`export function App() { const last = useRef(0); return <b onClick={() => { last.current = 2; }}>{last.current}</b>; }`),
    of: 'App.last',
    ask: 'changes',
    rungs: ['App owns last', 'App changes last', 'App starts click | platform b'],
  },
  {
    name: 'a handle that is exposed',
    files:
      mounted(`const Field = forwardRef(function Field(props, ref) { const [text, setText] = useState(""); useImperativeHandle(ref, () => ({ clear: () => setText("") })); return <input value={text}/>; });
export function App() { const field = useRef(null); return <b onClick={() => field.current.clear()}><Field ref={field}/></b>; }`),
    of: 'Field.text',
    ask: 'changes',
    rungs: [
      'Field owns text',
      'Field changes text',
      'Field catches clear',
      'App relays field',
      'App calls field.current.clear',
      'App starts click | platform b',
    ],
  },
  {
    name: 'where a handler of a context comes from',
    files: mounted(`const C = createContext(null);
function Deep() { const { choose } = useContext(C); const run = choose; return <b onClick={run}/>; }
export function App() { const choose = (id) => id; return <C.Provider value={{ choose }}><Deep/></C.Provider>; }`),
    of: 'Deep.useContext.choose',
    ask: 'comes',
    rungs: ['Deep owns choose', 'Deep takes C', 'App provides choose', 'App owns choose | function'],
  },
  {
    name: 'a function that is called while rendering',
    files: mounted(`export function App() { const name = (boat) => boat.name; return <b>{name(1)}</b>; }`),
    of: 'App.name',
    ask: 'comes',
    rungs: ['App owns name', 'App catches name', 'App starts name | platform while it renders'],
  },
  {
    name: 'a local function is called with what an event carries',
    files: mounted(
      `${pick}${leaf}export function App() { const [a, setA] = useState(0); const put = (next) => setA(next); const pick = (id) => put(id); return <><Pick onPick={pick}/><Leaf a={a}/></>; }`,
    ),
    of: 'Leaf.a',
    ask: 'comes',
    rungs: [
      'Leaf owns a',
      'App passes a',
      '  App owns a | constant',
      'App changes next',
      'App calls id',
      'Pick relays onPick',
      'Pick raises onPick | constant 1',
    ],
  },
  {
    name: 'what an action of the URL does',
    files: mounted(`import { useSearchParams } from 'react-router';
export function App() { const [params, setParams] = useSearchParams(); return <b onClick={() => setParams({ lock: 1 })}>{params.get('lock')}</b>; }`),
    of: 'App.useSearchParams',
    ask: 'comes',
    rungs: ['App owns useSearchParams', 'App owns useSearchParams | asked url useSearchParams'],
  },
];

/** Traces: channels and events of the document. */
export const channels: readonly TraceCase[] = [
  {
    name: 'a broadcast channel',
    files:
      mounted(`${leaf}function Bell() { const [lock] = useState(1); return <b onClick={() => { const c = new BroadcastChannel('alarm'); c.postMessage({ lock }); }}/>; }
function Ear() { const [last, setLast] = useState(0); useEffect(() => { const c = new BroadcastChannel('alarm'); c.onmessage = (event) => setLast(event.data.lock); return () => c.close(); }, []); return <Leaf a={last}/>; }
export function App() { return <><Bell/><Ear/></>; }`),
    of: 'Bell.lock',
    ask: 'goes',
    rungs: ['Bell owns lock', 'Bell publishes message', 'Ear hears event', 'Ear changes last', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'back through a channel of a module',
    files: mounted(
      `${leaf}import { alarm } from './alarm';
function Bell() { return <b onClick={() => alarm.postMessage('leak')}/>; }
function Ear() { const [last, setLast] = useState(''); useEffect(() => { const hear = (event) => setLast(event.data); alarm.addEventListener('message', hear); return () => alarm.removeEventListener('message', hear); }, []); return <Leaf a={last}/>; }
export function App() { return <><Bell/><Ear/></>; }`,
      { 'src/alarm.ts': `export const alarm = new BroadcastChannel('alarm');` },
    ),
    of: 'Ear.last',
    ask: 'changes',
    rungs: [
      'Ear owns last',
      'Ear changes last',
      'Ear catches hear',
      'Ear hears message',
      'Bell publishes message',
      'Bell starts click | platform b',
    ],
  },
  {
    name: 'an emitter of a module',
    files: mounted(
      `${leaf}import { bus } from './bus';
function Bell() { const [lock] = useState(1); return <b onClick={() => bus.emit('alarm', lock)}/>; }
function Ear() { const [last, setLast] = useState(0); useEffect(() => bus.on('alarm', (lock) => setLast(lock)), []); return <Leaf a={last}/>; }
export function App() { return <><Bell/><Ear/></>; }`,
      { 'src/bus.ts': `export const bus = new Emitter();` },
    ),
    of: 'Bell.lock',
    ask: 'goes',
    rungs: ['Bell owns lock', 'Bell publishes alarm', 'Ear hears lock', 'Ear changes last', 'Leaf renames a', 'Leaf paints a | painted'],
  },
  {
    name: 'a custom event of the document',
    files:
      mounted(`${leaf}function Map() { const [lock] = useState(1); const host = useRef(null); return <b ref={host} onClick={() => host.current.dispatchEvent(new CustomEvent('lock-chosen', { bubbles: true, detail: { lock } }))}/>; }
function Ear() { const [last, setLast] = useState(0); useEffect(() => { const hear = (event) => setLast(event.detail.lock); document.addEventListener('lock-chosen', hear); return () => document.removeEventListener('lock-chosen', hear); }, []); return <Leaf a={last}/>; }
export function App() { return <><Map/><Ear/></>; }`),
    of: 'Map.lock',
    ask: 'goes',
    rungs: [
      'Map owns lock',
      'Map publishes lock-chosen',
      'Ear hears event',
      'Ear changes last',
      'Leaf renames a',
      'Leaf paints a | painted',
    ],
  },
  {
    name: 'a custom event that does not bubble is not heard further up',
    files:
      mounted(`function Map() { const [lock] = useState(1); const host = useRef(null); return <b ref={host} onClick={() => host.current.dispatchEvent(new CustomEvent('lock-chosen', { detail: lock }))}/>; }
function Ear() { const [last, setLast] = useState(0); useEffect(() => { document.addEventListener('lock-chosen', (event) => setLast(event.detail)); }, []); return <i>{last}</i>; }
export function App() { return <><Map/><Ear/></>; }`),
    of: 'Map.lock',
    ask: 'goes',
    rungs: ['Map owns lock', 'Map publishes lock-chosen | unheard'],
  },
  {
    name: 'nobody hears what is sent',
    files: mounted(
      `import { bus } from './bus';
export function App() { const [lock] = useState(1); return <b onClick={() => bus.emit('alarm', lock)}/>; }`,
      { 'src/bus.ts': `export const bus = new Emitter();` },
    ),
    of: 'App.lock',
    ask: 'goes',
    rungs: ['App owns lock', 'App publishes alarm | unheard'],
  },
];
