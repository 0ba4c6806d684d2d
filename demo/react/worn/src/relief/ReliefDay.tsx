import type { Stand } from './relief';
import { ReliefRow } from './ReliefRow';

type Props = { stands: Stand[]; onPick: (standId: string) => void };

export function ReliefDay({ stands, onPick }: Props) {
  return (
    <ul>
      {stands.map((stand) => (
        <ReliefRow key={stand.id} stand={stand} onPick={(standId) => onPick(standId)} />
      ))}
    </ul>
  );
}
