import {
  acceptedInSource,
  bodyOf,
  check,
  compareProjects,
  type ComponentId,
  type Decisions,
  derivationOf,
  derivationText,
  type FileFacts,
  type FilePath,
  type Figures,
  figuresCsv,
  figuresOf,
  fileOfSubject,
  type Finding,
  findingEntries,
  findingsCsv,
  findingsJson,
  findingsMarkdown,
  findingsSarif,
  findNames,
  type Graph,
  lineAt,
  matchPlan,
  type Plan,
  planFromCode,
  type PlanMatch,
  type Skeleton,
  lineStarts,
  livesAt,
  makeFlowQueries,
  memberName,
  type Model,
  type MergeNames,
  isConfig,
  isListenerId,
  type Listener,
  listenerAt,
  listenerOf,
  listenerSubject,
  link,
  type Linked,
  type Location,
  orderColumns,
  type OtherTrees,
  type Place,
  type PlacedProblem,
  problemsOf,
  type Page,
  isProposed,
  loadCompilers,
  patchOf,
  propose,
  proposeMoves,
  providedAt,
  placeCard,
  placePaths,
  pagesOfComponents,
  placesOnPage,
  type Question,
  relink,
  type Spot,
  type Severity,
  type Side,
  spotAt,
  spotOf,
  type Stand,
  type Standings,
  standingsOf,
  strandsOf,
  subjectOf,
  type SourceFile,
  newCheckKeep,
  type CheckKeep,
  type Subject,
  type SubjectId,
  type TriageMark,
  unfold,
  whatHappens,
  whatIfAll,
  type FlowQueries,
} from '@liana/core';
import { AnswerTable, type Kept, type Text } from './answer-table';
import { database, type Origin, type StoredFile } from '../storage/database';
import { saveProject } from '../storage/projects';
import { addReading, textsOfReading } from '../storage/readings';
import type {
  AlikeAnswer,
  CardAnswer,
  ComparedAnswer,
  DerivationAnswer,
  Excerpt,
  FindingView,
  LivesAnswer,
  PageEntry,
  ProposalAnswer,
  SearchHit,
  SideId,
  SubjectEntry,
  Summary,
  TraceAnswer,
  TreeAnswer,
  VersionDetail,
  VersionsAnswer,
  WhatIfAnswer,
} from './answers';
import { readAll, type TextUnit } from './pool';
import { cancelledMessage, type ReportProgress } from './progress';
import { type Commit, commitNamed, type Commits, commitsIn } from './git/commits';
import { gitFilesOf } from './git/git-files';
import { readProjectFile, type ReadProjectFile } from '../carving/project-file';
import { lookAgain } from './follow';
import { coreVersion } from './core-version';
import { checkKey, type Checked, keepCheck, keptCheck } from './kept-checks';
import { pageToBegin } from './page-order';
import { planSide } from './plan-side';
import { cutExcerpt, cutWhole } from './excerpt';
import { alikeIn, comparedIn, filesOf, likestPair } from './overlap';
import { answerTrace, entryOf, shownTrace, subjectsOf } from './traced';
import { rowsOf } from './rows';
import { type Given, takeSources } from './sources';
import { type Unit, unitsOf } from './units';
import { type VersionForm, versionDetail, type Versions, versionsAnswer, versionsExported } from './versions';

/** A project held in this worker's memory. */
type Opened = {
  readonly projectId: string;
  readonly readAt: number;
  readonly model: Linked;
  /** What was read, by units: a file of the same hash needs no new look. */
  readonly hashes: ReadonlyMap<FilePath, string>;
  readonly keep: CheckKeep;
  readonly checked: Checked;
  /** The setting of the project that it was checked by. */
  readonly twinsFrom: number | undefined;
  /** What follows from all this. */
  readonly answers: AnswerTable;
};

let opened: Opened | undefined;
let analysing: { readonly projectId: string; readonly readAt: number | undefined; readonly found: Promise<Opened> } | undefined;
let job = 0;

class Cancelled extends Error {}

function pageEntry(held: Opened, page: Page): PageEntry {
  const { id, name, file, path, why } = page;
  return { id, name, file, path, why, places: held.checked.places.get(page.id) ?? unfolded(held, page).tree.places.length };
}

/** Facts kept from before, for files whose text and reader are the same. */
async function keptFacts(projectId: string, units: readonly Unit[]): Promise<Map<FilePath, FileFacts>> {
  const hashes = new Map(units.map(({ file, hash }) => [file, hash]));
  const stored = await database.facts.where({ projectId }).toArray();
  const isSame = (one: (typeof stored)[number]): boolean => one.version === coreVersion && hashes.get(one.file) === one.hash;
  return new Map(stored.filter(isSame).map((one) => [one.file, one.facts]));
}

