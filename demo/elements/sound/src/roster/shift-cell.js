import { html, LitElement } from 'lit';
import './note-field.js';

export class ShiftCell extends LitElement {
  static properties = { shift: { attribute: false } };

  constructor() {
    super();
    this.shift = { id: '', day: '', hours: '', keeper: '' };
  }

  render() {
    const { day, hours, id, keeper } = this.shift;
    return html`
      <p>
        ${day} ${hours} ${keeper}
        <button @click=${this.swap}>Swap</button>
        <note-field shift-id=${id}></note-field>
      </p>
    `;
  }

  swap() {
    this.dispatchEvent(new CustomEvent('swap'));
  }
}

customElements.define('shift-cell', ShiftCell);
