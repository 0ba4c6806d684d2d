import { Component, input, output } from '@angular/core';
import { Shift } from '../data/canal';
import { ShiftCell } from './shift-cell';

@Component({
  selector: 'tow-shift-table',
  imports: [ShiftCell],
  template: `
    <div class="shift-table">
      @for (shift of shifts(); track shift.id) {
        <tow-shift-cell [shift]="shift" (took)="taken.emit(shift.id)" />
      }
    </div>
  `,
})
export class ShiftTable {
  readonly shifts = input.required<readonly Shift[]>();
  readonly taken = output<string>();
  readonly opened = output<string>();
}
