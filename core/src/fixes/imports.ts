import { adapterOf, markupOf } from '../frameworks/registry';
import type * as t from '@babel/types';
import { kebab } from '../write/case';
import type { FilePath } from '../model/span';
import { applyEdits } from './patch';
import { memberSpan, statementSpan } from './lists';
import { CannotWrite, type Rewrite } from './rewrite';
import { byAlias, pathBetween, resolve } from './ways';
import { endOf, indentAt, type Source, startOf, written } from './source';
import { literalPattern } from '../model/literal-pattern';

const importsOf = ({ program }: Source): t.ImportDeclaration[] =>
  program.body.filter((one): one is t.ImportDeclaration => one.type === 'ImportDeclaration');

/** Where a new statement may stand after the imports: an offset, and the text that has to stand before and after it. */
function afterImports(source: Source): { readonly at: number; readonly indent: string } {
  const last = importsOf(source).at(-1);
  if (last) return { at: statementSpan(source, last).end, indent: indentAt(source.text, startOf(last)) };
  const script = /<script\b(?![^>]*\bmodule\b)[^>]*>[^\S\n]*\n?/.exec(source.text);
  if (!script) return { at: startOf(source.program.body[0] ?? source.program), indent: '' };
  const at = script.index + script[0].length;
  return { at, indent: /^[^\S\n]*/.exec(source.text.slice(at))?.[0] ?? '' };
}

