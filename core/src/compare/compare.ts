import type { Finding } from '../model/finding';
import { bindingFor, memberKeyOf } from '../model/given';
import type { ComponentId } from '../model/ids';
import { bareEvent, propKey } from '../model/member';
import type { Component, Use } from '../model/model';
import { covers, type Location } from '../model/span';
import { unpairedSince } from '../rules';
import { type ContractChange, contractChanges, type Texts } from './contract';
import { callsOtherHooks } from './hooks';
import { matchComponents, type Pair } from './match';
import { componentAt, type Side, sourceOf } from './side';
import { type Answers, type Standing, standingOf, tracedBoth } from './ways';

export type Status = 'same' | 'changed' | 'renamed' | 'moved' | 'new' | 'gone';

/** A component in both versions, and what became of it. */
export type ComparedComponent = {
  readonly before?: Component;
  readonly after?: Component;
  readonly status: Status;
  /**
   * For the same inputs it shows and raises what it did, as far as can be read, and all who use it
   * still meet it; absent for what is new or gone.
   */
  readonly holds?: boolean;
  /** It is written in another form (another framework, a class as a function), with the contract that it had. */
  readonly rewritten: boolean;
  /** How alike the sources are, 0 to 1. */
  readonly alike: number;
  readonly contract: readonly ContractChange[];
};

/** A value that goes elsewhere than it did. */
export type ComparedWay = { readonly of: string; readonly lost: readonly Standing[]; readonly gained: readonly Standing[] };

/** Who answers for a context, before and after; null where nobody does, undefined where it is not asked for. */
export type ComparedAnswer = Standing & {
  readonly key: string;
  readonly before: string | null | undefined;
  readonly after: string | null | undefined;
};

/** What became of a project from one version to the next. */
export type ProjectComparison = {
  readonly components: readonly ComparedComponent[];
  /** What is broken now: findings of the later version that the earlier one has not, as far as they tell of something broken. */
  readonly breaks: readonly Finding[];
  /** Ways of values that come by a component that was touched; those that go where they went have nothing lost and nothing gained, those that are not followed to their end, on a page with too much to follow, are left out. */
  readonly ways: readonly ComparedWay[];
  readonly answers: readonly ComparedAnswer[];
  readonly findings: { readonly new: readonly Finding[]; readonly gone: readonly Finding[] };
};

/** Compares two versions of a project, or a project and its successor in another framework. */
export function compareProjects(before: Side, after: Side): ProjectComparison {
  const pairs = matchComponents(before, after);
  const nameAfter = new Map(
    pairs.flatMap((pair) => (pair.before ? [[pair.before.id, pair.after?.name ?? pair.before.name] as const] : [])),
  );
  const nameOf = (component: Component | undefined): string => (component ? (nameAfter.get(component.id) ?? component.name) : '');
  const findings = changedFindings(before, after, nameOf);
  const statuses = new Map(pairs.map((pair) => [pair, statusOf(before, after, pair)]));
  const contracts = new Map(pairs.map((pair) => [pair, contractOf(before, after, pair)]));
  const idsOf = (asked: (pair: Pair) => boolean): Set<ComponentId> =>
    new Set(pairs.flatMap((pair) => (asked(pair) ? [pair.before?.id, pair.after?.id].filter((id) => id !== undefined) : [])));
  const isGivenOther = (pair: Pair): boolean =>
    pair.before !== undefined && pair.after !== undefined && callsOtherHooks(before, after, pair.before, pair.after);
  const { was, is } = tracedBoth(
    { side: before, nameOf: (id) => nameOf(before.model.components.get(id)) },
    { side: after, nameOf: (id) => after.model.components.get(id)?.name ?? '' },
    {
      touched: idsOf((pair) => statuses.get(pair) !== 'same' || isGivenOther(pair)),
      filled: idsOf((pair) => isFilled(contracts.get(pair) ?? [])),
    },
  );
  const answers = answersOf(was.answers, is.answers);
  const turned = answers.filter((one) => one.before !== undefined && one.after !== undefined && one.before !== one.after);
  const ways = [...was.reaches].flatMap(([of, reached]): ComparedWay[] => {
    const now = is.reaches.get(of);
    if (!now) return [];
    const lost = [...reached].filter((one) => !now.has(one) && !is.around.get(of)?.has(one)).map(standingOf);
    const gained = [...now].filter((one) => !reached.has(one) && !was.around.get(of)?.has(one)).map(standingOf);
    return [{ of, lost, gained }];
  });
  const cutOff = ways.flatMap(({ lost }) => lost);
  const turnedKeys = new Set([
    ...turned.flatMap(({ key, after: now }) => (now === null ? [] : [key])),
    // The provider may be another one of the same component: then a value no longer comes to who takes it.
    ...answers.flatMap(({ component, place, key, after: now }) =>
      now !== null && now !== undefined && cutOff.some((one) => one.component === component && one.place === place) ? [key] : [],
    ),
  ]);
  const told = findings.new.filter((one) => isBreak(one, turnedKeys));
  const breaks = [...withoutDoubles(after, told), ...parted(before, after, pairs)];
  const failing = failingFor(after, breaks, findings.new, turned, pairs, statuses, contracts);
  const components = pairs.map((pair): ComparedComponent => {
    const status = statuses.get(pair) ?? 'same';
    const contract = contracts.get(pair) ?? [];
    return {
      ...pair,
      status,
      rewritten: isRewritten(pair, contract),
      contract,
      ...(pair.before && pair.after ? { holds: !failing.has(pair.after) } : {}),
    };
  });
  return { components: inOrder(components), breaks, ways, answers, findings };
}

