import { NgTemplateOutlet } from '@angular/common';
import { Component, input, TemplateRef } from '@angular/core';
import { All, Bare, Hosted } from './askers';
import { HUE, MAKER, Made, TONE } from './tokens';

/** Provides to its view and to its content. */
@Component({
  selector: 'x-giver',
  imports: [All, Hosted],
  template: '<x-all /><x-hosted /><ng-content />',
  providers: [{ provide: TONE, useValue: 'Giver' }, { provide: HUE, useValue: 'Giver' }, { provide: MAKER, useValue: 'Giver' }, Made],
})
export class Giver {}

/** Provides to its view alone. */
@Component({
  selector: 'x-viewer',
  imports: [Bare, Hosted],
  template: '<x-bare /><x-hosted /><ng-content />',
  viewProviders: [{ provide: TONE, useValue: 'Viewer' }],
})
export class Viewer {}

/** Provides in both ways. */
@Component({
  selector: 'x-twofold',
  imports: [Bare],
  template: '<x-bare /><ng-content />',
  providers: [{ provide: TONE, useValue: 'Content' }],
  viewProviders: [{ provide: TONE, useValue: 'View' }],
})
export class Twofold {}

/** Shows a template of somebody else. */
@Component({
  selector: 'x-stage',
  imports: [NgTemplateOutlet],
  template: '<ng-container [ngTemplateOutlet]="play()" />',
  providers: [{ provide: TONE, useValue: 'Stage' }],
})
export class Stage {
  readonly play = input.required<TemplateRef<unknown>>();
}

/** Provides nothing, and stands between. */
@Component({ selector: 'x-between', imports: [Bare, Hosted], template: '<x-bare /><x-hosted /><ng-content />' })
export class Between {}
