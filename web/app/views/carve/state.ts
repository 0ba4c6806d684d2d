/** What the carve view shows, as it stands in the URL. */
export type CarveState = {
  readonly sheet: string | undefined;
  readonly region: string | undefined;
  readonly part: string | undefined;
  readonly show: Panel;
  readonly file: string | undefined;
  /** The framework that the skeleton is written in. */
  readonly framework: string | undefined;
};

export const panels = ['part', 'values', 'suggested', 'strands', 'skeleton', 'code'] as const;
export type Panel = (typeof panels)[number];

export const panelWords: Readonly<Record<Panel, string>> = {
  part: 'Part',
  values: 'Values',
  suggested: 'Suggested',
  strands: 'Strands',
  skeleton: 'Skeleton',
  code: 'In the code',
};

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseCarveState(params: URLSearchParams): CarveState {
  const show = params.get('show');
  return {
    sheet: params.get('sheet') ?? undefined,
    region: params.get('region') ?? undefined,
    part: params.get('part') ?? undefined,
    show: panels.find((panel) => panel === show) ?? (params.get('part') ? 'part' : 'values'),
    file: params.get('file') ?? undefined,
    framework: params.get('framework') ?? undefined,
  };
}

/** Writes a change of the state into URL parameters; `undefined` takes a part away. */
export function withCarveState(params: URLSearchParams, change: Partial<Record<keyof CarveState, string | undefined>>): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(change)) {
    if (value === undefined) next.delete(name);
    else next.set(name, value);
  }
  return next;
}
