import { plainConventions } from './conventions';
import type { Framework } from '../model/framework';
import type { FilePath } from '../model/span';
import { parseScriptBare } from '../read/script/parse';
import type { Adapter, Traits } from './adapter';
import { angular } from './angular';
import { astro } from './astro';
import { elements } from './elements';
import { lwc } from './lwc';
import { react } from './react';
import { svelte } from './svelte';
import { vue } from './vue';

/** Every framework, by hand. A script is read by the first whose packages it imports, else by the first that takes it for its own; the last one reads all others. */
export const adapters: readonly Adapter[] = [vue, svelte, astro, angular, lwc, elements, react];

const scripts = /\.[cm]?[jt]sx?$/;

type Named = Pick<Adapter, 'name' | 'link' | 'traits' | 'write'>;

/** A module without components of any framework. */
const plain: Named = {
  name: 'Script',
  link: { ...plainConventions, kindOfProp: () => 'value' },
  traits: react.traits,
  write: react.write,
};

const byId = new Map<Framework, Adapter>(adapters.map((adapter) => [adapter.id, adapter]));

/** The adapter of a framework; for what is of none, or of one that Liana does not read yet, a plain one. */
export function adapterOf(framework: Framework): Named {
  return byId.get(framework) ?? plain;
}

export const traitsOf = ({ framework }: { readonly framework: Framework }): Traits => adapterOf(framework).traits;

/** How a framework’s markup is written; undefined for none. */
export const markupOf = (framework: Framework | undefined): Traits['markup'] | undefined =>
  framework === undefined ? undefined : adapterOf(framework).traits.markup;

/** Who reads a file; undefined for files that nobody does. */
export function readerOf(file: FilePath, text: () => string): Adapter | undefined {
  const own = adapters.find(({ files, isOwn }) => files?.test(file) && (isOwn?.(file, text()) ?? true));
  return own ?? (scripts.test(file) ? readerOfScript(file, text()) : undefined);
}

function readerOfScript(file: FilePath, text: string): Adapter | undefined {
  const imported = Array.from(text.matchAll(/\bfrom\s*['"]([^'"\n]+)['"]/g), ([, name = '']) => name);
  const byImports = adapters.find(({ ownPackages, readsScript }) => readsScript && imported.some((name) => ownPackages.test(name)));
  return byImports ?? adapters.find((adapter) => adapter.readsScript?.(file, text));
}

/** Tells whether some reader understands files of this name. */
export function isReadable(file: FilePath): boolean {
  return scripts.test(file) || adapters.some((adapter) => adapter.files?.test(file));
}

/**
 * The files that are read together with one, with their texts: a class with its templates. None for most. An edit of any of
 * them is an edit of it.
 */
export function filesBeside(file: FilePath, all: Iterable<FilePath>): readonly FilePath[] {
  return adapters.flatMap((adapter) => adapter.beside?.(file, all) ?? []);
}

/** A file that is to be read, with its text where that may tell which parser it needs. */
export type Unread = FilePath | { readonly file: FilePath; readonly text: string };

/** Fetches the parsers that the reading of these files needs; to be awaited before `readFile` is called with any of them. */
export async function loadCompilers(files: Iterable<Unread>): Promise<void> {
  const all = [...files];
  const isNeeded = (adapter: Adapter): boolean =>
    all.some((one) =>
      typeof one === 'string' ? adapter.files?.test(one) : adapter.files?.test(one.file) || adapter.needs?.(one.file, one.text),
    );
  await Promise.all(adapters.filter(isNeeded).map((adapter) => adapter.load()));
}

/**
 * Parses a file with the parsers that its reader uses, and throws the result away: what reading it
 * costs at the least. Throws where the text cannot be parsed.
 */
export function parseBare(file: FilePath, text: string): void {
  const own = adapters.find(({ files, isOwn }) => files?.test(file) && (isOwn?.(file, text) ?? true));
  if (own) own.parseBare(file, text);
  else parseScriptBare(file, text);
}
