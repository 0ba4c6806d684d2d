import {
  type Box,
  boxesLike,
  type Edges,
  edgesOf,
  findLikes,
  type PageTree,
  type PicturePart,
  type PictureRegion,
  type Pixels,
  partsOfPicture,
  readPage,
  regionsOf,
  type SuggestedPart,
  suggestParts,
} from '@liana/core';
import { unpack } from '../analysis/zip';
import type { NewLook } from '../storage/plans';
import { typeOf } from './file-types';

/** What is known of a picture: its size, and what a drawn box can hold on to. */
export type PictureStudy = {
  readonly width: number;
  readonly height: number;
  readonly edges: Edges;
  readonly regions: readonly PictureRegion[];
};

const studied = new Map<string, { pixels: Pixels; study: PictureStudy }>();
/** A picture of more pixels than this is studied at a smaller size. */
const pixelsMost = 12_000_000;

async function pixelsOf(picture: Blob): Promise<{ pixels: Pixels; share: number; width: number; height: number }> {
  const bitmap = await createImageBitmap(picture).catch(() => {
    throw new Error('The browser cannot read this picture. PNG, JPEG, WebP and AVIF can be read.');
  });
  const { width, height } = bitmap;
  const share = Math.min(1, Math.sqrt(pixelsMost / (width * height)));
  const canvas = new OffscreenCanvas(Math.max(1, Math.floor(width * share)), Math.max(1, Math.floor(height * share)));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('The browser gave no canvas to read the picture with.');
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return { pixels: context.getImageData(0, 0, canvas.width, canvas.height), share, width, height };
}

const scaled = (box: Box, share: number): Box => ({
  x: Math.round(box.x * share),
  y: Math.round(box.y * share),
  width: Math.max(1, Math.round(box.width * share)),
  height: Math.max(1, Math.round(box.height * share)),
});

const shares = new Map<string, number>();

export const carver = {
  /** Studies a picture; `key` names it for later questions. */
  async study(key: string, picture: Blob): Promise<PictureStudy> {
    const known = studied.get(key);
    if (known) return known.study;
    const { pixels, share, width, height } = await pixelsOf(picture);
    const edges = edgesOf(pixels);
    const study: PictureStudy = {
      width,
      height,
      edges: { x: edges.x.map((at) => Math.round(at / share)), y: edges.y.map((at) => Math.round(at / share)) },
      regions: regionsOf(pixels).map((region) => ({ ...region, box: scaled(region.box, 1 / share) })),
    };
    studied.set(key, { pixels, study });
    shares.set(key, share);
    if (studied.size > 6) studied.delete(studied.keys().next().value ?? '');
    return study;
  },

  /** Boxes like the given one in a picture, which is studied where it was not yet. */
  async likes(key: string, box: Box, picture: Blob): Promise<Box[]> {
    await carver.study(key, picture);
    const known = studied.get(key);
    const share = shares.get(key) ?? 1;
    if (!known) return [];
    const regions = known.study.regions.map((region) => ({ ...region, box: scaled(region.box, share) }));
    return boxesLike(known.pixels, regions, scaled(box, share)).map((one) => scaled(one, 1 / share));
  },

  /** Pages, pictures and what came with them, out of an archive. */
  async unpackPages(file: File): Promise<NewLook[]> {
    const { entries } = await unpack(new Uint8Array(await file.arrayBuffer()), (entry) => typeOf(entry) !== '');
    return entries.map((entry) => ({ file: entry.file, type: typeOf(entry.file), bytes: new Uint8Array(entry.bytes) }));
  },

  read(html: string): PageTree {
    return readPage(html);
  },

  suggest(tree: PageTree): readonly SuggestedPart[] {
    return suggestParts(tree).parts;
  },

  /** The parts that a picture suggests, which is studied where it was not yet. */
  async suggestFromPicture(key: string, picture: Blob): Promise<readonly PicturePart[]> {
    await carver.study(key, picture);
    const known = studied.get(key);
    const share = shares.get(key) ?? 1;
    if (!known) return [];
    return partsOfPicture(known.pixels).map((part) => ({ ...part, boxes: part.boxes.map((box) => scaled(box, 1 / share)) }));
  },

  /** Elements like one, in its own page and in others. */
  elementsLike(tree: PageTree, at: number, others: readonly PageTree[]): number[][] {
    return [findLikes(tree, at), ...others.map((other) => findLikes(tree, at, other))];
  },
};

export type Carver = typeof carver;
