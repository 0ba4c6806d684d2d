import { type Question, questions, subjectWords } from '@liana/core';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Excerpt, SubjectEntry, Summary, TraceAnswer } from '../../analysis/answers';
import { Toggle } from '../../parts/controls/Toggle';
import { useTraceName } from '../../parts/useTraceName';
import { useUrlParams } from '../../parts/useUrlParams';
import { subjectColour } from './colours';
import { InShort } from './InShort';
import { Ladder } from './Ladder';
import { type TraceChange, type TraceState, withTrace } from './state';
import { SubjectList } from './SubjectList';

type Props = {
  project: { readonly id: string; readonly name: string };
  summary: Summary;
  state: TraceState;
  answer: TraceAnswer | undefined;
  subjects: readonly SubjectEntry[];
  whole: Excerpt | undefined;
};

const asks: Readonly<Record<Question, string>> = {
  goes: 'Where it goes',
  comes: 'Where it comes from',
  changes: 'What changes it',
  impact: 'If it changes',
  happens: 'What happens',
};

/** One value or event, followed from rung to rung. */
export function TraceView({ project, summary, state, answer, subjects, whole }: Props) {
  const [, change] = useUrlParams();
  const [said, setSaid] = useState('');
  const trace = useTraceName(project.id, answer?.page.id);

  if (!answer) {
    return (
      <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
        <SubjectList projectId={project.id} summary={summary} page={state.page} subjects={subjects} missing={state.of} />
      </div>
    );
  }

  const { subject } = answer.trace;
  const colour = subjectColour(subject.kind);
  const go = (next: TraceChange, replace = false): void => change((before) => withTrace(before, next), { replace });
  const copy = (text: string, what: string): void => {
    navigator.clipboard.writeText(text).then(
      () => setSaid(`${what} copied.`),
      () => setSaid('The browser did not allow copying.'),
    );
  };
  return (
    <>
      <div className="controls">
        <div role="group" aria-label="Question" style={{ display: 'contents' }}>
          {(subject.kind === 'listener' ? (['happens'] as const) : questions).map((one) => (
            <Toggle
              key={one}
              isOn={answer.trace.question === one}
              onToggle={() => go({ ask: one === 'goes' ? undefined : one, rung: undefined, wide: undefined, open: undefined })}
            >
              {asks[one]}
            </Toggle>
          ))}
        </div>
        <span className="trace-end">
          <span role="status">{said}</span>
          <Button size="small" onClick={() => copy(answer.text, 'Trace')}>
            Copy as text
          </Button>
          <Button size="small" onClick={() => copy(window.location.href, 'Link')}>
            Copy link
          </Button>
        </span>
      </div>
      <div className="work-area">
        <section className="sheet trace-sheet" aria-label={`${asks[answer.trace.question]}: ${subject.name}`}>
          <header className="trace-head">
            <h1 style={{ color: colour }}>{subject.name}</h1>
            <p className="mono">
              {subjectWords(subject)}
              {subject.home === answer.page.name ? '' : ` · on ${answer.page.name}`}
            </p>
          </header>
          {answer.trace.rungs.length === 1 && <p className="trace-alone">{aloneWords(answer.trace.question)}</p>}
          <Ladder
            key={`${subject.id} ${state.ask} ${state.at}`}
            projectId={project.id}
            answer={answer}
            state={state}
            whole={whole}
            colour={colour}
            onChange={(next) => go(next, true)}
            onName={(file, offset, place) => trace({ file, offset, place, ask: answer.trace.question })}
          />
        </section>
        <InShort projectId={project.id} answer={answer} />
      </div>
    </>
  );
}

function aloneWords(ask: Question): string {
  switch (ask) {
    case 'goes':
      return 'It goes nowhere: nothing that can be seen reads it.';
    case 'comes':
      return 'It comes from nowhere further: it begins here.';
    case 'changes':
      return 'Nothing that can be seen changes it.';
    case 'happens':
      return 'Nothing happens that can be seen: what runs changes and raises nothing.';
    case 'impact':
      return 'No component renders again when it changes.';
  }
}
