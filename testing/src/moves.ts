import type { Model } from '../../core/src/model/model';
import type { Tree } from '../../core/src/model/tree';
import { parseMove, type Stand, standOf } from '../../core/src/what-if';

/** Moves in words (`Row@App>Box`) as places of the one page that they are on. Throws where one is not there, with what is said of it. */
export function standsIn(model: Model, moves: readonly string[]): { readonly tree: Tree; readonly stands: readonly Stand[] } {
  const found = moves.map((text) => {
    const move = parseMove(text);
    const stand = 'wrong' in move ? move : standOf(model, move);
    if ('wrong' in stand) throw new Error(stand.wrong);
    return stand;
  });
  const [first] = found;
  if (!first) throw new Error('There is no move.');
  return { tree: first.tree, stands: found.map(({ stand }) => stand) };
}
