import { Component, computed, inject, input } from '@angular/core';
import { DecimalPipe } from '@angular/common';
import { ALARM_LIMIT } from '../data/alarm-limit';

@Component({
  selector: 'tow-level-gauge',
  imports: [DecimalPipe],
  template: `
    <label [class.high]="isHigh()">
      Level <meter class="gauge" min="0" [max]="max()" [value]="level()"></meter> {{ level() | number: '1.1-1' }} m
    </label>
  `,
})
export class LevelGauge {
  readonly level = input.required<number>();
  readonly max = input.required<number>();
  private readonly limit = inject(ALARM_LIMIT);
  protected readonly isHigh = computed(() => this.level() > this.max() + this.limit);
}
