import type { FilePath, Location } from '../../../model/span';
import type { StrandKind } from '../../../model/strand';
import type { ComputationStep } from '../../../read/script/computation';
import type { Frame } from '../../graph/frames';
import type { SubjectId } from '../subject';
import type { LinkHow } from './links';

/** What a row is: what comes in, what is derived of it, what goes out, what is shown. */
export const rowGroups = ['in', 'derived', 'out', 'shown'] as const;
export type RowGroup = (typeof rowGroups)[number];

/** A declaration of a body, or a place in its markup where one ends. */
export type DerivesRow = {
  readonly group: RowGroup;
  readonly kind: StrandKind;
  readonly name: string;
  readonly at: Location;
  /** What it is computed from, as written, on one line; empty where nothing is. */
  readonly text: string;
  /** The same where it is written, to be shown whole; absent where nothing is. */
  readonly code?: Location;
  /** What its computation does, in a few words. */
  readonly does: string;
  /** When it is another, as a sentence; empty where nothing is to be said. */
  readonly says: string;
  readonly steps: readonly ComputationStep[];
  /** What sets it by hand: functions that write to it, each with the first place. */
  readonly setBy: readonly { readonly name: string; readonly at: Location }[];
  /** For a trace of it; absent for what is no value. */
  readonly subject?: SubjectId;
  /** A value of the body whose own declarations are meant by it: of a hook, or of a store of the project. */
  readonly opens?: SubjectId;
};

/** The way of one row to those that are made of it. */
export type DerivesStrand = {
  readonly row: number;
  readonly column: number;
  readonly to: readonly { readonly row: number; readonly how: LinkHow }[];
};

/** What derives from what within one component, hook or module. */
export type Derivation = {
  readonly name: string;
  readonly file: FilePath;
  readonly kind: Frame['kind'];
  readonly rows: readonly DerivesRow[];
  readonly strands: readonly DerivesStrand[];
  readonly columns: number;
};
