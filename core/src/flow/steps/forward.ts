import type { Binding, Reading, SpreadFact, TemplateUse } from '../../model/facts';
import type { Place } from '../../model/tree';
import { eventKey, type MemberKey, memberName, memberOf } from '../../model/member';
import { bindingFor, bindingKey } from '../../model/given';
import { adapterOf } from '../../frameworks/registry';
import { useById } from '../../model/lookup';
import { remembered } from '../../model/remembered';
import { locate, type Location, type Span } from '../../model/span';
import type { Provider } from '../../model/tree';
import { channelKey, channelsOf, channelText, type Hearer, reaches } from './channels';
import type { Frame } from '../graph/frames';
import { type Graph, type Spot, valueOf } from '../graph/graph';
import type { Sink } from '../graph/sinks';
import { calledName, isCommand, localKind, nameOf, type Step } from './step';
import { arrivals, codeAt, handedTo, memberLabel, slotLabel } from '../graph/targets';
import { forward, type Passed } from '../graph/track';
import type { FlowQueries, Run } from './queries';
import { takenOfOutlet } from './outlets';
import { givesToRoutes } from '../../frameworks/route-tags';
import { selectorPasses } from './selectors';
import { append } from '../../model/append';

/** Where the value of a spot goes next: one step for each place that reads it. */
export function onwardSteps(ways: FlowQueries, spot: Spot): Step[] {
  const { graph } = ways;
  const frame = graph.frames[spot.frame];
  if (!frame) return [];
  const steps: Step[] = [];
  for (const sink of graph.indexOf(frame).sinks.get(spot.value) ?? []) {
    const passed = forward(sink.reading, spot.track);
    if (passed) append(steps, sinkSteps(ways, frame, sink, passed, spot));
  }
  append(steps, aliasSteps(ways, frame, spot));
  return steps;
}

/** What a hook or a context gives is named by the part that is followed. */
function shownName(graph: Graph, spot: Spot): string {
  const value = valueOf(graph, spot);
  return value?.kind === 'hook' || value?.kind === 'context' ? nameOf(graph, spot) : (value?.name ?? '');
}

/** A value of a module goes wherever another body names it, or reads it through a hook. */
function aliasSteps(ways: FlowQueries, frame: Frame, spot: Spot): Step[] {
  const { graph } = ways;
  if (frame.kind !== 'module') return [];
  const shape = valueOf(graph, spot)?.shape;
  const base = { how: 'same', at: codeAt(frame, valueOf(graph, spot)?.span ?? { start: 0, end: 0 }), frame: frame.index } as const;
  const aliases = graph.aliasesOf(frame, spot.value).flatMap((alias): Step[] => {
    const there = graph.frames[alias.frame] ?? frame;
    const value = valueOf(graph, alias);
    const at = codeAt(there, value?.span ?? { start: 0, end: 0 });
    const name = value?.name ?? '';
    if (value?.kind !== 'hook')
      return [{ kind: 'takes', ...base, at, frame: there.index, name, to: { ...alias, track: spot.track }, silent: true }];
    if (shape !== 'factory') return [];
    const passed: Passed = { track: spot.track, how: 'same' };
    if (value.args?.[0]) return selected(ways, there, alias.value, 0, passed, { ...base, at, frame: there.index });
    return isTaken(graph, there, { ...alias, track: spot.track })
      ? [{ kind: 'takes', ...base, at, frame: there.index, name, to: { ...alias, track: spot.track } }]
      : [];
  });
  if (shape !== 'root') return aliases;
  return [
    ...aliases,
    ...graph.rootSelectors().flatMap((selector): Step[] => {
      const there = graph.frames[selector.frame] ?? frame;
      const { gives, span, name = '' } = valueOf(graph, selector) ?? {};
      const passed: Passed = { track: spot.track, how: 'same' };
      if (gives?.gives === 'root' && gives.selector !== undefined)
        return selected(ways, there, selector.value, gives.selector, passed, { ...base, frame: there.index });
      const to = { ...selector, track: spot.track };
      const at = codeAt(there, span ?? { start: 0, end: 0 });
      return isTaken(graph, there, to) ? [{ kind: 'takes', ...base, at, frame: there.index, name, to, silent: true }] : [];
    }),
  ];
}

