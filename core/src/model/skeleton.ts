/**
 * The parts of a plan as code to be, in no framework's words. What a writer gets: every name is
 * settled, every value has its place, every use says what it is given.
 */
export type Skeleton = {
  readonly name: string;
  readonly parts: readonly SkeletonPart[];
  /** Style of the pages, as one sheet. */
  readonly style: string;
  /** Attributes of the page's `html` and `body` elements. */
  readonly root: Readonly<Record<string, string>>;
  readonly body: Readonly<Record<string, string>>;
  /** Addresses of pictures that the markup shows. */
  readonly pictures: readonly string[];
};

export type SkeletonPart = {
  readonly name: string;
  readonly role: 'page' | 'part';
  readonly note: string;
  /** What it takes from its owner, without events. */
  readonly props: readonly SkeletonProp[];
  readonly events: readonly SkeletonEvent[];
  readonly slots: readonly string[];
  /** Values that live here. */
  readonly state: readonly SkeletonState[];
  /** Values it takes from a context or a store above or outside. */
  readonly taken: readonly SkeletonTaken[];
  /** Sample content that a page is shown with: constants by name. */
  readonly sample: readonly { readonly name: string; readonly type: string; readonly value: SampleValue }[];
  readonly markup: readonly Markup[];
  /** Names of the parts that its types and its markup speak of. */
  readonly uses: readonly string[];
};

export type SampleValue = string | number | boolean | undefined | readonly SampleItem[];
export type SampleItem = { readonly [field: string]: SampleValue };

export type SkeletonProp = {
  readonly name: string;
  /** As TypeScript writes it. */
  readonly type: string;
  readonly optional: boolean;
  /** `content` differs from place to place; `value` is a planned value; `planned` was written into the plan. */
  readonly kind: 'content' | 'value' | 'planned';
};

/** Something the part tells its owner: `select`, with what it hands over. */
export type SkeletonEvent = {
  readonly name: string;
  readonly payload: string;
  /** The value it asks to change, for such an event. */ readonly changes: string;
};

export type SkeletonState = { readonly name: string; readonly type: string; readonly provided: boolean };

export type SkeletonTaken = {
  readonly name: string;
  readonly type: string;
  readonly from: 'context' | 'store';
  readonly changes: boolean;
  readonly reads: boolean;
};

export type Markup =
  | {
      readonly kind: 'element';
      readonly tag: string;
      readonly attributes: readonly MarkupAttribute[];
      readonly events: readonly string[];
      readonly shows: readonly string[];
      readonly children: readonly Markup[];
    }
  | { readonly kind: 'text'; readonly text: string | Expression }
  | { readonly kind: 'use'; readonly part: string; readonly given: readonly Given[]; readonly content: readonly Markup[] }
  | { readonly kind: 'each'; readonly over: Expression; readonly item: string; readonly children: readonly Markup[] }
  | { readonly kind: 'when'; readonly test: Expression; readonly children: readonly Markup[] }
  | { readonly kind: 'slot'; readonly name: string };

export type MarkupAttribute = { readonly name: string; readonly value: string | Expression };

/** A name in reach: a prop, a state, a field of a list's item; with `from` and `to`, a stretch of a list. */
export type Expression = { readonly name: string; readonly of?: string; readonly from?: number; readonly to?: number };

export type Given =
  | { readonly kind: 'prop'; readonly name: string; readonly value: SampleValue | { readonly expression: Expression } }
  /** An event handed on to the owner (`on`), or heard here. `changes` sets a state that lives here. */
  | { readonly kind: 'event'; readonly name: string; readonly payload: string; readonly on: string; readonly changes: string };

export type SkeletonFile = { readonly file: string; readonly text: string };

/** Writes a skeleton in one framework's words. */
export type SkeletonWriter = { readonly framework: string; readonly write: (skeleton: Skeleton) => SkeletonFile[] };

/** A value that a type allows, for what no page shows. */
export function emptyOf(type: string): SampleValue {
  if (type.endsWith('[]')) return [];
  if (type === 'number') return 0;
  if (type === 'boolean') return false;
  const literal = /^["']([^"']*)["']/.exec(type);
  return literal ? (literal[1] ?? '') : '';
}
