import type { Use } from '../model/model';
import { adapters } from './registry';

const lastPart = (tag: string): string => tag.slice(tag.lastIndexOf('.') + 1);

/** Whether a tag shows the next route of the page, in the words of any router. */
export function showsNextRoute(tag: string): boolean {
  return adapters.some(({ traits }) => traits.routeOutlet.test(lastPart(tag)));
}

/** Whether a use shows the routes of a table. */
export function mountsTable({ target, node }: Use): boolean {
  return target.kind === 'outside' && adapters.some(({ traits }) => traits.tableOutlet.test(node.tag));
}
