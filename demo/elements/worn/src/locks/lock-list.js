import { html, LitElement } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import './lock-card.js';

export class LockList extends LitElement {
  static properties = {
    locks: { attribute: false },
    passages: { attribute: false },
    levels: { attribute: false },
    selected: {},
  };

  constructor() {
    super();
    this.locks = [];
    this.passages = [];
    this.levels = {};
    this.selected = '';
  }

  render() {
    return html`
      <ul class="lock-list">
        ${repeat(
          this.locks,
          (lock) => lock.id,
          (lock) => html`
            <li>
              <lock-card
                .lock=${lock}
                .passages=${this.passages.filter((one) => one.lockId === lock.id)}
                .level=${this.levels[lock.id] ?? 0}
                ?selected=${lock.id === this.selected}
              ></lock-card>
            </li>
          `,
        )}
      </ul>
    `;
  }
}

customElements.define('lock-list', LockList);
