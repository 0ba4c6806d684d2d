import { elementChildren, elementCount, likeness, type Profile, shapeOf } from '../../overlap';
import { type PageNode, type PageTree, textBelow } from './read';
import { isBareList, sealed, type Things, thingsOf } from './things';
import { literalPattern } from '../../model/literal-pattern';
import { append } from '../../model/append';

/** Subtrees that are one thing repeated, in the order of the text. */
export type Group = { readonly items: readonly number[]; /** 0 to 1: how alike the least alike item is. */ readonly likeness: number };

const alikeEnough = 0.52;
const pairAlike = 0.72;
/** Things that share a name of their own, or stand in alike surroundings, need less to be one. */
const namedAlike = 0.42;
const clustersMost = 60;

type Cluster = { items: number[]; shape: Profile; label: string; least: number; marks: Set<string> };

type Reading = {
  readonly tree: PageTree;
  readonly things: Things;
  readonly shapes: (at: number) => Profile;
  readonly names: ReadonlySet<string>;
};

/** Tells whether two things share a name that is one: not a class of looks that unlike things have too. */
const sharesName = ({ names }: Reading, one: ReadonlySet<string>, other: readonly string[]): boolean =>
  other.some((mark) => names.has(mark) && one.has(mark));

/** A node's label; rows of a table with the number of their columns, since rows of different tables are unlike by these. */
function labelOf({ tree }: Reading, node: PageNode): string {
  if (node.label !== 'tr') return node.label;
  const columns = elementChildren(tree, node.index).reduce((sum, cell) => sum + (Number(cell.attributes['colspan']) || 1), 0);
  return `tr ${columns}`;
}

function joins(reading: Reading, cluster: Cluster, node: PageNode): number {
  const alike = likeness(cluster.shape, reading.shapes(node.index));
  const marks = reading.things.marks(node.index);
  const isNamed = sharesName(reading, cluster.marks, marks);
  if (isNamed) return alike >= namedAlike * 0.6 || node.label.includes('-') ? 0.5 + alike / 2 : 0;
  if (cluster.label !== labelOf(reading, node)) return 0;
  // Names that have nothing in common speak against it.
  const named = marks.filter((mark) => reading.names.has(mark));
  const bar = named.length > 0 && [...cluster.marks].some((mark) => reading.names.has(mark)) ? pairAlike : alikeEnough;
  return alike >= bar ? alike : 0;
}

/**
 * Names that say what a thing is: those whose bearers are alike wherever they stand. A class of looks
 * (`flex`, `mt-2`) is borne by unlike things, and a class of a state by few of those that are alike.
 */
function namesOf(tree: PageTree, things: Things, shapes: (at: number) => Profile): ReadonlySet<string> {
  const bearers = new Map<string, number[]>();
  for (const node of tree.nodes)
    for (const mark of things.marks(node.index)) {
      const held = bearers.get(mark);
      if (held) held.push(node.index);
      else bearers.set(mark, [node.index]);
    }
  const names = new Set<string>();
  for (const [mark, all] of bearers) {
    if (mark.startsWith('<')) {
      names.add(mark);
      continue;
    }
    if (all.length < 2) continue;
    const sample = all.length > 24 ? all.filter((_, index) => index % Math.ceil(all.length / 24) === 0) : all;
    const largestOf = (some: readonly number[]): number =>
      some.reduce((best, at) => (shapes(at).size > shapes(best).size ? at : best), some[0] ?? 0);
    // A link and a button of one name are compared with their own kind.
    const alike =
      sample.reduce((sum, at) => {
        const same = sample.filter((one) => tree.nodes[one]?.label === tree.nodes[at]?.label);
        return sum + likeness(shapes(largestOf(same.length > 1 ? same : sample)), shapes(at));
      }, 0) / sample.length;
    const labels = new Set(all.map((at) => tree.nodes[at]?.label)).size;
    const areSmall = all.every((at) => things.kind(at) === 'mark' || things.kind(at) === 'control');
    if (areSmall || alike >= (labels > 2 ? 0.7 : 0.42)) names.add(mark);
  }
  return names;
}

