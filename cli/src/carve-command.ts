import { readFile } from 'node:fs/promises';
import {
  type Box,
  boxesLike,
  decodeFile,
  partsOfPicture,
  readPage,
  regionsOf,
  suggestionReport,
  suggestParts,
  messageOf,
} from '@liana/core';
import { Command, InvalidArgumentError } from 'commander';
import { PNG } from 'pngjs';
import { type Output, parsed } from './program';

class InputError extends Error {}

function boxGiven(text: string): Box {
  const [x, y, width, height, ...more] = text.split(',').map(Number);
  const isBox = [x, y, width, height].every((one) => Number.isInteger(one) && (one ?? -1) >= 0) && more.length === 0;
  if (!isBox || !width || !height) throw new InvalidArgumentError('It takes four whole numbers, x,y,width,height, such as 24,120,600,96.');
  return { x: x ?? 0, y: y ?? 0, width, height };
}

async function bytesOf(file: string): Promise<Buffer> {
  return readFile(file).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') throw new InputError(`There is no file ${file}.`);
    if (error.code === 'EISDIR') throw new InputError(`${file} is a folder, not a page or a picture.`);
    throw new InputError(`${file} cannot be read: ${error.message}.`);
  });
}

type PictureFound = { items: number[][]; parts?: { name: string; parent: string | null; reason: string; boxes: number[][] }[] };

/** What the picture shows: the boxes alike to the given one, or the regions a drawn box would hold on to, and the parts that it suggests. */
function carvePicture(file: string, bytes: Buffer, like: Box | undefined): PictureFound {
  let picture: PNG;
  try {
    picture = PNG.sync.read(bytes);
  } catch (error) {
    throw new InputError(`${file} is no PNG picture that can be read: ${messageOf(error)}.`);
  }
  if (like && (like.x + like.width > picture.width || like.y + like.height > picture.height))
    throw new InputError(`The box reaches out of the picture, which is ${picture.width} × ${picture.height}.`);
  const regions = regionsOf(picture);
  const numbers = (boxes: readonly Box[]): number[][] => boxes.map((box) => [box.x, box.y, box.width, box.height]);
  if (like) return { items: numbers(boxesLike(picture, regions, like)) };
  const parts = partsOfPicture(picture).map(({ name, parent, reason, boxes }) => ({ name, parent, reason, boxes: numbers(boxes) }));
  return { items: numbers(regions.map(({ box }) => box)), parts };
}

const isPicture = (bytes: Buffer): boolean => bytes.subarray(1, 4).toString('latin1') === 'PNG';

/** What a picture holds, printed as lines or as one JSON object. */
function pictureText(found: PictureFound, json: boolean | undefined): string {
  if (json) return `${JSON.stringify(found)}\n`;
  const lines = found.parts
    ? found.parts.map(
        ({ name, parent, boxes, reason }) =>
          `${name}${parent ? ` in ${parent}` : ''}: ${reason} (${boxes.map((box) => box.join(',')).join(' ')})\n`,
      )
    : found.items.map((box) => `${box.join(',')}\n`);
  return lines.join('');
}

/** The parts that are suggested in a page, printed as lines or as one JSON object. */
function pageText(file: string, bytes: Buffer, json: boolean | undefined, { err }: Output): string {
  const decoded = decodeFile(bytes, (part, label, fatal) => new TextDecoder(label, { fatal }).decode(part));
  if ('refused' in decoded) throw new InputError(`${file} cannot be read as text: ${decoded.refused}`);
  const tree = readPage(decoded.text);
  for (const cut of tree.cuts) err(`${file}: ${cut}\n`);
  const suggestion = suggestParts(tree);
  const report = suggestionReport(tree, suggestion);
  if (json) return `${JSON.stringify(report, undefined, 2)}\n`;
  return [
    ...suggestion.parts.map(
      ({ name, parent, at, reason }) => `${name}${parent ? ` in ${parent}` : ''}${at.length > 1 ? ` ×${at.length}` : ''}: ${reason}`,
    ),
    ...report.groups.map(
      ({ name, items, varies }) =>
        `${name} ×${items.length} differs in: ${varies.map(({ what, where }) => `${what} of ${where}`).join(', ') || 'nothing'}`,
    ),
    '',
  ].join('\n');
}

/** Carves what the arguments name and prints it. Gives the exit code: 0, or 2 where something could not be read. */
export async function runCarve(args: readonly string[], output: Output): Promise<number> {
  let code = 0;
  const program = new Command('carve')
    .description('Prints the parts that Liana would make of a saved page, or finds boxes in a picture of one.')
    .exitOverride()
    .configureOutput({ writeOut: output.out, writeErr: output.err })
    .argument('<file>', 'a page (.html) or a picture (.png)')
    .option('--like <x,y,w,h>', 'of a picture, the boxes that are like this one', boxGiven)
    .option('--json', 'print one JSON object instead of lines')
    .action(async (file: string, options: { like?: Box; json?: boolean }) => {
      try {
        const bytes = await bytesOf(file);
        if (isPicture(bytes)) output.out(pictureText(carvePicture(file, bytes, options.like), options.json));
        else if (/\.(png|jpe?g|webp|avif)$/i.test(file))
          throw new InputError(`${file} is no PNG picture; the shell reads only PNG. The browser reads JPEG, WebP and AVIF too.`);
        else if (options.like) throw new InputError('--like is for pictures; in a page, repeats are found by themselves.');
        else output.out(pageText(file, bytes, options.json, output));
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        output.err(`${error.message}\n`);
        code = 2;
      }
    });
  return (await parsed(program, args)) ?? code;
}
