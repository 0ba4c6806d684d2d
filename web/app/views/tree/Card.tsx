import { counted, holderOf, type Question, type Strand } from '@liana/core';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { CardAnswer, LivesAnswer, ProposalAnswer, TreeAnswer } from '../../analysis/answers';
import { Code } from '../../parts/Code';
import { useTraceName } from '../../parts/useTraceName';
import { drawnKinds, KnotMark, knotWords, strandColour, strandWords } from '../../theme/Glyph';
import { traceLink } from '../trace/state';
import { eventWords, placedWords, propWords, takeWords } from './card-words';
import type { ShownStand } from './stands';
import { pathOf, type withState } from './state';
import type { CodeShown } from './TreeView';
import { LivesPart } from './LivesPart';
import { WhatIfPart } from './WhatIfPart';

type Props = {
  projectId: string;
  tree: TreeAnswer;
  answer: CardAnswer | undefined;
  strand: Strand | undefined;
  place: number | undefined;
  code: readonly CodeShown[];
  params: URLSearchParams;
  part: string | undefined;
  onKnot: (strand: string, place: number) => void;
  onPlace: (place: number) => void;
  moved: number | undefined;
  stands: readonly ShownStand[];
  proposal: ProposalAnswer | undefined;
  isAskedToLive: boolean;
  lives: LivesAnswer | undefined;
  onChange: (change: Parameters<typeof withState>[1]) => void;
};

const mostKnots = 60;

/** Where a strand starts: its component, or for a store the file. */
function homeWords(strand: Strand): string {
  const mark = strand.home.lastIndexOf('#');
  return strand.kind === 'store' && strand.home.slice(mark + 1) === strand.name
    ? (strand.home.slice(0, mark).split('/').at(-1) ?? '')
    : strand.home.slice(mark + 1);
}

/** A strand, knot by knot. */
function StrandPart({
  projectId,
  strand,
  tree,
  place,
  onKnot,
}: {
  projectId: string;
  strand: Strand;
  tree: TreeAnswer;
  place: number | undefined;
  onKnot: Props['onKnot'];
}) {
  const colour = strandColour(strand.kind, strand.loose !== undefined);
  const knots = strand.knots.filter((knot) => knot.place >= 0);
  return (
    <>
      <h2 style={{ color: colour, fontFamily: 'var(--mono)', fontSize: 19 }}>{strand.name}</h2>
      <p>
        {strandWords[strand.kind][0]} of {homeWords(strand)}, {knots.length} knots.{' '}
        {strand.subject !== undefined && (
          <Link to={traceLink(projectId, tree.page.id, strand.subject, knots[0] && pathOf(tree.rows, knots[0].place))}>Trace it</Link>
        )}
      </p>
      {knots.length > 1 && <p className="hint">In the tree, Alt and the arrow keys go along it.</p>}
      {strand.loose && <div className="warn">{strand.loose}</div>}
      <ul className="knot-list" aria-label={`Knots of ${strand.name}`}>
        {knots.slice(0, mostKnots).map((knot) => (
          <li key={knot.place}>
            <button type="button" className="plain" aria-current={knot.place === place} onClick={() => onKnot(strand.id, knot.place)}>
              <KnotMark kind={drawnKinds(knot.kinds).kind} colour={colour} />
              <span>
                {tree.rows[knot.place]?.name}{' '}
                {knot.names.some((name) => name !== strand.name) && <small className="mono">{knot.names.join(', ')}</small>}
              </span>
              <small>{knot.kinds.map((kind) => knotWords[kind]).join(', ')}</small>
            </button>
          </li>
        ))}
        {knots.length > mostKnots && <li>and {knots.length - mostKnots} more</li>}
      </ul>
    </>
  );
}

function Entries({
  title,
  entries,
}: {
  title: string;
  entries: readonly { name: string; words: string; colour: string; mark: string; trace?: string }[];
}) {
  if (entries.length === 0) return null;
  return (
    <>
      <h3>{title}</h3>
      {entries.map((entry) => (
        <div className="entry" key={entry.name}>
          <i aria-hidden="true" style={{ color: entry.colour }}>
            {entry.mark}
          </i>
          <code>{entry.trace === undefined ? entry.name : <Link to={entry.trace}>{entry.name}</Link>}</code>
          <span>{entry.words}</span>
        </div>
      ))}
    </>
  );
}

