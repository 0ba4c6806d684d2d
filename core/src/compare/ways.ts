import { addTo } from '../model/add-to';
import { type Spot, spotKey } from '../flow/graph/graph';
import { makeFlowQueries } from '../flow/steps/make-queries';
import type { FlowQueries } from '../flow/steps/queries';
import type { Step } from '../flow/steps/step';
import type { ComponentId } from '../model/ids';
import { useById } from '../model/lookup';
import type { Model, Page } from '../model/model';
import { covers } from '../model/span';
import type { Place, Tree } from '../model/tree';
import { providerFor, unfold } from '../tree';
import { makeReach } from './reach';
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

/** What a component holds that may go on to others; what is derived goes where that goes which it is made of. */
const declares: ReadonlySet<string> = new Set(['state', 'prop', 'store', 'fetched']);

export type Traced = {
  readonly reaches: Reaches;
  /** Those that show a value only as a part of what stands between their tags, as far as that is asked. */
  readonly around: Reaches;
  readonly answers: Answers;
};

/** One of two versions, and how its components are looked at. */
export type Version = {
  readonly side: Side;
  /** The name under which a component is compared: its later one. */
  readonly nameOf: (component: ComponentId) => string;
};

/** A page of a version, with what is asked of it. */
type Opened = {
  readonly model: Model;
  readonly tree: Tree;
  readonly queries: FlowQueries;
  /** The name of the component at each place. */
  readonly names: readonly string[];
  /** How each stands, as of `standingKey`. */
  readonly standings: readonly string[];
};

function opened({ side: { model }, nameOf }: Version, page: Page): Opened {
  const tree = unfold(model, page);
  const names = tree.places.map(({ component }) => nameOf(component));
  const standings = tree.places.map(({ index, parent }) => standingKey({ component: names[index] ?? '', place: names[parent] ?? '' }));
  let made: FlowQueries | undefined;
  return {
    model,
    tree,
    names,
    standings,
    // Of most pages nothing is asked.
    get queries() {
      return (made ??= makeFlowQueries(model, tree));
    },
  };
}

/** The name of what a component holds, as `Component.name`; undefined for what holds nothing that could go on. */
function heldName({ queries, names }: Opened, { frame, value }: Spot): string | undefined {
  const { kind, place, body } = queries.graph.frames[frame] ?? {};
  const held = body?.values[value];
  if (kind !== 'component' || place === undefined || place < 0 || !held) return undefined;
  return declares.has(held.kind) && /^[\w$]+$/.test(held.name) ? `${names[place] ?? ''}.${held.name}` : undefined;
}

/**
 * Where something may have changed for the values of a page: the places of what was touched, of who wrote what
 * stands within it, and of who asks for a context within it.
 */
function concerned(
  { model, tree }: Opened,
  touched: ReadonlySet<string>,
): { readonly all: ReadonlySet<number>; readonly asking: ReadonlySet<number> } {
  const [all, asking] = [new Set<number>(), new Set<number>()];
  /** Whether a place stands within one that was touched. Who stands around a place comes before it. */
  const within: (Place | undefined)[] = [];
  for (const place of tree.places) {
    const around = within[place.parent];
    const isTouched = touched.has(place.component);
    within[place.index] = isTouched ? place : around;
    if (isTouched) all.add(place.index);
    // Outermost first: its owner stands around all of them, or is one of them.
    if (around && place.owner >= 0 && place.owner < around.index) all.add(place.owner);
    if ((around ?? isTouched) && (model.components.get(place.component)?.consumes.length ?? 0) > 0) asking.add(place.index);
  }
  return { all, asking };
}

/** Names of the props that a place is given. */
function givenAt({ model, tree }: Opened, place: number): string[] {
  const id = tree.places[place]?.use;
  const use = id && useById(model, id);
  return use ? use.node.bindings.flatMap(({ to, direction }) => (direction === 'out' ? [] : [to.name])) : [];
}

/** What comes to the places that are concerned, from wherever it is held: names as of `heldName`. */
function passing(page: Opened, touched: ReadonlySet<string>): Set<string> {
  const { queries } = page;
  const { all, asking } = concerned(page, touched);
  const seen = new Set<string>();
  const queue: Spot[] = [];
  const names = new Set<string>();
  const add = (spot: Spot): void => {
    const key = spotKey(spot);
    if (seen.has(key)) return;
    seen.add(key);
    queue.push(spot);
    const name = heldName(page, spot);
    if (name !== undefined) names.add(name);
  };
  for (const { index, place, body } of queries.graph.frames) {
    const isWhole = all.has(place);
    if (!isWhole && !asking.has(place)) continue;
    body.values.forEach(({ kind }, value) => {
      if (isWhole || kind === 'context') add({ frame: index, value, track: [] });
      // What is given and not taken by its name stands in all of the props, or in the rest of them.
      if (isWhole && (kind === 'props' || kind === 'rest'))
        for (const name of givenAt(page, place)) add({ frame: index, value, track: [name] });
    });
  }
  for (let spot = queue.pop(); spot; spot = queue.pop()) for (const { to } of queries.back(spot)) if (to) add(to);
  return names;
}

