import { html, LitElement } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import '../parts/hint-bubble.js';
import '../passages/status-pill.js';
import './alarm-button.js';
import './level-gauge.js';

export class LockPanel extends LitElement {
  static properties = {
    lock: { attribute: false },
    level: { type: Number },
    waiting: { attribute: false },
  };

  constructor() {
    super();
    this.lock = { id: '', name: '', rise: 1 };
    this.level = 0;
    this.waiting = [];
  }

  render() {
    return html`
      <aside>
        <h2>${this.lock.name}</h2>
        <hint-bubble label="Boats that have asked for a passage and are not through yet."
          ><p>${this.waiting.length} waiting</p></hint-bubble
        >
        ${repeat(
          this.waiting,
          (passage) => passage.id,
          (passage) => html`<status-pill status=${passage.status} can-clear @clear=${() => this.clear(passage.id)}></status-pill>`,
        )}
        <level-gauge level=${this.level} max=${this.lock.rise}></level-gauge>
        <alarm-button lock=${this.lock.name}></alarm-button>
      </aside>
    `;
  }

  clear(id) {
    this.dispatchEvent(new CustomEvent('passage-clear', { detail: { id }, bubbles: true, composed: true }));
  }
}

customElements.define('lock-panel', LockPanel);
