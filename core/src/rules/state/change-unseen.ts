import type { ActionFact, ChangeFact, ComponentFacts, HookFact, ModuleFacts, Reading, ValueFact } from '../../model/facts';
import { traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { indexOf } from '../../flow/graph/index-of';
import { bindingFor, memberKeyOf } from '../../model/given';
import { changerNamed } from '../../model/lookup';
import { contains, type FilePath, locate, type Location, type Span } from '../../model/span';
import type { Found, Rule } from '../rule';
import { walkTemplate } from '../../model/walk';
import { hookCallers } from '../shared/hook-callers';
import { shownAtAll, shownIn } from './shown';
import { asksFor } from './stores';

/** What was not noticed: which value, where it changes, and where it should show. */
type Unseen = {
  readonly name: string;
  readonly change: Span;
  readonly declared: Span;
  readonly how: 'in-place' | 'reducer' | 'plain' | 'module' | 'ref' | 'apart' | 'replaced' | 'handed' | 'content' | 'unchecked';
  /** The part that does not render again. */
  readonly by?: string;
  /** Only its place is followed, or those of its members, and nothing inside. */
  readonly shallow?: 'place' | 'members';
  /** It is a map or a set, whose methods the framework does not follow. */
  readonly collection?: boolean;
  /** What sets it, as the component names it. */
  readonly setter?: string;
  /** It is written by another name. */
  readonly byAlias?: boolean;
  /** What it was taken out of. */
  readonly from?: 'getter';
  /** Another state that is set along with it, by which the page may catch up. */
  readonly along?: string;
};

/** Members that elements have: who writes them holds an element, which shows them itself. */
const ofElements = new Set(['style', 'classList', 'dataset', 'scrollTop', 'scrollLeft', 'innerHTML', 'textContent']);

/** Changes something inside that what shows it would have to be told of. */
const changesInside = ({ how, path }: ChangeFact): boolean => how === 'in-place' && !ofElements.has(path?.[0] ?? '');

/** Changes inside a list or an object that is held as state, without setting it anew in the same function. */
function changedInPlace({ facts, framework }: Component): Unseen[] {
  const { mutation, beforeMarkup } = traitsOf({ framework });
  const isFollowed = mutation === 'seen' && !facts.followsAssignment;
  // What happens before the markup is made for the first time shows in it, and what happens while it is made does too.
  const later = facts.actions.filter(({ kind, name }) => kind !== 'render' && (kind !== 'lifecycle' || !beforeMarkup?.test(name)));
  return later.flatMap((action) =>
    action.changes.filter(changesInside).flatMap((change): Unseen[] => {
      const value = facts.values[change.value];
      const isOfStore = value?.kind === 'module' && change.order !== undefined;
      if (value?.kind !== 'state' && !isOfStore) return [];
      if (value.shape !== undefined || (isFollowed && !isOfStore && !value.shallow && !value.collection)) return [];
      // Of an object that is followed at its surface, members are.
      if (value.shallow && value.ofObject && (change.path?.length ?? 0) + (change.byMethod ? 1 : 0) < 2) return [];
      // A map or a set that no markup shows may be kept for its own sake.
      if (value.collection && !shownAtAll(facts).has(change.value)) return [];
      if (setsOtherwise(facts, action, change.value) || isKeptAside(facts, change.value)) return [];
      // A map that no declaration makes reactive is kept for its own sake, too.
      if (facts.element && ((value.plain && value.collection) || !showsInside(facts, change))) return [];
      // Where assignments are followed, one to a member is one; a method that changes a list is none.
      if (facts.followsAssignment && action.changes.some(isAssigned(change.value))) return [];
      const along = setAlong(facts, action, change.value);
      const setter = facts.values.find((one) => one.kind === 'setter' && one.partner === change.value)?.name;
      return [
        {
          name: value.name,
          change: change.span,
          declared: value.span,
          how: 'in-place',
          ...(value.shallow ? { shallow: value.ofObject ? ('members' as const) : ('place' as const) } : {}),
          ...(value.collection && isFollowed ? { collection: true } : {}),
          ...(change.byAlias ? { byAlias: true } : {}),
          ...(setter === undefined ? {} : { setter }),
          ...(along === undefined ? {} : { along }),
        },
      ];
    }),
  );
}

/** Changes inside a property that an element begins itself, where nobody gives it: its own setter never runs. */
function ownPropInPlace(model: Model, component: Component): Unseen[] {
  const { facts, id } = component;
  if (!facts.element) return [];
  const uses = model.usesOf.get(id) ?? [];
  const isSet = (name: string): boolean =>
    [...model.files.values()].some(({ file, sets }) => file !== component.file && sets?.includes(name) === true);
  return facts.actions.flatMap((action) =>
    action.changes.filter(changesInside).flatMap((change): Unseen[] => {
      const value = facts.values[change.value];
      if (action.kind === 'render' || value?.kind !== 'prop' || value.plain || change.order === undefined || isSet(value.name)) return [];
      const isGiven = uses.some(({ node }) => node.spreads.length > 0 || bindingFor(node, memberKeyOf(value)) !== undefined);
      if (isGiven || setsOtherwise(facts, action, change.value) || !showsInside(facts, change)) return [];
      return [{ name: value.name, change: change.span, declared: value.span, how: 'in-place' }];
    }),
  );
}

/** Changes inside a list or an object that is handed, as it is, to a part that renders again only when it is given another one. */
function handedInPlace(model: Model, component: Component): Unseen[] {
  const { facts, framework } = component;
  if (traitsOf({ framework }).mutation !== 'seen') return [];
  const handed = new Map<number, string>();
  for (const { node, target } of model.usesBy.get(component.id) ?? []) {
    const to = target.kind === 'component' ? model.components.get(target.id) : undefined;
    if (!to?.facts.memo) continue;
    for (const { to: member, readings } of node.bindings)
      for (const { value, how, path } of member.kind === 'prop' ? readings : [])
        if (how === 'same' && path.length === 0 && !handed.has(value)) handed.set(value, to.name);
  }
  if (handed.size === 0) return [];
  return facts.actions.flatMap((action) =>
    action.changes.filter(changesInside).flatMap((change): Unseen[] => {
      const value = facts.values[change.value];
      const by = handed.get(change.value);
      // Of what is followed by its place alone another finding speaks.
      if (by === undefined || value?.kind !== 'state' || value.shallow || setsOtherwise(facts, action, change.value)) return [];
      return [{ name: value.name, change: change.span, declared: value.span, how: 'handed', by }];
    }),
  );
}

/** Nothing shows a state, hands it on, computes from it or follows it: it is kept for functions alone. */
function isKeptAside(facts: ComponentFacts, state: number): boolean {
  const uses = indexOf(facts).sinks.get(state) ?? [];
  const isFollowed = facts.actions.some(({ follows }) => follows?.some(({ value }) => value === state));
  return !isFollowed && !shownIn(facts).has(String(state)) && uses.every(({ to }) => to === 'read' || to === 'put');
}

/** The markup of an element shows what a change inside of a state touches: a list as a whole, or the member that is written. */
function showsInside(facts: ComponentFacts, { value, order, path = [] }: ChangeFact): boolean {
  const shown = shownIn(facts);
  const [member] = path;
  const isOfMember = order === undefined && member !== undefined && !/^(?:\d+|\*)$/.test(member);
  if (!isOfMember) return shownAtAll(facts).has(value);
  const isRead = (reading: Reading): boolean => reading.value === value && reading.path[0] === member;
  if (shown.has(`${value}.${member}`)) return true;
  if (facts.values.some((one, at) => one.kind === 'derived' && shown.has(String(at)) && one.from.some(isRead))) return true;
  let isHanded = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'use') return;
    for (const { readings } of node.bindings) if (readings.some((one) => one.value === value && one.path.length === 0)) isHanded = true;
  });
  return isHanded;
}

