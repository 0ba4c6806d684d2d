import { html, LitElement } from 'lit';

export class HintBubble extends LitElement {
  static properties = {
    label: {},
    open: { state: true },
  };

  constructor() {
    super();
    this.label = '';
    this.open = false;
  }

  render() {
    return html`
      <span>
        <slot></slot>
        <button aria-expanded=${this.open} @click=${this.toggle}>?</button>
        ${this.open ? html`<small class="hint">${this.label}</small>` : ''}
      </span>
    `;
  }

  toggle() {
    this.open = !this.open;
  }
}

customElements.define('hint-bubble', HintBubble);
