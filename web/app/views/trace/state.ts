import { isBodyId, type Question, questions, type SubjectId } from '@liana/core';

/** What the view can be asked: a question about a value, or what derives from what in all that it is declared with. */
export type TraceAsk = Question | 'derives';

/** What the trace view shows, as it stands in the URL. */
export type TraceState = {
  readonly page: string | undefined;
  /** What is traced; absent where a choice is still to be made. */
  readonly of: SubjectId | undefined;
  /** The place whose value is meant, by the steps to it; absent for the first that fits. */
  readonly at: string | undefined;
  readonly ask: TraceAsk;
  /** Folded fans that are open, by their keys. */
  readonly open: ReadonlySet<string>;
  /** The chosen rung or row. */
  readonly rung: number | undefined;
  /** The rung whose whole component is shown. */
  readonly wide: number | undefined;
};

function numberOf(text: string | null): number | undefined {
  return text !== null && /^\d+$/.test(text) ? Number(text) : undefined;
}

/** Reads the state out of the URL. Whatever is not understood counts as not said. */
export function parseTraceState(params: URLSearchParams): TraceState {
  const ask = params.get('ask');
  const of = params.get('of') || undefined;
  const isOfBody = ask === 'derives' || (of !== undefined && isBodyId(of));
  return {
    page: params.get('page') ?? undefined,
    of,
    at: params.get('at') ?? undefined,
    ask: isOfBody ? 'derives' : (questions.find((one) => one === ask) ?? 'goes'),
    open: new Set((params.get('open') ?? '').split('|').filter(Boolean)),
    rung: numberOf(params.get('rung')),
    wide: numberOf(params.get('wide')),
  };
}

export type TraceChange = Partial<Record<'page' | 'of' | 'at' | 'ask' | 'open' | 'rung' | 'wide', string | undefined>>;

/** Writes a change of the state into URL parameters; `undefined` takes a part away. */
export function withTrace(params: URLSearchParams, change: TraceChange): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(change)) {
    if (value === undefined || value === '') next.delete(name);
    else next.set(name, value);
  }
  return next;
}

/** The address of a trace. */
export function traceLink(projectId: string, page: string | undefined, of: SubjectId, at: string | undefined, ask?: TraceAsk): string {
  const params = withTrace(new URLSearchParams(), { page, of, at, ask });
  return `/projects/${projectId}/trace?${params}`;
}
