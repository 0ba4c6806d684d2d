import { api, LightningElement } from 'lwc';

export default class HintBubble extends LightningElement {
  @api label = '';
  isOpen = false;

  get expanded() {
    return String(this.isOpen);
  }

  handleToggle() {
    this.isOpen = !this.isOpen;
  }
}
