import type { Finding } from '../model/finding';
import type { FilePath } from '../model/span';

/** A finding that a comment in the source accepts, and what it says why. */
export type Accepted = { readonly key: string; readonly reason: string };

const comment = /liana-accept\s+([\w-]+)\s*(?::\s*(.*?))?\s*(?:\*\/\}?|-->)?\s*$/;

/**
 * The findings that the source accepts: `liana-accept rule: reason` in a comment on the finding's
 * line, or on the lines of comment right above it. `textOf` gives the text of a file; a file without
 * one accepts nothing.
 */
export function acceptedInSource(findings: readonly Finding[], textOf: (file: FilePath) => string | undefined): Accepted[] {
  const lines = new Map<FilePath, readonly string[] | undefined>();
  return findings.flatMap((finding): Accepted[] => {
    const { file, start } = finding.at;
    const text = textOf(file);
    if (!text?.includes('liana-accept')) return [];
    const all = lines.get(file) ?? text.split('\n');
    lines.set(file, all);
    const at = text.slice(0, start).split('\n').length - 1;
    for (let line = at; line >= 0; line--) {
      const own = all[line] ?? '';
      const found = comment.exec(own);
      if (found && found[1] === finding.rule) return [{ key: finding.key, reason: found[2] ?? '' }];
      // Above the line itself only comments may stand between.
      if (line < at && !/^\s*(\/\/|\/\*|\*|\{\/\*|<!--)/.test(own)) return [];
    }
    return [];
  });
}
