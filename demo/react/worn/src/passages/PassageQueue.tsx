import type { Passage } from '@/data/canal';
import { PassageRow } from './PassageRow';

type Props = { items: Passage[]; dense?: boolean };

export function PassageQueue({ items, dense = false }: Props) {
  if (items.length === 0) return <p className="hint">Clear.</p>;

  return (
    <ul className="passage-queue" data-dense={dense}>
      {items.map((item) => (
        <PassageRow key={item.id} boat={item.boat} status={item.status} />
      ))}
    </ul>
  );
}
