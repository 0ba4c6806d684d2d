import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { type ComparedRow, counted } from '@liana/core';
import { Fragment } from 'react';
import { Link, useFetcher } from 'react-router';
import type { AlikeMember, ComparedAnswer } from '../../analysis/answers';
import { Diff } from '../../parts/Diff';
import { useTell } from '../../parts/Notices';
import { useUrlParams } from '../../parts/useUrlParams';
import { download, fileName } from '../carve/download';

type Props = { readonly project: { readonly id: string; readonly name: string }; readonly compared: ComparedAnswer };

type Side = 'a' | 'b';

/** A line of code with what differs in it marked. */
function MarkedLine({ line }: { line: NonNullable<ComparedRow[Side]> }) {
  const parts: { text: string; marked: boolean }[] = [];
  let from = 0;
  for (const { start, end } of [...line.marks].sort((x, y) => x.start - y.start || y.end - x.end)) {
    if (end <= from) continue;
    parts.push(
      { text: line.text.slice(from, Math.max(from, start)), marked: false },
      { text: line.text.slice(Math.max(from, start), end), marked: true },
    );
    from = end;
  }
  parts.push({ text: line.text.slice(from), marked: false });
  return parts.map((part, index) => (part.marked ? <mark key={index}>{part.text}</mark> : <Fragment key={index}>{part.text}</Fragment>));
}

function Cell({ row, side }: { row: ComparedRow; side: Side }) {
  const line = row[side];
  const differs = row.holes.length > 0 || !row.a || !row.b;
  return (
    <td className={differs ? 'hole' : 'same'}>
      {line && (
        <>
          <span className="number">{line.line}</span>
          <code>
            <MarkedLine line={line} />
          </code>
        </>
      )}
    </td>
  );
}

const heading = (one: AlikeMember): string => `${one.file}, ${counted(one.lines, 'line')}, ${counted(one.uses, 'use')}`;

/** Both, row by row, with what becomes of what differs between them. */
function Rows({ compared: { a, b, comparison } }: Pick<Props, 'compared'>) {
  return (
    <section className="sheet overlap-rows" aria-label="Both, row by row" tabIndex={0}>
      <table>
        <thead>
          <tr>
            <th scope="col">
              <b>{a.name}</b> <small>{heading(a)}</small>
            </th>
            <th scope="col" className="alike">
              {Math.round(100 * comparison.likeness)} % alike
            </th>
            <th scope="col">
              <b>{b.name}</b> <small>{heading(b)}</small>
            </th>
          </tr>
        </thead>
        <tbody>
          {comparison.rows.map((row, index) => (
            <tr key={index}>
              <Cell row={row} side="a" />
              <td className="becomes">{[...new Set(row.becomes)].join(', ')}</td>
              <Cell row={row} side="b" />
            </tr>
          ))}
        </tbody>
      </table>
      {comparison.holes.length === 0 && <p className="empty-note">Their markup differs in names alone.</p>}
    </section>
  );
}

/** The component that could stand in the place of both, or why it cannot be written. */
function OneInTheirPlace({ compared: { comparison, merged, wrong } }: Pick<Props, 'compared'>) {
  const kinds = [...new Set(comparison.holes.map((hole) => hole.kind))];
  return (
    <section className="card detail" aria-label="One in their place">
      <h2>One in their place</h2>
      {wrong !== undefined && (
        <p>
          It cannot be written with certainty. {wrong} What differs: {kinds.length > 0 ? kinds.join(', ') : 'names alone'}.
        </p>
      )}
      {merged && (
        <>
          {merged.props.length > 0 && <PropNames props={merged.props} />}
          <pre className="diff plain" tabIndex={0} aria-label="The merged component">
            <Marked text={merged.text} names={merged.props.map((prop) => prop.name)} />
          </pre>
        </>
      )}
    </section>
  );
}

