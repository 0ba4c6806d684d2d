import type { parse as Parse } from '@vue/compiler-dom';

let loaded: typeof Parse | undefined;

/**
 * Entities stay as they are written, and what is read is the text of the file: the build for browsers
 * would decode them with a document, which a worker has none of.
 */
const asWritten = (text: string): string => text;

/** Fetches the compiler's parser, once. */
export async function loadParser(): Promise<void> {
  if (loaded) return;
  const { parse, parserOptions } = await import('@vue/compiler-dom');
  const own = parserOptions.decodeEntities ? { decodeEntities: asWritten } : {};
  loaded = (text, options) => parse(text, { ...options, ...own });
}

/** The compiler's parser. Throws where it was not loaded: the caller forgot `loadCompilers`. */
export const parseTemplate: typeof Parse = (text, options) => {
  if (!loaded) throw new Error('The parser of Vue was not loaded.');
  return loaded(text, options);
};