/** Facts of the project that is open, for files that are as they were: the same objects, so that linking can tell. */
function factsAtHand(projectId: string, units: readonly Unit[]): Map<FilePath, FileFacts> | undefined {
  if (opened?.projectId !== projectId) return undefined;
  const { model, hashes } = opened;
  return new Map(
    units.flatMap(({ file, hash }): [FilePath, FileFacts][] => {
      const facts = hashes.get(file) === hash ? model.files.get(file) : undefined;
      return facts ? [[file, facts]] : [];
    }),
  );
}

/** The texts of some units; of those whose file is gone, none. */
async function textUnits(projectId: string, units: readonly Unit[]): Promise<TextUnit[]> {
  const wanted = [...new Set(units.flatMap(({ file, beside }) => [file, ...beside]))];
  const stored = await database.texts.bulkGet(wanted.map((file): [string, string] => [projectId, file]));
  const texts = new Map(stored.flatMap((one): [FilePath, SourceFile][] => (one ? [[one.file, { file: one.file, text: one.text }]] : [])));
  return units.flatMap(({ file, beside }): TextUnit[] => {
    const own = texts.get(file);
    return own ? [{ ...own, beside: beside.flatMap((one) => texts.get(one) ?? []) }] : [];
  });
}

async function readFacts(
  projectId: string,
  sources: readonly Unit[],
  report: ReportProgress,
  isCancelled: () => boolean,
): Promise<Map<FilePath, FileFacts>> {
  const facts = factsAtHand(projectId, sources) ?? (await keptFacts(projectId, sources));
  const missing = sources.filter((file) => !facts.has(file.file));
  if (missing.length > 0) {
    const hashes = new Map(missing.map((file) => [file.file, file.hash]));
    let done = sources.length - missing.length;
    report({ stage: 'Reading source', done, total: sources.length });
    await readAll(
      await textUnits(projectId, missing),
      async (batch) => {
        for (const one of batch) facts.set(one.file, one);
        await database.facts
          .bulkPut(batch.map((one) => ({ projectId, file: one.file, hash: hashes.get(one.file) ?? '', version: coreVersion, facts: one })))
          .catch(() => undefined);
        done += batch.length;
        report({ stage: 'Reading source', done, total: sources.length });
      },
      isCancelled,
    );
  }
  if (isCancelled()) throw new Cancelled(cancelledMessage);
  return new Map(
    sources.flatMap((file): [FilePath, FileFacts][] => {
      const one = facts.get(file.file);
      return one ? [[file.file, one]] : [];
    }),
  );
}

async function analyse(projectId: string, report: ReportProgress, isCancelled: () => boolean): Promise<Opened> {
  const project = await database.projects.get(projectId);
  if (!project) throw new Error('This browser does not hold that project.');
  const files = await database.files.where({ projectId }).toArray();
  const units = unitsOf(files);
  const facts = await readFacts(
    projectId,
    units.filter(({ file }) => !isConfig(file)),
    report,
    isCancelled,
  );
  report({ stage: 'Linking', done: 0, total: 0 });
  const configs = await database.texts.bulkGet(
    files.filter((file) => file.kind === 'config').map((file): [string, string] => [projectId, file.file]),
  );
  const texts = configs.flatMap((one) => (one ? [{ file: one.file, text: one.text }] : []));
  const before = opened?.projectId === projectId && sameConfigs(opened.hashes, files) ? opened : undefined;
  const model = before ? relink(before.model, facts, texts) : link(facts, texts);
  const frameworks = frameworksOf(model);
  if (frameworks.join() !== project.frameworks?.join()) await database.projects.update(projectId, { frameworks });
  const keep = before?.keep ?? newCheckKeep();
  report({ stage: 'Checking', done: 0, total: 0 });
  const twinsFrom = (await database.triage.get(projectId))?.twinsFrom;
  const key = await checkKey(files, twinsFrom);
  const known = before ? undefined : await keptCheck(projectId, key);
  const checked = known ?? checkedNow(model, keep, twinsFrom);
  if (!known) await keepCheck(projectId, key, checked);
  return {
    twinsFrom,
    projectId,
    readAt: project.readAt,
    model,
    hashes: new Map(units.map(({ file, hash }) => [file, hash])),
    keep,
    checked,
    answers: new AnswerTable(),
  };
}

/** The findings of a model, the places at which a rule failed, and what was seen of its pages. */
function checkedNow(model: Linked, keep: CheckKeep, twinsFrom: number | undefined): Checked {
  const failures: PlacedProblem[] = [];
  const onFailure = (problem: PlacedProblem): void => void failures.push(problem);
  const findings = check(model, keep, { onFailure, ...(twinsFrom === undefined ? {} : { twinsFrom }) });
  const pages = pagesOfComponents(keep, model.pages);
  return {
    findings,
    failures,
    places: new Map(model.pages.map((page) => [page.id, placesOnPage(keep, page) ?? 0])),
    standsOn: new Map(
      findings.map(({ touches: { component } }) => [component, (pages.get(component) ?? []).map(({ name }) => name)] as const),
    ),
  };
}

