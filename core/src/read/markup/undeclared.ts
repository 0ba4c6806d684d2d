import globals from 'globals';
import type { NameFact } from '../../model/facts';

/** Names that every script knows: the language's and the platform's. */
export const platformNames: ReadonlySet<string> = new Set([
  ...Object.keys(globals.builtin),
  ...Object.keys(globals.browser),
  'undefined',
  'arguments',
  'process',
  ...Object.keys(globals.commonjs),
]);

/**
 * Of the names that markup reads and no reader knows, those that nothing declares: neither the script
 * nor what markup knows by itself. Each place once.
 */
export function trulyUndeclared(found: readonly NameFact[], known: ReadonlySet<string>, isDeclared: (name: string) => boolean): NameFact[] {
  const seen = new Set<number>();
  return found.filter(({ name, span }) => {
    if (seen.has(span.start) || span.end === 0 || /^[$_]/.test(name) || known.has(name)) return false;
    seen.add(span.start);
    return !isDeclared(name);
  });
}