/** Whether a body reads the followed part of a value that it takes, calls it or writes to it. */
function isTaken(graph: Graph, frame: Frame, { value, track }: Spot): boolean {
  const { sinks, calls, changes } = graph.indexOf(frame);
  const fits = (path: readonly string[]): boolean =>
    path.every((one, at) => at >= track.length || one === track[at] || one === '*' || track[at] === '*');
  return (
    (sinks.get(value) ?? []).some((sink) => forward(sink.reading, track)) ||
    (calls.get(value) ?? []).some((site) => site.by === 'call' && fits(site.call.path)) ||
    (changes.get(value) ?? []).some(({ change }) => fits(change.path ?? []))
  );
}

/** What a value of the same body takes of another. */
function heldStep(
  frame: Frame,
  sink: Extract<Sink, { readonly to: 'value' | 'first' }>,
  passed: Passed,
  spot: Spot,
  here: Pick<Step, 'how' | 'at' | 'frame'>,
): Step {
  const value = frame.body.values[sink.value];
  // What a store is made of and stays in step with is what it gives; all else is where it starts.
  const source = frame.body.values[spot.value]?.kind;
  const isGiven = value?.kind === 'store' && (source === 'function' || source === 'derived' || source === 'state');
  const isHooked = value?.kind === 'hook' || value?.kind === 'context';
  // That a store stands in another, or has a function under a name, is no way of its own.
  const isPart = sink.reading.partOfStore?.kind === 'module' || isCommand(passed.track);
  return {
    kind: sink.to === 'value' ? localKind(passed.how) : isGiven ? 'gives' : 'starts',
    ...(isPart ? { silent: true } : {}),
    ...here,
    name: value?.name ?? '',
    to: {
      frame: frame.index,
      value: sink.value,
      track: isHooked ? [] : value?.kind === 'ref' ? ['current', ...passed.track] : passed.track,
    },
  };
}

function sinkSteps(ways: FlowQueries, frame: Frame, sink: Sink, passed: Passed, spot: Spot): Step[] {
  const { graph } = ways;
  const at = codeAt(frame, sink.reading.span);
  const here = { how: passed.how, at, frame: frame.index } as const;
  const name = shownName(graph, spot);
  switch (sink.to) {
    case 'value':
    case 'first':
      return [heldStep(frame, sink, passed, spot, here)];
    case 'argument':
      return argumentSteps(ways, frame, sink.value, sink.position, passed, sink.reading);
    case 'prop':
      return propSteps(ways, frame, sink.use, sink.binding, passed, name);
    case 'spread':
      return spreadSteps(ways, frame, sink.use, sink.spread, passed, name);
    case 'attribute':
      if (sink.binding.direction === 'out')
        return sink.reading.how === 'computed' ? [{ kind: 'reads', ...here, name, ending: 'read', by: sink.binding.to.name }] : [];
      return [{ kind: 'paints', ...here, name, ending: 'painted', by: sink.element.tag }];
    case 'attributes':
      return [{ kind: 'paints', ...here, name, ending: 'painted', by: sink.element.tag }];
    case 'shown':
      return [{ kind: 'paints', ...here, name, ending: 'painted' }];
    case 'decides':
      return [{ kind: 'paints', ...here, name, ending: 'painted', by: 'condition' }];
    case 'handed':
      return handedSteps(ways, frame, sink.outlet.slot, sink.position, sink.reading, passed, name);
    case 'read':
    case 'follows': {
      const action = frame.body.actions[sink.action];
      // What is followed runs an effect again, or makes a function anew that is kept until then.
      const by = sink.to === 'read' ? (action?.name ?? '') : action?.kind === 'effect' ? 'follows' : 'remade';
      return [{ kind: 'reads', ...here, name, ending: 'read', by }];
    }
    case 'put':
      return putSteps(ways, frame, sink, passed).filter((step) => step.to?.frame !== spot.frame || step.to.value !== spot.value);
    case 'payload':
      if (sink.raise.value === undefined) return [];
      return runSteps(ways, { frame: frame.index, value: sink.raise.value, track: [] }, sink.position, passed, {
        kind: 'raises',
        ...here,
        at: codeAt(frame, sink.raise.span),
        name: memberName(sink.raise.member),
      });
    case 'passed': {
      if (frame.body.values[sink.call.value]?.gives?.gives === 'dispatch') return [];
      const track = [...sink.call.path];
      return runSteps(ways, { frame: frame.index, value: sink.call.value, track }, sink.position, passed, {
        kind: 'calls',
        ...here,
        at: codeAt(frame, sink.call.span),
        name: calledName(frame.body.values[sink.call.value]?.name ?? '', track),
      });
    }
    case 'sent':
      return sentSteps(ways, frame, sink, passed);
    case 'result': {
      const value = graph.indexOf(frame).functionOf.get(sink.action);
      if (value === undefined) return [];
      return [
        {
          kind: 'gives',
          ...here,
          name: frame.body.values[value]?.name ?? '',
          to: { frame: frame.index, value, track: ['()', ...passed.track] },
          silent: true,
        },
      ];
    }
    case 'returned': {
      if (!frame.caller) return [];
      const caller = graph.frames[frame.caller.frame];
      return [
        {
          kind: 'gives',
          ...here,
          name: caller?.body.values[frame.caller.value]?.name ?? '',
          to: { frame: frame.caller.frame, value: frame.caller.value, track: passed.track },
        },
      ];
    }
    case 'exposed':
      return exposedSteps(ways, frame, sink.reading, passed);
    case 'provided': {
      const meant = graph.named(frame, sink.key);
      const isHere = (one: Provider): boolean =>
        !one.use && one.owner === frame.place && meant.kind === 'context' && one.context === meant.id;
      return graph.tree.providers.filter(isHere).flatMap((one) => takenSteps(graph, frame, one, at, passed));
    }
  }
}

