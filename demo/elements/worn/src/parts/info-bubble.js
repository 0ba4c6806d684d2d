import { html, LitElement } from 'lit';

export class InfoBubble extends LitElement {
  static properties = {
    text: {},
    open: { state: true },
  };

  constructor() {
    super();
    this.text = '';
    this.open = false;
  }

  render() {
    return html`
      <span>
        <slot></slot>
        <button aria-expanded=${this.open} @click=${this.toggle}>?</button>
        ${this.open ? html`<small class="hint">${this.text}</small>` : ''}
      </span>
    `;
  }

  toggle() {
    this.open = !this.open;
  }
}

customElements.define('info-bubble', InfoBubble);
