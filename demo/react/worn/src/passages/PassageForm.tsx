import { type FormEvent, useCallback, useState } from 'react';
import type { Lock } from '@/data/canal';
import { DateField } from '@/parts/DateField';

export type Booking = { lockId: string; boat: string; eta: string };

type Props = { locks: Lock[]; onBook: (booking: Booking) => void };

export function PassageForm({ locks, onBook }: Props) {
  const [boat, setBoat] = useState('');
  const [eta, setEta] = useState('12:00');
  const [lockId, setLockId] = useState(locks[0]?.id ?? '');

  const submit = useCallback(
    (event: FormEvent) => {
      event.preventDefault();
      onBook({ lockId, boat, eta });
      setBoat('');
    },
    [lockId, boat, onBook],
  );

  return (
    <form onSubmit={submit}>
      <label>
        Boat <input required value={boat} onChange={(event) => setBoat(event.target.value)} />
      </label>
      <label>
        Lock{' '}
        <select value={lockId} onChange={(event) => setLockId(event.target.value)}>
          {locks.map((lock) => (
            <option key={lock.id} value={lock.id}>
              {lock.name}
            </option>
          ))}
        </select>
      </label>
      <DateField lable="Arrives" value={eta} onChange={setEta} onClear={() => setEta('12:00')} />
      <button>Book</button>
    </form>
  );
}
