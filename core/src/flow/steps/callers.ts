import type { Binding, TemplateUse } from '../../model/facts';
import { type MemberKey, memberName, memberOf } from '../../model/member';
import { bindingKey } from '../../model/given';
import { componentText, heardBy } from '../../model/tag-text';
import { adapterOf } from '../../frameworks/registry';
import { atomSetters } from './atoms';
import { channelKey } from './channels';
import type { Frame } from '../graph/frames';
import { isAmong, type Spot, spotKey } from '../graph/graph';
import type { Sink } from '../graph/sinks';
import { calledName, isCommand, type Step } from './step';
import { arrivals, codeAt } from '../graph/targets';
import { forward } from '../graph/track';
import type { Caller, FlowQueries } from './queries';
import { handedBy, runBy } from './run-by-hook';
import { append } from '../../model/append';

const most = 2000;

type Task = { readonly spot: Spot; readonly trail: readonly Step[] };

/** Where an action is run: followed as a value from where it is declared to all that call it. */
export function findCallers(ways: FlowQueries, frame: Frame, action: number): Caller[] {
  const { graph } = ways;
  const index = graph.indexOf(frame);
  const found: Caller[] = [];
  const start: Task[] = [];
  const attached = index.attached.get(action);
  if (attached) {
    const at = codeAt(frame, attached.binding.span);
    if (attached.node.kind === 'element' || isElementUse(graph, frame, attached.node))
      found.push({
        by: 'platform',
        frame,
        at,
        trail: [],
        args: [],
        event: attached.binding.to.name,
        element: attached.node.kind === 'use' ? (attached.node.element ?? componentText(attached.node.tag)) : attached.node.tag,
      });
    else append(start, givenHandler(ways, frame, attached.node, attached.binding));
  }
  const value = index.functionOf.get(action);
  if (value !== undefined) start.push({ spot: { frame: frame.index, value, track: [] }, trail: [] });
  // What a store runs when it is set is run by those who set it.
  frame.body.values.forEach((one, at) => {
    if (one.writer === action) for (const spot of atomSetters(graph, frame, at)) start.push({ spot, trail: [] });
  });
  return [...found, ...followFunction(ways, start)];
}

/** Whether what a use stands for is an element of the page, at which events of the document arrive. */
function isElementUse({ model, madeBy }: FlowQueries['graph'], frame: Frame, use: TemplateUse): boolean {
  const target = model.useOfNode.get(use)?.target;
  if (target?.kind === 'outside') return true;
  // Which one it is, is chosen while it runs.
  if (target?.kind === 'dynamic') return madeBy(frame, use).some(({ element }) => element !== undefined);
  return target?.kind === 'component' && model.components.get(target.id)?.facts.element !== undefined;
}

/** A function given by a binding of a use: it arrives as that member. */
export function givenHandler({ graph }: FlowQueries, frame: Frame, use: TemplateUse, binding: Binding): Task[] {
  const key = bindingKey(binding);
  if (key === undefined) return [];
  return graph.madeBy(frame, use).flatMap((place) =>
    arrivals(graph, place, key, []).map((spot): Task => ({
      spot,
      trail: [{ kind: 'catches', how: 'same', at: codeAt(frame, binding.span), frame: frame.index, name: memberName(key), to: spot }],
    })),
  );
}

/** Follows functions to where they are called. */
export function followFunction(ways: FlowQueries, start: readonly Task[]): Caller[] {
  const found: Caller[] = [];
  const seen = new Set<string>();
  const stack = [...start];
  for (let task = stack.pop(); task && seen.size < most; task = stack.pop()) {
    const key = spotKey(task.spot);
    if (seen.has(key)) continue;
    seen.add(key);
    append(found, calledAt(ways, task));
    for (const step of ways.onward(task.spot)) {
      if (isCommand(task.spot.track) && !staysTold(ways, step)) continue;
      // Into a list it is put to be called along with others.
      const isKept = step.kind === 'changes' ? step.to !== undefined && isAmong(step.to) : step.how !== 'computed';
      if (!step.to || (!isKept && step.kind !== 'starts')) continue;
      stack.push({ spot: step.to, trail: step.silent ? task.trail : [...task.trail, ...(step.via ?? []), step] });
    }
  }
  return found;
}

/** What a store can be told is followed as the store is, a table of such or a name of it, and from where it is read by its own name; not where all that the store holds is handed on. */
function staysTold({ graph }: FlowQueries, { to }: Step): boolean {
  if (!to || !isCommand(to.track)) return to?.track.length === 0;
  const kind = graph.frames[to.frame]?.body.values[to.value]?.kind;
  return kind === 'store' || kind === 'module' || kind === 'hook' || kind === 'derived' || kind === 'state';
}

