import type { Binding, BodyFacts } from '../../model/facts';
import type { Framework } from '../../model/framework';
import { slotLabel } from '../graph/targets';
import { defaultSlot } from '../../model/member';
import { bindingFor } from '../../model/given';
import type { ComponentId } from '../../model/ids';
import type { Component, ContractMember, Model, Use } from '../../model/model';
import { useById } from '../../model/lookup';
import { locate, type Location } from '../../model/span';
import type { Knot, Strand } from '../../model/strand';
import type { Place, PlaceIndex, Tree } from '../../model/tree';
import { componentText } from '../../model/tag-text';
import { conditionOf, type Half, halfOf, providerFor, scriptsOf } from '../../tree';
import { type ModuleOf, moduleOf } from './module-of';
import type { SubjectId } from './subject';

/** What the card beside the tree tells of one place. */
export type PlaceCard = {
  readonly place: PlaceIndex;
  readonly component: ComponentId;
  readonly name: string;
  readonly framework: Framework;
  readonly declared: Location;
  readonly owner?: PlaceRef;
  readonly parent?: PlaceRef;
  readonly slot?: { readonly name: string; readonly of: string };
  /** Where it runs, on a page that a server makes, and whether scripts of its markup run in the browser. */
  readonly half?: Half & { readonly scripts: boolean };
  /** The module of the framework that declares it; absent where it stands alone. */
  readonly module?: ModuleOf;
  readonly repeats: readonly string[];
  readonly branches: readonly string[];
  readonly use?: Location;
  readonly openness: 'closed' | 'platform' | 'open';
  readonly props: readonly PropEntry[];
  readonly events: readonly EventEntry[];
  readonly takes: readonly TakeEntry[];
  readonly state: readonly { readonly name: string; readonly at: Location }[];
  readonly renders: readonly RenderEntry[];
  /** How many places on this page, and how many uses in the project. */
  readonly places: number;
  readonly uses: number;
};

export type PlaceRef = { readonly place: PlaceIndex; readonly name: string };

export type PropEntry = {
  readonly name: string;
  readonly kind: ContractMember['kind'];
  readonly required: ContractMember['required'];
  readonly fallback?: string;
  readonly declared: Location;
  /** How this use gives it; absent where it does not. */
  readonly given?: { readonly at: Location; readonly what: 'constant' | 'value' | 'markup' | 'spread' | 'content' };
  /** Where its value comes from on this page, as far as a strand tells. */
  readonly from?: {
    readonly strand: string;
    readonly name: string;
    readonly home: string;
    readonly hops: number;
    readonly renamed: boolean;
  };
};

export type EventEntry = {
  readonly name: string;
  readonly raised: readonly Location[];
  readonly heard?: Location;
  readonly declared: Location;
};

export type TakeEntry = {
  readonly context: string;
  readonly at: Location;
  readonly via: readonly string[];
  /** For a trace of it. */
  readonly subject: SubjectId;
  readonly provider?: PlaceRef | 'above the page';
};

export type RenderEntry = {
  readonly name: string;
  readonly target?: ComponentId;
  readonly at: Location;
  readonly repeats: boolean;
  readonly keyed?: string;
};

function refTo(model: Model, tree: Tree, index: PlaceIndex): PlaceRef | undefined {
  const place = tree.places[index];
  return place && { place: index, name: model.components.get(place.component)?.name ?? '' };
}

function howGiven(binding: Binding): 'constant' | 'value' | 'markup' {
  if (binding.markup) return 'markup';
  return binding.constant === undefined ? 'value' : 'constant';
}

function givenAt(use: Use | undefined, prop: ContractMember): PropEntry['given'] {
  const binding = use && bindingFor(use.node, prop.key);
  if (use && binding) return { at: locate(use.file, binding.span), what: howGiven(binding) };
  if (use && prop.key === defaultSlot && use.node.content !== 'none') return { at: locate(use.file, use.node.span), what: 'content' };
  const spread = use?.node.spreads.find((one) => one.keys === undefined || one.keys.includes(prop.key));
  return use && spread ? { at: locate(use.file, spread.span), what: 'spread' } : undefined;
}

/** The strand that brings a prop to a place, and how far it came. */
function originOf(model: Model, strands: readonly Strand[], place: PlaceIndex, prop: string): PropEntry['from'] {
  for (const strand of strands) {
    if (strand.loose !== undefined || strand.kind === 'event') continue;
    const knots = new Map(strand.knots.map((knot): [PlaceIndex, Knot] => [knot.place, knot]));
    const here = knots.get(place);
    if (!here?.names.includes(prop) || here.from < 0) continue;
    let hops = 0;
    for (let at: Knot | undefined = here; at && at.from >= 0 && hops < 100; at = knots.get(at.from)) hops++;
    return {
      strand: strand.id,
      name: strand.name,
      home: model.components.get(strand.home)?.name ?? '',
      hops,
      renamed: prop !== strand.name,
    };
  }
  return undefined;
}

