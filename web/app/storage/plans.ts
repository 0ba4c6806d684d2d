import { emptyPlan, parsePlan, type Plan, planDocument } from '@liana/core';
import { database, type Project, type StoredLook } from './database';
import { asStorageError } from './projects';

/** A project's plan: what was kept, or why that cannot be read. A project without one has an empty plan. */
export async function loadPlan(project: Pick<Project, 'id' | 'name'>): Promise<{ readonly plan: Plan; readonly wrong?: string }> {
  const stored = await database.plans.get(project.id);
  if (!stored) return { plan: emptyPlan(project.name) };
  const parsed = parsePlan(stored.document);
  return 'wrong' in parsed ? { plan: emptyPlan(project.name), wrong: parsed.wrong } : { plan: parsed.plan };
}

export async function savePlan(projectId: string, plan: Plan): Promise<void> {
  await database.plans.put({ projectId, document: planDocument(plan), savedAt: Date.now() }).catch(asStorageError);
}

export type NewLook = Omit<StoredLook, 'projectId'>;

/** Keeps files that pages are shown from, together with the plan that speaks of them: all or nothing. */
export async function saveLooks(projectId: string, looks: readonly NewLook[], plan: Plan): Promise<void> {
  await database
    .transaction('rw', database.plans, database.looks, async () => {
      await database.looks.bulkPut(looks.map((look) => ({ ...look, projectId })));
      await database.plans.put({ projectId, document: planDocument(plan), savedAt: Date.now() });
    })
    .catch(asStorageError);
}

export async function loadLooks(projectId: string): Promise<StoredLook[]> {
  return database.looks.where({ projectId }).toArray();
}

/** A project without source, to carve pages in. Gives its id. */
export async function newPlanProject(name: string): Promise<string> {
  const id = crypto.randomUUID();
  const now = Date.now();
  await database.projects
    .put({ id, name, origin: { kind: 'plan', name }, createdAt: now, readAt: now, files: 0, bytes: 0, leftOut: {}, refused: [] })
    .catch(asStorageError);
  return id;
}
