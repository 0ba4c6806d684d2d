import { readPage } from '../../../core/src/carve/page/read';
import { safeHtml } from '../../../core/src/carve/page/safe';
import { skeletonOf, skeletonWriters } from '../../../core/src/carve/skeleton';
import { planOf } from '../carve';

/** Takes a saved page through all that Carve does with one: read, shown, carved into parts, written in every framework. Throws what any of it throws. */
export function carveThrough(html: string): { readonly parts: number } {
  safeHtml(
    readPage(html),
    () => undefined,
    () => undefined,
  );
  const { plan, pages } = planOf({ SomePage: html });
  const skeleton = skeletonOf(plan, pages);
  for (const writer of skeletonWriters) writer.write(skeleton);
  return { parts: skeleton.parts.length };
}
