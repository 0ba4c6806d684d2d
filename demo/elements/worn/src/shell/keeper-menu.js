import { ContextConsumer } from '@lit/context';
import { html, LitElement } from 'lit';
import { keeperContext } from '../data/keeper.js';

export class KeeperMenu extends LitElement {
  keeper = new ContextConsumer(this, { context: keeperContext, subscribe: true });

  render() {
    const keeper = this.keeper.value;
    return html`<span>${keeper.name} ${keeper.onDuty ? html`<button @click=${this.signOff}>Sign off</button>` : ''}</span>`;
  }

  signOff() {
    this.dispatchEvent(new CustomEvent('sign-off', { bubbles: true, composed: true }));
  }
}

customElements.define('keeper-menu', KeeperMenu);
