import Papa from 'papaparse';
import type { Log, ReportingDescriptor, Result, Suppression } from 'sarif';
import type { Finding, Gone, Severity } from '../model/finding';
import type { Model } from '../model/model';
import type { FilePath, Location } from '../model/span';
import { lineAt, lineStarts, type LineStarts } from '../model/lines';
import { catalogue, entryOf } from '../rules';
import type { Accepted, TriageMark } from '../triage';
import { append } from '../model/append';

/** A finding as it leaves Liana: names and lines instead of ids and offsets. Lines and columns are 1-based, columns in UTF-16 units, the end exclusive. */
export type FindingEntry = {
  readonly key: string;
  readonly rule: string;
  readonly severity: Severity;
  readonly framework: string;
  readonly component: string;
  readonly subject: string;
  readonly file: FilePath;
  readonly line: number;
  readonly column: number;
  readonly endLine: number;
  readonly endColumn: number;
  readonly message: string;
  readonly consequence: string;
  readonly fix: string;
  /** What would go if it were followed; empty where nothing is too much. */
  readonly goes: readonly Gone[];
  /** How many places of all pages it touches, and the pages it breaks on where only some are concerned. */
  readonly places: number;
  readonly pages: readonly string[];
  readonly evidence: readonly { readonly file: FilePath; readonly line: number; readonly says: string }[];
  /** What was decided about it; absent for what is open. */
  readonly decided?: { readonly state: string; readonly reason: string; readonly by: 'mark' | 'comment' };
};

export type Decided = { readonly marks: ReadonlyMap<string, TriageMark>; readonly accepted: readonly Accepted[] };

/** Puts findings into the form in which they leave Liana. `textOf` gives a file's text; without one all is on line 1. */
export function findingEntries(
  model: Pick<Model, 'components'>,
  findings: readonly Finding[],
  textOf: (file: FilePath) => string | undefined,
  decided: Decided = { marks: new Map(), accepted: [] },
): FindingEntry[] {
  const starts = new Map<FilePath, LineStarts>();
  const startsOf = (file: FilePath): LineStarts => {
    const known = starts.get(file) ?? lineStarts(textOf(file) ?? '');
    starts.set(file, known);
    return known;
  };
  const place = (file: FilePath, offset: number): { line: number; column: number } => {
    const all = startsOf(file);
    const line = lineAt(all, offset);
    return { line, column: offset - (all[line - 1] ?? 0) + 1 };
  };
  const comments = new Map(decided.accepted.map((one) => [one.key, one.reason]));
  return findings.map((finding): FindingEntry => {
    const at: Location = finding.at;
    const from = place(at.file, at.start);
    const to = place(at.file, Math.max(at.start, at.end));
    const component = model.components.get(finding.component);
    const mark = decided.marks.get(finding.key);
    const comment = comments.get(finding.key);
    return {
      key: finding.key,
      rule: finding.rule,
      severity: finding.severity,
      framework: component?.framework ?? 'script',
      component: component?.name ?? finding.component,
      subject: finding.subject,
      file: at.file,
      ...from,
      endLine: to.line,
      endColumn: to.column,
      message: finding.message,
      consequence: finding.consequence,
      fix: finding.fix,
      goes: finding.goes ?? [],
      places: finding.touches.places,
      pages: finding.pages,
      evidence: finding.evidence.map((rung) => ({ file: rung.at.file, line: place(rung.at.file, rung.at.start).line, says: rung.text })),
      ...(comment !== undefined
        ? { decided: { state: 'accepted', reason: comment, by: 'comment' as const } }
        : mark
          ? { decided: { state: mark.state, reason: mark.reason, by: 'mark' as const } }
          : {}),
    };
  });
}

/** The findings as JSON, with what made them. */
export const findingsJson = (entries: readonly FindingEntry[]): string =>
  `${JSON.stringify({ format: 'liana-findings', version: 1, findings: entries }, undefined, 2)}\n`;

/** One line a finding, for a table. */
export function findingsCsv(entries: readonly FindingEntry[]): string {
  const rows = entries.map((one) => ({
    severity: one.severity,
    rule: one.rule,
    framework: one.framework,
    component: one.component,
    subject: one.subject,
    file: one.file,
    line: one.line,
    message: one.message,
    consequence: one.consequence,
    fix: one.fix,
    goes: one.goes.map(({ count, what }) => `${count} ${what}`).join(', '),
    places: one.places,
    pages: one.pages.join(', '),
    decided: one.decided?.state ?? '',
    reason: one.decided?.reason ?? '',
    key: one.key,
  }));
  // A cell that begins like a formula would be run by a spreadsheet.
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}

