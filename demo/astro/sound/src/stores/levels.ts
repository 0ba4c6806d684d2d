import { atom } from 'nanostores';

/** How high the water stands at each lock, by its id; shared by all parts of a page, whatever they are written in. */
export const $levels = atom<Readonly<Record<string, number>>>({ aldermoor: 1.2, quarry: 2.8, saltings: 0.9 });

export function raise(lockId: string, by: number): void {
  const before = $levels.get();
  $levels.set({ ...before, [lockId]: Math.max(0, (before[lockId] ?? 0) + by) });
}
