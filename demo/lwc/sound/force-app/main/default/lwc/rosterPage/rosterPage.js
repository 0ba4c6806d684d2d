import { LightningElement } from 'lwc';
import { firstShifts } from 'c/canal';

/** Keepers and shifts. */
export default class RosterPage extends LightningElement {
  shifts = firstShifts;

  get count() {
    return `${this.shifts.length} shifts this week`;
  }

  handleSwap(event) {
    this.shifts = this.shifts.map((shift) => (shift.id === event.detail.id ? { ...shift, keeper: 'to be found' } : shift));
  }
}
