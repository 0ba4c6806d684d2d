import type { Shift } from '@/data/canal';
import { ShiftCell } from './ShiftCell';

type Props = { shifts: Shift[]; onSwap: (shiftId: string) => void };

export function ShiftTable({ shifts, onSwap }: Props) {
  return (
    <table className="shift-table">
      <tbody>
        {shifts.map((shift) => (
          <tr key={shift.id}>
            <th>{shift.day}</th>
            <ShiftCell shift={shift} onSwap={() => onSwap(shift.id)} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}
