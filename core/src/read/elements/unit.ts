import type { FileFacts } from '../../model/facts';
import type { FilePath, Span } from '../../model/span';

/** Other files that are read with one, with their texts. */
export type Beside = readonly { readonly file: FilePath; readonly text: string }[];

/** A file of a unit, and where its text begins in that of the whole. */
export type Part = { readonly file: FilePath; readonly text: string; readonly offset: number };

/**
 * Several files that are read as one: their texts stand behind each other while they are read, so that each place has
 * an offset of its own. `placed` gives each span its file afterwards.
 */
export type Unit = { readonly file: FilePath; readonly text: string; readonly parts: readonly Part[] };

/** Puts files behind the text of the first. */
export function unitOf(file: FilePath, text: string, beside: Beside): Unit {
  const parts: Part[] = [];
  let whole = text;
  for (const one of beside) {
    whole += '\n';
    parts.push({ ...one, offset: whole.length });
    whole += one.text;
  }
  return { file, text: whole, parts };
}

const isSpan = (value: object): value is Span => 'start' in value && 'end' in value && typeof value.start === 'number';

/** The facts of a unit, with each span in the file that it stands in. */
export function placed(unit: Unit, facts: FileFacts): FileFacts {
  const [first] = unit.parts;
  if (!first) return facts;
  const partAt = (start: number): Part | undefined => unit.parts.findLast((part) => part.offset <= start);
  const copies = new Map<object, unknown>();
  const copy = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value;
    const known = copies.get(value);
    if (known !== undefined) return known;
    if (Array.isArray(value)) {
      const list: unknown[] = [];
      copies.set(value, list);
      for (const one of value) list.push(copy(one));
      return list;
    }
    const made: Record<string, unknown> = {};
    copies.set(value, made);
    for (const [key, one] of Object.entries(value)) made[key] = copy(one);
    if (isSpan(value) && value.start >= first.offset) {
      const part = partAt(value.start) ?? first;
      Object.assign(made, { start: value.start - part.offset, end: value.end - part.offset, file: part.file });
    }
    return made;
  };
  return copy(facts) as FileFacts;
}
