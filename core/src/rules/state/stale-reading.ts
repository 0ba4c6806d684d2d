import type { ActionFact, BodyFacts, ChangeFact, ComponentFacts, Reading, ValueFact } from '../../model/facts';
import { nameOfKey } from '../../model/context-key';
import type { MemberKey } from '../../model/member';
import { bindingFor, memberKeyOf } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { remembered } from '../../model/remembered';
import { contains, locate, type Span } from '../../model/span';
import type { Found, Rule } from '../rule';
import { indexOf } from '../../flow/graph/index-of';
import { changingUses } from '../shared/changing';
import { isOfText } from '../shared/kinds';
import { shownAtAll } from './shown';

/** Whether a value of a component can be another one at a later rendering. */
function changes(model: Model, component: Component, { value, path }: Pick<Reading, 'value' | 'path'>, depth = 4): boolean {
  const facts = component.facts.values[value];
  switch (facts?.kind) {
    case 'state':
      return component.facts.actions.some((action) =>
        action.changes.some(
          (change) =>
            change.value === value && (change.how === 'set' || traitsOf(component).mutation === 'seen' || isFieldSet(component, change)),
        ),
      );
    case 'prop':
      return isGivenAnew(model, component.id, memberKeyOf(facts));
    case 'derived':
      return depth > 0 && facts.from.some((reading) => changes(model, component, reading, depth - 1));
    case 'hook':
      return changesInHook(model, component, facts, path[0]);
    case 'module':
      return changesInStore(model, component, facts, path[0]);
    default:
      return false;
  }
}

/** A field of an element is another when it is written. */
const isFieldSet = ({ facts }: Component, { how, path = [] }: ChangeFact): boolean =>
  facts.element !== undefined && how === 'assign' && path.length === 0;

/**
 * What a function that runs later reads of a local into which a member of the instance was taken before: it keeps what
 * it was then. What runs once, and what is told of a member by its own name, is none.
 */
function captured(model: Model, component: Component, action: ActionFact): Reading[] {
  const { actions, element } = component.facts;
  // What an event starts takes what there is at that moment, and the next event takes it anew.
  if (!element || action.hears.length === 0 || action.kind === 'handler') return [];
  const left = action.hears.flatMap((hear) => (hear.action === undefined || hear.ends ? [] : (actions[hear.action] ?? [])));
  return once(
    left
      .flatMap((one) => one.reads.filter(({ takenAt }) => takenAt && !contains(one.span, takenAt)))
      .filter((reading) => /^(?:same|part|computed|item)$/.test(reading.how) && changes(model, component, reading)),
  );
}

/** A member of what a hook of the project gives is a state of it, and something sets that. */
function changesInHook(model: Model, { file }: Component, { source }: ValueFact, member: string | undefined): boolean {
  const meant = source === undefined ? undefined : model.named(file, source);
  if (meant?.kind !== 'hook') return false;
  const { values, actions, returns } = meant.fact;
  return returns.some(({ value, held }) => {
    if (held?.at[0] !== member || values[value]?.kind !== 'state') return false;
    const setter = values.findIndex((one) => one.kind === 'setter' && one.partner === value);
    const isSet = actions.some((action) => action.changes.some((change) => change.value === value && change.how === 'set'));
    return isSet || (setter >= 0 && returns.some((one) => one.value === setter));
  });
}

/** A member of a store is a state of it that its own functions change, or is computed from one. */
function changesInStore(model: Model, { file }: Component, { source }: ValueFact, member: string | undefined): boolean {
  const meant = source === undefined ? undefined : model.named(file, source);
  if (meant?.kind !== 'value') return false;
  const module = model.files.get(meant.file)?.module;
  const store = module?.values.find((one) => one.name === meant.name && one.shape === 'factory');
  if (!module || !store) return false;
  const isChanged = (index: number, depth = 4): boolean => {
    const value = module.values[index];
    if (value?.kind === 'derived') return depth > 0 && value.from.some((one) => isChanged(one.value, depth - 1));
    return (
      value?.kind === 'state' && module.actions.some((action) => action.changes.some((one) => one.value === index && one.how === 'set'))
    );
  };
  return store.from.some(({ held, value }) => held?.at[0] === member && isChanged(value));
}

