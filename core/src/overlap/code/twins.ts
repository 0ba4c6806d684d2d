import { traitsOf } from '../../frameworks/registry';
import type { ActionFact } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { sharedWeight } from './align';
import { type Naming, type Pieces, piecesOf } from './pieces';

export type TwinOptions = {
  /** From this likeness on two components are twins, 0 to 1. */
  readonly likeness: number;
  /** Components that weigh less are too short to be told from chance; absent: by the project's own sizes. */
  readonly sizeLeast?: number;
};

export const twinDefaults: TwinOptions = { likeness: 0.8 };

export type TwinPair = { readonly a: ComponentId; readonly b: ComponentId; readonly likeness: number };

/** Components that are alike, each to one of the others at least; by path, then by place in the file. */
export type TwinCluster = {
  readonly members: readonly ComponentId[];
  readonly pairs: readonly TwinPair[];
  /** Of its likest pair. */ readonly likeness: number;
};

type Candidate = {
  readonly component: Component;
  readonly pieces: Pieces;
  /** What it takes to write: markup, contract and behaviour. */
  readonly size: number;
  readonly behaviour: ReadonlyMap<string, number>;
  /** Features of the markup with how often each occurs. */
  readonly features: ReadonlyMap<string, number>;
  /** The same for two of the same structure. */
  readonly print: string;
};

const behaviourWeight = 2;
/** A feature that more components have than this says nothing about which two are alike. */
const commonest = 60;
/** Pairs that share less than this of their features are not laid side by side. */
const featuresLeast = 0.45;
/** The smaller must be at least this share of the larger: else it is a part of it, no twin. */
const sizeRatio = 0.7;
const leastOfAll = 20;

/** What an action does, without the names it does it with. */
function doesOf({ kind, changes, raises, sends, hears, cleansUp }: ActionFact): string {
  return `${kind} ${changes.map((one) => one.how).join('')} ${raises.length} ${sends.length} ${hears.length} ${cleansUp}`;
}

/** State and behaviour, as a count of each kind; handlers that do nothing with the body are told by the markup. */
function behaviourOf({ facts, contract }: Component): Map<string, number> {
  const found = new Map<string, number>();
  const note = (what: string): void => void found.set(what, (found.get(what) ?? 0) + 1);
  for (const value of facts.values) if (/^(state|derived|ref|store|context|fetched|hook)$/.test(value.kind)) note(value.kind);
  for (const action of facts.actions)
    if (action.changes.length + action.raises.length + action.sends.length + action.hears.length > 0) note(doesOf(action));
  for (const prop of contract.members.values()) note(`prop ${prop.kind}`);
  return found;
}

const sumOf = (counts: ReadonlyMap<string, number>): number => [...counts.values()].reduce((sum, count) => sum + count, 0);

function sharedOf(one: ReadonlyMap<string, number>, other: ReadonlyMap<string, number>): number {
  let shared = 0;
  for (const [what, count] of one) shared += Math.min(count, other.get(what) ?? 0);
  return shared;
}

/** Each piece with what is around it and the names of its attributes: the words that two alike components have in common. */
function featuresOf({ nodes }: Pieces): Map<string, number> {
  const found = new Map<string, number>();
  for (const node of nodes) {
    const around = nodes[node.parent];
    const names = node.traits
      .map((trait) => trait.name)
      .sort()
      .join(' ');
    for (const feature of [
      `${node.role}:${node.label}[${names}]`,
      `${around ? `${around.role}:${around.label}` : ''}>${node.role}:${node.label}`,
    ])
      found.set(feature, (found.get(feature) ?? 0) + 1);
  }
  return found;
}

/** Two that have the same structure to the last attribute, whatever their values. */
const printOf = (pieces: Pieces, behaviour: ReadonlyMap<string, number>): string =>
  `${pieces.component.framework} ${pieces.nodes.map((node) => `${node.parent}.${node.role}:${node.label}[${node.traits.map((trait) => trait.name).join(' ')}]`).join('|')} ${[
    ...behaviour,
  ]
    .map(([what, count]) => `${what}×${count}`)
    .sort()
    .join(',')}`;

type Kept = WeakMap<Component, { readonly candidate: Candidate | undefined }>;
const keptCandidates: Readonly<Record<Naming, Kept>> = { exact: new WeakMap(), 'by name': new WeakMap() };

function candidateOf(model: Model, component: Component, naming: Naming): Candidate | undefined {
  const known = keptCandidates[naming].get(component);
  if (known) return known.candidate;
  const candidate = makeCandidate(model, component, naming);
  keptCandidates[naming].set(component, { candidate });
  return candidate;
}

