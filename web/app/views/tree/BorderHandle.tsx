import type { RefObject } from 'react';

const least = 160;

type Props = {
  /** Width of the column of names, and of all. */
  names: number;
  width: number;
  scroll: RefObject<HTMLDivElement | null>;
  /** Undefined for the width that the names need. */
  onMove: (names: number | undefined) => void;
};

/** The border between names and strands: it is dragged, or moved by the arrow keys; a double click puts it where the names need it. */
export function BorderHandle({ names, width, scroll, onMove }: Props) {
  return (
    <div
      className="border-handle"
      role="separator"
      aria-orientation="vertical"
      aria-label="Border between names and strands"
      aria-valuenow={names}
      aria-valuemin={least}
      aria-valuemax={Math.round(width - 120)}
      tabIndex={0}
      style={{ left: names }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        if (event.buttons !== 1) return;
        const left = scroll.current?.getBoundingClientRect().left ?? 0;
        onMove(Math.max(least, Math.round(event.clientX - left)));
      }}
      onDoubleClick={() => onMove(undefined)}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
        event.preventDefault();
        onMove(Math.max(least, names + (event.key === 'ArrowLeft' ? -20 : 20)));
      }}
    />
  );
}
