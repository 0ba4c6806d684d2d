import type { CallFact } from '../../model/facts';
import type { Frame } from '../graph/frames';
import type { Graph } from '../graph/graph';

/** A call that sets a query or has it asked again, and the action that makes it. */
export type Renewal = { readonly frame: Frame; readonly action: number; readonly call: CallFact };

const known = new WeakMap<Graph, readonly Renewal[]>();

/** All calls of a page that renew some query, collected once. */
function allRenewals(graph: Graph): readonly Renewal[] {
  const found =
    known.get(graph) ??
    graph.frames.flatMap((frame) =>
      frame.body.actions.flatMap((action, index) =>
        action.invokes.flatMap((call) => (call.renews === undefined ? [] : [{ frame, action: index, call }])),
      ),
    );
  known.set(graph, found);
  return found;
}

/**
 * Who renews a query: calls whose key is the query's own, or the beginning of it. `what` is the key as
 * written where the query is asked, or the name of the options that hold it.
 */
export function renewalsOf(graph: Graph, what: string): readonly Renewal[] {
  const asked = keyText(what);
  return allRenewals(graph).filter(({ call }) => beginsWith(asked, keyText(call.renews ?? '')));
}

/** `['locks', id]` → `'locks',id`; `locksQuery.queryKey` → `locksQuery`. */
const keyText = (written: string): string =>
  written
    .replace(/\s+/g, '')
    .replace(/"/g, "'")
    .replace(/^\[|\]$/g, '')
    .replace(/\.queryKey$/, '');

const beginsWith = (key: string, start: string): boolean => key === start || key.startsWith(`${start},`);
