import { type Box, type PageTree, safeHtml, type Sheet, messageOf } from '@liana/core';
import { useEffect, useState } from 'react';
import type { PictureStudy } from '../../carving/carver';
import { askCarver } from '../../carving/client';
import { lookText } from '../../carving/look-text';
import type { StoredLook } from '../../storage/database';

/** A sheet as it is shown. */
export type ShownSheet =
  | { readonly kind: 'none' }
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly says: string }
  | { readonly kind: 'picture'; readonly url: string; readonly study: PictureStudy }
  | { readonly kind: 'html'; readonly html: string; readonly page: PageTree };

/** Where a page's file leads, from the page's own folder: `../a/b.png` beside `pages/x.html`. */
export function resolveAddress(page: string, address: string): string {
  const [path = ''] = address.split(/[?#]/);
  let decoded = path;
  try {
    decoded = decodeURI(path);
  } catch {
    // An address that is no address is looked for as it stands.
  }
  const steps = decoded.startsWith('/') ? [] : page.split('/').slice(0, -1);
  for (const step of decoded.split('/')) {
    if (step === '..') steps.pop();
    else if (step !== '.' && step !== '') steps.push(step);
  }
  return steps.join('/');
}

function addressOf(look: StoredLook, urls: string[]): string {
  const url = URL.createObjectURL(new Blob([look.bytes], { type: look.type }));
  urls.push(url);
  return url;
}

/** A page as it is shown, with the pictures and style sheets that came with it. Addresses made for them are added to `urls`. */
function shownHtml(page: PageTree, file: string, looks: readonly StoredLook[], urls: string[]): string {
  const made = new Map<string, string>();
  const resolve = (address: string): string | undefined => {
    const name = resolveAddress(file, address);
    const found = looks.find((one) => one.file === name && /^(image|font)\//.test(one.type));
    if (!found) return undefined;
    const url = made.get(name) ?? addressOf(found, urls);
    made.set(name, url);
    return url;
  };
  const sheetText = (address: string): string | undefined => {
    const found = looks.find((one) => one.file === resolveAddress(file, address) && one.type === 'text/css');
    return found && lookText(found);
  };
  return safeHtml(page, resolve, sheetText);
}

/** Measures a page that is not on the screen, at its sheet's width. */
export async function measureUnseen(page: PageTree, sheet: Sheet, looks: readonly StoredLook[]): Promise<ElementBoxes> {
  const urls: string[] = [];
  const frame = document.createElement('iframe');
  frame.setAttribute('sandbox', 'allow-same-origin');
  frame.setAttribute('aria-hidden', 'true');
  frame.tabIndex = -1;
  frame.style.cssText = `position: fixed; left: -100000px; top: 0; width: ${sheet.width}px; height: ${sheet.height}px; border: 0; visibility: hidden`;
  frame.srcdoc = shownHtml(page, sheet.file, looks, urls);
  const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
  document.body.append(frame);
  await loaded;
  const { boxes } = measure(frame);
  frame.remove();
  for (const url of urls) URL.revokeObjectURL(url);
  return boxes;
}

/** Gets a sheet ready to be shown: a picture studied, a page read and made safe. Its files' addresses live as long as it is shown. */
export function useSheet(sheet: Sheet | undefined, looks: readonly StoredLook[]): ShownSheet {
  const [shown, setShown] = useState<{ file: string; value: ShownSheet }>({ file: '', value: { kind: 'none' } });
  const file = sheet?.file ?? '';

  useEffect(() => {
    const look = looks.find((one) => one.file === file);
    if (!look) return;
    let isCurrent = true;
    const urls: string[] = [];
    const show = (value: ShownSheet): void => {
      if (isCurrent) setShown({ file, value });
    };
    const prepare = async (): Promise<void> => {
      if (look.type === 'text/html') {
        const page = await askCarver((remote) => remote.read(lookText(look)));
        show({ kind: 'html', page, html: shownHtml(page, file, looks, urls) });
      } else {
        const blob = new Blob([look.bytes], { type: look.type });
        const study = await askCarver((remote) => remote.study(file, blob));
        show({ kind: 'picture', url: addressOf(look, urls), study });
      }
    };
    prepare().catch((error: unknown) => show({ kind: 'failed', says: `${file} cannot be shown. ${messageOf(error)}` }));
    return () => {
      isCurrent = false;
      for (const url of urls) URL.revokeObjectURL(url);
    };
  }, [file, looks]);

  if (!sheet || file === '') return { kind: 'none' };
  if (!looks.some((one) => one.file === file))
    return { kind: 'failed', says: `${file} is not kept in this browser. Marks and plan are; hand the file in again to see the page.` };
  return shown.file === file ? shown.value : { kind: 'loading' };
}

/** Boxes of a shown page's elements, by node. */
export type ElementBoxes = ReadonlyMap<number, Box>;

const heightMost = 100_000;

/** Measures the elements of a page in its frame. Elements without a box are left out. */
export function measure(frame: HTMLIFrameElement): { boxes: ElementBoxes; height: number } {
  const boxes = new Map<number, Box>();
  const inner = frame.contentDocument;
  if (!inner) return { boxes, height: 0 };
  const { scrollX, scrollY } = frame.contentWindow ?? { scrollX: 0, scrollY: 0 };
  // A page may name its own elements `querySelectorAll` or `getBoundingClientRect`: the methods are this document's.
  for (const element of Document.prototype.querySelectorAll.call(inner, '[data-liana-node]')) {
    const { left, top, width, height } = Element.prototype.getBoundingClientRect.call(element);
    if (width < 1 || height < 1) continue;
    boxes.set(Number(Element.prototype.getAttribute.call(element, 'data-liana-node')), {
      x: Math.round(left + scrollX),
      y: Math.round(top + scrollY),
      width: Math.round(width),
      height: Math.round(height),
    });
  }
  // The frame is as high as the page was before; what the page fills tells how high it is now.
  const filled = [...boxes.values()].reduce((most, { y, height }) => Math.max(most, y + height), 0);
  return { boxes, height: Math.min(filled, heightMost) };
}
