import { counted, type Severity, severities } from '@liana/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Excerpt, FindingView, Summary } from '../../analysis/answers';
import { SeverityMark, severityWords } from '../../theme/Glyph';
import { FindingDetail } from './FindingDetail';

type Props = {
  project: { readonly id: string; readonly name: string };
  summary: Summary;
  findings: readonly FindingView[];
  chosen: FindingView | undefined;
  code: readonly (Excerpt | undefined)[];
  place: { readonly pageId: string; readonly place: number } | undefined;
  trace: string | undefined;
};

type Line =
  | { readonly kind: 'group'; readonly severity: Severity; readonly count: number }
  | { readonly kind: 'finding'; readonly finding: FindingView };

function linesOf(findings: readonly FindingView[]): Line[] {
  return severities.flatMap((severity): Line[] => {
    const own = findings.filter((finding) => finding.severity === severity);
    return own.length === 0
      ? []
      : [{ kind: 'group', severity, count: own.length }, ...own.map((finding): Line => ({ kind: 'finding', finding }))];
  });
}

/** Places that could not be parsed: what the findings do not speak of. */
function Problems({ problems }: Pick<Summary, 'problems'>) {
  const [first] = problems;
  if (!first) return null;
  const words = (problem: typeof first): string => `${problem.file}, line ${problem.line}: ${problem.message}`;
  return (
    <details className="problems">
      <summary>
        {counted(problems.length, 'place')} could not be parsed; what could be read around {problems.length === 1 ? 'it' : 'them'} is.{' '}
        {words(first)}
      </summary>
      <ul>
        {problems.map((problem) => (
          <li key={`${problem.file}:${problem.start}:${problem.message}`}>{words(problem)}</li>
        ))}
      </ul>
    </details>
  );
}

function touchWords(finding: FindingView): string {
  if (finding.pages.length > 0) return counted(finding.pages.length, 'page');
  return finding.touches.places > 0 ? counted(finding.touches.places, 'place') : '';
}

/** What is wrong or superfluous, worst first, each with its evidence. */
export function FindingsView({ project, summary, findings, chosen, code, place, trace }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const hidden = useMemo(() => new Set((params.get('without') ?? '').split('.')), [params]);
  const shown = useMemo(() => findings.filter((finding) => !hidden.has(finding.severity)), [findings, hidden]);
  const lines = useMemo(() => linesOf(shown), [shown]);
  const at = lines.findIndex((line) => line.kind === 'finding' && line.finding.key === chosen?.key);

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

  const linkTo = (finding: FindingView): string => {
    const next = new URLSearchParams(params);
    next.set('finding', finding.key);
    return `?${next}`;
  };
  const toggle = (severity: Severity): void => {
    const next = new URLSearchParams(params);
    const without = severities.filter((one) => hidden.has(one) !== (one === severity));
    if (without.length > 0) next.set('without', without.join('.'));
    else next.delete('without');
    void navigate(`?${next}`, { replace: true });
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const index = shown.findIndex((finding) => finding.key === chosen?.key);
    const next = event.key === 'ArrowDown' ? shown[index + 1] : event.key === 'ArrowUp' ? shown[index - 1] : undefined;
    if (!next) return;
    event.preventDefault();
    void navigate(linkTo(next), { preventScrollReset: true });
  };

  return (
    <>
      <div className="controls">
        {severities.map((severity) => (
          <button key={severity} type="button" className="chip" aria-pressed={!hidden.has(severity)} onClick={() => toggle(severity)}>
            <SeverityMark severity={severity} />
            {counted(summary.findings[severity], severity === 'tidy' ? 'thing' : severity)}
            {severity === 'tidy' ? ' to tidy' : ''}
          </button>
        ))}
        <span style={{ marginLeft: 'auto' }}>
          <Link to="/help" style={{ color: 'inherit' }}>
            What Liana finds
          </Link>
        </span>
      </div>
      <Problems problems={summary.problems} />
      {findings.length === 0 ? (
        <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
          <section className="sheet empty">
            <h2>Nothing was found</h2>
            <p>
              {summary.components} components and {summary.uses.resolved} uses were checked. Every required prop is given, every given prop
              is taken, and no value is only carried through.
            </p>
          </section>
        </div>
      ) : (
        <div className="findings-area">
          <section className="sheet" aria-label="Findings" style={{ overflow: 'hidden' }}>
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
                          {severityWords[line.severity].group}
                        </div>
                      ) : (
                        <Link
                          to={linkTo(line.finding)}
                          className="finding-item"
                          role="option"
                          aria-selected={line.finding.key === chosen?.key}
                          aria-current={line.finding.key === chosen?.key}
                          tabIndex={-1}
                          preventScrollReset
                        >
                          <SeverityMark severity={line.finding.severity} />
                          <b>{line.finding.message.replace(/\.$/, '')}</b>
                          <span className="count">{touchWords(line.finding)}</span>
                          <span className="where">
                            {line.finding.at.file}:{line.finding.line}
                          </span>
                        </Link>
                      )}
                    </div>
                  );
                })}
              </div>
            </div>
          </section>
          <section className="card detail" aria-label="The finding" tabIndex={-1}>
            {chosen && <FindingDetail finding={chosen} code={code} projectId={project.id} place={place} traceTo={trace} />}
          </section>
        </div>
      )}
    </>
  );
}
