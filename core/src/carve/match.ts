import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import { counted, listed } from '../rules/shared/sentences';
import { bareEvent, isCallback, memberLabel } from './member-names';
import type { Skeleton, SkeletonPart } from './skeleton';
import { callbackName, camelCase } from '../write/case';
import { plannedRendered, renderedBy, renderLikeness, signWeights } from './rendered';

type How = 'by name' | 'by what it renders' | 'by contract';

/** How a planned part stands in the code. */
export type PartMatch = {
  readonly part: string;
  /** By its name, by what it renders or a contract that fit no other part as well, or not at all. */
  readonly found: How | 'missing';
  readonly component?: ComponentId;
  readonly componentName: string;
  /** How alike is what both render themselves, 0 to 1; absent for a part of a picture. */
  readonly alike?: number;
  /** For a missing part, the component that is most alike in what it renders; absent where none is so by a third. */
  readonly near?: { readonly component: ComponentId; readonly name: string; readonly alike: number };
  /** What differs, in sentences; empty where plan and code agree. */
  readonly differs: readonly string[];
};

export type PlanMatch = {
  readonly parts: readonly PartMatch[];
  /** Components of the project that the plan does not have. */
  readonly unplanned: readonly { readonly component: ComponentId; readonly name: string }[];
};

/** The name under which an event is compared: `select` and `onSelect` are one, and so are `onselect` and `level-change`. */
const eventName = (name: string): string => callbackName(camelCase(bareEvent(name)));

type Contract = {
  readonly props: ReadonlySet<string>;
  readonly events: ReadonlySet<string>;
  readonly holds: ReadonlySet<string>;
  readonly lives: ReadonlySet<string>;
};

function planned(part: SkeletonPart): Contract {
  return {
    props: new Set([...part.props.filter((prop) => !isCallback(prop.name)).map((prop) => prop.name), ...part.slots]),
    events: new Set([
      ...part.events.map((event) => eventName(event.name)),
      ...part.props
        .map((prop) => prop.name)
        .filter(isCallback)
        .map(eventName),
    ]),
    holds: new Set(part.uses),
    lives: new Set(part.state.map((one) => one.name)),
  };
}

function written(model: Model, component: Component): Contract {
  // What it only lets through to others is theirs.
  const props = [...component.contract.members.values()].filter((prop) => prop.taken || prop.required !== 'unknown');
  const uses = model.usesBy.get(component.id) ?? [];
  return {
    props: new Set(props.filter((prop) => prop.kind !== 'callback' && !isCallback(prop.name)).map(memberLabel)),
    events: new Set(props.filter((prop) => prop.kind === 'callback' || isCallback(prop.name)).map((prop) => eventName(prop.name))),
    holds: new Set(uses.flatMap((use) => (use.target.kind === 'component' ? (model.components.get(use.target.id)?.name ?? []) : []))),
    lives: new Set(component.facts.values.filter((value) => value.kind === 'state').map((value) => value.name)),
  };
}

/** Shared names by all names; contracts without any name are not alike. */
function alike(one: Contract, other: Contract): number {
  const all = (contract: Contract): string[] => [...contract.props, ...contract.events, ...[...contract.holds].map((name) => `<${name}>`)];
  const left = new Set(all(one));
  const right = new Set(all(other));
  const both = [...left].filter((name) => right.has(name)).length;
  const either = new Set([...left, ...right]).size;
  return either < 2 ? 0 : both / either;
}

const alikeEnough = 0.6;
/** So much of what it renders makes a part and a component one; so much makes the component worth a look. */
const rendersEnough = 0.5;
const nearFrom = 0.33;

/** Components that can be parts: those of the source, neither tests nor the markup that mounts them. */
function candidates(model: Model): Component[] {
  return [...model.components.values()].filter((one) => one.fileRole === 'source' && one.role !== 'root' && one.role !== 'route');
}

/**
 * Compares a plan with a project: which parts exist, by name, by what they render or by a contract that
 * fits, and in what they differ. Several components of one name: the one that fits best in both is meant.
 */
