import { startWorker } from '../analysis/start-worker';

startWorker(async () => (await import('./carver')).carver);
