import type { BodyFacts, HookFact, TemplateUse, ValueFact } from '../../model/facts';
import { useById } from '../../model/lookup';
import type { ComponentId, SharedId } from '../../model/ids';
import type { Component, Model, Named } from '../../model/model';
import type { FilePath, Span } from '../../model/span';
import type { Place, PlaceIndex, Provider, Tree } from '../../model/tree';
import { providerFor } from '../../tree';
import { type BodyIndex, indexBody, type Indexed } from './sinks';

/** A body at one position: a component at a place, a hook called by one, or a module. */
export type Frame = {
  readonly index: number;
  readonly kind: 'component' | 'hook' | 'module';
  /** The component, the hook, or the module's file. */
  readonly name: string;
  readonly file: FilePath;
  readonly body: Indexed;
  /** The place of the component, or of the one that calls the hook; -1 outside the page. */
  readonly place: PlaceIndex;
  readonly component?: Component;
  /** Of a hook: the frame that calls it, and the value there that stands for the call. */
  readonly caller?: { readonly frame: number; readonly value: number };
};

/** Whether a file is one of those that a frame's body is read from. */
export const isReadFrom = ({ file, component }: Frame, asked: FilePath): boolean =>
  file === asked || (component?.facts.files?.includes(asked) ?? false);

/** A value in a frame, and which part of it is followed. */
export type Spot = { readonly frame: number; readonly value: number; readonly track: readonly string[] };

/** All frames of a page, with the tables by which a value's way is found. */
export type Graph = {
  readonly model: Model;
  readonly tree: Tree;
  readonly frames: Frame[];
  readonly indexOf: (frame: Frame) => BodyIndex;
  /** The frame of a hook's call. */
  readonly hookFrame: (frame: number, value: number) => Frame | undefined;
  readonly moduleFrame: (file: FilePath) => Frame | undefined;
  /** The frame that wrote the use by which a place was made. */
  readonly ownerFrame: (place: Place) => Frame | undefined;
  /** Places that a use made, for the frame that wrote it. */
  readonly madeBy: (frame: Frame, node: TemplateUse) => readonly Place[];
  /** What a value of the kind `module`, or a source, stands for. */
  readonly named: (frame: Frame, name: string) => Named;
  /** Values in other bodies that stand for a value of a module. */
  readonly aliasesOf: (frame: Frame, value: number) => readonly Spot[];
  /** Values that a selector makes of the one store that the application has. */
  readonly rootSelectors: () => readonly Spot[];
  /** The value of a module that a name stands for. */
  readonly moduleSpot: (frame: Frame, name: string) => { readonly frame: Frame; readonly value: number } | undefined;
  /** Values that take what a provider gives. */
  readonly takersOf: (provider: Provider) => readonly Spot[];
  readonly providerOf: (frame: Frame, context: SharedId, asks?: ValueFact['asks']) => Provider | undefined;
};

const deepestHook = 12;
const none: readonly never[] = [];

