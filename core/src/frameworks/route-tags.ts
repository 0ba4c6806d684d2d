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

/** The prop by which a use gives something to the routes that it shows; undefined for all that shows none. */
export function givesToRoutes({ target, node }: Use): string | undefined {
  if (target.kind !== 'outside') return undefined;
  return adapters.find(({ traits }) => traits.outletGives && traits.routeOutlet.test(lastPart(node.tag)))?.traits.outletGives?.prop;
}

/** Whether a function from outside takes what an outlet gives to the route that stands in it. */
export const takesOfOutlet = (name: string): boolean => adapters.some(({ traits }) => traits.outletGives?.takenBy === name);
