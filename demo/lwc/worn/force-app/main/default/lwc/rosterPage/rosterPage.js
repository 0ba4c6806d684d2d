import { LightningElement } from 'lwc';
import { firstShifts } from 'c/canal';

/** Keepers and shifts. */
export default class RosterPage extends LightningElement {
  shifts = firstShifts;
  isRead = false;

  get count() {
    return `${this.shifts.length} shifts this week${this.isRead ? '' : ' (new)'}`;
  }

  handleOpened() {
    this.isRead = true;
  }

  handleSwap(event) {
    this.shifts = this.shifts.map((shift) => (shift.id === event.detail.id ? { ...shift, keeper: 'to be found' } : shift));
  }
}
