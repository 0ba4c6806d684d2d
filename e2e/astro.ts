import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const tools = fileURLToPath(new URL('./astro', import.meta.url));

const lock = (): string => readFileSync(path.join(tools, 'package-lock.json'), 'utf8');
const stamp = path.join(tools, 'node_modules', '.liana-lock');
const isInstalled = (): boolean => existsSync(stamp) && readFileSync(stamp, 'utf8') === lock();

/** Waits while another test installs, at most five minutes: whoever makes the folder does it. Whether it is for this one to do. */
function mayInstall(folder: string): boolean {
  for (let turn = 0; turn < 600 && !isInstalled(); turn++)
    try {
      mkdirSync(folder);
      return true;
    } catch {
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 500);
    }
  return !isInstalled();
}

/** Astro and what it builds islands with: installed by the tests that need it, once for each state of its lockfile. */
function installed(): void {
  const installing = path.join(tools, '.installing');
  if (isInstalled() || !mayInstall(installing)) return;
  try {
    const done = spawnSync('npm', ['install', '--no-save', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error'], {
      cwd: tools,
      encoding: 'utf8',
    });
    if (done.status !== 0) throw new Error(`Astro could not be installed: ${done.stdout}${done.stderr}`);
    writeFileSync(stamp, lock());
  } finally {
    rmSync(installing, { recursive: true, force: true });
  }
}

/** An empty folder in which an Astro application finds its packages. */
export function astroFolder(name: string): string {
  installed();
  const folder = path.join(tools, 'build', name);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  return folder;
}

/** The address of a module that is installed with Astro. */
export function astroModule(name: string): string {
  installed();
  return pathToFileURL(createRequire(path.join(tools, 'package.json')).resolve(name)).href;
}

/** Builds the application of a folder by Astro itself; throws with what it says against it. Gives the folder of the built pages. */
export function astroBuilt(folder: string, options: readonly string[] = []): string {
  const command = path.join(tools, 'node_modules', 'astro', 'astro.js');
  const { NODE_ENV: _, ...env } = process.env;
  const done = spawnSync(process.execPath, [command, 'build', ...options], {
    cwd: folder,
    encoding: 'utf8',
    env: { ...env, ASTRO_TELEMETRY_DISABLED: '1' },
  });
  if (done.status !== 0) throw new Error(done.stdout + done.stderr);
  return path.join(folder, 'dist');
}
