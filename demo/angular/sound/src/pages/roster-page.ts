import { Component, inject, signal } from '@angular/core';
import { firstShifts, Shift } from '../data/canal';
import { Keeper } from '../data/keeper';
import { NoteField } from '../parts/note-field';
import { ShiftTable } from '../roster/shift-table';
import { KeeperMenu } from '../shell/keeper-menu';

@Component({
  selector: 'tow-roster-page',
  imports: [KeeperMenu, NoteField, ShiftTable],
  providers: [Keeper],
  template: `
    <h1>Roster</h1>
    <tow-keeper-menu (signOff)="signedOff.set($event)" />
    @if (signedOff()) {
      <p>{{ signedOff() }} has signed off.</p>
    }
    <tow-shift-table [shifts]="shifts()" (taken)="take($event)" />
    <tow-note-field [(note)]="note" />
    <p>{{ note().length }} letters</p>
  `,
})
export default class RosterPage {
  private readonly keeper = inject(Keeper);
  protected readonly shifts = signal<readonly Shift[]>(firstShifts);
  protected readonly note = signal('');
  protected readonly signedOff = signal('');

  protected take(id: string): void {
    this.shifts.update((all) => all.map((one) => (one.id === id ? { ...one, keeper: this.keeper.name() } : one)));
  }
}
