import { html, LitElement } from 'lit';
import '../passages/passage-queue.js';
import './gate-switch.js';
import './level-gauge.js';

export class LockCard extends LitElement {
  static properties = {
    lock: { attribute: false },
    passages: { attribute: false },
    level: { type: Number },
    selected: { type: Boolean, reflect: true },
  };

  constructor() {
    super();
    this.lock = { id: '', name: '', rise: 1 };
    this.passages = [];
    this.level = 0;
    this.selected = false;
  }

  render() {
    return html`
      <article class="lock-card">
        <h2><button aria-pressed=${this.selected} @click=${this.pick}>${this.lock.name}</button></h2>
        <level-gauge level=${this.level} max=${this.lock.rise}></level-gauge>
        <gate-switch lock-id=${this.lock.id} .level=${this.level}></gate-switch>
        <passage-queue .items=${this.passages}><span slot="empty">Nobody waits at ${this.lock.name}.</span></passage-queue>
      </article>
    `;
  }

  pick() {
    this.dispatchEvent(new CustomEvent('lock-select', { detail: { id: this.lock.id }, bubbles: true, composed: true }));
  }
}

customElements.define('lock-card', LockCard);