/** What a hook is given: into the hook of the project, through the store it is handed, or out of the project. */
function argumentSteps(ways: FlowQueries, frame: Frame, value: number, position: number, passed: Passed, reading: Reading): Step[] {
  const { graph } = ways;
  const at = codeAt(frame, reading.span);
  const hook = frame.body.values[value];
  const called = graph.hookFrame(frame.index, value);
  const base = { how: passed.how, at, frame: frame.index } as const;
  if (called) {
    const param = graph.indexOf(called).params.get(-1)?.get(position);
    if (param === undefined) return [];
    return [
      {
        kind: 'passes',
        ...base,
        frame: called.index,
        name: called.body.values[param]?.name ?? '',
        to: { frame: called.index, value: param, track: passed.track },
        by: called.name,
      },
    ];
  }
  const gives = hook?.gives;
  if (gives && 'store' in gives && gives.store === position) {
    if (gives.gives === 'store' && gives.selector !== undefined && hook.args?.[gives.selector]) {
      return selected(ways, frame, value, gives.selector, passed, base);
    }
    const track = gives.gives === 'pair' ? ['0', ...passed.track] : passed.track;
    return gives.gives === 'setter' ? [] : [{ kind: 'takes', ...base, name: hook.name, to: { frame: frame.index, value, track } }];
  }
  if (gives && gives.gives === 'snapshot' && gives.snapshot === position) {
    if (passed.track[0] !== '()') return [];
    return [{ kind: 'takes', ...base, name: hook.name, to: { frame: frame.index, value, track: passed.track.slice(1) } }];
  }
  if (frame.body.values[reading.value]?.kind === 'function') {
    const result =
      passed.track[0] === '()'
        ? [
            {
              kind: 'derives' as const,
              ...base,
              how: 'computed' as const,
              name: hook?.name ?? '',
              to: { frame: frame.index, value, track: [] },
            },
          ]
        : [];
    return result;
  }
  const meant = hook?.source === undefined ? undefined : graph.named(frame, hook.source);
  const by = meant?.kind === 'outside' ? `${meant.name} of ${meant.module}` : (hook?.source ?? '');
  const derives: Step = {
    kind: 'derives',
    ...base,
    how: 'computed',
    name: hook?.name ?? '',
    to: { frame: frame.index, value, track: [] },
    by,
  };
  return meant?.kind === 'value' ? [derives] : [{ kind: 'calls', ...base, name: hook?.name ?? '', ending: 'leaves', by }, derives];
}

