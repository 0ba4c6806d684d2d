import type { StrandKind } from '@liana/core';
import type { Row } from '../../analysis/answers';

export const strandKinds: readonly StrandKind[] = ['state', 'prop', 'event', 'store', 'context'];

/** What the tree view shows, as it stands in the URL. */
export type TreeState = {
  readonly page: string | undefined;
  /** The chosen place: the steps from the page down, joined by `/`. */
  readonly place: string | undefined;
  readonly strand: string | undefined;
  /** Kinds of strands that are not shown. */
  readonly without: ReadonlySet<StrandKind>;
  readonly only: 'all' | 'loose' | 'through';
  /** Rows whose children are folded away, each by the steps to it. */
  readonly closed: ReadonlySet<string>;
  /** Rows of what stands above already that are opened all the same, each by the steps to it. */
  readonly open: ReadonlySet<string>;
  /** Columns of several strands of one name that are drawn apart. */
  readonly apart: ReadonlySet<string>;
  /** Only rows whose names hold this, with what is above them; empty for all. */
  readonly rows: string;
  /** The place of which it is asked what if it stood at the chosen one: the steps to it. */
  readonly move: string | undefined;
  /** The slot of the chosen one that it would stand in; undefined for its own markup. */
  readonly slot: string | undefined;
  /** It is asked what if the chosen strand's state lived at the chosen place. */
  readonly lives: boolean;
  /** Places that are to stand elsewhere, in the order in which that was said. */
  readonly stands: readonly StandState[];
  /** A stretch of code to show, whatever is chosen. */
  readonly code: { readonly file: string; readonly start: number; readonly end: number } | undefined;
};

/** A place that is to stand in another, each by the steps to it; in a slot of that, or in its own markup. */
export type StandState = { readonly from: string; readonly to: string; readonly slot?: string };

export const standIn = (from: string, to: string, slot: string | undefined): StandState => ({
  from,
  to,
  ...(slot === undefined ? {} : { slot }),
});

function standsOf(text: string | null): StandState[] {
  return (text ?? '').split('|').flatMap((one) => {
    const [, from, to, slot] = /^([^>#]+)>([^>#]+)(?:#(.+))?$/.exec(one) ?? [];
    return from && to ? [standIn(from, to, slot)] : [];
  });
}

/** Places that stand elsewhere, as the URL holds them; undefined for none. */
export function standsText(stands: readonly StandState[]): string | undefined {
  return stands.map(({ from, to, slot }) => `${from}>${to}${slot ? `#${slot}` : ''}`).join('|') || undefined;
}

function codeOf(text: string | null): TreeState['code'] {
  const match = /^(.+):(\d+)-(\d+)$/.exec(text ?? '');
  return match ? { file: match[1] ?? '', start: Number(match[2]), end: Number(match[3]) } : undefined;
}

const listed = (text: string | null): ReadonlySet<string> => new Set((text ?? '').split('|').filter(Boolean));

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseTreeState(params: URLSearchParams): TreeState {
  const without = (params.get('without') ?? '').split('.').filter((kind): kind is StrandKind => strandKinds.includes(kind as StrandKind));
  const only = params.get('only');
  return {
    page: params.get('page') ?? undefined,
    place: params.get('place') ?? undefined,
    strand: params.get('strand') ?? undefined,
    without: new Set(without),
    only: only === 'loose' || only === 'through' ? only : 'all',
    closed: listed(params.get('closed')),
    open: listed(params.get('open')),
    apart: listed(params.get('apart')),
    rows: params.get('rows') ?? '',
    move: params.get('move') ?? undefined,
    slot: params.get('slot') ?? undefined,
    stands: standsOf(params.get('stands')),
    lives: params.get('lives') !== null,
    code: codeOf(params.get('code')),
  };
}

/** The address of a place in the tree of a page. */
export function treeLink(projectId: string, page: string, place: string | undefined): string {
  return `/projects/${projectId}/tree?${withState(new URLSearchParams(), { page, place })}`;
}

/** Writes a change of the state into URL parameters; `undefined` takes a part away. */
export function withState(
  params: URLSearchParams,
  change: Partial<
    Record<
      | 'page'
      | 'place'
      | 'strand'
      | 'without'
      | 'only'
      | 'closed'
      | 'open'
      | 'apart'
      | 'rows'
      | 'move'
      | 'slot'
      | 'stands'
      | 'lives'
      | 'code',
      string | undefined
    >
  >,
): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(change)) {
    if (value === undefined || value === '') next.delete(name);
    else next.set(name, value);
  }
  return next;
}

/** The steps from the page down to a place. */
export function pathOf(rows: readonly Row[], place: number): string {
  const steps: string[] = [];
  for (let row = rows[place]; row; row = rows[row.parent]) steps.unshift(row.step);
  return steps.join('/');
}

/** The places that some steps lead to, of those that are still there. */
export function placesAt(rows: readonly Row[], paths: ReadonlySet<string>): ReadonlySet<number> {
  return new Set([...paths].flatMap((path) => placeAtPath(rows, path) ?? []));
}

/** The place that steps lead to; undefined where they lead nowhere (the tree has changed since). */
export function placeAtPath(rows: readonly Row[], path: string | undefined): number | undefined {
  if (path === undefined) return undefined;
  let parent = -1;
  for (const step of path.split('/')) {
    const found = rows.find((row) => row.parent === parent && row.step === step);
    if (!found) return undefined;
    parent = found.place;
  }
  return parent < 0 ? undefined : parent;
}
