import { Component } from '@angular/core';
import { All, Bare } from './askers';
import { Giver } from './givers';
import { TONE } from './tokens';

/** Shown by a route that provides. */
@Component({ selector: 'x-routed', imports: [All, Giver, Bare], template: '<x-all /><x-giver><x-bare /></x-giver>' })
export class Routed {}

/** Shown by a route within that one, and provides itself. */
@Component({
  selector: 'x-inner',
  imports: [Bare],
  template: '<x-bare />',
  providers: [{ provide: TONE, useValue: 'Inner' }],
})
export class Inner {}
