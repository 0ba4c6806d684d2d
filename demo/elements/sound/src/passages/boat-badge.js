import { html, LitElement } from 'lit';

export class BoatBadge extends LitElement {
  static properties = { name: {} };

  constructor() {
    super();
    this.name = '';
  }

  render() {
    return html`<strong>${this.name}</strong>`;
  }
}

customElements.define('boat-badge', BoatBadge);
