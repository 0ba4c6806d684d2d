import type { SideId, VersionsAnswer } from '../../analysis/answers';

/** What the view of a comparison shows, as it stands in the URL. */
export type CompareState = {
  /** Undefined where the earlier side is not chosen. */
  readonly before: SideId | undefined;
  readonly after: SideId;
  /** Key of the chosen component. */
  readonly component: string | undefined;
  /** Whether components that were not touched are listed too. */
  readonly untouched: boolean;
  /** Whether a version is being added. */
  readonly adding: boolean;
};

const sideIn = (text: string | null): SideId | undefined =>
  text !== null && (text === 'now' || text === 'plan' || /^reading:\d+$/.test(text) || /^project:.+$/.test(text))
    ? (text as SideId)
    : undefined;

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseCompareState(params: URLSearchParams): CompareState {
  return {
    before: sideIn(params.get('before')),
    after: sideIn(params.get('after')) ?? 'now',
    component: params.get('component') ?? undefined,
    untouched: params.get('untouched') === 'yes',
    adding: params.get('add') === 'yes',
  };
}

/** The parameters with some of them changed; undefined takes one out. */
export function withCompare(before: URLSearchParams, change: Readonly<Record<string, string | undefined>>): URLSearchParams {
  const next = new URLSearchParams(before);
  for (const [name, value] of Object.entries(change))
    if (value === undefined) next.delete(name);
    else next.set(name, value);
  return next;
}

export type Listed = VersionsAnswer['components'][number];
export type Group = { readonly title: string; readonly entries: readonly Listed[] };

/** The components in the order in which one looks at them: what no longer holds, what changed and holds, moved or renamed, new, gone, and last what was not touched. */
export function groupsOf({ components }: VersionsAnswer, untouched: boolean): Group[] {
  const holds = components.filter((one) => one.holds !== false);
  const of = (...statuses: readonly Listed['status'][]): Listed[] => holds.filter(({ status }) => statuses.includes(status));
  const groups: Group[] = [
    { title: 'No longer holds what it held', entries: components.filter((one) => one.holds === false) },
    { title: 'Changed, and holds what it held', entries: of('changed') },
    { title: 'Moved or renamed', entries: of('moved', 'renamed') },
    { title: 'New', entries: of('new') },
    { title: 'Gone', entries: of('gone') },
    ...(untouched ? [{ title: 'Not touched', entries: of('same') }] : []),
  ];
  return groups.filter(({ entries }) => entries.length > 0);
}

/** What stands at the right of a line of the list. */
export function noteOf({ status, alike, contract }: Listed): string {
  if (status === 'new' || status === 'gone' || status === 'same') return '';
  if (contract > 0) return `${contract} ${contract === 1 ? 'change' : 'changes'} for users`;
  return `${Math.round(alike * 100)} % the same`;
}
