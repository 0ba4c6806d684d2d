import { counted, groupWords } from '@liana/core';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import type { DerivationAnswer, Excerpt } from '../../analysis/answers';
import { useUrlParams } from '../../parts/useUrlParams';
import { strandColour } from '../../theme/Glyph';
import { DerivesCard } from './DerivesCard';
import { layoutDerives } from './derives-drawing';
import { DerivesStrands } from './DerivesStrands';
import { Questions } from './Questions';
import { type TraceChange, type TraceState, withTrace } from './state';

type Props = {
  project: { readonly id: string; readonly name: string };
  state: TraceState;
  answer: DerivationAnswer;
  excerpt: Excerpt | undefined;
};

/** What derives from what within one component, hook or module: its declarations as rows, with strands to what is made of each. */
export function DerivesView({ project, state, answer, excerpt }: Props) {
  const [, change] = useUrlParams();
  const { derivation } = answer;
  const { rows } = derivation;
  const layout = useMemo(() => layoutDerives(derivation), [derivation]);
  const list = useRef<HTMLDivElement>(null);
  const chosen = state.rung ?? answer.asked;
  const row = chosen === undefined ? undefined : rows[chosen];
  const go = (next: TraceChange, replace = false): void => change((before) => withTrace(before, next), { replace });

  // Of two quick steps the second goes on from the first, though the page has not followed yet.
  const latest = useRef(chosen ?? -1);
  useEffect(() => {
    latest.current = chosen ?? -1;
    if (chosen !== undefined) list.current?.querySelector(`[data-row="${chosen}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const choose = (index: number): void => {
    const next = Math.min(Math.max(index, 0), rows.length - 1);
    latest.current = next;
    go({ rung: String(next) }, true);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const steps: Readonly<Record<string, number>> = {
      ArrowDown: latest.current + 1,
      ArrowUp: latest.current - 1,
      Home: 0,
      End: rows.length - 1,
    };
    const next = steps[event.key];
    if (event.target !== event.currentTarget || next === undefined) return;
    choose(next);
    event.preventDefault();
  };
  const byHand = rows.filter(({ setBy }) => setBy.length > 0).length;
  return (
    <>
      <Questions
        ask="derives"
        isListener={false}
        isWhole={row?.subject === undefined}
        text={answer.text}
        what="Chart"
        onAsk={(ask) => ask !== 'derives' && go({ of: row?.subject ?? state.of, ask, rung: undefined, wide: undefined, open: undefined })}
      />
      <div className="work-area">
        <section className="sheet trace-sheet" aria-label={`What derives from what: ${derivation.name}`}>
          <header className="trace-head">
            <h1>{derivation.name.split('/').at(-1)}</h1>
            <p className="mono">
              {derivation.file} · {counted(rows.length, 'row')}, {byHand === 0 ? 'nothing is set by hand' : `${byHand} set by hand`}
            </p>
          </header>
          {rows.length === 0 && <p className="trace-alone">It declares nothing, and shows nothing that could be another.</p>}
          <div
            ref={list}
            className="derives"
            tabIndex={0}
            role="group"
            aria-label="Declarations in the order of their dependence. Arrow keys go from one to the next."
            onKeyDown={onKeyDown}
          >
            <div className="derives-sheet" style={{ height: layout.height }}>
              <DerivesStrands derivation={derivation} layout={layout} chosen={chosen} onChoose={choose} />
              {layout.headings.map(({ group, top }) => (
                <h2 key={group} className="derives-heading" style={{ top, left: layout.width }}>
                  {groupWords[group]}
                </h2>
              ))}
              <ol>
                {layout.rows.map(({ row: index, top }) => {
                  const one = rows[index];
                  if (!one) return null;
                  return (
                    // A click anywhere on a row chooses it; by keyboard the list itself does.
                    <li
                      key={index}
                      data-row={index}
                      className={`derives-row${index === chosen ? ' chosen' : ''}`}
                      style={{ top, paddingLeft: layout.width }}
                      aria-current={index === chosen ? 'true' : undefined}
                      onClick={() => choose(index)}
                    >
                      <span className="derives-name" style={{ color: strandColour(one.kind, false) }}>
                        {one.name}
                      </span>
                      <span className={`derives-does${one.setBy.length > 0 ? ' by-hand' : ''}`}>{one.does}</span>
                      <code>{one.subject === undefined || one.text === '' ? one.text : `= ${one.text}`}</code>
                    </li>
                  );
                })}
              </ol>
            </div>
          </div>
        </section>
        <DerivesCard projectId={project.id} answer={answer} chosen={chosen} excerpt={excerpt} />
      </div>
    </>
  );
}
