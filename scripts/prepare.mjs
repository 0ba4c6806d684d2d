// Makes a fresh clone ready for `npm start` or `npm test`. Plain Node without dependencies: it runs before they are installed.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { newest } from './newest.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const at = (...parts) => path.join(root, ...parts);
const run = (command, args) => execFileSync(command, args, { cwd: root, stdio: 'inherit', shell: process.platform === 'win32' });

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Liana needs Node 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

/**
 * Dependencies are as the lockfile says when they were installed from this very lockfile. `npm ci`
 * would refuse where a registry does not serve the optional packages of other platforms.
 */
function install() {
  const stamp = at('node_modules', '.liana-lock');
  const lock = readFileSync(at('package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing dependencies …');
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel', 'error']);
  writeFileSync(stamp, lock);
}

function build() {
  const built = at('web', 'build', 'server', 'index.js');
  const sources = newest([at('web'), at('core', 'src'), at('demo')]);
  if (existsSync(built) && statSync(built).mtimeMs >= sources) return;
  console.log('Building …');
  run('npm', ['run', '--silent', 'build']);
}

/** The end-to-end tests drive Debian's Chromium; as root it can be installed here. */
function chromium() {
  if (existsSync('/usr/bin/chromium')) return;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    console.error('The end-to-end tests need Chromium at /usr/bin/chromium. On Debian: apt-get install chromium');
    process.exit(1);
  }
  console.log('Installing Chromium …');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
}

install();
if (process.argv[2] === 'test') chromium();
else build();
