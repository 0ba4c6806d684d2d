import { html, LitElement } from 'lit';
import './alarm-badge.js';
import './clock-badge.js';
import './keeper-menu.js';

export class TopBar extends LitElement {
  render() {
    return html`
      <header class="top-bar">
        <strong>Towpath</strong>
        <nav><a href="/index.html">Today</a> <a href="/roster.html">Roster</a></nav>
        <alarm-badge></alarm-badge>
        <clock-badge></clock-badge>
        <keeper-menu></keeper-menu>
      </header>
    `;
  }
}

customElements.define('top-bar', TopBar);
