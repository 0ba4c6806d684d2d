import { mounted, type TraceCase } from '../trace';

const head = `import { createContext, useState, useContext, Component } from 'react';
export const Keeper = createContext(null);
`;
const withKeeper = `export function withKeeper(Inner) {
  function WithKeeper(props) { const keeper = useContext(Keeper); return <Inner {...props} keeper={keeper}/>; }
  WithKeeper.displayName = 'x';
  return WithKeeper;
}
`;
const menu = `function Menu({ keeper, boat, onPick }) { return <button onClick={() => onPick(boat)}>{keeper}</button>; }
const KeeperMenu = withKeeper(Menu);
`;
const app = `export function App() {
  const [keeper] = useState(1);
  const [boat, setBoat] = useState(2);
  return <Keeper.Provider value={keeper}><KeeperMenu boat={boat} onPick={setBoat}/></Keeper.Provider>;
}`;

/** Traces: through functions of the project that make components around others. */
export const makers: readonly TraceCase[] = [
  {
    name: 'what is handed on through a function of the project',
    files: mounted(`${head}${withKeeper}${menu}${app}`),
    of: 'App.boat',
    ask: 'goes',
    rungs: [
      'App owns boat',
      'withKeeper(Menu) passes unread boat',
      'Menu passes boat',
      'Menu raises onPick',
      'withKeeper(Menu) relays props',
      'App relays setBoat',
      'App changes boat | again',
    ],
  },
  {
    name: 'what a function of the project adds',
    files: mounted(`${head}${withKeeper}${menu}${app}`),
    of: 'Menu.keeper',
    ask: 'comes',
    rungs: [
      'Menu owns keeper',
      'withKeeper(Menu) passes keeper',
      'withKeeper(Menu) takes Keeper',
      'App provides keeper',
      'App owns keeper | constant',
    ],
  },
  {
    name: 'through a function around a component made in place',
    files: mounted(
      `${head}${withKeeper}const KeeperMenu = withKeeper(({ keeper, onPick }) => <button onClick={onPick}>{keeper}</button>);\n${app}`,
    ),
    of: 'App.keeper',
    ask: 'goes',
    rungs: [
      'App owns keeper',
      'App provides Keeper',
      'withKeeper(KeeperMenu) takes keeper',
      'KeeperMenu passes keeper',
      'KeeperMenu paints keeper | painted',
    ],
  },
  {
    name: 'an event out through the function around',
    files: mounted(`${head}${withKeeper}${menu}${app}`),
    of: 'App.boat',
    ask: 'changes',
    rungs: [
      'App owns boat',
      'withKeeper(Menu) relays onPick',
      'Menu relays onPick',
      'Menu changes boat',
      'Menu starts click | platform button',
    ],
  },
  {
    name: 'a class that a function makes, after options',
    files: mounted(`${head}const withSize = (size) => (Inner) => class extends Component {
  state = { wide: true };
  render() { return <Inner {...this.props} wide={this.state.wide}/>; }
};
function Menu({ wide, boat }) { return <p>{wide}{boat}</p>; }
const KeeperMenu = withSize(2)(Menu);
${app}`),
    of: 'Menu.wide',
    ask: 'comes',
    rungs: ['Menu owns wide', 'withSize(Menu) passes wide', 'withSize(Menu) owns wide | constant'],
  },
  {
    name: 'two functions around, one from another file',
    files: mounted(
      `import { useState } from 'react';
import { withKeeper, Keeper } from './with';
const withBoat = (Inner) => (props) => <Inner {...props} boat={1}/>;
${menu.replace('withKeeper(Menu)', 'withKeeper(withBoat(Menu))')}${app}`,
      { 'src/with.tsx': `${head}${withKeeper}` },
    ),
    of: 'App.keeper',
    ask: 'goes',
    rungs: [
      'App owns keeper',
      'App provides Keeper',
      'withKeeper(withBoat(Menu)) takes keeper',
      'withBoat(Menu) passes unread keeper',
      'Menu passes keeper',
      'Menu paints keeper | painted',
    ],
  },
];
