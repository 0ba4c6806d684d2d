import { expose } from 'comlink';
import { aliveMessage, readyMessage } from './worker-host';

/**
 * Starts a worker in two steps: first it holds the lock of its name, for as long as it lives, so that its end is noticed
 * from then on; then it loads what it answers with, and says that it is ready.
 */
export function startWorker(load: () => Promise<object>): void {
  const { locks } = navigator as { locks?: LockManager };
  if (!locks) postMessage(aliveMessage);
  else
    void locks.request(self.name, () => {
      postMessage(aliveMessage);
      return new Promise<never>(() => undefined);
    });
  load().then(
    (api) => {
      expose(api);
      postMessage(readyMessage);
    },
    // Outside of a promise it is an error of the worker, which its page hears.
    (error: unknown) =>
      setTimeout(() => {
        throw error;
      }),
  );
}
