import { followFunction } from './callers';
import type { Frame } from '../graph/frames';
import type { Graph, Spot } from '../graph/graph';
import type { KeyPart } from '../../model/facts';
import { codeAt } from '../graph/targets';
import { atomSetters } from './atoms';
import { renewalsOf } from './queries-asked';
import type { FlowQueries, Writer } from './queries';
import { append } from '../../model/append';

/** Calls that change a store from outside of it. */
const storeSetters = new Set(['setState', 'set']);

/** Who changes a state: assignments and calls of its setter, wherever that has gone. */
export function findWriters(ways: FlowQueries, frame: Frame, state: number): Writer[] {
  const { graph } = ways;
  const found: Writer[] = [];
  const name = frame.body.values[state]?.name ?? '';
  const own = (there: Frame, value: number): void => {
    const changes = graph.indexOf(there).changes.get(value) ?? [];
    // What a made function does is told of that one.
    const isToldApart = (one: (typeof changes)[number]): boolean =>
      there.body.actions[one.action]?.makesFunction === true &&
      changes.some((other) => other.action !== one.action && other.change.span.start === one.change.span.start);
    for (const { action, change } of changes.filter((one) => !isToldApart(one))) {
      found.push({
        frame: there,
        action,
        at: codeAt(there, change.span),
        name,
        args: [{ readings: change.from }],
        path: change.path ?? [],
        ...(change.actionType === undefined ? {} : { told: change.actionType }),
        trail: [],
      });
    }
  };
  own(frame, state);
  const setters = frame.body.values.flatMap((value, at): Spot[] =>
    value.kind === 'setter' && value.partner === state ? [{ frame: frame.index, value: at, track: [] }] : [],
  );
  if (frame.kind === 'module') {
    const home = { frame: frame.index, value: state, track: [] };
    for (const alias of [home, ...graph.aliasesOf(frame, state)]) {
      const there = graph.frames[alias.frame];
      if (!there) continue;
      if (alias !== home) own(there, alias.value);
      for (const site of graph.indexOf(there).calls.get(alias.value) ?? []) {
        if (site.by !== 'call' || !storeSetters.has(site.call.path.at(-1) ?? '')) continue;
        found.push({
          frame: there,
          action: site.action,
          at: codeAt(there, site.call.span),
          name,
          args: site.call.args,
          path: [],
          trail: [],
        });
      }
    }
    append(setters, atomSetters(graph, frame, state));
    append(found, setByStores(ways, frame, state));
  }
  const asked = askedBy(graph, frame, state);
  for (const { frame: there, action, call } of asked ? renewalsOf(graph, frame.file, asked) : [])
    found.push({ frame: there, action, at: codeAt(there, call.span), name, args: call.args.slice(1), path: [], trail: [] });
  for (const caller of followFunction(
    ways,
    setters.map((spot) => ({ spot, trail: [] })),
  )) {
    const action = 'action' in caller ? caller.action : -1;
    found.push({
      frame: caller.frame,
      action,
      at: caller.at,
      name,
      args: caller.args,
      path: [],
      trail: caller.trail,
      ...(caller.told === undefined ? {} : { told: caller.told }),
      ...(caller.by === 'platform' ? { on: { event: caller.event, element: caller.element } } : {}),
    });
  }
  return found;
}

/** The key by which a query is asked, or that of options which a module holds for one; undefined for all else. */
function askedBy({ model }: Graph, frame: Frame, state: number): readonly KeyPart[] | undefined {
  const { origin, name = '' } = frame.body.values[state] ?? {};
  if (origin?.kind === 'query') return origin.key ?? [];
  const meant = frame.kind === 'module' ? model.named(frame.file, name) : undefined;
  return meant?.kind === 'value' ? meant.keys?.['queryKey'] : undefined;
}

/** Who sets a state of a module as a member of a store that is put together from it. */
function setByStores(ways: FlowQueries, frame: Frame, state: number): Writer[] {
  return frame.body.values.flatMap((store, index) => {
    if (store.kind !== 'store' || index === state) return [];
    const held = store.from.flatMap((one) => (one.value === state && one.held?.how === 'same' ? [one.held.at] : []));
    if (held.length === 0) return [];
    return ways.writers(frame, index).flatMap((writer): Writer[] => {
      const under = held.find((at) => at.length <= writer.path.length && at.every((part, depth) => writer.path[depth] === part));
      return under ? [{ ...writer, path: writer.path.slice(under.length) }] : [];
    });
  });
}
