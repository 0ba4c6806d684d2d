import {
  acceptedInSource,
  check,
  type ComponentId,
  type Decisions,
  type FileFacts,
  type FilePath,
  type Figures,
  figuresCsv,
  figuresOf,
  type Finding,
  findingEntries,
  findingsCsv,
  findingsJson,
  findingsMarkdown,
  findingsSarif,
  findNames,
  lineAt,
  matchPlan,
  type Plan,
  planFromCode,
  type PlanMatch,
  type Skeleton,
  lineStarts,
  makeWays,
  type MergeNames,
  isConfig,
  link,
  type Linked,
  type Location,
  orderColumns,
  type Page,
  pageOf,
  isProposed,
  loadCompilers,
  patchOf,
  propose,
  placeCard,
  type Question,
  readerVersion,
  relink,
  type Spot,
  type Severity,
  spotAt,
  spotOf,
  strandsOf,
  subjectOf,
  type SourceFile,
  type Strand,
  newCheckKeep,
  type CheckKeep,
  type SubjectId,
  type Tree,
  type TriageMark,
  unfold,
  type Ways,
} from '@liana/core';
import { expose } from 'comlink';
import { database, type Origin, type StoredFile } from '../storage/database';
import { saveProject } from '../storage/projects';
import type {
  AlikeAnswer,
  CardAnswer,
  ComparedAnswer,
  Excerpt,
  FindingView,
  PageEntry,
  ProposalAnswer,
  SearchHit,
  SubjectEntry,
  Summary,
  TraceAnswer,
  TreeAnswer,
} from './answers';
import { readAll } from './pool';
import { cancelledMessage, type ReportProgress } from './progress';
import { cutExcerpt, cutWhole } from './excerpt';
import { alikeIn, comparedIn, filesOf, likestPair } from './overlap';
import { answerTrace, subjectsOf } from './traced';
import { rowsOf } from './rows';
import { type Given, takeSources } from './sources';

/** A page's tree, with the answers about its values, and its strands in the order of their columns. */
type UnfoldedPage = { readonly tree: Tree; readonly ways: Ways; readonly strands: readonly Strand[]; readonly local: number };

/** A project held in this worker's memory. */
type Opened = {
  readonly projectId: string;
  readonly readAt: number;
  readonly model: Linked;
  /** What was read: a file of the same hash needs no new look. */
  readonly hashes: ReadonlyMap<FilePath, string>;
  readonly keep: CheckKeep;
  readonly findings: readonly Finding[];
  /** The setting of the project that they were found by. */
  readonly twinsFrom: number | undefined;
  readonly pageNames: ReadonlyMap<ComponentId, readonly string[]>;
  readonly texts: Map<FilePath, string>;
  readonly pages: Map<string, UnfoldedPage>;
  /** The findings with their lines and pages; made at the first question. */
  views?: Promise<readonly FindingView[]>;
  figures?: Figures;
};

let opened: Opened | undefined;
let job = 0;

class Cancelled extends Error {}

function pageEntry({ id, name, file, path, reach }: Page): PageEntry {
  return { id, name, file, path, reach };
}

/** Facts kept from before, for files whose text and reader are the same. */
async function keptFacts(projectId: string, files: readonly StoredFile[]): Promise<Map<FilePath, FileFacts>> {
  const hashes = new Map(files.map((file) => [file.file, file.hash]));
  const kept = new Map<FilePath, FileFacts>();
  await database.facts.where({ projectId }).each((stored) => {
    if (stored.version === readerVersion && hashes.get(stored.file) === stored.hash) kept.set(stored.file, stored.facts);
  });
  return kept;
}

/** Facts of the project that is open, for files that are as they were: the same objects, so that linking can tell. */
function factsAtHand(projectId: string, sources: readonly StoredFile[]): Map<FilePath, FileFacts> | undefined {
  if (opened?.projectId !== projectId) return undefined;
  const { model, hashes } = opened;
  return new Map(
    sources.flatMap((file): [FilePath, FileFacts][] => {
      const facts = hashes.get(file.file) === file.hash ? model.files.get(file.file) : undefined;
      return facts ? [[file.file, facts]] : [];
    }),
  );
}

