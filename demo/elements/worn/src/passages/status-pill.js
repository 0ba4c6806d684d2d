import { html, LitElement } from 'lit';

export class StatusPill extends LitElement {
  static properties = {
    status: {},
    canClear: { type: Boolean, attribute: 'can-clear' },
  };

  constructor() {
    super();
    this.status = 'waiting';
    this.canClear = false;
  }

  render() {
    return html`
      <span class="pill" data-tone=${this.status}>
        ${this.status} ${this.canClear && this.status !== 'cleared' ? html`<button @click=${this.clear}>Clear</button>` : ''}
      </span>
    `;
  }

  clear() {
    this.dispatchEvent(new CustomEvent('clear'));
  }
}

customElements.define('status-pill', StatusPill);
