import Joi from 'joi';
import { cancelledMessage } from '../analysis/progress';
import { database, type Origin, type Project, type StoredFile, type StoredText } from './database';
import { keepReading, keepTexts, textsReplaced } from './readings';
import { isFull, removeForGood, withRoom } from './room';
import { announce } from './tabs';

const projectSchema = Joi.object<Project>({
  id: Joi.string().required(),
  name: Joi.string().required(),
  origin: Joi.object({ kind: Joi.valid('folder', 'files', 'zip', 'demo', 'plan').required(), name: Joi.string().allow('').required() })
    .unknown()
    .required(),
  createdAt: Joi.number().required(),
  readAt: Joi.number().required(),
  files: Joi.number().required(),
  bytes: Joi.number().required(),
  frameworks: Joi.array().items(Joi.string()),
  leftOut: Joi.object().pattern(Joi.string(), Joi.number()).required(),
  refused: Joi.array()
    .items(Joi.object({ file: Joi.string().required(), reason: Joi.string().required() }))
    .required(),
  deletedAt: Joi.number(),
});

/** An entry of the storage that is not what Liana wrote. */
export type Damaged = { readonly id: string; readonly name: string; readonly says: string };

export type ProjectList = { readonly projects: readonly Project[]; readonly damaged: readonly Damaged[] };

/** The projects kept in this browser, the newest first; entries that are not what Liana wrote are named, not shown. */
export async function listProjects(): Promise<ProjectList> {
  const stored = await database.projects.orderBy('createdAt').reverse().toArray();
  const projects: Project[] = [];
  const damaged: Damaged[] = [];
  for (const one of stored) {
    const { error } = projectSchema.validate(one);
    if (error) damaged.push({ id: one.id, name: String((one as { name?: unknown }).name ?? one.id), says: error.message });
    else if (one.deletedAt === undefined) projects.push(one);
  }
  return { projects, damaged };
}

/** A project by its id; undefined when this browser does not hold it. */
export async function getProject(id: string): Promise<Project | undefined> {
  const project = await database.projects.get(id);
  return project?.deletedAt === undefined ? project : undefined;
}

export type NewFiles = {
  readonly files: readonly (Omit<StoredFile, 'projectId'> & { readonly text: string })[];
  readonly leftOut: Project['leftOut'];
  readonly refused: Project['refused'];
};

/**
 * Saves a project's files in one transaction: all of it or nothing. Files that are as before keep
 * their facts; files that are gone lose theirs. Stopped before its end, it saves nothing and throws.
 */
export async function saveProject(
  id: string,
  name: string,
  origin: Origin,
  given: NewFiles,
  isCancelled = (): boolean => false,
): Promise<Project> {
  const now = Date.now();
  const before = await database.projects.get(id);
  const project: Project = {
    id,
    name: before?.name ?? name,
    origin,
    createdAt: before?.createdAt ?? now,
    readAt: now,
    files: given.files.filter((file) => file.kind === 'source').length,
    bytes: given.files.reduce((sum, file) => sum + file.size, 0),
    leftOut: given.leftOut,
    refused: given.refused,
  };
  const files: StoredFile[] = given.files.map(({ file, hash, size, kind }) => ({ projectId: id, file, hash, size, kind }));
  const texts: StoredText[] = given.files.map(({ file, text }) => ({ projectId: id, file, text }));
  const kept = new Set(given.files.map((file) => file.file));
  const replaced = before && (await textsReplaced(id, new Map(given.files.map(({ file, hash }) => [file, hash]))));
  await withRoom(() =>
    database.transaction('rw', database.projects, database.files, database.texts, database.facts, async () => {
      const known = (await database.files.where({ projectId: id }).primaryKeys()).filter(([, file]) => !kept.has(file));
      await Promise.all([database.files.bulkDelete(known), database.texts.bulkDelete(known), database.facts.bulkDelete(known)]);
      await database.files.bulkPut(files);
      await database.texts.bulkPut(texts);
      await database.projects.put(project);
      if (isCancelled()) throw new Error(cancelledMessage);
    }),
  );
  if (before && replaced) await keepReading(id, before.readAt, replaced);
  announce({ what: 'projects', projectId: id });
  return project;
}

/** Puts the new text of some files into a project that has them already, in one transaction. */
export async function saveFiles(projectId: string, given: NewFiles['files']): Promise<void> {
  const coming = new Map(given.map(({ file, hash }) => [file, hash]));
  const { old } = await textsReplaced(
    projectId,
    coming,
    given.map(({ file }) => file),
  );
  await withRoom(() =>
    database.transaction('rw', database.projects, database.files, database.texts, async () => {
      const before = await database.files.bulkGet(given.map(({ file }): [string, string] => [projectId, file]));
      const grown = given.reduce((sum, { size }, index) => sum + size - (before[index]?.size ?? 0), 0);
      await database.files.bulkPut(given.map(({ file, hash, size, kind }) => ({ projectId, file, hash, size, kind })));
      await database.texts.bulkPut(given.map(({ file, text }) => ({ projectId, file, text })));
      await database.projects
        .where('id')
        .equals(projectId)
        .modify((project) => Object.assign(project, { readAt: Date.now(), bytes: project.bytes + grown }));
    }),
  );
  await keepTexts(projectId, old);
  announce({ what: 'projects', projectId });
}

/**
 * Gives a project another name. Where it is no longer called what one saw, because another tab gave it
 * a name of its own, that stays and is given back; undefined where the name was changed.
 */
export async function renameProject(id: string, name: string, seen?: string): Promise<string | undefined> {
  const other = await withRoom(() =>
    database.transaction('rw', database.projects, async () => {
      const now = (await database.projects.get(id))?.name;
      if (seen !== undefined && now !== undefined && now !== seen && now !== name) return now;
      await database.projects.update(id, { name });
      return undefined;
    }),
  );
  announce({ what: 'projects', projectId: id });
  return other;
}

/**
 * Takes a project off the list. It can be brought back until the next start; where the browser has no
 * room even to note that, it is gone at once, with what it took. Tells which.
 */
export async function deleteProject(id: string): Promise<'kept' | 'gone'> {
  const note = (): Promise<'kept' | 'gone'> =>
    database.projects.update(id, { deletedAt: Date.now() }).then(
      () => 'kept' as const,
      async (error: unknown) => {
        if (!isFull(error)) throw error;
        await removeForGood(id);
        return 'gone' as const;
      },
    );
  const how = await withRoom(note);
  announce({ what: 'projects', projectId: id });
  return how;
}

/** Brings back what was deleted; tells whether it was still there. */
export async function restoreProject(id: string): Promise<boolean> {
  const count = await withRoom(() =>
    database.projects
      .where('id')
      .equals(id)
      .modify((project) => {
        delete (project as { deletedAt?: number }).deletedAt;
      }),
  );
  announce({ what: 'projects', projectId: id });
  return count > 0;
}

/** Removes for good what was deleted more than ten minutes ago. */
export async function sweepDeleted(): Promise<void> {
  const old = await database.projects
    .filter((project) => project.deletedAt !== undefined && project.deletedAt < Date.now() - 600_000)
    .primaryKeys();
  for (const id of old) await removeForGood(id);
}
