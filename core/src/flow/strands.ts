import type { Reading, TemplateUse } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import { useById } from '../model/lookup';
import { type FilePath, locate, type Span } from '../model/span';
import { type Knot, type KnotCode, type KnotKind, knotKinds, type Strand, type StrandKind } from '../model/strand';
import type { Place, PlaceIndex, Provider, Tree } from '../model/tree';
import { providerFor } from '../tree';
import { type BodyFlow, bodyFlow, type Carried, followValue, type ValueFlow } from './body';
import type { SubjectId } from './subject';
import type { Ways } from './way';
import { makeWays } from './ways';
import { holdsState, wideStrands } from './wide-strands';
import { knownUse, missingProps, unheardEvents, unmetTakes } from './loose';

/** The strands of a page: those that touch more than one place or end loose, and how many stay inside one component. */
export type Strands = { readonly strands: readonly Strand[]; readonly local: number };

type Draft = { readonly strand: Omit<Strand, 'knots' | 'loose'>; readonly knots: Map<PlaceIndex, DraftKnot>; loose?: string };
type DraftKnot = {
  readonly place: PlaceIndex;
  readonly kinds: Set<KnotKind>;
  readonly name: string;
  readonly names: Set<string>;
  readonly code: KnotCode[];
  readonly from: PlaceIndex;
  twoWay: boolean;
};

/** Tables that all strands of a page share. */
export type Flow = {
  readonly model: Model;
  readonly tree: Tree;
  readonly ways: Ways;
  readonly bodies: Map<ComponentId, BodyFlow>;
  readonly flows: Map<string, ValueFlow>;
  /** Places made by each use, by the place that owns the use. */
  readonly made: ReadonlyMap<string, readonly Place[]>;
};

function makeFlow(model: Model, tree: Tree, ways: Ways): Flow {
  const made = new Map<string, Place[]>();
  for (const place of tree.places) {
    if (!place.use) continue;
    const key = `${place.owner} ${place.use}`;
    const known = made.get(key);
    if (known) known.push(place);
    else made.set(key, [place]);
  }
  return { model, tree, ways, bodies: new Map(), flows: new Map(), made };
}

function bodyOf(flow: Flow, component: Component): BodyFlow {
  const known = flow.bodies.get(component.id);
  if (known) return known;
  const body = bodyFlow(component);
  flow.bodies.set(component.id, body);
  return body;
}

function flowOf(flow: Flow, component: Component, value: number, member?: string): ValueFlow {
  const key = `${component.id} ${value} ${member ?? ''}`;
  const known = flow.flows.get(key);
  if (known) return known;
  const found = followValue(bodyOf(flow, component), value, member);
  flow.flows.set(key, found);
  return found;
}

function componentAt(flow: Flow, place: PlaceIndex): Component | undefined {
  const found = flow.tree.places[place];
  return found && flow.model.components.get(found.component);
}

function placesOf(flow: Flow, owner: PlaceIndex, node: TemplateUse): readonly Place[] {
  const use = flow.model.useOfNode.get(node);
  return use ? (flow.made.get(`${owner} ${use.id}`) ?? []) : [];
}

function draftOf(kind: StrandKind, name: string, home: ComponentId, key: string, subject?: SubjectId): Draft {
  const strand = { id: `${kind}:${home}:${name}${key}`, kind, name, home, ...(subject === undefined ? {} : { subject }) };
  return { strand, knots: new Map() };
}

function tie(draft: Draft, place: PlaceIndex, kind: KnotKind, name: string, from: PlaceIndex, code: readonly KnotCode[]): DraftKnot {
  const known = draft.knots.get(place);
  if (known) {
    known.kinds.add(kind);
    known.names.add(name);
    known.code.push(...code);
    return known;
  }
  const knot: DraftKnot = { place, kinds: new Set([kind]), name, names: new Set([name]), code: [...code], from, twoWay: false };
  draft.knots.set(place, knot);
  return knot;
}

function codeOf(file: FilePath, spans: readonly Span[], does: KnotKind): KnotCode[] {
  return spans.map((span) => ({ at: locate(file, span), does }));
}

