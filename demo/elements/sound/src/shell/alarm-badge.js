import { html, LitElement } from 'lit';

/** Shows the alarm that any lock of the page raises. */
export class AlarmBadge extends LitElement {
  static properties = { lock: { state: true } };

  constructor() {
    super();
    this.lock = '';
  }

  connectedCallback() {
    super.connectedCallback();
    document.addEventListener('lock-alarm', this.show);
  }

  disconnectedCallback() {
    document.removeEventListener('lock-alarm', this.show);
    super.disconnectedCallback();
  }

  show = (event) => {
    this.lock = event.detail.lock;
  };

  render() {
    return this.lock ? html`<strong role="alert">Alarm at ${this.lock}</strong>` : '';
  }
}

customElements.define('alarm-badge', AlarmBadge);
