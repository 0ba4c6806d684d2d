import { entryOf, type FailOn, type RuleSettings, severities, withSettings } from '@liana/core';
import type { Analysed, Report } from './report';

type Asked = { readonly settings: RuleSettings; readonly only: readonly string[] | undefined };

export type Gated = {
  readonly analysed: Analysed;
  /** Whether an open finding that was not known before is as severe as asked, or worse. */
  readonly fails: (report: Report, failOn: FailOn, known: ReadonlySet<string> | undefined) => boolean;
};

/** An analysis with the findings that the settings and the asked rules leave; says which asked rule there is not. */
export function gate(analysed: Analysed, { settings, only }: Asked): Gated | { readonly wrong: string } {
  const strangers = only?.filter((rule) => !entryOf(rule)) ?? [];
  if (strangers.length > 0) return { wrong: `There is no rule ${strangers.join(', ')}.` };
  const asked = only && new Set(only);
  const findings = withSettings(analysed.findings, settings).filter((finding) => !asked || asked.has(finding.rule));
  return {
    analysed: { ...analysed, findings },
    fails: (report, failOn, known) => {
      const least = failOn === 'never' ? -1 : severities.indexOf(failOn);
      return report.findings.some((one) => !one.decided && !known?.has(one.key) && severities.indexOf(one.severity) <= least);
    },
  };
}
