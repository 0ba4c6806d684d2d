import { diffArrays } from 'diff';
import type { ComponentId } from '../../model/ids';
import { lineStarts } from '../../model/lines';
import type { Component, Model } from '../../model/model';
import type { FilePath, Span } from '../../model/span';
import { type Hole, type HoleKind, layBeside } from './holes';
import type { Pieces } from './pieces';
import { renamed } from './text';
import { isInSwap, swapsOf } from './swaps';
import { likenessOf } from './twins';
import { append } from '../../model/append';

export type { Hole, HoleKind } from './holes';

/** One line of markup. `line` is 1-based; marks are offsets in `text`. */
type ComparedLine = { readonly line: number; readonly text: string; readonly marks: readonly Span[] };

/** A row of the comparison: what both have in the same words but for names, or what differs. */
export type ComparedRow = {
  readonly a?: ComparedLine;
  readonly b?: ComparedLine;
  readonly holes: readonly HoleKind[];
  /** What becomes of the holes that begin here: `text → label`. */
  readonly becomes: readonly string[];
};

export type Comparison = {
  readonly a: ComponentId;
  readonly b: ComponentId;
  /** 0 to 1. */
  readonly likeness: number;
  readonly rows: readonly ComparedRow[];
  readonly holes: readonly Hole[];
};

const becomes: Readonly<Record<HoleKind, string>> = {
  text: 'text → prop',
  value: 'value → prop',
  class: 'class → prop',
  element: 'element → slot',
  handler: 'handler → event',
  presence: 'presence → flag',
  condition: 'condition → flag',
  order: 'order → form',
  layer: 'layer → form',
};

/** The lines that hold a component's markup, with what differs in them marked. */
function linesOf(
  text: string,
  { nodes, roots }: Pieces,
  holes: readonly (Span & { readonly hole: Hole })[],
): (ComparedLine & { readonly plain: string; readonly own: readonly Hole[] })[] {
  const first = nodes[roots[0] ?? -1]?.span.start ?? 0;
  const last = Math.max(first, ...roots.map((root) => nodes[root]?.span.end ?? 0));
  const starts = lineStarts(text);
  const found: (ComparedLine & { plain: string; own: readonly Hole[] })[] = [];
  starts.forEach((start, index) => {
    const end = (starts[index + 1] ?? text.length + 1) - 1;
    if (end < first || start > last) return;
    const line = text.slice(start, end).replace(/\r$/, '');
    const own = holes.filter((one) => one.start < end && one.end > start);
    const marks = own.map((one) => ({ start: Math.max(0, one.start - start), end: Math.min(line.length, one.end - start) }));
    let plain = line;
    for (const mark of [...marks].sort((x, y) => y.start - x.start)) plain = `${plain.slice(0, mark.start)}□${plain.slice(mark.end)}`;
    found.push({
      line: index + 1,
      text: line,
      marks,
      plain: plain.trim(),
      own: own.filter((one) => one.start >= start && one.start < end + 1).map((one) => one.hole),
    });
  });
  return found;
}

/** A line as it is whatever the framework, to find the one that goes with it. */
const plainForm = (line: string): string =>
  line
    .replace(/\bclassName=/g, 'class=')
    .replace(/\bhtmlFor=/g, 'for=')
    .replace(/(?<=\s)(?:@|on:)(?=\w)/g, 'on')
    .replace(/(?<=\s)on[A-Z]/g, (name) => name.toLowerCase())
    .replace(/(?<=\s):(?=\w)/g, '')
    .replace(/\{\{\s*([^{}]*?)\s*\}\}/g, '{$1}')
    .replace(
      /=(?:"([^"]*)"|'([^']*)'|\{([^{}]*)\})/g,
      (_, ...inner: string[]) => `=${inner.slice(0, 3).find((one) => one !== undefined) ?? ''}`,
    );

/** The markup of two components row by row; `textOf` gives a file's text. Undefined for a component that there is not. */
export function compareCode(
  model: Model,
  a: ComponentId,
  b: ComponentId,
  textOf: (file: FilePath) => string | undefined,
): Comparison | undefined {
  const [one, other] = [model.components.get(a), model.components.get(b)];
  const texts = [one && textOf(one.file), other && textOf(other.file)] as const;
  if (!one || !other || texts[0] === undefined || texts[1] === undefined) return undefined;
  const laid = layBeside(model, one, other, [texts[0], texts[1]]);
  const side = (which: 'a' | 'b'): (Span & { hole: Hole })[] =>
    laid.holes.flatMap((hole) => (hole[which] ? [{ ...hole[which], hole }] : []));
  const left = linesOf(texts[0], laid.a, side('a'));
  const right = linesOf(texts[1], laid.b, side('b'));
  const swaps = one.framework === other.framework ? swapsOf(laid, one.framework) : [];
  const becomesOf = (hole: Hole): string | undefined => {
    if (!isInSwap(hole, swaps)) return becomes[hole.kind];
    return swaps.some(({ holes: [first] }) => first === hole) ? becomes.element : undefined;
  };
  const inOneForm = one.framework === other.framework ? (line: string): string => line : plainForm;
  const rows: ComparedRow[] = [];
  const row = (mine: (typeof left)[number] | undefined, theirs: (typeof right)[number] | undefined): void => {
    const own = new Set([...(mine?.own ?? []), ...(theirs?.own ?? [])]);
    rows.push({
      ...(mine ? { a: { line: mine.line, text: mine.text, marks: mine.marks } } : {}),
      ...(theirs ? { b: { line: theirs.line, text: theirs.text, marks: theirs.marks } } : {}),
      holes: [...new Set([...own].map((hole) => hole.kind))],
      becomes: [...own].filter((hole) => (hole.a ? (mine?.own.includes(hole) ?? false) : true)).flatMap((hole) => becomesOf(hole) ?? []),
    });
  };
  let [at, bt] = [0, 0];
  let [gone, come]: [typeof left, typeof right] = [[], []];
  const flush = (): void => {
    for (let index = 0; index < Math.max(gone.length, come.length); index++) row(gone[index], come[index]);
    [gone, come] = [[], []];
  };
  for (const part of diffArrays(
    left.map((line) => inOneForm(line.plain)),
    right.map((line) => inOneForm(renamed(line.plain, laid.names))),
  )) {
    const count = part.value.length;
    if (part.removed) append(gone, left.slice(at, (at += count)));
    else if (part.added) append(come, right.slice(bt, (bt += count)));
    else {
      flush();
      for (let index = 0; index < count; index++) row(left[at++], right[bt++]);
    }
  }
  flush();
  return { a, b, likeness: likenessOf(model, one as Component, other as Component), rows, holes: laid.holes };
}
