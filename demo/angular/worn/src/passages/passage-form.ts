import { Component, input, output, signal } from '@angular/core';
import { Lock, Passage } from '../data/canal';
import { DateField } from '../parts/date-field';
import { HintBubble } from '../parts/hint-bubble';

@Component({
  selector: 'tow-passage-form',
  imports: [DateField, HintBubble],
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
      <tow-date-field [value]="eta()" (valueChange)="eta.set($event)" />
      <button>Book</button>
      <tow-hint-bubble text="The keeper opens the gates when you come." />
    </form>
  `,
})
export class PassageForm {
  readonly locks = input.required<readonly Lock[]>();
  readonly booked = output<Passage>();
  readonly tone = input('calm');
  protected readonly eta = signal('12:00');
  protected readonly boat = signal('');
  protected readonly lockId = signal('aldermoor');

  protected book(event: Event): void {
    event.preventDefault();
    if (this.boat() === '') return;
    this.booked.emit({ id: crypto.randomUUID(), boat: this.boat(), lockId: this.lockId(), eta: this.eta(), status: 'waiting' });
    this.boat.set('');
    this.eta.set('12:00');
  }
}
