import { counted } from '@liana/core';
import type { TreeAnswer } from '../../analysis/answers';
import type { Choice } from './drawing';

function strandWords(choice: Choice, tree: TreeAnswer, hasPlace: boolean): string {
  const total = tree.strands.length;
  if (choice.hidden === 0)
    return tree.local > 0 ? `${counted(tree.local, 'value')} more ${tree.local === 1 ? 'stays' : 'stay'} inside one component.` : '';
  const shown = `${choice.strands.length} of ${total} strands`;
  if (choice.why === 'filter') return `${shown}.`;
  return hasPlace
    ? `${shown}: first those through the chosen component, then the longest.`
    : `${shown}: loose ends and the longest. Choose a component to see those through it.`;
}

/** How much is on the sheet, what is not drawn, and how to see it. */
export function sheetWords(tree: TreeAnswer, choice: Choice, hasPlace: boolean): string {
  const cut = tree.truncated ? ' This page is too large to unfold whole; what is below is cut.' : '';
  return `${counted(tree.rows.length, 'place')}. ${strandWords(choice, tree, hasPlace)}${cut}`.trim();
}