const groups: Readonly<Record<Severity, string>> = {
  fault: 'It does not work',
  risk: 'It breaks in a case that can happen',
  tidy: 'It works and is too much',
};
const escaped = (text: string): string => text.replace(/([\\`*_[\]<>|])/g, '\\$1');

/** The findings to be read: by severity, each with its evidence. */
export function findingsMarkdown(name: string, entries: readonly FindingEntry[]): string {
  const lines = [`# Findings in ${escaped(name)}`, ''];
  if (entries.length === 0) lines.push('Nothing was found.', '');
  for (const severity of ['fault', 'risk', 'tidy'] as const) {
    const own = entries.filter((one) => one.severity === severity);
    if (own.length === 0) continue;
    lines.push(`## ${groups[severity]} (${own.length})`, '');
    for (const one of own) {
      lines.push(`### ${escaped(one.message)}`, '', `\`${one.file}:${one.line}\` · ${one.rule}`, '', escaped(one.consequence), '');
      append(
        lines,
        one.evidence.map((rung) => `- \`${rung.file}:${rung.line}\` ${escaped(rung.says)}`),
      );
      lines.push('');
      lines.push(escaped(one.fix));
      lines.push('');
      if (one.decided)
        lines.push(`Decided: ${one.decided.state}${one.decided.reason === '' ? '' : ` (${escaped(one.decided.reason)})`}.`, '');
    }
  }
  return lines.join('\n');
}

const levels = { fault: 'error', risk: 'warning', tidy: 'note' } as const;

/**
 * The findings in the Static Analysis Results Interchange Format 2.1.0 (OASIS). What was decided is a
 * suppression; `known` are keys of an earlier run, which tell what is new.
 */
export function findingsSarif(entries: readonly FindingEntry[], known?: ReadonlySet<string>): string {
  const rules = Object.entries(catalogue).map(([id, entry]): ReportingDescriptor => ({
    id,
    shortDescription: { text: entry.title },
    fullDescription: { text: entry.help.what },
    help: { text: `${entry.help.why}\n\nThe fault:\n${entry.help.fault}\n\nSound:\n${entry.help.sound}` },
    defaultConfiguration: { level: levels[entry.severity] },
  }));
  const indexes = new Map(rules.map((rule, index) => [rule.id, index]));
  const uri = (file: FilePath): string => file.split('/').map(encodeURIComponent).join('/');
  const results = entries.map((one): Result => {
    const suppression: Suppression | undefined = one.decided && {
      kind: one.decided.by === 'comment' ? 'inSource' : 'external',
      status: 'accepted',
      justification: `${one.decided.state}${one.decided.reason === '' ? '' : `: ${one.decided.reason}`}`,
    };
    return {
      ruleId: one.rule,
      ruleIndex: indexes.get(one.rule) ?? -1,
      level: levels[one.severity],
      message: { text: `${one.message} ${one.consequence}` },
      locations: [
        {
          physicalLocation: {
            artifactLocation: { uri: uri(one.file) },
            region: { startLine: one.line, startColumn: one.column, endLine: one.endLine, endColumn: one.endColumn },
          },
          logicalLocations: [{ name: one.component, kind: 'type' }],
        },
      ],
      // The standard wants each of them once.
      relatedLocations: [...new Map(one.evidence.map((rung) => [`${rung.file}:${rung.line} ${rung.says}`, rung])).values()].map((rung) => ({
        physicalLocation: { artifactLocation: { uri: uri(rung.file) }, region: { startLine: rung.line } },
        message: { text: rung.says },
      })),
      partialFingerprints: { 'lianaKey/v1': one.key },
      ...(known ? { baselineState: known.has(one.key) ? ('unchanged' as const) : ('new' as const) } : {}),
      ...(suppression ? { suppressions: [suppression] } : {}),
    };
  });
  const log: Log = {
    version: '2.1.0',
    $schema: 'https://json.schemastore.org/sarif-2.1.0.json',
    runs: [{ tool: { driver: { name: 'Liana', rules } }, columnKind: 'utf16CodeUnits', results }],
  };
  return `${JSON.stringify(log, undefined, 2)}\n`;
}

/** The title of a rule; its id for one that is not known. */
export const ruleTitle = (rule: string): string => entryOf(rule)?.title ?? rule;
