import { Component, inject } from '@angular/core';
import { Levels } from '../data/levels';

@Component({
  selector: 'tow-level-badge',
  template: `<span>Highest {{ levels.highest() }} m</span>`,
})
export class LevelBadge {
  protected readonly levels = inject(Levels);
}
