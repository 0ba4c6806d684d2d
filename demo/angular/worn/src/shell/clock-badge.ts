import { Component, signal } from '@angular/core';

@Component({
  selector: 'tow-clock',
  template: `<time>{{ time() }}</time>`,
})
export class ClockBadge {
  protected readonly time = signal('');

  constructor() {
    setInterval(() => this.time.set(new Date().toTimeString().slice(0, 5)), 1000);
  }
}
