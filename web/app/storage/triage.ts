import {
  type Decisions,
  decisionsDocument,
  parseDecisions,
  type RuleSetting,
  type RuleSettings,
  type TriageMark,
  messageOf,
} from '@liana/core';
import Joi from 'joi';
import { database, type StoredTriage } from './database';
import { StorageError, withRoom } from './room';
import { announce } from './tabs';

const none = (projectId: string): StoredTriage => ({ projectId, marks: {}, rules: {}, latest: [], latestAt: 0 });

/** What is kept beside the decisions, whose shape the core knows. */
const readingSchema = Joi.object({
  projectId: Joi.string().required(),
  latest: Joi.array().items(Joi.string()).required(),
  latestAt: Joi.number().required(),
  known: Joi.array().items(Joi.string()),
}).unknown();

/** What is stored, or nothing with what is wrong with it: it stays as it is until something is decided, and is set aside then. */
function checked(projectId: string, stored: unknown): { readonly triage: StoredTriage; readonly wrong?: string } {
  if (stored === undefined) return { triage: none(projectId) };
  const { error } = readingSchema.validate(stored, { convert: false });
  const decided = error ? { wrong: error.message } : parseDecisions(decisionsDocument(stored as StoredTriage));
  return 'wrong' in decided ? { triage: none(projectId), wrong: decided.wrong.replace(/\.$/, '') } : { triage: stored as StoredTriage };
}

/** Why what was decided about a project cannot be read; undefined where it can. */
export async function wrongTriage(projectId: string): Promise<string | undefined> {
  return checked(projectId, await database.triage.get(projectId)).wrong;
}

type Edit = (before: StoredTriage) => StoredTriage;

/** What was decided and is not stored yet, in its order: it holds in this tab, and is tried again. */
const waiting: { readonly projectId: string; readonly edit: Edit }[] = [];
const listeners = new Set<() => void>();
const pause = 4000;
let timer: ReturnType<typeof setTimeout> | undefined;
let reason = '';

function tellWaiting(): void {
  for (const listener of listeners) listener();
}

/** How many decisions are not stored yet, for `useSyncExternalStore`, and why. */
export const waitingStore = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  get: (): number => waiting.length,
  reason: (): string => reason,
  /** The projects that they are about. */
  projects: (): string[] => [...new Set(waiting.map((one) => one.projectId))],
};

/** What was decided about a project's findings, with what is not stored yet. */
export async function loadTriage(projectId: string): Promise<StoredTriage> {
  const stored = checked(projectId, await database.triage.get(projectId)).triage;
  return waiting.filter((one) => one.projectId === projectId).reduce((before, { edit }) => edit(before), stored);
}

async function write(projectId: string, edit: Edit): Promise<void> {
  await withRoom(() =>
    database.transaction('rw', database.triage, database.aside, async () => {
      const stored: unknown = await database.triage.get(projectId);
      const { triage, wrong } = checked(projectId, stored);
      if (wrong !== undefined)
        await database.aside.add({ projectId, document: stored, why: `What was decided cannot be read: ${wrong}.`, at: Date.now() });
      await database.triage.put(edit(triage));
    }),
  );
  announce({ what: 'decisions', projectId });
}

/** Tries again to store what waits; ends at the first that still cannot be. */
export async function retryWaiting(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  try {
    for (let next = waiting[0]; next; next = waiting[0]) {
      await write(next.projectId, next.edit);
      waiting.shift();
    }
  } catch (error) {
    reason = messageOf(error);
    timer = setTimeout(() => void retryWaiting(), pause);
  }
  tellWaiting();
}

/**
 * Stores a change; one that cannot be stored now waits, and holds all the same while this tab is open.
 * `checked` is the change where it is stored at once: it may refuse what another tab has done.
 */
async function change(projectId: string, edit: Edit, checked = edit): Promise<'stored' | 'waiting'> {
  if (waiting.length === 0) {
    try {
      await write(projectId, checked);
      return 'stored';
    } catch (error) {
      if (!(error instanceof StorageError)) throw error;
      reason = error.message;
    }
  }
  waiting.push({ projectId, edit });
  timer ??= setTimeout(() => void retryWaiting(), pause);
  tellWaiting();
  return 'waiting';
}

