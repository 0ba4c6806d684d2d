import type { Binding, TemplateElement, Travel } from '../model/facts';
import type { Host, HostIndex, Tree } from '../model/tree';
import { append } from '../model/append';

/** A host that an event passes. `up`: it passes on its way out, or is raised there; else only on its way in, where a listener asks for that. */
export type Passed = { readonly host: Host; readonly up: boolean };

/** A listener of a host that hears an event. */
export type Heard = { readonly host: Host; readonly binding: Binding };

/** The event of an element that a binding listens for, on the element itself; undefined for all other bindings. */
export const heardName = ({ to }: Binding): string | undefined =>
  to.kind === 'event' || (to.kind === 'listener' && to.on === 'self') ? to.name : undefined;

/** Whether an element has anything to do with events or handles; others make no host. */
export function isHost({ bindings, ref }: TemplateElement): boolean {
  return ref !== undefined || bindings.some(({ to }) => to.kind === 'listener' || to.kind === 'directive');
}

/**
 * The hosts that an event passes which is raised on one of them, from there outward: by where content stands on
 * the page, not by who wrote it. An event that is not composed ends at the host that bears the shadow tree in which
 * it is raised, and does not reach that one; trees that its content passes on the way do not end it. Empty for a host
 * that is not there. After the DOM standard, "Dispatching events".
 */
export function eventPath({ hosts }: Tree, from: HostIndex, { bubbles, composed }: Travel): Passed[] {
  const passed: Passed[] = [];
  const end = composed ? -1 : (hosts[from]?.root ?? -1);
  for (let host = hosts[from]; host && host.index !== end; host = hosts[host.parent])
    passed.push({ host, up: bubbles || passed.length === 0 });
  return passed;
}

/**
 * The listeners that hear an event raised on a host, in the order in which they run: on the way in those that ask for it,
 * then from the host outward; none behind one that stops it. `stops` tells whether a listener does.
 */
export function heardAt(tree: Tree, from: HostIndex, event: string, travel: Travel, stops: (heard: Heard) => boolean): Heard[] {
  const path = eventPath(tree, from, travel);
  const listeners = ({ host }: Passed, captures: boolean): Heard[] =>
    host.node.bindings.flatMap((binding) =>
      heardName(binding) === event &&
      captures === (binding.modifiers?.includes('capture') ?? false) &&
      (host.index === from || !binding.modifiers?.includes('self'))
        ? [{ host, binding }]
        : [],
    );
  const heard: Heard[] = [];
  for (const found of [
    ...[...path].reverse().map((one) => listeners(one, true)),
    ...path.filter(({ up }) => up).map((one) => listeners(one, false)),
  ]) {
    append(heard, found);
    if (found.some((one) => one.binding.modifiers?.includes('stop') || stops(one))) break;
  }
  return heard;
}

/** Whether an event that is raised on one host comes by another. */
export function comesBy(tree: Tree, from: HostIndex, to: HostIndex, travel: Travel, captures: boolean): boolean {
  return eventPath(tree, from, travel).some(({ host, up }) => host.index === to && (up || captures));
}

/** Whether an event that is raised on one host comes by the root of the shadow tree that another one bears. */
export function comesByRoot(tree: Tree, from: HostIndex, bearer: HostIndex, travel: Travel): boolean {
  if (tree.hosts[from]?.root === bearer) return travel.bubbles;
  return eventPath(tree, from, travel).some(({ host, up }) => up && host.root === bearer && host.index !== from);
}
