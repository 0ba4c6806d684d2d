import type { FlowQueries } from '../flow/steps/queries';
import type { Step as Link } from '../flow/steps/step';
import { type Spot, spotKey } from '../flow/graph/graph';

/** More than so many spots of one page are not followed. */
const spotsMost = 400_000;
/** Nor so many that what they come to would take more than this, in bytes. */
const bytesMost = 256_000_000;

/** What a value comes to: numbers of frames, in order. */
export type Reached = {
  readonly frames: readonly number[];
  /** Frames in whose content it is painted, as far as it was asked which those are. */
  readonly around: readonly number[];
};

export type ReachOptions = {
  /** No more spots of the page are followed. */
  readonly most?: number;
  /** The frames of those in whose content a step paints; empty where it is not asked. */
  readonly around?: (link: Link) => readonly number[];
};

const mostOf = (words: number): number => Math.min(spotsMost, Math.floor(bytesMost / (words * 4 + 1)));

/** The numbers of the bits that are set. */
function bitsIn(bits: Uint32Array): number[] {
  const found: number[] = [];
  bits.forEach((word, at) => {
    for (let left = word; left !== 0; left &= left - 1) found.push(at * 32 + 31 - Math.clz32(left & -left));
  });
  return found;
}

/** A spot that is being followed, or was. */
type Knot = {
  readonly order: number;
  /** The first of those still followed that it comes to. */
  low: number;
  /** The frames that it comes to, a bit for each, then those that it is painted in the content of; shared by those that come to the same. */
  bits: Uint32Array;
  state: 'followed' | 'done';
  /** It comes to spots that are not followed, since there are too many on the page. */
  isCut: boolean;
};

type Step = { readonly knot: Knot; readonly onward: ReturnType<FlowQueries['onward']>; next: number };

/** In a loop, since it is most of the time that a large page takes. */
function addBits(to: Uint32Array, from: Uint32Array): void {
  for (let at = 0; at < to.length; at++) to[at] = (to[at] ?? 0) | (from[at] ?? 0);
}
const addBit = (to: Uint32Array, bit: number): void => void (to[bit >> 5] = (to[bit >> 5] ?? 0) | (1 << (bit & 31)));

/**
 * What the values of a page come to on their way, frame by frame: undefined for a value whose way comes to spots past
 * the first `most` of the page, which are not followed. Each spot is followed once for all who come to it; those that
 * come to each other come to the same (strongly connected components, Tarjan 1972).
 */
export function makeReach(queries: FlowQueries, { most: given, around }: ReachOptions = {}): (start: Spot) => Reached | undefined {
  const count = queries.graph.frames.length;
  const words = Math.ceil((around ? count * 2 : count) / 32);
  const most = given ?? mostOf(words);
  const knots = new Map<string, Knot>();
  const open: Knot[] = [];

  function entered(spot: Spot): Knot {
    const order = knots.size;
    const knot: Knot = { order, low: order, bits: new Uint32Array(words), state: 'followed', isCut: order >= most };
    knots.set(spotKey(spot), knot);
    open.push(knot);
    return knot;
  }

  /** All that are in a circle with the one that was followed first are done. */
  function close(first: Knot): void {
    const circle: Knot[] = [];
    for (let one = open.pop(); one; one = one === first ? undefined : open.pop()) circle.push(one);
    for (const one of circle) {
      if (one !== first) addBits(first.bits, one.bits);
      if (one.isCut) first.isCut = true;
    }
    for (const one of circle) {
      one.bits = first.bits;
      one.isCut = first.isCut;
      one.state = 'done';
    }
  }

  function follow(start: Spot): void {
    const stack: Step[] = [];
    const enter = (spot: Spot): void => {
      const knot = entered(spot);
      stack.push({ knot, onward: knot.isCut ? [] : queries.onward(spot), next: 0 });
    };
    enter(start);
    for (let step = stack.at(-1); step; step = stack.at(-1)) {
      const { knot } = step;
      const link = step.onward[step.next++];
      if (link) {
        addBit(knot.bits, link.frame);
        for (const one of around?.(link) ?? []) addBit(knot.bits, count + one);
        if (!link.to) continue;
        addBit(knot.bits, link.to.frame);
        const other = knots.get(spotKey(link.to));
        if (!other) enter(link.to);
        else if (other.state === 'followed') knot.low = Math.min(knot.low, other.order);
        else take(knot, other);
        continue;
      }
      stack.pop();
      if (knot.low === knot.order) close(knot);
      const from = stack.at(-1)?.knot;
      if (!from) continue;
      if (knot.state === 'done') take(from, knot);
      else from.low = Math.min(from.low, knot.low);
    }
  }

  function take(knot: Knot, from: Knot): void {
    addBits(knot.bits, from.bits);
    if (from.isCut) knot.isCut = true;
  }

  /** What each set of bits says, which many values share. */
  const reachedBy = new Map<Uint32Array, Reached>();
  return (start) => {
    if (!knots.has(spotKey(start))) follow(start);
    const knot = knots.get(spotKey(start));
    if (!knot || knot.isCut) return undefined;
    const known = reachedBy.get(knot.bits) ?? reachedIn(bitsIn(knot.bits), count);
    reachedBy.set(knot.bits, known);
    return known;
  };
}

const reachedIn = (bits: readonly number[], count: number): Reached => ({
  frames: bits.filter((bit) => bit < count),
  around: bits.flatMap((bit) => (bit < count ? [] : [bit - count])),
});