function frameworksOf(model: Linked): string[] {
  return [...new Set([...model.components.values()].map((component) => component.framework))].filter((one) => one !== 'script').sort();
}

/** Tells whether the configuration is as it was when the hashes were taken. */
function sameConfigs(hashes: ReadonlyMap<FilePath, string>, files: readonly StoredFile[]): boolean {
  const configs = files.filter((file) => file.kind === 'config');
  const known = [...hashes.keys()].filter(isConfig);
  return configs.length === known.length && configs.every((file) => hashes.get(file.file) === file.hash);
}

/** The same project, asked again by another setting of its own. */
function checkedAnew(held: Opened, twinsFrom: number | undefined): Opened {
  return { ...held, twinsFrom, checked: checkedNow(held.model, held.keep, twinsFrom), answers: new AnswerTable() };
}

/** Analyses; where readings that were kept are damaged, they are thrown away, and the source is read anew. */
async function analysedAnew(projectId: string, report: ReportProgress, isCancelled: () => boolean): Promise<Opened> {
  try {
    return await analyse(projectId, report, isCancelled);
  } catch (error) {
    if (error instanceof Cancelled || (await database.facts.where({ projectId }).count()) === 0) throw error;
    await database.facts.where({ projectId }).delete();
    opened = undefined;
    return analyse(projectId, report, isCancelled);
  }
}

async function ensure(projectId: string, report: ReportProgress = () => undefined): Promise<Opened> {
  const [project, triage] = await Promise.all([database.projects.get(projectId), database.triage.get(projectId)]);
  if (opened?.projectId === projectId && opened.readAt === project?.readAt) {
    if (opened.twinsFrom !== triage?.twinsFrom) opened = checkedAnew(opened, triage?.twinsFrom);
    return opened;
  }
  // Several may ask at once, as when this worker was started again: one analysis serves them all.
  const readAt = project?.readAt;
  if (analysing?.projectId !== projectId || analysing.readAt !== readAt) {
    const mine = ++job;
    const found = analysedAnew(projectId, report, () => mine !== job);
    const current = { projectId, readAt, found };
    analysing = current;
    const done = (): void => {
      if (analysing === current) analysing = undefined;
    };
    found.then(done, done);
  }
  const found = await analysing.found;
  opened = found;
  return found;
}

/** The two sides that were compared last, by what they are and when they were read. */
let versions: { readonly key: string; readonly made: Promise<Versions> } | undefined;

const cannotCompare = 'That reading is not kept any more. Choose another one.';

/** What was read of one side of a comparison. */
async function sideOf(projectId: string, id: SideId, report: ReportProgress, isCancelled: () => boolean): Promise<Side> {
  const made = (model: Linked, findings: readonly Finding[], texts: ReadonlyMap<FilePath, string>): Side => ({
    model,
    findings,
    textOf: (file) => texts.get(file),
  });
  const textsNow = async (of: string): Promise<Map<FilePath, string>> =>
    new Map((await database.texts.where({ projectId: of }).toArray()).map(({ file, text }) => [file, text]));
  if (id === 'now') {
    const { model, checked } = await ensure(projectId, report);
    return made(model, checked.findings, await textsNow(projectId));
  }
  if (id === 'plan') return planSide(projectId, frameworksOf((await ensure(projectId, report)).model));
  const linked = (
    facts: Map<FilePath, FileFacts>,
    files: readonly Pick<StoredFile, 'file' | 'kind'>[],
    texts: ReadonlyMap<FilePath, string>,
  ): Side => {
    const configs = files.flatMap(({ file, kind }) =>
      kind === 'config' && texts.has(file) ? [{ file, text: texts.get(file) ?? '' }] : [],
    );
    const model = link(facts, configs);
    return made(model, check(model), texts);
  };
  const sourcesOf = (files: readonly StoredFile[]): Unit[] => unitsOf(files).filter(({ file }) => !isConfig(file));
  if (id.startsWith('project:')) {
    const other = id.slice('project:'.length);
    const files = await database.files.where({ projectId: other }).toArray();
    if (files.length === 0) throw new Error('This browser does not hold that project.');
    return linked(await readFacts(other, sourcesOf(files), report, isCancelled), files, await textsNow(other));
  }
  const reading = await database.readings.get(Number(id.slice('reading:'.length)));
  const texts = reading?.projectId === projectId ? await textsOfReading(reading) : undefined;
  if (!reading || !texts) throw new Error(cannotCompare);
  const files = reading.files.map((one): StoredFile => ({ ...one, projectId, size: 0 }));
  const units = sourcesOf(files).map(({ file, beside }) => ({
    file,
    text: texts.get(file) ?? '',
    beside: beside.map((one) => ({ file: one, text: texts.get(one) ?? '' })),
  }));
  const facts = new Map<FilePath, FileFacts>();
  await readAll(
    units,
    (batch) => {
      for (const one of batch) facts.set(one.file, one);
      report({ stage: 'Reading source', done: facts.size, total: units.length });
      return Promise.resolve();
    },
    isCancelled,
  );
  if (isCancelled()) throw new Cancelled(cancelledMessage);
  return linked(
    new Map(
      units.flatMap(({ file }) => {
        const one = facts.get(file);
        return one ? [[file, one] as const] : [];
      }),
    ),
    files,
    texts,
  );
}

