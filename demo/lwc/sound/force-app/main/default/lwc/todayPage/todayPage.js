import { LightningElement } from 'lwc';
import { firstLevels, firstNotices, firstPassages, locks } from 'c/canal';

/** All locks and their queues. */
export default class TodayPage extends LightningElement {
  locks = locks;
  notices = firstNotices;
  passages = firstPassages;
  levels = firstLevels;
  selected = '';

  get toRead() {
    return this.notices.length;
  }

  get lock() {
    return locks.find((one) => one.id === this.selected);
  }

  get level() {
    return this.levels[this.selected] ?? 0;
  }

  get waiting() {
    return this.passages.filter((one) => one.lockId === this.selected && one.status === 'waiting');
  }

  handleDismiss(event) {
    this.notices = this.notices.filter((notice) => notice.id !== event.detail.id);
  }

  handleSelect(event) {
    this.selected = event.detail.id;
    this.dispatchEvent(new CustomEvent('lockpicked', { detail: { id: this.selected } }));
  }

  handleClear(event) {
    this.passages = this.passages.map((one) => (one.id === event.detail.id ? { ...one, status: 'cleared' } : one));
  }

  handleLevel(event) {
    const { lockId, level } = event.detail;
    this.levels = { ...this.levels, [lockId]: level };
  }

  handleBook(event) {
    this.passages = [...this.passages, { ...event.detail, id: crypto.randomUUID(), status: 'waiting' }];
  }
}
