import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { CodeRow } from '@liana/core';
import { counted } from '@liana/core';
import type { VersionDetail } from '../../analysis/answers';
import { ChangeMark } from '../../theme/Glyph';
import { Ways } from './Ways';

type Props = {
  detail: VersionDetail;
  /** What the two sides are called. */
  before: string;
  after: string;
};

function whereWords({ before, after }: VersionDetail): string {
  const file = (after ?? before)?.file ?? '';
  if (!before || !after) return `${file}, ${counted((after ?? before)?.lines ?? 0, 'line')}`;
  const lines = before.lines === after.lines ? counted(after.lines, 'line') : `${counted(after.lines, 'line')}, were ${before.lines}`;
  return `${before.file === after.file ? file : `${file}, was ${before.file}`} · ${lines}`;
}

/** One component in both versions: its contract row by row, who uses it, where its values go, and the code beside each other. */
export function VersionCard({ detail, before, after }: Props) {
  const { name, says, breaks, contract, users, ways, code } = detail;
  return (
    <section className="card detail" aria-label={name}>
      <h2>{name}</h2>
      <p className="mono">{whereWords(detail)}</p>
      <p>
        <b>{says}</b>
      </p>
      {breaks.length > 0 && (
        <ul className="plain-list">
          {breaks.map((one) => (
            <li key={one.key}>
              <ChangeMark kind="breaks" /> {one.says} <small className="mono">{`${one.file}:${one.line}`}</small>
            </li>
          ))}
        </ul>
      )}
      {contract.length > 0 && (
        <Table size="small" aria-label="The contract, before and after">
          <TableHead>
            <TableRow>
              <TableCell>Member</TableCell>
              <TableCell>{before}</TableCell>
              <TableCell />
              <TableCell>{after}</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {contract.map((row) => (
              <TableRow key={`${row.member} ${row.name}`}>
                <TableCell>
                  <b className="mono">{row.name}</b> <small>{row.member}</small>
                </TableCell>
                <TableCell>{row.before ?? <span className="faint">was not there</span>}</TableCell>
                <TableCell>
                  <ChangeMark kind={row.changed ? 'changed' : 'same'} />
                </TableCell>
                <TableCell>
                  {row.nameAfter !== undefined && <mark className="mono">{row.nameAfter}</mark>}{' '}
                  {row.after === undefined ? <span className="faint">is gone</span> : row.changed ? <mark>{row.after}</mark> : row.after}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <h3>Who uses it</h3>
      {users.length === 0 ? (
        <p>Nothing that can be read uses it.</p>
      ) : (
        <ul className="plain-list">
          {users.map(({ owner, file, line, touched, broken }, index) => (
            <li key={index}>
              <ChangeMark kind={broken === undefined ? 'same' : 'breaks'} /> <b>{owner}</b>{' '}
              <small className="mono">{`${file}:${line}`}</small> {broken ?? (touched ? 'was changed too' : 'stands as it stood')}
            </li>
          ))}
        </ul>
      )}
      <Ways ways={ways} />
      <h3>The code</h3>
      {code.every(({ same }) => same) ? <p>It is the same, word for word.</p> : <Code rows={code} before={before} after={after} />}
    </section>
  );
}

/** Lines that are the same and stand further than this from a change are folded. */
const around = 3;

/** Whether the code goes on in another file there. */
const begins = ({ before, after }: CodeRow): boolean => before?.file !== undefined || after?.file !== undefined;

/** Both texts line by line, with the numbers that their lines have in their files. */
function Code({ rows, before, after }: { rows: readonly CodeRow[]; before: string; after: string }) {
  const isNear = rows.map((row, at) => begins(row) || rows.slice(Math.max(0, at - around), at + around + 1).some(({ same }) => !same));
  return (
    <div className="overlap-rows versions-code" tabIndex={0} role="group" aria-label="Both texts, line by line">
      <table>
        <thead>
          <tr>
            <th scope="col">{before}</th>
            <th scope="col">{after}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) =>
            isNear[at] ? (
              <tr key={at}>
                {[row.before, row.after].map((side, index) => (
                  <td key={index} className={row.same ? 'same' : 'hole'}>
                    {side && (
                      <>
                        {side.file !== undefined && <small className="mono">{side.file}</small>}
                        <span className="number">{side.line}</span>
                        <code>{side.text}</code>
                      </>
                    )}
                  </td>
                ))}
              </tr>
            ) : at === 0 || isNear[at - 1] ? (
              <tr key={at}>
                <td colSpan={2} className="same">
                  ⋯
                </td>
              </tr>
            ) : null,
          )}
        </tbody>
      </table>
    </div>
  );
}
