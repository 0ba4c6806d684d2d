import { Component, computed, inject, input, output } from '@angular/core';
import { Shift } from '../data/canal';
import { Keeper } from '../data/keeper';

@Component({
  selector: 'tow-shift-cell',
  template: `
    <p class="shift" [class.own]="isOwn()">
      {{ shift().day }} {{ shift().hours }} {{ shift().keeper }}
      @if (!isOwn()) {
        <button type="button" (click)="took.emit()">Take over</button>
      }
    </p>
  `,
})
export class ShiftCell {
  readonly shift = input.required<Shift>();
  readonly took = output<void>();
  private readonly keeper = inject(Keeper);
  protected readonly isOwn = computed(() => this.shift().keeper === this.keeper.name());
}
