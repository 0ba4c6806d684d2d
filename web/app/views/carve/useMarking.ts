import {
  agreement,
  type Box,
  elementAt,
  liftRegion,
  lowerRegion,
  markPart,
  moveRegions,
  nest,
  type PartId,
  partOf,
  plural,
  type RegionId,
  removeRegions,
  singular,
  splitRegion,
  tidy,
  wrapRegions,
  withProposedProps,
  messageOf,
} from '@liana/core';
import { type KeyboardEvent, useState } from 'react';
import { useTell } from '../../parts/Notices';
import { hold, markAt, nextMark, piecesOf } from './pointing';
import { markRepeats } from './repeats';
import type { Carving } from './useCarving';
import type { ElementBoxes } from './useSheet';

const marked = 'Marked. Enter gives it a name.';

/** What can be done with marks: by pointing, by keys and by buttons. `onZoom` changes how large the page is shown. */
export function useMarking(carving: Carving, zoom: number | undefined, onZoom: (zoom: number | undefined) => void) {
  const { editor, plan, sheet, shown, boxes, region, pages, looks, mark, setSays, setMeasured } = carving;
  const { edit } = editor;
  const [isSeeking, setIsSeeking] = useState(false);
  const tell = useTell();
  const boxesHere = (): Box[] => plan.regions.filter((one) => one.sheet === sheet?.id).map((one) => one.box);

  const draw = (box: Box): void => {
    if (sheet) mark(markPart(plan, sheet.id, '', [hold(box, shown, boxes)]), marked);
  };
  const pointAt = (x: number, y: number): void => {
    const found = markAt(x, y, shown, boxes, boxesHere());
    if (found && sheet) mark(markPart(plan, sheet.id, '', [found]), marked);
  };
  const put = (id: RegionId, box: Box): void => {
    const held = hold(box, shown, boxes);
    const moved = moveRegions(plan, new Map([[id, held.box]]));
    edit(
      held.selector === undefined
        ? moved
        : { ...moved, regions: moved.regions.map((one) => (one.id === id ? { ...one, selector: held.selector ?? '' } : one)) },
    );
  };

  const findRepeats = async (): Promise<void> => {
    if (!region || !sheet) return setSays('Choose a mark first.');
    setIsSeeking(true);
    try {
      const { plan: next, found } = await markRepeats({ plan, region, sheet, shown, boxes, pages: pages.trees, looks });
      const part = partOf(next, region.part);
      const props = part?.props.length ?? 0;
      if (found > 0) edit(next);
      setSays(
        found === 0
          ? `Nothing else is like ${part?.name ?? 'it'}.`
          : `${found} more like ${part?.name ?? 'it'} marked${props > 0 ? `; what varies became ${props} props` : ''}.`,
      );
    } catch (error) {
      tell(messageOf(error));
    } finally {
      setIsSeeking(false);
    }
  };

  const split = (across: 'rows' | 'columns'): void => {
    if (!region) return setSays('Choose a mark first.');
    const pieces = piecesOf(region.box, across, shown, boxes, (page) => elementAt(page, region.selector));
    const name = partOf(plan, region.part)?.name ?? '';
    const item = singular(name) === name ? '' : singular(name);
    const made = splitRegion(plan, region.id, pieces, item);
    if (!made) return setSays(`No gutter was found to cut ${name} into ${across}.`);
    const page = shown.kind === 'html' ? shown.page : undefined;
    mark(
      page && sheet ? { ...made, plan: withProposedProps(made.plan, made.part, sheet.id, page) } : made,
      `Cut into ${pieces.length} ${across}.`,
    );
  };

  const acts = actsOf(carving, { findRepeats, split, zoom, onZoom });
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey) return;
    if (event.key.startsWith('Arrow') && region) edit(moveRegions(plan, new Map([[region.id, nudged(event, region.box)]])));
    else if (event.key.startsWith('Arrow')) return;
    else {
      const act = acts[event.key === 'Backspace' ? 'Delete' : event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act || ((event.target as HTMLElement).tagName === 'BUTTON' && event.key === 'Enter')) return;
      act();
    }
    event.preventDefault();
  };

  const onMeasured = (found: ElementBoxes, height: number): void => {
    if (!sheet) return;
    setMeasured({ file: sheet.file, boxes: found });
    const page = shown.kind === 'html' ? shown.page : undefined;
    // At another width the page is laid out anew: marks go with their elements.
    const regions = plan.regions.map((one) => {
      const box = page && one.sheet === sheet.id && one.selector !== '' ? found.get(elementAt(page, one.selector)) : undefined;
      return box && agreement(box, one.box) < 1 ? { ...one, box } : one;
    });
    const isMoved = regions.some((one, index) => one !== plan.regions[index]);
    const isOther = height > 0 && height !== sheet.height;
    if (!isMoved && !isOther) return;
    const sheets = plan.sheets.map((one) => (one.id === sheet.id && isOther ? { ...one, height } : one));
    edit({ ...plan, sheets, regions }, { joins: true });
  };

  return { isSeeking, draw, pointAt, put, findRepeats, split, acts, onKeyDown, onMeasured };
}

