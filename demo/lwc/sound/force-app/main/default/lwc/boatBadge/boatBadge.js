import { api, LightningElement } from 'lwc';

export default class BoatBadge extends LightningElement {
  @api name = '';
}
