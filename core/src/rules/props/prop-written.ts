import type { ChangeFact, Reading } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { bindingFor, memberKeyOf } from '../../model/given';
import { changerNamed } from '../../model/lookup';
import { indexOf } from '../../flow/graph/index-of';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { takenFrom } from '../../model/taken';
import type { Found, Rule } from '../rule';

/**
 * What of a prop is written: the prop itself, its inside as a list, or a member of it. A member counts
 * where the framework hands down what it follows; elsewhere the prop may be made to be written to.
 */
function writtenBy(component: Component, change: ChangeFact): 'whole' | 'list' | 'member' | undefined {
  // Where a page is made once, what a part is given is its own to change.
  if (traitsOf(component).madeOnce) return undefined;
  if (change.toProps || (traitsOf(component).givenIsSealed && change.how === 'assign' && (change.path ?? []).length === 0)) return 'whole';
  if (change.how !== 'in-place') return isKeptFromOwner(component, change) ? 'whole' : undefined;
  if (change.order !== undefined && !mayBeList(component, change)) return undefined;
  if (change.order !== undefined || (change.path?.length === 1 && /^(\d+|\*)$/.test(change.path[0] ?? ''))) return 'list';
  const traits = traitsOf(component);
  const handsDown = traits.givenIsSealed || (traits.followedProps && !component.facts.followsAssignment);
  return handsDown && (change.path?.length ?? 0) > 0 && change.path?.[0] !== 'current' ? 'member' : undefined;
}

/** Members that a list has: who asks for another one holds something else that can be pushed to. */
const ofLists =
  /^(?:\d+|\*|length|at|concat|entries|every|fill|filter|find\w*|flat\w*|forEach|includes|indexOf|join|keys|lastIndexOf|map|reduce\w*|slice|some|sort|reverse|splice|toReversed|toSorted|toSpliced|push|pop|shift|unshift|values|with)$/;

/** What many know a router by, to which a place is pushed. */
const ofRouter = /^(?:history|router|navigat(?:ion|or)|route)$/i;

/** What is pushed to or sorted may be a list, as far as its name, its type and what else is read of it tell: a stack of pages is none. */
function mayBeList(component: Component, change: ChangeFact): boolean {
  const { value, path = [] } = change;
  const prop = component.facts.values[value];
  if (!prop || path.length > 0) return true;
  if (change.order === 'append' && ofRouter.test(prop.name)) return false;
  const { kinds } = component.contract.members.get(memberKeyOf(prop)) ?? {};
  if (kinds && kinds.size > 0 && !kinds.has('list')) return false;
  const sinks = indexOf(component.facts).sinks.get(value) ?? [];
  return sinks.every(({ reading }) => reading.path[0] === undefined || ofLists.test(reading.path[0]));
}

/** An input is given another value on what people do, and no event of the contract tells the owner. */
function isKeptFromOwner(component: Component, change: ChangeFact): boolean {
  const { value, how, path = [] } = change;
  const prop = component.facts.values[value];
  const traits = traitsOf(component);
  if (!traits.givenOneWay || how !== 'assign' || path.length > 0 || prop?.kind !== 'prop') return false;
  const key = memberKeyOf(prop);
  if (
    !component.contract.members.has(key) ||
    adapterOf(component.framework)
      .link.changesOf(prop.name)
      .some((one) => component.contract.members.has(one))
  )
    return false;
  const action = component.facts.actions.find(({ changes }) => changes.includes(change));
  return action !== undefined && action.kind === 'handler' && !/^(?:set |write|set[A-Z]|register)/.test(action.name);
}

/** Whether the owner means the component to write it: bound both ways, or a handle on something. */
function isShared(component: Component, name: string, key: MemberKey): boolean {
  const prop = component.contract.members.get(key);
  // An element that is handed over is made to be written to.
  const holdsElement = component.facts.element !== undefined && /(?:element|component|host|controller|ctrl|node)$/i.test(name);
  return prop?.kind === 'two-way' || prop?.kind === 'callback' || /ref$/i.test(name) || holdsElement;
}

/** What a component hands to functions of modules that change the inside of it: the place of each call, and the prop. */
function handedToBeChanged(model: Model, component: Component): Found[] {
  const { facts, file } = component;
  const traits = traitsOf(component);
  if (!traits.givenIsSealed && (!traits.followedProps || facts.followsAssignment)) return [];
  return facts.actions.flatMap(({ invokes }) =>
    invokes.flatMap(({ value, path, args, span }): Found[] => {
      const source = path.length === 0 ? facts.values[value]?.source : undefined;
      const meant = source === undefined ? undefined : model.named(file, source);
      if (meant?.kind !== 'value') return [];
      return args.flatMap(({ readings }, position): Found[] => {
        const [reading, ...more] = readings;
        const prop = reading && facts.values[reading.value];
        const changer = changerNamed(model, meant.file, meant.name, position);
        if (!changer || !reading || more.length > 0 || prop?.kind !== 'prop' || !/^(same|part)$/.test(reading.how)) return [];
        if (isShared(component, prop.name, memberKeyOf(prop))) return [];
        const at = locate(file, span);
        return [
          {
            rule: 'prop-written',
            component: component.id,
            subject: prop.name,
            at,
            words: { component: component.name, prop: prop.name, what: 'member' },
            evidence: [
              { at, text: `${prop.name} is handed to ${meant.name}.` },
              { at: locate(meant.file, changer.span), text: `${meant.name} changes what it is handed.` },
            ],
            touches: component.id,
          },
        ];
      });
    }),
  );
}

