import Button from '@mui/material/Button';
import { counted, type MarkState, type RuleSetting, type TriageMark } from '@liana/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef } from 'react';
import { Link, useFetcher, useNavigate, useRevalidator } from 'react-router';
import type { Excerpt, FindingView, ProposalAnswer, Summary } from '../../analysis/answers';
import { getAnalyst } from '../../analysis/client';
import { useTell } from '../../parts/Notices';
import { useUrlParams } from '../../parts/useUrlParams';
import type { StoredTriage } from '../../storage/database';
import { loadLooks, loadPlan } from '../../storage/plans';
import { onStoredElsewhere } from '../../storage/tabs';
import { SeverityMark } from '../../theme/Glyph';
import { download, fileName } from '../carve/download';
import { exportPlan } from '../carve/exports';
import { comparisonLink } from '../overlap/state';
import { FindingDetail } from './FindingDetail';
import { type ExportForm, FindingsControls } from './FindingsControls';
import { fittingFindings, linesOf, parseFindingsState, stateWords, type Told, toldFindings, withFindings } from './state';

type Props = {
  project: { readonly id: string; readonly name: string };
  summary: Summary;
  findings: readonly FindingView[];
  triage: StoredTriage;
  chosen: FindingView | undefined;
  code: readonly (Excerpt | undefined)[];
  patch: string;
  proposal: ProposalAnswer | undefined;
  place: { readonly pageId: string; readonly place: string } | undefined;
  trace: string | undefined;
  /** The first two of components that are alike. */
  twin: readonly [string, string] | undefined;
};

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
  const [goes] = finding.goes ?? [];
  if (goes && finding.severity === 'tidy') return counted(goes.count, goes.what);
  if (finding.pages.length > 0) return counted(finding.pages.length, 'page');
  return finding.touches.places > 0 ? counted(finding.touches.places, 'place') : '';
}

