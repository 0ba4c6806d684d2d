import { Component, input, signal } from '@angular/core';

@Component({
  selector: 'tow-info-bubble',
  template: `
    <span class="bubble">
      <button type="button" [attr.aria-expanded]="isOpen()" (click)="isOpen.set(!isOpen())">?</button>
      @if (isOpen()) {
        <span role="note">{{ text() }}</span>
      }
    </span>
  `,
})
export class InfoBubble {
  readonly text = input.required<string>();
  protected readonly isOpen = signal(false);
}
