import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  type ComponentId,
  type ConfigFile,
  figuresOf,
  type Finding,
  link,
  type Model,
  makeFlowQueries,
  orderColumns,
  type Page,
  placeCard,
  propose,
  questions,
  readFile,
  isReadable,
  check,
  type SourceFile,
  spotOf,
  strandsOf,
  rungText,
  subjectOf,
  traceOf,
  unfold,
  whoAnswers,
} from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { makeApplication } from './application';
import { fetched, packages } from './corpus-packages';
import { seeded } from './random';

/**
 * Writes all that Liana says of the demos, the corpus and the bench application into a folder, one
 * line a statement, so that two versions can be held against each other with `diff -r`.
 *
 *     npm run record -- /tmp/before [name …]
 */
const [out, ...asked] = process.argv.slice(2);
if (out === undefined) throw new Error('Name the folder to write to: npm run record -- FOLDER [name …]');

type Project = { readonly name: string; readonly sources: readonly SourceFile[]; readonly configs: readonly ConfigFile[] };

const demos = fileURLToPath(new URL('../../demo', import.meta.url));

/** How much of a project is recorded: values a page, places a page, pages, proposals. */
const limits = { values: 12, cards: 25, pages: 12, placesOfAPage: 4000, proposals: 40 } as const;

async function projectOf(name: string, folder: string): Promise<Project> {
  const { sources, configs } = await readFolder(folder);
  return { name, sources, configs };
}

async function* projects(): AsyncGenerator<Project> {
  const wanted = (name: string): boolean => asked.length === 0 || asked.some((one) => name.includes(one));
  for (const framework of ['react', 'vue', 'svelte', 'elements', 'angular', 'astro'])
    for (const edition of ['sound', 'worn']) {
      const name = `demo-${framework}-${edition}`;
      if (wanted(name)) yield projectOf(name, path.join(demos, framework, edition));
    }
  if (wanted('bench')) yield { name: 'bench', ...makeApplication(300) };
  for (const { name, folder = '' } of packages)
    if (wanted(name)) yield projectOf(name.replace(/[@/]/g, '_'), path.join(fetched(name), folder));
}

/** Maps and sets as JSON can hold them. */
const plain = (_: string, value: unknown): unknown =>
  value instanceof Map ? Object.fromEntries(value) : value instanceof Set ? [...value] : value;
const line = (value: unknown): string => JSON.stringify(value, plain);

function contractLines(model: Model): string[] {
  return [...model.components.values()].map(({ id, name, role, fileRole, isPublic, contract, consumes: takes, facts }) =>
    line({ id, name, role, fileRole, isPublic, contract, takes, events: facts.events, slots: facts.slots }),
  );
}

/** Some of a list, chosen by a seed, in their order. */
function some<T>(all: readonly T[], count: number, random: () => number): readonly T[] {
  if (all.length <= count) return all;
  const chosen = new Set<number>();
  while (chosen.size < count) chosen.add(Math.floor(random() * all.length));
  return all.filter((_, index) => chosen.has(index));
}

/** Some subjects, the same ones whatever else there is: by a hash of their names without the marks of a framework. */
function steadily<T extends { readonly id: string; readonly place: number }>(all: readonly T[], count: number): readonly T[] {
  const hash = ({ id, place }: T): number => {
    let code = place;
    for (const letter of id.replace(/@|#|on:|bind:|update:|:\d+/g, '')) code = (Math.imul(code, 31) + (letter.codePointAt(0) ?? 0)) | 0;
    return Math.imul(code, 0x9e3779b1) >>> 0;
  };
  return all
    .map((one) => ({ one, at: hash(one) }))
    .sort((a, b) => a.at - b.at || a.one.id.localeCompare(b.one.id))
    .slice(0, count)
    .map(({ one }) => one);
}

type Lines = { readonly trees: string[]; readonly strands: string[]; readonly cards: string[]; readonly traces: string[] };

function pageLines(model: Model, findings: readonly Finding[], page: Page, lines: Lines, random: () => number): void {
  const tree = unfold(model, page);
  lines.trees.push(line({ page: page.id, path: page.path, why: page.why, places: tree.places.length, truncated: tree.truncated }));
  if (tree.places.length > limits.placesOfAPage) return;
  for (const place of tree.places) lines.trees.push(line(place));
  const ways = makeFlowQueries(model, tree);
  const { strands, local } = strandsOf(ways, findings);
  lines.strands.push(line({ page: page.id, local, count: strands.length }));
  for (const strand of orderColumns(strands)) lines.strands.push(line(strand));
  for (const { index } of some(tree.places, limits.cards, random)) {
    lines.cards.push(line(placeCard(model, tree, strands, index)));
    const component = model.components.get(tree.places[index]?.component as ComponentId);
    for (const take of component?.consumes ?? []) lines.cards.push(`  ${line(whoAnswers(model, tree, index, take.context))}`);
  }
  const spots = ways.graph.frames.flatMap((frame) =>
    frame.body.values.map((_, value) => ({ frame: frame.index, value, track: [] as string[] })),
  );
  const subjects = spots.map((spot) => ({ spot, ...subjectOf(ways.graph, spot) }));
  for (const { spot, id, place } of steadily(subjects, limits.values)) {
    const found = spotOf(ways.graph, id, place) ?? spot;
    for (const question of questions) {
      const trace = traceOf(ways, found, question);
      lines.traces.push(
        line({ id, place, question, short: trace.short, impact: trace.impact }),
        ...trace.rungs.map((rung) => `${rungText(rung)} ${line(rung)}`),
      );
    }
  }
}

function findingLines(model: Model, findings: readonly Finding[], texts: ReadonlyMap<string, string>): string[] {
  const textOf = (file: string): string | undefined => texts.get(file);
  let proposals = 0;
  return findings.flatMap((finding) => {
    const lines = [line(finding)];
    if (proposals >= limits.proposals) return lines;
    const proposal = propose(model, finding, textOf);
    if (!proposal) return lines;
    proposals++;
    return [...lines, `  ${line(proposal)}`];
  });
}

for await (const { name, sources, configs } of projects()) {
  const start = performance.now();
  const random = seeded(11);
  const files = new Map(sources.filter(({ file }) => isReadable(file)).map(({ file, text }) => [file, readFile(file, text)]));
  const model = link(files, configs);
  const findings = check(model);
  const lines: Lines = { trees: [], strands: [], cards: [], traces: [] };
  for (const page of some(model.pages, limits.pages, random)) pageLines(model, findings, page, lines, random);
  const texts = new Map(sources.map(({ file, text }) => [file, text]));
  const all = {
    ...lines,
    contracts: contractLines(model),
    findings: findingLines(model, findings, texts),
    figures: Object.entries(figuresOf(model, findings)).map(line),
  };
  const folder = path.join(out, name);
  mkdirSync(folder, { recursive: true });
  for (const [kind, said] of Object.entries(all)) writeFileSync(path.join(folder, `${kind}.txt`), `${said.join('\n')}\n`);
  const count = Object.values(all).reduce((sum, said) => sum + said.length, 0);
  console.log(`${name}: ${count} lines in ${((performance.now() - start) / 1000).toFixed(1)} s`);
}
