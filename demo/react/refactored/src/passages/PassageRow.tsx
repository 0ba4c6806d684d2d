import type { Status } from '@/data/canal';
import { useKeeper } from '@/shell/keeper';
import { BoatBadge } from './BoatBadge';
import { PassageStatus } from './PassageStatus';

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
      <BoatBadge>{boat}</BoatBadge>
      <PassageStatus status={status} onClear={onClear} canClear={keeper.onDuty} />
    </li>
  );
}