function makeCandidate(model: Model, component: Component, naming: Naming): Candidate | undefined {
  const pieces = piecesOf(model, component, naming);
  const kinds = new Set(pieces.nodes.map((node) => `${node.role} ${node.label}`));
  // A label with its input is alike wherever it stands; it takes more to be a thing of one's own.
  if (pieces.nodes.length < 4 || kinds.size < 3) return undefined;
  const behaviour = behaviourOf(component);
  const size = pieces.total + behaviourWeight * sumOf(behaviour);
  return { component, pieces, behaviour, size, features: featuresOf(pieces), print: printOf(pieces, behaviour) };
}

/** A component of the project’s own source; where components are elements, a page repeats its frame, and nothing could stand for it. */
/** What a class has of another one that it extends is not written twice. */
const isCompared = ({ role, fileRole, framework, facts }: Component): boolean =>
  role === 'component' && fileRole === 'source' && !facts.shownByBase && !(traitsOf({ framework }).areElements && facts.form === 'file');

function candidatesOf(model: Model, naming: Naming = 'exact'): Candidate[] {
  return [...model.components.values()].flatMap((component): Candidate | [] =>
    isCompared(component) ? (candidateOf(model, component, naming) ?? []) : [],
  );
}

const keptLikeness = new WeakMap<Component, WeakMap<Component, number>>();

/** How alike two components are: the weight that both have by the weight of the smaller, 0 to 1. Kept for as long as both are. */
function likenessBetween(one: Candidate, other: Candidate): number {
  const row = keptLikeness.get(one.component) ?? new WeakMap<Component, number>();
  const known = row.get(other.component);
  if (known !== undefined) return known;
  const alike = computeLikeness(one, other);
  keptLikeness.set(one.component, row.set(other.component, alike));
  return alike;
}

function computeLikeness(one: Candidate, other: Candidate): number {
  const smaller = Math.min(one.size, other.size);
  const larger = Math.max(one.size, other.size);
  if (smaller === 0 || smaller < sizeRatio * larger) return 0;
  const shared = sharedWeight(one.pieces, other.pieces) + behaviourWeight * sharedOf(one.behaviour, other.behaviour);
  return Math.min(1, shared / smaller);
}

/** How alike two components of a project are, 0 to 1; 0 for short ones. */
export function likenessOf(model: Model, a: Component, b: Component): number {
  const naming = a.framework === b.framework ? 'exact' : 'by name';
  const make = (component: Component): Candidate => {
    const pieces = piecesOf(model, component, naming);
    const behaviour = behaviourOf(component);
    return { component, pieces, behaviour, size: pieces.total + behaviourWeight * sumOf(behaviour), features: new Map(), print: '' };
  };
  return likenessBetween(make(a), make(b));
}

/** The structure of each component that can be compared, as a text that is the same where that is. */
export function structureOf(model: Model): Map<ComponentId, string> {
  const found = new Map<ComponentId, string>();
  for (const component of model.components.values())
    if (isCompared(component)) found.set(component.id, candidateOf(model, component, 'exact')?.print ?? '');
  return found;
}

/** The components of a project that are large enough to be told as twins of others. */
export function comparable(model: Model, options: Pick<TwinOptions, 'sizeLeast'> = {}): ReadonlySet<ComponentId> {
  const all = candidatesOf(model);
  const floor = options.sizeLeast ?? sizeFloor(all);
  return new Set(all.filter((one) => one.size >= floor).map((one) => one.component.id));
}

/** One renders the other: what they share, it shows through it. */
const usesOther = (model: Model, a: Component, b: Component): boolean =>
  [a, b].some((one) =>
    (model.usesBy.get(one.id) ?? []).some((use) => use.target.kind === 'component' && use.target.id === (one === a ? b : a).id),
  );

/** Pairs that share enough rare features to be worth laying side by side: few for each component, so that it grows with their number. */
function likelyPairs(groups: readonly Candidate[], fits: (a: Candidate, b: Candidate) => boolean): [number, number][] {
  const having = new Map<string, number[]>();
  groups.forEach(({ features }, at) => {
    for (const feature of features.keys()) {
      const known = having.get(feature);
      if (known) known.push(at);
      else having.set(feature, [at]);
    }
  });
  // What is common to many says nothing; each component's rare features are listed once.
  const rare = groups.map(({ features }) => [...features].filter(([feature]) => (having.get(feature)?.length ?? 0) <= commonest));
  const weight = rare.map((own) => own.reduce((sum, [, count]) => sum + count, 0));
  const pairs: [number, number][] = [];
  const shared = new Float64Array(groups.length);
  rare.forEach((own, at) => {
    const touched: number[] = [];
    for (const [feature, count] of own)
      for (const other of having.get(feature) ?? []) {
        if (other <= at) continue;
        if (shared[other] === 0) touched.push(other);
        shared[other] = (shared[other] ?? 0) + Math.min(count, groups[other]?.features.get(feature) ?? 0);
      }
    for (const other of touched) {
      const [one, two] = [groups[at], groups[other]];
      if ((shared[other] ?? 0) >= featuresLeast * Math.min(weight[at] ?? 0, weight[other] ?? 0) && one && two && fits(one, two))
        pairs.push([at, other]);
      shared[other] = 0;
    }
  });
  return pairs;
}

