import { Injectable, signal } from '@angular/core';

/** Who is on duty; the roster has one of its own, to try out what another keeper would do. */
@Injectable()
export class Keeper {
  readonly name = signal('M. Oake');

  change(to: string): void {
    this.name.set(to);
  }
}
