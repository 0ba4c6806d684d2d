import type { ArgFact, Held, OriginFact, Reading, TemplateNode, TemplateUse, ValueFact } from '../../model/facts';
import { defaultSlot, type MemberKey, memberName, memberOf, propKey } from '../../model/member';
import { bindingFor, bindingKey, memberKeyOf } from '../../model/given';
import { useById } from '../../model/lookup';
import { locate, type Location, type Span } from '../../model/span';
import type { Provider } from '../../model/tree';
import { usesIn } from '../../model/walk';
import { isBounded } from '../../tree';
import type { Frame } from '../graph/frames';
import type { Graph, Spot } from '../graph/graph';
import type { Indexed } from '../graph/sinks';
import { isHandler } from './forward';
import { isCommand, localKind, type Step } from './step';
import { spanOfPart } from '../graph/stores';
import { codeAt, givenTo, slotLabel } from '../graph/targets';
import { backward, forward, type Passed, type Track } from '../graph/track';
import { givenByOutlet, isOfOutlet, type OutletGiven } from './outlets';
import type { FlowQueries } from './queries';
import { selectorTracks } from './selectors';

/** Where the value of a spot comes from: one step for each thing that it is made of. */
export function backSteps(ways: FlowQueries, spot: Spot): Step[] {
  const { graph } = ways;
  const frame = graph.frames[spot.frame];
  const value = frame?.body.values[spot.value];
  if (!frame || !value) return [];
  const at = codeAt(frame, value.span);
  const here = { how: 'same', at, frame: frame.index, name: value.name } as const;
  switch (value.kind) {
    case 'prop':
      return propBack(ways, frame, memberKeyOf(value), spot.track, value.span, value.from);
    case 'rest':
    case 'props': {
      const [prop, ...track] = spot.track;
      return prop === undefined
        ? [{ kind: 'passes', ...here, ending: 'page' }]
        : propBack(ways, frame, prop as MemberKey, track, value.span);
    }
    case 'state':
    case 'store':
      if (value.kind === 'store' && value.args) return hookBack(ways, frame, spot);
      return stateBack(ways, frame, spot);
    case 'ref':
      return [
        ...madeFrom(frame, value.from, spot.track[0] === 'current' ? spot.track.slice(1) : spot.track, 'starts'),
        ...handleBack(graph, frame, spot),
        ...changedBy(ways, frame, spot),
      ];
    case 'derived':
    case 'item': {
      const steps = madeFrom(frame, value.from, spot.track);
      return steps.length > 0 ? steps : [{ kind: 'owns', ...here, ending: 'constant' }];
    }
    case 'fetched':
      return [
        { kind: 'owns', ...here, at: value.origin?.at ?? at, ending: 'asked', by: originText(value.origin) },
        ...madeFrom(frame, value.from, spot.track),
      ];
    case 'hook':
      return hookBack(ways, frame, spot);
    case 'context':
      return contextBack(ways, frame, spot);
    case 'module':
      return moduleBack(graph, frame, spot);
    case 'function':
      if (spot.track[0] === '()' && value.action !== undefined) {
        const steps = madeFrom(frame, frame.body.actions[value.action]?.returns ?? [], spot.track.slice(1));
        if (steps.length > 0) return steps.map((step) => ({ ...step, by: value.name }));
      }
      return [{ kind: 'owns', ...here, ending: 'function' }];
    case 'setter':
      return [{ kind: 'owns', ...here, ending: 'function' }];
    case 'param':
      return paramBack(ways, frame, spot);
    case 'handed':
      return handedBack(graph, frame, spot);
  }
}

/** What something from outside is, in words: `query boats`; empty for nothing. */
export function originText(origin: OriginFact | undefined): string {
  return origin ? `${origin.kind} ${origin.what}` : '';
}

/**
 * Steps back by what a value is made of. What only decides is marked, and is left out where the same enters
 * by itself; where nothing enters by itself, what decides is all that there is to follow.
 */
