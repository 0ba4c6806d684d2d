import { html, LitElement } from 'lit';

export class BoatBadge extends LitElement {
  static properties = { name: {}, tone: {} };

  constructor() {
    super();
    this.name = '';
    this.tone = 'calm';
  }

  render() {
    return html`<strong>${this.name}</strong>`;
  }
}

customElements.define('boat-badge', BoatBadge);
