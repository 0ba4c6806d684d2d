// All checks, in the order in which they tell most for least: types, lint, unit tests, build, end-to-end tests.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const steps = ['typecheck', 'lint', 'unit', 'build', 'e2e'];

for (const step of steps) {
  const start = Date.now();
  console.log(`\n— ${step}`);
  const { status } = spawnSync('npm', ['run', '--silent', step], { cwd: root, stdio: 'inherit', shell: process.platform === 'win32' });
  console.log(`— ${step}: ${status === 0 ? 'passed' : 'failed'}, ${((Date.now() - start) / 1000).toFixed(0)} s`);
  if (status !== 0) process.exit(status ?? 1);
}
