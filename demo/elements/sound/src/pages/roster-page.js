import { html, LitElement } from 'lit';
import { firstShifts } from '../data/canal.js';
import '../parts/hint-bubble.js';
import '../roster/shift-table.js';

export class RosterPage extends LitElement {
  static properties = { shifts: { state: true } };

  constructor() {
    super();
    this.shifts = firstShifts;
  }

  render() {
    return html`
      <h1>Roster</h1>
      <hint-bubble label="A swapped shift is offered to all keepers."><p>${this.shifts.length} shifts this week</p></hint-bubble>
      <shift-table .shifts=${this.shifts} @swap=${this.swap}></shift-table>
    `;
  }

  swap(event) {
    this.shifts = this.shifts.map((shift) => (shift.id === event.detail.id ? { ...shift, keeper: 'to be found' } : shift));
  }
}

customElements.define('roster-page', RosterPage);