/** What is wrong or superfluous, each with its evidence, to be worked through. */
export function FindingsView({ project, summary, findings, triage, chosen, code, patch, proposal, place, trace, twin }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const fetcher = useFetcher<{ otherwise: TriageMark | undefined; key: string; state: string; reason: string }>();
  const { revalidate } = useRevalidator();
  const tell = useTell();
  const [params, change] = useUrlParams();
  const state = useMemo(() => parseFindingsState(params), [params]);
  const told = useMemo(() => toldFindings(findings, triage), [findings, triage]);
  const fitting = useMemo(() => fittingFindings(told, state), [told, state]);
  const lines = useMemo(
    () =>
      linesOf(
        fitting.filter(({ finding }) => !state.without.has(finding.severity)),
        state.group,
      ),
    [fitting, state],
  );
  const shown = useMemo(() => lines.flatMap((line): Told[] => (line.kind === 'finding' ? [line.told] : [])), [lines]);
  const at = lines.findIndex((line) => line.kind === 'finding' && line.told.finding.key === chosen?.key);
  const current = told.find(({ finding }) => finding.key === chosen?.key);
  const now = useMemo(() => new Set(findings.map((finding) => finding.key)), [findings]);
  const gone = (triage.known ?? []).filter((key) => !now.has(key)).length;
  const decided = told.filter((one) => one.decided).length;

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

  const { submit: send, data: answered } = fetcher;
  const submit = useCallback((fields: Readonly<Record<string, string>>) => send(fields, { method: 'post' }), [send]);

  // What another tab decided is shown here too.
  useEffect(
    () =>
      onStoredElsewhere(({ what, projectId }) => {
        if (what === 'decisions' && projectId === project.id) void revalidate();
      }),
    [project.id, revalidate],
  );

  useEffect(() => {
    if (!answered) return;
    const { otherwise, key, state: mine, reason } = answered;
    const theirs = otherwise ? `${stateWords[otherwise.state]}${otherwise.reason === '' ? '' : `, ${otherwise.reason}`}` : 'open again';
    tell(`Another tab decided otherwise meanwhile: ${theirs}. That stands.`, {
      label: 'Decide as here',
      run: () => void submit({ about: 'finding', key, state: mine, reason }),
    });
  }, [answered, submit, tell]);

  const onChange = useCallback(
    (next: Readonly<Record<string, string | undefined>>) => change((before) => withFindings(before, next), { replace: true }),
    [change],
  );
  const linkTo = (finding: FindingView): string => `?${withFindings(params, { finding: finding.key })}`;
  const step = (by: number): void => {
    const index = shown.findIndex(({ finding }) => finding.key === chosen?.key);
    const next = shown[index < 0 ? 0 : index + by];
    if (next) void navigate(linkTo(next.finding), { preventScrollReset: true });
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    step(by);
  };

  const mark = (key: string, to: MarkState | undefined, reason: string): void => {
    const before = triage.marks[key];
    void submit({ about: 'finding', key, state: to ?? '', reason, seen: before ? JSON.stringify(before) : 'none' });
    // The next open one comes up, so that a long list can be worked through.
    if (to && state.state === 'open') step(shown.at(-1)?.finding.key === key ? -1 : 1);
    tell(to ? `${stateWords[to]}.` : 'Open again.', {
      label: 'Undo',
      run: () => void submit({ about: 'finding', key, state: before?.state ?? '', reason: before?.reason ?? '' }),
    });
  };
  const setRule = (rule: string, setting: RuleSetting | undefined): void => {
    const before = triage.rules[rule];
    void submit({ about: 'rule', rule, setting: setting ?? '' });
    tell(setting === 'off' ? 'The rule is off in this project.' : 'The rule is set for this project.', {
      label: 'Undo',
      run: () => void submit({ about: 'rule', rule, setting: before ?? '' }),
    });
  };
  const setTwins = (likeness: string): void => {
    const before = triage.twinsFrom;
    void submit({ about: 'twins', likeness });
    tell('What counts as twins is set for this project.', {
      label: 'Undo',
      run: () => void submit({ about: 'twins', likeness: before === undefined ? '' : String(before) }),
    });
  };
  const save = async (form: ExportForm): Promise<void> => {
    const name = fileName(project.name);
    if (form === 'settings') {
      download(
        'liana.config.json',
        [`${JSON.stringify({ rules: triage.rules, twinsFrom: triage.twinsFrom }, undefined, 2)}\n`],
        'application/json',
      );
      return;
    }
    if (form === 'project') {
      const { plan } = await loadPlan(project);
      await exportPlan('project', project.id, plan, undefined, await loadLooks(project.id), undefined);
      return;
    }
    if (form === 'patch') {
      const text = await getAnalyst().patch(
        project.id,
        shown.map(({ finding }) => finding.key),
      );
      if (text === '') tell('None of the findings shown has a fix that is certain.');
      else download(`${name}.patch`, [text], 'text/x-diff');
      return;
    }
    const asked = shown.map(({ finding: { key, severity } }) => ({ key, severity }));
    const text = await getAnalyst().exported(project.id, project.name, form, asked, triage.marks);
    const endings = { sarif: 'sarif', csv: 'csv', markdown: 'md', json: 'json' } as const;
    download(`${name}-findings.${endings[form]}`, [text], form === 'csv' ? 'text/csv' : 'text/plain');
  };

  const off = Object.entries(triage.rules).filter(([, setting]) => setting === 'off').length;
  return (
    <>
      <FindingsControls
        state={state}
        told={told}
        fitting={fitting}
        shown={shown.length}
        gone={gone}
        onChange={onChange}
        onExport={(form) => void save(form)}
      />
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
            {lines.length === 0 && (
              <div className="empty">
                <h2>Nothing fits</h2>
                <p>
                  {state.state === 'open' && decided > 0 && told.length === decided
                    ? `All ${counted(decided, 'finding')} are decided.`
                    : `None of ${counted(told.length, 'finding')} is shown by this choice.`}
                  {off > 0 ? ` ${counted(off, 'rule')} ${off === 1 ? 'is' : 'are'} off.` : ''}
                </p>
                <Button
                  variant="outlined"
                  color="inherit"
                  sx={{ justifySelf: 'center' }}
                  onClick={() => onChange({ state: 'all', text: '', rule: '', framework: '', on: '', in: '', without: '' })}
                >
                  Show all
                </Button>
              </div>
            )}
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
                        <FindingItem told={line.told} isChosen={line.told.finding.key === chosen?.key} to={linkTo(line.told.finding)} />
                      )}
                    </div>
                  );
                })}
              </div>
            </div>
          </section>
          <section className="card detail" aria-label="The finding" tabIndex={-1}>
            {chosen && current && (
              <FindingDetail
                key={chosen.key}
                told={current}
                code={code}
                patch={patch}
                proposal={proposal}
                setting={triage.rules[chosen.rule]}
                projectId={project.id}
                place={place}
                traceTo={trace}
                compareTo={twin && comparisonLink(project.id, twin[0], twin[1])}
                onMark={(to, reason) => mark(chosen.key, to, reason)}
                onRule={(setting) => setRule(chosen.rule, setting)}
                twinsFrom={triage.twinsFrom}
                onTwins={setTwins}
              />
            )}
            {chosen && !current && <p>The rule of this finding is off in this project.</p>}
          </section>
        </div>
      )}
    </>
  );
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
