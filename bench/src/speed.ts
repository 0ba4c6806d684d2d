import { performance } from 'node:perf_hooks';
import {
  check,
  type FileFacts,
  link,
  type Linked,
  makeFlowQueries,
  type Model,
  orderColumns,
  loadCompilers,
  parseBare,
  questions,
  readFile,
  relink,
  type Spot,
  strandsOf,
  surveyOverlap,
  type CheckKeep,
  newCheckKeep,
  traceOf,
  unfold,
} from '@liana/core';
import { type Application, makeApplication } from './application';
import { svelteWords, vueWords } from './words';

const runs = 5;

function seconds(run: () => void): number {
  const start = performance.now();
  run();
  return (performance.now() - start) / 1000;
}

/** The least of some runs: machines are shared, and whatever disturbs a run only makes it longer. */
function least(run: () => void, times = runs): number {
  return Math.min(...Array.from({ length: times }, () => seconds(run)));
}

/** Floor and whole in turns, so that a slow moment of the machine strikes both. */
function paired(application: Application, times: number): { floor: number; taken: number } {
  let floor = Infinity;
  let taken = Infinity;
  for (let run = 0; run < times; run++) {
    floor = Math.min(
      floor,
      seconds(() => parseAll(application)),
    );
    taken = Math.min(
      taken,
      seconds(() => void whole(application)),
    );
  }
  return { floor, taken };
}

function parseAll(application: Application): void {
  for (const { file, text } of application.sources) parseBare(file, text);
}

function readAll(application: Application): Map<string, FileFacts> {
  return new Map(application.sources.map(({ file, text }) => [file, readFile(file, text)]));
}

function whole(application: Application): Model {
  const model = link(readAll(application), application.configs);
  check(model);
  return model;
}

/** One file read again, then linked and checked with what is kept of all others. */
function edit(application: Application, facts: Map<string, FileFacts>, before: Linked, keep: CheckKeep): void {
  const middle = application.sources[Math.floor(application.sources.length / 2)];
  if (!middle) return;
  const next = new Map(facts);
  next.set(middle.file, readFile(middle.file, `// edited\n${middle.text}`));
  check(relink(before, next, application.configs), keep);
}

function heapOf(make: () => unknown): number {
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  const kept = make();
  globalThis.gc?.();
  const after = process.memoryUsage().heapUsed;
  return kept ? after - before : 0;
}

const bytesOf = (application: Application): number => application.sources.reduce((sum, { text }) => sum + text.length, 0);
const ratio = (value: number): string => value.toFixed(3);

const [small, thousand, medium, large] = [250, 1000, 2000, 8000].map((count) => makeApplication(count)) as [
  Application,
  Application,
  Application,
  Application,
];
parseAll(small);
whole(small);
whole(small);

const rows: string[][] = [];
const wholes = new Map<Application, number>();
for (const [name, application] of [
  ['250', small],
  ['1000', thousand],
  ['2000', medium],
  ['8000', large],
] as const) {
  const { floor, taken } = paired(application, application === large ? 4 : 9);
  wholes.set(application, taken);
  rows.push([
    `whole ÷ floor, ${name} components`,
    ratio(taken / floor),
    '≤ 2.0',
    `${(floor * 1000).toFixed(0)} ms parsing, ${(taken * 1000).toFixed(0)} ms whole`,
  ]);
}

await loadCompilers(['App.vue', 'App.svelte']);
for (const [name, words] of [
  ['Vue', vueWords],
  ['Svelte', svelteWords],
] as const) {
  const application = makeApplication(2000, words);
  whole(makeApplication(250, words));
  const { floor, taken } = paired(application, 5);
  rows.push([
    `whole ÷ floor, 2000 components of ${name}`,
    ratio(taken / floor),
    '≤ 2.0',
    `${(floor * 1000).toFixed(0)} ms parsing, ${(taken * 1000).toFixed(0)} ms whole`,
  ]);
}

const facts = readAll(medium);
const linked = link(facts, medium.configs);
const keep = newCheckKeep();
check(linked, keep);
for (let warm = 0; warm < 3; warm++) edit(medium, facts, linked, keep);
const edited = least(() => edit(medium, facts, linked, keep), 9);
rows.push(['edit ÷ whole, 2000 components', ratio(edited / (wholes.get(medium) ?? 1)), '≤ 0.05', `${(edited * 1000).toFixed(0)} ms`]);
rows.push(['8000 ÷ 1000 components, whole', ratio((wholes.get(large) ?? 0) / (wholes.get(thousand) ?? 1)), '≤ 9', '']);

/** Overlap alone, on a model of its own: what components have in common is kept with them. */
function overlapOf(application: Application): number {
  const read = readAll(application);
  return Math.min(
    ...Array.from({ length: 4 }, () => {
      const fresh = link(read, application.configs);
      return seconds(() => void surveyOverlap(fresh, {}));
    }),
  );
}

const floorOf = (application: Application): number => least(() => parseAll(application), 3);
const overlaps = [thousand, medium, large].map(overlapOf);
const [overThousand = 0, overMedium = 0, overLarge = 0] = overlaps;
rows.push(['overlap ÷ floor, 2000 components', ratio(overMedium / floorOf(medium)), '≤ 0.5', `${(overMedium * 1000).toFixed(0)} ms`]);
rows.push(['overlap, 8000 ÷ 1000 components', ratio(overLarge / overThousand), 'near 8', `${(overLarge * 1000).toFixed(0)} ms`]);

const model = linked;
const [page] = model.pages;
if (page) {
  const strands = least(() => void orderColumns(strandsOf(makeFlowQueries(model, unfold(model, page))).strands), 15);
  rows.push([
    `a page's tree and strands, 2000 components`,
    `${(strands * 1000).toFixed(1)} ms`,
    '≤ 50 ms',
    `${unfold(model, page).places.length} places`,
  ]);
}
if (page) {
  const tree = unfold(model, page);
  const start = performance.now();
  const fresh = makeFlowQueries(model, tree);
  strandsOf(fresh);
  const opened = performance.now() - start;
  const states = fresh.graph.frames.flatMap((frame) =>
    frame.body.values.flatMap((value, index): Spot[] =>
      value.kind === 'state' || value.kind === 'prop' ? [{ frame: frame.index, value: index, track: [] }] : [],
    ),
  );
  const asked = Array.from({ length: 60 }, (_, index) => states[Math.floor((index * states.length) / 60)]).filter(
    (spot): spot is Spot => spot !== undefined,
  );
  for (const question of questions) {
    for (const spot of asked) traceOf(fresh, spot, question);
    const times = asked.map((spot) => seconds(() => void traceOf(makeFlowQueries(model, tree), spot, question)) * 1000);
    const kept = asked.map((spot) => least(() => void traceOf(fresh, spot, question), 3) * 1000);
    const worst = (list: readonly number[]): string => Math.max(...list).toFixed(1);
    rows.push([
      `a trace (${question}), 2000 components, worst of 60`,
      `${worst(kept)} ms`,
      '≤ 50 ms',
      `${worst(times)} ms with everything made anew; ${opened.toFixed(0)} ms to open the page`,
    ]);
  }
}
const heap = heapOf(() => link(readAll(medium), medium.configs));
rows.push(['retained heap ÷ source bytes, 2000 components', ratio(heap / bytesOf(medium)), '≤ 20', `${(heap / 1048576).toFixed(0)} MiB`]);

for (const [what = '', value = '', bar = '', more = ''] of rows)
  console.log(`${what.padEnd(48)} ${value.padStart(9)}  ${bar.padEnd(8)} ${more}`);
