import type { Decisions, RuleSetting, RuleSettings, TriageMark } from '@liana/core';
import { database, type StoredTriage } from './database';
import { asStorageError } from './projects';

const none = (projectId: string): StoredTriage => ({ projectId, marks: {}, rules: {}, latest: [], latestAt: 0 });

/** What was decided about a project's findings. */
export async function loadTriage(projectId: string): Promise<StoredTriage> {
  return (await database.triage.get(projectId)) ?? none(projectId);
}

async function change(projectId: string, edit: (before: StoredTriage) => StoredTriage): Promise<void> {
  await database
    .transaction('rw', database.triage, async () => {
      await database.triage.put(edit((await database.triage.get(projectId)) ?? none(projectId)));
    })
    .catch(asStorageError);
}

/** Keeps a decision about a finding; undefined takes it back. */
export async function markFinding(projectId: string, key: string, mark: TriageMark | undefined): Promise<void> {
  await change(projectId, (before) => {
    const { [key]: _, ...others } = before.marks;
    return { ...before, marks: mark ? { ...others, [key]: mark } : others };
  });
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

/** Keeps from which likeness on the project takes two components for twins; undefined for Liana's own. */
export async function setTwinsFrom(projectId: string, twinsFrom: number | undefined): Promise<void> {
  await change(projectId, ({ twinsFrom: _, ...before }) => (twinsFrom === undefined ? before : { ...before, twinsFrom }));
}

/** Keeps what the project says of a rule; undefined takes it back. */
export async function setRule(projectId: string, rule: string, setting: RuleSetting | undefined): Promise<void> {
  await change(projectId, (before) => {
    const { [rule]: _, ...others } = before.rules as Readonly<Record<string, RuleSetting>>;
    const rules: RuleSettings = setting ? { ...others, [rule]: setting } : others;
    return { ...before, rules };
  });
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
