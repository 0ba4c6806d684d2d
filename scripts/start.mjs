// Serves the built application and prints where it is.
import { spawn } from 'node:child_process';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const port = process.env.PORT ?? '4310';
const require = createRequire(new URL('../web/package.json', import.meta.url));
const serve = path.join(path.dirname(require.resolve('@react-router/serve/package.json')), 'bin.js');

const server = spawn(process.execPath, [serve, 'build/server/index.js'], {
  cwd: `${root}/web`,
  env: { ...process.env, NODE_ENV: 'production', PORT: port },
  stdio: ['ignore', 'ignore', 'inherit'],
});

const address = `http://localhost:${port}`;
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 0)));

for (let tries = 0; tries < 100; tries++) {
  const answers = await fetch(address).then(
    (response) => response.ok,
    () => false,
  );
  if (answers) {
    console.log(`Liana is at ${address}`);
    console.log(`The demo opens at ${address}/demo`);
    break;
  }
  await new Promise((resolve) => setTimeout(resolve, 100));
}
