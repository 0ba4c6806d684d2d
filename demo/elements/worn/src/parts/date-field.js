import { html, LitElement } from 'lit';

export class DateField extends LitElement {
  static properties = { label: {}, value: {}, draft: { state: true } };

  constructor() {
    super();
    this.label = '';
    this.value = '';
  }

  connectedCallback() {
    super.connectedCallback();
    this.draft = this.value;
  }

  render() {
    return html`<label>${this.label} <input type="time" .value=${this.draft} @input=${this.change} /></label>`;
  }

  change(event) {
    this.dispatchEvent(new CustomEvent('date-change', { detail: { value: event.target.value } }));
  }
}

customElements.define('date-field', DateField);