/** Children of one node that are alike, whatever stands between them. */
function clusterChildren(reading: Reading, at: number): Cluster[] {
  const clusters: Cluster[] = [];
  for (const node of elementChildren(reading.tree, at)) {
    const kind = reading.things.kind(node.index);
    if (kind !== 'structure' && kind !== 'mark') continue;
    const shape = reading.shapes(node.index);
    let best: { cluster: Cluster; alike: number } | undefined;
    for (const cluster of clusters) {
      const alike = joins(reading, cluster, node);
      if (alike > (best?.alike ?? 0)) best = { cluster, alike };
    }
    if (best) {
      best.cluster.items.push(node.index);
      best.cluster.least = Math.min(best.cluster.least, best.alike);
      // The fullest item stands for all: those without optional parts are like it, not the other way round.
      if (shape.size > best.cluster.shape.size) best.cluster.shape = shape;
      best.cluster.marks = new Set([...best.cluster.marks].filter((mark) => reading.things.marks(node.index).includes(mark)));
    } else if (clusters.length < clustersMost) {
      clusters.push({
        items: [node.index],
        shape,
        label: labelOf(reading, node),
        least: 1,
        marks: new Set(reading.things.marks(node.index)),
      });
    }
  }
  for (const cluster of clusters) addBare(reading, at, cluster);
  // Small things alone are told by their look, wherever they stand; among larger ones of their kind they are such with less in them.
  return clusters.filter(({ items }) => items.some((item) => reading.things.kind(item) === 'structure'));
}

/** What stands in the same list with next to nothing in it is an item too, where most are. */
function addBare({ tree, things, shapes }: Reading, at: number, cluster: Cluster): void {
  const beside = elementChildren(tree, at).filter((node) => node.label === cluster.label);
  const bare = beside.filter((node) => things.kind(node.index) === undefined && node.children.length > 0);
  if (cluster.items.length < 2 || cluster.items.length + bare.length !== beside.length || bare.length > cluster.items.length) return;
  if (bare.every((node) => sharedParts(cluster.shape, shapes(node.index)) >= 0.9))
    append(
      cluster.items,
      bare.map((node) => node.index),
    );
}

/** The labels and names of a node and of the two around it: where things of one kind stand. */
function standing({ tree, things, names }: Reading, at: number): string {
  const steps: string[] = [];
  for (let node = tree.nodes[at]; node && steps.length < 3; node = tree.nodes[node.parent])
    steps.push(
      `${node.label}.${things
        .marks(node.index)
        .filter((mark) => names.has(mark))
        .sort()
        .join('.')}`,
    );
  return steps.join(' < ');
}

/** How alike the nearest items of two clusters are, by a few of each. */
function nearest({ shapes }: Reading, one: Cluster, other: Cluster): number {
  const few = ({ items }: Cluster): readonly number[] => items.filter((_, index) => index % Math.ceil(items.length / 8) === 0);
  let best = likeness(one.shape, other.shape);
  for (const a of few(one)) for (const b of few(other)) best = Math.max(best, likeness(shapes(a), shapes(b)));
  return best;
}

/** Clusters of different parents that are one thing: of one name, or alike and standing in the same surroundings. */
function joinAcross(reading: Reading, clusters: readonly Cluster[]): Cluster[] {
  const joined: Cluster[] = [];
  for (const cluster of [...clusters].sort((a, b) => b.items.length - a.items.length || b.shape.size - a.shape.size)) {
    const place = standing(reading, reading.tree.nodes[cluster.items[0] ?? -1]?.parent ?? -1);
    let best: { one: Cluster; alike: number } | undefined;
    for (const one of joined) {
      const alike = nearest(reading, one, cluster);
      const isNamed = sharesName(reading, one.marks, [...cluster.marks]);
      const isSamePlace = one.label === cluster.label && place === standing(reading, reading.tree.nodes[one.items[0] ?? -1]?.parent ?? -1);
      const isLess = isNamed && one.label === cluster.label && alike >= 0.2 && sharedParts(one.shape, cluster.shape) >= 0.8;
      const bar = isLess ? 0.2 : isNamed ? namedAlike : isSamePlace ? alikeEnough : 2;
      if (alike >= bar && alike > (best?.alike ?? -1)) best = { one, alike };
    }
    if (best) {
      append(best.one.items, cluster.items);
      best.one.least = Math.min(best.one.least, cluster.least);
      best.one.marks = new Set([...best.one.marks].filter((mark) => cluster.marks.has(mark)));
      if (cluster.shape.size > best.one.shape.size) best.one.shape = cluster.shape;
    } else joined.push({ ...cluster, items: [...cluster.items] });
  }
  return joined;
}

