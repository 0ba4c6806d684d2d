import { ElementRef, inject, Injectable, InjectionToken } from '@angular/core';

/** Who answers, by the name that its provider gives. */
export const TONE = new InjectionToken<string>('tone');
/** The same with an answer of its own. */
export const HUE = new InjectionToken<string>('hue', { factory: () => 'default' });
/** Provided only beyond the element injectors. */
export const FAR = new InjectionToken<string>('far');
/** Provided nowhere. */
export const NOWHERE = new InjectionToken<string>('nowhere');
/** Who makes an instance. */
export const MAKER = new InjectionToken<string>('maker');

/** An instance that knows who made it. */
@Injectable({ providedIn: 'root' })
export class Made {
  readonly by = inject(MAKER);
}

/** Keeps what a part was answered at its element, for the test to read. */
export function tell(who: string, answers: Record<string, unknown>): void {
  const element = inject<ElementRef<{ asked?: unknown[] }>>(ElementRef).nativeElement;
  (element.asked ??= []).push({ who, answers });
}
