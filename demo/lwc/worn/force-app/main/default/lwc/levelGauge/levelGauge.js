import { api, LightningElement } from 'lwc';

/** How high the water stands, as a bar. */
export default class LevelGauge extends LightningElement {
  @api level = 0;
  @api max = 1;
  @api unit = 'm';

  get metres() {
    return `${(this.unit === 'ft' ? this.level * 3.28 : this.level).toFixed(1)} ${this.unit}`;
  }
}
