import { addSheet, pageName, type Plan, replaceSheet, type SheetId } from '@liana/core';
import type { NewLook } from '../storage/plans';
import { askCarver } from './client';
import { typeOf } from './file-types';

export type Brought = { readonly plan: Plan; readonly looks: readonly NewLook[]; readonly sheet: SheetId };

const isPage = (file: string): boolean => /\.html?$/i.test(file);
/** What a page can be carved from; pictures of a page’s own parts are not among them when a page came too. */
const isCarved = (file: string): boolean => /\.(png|jpe?g|webp|avif)$/i.test(file);

/** Width at which a saved page is shown first. */
const firstWidth = 1280;

/** What the user handed in cannot be carved; the message says why. */
export class NoPage extends Error {}

async function opened(files: readonly File[]): Promise<NewLook[]> {
  const looks: NewLook[] = [];
  for (const file of files) {
    if (/\.zip$/i.test(file.name)) {
      looks.push(...(await askCarver((carver) => carver.unpackPages(file))));
      continue;
    }
    const path = (file as File & { webkitRelativePath?: string }).webkitRelativePath || file.name;
    const type = typeOf(path) || (file.type.startsWith('image/') ? file.type : '');
    if (type !== '') looks.push({ file: path, type, bytes: new Uint8Array(await file.arrayBuffer()) });
  }
  return looks;
}

/** A name that no other file of the plan has, so that a second `today.png` does not take the place of the first. */
function freeFile(name: string, taken: ReadonlySet<string>): string {
  const dot = name.lastIndexOf('.');
  for (let count = 1; ; count++) {
    const free = count === 1 ? name : `${name.slice(0, dot)}-${count}${name.slice(dot)}`;
    if (!taken.has(free)) return free;
  }
}

/**
 * Takes pages into a plan: pictures, saved pages with what lies beside them, archives of these. Each
 * becomes a sheet; with `instead`, the first takes the place of that sheet and its marks stay; with
 * `page`, they are further looks of the page of that name.
 */
export async function bringPages(
  plan: Plan,
  files: readonly File[],
  known: ReadonlySet<string>,
  { instead, page }: { instead?: SheetId; page?: string } = {},
): Promise<Brought> {
  const looks = await opened(files);
  const pages = looks.filter((look) => isPage(look.file));
  const carved = pages.length > 0 ? pages : looks.filter((look) => isCarved(look.file) || look.type.startsWith('image/'));
  if (carved.length === 0)
    throw new NoPage('There is no picture and no saved page in that. PNG, JPEG, WebP, AVIF and HTML can be carved, in a zip archive too.');
  const taken = new Set(known);
  const renamed = new Map<NewLook, string>();
  // A page keeps its files’ names, since its markup speaks of them; a picture gets a free one.
  for (const look of looks) {
    const file = pages.length > 0 && !isPage(look.file) ? look.file : freeFile(look.file, taken);
    taken.add(file);
    renamed.set(look, file);
  }
  let next = plan;
  let sheet: SheetId | undefined;
  for (const look of carved) {
    const file = renamed.get(look) ?? look.file;
    const blob = new Blob([look.bytes], { type: look.type });
    const size = isPage(look.file) ? { width: firstWidth, height: 800 } : await askCarver((remote) => remote.study(file, blob));
    const shown = { file, kind: isPage(look.file) ? ('html' as const) : ('picture' as const), width: size.width, height: size.height };
    if (instead && sheet === undefined) {
      next = replaceSheet(next, instead, shown);
      sheet = instead;
    } else {
      const base = look.file.split('/').at(-1) ?? look.file;
      const made = addSheet(next, page ?? pageName(base), { ...shown, title: base });
      next = made.plan;
      sheet ??= made.sheet;
    }
  }
  return { plan: next, sheet: sheet as SheetId, looks: looks.map((look) => ({ ...look, file: renamed.get(look) ?? look.file })) };
}
