import { nearest } from '../contract';
import { ancestors, eventPath, heardName, isBounded, resolve, unfold } from '../tree';
import type { Binding, Channel, Reading, ValueFact } from '../model/facts';
import { bindingFor, bindingKey, isListener, memberKeyOf } from '../model/given';
import { memberName, memberOf } from '../model/member';
import { useById } from '../model/lookup';
import type { Component, Model } from '../model/model';
import type { Place, Tree } from '../model/tree';

/**
 * A place that is to stand elsewhere: `component` below the nearest `from` above it, moved to the
 * nearest `to`. Into a slot of that the content keeps its owner, and the values of that; without a
 * slot it is written into the markup of `to`, and reads the names that are known there.
 */
export type Move = { readonly component: string; readonly from: string; readonly to: string; readonly slot?: string };

/** What a move would change. Nothing is written. */
export type WhatIf = {
  readonly move: string;
  /** Who answers for each context that the moved part, or anything in it, asks for; null for nobody. */
  readonly answers: readonly {
    readonly component: string;
    readonly key: string;
    readonly before: string | null;
    readonly after: string | null;
  }[];
  /** Members that would be given nothing: what they are given is not known where the part would stand. */
  readonly lost: readonly { readonly component: string; readonly name: string; readonly of: string }[];
  /** Members that would be given another value, which has the same name there. */
  readonly another: readonly { readonly component: string; readonly name: string; readonly of: string }[];
  /** Events that nobody would hear any more. */
  readonly unheard: readonly { readonly component: string; readonly event: string }[];
  /** Who would hear what is raised. */
  readonly heardBy: readonly { readonly component: string; readonly event: string; readonly by: string }[];
  /** Members that would be given what they are given now. */
  readonly unchanged: readonly { readonly component: string; readonly name: string }[];
};

export type Refused = { readonly wrong: string };

