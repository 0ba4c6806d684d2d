import type { Use } from './model';

/** Props by which a route that is written as markup is given what it shows. */
export const showing: ReadonlySet<string> = new Set(['element', 'component', 'Component', 'render']);

/** Whether a use is a route written as markup: `<Route path element>`, or one of the project that is given a place in the same way. */
export function isRouteUse({ target, node }: Use): boolean {
  const last = node.tag.slice(node.tag.lastIndexOf('.') + 1);
  if (!last.endsWith('Route') || node.asValue) return false;
  const isPlaced = node.bindings.some(({ to }) => to.name === 'path' || to.name === 'index');
  if (last !== 'Route' || target.kind === 'component') return isPlaced;
  return target.kind !== 'provider' && target.kind !== 'consumer' && (isPlaced || node.bindings.some(({ to }) => showing.has(to.name)));
}
