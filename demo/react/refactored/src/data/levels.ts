import { useSyncExternalStore } from 'react';

type Levels = Readonly<Record<string, number>>;

let levels: Levels = { aldermoor: 1.2, quarry: 2.8, saltings: 0.9 };
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function setLevel(lockId: string, level: number): void {
  levels = { ...levels, [lockId]: level };
  for (const listener of listeners) listener();
}

export function useLevel(lockId: string): number {
  const all = useSyncExternalStore(subscribe, () => levels);
  return all[lockId] ?? 0;
}
