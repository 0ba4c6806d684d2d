import { readFileSync } from 'node:fs';
import path from 'node:path';
import { analyseFolder, makeReport, type Report } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';

type Verdict = 'right' | 'arguable' | 'wrong';

/** What was found of findings that somebody read by hand: by package, then by rule, file and subject. */
const judged = JSON.parse(readFileSync(new URL('../judged.json', import.meta.url), 'utf8')) as Readonly<
  Record<string, Readonly<Record<string, Verdict>>>
>;

type Tally = Record<Verdict | 'unread', number>;
const newTally = (): Tally => ({ right: 0, arguable: 0, wrong: 0, unread: 0 });
const tallies: Readonly<Record<'fault' | 'risk' | 'tidy', Tally>> = { fault: newTally(), risk: newTally(), tidy: newTally() };

/** Verdicts of findings that are not said any more. */
const gone: string[] = [];

/** Adds the findings of a package to the tallies, by what was judged of them. */
function tally(name: string, { findings }: Report): void {
  const verdicts = judged[name.replace(/(?<=.)@[^@]*$/, '')] ?? {};
  const met = new Set<string>();
  for (const { rule, file, subject, severity } of findings) {
    const key = `${rule} ${file} ${subject}`;
    met.add(key);
    tallies[severity][verdicts[key] ?? 'unread']++;
  }
  for (const key of Object.keys(verdicts)) if (!met.has(key)) gone.push(`${name}: ${key}`);
}

function countByRule(report: Report): string {
  const counts = new Map<string, number>();
  for (const finding of report.findings) counts.set(finding.rule, (counts.get(finding.rule) ?? 0) + 1);
  return [...counts].map(([rule, count]) => `${rule} ${count}`).join(', ') || 'none';
}

const asked = process.argv.slice(2);
for (const { name, folder: inner = '' } of packages) {
  if (asked.length > 0 && !asked.some((one) => name.startsWith(one))) continue;
  const folder = await readFolder(path.join(fetched(name), inner));
  const report = makeReport(folder, analyseFolder(folder));
  const { resolved, unresolved, outside } = report.uses;
  const { reach } = report;
  tally(name, report);
  const perHundred = (100 * report.findings.length) / Math.max(1, report.components.length);
  const largest = Math.max(0, ...report.pages.map((page) => page.places));
  const seconds = Object.entries(report.seconds)
    .map(([phase, value]) => `${phase} ${value.toFixed(2)}`)
    .join(', ');
  console.log(`${name}
  files        ${report.files.read} read, ${report.files.leftOut} left out, ${report.problems.length} problems
  components   ${report.components.length} on ${report.pages.filter((page) => page.why !== 'alone').length} pages, the largest of ${largest} places
  reach        ${reach.onPages} of ${reach.components} named components on a page (${((100 * reach.onPages) / Math.max(1, reach.components)).toFixed(0)} %)
  uses         ${resolved} in the project, ${unresolved} not found (${((100 * resolved) / Math.max(1, resolved + unresolved)).toFixed(1)} % resolved), ${outside} outside
  findings     ${perHundred.toFixed(1)} per hundred components: ${countByRule(report)}
  seconds      ${seconds}`);
  if (asked.length > 0) {
    for (const one of report.problems) console.log(`  ${one.file} at ${one.start}: ${one.message}`);
    for (const one of report.findings) console.log(`  ${one.rule} ${one.file}:${one.line} ${one.message}`);
  }
}

console.log('\nfindings that were read by hand');
for (const [severity, { right, arguable, wrong, unread }] of Object.entries(tallies))
  console.log(`  ${severity.padEnd(6)} ${right} right, ${arguable} arguable, ${wrong} wrong, ${unread} not read`);
for (const one of gone) console.log(`  no longer said: ${one}`);
