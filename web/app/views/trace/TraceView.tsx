import { type Question, subjectWords } from '@liana/core';
import type { Excerpt, SubjectEntry, Summary, TraceAnswer } from '../../analysis/answers';
import { useTraceName } from '../../parts/useTraceName';
import { useUrlParams } from '../../parts/useUrlParams';
import { subjectColour } from './colours';
import { InShort } from './InShort';
import { Ladder } from './Ladder';
import { askWords, Questions } from './Questions';
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

/** One value or event, followed from rung to rung. */
export function TraceView({ project, summary, state, answer, subjects, whole }: Props) {
  const [, change] = useUrlParams();
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
  return (
    <>
      <Questions
        ask={answer.trace.question}
        isListener={subject.kind === 'listener'}
        text={answer.text}
        what="Trace"
        onAsk={(ask) => go({ ask, rung: undefined, wide: undefined, open: undefined })}
      />
      <div className="work-area">
        <section className="sheet trace-sheet" aria-label={`${askWords[answer.trace.question]}: ${subject.name}`}>
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
