import type { BodyFacts, TemplateUse, ValueFact } from '../../model/facts';
import type { SharedId } from '../../model/ids';
import type { Model, Named } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { Place, Provider, Tree } from '../../model/tree';
import { providerFor } from '../../tree';
import { addTo } from '../../model/add-to';
import { type Frame, makeFrames } from './frames';
import { type BodyIndex, indexBody } from './sinks';

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
  /** Values that stand for the one store that the application has, or for what a selector makes of it. */
  readonly rootSelectors: () => readonly Spot[];
  /** The value of a module that a name stands for. */
  readonly moduleSpot: (frame: Frame, name: string) => { readonly frame: Frame; readonly value: number } | undefined;
  /** Values that take what a provider gives. */
  readonly takersOf: (provider: Provider) => readonly Spot[];
  readonly providerOf: (frame: Frame, context: SharedId, asks?: ValueFact['asks']) => Provider | undefined;
};

const none: readonly never[] = [];

/** Makes the graph of an unfolded page. */
export function makeGraph(model: Model, tree: Tree): Graph {
  const { all: frames, hookFrame, moduleFrame, ownerFrame, madeBy } = makeFrames(model, tree);
  const indexes = new WeakMap<BodyFacts, BodyIndex>();

  const indexOf = (frame: Frame): BodyIndex => {
    const known = indexes.get(frame.body);
    if (known) return known;
    const index = indexBody(frame.body);
    indexes.set(frame.body, index);
    return index;
  };

  const named: Graph['named'] = (frame, name) => model.named(frame.file, name);

  const moduleSpot: Graph['moduleSpot'] = (frame, name) => {
    const meant = named(frame, name.split('.')[0] ?? name);
    if (meant.kind !== 'value') return undefined;
    const module = moduleFrame(meant.file);
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
      for (const { value, key } of own) addTo(found, key, { frame: frame.index, value, track: none });
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
        addTo(found, provider, { frame: frame.index, value: index, track: none });
      });
    }
    return found;
  };

  return {
    model,
    tree,
    frames,
    indexOf,
    hookFrame,
    moduleFrame,
    ownerFrame,
    madeBy,
    named,
    aliasesOf: (frame, value) => (aliases ??= allAliases()).get(`${frame.index} ${value}`) ?? none,
    rootSelectors: () => (selectors ??= allSelectors()),
    moduleSpot,
    takersOf: (provider) => (takers ??= allTakers()).get(provider) ?? none,
    providerOf,
  };
}

/** Index of the value that a module declares under a name; -1 for none. */
export function valueNamed(body: BodyFacts, name: string): number {
  const isNamed = (value: ValueFact): boolean =>
    value.name === name && value.kind !== 'module' && value.kind !== 'param' && value.of === undefined;
  // A state is meant before what it starts from.
  const state = body.values.findIndex((value) => value.kind === 'state' && isNamed(value));
  if (state >= 0) return state;
  return name === 'default' ? body.values.findIndex((value) => value.isDefault || isNamed(value)) : body.values.findIndex(isNamed);
}

/** The value of a spot; undefined where the spot is not of this graph. */
export function valueOf(graph: Graph, spot: Spot): ValueFact | undefined {
  return graph.frames[spot.frame]?.body.values[spot.value];
}

/** Whether what is followed is one of the items of a list. */
export const isAmong = ({ track }: Spot): boolean => track.includes('*');

/** Names a spot within its graph. */
export function spotKey(spot: Spot): string {
  return `${spot.frame} ${spot.value} ${spot.track.join('.')}`;
}
