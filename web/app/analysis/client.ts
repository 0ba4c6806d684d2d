import { proxy, type Remote } from 'comlink';
import type { Summary } from './answers';
import type { Analyst } from './analyst';
import { hostOf } from './worker-host';
import { cancelledMessage, type Progress, type ReportProgress } from './progress';

/** What the analysis is doing; the page shows it while it takes longer than a moment. */
export type Work =
  { readonly kind: 'idle' } | { readonly kind: 'running'; readonly title: string; readonly progress: Progress; readonly since: number };

/** The worker that holds the model; started at its first use, and again when it is gone. */
const host = hostOf<Analyst>((name) => new Worker(new URL('./model.worker.ts', import.meta.url), { type: 'module', name }));

type Asked = Record<string, (...given: unknown[]) => Promise<unknown>>;

const analyst = new Proxy({} as Remote<Analyst>, {
  // A proxy that had a `then` would be taken for a promise.
  get: (_, question) =>
    typeof question !== 'string' || question === 'then'
      ? undefined
      : (...given: unknown[]) =>
          host.ask((remote) => (remote as unknown as Asked)[question]?.(...given) ?? Promise.reject(new Error(question))),
});
let work: Work = { kind: 'idle' };
const listeners = new Set<() => void>();

function tell(next: Work): void {
  work = next;
  for (const listener of listeners) listener();
}

/** What answers about a project; it asks a worker, and asks again once where that ended meanwhile. */
export function getAnalyst(): Remote<Analyst> {
  return analyst;
}

/** For `useSyncExternalStore`. */
export const workStore = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  get: (): Work => work,
};

/** The user stopped the work. */
export class Stopped extends Error {}

/** Runs long work in the worker, with its progress shown under a title. Throws `Stopped` when the user stops it. */
export async function runWork<T>(title: string, run: (analyst: Remote<Analyst>, report: ReportProgress) => Promise<T>): Promise<T> {
  const since = Date.now();
  tell({ kind: 'running', title, progress: { stage: 'Starting', done: 0, total: 0 }, since });
  try {
    return await run(
      getAnalyst(),
      proxy((progress: Progress) => tell({ kind: 'running', title, progress, since })),
    );
  } catch (error) {
    if (error instanceof Error && error.message === cancelledMessage) throw new Stopped(cancelledMessage);
    throw error;
  } finally {
    tell({ kind: 'idle' });
  }
}

/** How long a worker may take to hear that it is to stop, in milliseconds. */
const hearsWithin = 2000;

/** Stops the work under way, at whatever moment: a worker that is too busy to hear of it is replaced. */
export async function stopWork(): Promise<void> {
  const late = new Promise<'late'>((resolve) => setTimeout(() => resolve('late'), hearsWithin));
  const heard = await Promise.race([host.ask((remote) => remote.cancel()), late]);
  if (heard === 'late') host.end(new Stopped(cancelledMessage));
}

let opening: { projectId: string; readAt: number; summary: Promise<Summary> } | undefined;

/** The summary of a project, analysed once for all loaders that ask for it at the same time. */
export function openProject(projectId: string, name: string, readAt: number): Promise<Summary> {
  if (opening?.projectId === projectId && opening.readAt === readAt) return opening.summary;
  const summary = runWork(`Reading ${name}`, (remote, report) => remote.open(projectId, report));
  opening = { projectId, readAt, summary };
  summary.catch(() => {
    if (opening?.summary === summary) opening = undefined;
  });
  return summary;
}
