import { Component, input, output } from '@angular/core';

@Component({
  selector: 'tow-notice',
  template: `
    <p class="notice">
      <strong>{{ title() }}</strong> <ng-content />
      <button type="button" (click)="dismissed.emit()">Dismiss</button>
    </p>
  `,
})
export class NoticeStrip {
  readonly title = input.required<string>();
  readonly dismissed = output<void>();
}
