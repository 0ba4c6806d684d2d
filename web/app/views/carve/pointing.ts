import { agreement, area, type Box, holds, type Mark, type PageTree, selectorOf, snap, tidy } from '@liana/core';
import type { ElementBoxes, ShownSheet } from './useSheet';

/** How far a drawn side may be from an edge to hold on to it, in pixels of the page. */
const reach = 7;

/** A drawn box held on to what is there: the element or region it nearly is, else the edges nearby. */
export function hold(drawn: Box, shown: ShownSheet, boxes: ElementBoxes): Mark {
  const box = tidy(drawn);
  if (shown.kind === 'html') {
    const node = nearest(box, boxes);
    const found = node === undefined ? undefined : boxes.get(node);
    return found && node !== undefined ? { box: found, selector: selectorOf(shown.page, node) } : { box };
  }
  if (shown.kind !== 'picture') return { box };
  const region = shown.study.regions.reduce<Box | undefined>(
    (best, one) => (agreement(one.box, box) > Math.max(0.8, best ? agreement(best, box) : 0) ? one.box : best),
    undefined,
  );
  return { box: region ?? snap(box, shown.study.edges, reach) };
}

/** The element whose box a drawn one nearly is; of equals the outermost that is no mere wrapper of the page. */
function nearest(box: Box, boxes: ElementBoxes): number | undefined {
  let best: { node: number; agrees: number } | undefined;
  for (const [node, one] of boxes) {
    const agrees = agreement(one, box);
    if (agrees >= 0.6 && agrees > (best?.agrees ?? 0)) best = { node, agrees };
  }
  return best?.node;
}

/** The smallest thing under a point that is not marked yet and is no speck: an element, or a region of a picture. */
export function markAt(x: number, y: number, shown: ShownSheet, boxes: ElementBoxes, marked: readonly Box[]): Mark | undefined {
  const point = { x, y, width: 1, height: 1 };
  const isNew = (box: Box): boolean =>
    holds(box, point) && box.width >= 16 && box.height >= 12 && !marked.some((one) => agreement(one, box) > 0.92);
  if (shown.kind === 'html') {
    const found = [...boxes].filter(([, box]) => isNew(box)).sort((a, b) => area(a[1]) - area(b[1]) || b[0] - a[0])[0];
    return found && { box: found[1], selector: selectorOf(shown.page, found[0]) };
  }
  if (shown.kind !== 'picture') return undefined;
  const found = shown.study.regions.filter((region) => isNew(region.box)).sort((a, b) => area(a.box) - area(b.box))[0];
  return found && { box: found.box };
}

/** The next thing to mark within a box, biggest first: what a keyboard marks where a pointer would draw. */
export function nextMark(within: Box, shown: ShownSheet, boxes: ElementBoxes, marked: readonly Box[]): Mark | undefined {
  const fits = (box: Box): boolean =>
    holds(within, box, 1) &&
    agreement(within, box) < 0.92 &&
    box.width >= 16 &&
    box.height >= 12 &&
    !marked.some((one) => agreement(one, box) > 0.92);
  const free = (box: Box): boolean => fits(box) && !marked.some((one) => holds(one, box) && !holds(one, within));
  if (shown.kind === 'html') {
    const found = [...boxes].filter(([, box]) => free(box)).sort((a, b) => area(b[1]) - area(a[1]) || a[0] - b[0])[0];
    return found && { box: found[1], selector: selectorOf(shown.page, found[0]) };
  }
  const found =
    shown.kind === 'picture'
      ? shown.study.regions.filter((region) => free(region.box)).sort((a, b) => area(b.box) - area(a.box))[0]
      : undefined;
  if (found) return { box: found.box };
  return {
    box: tidy({ x: within.x + within.width / 4, y: within.y + within.height / 4, width: within.width / 2, height: within.height / 2 }),
  };
}

/** Pieces of a box side by side: elements of a page, or regions of a picture, one row or one column of them. */
export function piecesOf(
  box: Box,
  across: 'rows' | 'columns',
  shown: ShownSheet,
  boxes: ElementBoxes,
  nodeOf: (page: PageTree) => number,
): Mark[] {
  const candidates: Mark[] =
    shown.kind === 'html'
      ? childMarks(shown.page, nodeOf(shown.page), boxes)
      : shown.kind === 'picture'
        ? shown.study.regions
            .filter((region) => holds(box, region.box, 1) && agreement(box, region.box) < 0.95)
            .map((region) => ({ box: region.box }))
        : [];
  const chosen: Mark[] = [];
  for (const mark of candidates.toSorted((a, b) => area(b.box) - area(a.box))) {
    const apart = chosen.every((one) =>
      across === 'rows'
        ? one.box.y >= mark.box.y + mark.box.height - 1 || mark.box.y >= one.box.y + one.box.height - 1
        : one.box.x >= mark.box.x + mark.box.width - 1 || mark.box.x >= one.box.x + one.box.width - 1,
    );
    if (apart) chosen.push(mark);
  }
  return chosen.sort((a, b) => (across === 'rows' ? a.box.y - b.box.y : a.box.x - b.box.x));
}

/** The elements right below one; below a lone child, that child's. */
function childMarks(page: PageTree, at: number, boxes: ElementBoxes): Mark[] {
  let node = page.nodes[at];
  for (;;) {
    const children: number[] = (node?.children ?? []).filter((child) => boxes.has(child));
    const [only, ...more] = children;
    if (only === undefined || more.length > 0)
      return children.flatMap((child) => {
        const box = boxes.get(child);
        return box ? [{ box, selector: selectorOf(page, child) }] : [];
      });
    node = page.nodes[only];
  }
}