/** The frames of those components in whose content, as their user writes it, a step paints; only of those that are asked for. */
function contentAround({ model, tree, queries }: Opened, asked: ReadonlySet<ComponentId>): (link: Step) => readonly number[] {
  const frameAt = new Map(
    queries.graph.frames.flatMap(({ kind, place, index }) => (kind === 'component' ? [[place, index] as const] : [])),
  );
  const writtenBy = new Map<number, Place[]>();
  for (const place of tree.places) if (asked.has(place.component)) addTo(writtenBy, place.owner, place);
  return ({ kind, frame, at }) => {
    const written = kind === 'paints' ? writtenBy.get(queries.graph.frames[frame]?.place ?? -1) : undefined;
    return (written ?? []).flatMap(({ use: id, index }) => {
      const use = id && useById(model, id);
      return use && covers(use.file, use.node.span, at) ? (frameAt.get(index) ?? []) : [];
    });
  };
}

/** What is gathered of a version, page by page. */
class Gathered {
  readonly reaches = new Map<string, Set<string>>();
  private readonly around = new Map<string, Set<string>>();
  readonly answers = new Map<string, string | null>();
  /** Names with a way that is not followed to its end: nothing is said of them. */
  private readonly cut = new Set<string>();
  private readonly standings = new Set<string>();

  /** Whether each component of a page stands in those already followed as it stands here. */
  knows({ standings }: Opened): boolean {
    return standings.every((one) => this.standings.has(one));
  }

  addReaches(page: Opened, asked: ReadonlySet<string>, filled: ReadonlySet<ComponentId>): void {
    const { queries, standings } = page;
    for (const one of standings) this.standings.add(one);
    const reach = makeReach(queries, filled.size > 0 ? { around: contentAround(page, filled) } : {});
    for (const frame of queries.graph.frames)
      frame.body.values.forEach((_, value) => {
        const spot: Spot = { frame: frame.index, value, track: [] };
        const name = heldName(page, spot);
        if (name === undefined || !asked.has(name)) return;
        const reached = reach(spot);
        if (!reached) this.cut.add(name);
        const standing = (frames: readonly number[] = []): string[] =>
          frames.flatMap((one) => {
            const place = queries.graph.frames[one]?.place ?? -1;
            return place >= 0 && place !== frame.place ? [standings[place] ?? ''] : [];
          });
        this.reaches.set(name, new Set([...(this.reaches.get(name) ?? []), ...standing(reached?.frames)]));
        this.around.set(name, new Set([...(this.around.get(name) ?? []), ...standing(reached?.around)]));
      });
  }

  addAnswers({ model, tree, names, standings }: Opened): void {
    for (const place of tree.places)
      for (const { context, asks } of model.components.get(place.component)?.consumes ?? []) {
        const by = providerFor(tree, place, context, asks);
        const key = model.contexts.get(context)?.name ?? '';
        this.answers.set(`${standings[place.index] ?? ''} ${key}`, by ? (names[by.owner] ?? null) : null);
      }
  }

  all(): Traced {
    for (const name of this.cut) this.reaches.delete(name);
    return { reaches: this.reaches, around: this.around, answers: this.answers };
  }
}

/** Components of both versions whose values may go elsewhere. */
export type Changes = {
  readonly touched: ReadonlySet<ComponentId>;
  /** Those that show between their tags now what they were given as a prop, or the reverse. */
  readonly filled: ReadonlySet<ComponentId>;
};

/**
 * Where the values of two versions go that come by a component that was touched, and who answers for the
 * contexts, on each page where one of those stands. Values that come by none of them go where they went.
 */
export function tracedBoth(before: Version, after: Version, changes: Changes): { readonly was: Traced; readonly is: Traced } {
  const [was, is] = [new Gathered(), new Gathered()];
  const old = (page: Page): Asked => ({ version: before, page, to: was });
  const now = (page: Page): Asked => ({ version: after, page, to: is });
  const earlier = new Set(before.side.model.pages.map(({ id }) => id));
  const later = new Map(after.side.model.pages.map((page) => [page.id, page]));
  const alone: Asked[] = after.side.model.pages.filter(({ id }) => !earlier.has(id)).map(now);
  for (const page of before.side.model.pages) {
    const same = later.get(page.id);
    if (same) gather([old(page), now(same)], changes);
    else alone.push(old(page));
  }
  gather(alone, changes);
  return { was: was.all(), is: is.all() };
}

/** A page of a version that is asked for, and what is gathered of that version. */
type Asked = { readonly version: Version; readonly page: Page; readonly to: Gathered };

/** More pages than these, opened at once, would fill the memory: they are opened one by one, twice. */
const mostOpen = 2;

/** Gathers from pages that are one in both versions, or are in one version alone: what comes by what was touched on any is asked of all. */
function gather(pages: readonly Asked[], { touched, filled }: Changes): void {
  const kept = new Map<Asked, Opened>();
  const asked = new Set<string>();
  let isConcerned = false;
  let isNew = false;
  const open = (one: Asked): Opened => {
    const found = kept.get(one) ?? opened(one.version, one.page);
    if (pages.length <= mostOpen) kept.set(one, found);
    return found;
  };
  const shows = ({ tree }: Opened): boolean => tree.places.some(({ component }) => touched.has(component));
  for (const one of pages) if (shows(open(one))) isConcerned = true;
  if (!isConcerned) return;
  for (const one of pages) {
    const page = open(one);
    one.to.addAnswers(page);
    // A page that shows nothing but what others show, as one that is not found does within the frame of all, adds no way.
    if (!one.to.knows(page)) isNew = true;
    for (const name of passing(page, touched)) asked.add(name);
  }
  if (isNew) for (const one of pages) one.to.addReaches(open(one), asked, filled);
}
