import { Directive, inject, InjectionToken, input } from '@angular/core';

/** How many hints stand around a part. */
export const HINT_DEPTH = new InjectionToken<number>('hint depth');

/** Says what an element is for when the pointer rests on it. */
@Directive({
  selector: '[hint]',
  providers: [{ provide: HINT_DEPTH, useFactory: () => (inject(HINT_DEPTH, { optional: true, skipSelf: true }) ?? 0) + 1 }],
  host: { '[title]': 'hint()', '[attr.data-depth]': 'depth' },
})
export class Hint {
  readonly hint = input.required<string>();
  protected readonly depth = inject(HINT_DEPTH);
}