/** Some use gives the prop from state of its owner, or of whoever gave it to that one. */
function isGivenAnew(model: Model, id: ComponentId, prop: MemberKey, depth = 4): boolean {
  return (model.usesOf.get(id) ?? []).some((use) => {
    const owner = model.components.get(use.owner);
    const binding = bindingFor(use.node, prop);
    if (!owner || !binding || depth === 0) return false;
    return binding.readings.some((reading) => {
      const value = owner.facts.values[reading.value];
      return value?.kind === 'prop' ? isGivenAnew(model, owner.id, memberKeyOf(value), depth - 1) : changes(model, owner, reading);
    });
  });
}

/** Whether a reading is among what is followed: itself, or the whole that it is part of. */
function isFollowed(reading: Reading, follows: readonly Reading[]): boolean {
  return follows.some(
    (one) => one.value === reading.value && one.path.every((name, at) => reading.path[at] === name || reading.path[at] === '*'),
  );
}

/** What a class begins with it goes on with: where it sets its state, or in what runs each time it was given something. */
function goesOn(component: Component, { value }: Reading): boolean {
  const { values, actions } = component.facts;
  const { endOfLife } = traitsOf(component);
  if (values[value]?.kind === 'state') return true;
  return actions.some(
    ({ kind, name, runsOnce, reads }) =>
      kind === 'lifecycle' && !runsOnce && !endOfLife.test(name) && reads.some((reading) => reading.value === value),
  );
}

/** What is read by something that runs again, or is made again, only when one of a list is another. */
type Listed = Pick<ActionFact, 'follows' | 'unfollowedOnPurpose'>;

function staleIn(model: Model, component: Component, { follows, unfollowedOnPurpose }: Listed, reads: readonly Reading[]): Reading[] {
  if (!follows || unfollowedOnPurpose) return [];
  const seen = new Set<number>();
  return reads.filter((reading) => {
    if (component.facts.form === 'class' && goesOn(component, reading)) return false;
    if (reading.latest || reading.how === 'called' || seen.has(reading.value) || isFollowed(reading, follows)) return false;
    // What is made of all that is followed is the same while these are.
    const made = component.facts.values[reading.value];
    if (made?.kind === 'derived' && made.from.length > 0 && made.from.every((one) => isFollowed(one, follows))) return false;
    if (!changes(model, component, reading)) return false;
    seen.add(reading.value);
    return true;
  });
}

/** What an action reads, with the functions that it leaves behind to run later: of timers and of what it hears. */
function readsOf({ facts: { actions } }: Component, action: ActionFact): Reading[] {
  // What it sets by itself is meant to be the value that it had: following it, it would run again for what it did.
  const own = action.reads.filter((reading) => !action.changes.some((change) => change.value === reading.value));
  const left = action.hears.flatMap((hear) => (hear.action === undefined ? [] : (actions[hear.action] ?? [])));
  return [...own, ...left.filter((one) => contains(action.span, one.span)).flatMap((one) => one.reads)];
}

/** What an effect reads when it is no longer followed: after its first await, in what it gives to promises and timers. */
function lateIn(model: Model, component: Component, action: ActionFact): Reading[] {
  const { late } = action;
  if (!late) return [];
  const isLate = ({ span }: { readonly span: Span }): boolean => late.some((stretch) => contains(stretch, span));
  const kept = component.facts.actions.filter((one) => one !== action && isLate(one));
  const all = [...action.reads, ...kept.flatMap((one) => one.reads)];
  const early = new Set(all.filter((reading) => !isLate(reading)).map((reading) => reading.value));
  // What it writes by itself is read for its latest value.
  const written = new Set([action, ...kept].flatMap((one) => one.changes.map((change) => change.value)));
  return once(
    all.filter(
      (reading) =>
        isLate(reading) &&
        reading.how !== 'called' &&
        !early.has(reading.value) &&
        !written.has(reading.value) &&
        changes(model, component, reading),
    ),
  );
}

