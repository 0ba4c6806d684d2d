import type { Passage } from '@/data/canal';
import { PassageRow } from './PassageRow';

type Props = { items: Passage[]; onClear: (passageId: string) => void };

export function PassageQueue({ items, onClear }: Props) {
  if (items.length === 0) return <p className="hint">Clear.</p>;

  return (
    <ul className="passage-queue">
      {items.map((item) => (
        <PassageRow key={item.id} boat={item.boat} status={item.status} eta={item.eta} onClear={() => onClear(item.id)} />
      ))}
    </ul>
  );
}
