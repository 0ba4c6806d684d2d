import { api, LightningElement } from 'lwc';

export default class PassageForm extends LightningElement {
  @api locks = [];
  boat = '';
  lockId = 'aldermoor';
  eta = '12:00';

  handleBoat(event) {
    this.boat = event.target.value;
  }

  handleLock(event) {
    this.lockId = event.target.value;
  }

  handleEta(event) {
    this.eta = event.detail.value;
  }

  handleSubmit(event) {
    event.preventDefault();
    this.dispatchEvent(new CustomEvent('book', { detail: { boat: this.boat, lockId: this.lockId, eta: this.eta } }));
    this.boat = '';
  }
}
