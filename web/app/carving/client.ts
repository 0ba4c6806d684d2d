import type { Remote } from 'comlink';
import { hostOf } from '../analysis/worker-host';
import type { Carver } from './carver';

/** The worker that looks at pictures and reads pages; started at its first use, and again when it is gone. */
const host = hostOf<Carver>((name) => new Worker(new URL('./carve.worker.ts', import.meta.url), { type: 'module', name }));

/** A page or a picture took longer than anybody waits for. */
export class TooLong extends Error {}

/** Asks the worker; after `most` milliseconds it is ended, the question fails with `TooLong`, and the next one starts another. */
export async function askCarver<T>(ask: (remote: Remote<Carver>) => Promise<T>, most = 30_000): Promise<T> {
  const timer = setTimeout(
    () => host.end(new TooLong(`This took longer than ${Math.round(most / 1000)} seconds and was stopped. Nothing was changed.`)),
    most,
  );
  try {
    return await host.ask(ask);
  } finally {
    clearTimeout(timer);
  }
}
