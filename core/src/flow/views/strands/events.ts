import type { Binding, TemplateUse } from '../../../model/facts';
import { bindingKey, isListener } from '../../../model/given';
import { memberName } from '../../../model/member';
import type { FilePath, Location } from '../../../model/span';
import type { KnotKind } from '../../../model/strand';
import type { Frame } from '../../graph/frames';
import { type Spot, spotKey, valueOf } from '../../graph/graph';
import { codeAt } from '../../graph/targets';
import { givenHandler } from '../../steps/callers';
import { channelsOf, reaches } from '../../steps/channels';
import type { FlowQueries } from '../../steps/queries';
import { nameOf } from '../../steps/step';
import { startStrand, type StrandDraft, tie } from './draft';
import type { Page } from './values';

/** The strands of handlers that components give to others, and of what is sent on channels. */
export function eventStrands(page: Page): StrandDraft[] {
  const { frames, tree } = page.ways.graph;
  return [...frames.slice(0, tree.places.length).flatMap((frame) => caughtIn(page, frame)), ...channelStrands(page)];
}

/** One strand a handler and event: caught here, raised further down. */
function caughtIn({ ways, paths }: Page, frame: Frame): StrandDraft[] {
  const { model, tree } = ways.graph;
  const { component, place } = frame;
  if (!component || tree.places[place]?.cut) return [];
  const drafts = new Map<string, StrandDraft>();
  for (const use of model.usesBy.get(component.id) ?? []) {
    const target = use.target.kind === 'component' ? model.components.get(use.target.id) : undefined;
    if (!target) continue;
    for (const binding of use.node.bindings) {
      const key = bindingKey(binding);
      if (
        key === undefined ||
        (target.contract.members.get(key)?.kind !== 'callback' && !isListener(binding) && binding.direction !== 'out')
      )
        continue;
      const name = memberName(key);
      // What an element sends goes its own way, and is told by who sends it.
      if (target.facts.element && isListener(binding) && channelsOf(ways.graph).senders.has(`document ${name}`)) continue;
      const handler = handlerOf(frame, binding);
      if (!handler) continue;
      const id = `${key} ${handler.key}`;
      const nth = drafts.size > 0 ? `~${drafts.size + 1}` : '';
      const draft = drafts.get(id) ?? startStrand('event', name, component.id, `${paths[place] ?? ''}${nth}`);
      const code = [codeAt(frame, binding.span), ...(drafts.has(id) || !handler.at ? [] : [handler.at])];
      drafts.set(id, draft);
      tie(draft, { place, kind: 'catches', name, from: -1, code });
      followHandler(ways, draft, frame, use.node, binding);
    }
  }
  return [...drafts.values()];
}

/** The handler that a binding gives, when it is one of this component and not handed on from above. */
function handlerOf(frame: Frame, binding: Binding): { readonly key: string; readonly at?: Location } | undefined {
  const { values, actions } = frame.body;
  if (binding.action !== undefined) return { key: `action ${binding.action}` };
  const [reading] = binding.readings;
  const value = reading && values[reading.value];
  if (!reading || !value || binding.markup) return undefined;
  if (value.kind === 'prop' || value.kind === 'rest' || value.kind === 'props') return undefined;
  const action = value.action === undefined ? undefined : actions[value.action];
  return { key: `value ${reading.value} ${reading.path.join('.')}`, at: codeAt(frame, action?.span ?? value.span) };
}

