import { counted, listed, type Question } from '@liana/core';
import { Link } from 'react-router';
import type { TraceAnswer } from '../../analysis/answers';
import { KnotMark } from '../../theme/Glyph';
import { treeLink } from '../tree/state';

type Props = { projectId: string; answer: TraceAnswer };

function Figure({ count, words }: { count: number; words: string }) {
  return (
    <div className="trace-figure">
      <b>{count.toLocaleString('en')}</b>
      <span>{words}</span>
    </div>
  );
}

/** Where the state would best sit, compared with where it does. */
function ownerWords(owner: NonNullable<TraceAnswer['trace']['short']['owner']>): string {
  if (owner.place === owner.home) return 'It is already as low as it can be.';
  return owner.homeName === owner.name
    ? 'It sits at another place of the same component.'
    : `It sits in ${owner.homeName}. All that read and change it stand below ${owner.name}.`;
}

/** Components that only hand it on, and what to do about it. */
function unreadWords(unread: readonly string[]): string {
  return `${listed(unread)} never ${unread.length === 1 ? 'reads' : 'read'} it. Pass what needs it down as a child, or provide it by context.`;
}

function ImpactPart({ answer }: { answer: TraceAnswer }) {
  const { impact } = answer.trace;
  if (!impact) return null;
  const shows = new Set(impact.shows.map((place) => answer.names[place] ?? ''));
  return (
    <>
      <h3>{answer.trace.question === 'happens' ? 'What renders' : 'If it changes'}</h3>
      <p>
        {counted(impact.renders.length, 'place')} {impact.renders.length === 1 ? 'renders' : 'render'} again.{' '}
        {shows.size === 0 ? 'None of them shows anything new.' : `Only ${listed([...shows])} may show something new.`}
        {impact.spared.length > 0 && ` A memo spares ${counted(impact.spared.length, 'place')}.`}
      </p>
      {impact.computes.length > 0 && (
        <p>
          Computed again: {listed([...new Set(impact.computes.map((one) => `${one.name} of ${answer.names[one.place] || 'a module'}`))])}.
        </p>
      )}
      {impact.effects.length > 0 && (
        <p>
          Effects that run:{' '}
          {listed([
            ...new Set(
              impact.effects.map((one) => `${one.name} of ${answer.names[one.place] ?? ''}${one.always ? ' (after each rendering)' : ''}`),
            ),
          ])}
          .
        </p>
      )}
    </>
  );
}

/** A provider and the component that writes it are one line; the one that asks stands for itself. */
function linesOf(chain: NonNullable<TraceAnswer['answers']>['chain']): typeof chain {
  const provides = (at: number, place: number): boolean => chain[at]?.place === place && chain[at].provides !== 'not';
  return chain.filter(({ place, provides: how }, at) => at === 0 || how !== 'not' || !(provides(at - 1, place) || provides(at + 1, place)));
}

/** Who is asked for a context, from the place up, and who answers. */
function AnswersPart({ projectId, answer }: Props) {
  const { answers } = answer;
  if (!answers) return null;
  const answering = answers.chain.find((one) => one.provides === 'answers');
  const lines = linesOf(answers.chain);
  const next = lines.findIndex((one) => one.provides === 'beyond');
  const none = answers.sheltered
    ? 'Something above is made in a way that cannot be followed; it may provide it.'
    : answers.fallback === 'given'
      ? 'Nobody above provides it, so the default is taken.'
      : 'Nobody above provides it.';
  return (
    <>
      <h3>Who answers here</h3>
      <p>
        {answering
          ? `${answering.name === 'above the page' ? 'Something above the page' : answering.name} answers for ${answers.context}.`
          : none}
      </p>
      <ol className="asked" aria-label={`Who is asked for ${answers.context}`}>
        {lines.map((one, index) => (
          <li key={`${index}`} className={one.provides}>
            <i aria-hidden="true">
              {one.provides === 'answers' ? '●' : one.provides === 'beyond' || one.provides === 'unasked' ? '○' : '·'}
            </i>
            {one.place >= 0 ? <Link to={treeLink(projectId, answer.page.id, answer.paths[one.place])}>{one.name}</Link> : one.name}
            <small>
              {one.provides === 'answers'
                ? 'provides it here, and answers'
                : one.provides === 'beyond'
                  ? `provides it too${index === next ? ', and would answer next' : ''}`
                  : one.provides === 'unasked'
                    ? 'provides it, and is not asked from here'
                    : index === 0
                      ? 'asks'
                      : ''}
            </small>
          </li>
        ))}
      </ol>
    </>
  );
}

const headings: Readonly<Record<Question, string>> = {
  goes: 'Way down',
  comes: 'Way back',
  changes: 'What leads here',
  impact: 'If it changes',
  happens: 'What happens',
};

/** The facts of a trace in short. */
export function InShort({ projectId, answer }: Props) {
  const { short, question, impact, truncated, rungs } = answer.trace;
  return (
    <aside className="card" id="card" tabIndex={0} aria-label="In short">
      <h2>In short</h2>
      <div className="trace-figures">
        {impact ? (
          <>
            <Figure count={impact.renders.length} words={impact.renders.length === 1 ? 'place renders' : 'places render'} />
            <Figure count={impact.shows.length} words={impact.shows.length === 1 ? 'shows new' : 'show new'} />
            <Figure count={impact.spared.length} words="spared by a memo" />
          </>
        ) : (
          <>
            <Figure count={short.components} words={short.components === 1 ? 'component' : 'components'} />
            <Figure count={short.unread.length} words={short.unread.length === 1 ? 'unread hop' : 'unread hops'} />
            <Figure count={short.renames} words={short.renames === 1 ? 'rename' : 'renames'} />
          </>
        )}
        <Figure count={short.writers} words={`${question === 'happens' ? 'change' : 'writer'}${short.writers === 1 ? '' : 's'}`} />
      </div>
      {truncated && (
        <p className="warn tidy">
          The trace is longer than {rungs.length.toLocaleString('en')} rungs and is cut here. Ask on from a rung further down.
        </p>
      )}
      {short.unread.length > 1 && question === 'goes' && (
        <div className="warn tidy">
          <b>{counted(short.unread.length, 'component')} only hand it on.</b>
          <br />
          {unreadWords(short.unread)}
        </div>
      )}
      <ImpactPart answer={answer} />
      <AnswersPart projectId={projectId} answer={answer} />
      {question !== 'changes' && question !== 'happens' && (
        <>
          <h3>What changes it</h3>
          {answer.writers.length === 0 && <p>Nothing that can be seen changes it.</p>}
          {answer.writers.map((one) => (
            <div className="entry writer" key={`${one.code.file} ${one.code.from} ${one.says}`}>
              <i aria-hidden="true">
                <KnotMark
                  kind={one.kind === 'changes' ? 'changes' : one.kind === 'starts' ? 'owns' : 'raises'}
                  colour={one.kind === 'changes' ? 'var(--state)' : 'var(--event)'}
                />
              </i>
              <span>
                <b>{one.who}</b> {one.says}
                <code>{one.code.text}</code>
              </span>
            </div>
          ))}
        </>
      )}
      {short.owner && (
        <>
          <h3>Closest common owner</h3>
          <p>
            <b>{short.owner.name}</b>. {ownerWords(short.owner)}
          </p>
        </>
      )}
      <p className="hint">{headings[question]}: arrow keys go along the rungs; a click on any name in the code traces that name.</p>
    </aside>
  );
}
