import path from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  check,
  compareProjects,
  type FilePath,
  type Finding,
  knownUses,
  link,
  loadCompilers,
  newCheckKeep,
  readFile,
  readFiles,
  relink,
  type ProjectComparison,
  type Side,
} from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';
import type { Project } from './fault-kinds';
import { seeded } from './random';
import { brokenKinds, rewritten, type Rewrite, soundKinds } from './rewrite-kinds';

// Comparing against truth: rewrites of which it is known what they change are made in real source, the source is read
// again, and both are compared, in both directions: what is sound holds either way, and what broke is mended backwards.

/** `npm run rewrites [name of a package] [how many of each kind] [--sound|--broken] [--kind WORDS]`. */
const [asked = '', most = '6', ...flags] = process.argv.slice(2);
const kindAsked = flags.includes('--kind') ? flags[flags.indexOf('--kind') + 1] : undefined;

const demos = ['react', 'vue', 'svelte', 'angular', 'elements', 'lwc', 'astro'].map((name) => ({
  name: `demo ${name}`,
  at: () => fileURLToPath(new URL(`../../demo/${name}/sound`, import.meta.url)),
}));
const folders = [...demos, ...packages.map(({ name, folder = '' }) => ({ name, at: () => path.join(fetched(name), folder) }))].filter(
  ({ name }) => name.startsWith(asked),
);

/** What a comparison tells wrongly of a rewrite, in words; empty where all of it is right. */
function wrongIn(comparison: ProjectComparison, { of, status, contract, breaks }: Rewrite): string[] {
  const wrong: string[] = [];
  const isMeant = ({ rule, subject }: Finding): boolean =>
    breaks !== undefined && breaks.rules.includes(rule) && subject.includes(breaks.subject);
  const one = comparison.components.find(({ before }) => before?.id === of);
  const changes = (one?.contract ?? []).map(({ name, change, to }) => [name, change, to].filter(Boolean).join(' '));
  if (status && one?.status !== status) wrong.push(`is ${one?.status ?? 'not there'}, not ${status}`);
  if (of && changes.sort().join() !== [...contract].sort().join())
    wrong.push(`contract: ${changes.join(', ') || 'nothing'}, not ${contract.join(', ') || 'nothing'}`);
  for (const finding of comparison.breaks)
    if (!isMeant(finding)) wrong.push(`breaks: ${finding.rule} ${finding.at.file}: ${finding.message}`);
  if (!breaks)
    for (const { before, after, holds } of comparison.components)
      if (holds === false) wrong.push(`does not hold: ${(after ?? before)?.name}`);
  return wrong;
}

/** A fault that is found and not told as a break. */
function missedIn({ findings, breaks, components }: ProjectComparison, rewrite: Rewrite): string[] {
  const meant = findings.new.filter(
    ({ severity, rule, subject }) =>
      severity === 'fault' && rewrite.breaks?.rules.includes(rule) && subject.includes(rewrite.breaks.subject),
  );
  if (meant.length === 0) return [];
  if (!meant.some((finding) => breaks.includes(finding))) return ['no break'];
  // What stands in no component, as the place where an application is mounted, is nothing that could hold.
  const isCompared = components.some(({ after }) => meant.some(({ component }) => after?.id === component));
  return !isCompared || components.some(({ holds }) => holds === false) ? [] : ['all hold'];
}

type Sum = { made: number; right: number; backwards: number };
const sums = new Map<string, Sum>();

for (const { name, at } of folders) {
  const folder = await readFolder(at());
  await loadCompilers(folder.sources.map(({ file }) => file));
  const model = link(readFiles(folder.sources), folder.configs);
  const keep = newCheckKeep();
  const findings = check(model, keep);
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  // A component that is written in several files is read from all of them.
  const hasTemplates = [...model.components.values()].some(({ facts }) => facts.files !== undefined);
  const project: Project = {
    model,
    uses: knownUses(model),
    texts,
    configs: folder.configs,
    keep,
    known: new Set(findings.map(({ key }) => key)),
  };
  const before: Side = { model, findings, textOf: (file) => texts.get(file) };
  for (const [kind, sites] of Object.entries({
    ...(flags.includes('--broken') ? {} : soundKinds),
    ...(flags.includes('--sound') ? {} : brokenKinds),
  })) {
    if (kindAsked && !kind.includes(kindAsked)) continue;
    const random = seeded(kind.length * 7919 + name.length);
    const sum = sums.get(kind) ?? { made: 0, right: 0, backwards: 0 };
    const left = [...sites(project)];
    for (let made = 0; made < Number(most) && left.length > 0;) {
      const rewrite = left.splice(Math.floor(random() * left.length), 1)[0]?.();
      if (!rewrite) continue;
      made++;
      const now = rewritten(project, rewrite);
      const textNow = (file: FilePath): string | undefined => now.get(file) ?? texts.get(file);
      const facts = hasTemplates ? readFiles([...texts.keys()].map((file) => ({ file, text: textNow(file) ?? '' }))) : new Map(model.files);
      if (!hasTemplates) for (const [file, text] of now) facts.set(file, readFile(file, text));
      if ([...now.keys()].some((file) => (facts.get(file)?.problems.length ?? 0) > (model.files.get(file)?.problems.length ?? 0))) continue;
      const later = relink(model, facts, folder.configs);
      const after: Side = {
        model: later,
        findings: check(later, { ...keep, pages: new Map(keep.pages) }),
        textOf: textNow,
      };
      const [forth, back] = [compareProjects(before, after), compareProjects(after, before)];
      const wrong = [...wrongIn(forth, rewrite), ...missedIn(forth, rewrite)];
      const wrongBack = [
        ...back.breaks.map(({ rule, message, at: place }) => `breaks: ${rule} ${place.file}: ${message}`),
        ...back.components.flatMap(({ before: one, holds }) => (holds === false ? [`does not hold: ${one?.name}`] : [])),
      ];
      sum.made++;
      if (wrong.length === 0) sum.right++;
      if (wrongBack.length === 0) sum.backwards++;
      const where = `${name}: ${kind}: ${rewrite.of ?? `${rewrite.edits[0]?.file}:${rewrite.edits[0]?.start}`} ${rewrite.breaks?.subject ?? rewrite.contract.join()}`;
      for (const [way, said] of [
        ['', wrong],
        ['backwards ', wrongBack],
      ] as const)
        if (said.length > 0)
          console.log(
            `${where}\n    ${way}${said.slice(0, 4).join('\n    ')}${said.length > 4 ? `\n    and ${said.length - 4} more` : ''}`,
          );
    }
    sums.set(kind, sum);
  }
}
console.log(`${'what was rewritten'.padEnd(38)} made  told right  and backwards`);
for (const [kind, { made, right, backwards }] of sums)
  if (made > 0)
    console.log(
      kind.padEnd(38),
      String(made).padStart(4),
      `${String(right).padStart(4)} (${((100 * right) / made).toFixed(0)} %)`.padEnd(12),
      `${backwards} (${((100 * backwards) / made).toFixed(0)} %)`,
    );