type Step = { readonly place: PlaceIndex; readonly value: number; readonly member?: string; readonly name: string; readonly prop?: string };

/** Follows a value from a place down through every component that is given it. */
function followDown(flow: Flow, draft: Draft, start: Step): void {
  const seen = new Set<string>();
  const stack: Step[] = [start];
  for (let step = stack.pop(); step; step = stack.pop()) {
    const component = componentAt(flow, step.place);
    const key = `${step.place} ${step.value} ${step.prop ?? ''}`;
    if (!component || seen.has(key)) continue;
    seen.add(key);
    const found =
      step.value >= 0 ? flowOf(flow, component, step.value, step.member) : throughRest(component, step.prop ?? '', bodyOf(flow, component));
    const file = component.file;
    if (found.reads.length > 0) tie(draft, step.place, 'reads', step.name, -1, codeOf(file, found.reads, 'reads'));
    if (found.changes.length > 0) tie(draft, step.place, 'changes', step.name, -1, codeOf(file, found.changes, 'changes'));
    for (const carried of found.carried) stack.push(...carryOn(flow, draft, step, carried, file));
  }
}

/** A prop that the component does not name goes with the rest of its props, where that is spread. */
function throughRest(component: Component, prop: string, body: BodyFlow): ValueFlow {
  const carried: Carried[] = [];
  component.facts.values.forEach((value, index) => {
    if (value.kind !== 'rest' && value.kind !== 'props') return;
    for (const one of followValue(body, index).carried) if (one.prop === '*') carried.push({ ...one, prop });
  });
  return { carried, reads: [], changes: [] };
}

/** Ties the knots at the places that a use made, and gives the steps that go on from there. */
function carryOn(flow: Flow, draft: Draft, step: Step, carried: Carried, file: FilePath): Step[] {
  const steps: Step[] = [];
  for (const place of placesOf(flow, step.place, carried.node)) {
    const component = flow.model.components.get(place.component);
    if (!component) continue;
    if (carried.prop === '*') {
      tie(draft, place.index, 'narrows', step.name, step.place, codeOf(file, [carried.span], 'narrows'));
      continue;
    }
    const { prop } = carried;
    if (component.contract.props.get(prop)?.kind === 'callback' && draft.strand.kind !== 'event') continue;
    const value = bodyOf(flow, component).props.get(prop) ?? -1;
    const kind: KnotKind = carried.how !== 'same' ? 'narrows' : prop !== step.name ? 'renames' : 'passes';
    const knot = tie(draft, place.index, kind, prop, step.place, codeOf(file, [carried.span], kind));
    if (isTwoWay(flow, step, carried)) knot.twoWay = true;
    steps.push({ place: place.index, value, name: prop, prop });
  }
  return steps;
}

/** Names under which a component asks for a change of the prop that it was given. */
function asksForChange(prop: string, event: string): boolean {
  const capital = prop.charAt(0).toUpperCase() + prop.slice(1);
  return ['onChange', 'onInput', `on${capital}Change`, `onChange${capital}`, `onUpdate${capital}`, `set${capital}`].includes(event);
}

/** The same use passes the value and a handler for its change, and the handler changes just this value. */
function isTwoWay(flow: Flow, step: Step, carried: Carried): boolean {
  const component = componentAt(flow, step.place);
  if (!component || step.value < 0 || carried.how !== 'same') return false;
  const { values, actions } = component.facts;
  return carried.node.bindings.some((binding) => {
    if (!asksForChange(carried.prop, binding.name)) return false;
    const setter = binding.readings.some((reading) => values[reading.value]?.partner === step.value);
    const action = binding.action ?? values[binding.readings[0]?.value ?? -1]?.action;
    return setter || (action !== undefined && (actions[action]?.changes.some((change) => change.value === step.value) ?? false));
  });
}

const born: Readonly<Partial<Record<string, StrandKind>>> = { state: 'state', hook: 'state', fetched: 'state', store: 'store' };

