// All checks, in the order in which they tell most for least: types and lint, unit tests, build, end-to-end tests.
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Steps of one group run side by side: each of these keeps one processor busy. The others use all there are. */
const groups = [['typecheck', 'lint'], ['unit'], ['build'], ['e2e']];

/** Runs one step; whether it passed. What it says is printed as it comes, or whole at its end where another one runs beside it. */
function run(step, alone) {
  const start = Date.now();
  if (alone) console.log(`\n— ${step}`);
  return new Promise((resolve) => {
    const child = spawn('npm', ['run', '--silent', step], {
      cwd: root,
      stdio: ['inherit', alone ? 'inherit' : 'pipe', alone ? 'inherit' : 'pipe'],
      shell: process.platform === 'win32',
    });
    const said = [];
    child.stdout?.on('data', (part) => said.push(part));
    child.stderr?.on('data', (part) => said.push(part));
    child.on('close', (status) => {
      if (!alone) console.log(`\n— ${step}\n${Buffer.concat(said).toString()}`);
      console.log(`— ${step}: ${status === 0 ? 'passed' : 'failed'}, ${((Date.now() - start) / 1000).toFixed(0)} s`);
      resolve(status === 0);
    });
  });
}

for (const group of groups) {
  const passed = await Promise.all(group.map((step) => run(step, group.length === 1)));
  if (passed.includes(false)) process.exit(1);
}
