import type { SharedId } from '../../model/ids';
import { useById } from '../../model/lookup';
import type { Model, Take } from '../../model/model';
import { locate, type Location } from '../../model/span';
import type { PlaceIndex, Tree } from '../../model/tree';
import { isBounded, resolve, scopesAround, scopesFor } from '../../tree';

/** One ancestor that is asked for a context, or a provider that stands between two of them. */
export type Asked = {
  /** For a provider, the place that wrote it. */
  readonly place: PlaceIndex;
  readonly name: string;
  /** A provider of the context: it answers, or would if those nearer did not, or the question does not come to it. */
  readonly provides: 'answers' | 'beyond' | 'unasked' | 'not';
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

function nameAt(model: Model, tree: Tree, index: PlaceIndex): string {
  const place = tree.places[index];
  return place ? (model.components.get(place.component)?.name ?? '') : '';
}

/**
 * The ancestors of a place in the order in which they are asked for a context, and which of them
 * answers. Undefined for a context or a place that is not there.
 */
export function whoAnswers(model: Model, tree: Tree, index: PlaceIndex, id: SharedId, asks?: Take['asks']): Answer | undefined {
  const context = model.contexts.get(id);
  const place = tree.places[index];
  if (!context || !place) return undefined;
  const { answers, beyond } = resolve(tree, place.provider, id, place, asks);
  const chain: Asked[] = [];
  for (let at = index; at >= 0; at = tree.places[at]?.parent ?? -1) {
    const asked = tree.places[at];
    if (!asked) break;
    chain.push({ place: at, name: nameAt(model, tree, at), provides: 'not' });
    const further = scopesAround(tree, tree.places[asked.parent]?.provider ?? -1);
    for (const provider of at === index ? scopesFor(tree, asked) : scopesAround(tree, asked.provider)) {
      if (provider.context !== id || further.includes(provider)) continue;
      const use = provider.use && useById(model, provider.use);
      const at = use ? locate(use.file, use.node.span) : provider.at;
      const name = provider.owner >= 0 ? nameAt(model, tree, provider.owner) : 'above the page';
      chain.push({
        place: provider.owner,
        name,
        provides: provider === answers ? 'answers' : beyond.includes(provider) ? 'beyond' : 'unasked',
        ...(at ? { at } : {}),
      });
    }
  }
  for (const at of context.givenBy ?? []) {
    const isAnswered = chain.some(({ provides }) => provides === 'answers');
    chain.push({ place: -1, name: at.file.split('/').at(-1) ?? at.file, provides: isAnswered ? 'beyond' : 'answers', at });
  }
  return {
    context: context.name,
    declared: context.declared,
    chain,
    fallback: isBounded(asks) ? 'none' : context.fallback,
    sheltered: place.sheltered,
  };
}