function propEntries(model: Model, component: Component, use: Use | undefined, strands: readonly Strand[], place: Place): PropEntry[] {
  return [...component.contract.members.values()]
    .filter((prop) => prop.kind !== 'callback')
    .map((prop): PropEntry => {
      const given = givenAt(use, prop);
      const from = originOf(model, strands, place.index, prop.name);
      return {
        name: prop.name,
        kind: prop.kind,
        required: prop.required,
        ...(prop.fallback === undefined ? {} : { fallback: prop.fallback }),
        declared: prop.declared,
        ...(given ? { given } : {}),
        ...(from ? { from } : {}),
      };
    });
}

function eventEntries(component: Component, use: Use | undefined): EventEntry[] {
  return [...component.contract.members.values()]
    .filter((prop) => prop.kind === 'callback')
    .map((prop): EventEntry => {
      const raised = component.facts.events.find((event) => event.key === prop.key)?.raised ?? [];
      const heard = use && bindingFor(use.node, prop.key);
      return {
        name: prop.name,
        declared: prop.declared,
        raised: raised.map((raise) => locate(component.file, raise.span)),
        ...(use && heard ? { heard: locate(use.file, heard.span) } : {}),
      };
    });
}

function takeEntries(model: Model, tree: Tree, place: Place, component: Component): TakeEntry[] {
  return component.consumes.map((take): TakeEntry => {
    const provider = providerFor(tree, place, take.context, take.asks);
    const owner = provider && (refTo(model, tree, provider.owner) ?? ('above the page' as const));
    return {
      context: model.contexts.get(take.context)?.name ?? '',
      at: take.at,
      via: take.via,
      subject: takeSubject(model, component, take),
      ...(owner ? { provider: owner } : {}),
    };
  });
}

/** A taken context as the subject of a trace: the value that takes it, in the hook that does. */
function takeSubject(model: Model, component: Component, take: Component['consumes'][number]): SubjectId {
  let { file } = component;
  let body: BodyFacts = component.facts;
  for (const name of take.via) {
    const call =
      body.values.find((value) => value.kind === 'hook' && value.source?.split('.').at(-1) === name) ??
      body.values.find((value) => value.kind === 'hook');
    const named = call?.source === undefined ? undefined : model.named(file, call.source);
    if (named?.kind !== 'hook') break;
    ({ file } = named);
    body = named.fact;
  }
  const taken = body.values.find((value) => {
    const meant = value.kind === 'context' && value.source !== undefined ? model.named(file, value.source) : undefined;
    return meant?.kind === 'context' && meant.id === take.context;
  });
  return [component.id, ...take.via, taken?.name ?? component.facts.values[take.value]?.name ?? ''].join('~');
}

function renderEntries(model: Model, component: Component): RenderEntry[] {
  return (model.usesBy.get(component.id) ?? [])
    .filter((use) => use.target.kind === 'component')
    .map((use): RenderEntry => {
      const { key } = use.node;
      const target = use.target.kind === 'component' ? use.target.id : undefined;
      return {
        name: model.components.get(target as ComponentId)?.name ?? componentText(use.node.tag),
        ...(target ? { target } : {}),
        at: locate(use.file, use.node.nameSpan),
        repeats: key.kind === 'value' || key.kind === 'position',
        ...(key.kind === 'value' || key.kind === 'position' ? { keyed: key.text } : {}),
      };
    });
}

/** Values that the component holds itself. */
function stateEntries(component: Component): PlaceCard['state'] {
  return component.facts.values.flatMap((value) =>
    value.kind === 'state' ? [{ name: value.name, at: locate(component.file, value.span) }] : [],
  );
}

/** Tells the contract of the component at a place, who gives what there, its owner and its parent; undefined for no such place. */
export function placeCard(model: Model, tree: Tree, strands: readonly Strand[], index: PlaceIndex): PlaceCard | undefined {
  const place = tree.places[index];
  const component = place && model.components.get(place.component);
  if (!place || !component) return undefined;
  const use = place.use ? useById(model, place.use) : undefined;
  const owner = refTo(model, tree, place.owner);
  const parent = refTo(model, tree, place.parent);
  const holder = model.components.get(tree.places[place.slot?.of ?? -1]?.component as ComponentId);
  const slotOf = place.slot && refTo(model, tree, place.slot.of);
  const half = halfOf(model, tree, index);
  const module = moduleOf(model, component.id);
  return {
    place: index,
    component: component.id,
    name: component.name,
    framework: component.framework,
    declared: locate(component.file, component.facts.nameSpan),
    ...(owner ? { owner } : {}),
    ...(parent ? { parent } : {}),
    ...(place.slot && slotOf ? { slot: { name: slotLabel(holder ? { component: holder } : {}, place.slot.key), of: slotOf.name } } : {}),
    ...(half ? { half: { ...half, scripts: scriptsOf(component).length > 0 } } : {}),
    ...(module ? { module } : {}),
    repeats: place.repeats.map((repeat) => repeat.item || repeat.over),
    branches: place.branches.map(conditionOf),
    ...(use ? { use: locate(use.file, use.node.nameSpan) } : {}),
    openness: component.contract.openness,
    props: propEntries(model, component, use, strands, place),
    events: eventEntries(component, use),
    takes: takeEntries(model, tree, place, component),
    state: stateEntries(component),
    renders: renderEntries(model, component),
    places: tree.places.filter((other) => other.component === component.id).length,
    uses: model.usesOf.get(component.id)?.length ?? 0,
  };
}
