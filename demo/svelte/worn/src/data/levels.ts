import { derived, writable } from 'svelte/store';

/** How high the water stands in each lock, in metres. */
export const levels = writable<Record<string, number>>({ aldermoor: 1.2, quarry: 2.8, saltings: 0.9 });

/** The highest of them. */
export const highest = derived(levels, ($levels) => Math.max(...Object.values($levels)));

/** How many gates stand open. */
export const gatesOpen = writable(0);

export function setLevel(lockId: string, level: number): void {
  levels.update((before) => ({ ...before, [lockId]: level }));
}
