import { Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { TopBar } from './shell/top-bar';

@Component({
  selector: 'towpath-app',
  imports: [RouterOutlet, TopBar],
  template: `
    <tow-top-bar />
    <main><router-outlet /></main>
  `,
})
export class App {}
