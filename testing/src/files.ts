import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Files } from './project';

const source = /\.(?:tsx?|vue|svelte)$/;

/** The sources in a folder of the demos, as `react/worn`, by their paths below it. */
export function demoFiles(folder: string): Files {
  const root = fileURLToPath(new URL(`../../demo/${folder}`, import.meta.url));
  const below = (at: string): string[] =>
    readdirSync(at).flatMap((name) => {
      const file = path.join(at, name);
      if (statSync(file).isDirectory()) return below(file);
      return source.test(name) ? [file] : [];
    });
  return Object.fromEntries(below(root).map((file) => [path.relative(root, file), readFileSync(file, 'utf8')]));
}
