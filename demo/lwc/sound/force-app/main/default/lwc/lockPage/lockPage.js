import { api, LightningElement, wire } from 'lwc';
import readDay from '@salesforce/apex/LockDay.read';

/** One lock: its levels over the day. */
export default class LockPage extends LightningElement {
  @api recordId;

  @wire(readDay, { lockId: '$recordId' })
  day;

  get name() {
    return this.day?.data?.name;
  }

  get hours() {
    return this.day?.data?.hours;
  }

  get error() {
    return this.day?.error?.message;
  }
}