/** A value holds an element of the page, which is asked for when it is needed: by its type, as far as its name tells, or since markup fills it. */
const isHandle = ({ facts }: Component, at: number): boolean =>
  /(?:El|Element|Ref|Node)$/.test(facts.values[at]?.name ?? '') ||
  (indexOf(facts).sinks.get(at) ?? []).some((sink) => sink.to === 'attribute' && /^(bind:this|ref|:ref)$/.test(sink.binding.written));

/** A statement that runs again for the names that stand in it: what a function reads that it calls was never followed. */
const followsNamesAlone = ({ facts }: Component, action: ActionFact): boolean => facts.followsAssignment === true && action.name === '$:';

/** What an effect reads in a function that it calls, after the first await of that function. */
function lateInCalled(model: Model, component: Component, action: ActionFact): Reading[] {
  if (action.kind !== 'effect' || action.follows === undefined || followsNamesAlone(component, action)) return [];
  const early = new Set([...action.reads, ...action.follows].map((reading) => reading.value));
  return action.calls.flatMap((call) => {
    const called = component.facts.actions[call];
    return called ? lateIn(model, component, called).filter(({ value }) => !early.has(value) && !isHandle(component, value)) : [];
  });
}

/** What a statement that should run again reads in the function it calls, while it follows nothing itself. */
function hiddenIn(model: Model, component: Component, action: ActionFact): Reading[] {
  if (!followsNamesAlone(component, action) || (action.follows ?? []).length > 0) return [];
  return hiddenInCalled(
    model,
    component,
    action.calls.flatMap((call) => component.facts.actions[call] ?? []),
  );
}

/** Fields that nothing follows, which what is computed again or run again with what it reads does read. */
function unfollowedIn(model: Model, component: Component, reads: readonly Reading[]): Reading[] {
  const { values } = component.facts;
  return once(
    reads.filter((reading) => {
      const value = values[reading.value];
      const isField = value?.kind === 'state' && !value.observable && value.shape === undefined;
      return isField && !reading.latest && reading.how !== 'called' && changes(model, component, reading);
    }),
  );
}

/** The same of a statement that gives a name to what a function of the component gives. */
function hiddenInValue(model: Model, component: Component, { from, once: isOnce }: ValueFact): Reading[] {
  const { values, actions, followsAssignment } = component.facts;
  if (!followsAssignment || isOnce || from.length === 0 || from.some((reading) => reading.how !== 'called')) return [];
  const called = from.map(({ value }) => actions[values[value]?.action ?? -1]);
  return called.every((one) => one !== undefined) ? hiddenInCalled(model, component, called) : [];
}

function hiddenInCalled(model: Model, component: Component, called: readonly ActionFact[]): Reading[] {
  const written = new Set(called.flatMap((one) => one.changes.map((change) => change.value)));
  return once(
    called
      .flatMap((one) => one.reads)
      .filter((reading) => reading.how !== 'called' && !written.has(reading.value) && changes(model, component, reading)),
  );
}

/** The first reading of each value. */
function once(readings: readonly Reading[]): Reading[] {
  const seen = new Set<number>();
  return readings.filter((reading) => !seen.has(reading.value) && seen.add(reading.value));
}

function staleBy(
  model: Model,
  component: Component,
  action: ActionFact,
): { readonly how: 'list' | 'late' | 'hidden' | 'watched'; readonly readings: readonly Reading[] } {
  if (traitsOf(component).effects === 'listed')
    return { how: 'list', readings: staleIn(model, component, action, readsOf(component, action)) };
  if (action.followsByValue) {
    const readings = (action.follows ?? []).filter((one) => isPlain(component, one) && changes(model, component, one));
    if (readings.length > 0) return { how: 'watched', readings };
  }
  // Where what is followed is said apart from it, nothing that it reads is meant to be.
  const isSaidApart = action.follows?.some(({ span }) => !action.reads.some((one) => one.span.start === span.start));
  if (action.follows === undefined || action.runsOnce || isSaidApart) return { how: 'late', readings: [] };
  const late = once([...lateIn(model, component, action), ...lateInCalled(model, component, action)]);
  return late.length > 0 ? { how: 'late', readings: late } : { how: 'hidden', readings: hiddenIn(model, component, action) };
}

