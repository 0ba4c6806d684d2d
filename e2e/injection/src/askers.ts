import { Component, Directive, inject } from '@angular/core';
import { FAR, HUE, Made, NOWHERE, tell, TONE } from './tokens';

/** Asks without bounds. */
@Component({ selector: 'x-bare', template: '' })
export class Bare {
  readonly tone = inject(TONE);
  constructor() {
    tell('Bare', { tone: this.tone });
  }
}

/** Asks for all that there is. */
@Component({ selector: 'x-all', template: '' })
export class All {
  readonly tone = inject(TONE);
  readonly hue = inject(HUE);
  readonly far = inject(FAR);
  readonly made = inject(Made);
  readonly nowhere = inject(NOWHERE, { optional: true });
  constructor() {
    tell('All', { tone: this.tone, hue: this.hue, far: this.far, made: this.made.by, nowhere: this.nowhere });
  }
}

/** Asks its own element alone, and has an answer there. */
@Component({ selector: 'x-own', template: '', providers: [{ provide: TONE, useValue: 'Own' }] })
export class Own {
  readonly tone = inject(TONE, { self: true });
  readonly hue = inject(HUE, { self: true, optional: true });
  constructor() {
    tell('Own', { tone: this.tone, hue: this.hue });
  }
}

/** Has an answer, and asks beyond it. */
@Component({ selector: 'x-beyond', template: '', providers: [{ provide: TONE, useValue: 'Beyond' }] })
export class Beyond {
  readonly tone = inject(TONE, { skipSelf: true });
  constructor() {
    tell('Beyond', { tone: this.tone });
  }
}

/** Asks no further than the component in whose view it stands. */
@Component({ selector: 'x-hosted', template: '' })
export class Hosted {
  readonly tone = inject(TONE, { host: true, optional: true });
  constructor() {
    tell('Hosted', { tone: this.tone });
  }
}

/** A directive that asks beside the component of its element. */
@Directive({ selector: '[xBeside]' })
export class Beside {
  readonly tone = inject(TONE);
  constructor() {
    tell('Beside', { tone: this.tone });
  }
}

/** A directive that answers for its element and what stands in it. */
@Directive({ selector: '[xPaint]', providers: [{ provide: TONE, useValue: 'Paint' }] })
export class Paint {}
