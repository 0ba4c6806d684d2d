import { type Remote, wrap } from 'comlink';

/** A worker ended, or never started, while it was asked something. */
export class WorkerEnded extends Error {}

/** A worker has not said that it lives in the time that it was given. */
class NeverStarted extends WorkerEnded {}

/** What a worker says once it holds the lock of its name. */
export const aliveMessage = 'liana: alive';

/** What a worker says once it can be asked. */
export const readyMessage = 'liana: ready';

/** So many milliseconds a worker has to say that it lives; each that does not is replaced by one that has longer. */
const startsWithin = [1000, 4000, 15_000] as const;

export type Host<Api> = {
  /** Asks the worker, which is started where there is none. One that ends meanwhile is started again, and asked again once. */
  readonly ask: <R>(question: (remote: Remote<Api>) => Promise<R>) => Promise<R>;
  /** Ends the worker; whatever it was asked fails with this reason, and the next question starts another. */
  readonly end: (reason: Error) => void;
};

type Running<Api> = {
  /** Given once the worker can be asked. */
  readonly remote: Promise<{ readonly api: Remote<Api> }>;
  readonly ended: Promise<never>;
  readonly end: (reason: Error) => void;
};

let started = 0;

function run<Api>(start: (name: string) => Worker, patience: number): Running<Api> {
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
  const timer = setTimeout(() => end(new NeverStarted('A worker did not start.')), patience);
  let isReady: () => void = () => undefined;
  const ready = new Promise<void>((resolve) => (isReady = resolve));
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    end(new WorkerEnded(event.message || 'A worker could not be loaded.'));
  });
  worker.addEventListener('message', ({ data }) => {
    if (data === readyMessage) isReady();
    if (data !== aliveMessage) return;
    clearTimeout(timer);
    // The browser gives a lock on as soon as who holds it is gone, for whatever reason.
    void (navigator as { locks?: LockManager }).locks?.request(name, () => end(new WorkerEnded('A worker ended.')));
  });
  return { remote: ready.then(() => ({ api: wrap<Api>(worker) })), ended, end };
}

/** Keeps one worker, and notices when it is gone. */
export function hostOf<Api>(start: (name: string) => Worker): Host<Api> {
  let running: Running<Api> | undefined;
  /** Workers that did not start, one after the other. */
  let late = 0;

  async function once<R>(question: (remote: Remote<Api>) => Promise<R>): Promise<R> {
    const mine = (running ??= run<Api>(start, startsWithin[late] ?? startsWithin[2]));
    mine.ended.catch((reason: unknown) => {
      if (running !== mine) return;
      running = undefined;
      late = reason instanceof NeverStarted ? late + 1 : 0;
    });
    const asked = mine.remote.then(({ api }) => {
      late = 0;
      return question(api);
    });
    return Promise.race([asked, mine.ended]);
  }

  return {
    async ask(question) {
      for (let ends = 0; ends < 2;)
        try {
          return await once(question);
        } catch (error) {
          if (!(error instanceof WorkerEnded)) throw error;
          // One that never started has not been asked.
          if (!(error instanceof NeverStarted) || late >= startsWithin.length) ends++;
        }
      throw new WorkerEnded('What works in the background ended twice over this question. What was saved is still there.');
    },
    end(reason) {
      running?.end(reason);
      running = undefined;
    },
  };
}
