import path from 'node:path';
import { analyseFolder, makeReport, type Report } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';

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
  const largest = Math.max(0, ...report.pages.map((page) => page.places));
  const seconds = Object.entries(report.seconds)
    .map(([phase, value]) => `${phase} ${value.toFixed(2)}`)
    .join(', ');
  console.log(`${name}
  files        ${report.files.read} read, ${report.files.leftOut} left out, ${report.problems.length} problems
  components   ${report.components.length} on ${report.pages.filter((page) => page.why !== 'alone').length} pages, the largest of ${largest} places
  reach        ${reach.onPages} of ${reach.components} named components on a page (${((100 * reach.onPages) / Math.max(1, reach.components)).toFixed(0)} %)
  uses         ${resolved} in the project, ${unresolved} not found (${((100 * resolved) / Math.max(1, resolved + unresolved)).toFixed(1)} % resolved), ${outside} outside
  findings     ${countByRule(report)}
  seconds      ${seconds}`);
  if (asked.length > 0) {
    for (const one of report.problems) console.log(`  ${one.file} at ${one.start}: ${one.message}`);
    for (const one of report.findings) console.log(`  ${one.rule} ${one.file}:${one.line} ${one.message}`);
  }
}
