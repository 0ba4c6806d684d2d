import { type Finding, severities, type Severity } from '../model/finding';
import { ownValue } from '../model/own-value';

/** What somebody decided about a finding: it may stay, not now, or Liana is wrong. */
export const markStates = ['accepted', 'later', 'wrong'] as const;
export type MarkState = (typeof markStates)[number];

/** A decision about a finding, by the finding's key. `at` is in milliseconds since 1970. */
export type TriageMark = { readonly state: MarkState; readonly reason: string; readonly at: number };

export function isMarkState(text: string): text is MarkState {
  return (markStates as readonly string[]).includes(text);
}

/** What a project says of a rule: nothing of it is told, or it is told as of another severity. */
export type RuleSetting = 'off' | Severity;
export type RuleSettings = Readonly<Partial<Record<string, RuleSetting>>>;

/** The findings as a project's settings have them, worst first; within a severity their order stays. */
export function withSettings(findings: readonly Finding[], settings: RuleSettings): Finding[] {
  const told = findings.flatMap((finding): Finding[] => {
    const setting = ownValue(settings, finding.rule);
    if (setting === 'off') return [];
    return setting === undefined || finding.severity === setting ? [finding] : [{ ...finding, severity: setting }];
  });
  return severities.flatMap((severity) => told.filter((finding) => finding.severity === severity));
}
