import { html, LitElement } from 'lit';
import { firstLevels, firstNotices, firstPassages, locks } from '../data/canal.js';
import '../locks/lock-list.js';
import '../locks/lock-panel.js';
import '../parts/notice-strip.js';
import '../passages/passage-form.js';

export class TodayPage extends LitElement {
  static properties = {
    notices: { state: true },
    passages: { state: true },
    levels: { state: true },
    selected: { state: true },
  };

  constructor() {
    super();
    this.notices = firstNotices;
    this.passages = firstPassages;
    this.levels = firstLevels;
    this.selected = '';
  }

  render() {
    const lock = locks.find((one) => one.id === this.selected);
    return html`
      <h1>Today ${this.notices.length > 0 ? html`<small>${this.notices.length} to read</small>` : ''}</h1>
      <notice-strip .notices=${this.notices} @dismiss=${this.dismiss}></notice-strip>
      <lock-list
        .locks=${locks}
        .passages=${this.passages}
        .levels=${this.levels}
        selected=${this.selected}
        @lock-select=${this.select}
        @passage-clear=${this.clear}
        @level-change=${this.setLevel}
      ></lock-list>
      ${
        lock
          ? html`<lock-panel
              .lock=${lock}
              .level=${this.levels[lock.id] ?? 0}
              .waiting=${this.passages.filter((one) => one.lockId === lock.id && one.status === 'waiting')}
              @passage-clear=${this.clear}
            ></lock-panel>`
          : ''
      }
      <passage-form .locks=${locks} @book=${this.book}></passage-form>
    `;
  }

  dismiss(event) {
    this.notices = this.notices.filter((notice) => notice.id !== event.detail.id);
  }

  select(event) {
    this.selected = event.detail.id;
  }

  clear(event) {
    this.passages = this.passages.map((one) => (one.id === event.detail.id ? { ...one, status: 'cleared' } : one));
  }

  setLevel(event) {
    const { lockId, level } = event.detail;
    this.levels = { ...this.levels, [lockId]: level };
  }

  book(event) {
    this.passages = [...this.passages, { ...event.detail, id: crypto.randomUUID(), status: 'waiting' }];
  }
}

customElements.define('today-page', TodayPage);
