import { api, LightningElement } from 'lwc';

export default class NoticeStrip extends LightningElement {
  @api notices = [];

  handleDismiss(event) {
    this.dispatchEvent(new CustomEvent('dismiss', { detail: { id: event.target.dataset.id } }));
  }
}
