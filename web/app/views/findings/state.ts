import {
  type Decisions as Kept,
  type Finding,
  markStates,
  ruleTitle,
  severities,
  type Severity,
  type TriageMark,
  withSettings,
} from '@liana/core';
import type { FindingView } from '../../analysis/answers';
import { frameworkWords } from '../../parts/frameworks';
import { severityWords } from '../../theme/Glyph';

export const groupings = ['severity', 'rule', 'component', 'file', 'page'] as const;
export type Grouping = (typeof groupings)[number];

/** Which findings are shown by what was decided about them. */
export const stateFilters = ['open', 'new', ...markStates, 'all'] as const;
export type StateFilter = (typeof stateFilters)[number];

export const stateWords: Readonly<Record<StateFilter, string>> = {
  open: 'Open',
  new: 'New',
  accepted: 'Accepted',
  later: 'Not now',
  wrong: 'Wrong',
  all: 'All',
};

/** What the findings view shows, as it stands in the URL. */
export type FindingsState = {
  readonly group: Grouping;
  readonly state: StateFilter;
  readonly text: string;
  readonly rule: string;
  readonly framework: string;
  readonly page: string;
  /** A folder with all that is below it; empty for all. */
  readonly folder: string;
  readonly without: ReadonlySet<Severity>;
};

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseFindingsState(params: URLSearchParams): FindingsState {
  const without = (params.get('without') ?? '').split('.');
  return {
    group: groupings.find((one) => one === params.get('group')) ?? 'severity',
    state: stateFilters.find((one) => one === params.get('state')) ?? 'open',
    text: params.get('text') ?? '',
    rule: params.get('rule') ?? '',
    framework: params.get('framework') ?? '',
    page: params.get('on') ?? '',
    folder: params.get('in') ?? '',
    without: new Set(severities.filter((severity) => without.includes(severity))),
  };
}

/** Writes a change of the state into URL parameters; undefined or an empty text takes a part away. */
export function withFindings(params: URLSearchParams, change: Readonly<Record<string, string | undefined>>): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(change)) {
    if (value === undefined || value === '') next.delete(name);
    else next.set(name, value);
  }
  return next;
}

/** A finding with what was decided about it. */
export type Told = {
  readonly finding: FindingView;
  /** By whom: a mark kept with the project, or a comment in the source. */
  readonly decided?:
    (TriageMark & { readonly by: 'mark' }) | { readonly state: 'accepted'; readonly reason: string; readonly by: 'comment' };
  readonly isNew: boolean;
};

/** What was decided, with the keys of the reading before. */
export type Decisions = Kept & { readonly known?: readonly string[] };

/** The findings as the project's settings have them, with what was decided. */
export function toldFindings(findings: readonly FindingView[], { marks, rules, known }: Decisions): Told[] {
  const before = known && new Set(known);
  const views = new Map(findings.map((finding) => [finding.key, finding]));
  return withSettings(findings, rules).flatMap((finding: Finding): Told[] => {
    const view = views.get(finding.key);
    if (!view) return [];
    const mark = marks[finding.key];
    const decided =
      view.accepted !== undefined
        ? { state: 'accepted' as const, reason: view.accepted, by: 'comment' as const }
        : mark && { ...mark, by: 'mark' as const };
    return [
      {
        finding: { ...view, severity: finding.severity },
        isNew: before !== undefined && !before.has(finding.key),
        ...(decided ? { decided } : {}),
      },
    ];
  });
}

function fitsState({ decided, isNew }: Told, state: StateFilter): boolean {
  if (state === 'all') return true;
  return state === 'open' ? !decided : state === 'new' ? isNew && !decided : decided?.state === state;
}

/** The findings that a state shows, without regard to severity: what the severities' counts are of. */
export function fittingFindings(told: readonly Told[], state: FindingsState): Told[] {
  const words = state.text.toLowerCase().split(/\s+/).filter(Boolean);
  return told.filter(({ finding, ...one }) => {
    if (!fitsState({ finding, ...one }, state.state)) return false;
    if (state.rule !== '' && finding.rule !== state.rule) return false;
    if (state.framework !== '' && finding.framework !== state.framework) return false;
    if (state.folder !== '' && !finding.at.file.startsWith(`${state.folder}/`)) return false;
    if (state.page !== '' && !finding.onPages.includes(state.page)) return false;
    const text = `${finding.message} ${finding.rule} ${finding.at.file} ${finding.componentName}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

export type Line =
  | { readonly kind: 'group'; readonly key: string; readonly title: string; readonly count: number }
  | { readonly kind: 'finding'; readonly told: Told };

function groupOf({ finding }: Told, group: Grouping): string {
  switch (group) {
    case 'severity':
      return severityWords[finding.severity].group;
    case 'rule':
      return ruleTitle(finding.rule);
    case 'component':
      return finding.componentName;
    case 'file':
      return finding.at.file;
    case 'page':
      return finding.onPages[0] ?? 'On no page that is mounted';
  }
}

/** The list's lines: groups in the order of their first, and so of their worst, finding. */
export function linesOf(shown: readonly Told[], group: Grouping): Line[] {
  const groups = new Map<string, Told[]>();
  for (const one of shown) {
    const title = groupOf(one, group);
    const known = groups.get(title);
    if (known) known.push(one);
    else groups.set(title, [one]);
  }
  return [...groups].flatMap(([title, own]): Line[] => [
    { kind: 'group', key: title, title, count: own.length },
    ...own.map((told): Line => ({ kind: 'finding', told })),
  ]);
}

/** What can be chosen to filter by, with how many findings each has. */
export function choicesOf(
  told: readonly Told[],
  by: (told: Told) => readonly string[],
): { readonly value: string; readonly count: number }[] {
  const counts = new Map<string, number>();
  for (const one of told) for (const value of by(one)) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].map(([value, count]) => ({ value, count })).sort((a, b) => b.count - a.count || a.value.localeCompare(b.value));
}

/** The folders around a file, outermost first: `src`, `src/pages`. */
export function foldersOf(file: string): string[] {
  const steps = file.split('/').slice(0, -1);
  return steps.map((_, index) => steps.slice(0, index + 1).join('/'));
}

export const frameworkLabel = (framework: string): string => frameworkWords([framework]);
