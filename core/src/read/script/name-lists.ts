import type { ListFact } from '../../model/facts';
import type { Declared } from './declarations';
import { bare, dottedName, isCapitalised } from './syntax';

/** Constants of a module that are lists of names of classes and functions, as others may bring them into reach; empty for none. */
export function nameLists(declared: readonly Declared[]): ListFact[] {
  return declared.flatMap(({ name, node }): ListFact[] => {
    const list = bare(node);
    if (list.type !== 'ArrayExpression' || list.elements.length === 0) return [];
    const items = list.elements.map((one) => {
      const item = one?.type === 'SpreadElement' ? one.argument : one;
      const named = item ? dottedName(bare(item)) : undefined;
      return named !== undefined && isCapitalised(named) ? named : undefined;
    });
    return items.every((one) => one !== undefined) ? [{ name, items, provides: [] }] : [];
  });
}