/** What was a prop may stand between the tags now, or the reverse: then what is shown there is told by neither as gone. */
function isFilled(contract: readonly ContractChange[]): boolean {
  const has = (member: ContractChange['member'], change: ContractChange['change']): boolean =>
    contract.some((one) => one.member === member && one.change === change);
  return (has('prop', 'gone') && has('slot', 'new')) || (has('prop', 'new') && has('slot', 'gone'));
}

const order: readonly Status[] = ['changed', 'renamed', 'moved', 'new', 'gone', 'same'];

/** What no longer holds first, then what changed, moved, is new or gone, and last what is as it was. */
const inOrder = (components: readonly ComparedComponent[]): ComparedComponent[] =>
  [...components].sort(
    (a, b) =>
      Number(a.holds ?? true) - Number(b.holds ?? true) ||
      order.indexOf(a.status) - order.indexOf(b.status) ||
      nameIn(a).localeCompare(nameIn(b)),
  );

const nameIn = ({ before, after }: Pair): string => (after ?? before)?.name ?? '';

function statusOf(before: Side, after: Side, { before: one, after: other }: Pair): Status {
  if (!one) return 'new';
  if (!other) return 'gone';
  if (one.name !== other.name) return 'renamed';
  if (one.file !== other.file) return one.framework === other.framework ? 'moved' : 'changed';
  return sourceOf(before, one) === sourceOf(after, other) ? 'same' : 'changed';
}

/** So much of a declaration's surroundings tells it from others, to each side. */
const declaringReach = 120;

const textsOf = (side: Side, component: Component): Texts => ({
  own: sourceOf(side, component),
  declaring: ({ file, start, end }) => (side.textOf(file) ?? '').slice(Math.max(0, start - declaringReach), end + declaringReach),
});

const contractOf = (before: Side, after: Side, { before: one, after: other }: Pair): ContractChange[] =>
  one && other ? contractChanges(one, other, { before: textsOf(before, one), after: textsOf(after, other) }) : [];

/** Below this two texts of one component are two forms of it. */
const rewrittenBelow = 0.7;

const isRewritten = ({ before, after, alike }: Pair, contract: readonly ContractChange[]): boolean =>
  before !== undefined &&
  after !== undefined &&
  contract.length === 0 &&
  (before.framework !== after.framework || before.facts.form !== after.facts.form || (alike < rewrittenBelow && alike > 0));

