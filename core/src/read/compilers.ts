import { parse as parseScriptText } from '@babel/parser';
import type { parse as ParseVue } from '@vue/compiler-dom';
import type { parse as ParseSvelte } from 'svelte/compiler';

import { parserOptions, type ScriptLang } from './script/parse';

type Compilers = { vue?: typeof ParseVue; svelte?: typeof ParseSvelte };

const loaded: Compilers = {};

/**
 * Entities stay as they are written, and what is read is the text of the file: the build for browsers
 * would decode them with a document, which a worker has none of.
 */
const asWritten = (text: string): string => text;

/** Parsers of frameworks' own files, by the ending that needs them; each is fetched when a project has such a file. */
const loaders: readonly { readonly files: RegExp; readonly load: () => Promise<void> }[] = [
  {
    files: /\.vue$/,
    load: async () => {
      if (loaded.vue) return;
      const { parse, parserOptions: known } = await import('@vue/compiler-dom');
      const own = known.decodeEntities ? { decodeEntities: asWritten } : {};
      loaded.vue = (text, options) => parse(text, { ...options, ...own });
    },
  },
  {
    files: /\.svelte$/,
    load: async () => {
      if (!loaded.svelte) loaded.svelte = (await import('svelte/compiler')).parse;
    },
  },
];

/** Fetches what the reading of these files needs; to be awaited before `readFile` is called with any of them. */
export async function loadCompilers(files: Iterable<string>): Promise<void> {
  const names = [...files];
  await Promise.all(loaders.filter((one) => names.some((file) => one.files.test(file))).map((one) => one.load()));
}

/** A parser that was fetched. Throws where it was not: the caller forgot `loadCompilers`. */
export function compiler<Name extends keyof Compilers>(name: Name): NonNullable<Compilers[Name]> {
  const found = loaded[name];
  if (!found) throw new Error(`The parser for ${name} was not loaded.`);
  return found as NonNullable<Compilers[Name]>;
}

/**
 * Parses a file with the parsers that its reader uses, and throws the result away: what reading it
 * costs at the least. Throws where the text cannot be parsed.
 */
export function parseBare(file: string, text: string): void {
  if (file.endsWith('.vue')) {
    const parsed = compiler('vue')(text, { parseMode: 'sfc', onError: () => undefined });
    for (const block of parsed.children) {
      if (!('tag' in block) || block.tag !== 'script') continue;
      const lang: ScriptLang = /lang=["']ts/.test(text.slice(block.loc.start.offset, block.loc.start.offset + 80)) ? 'ts' : 'js';
      for (const one of block.children)
        if ('content' in one && typeof one.content === 'string') parseScriptText(one.content, parserOptions(`x.${lang}`, ''));
    }
  } else if (file.endsWith('.svelte')) compiler('svelte')(text, { modern: true });
  else parseScriptText(text, parserOptions(file, text));
}
