import type { MouseEvent, ReactNode } from 'react';
import type { CodeLine } from '../../analysis/answers';

/** Words of code, each with its offset: names, and what stands between them. */
const words = /[\p{L}_$][\p{L}\p{N}_$]*|[^\p{L}_$]+/gu;

type Props = {
  line: CodeLine;
  colour: string;
  /** Called with the file and the offset of the name that was clicked. */
  onName: (file: string, offset: number) => void;
};

/** A line of code with what is meant marked; a click on any name asks for that name. */
export function CodeText({ line, colour, onName }: Props) {
  const pieces: ReactNode[] = [];
  const isMarked = (at: number): boolean => line.marks.some((mark) => mark.start <= at && at < mark.end);
  const cuts = [...new Set([0, line.text.length, ...line.marks.flatMap((mark) => [mark.start, mark.end])])].sort((a, b) => a - b);
  for (let index = 0; index + 1 < cuts.length; index++) {
    const from = cuts[index] ?? 0;
    const text = line.text.slice(from, cuts[index + 1]);
    const spans = [...text.matchAll(words)].map((match) => (
      <span key={match.index} data-offset={line.from + from + match.index} className={/^[\p{L}_$]/u.test(match[0]) ? 'name' : undefined}>
        {match[0]}
      </span>
    ));
    pieces.push(
      isMarked(from) ? (
        <mark key={from} style={{ borderColor: colour }}>
          {spans}
        </mark>
      ) : (
        <span key={from}>{spans}</span>
      ),
    );
  }
  const onClick = (event: MouseEvent<HTMLElement>): void => {
    const name = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('.name') : null;
    if (!name || window.getSelection()?.isCollapsed === false) return;
    event.stopPropagation();
    onName(line.file, Number(name.dataset['offset']));
  };
  return (
    // The names are reached by keyboard through the rung itself, which can be asked on from.
    <code className="rung-code" onClick={onClick}>
      {pieces}
    </code>
  );
}
