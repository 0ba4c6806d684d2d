import { counted, ladderLines, type LadderLine, type Rung, rungText } from '@liana/core';
import MuiLink from '@mui/material/Link';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import { Link } from 'react-router';
import type { Excerpt, TraceAnswer } from '../../analysis/answers';
import { Code } from '../../parts/Code';
import { CodeText } from './CodeText';
import { glyphOf, Lanes, textX } from './Lanes';
import { treeLink } from '../tree/state';
import { traceLink, type TraceState } from './state';

type Props = {
  projectId: string;
  answer: TraceAnswer;
  state: TraceState;
  whole: Excerpt | undefined;
  colour: string;
  onChange: (change: { open?: string; rung?: string | undefined; wide?: string | undefined }) => void;
  onName: (file: string, offset: number, place: string | undefined) => void;
};

/** The colour of what travels at a rung: an event goes back up, a value down. */
function colourOf(rung: Rung | undefined, colour: string): string {
  if (!rung) return colour;
  return ['raises', 'relays', 'catches', 'publishes', 'hears', 'calls'].includes(rung.kind) ||
    (rung.kind === 'starts' && rung.ending === 'platform')
    ? 'var(--event)'
    : colour;
}

/** Where a line runs, on a page that a server makes. */
function halfWords(half: NonNullable<Rung['half']>): string {
  if (half.runs === 'browser') return 'in the browser';
  return half.runs === 'both' ? 'on the server, then in the browser' : 'on the server';
}

function RungRow({
  line,
  chosen,
  wide,
  props,
}: {
  line: Extract<LadderLine, { kind: 'rung' }>;
  chosen: boolean;
  wide: boolean;
  props: Props;
}) {
  const { answer, projectId, colour, whole } = props;
  const { rung, lanes } = line;
  const code = answer.code[rung.index] ?? [];
  const [first] = code;
  const onward = answer.onward[rung.index];
  const own = colourOf(rung, colour);
  const place = answer.paths[rung.place];
  const file = first ? `${first.file}:${first.line}` : '';
  return (
    <div className={`rung-row${chosen ? ' chosen' : ''}${rung.ending === 'again' ? ' again' : ''}`} style={{ paddingLeft: textX(lanes) }}>
      <Lanes lanes={lanes} glyph={glyphOf(rung)} colour={own} colourOf={(to) => colourOf(to, colour)} />
      <div className="rung-head">
        <b>{rung.who}</b>
        {rung.within !== undefined && <span className="rung-within">in {rung.within}</span>}
        {rung.half && <span className="rung-within">{halfWords(rung.half)}</span>}
        <span className="rung-file" title={file}>
          {file}
        </span>
        <span className="rung-says">{rungText(rung, answer.trace.question)}</span>
      </div>
      {code.slice(0, chosen ? code.length : 1).map((one) => (
        <CodeText key={one.from} line={one} colour={own} onName={(at, offset) => props.onName(at, offset, place)} />
      ))}
      {!chosen && rung.code.length > 1 && <span className="rung-more">and {counted(rung.code.length - 1, 'more place')}</span>}
      {chosen && (
        <div className="rung-tools">
          {rung.place >= 0 && <Link to={treeLink(projectId, answer.page.id, place)}>See in tree</Link>}
          {onward !== undefined && (
            <Link to={traceLink(projectId, answer.page.id, onward, place, answer.trace.question)}>Trace from here</Link>
          )}
          <MuiLink component="button" aria-expanded={wide} onClick={() => props.onChange({ wide: wide ? undefined : String(rung.index) })}>
            {wide ? 'Only this line' : 'Whole component'}
          </MuiLink>
        </div>
      )}
      {wide && whole && (
        <Code
          excerpt={whole}
          caption={`${rung.who} · ${whole.file}:${whole.line}`}
          onName={(offset) => props.onName(whole.file, offset, place)}
        />
      )}
    </div>
  );
}

