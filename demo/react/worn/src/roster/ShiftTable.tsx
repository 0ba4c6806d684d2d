import type { Shift } from '@/data/canal';
import { ShiftCell } from './ShiftCell';

type Props = { shifts: Shift[]; onSwap: (shiftId: string) => void };

export function ShiftTable({ shifts, onSwap }: Props) {
  return (
    <table className="shift-table">
      <tbody>
        {shifts
          .filter((shift) => shift.keeper !== 'to be found')
          .map((shift, index) => (
            <tr key={index}>
              <th>{shift.day}</th>
              <ShiftCell shift={shift} onSwap={() => onSwap(shift.id)} />
            </tr>
          ))}
      </tbody>
    </table>
  );
}
