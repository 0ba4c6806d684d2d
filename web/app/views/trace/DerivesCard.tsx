import { counted, groupWords, rowGroups, stepWord, type DerivesRow } from '@liana/core';
import { Fragment } from 'react';
import { Link } from 'react-router';
import type { DerivationAnswer, Excerpt } from '../../analysis/answers';
import { Code } from '../../parts/Code';
import { useTraceName } from '../../parts/useTraceName';
import { strandColour } from '../../theme/Glyph';
import { treeLink } from '../tree/state';
import { traceLink } from './state';

type Props = { projectId: string; answer: DerivationAnswer; chosen: number | undefined; excerpt: Excerpt | undefined };

/** A sentence in which code stands between backticks. */
function WithCode({ text }: { text: string }) {
  return text
    .split('`')
    .map((part, index) => (index % 2 === 1 ? <code key={index}>{part}</code> : <Fragment key={index}>{part}</Fragment>));
}

/** Rows by their names, as links that choose them. */
function RowLinks({ rows, answer, projectId }: { rows: readonly number[]; answer: DerivationAnswer; projectId: string }) {
  return rows.map((index, at) => {
    const row = answer.derivation.rows[index];
    const to = row?.subject === undefined ? undefined : traceLink(projectId, answer.page.id, row.subject, answer.place, 'derives');
    return (
      <Fragment key={index}>
        {at > 0 && ', '}
        {to === undefined ? row?.name : <Link to={to}>{row?.name}</Link>}
      </Fragment>
    );
  });
}

/** What is chosen, in words: what it is made of, what each step does, what sets it, its code. */
function RowPart({ row, projectId, answer, chosen, excerpt }: Props & { row: DerivesRow; chosen: number }) {
  const trace = useTraceName(projectId, answer.page.id);
  const { strands } = answer.derivation;
  const of = strands.flatMap((strand) => (strand.to.some((one) => one.row === chosen) ? [strand.row] : []));
  const into = strands.find((strand) => strand.row === chosen)?.to.map((one) => one.row) ?? [];
  const linkOf = (ask?: 'comes' | 'changes'): string => traceLink(projectId, answer.page.id, row.subject ?? '', answer.place, ask);
  return (
    <>
      <h2 style={{ color: strandColour(row.kind, false), fontFamily: 'var(--mono)', fontSize: 19 }}>{row.name}</h2>
      <div className="place-file">
        {row.does === '' ? groupWords[row.group].toLowerCase() : row.does} · line {answer.lines[chosen]}
      </div>
      {row.says !== '' && <p>{row.says}</p>}
      {row.steps.length > 0 && (
        <>
          <h3>What each step does</h3>
          <dl className="steps">
            {row.steps.map((step, index) => (
              <Fragment key={index}>
                <dt>
                  {stepWord(step)}
                  {step.name !== '' && <small>{step.name}</small>}
                </dt>
                <dd>
                  <WithCode text={step.says} />
                </dd>
              </Fragment>
            ))}
          </dl>
        </>
      )}
      {row.setBy.length > 0 && (
        <>
          <h3>Set by hand</h3>
          <p>{row.setBy.map((one) => one.name).join(', ')}. What it holds is not derived, but whatever these put in.</p>
        </>
      )}
      {of.length > 0 && (
        <p>
          Made of <RowLinks rows={of} answer={answer} projectId={projectId} />.
        </p>
      )}
      {into.length > 0 && (
        <p>
          Leads to <RowLinks rows={into} answer={answer} projectId={projectId} />.
        </p>
      )}
      {of.length === 0 && into.length === 0 && row.subject !== undefined && <p>Nothing here is made of it.</p>}
      {row.subject !== undefined && (
        <p className="derives-links">
          <Link to={linkOf()}>Where it goes</Link>
          <Link to={linkOf('comes')}>Where it comes from</Link>
          {row.opens !== undefined && (
            <Link to={traceLink(projectId, answer.page.id, row.opens, answer.place, 'derives')}>What stands behind it</Link>
          )}
        </p>
      )}
      {excerpt && (
        <Code
          excerpt={excerpt}
          caption={`${excerpt.file}:${excerpt.line}`}
          onName={(offset) => trace({ file: excerpt.file, offset, place: answer.place })}
        />
      )}
    </>
  );
}

/** The chosen row; where none is, what the chart holds. */
export function DerivesCard(props: Props) {
  const { projectId, answer, chosen } = props;
  const { derivation, place, page } = answer;
  const row = chosen === undefined ? undefined : derivation.rows[chosen];
  return (
    <aside className="card" id="card" tabIndex={0} aria-label="What is chosen">
      {row && chosen !== undefined ? (
        <RowPart {...props} row={row} chosen={chosen} />
      ) : (
        <>
          <h2>{derivation.name.split('/').at(-1)}</h2>
          <div className="place-file">{derivation.file}</div>
          <ul className="derives-counts">
            {rowGroups.map((group) => {
              const count = derivation.rows.filter((one) => one.group === group).length;
              return count === 0 ? null : (
                <li key={group}>
                  {groupWords[group]}: {counted(count, 'row')}
                </li>
              );
            })}
          </ul>
          <p>Each row is made of those whose strands reach it. Choose one to see what its computation does, step by step.</p>
          {place !== undefined && <Link to={treeLink(projectId, page.id, place)}>See in tree</Link>}
        </>
      )}
    </aside>
  );
}
