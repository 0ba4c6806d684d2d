import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { stripVTControlCharacters } from 'node:util';
import { readFolder } from '../../cli/src/folder';
import { analyseFolder, makeReport } from '../../cli/src/report';

// Changes the sound edition of Towpath in Angular at one place at a time, and holds what Liana says against what the
// compiler says, with strict templates: `npm run refused [-- PARTS [PART]]` takes one part of the changes only, since
// the compiler takes seconds for each. Prints where only one of both speaks; ends with 1 where the compiler alone does.

const sound = fileURLToPath(new URL('../../demo/angular/sound', import.meta.url));
const modules = fileURLToPath(new URL('../../node_modules', import.meta.url));
const manifest = createRequire(import.meta.url)('@angular/compiler-cli/package.json') as { bin: { ngc: string } };
const ngc = path.join(modules, '@angular/compiler-cli', manifest.bin.ngc);

type Change = { readonly file: string; readonly what: string; readonly text: string };

const without = (text: string, start: number, end: number, put = ''): string => text.slice(0, start) + put + text.slice(end);

/** An import that is left out, a name of a binding, pipe or tag with a letter too many, a binding that is left out. */
function changesOf(file: string, text: string): Change[] {
  const found: Change[] = [];
  const [list, names = ''] = /imports: \[([^\]]*)\]/.exec(text) ?? [];
  for (const name of list === undefined ? [] : names.split(',').map((one) => one.trim()))
    if (list && name) found.push({ file, what: `no ${name}`, text: text.replace(list, list.replace(new RegExp(`\\b${name}\\b,?`), '')) });
  for (const match of text.matchAll(/ (\[\(?\w+\)?\]|\(\w+\))="[^"]*"/g)) {
    const [whole, name = ''] = match;
    const at = match.index + 1;
    found.push({ file, what: `without ${name}`, text: without(text, at, match.index + whole.length) });
    found.push({ file, what: `${name} spelt`, text: without(text, at, at + name.length, name.replace(/\w+/, '$&q')) });
  }
  for (const match of text.matchAll(/\{\{[^}]*\| (\w+)/g)) {
    const end = match.index + match[0].length;
    found.push({ file, what: `pipe ${match[1] ?? ''}`, text: without(text, end, end, 'q') });
  }
  for (const [, tag = ''] of text.matchAll(/<(tow-[\w-]+)/g))
    found.push({ file, what: `tag ${tag}`, text: text.replaceAll(`<${tag}`, `<${tag}q`).replaceAll(`</${tag}>`, `</${tag}q>`) });
  return found;
}

/** What the compiler says of a folder, a line for each error and warning. */
function refusedIn(folder: string): string[] {
  const done = spawnSync(process.execPath, [ngc, '-p', path.join(folder, 'tsconfig.json'), '--noEmit'], { encoding: 'utf8' });
  return (done.stdout + done.stderr)
    .split('\n')
    .map((line) => stripVTControlCharacters(line))
    .filter((line) => /(?:error|warning) (?:NG|TS)/.test(line));
}

const [parts, part] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 0)];
const { sources } = await readFolder(sound);
const changes = sources.filter(({ file }) => !/index\.html$/.test(file)).flatMap(({ file, text }) => changesOf(file, text));
const sums = { both: 0, neither: 0, lianaOnly: 0, compilerOnly: 0 };
for (const { file, what, text } of changes.filter((_, index) => index % parts === part)) {
  const folder = mkdtempSync(path.join(tmpdir(), 'refused-'));
  try {
    cpSync(sound, folder, { recursive: true });
    writeFileSync(path.join(folder, file), text);
    const read = await readFolder(folder);
    const findings = makeReport(read, analyseFolder(read)).findings.map(({ rule, subject }) => `${rule} ${subject}`);
    symlinkSync(modules, path.join(folder, 'node_modules'));
    const refused = refusedIn(folder);
    const by = refused.length > 0 ? (findings.length > 0 ? 'both' : 'compilerOnly') : findings.length > 0 ? 'lianaOnly' : 'neither';
    sums[by]++;
    if (by === 'compilerOnly' || by === 'lianaOnly') console.log(`${by} ${file}, ${what}: ${[...findings, ...refused].join(' | ')}`);
  } finally {
    rmSync(folder, { recursive: true });
  }
}
console.log(`${changes.length} changes, of which these were made:`, sums);
process.exitCode = sums.compilerOnly > 0 ? 1 : 0;
