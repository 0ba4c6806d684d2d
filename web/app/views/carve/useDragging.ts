import type { Box, Region, RegionId, Sheet } from '@liana/core';
import { type PointerEvent, type RefObject, useState } from 'react';

/** A corner or an edge of a mark by which it is sized. */
export type Side = { readonly left: boolean; readonly right: boolean; readonly top: boolean; readonly foot: boolean };

type Drag =
  | { readonly kind: 'draw'; readonly x: number; readonly y: number; readonly box: Box | undefined }
  | { readonly kind: 'move'; readonly x: number; readonly y: number; readonly id: RegionId; readonly start: Box; readonly box: Box }
  | {
      readonly kind: 'size';
      readonly x: number;
      readonly y: number;
      readonly id: RegionId;
      readonly start: Box;
      readonly side: Side;
      readonly box: Box;
    };

/** The handles of a mark, by name. */
export const handles: readonly (Side & { readonly name: string })[] = [-1, 0, 1].flatMap((row) =>
  [-1, 0, 1].flatMap((column) =>
    row === 0 && column === 0 ? [] : [{ name: `${row} ${column}`, left: column < 0, right: column > 0, top: row < 0, foot: row > 0 }],
  ),
);

const stretched = (start: Box, dx: number, dy: number, side: Side): Box => {
  const x = side.left ? Math.min(start.x + dx, start.x + start.width - 4) : start.x;
  const y = side.top ? Math.min(start.y + dy, start.y + start.height - 4) : start.y;
  const end = side.right ? Math.max(start.x + start.width + dx, x + 4) : start.x + start.width;
  const foot = side.foot ? Math.max(start.y + start.height + dy, y + 4) : start.y + start.height;
  return { x, y, width: end - x, height: foot - y };
};

type Work = {
  readonly area: RefObject<HTMLDivElement | null>;
  readonly sheet: Sheet;
  readonly regions: readonly Region[];
  readonly chosen: ReadonlySet<RegionId>;
  readonly scale: number;
  readonly onChoose: (region: RegionId | undefined, adds: boolean) => void;
  readonly onDraw: (box: Box) => void;
  readonly onPut: (region: RegionId, box: Box) => void;
};

const within = (value: number, most: number): number => Math.max(0, Math.min(value, most));

/** The smallest mark at a point; where that is chosen already, the one around it. */
function markAtPoint(regions: readonly Region[], chosen: ReadonlySet<RegionId>, { x, y }: { x: number; y: number }): RegionId | undefined {
  const under = regions
    .filter(({ box }) => box.x <= x && x < box.x + box.width && box.y <= y && y < box.y + box.height)
    .toSorted((a, b) => a.box.width * a.box.height - b.box.width * b.box.height);
  const next = under.findIndex((region) => chosen.has(region.id)) + 1;
  return (under[next] ?? under[0])?.id;
}

/** A drag gone on to a point of the page. */
function dragged(drag: Drag, point: { x: number; y: number }, sheet: Sheet, scale: number): Drag {
  const [dx, dy] = [point.x - drag.x, point.y - drag.y];
  switch (drag.kind) {
    case 'draw': {
      const [x, y] = [within(point.x, sheet.width), within(point.y, sheet.height)];
      const box = { x: Math.min(x, drag.x), y: Math.min(y, drag.y), width: Math.abs(x - drag.x), height: Math.abs(y - drag.y) };
      return { ...drag, box: Math.max(box.width, box.height) * scale < 5 ? undefined : box };
    }
    case 'move': {
      const moved = {
        ...drag.start,
        x: within(drag.start.x + dx, sheet.width - drag.start.width),
        y: within(drag.start.y + dy, sheet.height - drag.start.height),
      };
      return { ...drag, box: Math.abs(dx) + Math.abs(dy) < 3 ? drag.start : moved };
    }
    case 'size':
      return { ...drag, box: stretched(drag.start, dx, dy, drag.side) };
  }
}

/** Drawing, moving and sizing with the pointer; `pointed` are the handlers of the page's area, which is `.page-area` within `area`. */
export function useDragging({ area, sheet, regions, chosen, scale, onChoose, onDraw, onPut }: Work) {
  const [drag, setDrag] = useState<Drag>();
  const at = (event: PointerEvent): { x: number; y: number } => {
    const box = area.current?.querySelector('.page-area')?.getBoundingClientRect();
    return { x: (event.clientX - (box?.left ?? 0)) / scale, y: (event.clientY - (box?.top ?? 0)) / scale };
  };

  const onPointerDown = (event: PointerEvent): void => {
    if (event.button !== 0) return;
    const target = event.target as HTMLElement;
    const { x, y } = at(event);
    const region = regions.find((one) => one.id === target.dataset['region']);
    const side = handles.find((one) => one.name === target.dataset['handle']);
    // A press that begins work must not take the focus out of the area: keys go on working.
    if (target.tagName !== 'BUTTON') area.current?.focus({ preventScroll: true });
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    if (region && side) setDrag({ kind: 'size', x, y, id: region.id, start: region.box, box: region.box, side });
    else if (region) {
      if (!chosen.has(region.id) || event.shiftKey) onChoose(region.id, event.shiftKey);
      setDrag({ kind: 'move', x, y, id: region.id, start: region.box, box: region.box });
    } else setDrag({ kind: 'draw', x: within(x, sheet.width), y: within(y, sheet.height), box: undefined });
  };
  const onPointerMove = (event: PointerEvent): void => {
    if (drag) setDrag(dragged(drag, at(event), sheet, scale));
  };
  const onPointerUp = (event: PointerEvent): void => {
    if (!drag) return;
    setDrag(undefined);
    if (drag.kind === 'draw') {
      if (drag.box) onDraw(drag.box);
      else onChoose(markAtPoint(regions, chosen, at(event)), event.shiftKey);
    } else if (drag.box !== drag.start) onPut(drag.id, drag.box);
  };

  return {
    /** The box that is being drawn. */
    drawn: drag?.kind === 'draw' ? drag.box : undefined,
    /** Where a mark is, while it is dragged too. */
    boxOf: (region: Region): Box => (drag && drag.kind !== 'draw' && drag.id === region.id ? drag.box : region.box),
    pointed: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: () => setDrag(undefined) },
  };
}
