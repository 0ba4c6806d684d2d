import { html, LitElement } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import './passage-row.js';

export class PassageQueue extends LitElement {
  static properties = { items: { attribute: false } };

  constructor() {
    super();
    this.items = [];
  }

  render() {
    this.items.sort((one, other) => one.eta.localeCompare(other.eta));
    if (this.items.length === 0) return html`<p class="hint"><slot name="empty">Clear.</slot></p>`;
    return html`
      <ul class="passage-queue">
        ${repeat(
          this.items,
          (item) => item.id,
          (item) => html`
            <passage-row boat=${item.boat} stauts=${item.status} eta=${item.eta} @clear=${() => this.clear(item.id)}></passage-row>
          `,
        )}
      </ul>
    `;
  }

  clear(id) {
    this.dispatchEvent(new CustomEvent('passage-clear', { detail: { id }, bubbles: true, composed: true }));
  }
}

customElements.define('passage-queue', PassageQueue);
