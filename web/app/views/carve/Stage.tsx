import Button from '@mui/material/Button';
import { type Box, nameOf, type Plan, planTree, type Region, type RegionId, type Sheet, type SheetId } from '@liana/core';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { placeLabels } from './labels';
import { type ElementBoxes, measure, type ShownSheet } from './useSheet';

type Side = { readonly left: boolean; readonly right: boolean; readonly top: boolean; readonly foot: boolean };
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

type Props = {
  plan: Plan;
  sheet: Sheet;
  shown: ShownSheet;
  chosen: ReadonlySet<RegionId>;
  zoom: number | undefined;
  /** Undefined is as wide as the view. */
  onZoom: (zoom: number | undefined) => void;
  onChoose: (region: RegionId | undefined, adds: boolean) => void;
  onDraw: (box: Box) => void;
  onMarkAt: (x: number, y: number) => void;
  onPut: (region: RegionId, box: Box) => void;
  onMeasured: (boxes: ElementBoxes, height: number) => void;
  onKeyDown: (event: KeyboardEvent) => void;
  help: ReactNode;
};

const handles: readonly (Side & { readonly name: string })[] = [-1, 0, 1].flatMap((row) =>
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

/** How each region is drawn: whether its part repeats, and which of the repeats bears the name. */
function looksOf(plan: Plan): ReadonlyMap<RegionId, { readonly times: number; readonly isFirst: boolean; readonly optional: boolean }> {
  const looks = new Map<RegionId, { times: number; isFirst: boolean; optional: boolean }>();
  for (const node of planTree(plan).nodes)
    node.regions.forEach((region, index) => looks.set(region, { times: node.times, isFirst: index === 0, optional: node.optional }));
  return looks;
}

/** The page with its marks. Drawing, moving and sizing happen here; what they mean is the view's to say. */
export function Stage({ plan, sheet, shown, chosen, zoom, onZoom, onChoose, onDraw, onMarkAt, onPut, onMeasured, onKeyDown, help }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<Drag>();
  const [fit, setFit] = useState(0.5);
  const scale = zoom ?? fit;

  useEffect(() => {
    if (!scroll.current) return;
    const observer = new ResizeObserver(([entry]) => entry && setFit(Math.min(1, (entry.contentRect.width - 2) / sheet.width)));
    observer.observe(scroll.current);
    return () => observer.disconnect();
  }, [sheet.width]);

  const looks = useMemo(() => looksOf(plan), [plan]);
  const regions = useMemo(() => plan.regions.filter((region) => region.sheet === (sheet.id satisfies SheetId)), [plan.regions, sheet.id]);
  const boxOf = (region: Region): Box => (drag && drag.kind !== 'draw' && drag.id === region.id ? drag.box : region.box);
  const onScreen = ({ x, y, width, height }: Box): Box => ({ x: x * scale, y: y * scale, width: width * scale, height: height * scale });
  const named = regions
    .filter((region) => looks.get(region.id)?.isFirst || chosen.has(region.id))
    .toSorted(
      (a, b) =>
        Number(chosen.has(b.id)) - Number(chosen.has(a.id)) || a.box.y - b.box.y || b.box.width * b.box.height - a.box.width * a.box.height,
    );
  const wordsOf = (region: Region): string => {
    const look = looks.get(region.id);
    return `${nameOf(plan, region.part)}${look && look.times > 1 && look.isFirst ? ` ×${look.times}` : ''}`;
  };
  const labels = placeLabels(
    named.map((region) => ({ id: region.id, text: wordsOf(region), box: onScreen(boxOf(region)) })),
    sheet.width * scale,
  );

  const at = (event: PointerEvent): { x: number; y: number } => {
    const area = scroll.current?.querySelector('.page-area')?.getBoundingClientRect();
    return { x: (event.clientX - (area?.left ?? 0)) / scale, y: (event.clientY - (area?.top ?? 0)) / scale };
  };
  const within = (value: number, most: number): number => Math.max(0, Math.min(value, most));

  const onPointerDown = (event: PointerEvent): void => {
    if (event.button !== 0) return;
    const target = event.target as HTMLElement;
    const { x, y } = at(event);
    const region = regions.find((one) => one.id === target.dataset['region']);
    const side = handles.find((one) => one.name === target.dataset['handle']);
    // A press that begins work must not take the focus out of the area: keys go on working.
    if (target.tagName !== 'BUTTON') scroll.current?.focus({ preventScroll: true });
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    if (region && side) setDrag({ kind: 'size', x, y, id: region.id, start: region.box, box: region.box, side });
    else if (region) {
      if (!chosen.has(region.id) || event.shiftKey) onChoose(region.id, event.shiftKey);
      setDrag({ kind: 'move', x, y, id: region.id, start: region.box, box: region.box });
    } else setDrag({ kind: 'draw', x: within(x, sheet.width), y: within(y, sheet.height), box: undefined });
  };
  const onPointerMove = (event: PointerEvent): void => {
    if (!drag) return;
    const point = at(event);
    const [dx, dy] = [point.x - drag.x, point.y - drag.y];
    if (drag.kind === 'draw') {
      const x = within(point.x, sheet.width);
      const y = within(point.y, sheet.height);
      const box = { x: Math.min(x, drag.x), y: Math.min(y, drag.y), width: Math.abs(x - drag.x), height: Math.abs(y - drag.y) };
      setDrag({ ...drag, box: Math.max(box.width, box.height) * scale < 5 ? undefined : box });
    } else if (drag.kind === 'move') {
      const moved = {
        ...drag.start,
        x: within(drag.start.x + dx, sheet.width - drag.start.width),
        y: within(drag.start.y + dy, sheet.height - drag.start.height),
      };
      setDrag({ ...drag, box: Math.abs(dx) + Math.abs(dy) < 3 ? drag.start : moved });
    } else setDrag({ ...drag, box: stretched(drag.start, dx, dy, drag.side) });
  };
  const onPointerUp = (event: PointerEvent): void => {
    if (!drag) return;
    setDrag(undefined);
    if (drag.kind === 'draw') {
      if (drag.box) onDraw(drag.box);
      else choose(event);
    } else if (drag.box !== drag.start) onPut(drag.id, drag.box);
  };
  /** The smallest mark under the pointer; where that is chosen already, the one around it. */
  const choose = (event: PointerEvent): void => {
    const { x, y } = at(event);
    const under = regions
      .filter(({ box }) => box.x <= x && x < box.x + box.width && box.y <= y && y < box.y + box.height)
      .toSorted((a, b) => a.box.width * a.box.height - b.box.width * b.box.height);
    const next = under.findIndex((region) => chosen.has(region.id)) + 1;
    onChoose((under[next] ?? under[0])?.id, event.shiftKey);
  };

  return (
    <section className="sheet stage" aria-label={`${nameOf(plan, sheet.page)}, the page with its marks`}>
      {shown.kind === 'html' && shown.page.cuts.length > 0 && (
        <p className="stage-note" role="note">
          {shown.page.cuts.join(' ')}
        </p>
      )}
      <div
        className="stage-scroll"
        ref={scroll}
        tabIndex={0}
        role="group"
        aria-label="Page. N marks the next thing; arrow keys move the chosen mark."
        onKeyDown={onKeyDown}
        onWheel={(event) => {
          if (event.ctrlKey) onZoom(Math.min(4, Math.max(0.1, scale * (event.deltaY > 0 ? 0.9 : 1.1))));
        }}
      >
        <div
          className="page-area"
          style={{ width: sheet.width * scale, height: sheet.height * scale }}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={onPointerUp}
          onPointerCancel={() => setDrag(undefined)}
          onDoubleClick={(event) => {
            const area = event.currentTarget.getBoundingClientRect();
            onMarkAt((event.clientX - area.left) / scale, (event.clientY - area.top) / scale);
          }}
        >
          {shown.kind === 'picture' && <img src={shown.url} alt="" draggable={false} style={{ width: '100%', height: '100%' }} />}
          {shown.kind === 'html' && (
            <iframe
              key={sheet.width}
              title={`${nameOf(plan, sheet.page)} as it was saved`}
              sandbox="allow-same-origin"
              referrerPolicy="no-referrer"
              tabIndex={-1}
              srcDoc={shown.html}
              style={{ width: sheet.width, height: sheet.height, transform: `scale(${scale})` }}
              onLoad={({ currentTarget }) => {
                const { boxes, height } = measure(currentTarget);
                onMeasured(boxes, height);
              }}
            />
          )}
          {shown.kind === 'loading' && <p className="stage-words">Reading the page …</p>}
          {shown.kind === 'failed' && (
            <p className="stage-words" role="alert">
              {shown.says}
            </p>
          )}
          <div className="marks">
            {regions.map((region) => {
              const box = onScreen(boxOf(region));
              const look = looks.get(region.id);
              const classes = [
                'mark',
                look && look.times > 1 && 'repeats',
                look && (!look.isFirst || look.optional) && 'dashed',
                look?.optional && 'optional',
                chosen.has(region.id) && 'chosen',
              ];
              return (
                <div
                  key={region.id}
                  className={classes.filter(Boolean).join(' ')}
                  style={{ left: box.x, top: box.y, width: box.width, height: box.height }}
                />
              );
            })}
            {drag?.kind === 'draw' && drag.box && (
              <div
                className="mark drawn"
                style={{
                  left: drag.box.x * scale,
                  top: drag.box.y * scale,
                  width: drag.box.width * scale,
                  height: drag.box.height * scale,
                }}
              />
            )}
            {labels.map((label) => {
              const region = regions.find((one) => one.id === label.id);
              const look = region && looks.get(region.id);
              if (!region || label.isHidden) return null;
              return (
                <button
                  key={label.id}
                  type="button"
                  className={[
                    'mark-label',
                    look && look.times > 1 && 'repeats',
                    look?.optional && 'optional',
                    chosen.has(region.id) && 'chosen',
                  ]
                    .filter(Boolean)
                    .join(' ')}
                  data-region={region.id}
                  aria-pressed={chosen.has(region.id)}
                  title={wordsOf(region)}
                  style={{ left: label.x, top: label.y, width: label.width }}
                  onClick={(event) => event.detail === 0 && onChoose(region.id, event.shiftKey)}
                >
                  {wordsOf(region)}
                </button>
              );
            })}
            {chosen.size === 1 &&
              regions
                .filter((region) => chosen.has(region.id))
                .flatMap((region) => {
                  const box = onScreen(boxOf(region));
                  return handles.map((side) => (
                    <span
                      key={side.name}
                      className="handle"
                      data-region={region.id}
                      data-handle={side.name}
                      style={{
                        left: box.x + (side.left ? 0 : side.right ? box.width : box.width / 2) - 5,
                        top: box.y + (side.top ? 0 : side.foot ? box.height : box.height / 2) - 5,
                        cursor:
                          side.left === side.right
                            ? 'ns-resize'
                            : side.top === side.foot
                              ? 'ew-resize'
                              : side.left === side.top
                                ? 'nwse-resize'
                                : 'nesw-resize',
                      }}
                    />
                  ));
                })}
          </div>
        </div>
      </div>
      <div className="stage-foot">
        {help}
        <span role="group" aria-label="Size of the page">
          <Button variant="outlined" color="inherit" aria-label="Smaller" onClick={() => onZoom(Math.max(0.1, scale / 1.25))}>
            −
          </Button>
          <Button variant="outlined" color="inherit" onClick={() => onZoom(undefined)}>
            {Math.round(scale * 100)} %
          </Button>
          <Button variant="outlined" color="inherit" aria-label="Larger" onClick={() => onZoom(Math.min(4, scale * 1.25))}>
            +
          </Button>
        </span>
      </div>
    </section>
  );
}