function stepsBack(from: readonly Reading[], track: Track, make: (reading: Reading, passed: Passed) => Step): Step[] {
  const own = new Set(from.flatMap((one) => (one.decides ? [] : [one.value])));
  return from.flatMap((reading): Step[] => {
    if (reading.decides && own.has(reading.value)) return [];
    const passed = backward(reading, track);
    if (!passed) return [];
    return [reading.decides && own.size > 0 ? { ...make(reading, passed), decides: true } : make(reading, passed)];
  });
}

/** Readings that a value is made of, as steps back. */
function madeFrom(frame: Frame, from: readonly Reading[], track: Track, kind?: Step['kind']): Step[] {
  return stepsBack(from, track, (reading, passed) => ({
    kind: kind ?? localKind(passed.how),
    how: passed.how,
    at: codeAt(frame, reading.span),
    frame: frame.index,
    name: frame.body.values[reading.value]?.name ?? '',
    to: { frame: frame.index, value: reading.value, track: passed.track },
    ...(reading.partOfStore?.kind === 'module' || isCommand(track) ? { silent: true as const } : {}),
  }));
}

/** A prop: what the use that made the place gives under that name, else what stands `around` the component gives. */
function propBack({ graph }: FlowQueries, frame: Frame, key: MemberKey, track: Track, span: Span, around: readonly Reading[] = []): Step[] {
  const given = givenTo(graph, frame, key);
  const prop = frame.component?.contract.members.get(key)?.name ?? memberName(key);
  const here = { how: 'same', at: codeAt(frame, span), frame: frame.index, name: prop } as const;
  if (!given && around.length > 0) return madeFrom(frame, around, track);
  if (!given) return [{ kind: 'passes', ...here, ending: 'page' }];
  const { owner, use, binding } = given;
  if (binding) {
    const at = codeAt(owner, binding.span);
    const base = { how: 'same', at, frame: owner.index, name: prop, kind: 'passes' } as const;
    if (binding.action !== undefined) return [{ ...base, kind: 'catches', action: binding.action }];
    if (binding.constant !== undefined) return [{ ...base, ending: 'constant', by: binding.constant }];
    const steps = stepsBack(binding.readings, track, (reading, passed) => {
      const name = owner.body.values[reading.value]?.name ?? '';
      const kind = passed.how === 'same' ? (name === prop ? 'passes' : 'renames') : localKind(passed.how);
      const to = { frame: owner.index, value: reading.value, track: passed.track };
      return { ...base, kind, how: passed.how, name, to };
    });
    return steps.length > 0 ? steps : [{ ...base, ending: 'constant' }];
  }
  const spread = spreadBack(graph, owner, use, key, track);
  if (spread.length > 0) return spread;
  if (around.length > 0) return madeFrom(frame, around, track);
  const cloner = clonedBy(graph, frame);
  if (cloner !== undefined) return [{ kind: 'passes', ...here, ending: 'unknown', by: `${cloner} may add it to its content` }];
  const fallback = frame.component?.contract.members.get(key)?.fallback;
  return [
    {
      kind: 'passes',
      ...here,
      ending: fallback === undefined ? 'ungiven' : 'default',
      ...(fallback === undefined ? {} : { by: fallback }),
    },
  ];
}

/** The component around a place that clones what stands in it, and so may give it more than is written; undefined where none does. */
function clonedBy({ tree, model }: Graph, frame: Frame): string | undefined {
  const around = tree.places[tree.places[frame.place]?.parent ?? -1];
  const component = around && model.components.get(around.component);
  return component?.facts.clones ? component.facts.name : undefined;
}

/** Whether the place of a component is given something by a name: its rest holds nothing else. */
function mayGive(graph: Graph, frame: Frame, prop: MemberKey): boolean {
  const id = graph.tree.places[frame.place]?.use;
  const use = id && useById(graph.model, id);
  return !use || use.node.spreads.length > 0 || bindingFor(use.node, prop) !== undefined;
}

