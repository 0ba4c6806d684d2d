import { expose } from 'comlink';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { aliveMessage, hostOf, readyMessage, WorkerEnded } from './worker-host';

type Api = { readonly number: () => number; readonly never: () => Promise<number> };

const ports: MessagePort[] = [];

/** What the browser would call when it gives a lock on, because who held it is gone; by the order of asking. */
const givenOn: (() => void)[] = [];
vi.stubGlobal('navigator', { locks: { request: async (_: string, granted: () => void) => void givenOn.push(granted) } });

/** A worker without a thread: it answers with how many were started before it, and ends when a test says so. */
class Stub extends EventTarget {
  static started: Stub[] = [];
  /** So many of those that are started next never say a word. */
  static silent = 0;
  readonly #port: MessagePort;
  isTerminated = false;

  constructor() {
    super();
    const { port1, port2 } = new MessageChannel();
    ports.push(port1, port2);
    this.#port = port1;
    const number = Stub.started.length;
    expose({ number: () => number, never: () => new Promise<number>(() => undefined) } satisfies Api, port2 as never);
    port1.addEventListener('message', ({ data }) => this.dispatchEvent(new MessageEvent('message', { data: data as unknown })));
    port1.start();
    Stub.started.push(this);
    if (Stub.silent-- > 0) return;
    for (const data of [aliveMessage, readyMessage]) queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data })));
  }

  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.#port.postMessage(message, transfer);
  }

  terminate(): void {
    this.isTerminated = true;
  }

  /** As the browser tells of a worker that failed. */
  fail(): void {
    this.dispatchEvent(Object.assign(new Event('error'), { message: 'It failed.' }));
  }
}

const start = (): Worker => new Stub() as unknown as Worker;

afterEach(() => {
  for (const port of ports.splice(0)) port.close();
  Stub.started = [];
  Stub.silent = 0;
  givenOn.length = 0;
});

test('one worker answers all questions', async () => {
  const host = hostOf<Api>(start);
  expect(await host.ask((remote) => remote.number())).toBe(0);
  expect(await host.ask((remote) => remote.number())).toBe(0);
  expect(Stub.started).toHaveLength(1);
});

test('one that fails while it is asked is started again, and asked again', async () => {
  const host = hostOf<Api>(start);
  let asked = 0;
  const answer = host.ask((remote) => (asked++ === 0 ? remote.never() : remote.number()));
  Stub.started[0]?.fail();
  expect(await answer).toBe(1);
  expect(Stub.started.map((one) => one.isTerminated)).toEqual([true, false]);
});

test('one that is gone without a word is noticed by its lock', async () => {
  const host = hostOf<Api>(start);
  let asked = 0;
  const answer = host.ask((remote) => (asked++ === 0 ? remote.never() : remote.number()));
  await vi.waitFor(() => expect(givenOn).toHaveLength(1));
  givenOn[0]?.();
  expect(await answer).toBe(1);
});

test('one that fails twice over a question is said, and the next question starts another', async () => {
  const host = hostOf<Api>(start);
  const answer = host.ask((remote) => {
    queueMicrotask(() => Stub.started.at(-1)?.fail());
    return remote.never();
  });
  await expect(answer).rejects.toThrow(WorkerEnded);
  await expect(answer).rejects.toThrow('What was saved is still there.');
  expect(await host.ask((remote) => remote.number())).toBe(2);
});

test('one that is ended for a reason fails with it, is not asked again, and is replaced at the next question', async () => {
  const host = hostOf<Api>(start);
  const answer = host.ask((remote) => remote.never());
  host.end(new Error('Stopped.'));
  await expect(answer).rejects.toThrow('Stopped.');
  expect(Stub.started).toHaveLength(1);
  expect(Stub.started[0]?.isTerminated).toBe(true);
  expect(await host.ask((remote) => remote.number())).toBe(1);
});

test('what a question itself throws is thrown, and the worker stays', async () => {
  const host = hostOf<Api>(start);
  await expect(host.ask(() => Promise.reject(new Error('No such page.')))).rejects.toThrow('No such page.');
  expect(await host.ask((remote) => remote.number())).toBe(0);
});

describe('workers that never start', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  test('one is replaced within a second, and the question is answered', async () => {
    Stub.silent = 1;
    const answer = hostOf<Api>(start).ask((remote) => remote.number());
    await vi.advanceTimersByTimeAsync(1000);
    vi.useRealTimers();
    expect(await answer).toBe(1);
    expect(Stub.started.map((one) => one.isTerminated)).toEqual([true, false]);
  });

  test('each that follows has longer, for a machine that is slow; then it is said', async () => {
    Stub.silent = 100;
    let said: unknown;
    hostOf<Api>(start)
      .ask((remote) => remote.number())
      .catch((error: unknown) => (said = error));
    const counts: number[] = [];
    for (const wait of [999, 1, 3999, 1, 14_999, 1]) {
      await vi.advanceTimersByTimeAsync(wait);
      counts.push(Stub.started.length);
    }
    expect(counts).toEqual([1, 2, 2, 3, 3, 4]);
    await vi.advanceTimersByTimeAsync(15_000);
    expect(said).toBeInstanceOf(WorkerEnded);
  });
});