function stateStrands(flow: Flow, place: Place): Draft[] {
  const component = flow.model.components.get(place.component);
  if (!component || place.cut) return [];
  return component.facts.values.flatMap((value, index): Draft[] => {
    const kind = born[value.kind];
    if (!kind || isTakenContext(component, index)) return [];
    const hook = value.kind === 'hook' ? flow.ways.graph.hookFrame(place.index, index) : undefined;
    if (hook && holdsState(flow.ways, hook)) return [];
    if (value.kind === 'hook' && isStoreReading(flow, component, index)) return [];
    if (value.kind === 'store' && value.args) return [];
    const members = value.kind === 'hook' ? membersRead(flow, component, index) : [undefined];
    return members.map((member) => {
      const name = member === undefined ? value.name : (value.parts?.[member] ?? member);
      const draft = draftOf(
        kind,
        name,
        component.id,
        `@${place.index}`,
        `${component.id}~${value.name}${member === undefined ? '' : `.${member}`}`,
      );
      tie(draft, place.index, 'owns', name, -1, codeOf(component.file, [value.span], 'owns'));
      followDown(flow, draft, { place: place.index, value: index, name, ...(member === undefined ? {} : { member }) });
      return draft;
    });
  });
}

/** What a hook gives of a store belongs to the store's strand. */
function isStoreReading(flow: Flow, component: Component, index: number): boolean {
  const value = component.facts.values[index];
  if (value?.gives) return value.gives.gives !== 'dispatch';
  const frame = flow.ways.graph.frames.find((one) => one.component === component);
  return frame !== undefined && value?.source !== undefined && flow.ways.graph.moduleSpot(frame, value.source) !== undefined;
}

/** Strands of hooks, stores and channels, tied like all others. */
function widerStrands(flow: Flow): Draft[] {
  return wideStrands(flow.ways).map((wide): Draft => {
    const draft = draftOf(wide.kind, wide.name, wide.home, wide.key, wide.subject);
    for (const { place, kind, name, from, code } of wide.ties) tie(draft, place, kind, name, from, code);
    return draft;
  });
}

function isTakenContext(component: Component, value: number): boolean {
  return component.takes.some((take) => take.value === value);
}

/** The members of what a hook gives that the component carries on; one strand each. */
function membersRead(flow: Flow, component: Component, value: number): (string | undefined)[] {
  const body = bodyOf(flow, component);
  const readings: Reading[] = [
    ...(body.sinks.get(value) ?? []).map((sink) => sink.reading),
    ...(body.made.get(value) ?? []).map((made) => made.reading),
  ];
  const members = new Set(readings.map((reading) => (reading.path[0] === '*' ? undefined : reading.path[0])));
  return [...members];
}

function rootPropStrands(flow: Flow, place: Place): Draft[] {
  const component = flow.model.components.get(place.component);
  if (!component || place.owner >= 0) return [];
  return [...bodyOf(flow, component).props].flatMap(([name, value]): Draft[] => {
    if (component.contract.props.get(name)?.kind !== 'value') return [];
    const draft = draftOf('prop', name, component.id, `@${place.index}`);
    tie(
      draft,
      place.index,
      'owns',
      name,
      -1,
      codeOf(component.file, [component.facts.values[value]?.span ?? component.facts.nameSpan], 'owns'),
    );
    followDown(flow, draft, { place: place.index, value, name });
    return [draft];
  });
}

/** Strands of the handlers that a place gives to components: caught here, raised further down. */
function eventStrands(flow: Flow, place: Place): Draft[] {
  const component = flow.model.components.get(place.component);
  if (!component || place.cut) return [];
  const drafts = new Map<string, Draft>();
  for (const use of flow.model.usesBy.get(component.id) ?? []) {
    if (use.target.kind !== 'component') continue;
    const target = flow.model.components.get(use.target.id);
    for (const binding of use.node.bindings) {
      if (target?.contract.props.get(binding.name)?.kind !== 'callback' && binding.direction !== 'out') continue;
      const handler = handlerOf(component, binding);
      if (!handler) continue;
      const key = `${binding.name} ${handler.key}`;
      const draft =
        drafts.get(key) ?? draftOf('event', binding.name, component.id, `@${place.index}${drafts.size > 0 ? `.${drafts.size}` : ''}`);
      drafts.set(key, draft);
      const caught = tie(draft, place.index, 'catches', binding.name, -1, codeOf(component.file, [binding.span], 'catches'));
      if (handler.span && caught.code.length === 1) caught.code.push(...codeOf(component.file, [handler.span], 'catches'));
      for (const below of placesOf(flow, place.index, use.node))
        followEvent(flow, draft, below, binding.name, place.index, locate(component.file, binding.span));
    }
  }
  return [...drafts.values()];
}

