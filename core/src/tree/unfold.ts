import type { Binding, Reading, TemplateElement, TemplateNode, TemplateUse } from '../model/facts';
import { defaultSlot, isSlotKey, type MemberKey, memberName, propKey } from '../model/member';
import { bindingFor, bindingKey, memberKeyOf } from '../model/given';
import type { ComponentId } from '../model/ids';
import type { Component, Model, NamedOutlet, Page, Use } from '../model/model';
import { type Choice, choicesNamed, componentMeant } from '../model/choices';
import { useById } from '../model/lookup';
import { traitsOf } from '../frameworks/registry';
import { mountsTable, showsNextRoute } from '../frameworks/route-tags';
import { isRouteUse, showing } from '../model/routes';
import { contains } from '../model/span';
import type { Writable } from '../model/writable';
import { templateChildren } from '../model/walk';
import { heardName, isHost } from './hosts';
import type { BranchMark, Host, HostIndex, Place, PlaceIndex, Provider, RepeatMark, Tree } from '../model/tree';

/** A page with more places than this is cut, and says so. */
export const placesLimit = 20_000;

/** On a page with more places than this, what is below a component is unfolded once. */
export const wholeLimit = 1_500;

/** Content given to a slot, and where it was written. */
type Content = {
  readonly nodes: readonly TemplateNode[];
  readonly at: Position;
  /** It is written elsewhere than between the tags of what shows it. */
  readonly isApart?: true;
};

/** What the place that owns a template was given for its slots. */
type Given = { readonly contents: ReadonlyMap<MemberKey, Content>; readonly placed: Set<MemberKey> };

/** Components whose templates are being unfolded, innermost first. */
type Lineage = { readonly component: ComponentId; readonly outer?: Lineage };

/** Where a template node stands while unfolding. */
type Position = {
  readonly body: Component;
  readonly owner: PlaceIndex;
  readonly parent: PlaceIndex;
  readonly given: Given;
  readonly lineage: Lineage;
  readonly provider: number;
  readonly host: HostIndex;
  /** The host that bears the shadow tree around it; -1 in the document's own. */
  readonly root: HostIndex;
  readonly sheltered: boolean;
  readonly repeats: readonly RepeatMark[];
  readonly branches: readonly BranchMark[];
  readonly slot?: Place['slot'] | undefined;
  /** The route of the page's chain that the next outlet shows. */
  readonly nextRoute: number;
  readonly shownBy?: Place['shownBy'] | undefined;
};

type Task =
  | { readonly component: Component; readonly use: Use; readonly given: Given; readonly at: Position }
  | { readonly node: TemplateNode; readonly at: Position }
  | { readonly leftOver: Given; readonly place: PlaceIndex; readonly at: Position };

type Unfolding = {
  readonly model: Model;
  readonly page: Page;
  readonly places: Writable<Place>[];
  readonly providers: Provider[];
  readonly hosts: Host[];
  readonly tasks: Task[];
  readonly limit: number;
  /** Where each component is unfolded, by all that may make a difference below it; absent where nothing is folded. */
  readonly unfolded?: Map<string, PlaceIndex>;
  truncated: boolean;
};

const none: readonly never[] = [];
const noGiven: Given = { contents: new Map(), placed: new Set() };

/**
 * The tree of a page as it is composed when everything that may show does show. A component within
 * its own template is cut at the second turn. On a page of more than `wholeLimit` places a component
 * that is given no content is unfolded at its first place, and folded at all others under the same
 * providers; a page past `placesLimit` places is truncated all the same.
 */
export function unfold(model: Model, page: Page): Tree {
  const whole = unfoldWithin(model, page, wholeLimit);
  return whole.truncated ? unfoldWithin(model, page, placesLimit, new Map()) : whole;
}

