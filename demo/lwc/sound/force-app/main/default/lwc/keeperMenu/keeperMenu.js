import { LightningElement } from 'lwc';

export default class KeeperMenu extends LightningElement {
  keeper;

  connectedCallback() {
    const answer = (keeper) => {
      this.keeper = keeper;
    };
    this.dispatchEvent(new CustomEvent('keeperrequest', { detail: { answer }, bubbles: true, composed: true }));
  }

  get name() {
    return this.keeper?.name;
  }

  get isOnDuty() {
    return this.keeper?.onDuty;
  }

  handleSignOff() {
    this.dispatchEvent(new CustomEvent('signoff', { bubbles: true, composed: true }));
  }
}
