import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const page = (file: string): string => fileURLToPath(new URL(file, import.meta.url));

export default defineConfig({ build: { rollupOptions: { input: [page('./index.html'), page('./roster.html')] } } });
