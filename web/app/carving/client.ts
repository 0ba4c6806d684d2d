import { type Remote, wrap } from 'comlink';
import type { Carver } from './carve.worker';

let worker: Worker | undefined;
let carver: Remote<Carver> | undefined;

/** The worker that looks at pictures and reads pages; started at its first use. */
export function getCarver(): Remote<Carver> {
  worker ??= new Worker(new URL('./carve.worker.ts', import.meta.url), { type: 'module' });
  carver ??= wrap<Carver>(worker);
  return carver;
}

/** A page or a picture took longer than anybody waits for. */
export class TooLong extends Error {}

/** Asks the worker; after `most` milliseconds it is ended and the next question starts another. */
export async function askCarver<T>(ask: (remote: Remote<Carver>) => Promise<T>, most = 30_000): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      worker?.terminate();
      worker = undefined;
      carver = undefined;
      reject(new TooLong(`This took longer than ${Math.round(most / 1000)} seconds and was stopped. Nothing was changed.`));
    }, most);
  });
  try {
    return await Promise.race([ask(getCarver()), late]);
  } finally {
    clearTimeout(timer);
  }
}
