import { makeFlowQueries } from '../flow/steps/make-queries';
import { type Spot, spotKey } from '../flow/graph/graph';
import type { Take } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { providerFor, unfold } from '../tree';
import type { Side } from './side';

/** A component at the component around it, by the names that both versions are compared by. */
export type Standing = { readonly component: string; readonly place: string };

/** The components that a value comes to, for each component and name that declares one: `Component.name` → `component@place`. */
export type Reaches = ReadonlyMap<string, ReadonlySet<string>>;

/** Who answers for each context that is asked for: `component@place key` → the component that provides it; null for nobody. */
export type Answers = ReadonlyMap<string, string | null>;

export const standingKey = ({ component, place }: Standing): string => `${component}@${place}`;
export function standingOf(key: string): Standing {
  const [component = '', place = ''] = key.split('@');
  return { component, place };
}

const spotsMost = 40_000;
/** What a component holds that may go on to others; what is derived goes where that goes which it is made of. */
const declares: ReadonlySet<string> = new Set(['state', 'prop', 'store', 'fetched']);

/** What a value comes to on its way, each spot once. */
function reachedFrom(queries: ReturnType<typeof makeFlowQueries>, start: Spot): Set<number> {
  const seen = new Set([spotKey(start)]);
  const frames = new Set<number>();
  const queue = [start];
  for (let spot = queue.pop(); spot && seen.size < spotsMost; spot = queue.pop())
    for (const { to, frame } of queries.onward(spot)) {
      frames.add(frame);
      if (!to) continue;
      frames.add(to.frame);
      const key = spotKey(to);
      if (seen.has(key)) continue;
      seen.add(key);
      queue.push(to);
    }
  return frames;
}

export type Traced = { readonly reaches: Reaches; readonly answers: Answers };

/**
 * Where the values of a version go, and who answers for its contexts, on all pages. `nameOf` gives
 * the name under which a component is compared (its later one); `concerns` says of which pages anything is to be told.
 */
export function tracedIn({ model }: Side, nameOf: (component: string) => string, concerns: (tree: Tree) => boolean): Traced {
  const reaches = new Map<string, Set<string>>();
  const answers = new Map<string, string | null>();
  for (const page of model.pages) {
    const tree = unfold(model, page);
    if (!concerns(tree)) continue;
    const names = tree.places.map(({ component }) => nameOf(component));
    const standing = (place: Place): string => standingKey({ component: names[place.index] ?? '', place: names[place.parent] ?? '' });
    const queries = makeFlowQueries(model, tree);
    for (const frame of queries.graph.frames) {
      if (frame.kind !== 'component' || frame.place < 0) continue;
      frame.body.values.forEach((value, index) => {
        if (!declares.has(value.kind) || !/^[\w$]+$/.test(value.name)) return;
        const of = `${names[frame.place] ?? ''}.${value.name}`;
        const found = reaches.get(of) ?? new Set();
        for (const one of reachedFrom(queries, { frame: frame.index, value: index, track: [] })) {
          const place = tree.places[queries.graph.frames[one]?.place ?? -1];
          if (place && place.index !== frame.place) found.add(standing(place));
        }
        reaches.set(of, found);
      });
    }
    for (const place of tree.places) {
      const component = model.components.get(place.component);
      for (const take of component?.consumes ?? []) {
        const by = answeredBy(tree, place, take);
        const key = model.contexts.get(take.context)?.name ?? '';
        answers.set(`${standing(place)} ${key}`, by ? (names[by.owner] ?? null) : null);
      }
    }
  }
  return { reaches, answers };
}

const answeredBy = (tree: Tree, place: Place, { context, asks }: Take) => providerFor(tree, place, context, asks);
