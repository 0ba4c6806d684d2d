import type { Model } from '../model/model';
import type { FilePath } from '../model/span';

/** The way from one file to another, as an import writes it: `../parts/Bubble`. */
export function pathBetween(from: FilePath, to: FilePath): string {
  const [here, there] = [from.split('/').slice(0, -1), to.split('/')];
  let same = 0;
  while (same < here.length && same < there.length - 1 && here[same] === there[same]) same++;
  const up = here.slice(same).map(() => '..');
  const way = [...up, ...there.slice(same)]
    .join('/')
    .replace(/\.(?:[cm]?[jt]sx?)$/, '')
    .replace(/\/index$/, '');
  return way.startsWith('.') ? way : `./${way}`;
}

const bare = (file: FilePath): string => file.replace(/\.(?:[cm]?[jt]sx?)$/, '').replace(/\/index$/, '');

/** The way to a file as a project's alias writes it, where `known` leads to `to` by one: `@/parts/InfoBubble`. */
export function byAlias(known: string, to: FilePath, wanted: FilePath): string | undefined {
  const slash = known.indexOf('/');
  const tail = known.slice(slash + 1);
  if (known.startsWith('.') || slash < 0 || !bare(to).endsWith(bare(tail))) return undefined;
  const root = bare(to).slice(0, -bare(tail).length);
  return bare(wanted).startsWith(root) ? `${known.slice(0, slash + 1)}${bare(wanted).slice(root.length)}` : undefined;
}

/** Whether a name of one file's module stands for the same thing as in another file: the same declaration, or an import of the same. */
export function sameMeaning(model: Model, one: FilePath, other: FilePath, name: string): boolean {
  const meant = model.named(one, name);
  if (meant.kind !== 'unknown') return JSON.stringify(meant) === JSON.stringify(model.named(other, name));
  const [mine, theirs] = [one, other].map((file) => {
    const found = model.files.get(file)?.imports.find((fact) => fact.local === name);
    const from = found?.from.startsWith('.') ? resolve(file.split('/').slice(0, -1), found.from) : found?.from;
    return found ? `${found.imported} ${from ?? ''}` : 'a global';
  });
  return mine === theirs;
}

/** Where a relative way leads from a folder. */
export function resolve(base: readonly string[], way: string): string {
  const steps = [...base];
  for (const step of way.split('/')) {
    if (step === '..') steps.pop();
    else if (step !== '.') steps.push(step);
  }
  return steps.join('/');
}

/** A file that hands on what another one exports, so that this must stay; undefined for none. */
export function handsOn(model: Model, file: FilePath): FilePath | undefined {
  for (const facts of model.files.values())
    for (const { from } of facts.exports) {
      if (from === undefined || facts.file === file) continue;
      const leads = from.startsWith('.') ? resolve(facts.file.split('/').slice(0, -1), from) : from.slice(from.indexOf('/') + 1);
      if (from.startsWith('.') ? bare(leads) === bare(file) : bare(file).endsWith(`/${bare(leads)}`)) return facts.file;
    }
  return undefined;
}
