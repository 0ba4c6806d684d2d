import { Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Levels } from '../data/levels';
import { ClockBadge } from './clock-badge';

@Component({
  selector: 'tow-top-bar',
  imports: [RouterLink, ClockBadge],
  template: `
    <header class="top-bar">
      <strong>Towpath</strong>
      <nav><a routerLink="/">Today</a> <a routerLink="/roster">Roster</a></nav>
      <span>Highest {{ levels.highest() }} m</span>
      <tow-clock />
    </header>
  `,
})
export class TopBar {
  protected readonly levels = inject(Levels);
}
