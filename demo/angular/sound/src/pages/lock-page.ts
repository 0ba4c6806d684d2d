import { Component, inject, input } from '@angular/core';
import { Lock } from '../data/canal';
import { Levels } from '../data/levels';
import { LevelGauge } from '../locks/level-gauge';

@Component({
  selector: 'tow-lock-page',
  imports: [LevelGauge],
  template: `
    @if (lock(); as shown) {
      <h1>{{ shown.name }}</h1>
      <tow-level-gauge [level]="levels.at(shown.id)" [max]="shown.rise" />
    } @else {
      <h1>No such lock</h1>
    }
  `,
})
export class LockPage {
  readonly lock = input<Lock>();
  protected readonly levels = inject(Levels);
}
