import { emptyPlan, mergePlans, parsePlan, type Plan, planDocument } from '@liana/core';
import { database, type Project, type StoredAside, type StoredLook } from './database';
import { withRoom } from './room';
import { announce } from './tabs';

/** A plan as it stands in storage, and how often it was saved by then; 0 where it never was. */
export type KeptPlan = { readonly plan: Plan; readonly revision: number };

/**
 * A project's plan: what was kept, or why that cannot be read; a project without one has an empty plan.
 * What cannot be read stays as it is, and is set aside when another plan is saved.
 */
export async function loadPlan(project: Pick<Project, 'id' | 'name'>): Promise<KeptPlan & { readonly wrong?: string }> {
  const stored = await database.plans.get(project.id);
  if (!stored) return { plan: emptyPlan(project.name), revision: 0 };
  const revision = stored.revision ?? 0;
  const parsed = parsePlan(stored.document);
  return 'wrong' in parsed ? { plan: emptyPlan(project.name), revision, wrong: parsed.wrong } : { plan: parsed.plan, revision };
}

/** What became of a plan that was to be saved. */
export type SavedPlan =
  | ({ readonly kind: 'saved' } & KeptPlan)
  /** Another tab had saved something else, and both fit into one. */
  | ({ readonly kind: 'merged' } & KeptPlan)
  /** Another tab had saved what does not fit; nothing was written. */
  | ({ readonly kind: 'differs' } & KeptPlan);

/** Writes a plan within a transaction that may write plans and what is set aside. */
async function put(projectId: string, plan: Plan, since: KeptPlan | undefined): Promise<SavedPlan> {
  const stored = await database.plans.get(projectId);
  const before = stored?.revision ?? 0;
  const parsed = stored && parsePlan(stored.document);
  const write = async (kind: 'saved' | 'merged', written: Plan): Promise<SavedPlan> => {
    await database.plans.put({ projectId, document: planDocument(written), savedAt: Date.now(), revision: before + 1 });
    return { kind, plan: written, revision: before + 1 };
  };
  if (!stored || !parsed) return write('saved', plan);
  if ('wrong' in parsed) {
    await database.aside.add({ projectId, document: stored.document, why: parsed.wrong, at: stored.savedAt });
    return write('saved', plan);
  }
  if (!since || since.revision === before) return write('saved', plan);
  const merged = mergePlans(since.plan, plan, parsed.plan);
  return merged ? write('merged', merged) : { kind: 'differs', plan: parsed.plan, revision: before };
}

async function written(projectId: string, run: () => Promise<SavedPlan>): Promise<SavedPlan> {
  const saved = await withRoom(() => database.transaction('rw', database.plans, database.looks, database.aside, run));
  if (saved.kind !== 'differs') announce({ what: 'plan', projectId });
  return saved;
}

/** Keeps a plan that was made of `since`; what another tab has saved in between is not lost. Without `since` it takes the place of what was there. */
export async function savePlan(projectId: string, plan: Plan, since?: KeptPlan): Promise<SavedPlan> {
  return written(projectId, () => put(projectId, plan, since));
}

/** Of two plans that do not fit into one, keeps one and sets the other aside. */
export async function choosePlan(projectId: string, chosen: Plan, other: Plan, why: string): Promise<SavedPlan> {
  return written(projectId, async () => {
    await database.aside.add({ projectId, document: planDocument(other), why, at: Date.now() });
    return put(projectId, chosen, undefined);
  });
}

/** What was set aside of a project, the latest first. */
export async function loadAside(projectId: string): Promise<StoredAside[]> {
  return (await database.aside.where({ projectId }).toArray()).sort((a, b) => b.at - a.at);
}

/** Throws away what was set aside. */
export async function removeAside(id: number): Promise<void> {
  await database.aside.delete(id);
}

/** Sets something aside again that was thrown away. */
export async function restoreAside(one: StoredAside): Promise<void> {
  await withRoom(() => database.aside.put(one));
}

/** The plan as it is stored, whether it can be read or not; undefined where there is none. */
export async function storedDocument(projectId: string): Promise<unknown> {
  return (await database.plans.get(projectId))?.document;
}

export type NewLook = Omit<StoredLook, 'projectId'>;

/** Keeps files that pages are shown from, together with the plan that speaks of them: all or nothing. */
export async function saveLooks(projectId: string, looks: readonly NewLook[], plan: Plan, since?: KeptPlan): Promise<SavedPlan> {
  return written(projectId, async () => {
    await database.looks.bulkPut(looks.map((look) => ({ ...look, projectId })));
    return put(projectId, plan, since);
  });
}

export async function loadLooks(projectId: string): Promise<StoredLook[]> {
  return database.looks.where({ projectId }).toArray();
}

/** A project without source, to carve pages in. Gives its id. */
export async function newPlanProject(name: string): Promise<string> {
  const id = crypto.randomUUID();
  const now = Date.now();
  await withRoom(() =>
    database.projects.put({
      id,
      name,
      origin: { kind: 'plan', name },
      createdAt: now,
      readAt: now,
      files: 0,
      bytes: 0,
      leftOut: {},
      refused: [],
    }),
  );
  announce({ what: 'projects', projectId: id });
  return id;
}
