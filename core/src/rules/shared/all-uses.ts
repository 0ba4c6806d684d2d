import { type KnownUse, isPlain } from '../../contract';

import type { BodyFacts } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { remembered } from '../../model/remembered';
import type { Check } from '../rule';

/** Components of the application's own source that a user may change freely: no stand-ins, no library surface. */
export function ownComponents(model: Model): Component[] {
  return [...model.components.values()].filter((one) => one.role === 'component' && one.fileRole === 'source' && !one.isPublic);
}

/** A component asks itself for a member that it does not declare: perhaps by mistake, and no choice that it offers. */
export const isOnlyAsked = ({ facts }: Component, member: string): boolean =>
  facts.undeclared?.some(({ name, mayBeGiven }) => mayBeGiven && name === member) ?? false;

const keptValues = new WeakMap<Model, ReadonlySet<string>>();

/** Names of the module, as components have them, that a body holds as values. */
const heldNames = remembered((body: BodyFacts): readonly string[] =>
  body.values.flatMap((value) =>
    value.kind === 'module' && value.source !== undefined && /^[A-Z]/.test(value.source) ? [value.source] : [],
  ),
);

/** Components that some code of a component or a hook holds as a value: it may render them with whatever it likes. */
function asValues(model: Model): ReadonlySet<string> {
  const known = keptValues.get(model);
  if (known) return known;
  const found = new Set<string>();
  for (const facts of model.files.values())
    for (const body of [...facts.components, ...facts.shared.filter((one) => one.kind === 'hook'), ...(facts.module ? [facts.module] : [])])
      for (const name of heldNames(body)) {
        const meant = model.named(facts.file, name);
        if (meant.kind === 'component') found.add(meant.id);
      }
  keptValues.set(model, found);
  return found;
}

/**
 * The uses of a component where all of them and all that they give can be seen; undefined where it
 * is handed on as a value, wrapped, cloned, spread over, or used by nothing.
 */
export function allUses(check: Check, component: Component): readonly KnownUse[] | undefined {
  const kept = keptUses.get(check) ?? new Map<Component, readonly KnownUse[] | undefined>();
  keptUses.set(check, kept);
  if (!kept.has(component)) kept.set(component, findUses(check, component));
  return kept.get(component);
}

/** Several rules ask for the same uses. */
const keptUses = new WeakMap<Check, Map<Component, readonly KnownUse[] | undefined>>();

function findUses({ model, usesOf }: Check, component: Component): readonly KnownUse[] | undefined {
  const known = usesOf(component.id);
  if (asValues(model).has(component.id)) return undefined;
  if (known.length === 0 || component.facts.wrappedBy.length > 0) return undefined;
  const all = (model.usesOf.get(component.id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source');
  const isSeen = (one: KnownUse): boolean => isPlain(one) && !one.inContentOfCloner && !one.owner.facts.clones;
  return all.length === known.length && known.every(isSeen) ? known : undefined;
}

/**
 * A function whose answers are kept for as long as a component and all that is known of its uses stay
 * the same; for what follows from these alone.
 */
export function rememberedByUses<Answer>(
  make: (component: Component, uses: readonly KnownUse[]) => Answer,
): (component: Component, uses: readonly KnownUse[]) => Answer {
  const kept = new WeakMap<Component, { readonly uses: readonly KnownUse[]; readonly answer: Answer }>();
  return (component, uses) => {
    const known = kept.get(component);
    if (known && known.uses.length === uses.length && known.uses.every((one, at) => one === uses[at])) return known.answer;
    const answer = make(component, uses);
    kept.set(component, { uses, answer });
    return answer;
  };
}

/** The names of the components that own some uses, each once, in the order of the uses. */
export function ownersOf(uses: readonly KnownUse[]): string[] {
  return [...new Set(uses.map(({ owner }) => owner.name))];
}
