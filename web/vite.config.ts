import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

/** A digest of the core's source and of the versions of what it parses with. */
function coreVersion(): string {
  const core = path.join(import.meta.dirname, '../core');
  const sources = readdirSync(path.join(core, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .sort();
  const digest = createHash('sha256').update(readFileSync(path.join(core, '../package-lock.json')));
  for (const file of sources) digest.update(file).update(readFileSync(path.join(core, 'src', file)));
  return digest.digest('hex').slice(0, 32);
}

export default defineConfig({
  plugins: [reactRouter()],
  define: { __CORE_VERSION__: JSON.stringify(coreVersion()) },
  worker: { format: 'es' },
  ssr: { noExternal: [/^@mui\//, /^@emotion\//, /^@fontsource/] },
  build: { target: 'es2022', chunkSizeWarningLimit: 1500 },
  optimizeDeps: { include: ['comlink', 'dexie', 'joi'] },
});
