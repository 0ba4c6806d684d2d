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
      <hint-bubble label="A swapped shift is offered to all keepers." @opened=${this.swap}
        ><p>${this.shifts.length} shifts this week</p></hint-bubble
      >
      <shift-table .shifts=${this.shifts} .tone=${'calm'} @swap=${this.swap}></shift-table>
    `;
  }

  swap(event) {
    this.shifts = this.shifts.filter((shift) => shift.id !== event.detail.id);
  }
}

customElements.define('roster-page', RosterPage);
