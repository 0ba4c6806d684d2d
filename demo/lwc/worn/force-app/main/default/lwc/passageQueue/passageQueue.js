import { api, LightningElement } from 'lwc';

export default class PassageQueue extends LightningElement {
  @api items = [];

  get isEmpty() {
    return this.items.length === 0;
  }

  handleSort() {
    this.items.sort((one, other) => one.eta.localeCompare(other.eta));
  }

  handleClear(event) {
    const { id } = event.currentTarget.dataset;
    this.dispatchEvent(new CustomEvent('passageclear', { detail: { id }, bubbles: true, composed: true }));
  }
}