/** What a selector makes of a store: the store is what its first parameter stands for. */
export function selected(
  ways: FlowQueries,
  frame: Frame,
  value: number,
  position: number,
  passed: Passed,
  base: Pick<Step, 'how' | 'at' | 'frame'>,
): Step[] {
  const hook = frame.body.values[value];
  return (hook?.args?.[position]?.readings ?? []).flatMap((reading) =>
    selectorPasses(ways, frame, reading, passed.track).map(({ passed: through, frame: there, span }): Step => ({
      ...base,
      at: codeAt(there, span),
      kind: 'takes',
      how: through.how,
      name: hook?.name ?? '',
      to: { frame: frame.index, value, track: through.track },
    })),
  );
}

/** A prop on a use: into every place that the use made; out of the project where the component is from outside. */
function propSteps(ways: FlowQueries, frame: Frame, use: TemplateUse, binding: Binding, passed: Passed, name: string): Step[] {
  const { graph } = ways;
  const { span } = binding;
  const at = codeAt(frame, span);
  const target = graph.model.useOfNode.get(use)?.target;
  if (target?.kind === 'provider') return provideSteps(graph, frame, use, span, passed);
  const places = graph.madeBy(frame, use);
  if (places.length === 0) {
    if (target?.kind === 'component') return [];
    if (binding.direction === 'out')
      return passed.how === 'computed'
        ? [{ kind: 'reads', how: passed.how, at, frame: frame.index, name, ending: 'read', by: binding.to.name }]
        : [];
    const outlet = outletSteps(graph, frame, use, binding, passed);
    if (outlet) return outlet;
    // Who is handed the application's store hands it to all.
    if (target?.kind === 'outside' && binding.to.name === 'store' && /Provider$/.test(use.tag)) return [];
    const by = target?.kind === 'outside' ? `${use.tag} of ${target.module}` : use.tag;
    return [
      { kind: 'passes', how: passed.how, at, frame: frame.index, name, ending: target?.kind === 'outside' ? 'leaves' : 'unknown', by },
    ];
  }
  const key = bindingKey(binding);
  if (key === undefined) return [];
  return places.flatMap((place): Step[] => {
    const prop = memberLabel(graph, place, key);
    const kind = passed.how === 'same' ? (prop === name ? 'passes' : 'renames') : passed.how === 'computed' ? 'derives' : 'narrows';
    if (place.cut) return [{ kind, how: passed.how, at, frame: place.index, name: prop, ending: 'again' }];
    const spots = arrivals(graph, place, key, passed.track);
    if (spots.length === 0) return [{ kind, how: passed.how, at, frame: place.index, name: prop, ending: 'untaken' }];
    return spots.map((to): Step => ({ kind, how: passed.how, at, frame: place.index, name: prop, to }));
  });
}

/** What an outlet of a router gives to its routes: to all that take it there; undefined for all other bindings. */
function outletSteps(graph: Graph, frame: Frame, node: TemplateUse, { span, to }: Binding, passed: Passed): Step[] | undefined {
  const use = graph.model.useOfNode.get(node);
  if (!use || to.name !== givesToRoutes(use)) return undefined;
  const base = { kind: 'gives', how: passed.how, at: codeAt(frame, span), by: node.tag } as const;
  const takers = takenOfOutlet(graph, frame, use);
  if (takers.length === 0) return [{ ...base, frame: frame.index, name: to.name, ending: 'untaken' }];
  return takers.map(({ frame: there, value }): Step => {
    const name = there.body.values[value]?.name ?? '';
    return { ...base, frame: there.index, name, to: { frame: there.index, value, track: passed.track } };
  });
}

/** An object spread on a use: the member that is followed arrives under its own name. */
function spreadSteps(ways: FlowQueries, frame: Frame, use: TemplateUse, spread: SpreadFact, passed: Passed, name: string): Step[] {
  const { graph } = ways;
  const at = codeAt(frame, spread.span);
  const [prop, ...rest] = passed.track;
  const target = graph.model.useOfNode.get(use)?.target;
  const places = graph.madeBy(frame, use);
  if (places.length === 0 && target?.kind !== 'component') {
    return [
      {
        kind: 'passes',
        how: passed.how,
        at,
        frame: frame.index,
        name,
        ending: target?.kind === 'outside' ? 'leaves' : 'unknown',
        by: use.tag,
      },
    ];
  }
  return places.flatMap((place): Step[] => {
    const kind = passed.how === 'same' ? 'passes' : 'narrows';
    if (prop === undefined || prop === '*' || prop === '()') return anyPropSteps(graph, use, spread, place, name, at);
    const key = spread.ofEvents ? eventKey(prop) : memberIn(graph, place, prop);
    const label = memberLabel(graph, place, key);
    const spots = place.cut ? [] : arrivals(graph, place, key, rest);
    if (spots.length === 0)
      return [{ kind, how: passed.how, at, frame: place.index, name: label, ending: place.cut ? 'again' : 'untaken' }];
    return spots.map((to): Step => ({ kind, how: passed.how, at, frame: place.index, name: label, to }));
  });
}

