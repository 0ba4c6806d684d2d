import { NgTemplateOutlet } from '@angular/common';
import { Component, ContentChild, input, output, TemplateRef } from '@angular/core';
import { Passage } from '../data/canal';
import { PassagesModule } from './passages.module';

@Component({
  selector: 'tow-passage-queue',
  imports: [NgTemplateOutlet, PassagesModule],
  template: `
    @for (passage of items(); track passage.id; let place = $index) {
      <p class="passage-row">
        <ng-container *ngTemplateOutlet="line ?? null; context: { $implicit: passage, place: place + 1 }" />
        <tow-status-pill [status]="passage.status" (clear)="cleared.emit(passage.id)" />
      </p>
    } @empty {
      <p><ng-content select="[empty]" /></p>
    }
  `,
})
export class PassageQueue {
  readonly items = input<readonly Passage[]>([]);
  readonly cleared = output<string>();
  @ContentChild('line') protected line?: TemplateRef<unknown>;
}
