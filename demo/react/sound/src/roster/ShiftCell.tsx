import { useState } from 'react';
import type { Shift } from '@/data/canal';

type Props = { shift: Shift; onSwap: () => void };

export function ShiftCell({ shift, onSwap }: Props) {
  const [note, setNote] = useState('');

  return (
    <td>
      {shift.keeper}, {shift.hours} <input aria-label="Note" value={note} onChange={(event) => setNote(event.target.value)} />
      <button onClick={onSwap}>Swap</button>
    </td>
  );
}
