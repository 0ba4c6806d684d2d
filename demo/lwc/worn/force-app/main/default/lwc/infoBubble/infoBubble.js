import { api, LightningElement } from 'lwc';

export default class InfoBubble extends LightningElement {
  @api text = '';
  isOpen = false;

  get expanded() {
    return String(this.isOpen);
  }

  handleToggle() {
    this.isOpen = !this.isOpen;
  }
}
