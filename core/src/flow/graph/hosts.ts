import { remembered } from '../../model/remembered';
import type { Host, HostIndex, Tree } from '../../model/tree';
import { addTo } from '../../model/add-to';
import type { Frame } from './frames';
import type { Graph } from './graph';

/** A handle that comes by more hands than this is not looked for. */
const mostHands = 4;

/**
 * The elements that a value of a body holds the handle of: what the component's markup gives it, what the caller of a
 * hook hands in, or those that a function of a module is put on as a directive. Undefined where it cannot be told.
 */
export function hostsHeldBy(graph: Graph, frame: Frame, index: number, hands = mostHands): readonly HostIndex[] | undefined {
  const value = frame.body.values[index];
  if (!value || hands === 0) return undefined;
  const held = (withHandles(graph.tree).get(frame.index) ?? []).flatMap((host) => (host.node.ref?.value === index ? host.index : []));
  if (held.length > 0) return held;
  if (value.kind === 'param' && value.of === undefined) {
    const caller = frame.caller && graph.frames[frame.caller.frame];
    const [given] = (caller && frame.caller && caller.body.values[frame.caller.value]?.args?.[value.position ?? 0]?.readings) ?? [];
    return caller && given && hostsHeldBy(graph, caller, given.value, hands - 1);
  }
  if (value.kind === 'param' && value.position === 0) return hostsUnder(graph, frame, frame.body.actions[value.of ?? -1]?.name);
  const [only, ...others] = value.from;
  return only && others.length === 0 ? hostsHeldBy(graph, frame, only.value, hands - 1) : undefined;
}

/** The elements of a page that somebody holds the handle of, by the place that owns their markup. */
const withHandles = remembered((tree: Tree): ReadonlyMap<number, readonly Host[]> => {
  const found = new Map<number, Host[]>();
  for (const host of tree.hosts) if (host.node.ref) addTo(found, host.owner, host);
  return found;
});

/** The elements that bear a function of a module as a directive; undefined for none. */
function hostsUnder(graph: Graph, { kind, file }: Frame, name: string | undefined): readonly HostIndex[] | undefined {
  if (kind !== 'module' || name === undefined) return undefined;
  const bears = ({ node, owner }: Host): boolean => {
    const by = graph.frames[owner];
    return node.bindings.some(({ to }) => {
      if (to.kind !== 'directive' || !by) return false;
      const meant = graph.named(by, to.name);
      return meant.kind === 'value'
        ? meant.file === file && meant.name === name
        : meant.kind === 'hook' && meant.file === file && meant.fact.name === name;
    });
  };
  const found = graph.tree.hosts.flatMap((host) => (bears(host) ? host.index : []));
  return found.length > 0 ? found : undefined;
}