/** The handler that a binding gives, when it is one of this component and not handed on from above. */
function handlerOf(
  component: Component,
  binding: TemplateUse['bindings'][number],
): { readonly key: string; readonly span?: Span } | undefined {
  const { values, actions } = component.facts;
  if (binding.action !== undefined) return { key: `action ${binding.action}` };
  const [reading] = binding.readings;
  const value = reading && values[reading.value];
  if (!reading || !value || binding.markup) return undefined;
  if (value.kind === 'prop' || value.kind === 'rest' || value.kind === 'props') return undefined;
  const action = value.action === undefined ? undefined : actions[value.action];
  return { key: `value ${reading.value} ${reading.path.join('.')}`, span: action?.span ?? value.span };
}

function followEvent(flow: Flow, draft: Draft, start: Place, name: string, from: PlaceIndex, at: KnotCode['at']): void {
  const stack = [{ place: start, name, given: name, from, at }];
  const seen = new Set<string>();
  for (let step = stack.pop(); step; step = stack.pop()) {
    const component = flow.model.components.get(step.place.component);
    const key = `${step.place.index} ${step.name}`;
    if (!component || seen.has(key)) continue;
    seen.add(key);
    const { file } = component;
    const raised = component.facts.events.find((event) => event.spelling === step?.name)?.raised ?? [];
    const kind: KnotKind = raised.length > 0 ? 'raises' : step.name === step.given ? 'passes' : 'renames';
    tie(draft, step.place.index, kind, step.name, step.from, [
      { at: step.at, does: 'passes' },
      ...codeOf(
        file,
        raised.map((raise) => raise.span),
        'raises',
      ),
    ]);
    const value = bodyOf(flow, component).props.get(step.name);
    const found = value === undefined ? throughRest(component, step.name, bodyOf(flow, component)) : flowOf(flow, component, value);
    for (const carried of found.carried) {
      if (carried.how !== 'same') continue;
      const next = carried.prop === '*' ? step.name : carried.prop;
      for (const place of placesOf(flow, step.place.index, carried.node)) {
        stack.push({ place, name: next, given: step.name, from: step.place.index, at: locate(file, carried.span) });
      }
    }
  }
}

function contextName(name: string): string {
  const short = name.replace(/(Context|Ctx)$/, '') || name;
  return /^[A-Z]/.test(short) ? short.charAt(0).toLowerCase() + short.slice(1) : short;
}

/** One strand a provider: the places that it answers, and what they hand on. */
function contextStrands(flow: Flow): Draft[] {
  const drafts = new Map<Provider, Draft>();
  const { model, tree } = flow;
  for (const [index, provider] of tree.providers.entries()) {
    const context = model.contexts.get(provider.context);
    if (!context) continue;
    const owner = tree.places[provider.owner];
    const use = useById(model, provider.use);
    const draft = draftOf('context', contextName(context.name), owner?.component ?? (use?.owner as ComponentId), `@p${index}`);
    const at: KnotCode[] = use ? [{ at: locate(use.file, use.node.nameSpan), does: 'owns' }] : [];
    if (owner) tie(draft, owner.index, 'owns', context.name, -1, at);
    drafts.set(provider, draft);
  }
  for (const place of tree.places) {
    const component = model.components.get(place.component);
    for (const take of component?.takes ?? []) {
      const provider = providerFor(tree, place, take.context);
      const draft = provider && drafts.get(provider);
      if (!provider || !draft || !component) continue;
      tie(draft, place.index, 'reads', draft.strand.name, provider.owner, [{ at: take.at, does: 'reads' }]);
      followDown(flow, draft, { place: place.index, value: take.value, name: draft.strand.name });
    }
  }
  return [...drafts.values()];
}