/** Two sides compared, once for all that is asked of them. */
async function versionsOf(projectId: string, before: SideId, after: SideId, report: ReportProgress = () => undefined): Promise<Versions> {
  const readAt = async (id: SideId): Promise<number> =>
    id === 'plan'
      ? ((await database.plans.get(projectId))?.savedAt ?? 0)
      : id.startsWith('reading:')
        ? 0
        : ((await database.projects.get(id === 'now' ? projectId : id.slice('project:'.length)))?.readAt ?? 0);
  const key = `${projectId} ${before} ${await readAt(before)} ${after} ${await readAt(after)}`;
  if (versions?.key === key) return versions.made;
  // What has to be read of the project itself is read before, as work of its own.
  if (before === 'now' || after === 'now') await ensure(projectId, report);
  const mine = ++job;
  const isCancelled = (): boolean => mine !== job;
  const made = (async (): Promise<Versions> => {
    const one = await sideOf(projectId, before, report, isCancelled);
    const other = await sideOf(projectId, after, report, isCancelled);
    if (isCancelled()) throw new Cancelled(cancelledMessage);
    report({ stage: 'Comparing', done: 0, total: 0 });
    return { before: one, after: other, comparison: compareProjects(one, other) };
  })();
  const current = { key, made };
  versions = current;
  made.catch(() => {
    if (versions === current) versions = undefined;
  });
  return made;
}

/** The texts of some files; of those that are not kept, all are fetched at once. A file that is gone has none. */
async function textsOf({ answers, projectId }: Opened, files: Iterable<FilePath>): Promise<Map<FilePath, Text>> {
  const wanted = [...new Set(files)];
  const missing = wanted.filter((file) => !answers.has('text', file));
  const fetched = database.texts.bulkGet(missing.map((file): [string, string] => [projectId, file]));
  const positions = new Map(missing.map((file, at) => [file, at]));
  const fetch = async (file: FilePath): Promise<Text> => {
    const at = positions.get(file);
    const text = (at === undefined ? await database.texts.get([projectId, file]) : (await fetched)[at])?.text ?? '';
    return { text, starts: lineStarts(text) };
  };
  const entries = wanted.map(async (file) => [file, await answers.get('text', file, () => fetch(file))] as const);
  return new Map(await Promise.all(entries));
}

async function textOf(held: Opened, file: FilePath): Promise<string> {
  return (await textsOf(held, [file])).get(file)?.text ?? '';
}

/** A reader of some files, for what asks for texts as it goes. */
async function readerOf(held: Opened, files: Iterable<FilePath>): Promise<(file: FilePath) => string | undefined> {
  const texts = await textsOf(held, files);
  return (file) => texts.get(file)?.text;
}

/** The 1-based line of a place. */
async function lineOf(held: Opened, at: Location): Promise<number> {
  return lineAt((await textsOf(held, [at.file])).get(at.file)?.starts ?? [0], at.start);
}

/** A page's tree with the answers about its values. */
/** Does something that takes the texts of files: which it takes is known only on the way, so that those that are missed are fetched, and it is done again. */
async function withTexts<Result>(held: Opened, run: (textOf: (file: FilePath) => string | undefined) => Result): Promise<Result> {
  const texts = new Map<FilePath, Text>();
  for (;;) {
    const missed = new Set<FilePath>();
    const result = run((file) => {
      if (!texts.has(file) && held.model.files.has(file)) missed.add(file);
      return texts.get(file)?.text;
    });
    if (missed.size === 0) return result;
    for (const [file, text] of await textsOf(held, missed)) texts.set(file, text);
  }
}

/** Names of the slots of a component that stands at a place: those of its contract, and those that it shows. */
function slotsOf(model: Model, place: Place | undefined): string[] {
  const component = place && model.components.get(place.component);
  const slots = [...(component?.contract.members.values() ?? [])].flatMap(({ kind, name }) => (kind === 'slot' ? [name] : []));
  return [...new Set([...slots, ...(component?.facts.slots.map(({ key }) => memberName(key)) ?? [])])];
}

function unfolded({ answers, model }: Opened, page: Page): Kept['ways'] {
  return answers.get('ways', page.id, () => {
    const tree = unfold(model, page);
    return { tree, ways: makeFlowQueries(model, tree), paths: placePaths(model, tree) };
  });
}

