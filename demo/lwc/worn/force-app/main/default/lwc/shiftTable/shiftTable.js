import { api, LightningElement } from 'lwc';

export default class ShiftTable extends LightningElement {
  @api shifts = [];

  handleSwap(event) {
    const { id } = event.currentTarget.dataset;
    this.dispatchEvent(new CustomEvent('swap', { detail: { id } }));
  }
}
