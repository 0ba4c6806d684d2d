import { ContextProvider } from '@lit/context';
import { html, LitElement } from 'lit';
import { keeperContext } from '../data/keeper.js';
import './top-bar.js';

/** The frame of every page. What is in it may ask who keeps the locks. */
export class AppShell extends LitElement {
  keeper = new ContextProvider(this, { context: keeperContext, initialValue: { name: 'M. Oake', onDuty: true } });

  render() {
    return html`
      <top-bar @sign-off=${this.signOff}></top-bar>
      <main><slot></slot></main>
    `;
  }

  signOff() {
    this.keeper.setValue({ ...this.keeper.value, onDuty: false });
  }
}

customElements.define('app-shell', AppShell);
