import type { SubjectKind } from '@liana/core';

const colours: Readonly<Record<SubjectKind, string>> = {
  state: 'var(--state)',
  prop: 'var(--prop)',
  event: 'var(--event)',
  listener: 'var(--event)',
  function: 'var(--event)',
  store: 'var(--store)',
  context: 'var(--context)',
  value: 'var(--prop)',
  constant: 'var(--soft)',
};

/** The colour of a value by its kind. */
export function subjectColour(kind: SubjectKind): string {
  return colours[kind];
}