export function matchPlan(skeleton: Skeleton, model: Model): PlanMatch {
  const components = candidates(model);
  const taken = new Set<ComponentId>();
  const chosen = new Map<SkeletonPart, { component: Component; found: How }>();
  const contracts = new Map(components.map((component) => [component, written(model, component)]));
  const rendered = new Map(components.map((component) => [component, renderedBy(model, component)]));
  const weight = signWeights([...rendered.values()]);
  const looks = new Map(skeleton.parts.map((part) => [part, plannedRendered(part)]));
  const nothing = new Map<string, number>();
  const looksLike = (part: SkeletonPart, component: Component): number =>
    renderLikeness(looks.get(part) ?? nothing, rendered.get(component) ?? nothing, weight);
  const takes = (part: SkeletonPart, component: Component): number =>
    alike(planned(part), contracts.get(component) ?? written(model, component));
  const choose = (part: SkeletonPart, component: Component, found: How): void => {
    chosen.set(part, { component, found });
    taken.add(component.id);
  };
  for (const part of skeleton.parts) {
    const named = components
      .filter((component) => component.name === part.name && !taken.has(component.id))
      .sort((a, b) => takes(part, b) + looksLike(part, b) - takes(part, a) - looksLike(part, a))[0];
    if (named) choose(part, named, 'by name');
  }
  // The surest pairs first: a part that is much like two components is the one that no other part is liker.
  const pairs = skeleton.parts
    .filter((part) => !chosen.has(part))
    .flatMap((part) =>
      components.flatMap((component) => {
        const [look, contract] = [looksLike(part, component), takes(part, component)];
        const isFound = look >= rendersEnough || contract >= alikeEnough;
        return isFound ? [{ part, component, look, contract, worth: look + contract * 0.5 }] : [];
      }),
    )
    .sort((a, b) => b.worth - a.worth);
  for (const { part, component, look } of pairs)
    if (!chosen.has(part) && !taken.has(component.id))
      choose(part, component, look >= rendersEnough ? 'by what it renders' : 'by contract');
  const nearest = (part: SkeletonPart): Pick<PartMatch, 'near'> => {
    const best = components
      .map((component) => ({ component: component.id, name: component.name, alike: looksLike(part, component) }))
      .reduce<PartMatch['near']>((most, one) => (one.alike > (most?.alike ?? nearFrom) ? one : most), undefined);
    return best ? { near: best } : {};
  };
  const nameInCode = new Map([...chosen].map(([part, { component }]) => [part.name, component.name]));
  return {
    parts: skeleton.parts.map((part): PartMatch => {
      const match = chosen.get(part);
      if (!match) return { part: part.name, found: 'missing', componentName: '', differs: [], ...nearest(part) };
      return {
        part: part.name,
        found: match.found,
        component: match.component.id,
        componentName: match.component.name,
        ...((looks.get(part)?.size ?? 0) > 0 ? { alike: looksLike(part, match.component) } : {}),
        differs: differences(part, match.component, model, nameInCode, chosen),
      };
    }),
    unplanned: components
      .filter((component) => !taken.has(component.id))
      .map((component) => ({ component: component.id, name: component.name })),
  };
}

const without = (one: ReadonlySet<string>, other: ReadonlySet<string>): string[] => [...one].filter((name) => !other.has(name));

function differences(
  part: SkeletonPart,
  component: Component,
  model: Model,
  nameInCode: ReadonlyMap<string, string>,
  chosen: ReadonlyMap<SkeletonPart, { component: Component }>,
): string[] {
  const plan = planned(part);
  const code = written(model, component);
  const says: string[] = [];
  const isOpen = component.contract.openness === 'open';
  const missing = isOpen ? [] : without(plan.props, code.props);
  const more = without(code.props, plan.props);
  if (missing.length > 0) says.push(`The code does not take ${listed(missing)}.`);
  if (more.length > 0) says.push(`The code takes ${listed(more)}, which the plan does not have.`);
  const silent = isOpen ? [] : without(plan.events, code.events);
  const loud = without(code.events, plan.events);
  if (silent.length > 0) says.push(`The code does not tell its owner ${listed(silent)}.`);
  if (loud.length > 0) says.push(`The code tells its owner ${listed(loud)}, which the plan does not have.`);
  const holds = new Set([...plan.holds].map((name) => nameInCode.get(name) ?? name));
  const gone = without(holds, code.holds);
  const extra = without(code.holds, holds).filter((name) => [...nameInCode.values()].includes(name));
  if (gone.length > 0) says.push(`In the code it does not hold ${listed(gone)}.`);
  if (extra.length > 0) says.push(`In the code it also holds ${listed(extra)}.`);
  for (const name of without(plan.lives, code.lives)) {
    const elsewhere = [...chosen.values()].find((one) =>
      one.component.facts.values.some((value) => value.kind === 'state' && value.name === name),
    );
    says.push(elsewhere ? `${name} lives in ${elsewhere.component.name}, not here.` : `${name} does not live here.`);
  }
  return says;
}

/** One sentence about the whole: how many parts were found, and whether plan and code agree. */
export function matchWords({ parts, unplanned }: PlanMatch): string {
  const missing = parts.filter((part) => part.found === 'missing').length;
  const differing = parts.filter((part) => part.differs.length > 0).length;
  const also = unplanned.length > 0 ? ` The project has ${counted(unplanned.length, 'component')} more.` : '';
  if (missing === 0 && differing === 0) return `All ${counted(parts.length, 'part')} are in the code as planned.${also}`;
  return `Of ${counted(parts.length, 'part')}, ${missing === 0 ? 'none is' : missing === 1 ? 'one is' : `${missing} are`} missing and ${differing === 0 ? 'none differs' : differing === 1 ? 'one differs' : `${differing} differ`}.${also}`;
}