function spreadBack(graph: Graph, owner: Frame, use: TemplateUse, prop: MemberKey, track: Track): Step[] {
  return use.spreads.flatMap((spread) =>
    spread.keys && !spread.keys.includes(prop)
      ? []
      : spread.readings.flatMap((reading): Step[] => {
          if (owner.body.values[reading.value]?.kind === 'rest' && !mayGive(graph, owner, prop)) return [];
          if (spread.ofEvents && memberOf(prop).kind !== 'event') return [];
          const name = spread.ofEvents ? memberName(prop) : prop;
          const passed = backward({ ...reading, how: reading.how === 'spread' ? 'same' : reading.how }, [name, ...track]);
          if (!passed) return [];
          return [
            {
              kind: 'passes',
              how: passed.how,
              at: codeAt(owner, spread.span),
              frame: owner.index,
              name: owner.body.values[reading.value]?.name ?? '',
              to: { frame: owner.index, value: reading.value, track: passed.track },
            },
          ];
        }),
  );
}

const isDone = ({ at: [part] }: Held): boolean => part === 'actions' || part === 'dispatch' || part === 'commit';

/** Whether a store that is put together of several has a member from another one of these. */
function isOfOtherPart(graph: Graph, { frame, value, track: [member] }: Spot): boolean {
  const by = graph.frames[frame];
  const own = by?.body.values[value];
  const there = by && own?.kind === 'module' && own.source !== undefined ? graph.moduleSpot(by, own.source) : undefined;
  const store = there ? there.frame.body.values[there.value] : own;
  if (store?.shape !== 'part' || member === undefined) return false;
  return !store.fields?.some(({ name }) => name === member) && !store.from.some(({ held }) => held?.at[0] === member);
}

/** A state: what it held first, and all that was put into it. */
function stateBack(ways: FlowQueries, frame: Frame, given: Spot): Step[] {
  // `boats.reducer` of a slice stands for what the slice holds.
  const isReducer = frame.body.values[given.value]?.shape === 'slice' && given.track[0] === 'reducer';
  const spot = isReducer ? { ...given, track: given.track.slice(1) } : given;
  const value = frame.body.values[spot.value];
  // What a store does is nothing that it holds.
  const held = spot.track.length > 0 ? (value?.from ?? []) : (value?.from ?? []).filter(({ held: at }) => !at || !isDone(at));
  const made = madeFrom(frame, held, spot.track, value?.shape === 'atom' ? undefined : 'starts').map((step) =>
    givenByStore(frame, value, step),
  );
  const first = made.filter(({ to }) => !to || !isOfOtherPart(ways.graph, to));
  const here = {
    how: 'same',
    at: codeAt(frame, value ? spanOfPart(value, spot.track) : { start: 0, end: 0 }),
    frame: frame.index,
    name: value?.name ?? '',
  } as const;
  const isElsewhere = value?.shape === 'root' && !value.fields?.some(({ name }) => name === spot.track[1]);
  if (isCommand(spot.track) || (first.length === 0 && isElsewhere)) return first;
  const own: Step[] = first.length > 0 ? first : [{ kind: 'owns', ...here, ending: 'constant' }];
  return [...own, ...changedBy(ways, frame, spot)];
}

/** What a store computes when it is asked, the states that it keeps and the stores that a root is put together from are no beginnings: they stay in step. */
function givenByStore(frame: Frame, store: ValueFact | undefined, step: Step): Step {
  const held = step.to && frame.body.values[step.to.value];
  const isComputed = held?.kind === 'function' && step.to?.track[0] === '()';
  const isPart = store?.shape === 'root' && held !== undefined && held.kind !== 'function';
  const isKept = held?.kind === 'state' || (store?.shape === 'factory' && held?.kind === 'derived' && held.from.length > 0);
  return store?.kind === 'store' && (isComputed || isKept || isPart) ? { ...step, kind: 'gives', by: store.name } : step;
}