/** An object spread as a whole: a part of it may arrive as each prop of which the use says nothing else. */
function anyPropSteps(graph: Graph, use: TemplateUse, spread: SpreadFact, place: Place, name: string, at: Location): Step[] {
  const there = graph.frames[place.index];
  const base = { kind: 'narrows', how: 'part', at, frame: place.index } as const;
  const open = there ? [...graph.indexOf(there).props].filter(([key]) => isOpenTo(use, spread, key)) : [];
  if (!there || place.cut || open.length === 0) return [{ ...base, name, ending: place.cut ? 'again' : 'unknown', by: 'spread' }];
  return open.map(([key, value]): Step => ({
    ...base,
    name: memberLabel(graph, place, key),
    to: { frame: there.index, value, track: [] },
  }));
}

/** Whether a spread may give a member: it is a prop that the use does not give otherwise, and among those that the spread has, where these are told. */
const isOpenTo = (use: TemplateUse, { keys }: SpreadFact, key: MemberKey): boolean =>
  memberOf(key).kind === 'prop' && bindingFor(use, key) === undefined && (keys?.includes(key) ?? true);

/** The member that a part of a spread stands for: one by its key, or a name of the props object. */
function memberIn(graph: Graph, place: Place, part: string): MemberKey {
  const key = part as MemberKey;
  if (memberOf(key).kind !== 'prop') return key;
  const component = graph.model.components.get(place.component);
  return adapterOf(component?.framework ?? 'script').link.memberOfProp(part);
}

/** A value given to a provider: to all below that it answers. */
function provideSteps(graph: Graph, frame: Frame, use: TemplateUse, span: Span, passed: Passed): Step[] {
  const id = graph.model.useOfNode.get(use)?.id;
  const isHere = (provider: Provider): boolean => provider.use === id && provider.owner === frame.place;
  return graph.tree.providers.filter(isHere).flatMap((provider) => takenSteps(graph, frame, provider, codeAt(frame, span), passed));
}

/** From a provider to all below that take what it gives. */
function takenSteps(graph: Graph, frame: Frame, provider: Provider, at: Location, passed: Passed): Step[] {
  const context = graph.model.contexts.get(provider.context)?.name ?? '';
  const given: Step = { kind: 'provides', how: passed.how, at, frame: frame.index, name: context };
  const takers = graph.takersOf(provider);
  if (takers.length === 0) return [{ ...given, ending: 'untaken' as const }];
  return takers.map((taker): Step => {
    const there = graph.frames[taker.frame] ?? frame;
    const value = valueOf(graph, taker);
    return {
      kind: 'takes',
      how: passed.how,
      at: value ? codeAt(there, value.span) : at,
      frame: there.index,
      name: value?.name ?? '',
      to: { ...taker, track: passed.track },
      by: context,
      via: [given],
    };
  });
}

/** Values handed to content: they arrive in the body that wrote the content. */
function handedSteps(
  ways: FlowQueries,
  frame: Frame,
  slot: MemberKey,
  position: number,
  reading: Reading,
  passed: Passed,
  name: string,
): Step[] {
  const { graph } = ways;
  const at = codeAt(frame, reading.span);
  const handed = handedTo(graph, frame, slot);
  const value = handed?.values[position];
  if (!handed || value === undefined)
    return [{ kind: 'gives', how: passed.how, at, frame: frame.index, name, ending: 'unknown', by: slotLabel(frame, slot) }];
  return [
    {
      kind: 'gives',
      how: passed.how,
      at,
      frame: handed.owner.index,
      name: handed.owner.body.values[value]?.name ?? '',
      to: { frame: handed.owner.index, value, track: passed.track },
      by: slotLabel(frame, slot),
    },
  ];
}

