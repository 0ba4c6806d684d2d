/** A stretch of one file's text. Offsets are 0-based UTF-16 units, `end` is exclusive. */
export type Span = { readonly start: number; readonly end: number };

/** A path inside a project: relative, `/` between its parts, no leading `./`. */
export type FilePath = string;

/** A span together with the file it lies in. */
export type Location = Span & { readonly file: FilePath };

/** Gives the location of a span in a file. */
export function locate(file: FilePath, span: Span): Location {
  return { file, start: span.start, end: span.end };
}

/** Tells whether `inner` lies within `outer`; a span lies within itself. */
export function contains(outer: Span, inner: Span): boolean {
  return outer.start <= inner.start && inner.end <= outer.end;
}
