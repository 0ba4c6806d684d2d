import { api, LightningElement } from 'lwc';

/** The levels of a day, hour by hour. */
export default class LevelChart extends LightningElement {
  @api hours = [];
}
