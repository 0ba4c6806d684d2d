import { startWorker } from './start-worker';

startWorker(async () => (await import('./reader')).reader);