function PlacePart({
  answer,
  projectId,
  tree,
  part,
}: {
  answer: CardAnswer;
  projectId: string;
  tree: TreeAnswer;
  part: string | undefined;
}) {
  const { card, findings, line } = answer;
  const page = tree.page.id;
  const at = pathOf(tree.rows, card.place);
  const traceOf = (name: string, ask?: Question): string => traceLink(projectId, page, `${card.component}~${name}`, at, ask);
  return (
    <>
      <h2>{card.name}</h2>
      <div className="place-file">
        {card.declared.file} · line {line}
      </div>
      <p>
        {placedWords(card)} <Link to={traceLink(projectId, page, card.component, at, 'derives')}>What derives from what</Link>{' '}
        {part && <Link to={`/projects/${projectId}/carve?part=${part}`}>Its part on the page</Link>}
      </p>
      <Entries
        title="Props"
        entries={card.props.map((prop) => ({
          name: prop.name,
          words: propWords(prop),
          colour: prop.from ? 'var(--state)' : 'var(--prop)',
          mark: prop.from?.renamed ? '◇' : '●',
          trace: traceOf(prop.name, 'comes'),
        }))}
      />
      {card.props.length === 0 && <p>{card.openness === 'closed' ? 'It takes no props.' : 'It takes whatever it is given.'}</p>}
      <Entries
        title="Events"
        entries={card.events.map((event) => ({
          name: event.name,
          words: eventWords(event),
          colour: 'var(--event)',
          mark: '▲',
          trace: traceOf(event.name),
        }))}
      />
      <Entries
        title="State"
        entries={card.state.map((state) => ({
          name: state.name,
          words: 'held here',
          colour: 'var(--state)',
          mark: '●',
          trace: traceOf(state.name),
        }))}
      />
      <Entries
        title="Context"
        entries={card.takes.map((take) => ({
          name: take.context,
          words: takeWords(take),
          colour: 'var(--context)',
          mark: '●',
          trace: traceLink(projectId, page, take.subject, at, 'comes'),
        }))}
      />
      <Entries
        title="Renders"
        entries={card.renders.map((one, index) => ({
          name: card.renders.findIndex((other) => other.name === one.name) === index ? one.name : `${one.name} (${index + 1})`,
          words: one.keyed ? `each item, keyed by ${one.keyed}` : '',
          colour: 'var(--moss)',
          mark: '•',
        }))}
      />
      {findings.map((finding) => (
        <div key={finding.key} className={`warn ${finding.severity}`}>
          <Link to={`/projects/${projectId}/findings?finding=${encodeURIComponent(finding.key)}`}>
            <b>{finding.message}</b>
          </Link>
          <br />
          {finding.consequence}
        </div>
      ))}
    </>
  );
}

/** What is chosen, in words and in code: a strand with its knots, a component with its contract. */
export function Card({
  projectId,
  tree,
  answer,
  strand,
  place,
  code,
  part,
  onKnot,
  moved,
  stands,
  proposal,
  isAskedToLive,
  lives,
  onChange,
}: Props) {
  const trace = useTraceName(projectId, tree.page.id);
  const card = useRef<HTMLElement>(null);
  // A question is answered at the top.
  useEffect(() => {
    if (moved !== undefined || isAskedToLive) card.current?.scrollTo(0, 0);
  }, [moved, isAskedToLive]);
  const shownCode = code.map((one) => (
    <Code
      key={one.excerpt.file + one.excerpt.firstLine}
      excerpt={one.excerpt}
      loose={one.loose}
      caption={`${one.caption} · ${one.excerpt.file}:${one.excerpt.line}`}
      onName={(offset) => trace({ file: one.excerpt.file, offset, place: place === undefined ? undefined : pathOf(tree.rows, place) })}
    />
  ));
  return (
    <aside className="card" id="card" ref={card} tabIndex={-1} aria-label="What is chosen">
      {(moved !== undefined || stands.length > 0) && (
        <WhatIfPart tree={tree} moved={moved} stands={stands} proposal={proposal} onChange={onChange} />
      )}
      {strand && isAskedToLive && <LivesPart tree={tree} strand={strand} place={place} lives={lives} onChange={onChange} />}
      {strand && <StrandPart projectId={projectId} strand={strand} tree={tree} place={place} onKnot={onKnot} />}
      {strand && !isAskedToLive && holderOf(strand) !== undefined && (
        <p className="what-if-start">
          <button type="button" className="plain what-if-link" onClick={() => onChange({ lives: 'elsewhere' })}>
            What if {strand.name} {strand.kind === 'context' ? 'were provided' : 'lived'} elsewhere?
          </button>
        </p>
      )}
      {strand && shownCode}
      {strand && answer && <hr style={{ border: 0, borderTop: '1px solid var(--line)', margin: '18px 0' }} />}
      {answer && <PlacePart answer={answer} projectId={projectId} tree={tree} part={part} />}
      {moved === undefined && place !== undefined && answer && (tree.rows[place]?.parent ?? -1) >= 0 && (
        <p className="what-if-start">
          <button
            type="button"
            className="plain what-if-link"
            onClick={() => onChange({ move: pathOf(tree.rows, place), slot: undefined })}
          >
            What if {answer.card.name} stood elsewhere?
          </button>
        </p>
      )}
      {!strand && shownCode}
      {!strand && !answer && code.length === 0 && (
        <>
          <h2>{tree.page.name}</h2>
          <div className="place-file">{tree.page.file}</div>
          <p>
            {counted(tree.rows.length, 'place')}, {counted(tree.strands.length, 'strand')} between components.
          </p>
          <p>
            Choose a component to see its contract and who gives it what. Choose a strand’s name or a knot to see the value’s way in code.
          </p>
        </>
      )}
    </aside>
  );
}
