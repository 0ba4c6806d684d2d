import type { PlaceIndex } from '../model/tree';

/**
 * A place that is to stand elsewhere: `component` below the nearest `from` above it, moved to the
 * nearest `to`. In a slot of that it is written by whoever writes the use of `to`; without a slot it
 * is written into the markup of `to`, and reads the names that are known there.
 */
export type Move = { readonly component: string; readonly from: string; readonly to: string; readonly slot?: string };

/** A move on one page: the place that would stand elsewhere, and the place that it would stand in. */
export type Stand = { readonly moved: PlaceIndex; readonly target: PlaceIndex; readonly slot?: string };

export type Refused = { readonly wrong: string };

/** Reads `Component@Parent>Target#slot`; the slot may be left out. */
export function parseMove(text: string): Move | Refused {
  const [, component, from, to, slot] = /^\s*([^@>#]+)@([^@>#]+)>([^@>#]+)(?:#(.+))?$/.exec(text) ?? [];
  if (!component || !from || !to)
    return { wrong: `"${text}" is no move: write Component@Parent>Target, with #slot where it is to stand in one.` };
  return { component: component.trim(), from: from.trim(), to: to.trim(), ...(slot ? { slot: slot.trim() } : {}) };
}

export const moveWords = ({ component, from, to, slot }: Move): string => `${component}@${from}>${to}${slot ? `#${slot}` : ''}`;
