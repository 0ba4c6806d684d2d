import type { Model } from '../model/model';
import type { Tree } from '../model/tree';

/**
 * The way to each place of a tree, by the names from the page down: `TodayPage/LockList/LockCard~2`.
 * Siblings of one name are counted; nothing that stands elsewhere changes a path.
 */
export function placePaths(model: Pick<Model, 'components'>, tree: Tree): string[] {
  const paths: string[] = [];
  const counts = new Map<string, number>();
  for (const { parent, component } of tree.places) {
    const name = model.components.get(component)?.name ?? '';
    const above = parent < 0 ? '' : `${paths[parent] ?? ''}/`;
    const among = `${parent} ${name}`;
    const count = (counts.get(among) ?? 0) + 1;
    counts.set(among, count);
    paths.push(`${above}${name}${count === 1 ? '' : `~${count}`}`);
  }
  return paths;
}