/** An assignment to a member of a state by its own name. */
const isAssigned =
  (state: number) =>
  ({ value, order, byAlias }: ChangeFact): boolean =>
    value === state && order === undefined && !byAlias;

/** Name of another state that this function sets, or one it calls. */
function setAlong({ values, actions }: ComponentFacts, action: ActionFact, state: number): string | undefined {
  const reached = new Set([action, ...action.calls.flatMap((call) => actions[call] ?? [])]);
  for (const { changes, invokes } of reached) {
    const written = changes.find((change) => change.value !== state && change.how !== 'in-place' && values[change.value]?.kind === 'state');
    const setter = invokes.map((call) => values[call.value]).find((value) => value?.kind === 'setter' && value.partner !== state);
    const other = written?.value ?? setter?.partner;
    if (other !== undefined) return values[other]?.name;
  }
  return undefined;
}

/** `list.push(one); setList(list)`: the same list as before. */
const isSetToItself = ({ value, how, from }: ChangeFact): boolean =>
  how === 'set' &&
  from.length === 1 &&
  from.every((one) => one.value === value && one.how === 'same' && one.path.length === 0 && !one.held && !one.latest);

/** The state is set, or its setter is handed on, by this function or by one it calls. */
function setsOtherwise({ values, actions }: ComponentFacts, action: ActionFact, state: number): boolean {
  const isSetter = (value: number): boolean => values[value]?.kind === 'setter' && values[value].partner === state;
  const does = (one: ActionFact | undefined): boolean =>
    one !== undefined &&
    (one.reads.some((reading) => isSetter(reading.value) && reading.how !== 'called') ||
      one.invokes.some((call) => isSetter(call.value)) ||
      one.changes.some((change) => change.value === state && change.how !== 'in-place' && !isSetToItself(change)));
  return does(action) || action.calls.some((call) => does(actions[call]));
}

