import { loadCompilers } from '../../core/src/frameworks/registry';
import { board } from '../../testing/src/bundles';
import { demoFiles } from '../../testing/src/files';
import { demoPage } from '../../testing/src/carve';
import { allThrough } from '../../testing/src/fuzz/all-through';
import { carveThrough } from '../../testing/src/fuzz/carve-through';
import { hostile } from '../../testing/src/fuzz/hostile';
import { spoilt } from '../../testing/src/fuzz/spoil';
import { seeded } from '../../testing/src/random';

// Spoilt sources through all of Liana: `npm run fuzz [-- COUNT [SEED]]`. Prints what was tried, what
// held, the slowest and the most memory; ends with 1 where anything threw.

const count = Number(process.argv[2] ?? 2000);
const seed = Number(process.argv[3] ?? 1);
await loadCompilers(['A.vue', 'A.svelte', 'a.component.html']);

type Run = { readonly what: string; readonly size: number; readonly took: number };
const runs: Run[] = [];
const thrown: string[] = [];
let most = 0;

function tried(what: string, size: number, run: () => void): void {
  const began = performance.now();
  try {
    run();
  } catch (error) {
    thrown.push(`${what}: ${error instanceof Error ? (error.stack ?? error.message).split('\n').slice(0, 3).join(' | ') : String(error)}`);
  }
  runs.push({ what, size, took: performance.now() - began });
  most = Math.max(most, process.memoryUsage().heapUsed);
}

for (const { name, files } of hostile)
  tried(
    name,
    Object.values(files).reduce((sum, text) => sum + text.length, 0),
    () => void allThrough(files),
  );
const random = seeded(seed);
const demos = [...['react', 'vue', 'svelte', 'elements', 'angular', 'astro'].map((framework) => demoFiles(`${framework}/worn`)), board];
const pages = ['today', 'lock', 'roster'];
for (let round = 0; round < count; round++) {
  const files = demos[Math.floor(random() * demos.length)] ?? {};
  const names = Object.keys(files);
  const file = names[Math.floor(random() * names.length)] ?? '';
  const text = spoilt(files[file] ?? '', random);
  // The spoilt file with some of what stands around it, now and then with none: links that lead nowhere are met as well.
  const share = random() * 0.3;
  const around = Object.entries(files).filter(([name]) => name !== file && random() < share);
  tried(`${file}, round ${round}, seed ${seed}`, text.length, () => void allThrough(Object.fromEntries([...around, [file, text]])));
  if (round % 10 > 0) continue;
  const page = pages[Math.floor(random() * pages.length)] ?? '';
  const html = spoilt(demoPage(page), random);
  tried(`page ${page}, round ${round}, seed ${seed}`, html.length, () => void carveThrough(html));
}

/** What a source may take: a second, and a second more for each 100 kB beyond the first. */
const over = runs.filter(({ size, took }) => took > 1000 * Math.max(1, size / 100_000));
const slowest = [...runs].sort((a, b) => b.took - a.took).slice(0, 5);
console.log(
  `tried ${runs.length}, held ${runs.length - thrown.length}, over a second for 100 kB ${over.length}, most memory ${Math.round(most / 2 ** 20)} MiB`,
);
for (const { what, size, took } of slowest) console.log(`${Math.round(took)} ms, ${Math.round(size / 1000)} kB: ${what}`);
for (const { what, size, took } of over) console.log(`over: ${Math.round(took)} ms, ${Math.round(size / 1000)} kB: ${what}`);
for (const one of thrown) console.log(`threw: ${one}`);
process.exitCode = thrown.length > 0 ? 1 : 0;
