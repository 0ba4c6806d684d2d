import type { BranchMark } from '../model/tree';

/** A condition in words: `lock`, `not busy`; an early return's `if (!lock)` stands for `lock`. */
export function conditionOf({ when, negated }: Pick<BranchMark, 'when' | 'negated'>): string {
  const denied = /^!\s*([\w$.?]+|\(.*\))$/.exec(when)?.[1];
  if (denied === undefined) return negated ? `not ${when}` : when;
  const plain = denied.replace(/^\((.*)\)$/, '$1');
  return negated ? plain : `not ${plain}`;
}
