import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installed } from './tools';

/** A copy of a demo of Lightning web components in a folder where it finds its packages. */
export function lwcFolder(name: string, demo: string): string {
  const folder = path.join(installed('lwc'), 'build', name);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  cpSync(demo, folder, { recursive: true });
  return folder;
}

/**
 * Builds the application of such a folder by the framework’s own compiler, in its development form; throws with what it
 * says against it. Gives the folder of the built page, and what was said in warning.
 */
export function lwcBuilt(folder: string): { readonly folder: string; readonly warnings: string } {
  const command = path.join(installed('lwc'), 'node_modules', 'rollup', 'dist', 'bin', 'rollup');
  const done = spawnSync(process.execPath, [command, '--config', 'stand-ins/rollup.config.js', '--silent'], {
    cwd: folder,
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'development' },
  });
  if (done.status !== 0) throw new Error(done.stdout + done.stderr);
  const built = path.join(folder, 'dist');
  cpSync(path.join(folder, 'index.html'), path.join(built, 'index.html'));
  return { folder: built, warnings: done.stderr };
}
