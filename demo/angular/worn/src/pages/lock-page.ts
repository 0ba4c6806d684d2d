import { Component, inject, input } from '@angular/core';
import { Lock } from '../data/canal';
import { Levels } from '../data/levels';
import { LevelGauge } from '../locks/level-gauge';
import { LevelBadge } from '../shell/level-badge';

@Component({
  selector: 'tow-lock-page',
  imports: [LevelBadge, LevelGauge],
  providers: [Levels],
  template: `
    @if (lock(); as shown) {
      <h1>{{ shown.name }}</h1>
      <tow-level-gauge [level]="levels.at(shown.id)" [max]="shown.rise" />
      <tow-level-badge />
    } @else {
      <h1>No such lock</h1>
    }
  `,
})
export class LockPage {
  readonly lock = input<Lock>();
  protected readonly levels = inject(Levels);
}
