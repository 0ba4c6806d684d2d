import { Component } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { interval, map, startWith } from 'rxjs';

@Component({
  selector: 'tow-clock',
  template: `<time>{{ time() }}</time>`,
})
export class ClockBadge {
  protected readonly time = toSignal(
    interval(1000).pipe(
      startWith(0),
      map(() => new Date().toTimeString().slice(0, 5)),
    ),
  );
}
