import type { ComponentId } from './ids';
import type { Location } from './span';
import type { PlaceIndex } from './tree';

export type StrandKind = 'state' | 'prop' | 'event' | 'store' | 'context';

/**
 * What happens to a value or event at one place. `ground` marks where a loose end should have been
 * tied. The order is the order of weight: of several, the first is drawn.
 */
export const knotKinds = ['loose', 'ground', 'owns', 'changes', 'raises', 'catches', 'reads', 'renames', 'narrows', 'passes'] as const;
export type KnotKind = (typeof knotKinds)[number];

/** One place where a strand touches a component. */
export type Knot = {
  readonly place: PlaceIndex;
  /** All that happens here, the weightiest first. */
  readonly kinds: readonly KnotKind[];
  /** The value's name here, and all its names where several props carry it. */
  readonly name: string;
  readonly names: readonly string[];
  /** Where in the code, each with what it shows; the use that passes it comes first. */
  readonly code: readonly KnotCode[];
  /** The place it came from; -1 at its start. */
  readonly from: PlaceIndex;
  /** Its change comes back the same way. */
  readonly twoWay: boolean;
};

export type KnotCode = { readonly at: Location; readonly does: KnotKind };

/** The whole way of one value or event through a page. */
export type Strand = {
  /** Stable while the components and names on it are. */
  readonly id: string;
  readonly kind: StrandKind;
  readonly name: string;
  /** The component it starts in; for a store, its file and name in the same form. */
  readonly home: ComponentId;
  /** For a trace of what it carries. */
  readonly subject?: string;
  /** Ordered by place; the first is its start, unless it starts above the page. */
  readonly knots: readonly Knot[];
  /** Has an end that should be tied and is not; what is wrong in words. */
  readonly loose?: string;
};
