import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { installed } from './tools';

/** An empty folder in which an Astro application finds its packages. */
export function astroFolder(name: string): string {
  const folder = path.join(installed('astro'), 'build', name);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  return folder;
}

/** The address of a module that is installed with Astro. */
export function astroModule(name: string): string {
  return pathToFileURL(createRequire(path.join(installed('astro'), 'package.json')).resolve(name)).href;
}

/** Builds the application of a folder by Astro itself; throws with what it says against it. Gives the folder of the built pages. */
export function astroBuilt(folder: string, options: readonly string[] = []): string {
  const command = path.join(installed('astro'), 'node_modules', 'astro', 'astro.js');
  const { NODE_ENV: _, ...env } = process.env;
  const done = spawnSync(process.execPath, [command, 'build', ...options], {
    cwd: folder,
    encoding: 'utf8',
    env: { ...env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  if (done.status !== 0) throw new Error(done.stdout + done.stderr);
  return path.join(folder, 'dist');
}
