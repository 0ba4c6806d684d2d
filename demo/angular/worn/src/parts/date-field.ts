import { Component, EventEmitter, Input, OnInit, Output } from '@angular/core';

@Component({
  selector: 'tow-date-field',
  template: `<input type="time" [value]="draft" (change)="keep($any($event.target).value)" />`,
})
export class DateField implements OnInit {
  @Input() value = '';
  @Output() readonly valueChange = new EventEmitter<string>();
  protected draft = '';

  ngOnInit(): void {
    this.draft = this.value;
  }

  protected keep(value: string): void {
    this.draft = value;
    this.valueChange.emit(value);
  }
}
