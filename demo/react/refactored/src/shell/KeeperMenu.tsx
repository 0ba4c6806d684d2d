import { useKeeper } from './keeper';

export function KeeperMenu() {
  const { keeper, signOff } = useKeeper();

  return (
    <span>
      {keeper.name}
      {keeper.onDuty && <button onClick={signOff}>Sign off</button>}
    </span>
  );
}
