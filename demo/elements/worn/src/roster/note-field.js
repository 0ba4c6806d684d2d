import { html, LitElement } from 'lit';

export class NoteField extends LitElement {
  static properties = {
    shiftId: { attribute: 'shift-id' },
    note: { state: true },
    saved: { state: true },
  };

  constructor() {
    super();
    this.shiftId = '';
    this.note = '';
    this.saved = true;
  }

  render() {
    return html`
      <label>
        <input .value=${this.note} placeholder="Note for ${this.shiftId}" @input=${this.write} />
        ${this.saved ? '' : html`<button @click=${this.save}>Save</button>`}
      </label>
    `;
  }

  write(event) {
    this.note = event.target.value;
    this.saved = false;
  }

  save() {
    this.saved = true;
    this.dispatchEvent(new CustomEvent('note-saved', { detail: { note: this.note } }));
  }
}

customElements.define('note-field', NoteField);
