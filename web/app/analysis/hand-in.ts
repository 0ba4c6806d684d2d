import { newId } from './ids';
import { runWork } from './client';
import { isProjectFile } from '../carving/project-file';
import { newPlanProject, saveLooks } from '../storage/plans';
import { saveDecisions } from '../storage/triage';
import { deleteProject } from '../storage/projects';
import { askToKeep } from '../storage/usage';
import type { Given } from './sources';
import type { Origin } from '../storage/database';

/** A new project, or the new state of one, from what a user hands in; its id. */
export async function handIn(name: string, origin: Origin, given: Given, projectId = newId()): Promise<string> {
  void askToKeep().catch(() => undefined);
  await runWork(`Bringing in ${name}`, (analyst, report) => analyst.take(projectId, name, origin, given, report));
  return projectId;
}

/** What files of an `<input>` are: a zip archive, a folder with its paths, or loose files; and the name that they have together. */
export function givenIn(files: readonly File[]): { readonly name: string; readonly given: Given } {
  const [only] = files;
  if (only && files.length === 1 && /\.zip$/i.test(only.name)) {
    return { name: only.name.replace(/\.zip$/i, ''), given: { kind: 'zip', content: only } };
  }
  const listed = files.map((content) => ({ file: content.webkitRelativePath || content.name, content }));
  const top = listed[0]?.file.includes('/') ? (listed[0].file.split('/')[0] ?? '') : '';
  return { name: top || (only?.name ?? 'Files'), given: { kind: 'files', files: listed } };
}

/** Files of an `<input>`: one zip archive, a folder with its paths, or loose files. */
export async function handInFiles(files: readonly File[], projectId?: string): Promise<string> {
  const [only] = files;
  if (only && files.length === 1 && isProjectFile(only.name)) return handInProjectFile(only);
  const { name, given } = givenIn(files);
  const isFolder = only?.webkitRelativePath.includes('/') ?? false;
  const kind = given.kind === 'zip' ? 'zip' : isFolder ? 'folder' : 'files';
  return handIn(name, { kind, name: kind === 'folder' ? name : (only?.name ?? 'files') }, given, projectId);
}

/** A project file of Liana, as a new project: all of it or nothing. */
async function handInProjectFile(file: File): Promise<string> {
  const { name, plan, looks, source, decisions } = await runWork(`Unpacking ${file.name}`, (analyst) => analyst.readProjectFile(file));
  const id =
    source.length > 0 ? await handIn(name, { kind: 'zip', name: file.name }, { kind: 'texts', files: source }) : await newPlanProject(name);
  try {
    await saveLooks(id, looks, plan);
    if (decisions) await saveDecisions(id, decisions);
  } catch (error) {
    await deleteProject(id);
    throw error;
  }
  return id;
}

export async function handInFolder(handle: FileSystemDirectoryHandle, projectId?: string): Promise<string> {
  return handIn(handle.name, { kind: 'folder', name: handle.name, handle }, { kind: 'handle', handle }, projectId);
}

type Permitted = FileSystemDirectoryHandle & { requestPermission?: (options: { mode: 'read' }) => Promise<PermissionState> };

/** The browser asks before it reads a folder that was chosen in an earlier session. Throws where that is refused. */
export async function permitFolder(handle: Permitted): Promise<void> {
  const state = (await handle.requestPermission?.({ mode: 'read' })) ?? 'granted';
  if (state !== 'granted') throw new Error(`The browser was not allowed to read ${handle.name}. What was read before is still there.`);
}

/** The new state of a project whose folder is kept. */
export async function readFolderAgain(handle: FileSystemDirectoryHandle, projectId: string): Promise<string> {
  await permitFolder(handle);
  return handInFolder(handle, projectId);
}

type WithHandle = DataTransferItem & { getAsFileSystemHandle?: () => Promise<FileSystemHandle | null> };

/** What was dropped on the page: folders, files or an archive. A folder alone stays known where the browser can keep it. */
export async function handInDropped(items: DataTransferItemList): Promise<string | undefined> {
  const given = [...items].filter((item) => item.kind === 'file');
  // All of it is asked for at once: after the first wait the browser has taken the drop back.
  const handles = given.map((item) => ({ entry: item.webkitGetAsEntry(), file: item.getAsFile() }));
  const folders = await Promise.all(given.map((item: WithHandle) => item.getAsFileSystemHandle?.().catch(() => null)));
  const [kept] = folders;
  if (folders.length === 1 && kept?.kind === 'directory') return handInFolder(kept as FileSystemDirectoryHandle);
  const files: { file: string; content: File }[] = [];
  for (const { entry, file } of handles) {
    if (entry) await collect(entry, files);
    else if (file) files.push({ file: file.name, content: file });
  }
  const [only] = files;
  if (!only) return undefined;
  if (files.length === 1 && /\.zip$/i.test(only.file)) return handInFiles([only.content]);
  const folder = handles.length === 1 && handles[0]?.entry?.isDirectory ? handles[0].entry.name : undefined;
  const origin: Origin = folder ? { kind: 'folder', name: folder } : { kind: 'files', name: only.file };
  return handIn(folder ?? only.file, origin, { kind: 'files', files });
}

const skipped = new Set(['node_modules', '.git']);

async function collect(entry: FileSystemEntry, into: { file: string; content: File }[]): Promise<void> {
  if (entry.isFile) {
    const content = await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject));
    into.push({ file: entry.fullPath.replace(/^\//, ''), content });
    return;
  }
  if (skipped.has(entry.name)) return;
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  for (;;) {
    const entries = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject));
    if (entries.length === 0) return;
    for (const one of entries) await collect(one, into);
  }
}

type DemoSources = { readonly name: string; readonly files: readonly { readonly file: string; readonly text: string }[] };

/** The demo that ships with Liana, as a project; read afresh each time, so it is always the shipped one. */
export async function handInDemo(framework: string, edition: string): Promise<string> {
  const response = await fetch(`/sources/${framework}/${edition}`);
  if (!response.ok) throw new Error(`Liana ships no demo ${framework}, ${edition}.`);
  const { name, files } = (await response.json()) as DemoSources;
  return handIn(name, { kind: 'demo', name, framework, edition }, { kind: 'texts', files }, demoId(framework, edition));
}

const demoId = (framework: string, edition: string): string => `demo-${framework}-${edition}`;

/** The demo as a refactor left it, and before that the sound one, which it is compared with. */
export async function handInRefactor(framework: string): Promise<string> {
  await handInDemo(framework, 'sound');
  return handInDemo(framework, 'refactored');
}

/** The view of what a refactor did to the demo, below its project. */
export const comparedWithSound = (framework: string): string => `compare?before=project:${demoId(framework, 'sound')}`;