function strandsIn(held: Opened, page: Page): Kept['strands'] {
  return held.answers.get('strands', page.id, () => {
    const { strands, local } = strandsOf(unfolded(held, page).ways, held.checked.findings);
    return { strands: orderColumns(strands), local };
  });
}

function standingsIn({ answers, model }: Opened): Standings {
  return answers.get('standings', '', () => standingsOf(model));
}

/** The pages that may hold something of a file, the one that is asked for first; the first page knows all modules. */
function pagesFor(held: Opened, file: FilePath, pageId: string | undefined): Page[] {
  const { pages } = held.model;
  const asked = pages.filter((page) => page.id === pageId);
  return [...new Set([...asked, ...standingsIn(held).pagesOfFile(file), ...pages.slice(0, 1)])];
}

type Found<What> = { readonly page: Page; readonly ways: FlowQueries; readonly paths: readonly string[]; readonly what: What };

/** Where something of a file is found first: on the page that is asked for, at its place there, or on another one. */
function findOn<What>(
  held: Opened,
  file: FilePath,
  pageId: string | undefined,
  place: string | undefined,
  find: (graph: Graph, place: number) => What | undefined,
): Found<What> | undefined {
  for (const page of pagesFor(held, file, pageId)) {
    const { ways, paths } = unfolded(held, page);
    const what = find(ways.graph, page.id === pageId && place !== undefined ? paths.indexOf(place) : -1);
    if (what !== undefined) return { page, ways, paths, what };
  }
  return undefined;
}

const findSubject = (held: Opened, pageId: string | undefined, subject: SubjectId, place: string | undefined): Found<Spot> | undefined =>
  findOn(held, fileOfSubject(subject), pageId, place, (graph, at) => spotOf(graph, subject, at));

const findListener = (held: Opened, pageId: string | undefined, id: SubjectId, place: string | undefined): Found<Listener> | undefined =>
  findOn(held, fileOfSubject(id), pageId, place, (graph, at) => listenerOf(graph, id, at));

function pageById(held: Opened, id: string | undefined): Page | undefined {
  const asked = id ?? pageToBegin(held.model.pages.map((page) => pageEntry(held, page)))?.id;
  return held.model.pages.find((page) => page.id === asked) ?? held.model.pages[0];
}

/** The texts in which findings stand, and the reasons for which the source accepts some of them, by their keys. */
async function acceptedOf(
  held: Opened,
  findings: readonly Finding[],
): Promise<{ texts: ReadonlyMap<FilePath, Text>; reasons: ReadonlyMap<string, string> }> {
  const texts = await textsOf(
    held,
    findings.map(({ at }) => at.file),
  );
  const accepted = acceptedInSource(findings, (file) => texts.get(file)?.text);
  return { texts, reasons: new Map(accepted.map((one) => [one.key, one.reason])) };
}

/** Findings with their lines and pages. */
async function viewsOf(held: Opened, findings: readonly Finding[]): Promise<FindingView[]> {
  const { texts, reasons } = await acceptedOf(held, findings);
  return findings.map((finding): FindingView => {
    const component = held.model.components.get(finding.component);
    const reason = reasons.get(finding.key);
    return {
      ...finding,
      componentName: component?.name ?? '',
      framework: component?.framework ?? 'script',
      line: lineAt(texts.get(finding.at.file)?.starts ?? [0], finding.at.start),
      onPages: finding.pages.length > 0 ? finding.pages : (held.checked.standsOn.get(finding.touches.component) ?? []),
      ...(reason === undefined ? {} : { accepted: reason }),
    };
  });
}

function findingViews(held: Opened): Promise<readonly FindingView[]> {
  return held.answers.get('findings', '', () => viewsOf(held, held.checked.findings));
}

