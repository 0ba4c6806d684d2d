import type { Stand } from './relief';

type Props = { stand: Stand; onPick: (standId: string) => void };

export function ReliefRow({ stand, onPick }: Props) {
  return (
    <li>
      {stand.name} <button onClick={() => onPick(stand.id)}>Ask</button>
    </li>
  );
}
