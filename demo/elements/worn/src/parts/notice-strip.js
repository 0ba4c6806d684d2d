import { html, LitElement } from 'lit';
import { repeat } from 'lit/directives/repeat.js';

export class NoticeStrip extends LitElement {
  static properties = { notices: { attribute: false } };

  constructor() {
    super();
    this.notices = [];
  }

  render() {
    return html`
      <ul class="notice-strip">
        ${repeat(
          this.notices,
          (notice) => notice.id,
          (notice) => html`<li>${notice.text} <button @click=${() => this.dismiss(notice.id)}>Dismiss</button></li>`,
        )}
      </ul>
    `;
  }

  dismiss(id) {
    this.dispatchEvent(new CustomEvent('dismiss', { detail: { id } }));
  }
}

customElements.define('notice-strip', NoticeStrip);
