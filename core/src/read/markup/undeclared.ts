import globals from 'globals';
import type { NameFact } from '../../model/facts';

/** Names that every script knows: the language's and the platform's. */
const platform: ReadonlySet<string> = new Set([
  ...Object.keys(globals.builtin),
  ...Object.keys(globals.browser),
  'undefined',
  'arguments',
  'global',
  'process',
]);

/**
 * Of the names that markup reads and no reader knows, those that nothing declares: the script never
 * writes them, and neither language nor platform has them. Each name once, at its first place.
 */
export function trulyUndeclared(found: readonly NameFact[], script: string): NameFact[] {
  const seen = new Set<string>();
  return found.filter(({ name, span }) => {
    if (seen.has(name) || span.end === 0 || /^[$_]/.test(name) || platform.has(name)) return false;
    seen.add(name);
    return !new RegExp(`(?<![\\w$.])${name}(?![\\w$])`).test(script);
  });
}
