import { Component, input, output, signal } from '@angular/core';
import { Lock, Passage } from '../data/canal';

@Component({
  selector: 'tow-passage-form',
  template: `
    <form class="passage-form" (submit)="book($event)">
      <label>Boat <input [value]="boat()" (input)="boat.set($any($event.target).value)" /></label>
      <label>
        Lock
        <select [value]="lockId()" (change)="lockId.set($any($event.target).value)">
          @for (lock of locks(); track lock.id) {
            <option [value]="lock.id">{{ lock.name }}</option>
          }
        </select>
      </label>
      <button>Book</button>
    </form>
  `,
})
export class PassageForm {
  readonly locks = input.required<readonly Lock[]>();
  readonly booked = output<Passage>();
  protected readonly boat = signal('');
  protected readonly lockId = signal('aldermoor');

  protected book(event: Event): void {
    event.preventDefault();
    if (this.boat() === '') return;
    this.booked.emit({ id: crypto.randomUUID(), boat: this.boat(), lockId: this.lockId(), eta: '12:00', status: 'waiting' });
    this.boat.set('');
  }
}
