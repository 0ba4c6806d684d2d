import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { check, type Finding, knownUses, lineAt, lineStarts, link, readFile, readFiles, relink, newCheckKeep } from '@liana/core';
import { type Folder, readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';
import { type Fault, faultKinds, type Project } from './fault-kinds';
import { edited, type Judge, type Judged, makeJudge } from './judges';
import { seeded } from './random';

/** How many faults of one kind are planted in one project. */
const most = 25;

/** What came of the faults of one kind. */
type Sum = { planted: number; found: number; inPlace: number; extra: number; judged: number; judgeSays: number; onlyJudge: number };

/** How many of them the framework is asked about, which takes seconds each. */
const mostJudged = 5;

const demos = (['react', 'vue', 'svelte'] as const).map((framework) => ({
  name: `demo ${framework}`,
  framework,
  folder: fileURLToPath(new URL(`../../demo/${framework}/sound`, import.meta.url)),
}));
const corpora = packages.map(({ name, folder = '' }) => ({ name, folder: () => path.join(fetched(name), folder) }));

function projectOf(folder: Folder): Project {
  const facts = readFiles(folder.sources);
  const model = link(facts, folder.configs);
  const keep = newCheckKeep();
  const findings = check(model, keep);
  return {
    model,
    uses: knownUses(model),
    texts: new Map(folder.sources.map(({ file, text }) => [file, text])),
    configs: folder.configs,
    keep,
    known: new Set(findings.map((finding) => finding.key)),
  };
}

/** The findings that a fault brings which were not there before. */
function broughtBy(project: Project, { edits: [edit, ...more] }: Fault): Finding[] {
  if (!edit) return [];
  const text = edited(project.texts.get(edit.file) ?? '', [edit, ...more]);
  const facts = new Map(project.model.files).set(edit.file, readFile(edit.file, text));
  const model = relink(project.model, facts, project.configs);
  return check(model, { ...project.keep, pages: new Map(project.keep.pages) }).filter((finding) => !project.known.has(finding.key));
}

/** A sample without repetition, the same for the same seed. */
function sample<T>(all: readonly T[], count: number, random: () => number): T[] {
  const left = [...all];
  return Array.from({ length: Math.min(count, left.length) }, () => left.splice(Math.floor(random() * left.length), 1)[0] as T);
}

const asked = process.argv.slice(2).filter((one) => one !== '--judge');
const isJudged = process.argv.includes('--judge');
const sums = new Map<string, Sum>();

/** Plants the faults of one kind in a project, and adds up what came of it. */
async function plant(project: Project, name: string, kind: string, judge: Judge | undefined): Promise<void> {
  const random = seeded(kind.length * 7919 + name.length);
  const sum = sums.get(kind) ?? { planted: 0, found: 0, inPlace: 0, extra: 0, judged: 0, judgeSays: 0, onlyJudge: 0 };
  const faults = sample(faultKinds[kind]?.(project) ?? [], most, random);
  if (faults.length > 0) sums.set(kind, sum);
  for (const [index, fault] of faults.entries()) {
    const brought = broughtBy(project, fault);
    const meant = brought.find((finding) => fault.rules.includes(finding.rule) && finding.subject.includes(fault.subject));
    const [edit] = fault.edits;
    sum.planted++;
    if (meant) sum.found++;
    const line = (offset: number): number => lineAt(lineStarts(project.texts.get(edit?.file ?? '') ?? ''), offset);
    const isAtLine = meant && edit && meant.at.file === edit.file && Math.abs(line(meant.at.start) - line(fault.at)) <= 1;
    if (meant && (fault.elsewhere || isAtLine)) sum.inPlace++;
    const others = brought.filter((finding) => finding !== meant && !fault.rules.includes(finding.rule) && finding.severity === 'fault');
    sum.extra += others.length;
    const said = judge && index < mostJudged ? await judge.says(fault.edits) : undefined;
    if (said) {
      sum.judged++;
      if (said.length > 0) sum.judgeSays++;
      if (said.length > 0 && !meant) sum.onlyJudge++;
    }
    if (process.env['SHOW'] === kind && (!meant || others.length > 0 || said))
      console.log(
        `  ${kind} in ${name}: ${edit?.file}:${line(fault.at)} ${fault.subject}; brought ${brought.map((one) => `${one.rule} ${one.subject}`).join(', ') || 'nothing'}${said ? `; the framework: ${said.join(' | ').slice(0, 300) || 'nothing'}` : ''}`,
      );
  }
}

const folders: { readonly name: string; readonly folder: string | (() => string); readonly framework?: Judged }[] = [...demos, ...corpora];
for (const { name, folder, framework } of folders) {
  if (asked.length > 0 && !asked.some((one) => name.startsWith(one))) continue;
  const project = projectOf(await readFolder(typeof folder === 'string' ? folder : folder()));
  const judge = isJudged && framework ? await makeJudge(framework) : undefined;
  for (const kind of Object.keys(faultKinds)) await plant(project, name, kind, judge);
  await judge?.close();
}
console.log(
  `${'what was planted'.padEnd(38)} planted  found         in place  other faults${isJudged ? '  framework says, of those asked (Liana not)' : ''}`,
);
for (const [kind, { planted, found, inPlace, extra, judged, judgeSays, onlyJudge }] of sums)
  console.log(
    kind.padEnd(38),
    String(planted).padStart(7),
    `${String(found).padStart(6)} (${((100 * found) / planted).toFixed(0)} %)`.padEnd(14),
    String(inPlace).padStart(8),
    String(extra).padStart(8),
    isJudged ? `      ${judgeSays} of ${judged} (${onlyJudge})` : '',
  );