function changedBy(ways: FlowQueries, frame: Frame, spot: Spot): Step[] {
  return ways.writers(frame, spot.value).flatMap((writer): Step[] => {
    const rest = under(writer.path, spot.track);
    if (!rest) return [];
    const base = { kind: 'changes', how: 'same', at: writer.at, frame: writer.frame.index, name: writer.name } as const;
    const steps = argBack(writer.frame, writer.args[0], rest).map((step): Step => ({
      ...step,
      kind: 'changes',
      at: writer.at,
      via: writer.trail,
    }));
    // Which of the state's own items a change falls on is no source of the state.
    const isOwn = (step: Step) => step.to?.frame === frame.index && step.to.value === spot.value;
    const others = steps.some(isOwn) ? steps.filter((step) => !isOwn(step) && !step.decides) : steps;
    if (others.length > 0) return others;
    return steps.length > 0
      ? []
      : [
          {
            ...base,
            ending: writer.action < 0 ? 'platform' : 'constant',
            via: writer.trail,
            ...(writer.args[0]?.constant === undefined ? {} : { by: writer.args[0].constant }),
          },
        ];
  });
}

/** Of a part that is followed, what is left below a changed part; undefined where the change is elsewhere. */
function under(changed: Track, track: Track): Track | undefined {
  const reading: Reading = { value: 0, path: changed, how: changed.length > 0 ? 'part' : 'same', span: { start: 0, end: 0 } };
  return forward(reading, track)?.track;
}

function argBack(frame: Frame, arg: ArgFact | undefined, track: Track): Step[] {
  return arg ? madeFrom(frame, arg.readings, track) : [];
}

/** A handle: what the component that it is put on exposes. */
function handleBack(graph: Graph, frame: Frame, spot: Spot): Step[] {
  return (graph.indexOf(frame).refs.get(spot.value) ?? []).flatMap((use) => {
    const path = use.ref?.path ?? [];
    if (!path.every((one, at) => spot.track[at] === one)) return [];
    const track = spot.track.slice(path.length);
    return graph.madeBy(frame, use).flatMap((place) => {
      const below = graph.frames[place.index];
      return below?.component?.facts.exposes ? madeFrom(below, below.component.facts.exposes, track) : [];
    });
  });
}

/** What the outlet around a route gives to it. */
function outletBack({ owner, use, binding }: OutletGiven, base: Pick<Step, 'how' | 'at' | 'frame' | 'name'>, track: Track): Step[] {
  const by = use.node.tag;
  if (!binding) return [{ kind: 'gives', ...base, by, ending: 'ungiven' }];
  const steps = madeFrom(owner, binding.readings, track).map((step): Step => ({ ...step, kind: 'gives', by }));
  return steps.length > 0
    ? steps
    : [
        {
          kind: 'gives',
          ...base,
          at: codeAt(owner, binding.span),
          frame: owner.index,
          // Of an object, the parts that are read are known, and not those that are written in place.
          ...(binding.readings.length > 0 ? { ending: 'unknown' } : { by, ending: 'constant' }),
        },
      ];
}

/** `queryKey: boatKeys.one(id)`: what a module names a key by says nothing of what is answered, but what it is handed does. */
const namesKey = ({ body }: Frame, { held, value }: Reading): boolean =>
  held?.at[0] === 'queryKey' && body.values[value]?.kind === 'module';