/** Places of one component that go the same way, as one line that opens. */
function FanRow({ line, colour, onToggle }: { line: Extract<LadderLine, { kind: 'fan' }>; colour: string; onToggle: () => void }) {
  return (
    <div className="rung-row fan" style={{ paddingLeft: textX(line.lanes) }}>
      <Lanes lanes={line.lanes} glyph={undefined} colour={colour} colourOf={(to) => colourOf(to, colour)} />
      <MuiLink component="button" aria-expanded={line.isOpen} onClick={onToggle}>
        {line.isOpen ? 'Fold' : 'Show'} {counted(line.count, 'place')} of {line.who}
      </MuiLink>
    </div>
  );
}

/** Going through the lines by keyboard: what chooses one, what opens and folds a fan, and the keys. */
function useLadderKeys(lines: readonly LadderLine[], at: number, { state, onChange }: Pick<Props, 'state' | 'onChange'>) {
  // Of two quick steps the second goes on from the first, though the page has not followed yet.
  const latest = useRef(at);
  useEffect(() => {
    latest.current = at;
  }, [at]);

  const choose = (index: number): void => {
    latest.current = index;
    const line = lines[Math.min(Math.max(index, 0), lines.length - 1)];
    if (line?.kind === 'rung') onChange({ rung: String(line.rung.index), wide: undefined });
    else if (line) toggle(line.key);
  };
  const toggle = (key: string): void => {
    const open = new Set(state.open);
    if (!open.delete(key)) open.add(key);
    onChange({ open: [...open].join('|') });
  };
  const widen = (line: LadderLine | undefined): void => {
    if (line?.kind !== 'rung') return;
    const { index } = line.rung;
    onChange({ rung: String(index), wide: state.wide === index ? undefined : String(index) });
  };
  const step = (by: 1 | -1): void => {
    let next = latest.current + by;
    while (lines[next]?.kind === 'fan') next += by;
    choose(next);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.target !== event.currentTarget) return;
    switch (event.key) {
      case 'ArrowDown':
        step(1);
        break;
      case 'ArrowUp':
        step(-1);
        break;
      case 'Home':
        choose(0);
        break;
      case 'End':
        choose(lines.length - 1);
        break;
      case 'Enter':
        widen(lines[latest.current]);
        break;
      case 'Escape':
        onChange({ rung: undefined, wide: undefined });
        break;
      default:
        return;
    }
    event.preventDefault();
  };

  return { choose, toggle, onKeyDown };
}

/** A trace as a ladder of code lines with the strand at its left. */
export function Ladder(props: Props) {
  const { answer, state } = props;
  const scroll = useRef<HTMLDivElement>(null);
  const lines = useMemo(() => ladderLines(answer.trace.rungs, state.open), [answer, state.open]);
  const at = lines.findIndex((line) => line.kind === 'rung' && line.rung.index === state.rung);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 60,
    overscan: 12,
  });

  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at, { align: 'auto' });
    // Scrolling follows the choice alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at]);

  const { choose, toggle, onKeyDown } = useLadderKeys(lines, at, props);

  return (
    <div
      className="ladder"
      ref={scroll}
      tabIndex={0}
      role="group"
      aria-label="The trace, rung by rung. Arrow keys go from one to the next, Enter shows the whole component."
      onKeyDown={onKeyDown}
    >
      <div role="list" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map((item) => {
          const line = lines[item.index];
          if (!line) return null;
          return (
            // A click anywhere on a rung chooses it; by keyboard the ladder itself does.
            <div
              key={item.key}
              ref={virtual.measureElement}
              data-index={item.index}
              role="listitem"
              className="ladder-line"
              style={{ transform: `translateY(${item.start}px)` }}
              onClick={() => line.kind === 'rung' && line.rung.index !== state.rung && choose(item.index)}
            >
              {line.kind === 'rung' ? (
                <RungRow line={line} chosen={line.rung.index === state.rung} wide={line.rung.index === state.wide} props={props} />
              ) : (
                <FanRow line={line} colour={props.colour} onToggle={() => toggle(line.key)} />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}
