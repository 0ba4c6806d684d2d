import { api, LightningElement } from 'lwc';

export default class PassageQueue extends LightningElement {
  @api items = [];

  get isEmpty() {
    return this.items.length === 0;
  }

  handleClear(event) {
    const { id } = event.currentTarget.dataset;
    this.dispatchEvent(new CustomEvent('passageclear', { detail: { id }, bubbles: true, composed: true }));
  }
}
