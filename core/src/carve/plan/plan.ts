import type { Box } from '../picture/pixels';

declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

export type PartId = Branded<'part'>;
export type SheetId = Branded<'sheet'>;
export type RegionId = Branded<'region'>;
export type PlannedValueId = Branded<'planned value'>;

type Kind = { part: PartId; sheet: SheetId; region: RegionId; value: PlannedValueId };

/** Makes an id of its kind from a number that the plan has not used: `part-7`. */
export function planId<Name extends keyof Kind>(kind: Name, number: number): Kind[Name] {
  return `${kind}-${number}` as Kind[Name];
}

/**
 * What somebody means to build: pages as they look, the parts they are carved into, and the values
 * the parts know. Immutable; every edit makes a new one.
 */
export type Plan = {
  readonly name: string;
  /** Numbers given to ids so far. */
  readonly numbered: number;
  readonly sheets: readonly Sheet[];
  readonly parts: readonly Part[];
  /** Of two regions with the same box the later one is the inner one. */
  readonly regions: readonly Region[];
  readonly values: readonly PlannedValue[];
};

/** One look of a page: a picture, or a saved page shown at one width. Several may show the same page. */
export type Sheet = {
  readonly id: SheetId;
  /** The part that is the page. */
  readonly page: PartId;
  /** What tells it from other sheets of the page: a state or a width. */
  readonly title: string;
  readonly kind: 'picture' | 'html';
  /** Pixels of the page's own. */
  readonly width: number;
  readonly height: number;
  /** The file it is shown from, by the name it is kept under; empty for a page that was never seen. */
  readonly file: string;
};

/** A component to be. A page is a part too; its regions are its sheets. */
export type Part = {
  readonly id: PartId;
  readonly name: string;
  readonly role: 'page' | 'part';
  readonly note: string;
  readonly props: readonly PlannedProp[];
  /** What a user can do there that others must hear of. */
  readonly events: readonly PlannedEvent[];
  /** Places that the part leaves open; what stands there belongs to whoever uses the part. */
  readonly slots: readonly PlannedSlot[];
  /** The list it is made from, where it repeats; empty for its own default. */
  readonly list: string;
};

export type PlannedProp = {
  readonly name: string;
  /** As TypeScript writes it. */
  readonly type: string;
  readonly optional: boolean;
};

export type PlannedEvent = {
  readonly name: string;
  /** TypeScript type of what it hands over; empty for nothing. */ readonly payload: string;
};

export type PlannedSlot = { readonly name: string; /** Parts inside that come through it. */ readonly parts: readonly PartId[] };

/** One place at which a part stands on a sheet. */
export type Region = {
  readonly id: RegionId;
  readonly sheet: SheetId;
  readonly part: PartId;
  readonly box: Box;
  /** The element it was taken from, in a saved page; empty in a picture. */
  readonly selector: string;
  /** The region it was put into by hand; `null` for right on the page; absent: the one around it. */
  readonly within?: RegionId | null;
};

/** Something that the page knows. */
export type PlannedValue = {
  readonly id: PlannedValueId;
  readonly name: string;
  /** As TypeScript writes it. */
  readonly type: string;
  /** Parts that show it, or decide by it. */
  readonly readBy: readonly PartId[];
  /** Parts in which a user changes it. */
  readonly changedBy: readonly PartId[];
  /** It comes from the server, or is changed by it. */
  readonly fromServer: boolean;
  /** Each item of a list has its own. */
  readonly perItem: boolean;
  /** Pages that are not in this plan need it too. */
  readonly otherPages: boolean;
};

export const emptyPlan = (name: string): Plan => ({ name, numbered: 0, sheets: [], parts: [], regions: [], values: [] });

export const partOf = (plan: Plan, id: PartId): Part | undefined => plan.parts.find((part) => part.id === id);
export const partNamed = (plan: Plan, name: string): Part | undefined => plan.parts.find((part) => part.name === name);
export const nameOf = (plan: Plan, id: PartId): string => partOf(plan, id)?.name ?? 'a part that is gone';