/** What is decided about one finding, about a rule, and of what counts as twins; undefined for nothing. */
export type Decision = TriageMark | RuleSetting | number | undefined;

/** Another tab has decided otherwise about the same, since this one looked. */
export class DecidedElsewhere extends Error {
  constructor(readonly now: Decision) {
    super('Another tab has decided otherwise.');
  }
}

/** What a tab took for the decision until now. */
export type Seen<D extends Decision> = { readonly decision: D | undefined };

function isSame(a: Decision, b: Decision): boolean {
  return typeof a === 'object' && typeof b === 'object' ? a.state === b.state && a.reason === b.reason : a === b;
}

/**
 * Stores one decision. With `seen`, what this tab took for it until now: throws `DecidedElsewhere` where that is no
 * longer so, and nothing is stored.
 */
function decide<D extends Decision>(
  projectId: string,
  nowIn: (triage: StoredTriage) => D | undefined,
  edit: Edit,
  decision: D | undefined,
  seen: Seen<D> | undefined,
): Promise<'stored' | 'waiting'> {
  return change(projectId, edit, (before) => {
    const now = nowIn(before);
    if (seen && !isSame(now, seen.decision) && !isSame(now, decision)) throw new DecidedElsewhere(now);
    return edit(before);
  });
}

/** Keeps a decision about a finding; undefined takes it back. Throws as `decide` does. */
export async function markFinding(
  projectId: string,
  key: string,
  mark: TriageMark | undefined,
  seen?: Seen<TriageMark>,
): Promise<'stored' | 'waiting'> {
  const edit: Edit = (before) => {
    const { [key]: _, ...others } = before.marks;
    return { ...before, marks: mark ? { ...others, [key]: mark } : others };
  };
  return decide(projectId, ({ marks }) => marks[key], edit, mark, seen);
}

/** Takes over decisions that came with a project. */
export async function saveDecisions(projectId: string, { marks, rules, twinsFrom }: Decisions): Promise<void> {
  await change(projectId, (before) => ({
    ...before,
    marks: { ...before.marks, ...marks },
    rules: { ...before.rules, ...rules },
    ...(twinsFrom === undefined ? {} : { twinsFrom }),
  }));
}

/** Keeps from which likeness on the project takes two components for twins; undefined for Liana's own. Throws as `decide` does. */
export async function setTwinsFrom(projectId: string, twinsFrom: number | undefined, seen?: Seen<number>): Promise<void> {
  const edit: Edit = ({ twinsFrom: _, ...before }) => (twinsFrom === undefined ? before : { ...before, twinsFrom });
  await decide(projectId, (triage) => triage.twinsFrom, edit, twinsFrom, seen);
}

/** Keeps what the project says of a rule; undefined takes it back. Throws as `decide` does. */
export async function setRule(projectId: string, rule: string, setting: RuleSetting | undefined, seen?: Seen<RuleSetting>): Promise<void> {
  const edit: Edit = (before) => {
    const { [rule]: _, ...others } = before.rules as Readonly<Record<string, RuleSetting>>;
    const rules: RuleSettings = setting ? { ...others, [rule]: setting } : others;
    return { ...before, rules };
  };
  await decide(projectId, ({ rules }) => rules[rule], edit, setting, seen);
}

/** Remembers what a reading of the source found, so that the next one can tell what is new and what is gone. */
export async function noteReading(projectId: string, readAt: number, keys: readonly string[]): Promise<StoredTriage> {
  const before = await loadTriage(projectId);
  if (before.latestAt === readAt) return before;
  // The first reading has nothing to be compared with.
  const noted = { latest: [...keys], latestAt: readAt, ...(before.latestAt > 0 ? { known: before.latest } : {}) };
  await change(projectId, (now) => ({ ...now, ...noted }));
  return { ...before, ...noted };
}
