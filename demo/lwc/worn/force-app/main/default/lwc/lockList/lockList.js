import { api, LightningElement } from 'lwc';

export default class LockList extends LightningElement {
  @api locks = [];
  @api passages = [];
  @api levels = {};
  @api selected = '';
  @api unit = 'm';

  get rows() {
    return this.locks.map((lock) => ({
      lock,
      passages: this.passages.filter((one) => one.lockId === lock.id),
      level: this.levels[lock.id] ?? 0,
      isSelected: lock.id === this.selected,
    }));
  }
}
