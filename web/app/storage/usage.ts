import { database } from './database';

/** What this browser keeps for Liana, in bytes; `total` and `quota` only where it tells them. */
export type Usage = {
  readonly source: number;
  readonly pages: number;
  /** How many files have a reading that is kept; each is made again where it is missing. */
  readonly readings: number;
  readonly total?: number;
  readonly quota?: number;
  /** The browser does not clear it by itself. */
  readonly isPersistent: boolean;
};

/** How much is kept, and by what. */
export async function usageOf(): Promise<Usage> {
  let source = 0;
  let pages = 0;
  await database.projects.each((project) => void (source += project.bytes));
  await database.looks.each((look) => void (pages += look.bytes.length));
  const readings = await database.facts.count();
  const { storage } = navigator as { storage?: StorageManager };
  const told = await storage?.estimate?.().catch(() => undefined);
  const isPersistent = (await storage?.persisted?.().catch(() => false)) ?? false;
  return {
    source,
    pages,
    readings,
    isPersistent,
    ...(told?.usage === undefined ? {} : { total: told.usage }),
    ...(told?.quota === undefined ? {} : { quota: told.quota }),
  };
}

/** Asks the browser not to clear by itself what Liana keeps. */
export async function askToKeep(): Promise<void> {
  const { storage } = navigator as { storage?: StorageManager };
  if (!(await storage?.persisted?.())) await storage?.persist?.();
}

/** Throws the readings of all projects away: their source is read again when they are opened. */
export async function clearReadings(): Promise<void> {
  await Promise.all([database.facts.clear(), database.checks.clear()]);
}
