import type { CallFact } from '../../model/facts';
import type { Frame, Graph } from '../graph/frames';

/** A call that sets a query or has it asked again, and the action that makes it. */
export type Renewal = { readonly frame: Frame; readonly action: number; readonly call: CallFact };

/**
 * Who renews a query: calls whose key is the query's own, or the beginning of it. `what` is the key as
 * written where the query is asked, or the name of the options that hold it.
 */
export function renewalsOf(graph: Graph, what: string): Renewal[] {
  const asked = keyText(what);
  return graph.frames.flatMap((frame) =>
    frame.body.actions.flatMap((action, index) =>
      action.invokes.flatMap((call) =>
        call.renews !== undefined && beginsWith(asked, keyText(call.renews)) ? [{ frame, action: index, call }] : [],
      ),
    ),
  );
}

/** `['locks', id]` → `'locks',id`; `locksQuery.queryKey` → `locksQuery`. */
const keyText = (written: string): string =>
  written
    .replace(/\s+/g, '')
    .replace(/"/g, "'")
    .replace(/^\[|\]$/g, '')
    .replace(/\.queryKey$/, '');

const beginsWith = (key: string, start: string): boolean => key === start || key.startsWith(`${start},`);