/** An effect, callback or memo reads a value that it does not follow, and the value changes. */
export const staleReading: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      const { actions, values } = component.facts;
      const inCaptured = actions.flatMap((action) =>
        captured(model, component, action).map((reading) =>
          toFound(component, reading, { name: action.name, span: action.span, how: 'captured' }),
        ),
      );
      const inActions = actions.flatMap((action) => {
        const { how, readings } = staleBy(model, component, action);
        return readings.map((reading) => toFound(component, reading, { name: action.name, span: action.span, how }));
      });
      const inMemos = values.flatMap(({ name, span, from, ...listed }) =>
        staleIn(model, component, listed, from).map((reading) => toFound(component, reading, { name, span, how: 'list' })),
      );
      const shown = shownAtAll(component.facts);
      const inVariables = values.flatMap(({ name, span, from, once: isOnce }, index) =>
        ((isOnce || isSetUpOnce(component, index)) && shown.has(index) ? once(from) : [])
          // Of members of an object that is followed another rule speaks.
          .filter((one) => one.how !== 'called' && !component.facts.values[one.value]?.ofObject && !holdsStore(component, one))
          // What an effect puts into it keeps it in step.
          .filter(
            (one) =>
              !actions.some((action) => action.kind === 'effect' && contains(action.span, one.span)) && changes(model, component, one),
          )
          .map((reading) => toFound(component, reading, { name, span, how: isTaken(component, reading) ? 'taken' : 'once' })),
      );
      const inFields = values.flatMap(({ name, span }, index) =>
        (shown.has(index) ? once(computedAtStart(model, component, index)) : []).map((reading) =>
          toFound(component, reading, { name, span, how: 'once' }),
        ),
      );
      const inTracked = traitsOf(component).followsBoxes
        ? [
            ...values.filter((value) => value.tracked).map(({ name, span, from }) => ({ name, span, reads: from })),
            ...actions
              .filter(({ kind }) => kind === 'effect')
              .map(({ name, span, reads, changes: own }) => ({
                name,
                span,
                reads: reads.filter((one) => !own.some((change) => change.value === one.value)),
              })),
          ].flatMap(({ name, span, reads }) =>
            unfollowedIn(model, component, reads).map((reading) => toFound(component, reading, { name, span, how: 'unfollowed' })),
          )
        : [];
      const inNamed = values.flatMap((value) =>
        value.kind === 'derived'
          ? hiddenInValue(model, component, value).map((reading) =>
              toFound(component, reading, { name: value.name, span: value.span, how: 'hidden' }),
            )
          : [],
      );
      return [
        ...inActions,
        ...inCaptured,
        ...inMemos,
        ...inTracked,
        ...inNamed,
        ...inVariables,
        ...inFields,
        ...providedOnce(model, component),
        ...handedByValue(model, component),
        ...inHooks(model, component),
      ];
    }),
};

/**
 * Effects and callbacks of the hooks that a component calls, which read what they are handed and do not follow it, while the
 * component hands them something else at a later rendering. Each is told of the first component that does.
 */
function inHooks(model: Model, component: Component): Found[] {
  if (traitsOf(component).effects !== 'listed') return [];
  return component.facts.values.flatMap(({ kind, source, args = [] }): Found[] => {
    const meant = kind === 'hook' && source !== undefined && args.length > 0 ? model.named(component.file, source) : undefined;
    if (meant?.kind !== 'hook' || firstCallers(model).get(meant.fact) !== component) return [];
    const { values, actions, name } = meant.fact;
    return actions.flatMap((action): Found[] => {
      const { follows, unfollowedOnPurpose } = action;
      if (!follows || unfollowedOnPurpose) return [];
      const left = action.hears.flatMap((hear) => (hear.action === undefined ? [] : (actions[hear.action] ?? [])));
      const inner = actions.filter((one) => one !== action && contains(action.span, one.span));
      const read = [action, ...left, ...inner].flatMap((one) => [
        ...one.reads,
        ...one.invokes.map((call) => ({ ...call, how: 'same' as const })),
        ...one.hears.flatMap(({ reading }) => reading ?? []),
      ]);
      return once(
        read.filter((reading) => {
          const param = values[reading.value];
          if (param?.kind !== 'param' || param.of !== undefined || isFollowed(reading, follows)) return false;
          const arg = args[param.position ?? -1];
          const given = arg?.action === undefined ? (arg?.readings ?? []) : (component.facts.actions[arg.action]?.reads ?? []);
          // Of an object that is handed over, the member that is read.
          const isMeant = ({ held }: Reading): boolean => held === undefined || reading.path.length === 0 || held.at[0] === reading.path[0];
          return given.some((one) => one.how !== 'called' && !one.latest && isMeant(one) && changes(model, component, one));
        }),
      ).map((reading) =>
        toFound({ ...component, file: meant.file, facts: { ...component.facts, values } }, reading, {
          name: `${action.name} of ${name}`,
          span: action.span,
          how: 'list',
        }),
      );
    });
  });
}

