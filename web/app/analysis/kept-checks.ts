import { database, type StoredCheck, type StoredFile } from '../storage/database';
import { coreVersion } from './core-version';
import { digestOf } from './digest';

/** What was found when a project was checked. */
export type Checked = Pick<StoredCheck, 'findings' | 'failures' | 'places' | 'standsOn'>;

/** Names all that a check follows from: the files by their contents, what checks, and the setting of the project. */
export function checkKey(files: readonly Pick<StoredFile, 'file' | 'hash'>[], twinsFrom: number | undefined): Promise<string> {
  const contents = files.map(({ file, hash }) => `${hash} ${file}`).sort();
  return digestOf([coreVersion, twinsFrom ?? '', ...contents].join('\n'));
}

/** The check of a project as it was kept under a key; undefined where there is none, or it is damaged. */
export async function keptCheck(projectId: string, key: string): Promise<Checked | undefined> {
  const kept = await database.checks.get(projectId).catch(() => undefined);
  const isWhole =
    kept?.key === key &&
    Array.isArray(kept.findings) &&
    Array.isArray(kept.failures) &&
    kept.places instanceof Map &&
    kept.standsOn instanceof Map;
  return isWhole ? kept : undefined;
}

/** Keeps a check in the place of the one before; where there is no room, nothing is lost but time. */
export async function keepCheck(projectId: string, key: string, { findings, failures, places, standsOn }: Checked): Promise<void> {
  await database.checks.put({ projectId, key, findings, failures, places, standsOn }).catch(() => undefined);
}
