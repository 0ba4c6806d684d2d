import type { Finding } from '../model/finding';
import { lineAt, lineStarts } from '../model/lines';
import type { Component, Model } from '../model/model';
import type { FilePath, Location } from '../model/span';

/** One of two versions of a project: what was read of it, and its texts. */
export type Side = {
  readonly model: Model;
  readonly findings: readonly Finding[];
  /** A file's text; undefined for one that is not there. */
  readonly textOf: (file: FilePath) => string | undefined;
};

/** The components that are compared: the project's own, without those of tests and stories. */
export const comparedIn = ({ model }: Pick<Side, 'model'>): Component[] =>
  [...model.components.values()].filter(({ role, fileRole }) => role === 'component' && fileRole === 'source');

/** A stretch of a file; `line` is that of its first line, 1-based. */
export type CodePart = { readonly file: FilePath; readonly line: number; readonly text: string };

/** What a component is written in: its own stretch of its file, then the other files that it is read from, whole. */
export function codeOf({ textOf }: Pick<Side, 'textOf'>, { file, facts }: Component): CodePart[] {
  const at = facts.span.file ?? file;
  const whole = textOf(at) ?? '';
  const { start, end } = facts.form === 'file' ? { start: 0, end: whole.length } : facts.span;
  return [
    { file: at, line: lineAt(lineStarts(whole), start), text: whole.slice(start, end) },
    ...(facts.files ?? []).flatMap((one) => (one === file ? [] : [{ file: one, line: 1, text: textOf(one) ?? '' }])),
  ];
}

/** The source of a component as it is written, with the other files that it is read from. */
export const sourceOf = (side: Pick<Side, 'textOf'>, component: Component): string =>
  codeOf(side, component)
    .map(({ text }) => text)
    .join('\n');

/** The component whose code a place is in; the innermost where one is declared in another. Undefined for code of none. */
export function componentAt({ model }: Pick<Side, 'model'>, at: Location): Component | undefined {
  let found: Component | undefined;
  for (const component of comparedIn({ model })) {
    const { file, facts } = component;
    const isIn =
      (file === at.file && (facts.form === 'file' || (facts.span.start <= at.start && at.end <= facts.span.end))) ||
      (facts.files ?? []).includes(at.file);
    if (isIn && (!found || facts.span.end - facts.span.start < found.facts.span.end - found.facts.span.start)) found = component;
  }
  return found;
}
