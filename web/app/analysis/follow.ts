import { isIgnoreFile } from '@liana/core';
import { database, type Project } from '../storage/database';
import { saveFiles, saveProject } from '../storage/projects';
import { listHandle, takeFile, takeSources } from './sources';

type Stamps = ReadonlyMap<string, string>;

/** What the files of a followed folder were like at the last look, by project. */
const looked = new Map<string, Stamps>();

const neverCancelled = (): boolean => false;

/** Brings a project to what its folder holds now; tells whether anything had changed. Nothing is saved where nothing had. */
async function takeAnew(project: Project, handle: FileSystemDirectoryHandle): Promise<boolean> {
  const given = await takeSources({ kind: 'handle', handle }, () => undefined, neverCancelled);
  if (!given) return false;
  const known = new Map((await database.files.where({ projectId: project.id }).toArray()).map((one) => [one.file, one.hash]));
  if (known.size === given.files.length && given.files.every((one) => known.get(one.file) === one.hash)) return false;
  await saveProject(project.id, project.name, { ...project.origin, kind: 'folder', handle }, given);
  return true;
}

/**
 * Looks at a folder that is followed, and takes what has changed since the last look: only the files
 * that did, where the same files are there as before. Tells whether anything had changed.
 */
export async function lookAgain(projectId: string, handle: FileSystemDirectoryHandle): Promise<boolean> {
  const project = await database.projects.get(projectId);
  if (!project) return false;
  const { files } = await listHandle(handle, () => undefined, neverCancelled);
  const now = new Map(files.flatMap((one): [string, string][] => (one.stamp === undefined ? [] : [[one.file, one.stamp]])));
  const before = looked.get(projectId);
  const changed = files.filter((one) => one.stamp !== undefined && before?.get(one.file) !== one.stamp);
  const isSameSet = before?.size === now.size && changed.every((one) => before.has(one.file) && !isIgnoreFile(one.file));
  // The look is remembered only when what it saw has been taken: a failed one is made again.
  if (!isSameSet) {
    const isOther = await takeAnew(project, handle);
    looked.set(projectId, now);
    return isOther;
  }
  const known = new Map(
    (await database.files.bulkGet(changed.map((one): [string, string] => [projectId, one.file]))).flatMap((one) =>
      one ? [[one.file, one.hash]] : [],
    ),
  );
  const read = await Promise.all(changed.filter((one) => known.has(one.file)).map((one) => takeFile(one.file, one.bytes)));
  if (read.some((one) => 'refused' in one)) {
    const isOther = await takeAnew(project, handle);
    looked.set(projectId, now);
    return isOther;
  }
  const taken = read.flatMap((one) => ('refused' in one || known.get(one.file) === one.hash ? [] : [one]));
  if (taken.length > 0) await saveFiles(projectId, taken);
  looked.set(projectId, now);
  return taken.length > 0;
}
