import { catalogue, type Entry, familyOf, type RuleFamily, type RuleId, type Severity } from '@liana/core';

export type RuleHelp = {
  readonly id: string;
  readonly title: string;
  readonly severity: Severity;
  readonly family: RuleFamily;
  readonly help: Entry['help'];
};

/** The help of one rule, or of all; undefined for a rule that there is not. */
export function helpFor(rule: string | undefined): RuleHelp[] | undefined {
  const all = Object.entries(catalogue).map(([id, { title, severity, help }]): RuleHelp => ({
    id,
    title,
    severity,
    family: familyOf[id as RuleId],
    help,
  }));
  if (rule === undefined) return all;
  const one = all.filter((entry) => entry.id === rule);
  return one.length > 0 ? one : undefined;
}