export const analyst = {
  /** Analyses a project unless it is open already. Files that have not changed are not read again. */
  async open(projectId: string, report: ReportProgress): Promise<Summary> {
    const held = await ensure(projectId, report);
    const { model } = held;
    const components = [...model.components.values()].filter((component) => component.role === 'component');
    const problems = problemsOf(model, held.checked.failures);
    const placed = await Promise.all(problems.slice(0, 200).map(async (problem) => ({ ...problem, line: await lineOf(held, problem) })));
    return {
      projectId,
      files: model.files.size,
      components: components.length,
      frameworks: frameworksOf(held.model),
      pages: model.pages.map((page) => pageEntry(held, page)),
      uses: model.counts,
      problems: placed,
    };
  },

  /** Saves what was handed in as a project, or as the new state of one. Nothing is saved when it is stopped or refused. */
  async take(projectId: string, name: string, origin: Origin, given: Given, report: ReportProgress): Promise<void> {
    const mine = ++job;
    const files = await takeSources(given, report, () => mine !== job);
    if (!files || mine !== job) throw new Cancelled(cancelledMessage);
    report({ stage: 'Saving', done: 0, total: 0 });
    await saveProject(projectId, name, origin, files, () => mine !== job);
  },

  /** The branches, tags and commits of what was handed in; undefined where it has no `.git`. Throws `GitError` where that cannot be read. */
  async commits(given: Given): Promise<Commits | undefined> {
    const files = await gitFilesOf(given);
    return files && commitsIn(files);
  },

  /** The commit that a text names, in what was handed in; undefined where it names none. */
  async commitNamed(given: Given, text: string): Promise<Commit | undefined> {
    const files = await gitFilesOf(given);
    return files && commitNamed(files, text);
  },

  /** Keeps what was handed in as a version of a project, to be compared with; the number of the reading. */
  async addVersion(projectId: string, name: string, given: Given, report: ReportProgress): Promise<number> {
    const mine = ++job;
    const files = await takeSources(given, report, () => mine !== job);
    if (!files || mine !== job) throw new Cancelled(cancelledMessage);
    report({ stage: 'Saving', done: 0, total: 0 });
    return addReading(projectId, name, files.files);
  },

  /** Reads a project file; the error names the entry and the field that is wrong. */
  async readProjectFile(file: File): Promise<ReadProjectFile> {
    return readProjectFile(new Uint8Array(await file.arrayBuffer()), file.name);
  },

  /** Takes what has changed in a folder that is followed; tells whether anything had. */
  async lookAgain(projectId: string, handle: FileSystemDirectoryHandle): Promise<boolean> {
    return lookAgain(projectId, handle);
  },

  /** Stops the work under way. */
  cancel(): void {
    job++;
  },

  /** A page's rows and strands; the first page when there is none of that id. Undefined for a project without components. */
  async tree(projectId: string, pageId: string | undefined): Promise<TreeAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return undefined;
    const { tree } = unfolded(held, page);
    const { strands, local } = strandsIn(held, page);
    return {
      page: pageEntry(held, page),
      rows: rowsOf(held.model, tree, held.checked.findings),
      strands,
      local,
      truncated: tree.truncated,
    };
  },

  async card(projectId: string, pageId: string, place: number): Promise<CardAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return undefined;
    const card = placeCard(held.model, unfolded(held, page).tree, strandsIn(held, page).strands, place);
    if (!card) return undefined;
    const concerned = held.checked.findings.filter(
      (finding) => finding.touches.component === card.component || finding.component === card.component,
    );
    return {
      card,
      findings: await viewsOf(held, concerned),
      line: await lineOf(held, card.declared),
    };
  },

  /** What would become of some places of a page if all of them stood elsewhere; undefined where the page is not there. */
  async whatIf(projectId: string, pageId: string, stands: readonly Stand[]): Promise<WhatIfAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return undefined;
    const { tree } = unfolded(held, page);
    const trees: OtherTrees = () => held.model.pages.map((one) => ({ page: one.name, tree: unfolded(held, one).tree }));
    const answers = whatIfAll(held.model, tree, stands, trees);
    const files = stands.flatMap(({ moved, target }) =>
      [tree.places[moved], tree.places[tree.places[moved]?.owner ?? -1], tree.places[target]].flatMap(
        (place) => (place && held.model.components.get(place.component)?.file) ?? [],
      ),
    );
    await loadCompilers(files);
    const proposal = await withTexts(held, (textOf): ProposalAnswer => {
      const proposed = proposeMoves(held.model, tree, stands, answers, textOf);
      return 'edits' in proposed ? { says: proposed.says, patch: patchOf(proposed.edits, textOf) } : proposed;
    });
    return { moves: stands.map(({ target }, at) => ({ slots: slotsOf(held.model, tree.places[target]), whatIf: answers[at] })), proposal };
  },

  /** What would come of it if the state of a strand lived at another place, or its context were provided there; undefined where it is so, or is not there any more. */
  async lives(projectId: string, pageId: string, strandId: string, place: number): Promise<LivesAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    const strand = page && strandsIn(held, page).strands.find(({ id }) => id === strandId);
    if (!page || !strand) return undefined;
    const { tree } = unfolded(held, page);
    const state = livesAt(held.model, tree, strand, place);
    const context = providedAt(held.model, tree, strand, place);
    return state ? { state } : context && { context };
  },

  async findings(projectId: string): Promise<readonly FindingView[]> {
    return findingViews(await ensure(projectId));
  },

  /** How many findings nothing was decided about, by a mark, a rule that is off, or a comment in the source. */
  async openCount(projectId: string, { marks, rules }: Decisions): Promise<number> {
    const held = await ensure(projectId);
    const { reasons } = await acceptedOf(held, held.checked.findings);
    return held.checked.findings.filter(({ key, rule }) => !marks[key] && rules[rule] !== 'off' && !reasons.has(key)).length;
  },

  /** The patch of all certain fixes among some findings; empty where there is none. */
  async patch(projectId: string, keys: readonly string[]): Promise<string> {
    const held = await ensure(projectId);
    const asked = new Set(keys);
    const edits = held.checked.findings.flatMap((finding) => (asked.has(finding.key) ? (finding.edits ?? []) : []));
    return patchOf(
      edits,
      await readerOf(
        held,
        edits.map(({ file }) => file),
      ),
    );
  },

  /** The change that Liana proposes for a finding, as a patch, or why it cannot be written; undefined for rules without one. */
  async proposal(projectId: string, key: string): Promise<ProposalAnswer | undefined> {
    const held = await ensure(projectId);
    const finding = held.checked.findings.find((one) => one.key === key);
    if (!finding || !isProposed(finding.rule)) return undefined;
    // A new component is read before it is proposed.
    await loadCompilers([finding.at.file]);
    return withTexts(held, (textOf) => {
      const proposal = propose(held.model, finding, textOf);
      return proposal && 'edits' in proposal ? { says: proposal.says, patch: patchOf(proposal.edits, textOf) } : proposal;
    });
  },

  /** Some findings, in their order and with their severity as given, as a file of some form. */
  async exported(
    projectId: string,
    name: string,
    form: 'sarif' | 'csv' | 'markdown' | 'json',
    asked: readonly { readonly key: string; readonly severity: Severity }[],
    marks: Readonly<Record<string, TriageMark>>,
  ): Promise<string> {
    const held = await ensure(projectId);
    const byKey = new Map(held.checked.findings.map((finding) => [finding.key, finding]));
    const findings = asked.flatMap(({ key, severity }): Finding[] => {
      const finding = byKey.get(key);
      return finding ? [{ ...finding, severity }] : [];
    });
    const places = findings.flatMap(({ at, evidence }) => [at, ...evidence.map((rung) => rung.at)]);
    const textIn = await readerOf(
      held,
      places.map(({ file }) => file),
    );
    const entries = findingEntries(held.model, findings, textIn, {
      marks: new Map(Object.entries(marks)),
      accepted: acceptedInSource(findings, textIn),
    });
    switch (form) {
      case 'sarif':
        return findingsSarif(entries);
      case 'csv':
        return findingsCsv(entries);
      case 'markdown':
        return findingsMarkdown(name, entries);
      case 'json':
        return findingsJson(entries);
    }
  },

  /** What the project amounts to, and the same as a table. */
  async figures(projectId: string): Promise<{ readonly figures: Figures; readonly csv: string }> {
    const held = await ensure(projectId);
    const figures = held.answers.get('figures', '', () => figuresOf(held.model, held.checked.findings));
    return { figures, csv: figuresCsv(figures) };
  },

  /** Components that are alike from some likeness on, 0 to 1, in groups. */
  async alike(projectId: string, from: number): Promise<AlikeAnswer> {
    const { answers, model } = await ensure(projectId);
    return answers.get('alike', String(from), () => alikeIn(model, from));
  },

  /** The likest pair among the twins that a component is the first of. */
  async twinsOf(projectId: string, component: ComponentId): Promise<readonly [ComponentId, ComponentId] | undefined> {
    const { model } = await ensure(projectId);
    return likestPair(model, component);
  },

  /** Two components beside each other, and the one that could stand in their place; undefined for one that is not there. */
  async compared(projectId: string, a: ComponentId, b: ComponentId, names: MergeNames): Promise<ComparedAnswer | undefined> {
    const held = await ensure(projectId);
    const answer = comparedIn(held.model, a, b, names, await readerOf(held, filesOf(held.model, [a, b])));
    const finding = held.checked.findings.find((one) => one.rule === 'twins' && one.component === a);
    return answer && { ...answer, ...(finding ? { finding: finding.key } : {}) };
  },

  /** Compares two versions of a project. Throws with a sentence where a side is not kept any more. */
  async versions(projectId: string, before: SideId, after: SideId, report: ReportProgress): Promise<VersionsAnswer> {
    return versionsAnswer(await versionsOf(projectId, before, after, report));
  },

  /** One component of such a comparison. */
  async version(projectId: string, before: SideId, after: SideId, key: string): Promise<VersionDetail | undefined> {
    return versionDetail(await versionsOf(projectId, before, after), key);
  },

  async versionsExported(projectId: string, before: SideId, after: SideId, title: string, form: VersionForm): Promise<string> {
    return versionsExported(await versionsOf(projectId, before, after), title, form);
  },

  /** Answers a question about a value or an event; undefined where the project has none of that name. */
  async trace(
    projectId: string,
    pageId: string | undefined,
    subject: SubjectId,
    place: string | undefined,
    question: Question,
  ): Promise<TraceAnswer | undefined> {
    const held = await ensure(projectId);
    const textIn = (file: FilePath): Promise<string> => textOf(held, file);
    if (isListenerId(subject)) {
      const found = findListener(held, pageId, subject, place);
      return found && { page: pageEntry(held, found.page), ...(await shownTrace(found, whatHappens(found.ways, found.what), textIn)) };
    }
    const found = findSubject(held, pageId, subject, place);
    return found && { page: pageEntry(held, found.page), ...(await answerTrace(held.model, found, found.what, question, textIn)) };
  },

  /** What derives from what where a value is declared, or in a component or a module as a whole; undefined where the project has none of that name. */
  async derivation(
    projectId: string,
    pageId: string | undefined,
    subject: SubjectId,
    place: string | undefined,
  ): Promise<DerivationAnswer | undefined> {
    const held = await ensure(projectId);
    const found = findOn(held, fileOfSubject(subject), pageId, place, (graph, at) => bodyOf(graph, subject, at));
    if (!found) return undefined;
    const { what: frame, paths, ways } = found;
    const texts = await textsOf(held, [frame.file, ...(frame.component?.facts.files ?? [])]);
    const derivation = derivationOf(ways.graph, frame, new Map([...texts].map(([file, { text }]) => [file, text])));
    const asked = derivation.rows.findIndex((row) => row.subject === subject);
    const path = paths[frame.place];
    return {
      page: pageEntry(held, found.page),
      derivation,
      ...(path === undefined ? {} : { place: path }),
      ...(asked < 0 ? {} : { asked }),
      lines: derivation.rows.map(({ at }) => lineAt(texts.get(at.file)?.starts ?? [0], at.start)),
      text: derivationText(derivation),
    };
  },

  /** What stands at an offset of a file, as the subject of a trace; undefined where nothing is named there. */
  async subjectAt(
    projectId: string,
    pageId: string | undefined,
    file: FilePath,
    offset: number,
    place: string | undefined,
  ): Promise<SubjectEntry | undefined> {
    const held = await ensure(projectId);
    const found = findOn(held, file, pageId, place, (graph, at): Subject | undefined => {
      const listener = listenerAt(graph, file, offset, at);
      if (listener) return listenerSubject(listener);
      const spot = spotAt(graph, file, offset, at);
      return spot && subjectOf(graph, spot);
    });
    return found && entryOf(found.what, found.page.id, found.paths);
  },

  /** What an id names, on the page that is asked for or the first that has it. */
  async subject(projectId: string, pageId: string | undefined, subject: SubjectId): Promise<SubjectEntry | undefined> {
    const found = findSubject(await ensure(projectId), pageId, subject, undefined);
    return found && entryOf(subjectOf(found.ways.graph, found.what), found.page.id, found.paths);
  },

  /** The values and events of a page that a trace may start from. */
  async subjects(projectId: string, pageId: string | undefined): Promise<SubjectEntry[]> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return [];
    const { ways, paths } = unfolded(held, page);
    return subjectsOf(ways.graph, page.id, paths, strandsIn(held, page).strands);
  },

  /** The whole of the component or function that a place in code stands in. */
  async whole(projectId: string, at: Location): Promise<Excerpt | undefined> {
    const held = await ensure(projectId);
    return cutWhole(await textOf(held, at.file), at, held.model.files.get(at.file));
  },

  /** Code around places, one excerpt for each list of places of one file. */
  async excerpts(projectId: string, lists: readonly (readonly Location[])[]): Promise<(Excerpt | undefined)[]> {
    const held = await ensure(projectId);
    const textIn = await readerOf(
      held,
      lists.flatMap(([first]) => first?.file ?? []),
    );
    return lists.map((marks) => (marks[0] ? cutExcerpt(textIn(marks[0].file) ?? '', marks) : undefined));
  },

  async search(projectId: string, question: string): Promise<SearchHit[]> {
    const held = await ensure(projectId);
    return Promise.all(findNames(held.model, question).map(async (hit) => ({ ...hit, line: await lineOf(held, hit.at) })));
  },

  /** Compares a plan's skeleton with the project. */
  async matchPlan(projectId: string, skeleton: Skeleton): Promise<PlanMatch> {
    return matchPlan(skeleton, (await ensure(projectId)).model);
  },

  /** A plan of the project as it is. */
  async planFromCode(projectId: string, name: string): Promise<Plan> {
    return planFromCode((await ensure(projectId)).model, name);
  },

  /** Where in the trees a component stands first, by the steps to it. */
  async placeOf(
    projectId: string,
    component: ComponentId,
    preferred: string | undefined,
  ): Promise<{ pageId: string; place: string } | undefined> {
    const held = await ensure(projectId);
    const standings = standingsIn(held).of(component);
    const found = standings.find(({ page }) => page.id === preferred) ?? standings[0];
    return found && { pageId: found.page.id, place: unfolded(held, found.page).paths[found.place] ?? '' };
  },
};

export type Analyst = typeof analyst;
