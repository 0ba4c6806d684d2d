/** A path inside a project: relative, `/` between its parts, no leading `./`. */
export type FilePath = string;

/**
 * A stretch of one file's text. Offsets are 0-based UTF-16 units, `end` is exclusive. `file` is said
 * where it is not the file of the facts that the span stands in: a template beside its class, a member
 * that a class has from another one.
 */
export type Span = { readonly start: number; readonly end: number; readonly file?: FilePath };

/** A span together with the file it lies in. */
export type Location = Span & { readonly file: FilePath };

/** Gives the location of a span in the file of its facts, or in the one that it names itself. */
export function locate(file: FilePath, span: Span): Location {
  return { file: span.file ?? file, start: span.start, end: span.end };
}

/** Tells whether a span of a file's facts lies around a place. */
export function covers(file: FilePath, span: Span, place: Location): boolean {
  return (span.file ?? file) === place.file && span.start <= place.start && place.end <= span.end;
}

/** Tells whether `inner` lies within `outer`; a span lies within itself, and never in one of another file. */
export function contains(outer: Span, inner: Span): boolean {
  return outer.start <= inner.start && inner.end <= outer.end && outer.file === inner.file;
}