/** Reads `Component@Parent>Target#slot`; the slot may be left out. */
export function parseMove(text: string): Move | Refused {
  const [, component, from, to, slot] = /^\s*([^@>#]+)@([^@>#]+)>([^@>#]+)(?:#(.+))?$/.exec(text) ?? [];
  if (!component || !from || !to)
    return { wrong: `"${text}" is no move: write Component@Parent>Target, with #slot where it is to stand in one.` };
  return { component: component.trim(), from: from.trim(), to: to.trim(), ...(slot ? { slot: slot.trim() } : {}) };
}

export const moveWords = ({ component, from, to, slot }: Move): string => `${component}@${from}>${to}${slot ? `#${slot}` : ''}`;

/** The answers to a move that is asked for in words. */
export function askedMove(model: Model, text: string): WhatIf | Refused {
  const move = parseMove(text);
  return 'wrong' in move ? move : whatIf(model, move);
}

/** Where a part would stand: who its values come from, and what is around it. */
type Spot = { readonly parent: Place; readonly owner: Place; readonly provider: number; readonly host: number };

/**
 * What would become of a part of the page if it stood elsewhere. Refused, with near names, where no
 * page has such a place; the first page that has both is meant.
 */
export function whatIf(model: Model, move: Move): WhatIf | Refused {
  let hasPart = false;
  for (const page of model.pages) {
    const tree = unfold(model, page);
    const moved = tree.places.find((place) => nameOf(model, place) === move.component && isIn(model, tree, place, move.from));
    if (!moved) continue;
    hasPart = true;
    const target = nearestTo(
      tree,
      moved,
      tree.places.filter((place) => nameOf(model, place) === move.to && !isWithin(tree, moved, place)),
    );
    if (target) return whatIfAt(model, tree, moved, target, move.slot);
  }
  const names = [...new Set([...model.components.values()].map(({ name }) => name))];
  const asked = hasPart ? move.to : names.includes(move.component) ? move.from : move.component;
  const near = nearest(asked, names);
  const meant = near !== undefined && near !== asked ? ` Near to it: ${near}.` : '';
  if (hasPart) return { wrong: `No page has ${move.to} beside ${move.component} for it to be moved to.${meant}` };
  return { wrong: `No page has ${move.component} in ${move.from}.${meant}` };
}

const nameOf = (model: Model, place: Place | undefined): string => (place && model.components.get(place.component)?.name) ?? '';

/** Whether a place is another, or stands in it. */
export const isWithin = (tree: Tree, outer: Place, inner: Place): boolean => inner === outer || ancestors(tree, inner).includes(outer);

/** Whether a component of a name is the parent of a place, or wrote it. */
const isIn = (model: Model, tree: Tree, { parent, owner }: Place, name: string): boolean =>
  nameOf(model, tree.places[parent]) === name || nameOf(model, tree.places[owner]) === name;

/** Of several places, the one with the nearest ancestor in common; the first of those. */
function nearestTo(tree: Tree, from: Place, among: readonly Place[]): Place | undefined {
  const above = [from, ...ancestors(tree, from)];
  const distance = (place: Place): number => {
    const steps = [place, ...ancestors(tree, place)];
    const common = steps.findIndex((one) => above.includes(one));
    return common < 0 ? Number.POSITIVE_INFINITY : above.indexOf(steps[common] ?? place) * 1000 + common;
  };
  return [...among].sort((a, b) => distance(a) - distance(b) || a.index - b.index)[0];
}

/** What would become of one place of a tree if it stood at another, in a slot of that or in its own markup. */
export function whatIfAt(model: Model, tree: Tree, moved: Place, target: Place, slot?: string): WhatIf {
  const owner = tree.places[moved.owner];
  const inSlot =
    slot === undefined
      ? undefined
      : tree.places.find((place) => place.slot?.of === target.index && isNamed(memberName(place.slot.key), slot));
  const own = tree.places.find((place) => place.owner === target.index && place.parent === target.index);
  const stands = slot === undefined ? own : (inSlot ?? own);
  const spot: Spot = {
    parent: target,
    owner: slot === undefined || !owner ? target : owner,
    provider: stands?.provider ?? lastProvider(tree, target),
    host: stands?.host ?? target.element ?? target.host,
  };
  const move: Move = {
    component: nameOf(model, moved),
    from: nameOf(model, tree.places[moved.parent]),
    to: nameOf(model, target),
    ...(slot === undefined ? {} : { slot }),
  };
  const given = givenAt(model, tree, move, moved, spot);
  return {
    move: moveWords(move),
    answers: answersAt(model, tree, moved, spot),
    ...given,
    heardBy: [...given.heardBy, ...hearsAt(model, tree, moved, spot)],
  };
}

/** A slot by its name; what stands between the tags has several. */
const isNamed = (name: string, asked: string | undefined): boolean =>
  name === asked || (/^(default|children)$/.test(name) && /^(default|children)$/.test(asked ?? ''));

/** The innermost provider within a place: those that it makes for what is in it, or those around it. */
function lastProvider(tree: Tree, place: Place): number {
  const own = tree.providers.findLastIndex(({ owner }) => owner === place.index);
  return own >= 0 ? own : place.provider;
}

/** Of a question that ends at the own element, or at who wrote it, nothing is told but what is answered within the part. */
function answersAt(model: Model, tree: Tree, moved: Place, spot: Spot): WhatIf['answers'] {
  const found = new Map<string, WhatIf['answers'][number]>();
  for (const place of tree.places) {
    const asking = isWithin(tree, moved, place) ? model.components.get(place.component) : undefined;
    for (const take of asking?.consumes ?? []) {
      const key = model.contexts.get(take.context)?.name ?? '';
      const now = resolve(tree, place.provider, take.context, place, take.asks).answers;
      const by = now && tree.places[now.owner];
      const isInside = by !== undefined && isWithin(tree, moved, by);
      if (!isInside && isBounded(take.asks)) continue;
      const then = isInside ? now : resolve(tree, spot.provider, take.context).answers;
      const named = (provider: typeof now): string | null => (provider ? nameOf(model, tree.places[provider.owner]) || null : null);
      const answer = { component: asking?.name ?? '', key, before: named(now), after: named(then) };
      found.set(Object.values(answer).join(' '), answer);
    }
  }
  return [...found.values()];
}

/** Kinds of values that a body knows only within a part of its markup: one item of a loop, what a slot hands out. */
const isLocal = ({ kind }: ValueFact): boolean => kind === 'item' || kind === 'handed';

function givenAt(
  model: Model,
  tree: Tree,
  move: Move,
  moved: Place,
  spot: Spot,
): Pick<WhatIf, 'lost' | 'another' | 'unheard' | 'heardBy' | 'unchanged'> {
  const use = moved.use && useById(model, moved.use);
  const from = model.components.get(use?.owner ?? ('' as Component['id']));
  const to = model.components.get(spot.owner.component);
  const lost: WhatIf['lost'][number][] = [];
  const another: WhatIf['another'][number][] = [];
  const unheard: WhatIf['unheard'][number][] = [];
  const heardBy: WhatIf['heardBy'][number][] = [];
  const unchanged: WhatIf['unchanged'][number][] = [];
  if (!use || !from || !to) return { lost, another, unheard, heardBy, unchanged };
  const parentUse = tree.places[moved.parent]?.use;
  const around = parentUse ? useById(model, parentUse)?.node.span : undefined;
  const staysIn = (value: ValueFact): boolean => {
    // What the old parent's slot hands out is known between its tags alone.
    const ofParent = around !== undefined && value.span.start >= around.start && value.span.end <= around.end;
    return move.slot !== undefined ? !(value.kind === 'handed' && ofParent) : !isLocal(value);
  };
  const isKnown = (value: ValueFact | undefined): boolean => {
    if (!value) return true;
    if (from === to) return staysIn(value);
    if (value.kind === 'module') return true;
    return to.facts.values.some((one) => one.name === value.name && isWritable(one) && isSameSort(one, value));
  };
  /** Whether the value of that name is the very same there: handed on to it unchanged, or made by the same hook, store or context. */
  const isSame = (index: number): boolean => {
    const value = from.facts.values[index];
    if (!value || from === to || value.kind === 'module') return true;
    const there = to.facts.values.findIndex((one) => one.name === value.name && isWritable(one) && isSameSort(one, value));
    if (value.source !== undefined && value.source === to.facts.values[there]?.source) return true;
    const owner = tree.places[moved.owner];
    return owner !== undefined && originOf(model, tree, owner, index) === originOf(model, tree, spot.owner, there);
  };
  const readingsOf = (binding: Binding): readonly Reading[] =>
    binding.action === undefined ? binding.readings : [...binding.readings, ...actionReadings(from, binding.action)];
  for (const binding of use.node.bindings) {
    const key = bindingKey(binding);
    const isHearing = isListener(binding) || (key !== undefined && isCallback(model, moved, memberOf(key).name, key));
    const missing = readingsOf(binding).find((reading) => !isKnown(from.facts.values[reading.value]));
    const name = key === undefined ? (heardName(binding) ?? binding.written) : memberName(key);
    if (isHearing && !missing) heardBy.push({ component: move.component, event: name, by: to.name });
    else if (isHearing) unheard.push({ component: move.component, event: name });
    else if (key === undefined) continue;
    else if (missing) lost.push({ component: move.component, name, of: nameRead(from, missing) });
    else {
      const other = readingsOf(binding).find((reading) => !isSame(reading.value));
      if (other) another.push({ component: move.component, name, of: nameRead(from, other) });
      else unchanged.push({ component: move.component, name });
    }
  }
  for (const { readings, keys } of use.node.spreads)
    if (readings.some((reading) => !isKnown(from.facts.values[reading.value])))
      for (const key of keys ?? [])
        lost.push({ component: move.component, name: memberName(key), of: from.facts.values[readings[0]?.value ?? -1]?.name ?? '' });
  return { lost, another, unheard, heardBy, unchanged };
}

/** Where a value is held that comes to a place from prop to prop as it is: the place and the value, as one text. */
function originOf(model: Model, tree: Tree, place: Place, index: number): string {
  const value = model.components.get(place.component)?.facts.values[index];
  const use = place.use && useById(model, place.use);
  const owner = tree.places[place.owner];
  const [given, ...more] = value?.kind === 'prop' && use ? (bindingFor(use.node, memberKeyOf(value))?.readings ?? []) : [];
  const isAsItIs = given !== undefined && more.length === 0 && given.how === 'same' && given.path.length === 0;
  return isAsItIs && owner ? originOf(model, tree, owner, given.value) : `${place.index} ${index}`;
}

/** Kinds of values whose names can be written in a component's markup. */
const known: ReadonlySet<ValueFact['kind']> = new Set([
  'prop',
  'state',
  'setter',
  'ref',
  'derived',
  'context',
  'store',
  'fetched',
  'hook',
  'function',
]);

/** Whether markup can name it; an event that is only passed on is no name. */
const isWritable = (value: ValueFact): boolean => known.has(value.kind) && !isLocal(value) && value.member?.startsWith('event:') !== true;

/** Two values of one name that may stand for each other: both are functions, or neither is. */
const isSameSort = (one: ValueFact, other: ValueFact): boolean =>
  (one.kind === 'function') === (other.kind === 'function') || one.kind === 'prop';

/** What an action of a body needs of that body: what it reads, changes and calls, without its own parameters. */
function actionReadings({ facts }: Component, index: number): Reading[] {
  const action = facts.actions[index];
  if (!action) return [];
  const named = (value: number): Reading => ({ value, path: [], how: 'called', span: action.span });
  return [...action.reads, ...action.changes.map(({ value }) => named(value)), ...action.invokes.map(({ value }) => named(value))].filter(
    ({ value }) => facts.values[value]?.kind !== 'param',
  );
}

/** What a reading is of, by the name that the markup has for it. */
function nameRead({ facts }: Component, { value, path }: Reading): string {
  const name = facts.values[value]?.name ?? '';
  return /^[\w$]+$/.test(name) ? name : (path[0] ?? name);
}

function isCallback(model: Model, moved: Place, name: string, key: ReturnType<typeof bindingKey>): boolean {
  const member = key && model.components.get(moved.component)?.contract.members.get(key);
  return member?.kind === 'callback' || /^on[A-Z]/.test(name);
}

/** The event that a component's own element hears; undefined for all other channels. */
const heardOn = ({ on, own, event }: Channel): string | undefined => (on === 'element' && own !== undefined ? event : undefined);

/** Listeners around the new place that were not around the old one, for what bubbles up to them through the page. */
function hearsAt(model: Model, tree: Tree, moved: Place, spot: Spot): WhatIf['heardBy'] {
  const found: WhatIf['heardBy'][number][] = [];
  const seen = new Set<string>();
  const bubbling = { bubbles: true, composed: true };
  const raised = new Map<string, string>();
  for (const place of tree.places)
    if (isWithin(tree, moved, place)) {
      const component = model.components.get(place.component);
      for (const event of component?.facts.events ?? []) if (event.travels !== 'owner') raised.set(event.name, component?.name ?? '');
      for (const { sends } of component?.facts.actions ?? [])
        for (const { channel, bubbles } of sends) {
          const event = bubbles ? heardOn(channel) : undefined;
          if (event !== undefined) raised.set(event, component?.name ?? '');
        }
    }
  // Elements that hear by themselves whatever comes up to them.
  for (const at of [spot.parent, ...ancestors(tree, spot.parent)])
    for (const { channel } of model.components.get(at.component)?.facts.actions.flatMap(({ hears }) => hears) ?? []) {
      const event = heardOn(channel);
      const component = event === undefined ? undefined : raised.get(event);
      if (event === undefined || component === undefined || seen.has(`${component} ${event}`)) continue;
      seen.add(`${component} ${event}`);
      found.push({ component, event, by: nameOf(model, at) });
    }
  const old = new Set(eventPath(tree, moved.element ?? moved.host, bubbling).map(({ host }) => host.index));
  for (const { host } of eventPath(tree, spot.host, bubbling))
    for (const binding of host.node.bindings) {
      const name = heardName(binding);
      const isNative = binding.to.kind === 'listener';
      const component =
        name === undefined ? undefined : (raised.get(name) ?? (isNative && !old.has(host.index) ? nameOf(model, moved) : undefined));
      if (name === undefined || component === undefined || seen.has(`${component} ${name}`)) continue;
      seen.add(`${component} ${name}`);
      found.push({ component, event: name, by: nameOf(model, tree.places[host.owner]) });
    }
  return found;
}