async function readFacts(
  projectId: string,
  sources: readonly StoredFile[],
  report: ReportProgress,
  isCancelled: () => boolean,
): Promise<Map<FilePath, FileFacts>> {
  const facts = factsAtHand(projectId, sources) ?? (await keptFacts(projectId, sources));
  const missing = sources.filter((file) => !facts.has(file.file));
  if (missing.length > 0) {
    const hashes = new Map(missing.map((file) => [file.file, file.hash]));
    const stored = await database.texts.bulkGet(missing.map((file): [string, string] => [projectId, file.file]));
    const files = stored.flatMap((one): SourceFile[] => (one ? [{ file: one.file, text: one.text }] : []));
    let done = sources.length - missing.length;
    report({ stage: 'Reading source', done, total: sources.length });
    await readAll(
      files,
      async (batch) => {
        for (const one of batch) facts.set(one.file, one);
        await database.facts
          .bulkPut(
            batch.map((one) => ({ projectId, file: one.file, hash: hashes.get(one.file) ?? '', version: readerVersion, facts: one })),
          )
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
  const facts = await readFacts(
    projectId,
    files.filter((file) => file.kind === 'source'),
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
  const findings = check(model, keep, twinsFrom === undefined ? {} : { twinsFrom });
  return {
    twinsFrom,
    projectId,
    readAt: project.readAt,
    model,
    hashes: new Map(files.map((file) => [file.file, file.hash])),
    keep,
    findings,
    pageNames: pageNamesIn(keep),
    texts: new Map(),
    pages: new Map(),
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
function checkedAnew({ views: _, figures: __, ...held }: Opened, twinsFrom: number | undefined): Opened {
  const set = twinsFrom === undefined ? {} : { twinsFrom };
  return { ...held, twinsFrom, findings: check(held.model, held.keep, set) };
}

async function ensure(projectId: string, report: ReportProgress = () => undefined): Promise<Opened> {
  const [project, triage] = await Promise.all([database.projects.get(projectId), database.triage.get(projectId)]);
  if (opened?.projectId === projectId && opened.readAt === project?.readAt) {
    if (opened.twinsFrom !== triage?.twinsFrom) opened = checkedAnew(opened, triage?.twinsFrom);
    return opened;
  }
  const mine = ++job;
  const found = await analyse(projectId, report, () => mine !== job);
  opened = found;
  return found;
}

async function textOf(held: Opened, file: FilePath): Promise<string> {
  const known = held.texts.get(file);
  if (known !== undefined) return known;
  const text = (await database.texts.get([held.projectId, file]))?.text ?? '';
  held.texts.set(file, text);
  if (held.texts.size > 60) held.texts.delete(held.texts.keys().next().value ?? '');
  return text;
}

async function lineOf(held: Opened, at: Location): Promise<number> {
  return lineAt(lineStarts(await textOf(held, at.file)), at.start);
}

function unfolded(held: Opened, page: Page): UnfoldedPage {
  const known = held.pages.get(page.id);
  if (known) return known;
  const tree = unfold(held.model, page);
  const ways = makeWays(held.model, tree);
  const { strands, local } = strandsOf(ways, held.findings);
  const made = { tree, ways, strands: orderColumns(strands), local };
  held.pages.set(page.id, made);
  if (held.pages.size > 6) held.pages.delete(held.pages.keys().next().value ?? '');
  return made;
}

/** The answers about the values of a page. */
function waysOf(held: Opened, page: Page): Ways {
  return unfolded(held, page).ways;
}

/** The page that is asked for if it holds the subject, else the first that does. */
function subjectPage(
  held: Opened,
  pageId: string | undefined,
  subject: SubjectId,
  place: number,
): { page: Page; ways: Ways; spot: Spot } | undefined {
  const asked = pageById(held, pageId);
  const others = held.model.pages.filter((page) => page !== asked);
  for (const page of asked ? [asked, ...others] : others) {
    const ways = waysOf(held, page);
    const spot = spotOf(ways.graph, subject, page === asked ? place : -1);
    if (spot) return { page, ways, spot };
  }
  return undefined;
}

function pageById(held: Opened, id: string | undefined): Page | undefined {
  return held.model.pages.find((page) => page.id === id) ?? held.model.pages[0];
}

async function viewOf(held: Opened, finding: Finding): Promise<FindingView> {
  const component = held.model.components.get(finding.component);
  const text = await textOf(held, finding.at.file);
  const [accepted] = acceptedInSource([finding], () => text);
  return {
    ...finding,
    componentName: component?.name ?? '',
    framework: component?.framework ?? 'script',
    line: lineAt(lineStarts(text), finding.at.start),
    onPages: finding.pages.length > 0 ? finding.pages : (held.pageNames.get(finding.touches.component) ?? []),
    ...(accepted ? { accepted: accepted.reason } : {}),
  };
}

function viewsOf(held: Opened): Promise<readonly FindingView[]> {
  held.views ??= Promise.all(held.findings.map((finding) => viewOf(held, finding)));
  return held.views;
}

/** The names of the pages that each component stands on, from the parts of the survey. */
function pageNamesIn(keep: CheckKeep): Map<ComponentId, string[]> {
  const names = new Map<ComponentId, string[]>();
  for (const { page, components } of keep.pages.values())
    for (const id of components.keys()) {
      const known = names.get(id);
      if (known) known.push(page.name);
      else names.set(id, [page.name]);
    }
  return names;
}

const analyst = {
  /** Analyses a project unless it is open already. Files that have not changed are not read again. */
  async open(projectId: string, report: ReportProgress): Promise<Summary> {
    const held = await ensure(projectId, report);
    const { model } = held;
    const components = [...model.components.values()].filter((component) => component.role === 'component');
    const problems = [...model.files.values()].flatMap((facts) => facts.problems.map((problem) => ({ ...problem, file: facts.file })));
    const placed = await Promise.all(problems.slice(0, 200).map(async (problem) => ({ ...problem, line: await lineOf(held, problem) })));
    return {
      projectId,
      files: model.files.size,
      components: components.length,
      frameworks: frameworksOf(held.model),
      pages: model.pages.map(pageEntry),
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

  /** Stops the work under way. */
  cancel(): void {
    job++;
  },

  /** A page's rows and strands; the first page when there is none of that id. Undefined for a project without components. */
  async tree(projectId: string, pageId: string | undefined): Promise<TreeAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return undefined;
    const { tree, strands, local } = unfolded(held, page);
    return { page: pageEntry(page), rows: rowsOf(held.model, tree, held.findings), strands, local, truncated: tree.truncated };
  },

  async card(projectId: string, pageId: string, place: number): Promise<CardAnswer | undefined> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    if (!page) return undefined;
    const { tree, strands } = unfolded(held, page);
    const card = placeCard(held.model, tree, strands, place);
    if (!card) return undefined;
    const concerned = held.findings.filter(
      (finding) => finding.touches.component === card.component || finding.component === card.component,
    );
    return {
      card,
      findings: await Promise.all(concerned.map((finding) => viewOf(held, finding))),
      line: await lineOf(held, card.declared),
    };
  },

  async findings(projectId: string): Promise<readonly FindingView[]> {
    return viewsOf(await ensure(projectId));
  },

  /** How many findings nothing was decided about, by a mark, a rule that is off, or a comment in the source. */
  async openCount(projectId: string, { marks, rules }: Decisions): Promise<number> {
    const views = await viewsOf(await ensure(projectId));
    return views.filter((one) => !marks[one.key] && rules[one.rule] !== 'off' && one.accepted === undefined).length;
  },

  /** The patch of all certain fixes among some findings; empty where there is none. */
  async patch(projectId: string, keys: readonly string[]): Promise<string> {
    const held = await ensure(projectId);
    const asked = new Set(keys);
    const edits = held.findings.flatMap((finding) => (asked.has(finding.key) ? (finding.edits ?? []) : []));
    const texts = new Map<string, string>();
    for (const { file } of edits) if (!texts.has(file)) texts.set(file, await textOf(held, file));
    return patchOf(edits, (file) => texts.get(file));
  },

  /** The change that Liana proposes for a finding, as a patch, or why it cannot be written; undefined for rules without one. */
  async proposal(projectId: string, key: string): Promise<ProposalAnswer | undefined> {
    const held = await ensure(projectId);
    const finding = held.findings.find((one) => one.key === key);
    if (!finding || !isProposed(finding.rule)) return undefined;
    // A new component is read before it is proposed.
    await loadCompilers([finding.at.file]);
    // Which files it takes is known only on the way: those that are missed are fetched, and it is asked again.
    const texts = new Map<FilePath, string>();
    for (;;) {
      const missed = new Set<FilePath>();
      const textIn = (file: FilePath): string | undefined => {
        if (!texts.has(file) && held.model.files.has(file)) missed.add(file);
        return texts.get(file);
      };
      const proposal = propose(held.model, finding, textIn);
      if (missed.size === 0)
        return proposal && 'edits' in proposal ? { says: proposal.says, patch: patchOf(proposal.edits, textIn) } : proposal;
      for (const file of missed) texts.set(file, await textOf(held, file));
    }
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
    const byKey = new Map(held.findings.map((finding) => [finding.key, finding]));
    const findings = asked.flatMap(({ key, severity }): Finding[] => {
      const finding = byKey.get(key);
      return finding ? [{ ...finding, severity }] : [];
    });
    const texts = new Map<string, string>();
    for (const { at, evidence } of findings)
      for (const { file } of [at, ...evidence.map((rung) => rung.at)]) if (!texts.has(file)) texts.set(file, await textOf(held, file));
    const textIn = (file: FilePath): string | undefined => texts.get(file);
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
    held.figures ??= figuresOf(held.model, held.findings);
    return { figures: held.figures, csv: figuresCsv(held.figures) };
  },

  /** Components that are alike from some likeness on, 0 to 1, in groups. */
  async alike(projectId: string, from: number): Promise<AlikeAnswer> {
    const { model } = await ensure(projectId);
    return alikeIn(model, from);
  },

  /** The likest pair among the twins that a component is the first of. */
  async twinsOf(projectId: string, component: ComponentId): Promise<readonly [ComponentId, ComponentId] | undefined> {
    const { model } = await ensure(projectId);
    return likestPair(model, component);
  },

  /** Two components beside each other, and the one that could stand in their place; undefined for one that is not there. */
  async compared(projectId: string, a: ComponentId, b: ComponentId, names: MergeNames): Promise<ComparedAnswer | undefined> {
    const held = await ensure(projectId);
    const texts = new Map<string, string>();
    for (const file of filesOf(held.model, [a, b])) texts.set(file, await textOf(held, file));
    const answer = comparedIn(held.model, a, b, names, (file) => texts.get(file));
    const finding = held.findings.find((one) => one.rule === 'twins' && one.component === a);
    return answer && { ...answer, ...(finding ? { finding: finding.key } : {}) };
  },

  /** Answers a question about a value or an event; undefined where the project has none of that name. */
  async trace(
    projectId: string,
    pageId: string | undefined,
    subject: SubjectId,
    place: number,
    question: Question,
  ): Promise<TraceAnswer | undefined> {
    const held = await ensure(projectId);
    const found = subjectPage(held, pageId, subject, place);
    if (!found) return undefined;
    return {
      page: pageEntry(found.page),
      ...(await answerTrace(held.model, found.ways, found.spot, question, (file) => textOf(held, file))),
    };
  },

  /** What stands at an offset of a file, as the subject of a trace; undefined where nothing is named there. */
  async subjectAt(
    projectId: string,
    pageId: string | undefined,
    file: FilePath,
    offset: number,
    place: number,
  ): Promise<SubjectEntry | undefined> {
    const held = await ensure(projectId);
    const asked = pageById(held, pageId);
    for (const page of asked ? [asked, ...held.model.pages.filter((one) => one !== asked)] : []) {
      const { graph } = waysOf(held, page);
      const spot = spotAt(graph, file, offset, page === asked ? place : -1);
      if (spot) return { page: page.id, ...subjectOf(graph, spot) };
    }
    return undefined;
  },

  /** What an id names, on the page that is asked for or the first that has it. */
  async subject(projectId: string, pageId: string | undefined, subject: SubjectId): Promise<SubjectEntry | undefined> {
    const found = subjectPage(await ensure(projectId), pageId, subject, -1);
    return found && { page: found.page.id, ...subjectOf(found.ways.graph, found.spot) };
  },

  /** The values and events of a page that a trace may start from. */
  async subjects(projectId: string, pageId: string | undefined): Promise<SubjectEntry[]> {
    const held = await ensure(projectId);
    const page = pageById(held, pageId);
    return page ? subjectsOf(waysOf(held, page).graph, page.id) : [];
  },

  /** The whole of the component or function that a place in code stands in. */
  async whole(projectId: string, at: Location): Promise<Excerpt | undefined> {
    const held = await ensure(projectId);
    return cutWhole(await textOf(held, at.file), at, held.model.files.get(at.file));
  },

  /** Code around places, one excerpt for each list of places of one file. */
  async excerpts(projectId: string, lists: readonly (readonly Location[])[]): Promise<(Excerpt | undefined)[]> {
    const held = await ensure(projectId);
    return Promise.all(lists.map(async (marks) => (marks[0] ? cutExcerpt(await textOf(held, marks[0].file), marks) : undefined)));
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

  /** Where in the trees a component stands first. */
  async placeOf(
    projectId: string,
    component: ComponentId,
    preferred: string | undefined,
  ): Promise<{ pageId: string; place: number } | undefined> {
    const held = await ensure(projectId);
    const found = pageOf(held.model, component, preferred);
    return found && { pageId: found.page.id, place: found.place };
  },
};

export type Analyst = typeof analyst;

expose(analyst);