/** Findings that only one of the versions has, by rule, component and subject; where one has more of them than the other, those that are more. */
function changedFindings(before: Side, after: Side, nameOf: (component: Component | undefined) => string): ProjectComparison['findings'] {
  const keyIn = (side: Side, finding: Finding): string =>
    `${finding.rule} ${nameOf(side.model.components.get(finding.component))} ${finding.subject}`;
  const more = (one: Side, other: Side): Finding[] => {
    const known = new Map<string, number>();
    for (const finding of other.findings) known.set(keyIn(other, finding), (known.get(keyIn(other, finding)) ?? 0) + 1);
    return one.findings.filter((finding) => {
      const count = known.get(keyIn(one, finding)) ?? 0;
      known.set(keyIn(one, finding), count - 1);
      return count <= 0;
    });
  };
  return { new: more(after, before), gone: more(before, after) };
}

/**
 * Whether a finding says that something is no longer met; others tell of what could be better. Where
 * a provider shadows another it is a break if somebody who was answered by the outer one is answered by it now.
 */
const isBreak = ({ severity, rule, subject }: Finding, turnedKeys: ReadonlySet<string>): boolean =>
  severity === 'fault' || (rule === 'context-shadowed' && turnedKeys.has(subject));

/** Messages that had two ends in the earlier version and have one now, where the later version alone does not tell of that. */
function parted(before: Side, after: Side, pairs: readonly Pair[]): Finding[] {
  const earlier = new Map(pairs.flatMap((pair) => (pair.after && pair.before ? [[pair.after.id, pair.before] as const] : [])));
  const known = after.findings.filter(({ rule }) => rule === 'channel-unpaired');
  return unpairedSince(before.model, after.model, ({ id }) => earlier.get(id)).filter(
    (finding) => !known.some(({ component, subject }) => component === finding.component || subject === finding.subject),
  );
}

/** The innermost use whose text a place lies in. */
function useAt({ model }: Side, at: Location): Use | undefined {
  let found: Use | undefined;
  for (const uses of model.usesBy.values())
    for (const use of uses) {
      const { span } = use.node;
      if (!covers(use.file, span, at) || use.target.kind !== 'component') continue;
      if (!found || span.end - span.start < found.node.span.end - found.node.span.start) found = use;
    }
  return found;
}

/**
 * Findings that have one cause are one break. A use that gives the old name and not the new one is told
 * by the name that it gives, unless the component throws without the new one; a value that is given to
 * one that no longer passes it on is told where it is missing.
 */
function withoutDoubles(after: Side, findings: readonly Finding[]): Finding[] {
  const useOf = new Map(findings.map((finding) => [finding, useAt(after, finding.at)]));
  const targetOf = (finding: Finding): Component | undefined => {
    const target = useOf.get(finding)?.target;
    return target?.kind === 'component' ? after.model.components.get(target.id) : undefined;
  };
  const isMissing = ({ rule }: Finding): boolean => rule === 'prop-missing';
  const throwsWithout = (finding: Finding): boolean =>
    targetOf(finding)?.facts.values.some((value) => value.demandedAlways && memberKeyOf(value) === propKey(finding.subject)) ?? false;
  const missing = findings.filter(isMissing);
  return findings.filter((finding) => {
    const use = useOf.get(finding);
    if (!use) return true;
    if (isMissing(finding)) return throwsWithout(finding) || !findings.some((one) => !isMissing(one) && useOf.get(one) === use);
    if (finding.rule !== 'prop-unknown') return true;
    const isPassedOn = missing.some((one) => one.subject === finding.subject && useOf.get(one)?.owner === targetOf(finding)?.id);
    return !isPassedOn && !missing.some((one) => useOf.get(one) === use && throwsWithout(one));
  });
}

/**
 * Components that no longer hold: those whose own code has a break; those whose contract changed so
 * that a use of them breaks; those that were touched among all that stand around a taker whom nobody,
 * or somebody else, answers now.
 */
