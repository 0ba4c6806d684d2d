import { api, LightningElement } from 'lwc';

export default class ChartFrame extends LightningElement {
  @api hours;
}
