import type { parse as Parse } from 'svelte/compiler';

let loaded: typeof Parse | undefined;

/** Fetches the compiler's parser, once. */
export async function loadParser(): Promise<void> {
  loaded ??= (await import('svelte/compiler')).parse;
}

/** The compiler's parser. Throws where it was not loaded: the caller forgot `loadCompilers`. */
export function parser(): typeof Parse {
  if (!loaded) throw new Error('The parser of Svelte was not loaded.');
  return loaded;
}
