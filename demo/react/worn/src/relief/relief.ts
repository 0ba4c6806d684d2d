import { createContext, useContext } from 'react';

/** Somebody who can stand in for a keeper. */
export type Stand = { id: string; name: string; days: string[] };

export const stands: Stand[] = [
  { id: 'ash', name: 'I. Ash', days: ['Mon', 'Tue'] },
  { id: 'reed', name: 'T. Reed', days: ['Sat'] },
];

export const ReliefContext = createContext<number | null>(null);

export function useReliefCount(): number {
  const count = useContext(ReliefContext);
  if (count === null) throw new Error('The number of reliefs is not known here.');
  return count;
}