/** Small things with a look of their own, wherever they stand: those of one make are one. */
function smallGroups(reading: Reading, isLeftOut: (at: number) => boolean): Cluster[] {
  const { tree, things, shapes } = reading;
  const byKey = new Map<string, number[]>();
  for (const node of tree.nodes) {
    const kind = things.kind(node.index);
    if ((kind !== 'control' && kind !== 'mark') || isLeftOut(node.index)) continue;
    const named = things.marks(node.index).filter((mark) => reading.names.has(mark));
    const key = things.key(node.index);
    const isTold = key.split('|').at(-1) !== '';
    const full = isTold ? key : `${key} ${named[0] ?? (kind === 'control' ? node.label : standing(reading, node.index))}`;
    const held = byKey.get(full);
    if (held) held.push(node.index);
    else byKey.set(full, [node.index]);
  }
  return joinNamed(reading, [...byKey.values()])
    .filter((items) => items.length > 1)
    .map((items) => ({
      items,
      shape: shapes(items[0] ?? 0),
      label: tree.nodes[items[0] ?? 0]?.label ?? '',
      least: 1,
      marks: new Set(things.marks(items[0] ?? 0)),
    }));
}

/** What two shapes share below their tops, by the smaller of them: 1 where one is the other with parts left out. */
function sharedParts(one: Profile, other: Profile): number {
  const weigh = (shape: Profile, isCounted: (path: string) => boolean): number => {
    let sum = 0;
    for (const [path, weight] of shape) if (path.includes('/') && isCounted(path)) sum += weight;
    return sum;
  };
  const least = Math.min(
    weigh(one, () => true),
    weigh(other, () => true),
  );
  return least === 0 ? 1 : weigh(one, (path) => other.has(path)) / least;
}

/** Of two things, less than this is shared below their tops: they have a frame in common, and nothing in it. */
const framesShare = 0.36;

/** Tells whether the items only have a frame in common (a panel, a side box), each with a content of its own: these are parts, each by itself. */
function areFrames({ tree, shapes }: Reading, { items }: Cluster): boolean {
  if (items.length > 8 || items.some((item) => elementCount(tree, item) < 3)) return false;
  const shares = items
    .flatMap((one, index) => items.slice(index + 1).map((other) => sharedParts(shapes(one), shapes(other))))
    .sort((a, b) => a - b);
  return (shares[Math.floor(shares.length / 2)] ?? 1) < framesShare;
}

/** Items of one kind are linked by this at least; two kinds in one frame are nowhere nearer than `kindsApart`. */
const kindAlike = 0.75;
const kindsApart = 0.58;

/**
 * Takes apart a cluster of kinds that only share a frame: the items of each are alike one by one
 * (single links), and those of different kinds are not. Items with parts left out fill the gap
 * between, and keep a cluster whole.
 */
function splitKinds({ shapes }: Reading, cluster: Cluster): Cluster[] {
  if (cluster.items.length < 4 || cluster.items.length > 400) return [cluster];
  const nearest = (kind: readonly number[], item: number): number =>
    kind.reduce((best, one) => Math.max(best, likeness(shapes(one), shapes(item))), 0);
  const kinds: number[][] = [];
  for (const item of cluster.items) {
    const [first, ...others] = kinds.filter((kind) => nearest(kind, item) >= kindsApart);
    if (!first) kinds.push([item]);
    else {
      first.push(item);
      append(first, others.flat());
      for (const other of others) kinds.splice(kinds.indexOf(other), 1);
    }
  }
  const isOne = (kind: readonly number[]): boolean =>
    kind.length > 1 &&
    kind.every(
      (item) =>
        nearest(
          kind.filter((one) => one !== item),
          item,
        ) >= kindAlike,
    );
  // Where one has all that the other has and more, it is the same thing, open or full.
  const isMore = kinds.some((kind) =>
    kinds.some((other) => kind !== other && sharedParts(shapes(kind[0] ?? 0), shapes(other[0] ?? 0)) >= 0.7),
  );
  return kinds.length > 1 && kinds.every(isOne) && !isMore
    ? kinds.map((items) => ({ ...cluster, items: items.sort((a, b) => a - b) }))
    : [cluster];
}

