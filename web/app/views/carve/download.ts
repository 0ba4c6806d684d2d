import { type Box, nameOf, type Plan, planTree, type Sheet, type SkeletonFile } from '@liana/core';
import { strToU8, zipSync } from 'fflate';

/** Hands a file to the browser to be saved. */
export function download(name: string, parts: BlobPart[], type: string): void {
  const url = URL.createObjectURL(new Blob(parts, { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name from a project's words. */
export const fileName = (name: string): string =>
  name
    .trim()
    .replace(/[^\p{L}\p{N}-]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase() || 'plan';

/** The skeleton as a zip archive, with the pictures its markup shows. */
export function skeletonArchive(
  files: readonly SkeletonFile[],
  pictures: readonly { readonly file: string; readonly bytes: Uint8Array }[],
): Uint8Array<ArrayBuffer> {
  const entries: Record<string, Uint8Array> = {};
  for (const { file, text } of files) entries[file] = strToU8(text);
  for (const { file, bytes } of pictures) entries[`public/${file}`] = bytes;
  return zipSync(entries) as Uint8Array<ArrayBuffer>;
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');

type Mark = { readonly box: Box; readonly name: string; readonly repeats: boolean; readonly isFirst: boolean };

function marksOf(plan: Plan, sheet: Sheet): Mark[] {
  return planTree(plan).nodes.flatMap((node) =>
    node.regions.flatMap((id, index): Mark[] => {
      const region = plan.regions.find((one) => one.id === id);
      if (region?.sheet !== sheet.id) return [];
      const times = node.regions.length;
      return [
        { box: region.box, name: `${nameOf(plan, node.part)}${times > 1 ? ` ×${times}` : ''}`, repeats: times > 1, isFirst: index === 0 },
      ];
    }),
  );
}

/** The marked page as SVG. `picture` is an address that the SVG can hold, such as a data address. */
export function markedSvg(plan: Plan, sheet: Sheet, picture: string | undefined): string {
  const marks = marksOf(plan, sheet);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${sheet.width}" height="${sheet.height}" viewBox="0 0 ${sheet.width} ${sheet.height}" font-family="sans-serif" font-size="13" font-weight="600">`,
    `<rect width="100%" height="100%" fill="#fff"/>`,
    picture && `<image href="${escaped(picture)}" width="${sheet.width}" height="${sheet.height}"/>`,
    ...marks.flatMap(({ box, name, repeats, isFirst }) => {
      const colour = repeats ? '#B4532A' : '#2F5D50';
      const label = isFirst
        ? `<rect x="${box.x}" y="${Math.max(0, box.y - 18)}" width="${name.length * 8 + 12}" height="18" fill="${colour}"/><text x="${box.x + 6}" y="${Math.max(0, box.y - 18) + 13}" fill="#fff">${escaped(name)}</text>`
        : '';
      return [
        `<rect x="${box.x}" y="${box.y}" width="${box.width}" height="${box.height}" fill="none" stroke="${colour}" stroke-width="2"${isFirst ? '' : ' stroke-dasharray="6 4"'}/>`,
        label,
      ];
    }),
    '</svg>',
  ]
    .filter(Boolean)
    .join('\n');
}

/** Bytes as a data address. */
export function dataAddress(bytes: Uint8Array, type: string): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return `data:${type};base64,${btoa(text)}`;
}

/** Paints an SVG to a PNG picture. */
export async function pngOf(svg: string, sheet: Sheet): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = sheet.width;
  canvas.height = sheet.height;
  canvas.getContext('2d')?.drawImage(image, 0, 0, sheet.width, sheet.height);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The browser could not paint the picture.'))), 'image/png');
  });
}
