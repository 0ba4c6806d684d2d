import type { ActionFact, ChangeFact, ComponentFacts, TemplateNode, ValueFact } from '../../model/facts';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { locate, type Location, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

/** What was not noticed: which value, where it changes, and where it should show. */
type Unseen = {
  readonly name: string;
  readonly change: Span;
  readonly declared: Span;
  readonly how: 'in-place' | 'plain' | 'apart';
  /** Another state that is set along with it, by which the page may catch up. */
  readonly along?: string;
};

const changesList = (change: ChangeFact): boolean => change.how === 'in-place';

/** Changes inside a list or an object that is held as state, without setting it anew in the same function. */
function changedInPlace({ facts, framework }: Component): Unseen[] {
  if (adapterOf(framework).traits.mutation === 'seen' && !facts.followsAssignment) return [];
  return facts.actions.flatMap((action) =>
    action.changes.filter(changesList).flatMap((change): Unseen[] => {
      const value = facts.values[change.value];
      if (value?.kind !== 'state' || value.shape !== undefined || setsOtherwise(facts, action, change.value)) return [];
      // Where assignments are followed, one to a member is one; a method that changes a list is none.
      if (facts.followsAssignment && change.order === undefined) return [];
      const along = setAlong(facts, action, change.value);
      return [{ name: value.name, change: change.span, declared: value.span, how: 'in-place', ...(along === undefined ? {} : { along }) }];
    }),
  );
}

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

/** The state is set, or its setter is handed on, by this function or by one it calls. */
function setsOtherwise({ values, actions }: ComponentFacts, action: ActionFact, state: number): boolean {
  const isSetter = (value: number): boolean => values[value]?.kind === 'setter' && values[value].partner === state;
  const does = (one: ActionFact | undefined): boolean =>
    one !== undefined &&
    (one.reads.some((reading) => isSetter(reading.value)) ||
      one.invokes.some((call) => isSetter(call.value)) ||
      one.changes.some((change) => change.value === state && change.how !== 'in-place'));
  return does(action) || action.calls.some((call) => does(actions[call]));
}

/** Values that the markup shows or decides by. */
const shownIn = remembered((facts: ComponentFacts): ReadonlySet<string> => {
  const shown = new Set<string>();
  const note = (readings: Extract<TemplateNode, { kind: 'text' }>['readings']): void => {
    for (const reading of readings) {
      shown.add(String(reading.value));
      if (reading.path[0] !== undefined) shown.add(`${reading.value}.${reading.path[0]}`);
    }
  };
  walkTemplate(facts.template, (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') note(node.readings);
    else if (node.kind !== 'outlet') for (const binding of node.bindings) if (binding.direction === 'in') note(binding.readings);
  });
  return shown;
});

/** Plain variables that show and are written later; while a component is set up nothing is shown yet. */
function plainWritten({ facts }: Component): Unseen[] {
  return facts.values.flatMap((value, index): Unseen[] => {
    if (!value.plain || !shownIn(facts).has(String(index))) return [];
    const change = facts.actions
      .filter((action) => action.kind !== 'lifecycle' && action.kind !== 'render')
      .flatMap((action) => action.changes)
      .find((one) => one.value === index && one.how === 'assign');
    return change ? [{ name: value.name, change: change.span, declared: value.span, how: 'plain' }] : [];
  });
}

/** Members that were taken out of a reactive object, which shows them, and which changes them. */
function takenApart({ facts }: Component): Unseen[] {
  const found: Unseen[] = [];
  for (const [index, value] of facts.values.entries()) {
    if (value.kind !== 'state') continue;
    for (const member of value.destructured ?? []) {
      if (!shownIn(facts).has(`${index}.${member}`)) continue;
      const change = facts.actions
        .flatMap((action) => action.changes)
        .find((one) => one.value === index && (one.path === undefined || one.path[0] === member));
      if (change) found.push({ name: member, change: change.span, declared: value.span, how: 'apart' });
    }
  }
  return found;
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
        .find((one) => (one.value === store && one.path?.[0] === member) || held.some((reading) => reading.value === one.value));
      if (!change || (!isState && change.value !== store)) return [];
      return [{ name: member, change: value.span, declared: value.span, how: 'apart', there: locate(there, change.span) }];
    });
  });
}

function toFound(component: Component, { name, change, declared, how, along }: Unseen, there?: Location): Found {
  const at = locate(component.file, how === 'apart' ? declared : change);
  return {
    rule: 'change-unseen',
    ...(along === undefined ? {} : { severity: 'risk' as const }),
    component: component.id,
    subject: name,
    at,
    words: { component: component.name, state: name, how, along: along ?? '' },
    evidence:
      how === 'apart'
        ? [
            { at, text: `${name} is taken out here, once.` },
            { at: there ?? locate(component.file, change), text: 'What it was taken from changes here.' },
          ]
        : [
            { at, text: how === 'plain' ? `${name} is written here.` : `${name} is changed in place.` },
            {
              at: locate(component.file, declared),
              text: how === 'plain' ? `${name} is a plain variable: nothing follows it.` : `${name} is state: only a new value is noticed.`,
            },
          ],
    touches: component.id,
  };
}

/** State is changed in a way that the framework does not notice. */
export const changeUnseen: Rule = {
  inComponent: (component) =>
    [...changedInPlace(component), ...plainWritten(component), ...takenApart(component)].map((unseen) => toFound(component, unseen)),
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) =>
      traitsOf(component).storesComeApart && component.fileRole === 'source'
        ? storeApart(model, component).map((unseen) => toFound(component, unseen, unseen.there))
        : [],
    ),
};
