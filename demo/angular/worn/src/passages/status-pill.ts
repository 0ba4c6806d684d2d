import { Component, EventEmitter, Input, Output } from '@angular/core';
import { Status } from '../data/canal';

@Component({
  selector: 'tow-status-pill',
  standalone: false,
  template: `
    <b class="pill">{{ status | sentence }}</b>
    <button type="button" *ngIf="status === 'waiting'" (click)="clear.emit()">Clear</button>
  `,
})
export class StatusPill {
  @Input({ required: true }) status!: Status;
  @Output() readonly clear = new EventEmitter<void>();
}