function unfoldWithin(model: Model, page: Page, limit: number, unfolded?: Map<string, PlaceIndex>): Tree {
  const entry = model.components.get(page.entry);
  const unfolding: Unfolding = {
    model,
    page,
    places: [],
    providers: [],
    hosts: [],
    tasks: [],
    truncated: false,
    limit,
    ...(unfolded ? { unfolded } : {}),
  };
  if (!entry) return { page: page.id, places: [], providers: [], hosts: [], truncated: false };
  const start: Position = {
    body: entry,
    owner: -1,
    parent: -1,
    given: noGiven,
    lineage: { component: entry.id },
    provider: -1,
    host: -1,
    root: -1,
    sheltered: page.above === 'unknown',
    repeats: [],
    branches: [],
    nextRoute: 0,
  };
  if (entry.role === 'root') push(unfolding, entry.facts.template, start);
  else if (entry.role === 'route') showStep(unfolding, 0, start);
  else enter(unfolding, entry, undefined, page.chain.length > 0 ? shellGiven(start) : noGiven, start);
  for (let task = unfolding.tasks.pop(); task; task = unfolding.tasks.pop()) {
    if ('node' in task) visit(unfolding, task.node, task.at);
    else if ('component' in task) enter(unfolding, task.component, task.use, task.given, task.at);
    else placeLeftOver(unfolding, task.leftOver, task.place, task.at);
  }
  const { places, providers, hosts, truncated } = unfolding;
  return { page: page.id, places, providers, hosts, truncated };
}

/** Stands for the next route of the page in the content of what it stands in. */
const nextRoute: TemplateUse = {
  kind: 'use',
  tag: '',
  span: { start: 0, end: 0 },
  nameSpan: { start: 0, end: 0 },
  bindings: [],
  spreads: [],
  children: [],
  key: { kind: 'none' },
  content: 'none',
};

/** Stands for the use of a component that a page begins with. */
const nobodysUse: TemplateUse = { ...nextRoute };

/** What a component that routes stand in is given: the next route as its content. */
const shellGiven = (at: Position): Given => ({ contents: new Map([[defaultSlot, { nodes: [nextRoute], at }]]), placed: new Set() });

const placing = new WeakMap<readonly TemplateNode[], readonly TemplateNode[]>();

/** The nodes of a template that can place something or host events, with those that other elements hold in their stead. */
function thatPlace(nodes: readonly TemplateNode[]): readonly TemplateNode[] {
  const known = placing.get(nodes);
  if (known) return known;
  const found: TemplateNode[] = [];
  const stack = [...nodes].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind === 'element' && !isHost(node) && !node.apart) {
      const children = templateChildren(node);
      for (let index = children.length - 1; index >= 0; index--) stack.push(children[index] as TemplateNode);
    } else if (node.kind === 'element' || node.kind === 'use' || node.kind === 'outlet' || thatPlace(templateChildren(node)).length > 0)
      found.push(node);
  }
  placing.set(nodes, found);
  return found;
}

function push(unfolding: Unfolding, given: readonly TemplateNode[], at: Position): void {
  const nodes = thatPlace(given);
  for (let index = nodes.length - 1; index >= 0; index--) unfolding.tasks.push({ node: nodes[index] as TemplateNode, at });
}

function visit(unfolding: Unfolding, node: TemplateNode, at: Position): void {
  switch (node.kind) {
    case 'text':
      return;
    case 'element':
      if (node.apart) {
        // The end of the document is below the page alone.
        push(unfolding, templateChildren(node), { ...at, parent: Math.min(0, at.parent), provider: -1, host: -1, root: -1 });
        return;
      }
      push(unfolding, templateChildren(node), { ...at, host: addHost(unfolding, node, at) });
      return;
    case 'branch':
      push(unfolding, node.children, { ...at, branches: under(at.branches, { when: node.when, negated: node.negated, span: node.span }) });
      return;
    case 'repeat':
      push(unfolding, node.children, { ...at, repeats: [...at.repeats, { item: node.item, over: node.over, span: node.span }] });
      return;
    case 'outlet':
      fill(unfolding, node, at);
      return;
    case 'use':
      visitUse(unfolding, node, at);
  }
}

function addHost(
  { hosts }: Unfolding,
  node: TemplateElement | TemplateUse,
  { owner, host, root }: Position,
  place?: PlaceIndex,
): HostIndex {
  hosts.push({ index: hosts.length, node, owner, parent: host, root, ...(place === undefined ? {} : { place }) });
  return hosts.length - 1;
}

/** Puts the content given for a slot where the slot stands. */
function fill(unfolding: Unfolding, outlet: Extract<TemplateNode, { kind: 'outlet' }>, at: Position): void {
  const { slot } = outlet;
  // Markup that is given under the name of a slot arrives in it.
  const named = isSlotKey(slot) && !at.given.contents.has(slot) ? propKey(memberName(slot)) : slot;
  const content = at.given.contents.get(named);
  if (!content) {
    push(unfolding, outlet.fallback ?? [], at);
    return;
  }
  at.given.placed.add(named);
  push(unfolding, content.nodes, {
    ...content.at,
    parent: at.parent,
    provider: content.isApart && traitsOf(at.body).contentAsksWhereWritten ? content.at.provider : aroundContent(unfolding, at),
    host: at.host,
    sheltered: at.sheltered || content.at.sheltered,
    repeats: at.repeats,
    branches: at.branches,
    ...(outlet.onHost ? (content.at.slot ? { slot: content.at.slot } : { slot: undefined }) : { slot: { key: slot, of: at.owner } }),
    nextRoute: at.nextRoute,
  });
}

