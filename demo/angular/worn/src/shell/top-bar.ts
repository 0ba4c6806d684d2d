import { Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Levels } from '../data/levels';
import { ClockBadge } from './clock-badge';
import { KeeperMenu } from './keeper-menu';
import { LevelBadge } from './level-badge';

@Component({
  selector: 'tow-top-bar',
  imports: [RouterLink, ClockBadge, KeeperMenu, LevelBadge],
  template: `
    <header class="top-bar">
      <strong>Towpath</strong>
      <nav><a routerLink="/">Today</a> <a routerLink="/roster">Roster</a></nav>
      <span>This morning {{ highest }} m</span> <tow-level-badge />
      <tow-keeper-menu />
      <tow-clock />
    </header>
  `,
})
export class TopBar {
  private readonly levels = inject(Levels);
  protected readonly highest = this.levels.highest();
}
