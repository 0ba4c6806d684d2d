import { Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { All, Bare, Beside, Beyond, Hosted, Own, Paint } from './askers';
import { Between, Giver, Stage, Twofold, Viewer } from './givers';

@Component({
  selector: 'x-app',
  imports: [RouterOutlet, All, Bare, Beside, Between, Beyond, Giver, Hosted, Own, Paint, Stage, Twofold, Viewer],
  template: `
    <x-all />
    <x-own />
    <x-beyond />
    <x-hosted />
    <x-giver xBeside><x-bare /><x-beyond /><x-hosted /></x-giver>
    <x-viewer xBeside><x-bare /></x-viewer>
    <x-twofold xBeside><x-bare /></x-twofold>
    <x-between xPaint><x-bare /><x-own /></x-between>
    <x-giver xPaint xBeside><x-bare /></x-giver>
    <section xPaint>
      <x-bare /><x-giver
        ><x-viewer><x-bare /></x-viewer
      ></x-giver>
    </section>
    <x-giver
      ><ng-template #play><x-bare /></ng-template><x-stage [play]="play"
    /></x-giver>
    <router-outlet />
  `,
})
export class App {}
