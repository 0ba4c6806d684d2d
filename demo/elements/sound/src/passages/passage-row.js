import { ContextConsumer } from '@lit/context';
import { html, LitElement } from 'lit';
import { keeperContext } from '../data/keeper.js';
import './boat-badge.js';
import './status-pill.js';

export class PassageRow extends LitElement {
  static properties = { boat: {}, status: {}, eta: {} };

  keeper = new ContextConsumer(this, { context: keeperContext, subscribe: true });

  constructor() {
    super();
    this.boat = '';
    this.status = 'waiting';
    this.eta = '';
  }

  render() {
    return html`
      <li class="passage-row">
        <time>${this.eta}</time>
        <boat-badge name=${this.boat}></boat-badge>
        <status-pill status=${this.status} ?can-clear=${this.keeper.value?.onDuty} @clear=${this.clear}></status-pill>
      </li>
    `;
  }

  clear() {
    this.dispatchEvent(new CustomEvent('clear'));
  }
}

customElements.define('passage-row', PassageRow);