/** A value that is put into a state, by an action or by what is dispatched. */
function putSteps({ graph }: FlowQueries, frame: Frame, sink: Extract<Sink, { to: 'put' }>, passed: Passed): Step[] {
  const { change } = sink;
  const held = frame.body.values[change.value];
  const at = codeAt(frame, change.span);
  const module = held?.kind === 'module' ? graph.moduleSpot(frame, held.source ?? '') : undefined;
  const there = module?.frame ?? frame;
  const value = module?.value ?? change.value;
  const state = there.body.values[value];
  if (state?.kind === 'module')
    return [{ kind: 'changes', how: passed.how, at, frame: frame.index, name: state.name, ending: 'unknown', by: state.name }];
  const track = state?.reducer === undefined ? [...(change.path ?? []), ...passed.track] : [];
  const how = state?.reducer === undefined ? passed.how : 'computed';
  const step: Step = { kind: 'changes', how, at, frame: frame.index, name: state?.name ?? '', to: { frame: there.index, value, track } };
  const handled = reducerStep(graph, there, value, change.actionType);
  return [handled ? { ...step, via: [handled] } : step];
}

/** The lines of the reducer that handle what is dispatched. */
export function reducerStep(graph: Graph, frame: Frame, state: number, told: string | undefined): Step | undefined {
  const reducer = frame.body.values[state]?.reducer;
  const spot = reducer === undefined ? undefined : graph.moduleSpot(frame, reducer);
  const action = spot?.frame.body.values[spot.value]?.action;
  const facts = action === undefined ? undefined : spot?.frame.body.actions[action];
  if (!spot || !facts) return reducer === undefined ? undefined : namedReducer(graph, frame, reducer, told);
  const found = told === undefined ? undefined : facts.cases?.find((one) => one.actionType === told);
  return {
    kind: 'catches',
    how: 'same',
    at: codeAt(spot.frame, found?.span ?? facts.span),
    frame: spot.frame.index,
    name: told ?? reducer ?? '',
    by: reducer ?? '',
  };
}

/** A reducer of which only the name and the place are known. */
function namedReducer(graph: Graph, frame: Frame, reducer: string, told: string | undefined): Step | undefined {
  const meant = graph.named(frame, reducer);
  if (meant.kind !== 'value') return undefined;
  const at = locate(meant.file, meant.span);
  return { kind: 'catches', how: 'same', at, frame: frame.index, name: told ?? reducer, by: reducer };
}

type Base = Pick<Step, 'kind' | 'how' | 'at' | 'frame' | 'name'>;

/** A value handed to a function: to the parameter of each that may run, or into the state that it sets. */
function runSteps(ways: FlowQueries, callee: Spot, position: number, passed: Passed, base: Base): Step[] {
  const { graph } = ways;
  const runs = ways.runs(callee);
  if (runs.length === 0) return [{ ...base, ending: 'unheard' }];
  return runs.flatMap((run): Step[] => {
    const trail = asRelays(run.trail);
    if (run.kind === 'end') {
      const ending = run.step.ending === 'ungiven' || run.step.ending === 'default' ? 'unheard' : (run.step.ending ?? 'unknown');
      return [
        {
          ...base,
          via: trail,
          // A function of which only the name is known.
          ending: ending === 'function' ? 'leaves' : ending === 'constant' ? 'unknown' : ending,
          ...(run.step.by === undefined ? {} : { by: run.step.by }),
        },
      ];
    }
    if (run.kind === 'setter') {
      if (position !== 0) return [];
      const state = run.frame.body.values[run.state];
      const handled = reducerStep(graph, run.frame, run.state, undefined);
      const reduced = state?.reducer !== undefined;
      const to: Spot = { frame: run.frame.index, value: run.state, track: reduced ? [] : passed.track };
      const set: Step = {
        kind: 'changes',
        how: reduced ? 'computed' : passed.how,
        at: trail.at(-1)?.at ?? base.at,
        frame: run.frame.index,
        name: state?.name ?? '',
        to,
      };
      return [{ ...set, via: [base, ...trail, ...(handled ? [handled] : [])] }];
    }
    const facts = run.frame.body.actions[run.action];
    const handles = isHandler(run.frame, run.action);
    const param = graph
      .indexOf(run.frame)
      .params.get(run.action)
      ?.get(handles ? 1 : position);
    const track = handles ? ['payload', ...passed.track] : passed.track;
    if (param === undefined) return base.kind === 'calls' ? [] : [{ ...base, via: trail, ending: 'untaken', by: run.name }];
    const inline = run.trail.at(-1)?.action === run.action;
    const caught: Step = {
      kind: base.kind === 'raises' ? 'catches' : 'passes',
      how: passed.how,
      at: codeAt(run.frame, run.frame.body.values[param]?.span ?? facts?.span ?? { start: 0, end: 0 }),
      frame: run.frame.index,
      name: run.frame.body.values[param]?.name ?? '',
      by: run.name,
    };
    return [
      {
        ...caught,
        to: { frame: run.frame.index, value: param, track },
        via: [base, ...trail.slice(0, base.kind !== 'raises' ? 0 : inline ? -1 : undefined)],
      },
    ];
  });
}