/** The innermost provider that content can ask: what a place provides for its own markup is not for what it is given. */
function aroundContent({ providers, places }: Unfolding, { provider, owner, body }: Position): number {
  let at = traitsOf(body).contentAsksWhereWritten ? (places[owner]?.provider ?? provider) : provider;
  for (let one = providers[at]; one?.ofMarkup && one.owner === owner; one = providers[at]) at = one.outer;
  return at;
}

function visitUse(unfolding: Unfolding, node: Extract<TemplateNode, { kind: 'use' }>, at: Position): void {
  const use = unfolding.model.useOfNode.get(node);
  if (node === nextRoute) showStep(unfolding, at.nextRoute, at);
  if (!use) return;
  const { target } = use;
  switch (target.kind) {
    case 'component': {
      const component = unfolding.model.components.get(target.id);
      const there = component && isRouteUse(use) ? onWay(unfolding, use, at) : at;
      if (component && there && !standsBelow(unfolding, node, component, there))
        enter(unfolding, component, use, givenBy(node, there), startedApart(component, there));
      return;
    }
    case 'provider':
      unfolding.providers.push({
        context: target.context,
        owner: at.owner,
        use: use.id,
        outer: at.provider,
        ...(node.isAround ? { isAround: true as const } : {}),
      });
      push(unfolding, node.children, { ...at, provider: unfolding.providers.length - 1 });
      return;
    case 'consumer':
      push(unfolding, node.children, at);
      return;
    case 'outside':
      if (!visitRoute(unfolding, use, at)) push(unfolding, templateChildren(node), aroundOf(unfolding, node, at));
      return;
    case 'dynamic':
      if (!visitChosen(unfolding, node, use, at)) push(unfolding, templateChildren(node), { ...at, sheltered: true });
      return;
    case 'opaque':
    case 'unresolved':
      push(unfolding, templateChildren(node), { ...at, sheltered: true });
  }
}

/** A condition that is known to hold already is no further one. */
const under = (branches: readonly BranchMark[], one: BranchMark): readonly BranchMark[] =>
  branches.some(({ when, negated }) => when === one.when && negated === one.negated) ? branches : [...branches, one];

/** A part that a page of a server starts by itself asks nobody around it: what others provide does not come to it. */
const startedApart = (component: Component, at: Position): Position => (isIsland(component, at) ? { ...at, provider: -1 } : at);

const isIsland = ({ framework }: Component, { body }: Position): boolean =>
  traitsOf(body).madeOnce === true && framework !== body.framework;

/** An element from outside of the project listens as any other where components are elements. */
function aroundOf(unfolding: Unfolding, node: TemplateUse, at: Position): Position {
  const listens = node.ref !== undefined || node.bindings.some((binding) => heardName(binding) !== undefined);
  return at.body.facts.element && listens ? { ...at, host: addHost(unfolding, node, at) } : at;
}

/** More components than this in one table are not unfolded. */
const mostChoices = 16;

/** A tag that is a value: the component that the place is given under that prop, or all of the table it is taken from. */
function visitChosen(unfolding: Unfolding, node: TemplateUse, use: Use, at: Position): boolean {
  const choices = choicesOf(unfolding, node, at);
  if (choices.length === 0 || choices.length > mostChoices) return false;
  for (let index = choices.length - 1; index >= 0; index--) {
    const choice = choices[index];
    if (!choice) continue;
    const branch: BranchMark = { when: choice.when, negated: false, span: node.nameSpan };
    const there = choice.when === '' ? at : { ...at, branches: under(at.branches, branch) };
    unfolding.tasks.push({ component: choice.component, use, given: givenBy(node, there), at: there });
  }
  return true;
}

/** The components that the tag of a use may be: each once, in the order in which its expression reads them. */
function choicesOf(unfolding: Unfolding, node: TemplateUse, at: Position): Choice[] {
  const found = new Map<ComponentId, Choice>();
  for (const reading of node.dynamic ?? [])
    for (const choice of chosenBy(unfolding, reading, at)) if (!found.has(choice.component.id)) found.set(choice.component.id, choice);
  return [...found.values()];
}

