import type { Lock } from '@/data/canal';

type Props = { locks: Lock[]; lockId: string; onChoose: (lockId: string) => void };

export function LockChoice({ locks, lockId, onChoose }: Props) {
  return (
    <label>
      Lock{' '}
      <select value={lockId} onChange={(event) => onChoose(event.target.value)}>
        {locks.map((lock) => (
          <option key={lock.id} value={lock.id}>
            {lock.name}
          </option>
        ))}
      </select>
    </label>
  );
}
