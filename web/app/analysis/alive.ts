import { aliveMessage } from './worker-host';

/** Called by a worker when it starts: holds the lock of its name for as long as it lives, so that its end is noticed. */
export function sayAlive(): void {
  const { locks } = navigator as { locks?: LockManager };
  if (!locks) return postMessage(aliveMessage);
  void locks.request(self.name, () => {
    postMessage(aliveMessage);
    return new Promise<never>(() => undefined);
  });
}