/** Makes the frames of an unfolded page: its places, the hooks each calls, and the modules. */
export function makeGraph(model: Model, tree: Tree): Graph {
  const frames: Frame[] = [];
  const indexes = new WeakMap<BodyFacts, BodyIndex>();
  const hooks = new WeakMap<BodyFacts, ReadonlyMap<number, { file: FilePath; fact: HookFact }>>();
  const hookFrames = new Map<string, Frame>();
  const modules = new Map<FilePath, Frame>();
  const roots = new Map<ComponentId, Frame>();
  const made = new Map<string, Place[]>();

  const indexOf = (frame: Frame): BodyIndex => {
    const known = indexes.get(frame.body);
    if (known) return known;
    const index = indexBody(frame.body);
    indexes.set(frame.body, index);
    return index;
  };

  const hooksOf = (file: FilePath, body: BodyFacts): ReadonlyMap<number, { file: FilePath; fact: HookFact }> => {
    const known = hooks.get(body);
    if (known) return known;
    const found = new Map<number, { file: FilePath; fact: HookFact }>();
    body.values.forEach((value, index) => {
      if (value.kind !== 'hook' || value.source === undefined) return;
      const named = model.named(file, value.source);
      if (named.kind === 'hook') found.set(index, named);
    });
    hooks.set(body, found);
    return found;
  };

  const add = (frame: Omit<Frame, 'index'>): Frame => {
    const whole: Frame = { ...frame, index: frames.length };
    frames.push(whole);
    return whole;
  };

  const addHooks = (from: Frame): void => {
    const stack = [{ frame: from, depth: 0 }];
    for (let at = stack.pop(); at; at = stack.pop()) {
      if (at.depth > deepestHook) continue;
      for (const [value, hook] of hooksOf(at.frame.file, at.frame.body)) {
        const frame = add({
          kind: 'hook',
          name: hook.fact.name === 'default' ? (at.frame.body.values[value]?.name ?? '') : hook.fact.name,
          file: hook.file,
          body: hook.fact,
          place: from.place,
          ...(from.component ? { component: from.component } : {}),
          caller: { frame: at.frame.index, value },
        });
        hookFrames.set(`${at.frame.index} ${value}`, frame);
        stack.push({ frame, depth: at.depth + 1 });
      }
    }
  };

  for (const place of tree.places) {
    const component = model.components.get(place.component);
    const body = place.cut || !component ? { values: [], actions: [] } : component.facts;
    add({
      kind: 'component',
      name: component?.name ?? '',
      file: component?.file ?? '',
      body,
      place: place.index,
      ...(component ? { component } : {}),
    });
    if (!place.use) continue;
    const key = `${place.owner} ${place.use}`;
    put(made, key, place);
  }
  for (let at = 0; at < tree.places.length; at++) addHooks(frames[at] as Frame);
  for (const [file, facts] of model.files) {
    if (facts.module) modules.set(file, add({ kind: 'module', name: file, file, body: facts.module, place: -1 }));
  }
  const rootOf = (id: ComponentId): Frame | undefined => {
    const known = roots.get(id);
    const component = model.components.get(id);
    if (known || !component) return known;
    const frame = add({ kind: 'component', name: component.name, file: component.file, body: component.facts, place: -1, component });
    roots.set(id, frame);
    addHooks(frame);
    return frame;
  };
  for (const place of tree.places) {
    const use = place.owner < 0 && place.use ? useById(model, place.use) : undefined;
    if (use) rootOf(use.owner);
  }
  for (const provider of tree.providers) {
    const use = provider.owner < 0 && provider.use ? useById(model, provider.use) : undefined;
    if (use) rootOf(use.owner);
  }

  const named: Graph['named'] = (frame, name) => model.named(frame.file, name);

  const moduleSpot: Graph['moduleSpot'] = (frame, name) => {
    const meant = named(frame, name.split('.')[0] ?? name);
    if (meant.kind !== 'value') return undefined;
    const module = modules.get(meant.file);
    const value = module ? valueNamed(module.body, meant.name) : -1;
    return module && value >= 0 ? { frame: module, value } : undefined;
  };

  let aliases: Map<string, Spot[]> | undefined;
  const allAliases = (): Map<string, Spot[]> => {
    const found = new Map<string, Spot[]>();
    const resolved = new WeakMap<BodyFacts, readonly { value: number; key: string }[]>();
    for (const frame of frames) {
      let own = resolved.get(frame.body);
      if (!own) {
        own = frame.body.values.flatMap((value, index) => {
          if ((value.kind !== 'module' && value.kind !== 'hook') || value.source === undefined) return [];
          const spot = moduleSpot(frame, value.source);
          return spot ? [{ value: index, key: `${spot.frame.index} ${spot.value}` }] : [];
        });
        resolved.set(frame.body, own);
      }
      for (const { value, key } of own) put(found, key, { frame: frame.index, value, track: none });
    }
    return found;
  };

  let selectors: Spot[] | undefined;
  const allSelectors = (): Spot[] =>
    frames.flatMap((frame) =>
      frame.body.values.flatMap((value, index) =>
        value.gives?.gives === 'root' ? [{ frame: frame.index, value: index, track: none }] : [],
      ),
    );

  const providerOf: Graph['providerOf'] = (frame, context, asks) => {
    const place = tree.places[frame.place];
    return place && providerFor(tree, place, context, asks);
  };

  let takers: Map<Provider, Spot[]> | undefined;
  const allTakers = (): Map<Provider, Spot[]> => {
    const found = new Map<Provider, Spot[]>();
    for (const frame of frames) {
      frame.body.values.forEach((value, index) => {
        if (value.kind !== 'context' || value.source === undefined) return;
        const meant = named(frame, value.source);
        const provider = meant.kind === 'context' ? providerOf(frame, meant.id, value.asks) : undefined;
        if (!provider) return;
        put(found, provider, { frame: frame.index, value: index, track: none });
      });
    }
    return found;
  };

  return {
    model,
    tree,
    frames,
    indexOf,
    hookFrame: (frame, value) => hookFrames.get(`${frame} ${value}`),
    moduleFrame: (file) => modules.get(file),
    ownerFrame: (place) => {
      if (place.owner >= 0) return frames[place.owner];
      const use = place.use && useById(model, place.use);
      return use ? rootOf(use.owner) : undefined;
    },
    madeBy: (frame, node) => {
      const use = model.useOfNode.get(node);
      return use ? (made.get(`${frame.place} ${use.id}`) ?? none) : none;
    },
    named,
    aliasesOf: (frame, value) => (aliases ??= allAliases()).get(`${frame.index} ${value}`) ?? none,
    rootSelectors: () => (selectors ??= allSelectors()),
    moduleSpot,
    takersOf: (provider) => (takers ??= allTakers()).get(provider) ?? none,
    providerOf,
  };
}

function put<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const known = map.get(key);
  if (known) known.push(value);
  else map.set(key, [value]);
}

/** Index of the value that a module declares under a name; -1 for none. */
export function valueNamed(body: BodyFacts, name: string): number {
  const isNamed = (value: ValueFact): boolean =>
    value.name === name && value.kind !== 'module' && value.kind !== 'param' && value.of === undefined;
  // A state is meant before what it starts from.
  const state = body.values.findIndex((value) => value.kind === 'state' && isNamed(value));
  return state >= 0 ? state : body.values.findIndex(isNamed);
}

/** The value of a spot; undefined where the spot is not of this graph. */
export function valueOf(graph: Graph, spot: Spot): ValueFact | undefined {
  return graph.frames[spot.frame]?.body.values[spot.value];
}

/** Names a spot within its graph. */
export function spotKey(spot: Spot): string {
  return `${spot.frame} ${spot.value} ${spot.track.join('.')}`;
}

/** The text span of a value's declaration, in its frame's file. */
export function spanOfValue(graph: Graph, spot: Spot): Span {
  return valueOf(graph, spot)?.span ?? { start: 0, end: 0 };
}