/** What is read while rendering, not by a function that runs later. */
const rendering = new Set<Sink['to']>([
  'value',
  'first',
  'argument',
  'prop',
  'spread',
  'attribute',
  'attributes',
  'shown',
  'decides',
  'returned',
]);

/** Calls of the function that a spot holds, within its own body. */
function calledAt(ways: FlowQueries, { spot, trail }: Task): Caller[] {
  const { graph } = ways;
  const frame = graph.frames[spot.frame];
  if (!frame) return [];
  const index = graph.indexOf(frame);
  const found: Caller[] = [];
  for (const site of index.calls.get(spot.value) ?? []) {
    if (site.by === 'raise' && spot.track.length === 0) {
      found.push({
        by: 'raise',
        frame,
        at: codeAt(frame, site.raise.span),
        trail,
        args: site.raise.args ?? [],
        action: site.action,
        name: memberName(site.raise.member),
      });
    } else if (site.by === 'call' && leadsTo(site.call.path, spot.track)) {
      const name = calledName(frame.body.values[site.call.value]?.name ?? '', site.call.path);
      const told = site.call.actionType === undefined ? {} : { told: site.call.actionType };
      found.push({ by: 'call', frame, at: codeAt(frame, site.call.span), trail, args: site.call.args, action: site.action, name, ...told });
    }
  }
  for (const sink of index.sinks.get(spot.value) ?? []) {
    // Who reads all that a store holds runs nothing of what it can be told.
    if (sink.to === 'read' && isCommand(spot.track)) continue;
    if (sink.reading.how === 'called' && rendering.has(sink.to) && leadsTo(sink.reading.path, spot.track)) {
      const name = [frame.body.values[spot.value]?.name ?? '', ...sink.reading.path].join('.');
      found.push({ by: 'render', frame, at: codeAt(frame, sink.reading.span), trail, args: [], name });
      continue;
    }
    const passed = forward(sink.reading, spot.track);
    const at = codeAt(frame, sink.reading.span);
    const run = sink.to === 'argument' && !graph.hookFrame(frame.index, sink.value) ? runBy(frame.body.values[sink.value]?.source) : [];
    if (run.length > 0) {
      const given = run.map((track): Task => ({ spot: { frame: frame.index, value: (sink as { value: number }).value, track }, trail }));
      const { source } = frame.body.values[(sink as { value: number }).value] ?? {};
      for (const caller of followFunction(ways, given)) found.push({ ...caller, args: handedBy(source, sink.reading, caller.args) });
      continue;
    }
    const [part] = passed?.track ?? [];
    if (sink.to === 'attributes' && part !== undefined) {
      const event = heardName(frame, part);
      if (event !== undefined) found.push({ by: 'platform', frame, at, trail, args: [], event, element: sink.element.tag });
      continue;
    }
    if (!passed || passed.track.length > 0) continue;
    if (sink.to === 'attribute' && sink.binding.direction === 'out') {
      found.push({
        by: 'platform',
        frame,
        at: codeAt(frame, sink.binding.span),
        trail,
        args: [],
        event: sink.binding.to.name,
        element: heardBy(sink.element.tag, sink.binding.to),
      });
    } else if (sink.to === 'read' && passed.how !== 'item' && !isAmong(spot)) {
      found.push({ by: 'handed', frame, at, trail, args: [], action: sink.action, name: frame.body.actions[sink.action]?.name ?? '' });
    } else if (sink.to === 'argument' && !graph.hookFrame(frame.index, sink.value) && !frame.body.values[sink.value]?.gives) {
      found.push({ by: 'outside', frame, at, trail, args: [], name: frame.body.values[sink.value]?.source ?? '' });
    } else if (sink.to === 'prop' && sink.binding.direction === 'out' && isElementUse(graph, frame, sink.use)) {
      found.push({
        by: 'platform',
        frame,
        at: codeAt(frame, sink.binding.span),
        trail,
        args: [],
        event: sink.binding.to.name,
        element: sink.use.tag,
      });
    }
  }
  frame.body.actions.forEach((action, at) => {
    for (const hear of action.hears) {
      if (hear.called || hear.reading?.value !== spot.value || !leadsTo(hear.reading.path, spot.track)) continue;
      found.push({
        by: 'channel',
        frame,
        at: codeAt(frame, hear.span),
        trail,
        args: [],
        channel: channelKey(graph, frame, hear.channel),
        action: at,
      });
    }
  });
  return found;
}

/** The event that a member of a spread hears, where it is one by its key or its name: `onClick`. */
function heardName(frame: Frame, part: string): string | undefined {
  const { kind, name } = memberOf(part as MemberKey);
  if (kind === 'event') return name;
  return adapterOf(frame.component?.framework ?? 'script').link.eventOf(part);
}

function leadsTo(path: readonly string[], track: readonly string[]): boolean {
  return path.length === track.length && path.every((one, at) => one === track[at] || one === '*' || track[at] === '*');
}
