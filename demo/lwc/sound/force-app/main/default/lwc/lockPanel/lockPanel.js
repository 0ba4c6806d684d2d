import { api, LightningElement } from 'lwc';

export default class LockPanel extends LightningElement {
  @api lock;
  @api level = 0;
  @api waiting = [];

  handleClear(event) {
    const { id } = event.currentTarget.dataset;
    this.dispatchEvent(new CustomEvent('passageclear', { detail: { id } }));
  }
}
