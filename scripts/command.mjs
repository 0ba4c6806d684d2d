// Runs a shell command of Liana from one built file, so that nothing is transpiled at its start: `node scripts/command.mjs analyse …`.
// The file is built again where the source is newer.
import { existsSync, mkdirSync, renameSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { newest } from './newest.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const [, , name, ...args] = process.argv;
const built = path.join(root, 'cli', 'build', `${name}.mjs`);

/** Packages in the old form ask for `require`, which a module has not by itself. */
const banner = "import { createRequire as requireFrom } from 'node:module';\nconst require = requireFrom(import.meta.url);";

async function build() {
  const esbuild = await import('esbuild');
  const { outputFiles } = await esbuild.build({
    entryPoints: [path.join(root, 'cli', 'src', `${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    mainFields: ['module', 'main'],
    banner: { js: banner },
    minifyWhitespace: true,
    logLevel: 'error',
    write: false,
    outfile: built,
  });
  mkdirSync(path.dirname(built), { recursive: true });
  // Several may build at once: each file comes into its place whole.
  const draft = `${built}.${process.pid}`;
  writeFileSync(draft, outputFiles[0].contents);
  renameSync(draft, built);
}

const sources = newest([path.join(root, 'cli', 'src'), path.join(root, 'core', 'src'), path.join(root, 'scripts')]);
if (!existsSync(built) || statSync(built).mtimeMs < sources) await build();
process.argv = [process.argv[0], built, ...args];
await import(pathToFileURL(built).href);