/** What a hook gives: from inside the hook of the project, from the store it reads, or from outside. */
function hookBack(ways: FlowQueries, frame: Frame, spot: Spot): Step[] {
  const { graph } = ways;
  const value = frame.body.values[spot.value];
  if (!value) return [];
  const base = { how: 'same', at: codeAt(frame, value.span), frame: frame.index, name: value.name } as const;
  const hook = graph.hookFrame(frame.index, spot.value);
  if (hook?.body.returns) {
    const steps = madeFrom(hook, hook.body.returns, spot.track, undefined).map((step): Step => ({
      ...step,
      kind: step.how === 'computed' ? 'derives' : 'gives',
      by: hook.name,
    }));
    return steps.length > 0 ? steps : [{ kind: 'gives', ...base, ending: 'unknown', by: hook.name }];
  }
  const stored = storeBack(ways, frame, spot);
  if (stored.length > 0) return stored;
  const outlet = isOfOutlet(graph, frame, spot.value) ? givenByOutlet(graph, frame) : undefined;
  if (outlet) return outletBack(outlet, base, spot.track);
  const meant = value.source === undefined ? undefined : graph.named(frame, value.source);
  const by = meant?.kind === 'outside' ? `${meant.name} of ${meant.module}` : (value.source ?? '');
  const end: Step = value.origin
    ? { kind: 'owns', ...base, ending: 'asked', by: originText(value.origin) }
    : { kind: 'owns', ...base, ending: 'leaves', by };
  const given = (value.args ?? []).flatMap((arg) =>
    arg.readings.filter((one) => !namesKey(frame, one)).flatMap((reading) => madeFrom(frame, [{ ...reading, how: 'computed' }], [])),
  );
  const known = given.filter((step) => frame.body.values[step.to?.value ?? -1]?.kind !== 'function');
  if (meant?.kind !== 'value' || value.origin) return [end, ...known];
  return known.length > 0 ? known : [{ ...end, kind: 'gives', ending: 'unknown' }];
}

/** What a hook from outside, or one made with the store, gives of it. */
function storeBack(ways: FlowQueries, frame: Frame, spot: Spot): Step[] {
  const { graph } = ways;
  const value = frame.body.values[spot.value];
  const base = { kind: 'takes', how: 'same', at: codeAt(frame, value?.span ?? { start: 0, end: 0 }), frame: frame.index } as const;
  const readingsAt = (position: number): readonly Reading[] => value?.args?.[position]?.readings ?? [];
  const made = value?.source === undefined ? undefined : graph.moduleSpot(frame, value.source);
  const store = made && made.frame.body.values[made.value];
  if (made && store?.shape === 'factory') {
    const tracks = value?.args?.[0] ? throughSelector(ways, frame, readingsAt(0), spot.track) : [spot.track];
    return tracks.map((track): Step => ({ ...base, name: store.name, to: { frame: made.frame.index, value: made.value, track } }));
  }
  const gives = value?.gives;
  switch (gives?.gives) {
    case 'store': {
      const tracks =
        gives.selector !== undefined && value?.args?.[gives.selector]
          ? throughSelector(ways, frame, readingsAt(gives.selector), spot.track)
          : [spot.track];
      return tracks.flatMap((track) => madeFrom(frame, readingsAt(gives.store), track).map((step): Step => ({ ...step, kind: 'takes' })));
    }
    case 'pair':
      if (spot.track[0] === '1') return [{ ...base, name: value?.name ?? '', ending: 'function' }];
      return madeFrom(frame, readingsAt(gives.store), spot.track.slice(1)).map((step): Step => ({ ...step, kind: 'takes' }));
    case 'snapshot':
      return madeFrom(frame, readingsAt(gives.snapshot), ['()', ...spot.track]).map((step): Step => ({ ...step, kind: 'takes' }));
    case 'root': {
      const { selector } = gives;
      const tracks = selector === undefined ? [spot.track] : throughSelector(ways, frame, readingsAt(selector), spot.track);
      return tracks.flatMap((track) =>
        rootStores(graph).map((root): Step => ({
          ...base,
          name: 'store',
          to: { ...root, track },
          ...(selector === undefined ? { silent: true } : {}),
        })),
      );
    }
    default:
      return [];
  }
}

