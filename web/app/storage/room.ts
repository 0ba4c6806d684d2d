import { database } from './database';

/** What the browser did not store; the message says what to do. */
export class StorageError extends Error {}

const nameOf = (error: unknown): string => (error instanceof Error ? ((error as { inner?: Error | null }).inner?.name ?? error.name) : '');

/** Names that the browser and the library of its storage give to what they did not write. */
const unwritten =
  /^(?:AbortError|UnknownError|InvalidStateError|DatabaseClosedError|TimeoutError|TransactionInactiveError|VersionError|MissingAPIError|OpenFailedError)$/;

/** Whether something was not written because the browser has no room. */
export const isFull = (error: unknown): boolean => /QuotaExceeded/.test(nameOf(error));

/** Removes a project with all that is kept of it, for good. */
export async function removeForGood(id: string): Promise<void> {
  const { files, texts, facts, plans, looks, triage, aside, readings, oldTexts, checks, projects } = database;
  await database.transaction('rw', database.tables, async () => {
    await Promise.all(
      [files, texts, facts, plans, looks, triage, aside, readings, oldTexts, checks].map((table) =>
        table.where('projectId').equals(id).delete(),
      ),
    );
    await projects.delete(id);
  });
}

/** Removes what was deleted and could still be brought back; tells whether there was any. */
async function makeRoom(): Promise<boolean> {
  const deleted = await database.projects.filter((project) => project.deletedAt !== undefined).primaryKeys();
  for (const id of deleted) await removeForGood(id);
  return deleted.length > 0;
}

/**
 * Writes; where the browser has no room, what was deleted goes for good and it is tried once more.
 * Throws `StorageError` where it was not written; whatever else goes wrong is thrown as it is.
 */
export async function withRoom<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (isFull(error) && (await makeRoom().catch(() => false))) return withRoom(write);
    if (isFull(error))
      throw new StorageError(
        'The browser has no room left for this. What was saved before is still there. Delete a project you no longer need, then try again.',
      );
    if (unwritten.test(nameOf(error)))
      throw new StorageError(
        `The browser did not store this (${(error as Error).message || nameOf(error)}). What was saved before is still there.`,
      );
    throw error;
  }
}