/** A reducer of a slice: called by the name of its action, it is given the state and the action. */
export function isHandler(frame: Frame, action: number): boolean {
  const facts = frame.body.actions[action];
  return facts?.cases?.length === 1 && facts.cases[0]?.actionType === facts.name;
}

/** On the way to its handler an event is handed on by those between. */
const asRelays = remembered((trail: readonly Step[]) => trail.map((step): Step => ({ ...step, kind: 'relays' })));

/** What runs when something is heard. */
export function runsOnHearing(ways: FlowQueries, { frame, hear: { reading, action } }: Hearer): readonly Run[] {
  if (reading) return ways.runs({ frame: frame.index, value: reading.value, track: reading.path });
  const facts = frame.body.actions[action ?? -1];
  return action === undefined || !facts ? [] : [{ kind: 'action', frame, action, name: facts.name, trail: [] }];
}

/** What is sent beside props: to everyone who hears it. */
function sentSteps(ways: FlowQueries, frame: Frame, sink: Extract<Sink, { to: 'sent' }>, passed: Passed): Step[] {
  const { graph } = ways;
  const key = channelKey(graph, frame, sink.send.channel);
  const sent: Step = {
    kind: 'publishes',
    how: passed.how,
    at: codeAt(frame, sink.send.span),
    frame: frame.index,
    name: channelText(sink.send.channel.event, sink.send.channel.name),
  };
  const hearers = key === undefined ? [] : (channelsOf(graph).hearers.get(key) ?? []);
  const reached = hearers.filter((hearer) => reaches(graph, { frame, action: sink.action, send: sink.send }, hearer));
  if (reached.length === 0) return [{ ...sent, ending: key === undefined ? 'unknown' : 'unheard' }];
  return reached.flatMap((hearer): Step[] => {
    const runs = runsOnHearing(ways, hearer);
    const track = sink.send.channel.event === 'message' && hearer.hear.channel.on === 'channel' ? ['data', ...passed.track] : passed.track;
    return runs.flatMap((run): Step[] => {
      const heard = {
        kind: 'hears',
        how: passed.how,
        at: codeAt(hearer.frame, hearer.hear.span),
        frame: hearer.frame.index,
        via: [sent],
      } as const;
      if (run.kind === 'setter')
        return [{ ...heard, name: run.frame.body.values[run.state]?.name ?? '', to: { frame: run.frame.index, value: run.state, track } }];
      if (run.kind !== 'action') return [{ ...heard, name: sent.name, ending: 'unknown' }];
      const param = graph.indexOf(run.frame).params.get(run.action)?.get(sink.position);
      if (param === undefined) return [{ ...heard, name: sent.name, ending: 'untaken', by: run.name }];
      return [{ ...heard, name: run.frame.body.values[param]?.name ?? '', to: { frame: run.frame.index, value: param, track } }];
    });
  });
}

/** What a component exposes: to whoever holds its handle. */
function exposedSteps({ graph }: FlowQueries, frame: Frame, reading: Reading, passed: Passed): Step[] {
  const place = graph.tree.places[frame.place];
  const owner = place && graph.ownerFrame(place);
  const use = place?.use ? useById(graph.model, place.use) : undefined;
  const ref = use?.node.ref;
  if (!owner || !ref) return [];
  return [
    {
      kind: 'gives',
      how: passed.how,
      at: codeAt(frame, reading.span),
      frame: owner.index,
      name: owner.body.values[ref.value]?.name ?? '',
      to: { frame: owner.index, value: ref.value, track: [...ref.path, ...passed.track] },
    },
  ];
}
