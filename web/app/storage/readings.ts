import Joi from 'joi';
import { database, type StoredFile, type StoredReading } from './database';
import type { NewFiles } from './projects';
import { withRoom } from './room';

/** So many readings are kept of a project, beside those that have a name. */
export const readingsKept = 20;

const readingSchema = Joi.object<StoredReading>({
  id: Joi.number().required(),
  projectId: Joi.string().required(),
  readAt: Joi.number().required(),
  name: Joi.string(),
  files: Joi.array()
    .items(Joi.object({ file: Joi.string().required(), hash: Joi.string().required(), kind: Joi.valid('source', 'config').required() }))
    .required(),
});

/** What a reading has of a file whose text another one is to take the place of. */
type Old = { readonly hash: string; readonly text: string };

/** The texts of a project's files that are to be replaced: those whose hash is another in what comes, or that are gone. With `among`, only these are asked for. */
export async function textsReplaced(
  projectId: string,
  coming: ReadonlyMap<string, string>,
  among?: readonly string[],
): Promise<{ files: StoredFile[]; old: Old[] }> {
  const files = among
    ? (await database.files.bulkGet(among.map((file): [string, string] => [projectId, file]))).flatMap((one) => one ?? [])
    : await database.files.where({ projectId }).toArray();
  const replaced = files.filter(({ file, hash }) => coming.get(file) !== hash);
  const texts = await database.texts.bulkGet(replaced.map(({ file }): [string, string] => [projectId, file]));
  return { files, old: replaced.flatMap(({ hash }, at) => (texts[at] ? [{ hash, text: texts[at].text }] : [])) };
}

/**
 * Keeps the reading that another took the place of: its list of files, and the texts that are no longer
 * those of the project. Where there is no room, it is not kept, and nothing else is lost.
 */
export async function keepReading(
  projectId: string,
  readAt: number,
  { files, old }: { files: readonly StoredFile[]; old: readonly Old[] },
): Promise<void> {
  if (old.length === 0) return;
  try {
    await database.transaction('rw', database.readings, database.oldTexts, async () => {
      await database.oldTexts.bulkPut(old.map((one) => ({ projectId, ...one })));
      await database.readings.add({ projectId, readAt, files: files.map(({ file, hash, kind }) => ({ file, hash, kind })) });
      await dropOldest(projectId);
    });
  } catch {
    // What could not be kept of before does not stop what is read now.
  }
}

/** Keeps the texts that files had in readings, where others take their place without a reading of its own. */
export async function keepTexts(projectId: string, old: readonly Old[]): Promise<void> {
  if (old.length === 0 || (await database.readings.where({ projectId }).count()) === 0) return;
  await database.oldTexts.bulkPut(old.map((one) => ({ projectId, ...one }))).catch(() => undefined);
}

/** Drops the oldest readings without a name that are too many, and the texts that no reading has any more. */
async function dropOldest(projectId: string): Promise<void> {
  const all = await database.readings.where({ projectId }).toArray();
  const unnamed = all.filter(({ name }) => name === undefined).sort((a, b) => b.readAt - a.readAt);
  const gone = new Set(unnamed.slice(readingsKept).flatMap(({ id }) => id ?? []));
  if (gone.size === 0) return;
  await database.readings.bulkDelete([...gone]);
  await dropTexts(
    projectId,
    all.filter(({ id }) => id === undefined || !gone.has(id)),
  );
}

/** The earlier readings of a project, the latest first; what is not as Liana wrote it is left out. */
export async function listReadings(projectId: string): Promise<StoredReading[]> {
  const all = await database.readings.where({ projectId }).toArray();
  return all.filter((one) => readingSchema.validate(one).error === undefined).sort((a, b) => b.readAt - a.readAt);
}

/** Gives the project as it is now a name, by which it is kept. Throws `StorageError` where it cannot be stored. */
export async function nameReading(projectId: string, name: string): Promise<void> {
  const project = await database.projects.get(projectId);
  const files = await database.files.where({ projectId }).toArray();
  const texts = await database.texts.where({ projectId }).toArray();
  const hashes = new Map(files.map(({ file, hash }) => [file, hash]));
  await withRoom(() =>
    database.transaction('rw', database.readings, database.oldTexts, async () => {
      await database.oldTexts.bulkPut(
        texts.flatMap(({ file, text }) => (hashes.has(file) ? [{ projectId, hash: hashes.get(file) ?? '', text }] : [])),
      );
      await database.readings.add({
        projectId,
        readAt: project?.readAt ?? Date.now(),
        name,
        files: files.map(({ file, hash, kind }) => ({ file, hash, kind })),
      });
    }),
  );
}

/** Keeps files that were handed in as a version of a project, which stays as it is; the number of the reading. Throws `StorageError` where they cannot be stored. */
export async function addReading(projectId: string, name: string, files: NewFiles['files']): Promise<number> {
  return withRoom(() =>
    database.transaction('rw', database.readings, database.oldTexts, async () => {
      await database.oldTexts.bulkPut(files.map(({ hash, text }) => ({ projectId, hash, text })));
      return database.readings.add({
        projectId,
        readAt: Date.now(),
        name,
        files: files.map(({ file, hash, kind }) => ({ file, hash, kind })),
      });
    }),
  );
}

/** Takes a version away, with the texts that no other one has. */
export async function removeReading(projectId: string, id: number): Promise<void> {
  await database.transaction('rw', database.readings, database.oldTexts, async () => {
    await database.readings.delete(id);
    await dropTexts(projectId, await database.readings.where({ projectId }).toArray());
  });
}

/** Drops the texts that none of some readings has. */
async function dropTexts(projectId: string, readings: readonly StoredReading[]): Promise<void> {
  const held = new Set(readings.flatMap(({ files }) => files.map(({ hash }) => hash)));
  await database.oldTexts
    .where({ projectId })
    .filter(({ hash }) => !held.has(hash))
    .delete();
}

/** The texts of a reading; those of files that are as they were come from the project itself. Undefined where one is no longer kept. */
export async function textsOfReading(reading: StoredReading): Promise<Map<string, string> | undefined> {
  const { projectId, files } = reading;
  const old = await database.oldTexts.bulkGet(files.map(({ hash }): [string, string] => [projectId, hash]));
  const now = await database.files.bulkGet(files.map(({ file }): [string, string] => [projectId, file]));
  const texts = await database.texts.bulkGet(files.map(({ file }): [string, string] => [projectId, file]));
  const found = new Map<string, string>();
  for (const [at, { file, hash }] of files.entries()) {
    const text = old[at]?.text ?? (now[at]?.hash === hash ? texts[at]?.text : undefined);
    if (text === undefined) return undefined;
    found.set(file, text);
  }
  return found;
}
