import Button from '@mui/material/Button';
import { type Box, nameOf, type Plan, type RegionId, type Sheet, type SheetId } from '@liana/core';
import { type KeyboardEvent, type ReactNode, useEffect, useMemo, useRef, useState } from 'react';
import { Marks } from './Marks';
import { useDragging } from './useDragging';
import { type ElementBoxes, measure, type ShownSheet } from './useSheet';

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

/** The page with its marks. Drawing, moving and sizing happen here; what they mean is the view's to say. */
export function Stage({ plan, sheet, shown, chosen, zoom, onZoom, onChoose, onDraw, onMarkAt, onPut, onMeasured, onKeyDown, help }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const [fit, setFit] = useState(0.5);
  const scale = zoom ?? fit;

  useEffect(() => {
    if (!scroll.current) return;
    const observer = new ResizeObserver(([entry]) => entry && setFit(Math.min(1, (entry.contentRect.width - 2) / sheet.width)));
    observer.observe(scroll.current);
    return () => observer.disconnect();
  }, [sheet.width]);

  const regions = useMemo(() => plan.regions.filter((region) => region.sheet === (sheet.id satisfies SheetId)), [plan.regions, sheet.id]);
  const { drawn, boxOf, pointed } = useDragging({ area: scroll, sheet, regions, chosen, scale, onChoose, onDraw, onPut });

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
          {...pointed}
          onDoubleClick={(event) => {
            const area = event.currentTarget.getBoundingClientRect();
            onMarkAt((event.clientX - area.left) / scale, (event.clientY - area.top) / scale);
          }}
        >
          <PageShown plan={plan} sheet={sheet} shown={shown} scale={scale} onMeasured={onMeasured} />
          <Marks
            plan={plan}
            sheet={sheet}
            regions={regions}
            chosen={chosen}
            scale={scale}
            boxOf={boxOf}
            drawn={drawn}
            onChoose={onChoose}
          />
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

/** The page itself: a picture, or what was saved, in a frame without scripts; or why it is not there. */
function PageShown({ plan, sheet, shown, scale, onMeasured }: Pick<Props, 'plan' | 'sheet' | 'shown' | 'onMeasured'> & { scale: number }) {
  switch (shown.kind) {
    case 'picture':
      return <img src={shown.url} alt="" draggable={false} style={{ width: '100%', height: '100%' }} />;
    case 'html':
      return (
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
      );
    case 'loading':
      return <p className="stage-words">Reading the page …</p>;
    case 'failed':
      return (
        <p className="stage-words" role="alert">
          {shown.says}
        </p>
      );
    case 'none':
      return null;
  }
}
