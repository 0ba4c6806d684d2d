import { type Form, mended } from './form';

const use = (...names: string[]): string => `import { ${names.join(', ')} } from 'react';\n`;

/** Faults as they are written in React. */
export const reactForms: readonly Form[] = [
  {
    rule: 'change-unseen',
    form: 'an item that a find gives is changed, and a copy of nothing is set',
    files: {
      'App.jsx': `${use('useState')}
const start = [{ id: 1, name: 'Heron', lit: false }, { id: 2, name: 'Teal', lit: false }];
export default function App() {
  const [lamps, setLamps] = useState(start);
  function toggle(id) {
    const lamp = lamps.find((one) => one.id === id);
    ¶lamp.lit = !lamp.lit;
    setLamps(lamps);
  }
  return <ul>{lamps.map((one) => <li key={one.id}><button onClick={() => toggle(one.id)}>{one.name}</button> {one.lit ? 'on' : 'off'}</li>)}</ul>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
const start = [{ id: 1, name: 'Heron', lit: false }, { id: 2, name: 'Teal', lit: false }];
export default function App() {
  const [lamps, setLamps] = useState(start);
  function toggle(id) {
    setLamps(lamps.map((one) => (one.id === id ? { ...one, lit: !one.lit } : one)));
  }
  return <ul>{lamps.map((one) => <li key={one.id}><button onClick={() => toggle(one.id)}>{one.name}</button> {one.lit ? 'on' : 'off'}</li>)}</ul>;
}`,
    },
    acts: ['Heron'],
  },
  {
    rule: 'change-unseen',
    form: 'a set in state is added to in the updater and given back',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [picked, setPicked] = useState(() => new Set());
  const pick = (name) => setPicked((before) => ¶before.add(name));
  return <main><button onClick={() => pick('oak')}>oak</button><p>{picked.size} picked</p></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [picked, setPicked] = useState(() => new Set());
  const pick = (name) => setPicked((before) => new Set(before).add(name));
  return <main><button onClick={() => pick('oak')}>oak</button><p>{picked.size} picked</p></main>;
}`,
    },
    acts: ['oak'],
  },
  {
    rule: 'change-unseen',
    form: 'a reducer pushes into the list of the state and gives the state back',
    files: {
      'App.jsx': `${use('useReducer')}
function reduce(state, action) {
  switch (action.type) {
    case 'add':
      ¶state.items.push(action.item);
      return state;
    case 'clear':
      return { ...state, items: [] };
    default:
      return state;
  }
}
export default function App() {
  const [state, dispatch] = useReducer(reduce, { items: [] });
  return <main><button onClick={() => dispatch({ type: 'add', item: 'rope' })}>Add</button><button onClick={() => dispatch({ type: 'clear' })}>Clear</button>{state.items.map((one, at) => <i key={at}>{one}</i>)}</main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useReducer')}
function reduce(state, action) {
  switch (action.type) {
    case 'add':
      return { ...state, items: [...state.items, action.item] };
    case 'clear':
      return { ...state, items: [] };
    default:
      return state;
  }
}
export default function App() {
  const [state, dispatch] = useReducer(reduce, { items: [] });
  return <main><button onClick={() => dispatch({ type: 'add', item: 'rope' })}>Add</button><button onClick={() => dispatch({ type: 'clear' })}>Clear</button>{state.items.map((one, at) => <i key={at}>{one}</i>)}</main>;
}`,
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a class puts a value into its state by hand',
    files: {
      'App.jsx': `import { Component } from 'react';
export default class App extends Component {
  state = { depth: 1 };
  deeper = () => {
    ¶this.state.depth += 1;
  };
  render() {
    return <main><button onClick={this.deeper}>Deeper</button><p>{this.state.depth} m</p></main>;
  }
}`,
    },
    sound: {
      'App.jsx': `import { Component } from 'react';
export default class App extends Component {
  state = { depth: 1 };
  deeper = () => {
    this.setState(({ depth }) => ({ depth: depth + 1 }));
  };
  render() {
    return <main><button onClick={this.deeper}>Deeper</button><p>{this.state.depth} m</p></main>;
  }
}`,
    },
    acts: ['Deeper'],
  },
  {
    rule: 'change-unseen',
    form: 'a list is sorted where it is and set again',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [boats, setBoats] = useState(['Wren', 'Alder', 'Moth']);
  const byName = () => {
    ¶boats.sort();
    setBoats(boats);
  };
  return <main><button onClick={byName}>By name</button><ol>{boats.map((one) => <li key={one}>{one}</li>)}</ol></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [boats, setBoats] = useState(['Wren', 'Alder', 'Moth']);
  const byName = () => setBoats([...boats].sort());
  return <main><button onClick={byName}>By name</button><ol>{boats.map((one) => <li key={one}>{one}</li>)}</ol></main>;
}`,
    },
    acts: ['By name'],
  },
  {
    rule: 'stale-reading',
    form: 'a callback without what it reads is handed to a part',
    files: {
      'App.jsx': `${use('useState', 'useCallback')}import { Ask } from './Ask';
export default function App() {
  const [count, setCount] = useState(0);
  const [said, setSaid] = useState('');
  const tell = useCallback(() => setSaid('count ' + ¶count), []);
  return <main><button onClick={() => setCount(count + 1)}>More</button><Ask onAsk={tell} /><p>{said}</p></main>;
}`,
      'Ask.jsx': `import { memo } from 'react';
export const Ask = memo(function Ask({ onAsk }) {
  return <button onClick={onAsk}>Ask</button>;
});`,
    },
    sound: {
      'App.jsx': `${use('useState', 'useCallback')}import { Ask } from './Ask';
export default function App() {
  const [count, setCount] = useState(0);
  const [said, setSaid] = useState('');
  const tell = useCallback(() => setSaid('count ' + count), [count]);
  return <main><button onClick={() => setCount(count + 1)}>More</button><Ask onAsk={tell} /><p>{said}</p></main>;
}`,
    },
    acts: ['More', 'More', 'Ask'],
  },
  {
    rule: 'stale-reading',
    form: 'a memo of an object does not follow a prop',
    files: {
      'App.jsx': `${use('useState')}import { Sheet } from './Sheet';
export default function App() {
  const [unit, setUnit] = useState('m');
  return <main><button onClick={() => setUnit('ft')}>Feet</button><Sheet unit={unit} depth={3} /></main>;
}`,
      'Sheet.jsx': `${use('useMemo')}
export function Sheet({ unit, depth }) {
  const line = useMemo(() => ({ text: depth + ' ' + ¶unit }), [depth]);
  return <p>{line.text}</p>;
}`,
    },
    sound: {
      'Sheet.jsx': `${use('useMemo')}
export function Sheet({ unit, depth }) {
  const line = useMemo(() => ({ text: depth + ' ' + unit }), [depth, unit]);
  return <p>{line.text}</p>;
}`,
    },
    acts: ['Feet'],
  },
  {
    rule: 'stale-reading',
    form: 'a listener of the window, put there once, reads a state',
    files: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App() {
  const [step, setStep] = useState(0);
  const [heard, setHeard] = useState(-1);
  useEffect(() => {
    const hear = () => setHeard(¶step);
    window.addEventListener('ping', hear);
    return () => window.removeEventListener('ping', hear);
  }, []);
  return <main><button onClick={() => setStep(step + 1)}>Step</button><button onClick={() => window.dispatchEvent(new Event('ping'))}>Ping</button><p>{heard}</p></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App() {
  const [step, setStep] = useState(0);
  const [heard, setHeard] = useState(-1);
  useEffect(() => {
    const hear = () => setHeard(step);
    window.addEventListener('ping', hear);
    return () => window.removeEventListener('ping', hear);
  }, [step]);
  return <main><button onClick={() => setStep(step + 1)}>Step</button><button onClick={() => window.dispatchEvent(new Event('ping'))}>Ping</button><p>{heard}</p></main>;
}`,
    },
    acts: ['Step', 'Step', 'Ping'],
  },
  {
    rule: 'prop-copied',
    form: 'a form begins with what it is given, in a reducer',
    files: {
      'App.jsx': `${use('useState')}import { Edit } from './Edit';
const all = { a: { title: 'Alder' }, b: { title: 'Birch' } };
export default function App() {
  const [at, setAt] = useState('a');
  return <main><button onClick={() => setAt('b')}>Birch</button><Edit tree={all[at]} /></main>;
}`,
      'Edit.jsx': `${use('useReducer')}
export function Edit({ tree }) {
  const [draft, change] = useReducer((before, next) => ({ ...before, ...next }), ¶tree);
  return <label>Title<input value={draft.title} onChange={(event) => change({ title: event.target.value })} /></label>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { Edit } from './Edit';
const all = { a: { title: 'Alder' }, b: { title: 'Birch' } };
export default function App() {
  const [at, setAt] = useState('a');
  return <main><button onClick={() => setAt('b')}>Birch</button><Edit key={at} tree={all[at]} /></main>;
}`,
    },
    acts: ['Birch'],
  },
  {
    rule: 'prop-copied',
    form: 'a class takes a prop into its state once',
    files: {
      'App.jsx': `${use('useState')}import Dial from './Dial';
export default function App() {
  const [level, setLevel] = useState(2);
  return <main><button onClick={() => setLevel(level + 1)}>Up</button><Dial level={level} /></main>;
}`,
      'Dial.jsx': `import { Component } from 'react';
export default class Dial extends Component {
  constructor(props) {
    super(props);
    this.state = { shown: ¶props.level };
  }
  render() {
    return <p onClick={() => this.setState({ shown: 0 })}>{this.state.shown}</p>;
  }
}`,
    },
    sound: {
      'Dial.jsx': `import { Component } from 'react';
export default class Dial extends Component {
  render() {
    return <p>{this.props.level}</p>;
  }
}`,
    },
    acts: ['Up'],
  },
  {
    rule: 'prop-written',
    form: 'a part sorts the list that it is given',
    files: {
      'App.jsx': `${use('useState')}import { Ranking } from './Ranking';
export default function App() {
  const [scores] = useState([2, 9, 4]);
  const [open, setOpen] = useState(false);
  return <main><button onClick={() => setOpen(true)}>Ranking</button><p>{scores.join(' ')}</p>{open && <Ranking scores={scores} />}</main>;
}`,
      'Ranking.jsx': `export function Ranking({ scores }) {
  const best = ¶scores.sort((a, b) => b - a).slice(0, 2);
  return <ol>{best.map((one) => <li key={one}>{one}</li>)}</ol>;
}`,
    },
    sound: {
      'Ranking.jsx': `export function Ranking({ scores }) {
  const best = [...scores].sort((a, b) => b - a).slice(0, 2);
  return <ol>{best.map((one) => <li key={one}>{one}</li>)}</ol>;
}`,
    },
    acts: ['Ranking'],
    unseen: true,
  },
  {
    rule: 'handler-missing',
    form: 'a callback that only some give is called on a timer',
    files: {
      'App.jsx': `import { Toast } from './Toast';
export default function App() {
  return <main><¶Toast text="Saved" /></main>;
}`,
      'Toast.jsx': `${use('useState')}
export function Toast({ text, onClose }) {
  const [gone, setGone] = useState(false);
  const close = () => {
    onClose(text);
    setGone(true);
  };
  return gone ? <p>closed</p> : <div><p>{text}</p><button onClick={close}>Close</button></div>;
}`,
    },
    sound: {
      'App.jsx': `import { Toast } from './Toast';
export default function App() {
  return <main><Toast text="Saved" onClose={() => undefined} /></main>;
}`,
    },
    or: ['prop-missing', 'event-unheard'],
    acts: ['Close'],
  },
  {
    rule: 'handler-missing',
    form: 'a function is called where it should be given',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [on, setOn] = useState('off');
  const log = (word) => { console.info(word); };
  return <main><button onClick={¶log('pressed')}>Press</button><button onClick={() => setOn('on')}>Set</button><p>{on}</p></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [on, setOn] = useState('off');
  const log = (word) => { console.info(word); };
  return <main><button onClick={() => log('pressed')}>Press</button><button onClick={() => setOn('on')}>Set</button><p>{on}</p></main>;
}`,
    },
    acts: ['Press'],
    unseen: true,
  },
  {
    rule: 'prop-missing',
    form: 'a member of a prop that one of two uses does not give',
    files: {
      'App.jsx': `import { Card } from './Card';
const boat = { name: 'Wren', berth: { row: 3 } };
export default function App() {
  return <main><Card title="One" boat={boat} /><¶Card title="Two" /></main>;
}`,
      'Card.jsx': `export const Card = ({ title, boat }) => (
  <section>
    <h2>{title}</h2>
    <p>{boat.berth.row}</p>
  </section>
);`,
    },
    sound: {
      'App.jsx': `import { Card } from './Card';
const boat = { name: 'Wren', berth: { row: 3 } };
export default function App() {
  return <main><Card title="One" boat={boat} /><Card title="Two" boat={boat} /></main>;
}`,
    },
  },
  {
    rule: 'prop-missing',
    form: 'a list is mapped in a helper that is called while rendering',
    files: {
      'App.jsx': `import { Menu } from './Menu';
export default function App() {
  return <¶Menu heading="Tea" />;
}`,
      'Menu.jsx': `export function Menu(props) {
  const { heading, items } = props;
  function rows() {
    return items.map((one) => <li key={one}>{one}</li>);
  }
  return <div><h1>{heading}</h1><ul>{rows()}</ul></div>;
}`,
    },
    sound: {
      'App.jsx': `import { Menu } from './Menu';
export default function App() {
  return <Menu heading="Tea" items={['Assam']} />;
}`,
    },
  },
  {
    rule: 'prop-missing',
    form: 'TypeScript asks for a prop that a memo part is not given',
    files: {
      'App.tsx': `import { Gauge } from './Gauge';
export default function App() {
  return <main><¶Gauge label="North" /></main>;
}`,
      'Gauge.tsx': `import { memo } from 'react';
interface Shared { label: string }
interface GaugeProps extends Shared { value: number; unit?: string }
export const Gauge = memo(({ label, value, unit = 'm' }: GaugeProps) => <p>{label}: {value.toFixed(1)} {unit}</p>);`,
    },
    sound: {
      'App.tsx': `import { Gauge } from './Gauge';
export default function App() {
  return <main><Gauge label="North" value={2} /></main>;
}`,
    },
  },
  {
    rule: 'prop-spelt',
    form: 'another case, through an alias of the component',
    files: {
      'App.jsx': `import { TideRow as Row } from './TideRow';
export default function App() {
  return <table><tbody><Row ¶highwater="6:10" place="Quay" /></tbody></table>;
}`,
      'TideRow.jsx': `export function TideRow({ highWater = '?', place }) {
  return <tr><td>{place}</td><td>{highWater}</td></tr>;
}`,
    },
    sound: {
      'App.jsx': `import { TideRow as Row } from './TideRow';
export default function App() {
  return <table><tbody><Row highWater="6:10" place="Quay" /></tbody></table>;
}`,
    },
  },
  {
    rule: 'prop-kind',
    form: 'a flag that is typed is given as a word',
    files: {
      'App.tsx': `import { Panel } from './Panel';
export default function App() {
  return <Panel ¶open="false">Depths</Panel>;
}`,
      'Panel.tsx': `import type { ReactNode } from 'react';
type Props = { open: boolean; children: ReactNode };
export function Panel({ open, children }: Props) {
  return <section>{open ? children : 'closed'}</section>;
}`,
    },
    sound: {
      'App.tsx': `import { Panel } from './Panel';
export default function App() {
  return <Panel open={false}>Depths</Panel>;
}`,
    },
  },
  {
    rule: 'slot-nowhere',
    form: 'children for a part that draws none',
    files: {
      'App.jsx': `import { Badge } from './Badge';
export default function App() {
  return <Badge kind="new"><¶em>seven</em></Badge>;
}`,
      'Badge.jsx': `export function Badge({ kind }) {
  return <span className={kind}>{kind}</span>;
}`,
    },
    sound: {
      'App.jsx': `import { Badge } from './Badge';
export default function App() {
  return <Badge kind="new" />;
}`,
    },
    unseen: true,
  },
  {
    rule: 'slot-shape',
    form: 'content that is called is given as markup',
    files: {
      'App.jsx': `import { Each } from './Each';
export default function App() {
  return <Each items={['a', 'b']}>¶<i>item</i></Each>;
}`,
      'Each.jsx': `export const Each = ({ items, children }) => <ul>{items.map((one, at) => <li key={one}>{children(one, at)}</li>)}</ul>;`,
    },
    sound: {
      'App.jsx': `import { Each } from './Each';
export default function App() {
  return <Each items={['a', 'b']}>{(one) => <i>{one}</i>}</Each>;
}`,
    },
  },
  {
    rule: 'context-missing',
    form: 'a hook throws where no provider stands, on one of two pages',
    files: {
      'App.jsx': `${use('useState')}import { Crew } from './crew';
import { Roster } from './Roster';
import { Badge } from './Badge';
export default function App() {
  const [page, setPage] = useState('roster');
  return (
    <main>
      <button onClick={() => setPage('badge')}>Badge</button>
      {page === 'roster' ? <Crew.Provider value={{ names: ['Ann'] }}><Roster /></Crew.Provider> : <Badge />}
    </main>
  );
}`,
      'crew.js': `import { createContext, useContext } from 'react';
export const Crew = createContext(null);
export function useCrew() {
  const crew = useContext(Crew);
  return ¶crew.names;
}`,
      'Roster.jsx': `import { useCrew } from './crew';
export function Roster() {
  return <p>{useCrew().join()}</p>;
}`,
      'Badge.jsx': `import { useCrew } from './crew';
export function Badge() {
  const names = ¶useCrew();
  return <b>{names[0]}</b>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { Crew } from './crew';
import { Roster } from './Roster';
import { Badge } from './Badge';
export default function App() {
  const [page, setPage] = useState('roster');
  return (
    <Crew.Provider value={{ names: ['Ann'] }}>
      <button onClick={() => setPage('badge')}>Badge</button>
      {page === 'roster' ? <Roster /> : <Badge />}
    </Crew.Provider>
  );
}`,
    },
    acts: ['Badge'],
  },
  {
    rule: 'subscription-kept',
    form: 'an interval in an effect of a hook is never cleared',
    files: {
      'App.jsx': `${use('useState')}import { Clock } from './Clock';
export default function App() {
  const [on, setOn] = useState(true);
  return <main><button onClick={() => setOn(!on)}>Clock</button>{on && <Clock />}</main>;
}`,
      'Clock.jsx': `import { useNow } from './useNow';
export function Clock() {
  const now = useNow();
  return <time>{now > 0 ? 'now' : ''}</time>;
}`,
      'useNow.js': `${use('useEffect', 'useState')}
export function useNow() {
  const [now, setNow] = useState(1);
  useEffect(() => {
    ¶setInterval(() => setNow(Date.now()), 1000);
  }, []);
  return now;
}`,
    },
    sound: {
      'useNow.js': `${use('useEffect', 'useState')}
export function useNow() {
  const [now, setNow] = useState(1);
  useEffect(() => {
    const id = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(id);
  }, []);
  return now;
}`,
    },
    unseen: true,
  },
  {
    rule: 'subscription-kept',
    form: 'a listener bound in a class is taken away by another function',
    files: {
      'App.jsx': `${use('useState')}import Meter from './Meter';
export default function App() {
  const [on, setOn] = useState(true);
  return <main><button onClick={() => setOn(!on)}>Meter</button>{on && <Meter />}</main>;
}`,
      'Meter.jsx': `import { Component } from 'react';
export default class Meter extends Component {
  state = { width: 0 };
  componentDidMount() {
    ¶window.addEventListener('resize', this.measure.bind(this));
  }
  componentWillUnmount() {
    window.removeEventListener('resize', this.measure.bind(this));
  }
  measure() {
    this.setState({ width: window.innerWidth });
  }
  render() {
    return <p>{this.state.width}</p>;
  }
}`,
    },
    sound: {
      'Meter.jsx': `import { Component } from 'react';
export default class Meter extends Component {
  state = { width: 0 };
  componentDidMount() {
    window.addEventListener('resize', this.measure);
  }
  componentWillUnmount() {
    window.removeEventListener('resize', this.measure);
  }
  measure = () => this.setState({ width: window.innerWidth });
  render() {
    return <p>{this.state.width}</p>;
  }
}`,
    },
    unseen: true,
  },
  {
    rule: 'list-unkeyed',
    form: 'fields of a list that is filtered, by their position',
    files: {
      'App.jsx': `${use('useState')}
const start = [{ id: 1, name: 'Alder' }, { id: 2, name: 'Birch' }, { id: 3, name: 'Cedar' }];
export default function App() {
  const [rows, setRows] = useState(start);
  return <main><button onClick={() => setRows(rows.filter((one) => one.id !== 1))}>Drop first</button>{rows.map((one, at) => <label ¶key={at}>{one.name}<input defaultValue={one.name} /></label>)}</main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
const start = [{ id: 1, name: 'Alder' }, { id: 2, name: 'Birch' }, { id: 3, name: 'Cedar' }];
export default function App() {
  const [rows, setRows] = useState(start);
  return <main><button onClick={() => setRows(rows.filter((one) => one.id !== 1))}>Drop first</button>{rows.map((one) => <label key={one.id}>{one.name}<input defaultValue={one.name} /></label>)}</main>;
}`,
    },
    acts: ['Drop first'],
  },
  {
    rule: 'list-unkeyed',
    form: 'rows are pushed in a loop without a key',
    files: {
      'App.jsx': `import { Row } from './Row';
export default function App() {
  const rows = [];
  for (const name of ['Ann', 'Bo']) {
    rows.push(<¶Row name={name} />);
  }
  return <ul>{rows}</ul>;
}`,
      'Row.jsx': `export const Row = ({ name }) => <li>{name}</li>;`,
    },
    sound: {
      'App.jsx': `import { Row } from './Row';
export default function App() {
  const rows = [];
  for (const name of ['Ann', 'Bo']) {
    rows.push(<Row key={name} name={name} />);
  }
  return <ul>{rows}</ul>;
}`,
    },
  },
  {
    rule: 'endless-render',
    form: 'an effect follows an object that is made while rendering, and sets a state',
    files: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App({ place = 'Quay' }) {
  const [tries, setTries] = useState(0);
  const options = { place };
  useEffect(() => {
    setTries((before) => before + 1);
    document.title = options.place;
  }, [¶options]);
  return <p>{tries > 50 ? 'many' : 'few'}</p>;
}`,
    },
    sound: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App({ place = 'Quay' }) {
  const [tries, setTries] = useState(0);
  useEffect(() => {
    setTries((before) => before + 1);
    document.title = place;
  }, [place]);
  return <p>{tries > 50 ? 'many' : 'few'}</p>;
}`,
    },
  },
  {
    rule: 'handler-missing',
    form: 'a method that a class has not is named in its markup',
    files: {
      'App.jsx': `import { Component } from 'react';
export default class App extends Component {
  state = { on: false };
  handleToggle = () => this.setState({ on: !this.state.on });
  render() {
    return <button onClick={¶this.handleToggel}>{this.state.on ? 'on' : 'off'}</button>;
  }
}`,
    },
    sound: {
      'App.jsx': `import { Component } from 'react';
export default class App extends Component {
  state = { on: false };
  handleToggle = () => this.setState({ on: !this.state.on });
  render() {
    return <button onClick={this.handleToggle}>{this.state.on ? 'on' : 'off'}</button>;
  }
}`,
    },
    acts: ['off'],
  },
  {
    rule: 'component-unknown',
    form: 'a named part of a module is misspelt',
    files: {
      'App.jsx': `import * as Parts from './parts';
export default function App() {
  return <Parts.Frame><¶Parts.Titel>Levels</Parts.Titel></Parts.Frame>;
}`,
      'parts.jsx': `export const Frame = ({ children }) => <section>{children}</section>;
export const Title = ({ children }) => <h2>{children}</h2>;`,
    },
    sound: {
      'App.jsx': `import * as Parts from './parts';
export default function App() {
  return <Parts.Frame><Parts.Title>Levels</Parts.Title></Parts.Frame>;
}`,
    },
  },
  {
    rule: 'prop-idle',
    form: 'a prop that is typed and given, and read by nobody',
    files: {
      'App.tsx': `import { Buoy } from './Buoy';
export default function App() {
  return <Buoy name="Fairway" colour="red" depth={4} />;
}`,
      'Buoy.tsx': `interface Props { name: string; ¶colour: string; depth: number }
export function Buoy({ name, depth }: Props) {
  return <p>{name} {depth}</p>;
}`,
    },
    sound: {
      'App.tsx': `import { Buoy } from './Buoy';
export default function App() {
  return <Buoy name="Fairway" depth={4} />;
}`,
      'Buoy.tsx': `interface Props { name: string; depth: number }
export function Buoy({ name, depth }: Props) {
  return <p>{name} {depth}</p>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'prop-unused',
    form: 'a prop that nobody ever gives',
    files: {
      'App.jsx': `import { Note } from './Note';
export default function App() {
  return <main><Note text="a" /><Note text="b" /></main>;
}`,
      'Note.jsx': `export function Note({ text, ¶tone = 'calm' }) {
  return <p className={tone}>{text}</p>;
}`,
    },
    sound: {
      'Note.jsx': `export function Note({ text }) {
  return <p className="calm">{text}</p>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'event-unheard',
    form: 'a control that only raises, and one use that does not listen',
    files: {
      'App.jsx': `${use('useState')}import { Stepper } from './Stepper';
export default function App() {
  const [n, setN] = useState(0);
  return <main><Stepper label="A" onStep={() => setN(n + 1)} /><¶Stepper label="B" /><p>{n}</p></main>;
}`,
      'Stepper.jsx': `export function Stepper({ label, onStep }) {
  return <button onClick={() => onStep?.()}>{label}</button>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { Stepper } from './Stepper';
export default function App() {
  const [n, setN] = useState(0);
  return <main><Stepper label="A" onStep={() => setN(n + 1)} /><Stepper label="B" onStep={() => setN(n + 1)} /><p>{n}</p></main>;
}`,
    },
    acts: ['B'],
  },
  {
    rule: 'event-never-raised',
    form: 'a callback that the part takes and never calls',
    files: {
      'App.jsx': `${use('useState')}import { Picker } from './Picker';
export default function App() {
  const [at, setAt] = useState('none');
  return <main><Picker names={['oak']} ¶onPick={setAt} /><p>{at}</p></main>;
}`,
      'Picker.jsx': `export function Picker({ names, onPick }) {
  return <ul>{names.map((one) => <li key={one}><button>{one}</button></li>)}</ul>;
}`,
    },
    sound: {
      'Picker.jsx': `export function Picker({ names, onPick }) {
  return <ul>{names.map((one) => <li key={one}><button onClick={() => onPick(one)}>{one}</button></li>)}</ul>;
}`,
    },
    or: ['prop-unused', 'prop-unknown'],
    acts: ['oak'],
  },
  {
    rule: 'channel-unpaired',
    form: 'an event of the document under two names',
    files: {
      'App.jsx': `import { Bell } from './Bell';
import { Ear } from './Ear';
export default function App() {
  return <main><Bell /><Ear /></main>;
}`,
      'Bell.jsx': `export function Bell() {
  const ring = () => document.dispatchEvent(new CustomEvent('tide:high', { detail: 3 }));
  return <button onClick={ring}>Ring</button>;
}`,
      'Ear.jsx': `${use('useEffect', 'useState')}
export function Ear() {
  const [heard, setHeard] = useState(0);
  useEffect(() => {
    const hear = (event) => setHeard(event.detail);
    document.addEventListener(¶'tide-high', hear);
    return () => document.removeEventListener('tide-high', hear);
  }, []);
  return <p>{heard}</p>;
}`,
    },
    sound: {
      'Ear.jsx': `${use('useEffect', 'useState')}
export function Ear() {
  const [heard, setHeard] = useState(0);
  useEffect(() => {
    const hear = (event) => setHeard(event.detail);
    document.addEventListener('tide:high', hear);
    return () => document.removeEventListener('tide:high', hear);
  }, []);
  return <p>{heard}</p>;
}`,
    },
    acts: ['Ring'],
  },
  {
    rule: 'context-unread',
    form: 'a provider around parts that read none of it',
    files: {
      'App.jsx': `${use('createContext', 'useState')}import { Sheet } from './Sheet';
export const Units = createContext('m');
export default function App() {
  const [unit] = useState('ft');
  return <¶Units.Provider value={unit}><Sheet /></Units.Provider>;
}`,
      'Sheet.jsx': `export function Sheet() {
  return <p>3 m</p>;
}`,
    },
    sound: {
      'App.jsx': `import { Sheet } from './Sheet';
export default function App() {
  return <Sheet />;
}`,
    },
    unseen: true,
  },
  {
    rule: 'two-truths',
    form: 'one number kept in two parts that stand beside each other, each set by itself',
    files: {
      'App.jsx': `import { Left } from './Left';
import { Right } from './Right';
export default function App() {
  return <main><Left /><Right /></main>;
}`,
      'api.js': `export const getLevels = () => fetch('/levels').then((answer) => answer.json());`,
      'Left.jsx': `${use('useEffect', 'useState')}import { getLevels } from './api';
export function Left() {
  const [levels, setLevels] = useState([]);
  useEffect(() => { ¶getLevels().then(setLevels, () => undefined); }, []);
  return <p>{levels.length}</p>;
}`,
      'Right.jsx': `${use('useEffect', 'useState')}import { getLevels } from './api';
export function Right() {
  const [levels, setLevels] = useState([]);
  useEffect(() => {
    async function load() {
      try { setLevels(await ¶getLevels()); } catch { /* empty */ }
    }
    load();
  }, []);
  const drop = (id) => setLevels((all) => all.filter((one) => one.id !== id));
  return <ol>{levels.map((one) => <li key={one.id} onClick={() => drop(one.id)}>{one.name}</li>)}</ol>;
}`,
    },
    sound: {
      'Right.jsx': `export function Right() {
  return <ol />;
}`,
    },
    unseen: true,
  },
  {
    rule: 'state-too-high',
    form: 'a state that one part below alone uses',
    files: {
      'App.jsx': `${use('useState')}import { Filter } from './Filter';
import { Chart } from './Chart';
export default function App() {
  const [¶text, setText] = useState('');
  return <main><Filter text={text} onText={setText} /><Chart /></main>;
}`,
      'Filter.jsx': `export function Filter({ text, onText }) {
  return <label>Find<input value={text} onChange={(event) => onText(event.target.value)} /></label>;
}`,
      'Chart.jsx': `export function Chart() {
  return <svg />;
}`,
    },
    sound: {
      'App.jsx': `import { Filter } from './Filter';
import { Chart } from './Chart';
export default function App() {
  return <main><Filter /><Chart /></main>;
}`,
      'Filter.jsx': `${use('useState')}
export function Filter() {
  const [text, setText] = useState('');
  return <label>Find<input value={text} onChange={(event) => setText(event.target.value)} /></label>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'prop-carried',
    form: 'a value goes through three parts that do not read it',
    files: {
      'App.jsx': `${use('useState')}import { Page } from './Page';
export default function App() {
  const [user] = useState({ name: 'Ann' });
  return <Page user={user} />;
}`,
      'Page.jsx': `import { Side } from './Side';
export const Page = ({ ¶user }) => <main><Side user={user} /></main>;`,
      'Side.jsx': `import { Menu } from './Menu';
export const Side = ({ user }) => <aside><Menu user={user} /></aside>;`,
      'Menu.jsx': `import { Face } from './Face';
export const Menu = ({ user }) => <nav><Face user={user} /></nav>;`,
      'Face.jsx': `export const Face = ({ user }) => <b>{user.name}</b>;`,
    },
    sound: {
      'App.jsx': `import { Face } from './Face';
export default function App() {
  return <main><Face user={{ name: 'Ann' }} /></main>;
}`,
      'Page.jsx': 'export {};',
      'Side.jsx': 'export {};',
      'Menu.jsx': 'export {};',
    },
    unseen: true,
  },
  {
    rule: 'derived-twice',
    form: 'the same sum is made in two parts from one prop',
    files: {
      'App.jsx': `${use('useState')}import { Total } from './Total';
import { Foot } from './Foot';
export default function App() {
  const [lines] = useState([{ price: 2, count: 3 }]);
  return <main><Total lines={lines} /><Foot lines={lines} /></main>;
}`,
      'Total.jsx': `export function Total({ lines }) {
  const sum = ¶lines.reduce((all, one) => all + one.price * one.count, 0);
  return <h2>{sum}</h2>;
}`,
      'Foot.jsx': `export function Foot({ lines }) {
  const total = ¶lines.reduce((before, line) => before + line.price * line.count, 0);
  return <footer>{total}</footer>;
}`,
    },
    sound: {
      'Foot.jsx': `export function Foot({ lines }) {
  return <footer>{lines.length}</footer>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'wrapper-thin',
    form: 'a part that only spreads what it is given on another',
    files: {
      'App.jsx': `import { SaveButton } from './SaveButton';
export default function App() {
  return <SaveButton label="Save" tone="calm" />;
}`,
      'SaveButton.jsx': `import { Button } from './Button';
export function ¶SaveButton(props) {
  return <Button {...props} />;
}`,
      'Button.jsx': `export const Button = ({ label, tone }) => <button className={tone}>{label}</button>;`,
    },
    sound: {
      'App.jsx': `import { Button } from './Button';
export default function App() {
  return <Button label="Save" tone="calm" />;
}`,
      'SaveButton.jsx': 'export {};',
    },
    unseen: true,
  },
  {
    rule: 'component-idle',
    form: 'a part that nobody renders, imported by an index alone',
    files: {
      'App.jsx': `import { Lamp } from './parts';
export default function App() {
  return <Lamp />;
}`,
      'parts/index.js': `export { Lamp } from './Lamp';
export { Shade } from './Shade';`,
      'parts/Lamp.jsx': `export const Lamp = () => <b>lamp</b>;`,
      'parts/Shade.jsx': `export function ¶Shade() {
  return <i>shade</i>;
}`,
    },
    sound: { 'parts/index.js': `export { Lamp } from './Lamp';`, 'parts/Shade.jsx': 'export {};' },
    unseen: true,
  },
  {
    rule: 'store-dead',
    form: 'a field of a store that is set and never read',
    files: {
      'App.jsx': `import { useLevels } from './levels';
export default function App() {
  const high = useLevels((all) => all.high);
  const raise = useLevels((all) => all.raise);
  return <main><p>{high}</p><button onClick={raise}>Up</button></main>;
}`,
      'levels.js': `import { create } from 'zustand';
export const useLevels = create((set) => ({
  high: 1,
  ¶lastAt: null,
  raise: () => set((all) => ({ high: all.high + 1, lastAt: Date.now() })),
}));`,
    },
    sound: {
      'levels.js': `import { create } from 'zustand';
export const useLevels = create((set) => ({
  high: 1,
  raise: () => set((all) => ({ high: all.high + 1 })),
}));`,
    },
    unseen: true,
  },
  {
    rule: 'change-unseen',
    form: 'a member deep in a state object is set, and the same object is set again',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [plan, setPlan] = useState({ title: 'Week', days: { mon: 1 } });
  const onMore = () => {
    const days = plan.days;
    ¶days.mon = days.mon + 1;
    setPlan(plan);
  };
  return <button onClick={onMore}>Monday {plan.days.mon}</button>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [plan, setPlan] = useState({ title: 'Week', days: { mon: 1 } });
  const onMore = () => setPlan({ ...plan, days: { ...plan.days, mon: plan.days.mon + 1 } });
  return <button onClick={onMore}>Monday {plan.days.mon}</button>;
}`,
    },
    acts: ['Monday'],
  },
  {
    rule: 'change-unseen',
    form: 'a reducer written in place that changes what it is given',
    files: {
      'App.jsx': `${use('useReducer')}
export default function App() {
  const [list, add] = useReducer((all, one) => {
    ¶all.push(one);
    return all;
  }, []);
  return <main><button onClick={() => add('oak')}>Add</button><p>{list.length} trees</p></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useReducer')}
export default function App() {
  const [list, add] = useReducer((all, one) => [...all, one], []);
  return <main><button onClick={() => add('oak')}>Add</button><p>{list.length} trees</p></main>;
}`,
    },
    acts: ['Add'],
  },
  {
    rule: 'change-unseen',
    form: 'a variable of the component is set in a handler and shown',
    files: {
      'App.jsx': `export default function App() {
  let shown = false;
  function toggle() {
    ¶shown = !shown;
  }
  return <main><button onClick={toggle}>Toggle</button>{shown ? <p>on</p> : <p>off</p>}</main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [shown, setShown] = useState(false);
  function toggle() {
    setShown(!shown);
  }
  return <main><button onClick={toggle}>Toggle</button>{shown ? <p>on</p> : <p>off</p>}</main>;
}`,
    },
    acts: ['Toggle'],
  },
  {
    rule: 'stale-reading',
    form: 'an interval that was started once adds to what it saw',
    files: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App() {
  const [ticks, setTicks] = useState(0);
  useEffect(() => {
    const id = setInterval(() => setTicks(¶ticks + 1), 20);
    return () => clearInterval(id);
  }, []);
  return <p>{ticks > 1 ? 'runs' : 'stands'}</p>;
}`,
    },
    sound: {
      'App.jsx': `${use('useEffect', 'useState')}
export default function App() {
  const [ticks, setTicks] = useState(0);
  useEffect(() => {
    const id = setInterval(() => setTicks((now) => now + 1), 20);
    return () => clearInterval(id);
  }, []);
  return <p>{ticks > 1 ? 'runs' : 'stands'}</p>;
}`,
    },
    acts: ['none', 'none'],
  },
  {
    rule: 'stale-reading',
    form: 'an effect asks again by an id that it does not follow',
    files: {
      'App.jsx': `${use('useState')}import { Boat } from './Boat';
export default function App() {
  const [id, setId] = useState(1);
  return <main><button onClick={() => setId(2)}>Next</button><Boat id={id} /></main>;
}`,
      'Boat.jsx': `${use('useEffect', 'useState')}
export function Boat({ id }) {
  const [name, setName] = useState('');
  useEffect(() => {
    Promise.resolve('boat ' + ¶id).then(setName);
  }, []);
  return <p>{name}</p>;
}`,
    },
    sound: {
      'Boat.jsx': `${use('useEffect', 'useState')}
export function Boat({ id }) {
  const [name, setName] = useState('');
  useEffect(() => {
    Promise.resolve('boat ' + id).then(setName);
  }, [id]);
  return <p>{name}</p>;
}`,
    },
    acts: ['Next'],
  },
  {
    rule: 'stale-reading',
    form: 'a hook of the project keeps the first callback',
    files: {
      'App.jsx': `${use('useState')}import { useKey } from './useKey';
export default function App() {
  const [n, setN] = useState(0);
  const [said, setSaid] = useState('');
  useKey('a', () => setSaid('n is ' + n));
  return <main><button onClick={() => setN(n + 1)}>More</button><button onClick={() => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }))}>Press</button><p>{said}</p></main>;
}`,
      'useKey.js': `${use('useEffect')}
export function useKey(key, run) {
  useEffect(() => {
    const hear = (event) => {
      if (event.key === key) ¶run();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [key]);
}`,
    },
    sound: {
      'useKey.js': `${use('useEffect')}
export function useKey(key, run) {
  useEffect(() => {
    const hear = (event) => {
      if (event.key === key) run();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [key, run]);
}`,
    },
    acts: ['More', 'More', 'Press'],
  },
  {
    rule: 'prop-written',
    form: 'a part puts a member on an item that it is given',
    files: {
      'App.jsx': `${use('useState')}import { Row } from './Row';
export default function App() {
  const [boats] = useState([{ id: 1, name: 'Wren', lit: false }]);
  return <ul>{boats.map((boat) => <Row key={boat.id} boat={boat} />)}</ul>;
}`,
      'Row.jsx': `export function Row({ boat }) {
  const light = () => {
    ¶boat.lit = true;
  };
  return <li><button onClick={light}>{boat.name}</button> {boat.lit ? 'lit' : 'dark'}</li>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { Row } from './Row';
export default function App() {
  const [boats, setBoats] = useState([{ id: 1, name: 'Wren', lit: false }]);
  const light = (id) => setBoats(boats.map((one) => (one.id === id ? { ...one, lit: true } : one)));
  return <ul>{boats.map((boat) => <Row key={boat.id} boat={boat} onLight={() => light(boat.id)} />)}</ul>;
}`,
      'Row.jsx': `export function Row({ boat, onLight }) {
  return <li><button onClick={onLight}>{boat.name}</button> {boat.lit ? 'lit' : 'dark'}</li>;
}`,
    },
    acts: ['Wren'],
  },
  {
    rule: 'two-way-half',
    form: 'a checked field without a listener',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [on, setOn] = useState(false);
  return <main><label>Lit<input type="checkbox" ¶checked={on} /></label><button onClick={() => setOn(true)}>On</button></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [on, setOn] = useState(false);
  return <main><label>Lit<input type="checkbox" checked={on} onChange={(event) => setOn(event.target.checked)} /></label><button onClick={() => setOn(true)}>On</button></main>;
}`,
    },
  },
  {
    rule: 'context-missing',
    form: 'the part that provides takes from its own context',
    files: {
      'App.jsx': `${use('createContext', 'useContext')}
const Tide = createContext();
function Sheet() {
  const tide = ¶useContext(Tide);
  return <Tide.Provider value={{ high: 3 }}><p>{tide.high}</p></Tide.Provider>;
}
export default function App() {
  return <Sheet />;
}`,
    },
    sound: {
      'App.jsx': `${use('createContext', 'useContext')}
const Tide = createContext();
function High() {
  return <p>{useContext(Tide).high}</p>;
}
export default function App() {
  return <Tide.Provider value={{ high: 3 }}><High /></Tide.Provider>;
}`,
    },
  },
  {
    rule: 'context-shadowed',
    form: 'a part inside provides the same context again for some',
    files: {
      'App.jsx': `import { Unit } from './unit';
import { Inner } from './Inner';
import { Label } from './Label';
export default function App() {
  return <Unit.Provider value="m"><Label /><Inner /></Unit.Provider>;
}`,
      'unit.js': `import { createContext } from 'react';
export const Unit = createContext('m');`,
      'Inner.jsx': `import { Unit } from './unit';
import { Label } from './Label';
export function Inner() {
  return <¶Unit.Provider value="ft"><Label /></Unit.Provider>;
}`,
      'Label.jsx': `${use('useContext')}import { Unit } from './unit';
export function Label() {
  return <i>{useContext(Unit)}</i>;
}`,
    },
    sound: {
      'Inner.jsx': `import { Label } from './Label';
export function Inner() {
  return <Label />;
}`,
    },
    unseen: true,
  },
  {
    rule: 'context-close',
    form: 'a context for the one part that stands just below',
    files: {
      'App.jsx': `${use('useState')}import { Names } from './names';
import { List } from './List';
export default function App() {
  const [names] = useState(['Ann']);
  return <¶Names.Provider value={names}><List /></Names.Provider>;
}`,
      'names.js': `import { createContext } from 'react';
export const Names = createContext([]);`,
      'List.jsx': `${use('useContext')}import { Names } from './names';
export function List() {
  const names = useContext(Names);
  return <ul>{names.map((one) => <li key={one}>{one}</li>)}</ul>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { List } from './List';
export default function App() {
  const [names] = useState(['Ann']);
  return <List names={names} />;
}`,
      'names.js': 'export {};',
      'List.jsx': `export function List({ names }) {
  return <ul>{names.map((one) => <li key={one}>{one}</li>)}</ul>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'event-idle',
    form: 'a callback that every use gives as an empty function',
    files: {
      'App.jsx': `import { Card } from './Card';
export default function App() {
  return <main><Card name="a" /><Card name="b" /></main>;
}`,
      'Card.jsx': `export function Card({ name, ¶onHover }) {
  return <p>{name}</p>;
}`,
    },
    sound: {
      'Card.jsx': `export function Card({ name }) {
  return <p>{name}</p>;
}`,
    },
    or: ['prop-idle'],
    unseen: true,
  },
  {
    rule: 'slot-idle',
    form: 'a place for content that nobody fills',
    files: {
      'App.jsx': `import { Panel } from './Panel';
export default function App() {
  return <main><Panel title="a">one</Panel><Panel title="b">two</Panel></main>;
}`,
      'Panel.jsx': `export function Panel({ title, children, ¶footer }) {
  return <section><h2>{title}</h2>{children}{footer ? <footer>{footer}</footer> : null}</section>;
}`,
    },
    sound: {
      'Panel.jsx': `export function Panel({ title, children }) {
  return <section><h2>{title}</h2>{children}</section>;
}`,
    },
    or: ['prop-unused'],
    unseen: true,
  },
  {
    rule: 'twins',
    form: 'two parts of which one was copied and three words changed',
    files: {
      'App.jsx': `import { HighTide } from './HighTide';
import { LowTide } from './LowTide';
export default function App() {
  return <main><HighTide rows={[{ id: 1, at: '6:10', metres: 4 }]} /><LowTide rows={[{ id: 2, at: '12:20', metres: 1 }]} /></main>;
}`,
      'HighTide.jsx': `import { useState } from 'react';
¶export function HighTide({ rows }) {
  const [open, setOpen] = useState(true);
  const sum = rows.reduce((all, one) => all + one.metres, 0);
  return (
    <section className="tide high">
      <h2 onClick={() => setOpen(!open)}>High tide</h2>
      {open && (
        <ol>
          {rows.map((row) => (
            <li key={row.id}>
              <b>{row.at}</b> <i>{row.metres} m</i>
            </li>
          ))}
        </ol>
      )}
      <p>{sum} m in all, {(sum / rows.length).toFixed(1)} m each</p>
    </section>
  );
}`,
      'LowTide.jsx': `import { useState } from 'react';
export function LowTide({ rows }) {
  const [open, setOpen] = useState(true);
  const sum = rows.reduce((all, one) => all + one.metres, 0);
  return (
    <section className="tide low">
      <h2 onClick={() => setOpen(!open)}>Low tide</h2>
      {open && (
        <ol>
          {rows.map((row) => (
            <li key={row.id}>
              <b>{row.at}</b> <i>{row.metres} m</i>
            </li>
          ))}
        </ol>
      )}
      <p>{sum} m in all, {(sum / rows.length).toFixed(1)} m each</p>
    </section>
  );
}`,
    },
    sound: {
      'LowTide.jsx': `export function LowTide({ rows }) {
  return <p>{rows.length}</p>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'store-private',
    form: 'a store that one part alone reads and sets',
    files: {
      'App.jsx': `import { Steps } from './Steps';
export default function App() {
  return <Steps />;
}`,
      'Steps.jsx': `import { useSteps } from './steps';
export function Steps() {
  const { at, next } = useSteps();
  return <button onClick={next}>Step {at}</button>;
}`,
      'steps.js': `import { create } from 'zustand';
export const ¶useSteps = create((set) => ({ at: 0, next: () => set((all) => ({ at: all.at + 1 })) }));`,
    },
    sound: {
      'Steps.jsx': `${use('useState')}
export function Steps() {
  const [at, setAt] = useState(0);
  return <button onClick={() => setAt(at + 1)}>Step {at}</button>;
}`,
      'steps.js': 'export {};',
    },
    unseen: true,
  },
  {
    rule: 'channel-unpaired',
    form: 'a bus of the project on which something is sent that nobody hears',
    files: {
      'App.jsx': `import { Bell } from './Bell';
import { Ear } from './Ear';
export default function App() {
  return <main><Bell /><Ear /></main>;
}`,
      'bus.js': `const all = new Map();
export const bus = {
  on(name, run) { all.set(name, [...(all.get(name) ?? []), run]); return () => all.set(name, (all.get(name) ?? []).filter((one) => one !== run)); },
  emit(name, value) { for (const run of all.get(name) ?? []) run(value); },
};`,
      'Bell.jsx': `import { bus } from './bus';
export function Bell() {
  return <main><button onClick={() => bus.emit('ring', 1)}>Ring</button><button onClick={() => bus.emit(¶'silence', 0)}>Hush</button></main>;
}`,
      'Ear.jsx': `${use('useEffect', 'useState')}import { bus } from './bus';
export function Ear() {
  const [n, setN] = useState(0);
  useEffect(() => bus.on('ring', () => setN((now) => now + 1)), []);
  return <p>{n}</p>;
}`,
    },
    sound: {
      'Bell.jsx': `import { bus } from './bus';
export function Bell() {
  return <main><button onClick={() => bus.emit('ring', 1)}>Ring</button></main>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'event-stops-short',
    form: 'an owner waits for what a part two below raises to its own owner',
    files: {
      'App.jsx': `${use('useState')}import { Shelf } from './Shelf';
export default function App() {
  const [at, setAt] = useState('');
  return <main><Shelf ¶onOpen={setAt} /><p>{at}</p></main>;
}`,
      'Shelf.jsx': `import { Book } from './Book';
export function Shelf() {
  return <ul><Book title="Tides" /></ul>;
}`,
      'Book.jsx': `export function Book({ title, onOpen }) {
  return <li><button onClick={() => onOpen?.(title)}>{title}</button></li>;
}`,
    },
    sound: {
      'Shelf.jsx': `import { Book } from './Book';
export function Shelf({ onOpen }) {
  return <ul><Book title="Tides" onOpen={onOpen} /></ul>;
}`,
    },
    or: ['prop-unknown', 'event-never-raised'],
    acts: ['Tides'],
  },
  {
    rule: 'markup-repeated',
    or: ['twins'],
    form: 'the same rows of markup in two parts',
    files: {
      'App.jsx': `import { Left } from './Left';
import { Right } from './Right';
export default function App() {
  return <main><Left boat={{ name: 'Wren', length: 4, beam: 2, draught: 1 }} /><Right ship={{ name: 'Teal', length: 9, beam: 3, draught: 2 }} /></main>;
}`,
      'Left.jsx': `¶export function Left({ boat }) {
  return (
    <aside>
      <h2>Moored</h2>
      ¶<dl className="measures">
        <dt>Name</dt>
        <dd>{boat.name}</dd>
        <dt>Length</dt>
        <dd>{boat.length} m</dd>
        <dt>Beam</dt>
        <dd>{boat.beam} m</dd>
        <dt>Draught</dt>
        <dd>{boat.draught} m</dd>
      </dl>
    </aside>
  );
}`,
      'Right.jsx': `export function Right({ ship }) {
  return (
    <section>
      <p>Expected today</p>
      <dl className="measures">
        <dt>Name</dt>
        <dd>{ship.name}</dd>
        <dt>Length</dt>
        <dd>{ship.length} m</dd>
        <dt>Beam</dt>
        <dd>{ship.beam} m</dd>
        <dt>Draught</dt>
        <dd>{ship.draught} m</dd>
      </dl>
      <button>Berth</button>
    </section>
  );
}`,
    },
    sound: {
      'Right.jsx': `export function Right({ ship }) {
  return <p>{ship.name}</p>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'default-lacking',
    form: 'an optional typed list is mapped without asking',
    files: {
      'App.tsx': `import { Tags } from './Tags';
export default function App() {
  return <main><Tags names={['a']} /><Tags /></main>;
}`,
      'Tags.tsx': `export function Tags({ names }: { names?: string[] }) {
  return <ul>{(¶names as string[]).map((one) => <li key={one}>{one}</li>)}</ul>;
}`,
    },
    sound: {
      'Tags.tsx': `export function Tags({ names = [] }: { names?: string[] }) {
  return <ul>{names.map((one) => <li key={one}>{one}</li>)}</ul>;
}`,
    },
  },
  {
    rule: 'change-unseen',
    form: 'an item is moved by a splice in a copy of nothing',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [rows, setRows] = useState(['a', 'b']);
  const up = (at) => {
    const next = rows;
    const [one] = ¶next.splice(at, 1);
    next.unshift(one);
    setRows(next);
  };
  return <ol>{rows.map((one, at) => <li key={one}><button onClick={() => up(at)}>{one}</button></li>)}</ol>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [rows, setRows] = useState(['a', 'b']);
  const up = (at) => {
    const next = [...rows];
    const [one] = next.splice(at, 1);
    next.unshift(one);
    setRows(next);
  };
  return <ol>{rows.map((one, at) => <li key={one}><button onClick={() => up(at)}>{one}</button></li>)}</ol>;
}`,
    },
    acts: ['b'],
  },
  {
    rule: 'change-unseen',
    form: 'what a ref counts is shown',
    files: {
      'App.jsx': `${use('useRef')}
export default function App() {
  const clicks = useRef(0);
  return <button onClick={() => { ¶clicks.current++; }}>Clicked {clicks.current} times</button>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [clicks, setClicks] = useState(0);
  return <button onClick={() => setClicks(clicks + 1)}>Clicked {clicks} times</button>;
}`,
    },
    acts: ['Clicked'],
  },
  {
    rule: 'stale-reading',
    form: 'a subscription to a socket reads a state, once',
    files: {
      'App.jsx': `${use('useEffect', 'useState')}import { feed } from './feed';
export default function App() {
  const [room, setRoom] = useState('quay');
  const [lines, setLines] = useState([]);
  useEffect(() => feed.on('line', (text) => setLines((all) => [...all, ¶room + ': ' + text])), []);
  return <main><button onClick={() => setRoom('lock')}>Lock</button><button onClick={() => feed.say('hello')}>Say</button><p>{lines.join()}</p></main>;
}`,
      'feed.js': `const heard = new Set();
export const feed = {
  on(_, run) { heard.add(run); return () => heard.delete(run); },
  say(text) { for (const run of heard) run(text); },
};`,
    },
    sound: {
      'App.jsx': `${use('useEffect', 'useState')}import { feed } from './feed';
export default function App() {
  const [room, setRoom] = useState('quay');
  const [lines, setLines] = useState([]);
  useEffect(() => feed.on('line', (text) => setLines((all) => [...all, room + ': ' + text])), [room]);
  return <main><button onClick={() => setRoom('lock')}>Lock</button><button onClick={() => feed.say('hello')}>Say</button><p>{lines.join()}</p></main>;
}`,
    },
    acts: ['Lock', 'Say'],
  },
  {
    rule: 'prop-missing',
    form: 'a prop that propTypes ask for, of a class',
    files: {
      'App.jsx': `import Meter from './Meter';
export default function App() {
  return <main><Meter label="a" value={1} /><¶Meter label="b" /></main>;
}`,
      'Meter.jsx': `import { Component } from 'react';
import PropTypes from 'prop-types';
export default class Meter extends Component {
  render() {
    const { label, value } = this.props;
    return <p>{label}: {value.toFixed(1)}</p>;
  }
}
Meter.propTypes = { label: PropTypes.string, value: PropTypes.number.isRequired };`,
    },
    sound: {
      'App.jsx': `import Meter from './Meter';
export default function App() {
  return <main><Meter label="a" value={1} /><Meter label="b" value={2} /></main>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'prop-missing',
    form: 'a part in a forwardRef with typed props',
    files: {
      'App.tsx': `import { Field } from './Field';
export default function App() {
  return <¶Field label="Name" />;
}`,
      'Field.tsx': `import { forwardRef } from 'react';
type FieldProps = { label: string; options: string[] };
export const Field = forwardRef<HTMLSelectElement, FieldProps>(function Field({ label, options }, ref) {
  return <label>{label}<select ref={ref}>{options.map((one) => <option key={one}>{one}</option>)}</select></label>;
});`,
    },
    sound: {
      'App.tsx': `import { Field } from './Field';
export default function App() {
  return <Field label="Name" options={['a']} />;
}`,
    },
  },
  {
    rule: 'prop-spelt',
    form: 'a callback under a near name',
    files: {
      'App.jsx': `${use('useState')}import { Dialog } from './Dialog';
export default function App() {
  const [open, setOpen] = useState(true);
  return open ? <Dialog ¶onClosed={() => setOpen(false)} /> : <p>gone</p>;
}`,
      'Dialog.jsx': `export function Dialog({ onClose }) {
  return <button onClick={() => onClose && onClose()}>Close</button>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}import { Dialog } from './Dialog';
export default function App() {
  const [open, setOpen] = useState(true);
  return open ? <Dialog onClose={() => setOpen(false)} /> : <p>gone</p>;
}`,
    },
    or: ['prop-unknown', 'event-never-raised'],
    acts: ['Close'],
  },
  {
    rule: 'list-unkeyed',
    form: 'a key made anew each time',
    files: {
      'App.jsx': `${use('useState')}
const all = ['oak', 'ash'];
export default function App() {
  const [n, setN] = useState(0);
  return <main><button onClick={() => setN(n + 1)}>Again {n}</button>{all.map((one) => <label ¶key={Math.random()}>{one}<input /></label>)}</main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
const all = ['oak', 'ash'];
export default function App() {
  const [n, setN] = useState(0);
  return <main><button onClick={() => setN(n + 1)}>Again {n}</button>{all.map((one) => <label key={one}>{one}<input /></label>)}</main>;
}`,
    },
    acts: ['oak=x', 'Again'],
  },
  {
    rule: 'context-missing',
    form: 'a part is shown in a portal of a page without the provider',
    files: {
      'App.jsx': `${use('useContext', 'createContext')}
const Theme = createContext(undefined);
const Chip = () => <b>{useContext(Theme).colour}</b>;
const Page = () => <section><h1>Page</h1><¶Chip /></section>;
const Other = () => <Theme.Provider value={{ colour: 'red' }}><Chip /></Theme.Provider>;
export default function App() {
  return <main><Other /><Page /></main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useContext', 'createContext')}
const Theme = createContext(undefined);
const Chip = () => <b>{useContext(Theme).colour}</b>;
const Page = () => <section><h1>Page</h1><Chip /></section>;
export default function App() {
  return <Theme.Provider value={{ colour: 'red' }}><Page /></Theme.Provider>;
}`,
    },
  },
  {
    rule: 'subscription-kept',
    form: 'an observer of a media query in an effect',
    files: {
      'App.jsx': `${use('useState')}import { Wide } from './Wide';
export default function App() {
  const [on, setOn] = useState(true);
  return <main><button onClick={() => setOn(!on)}>Wide</button>{on && <Wide />}</main>;
}`,
      'Wide.jsx': `${use('useEffect', 'useState')}
export function Wide() {
  const [wide, setWide] = useState(false);
  useEffect(() => {
    const query = matchMedia('(min-width: 700px)');
    ¶query.addEventListener('change', (event) => setWide(event.matches));
    setWide(query.matches);
  }, []);
  return <p>{wide ? 'wide' : 'narrow'}</p>;
}`,
    },
    sound: {
      'Wide.jsx': `${use('useEffect', 'useState')}
export function Wide() {
  const [wide, setWide] = useState(false);
  useEffect(() => {
    const query = matchMedia('(min-width: 700px)');
    const hear = (event) => setWide(event.matches);
    query.addEventListener('change', hear);
    setWide(query.matches);
    return () => query.removeEventListener('change', hear);
  }, []);
  return <p>{wide ? 'wide' : 'narrow'}</p>;
}`,
    },
    unseen: true,
  },
  {
    rule: 'endless-render',
    form: 'a state is set while rendering',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [n, setN] = useState(0);
  ¶setN(n + 1);
  return <p>{n}</p>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [n, setN] = useState(0);
  return <p onClick={() => setN(n + 1)}>{n}</p>;
}`,
    },
  },
  {
    rule: 'handler-missing',
    form: 'a setter is called where it should be given',
    files: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [open, setOpen] = useState(false);
  return <main><button onClick={¶setOpen(true)}>Open</button>{open && <p>open</p>}</main>;
}`,
    },
    sound: {
      'App.jsx': `${use('useState')}
export default function App() {
  const [open, setOpen] = useState(false);
  return <main><button onClick={() => setOpen(true)}>Open</button>{open && <p>open</p>}</main>;
}`,
    },
    or: ['endless-render'],
    acts: ['Open'],
  },

  mended({
    rule: 'prop-written',
    form: 'what is given is sorted while the part renders',
    files: {
      'App.jsx':
        "import { useState } from 'react';\nimport List from './List';\nexport default function App() {\n  const [names, setNames] = useState(['oak', 'elm', 'ash']);\n  return <main><p>{names.join(' ')}</p><List names={names} /><button onClick={() => setNames([...names, 'bay'])}>bay</button></main>;\n}",
      'List.jsx':
        'export default function List({ names }) {\n  return (\n    <ul>\n      {¶names.sort().map((one) => (\n        <li key={one}>{one}</li>\n      ))}\n    </ul>\n  );\n}',
    },
    by: [['names.sort()', '[...names].sort()']],
    acts: ['bay'],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a variable of the module is counted and shown',
    files: {
      'App.jsx':
        'let count = 0;\nexport default function App() {\n  return (\n    <button\n      onClick={() => {\n        ¶count += 1;\n      }}\n    >\n      count {count}\n    </button>\n  );\n}',
    },
    by: [
      [
        'let count = 0;\nexport default function App() {',
        "import { useState } from 'react';\nexport default function App() {\n  const [count, setCount] = useState(0);",
      ],
      ['count += 1;', 'setCount(count + 1);'],
    ],
    acts: ['count 0'],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a date in state is moved and set again',
    files: {
      'App.jsx':
        "import { useState } from 'react';\nexport default function App() {\n  const [day, setDay] = useState(() => new Date(2026, 0, 1));\n  const next = () => {\n    ¶day.setDate(day.getDate() + 1);\n    setDay(day);\n  };\n  return <main><p>{day.toDateString()}</p><button onClick={next}>next</button></main>;\n}",
    },
    by: [['day.setDate(day.getDate() + 1);\n    setDay(day);', 'setDay(new Date(day.getTime() + 86400000));']],
    acts: ['next'],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'an id made from the position is the key, and the list grows at its front',
    files: {
      'App.jsx':
        "import { useState } from 'react';\nimport Row from './Row';\nexport default function App() {\n  const [names, setNames] = useState(['cod']);\n  const rows = names.map((name, at) => ({ id: at, name }));\n  return (\n    <main>\n      <button onClick={() => setNames(['ling', ...names])}>add</button>\n      {rows.map((row) => (\n        ¶<Row key={row.id} name={row.name} />\n      ))}\n    </main>\n  );\n}",
      'Row.jsx':
        "import { useState } from 'react';\nexport default function Row({ name }) {\n  const [open, setOpen] = useState(false);\n  return <button onClick={() => setOpen(!open)}>{name}{open ? ' more' : ''}</button>;\n}",
    },
    by: [['id: at, name', 'id: name, name']],
    acts: ['cod', 'add'],
  }),
  mended({
    rule: 'store-dead',
    form: 'a list of a module is only pushed to',
    files: {
      'App.jsx':
        "import { note } from './visits';\nexport default function App() {\n  return <button onClick={() => note('home')}>home</button>;\n}",
      'visits.js': '¶const visits = [];\nexport function note(page) {\n  visits.push(page);\n}',
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a prop is written with a hyphen',
    files: {
      'App.jsx': "import Dial from './Dial';\nexport default function App() {\n  return (\n    <Dial\n      ¶start-at={4}\n    />\n  );\n}",
      'Dial.jsx':
        "import { useState } from 'react';\nexport default function Dial({ startAt = 0 }) {\n  const [n, setN] = useState(startAt);\n  return <button onClick={() => setN(n + 1)}>{n}</button>;\n}",
    },
    or: ['prop-unknown'],
    by: [['start-at', 'startAt']],
    acts: [],
  }),
  mended({
    rule: 'wrapper-thin',
    form: 'a part with the defaults of the one that it hands all on to',
    files: {
      'App.jsx': 'import Box from \'./Box\';\nexport default function App() {\n  return <Box name="North" />;\n}',
      'Box.jsx':
        "import Card from './Card';\n¶export default function Box({ name, tone = 'calm' }) {\n  return <Card name={name} tone={tone} />;\n}",
      'Card.jsx': "export default function Card({ name, tone = 'calm' }) {\n  return <h3 className={tone}>{name}</h3>;\n}",
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a question of the screen is listened to where it is asked',
    files: {
      'App.jsx':
        "import { useState } from 'react';\nimport Narrow from './Narrow';\nexport default function App() {\n  const [on, setOn] = useState(true);\n  return <main><button onClick={() => setOn(!on)}>x</button>{on && <Narrow />}</main>;\n}",
      'Narrow.jsx':
        "import { useEffect, useState } from 'react';\nexport default function Narrow() {\n  const [narrow, setNarrow] = useState(false);\n  useEffect(() => {\n    ¶matchMedia('(max-width: 600px)').addEventListener('change', (event) => setNarrow(event.matches));\n  }, []);\n  return <b>{narrow ? 'narrow' : 'wide'}</b>;\n}",
    },
    by: [],
    unseen: true,
  }),
  mended({
    rule: 'change-unseen',
    form: 'a list is sorted where it stands and set to what that gives',
    files: {
      'App.jsx':
        "import { useState } from 'react';\nexport default function App() {\n  const [names, setNames] = useState(['b', 'a']);\n  const sort = () => {\n    ¶setNames(names.sort());\n  };\n  return <div><button onClick={sort}>sort</button>{names.map((name) => <i key={name}>{name}</i>)}</div>;\n}",
    },
    by: [['names.sort()', '[...names].sort()']],
    acts: ['sort'],
  }),
];
