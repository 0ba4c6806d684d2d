import { Component, inject, signal } from '@angular/core';
import { firstShifts, Shift } from '../data/canal';
import { Keeper } from '../data/keeper';
import { InfoBubble } from '../parts/info-bubble';
import { NoteField } from '../parts/note-field';
import { ShiftTable } from '../roster/shift-table';

@Component({
  selector: 'tow-roster-page',
  imports: [InfoBubble, NoteField, ShiftTable],
  providers: [Keeper],
  template: `
    <h1>Roster</h1>
    <tow-shift-table [shifts]="shifts()" (taken)="take($event)" (opened)="openedDay.set($event)" />
    @if (openedDay()) {
      <tow-info-bubble [text]="openedDay()" />
    }
    <tow-note-field [(note)]="note" />
    <p>{{ note().length }} letters</p>
  `,
})
export default class RosterPage {
  private readonly keeper = inject(Keeper);
  protected readonly shifts = signal<readonly Shift[]>(firstShifts);
  protected readonly note = signal('');
  protected readonly openedDay = signal('');

  protected take(id: string): void {
    this.shifts.update((all) => all.map((one) => (one.id === id ? { ...one, keeper: this.keeper.name() } : one)));
  }
}
