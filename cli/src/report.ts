import type { AnsweredMove } from './asked';
import { performance } from 'node:perf_hooks';
import {
  acceptedInSource,
  check,
  type CheckOptions,
  counted,
  fileRole,
  type Finding,
  findingEntries,
  type FindingEntry,
  leftOutCount,
  link,
  memberName,
  type Model,
  type Page,
  type PlacedProblem,
  problemsOf,
  reachOf,
  parseBare,
  readFiles,
  type TraceEntry,
  type TreeEntry,
  unfold,
} from '@liana/core';
import type { Folder } from './folder';

export type Seconds = {
  readonly floor: number;
  readonly read: number;
  readonly link: number;
  readonly check: number;
  readonly total: number;
};

/** What the command prints. Lines are 1-based, paths relative to the folder. */
export type Report = {
  readonly files: { readonly read: number; readonly leftOut: number };
  readonly problems: readonly { readonly file: string; readonly message: string; readonly start: number; readonly end: number }[];
  readonly components: readonly ComponentEntry[];
  readonly uses: Model['counts'];
  readonly pages: readonly PageReport[];
  /** Components that something in the source names, those of them on a page, and those that no page comes to. */
  readonly reach: { readonly components: number; readonly onPages: number; readonly alone: number };
  readonly findings: readonly FindingEntry[];
  readonly seconds: Seconds;
  /** What was asked for with `--tree`, `--trees` and `--trace`; absent where nothing was. */
  readonly trees?: readonly TreeEntry[];
  readonly traces?: readonly TraceEntry[];
  /** What would become of the moves that were asked for. */
  readonly whatIf?: readonly AnsweredMove[];
};

type PageReport = {
  readonly name: string;
  readonly file: string;
  /** The route's path; empty where there is none. */
  readonly path: string;
  /** What makes it a page: it is mounted, a route or its file's name leads to it, or it stands alone. */
  readonly why: Page['why'];
  readonly places: number;
  /** Different components at its places. */
  readonly components: number;
};

type ComponentEntry = {
  readonly id: string;
  readonly name: string;
  readonly framework: string;
  readonly file: string;
  readonly role: string;
  readonly props: readonly { readonly name: string; readonly required: string; readonly kind: string }[];
  readonly events: readonly string[];
  readonly slots: readonly string[];
};

/** Seconds that the bare parser takes on the same files. */
export function parseFloor(folder: Folder): number {
  const start = performance.now();
  for (const { file, text } of folder.sources) {
    try {
      parseBare(file, text);
    } catch {
      // A file that does not parse costs what it costs.
    }
  }
  return (performance.now() - start) / 1000;
}

function timed<T>(run: () => T): { result: T; seconds: number } {
  const start = performance.now();
  const result = run();
  return { result, seconds: (performance.now() - start) / 1000 };
}

export type Analysed = {
  readonly model: Model;
  readonly findings: readonly Finding[];
  /** Places that could not be checked. */
  readonly failures: readonly PlacedProblem[];
  readonly seconds: Seconds;
};

/** Analyses a folder, timing each phase beside the bare parsers. */
export function analyseFolder(folder: Folder, options: CheckOptions = {}): Analysed {
  const floor = parseFloor(folder);
  const read = timed(() => readFiles(folder.sources));
  const linked = timed(() => link(read.result, folder.configs));
  const failures: PlacedProblem[] = [];
  const checked = timed(() => check(linked.result, undefined, { onFailure: (problem) => failures.push(problem), ...options }));
  const total = read.seconds + linked.seconds + checked.seconds;
  return {
    model: linked.result,
    findings: checked.result,
    failures,
    seconds: { floor, read: read.seconds, link: linked.seconds, check: checked.seconds, total },
  };
}

function componentEntries(model: Model): ComponentEntry[] {
  const pages = new Set(model.pages.flatMap((page) => (page.above === 'known' ? [`${page.file}#${page.name}`] : [page.entry])));
  return [...model.components.values()]
    .filter((component) => component.role === 'component')
    .map((component) => ({
      id: component.id,
      name: component.name,
      framework: component.framework,
      file: component.file,
      role: pages.has(component.id) ? 'page' : fileRole(component.file) === 'source' ? 'component' : fileRole(component.file),
      props: [...component.contract.members.values()].map((prop) => ({ name: prop.name, required: prop.required, kind: prop.kind })),
      events: component.facts.events.map((event) => event.name),
      slots: component.facts.slots.map((slot) => memberName(slot.key)),
    }));
}

function pageReport(model: Model, page: Page): PageReport {
  const { places } = unfold(model, page);
  const { name, file, path, why } = page;
  return { name, file, path, why, places: places.length, components: new Set(places.map((place) => place.component)).size };
}

function reachReport(model: Model): Report['reach'] {
  const { components, onPages, alone } = reachOf(model);
  return { components, onPages, alone: alone.length };
}

/** Puts an analysis into the form that is printed. */
export function makeReport(folder: Folder, { model, findings, failures, seconds }: Analysed): Report {
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  const textOf = (file: string): string | undefined => texts.get(file);
  const unread = folder.refused.map(({ file, reason }) => ({ file, message: `This was not read: ${reason}.`, start: 0, end: 0 }));
  const problems = problemsOf(model, failures);
  return {
    files: { read: folder.sources.length, leftOut: leftOutCount(folder.choice) },
    problems: [...unread, ...problems],
    components: componentEntries(model),
    uses: model.counts,
    pages: model.pages.map((page) => pageReport(model, page)),
    reach: reachReport(model),
    findings: findingEntries(model, findings, textOf, { marks: new Map(), accepted: acceptedInSource(findings, textOf) }),
    seconds,
  };
}

const shownFindings = 60;

/** The readable summary, for a terminal. */
export function summarise(report: Report): string {
  const { files, problems, components, uses, pages, reach, findings, seconds } = report;
  const open = findings.filter((finding) => !finding.decided);
  const count = (severity: string): number => open.filter((finding) => finding.severity === severity).length;
  const decided = findings.length - open.length;
  const lines = [
    `${files.read} files read, ${files.leftOut} left out. ${components.length} components, ${counted(pages.filter(({ why }) => why !== 'alone').length, 'page')}.`,
    `Of ${counted(reach.components, 'component')} that the source names, ${reach.onPages} stand on a page; ${counted(pages.filter(({ why }) => why === 'alone').length, 'component')} stand alone, with nothing above.`,
    `Uses of components: ${uses.resolved} in the project, ${uses.outside} from outside, ${uses.unresolved} not found.`,
    `Findings: ${counted(count('fault'), 'fault')}, ${counted(count('risk'), 'risk')}, ${count('tidy')} to tidy${decided > 0 ? `, ${decided} accepted in the source` : ''}. ${seconds.total.toFixed(2)} s, bare parsing ${seconds.floor.toFixed(2)} s.`,
    '',
    ...open
      .slice(0, shownFindings)
      .map((finding) => `${finding.severity.padEnd(5)}  ${finding.file}:${finding.line}  ${finding.message}  (${finding.rule})`),
    ...(open.length > shownFindings ? [`… and ${open.length - shownFindings} more; --json prints all.`] : []),
    ...(problems.length > 0
      ? ['', 'Could not be read in full:', ...problems.slice(0, 20).map((problem) => `  ${problem.file}: ${problem.message}`)]
      : []),
    ...(problems.length > 20 ? [`  … and ${problems.length - 20} more; --json prints all.`] : []),
  ];
  return lines.join('\n');
}