/** Whether an action runs on an event of the page or as an effect, and never while the component renders. */
function runsLater(facts: ComponentFacts, at: number): boolean {
  const { attached, functionOf, sinks } = indexOf(facts);
  const { kind } = facts.actions[at] ?? {};
  if (kind === 'effect') return true;
  if (attached.get(at)?.binding.direction === 'out') return true;
  const own = functionOf.get(at);
  const uses = own === undefined ? [] : (sinks.get(own) ?? []);
  const isRun = uses.some(({ to, reading }) => reading.how === 'called' && to !== 'read' && to !== 'result');
  return !isRun && uses.some((sink) => sink.to === 'attribute' && sink.binding.direction === 'out' && sink.reading.how === 'same');
}

/** Plain variables that show and are written later; while a component is set up nothing is shown yet. */
function plainWritten(component: Component): Unseen[] {
  const { facts } = component;
  const { areElements, rerender } = traitsOf(component);
  const isMadeAnew = rerender === 'component';
  // What a class extends that nobody sees may declare it as a property.
  if (areElements && component.contract.openness === 'open') return [];
  return facts.values.flatMap((value, index): Unseen[] => {
    if ((!value.plain && !value.unfollowed) || !shownIn(facts).has(String(index))) return [];
    const change = facts.actions
      .filter((action, at) => (isMadeAnew ? runsLater(facts, at) : action.kind !== 'lifecycle' && action.kind !== 'render'))
      .filter((action) => !value.unfollowed || setAlong(facts, action, index) === undefined)
      .flatMap((action) => action.changes)
      .find((one) => one.value === index && (one.how === 'assign' || value.unfollowed));
    return change ? [{ name: value.name, change: change.span, declared: value.span, how: 'plain' }] : [];
  });
}

/** Variables of the module that show and are written on what people do, where nothing else makes the component render. */
function ofModuleWritten(component: Component): Unseen[] {
  const { facts } = component;
  const { areElements, rerender } = traitsOf(component);
  if (!areElements && rerender !== 'component') return [];
  return facts.values.flatMap(({ kind, name, span }, index): Unseen[] => {
    if (kind !== 'module' || !shownAtAll(facts).has(index)) return [];
    const change = facts.actions
      .filter((action, at) => action.kind === 'handler' && runsLater(facts, at) && !mayRender(facts, action, index))
      .flatMap((action) => action.changes)
      .find((one) => one.value === index && one.how === 'assign');
    return change ? [{ name, change: change.span, declared: span, how: 'module' }] : [];
  });
}

/**
 * Fields of a part that is checked only when it is given something, or something happens in its markup: those that a timer,
 * a promise or what it subscribed to writes by itself.
 */
