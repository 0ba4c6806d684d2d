import { NgTemplateOutlet } from '@angular/common';
import { Component, ContentChild, Input, output, TemplateRef } from '@angular/core';
import { Passage } from '../data/canal';
import { PassagesModule } from './passages.module';

@Component({
  selector: 'tow-passage-queue',
  imports: [NgTemplateOutlet, PassagesModule],
  template: `
    @for (passage of items; track passage.id; let place = $index) {
      <p class="passage-row">
        <ng-container *ngTemplateOutlet="line ?? null; context: { $implicit: passage, place: place + 1 }" />
        <tow-status-pill [status]="passage.status" (clear)="clear(passage, place)">of today</tow-status-pill>
      </p>
    } @empty {
      <p><ng-content select="[empty]" /></p>
    }
  `,
})
export class PassageQueue {
  @Input() items: Passage[] = [];
  readonly cleared = output<string>();
  @ContentChild('line') protected line?: TemplateRef<unknown>;

  protected clear(passage: Passage, place: number): void {
    this.items.splice(place, 1);
    this.cleared.emit(passage.id);
  }
}
