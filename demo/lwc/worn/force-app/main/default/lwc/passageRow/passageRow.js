import { api, LightningElement } from 'lwc';

export default class PassageRow extends LightningElement {
  @api boat = '';
  @api status = 'waiting';
  @api eta = '';
  keeper;

  connectedCallback() {
    const answer = (keeper) => {
      this.keeper = keeper;
    };
    this.dispatchEvent(new CustomEvent('keeperrequest', { detail: { answer }, bubbles: true, composed: true }));
  }

  get canClear() {
    return this.keeper?.onDuty;
  }

  handleClear() {
    this.dispatchEvent(new CustomEvent('clear'));
  }
}
