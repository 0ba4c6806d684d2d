import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const folderOf = (name: string): string => fileURLToPath(new URL(`./${name}`, import.meta.url));

function isInstalled(folder: string): boolean {
  const stamp = path.join(folder, 'node_modules', '.liana-lock');
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === readFileSync(path.join(folder, 'package-lock.json'), 'utf8');
}

/** Waits while another test installs, at most five minutes: whoever makes the folder does it. Whether it is for this one to do. */
function mayInstall(folder: string, installing: string): boolean {
  for (let turn = 0; turn < 600 && !isInstalled(folder); turn++)
    try {
      mkdirSync(installing);
      return true;
    } catch {
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 500);
    }
  return !isInstalled(folder);
}

/**
 * The folder of tools by that name beside this file, with its packages: installed by the tests that need them, once for
 * each state of its lockfile. Throws with what npm says where they cannot be installed.
 */
export function installed(name: 'astro' | 'lwc'): string {
  const folder = folderOf(name);
  const installing = path.join(folder, '.installing');
  if (isInstalled(folder) || !mayInstall(folder, installing)) return folder;
  try {
    const done = spawnSync('npm', ['install', '--no-save', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error'], {
      cwd: folder,
      encoding: 'utf8',
    });
    if (done.status !== 0) throw new Error(`The tools for ${name} could not be installed: ${done.stdout}${done.stderr}`);
    writeFileSync(path.join(folder, 'node_modules', '.liana-lock'), readFileSync(path.join(folder, 'package-lock.json'), 'utf8'));
  } finally {
    rmSync(installing, { recursive: true, force: true });
  }
  return folder;
}
