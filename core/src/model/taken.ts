import type { BodyFacts } from './facts';

/**
 * The prop that a local was taken out of once, as it is or a part of it, and that part: what is changed in place through the
 * local is changed in the prop. Undefined for any other value.
 */
export function takenFrom(
  { values }: Pick<BodyFacts, 'values'>,
  at: number,
): { readonly prop: number; readonly path: readonly string[] } | undefined {
  const local = values[at];
  const [only, ...more] = local?.kind === 'derived' && local.once ? local.from : [];
  const isTaken = only !== undefined && more.length === 0 && (only.how === 'same' || only.how === 'part');
  return isTaken && values[only.value]?.kind === 'prop' ? { prop: only.value, path: only.path } : undefined;
}