/** What a way to a module begins with tells where the project keeps its import. */
const kindOf = (from: string): string => /^(?:\.\/|\.\.\/|[@~#]\/)/.exec(from)?.[0] ?? 'a package';

/** Where a new import may stand: after the last one of its kind, else after all. */
function besideAlike(source: Source, from: string): { readonly at: number; readonly indent: string } {
  const alike = importsOf(source).filter((one) => kindOf(one.source.value) === kindOf(from));
  const last = alike.at(-1);
  return last ? { at: statementSpan(source, last).end, indent: indentAt(source.text, startOf(last)) } : afterImports(source);
}

/** Puts a statement after the imports of a file, before all else, with an empty line between. */
export function putAfterImports(rewrite: Rewrite, source: Source, line: string): void {
  const { at, indent } = afterImports(source);
  rewrite.insert(source, at, `\n${indent}${line}\n`);
}

/** Names that a file imports from a module, for a value, as they are called in it. */
function importedFrom(source: Source, from: string, name: string): string | undefined {
  for (const statement of importsOf(source)) {
    if (statement.source.value !== from || statement.importKind === 'type') continue;
    for (const one of statement.specifiers)
      if (one.type === 'ImportSpecifier' && one.imported.type === 'Identifier' && one.imported.name === name) return one.local.name;
  }
  return undefined;
}

/** The way from one file to another as the file writes such ways: by its alias where it has one that leads there. */
export function wayTo(source: Source, rewrite: Rewrite, to: FilePath): string {
  const relative = pathBetween(source.file, to);
  if (!relative.startsWith('..')) return relative;
  for (const { source: from, specifiers } of importsOf(source))
    for (const { local } of specifiers) {
      const meant = rewrite.model.named(source.file, local.name);
      const file =
        meant.kind === 'component' ? rewrite.model.components.get(meant.id)?.file : meant.kind === 'value' ? meant.file : undefined;
      const way = file === undefined ? undefined : byAlias(from.value, file, to);
      if (way !== undefined) return way;
    }
  return relative;
}

/** Writes the imports that were asked for, beside those that the files have from the same modules already. */
export function writeImports(rewrite: Rewrite): void {
  const byFile = new Map<Source, Map<string, Set<string>>>();
  for (const { source, name, from } of rewrite.imports) {
    if (importedFrom(source, from, name.replace(/^type /, '')) !== undefined) continue;
    const modules = byFile.get(source) ?? new Map<string, Set<string>>();
    modules.set(from, (modules.get(from) ?? new Set()).add(name));
    byFile.set(source, modules);
  }
  for (const [source, modules] of byFile) for (const [from, names] of modules) importFrom(rewrite, source, [...names], from);
}

const plainName = (name: string): string => name.replace(/^type /, '').toLowerCase();

function importFrom(rewrite: Rewrite, source: Source, names: readonly string[], from: string): void {
  // What a module exports by default has a statement of its own.
  const whole = names.filter((name) => name.startsWith('default '));
  for (const name of whole) {
    const { at, indent } = besideAlike(source, from);
    rewrite.insertFirst(source, at, `${indent}import ${name.slice('default '.length)} from '${from}';\n`);
  }
  const sorted = names.filter((name) => !whole.includes(name)).sort((a, b) => plainName(a).localeCompare(plainName(b)));
  const beside = importsOf(source).find(
    (one) => one.source.value === from && one.importKind !== 'type' && one.specifiers.some(({ type }) => type === 'ImportSpecifier'),
  );
  const own = beside?.specifiers.filter((one) => one.type === 'ImportSpecifier') ?? [];
  const last = own.at(-1);
  if (sorted.length === 0) return;
  if (!last) {
    const line = `import { ${sorted.join(', ')} } from '${from}';\n`;
    const first = importsOf(source)[0];
    const { at, indent } = besideAlike(source, from);
    // Packages come before files of the project.
    if (first && !/^[.@~#]/.test(from)) rewrite.insertFirst(source, startOf(first), `${line}${indentAt(source.text, startOf(first))}`);
    else rewrite.insertFirst(source, at, `${indent}${line}`);
    return;
  }
  // Those that come at one place are put in one after the other.
  const puts = new Map<number, string>();
  for (const name of sorted) {
    const next = own.find((one) => plainName(one.local.name) > plainName(name));
    const at = next ? startOf(next) : endOf(last);
    puts.set(at, `${puts.get(at) ?? ''}${next ? `${name}, ` : `, ${name}`}`);
  }
  for (const [at, text] of puts) rewrite.insert(source, at, text);
}

/** The imports of a file that some other text needs, as statements of a file elsewhere; names of the file itself count where it exports them. */
export function bringImports(
  rewrite: Rewrite,
  source: Source,
  to: FilePath,
  body: string,
): { readonly names: readonly string[]; readonly line: string }[] {
  const before = adapterOf(source.framework).write.beforeName;
  const stands = (name: string): boolean => new RegExp(`${before}${literalPattern(name)}(?![\\w$])`).test(body);
  const folder = source.file.split('/').slice(0, -1);
  const way = (from: string): string => (from.startsWith('.') ? pathBetween(to, resolve(folder, from)) : from);
  const brought = importsOf(source).flatMap((statement) => {
    const taken = statement.specifiers.filter(({ local }) => stands(local.name));
    const first = taken.map((one) =>
      one.type === 'ImportDefaultSpecifier' ? one.local.name : one.type === 'ImportNamespaceSpecifier' ? `* as ${one.local.name}` : '',
    );
    const braced = taken.filter((one) => one.type === 'ImportSpecifier').map((one) => written(source, one));
    const what = [...first.filter((one) => one !== ''), ...(braced.length > 0 ? [`{ ${braced.join(', ')} }`] : [])].join(', ');
    if (taken.length === 0) return [];
    const line = `import ${statement.importKind === 'type' ? 'type ' : ''}${what} from '${way(statement.source.value)}';`;
    return [{ names: taken.map((one) => one.local.name), line }];
  });
  const own = (rewrite.model.files.get(source.file)?.exports ?? [])
    .filter((one) => one.from === undefined && one.exported === one.local && one.local !== 'default' && stands(one.local))
    .map((one) => one.local);
  if (own.length === 0) return brought;
  return [...brought, { names: own, line: `import { ${own.join(', ')} } from '${pathBetween(to, source.file)}';` }];
}

/** Asks for a name to be imported that another file imports. */
export function putImport(rewrite: Rewrite, from: Source, to: Source, name: string): void {
  for (const { source, specifiers } of importsOf(from))
    for (const one of specifiers) {
      if (one.local.name !== name) continue;
      if (one.type === 'ImportNamespaceSpecifier') throw new CannotWrite(`${name} is imported as a whole.`);
      const way = source.value.startsWith('.')
        ? pathBetween(to.file, resolve(from.file.split('/').slice(0, -1), source.value))
        : source.value;
      rewrite.need(to, one.type === 'ImportDefaultSpecifier' ? `default ${name}` : written(from, one), way);
    }
}

/** Takes imports away whose names stood in a file and stand there no more, after all other changes of it. */
export function dropUnusedImports(rewrite: Rewrite, source: Source): void {
  const statements = importsOf(source);
  const edits = rewrite.editsOf(source.file);
  if (edits.length === 0) return;
  const without = (text: string): string => text.replace(/^[^\S\n]*import\s[^'"]*from\s*['"][^'"]+['"];?/gm, '');
  const [before, after] = [without(source.text), without(applyEdits(source.text, edits))];
  // Tags may be written with hyphens in some markup: `<tide-card/>` is TideCard.
  const isTag = (text: string, name: string): boolean =>
    markupOf(source.framework) === 'directives' &&
    /^[A-Z]/.test(name) &&
    new RegExp(`<${literalPattern(kebab(name))}(?![\\w-])`).test(text);
  const stands = (text: string, name: string): boolean =>
    new RegExp(`(?<![\\w$])${literalPattern(name)}(?![\\w$])`).test(text) || isTag(text, name);
  for (const statement of statements) {
    const gone = statement.specifiers.filter(({ local }) => stands(before, local.name) && !stands(after, local.name));
    if (gone.length === 0) continue;
    if (gone.length === statement.specifiers.length) rewrite.put(source, statementSpan(source, statement), '');
    else
      for (const one of gone) {
        const own = statement.specifiers.filter((other) => other.type === 'ImportSpecifier');
        const at = own.indexOf(one as t.ImportSpecifier);
        // What is imported by default stands before the braces, and goes with its comma; or the braces go.
        if (at < 0) rewrite.put(source, { start: startOf(one), end: source.text.indexOf('{', endOf(one)) }, '');
        else if (own.length === 1)
          rewrite.put(source, { start: source.text.lastIndexOf(',', startOf(one)), end: source.text.indexOf('}', endOf(one)) + 1 }, '');
        else rewrite.put(source, memberSpan(source, own, at), '');
      }
  }
}