/** The stores that hold all others. */
function rootStores(graph: Graph): Spot[] {
  return graph.frames.flatMap((frame) =>
    frame.kind === 'module'
      ? frame.body.values.flatMap((value, index) => (value.shape === 'root' ? [{ frame: frame.index, value: index, track: [] }] : []))
      : [],
  );
}

/** Which parts of its store a selector takes; the whole where its text does not tell. */
const throughSelector = (ways: FlowQueries, frame: Frame, selector: readonly Reading[], track: Track): Track[] =>
  selector.flatMap((reading) => selectorTracks(ways, frame, reading, track));

/** A taken context: what its nearest provider is given. */
function contextBack({ graph }: FlowQueries, frame: Frame, spot: Spot): Step[] {
  const value = frame.body.values[spot.value];
  const meant = value?.source === undefined ? undefined : graph.named(frame, value.source);
  const base = { kind: 'takes', how: 'same', at: codeAt(frame, value?.span ?? { start: 0, end: 0 }), frame: frame.index } as const;
  if (meant?.kind !== 'context')
    return [
      {
        ...base,
        name: value?.name ?? '',
        ending: 'leaves',
        by: meant?.kind === 'outside' ? `${meant.name} of ${meant.module}` : (value?.source ?? ''),
      },
    ];
  const context = graph.model.contexts.get(meant.id);
  const taken: Step = { ...base, name: context?.name ?? '', by: context?.name ?? '' };
  const provider = graph.providerOf(frame, meant.id, value?.asks);
  if (!provider) return [{ ...taken, ending: context?.fallback === 'given' && !isBounded(value?.asks) ? 'default' : 'ungiven' }];
  const use = provider.use && useById(graph.model, provider.use);
  const inHook = provider.at && providedInHook(graph, provider, spot.track);
  if (inHook) return inHook.map((step): Step => ({ ...step, kind: 'provides', via: [taken], by: context?.name ?? '' }));
  const owner =
    provider.owner >= 0
      ? graph.frames[provider.owner]
      : graph.frames.find((one) => one.component?.id === use?.owner && one.kind === 'component');
  const binding = use && bindingFor(use.node, propKey('value'));
  if (!owner || !binding) return [{ ...taken, ending: 'unknown' }];
  const at = codeAt(owner, binding.span);
  const steps = madeFrom(owner, binding.readings, spot.track).map((step): Step => ({
    ...step,
    kind: 'provides',
    at,
    via: [taken],
    by: context?.name ?? '',
  }));
  return steps.length > 0
    ? steps
    : [
        {
          kind: 'provides',
          how: 'same',
          at,
          frame: owner.index,
          name: context?.name ?? '',
          via: [taken],
          ending: 'constant',
          ...(binding.constant === undefined ? {} : { by: binding.constant }),
        },
      ];
}

/** What a hook gives to all below the component that calls it: the readings of the call in the hook that provides. */
function providedInHook(graph: Graph, { owner, context, at }: Provider, track: Track): Step[] | undefined {
  for (const frame of graph.frames) {
    if (frame.kind !== 'hook' || frame.place !== owner || frame.file !== at?.file) continue;
    const fact = (frame.body as Indexed).provides?.find(({ key, span }) => {
      const meant = graph.named(frame, key);
      return span.start === at.start && meant.kind === 'context' && meant.id === context;
    });
    const steps = fact && madeFrom(frame, fact.readings, track).map((step): Step => ({ ...step, at: codeAt(frame, fact.span) }));
    if (steps && steps.length > 0) return steps;
    if (fact)
      return [
        {
          kind: 'provides',
          how: 'same',
          at: codeAt(frame, fact.span),
          frame: frame.index,
          name: graph.model.contexts.get(context)?.name ?? '',
          ending: 'constant',
        },
      ];
  }
  return undefined;
}

