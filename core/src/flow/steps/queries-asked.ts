import type { CallFact, KeyPart } from '../../model/facts';
import { ownValue } from '../../model/own-value';
import type { FilePath } from '../../model/span';
import type { Frame } from '../graph/frames';
import type { Graph, Spot } from '../graph/graph';

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

/** Who renews a query: calls whose key is the query's own, or the beginning of it. `key` is as it is written in `file`. */
export function renewalsOf(graph: Graph, file: FilePath, key: readonly KeyPart[]): readonly Renewal[] {
  const asked = resolved(graph, file, key, 0);
  return allRenewals(graph).filter(({ frame, call }) => call.renews && beginsWith(asked, resolved(graph, frame.file, call.renews, 0)));
}

/** The queries of a page that a call sets or has asked again. */
export function renewedBy(graph: Graph, frame: Frame, { renews }: CallFact): Spot[] {
  if (!renews) return [];
  const key = resolved(graph, frame.file, renews, 0);
  return graph.frames.flatMap((there) =>
    there.body.values.flatMap(({ origin }, value): Spot[] =>
      origin?.kind === 'query' && beginsWith(resolved(graph, there.file, origin.key ?? [], 0), key)
        ? [{ frame: there.index, value, track: [] }]
        : [],
    ),
  );
}

/** Names of names are followed no further than this. */
const deepest = 8;

/** A key with all names followed to the parts that they stand for, wherever these are declared. */
function resolved(graph: Graph, file: FilePath, key: readonly KeyPart[], depth: number): readonly KeyPart[] {
  return key.flatMap((part): readonly KeyPart[] => {
    if (part.kind !== 'name' || depth > deepest) return [part];
    const meant = graph.model.named(file, part.name);
    if (meant.kind !== 'value') return [part];
    const members = part.name.split('.');
    for (let from = 1; from <= members.length; from++) {
      const path = members.slice(from);
      const held = meant.keys && (ownValue(meant.keys, path.join('.')) ?? ownValue(meant.keys, [...path, 'queryKey'].join('.')));
      if (held) return resolved(graph, meant.file, held, depth + 1);
      const text = path.length === 0 ? meant.text : ownValue(meant.texts, path.join('.'));
      if (text !== undefined) return [{ kind: 'text', text }];
    }
    return [part];
  });
}

/** What is told only while it runs may be anything but what is written. */
const isSame = (one: KeyPart, other: KeyPart): boolean =>
  one.kind === other.kind &&
  (one.kind === 'open' || (one.kind === 'text' ? one.text : one.name) === (other.kind === 'name' ? other.name : other.text));

const beginsWith = (key: readonly KeyPart[], start: readonly KeyPart[]): boolean =>
  start.length <= key.length && start.every((part, at) => key[at] !== undefined && isSame(part, key[at]));
