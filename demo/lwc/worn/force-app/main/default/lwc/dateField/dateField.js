import { api, LightningElement } from 'lwc';

export default class DateField extends LightningElement {
  @api label = '';
  @api value = '';
  typed = '';

  connectedCallback() {
    this.typed = this.value;
  }

  handleInput(event) {
    this.typed = event.target.value;
    this.dispatchEvent(new CustomEvent('datechange', { detail: { value: this.typed } }));
  }
}