/** The first component that calls a hook by itself, for each hook of the project that one calls. */
const firstCallers = remembered((model: Model): ReadonlyMap<BodyFacts, Component> => {
  const found = new Map<BodyFacts, Component>();
  for (const component of model.components.values())
    for (const { kind, source } of component.fileRole === 'source' ? component.facts.values : []) {
      const meant = kind === 'hook' && source !== undefined ? model.named(component.file, source) : undefined;
      if (meant?.kind === 'hook' && !found.has(meant.fact)) found.set(meant.fact, component);
    }
  return found;
});

/** A variable of which assignments would be followed, and which is computed where it is declared and never written. */
function isSetUpOnce({ facts }: Component, index: number): boolean {
  const value = facts.values[index];
  if (!facts.followsAssignment || value?.kind !== 'state' || value.from.length === 0) return false;
  return !facts.actions.some((action) => action.changes.some((change) => change.value === index)) && !isBound(facts, index);
}

/**
 * What a state is computed from at the start of a life, and never again: by the one function that sets it, or where it is
 * declared. What it takes over as it is, another rule speaks of.
 */
function computedAtStart(model: Model, component: Component, index: number): Reading[] {
  const { facts } = component;
  const starts = traitsOf(component).startOfLife;
  const value = facts.values[index];
  if (!starts || value?.kind !== 'state' || value.shape !== undefined || isBound(facts, index)) return [];
  const [set, ...more] = facts.actions.flatMap((action) =>
    // What fields and methods set is held by a control of a form, which stays the same one.
    action.changes.flatMap((change) => (change.value === index && !(value.isControl && change.how === 'set') ? [{ action, change }] : [])),
  );
  const isAtStart = set && starts.test(set.action.name) && set.change.how === 'assign' && !set.change.isLater;
  if (more.length > 0 || (set && (!isAtStart || set.action.late?.some((one) => contains(one, set.change.span))))) return [];
  const from = set?.change.from ?? value.from;
  return from.filter((reading) => {
    const prop = facts.values[reading.value];
    if (prop?.kind !== 'prop' || reading.how !== 'computed' || /^(?:initial|default|start)/i.test(prop.name)) return false;
    return changingUses(model, component.id, memberKeyOf(prop)).length > 0;
  });
}

/** A field or a part writes the value by a two-way binding. */
function isBound(facts: ComponentFacts, index: number): boolean {
  return (indexOf(facts).sinks.get(index) ?? []).some((sink) => 'binding' in sink && sink.binding.direction === 'two-way');
}

/** What is read is surely a text, a number or a flag, which nothing can follow by itself. */
function isPlain({ facts, contract }: Component, { value, path }: Reading): boolean {
  const read = facts.values[value];
  if (read?.kind === 'state') return path[0] !== undefined && read.plainMembers?.includes(path[0]) === true;
  return read?.kind === 'prop' && isOfText(contract.members.get(memberKeyOf(read)));
}

/** A member by which a store itself is held, which stays as it is whatever the store tells. */
const holdsStore = (component: Component, { value, path: [member = ''] }: Reading): boolean =>
  component.facts.values[value]?.observable === true && traitsOf(component).storeMembers?.test(member) === true;

/** A prop by another name, and nothing computed from it. */
const isTaken = ({ facts }: Component, { value, how }: Reading): boolean =>
  facts.values[value]?.kind === 'prop' && (how === 'same' || how === 'part');

