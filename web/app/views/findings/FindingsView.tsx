import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { counted } from '@liana/core';
import { useCallback, useMemo } from 'react';
import { useNavigate } from 'react-router';
import type { Excerpt, FindingView, ProposalAnswer, Summary } from '../../analysis/answers';
import { useTell } from '../../parts/Notices';
import { useUrlParams } from '../../parts/useUrlParams';
import type { StoredTriage } from '../../storage/database';
import { comparisonLink } from '../overlap/state';
import { exportFindings } from './export-findings';
import { FindingDetail } from './FindingDetail';
import { FindingList } from './FindingList';
import { FindingsControls } from './FindingsControls';
import { fittingFindings, linesOf, parseFindingsState, type Told, toldFindings, withFindings } from './state';
import { useDecisions } from './useDecisions';

type Props = {
  project: { readonly id: string; readonly name: string };
  summary: Summary;
  findings: readonly FindingView[];
  triage: StoredTriage;
  /** Why what was decided before cannot be read. */
  wrong: string | undefined;
  chosen: FindingView | undefined;
  code: readonly (Excerpt | undefined)[];
  patch: string;
  proposal: ProposalAnswer | undefined;
  place: { readonly pageId: string; readonly place: string } | undefined;
  trace: string | undefined;
  /** The first two of components that are alike. */
  twin: readonly [string, string] | undefined;
};

/** Places that could not be read or checked in full: what the findings do not speak of. */
function Problems({ problems }: Pick<Summary, 'problems'>) {
  const [first] = problems;
  if (!first) return null;
  const words = (problem: typeof first): string => `${problem.file}, line ${problem.line}: ${problem.message}`;
  return (
    <details className="problems">
      <summary>
        {counted(problems.length, 'place')} could not be read or checked in full; what could be read around{' '}
        {problems.length === 1 ? 'it' : 'them'} is. {words(first)}
      </summary>
      <ul>
        {problems.map((problem) => (
          <li key={`${problem.file}:${problem.start}:${problem.message}`}>{words(problem)}</li>
        ))}
      </ul>
    </details>
  );
}

function NothingFound({ summary }: Pick<Props, 'summary'>) {
  return (
    <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
      <section className="sheet empty">
        <h2>Nothing was found</h2>
        <p>
          {summary.components} components and {summary.uses.resolved} uses were checked. Every required prop is given, every given prop is
          taken, and no value is only carried through.
        </p>
      </section>
    </div>
  );
}

type Change = (next: Readonly<Record<string, string | undefined>>) => void;

/** There are findings, and none is among those that are asked for. */
function NothingFits({
  told,
  triage,
  isOpen,
  onChange,
}: {
  told: readonly Told[];
  triage: StoredTriage;
  isOpen: boolean;
  onChange: Change;
}) {
  const decided = told.filter((one) => one.decided).length;
  const off = Object.values(triage.rules).filter((setting) => setting === 'off').length;
  return (
    <div className="empty">
      <h2>Nothing fits</h2>
      <p>
        {isOpen && decided > 0 && told.length === decided
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
  );
}

/** What is wrong or superfluous, each with its evidence, to be worked through. */
export function FindingsView({ project, summary, findings, triage, wrong, chosen, code, patch, proposal, place, trace, twin }: Props) {
  const navigate = useNavigate();
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
  const current = told.find(({ finding }) => finding.key === chosen?.key);
  const now = useMemo(() => new Set(findings.map((finding) => finding.key)), [findings]);
  const gone = (triage.known ?? []).filter((key) => !now.has(key)).length;

  const onChange: Change = useCallback((next) => change((before) => withFindings(before, next), { replace: true }), [change]);
  const linkTo = (finding: FindingView): string => `?${withFindings(params, { finding: finding.key })}`;
  const step = (by: number): void => {
    const index = shown.findIndex(({ finding }) => finding.key === chosen?.key);
    const next = shown[index < 0 ? 0 : index + by];
    if (next) void navigate(linkTo(next.finding), { preventScrollReset: true });
  };
  const { mark, setRule, setTwins } = useDecisions(project.id, triage, (key) => {
    // The next open one comes up, so that a long list can be worked through.
    if (state.state === 'open') step(shown.at(-1)?.finding.key === key ? -1 : 1);
  });
  return (
    <>
      <FindingsControls
        state={state}
        told={told}
        fitting={fitting}
        shown={shown.length}
        gone={gone}
        onChange={onChange}
        onExport={(form) => void exportFindings(form, project, triage, shown, tell)}
      />
      {wrong !== undefined && (
        <Alert severity="warning" sx={{ mx: '20px', mb: 1 }}>
          What was decided before cannot be read: {wrong}. It was set aside, and can be exported as it is in Carve.
        </Alert>
      )}
      <Problems problems={summary.problems} />
      {findings.length === 0 ? (
        <NothingFound summary={summary} />
      ) : (
        <div className="findings-area">
          <section className="sheet" aria-label="Findings" style={{ overflow: 'hidden' }}>
            {lines.length === 0 && <NothingFits told={told} triage={triage} isOpen={state.state === 'open'} onChange={onChange} />}
            <FindingList lines={lines} chosen={chosen?.key} linkTo={linkTo} onStep={step} />
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
