import type { ReactNode } from 'react';
import type { Lock } from '@/data/canal';

type Props = { locks: Lock[]; children: (lock: Lock) => ReactNode };

export function LockList({ locks, children }: Props) {
  return (
    <ul className="lock-list">
      {locks.map((lock) => (
        <li key={lock.id}>{children(lock)}</li>
      ))}
    </ul>
  );
}
