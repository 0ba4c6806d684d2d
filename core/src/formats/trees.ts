import { useById } from '../model/lookup';
import type { Model, Page } from '../model/model';
import { memberName } from '../model/member';
import { type FilePath, locate } from '../model/span';
import type { Place, PlaceIndex } from '../model/tree';
import { conditionOf, unfold } from '../tree';
import type { LineOf } from './lines';

/** A place of a page’s tree as it leaves Liana: parents before children, in the order in which they are drawn. */
export type PlaceEntry = {
  readonly depth: number;
  readonly component: string;
  /** Where the use is written that makes it; of the first, where the component is declared. The line is 1-based. */
  readonly file: FilePath;
  readonly line: number;
  /** The component that wrote the use, and the one in which it stands; they differ for content of slots. */
  readonly owner?: string;
  readonly parent?: string;
  /** The slot through which it came. */
  readonly slot?: string;
  /** In the markup of its owner it stands in a list, or on a condition, or in the content of something that does. */
  readonly repeat: boolean;
  readonly condition: boolean;
  /** The conditions in words, outermost first. */
  readonly when?: readonly string[];
};

export type TreeEntry = {
  readonly page: string;
  readonly file: FilePath;
  readonly places: readonly PlaceEntry[];
  readonly truncated?: true;
};

/** The unfolded tree of a page, with names and lines. */
export function treeEntry(model: Model, page: Page, lineOf: LineOf): TreeEntry {
  const tree = unfold(model, page);
  // What shares an element with another part is no place of its own.
  const standing = (at: PlaceIndex): Place | undefined => {
    let place = tree.places[at];
    while (place?.onHost !== undefined) place = tree.places[place.parent];
    return place;
  };
  const named = (at: PlaceIndex): string | undefined => {
    const place = standing(at);
    return place && model.components.get(place.component)?.name;
  };
  const depths: number[] = [];
  const among =
    (kind: 'repeats' | 'branches') =>
    (place: Place): boolean => {
      for (let at: Place | undefined = place; at; at = tree.places[at.parent]) {
        if (at.owner !== place.owner) return false;
        if (at[kind].length > 0) return true;
      }
      return false;
    };
  const [inList, onCondition] = [among('repeats'), among('branches')];
  const places = tree.places.flatMap((place): PlaceEntry[] => {
    if (place.onHost !== undefined) return [];
    const depth = (depths[standing(place.parent)?.index ?? -1] ?? -1) + 1;
    depths[place.index] = depth;
    const component = model.components.get(place.component);
    const use = place.use && useById(model, place.use);
    const [owner, parent] = [named(place.owner), named(place.parent)];
    const own = component ? locate(component.file, component.facts.nameSpan) : { file: '', start: 0 };
    const { file, start } = use ? locate(use.file, use.node.span) : own;
    const entry: PlaceEntry = {
      depth,
      component: component?.name ?? '',
      file,
      line: lineOf(file, start),
      ...(owner === undefined ? {} : { owner }),
      ...(parent === undefined ? {} : { parent }),
      ...(place.slot ? { slot: memberName(place.slot.key) } : {}),
      repeat: inList(place),
      condition: onCondition(place),
      ...(place.branches.length > 0 ? { when: place.branches.map(conditionOf) } : {}),
    };
    return [entry];
  });
  return { page: page.name, file: page.file, places, ...(tree.truncated ? { truncated: true as const } : {}) };
}

/** A tree as indented lines. */
export function treeText({ page, file, places, truncated }: TreeEntry): string {
  const lines = places.map(({ depth, component, slot, repeat, when, file: at, line }) =>
    [
      `${'  '.repeat(depth)}${component}`,
      ...(slot === undefined || slot === 'default' ? [] : [`in slot ${slot}`]),
      ...(repeat ? ['repeated'] : []),
      ...(when ? [`when ${when.join(' and ')}`] : []),
      `(${at}:${line})`,
    ].join('  '),
  );
  return [`${page} (${file})`, '', ...lines, ...(truncated ? ['There are more places; the tree was cut here.'] : []), ''].join('\n');
}
