import { api, LightningElement } from 'lwc';

export default class TideNote extends LightningElement {
  @api time = '';
}