/** Puts small things to the larger ones of their name that they are with something left out; tells whether there are such. */
function joinLarger(reading: Reading, large: readonly Cluster[], small: Cluster): boolean {
  const found = large.find((one) => {
    const item = small.items.find((at) => reading.tree.nodes[at]?.label === one.label);
    if (item === undefined || !sharesName(reading, one.marks, [...small.marks])) return false;
    const shape = reading.shapes(item);
    return likeness(one.shape, shape) >= alikeEnough && sharedParts(one.shape, shape) >= 0.9;
  });
  if (found) append(found.items, small.items);
  return found !== undefined;
}

/** Small things of one name are one, though some are larger than others: a portrait in a list and one at the head. */
function joinNamed(reading: Reading, all: readonly number[][]): number[][] {
  const byName = new Map<string, number[]>();
  const joined: number[][] = [];
  for (const items of all) {
    const shared = reading.things
      .marks(items[0] ?? 0)
      .filter((mark) => reading.names.has(mark) && items.every((item) => reading.things.marks(item).includes(mark)));
    const target = shared.map((mark) => byName.get(mark)).find((one) => one !== undefined);
    if (target) append(target, items);
    else joined.push([...items]);
    const held = target ?? joined.at(-1) ?? [];
    for (const mark of shared) byName.set(mark, held);
  }
  return joined.map((items) => items.sort((a, b) => a - b));
}

/**
 * Without the items that hold others of their own cluster and more or less than one of these has beside them: a column
 * around cards in columns of the same name. What is nested as comments are has about as much of its own as any other.
 */
function withoutHolders(tree: PageTree, cluster: Cluster): Cluster {
  const ordered = [...cluster.items].sort((a, b) => a - b);
  if (ordered.every((item, at) => (tree.nodes[item]?.end ?? 0) <= (ordered[at + 1] ?? Infinity))) return cluster;
  const sizes = new Map(cluster.items.map((item) => [item, elementCount(tree, item)]));
  const held = (item: number): number[] => {
    const end = tree.nodes[item]?.end ?? 0;
    const inside = cluster.items.filter((one) => item < one && one < end);
    return inside.filter((one) => !inside.some((other) => other < one && one < (tree.nodes[other]?.end ?? 0)));
  };
  const own = new Map(
    cluster.items.map((item) => [item, (sizes.get(item) ?? 0) - held(item).reduce((sum, one) => sum + (sizes.get(one) ?? 0), 0)]),
  );
  const leaves = cluster.items.filter((item) => held(item).length === 0).map((item) => own.get(item) ?? 0);
  const usual = leaves.sort((a, b) => a - b)[Math.floor(leaves.length / 2)] ?? 0;
  const isItem = (item: number): boolean => {
    const size = own.get(item) ?? 0;
    return held(item).length === 0 || (size >= usual * 0.4 && size <= usual * 2.5);
  };
  const items = cluster.items.filter(isItem);
  return items.length === cluster.items.length ? cluster : { ...cluster, items };
}

/** Two in a row may be chance: they count when they are very alike or of one name, and no mere wrappers. */
function isGroup(reading: Reading, { items, marks, least }: Cluster): boolean {
  if (items.length < 2) return false;
  if (items.length > 2) return true;
  const isNamed = [...marks].some((mark) => reading.names.has(mark));
  return (
    (isNamed || least >= pairAlike) && items.every((item) => elementCount(reading.tree, item) >= 2 && !holdsAllOfRegion(reading.tree, item))
  );
}

