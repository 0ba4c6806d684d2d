import type { Lock, Passage } from '@/data/canal';
import { LockCard } from './LockCard';

type Props = {
  locks: Lock[];
  passages: Passage[];
  selectedLock: string | null;
  onSelect: (lockId: string) => void;
};

export function LockList({ locks, passages, selectedLock, onSelect }: Props) {
  return (
    <ul className="lock-list">
      {locks.map((lock) => (
        <li key={lock.id} data-selected={lock.id === selectedLock}>
          <LockCard lock={lock} passages={passages} selectedLock={selectedLock} onSelect={onSelect} />
        </li>
      ))}
    </ul>
  );
}