/** The components that one reading of a tag's expression may give: what a prop was given, a component by name, the members of a table. */
function chosenBy(unfolding: Unfolding, reading: Reading, at: Position): Choice[] {
  const { model } = unfolding;
  const value = at.body.facts.values[reading.value];
  if (value?.kind === 'prop') {
    const id = unfolding.places[at.owner]?.use;
    const use = id && useById(model, id);
    const key = memberKeyOf(value);
    const given = use && bindingFor(use.node, key)?.component;
    if (!use || given === undefined) return [];
    at.given.placed.add(key);
    const component = componentMeant(model, use.file, given);
    return component ? [{ component, when: '' }] : [];
  }
  return choicesNamed(model, at.body, reading);
}

/** Places of a router: where the page's own routes stand, and where other pages' do. */
function visitRoute(unfolding: Unfolding, use: Use, at: Position): boolean {
  const { chain } = unfolding.page;
  if (showsNextRoute(use.node.tag) || mountsTable(use)) {
    const step = chain[at.nextRoute];
    const outlet = outletOf(use);
    const named = [...(step?.beside ?? []), ...(chain[at.nextRoute - 1]?.within ?? [])];
    // On a page without a route to show, what is written in it is all that stands there.
    if (!step && (outlet === undefined || named.length === 0)) return false;
    if (outlet === undefined) showStep(unfolding, at.nextRoute, { ...at, shownBy: { use: use.id, of: at.owner } });
    else
      showNamed(
        unfolding,
        named.filter((one) => one.outlet === outlet),
        use,
        at,
      );
    return true;
  }
  if (!isRouteUse(use) || chain.length === 0) return false;
  const there = onWay(unfolding, use, at);
  if (there) showStep(unfolding, there.nextRoute - 1, at);
  return true;
}

