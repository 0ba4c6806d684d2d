import { counted } from '@liana/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { FindingView } from '../../analysis/answers';
import { SeverityMark } from '../../theme/Glyph';
import { type Line, stateWords, type Told } from './state';

function touchWords(finding: FindingView): string {
  const [goes] = finding.goes ?? [];
  if (goes && finding.severity === 'tidy') return counted(goes.count, goes.what);
  if (finding.pages.length > 0) return counted(finding.pages.length, 'page');
  return finding.touches.places > 0 ? counted(finding.touches.places, 'place') : '';
}

function FindingItem({ told, isChosen, to }: { told: Told; isChosen: boolean; to: string }) {
  const { finding, decided, isNew } = told;
  return (
    <Link to={to} className="finding-item" role="option" aria-selected={isChosen} aria-current={isChosen} tabIndex={-1} preventScrollReset>
      <SeverityMark severity={finding.severity} />
      <b>{finding.message.replace(/\.$/, '')}</b>
      <span className="count">{decided ? stateWords[decided.state].toLowerCase() : isNew ? 'new' : touchWords(finding)}</span>
      <span className="where">
        {finding.at.file}:{finding.line}
      </span>
    </Link>
  );
}

type Props = {
  lines: readonly Line[];
  /** Key of the chosen finding. */
  chosen: string | undefined;
  linkTo: (finding: FindingView) => string;
  /** Goes so many findings on, or back. */
  onStep: (by: number) => void;
};

/** The findings in their groups; only those in view are rendered. */
export function FindingList({ lines, chosen, linkTo, onStep }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const at = lines.findIndex((line) => line.kind === 'finding' && line.told.finding.key === chosen);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroll.current,
    estimateSize: (index) => (lines[index]?.kind === 'group' ? 36 : 58),
    overscan: 10,
  });

  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
    // Scrolling follows the choice alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at]);

  const onKeyDown = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    onStep(by);
  };
  return (
    <div
      className="finding-list"
      ref={scroll}
      tabIndex={0}
      role="listbox"
      aria-label="Findings, worst first. Arrow keys go from one to the next."
      onKeyDown={onKeyDown}
    >
      <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => {
          const line = lines[item.index];
          if (!line) return null;
          return (
            <div
              key={item.key}
              ref={virtual.measureElement}
              data-index={item.index}
              role="presentation"
              style={{ position: 'absolute', top: 0, width: '100%', transform: `translateY(${item.start}px)` }}
            >
              {line.kind === 'group' ? (
                <div className="finding-group" role="presentation">
                  {line.title} <span className="count">{line.count}</span>
                </div>
              ) : (
                <FindingItem told={line.told} isChosen={line.told.finding.key === chosen} to={linkTo(line.told.finding)} />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}
