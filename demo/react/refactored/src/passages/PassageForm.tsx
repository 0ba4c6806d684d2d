import { type FormEvent, useState } from 'react';
import type { Lock } from '@/data/canal';
import { DateField } from '@/parts/DateField';
import { LockChoice } from './LockChoice';

export type Booking = { lockId: string; boat: string; eta: string };

type Props = { locks: Lock[]; onBook: (booking: Booking) => void };

export function PassageForm({ locks, onBook }: Props) {
  const [boat, setBoat] = useState('');
  const [eta, setEta] = useState('12:00');
  const [lockId, setLockId] = useState(locks[0]?.id ?? '');

  const submit = (event: FormEvent) => {
    event.preventDefault();
    onBook({ lockId, boat, eta });
    setBoat('');
  };

  return (
    <form onSubmit={submit}>
      <label>
        Boat <input required value={boat} onChange={(event) => setBoat(event.target.value)} />
      </label>
      <LockChoice locks={locks} lockId={lockId} onChoose={setLockId} />
      <DateField label="Arrives" value={eta} onChange={setEta} />
      <button>Book</button>
    </form>
  );
}
