import type { SharedId } from '../model/ids';
import { useById } from '../model/lookup';
import type { Model } from '../model/model';
import { locate, type Location } from '../model/span';
import type { PlaceIndex, Tree } from '../model/tree';

/** One ancestor that is asked for a context. */
export type Asked = {
  readonly place: PlaceIndex;
  readonly name: string;
  /** It provides the context: it answers, or would if those nearer did not. */
  readonly provides: 'answers' | 'beyond' | 'not';
  readonly at?: Location;
};

/** Who answers for a context at a place. */
export type Answer = {
  readonly context: string;
  readonly declared: Location;
  /** From the place upward, to the page. */
  readonly chain: readonly Asked[];
  /** What a taker gets where nobody provides. */
  readonly fallback: 'none' | 'given' | 'unknown';
  /** Something above is made in a way that cannot be followed. */
  readonly sheltered: boolean;
};

/**
 * The ancestors of a place in the order in which they are asked for a context, and which of them
 * answers. Undefined for a context or a place that is not there.
 */
export function whoAnswers(model: Model, tree: Tree, index: PlaceIndex, id: SharedId): Answer | undefined {
  const context = model.contexts.get(id);
  const place = tree.places[index];
  if (!context || !place) return undefined;
  const providing: { owner: PlaceIndex; at?: Location }[] = [];
  for (let at = place.provider; at >= 0; at = tree.providers[at]?.outer ?? -1) {
    const provider = tree.providers[at];
    if (provider?.context !== id) continue;
    const use = useById(model, provider.use);
    providing.push({ owner: provider.owner, ...(use ? { at: locate(use.file, use.node.span) } : {}) });
  }
  const nearest = providing[0]?.owner;
  const chain: Asked[] = [];
  for (let at = index; at >= 0; at = tree.places[at]?.parent ?? -1) {
    const asked = tree.places[at];
    const found = at === index ? undefined : providing.find((one) => one.owner === at);
    const name = asked ? (model.components.get(asked.component)?.name ?? '') : '';
    const provides = !found ? 'not' : found.owner === nearest ? 'answers' : 'beyond';
    chain.push({ place: at, name, provides, ...(found?.at ? { at: found.at } : {}) });
  }
  const rooted = providing.find((one) => one.owner < 0);
  if (rooted)
    chain.push({
      place: -1,
      name: 'above the page',
      provides: nearest === -1 ? 'answers' : 'beyond',
      ...(rooted.at ? { at: rooted.at } : {}),
    });
  return { context: context.name, declared: context.declared, chain, fallback: context.fallback, sheltered: place.sheltered };
}