/** Something that the module declares or imports: where it is declared. */
function moduleBack(graph: Graph, frame: Frame, spot: Spot): Step[] {
  const value = frame.body.values[spot.value];
  const name = value?.source ?? '';
  const there = graph.moduleSpot(frame, name);
  const here = { how: 'same', at: codeAt(frame, value?.span ?? { start: 0, end: 0 }), frame: frame.index, name } as const;
  if (there) {
    const track = there.frame.body.values[there.value]?.shape === 'slice' && spot.track[0] === 'reducer' ? spot.track.slice(1) : spot.track;
    return [{ kind: 'takes', ...here, to: { frame: there.frame.index, value: there.value, track }, silent: true }];
  }
  const meant = graph.named(frame, name);
  switch (meant.kind) {
    case 'value':
      return [
        {
          kind: 'owns',
          ...here,
          at: locate(meant.file, meant.span),
          ending: spot.track.includes('()') ? 'function' : 'constant',
        },
      ];
    case 'outside':
      return [{ kind: 'owns', ...here, ending: 'leaves', by: `${meant.name} of ${meant.module}` }];
    case 'component':
    case 'hook':
    case 'context':
      return [{ kind: 'owns', ...here, ending: 'constant' }];
    case 'unknown':
      return [{ kind: 'owns', ...here, ending: 'unknown', by: meant.reason }];
  }
}

/** A parameter: what those who run the function hand in. */
function paramBack(ways: FlowQueries, frame: Frame, spot: Spot): Step[] {
  const { graph } = ways;
  const value = frame.body.values[spot.value];
  if (!value) return [];
  const here = { how: 'same', at: codeAt(frame, value.span), frame: frame.index, name: value.name } as const;
  if (value.of === undefined) {
    const caller = frame.caller && graph.frames[frame.caller.frame];
    const arg = caller && frame.caller && caller.body.values[frame.caller.value]?.args?.[value.position ?? 0];
    if (!caller || !arg) return [{ kind: 'passes', ...here, ending: 'ungiven' }];
    const steps = argBack(caller, arg, spot.track).map((step): Step => ({ ...step, kind: 'passes', by: frame.name }));
    return steps.length > 0
      ? steps
      : [{ kind: 'passes', ...here, ending: 'constant', ...(arg.constant === undefined ? {} : { by: arg.constant }) }];
  }
  if (value.from.length > 0) return madeFrom(frame, value.from, spot.track);
  const callers = ways.callers(frame, value.of);
  if (callers.length === 0) return [{ kind: 'owns', ...here, ending: 'uncalled', by: frame.body.actions[value.of]?.name ?? 'it' }];
  const handles = isHandler(frame, value.of);
  const track = handles && spot.track[0] === 'payload' ? spot.track.slice(1) : spot.track;
  return callers.flatMap((caller): Step[] => {
    switch (caller.by) {
      case 'platform': {
        // What is sent to elements by the project itself is no event of the platform.
        const key = `document ${caller.event}`;
        if (ways.senders(key, caller.frame, caller.at).length > 0)
          return channelBack(ways, key, caller.frame, track, value.position ?? 0, { ...here, at: caller.at }, caller.at);
        return [
          {
            kind: 'starts',
            how: 'same',
            at: caller.at,
            frame: caller.frame.index,
            name: caller.event,
            ending: 'platform',
            by: caller.element,
            via: caller.trail.map(relayed),
          },
        ];
      }
      case 'render':
        return [
          {
            kind: 'calls',
            how: 'computed',
            at: caller.at,
            frame: caller.frame.index,
            name: caller.name,
            ending: 'unknown',
            via: caller.trail.map(relayed),
          },
        ];
      case 'outside':
        return [
          {
            kind: 'starts',
            how: 'same',
            at: caller.at,
            frame: caller.frame.index,
            name: caller.name,
            ending: 'leaves',
            by: caller.name,
            via: caller.trail.map(relayed),
          },
        ];
      case 'channel':
        return channelBack(ways, caller.channel, caller.frame, track, value.position ?? 0, { ...here, at: caller.at });
      default: {
        const kind = caller.by === 'raise' ? 'raises' : 'calls';
        const arg = caller.args[handles ? 0 : (value.position ?? 0)];
        const steps = argBack(caller.frame, arg, track).map((step): Step => ({
          ...step,
          kind,
          at: caller.at,
          via: caller.trail.map(relayed),
          by: caller.name,
        }));
        if (steps.length > 0) return steps;
        return [
          {
            kind,
            how: 'same',
            at: caller.at,
            frame: caller.frame.index,
            name: caller.name,
            ending: arg?.constant === undefined ? 'unknown' : 'constant',
            via: caller.trail.map(relayed),
            ...(arg?.constant === undefined ? {} : { by: arg.constant }),
          },
        ];
      }
    }
  });
}

