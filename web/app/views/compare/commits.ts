import type { Commit } from '../../analysis/git/commits';

/** So many lines are shown at once. */
const most = 40;

/** A moment, as it is told in this browser's zone. */
export const timeWords = (at: number): string => new Date(at).toLocaleString('en', { dateStyle: 'medium', timeStyle: 'short' });

/** What a version that is a commit is called in the list of sides: short enough to tell two of them apart. */
export function versionName({ kind, name, hash, title }: Commit): string {
  const short = title.length > 40 ? `${title.slice(0, 39)}…` : title;
  return kind === 'commit' ? `${name}: ${short}` : `${name}, ${hash.slice(0, 8)}: ${short}`;
}

/** The commits that fit a text by their name, their hash or the words of their title, in their order; `more` that are not shown. */
export function chosenCommits(all: readonly Commit[], text: string): { readonly shown: readonly Commit[]; readonly more: number } {
  const words = text.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const fits = ({ name, hash, title }: Commit): boolean => {
    const said = `${name} ${title}`.toLowerCase();
    return words.every((word) => said.includes(word) || (word.length >= 4 && hash.startsWith(word)));
  };
  const found = all.filter(fits);
  return { shown: found.slice(0, most), more: Math.max(0, found.length - most) };
}
