import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

@Component({
  selector: 'tow-notice-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (notice of notices(); track notice) {
      <p class="notice">{{ notice }} <button type="button" (click)="dismissed.emit(notice)">Dismiss</button></p>
    }
  `,
})
export class NoticeStrip {
  readonly notices = input.required<readonly string[]>();
  readonly dismissed = output<string>();
}
