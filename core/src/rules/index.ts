import { knownUses } from '../flow';
import { type Finding, severities } from '../model/finding';
import type { Model } from '../model/model';
import { entryOf } from './catalogue';
import { surveyPages, type SurveyKeep } from './pages';
import { rules } from './registry';
import type { Check, Found } from './rule';

export { catalogue, entryOf, type Entry, type RuleId } from './catalogue';
export type { SurveyKeep } from './pages';
export { counted, listed } from './sentences';

function toFinding(check: Check, found: Found): Finding {
  const entry = entryOf(found.rule);
  const component = check.model.components.get(found.component);
  if (!entry) throw new Error(`The catalogue has no rule ${found.rule}.`);
  return {
    key: `${found.rule}:${found.component}:${found.words['target'] ?? ''}${found.words['target'] ? '.' : ''}${found.subject}`,
    rule: found.rule,
    severity: found.severity ?? entry.severity,
    component: found.component,
    subject: found.subject,
    at: found.at,
    message: entry.message(found.words),
    consequence: entry.consequence(found.words, component?.framework ?? 'script'),
    fix: entry.fix(found.words, component?.framework ?? 'script'),
    ...(found.edits ? { edits: found.edits } : {}),
    evidence: found.evidence,
    touches: { component: found.touches, places: check.pages.places.get(found.touches) ?? 0 },
    pages: found.pages ?? [],
  };
}

/** Two findings of one key are told apart by a count, in the order of the text. */
function withUniqueKeys(findings: readonly Finding[]): Finding[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const count = (seen.get(finding.key) ?? 0) + 1;
    seen.set(finding.key, count);
    return count === 1 ? finding : { ...finding, key: `${finding.key}~${count}` };
  });
}

/**
 * All findings of a model, worst first; within a severity by how many places they touch, then by
 * place. With the `keep` of an earlier check, pages without a change are not unfolded again.
 */
export function check(model: Model, keep?: SurveyKeep): Finding[] {
  const shared: Check = { model, uses: knownUses(model), pages: surveyPages(model, keep) };
  const findings = Object.values(rules)
    .flatMap((rule) => rule(shared))
    .map((found) => toFinding(shared, found))
    .sort(
      (a, b) =>
        severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
        b.touches.places - a.touches.places ||
        a.at.file.localeCompare(b.at.file) ||
        a.at.start - b.at.start,
    );
  return withUniqueKeys(findings);
}