/** The name of an outlet that does not show the page itself; undefined for the page's own, and where it is computed. */
function outletOf({ node }: Use): string | undefined {
  const name = bindingFor(node, propKey('name'))?.constant?.replace(/^['"`]|['"`]$/g, '');
  return name === undefined || /^(?:default|primary|)$/.test(name) ? undefined : name;
}

/** What an outlet with a name shows beside a page; what has a path of its own shows where that is open too. */
function showNamed(unfolding: Unfolding, named: readonly NamedOutlet[], { node }: Use, at: Position): void {
  for (const { path, body: id } of [...named].reverse()) {
    const body = unfolding.model.components.get(id);
    if (!body) continue;
    const branches =
      path === undefined ? at.branches : under(at.branches, { when: `${path} is open`, negated: false, span: node.nameSpan });
    push(unfolding, body.facts.template, { ...at, branches, nextRoute: unfolding.page.chain.length, body, owner: -1, given: noGiven });
  }
}

/** Where a route stands on the way to the page; undefined for a route that leads to others. */
function onWay({ page: { chain } }: Unfolding, use: Use, at: Position): Position | undefined {
  if (chain.length === 0) return at;
  const index = chain.findIndex((step) => step.use === use.id);
  return index >= 0 && (index === 0 || at.nextRoute >= index) ? { ...at, nextRoute: index + 1 } : undefined;
}

function showStep(unfolding: Unfolding, index: number, at: Position): void {
  const step = unfolding.page.chain[index];
  const below: Position = { ...at, nextRoute: index + 1 };
  if (step?.body) {
    const body = unfolding.model.components.get(step.body);
    if (!body) return;
    const shown = body.facts.template;
    if (shown.length === 0) showStep(unfolding, index + 1, at);
    else push(unfolding, shown, { ...below, body, owner: -1, given: noGiven });
    return;
  }
  const use = step?.use && useById(unfolding.model, step.use);
  if (!use) return;
  const given = use.node.bindings.find((one) => showing.has(one.to.name))?.markup ?? [];
  if (given.length > 0) push(unfolding, given, below);
  else if (unfolding.page.chain[index + 1]) showStep(unfolding, index + 1, at);
  else push(unfolding, use.node.children, below);
}

/** The contents that a use gives, with those that its owner was given and hands on. */
function givenBy(node: Extract<TemplateNode, { kind: 'use' }>, at: Position): Given {
  let contents: Map<MemberKey, Content> | undefined;
  let bare: Position | undefined;
  const add = (slot: MemberKey, content: Content): void => {
    (contents ??= new Map()).set(slot, content);
  };
  const written = (nodes: readonly TemplateNode[]): Content => ({ nodes, at: (bare ??= { ...at, repeats: none, branches: none }) });
  if (at.given.contents.size > 0) {
    const { values } = at.body.facts;
    const isWhole = (reading: Reading): boolean => values[reading.value]?.kind === 'rest' || values[reading.value]?.kind === 'props';
    if (node.spreads.some((spread) => spread.readings.some(isWhole))) for (const [slot, content] of at.given.contents) add(slot, content);
  }
  for (const binding of node.bindings) {
    const key = bindingKey(binding);
    if (key === undefined) continue;
    if (binding.markup && binding.markup.length > 0) {
      const isApart = !binding.markup.some((one) => contains(node.span, one.span) && !contains(binding.span, one.span));
      add(key, { ...written(binding.markup), ...(isApart ? { isApart: true as const } : {}) });
    } else if (at.given.contents.size > 0) {
      const forwarded = forwardedContent(binding, at);
      if (forwarded) add(key, forwarded);
    }
  }
  if (node.children.length > 0) add(defaultSlot, written(node.children));
  return contents ? { contents, placed: new Set() } : noGiven;
}

/** `icon={icon}`: what the owner was given under that name goes on as it is. */
function forwardedContent(binding: Binding, at: Position): Content | undefined {
  for (const reading of binding.readings) {
    const value = at.body.facts.values[reading.value];
    if (value?.kind !== 'prop' || reading.how !== 'same' || reading.path.length > 0) continue;
    const key = memberKeyOf(value);
    const content = at.given.contents.get(key);
    if (!content) continue;
    at.given.placed.add(key);
    return content;
  }
  return undefined;
}

/** A component that markup kept elsewhere names as a value stands once below who shows it. */
function standsBelow({ places }: Unfolding, node: TemplateUse, component: Component, at: Position): boolean {
  if (!node.asValue || at.body.role !== 'route') return false;
  for (let index = places.length - 1; index > at.parent; index--) if (places[index]?.component === component.id) return true;
  return false;
}

/** Adds a place for a component, and unfolds its template below it. */
function enter(unfolding: Unfolding, component: Component, use: Use | undefined, given: Given, at: Position): void {
  if (unfolding.places.length >= unfolding.limit) {
    unfolding.truncated = true;
    unfolding.tasks.length = 0;
    return;
  }
  const index = unfolding.places.length;
  const place: Writable<Place> = {
    index,
    component: component.id,
    owner: at.owner,
    parent: at.parent,
    depth: (unfolding.places[at.parent]?.depth ?? -1) + 1,
    repeats: at.repeats,
    branches: at.branches,
    provider: at.provider,
    host: at.host,
    sheltered: at.sheltered,
  };
  if (use) place.use = use.id;
  if (at.slot) place.slot = at.slot;
  if (at.shownBy) place.shownBy = at.shownBy;
  if (use?.node.onHost) place.onHost = use.node.element ?? '';
  if (use && sharesHost(unfolding, use, at)) place.sharesHost = true;
  if (isIsland(component, at)) place.island = use?.node.startedBy?.name ?? '';
  if (isIsland(component, at) && use?.node.isOnlyStarted) place.isOnlyStarted = true;
  unfolding.places.push(place);
  if (use && isWithin(at.lineage, component.id)) {
    place.cut = 'recursion';
    return;
  }
  const earlier = given === noGiven ? unfoldedAt(unfolding, component, place, at) : undefined;
  if (earlier !== undefined) {
    place.cut = 'folded';
    place.sameAs = earlier;
    return;
  }
  const wrapped = use?.target.kind === 'component' && use.target.wrapped;
  const element = component.facts.element;
  if (element) place.element = addHost(unfolding, use?.node ?? nobodysUse, at, index);
  const host = place.element ?? at.host;
  const own = provideToSelf(unfolding, component, index, at.provider);
  place.provider = own.provider;
  const below: Position = {
    body: component,
    owner: index,
    parent: index,
    given,
    lineage: { component: component.id, outer: at.lineage },
    provider: provideByHooks(unfolding, component, index, own.provider),
    host,
    root: element && element.root !== 'light' ? host : at.root,
    sheltered: at.sheltered || wrapped || component.facts.wrappedBy.length > 0,
    repeats: [],
    branches: [],
    nextRoute: at.nextRoute,
    shownBy: at.shownBy,
  };
  if (given !== noGiven) unfolding.tasks.push({ leftOver: given, place: index, at: below });
  pushHolders(unfolding, component, below);
  push(unfolding, own.template, below);
}

/** Whether a use is of the element that the directive around it is put on, and not of something within that. */
function sharesHost({ model, places }: Unfolding, { node }: Use, { parent }: Position): boolean {
  const around = places[parent];
  if (around?.onHost === undefined || !around.use) return false;
  return useById(model, around.use)?.node.span.start === node.span.start;
}

/** What stands around a template and answers the component itself, too: the innermost such provider, and what is within. */
function provideToSelf(
  { model, providers }: Unfolding,
  component: Component,
  place: PlaceIndex,
  around: number,
): { readonly provider: number; readonly template: readonly TemplateNode[] } {
  let template = component.facts.template;
  let outer = around;
  for (;;) {
    const [node, ...more] = template;
    const use = node?.kind === 'use' && node.toSelf && more.length === 0 ? model.useOfNode.get(node) : undefined;
    if (node?.kind !== 'use' || use?.target.kind !== 'provider') return { provider: outer, template };
    providers.push({
      context: use.target.context,
      owner: place,
      use: use.id,
      outer,
      ...(node.ofMarkup ? { ofMarkup: true as const } : {}),
    });
    outer = providers.length - 1;
    template = node.children;
  }
}

/** Puts what hooks of a component provide around what is below it; the innermost provider there. */
function provideByHooks({ providers }: Unfolding, component: Component, place: PlaceIndex, around: number): number {
  let outer = around;
  for (const { context, at } of component.provides) {
    providers.push({ context, owner: place, at, outer });
    outer = providers.length - 1;
  }
  return outer;
}

/** Markup of constants, functions and hooks that a body names: somewhere below it, by what nobody can say. */
function pushHolders(unfolding: Unfolding, body: Component, at: Position): void {
  const holders = unfolding.model.holdersOf(body);
  for (let index = holders.length - 1; index >= 0; index--) {
    const id = holders[index] as ComponentId;
    const holder = unfolding.model.components.get(id);
    if (!holder || isWithin(at.lineage, id)) continue;
    const lineage = { component: id, outer: at.lineage };
    const there: Position = { ...at, body: holder, owner: -1, given: noGiven, lineage, sheltered: true, repeats: none, branches: none };
    pushHolders(unfolding, holder, there);
    push(unfolding, holder.facts.template, there);
  }
}

/** The place below which the same is unfolded already, where something is; the first place is noted. */
function unfoldedAt(unfolding: Unfolding, component: Component, place: Place, at: Position): PlaceIndex | undefined {
  const { unfolded, providers, model } = unfolding;
  const isLeaf = component.facts.template.length === 0 || (model.usesBy.get(component.id) ?? []).length === 0;
  if (!unfolded || (isLeaf && model.holdersOf(component).length === 0)) return undefined;
  const around: string[] = [];
  for (let one = providers[place.provider]; one; one = providers[one.outer]) around.push(one.context);
  const key = [component.id, at.nextRoute, at.sheltered, ...around].join('\n');
  const known = unfolded.get(key);
  if (known === undefined) unfolded.set(key, place.index);
  return known;
}

function isWithin(lineage: Lineage, component: ComponentId): boolean {
  for (let at: Lineage | undefined = lineage; at; at = at.outer) if (at.component === component) return true;
  return false;
}

/** The innermost provider that a place itself puts around its markup; the one around it where there is none. */
function innermostOf({ providers }: Unfolding, place: PlaceIndex, around: number): number {
  return Math.max(
    around,
    providers.findLastIndex(({ owner }) => owner === place),
  );
}

/**
 * Content that no slot of the template showed. It is placed at the end where the component reads
 * it in some other way; content that nothing reads is not on the page.
 */
function placeLeftOver(unfolding: Unfolding, given: Given, place: PlaceIndex, at: Position): void {
  for (const [slot, content] of given.contents) {
    if (given.placed.has(slot)) continue;
    const keeps = at.body.facts.element?.keepsContent === true;
    const reads = keeps || at.body.facts.members.some((prop) => prop.key === slot) || at.body.facts.openness !== 'closed';
    if (!reads) continue;
    push(unfolding, content.nodes, {
      ...content.at,
      parent: place,
      provider: keeps ? innermostOf(unfolding, place, at.provider) : at.provider,
      host: at.host,
      sheltered: keeps ? at.sheltered : true,
      repeats: [],
      branches: [],
      slot: { key: slot, of: place },
      nextRoute: at.nextRoute,
    });
  }
}
