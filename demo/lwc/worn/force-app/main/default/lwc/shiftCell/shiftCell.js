import { api, LightningElement } from 'lwc';

export default class ShiftCell extends LightningElement {
  @api shift;

  handleSwap() {
    this.dispatchEvent(new CustomEvent('swap'));
  }
}
