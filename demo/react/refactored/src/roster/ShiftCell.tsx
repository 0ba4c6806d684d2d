import type { Shift } from '@/data/canal';
import { NoteField } from './NoteField';

type Props = { shift: Shift; onSwap: () => void };

export function ShiftCell({ shift, onSwap }: Props) {
  return (
    <td>
      {shift.keeper}, {shift.hours} <NoteField label="Note" />
      <button onClick={onSwap}>Swap</button>
    </td>
  );
}
