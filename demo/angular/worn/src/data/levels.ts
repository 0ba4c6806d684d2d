import { computed, Injectable, signal } from '@angular/core';
import { Lock, locks } from './canal';

/** How high the water stands at each lock. */
@Injectable({ providedIn: 'root' })
export class Levels {
  private readonly held = signal<Readonly<Record<string, number>>>({ aldermoor: 1.2, quarry: 2.8, saltings: 0.9 });
  readonly highest = computed(() => Math.max(...Object.values(this.held())));

  lock(id: string): Lock | undefined {
    return locks.find((one) => one.id === id);
  }

  at(id: string): number {
    return this.held()[id] ?? 0;
  }

  raise(id: string, by: number): void {
    this.held.update((before) => ({ ...before, [id]: Math.max(0, (before[id] ?? 0) + by) }));
  }
}