/** Ties the places that a handler comes to, and says where it is run. */
function followHandler(ways: FlowQueries, draft: StrandDraft, owner: Frame, use: TemplateUse, binding: Binding): void {
  const { graph } = ways;
  const seen = new Set<string>();
  const given = givenHandler(ways, owner, use, binding);
  const name = memberName(bindingKey(binding) ?? ('' as never));
  // It comes to a component that declares it even where that never takes it.
  if (given.length === 0)
    for (const place of graph.madeBy(owner, use))
      tie(draft, { place: place.index, kind: 'passes', name, from: owner.place, code: [codeAt(owner, binding.span)] });
  const stack = given.map(({ spot, trail }) => ({
    spot,
    from: owner.place,
    was: name,
    at: trail[0]?.at ?? codeAt(owner, binding.span),
  }));
  for (let at = stack.pop(); at && seen.size < 2000; at = stack.pop()) {
    const key = spotKey(at.spot);
    if (seen.has(key)) continue;
    seen.add(key);
    const frame = graph.frames[at.spot.frame];
    if (!frame) continue;
    const name = nameAt(ways, at.spot);
    const raised = (graph.indexOf(frame).calls.get(at.spot.value) ?? []).flatMap((site) =>
      site.by === 'raise' && at?.spot.track.length === 0 ? [codeAt(frame, site.raise.span)] : [],
    );
    const attached = raised.length === 0 ? attachedAt(ways, frame, at.spot) : [];
    const runs = [...raised, ...attached];
    if (frame.place !== at.from) {
      const kind: KnotKind = name === at.was || runs.length > 0 ? 'passes' : 'renames';
      tie(draft, { place: frame.place, kind, name, from: at.from, code: [at.at] });
    }
    if (runs.length > 0) tie(draft, { place: frame.place, kind: 'raises', name, from: at.from, code: runs });
    for (const step of ways.onward(at.spot)) {
      if (!step.to || step.how !== 'same' || step.kind === 'changes') continue;
      const there = graph.frames[step.frame];
      stack.push({ spot: step.to, from: frame.place, was: there?.place === frame.place ? at.was : name, at: step.at });
    }
  }
}

/** What a prop or a rest of the props holds, by its name there. */
function nameAt({ graph }: FlowQueries, spot: Spot): string {
  const value = valueOf(graph, spot);
  if (value?.kind === 'rest' || value?.kind === 'props') return memberName((spot.track[0] ?? '') as never);
  return value?.kind === 'prop' ? value.name : nameOf(graph, spot);
}

/** Elements to which a function is given, by itself or among what is spread: the platform runs it. */
function attachedAt({ graph }: FlowQueries, frame: Frame, { value, track }: Spot): Location[] {
  return (graph.indexOf(frame).sinks.get(value) ?? []).flatMap((sink) => {
    const isGiven = sink.to === 'attribute' && sink.binding.direction === 'out' && sink.reading.how === 'same';
    if (isGiven && sink.reading.path.length === track.length) return [codeAt(frame, sink.binding.span)];
    return sink.to === 'attributes' && track.length === 1 ? [codeAt(frame, sink.spread.span)] : [];
  });
}

/** One strand a channel on which something is sent: raised by who sends, caught by who hears. */
function channelStrands({ ways }: Page): StrandDraft[] {
  const { graph } = ways;
  const { senders, hearers } = channelsOf(graph);
  return [...senders].flatMap(([key, sent]): StrandDraft[] => {
    const [first] = sent.filter((one) => one.frame.place >= 0);
    const home = first?.frame.component?.id;
    if (!home || !first) return [];
    const { event } = first.send.channel;
    const name = event !== undefined && event !== '' && event !== 'message' ? event : channelName(key, first.frame.file);
    const draft = startStrand('event', name, home, key);
    for (const { frame, send } of sent)
      tie(draft, { place: frame.place, kind: 'raises', name, from: -1, code: [codeAt(frame, send.span)] });
    for (const hearer of hearers.get(key) ?? []) {
      const from = sent.find((one) => reaches(graph, one, hearer));
      if (from)
        tie(draft, {
          place: hearer.frame.place,
          kind: 'catches',
          name,
          from: from.frame.place,
          code: [codeAt(hearer.frame, hearer.hear.span)],
        });
    }
    return [draft];
  });
}

/** `"alarm" message` → `alarm`, `src/bus.ts#bus ` → `bus`. */
function channelName(key: string, file: FilePath): string {
  const quoted = /^"(.*)" /.exec(key)?.[1];
  return quoted ?? key.split(' ')[0]?.split('#').at(-1) ?? file;
}
