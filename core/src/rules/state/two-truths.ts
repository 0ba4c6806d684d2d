import type { BodyFacts, ChangeFact, OriginFact, Reading } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { type FilePath, locate, type Location } from '../../model/span';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

/** A state that keeps its own copy of something asked for outside. */
type Copy = { readonly origin: OriginFact; readonly state: number; readonly name: string; readonly span: { start: number; end: number } };

/** Only what is asked for by the same words is the same. */
const isNamed = ({ kind, what }: OriginFact): boolean =>
  (kind === 'fetch' && /^(\w+ )?[\w./:-]*\/[\w./:?=&-]*$/.test(what)) ||
  (kind === 'storage' && /^[\w.:/-]+$/.test(what) && !/Storage\b/.test(what)) ||
  // A method of the server, by its class.
  (kind === 'query' && /^[A-Z]\w*\.\w+$/.test(what));

const copiesIn = remembered((body: BodyFacts): readonly Copy[] =>
  body.values.flatMap((value, state): Copy[] => {
    // What a wire gives is shown as it came.
    if (value.kind === 'fetched' && value.origin?.kind === 'query' && isNamed(value.origin))
      return [{ origin: value.origin, state, name: value.name, span: value.span }];
    if (value.kind !== 'state' || value.shape !== undefined) return [];
    const sources = [
      ...value.from,
      ...body.actions.flatMap((action) => action.changes.flatMap((change) => (change.value === state ? change.from : []))),
    ];
    const origin =
      sources.map((reading) => originOf(body, reading.value, 4)).find((one) => one !== undefined && isNamed(one)) ?? askedBy(body, state);
    return origin ? [{ origin, state, name: value.name, span: value.span }] : [];
  }),
);