function behindCheck(component: Component): Unseen[] {
  const { facts } = component;
  if (!facts.memo || facts.checksByHand || !traitsOf(component).checksMarkup) return [];
  const shown = shownAtAll(facts);
  const own = new Set(
    facts.actions.flatMap(({ hears }) => hears.flatMap(({ channel, action }) => (channel.on === 'element' ? [] : (action ?? [])))),
  );
  return facts.values.flatMap(({ kind, name, span, observable }, index): Unseen[] => {
    if (kind !== 'state' || observable || !shown.has(index)) return [];
    const change = facts.actions
      // What is followed and set beside it has the part checked, and all of its fields with it.
      .filter(({ changes }) => !changes.some((one) => facts.values[one.value]?.observable && shown.has(one.value)))
      .flatMap(({ changes, late = [] }, at) => changes.filter((one) => own.has(at) || late.some((stretch) => contains(stretch, one.span))))
      .find((one) => one.value === index && one.how === 'assign');
    return change ? [{ name, change: change.span, declared: span, how: 'unchecked' }] : [];
  });
}

/** Something that an action does beside changing a value may make the component render: state it sets, or what others do. */
const mayRender = (facts: ComponentFacts, action: ActionFact, value: number): boolean =>
  setAlong(facts, action, value) !== undefined ||
  [action, ...action.calls.flatMap((call) => facts.actions[call] ?? [])].some(
    ({ raises, invokes, sends, changes }) =>
      raises.length > 0 || invokes.length > 0 || sends.length > 0 || changes.some((one) => one.value !== value),
  );

/** Another object is put in the place of the one that the markup follows. */
function replacedWhole({ facts }: Component): Unseen[] {
  return facts.values.flatMap(({ kind, name, span }, index): Unseen[] => {
    if (kind !== 'state' || !shownIn(facts).has(String(index))) return [];
    const change = facts.actions
      .filter((action) => action.kind !== 'lifecycle' && action.kind !== 'render')
      .flatMap((action) => action.changes)
      .find((one) => one.value === index && one.replaces);
    return change ? [{ name, change: change.span, declared: span, how: 'replaced' }] : [];
  });
}

/** A text of the markup says what a ref holds. */
function saysRef(facts: ComponentFacts, ref: number): boolean {
  let says = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind === 'text' && node.readings.some((one) => one.value === ref && one.path[0] === 'current')) says = true;
  });
  return says;
}

/** What a ref holds is shown, and written later by what sets no state: nothing renders because of it. */
function refsWritten(component: Component): Unseen[] {
  const { facts } = component;
  if (traitsOf(component).rerender !== 'component') return [];
  const { refs } = indexOf(facts);
  return facts.values.flatMap((value, index): Unseen[] => {
    const isShown = value.kind === 'ref' && value.from.length === 0 && !refs.has(index) && saysRef(facts, index);
    if (!isShown) return [];
    const writes = facts.actions.flatMap((action, at) =>
      action.kind !== 'effect' && runsLater(facts, at)
        ? action.changes.flatMap((change) => (change.value === index ? [{ action, change }] : []))
        : [],
    );
    const [first] = writes;
    // What sets state beside it renders the new content too.
    const isSeen = writes.some(({ action }) => setAlong(facts, action, index) !== undefined || action.invokes.length > 0);
    return first && !isSeen ? [{ name: value.name, change: first.change.span, declared: value.span, how: 'ref' }] : [];
  });
}

/** Members that were taken out of a reactive object, which shows them, and which changes them. */
function takenApart({ facts }: Component): Unseen[] {
  const found: Unseen[] = [];
  for (const [index, value] of facts.values.entries()) {
    if (value.kind !== 'state') continue;
    for (const member of value.destructured ?? []) {
      const isTaken = facts.values.some(
        ({ once, from: [only] }, at) => once && only?.value === index && only.path[0] === member && shownAtAll(facts).has(at),
      );
      if (!isTaken && !shownIn(facts).has(`${index}.${member}`)) continue;
      const change = facts.actions
        .flatMap((action) => action.changes)
        .find(
          (one) =>
            one.value === index && (one.path === undefined || (one.path.length === 1 && one.path[0] === member && one.order === undefined)),
        );
      if (change) found.push({ name: member, change: change.span, declared: value.span, how: 'apart' });
    }
  }
  return found;
}

