import { api, LightningElement } from 'lwc';

export default class LockCard extends LightningElement {
  @api lock;
  @api passages = [];
  @api level = 0;
  @api selected = false;
  @api unit = 'm';

  get pressed() {
    return String(this.selected);
  }

  handlePick() {
    this.dispatchEvent(new CustomEvent('lockselect', { detail: { id: this.lock.id }, bubbles: true, composed: true }));
  }
}