/** What changes where the second is used, and what can be done with it. */
function EachUse({ project, compared }: Props) {
  const { a, b, merged, patch, usesPatch, finding } = compared;
  const tell = useTell();
  const fetcher = useFetcher();
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(patch);
    tell('The patch is on the clipboard.');
  };
  const accept = (): void => {
    void fetcher.submit(
      { about: 'finding', key: finding ?? '', state: 'accepted', reason: 'Both are meant to be' },
      { method: 'post', action: `/projects/${project.id}/findings` },
    );
    tell('Accepted: both are meant to be.', {
      label: 'Undo',
      run: () =>
        void fetcher.submit(
          { about: 'finding', key: finding ?? '', state: '', reason: '' },
          { method: 'post', action: `/projects/${project.id}/findings` },
        ),
    });
  };
  return (
    <section className="card detail" aria-label="Each use, rewritten">
      <h2>Each use, rewritten</h2>
      {!merged && <p>Nothing is rewritten as long as there is no one component in their place.</p>}
      {merged && merged.uses === 0 && <p>Nothing uses {b.name}; it can go as it is.</p>}
      {usesPatch !== '' && <Diff patch={usesPatch} label="Changes of the uses" />}
      {merged && (
        <p className="row-of-controls">
          <Button
            size="small"
            variant="contained"
            onClick={() => download(`${fileName(project.name)}-${a.name}-${b.name}.patch`, [patch], 'text/x-diff')}
          >
            Save as patch
          </Button>
          <Button size="small" variant="outlined" onClick={() => void copy()}>
            Copy the patch
          </Button>
          {finding !== undefined && (
            <Button size="small" variant="outlined" onClick={accept}>
              Accept both
            </Button>
          )}
        </p>
      )}
    </section>
  );
}

/** Two components row by row, and beneath them the one that could stand in their place. */
export function ComparisonView({ project, compared }: Props) {
  const { a, b, merged, saved, finding } = compared;
  return (
    <>
      <div className="controls">
        <b>Twins</b>
        <span>
          {a.name} · {b.name}
        </span>
        <Link to={`/projects/${project.id}/overlap`} style={{ color: 'inherit' }}>
          All by likeness
        </Link>
        {finding !== undefined && (
          <Link to={`/projects/${project.id}/findings?finding=${encodeURIComponent(finding)}`} style={{ color: 'inherit' }}>
            The finding
          </Link>
        )}
        <span className="findings-more">
          used in {counted(a.uses + b.uses, 'place')}
          {merged && saved > 0 ? ` · ${counted(saved, 'line')} would go` : ''}
        </span>
      </div>
      <div className="overlap-area">
        <Rows compared={compared} />
        <OneInTheirPlace compared={compared} />
        <EachUse project={project} compared={compared} />
      </div>
    </>
  );
}

/** The names of the new props, to be called otherwise; they stand in the URL. */
function PropNames({ props }: { props: NonNullable<ComparedAnswer['merged']>['props'] }) {
  const [, change] = useUrlParams();
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>New prop</TableCell>
          <TableCell>The first</TableCell>
          <TableCell>The second</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {props.map((prop) => (
          <TableRow key={prop.key}>
            <TableCell>
              <TextField
                size="small"
                slotProps={{ htmlInput: { 'aria-label': `Name of the prop for the ${prop.kind}`, className: 'mono' } }}
                defaultValue={prop.name}
                key={prop.name}
                onBlur={(event) => {
                  const { value } = event.target;
                  if (value === prop.name) return;
                  change((before) => {
                    const next = new URLSearchParams(before);
                    if (value === '') next.delete(`name.${prop.key}`);
                    else next.set(`name.${prop.key}`, value);
                    return next;
                  });
                }}
                onKeyDown={(event) => {
                  if (event.key === 'Enter') (event.target as HTMLInputElement).blur();
                }}
              />
            </TableCell>
            <TableCell>
              {prop.kind === 'slot' ? 'what stands there' : prop.fallback === 'undefined' ? 'nothing' : <code>{prop.fallback}</code>}
            </TableCell>
            <TableCell>
              {prop.given === '' ? 'as it is given' : prop.given === 'undefined' ? 'nothing' : <code>{prop.given}</code>}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

/** A text in which some names are marked, as whole words. */
function Marked({ text, names }: { text: string; names: readonly string[] }) {
  if (names.length === 0) return text;
  const pattern = new RegExp(`(?<![\\w$.])(${names.map((name) => name.replace(/\$/g, '\\$')).join('|')})(?![\\w$])`, 'g');
  const parts = text.split(pattern);
  return parts.map((part, index) => (index % 2 === 1 ? <mark key={index}>{part}</mark> : <Fragment key={index}>{part}</Fragment>));
}
