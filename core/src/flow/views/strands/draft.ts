import type { ComponentId } from '../../../model/ids';
import type { Location } from '../../../model/span';
import { type Knot, type KnotCode, type KnotKind, knotKinds, type Strand, type StrandKind } from '../../../model/strand';
import type { PlaceIndex } from '../../../model/tree';
import type { SubjectId } from '../subject';

/** A strand while its knots are tied. */
export type StrandDraft = {
  readonly strand: Omit<Strand, 'knots' | 'loose'>;
  readonly knots: Map<PlaceIndex, KnotDraft>;
  loose?: string;
};

type KnotDraft = {
  readonly place: PlaceIndex;
  readonly kinds: Set<KnotKind>;
  readonly name: string;
  readonly names: Set<string>;
  readonly code: KnotCode[];
  from: PlaceIndex;
  twoWay: boolean;
};

/** What is tied at a place. */
export type Tie = {
  readonly place: PlaceIndex;
  readonly kind: KnotKind;
  readonly name: string;
  /** The place it came from; -1 where it starts here or stays here. */
  readonly from: PlaceIndex;
  readonly code: readonly Location[];
  readonly twoWay?: boolean;
};

/** `at` tells it from others of its kind and name: the path of its place, the channel, what is loose. */
export function startStrand(kind: StrandKind, name: string, home: ComponentId, at: string, subject?: SubjectId): StrandDraft {
  const id = [kind, home, name, at].filter(Boolean).join(':');
  return { strand: { id, kind, name, home, ...(subject === undefined ? {} : { subject }) }, knots: new Map() };
}

export function tie(draft: StrandDraft, { place, kind, name, from, code, twoWay = false }: Tie): void {
  if (place < 0) return;
  const shown = code.map((at): KnotCode => ({ at, does: kind }));
  const known = draft.knots.get(place);
  if (!known) {
    draft.knots.set(place, { place, kinds: new Set([kind]), name, names: new Set([name]), code: shown, from, twoWay });
    return;
  }
  known.kinds.add(kind);
  known.names.add(name);
  for (const one of shown) if (!known.code.some(({ at, does }) => isSame(at, one.at) && does === one.does)) known.code.push(one);
  if (known.from < 0 && !known.kinds.has('owns')) known.from = from;
  if (twoWay) known.twoWay = true;
}

const isSame = (a: Location, b: Location): boolean => a.start === b.start && a.end === b.end && a.file === b.file;

const weight = new Map(knotKinds.map((kind, index) => [kind, index]));

export function finishStrand(draft: StrandDraft): Strand {
  const knots = [...draft.knots.values()]
    .map((knot): Knot => {
      const kinds = [...knot.kinds].sort((a, b) => (weight.get(a) ?? 0) - (weight.get(b) ?? 0));
      const quiet = kinds.length > 1 ? kinds.filter((kind) => kind !== 'passes') : kinds;
      return { ...knot, names: [...knot.names], kinds: quiet };
    })
    .sort((a, b) => a.place - b.place);
  return { ...draft.strand, knots, ...(draft.loose === undefined ? {} : { loose: draft.loose }) };
}