/** Tells whether a node is all that a region of the page holds, through others that hold nothing else: it lays out what stands in there. */
function holdsAllOfRegion(tree: PageTree, at: number): boolean {
  for (let parent = tree.nodes[tree.nodes[at]?.parent ?? -1]; parent; parent = tree.nodes[parent.parent]) {
    if (elementChildren(tree, parent.index).length !== 1) return false;
    if (/^(?:header|footer|nav|main|aside|body)$/.test(parent.label)) return true;
  }
  return false;
}

/**
 * Finds what repeats on a page: alike children of one parent, however much stands between them or is
 * missing in some; the same in other regions; and small things with a look of their own (pills,
 * portraits, buttons of one look) wherever they stand. Slices that stand once in each of other items,
 * and bare lists of items, are left out. Outer groups come first; empty for a page without repeats.
 */
export function findGroups(tree: PageTree): Group[] {
  const kept = new Map<number, Profile>();
  const shapes = (at: number): Profile => {
    const shape = kept.get(at) ?? shapeOf(tree, at);
    kept.set(at, shape);
    return shape;
  };
  const things = thingsOf(tree);
  const reading: Reading = { tree, things, shapes, names: namesOf(tree, things, shapes) };
  const inSealed = new Uint8Array(tree.nodes.length);
  const clusters: Cluster[] = [];
  for (let at = 0; at < tree.nodes.length; at++) {
    const node = tree.nodes[at];
    if (!node || node.children.length === 0) continue;
    if (sealed.has(node.label)) {
      inSealed.fill(1, at + 1, node.end);
      at = node.end - 1;
      continue;
    }
    append(clusters, clusterChildren(reading, at));
  }
  const large = joinAcross(reading, clusters)
    .map((cluster) => withoutHolders(tree, cluster))
    .flatMap((cluster) => splitKinds(reading, cluster))
    .filter((cluster) => !areFrames(reading, cluster))
    .filter((cluster) => isGroup(reading, cluster));
  const grouped = new Set(large.flatMap((cluster) => cluster.items));
  const small = smallGroups(reading, (at) => inSealed[at] === 1 || grouped.has(at)).filter((one) => !joinLarger(reading, large, one));
  const found = withoutSlices(reading, withoutBareLists(reading, [...large, ...small]), new Set(small));
  return withoutDoubles(tree, found)
    .map(({ items, least }) => ({ items: [...new Set(items)].sort((a, b) => a - b), likeness: least }))
    .sort((a, b) => (a.items[0] ?? 0) - (b.items[0] ?? 0));
}

/** A list that holds nothing but items is no item. */
function withoutBareLists({ tree }: Reading, clusters: readonly Cluster[]): Cluster[] {
  const groups = new Map(clusters.flatMap((cluster) => cluster.items.map((item) => [item, cluster] as const)));
  const isList = (at: number): boolean => {
    const first = elementChildren(tree, at)[0];
    const group = first && groups.get(first.index);
    return group !== undefined && isBareList(tree, at, (one) => groups.get(one) === group);
  };
  return clusters.filter(
    ({ items, label }) => label.includes('-') || !items.every(isList) || !items.some((at) => elementChildren(tree, at).length > 1),
  );
}

