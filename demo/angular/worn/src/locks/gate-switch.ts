import { Component, output } from '@angular/core';

@Component({
  selector: 'tow-gate-switch',
  template: `
    <button type="button" (click)="step.emit(0.1)">Fill</button>
    <button type="button" (click)="step.emit(-0.1)">Drain</button>
  `,
})
export class GateSwitch {
  readonly step = output<number>();
}
