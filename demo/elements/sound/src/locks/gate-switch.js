import { html, LitElement } from 'lit';

export class GateSwitch extends LitElement {
  static properties = {
    lockId: { attribute: 'lock-id' },
    level: { type: Number },
  };

  constructor() {
    super();
    this.lockId = '';
    this.level = 0;
  }

  render() {
    return html`
      <button @click=${() => this.fill(0.1)}>Fill</button>
      <button @click=${() => this.fill(-0.1)}>Drain</button>
    `;
  }

  fill(by) {
    const detail = { lockId: this.lockId, level: Math.max(0, this.level + by) };
    this.dispatchEvent(new CustomEvent('level-change', { detail, bubbles: true, composed: true }));
  }
}

customElements.define('gate-switch', GateSwitch);
