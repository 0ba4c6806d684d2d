import { type Remote, wrap } from 'comlink';

/** A worker ended, or never started, while it was asked something. */
export class WorkerEnded extends Error {}

/** What a worker says once it holds the lock of its name. */
export const aliveMessage = 'liana: alive';

/** A worker that has not said so after this many milliseconds is taken for one that never started. */
const startsWithin = 15_000;

export type Host<Api> = {
  /** Asks the worker, which is started where there is none. One that ends meanwhile is started again, and asked again once. */
  readonly ask: <R>(question: (remote: Remote<Api>) => Promise<R>) => Promise<R>;
  /** Ends the worker; whatever it was asked fails with this reason, and the next question starts another. */
  readonly end: (reason: Error) => void;
};

type Running<Api> = { readonly remote: Remote<Api>; readonly ended: Promise<never>; readonly end: (reason: Error) => void };

let started = 0;

function run<Api>(start: (name: string) => Worker): Running<Api> {
  const name = `liana worker ${Date.now()} ${started++}`;
  const worker = start(name);
  let end: (reason: Error) => void = () => undefined;
  const ended = new Promise<never>((_, reject) => {
    end = (reason) => {
      clearTimeout(timer);
      worker.terminate();
      reject(reason);
    };
  });
  // Not every end is asked for while a question waits.
  ended.catch(() => undefined);
  const timer = setTimeout(() => end(new WorkerEnded('A worker did not start.')), startsWithin);
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    end(new WorkerEnded(event.message || 'A worker could not be loaded.'));
  });
  worker.addEventListener('message', ({ data }) => {
    if (data !== aliveMessage) return;
    clearTimeout(timer);
    // The browser gives a lock on as soon as who holds it is gone, for whatever reason.
    void (navigator as { locks?: LockManager }).locks?.request(name, () => end(new WorkerEnded('A worker ended.')));
  });
  return { remote: wrap<Api>(worker), ended, end };
}

/** Keeps one worker, and notices when it is gone. */
export function hostOf<Api>(start: (name: string) => Worker): Host<Api> {
  let running: Running<Api> | undefined;

  async function once<R>(question: (remote: Remote<Api>) => Promise<R>): Promise<R> {
    const mine = (running ??= run<Api>(start));
    mine.ended.catch(() => {
      if (running === mine) running = undefined;
    });
    return Promise.race([question(mine.remote), mine.ended]);
  }

  return {
    async ask(question) {
      try {
        return await once(question);
      } catch (error) {
        if (!(error instanceof WorkerEnded)) throw error;
      }
      try {
        return await once(question);
      } catch (error) {
        if (!(error instanceof WorkerEnded)) throw error;
        throw new WorkerEnded('What works in the background ended twice over this question. What was saved is still there.');
      }
    },
    end(reason) {
      running?.end(reason);
      running = undefined;
    },
  };
}
