import { api, LightningElement } from 'lwc';

export default class StatusPill extends LightningElement {
  @api status = 'waiting';
  @api canClear = false;

  get isClearable() {
    return this.canClear && this.status !== 'cleared';
  }

  handleClear() {
    this.dispatchEvent(new CustomEvent('clear'));
  }
}