/** A member of the store that a getter reads is changed. */
function isReadBy({ values, actions }: ModuleFacts, held: readonly Reading[], store: number, change: ChangeFact): boolean {
  return held.some(({ value }) =>
    actions[values[value]?.action ?? -1]?.reads.some(
      (reading) => reading.value === store && change.value === store && reading.path[0] === change.path?.[0],
    ),
  );
}

/** The state of a store that a component takes out of it, where the store tells its members. */
function storeApart(model: Model, { facts, file }: Component): (Unseen & { readonly there: Location })[] {
  return facts.values.flatMap((value: ValueFact, index): (Unseen & { readonly there: Location })[] => {
    if (value.kind !== 'hook' || !value.destructured || value.source === undefined) return [];
    const meant = model.named(file, value.source);
    const module = meant.kind === 'value' ? model.files.get(meant.file)?.module : undefined;
    const store =
      meant.kind === 'value' ? module?.values.findIndex((one) => one.name === meant.name && one.shape === 'factory') : undefined;
    const made = store === undefined ? undefined : module?.values[store];
    if (!module || !made || store === undefined || meant.kind !== 'value') return [];
    const there = meant.file;
    return value.destructured.flatMap((member): (Unseen & { readonly there: Location })[] => {
      if (!shownIn(facts).has(`${index}.${member}`)) return [];
      const held = made.from.filter((reading) => reading.held?.at[0] === member);
      const isState = held.some((reading) => module.values[reading.value]?.kind === 'state');
      const change = module.actions
        .flatMap((action) => action.changes)
        .find(
          (one) =>
            (one.value === store && one.path?.[0] === member) ||
            held.some((reading) => reading.value === one.value) ||
            isReadBy(module, held, store, one),
        );
      const isComputed = held.some((reading) => reading.path.includes('()') || module.values[reading.value]?.kind === 'derived');
      if (!change || (!isState && !isComputed && change.value !== store)) return [];
      return [{ name: member, change: value.span, declared: value.span, how: 'apart', there: locate(there, change.span) }];
    });
  });
}

/** Members that are taken out of what a function of the project gives, where a getter gives them anew each time that they are read. */
function gettersApart(model: Model, component: Component): (Unseen & { readonly there: Location })[] {
  const { facts, file } = component;
  if (!traitsOf(component).stateByName) return [];
  return facts.values.flatMap(({ kind, source, span, destructured = [] }, index): (Unseen & { readonly there: Location })[] => {
    const meant = kind === 'hook' && source !== undefined && destructured.length > 0 ? model.named(file, source) : undefined;
    if (meant?.kind !== 'hook') return [];
    const { values, actions, returns } = meant.fact;
    return destructured.flatMap((member): (Unseen & { readonly there: Location })[] => {
      if (!shownIn(facts).has(`${index}.${member}`)) return [];
      const getters = returns.filter((one) => one.held?.at[0] === member && one.path[0] === '()');
      const read = new Set(getters.flatMap((one) => actions[values[one.value]?.action ?? -1]?.reads.map((reading) => reading.value) ?? []));
      const change = actions.flatMap((action) => action.changes).find((one) => read.has(one.value) && one.how !== 'in-place');
      return change
        ? [{ name: member, change: span, declared: span, how: 'apart', from: 'getter', there: locate(meant.file, change.span) }]
        : [];
    });
  });
}

/** What a function of the project gives of a reactive object by its members, as it was then: whoever shows it is not told of a change. */
function givenApart(model: Model): Found[] {
  const callers = hookCallers(model);
  return [...model.files.values()].flatMap(({ file, shared }) =>
    shared.flatMap((hook): Found[] => {
      const users = hook.kind === 'hook' ? (callers.get(`${file}#${hook.name}`) ?? []) : [];
      if (hook.kind !== 'hook' || users.length === 0) return [];
      const changes = hook.actions.flatMap((action) => action.changes);
      return copiesGiven(hook).flatMap(({ member, state, part, span }): Found[] => {
        const user = users.find(
          (one) => one.fileRole === 'source' && traitsOf(one).storesComeApart && showsOf(model, one, file, hook.name, member),
        );
        const change = changes.find(
          (one) => one.value === state && one.order === undefined && one.path?.length === 1 && one.path[0] === part,
        );
        if (!user || !change) return [];
        return [
          toFound(
            user,
            { name: member, change: change.span, declared: span, how: 'apart', by: hook.name },
            locate(file, change.span),
            file,
          ),
        ];
      });
    }),
  );
}

