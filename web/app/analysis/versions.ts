import {
  type ComparedComponent,
  comparedWords,
  comparisonEntry,
  comparisonMarkdown,
  comparisonSarif,
  comparisonSummary,
  codeOf,
  codeRows,
  componentAt,
  contractRows,
  type FilePath,
  type Finding,
  lineAt,
  lineStarts,
  type ProjectComparison,
  type Side,
  usersOf,
} from '@liana/core';
import type { VersionDetail, VersionsAnswer } from './answers';

/** Two versions that were compared, with what came of it. */
export type Versions = { readonly before: Side; readonly after: Side; readonly comparison: ProjectComparison };

/** Names a component of a comparison, by the later version where it has one. */
const keyOf = ({ before, after }: ComparedComponent): string => (after ?? before)?.id ?? '';

const lineIn = ({ textOf }: Side, file: FilePath, start: number): number => lineAt(lineStarts(textOf(file) ?? ''), start);

const standing = ({ component, place }: { component: string; place: string }): string => (place ? `${component} in ${place}` : component);

const waysOf = ({ ways }: ProjectComparison): VersionsAnswer['ways'] =>
  ways.flatMap(({ of, lost, gained }) =>
    lost.length + gained.length === 0 ? [] : [{ of, lost: lost.map(standing), gained: gained.map(standing) }],
  );

const breakIn = (after: Side, { key, message, component, at }: Finding): VersionsAnswer['breaks'][number] => ({
  key,
  says: message,
  component,
  file: at.file,
  line: lineIn(after, at.file, at.start),
});

/** What the view lists of a comparison. */
export function versionsAnswer({ after, comparison }: Versions): VersionsAnswer {
  const { components, breaks, answers, findings } = comparison;
  return {
    summary: comparisonSummary(comparison),
    components: components.map((one) => ({
      key: keyOf(one),
      name: (one.after ?? one.before)?.name ?? '',
      file: (one.after ?? one.before)?.file ?? '',
      status: one.status,
      holds: one.holds ?? null,
      says: comparedWords(one),
      alike: one.alike,
      contract: one.contract.length,
    })),
    breaks: breaks.map((one) => breakIn(after, one)),
    ways: waysOf(comparison),
    answers: answers.flatMap(({ component, place, key, before, after: now }) =>
      before === now ? [] : [{ component, place, key, before: before ?? null, after: now ?? null }],
    ),
    newFindings: findings.new.length,
    goneFindings: findings.gone.length,
  };
}

/** One component of a comparison, by its key; undefined for one that is not there. */
export function versionDetail({ before, after, comparison }: Versions, key: string): VersionDetail | undefined {
  const found = comparison.components.find((one) => keyOf(one) === key);
  if (!found) return undefined;
  const named = (side: Side, component: ComparedComponent['after']): VersionDetail['after'] =>
    component && {
      name: component.name,
      file: component.file,
      lines: codeOf(side, component).reduce((sum, { text }) => sum + text.split('\n').length, 0),
    };
  const [was, is] = [named(before, found.before), named(after, found.after)];
  const name = (found.after ?? found.before)?.name ?? '';
  return {
    name,
    says: comparedWords(found),
    ...(was ? { before: was } : {}),
    ...(is ? { after: is } : {}),
    breaks: comparison.breaks
      .filter(
        ({ at, evidence, touches }) =>
          found.after &&
          (touches.component === found.after.id ||
            [at, ...evidence.map((one) => one.at)].some((one) => componentAt(after, one) === found.after)),
      )
      .map((one) => breakIn(after, one)),
    contract: contractRows(found.before, found.after, found.contract),
    users: found.after
      ? usersOf(after, found.after, comparison).map(({ owner, at, touched, broken }) => ({
          owner,
          file: at.file,
          line: lineIn(after, at.file, at.start),
          touched,
          ...(broken ? { broken: broken.message } : {}),
        }))
      : [],
    ways: waysOf(comparison).filter(
      ({ of, lost, gained }) => of.startsWith(`${name}.`) || [...lost, ...gained].some((one) => one.split(' ')[0] === name),
    ),
    code: codeRows(found.before ? codeOf(before, found.before) : [], found.after ? codeOf(after, found.after) : []),
  };
}

export const versionForms = ['markdown', 'json', 'csv', 'sarif'] as const;
export type VersionForm = (typeof versionForms)[number];

/** A comparison as a file. */
export function versionsExported({ before, after, comparison }: Versions, title: string, form: VersionForm): string {
  const entry = comparisonEntry(before, after, comparison);
  if (form === 'json') return `${JSON.stringify(entry, undefined, 2)}\n`;
  if (form === 'sarif') return comparisonSarif(after, comparison);
  if (form === 'markdown') return comparisonMarkdown(title, entry);
  const cell = (text: string): string => (/[",\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);
  const rows = entry.components.map(({ before: was, after: is, file, status, holds, says }) => [
    was ?? '',
    is ?? '',
    file,
    status,
    holds === null ? '' : holds ? 'yes' : 'no',
    says,
  ]);
  return (
    [['before', 'after', 'file', 'status', 'holds', 'what became of it'], ...rows].map((row) => row.map(cell).join(',')).join('\r\n') +
    '\r\n'
  );
}