type Means = {
  readonly findRepeats: () => Promise<void>;
  readonly split: (across: 'rows' | 'columns') => void;
  readonly zoom: number | undefined;
  readonly onZoom: (zoom: number | undefined) => void;
};

/** What each key does, by its name. */
function actsOf(carving: Carving, { findRepeats, split, zoom, onZoom }: Means): Readonly<Record<string, () => void>> {
  const { editor, plan, sheet, shown, boxes, region, chosen, mark, setSays, go, chooseRegion, forgetMore } = carving;
  const { edit } = editor;
  return {
    n: () => {
      if (!sheet) return;
      const within = region?.box ?? { x: 0, y: 0, width: sheet.width, height: sheet.height };
      const there = plan.regions.filter((one) => one.sheet === sheet.id).map((one) => one.box);
      const next = nextMark(within, shown, boxes, there);
      if (next) mark(markPart(plan, sheet.id, '', [next]), marked);
      else setSays('Nothing is left to mark in here.');
    },
    r: () => void findRepeats(),
    s: () => split('rows'),
    c: () => split('columns'),
    w: () => {
      if (chosen.size === 0) return setSays('Choose marks to wrap first; Shift and click adds one.');
      const name = partOf(plan, region?.part ?? ('' as PartId))?.name ?? '';
      mark(
        wrapRegions(plan, [...chosen], chosen.size > 1 && name !== '' ? `${plural(name)}List`.replace(/sList$/, 'List') : ''),
        'Wrapped.',
      );
    },
    l: () => {
      if (!region) return;
      const lifted = liftRegion(plan, region.id);
      edit(lifted);
      setSays(lifted === plan ? 'It is right on the page already.' : 'Lifted out of what is around it.');
    },
    o: () => {
      if (!region) return;
      const lowered = lowerRegion(plan, region.id);
      edit(lowered);
      setSays(lowered === plan ? 'Nothing beside it lies beneath it.' : 'Lowered into what it lies on.');
    },
    Delete: () => {
      if (chosen.size === 0) return;
      const around = region && nest(plan).get(region.id);
      edit(removeRegions(plan, [...chosen]));
      forgetMore();
      go({ region: around ?? undefined, part: plan.regions.find((one) => one.id === around)?.part });
      setSays('Deleted. Ctrl and Z brings it back.');
    },
    Enter: () => {
      go({ show: 'part' });
      focusSoon('part-name');
    },
    Escape: () => chooseRegion(undefined),
    '+': () => onZoom((zoom ?? 0.5) * 1.25),
    '-': () => onZoom((zoom ?? 0.5) / 1.25),
    '0': () => onZoom(undefined),
  };
}

/** A box moved by an arrow key, or sized with Alt; ten at once with Shift. */
function nudged(event: KeyboardEvent, box: Box): Box {
  const step = event.shiftKey ? 10 : 1;
  const dx = event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0;
  const dy = event.key === 'ArrowDown' ? step : event.key === 'ArrowUp' ? -step : 0;
  return event.altKey
    ? tidy({ ...box, width: Math.max(4, box.width + dx), height: Math.max(4, box.height + dy) })
    : tidy({ ...box, x: Math.max(0, box.x + dx), y: Math.max(0, box.y + dy) });
}

/** Focuses a field that may come only with the next rendering: a quick Enter after marking is not lost. */
function focusSoon(id: string, tries = 30): void {
  const field = document.getElementById(id);
  if (field) field.focus();
  else if (tries > 0) requestAnimationFrame(() => focusSoon(id, tries - 1));
}
