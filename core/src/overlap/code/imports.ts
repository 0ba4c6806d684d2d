import type { TextEdit } from '../../model/finding';
import type { Component, Model } from '../../model/model';
import type { FilePath } from '../../model/span';

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

type Statement = {
  readonly start: number;
  readonly end: number;
  readonly text: string;
  readonly names: readonly string[];
  readonly from: string;
};

/** The import statements of a file that bring in a name. */
function statementsOf(text: string): Statement[] {
  return [...text.matchAll(/^[^\S\n]*import\s+([^'";]+?)\s+from\s+(['"])([^'"]+)\2;?[^\S\n]*\n?/gm)].map((match) => ({
    start: match.index,
    end: match.index + match[0].length,
    text: match[0],
    names: (match[1] ?? '')
      .replace(/[{}]/g, ',')
      .split(',')
      .map(
        (one) =>
          one
            .trim()
            .split(/\s+as\s+/)
            .at(-1) ?? '',
      )
      .filter(Boolean),
    from: match[3] ?? '',
  }));
}

const isDefault = (model: Model, { file, facts }: Component): boolean =>
  facts.form === 'file' || (model.files.get(file)?.exports.some((one) => one.exported === 'default' && one.local === facts.local) ?? false);

function statementFor(
  model: Model,
  component: Component,
  file: FilePath,
  local: string,
  like: Statement & { readonly to: FilePath },
): string {
  const way = byAlias(like.from, like.to, component.file) ?? pathBetween(file, component.file);
  const indent = /^\s*/.exec(like.text)?.[0] ?? '';
  const what = isDefault(model, component) ? local : local === component.name ? `{ ${local} }` : `{ ${component.name} as ${local} }`;
  return `${indent}import ${what} from '${way}';\n`;
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

type IntoFile = { readonly file: FilePath; readonly text: string };
type AlongWith = { readonly names: ReadonlySet<string>; readonly into: string; readonly from: string };

/** In a file that uses the second component: the import of the first in place of the second's, and the name it has there. */
export function importEdits(
  model: Model,
  gone: Component,
  kept: Component,
  into: IntoFile,
): { readonly edits: TextEdit[]; readonly tag: string };
/** Imports that the first component's file needs for what comes along from the second's. */
export function importEdits(model: Model, gone: Component, kept: Component, along: AlongWith): TextEdit[];
export function importEdits(
  model: Model,
  gone: Component,
  kept: Component,
  asked: IntoFile | AlongWith,
): TextEdit[] | { edits: TextEdit[]; tag: string } {
  return 'file' in asked ? replaceImport(model, gone, kept, asked) : bringImports(gone, kept, asked);
}

function replaceImport(model: Model, gone: Component, kept: Component, { file, text }: IntoFile): { edits: TextEdit[]; tag: string } {
  const meaning = (name: string): string | undefined => {
    const meant = model.named(file, name);
    return meant.kind === 'component' ? meant.id : undefined;
  };
  const statements = statementsOf(text);
  const known = file === kept.file ? kept.facts.local : statements.flatMap((one) => one.names).find((name) => meaning(name) === kept.id);
  const tag = known ?? kept.name;
  const theirs = statements.find((one) => one.names.some((name) => meaning(name) === gone.id));
  if (!theirs) return { edits: known === undefined && file !== gone.file ? [] : [], tag };
  const added = known === undefined ? statementFor(model, kept, file, tag, { ...theirs, to: gone.file }) : '';
  const local = theirs.names.find((name) => meaning(name) === gone.id) ?? '';
  const rest =
    theirs.names.length > 1
      ? theirs.text.replace(new RegExp(`\\s*(?:\\w+\\s+as\\s+)?\\b${local}\\b\\s*,?`), '').replace(/,\s*\}/, ' }')
      : '';
  return { edits: [{ file, start: theirs.start, end: theirs.end, was: theirs.text, text: rest + added }], tag };
}

function bringImports(gone: Component, kept: Component, { names, into, from }: AlongWith): TextEdit[] {
  if (names.size === 0 || gone.file === kept.file) return [];
  const there = statementsOf(into).at(-1);
  const script = /<script\b[^>]*>\n?/.exec(into);
  const at = there?.end ?? (script ? script.index + script[0].length : 0);
  const lines = [...names].flatMap((name): string[] => {
    const statement = statementsOf(from).find((one) => one.names.includes(name));
    if (!statement) return [];
    const what = new RegExp(`import\\s+(?:[^{]*,\\s*)?${name}\\b`).test(statement.text) ? name : `{ ${name} }`;
    const base = gone.file.split('/').slice(0, -1);
    const target = statement.from.startsWith('.') ? resolve(base, statement.from) : undefined;
    return [`import ${what} from '${target === undefined ? statement.from : pathBetween(kept.file, target)}';\n`];
  });
  return lines.length === 0 ? [] : [{ file: kept.file, start: at, end: at, was: '', text: lines.join('') }];
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