/**
 * What is handed to a function of the project as it is at that moment, while that function goes on computing with it, or
 * does something when it changes.
 */
function handedByValue(model: Model, component: Component): Found[] {
  return component.facts.values.flatMap(({ kind, source, args = [], span }): Found[] => {
    const meant =
      kind === 'hook' && source !== undefined && args.some((one) => one.byValue) ? model.named(component.file, source) : undefined;
    if (meant?.kind !== 'hook') return [];
    const { values, actions } = meant.fact;
    const goesOn = (position: number): boolean => {
      const param = values.findIndex((one) => one.kind === 'param' && one.of === undefined && one.position === position);
      const reads = [
        ...values.flatMap((one) => (one.kind === 'derived' ? one.from : [])),
        ...actions.flatMap((one) => (one.kind === 'effect' ? one.reads : [])),
      ];
      return param >= 0 && reads.some(({ value }) => value === param);
    };
    return args.flatMap((arg, position) => {
      const [reading] = arg.byValue && goesOn(position) ? arg.readings : [];
      return reading && changes(model, component, reading)
        ? [toFound(component, reading, { name: source ?? '', span, how: 'handed' })]
        : [];
    });
  });
}

type Stale = 'unfollowed' | 'captured' | 'handed' | 'list' | 'late' | 'hidden' | 'once' | 'taken' | 'provided' | 'watched';

/** What is given to all below by its value at that moment. */
function providedOnce(model: Model, component: Component): Found[] {
  const { values } = component.facts;
  const isOnce = ({ value }: Reading): boolean =>
    (traitsOf(component).stateByName && isSetAnew(component, value)) ||
    (values[value]?.once === true && values[value].from.some((one) => changes(model, component, one)));
  return (model.usesBy.get(component.id) ?? []).flatMap(({ node, target }) => {
    if (target.kind !== 'provider') return [];
    const { name = '' } = model.contexts.get(target.context) ?? {};
    return node.bindings
      .flatMap((binding) => binding.readings)
      .filter((reading) => reading.how === 'same' && !reading.held && isOnce(reading))
      .map((reading) => toFound(component, reading, { name: nameOfKey(name), span: node.span, how: 'provided' }));
  });
}

/** The value as a whole becomes another one; what changes only inside is seen by all who hold it. */
function isSetAnew({ facts: { values, actions } }: Component, at: number): boolean {
  return (
    values[at]?.kind === 'state' &&
    !values[at].observable &&
    actions.some(({ changes: all }) => all.some(({ value, how, path = [] }) => value === at && how !== 'in-place' && path.length === 0))
  );
}

function toFound(
  component: Component,
  reading: Reading,
  { name: action, span, how }: { readonly name: string; readonly span: Span; readonly how: Stale },
): Found {
  const value = component.facts.values[reading.value];
  // What is handed in and taken apart is known by its members.
  const [member = ''] = reading.path;
  const own = value?.name ?? '';
  const name = value?.kind === 'param' && !/^[\w$]+$/.test(own) ? member : value?.kind === 'module' && member ? `${own}.${member}` : own;
  const at = locate(component.file, reading.span);
  const does: Readonly<Record<Stale, string>> = {
    captured: `${action} takes it into a local before, and what runs later goes on with that.`,
    list: `${action} does not follow it.`,
    unfollowed: `${action} runs again only when a signal that it reads is another.`,
    late: `${action} does not follow it.`,
    hidden: `${action} does not follow it.`,
    once: `${action} is computed once, when ${component.name} is set up.`,
    handed: `${action} is given the value of that moment.`,
    taken: `${action} is what it was when ${component.name} was set up.`,
    provided: `${action} is given the value of that moment.`,
    watched: 'The watcher is given the value of that moment.',
  };
  return {
    rule: 'stale-reading',
    component: component.id,
    subject: name,
    at,
    words: { component: component.name, value: name, action, how },
    evidence: [
      { at, text: how === 'late' ? `${name} is read here, when ${action} is no longer followed.` : `${name} is read here.` },
      { at: locate(component.file, span), text: does[how] },
      ...(value ? [{ at: locate(component.file, value.span), text: `${name} changes.` }] : []),
    ],
    touches: component.id,
  };
}