function failingFor(
  after: Side,
  breaks: readonly Finding[],
  idle: readonly Finding[],
  turned: readonly ComparedAnswer[],
  pairs: readonly Pair[],
  statuses: ReadonlyMap<Pair, Status>,
  contracts: ReadonlyMap<Pair, readonly ContractChange[]>,
): Set<Component> {
  const { model } = after;
  const failing = new Set<Component>();
  const pairOf = new Map(pairs.flatMap((pair) => (pair.after ? [[pair.after.id, pair] as const] : [])));
  const isTouched = (component: Component): boolean =>
    statuses.get(pairOf.get(component.id) ?? { alike: 0 }) !== 'same' && pairOf.get(component.id)?.before !== undefined;
  /** The nearest of those that use a component where nobody answers it any more, directly or through others, that was touched. */
  const touchedAbove = (component: Component): Component | undefined => {
    const left = new Set(turned.flatMap((one) => (one.component === component.name && one.after === null ? [one.place] : [])));
    const seen = new Set([component]);
    for (const one of seen) {
      if (one !== component && isTouched(one)) return one;
      for (const { owner } of model.usesOf.get(one.id) ?? []) {
        const user = model.components.get(owner);
        if (user && (one !== component || left.size === 0 || left.has(user.name))) seen.add(user);
      }
    }
    return undefined;
  };
  for (const finding of breaks) {
    const own = componentAt(after, finding.at);
    if (own) failing.add(own);
    // Providers that stand elsewhere are shown too, and did nothing to it.
    for (const { at } of finding.loose?.kind === 'context' ? [] : finding.evidence) {
      const shown = componentAt(after, at);
      if (shown && isTouched(shown)) failing.add(shown);
    }
    // What its user can no longer do with it is the doing of the one whose contract changed.
    for (const { target } of own ? (model.usesBy.get(own.id) ?? []) : []) {
      const used = target.kind === 'component' ? pairOf.get(target.id) : undefined;
      if (used?.after && contracts.get(used)?.some(({ name, to }) => isSameName(name, finding.subject) || isSameName(to, finding.subject)))
        failing.add(used.after);
    }
    const asked = finding.loose?.kind === 'context' ? model.components.get(finding.component) : undefined;
    const around = asked ? touchedAbove(asked) : undefined;
    if (around) failing.add(around);
  }
  // What it was given it shows no longer, or what it raised it raises no longer, though its contract still names it.
  for (const { rule, component } of idle) {
    const own = model.components.get(component);
    if (idleRules.has(rule) && own && isTouched(own)) failing.add(own);
  }
  for (const { before } of turned)
    for (const { after: component } of pairs) if (component && component.name === before && isTouched(component)) failing.add(component);
  for (const pair of pairs) if (pair.after && showsOtherwise(after, pair, contracts.get(pair) ?? [])) failing.add(pair.after);
  return failing;
}

/** What a component takes where it is given nothing is another value now, and some use gives nothing. */
function showsOtherwise({ model }: Side, { before, after }: Pair, contract: readonly ContractChange[]): boolean {
  const uses = after ? (model.usesOf.get(after.id) ?? []) : [];
  const defaultOf = (component: Component | undefined, name: string): string | undefined =>
    component?.contract.members.get(propKey(name))?.fallback;
  return contract.some(
    ({ change, name }) =>
      change === 'default' &&
      defaultOf(before, name) !== undefined &&
      defaultOf(after, name) !== undefined &&
      uses.some(({ node }) => node.spreads.length === 0 && !bindingFor(node, propKey(name))),
  );
}

/** Rules that tell of a member which a component names and does nothing with. */
const idleRules: ReadonlySet<string> = new Set(['prop-idle', 'event-idle']);

/** A subject may be a name as it is written: with the sign of a listener or a slot before it. */
const bare = (name: string): string => bareEvent(name.split(':').at(-1)?.replace(/^\W/, '') ?? '').toLowerCase();
const isSameName = (name: string | undefined, subject: string): boolean => name !== undefined && bare(name) === bare(subject);

function answersOf(before: Answers, after: Answers): ComparedAnswer[] {
  const keys = new Set([...before.keys(), ...after.keys()]);
  return [...keys].map((one): ComparedAnswer => {
    const [standing = '', ...key] = one.split(' ');
    return { ...standingOf(standing), key: key.join(' '), before: before.get(one), after: after.get(one) };
  });
}
