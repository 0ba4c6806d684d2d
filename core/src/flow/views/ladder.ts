import type { ComponentId } from '../../model/ids';
import type { Location } from '../../model/span';
import type { PlaceIndex } from '../../model/tree';
import { type Half, halfOf } from '../../tree';
import { type Graph, type Spot, spotKey, valueOf } from '../graph/graph';
import { type Ending, nameOf, type Step, type StepKind } from '../steps/step';
import type { Passing } from '../graph/track';

/** One line of a trace: a place, its code, and what happens there. */
export type Rung = {
  readonly index: number;
  /** The rung it follows on; -1 for the first. */
  readonly from: number;
  /** 0 for the main line; each branch stands one further to the right. */
  readonly lane: number;
  readonly kind: StepKind;
  readonly how: Passing;
  readonly place: PlaceIndex;
  readonly component?: ComponentId;
  /** The component, hook or module in which it happens. */
  readonly who: string;
  /** For a hook: the component that calls it. */
  readonly within?: string;
  /** Where it runs, on a page that a server makes. */
  readonly half?: Half;
  /** Where in the code; several where the same happens more than once. */
  readonly code: readonly Location[];
  /** The value's name here, and before. */
  readonly name: string;
  readonly was: string;
  readonly by?: string;
  readonly ending?: Ending;
  /** Handed on, and nothing here reads it. */
  readonly unread?: true;
  /** Index of the rung from which the way is told, above or below. */
  readonly again?: number;
  /** The value that arrives here, for asking on from this rung. */
  readonly spot?: Spot;
};

/** A line before it has its number and lane. */
export type Draft = Omit<Rung, 'index' | 'from' | 'lane'> & { readonly below: Draft[] };

/** More lines than this are not drawn; the trace says so. */
export const rungLimit = 1500;

/** A step as a line. */
export function draftOf(graph: Graph, step: Step, was: string): Draft {
  const frame = graph.frames[step.frame];
  const half = frame && halfOf(graph.model, graph.tree, frame.place, step.at);
  const caller = frame?.kind === 'hook' ? frame.component?.name : undefined;
  // What is no component has no name that people know: the file has.
  const isNamed = frame !== undefined && frame.kind !== 'module' && (frame.kind === 'hook' || frame.component?.role === 'component');
  return {
    kind: step.kind,
    how: step.how,
    place: frame?.place ?? -1,
    ...(frame?.component ? { component: frame.component.id } : {}),
    who: isNamed ? frame.name : step.at.file.slice(step.at.file.lastIndexOf('/') + 1),
    ...(caller === undefined ? {} : { within: caller }),
    ...(half ? { half } : {}),
    code: [step.at],
    name: arrivalName(graph, step),
    was,
    ...(step.by === undefined ? {} : { by: step.by }),
    ...(step.ending === undefined ? {} : { ending: step.ending }),
    ...(step.to ? { spot: step.to } : {}),
    below: [],
  };
}

/** What a hook or a context gives is named by the part that is followed. */
function arrivalName(graph: Graph, step: Step): string {
  const kind = step.to && valueOf(graph, step.to)?.kind;
  return step.to && (kind === 'hook' || kind === 'context') ? nameOf(graph, step.to) : step.name;
}

/** Lines of one place that say the same become one with several places in the code. */
function gathered(drafts: readonly Draft[]): Draft[] {
  const found: Draft[] = [];
  const known = new Map<string, number>();
  for (const draft of drafts) {
    const ends = draft.ending !== undefined && draft.below.length === 0;
    const said = draft.kind === 'paints' || draft.kind === 'reads' || draft.ending === 'leaves' ? draft.by : '';
    const key = `${draft.kind} ${draft.place} ${draft.who} ${draft.name} ${draft.ending} ${said}`;
    const at = ends ? known.get(key) : undefined;
    const before = at === undefined ? undefined : found[at];
    if (at !== undefined && before) {
      const isNew = draft.code.filter((one) => !before.code.some((other) => other.file === one.file && other.start === one.start));
      found[at] = { ...before, code: [...before.code, ...isNew] };
    } else {
      if (ends) known.set(key, found.length);
      found.push(draft);
    }
  }
  return found;
}

/** What renders again comes after all that runs before it. */
const isOfImpact = ({ by }: Draft): boolean => by?.startsWith('impact') === true;

const rendersLast = (a: Draft, b: Draft): number => Number(isOfImpact(a)) - Number(isOfImpact(b));

/** A listener of an element around that hears an event: told in the order in which they run. */
const isOnWay = ({ kind, by }: Draft): boolean => kind === 'hears' && by !== undefined;

const onWayLater = (a: Draft, b: Draft): number => Number(isOnWay(a)) - Number(isOnWay(b));

const sizes = new WeakMap<Draft, number>();

function sizeOf(draft: Draft): number {
  const known = sizes.get(draft);
  if (known !== undefined) return known;
  sizes.set(draft, 1);
  const size = 1 + draft.below.reduce((sum, one) => sum + sizeOf(one), 0);
  sizes.set(draft, size);
  return size;
}

/**
 * Numbers the lines from the first to the last. Of what branches off, the short ways come first;
 * the longest goes on in the lane of its origin, so that the main line is straight.
 */
export function numbered(start: Draft, down: boolean): { rungs: Rung[]; truncated: boolean } {
  const rungs: Rung[] = [];
  const indexes = new Map<string, number>();
  const stack: { draft: Draft; from: number; lane: number; above: PlaceIndex }[] = [
    { draft: start, from: -1, lane: 0, above: start.place },
  ];
  let truncated = false;
  for (let at = stack.pop(); at; at = stack.pop()) {
    if (rungs.length >= rungLimit) {
      truncated = true;
      break;
    }
    const { below, ...own } = at.draft;
    const index = rungs.length;
    const children = gathered(below).sort(
      (a, b) => rendersLast(a, b) || onWayLater(a, b) || (isOnWay(a) ? 0 : sizeOf(a) - sizeOf(b) || a.place - b.place),
    );
    const crossing = children.length > 0 && children.every((one) => one.place !== own.place || one.kind === 'provides');
    const carried =
      down &&
      at.above !== own.place &&
      ['passes', 'renames'].includes(own.kind) &&
      own.ending === undefined &&
      own.how === 'same' &&
      crossing;
    if (own.spot && own.ending !== 'again' && !indexes.has(spotKey(own.spot))) indexes.set(spotKey(own.spot), index);
    rungs.push({
      index,
      from: at.from,
      lane: at.lane,
      ...own,
      ...(carried ? { unread: true as const } : {}),
    });
    for (let child = children.length - 1; child >= 0; child--) {
      const draft = children[child];
      if (draft) stack.push({ draft, from: index, above: own.place, lane: child === children.length - 1 ? at.lane : at.lane + 1 });
    }
  }
  const told = rungs.map((rung): Rung => {
    const again = rung.ending === 'again' && rung.spot ? indexes.get(spotKey(rung.spot)) : undefined;
    return again === undefined ? rung : { ...rung, again };
  });
  return { rungs: told, truncated };
}
