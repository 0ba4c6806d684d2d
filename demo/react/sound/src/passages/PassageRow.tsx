import type { Status } from '@/data/canal';
import { useKeeper } from '@/shell/keeper';
import { BoatBadge } from './BoatBadge';
import { StatusPill } from './StatusPill';

type Props = {
  boat: string;
  status: Status;
  eta: string;
  onClear: () => void;
};

export function PassageRow({ boat, status, eta, onClear }: Props) {
  const { keeper } = useKeeper();

  return (
    <li className="passage-row">
      <time>{eta}</time>
      <BoatBadge name={boat} />
      <StatusPill status={status} onClear={onClear} canClear={keeper.onDuty} />
    </li>
  );
}