type Copy = { readonly member: string; readonly state: number; readonly part: string; readonly span: Span };

/** Members of reactive objects that a function gives, each under the name that it gives it: taken out before, named in place, or all at once. */
function copiesGiven({ values, returns }: HookFact): Copy[] {
  const named = new Set(returns.flatMap(({ held }) => held?.at.slice(0, 1) ?? []));
  return returns.flatMap(({ value, path, span, held }): Copy[] => {
    const given = values[value];
    const [member, ...more] = held?.at ?? [];
    if (!given || more.length > 0) return [];
    if (member === undefined)
      return given.ofObject && path.length === 0 && held?.how === 'spread'
        ? (given.plainMembers ?? []).filter((one) => !named.has(one)).map((one) => ({ member: one, state: value, part: one, span }))
        : [];
    const [only, ...others] = given.once ? given.from : [];
    const reading = only && others.length === 0 && path.length === 0 ? only : { value, path };
    const [part, ...deeper] = reading.path;
    const state = values[reading.value];
    const isCopy =
      state?.kind === 'state' && state.ofObject && part !== undefined && deeper.length === 0 && state.plainMembers?.includes(part);
    return isCopy ? [{ member, state: reading.value, part, span: only ? given.span : span }] : [];
  });
}

/** Whether a component shows a member of what a function gives it. */
function showsOf(model: Model, { facts, file }: Component, home: FilePath, name: string, member: string): boolean {
  return facts.values.some(({ kind, source }, at) => {
    const meant = kind === 'hook' && source !== undefined ? model.named(file, source) : undefined;
    return meant?.kind === 'hook' && meant.file === home && meant.fact.name === name && shownIn(facts).has(`${at}.${member}`);
  });
}

/** The content of a store is taken, changed in place, and set as it is, if at all: the store holds the same as before. */
function contentsChanged(model: Model): Found[] {
  const sources = [...model.components.values()].filter(({ fileRole }) => fileRole === 'source');
  const bodies: { readonly file: FilePath; readonly body: Pick<ModuleFacts, 'values' | 'actions'>; readonly component?: Component }[] = [
    ...sources.map((component) => ({ file: component.file, body: component.facts, component })),
    ...[...model.files.values()].flatMap(({ file, module }) => (module ? [{ file, body: module }] : [])),
  ];
  return bodies.flatMap(({ file, body, component }) =>
    body.actions.flatMap(({ changes, invokes }): Found[] => {
      const change = changes.find((one) => one.how === 'in-place' && one.path?.[0] === '()');
      const value = change && body.values[change.value];
      if (!change || !value || changes.some((one) => one.value === change.value && one !== change && makesAnew(one))) return [];
      // Another member of the store that is called may tell of it.
      if (invokes.some((call) => call.value === change.value)) return [];
      const store = value.kind === 'store' ? { file, value } : storeNamed(model, file, value.source);
      if (store?.value.shape !== 'atom') return [];
      const owner = component ?? sources.find((one) => asksFor(model, one, file));
      if (!owner) return [];
      const at = locate(file, change.span);
      const declared = locate(store.file, store.value.span);
      const unseen = { name: store.value.name, change: change.span, declared: store.value.span, how: 'content' as const };
      return [
        {
          ...toFound(owner, unseen, at),
          evidence: [
            { at, text: `What ${value.name} holds is changed in place.` },
            { at: declared, text: `${value.name} tells of another value alone.` },
          ],
        },
      ];
    }),
  );
}

/** A change that puts something else into a store than what it holds. */
const makesAnew = ({ value, from, path }: ChangeFact): boolean =>
  path?.[0] !== '()' && (from.length === 0 || from.some((one) => one.held !== undefined || one.value !== value));