/** The least size of what can be a twin: a quarter of the project's components are smaller, but never below what chance makes. */
function sizeFloor(all: readonly Candidate[]): number {
  const sizes = all.map((one) => one.size).sort((a, b) => a - b);
  return Math.max(leastOfAll, Math.min(30, sizes[Math.floor(sizes.length / 4)] ?? 0));
}

/** Pairs across frameworks, in a project that has several: each with the one that it is likest to. */
function acrossFrameworks(model: Model, floor: number, likeness: number): TwinCluster[] {
  if (new Set([...model.components.values()].map((one) => one.framework)).size < 2) return [];
  const all = candidatesOf(model, 'by name').filter((one) => one.size >= floor);
  const pairs = likelyPairs(all, (a, b) => a.component.framework !== b.component.framework)
    .flatMap(([one, other]): TwinPair[] => {
      const [a, b] = [all[one], all[other]];
      const alike = a && b ? likenessBetween(a, b) : 0;
      return a && b && alike >= likeness ? [{ a: a.component.id, b: b.component.id, likeness: alike }] : [];
    })
    .sort((x, y) => y.likeness - x.likeness);
  const taken = new Set<ComponentId>();
  return pairs.flatMap((pair): TwinCluster[] => {
    if (taken.has(pair.a) || taken.has(pair.b)) return [];
    taken.add(pair.a).add(pair.b);
    return [{ members: [pair.a, pair.b].sort((a, b) => a.localeCompare(b)), pairs: [pair], likeness: pair.likeness }];
  });
}

/**
 * The components of a project that are alike. Those of one structure are grouped by a fingerprint;
 * of different ones, pairs that share rare features are aligned. Those of different frameworks come
 * last, in pairs.
 */
export function findTwins(model: Model, options: TwinOptions = twinDefaults): TwinCluster[] {
  const all = candidatesOf(model);
  const floor = options.sizeLeast ?? sizeFloor(all);
  const large = all.filter((one) => one.size >= floor);
  const groups = new Map<string, Candidate[]>();
  for (const one of large) {
    const known = groups.get(one.print);
    if (known) known.push(one);
    else groups.set(one.print, [one]);
  }
  const heads = [...groups.values()];
  // Each structure belongs to the first that it is like: what is like its neighbour alone makes no chain.
  const leader = heads.map((_, at) => at);
  const clusters = new Map<number, { members: Set<ComponentId>; pairs: TwinPair[] }>();
  const add = (at: number, pair: TwinPair): void => {
    const known = clusters.get(at) ?? { members: new Set<ComponentId>(), pairs: [] };
    known.members.add(pair.a).add(pair.b);
    known.pairs.push(pair);
    clusters.set(at, known);
  };
  const isOne = (a: Candidate, b: Candidate): boolean => a.component.framework === b.component.framework;
  for (const [one, other] of likelyPairs(
    heads.flatMap((group) => group[0] ?? []),
    isOne,
  )) {
    const [a, b] = [heads[one]?.[0], heads[other]?.[0]];
    if (!a || !b || leader[one] !== one || leader[other] !== other || usesOther(model, a.component, b.component)) continue;
    const alike = likenessBetween(a, b);
    if (alike < options.likeness) continue;
    add(one, { a: a.component.id, b: b.component.id, likeness: alike });
    leader[other] = one;
  }
  heads.forEach((group, at) => {
    const [first] = group;
    for (const [index, other] of group.slice(1).entries()) {
      if (!first || usesOther(model, first.component, other.component)) continue;
      // Of one structure, they differ in values alone; how much is worth a look at the first few, or where it decides.
      const alike = index < 3 || options.likeness > twinDefaults.likeness ? likenessBetween(first, other) : 1;
      if (alike >= options.likeness) add(leader[at] ?? at, { a: first.component.id, b: other.component.id, likeness: alike });
    }
  });
  const own = [...clusters.values()].map(({ members, pairs }) => ({
    members: [...members].sort((a, b) => a.localeCompare(b)),
    pairs,
    likeness: Math.max(...pairs.map((pair) => pair.likeness)),
  }));
  return [...own, ...acrossFrameworks(model, floor, options.likeness)];
}