/** On the way from its declaration to its call a function is handed on. */
function relayed(step: Step): Step {
  return step.kind === 'catches' ? step : { ...step, kind: 'relays' };
}

/** What is heard on a channel: what its senders put in. */
function channelBack(
  ways: FlowQueries,
  key: string | undefined,
  hearer: Frame,
  track: Track,
  position: number,
  here: Pick<Step, 'how' | 'at' | 'frame' | 'name'>,
  listener?: Location,
): Step[] {
  const senders = key === undefined ? [] : ways.senders(key, hearer, listener);
  const inner = track[0] === 'data' ? track.slice(1) : track;
  const steps = senders.flatMap((sender) => {
    const given = sender.send.args[position];
    const at = codeAt(sender.frame, sender.send.span);
    const sent = { kind: 'publishes', at, via: [{ kind: 'hears', ...here }] } as const;
    const made = argBack(sender.frame, given, inner).map((step): Step => ({ ...step, ...sent }));
    if (made.length > 0) return made;
    const constant = given?.constant === undefined ? {} : { by: given.constant };
    return [{ ...here, ...sent, frame: sender.frame.index, ending: 'constant' as const, ...constant }];
  });
  if (steps.length > 0) return steps;
  return [{ kind: 'hears', ...here, ...(key === undefined ? { ending: 'unknown' } : { ending: 'platform', by: key }) }];
}

/** A value given to content by a slot or a render function: what the component hands out there. */
function handedBack(graph: Graph, frame: Frame, spot: Spot): Step[] {
  const value = frame.body.values[spot.value];
  const here = {
    how: 'same',
    at: codeAt(frame, value?.span ?? { start: 0, end: 0 }),
    frame: frame.index,
    name: value?.name ?? '',
  } as const;
  const found = handingUse(frame.body.template ?? [], spot.value);
  const steps = found
    ? graph.madeBy(frame, found.use).flatMap((place): Step[] => {
        const below = graph.frames[place.index];
        if (!below) return [];
        const outlets = graph.indexOf(below).outlets.filter((one) => one.slot === found.slot);
        return outlets.flatMap((outlet) =>
          madeFrom(below, outlet.slotProps[found.position] ?? [], spot.track).map((step): Step => ({
            ...step,
            kind: 'gives',
            by: slotLabel(below, found.slot),
          })),
        );
      })
    : [];
  return steps.length > 0
    ? steps
    : [
        {
          kind: 'gives',
          ...here,
          ending: found && graph.madeBy(frame, found.use).length === 0 ? 'leaves' : 'unknown',
          by: found?.use.tag ?? '',
        },
      ];
}

/** The use whose content is given a value, the slot, and at which position. */
function handingUse(nodes: readonly TemplateNode[], value: number): { use: TemplateUse; slot: MemberKey; position: number } | undefined {
  for (const use of usesIn(nodes)) {
    const position = use.slotProps?.indexOf(value) ?? -1;
    if (position >= 0) return { use, slot: defaultSlot, position };
    for (const binding of use.bindings) {
      const at = binding.slotProps?.indexOf(value) ?? -1;
      const slot = at >= 0 ? bindingKey(binding) : undefined;
      if (slot !== undefined) return { use, slot, position: at };
    }
  }
  return undefined;
}