function storeNamed(
  model: Model,
  file: FilePath,
  name: string | undefined,
): { readonly file: FilePath; readonly value: ValueFact } | undefined {
  const meant = name === undefined ? undefined : model.named(file, name);
  const value = meant?.kind === 'value' ? model.files.get(meant.file)?.module?.values.find((one) => one.name === meant.name) : undefined;
  return meant?.kind === 'value' && value ? { file: meant.file, value } : undefined;
}

/** Reducers that change the state that they are handed and give it back: the same as before. */
function reducedInPlace(model: Model, component: Component): Found[] {
  const { facts, file } = component;
  return facts.values.flatMap(({ kind, name, reducer, span }): Found[] => {
    const meant = kind === 'state' && reducer !== undefined ? model.named(file, reducer) : undefined;
    const changer = meant?.kind === 'value' ? changerNamed(model, meant.file, meant.name, 0) : undefined;
    if (!changer?.returned || meant?.kind !== 'value') return [];
    const found = toFound(component, { name, change: changer.span, declared: span, how: 'reducer' }, locate(meant.file, changer.span));
    return [found];
  });
}

/** `home`: the file in which it is declared, where that is not the component's own. */
function toFound(component: Component, unseen: Unseen, there?: Location, home = component.file): Found {
  const { name, change, declared, how, along, shallow, collection, setter, from, byAlias, by } = unseen;
  const at = how !== 'apart' && there ? there : locate(home, how === 'apart' ? declared : change);
  return {
    rule: 'change-unseen',
    ...(along === undefined ? {} : { severity: 'risk' as const }),
    component: component.id,
    subject: name,
    at,
    words: {
      component: component.name,
      state: name,
      how,
      along: along ?? '',
      shallow: shallow ?? '',
      collection: collection ? 'yes' : '',
      setter: setter ?? '',
      from: from ?? '',
      alias: byAlias ? 'yes' : '',
      by: by ?? '',
    },
    evidence:
      how === 'apart'
        ? [
            { at, text: `${name} is taken out here, once.` },
            { at: there ?? locate(component.file, change), text: 'What it was taken from changes here.' },
          ]
        : [
            {
              at,
              text:
                how === 'in-place' || how === 'reducer' || how === 'handed' ? `${name} is changed in place.` : `${name} is written here.`,
            },
            {
              at: locate(component.file, declared),
              text:
                how === 'plain' || how === 'module'
                  ? `${name} is a plain variable${how === 'module' ? ' of the module' : ''}: nothing follows it.`
                  : how === 'unchecked'
                    ? `Nothing tells ${component.name} to check its markup.`
                    : how === 'handed'
                      ? `${by ?? ''} renders again only when it is given another one.`
                      : how === 'ref'
                        ? `${name} is a ref: nothing follows what it holds.`
                        : how === 'replaced'
                          ? `The page follows the object that ${name} is at first.`
                          : `${name} is state: only a new value is noticed.`,
            },
          ],
    touches: component.id,
  };
}

/** State is changed in a way that the framework does not notice. */
export const changeUnseen: Rule = {
  inComponent: (component) => {
    // Who asks for the markup anew by hand may do so after each change.
    if (component.facts.element?.rendersByHand) return [];
    return [
      ...changedInPlace(component),
      ...plainWritten(component),
      ...ofModuleWritten(component),
      ...behindCheck(component),
      ...replacedWhole(component),
      ...refsWritten(component),
      ...takenApart(component),
    ].map((unseen) => toFound(component, unseen));
  },
  inProject: ({ model }) => [
    ...contentsChanged(model),
    ...givenApart(model),
    ...[...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      const apart = traitsOf(component).storesComeApart ? storeApart(model, component) : [];
      const all = [...apart, ...gettersApart(model, component)];
      return [
        ...all.map((unseen) => toFound(component, unseen, unseen.there)),
        ...reducedInPlace(model, component),
        ...handedInPlace(model, component).map((unseen) => toFound(component, unseen)),
        ...(component.facts.element?.rendersByHand ? [] : ownPropInPlace(model, component)).map((unseen) => toFound(component, unseen)),
      ];
    }),
  ],
};
