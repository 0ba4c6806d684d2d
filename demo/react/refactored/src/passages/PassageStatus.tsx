import type { Status } from '@/data/canal';

type Props = { status: Status; canClear: boolean; onClear?: () => void };

export function PassageStatus({ status, canClear, onClear }: Props) {
  return (
    <span className="pill" data-tone={status}>
      {status}
      {canClear && status !== 'cleared' && <button onClick={() => onClear?.()}>Clear</button>}
    </span>
  );
}
