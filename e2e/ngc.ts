import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const require = createRequire(import.meta.url);

/** A folder in which what is compiled finds the packages of this project. */
export const besidePackages = (name: string): string => fileURLToPath(new URL(`../node_modules/.${name}`, import.meta.url));

/** What Angular's own compiler says against an application, whose code it writes to a folder; empty for nothing. */
export function ngcErrors(tsconfig: string, outDir: string): string {
  const manifest = require.resolve('@angular/compiler-cli/package.json');
  const { bin } = JSON.parse(readFileSync(manifest, 'utf8')) as { bin: { ngc: string } };
  const ngc = path.join(path.dirname(manifest), bin.ngc);
  const done = spawnSync(process.execPath, [ngc, '-p', tsconfig, '--outDir', outDir], { encoding: 'utf8' });
  return done.status === 0 ? '' : done.stdout + done.stderr;
}

/**
 * An application as one script: compiled by Angular's own compiler, which throws here with all that it refuses, and put
 * together from its `main.js`.
 */
export async function angularScript(tsconfig: string, outDir: string): Promise<string> {
  const errors = ngcErrors(tsconfig, outDir);
  if (errors !== '') throw new Error(errors);
  const { outputFiles } = await build({
    stdin: { contents: "import '@angular/compiler';\nimport './main.js';", resolveDir: outDir },
    bundle: true,
    format: 'esm',
    write: false,
    logLevel: 'error',
  });
  return outputFiles[0]?.text ?? '';
}
