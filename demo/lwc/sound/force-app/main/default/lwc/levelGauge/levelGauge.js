import { api, LightningElement } from 'lwc';

/** How high the water stands, as a bar. */
export default class LevelGauge extends LightningElement {
  @api level = 0;
  @api max = 1;

  get metres() {
    return `${this.level.toFixed(1)} m`;
  }
}
