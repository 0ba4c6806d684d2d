import { html, LitElement } from 'lit';
import '../parts/date-field.js';

export class PassageForm extends LitElement {
  static properties = {
    locks: { attribute: false },
    boat: { state: true },
    lockId: { state: true },
    eta: { state: true },
  };

  constructor() {
    super();
    this.locks = [];
    this.boat = '';
    this.lockId = 'aldermoor';
    this.eta = '12:00';
  }

  render() {
    return html`
      <form @submit=${this.submit}>
        <label>Boat <input required .value=${this.boat} @input=${(event) => (this.boat = event.target.value)} /></label>
        <label>
          Lock
          <select required @change=${(event) => (this.lockId = event.target.value)}>
            ${this.locks.map((lock) => html`<option value=${lock.id} ?selected=${lock.id === this.lockId}>${lock.name}</option>`)}
          </select>
        </label>
        <date-field label="Arrives" value=${this.eta} @date-change=${(event) => (this.eta = event.detail.value)}></date-field>
        <button>Book</button>
      </form>
    `;
  }

  submit(event) {
    event.preventDefault();
    this.dispatchEvent(new CustomEvent('book', { detail: { boat: this.boat, lockId: this.lockId, eta: this.eta } }));
    this.boat = '';
    this.eta = '12:00';
  }
}

customElements.define('passage-form', PassageForm);
