import { html, LitElement } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import './shift-cell.js';

export class ShiftTable extends LitElement {
  static properties = { shifts: { attribute: false } };

  constructor() {
    super();
    this.shifts = [];
  }

  render() {
    return html`
      <div class="shift-table">
        ${repeat(
          this.shifts,
          (shift) => shift.id,
          (shift) => html`<shift-cell .shift=${shift} @swap=${() => this.swap(shift.id)}></shift-cell>`,
        )}
      </div>
    `;
  }

  swap(id) {
    this.dispatchEvent(new CustomEvent('swap', { detail: { id } }));
  }
}

customElements.define('shift-table', ShiftTable);