/** What stands once in each item of another group is a slice of it, and no thing of its own. */
function withoutSlices({ tree, things }: Reading, clusters: readonly Cluster[], small: ReadonlySet<Cluster>): Cluster[] {
  const isSlice = (inner: Cluster, outer: Cluster): boolean => {
    if (inner === outer || inner.items.length > outer.items.length) return false;
    const within = new Set<number>();
    for (const item of inner.items) {
      const around = outer.items.findLast((one) => one < item && item < (tree.nodes[one]?.end ?? 0));
      if (around === undefined) continue;
      if (within.has(around)) return false;
      within.add(around);
    }
    return within.size >= inner.items.length * 0.7;
  };
  // A few controls that belong together (more, less, and the number between them) are a control of several.
  const controls = (at: number): number[] => {
    const found: number[] = [];
    for (let one = at; one < (tree.nodes[at]?.end ?? 0); one++) if (things.kind(one) === 'control') found.push(one);
    return found;
  };
  const isOfControls = ({ items }: Cluster): boolean =>
    items.every((item) => {
      const held = controls(item);
      const others = textBelow(tree, item).replace(new RegExp(held.map((one) => literalPattern(textBelow(tree, one))).join('|'), 'g'), '');
      return held.length > 0 && things.data(item) <= 4 && things.data(item) > 1 && /^[\s\d.,%]*$/.test(others);
    });
  const isKept = (cluster: Cluster): boolean => small.has(cluster) || cluster.label.includes('-') || isOfControls(cluster);
  const kept = clusters.filter((cluster) => isKept(cluster) || !clusters.some((outer) => isSlice(cluster, outer)));
  // A sign that does one thing to the few words beside it is no thing of its own.
  const within = new Set(
    kept.flatMap(({ items }) => items.filter((item) => things.data(item) > 1 && things.data(item) <= 4).flatMap(controls)),
  );
  const isPicture = (item: number): boolean =>
    things.key(item).includes('|img|') || (textBelow(tree, item) === '' && elementChildren(tree, item)[0]?.label === 'img');
  const isOfOne = (cluster: Cluster): boolean => {
    const outer = kept.find((one) => isSlice(cluster, one));
    return (
      outer !== undefined && cluster.items.every((item) => outer.items.some((one) => one < item && item < (tree.nodes[one]?.end ?? 0)))
    );
  };
  const isInSmall = (cluster: Cluster): boolean =>
    kept.some(
      (one) =>
        one !== cluster &&
        small.has(one) &&
        cluster.items.every((item) => one.items.some((at) => at < item && item < (tree.nodes[at]?.end ?? 0))),
    );
  const isSign = (item: number): boolean => within.has(item) && textBelow(tree, item).length === 1;
  return kept.filter(
    (cluster) =>
      !small.has(cluster) || !(cluster.items.every(isSign) || (cluster.items.every(isPicture) && isOfOne(cluster)) || isInSmall(cluster)),
  );
}

/** The innermost element that is the same thing: past those that hold nothing else. */
function core(tree: PageTree, at: number): number {
  let node = tree.nodes[at];
  for (;;) {
    const inner = node?.children.filter((child) => tree.nodes[child]?.label !== '#space') ?? [];
    const only = inner.length === 1 ? tree.nodes[inner[0] ?? -1] : undefined;
    if (!only || only.label.startsWith('#') || only.label === 'svg') return node?.index ?? at;
    node = only;
  }
}

/** Of groups that are the same things, once with their wrappers and once without, the larger stays. */
function withoutDoubles(tree: PageTree, clusters: readonly Cluster[]): Cluster[] {
  const taken = new Set<number>();
  return [...clusters]
    .sort((a, b) => b.items.length - a.items.length)
    .filter(({ items }) => {
      const cores = items.map((item) => core(tree, item));
      const isDouble = cores.filter((one) => taken.has(one)).length > items.length / 2;
      if (!isDouble) for (const one of cores) taken.add(one);
      return !isDouble;
    });
}

/**
 * The elements of a page that are like one of another (or the same) page: the group it stands in,
 * where it has one, else all of its label that are alike enough. `at` itself is left out.
 */
export function findLikes(tree: PageTree, at: number, among: PageTree = tree): number[] {
  const node = tree.nodes[at];
  if (!node) return [];
  const group = among === tree ? findGroups(tree).find(({ items }) => items.includes(at)) : undefined;
  if (group) return group.items.filter((item) => item !== at);
  const shape = shapeOf(tree, at);
  const found: number[] = [];
  for (const other of among.nodes) {
    const isSelf =
      among === tree && (other.index === at || (other.index < at && at < other.end) || (at < other.index && other.index < node.end));
    if (isSelf || other.label !== node.label || other.index < (among.nodes[found.at(-1) ?? -1]?.end ?? 0)) continue;
    const alike = likeness(shape, shapeOf(among, other.index));
    const isNamed = other.tokens.some((token) => node.tokens.includes(token));
    if (alike >= pairAlike || (isNamed && alike >= alikeEnough - 0.17)) found.push(other.index);
  }
  return found;
}
