import type { ValueFact } from '../model/facts';
import type { Component } from '../model/model';
import type { FilePath } from '../model/span';
import type { Side } from './side';

/** The files of the hooks that a component calls, directly or through others; empty for none. */
function hookFiles({ model }: Pick<Side, 'model'>, { file, facts }: Component): Set<FilePath> {
  const found = new Set<FilePath>();
  const seen = new Set<string>();
  const visit = (at: FilePath, values: readonly ValueFact[]): void => {
    for (const { kind, source } of values) {
      const meant = kind === 'hook' && source !== undefined ? model.named(at, source) : undefined;
      if (meant?.kind !== 'hook') continue;
      found.add(meant.file);
      const key = `${meant.file}#${meant.fact.name}`;
      if (seen.has(key)) continue;
      seen.add(key);
      visit(meant.file, meant.fact.values);
    }
  };
  visit(file, facts.values);
  return found;
}

/** Whether a file of a hook that either form of a component calls is another than it was. */
export function callsOtherHooks(before: Side, after: Side, was: Component, is: Component): boolean {
  return [...hookFiles(before, was), ...hookFiles(after, is)].some((file) => before.textOf(file) !== after.textOf(file));
}
