import { html, LitElement } from 'lit';

export class AlarmButton extends LitElement {
  static properties = { lock: {} };

  constructor() {
    super();
    this.lock = '';
  }

  render() {
    return html`<button @click=${this.raise}>Raise the alarm</button>`;
  }

  raise() {
    this.dispatchEvent(new CustomEvent('lock-alarm', { detail: { lock: this.lock }, bubbles: true, composed: true }));
  }
}

customElements.define('alarm-button', AlarmButton);