/** A state that is set to what a function gives that is asked for an address: `loans = await get('/loans')`. */
function askedBy(body: BodyFacts, state: number): OriginFact | undefined {
  for (const action of body.actions)
    for (const change of action.changes) {
      const called =
        change.value === state ? change.from.find((one) => one.how === 'called' && body.values[one.value]?.kind === 'module') : undefined;
      const invoke =
        called &&
        action.invokes.find((one) => one.value === called.value && one.span.start >= change.span.start && one.span.end <= change.span.end);
      const address = /^['"`](\/[\w./:-]+)['"`]$/.exec(invoke?.args[0]?.constant ?? '')?.[1];
      const name = called && body.values[called.value]?.source;
      if (address !== undefined && name !== undefined) return { kind: 'fetch', what: `${name} ${address}` };
    }
  return undefined;
}

/** States that are set to what a function of the project gives that asks for something outside by the same words each time. */
function askedByFunctions(model: Model, { facts, file }: Component): Copy[] {
  return facts.values.flatMap(({ kind, shape, name, span }, state): Copy[] => {
    if (kind !== 'state' || shape !== undefined) return [];
    const calledIn = (from: readonly Reading[]): number | undefined => {
      const called = new Set(
        from.flatMap((one) => (one.how === 'called' && facts.values[one.value]?.kind === 'module' ? [one.value] : [])),
      );
      const [only] = called;
      return called.size === 1 ? only : undefined;
    };
    const asked = (called: number | undefined): Copy[] => {
      const held = called === undefined ? undefined : facts.values[called];
      const origin = held?.kind === 'module' && held.origin ? held.origin : requestOf(model, file, held?.source);
      return origin ? [{ origin, state, name, span }] : [];
    };
    for (const { changes, invokes } of facts.actions)
      for (const { value, from } of changes) {
        const called = value === state ? calledIn(from) : undefined;
        const isPlain = called !== undefined && invokes.some((one) => one.value === called && one.args.length === 0);
        const found = isPlain ? asked(called) : [];
        if (found.length > 0) return found;
      }
    return facts.element || facts.selected ? asked(calledIn(facts.values[state]?.from ?? [])) : [];
  });
}

/** What a function of a module asks for, where that is one thing. */
function requestOf(model: Model, file: FilePath, name: string | undefined): OriginFact | undefined {
  const meant = name === undefined ? undefined : model.named(file, name);
  const module = meant?.kind === 'value' ? model.files.get(meant.file)?.module : undefined;
  const action = module?.values.find((one) => one.kind === 'function' && meant?.kind === 'value' && one.name === meant.name)?.action;
  const reads = action === undefined ? [] : (module?.actions[action]?.reads ?? []);
  const origins = reads.flatMap(({ value }) => module?.values[value]?.origin ?? []).filter(isNamed);
  return origins.every((one) => one.what === origins[0]?.what) ? origins[0] : undefined;
}

function originOf(body: BodyFacts, value: number, depth: number): OriginFact | undefined {
  const facts = body.values[value];
  if (facts?.origin) return facts.origin;
  if (depth === 0 || (facts?.kind !== 'derived' && facts?.kind !== 'param')) return undefined;
  return facts.from.map((reading) => originOf(body, reading.value, depth - 1)).find((one) => one !== undefined);
}

/** Whether the component changes its copy by itself, so that the other cannot know. */
function changesIt(body: BodyFacts, copy: Copy): boolean {
  return body.actions.some((action) =>
    action.changes.some(
      (change) =>
        (change.value === copy.state &&
          // What is put beside what was there is no copy made anew.
          (change.from.some(({ value }) => value === copy.state) ||
            change.from.every((reading) => originOf(body, reading.value, 4) === undefined))) ||
        ((change.path?.length ?? 0) > 0 && isItemOf(body, change.value, copy.state)),
    ),
  );
}

/** Whether a value is one item of a state: of a loop over it, or what a function is handed that is called with such a one. */
function isItemOf(body: BodyFacts, value: number, state: number): boolean {
  const held = body.values[value];
  if (held?.kind === 'item') return held.from.some((one) => one.value === state && one.how === 'item');
  if (held?.kind !== 'param' || held.of === undefined) return false;
  return body.actions.some(({ invokes }) =>
    invokes.some(
      (call) =>
        body.values[call.value]?.action === held.of &&
        (call.args[held.position ?? 0]?.readings ?? []).some(
          (one) => one.how === 'same' && body.values[one.value]?.kind === 'item' && isItemOf(body, one.value, state),
        ),
    ),
  );
}

type Kept = { readonly copy: Copy; readonly body: BodyFacts; readonly at: Location };

const hooksIn = remembered((body: BodyFacts) => body.values.filter((value) => value.kind === 'hook'));

/** The copies that a component keeps, by itself or through hooks of the project. */
function copiesOf(model: Model, component: Component): Kept[] {
  const own = [...copiesIn(component.facts), ...askedByFunctions(model, component)].map((copy) => ({
    copy,
    body: component.facts,
    at: locate(component.file, copy.span),
  }));
  const through = hooksIn(component.facts).flatMap((value): Kept[] => {
    if (value.source === undefined) return [];
    const meant = model.named(component.file, value.source);
    if (meant.kind !== 'hook') return [];
    return copiesIn(meant.fact).map((copy) => ({ copy, body: meant.fact, at: locate(component.file, value.span) }));
  });
  return [...own, ...through];
}

type Holder = { readonly component: Component; readonly kept: Kept };

/** Two components of one page keep separate copies of the same thing, and one of them changes its own. */
export const twoTruths: Rule = {
  inProject: ({ model, pages }) => {
    const holders = new Map<string, Holder[]>();
    for (const component of model.components.values()) {
      if (component.fileRole !== 'source' || component.role !== 'component') continue;
      for (const kept of copiesOf(model, component)) {
        const key = `${kept.copy.origin.kind} ${kept.copy.origin.what}`;
        const known = holders.get(key);
        if (known) known.push({ component, kept });
        else holders.set(key, [{ component, kept }]);
      }
    }
    const apart = [...holders.values()].flatMap((all): Found[] => {
      if (all.length < 2 || !all.some(({ kept }) => changesIt(kept.body, kept.copy))) return [];
      const pair = onOnePage(all, pages.together);
      if (!pair) return [];
      const [first, second, page] = pair;
      const { what: asked, kind } = first.kept.copy.origin;
      const what = asked.replace(/^\w+ /, '');
      return [
        {
          rule: 'two-truths',
          component: second.component.id,
          subject: what,
          at: second.kept.at,
          words: { what, first: first.component.name, second: second.component.name, page, kind: kind === 'fetch' ? 'asks for' : 'reads' },
          evidence: [
            { at: second.kept.at, text: `${second.component.name} keeps its own copy of ${what}.` },
            { at: first.kept.at, text: `So does ${first.component.name}.` },
          ],
          touches: second.component.id,
          pages: [page],
        },
      ];
    });
    return [
      ...apart,
      ...[...model.components.values()].flatMap((component) => [...storeCopies(model, component), ...stateCopies(component)]),
    ];
  },
};

/** Names of what is to differ from where it came from: what is being edited, or what was there before. */
const meantApart = /^(?:draft|edit|pending|temp|tmp|initial|original|saved|prev|previous|last|old|local|form|new|next)/i;

/** States of a component that start from another one of it, while both are changed apart from each other. */
function stateCopies(component: Component): Found[] {
  const { values, actions, openness, mixins = [], bases = [], undeclared = [] } = component.facts;
  if (component.fileRole !== 'source' || component.role !== 'component' || component.facts.element) return [];
  // What comes with another one may stand beside the state that is read, and is not seen there.
  if (openness === 'open' || mixins.length + bases.length + undeclared.length > 0) return [];
  const changesOf = (state: number): ChangeFact[] => actions.flatMap(({ changes }) => changes.filter(({ value }) => value === state));
  return values.flatMap((copy, index): Found[] => {
    const [only, ...more] = copy.from;
    const source = only && values[only.value];
    const isCopy = only !== undefined && more.length === 0 && !only.held && only.path.length === 0 && /^(?:same|spread)$/.test(only.how);
    if (copy.kind !== 'state' || copy.shape !== undefined || !isCopy || source?.kind !== 'state' || source.shape !== undefined) return [];
    if (meantApart.test(copy.name) || meantApart.test(source.name)) return [];
    const [ofCopy, ofSource] = [changesOf(index), changesOf(only.value)];
    const [first] = ofCopy;
    const [second] = ofSource;
    const reads = (readings: readonly Reading[], state: number): boolean => readings.some(({ value }) => value === state);
    const isSynced =
      ofCopy.some(({ from }) => reads(from, only.value)) ||
      actions.some(({ follows = [], changes }) => reads(follows, only.value) && changes.some(({ value }) => value === index));
    // A draft goes back, or up to who uses the component; and who else can set it cannot be seen.
    const goesOn =
      ofSource.some(({ from }) => reads(from, index)) ||
      actions.some(({ raises, invokes }) =>
        [...raises, ...invokes].some(({ args = [] }) => args.some((arg) => reads(arg.readings, index))),
      ) ||
      values.some(
        ({ kind, partner }, at) =>
          kind === 'setter' &&
          partner === index &&
          actions.some(({ reads: all }) => all.some((one) => one.value === at && one.how !== 'called')),
      );
    if (!first || !second || isSynced || goesOn) return [];
    const at = locate(component.file, copy.span);
    return [
      {
        rule: 'two-truths',
        component: component.id,
        subject: copy.name,
        at,
        words: { what: source.name, first: source.name, second: component.name, page: '', kind: 'copies-state', copy: copy.name },
        evidence: [
          { at, text: `${copy.name} starts from ${source.name}.` },
          { at: locate(component.file, second.span), text: `${source.name} is changed here, and ${copy.name} is not.` },
          { at: locate(component.file, first.span), text: `${copy.name} is changed here, and ${source.name} is not.` },
        ],
        touches: component.id,
      },
    ];
  });
}

/** States that start from a store, and are changed by the component while the store is changed elsewhere. */
function storeCopies(model: Model, component: Component): Found[] {
  if (component.fileRole !== 'source' || component.role !== 'component') return [];
  const { values, actions } = component.facts;
  return values.flatMap((state, index): Found[] => {
    if (state.kind !== 'state' || state.shape !== undefined) return [];
    const start = state.from.find(
      ({ value, how }) => (how === 'same' || how === 'part') && storeMeant(model, component, value) !== undefined,
    );
    const store = start && storeMeant(model, component, start.value);
    if (!start || !store || !isWritten(model, store)) return [];
    const touching = (one: { readonly value: number }): boolean => one.value === start.value;
    // What is changed within it is changed in the store, which is the same object.
    const changes = actions.flatMap((action) =>
      action.changes.filter(({ value, path = [], how }) => value === index && path.length === 0 && how !== 'in-place'),
    );
    // What is called whenever the store is another keeps the state in step with it.
    const told = new Set(actions.flatMap(({ hears }) => hears.flatMap(({ action }) => action ?? [])));
    const isFollowed =
      changes.some((change) => change.from.some(touching)) ||
      actions.some((action, at) => told.has(at) && action.changes.some((change) => changes.includes(change)));
    // A draft goes back: into the store, by a function of its module, or up to who uses the component.
    const isDraft = (readings: readonly Reading[]): boolean => readings.some(({ value }) => value === index);
    const goesBack = actions.some(
      (action) =>
        action.changes.some((one) => ofModule(model, component, one.value) === store.file && isDraft(one.from)) ||
        action.invokes.some(
          (one) => ofModule(model, component, one.value) === store.file && one.args.some((arg) => isDraft(arg.readings)),
        ) ||
        action.raises.some((one) => (one.args ?? []).some((arg) => isDraft(arg.readings))),
    );
    const [change] = changes;
    if (!change || isFollowed || goesBack) return [];
    const what = start.path.length > 0 ? start.path.join('.') : store.name;
    const at = locate(component.file, state.span);
    return [
      {
        rule: 'two-truths',
        component: component.id,
        subject: state.name,
        at,
        words: {
          what: start.path.length > 0 ? `${what} of ${store.name}` : what,
          first: store.name,
          second: component.name,
          page: '',
          kind: 'copies',
        },
        evidence: [
          { at, text: `${component.name} starts ${state.name} from ${store.name}.` },
          { at: locate(component.file, change.span), text: `${component.name} changes ${state.name}.` },
          { at: store.written, text: `${store.name} is changed here.` },
        ],
        touches: component.id,
      },
    ];
  });
}

/** The file of the module that declares what a value of a component stands for. */
function ofModule(model: Model, component: Component, index: number): string | undefined {
  const source = component.facts.values[index]?.source;
  const meant = source === undefined ? undefined : model.named(component.file, source);
  return meant?.kind === 'value' ? meant.file : undefined;
}

type MeantStore = { readonly file: string; readonly name: string; readonly written: Location };

/** The store of a module that a value of a component stands for, where functions of that module change it. */
function storeMeant(model: Model, component: Component, index: number): MeantStore | undefined {
  const value = component.facts.values[index];
  if (!value || !['module', 'hook', 'store'].includes(value.kind) || value.source === undefined) return undefined;
  const meant = model.named(component.file, value.source);
  const module = meant.kind === 'value' ? model.files.get(meant.file)?.module : undefined;
  if (meant.kind !== 'value' || !module) return undefined;
  const store = module.values.findIndex((one) => one.kind === 'store' && one.name === meant.name);
  const change = module.actions.flatMap((action) => action.changes).find((one) => one.value === store);
  const written = change ? locate(meant.file, change.span) : writtenByUsers(model, meant);
  return store >= 0 && written ? { file: meant.file, name: meant.name, written } : undefined;
}

/** Where a component writes to a member of a store that it takes. */
function writtenByUsers(model: Model, store: { readonly file: string; readonly name: string }): Location | undefined {
  for (const { facts, file } of model.components.values())
    for (const action of facts.actions)
      for (const change of action.changes) {
        const value = facts.values[change.value];
        const isOfStore = (value?.kind === 'hook' && change.path !== undefined) || value?.kind === 'module';
        const meant = isOfStore && value?.source !== undefined ? model.named(file, value.source) : undefined;
        if (meant?.kind === 'value' && meant.file === store.file && meant.name === store.name) return locate(file, change.span);
      }
  return undefined;
}

/** Whether something of the project changes a store: a function of its module that is used anywhere. */
const isWritten = (model: Model, store: MeantStore): boolean =>
  [...model.files.values()].some(({ file, imports }) =>
    imports.some((one) => {
      const meant = one.typeOnly ? undefined : model.named(file, one.local);
      return meant?.kind === 'value' && meant.file === store.file;
    }),
  );

function onOnePage(
  all: readonly Holder[],
  together: (a: ComponentId, b: ComponentId) => string | undefined,
): [Holder, Holder, string] | undefined {
  for (const [index, first] of all.entries())
    for (const second of all.slice(index + 1)) {
      const page = first.component === second.component ? undefined : together(first.component.id, second.component.id);
      if (page !== undefined) return [first, second, page];
    }
  return undefined;
}
