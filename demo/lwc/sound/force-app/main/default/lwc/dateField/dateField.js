import { api, LightningElement } from 'lwc';

export default class DateField extends LightningElement {
  @api label = '';
  @api value = '';

  handleInput(event) {
    this.dispatchEvent(new CustomEvent('datechange', { detail: { value: event.target.value } }));
  }
}
