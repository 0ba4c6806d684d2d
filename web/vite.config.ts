import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
  worker: { format: 'es' },
  ssr: { noExternal: [/^@mui\//, /^@emotion\//, /^@fontsource/] },
  build: { target: 'es2022', chunkSizeWarningLimit: 1500 },
  optimizeDeps: { include: ['comlink', 'dexie', 'joi'] },
});
