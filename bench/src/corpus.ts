import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { analyseFolder, makeReport, type Report } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';

/**
 * Packages that ship source, with the folder it stands in. These and no others, so that figures
 * compare over time.
 */
const packages: readonly { readonly name: string; readonly folder?: string }[] = [
  { name: '@docusaurus/theme-classic@3.10.2' },
  { name: '@wordpress/components@41.0.0' },
  { name: '@nuxt/ui@4.11.2', folder: 'dist/runtime' },
  { name: 'vitepress@1.6.4', folder: 'dist/client' },
  { name: 'create-vue@3.24.0', folder: 'template/code' },
  { name: 'flowbite-svelte@1.33.1', folder: 'dist' },
  { name: 'svelte-ux@1.0.11', folder: 'dist' },
  { name: '@skeletonlabs/skeleton-svelte@5.0.1', folder: 'dist' },
];

const corpus = fileURLToPath(new URL('../.corpus', import.meta.url));

/** Fetches a package from the registry, once; its folder. */
function fetched(name: string): string {
  const folder = path.join(corpus, name.replace(/[@/]/g, '_'));
  if (existsSync(folder)) return folder;
  mkdirSync(corpus, { recursive: true });
  const [packed] = JSON.parse(
    execFileSync('npm', ['pack', name, '--json', '--pack-destination', corpus], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }),
  ) as { filename: string }[];
  const archive = path.join(corpus, packed?.filename ?? '');
  const unpacked = `${folder}.part`;
  mkdirSync(unpacked, { recursive: true });
  execFileSync('tar', ['xzf', archive, '-C', unpacked, '--strip-components=1']);
  rmSync(archive);
  renameSync(unpacked, folder);
  return folder;
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
  const seconds = Object.entries(report.seconds)
    .map(([phase, value]) => `${phase} ${value.toFixed(2)}`)
    .join(', ');
  console.log(`${name}
  files        ${report.files.read} read, ${report.files.leftOut} left out, ${report.problems.length} problems
  components   ${report.components.length} on ${report.pages.length} pages
  uses         ${resolved} in the project, ${unresolved} not found (${((100 * resolved) / Math.max(1, resolved + unresolved)).toFixed(1)} % resolved), ${outside} outside
  findings     ${countByRule(report)}
  seconds      ${seconds}`);
  if (asked.length > 0) {
    for (const one of report.problems) console.log(`  ${one.file} at ${one.start}: ${one.message}`);
    for (const one of report.findings) console.log(`  ${one.rule} ${one.file}:${one.line} ${one.message}`);
  }
}