/** Whether a prop is state of an owner, or an item of it, so that its inside belongs to that. */
function isStateOfOwner(model: Model, component: Component, key: MemberKey, depth = 3): boolean {
  return (model.usesOf.get(component.id) ?? []).some((use) => {
    const owner = model.components.get(use.owner);
    const isState = ({ value }: Pick<Reading, 'value'>, left: number): boolean => {
      const held = owner?.facts.values[value];
      if (!owner || !held || left === 0) return false;
      if (held.kind === 'state') return held.shape === undefined;
      if (held.kind === 'prop') return isStateOfOwner(model, owner, memberKeyOf(held), depth - 1);
      return (held.kind === 'item' || held.kind === 'derived') && held.from.some((one) => one.how !== 'computed' && isState(one, left - 1));
    };
    return (
      depth > 0 &&
      (bindingFor(use.node, key)?.readings.some((reading) => /^(same|part|item)$/.test(reading.how) && isState(reading, 4)) ?? false)
    );
  });
}

/** The changes of a component, each as one of what the local is another name for: what is changed in place is the prop's. */
const changesOf = ({ facts }: Component): ChangeFact[] =>
  facts.actions.flatMap(({ changes }) =>
    changes.map((change): ChangeFact => {
      const taken = change.how === 'in-place' ? takenFrom(facts, change.value) : undefined;
      return taken ? { ...change, value: taken.prop, path: [...taken.path, ...(change.path ?? [])] } : change;
    }),
  );

/** Members written of a prop that is state of an owner, where the framework notices a new value alone. */
function ofStateWritten(model: Model, component: Component): Found[] {
  if (traitsOf(component).mutation === 'seen') return [];
  return changesOf(component).flatMap((change): Found[] => {
    const value = component.facts.values[change.value];
    const isMember = change.how === 'in-place' && (change.path?.length ?? 0) > 0 && change.path?.[0] !== 'current';
    if (value?.kind !== 'prop' || !isMember || writtenBy(component, change) || isShared(component, value.name, memberKeyOf(value)))
      return [];
    return isStateOfOwner(model, component, memberKeyOf(value)) ? [written(component, change, 'member')] : [];
  });
}

/** The list that is changed, as the component reaches it; empty where that is one of several. */
const listNamed = (prop: string, path: readonly string[]): string =>
  path.every((one) => /^[A-Za-z_$][\w$]*$/.test(one)) ? [prop, ...path].join('.') : '';

function written(component: Component, change: ChangeFact, what: 'whole' | 'list' | 'member'): Found {
  const value = component.facts.values[change.value];
  const name = value?.name ?? '';
  const at = locate(component.file, change.span);
  const prop = value && component.contract.members.get(memberKeyOf(value));
  return {
    rule: 'prop-written',
    ...((what === 'whole' ? change.toProps : traitsOf(component).givenIsSealed) ? { severity: 'fault' as const } : {}),
    component: component.id,
    subject: name,
    at,
    words: { component: component.name, prop: name, what, list: listNamed(name, change.path ?? []) },
    evidence: [
      { at, text: what === 'whole' ? `${name} is written here.` : `${name} is changed in place.` },
      ...(prop ? [{ at: prop.declared, text: `${component.name} is given ${name}: it belongs to its owner.` }] : []),
    ],
    touches: component.id,
  };
}

/**
 * An element writes what is its own as well: a property with a setter of its own, or the inside of one into which it
 * puts objects itself.
 */
function isItsOwn({ facts }: Component, { value }: ChangeFact, what: 'whole' | 'list' | 'member'): boolean {
  const name = facts.values[value]?.name ?? '';
  if (!facts.element) return false;
  if (what === 'whole') return facts.element.accessors?.includes(name) ?? false;
  return facts.actions.some(({ changes }) => changes.some((one) => one.value === value && one.how !== 'in-place'));
}

/** A property that an element gives a first value by itself, and that no use gives. */
function isGivenByNobody(model: Model, component: Component, { value }: ChangeFact): boolean {
  const prop = component.facts.values[value];
  if (!component.facts.element || prop?.kind !== 'prop') return false;
  const key = memberKeyOf(prop);
  const uses = model.usesOf.get(component.id) ?? [];
  return component.contract.members.get(key)?.fallback !== undefined && uses.every(({ node }) => !bindingFor(node, key));
}

function byItself(component: Component, isLeftOut: (change: ChangeFact) => boolean): Found[] {
  return changesOf(component).flatMap((change): Found[] => {
    const value = component.facts.values[change.value];
    const what = value?.kind === 'prop' ? writtenBy(component, change) : undefined;
    if (!value || !what || isShared(component, value.name, memberKeyOf(value)) || isItsOwn(component, change, what)) return [];
    return isLeftOut(change) ? [] : [written(component, change, what)];
  });
}

/** A component writes its own prop, or changes the inside of what it was given. */
export const propWritten: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) =>
      component.fileRole === 'source'
        ? [
            ...handedToBeChanged(model, component),
            ...ofStateWritten(model, component),
            // What an element has may be its own as well as given: its uses tell.
            ...(component.facts.element ? byItself(component, (change) => isGivenByNobody(model, component, change)) : []),
          ]
        : [],
    ),
  inComponent: (component) => (component.facts.element ? [] : byItself(component, () => false)),
};