/** Ends that should be tied and are not: props not given, events nobody hears, contexts nobody provides. */
function looseStrands(flow: Flow): Draft[] {
  const drafts = new Map<string, Draft>();
  const { model, tree } = flow;
  const start = (key: string, kind: StrandKind, name: string, home: ComponentId, message: string): Draft => {
    const draft = drafts.get(key) ?? draftOf(kind, name, home, ` loose ${key}`);
    draft.loose ??= message;
    drafts.set(key, draft);
    return draft;
  };
  for (const place of tree.places) {
    const component = model.components.get(place.component);
    const use = place.use && useById(model, place.use);
    if (!component) continue;
    const known = use && knownUse(model, use);
    const at: KnotCode[] = use ? [{ at: locate(use.file, use.node.nameSpan), does: 'ground' }] : [];
    for (const prop of known ? missingProps(known) : []) {
      const draft = start(
        `${use?.id} ${prop.name}`,
        prop.kind === 'callback' ? 'event' : 'prop',
        prop.name,
        component.id,
        `${component.name} needs ${prop.name}, and nothing passes it.`,
      );
      tie(draft, place.owner, 'ground', prop.name, -1, at);
      tie(draft, place.index, 'loose', prop.name, place.owner, [{ at: prop.declared, does: 'loose' }]);
    }
    for (const prop of known && !known.target.isPublic ? unheardEvents(known) : []) {
      if (!isHeardElsewhere(model, component, prop.name)) continue;
      const raised = component.facts.events.find((event) => event.spelling === prop.name)?.raised ?? [];
      const draft = start(
        `${use?.id} ${prop.name}`,
        'event',
        prop.name,
        component.id,
        `${component.name} raises ${prop.name}, and nobody listens.`,
      );
      tie(draft, place.owner, 'ground', prop.name, -1, at);
      tie(
        draft,
        place.index,
        'loose',
        prop.name,
        place.owner,
        codeOf(
          component.file,
          raised.map((raise) => raise.span),
          'raises',
        ),
      ).kinds.add('raises');
    }
    for (const take of unmetTakes(model, tree, place)) {
      const context = model.contexts.get(take.context);
      const name = contextName(context?.name ?? '');
      const draft = start(
        `context ${take.context}`,
        'context',
        name,
        component.id,
        `Nothing above ${component.name} provides ${context?.name}.`,
      );
      tie(draft, place.index, 'loose', name, -1, [{ at: take.at, does: 'loose' }]);
    }
  }
  return [...drafts.values()];
}

/** Some use of the component listens, so silence at another is a loose end. */
function isHeardElsewhere(model: Model, component: Component, event: string): boolean {
  return (model.usesOf.get(component.id) ?? []).some((use) => use.node.bindings.some((binding) => binding.name === event));
}

const weight = new Map(knotKinds.map((kind, index) => [kind, index]));

function finish(draft: Draft): Strand {
  const knots = [...draft.knots.values()]
    .map((knot): Knot => {
      const kinds = [...knot.kinds].sort((a, b) => (weight.get(a) ?? 0) - (weight.get(b) ?? 0));
      const quiet = kinds.length > 1 ? kinds.filter((kind) => kind !== 'passes') : kinds;
      return { ...knot, names: [...knot.names], kinds: quiet };
    })
    .sort((a, b) => a.place - b.place);
  return { ...draft.strand, knots, ...(draft.loose === undefined ? {} : { loose: draft.loose }) };
}

/** All strands of an unfolded page. Two uses of one component with different sources stay apart. */
export function strandsOf(model: Model, tree: Tree, ways: Ways = makeWays(model, tree)): Strands {
  const flow = makeFlow(model, tree, ways);
  const drafts = [
    ...tree.places.flatMap((place) => [...stateStrands(flow, place), ...rootPropStrands(flow, place), ...eventStrands(flow, place)]),
    ...contextStrands(flow),
    ...widerStrands(flow),
    ...looseStrands(flow),
  ];
  const strands = drafts.filter((draft) => draft.knots.size > 1 || draft.loose !== undefined).map(finish);
  return { strands, local: drafts.filter((draft) => draft.knots.size === 1 && draft.loose === undefined).length };
}
