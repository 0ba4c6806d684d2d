import { api, LightningElement } from 'lwc';

export default class GateSwitch extends LightningElement {
  @api lockId = '';
  @api level = 0;

  handleFill() {
    this.fill(0.1);
  }

  handleDrain() {
    this.fill(-0.1);
  }

  fill(by) {
    const detail = { lockId: this.lockId, level: Math.max(0, this.level + by) };
    this.dispatchEvent(new CustomEvent('levelchange', { detail, bubbles: true, composed: true }));
  }
}
