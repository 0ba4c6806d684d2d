import { expect, test } from 'vitest';
import { mounted, tracedIn } from '../testing/trace';
const leaf = 'function Leaf({ a }) { return <p>{a}</p>; }\n';
test('try', () => {
  const show = (files: Record<string, string>, name: string, q: 'goes' | 'comes' | 'changes' | 'impact') =>
    console.log(`${name} ${q}\n` + tracedIn(files, name, q).join('\n'));
  const two = mounted(
    `import { useLevels, closed } from './store'; ${leaf}
  function Gate({ id }) { const set = useLevels((s) => s.setLevel); return <button onClick={() => set(id, 3)}/>; }
  function Gauge({ id }) { const level = useLevels((s) => s.levels[id]); return <Leaf a={level}/>; }
  export function App() { return <><Gate id='1'/><Gauge id='1'/></>; }`,
    {
      'src/store.ts': `export const useLevels = create((set, get) => ({ levels: {}, setLevel: (id, value) => set((s) => ({ levels: { ...s.levels, [id]: value } })) }));`,
    },
  );
  show(two, 'store.ts:useLevels', 'goes');
  show(two, 'Leaf.a', 'comes');
  show(two, 'Leaf.a', 'changes');
  show(two, 'Leaf.a', 'impact');
  const three = mounted(
    `import { useSyncExternalStore } from 'react'; import { subscribe, getLevels, setLevel } from './levels'; ${leaf}
  function Gate({ id }) { return <button onClick={() => setLevel(id, 3)}/>; }
  function Gauge({ id }) { const levels = useSyncExternalStore(subscribe, getLevels); return <Leaf a={levels[id]}/>; }
  export function App() { return <><Gate id='1'/><Gauge id='1'/></>; }`,
    {
      'src/levels.ts': `let levels = { a: 1 }; const listeners = new Set(); export function subscribe(l) { listeners.add(l); return () => listeners.delete(l); } export function getLevels() { return levels; } export function setLevel(id, value) { levels = { ...levels, [id]: value }; for (const one of listeners) one(); }`,
    },
  );
  show(three, 'levels.ts:levels', 'goes');
  show(three, 'Leaf.a', 'comes');
  show(three, 'Leaf.a', 'changes');
  show(three, 'Leaf.a', 'impact');
  const four =
    mounted(`import { createContext, useContext, useReducer, useEffect, useState } from 'react'; ${leaf} const Keeper = createContext(null); function useKeeper() { return useContext(Keeper); }
  function reducer(state, action) { switch (action.type) { case 'book': return [...state, action.boat]; default: return state; } }
  function Form({ onBook }) { const [draft, setDraft] = useState(''); return <form onSubmit={() => onBook(draft)}><input value={draft} onChange={(e) => setDraft(e.target.value)}/></form>; }
  function Menu() { const { keeper, setKeeper } = useKeeper(); return <b onClick={() => setKeeper('x')}>{keeper.name}</b>; }
  function Bell() { useEffect(() => { const c = new BroadcastChannel('alarm'); c.postMessage({ lock: 1 }); window.addEventListener('lock-chosen', (e) => console.log(e.detail.id)); }); return null; }
  function Ear() { const [last, setLast] = useState(null); useEffect(() => { const c = new BroadcastChannel('alarm'); c.onmessage = (event) => setLast(event.data.lock); }, []); return <Leaf a={last}/>; }
  export function App() { const [boats, dispatch] = useReducer(reducer, []); const [keeper, setKeeper] = useState({}); const book = (boat) => dispatch({ type: 'book', boat });
  useEffect(() => { fetch('/api/keeper').then((r) => r.json()).then(setKeeper); }, []);
  return <Keeper.Provider value={{ keeper, setKeeper }}><Form onBook={book}/><Menu/><Bell/><Ear/>{boats.map((b) => <Leaf key={b} a={b}/>)}</Keeper.Provider>; }`);
  show(four, 'Form.draft', 'goes');
  show(four, 'Form.draft', 'comes');
  show(four, 'App.keeper', 'goes');
  show(four, 'App.keeper', 'comes');
  show(four, 'App.boats', 'comes');
  show(four, 'App.boats', 'changes');
  show(four, 'Menu.useKeeper', 'comes');
  show(four, 'Ear.last', 'changes');
  show(four, 'App.keeper', 'changes');
  show(four, 'App.keeper', 'impact');
  expect(1).toBe(1);
});
