import type { KeyboardEvent } from 'react';
import type { TreeAnswer } from '../../analysis/answers';
import { loosePlaces, nextAmong, placesLike } from './large';
import type { TreeState, withState } from './state';
import type { TreeDrawing } from './useTreeDrawing';

/** What the keys work on: the tree as it is drawn, the chosen place, and how another one is chosen, folded or left. */
export type KeyContext = {
  readonly tree: TreeAnswer;
  readonly drawing: Pick<TreeDrawing, 'layout' | 'line' | 'chosenStrand'>;
  readonly place: number | undefined;
  readonly choosePlace: (place: number) => void;
  readonly chooseKnot: (strand: string, place: number) => void;
  readonly fold: (place: number, shut?: boolean) => void;
  readonly go: (next: Parameters<typeof withState>[1]) => void;
};

/** Moves along the chosen strand. */
function alongStrand({ drawing: { chosenStrand }, place, chooseKnot }: KeyContext, isDown: boolean): void {
  if (!chosenStrand) return;
  const knots = chosenStrand.knots.filter((knot) => knot.place >= 0);
  const at = knots.findIndex((knot) => knot.place === place);
  const next = knots[isDown ? at + 1 : at < 0 ? knots.length - 1 : at - 1];
  if (next) chooseKnot(chosenStrand.id, next.place);
}

/**
 * Arrow keys move and fold, with Alt they go along the chosen strand; N goes to the next loose end, M to the next
 * place of the component, with Shift back; Enter goes to the card, Escape chooses nothing.
 */
export function onTreeKey(event: KeyboardEvent, context: KeyContext): void {
  const { tree, drawing, place, choosePlace, fold, go } = context;
  const { rows } = drawing.layout;
  const { line } = drawing;
  const here = rows[Math.max(line, 0)];
  const moveTo = (index: number): void => {
    // A row where something would stand is that of a place which is elsewhere: keys pass over it.
    const step = index < line ? -1 : 1;
    let at = Math.min(Math.max(index, 0), rows.length - 1);
    while (rows[at]?.stands === 'there') at += step;
    const next = rows[at];
    if (next) choosePlace(next.row.place);
  };
  const nextOf = (places: readonly number[], isBack: boolean): void => {
    const next = nextAmong(places, place, isBack);
    if (next !== undefined) choosePlace(next);
  };
  if (!here) return;
  const isVertical = event.key === 'ArrowDown' || event.key === 'ArrowUp';
  if (event.altKey && isVertical) {
    event.preventDefault();
    alongStrand(context, event.key === 'ArrowDown');
    return;
  }
  switch (event.key) {
    case 'n':
    case 'N':
      nextOf(loosePlaces(tree.strands), event.key === 'N');
      break;
    case 'm':
    case 'M':
      nextOf(placesLike(tree.rows, place), event.key === 'M');
      break;
    case 'ArrowDown':
      moveTo(line + 1);
      break;
    case 'ArrowUp':
      moveTo(line - 1);
      break;
    case 'Home':
      moveTo(0);
      break;
    case 'End':
      moveTo(rows.length - 1);
      break;
    case 'ArrowRight':
      if (here.isOpen === false) fold(here.row.place, false);
      else if (here.isOpen) moveTo(line + 1);
      break;
    case 'ArrowLeft':
      if (here.isOpen) fold(here.row.place, true);
      else if (here.row.parent >= 0) choosePlace(here.row.parent);
      break;
    case 'Enter':
    case ' ':
      document.getElementById('card')?.focus();
      break;
    case 'Escape':
      go({ place: undefined, strand: undefined });
      break;
    default:
      return;
  }
  event.preventDefault();
}

/** What of the state changes where the row of a place is shut, or opened; where neither is said, the other of what it is. */
export function folded(
  { open, closed }: Pick<TreeState, 'open' | 'closed'>,
  path: string,
  standsAbove: boolean,
  shut?: boolean,
): Parameters<typeof withState>[1] {
  // What stands above already is shut unless it was opened; all else the other way round.
  const paths = new Set(standsAbove ? open : closed);
  const isIn = standsAbove ? !(shut ?? paths.has(path)) : (shut ?? !paths.has(path));
  if (isIn) paths.add(path);
  else paths.delete(path);
  return { [standsAbove ? 'open' : 'closed']: [...paths].join('|') };
}
