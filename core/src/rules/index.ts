import { type KnownUse, knownUses } from '../contract';

import { withoutYielding } from './precedence';
import { type Finding, goneWeight, severities } from '../model/finding';
import type { PlacedProblem } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { Component, Model, Page, Use } from '../model/model';
import { covers, locate, type Location } from '../model/span';
import { entryOf } from './catalogue';
import { spokenFor } from './frameworks/catalogue';
import { type OverlapKeep, surveyOverlap, twinDefaults } from '../overlap';
import { surveyPages, type SurveyKeep } from './shared/pages';
import type { RuleId } from './ids';
import { endsLeft } from './channels/ends-left';
import { rules } from './registry';
import type { Check, Found } from './rule';
import { messageOf } from '../model/message-of';

export { catalogue, entryOf, familyOf, ruleFamilies, type RuleFamily } from './catalogue';
export type { RuleId } from './ids';
export type { Entry, HelpForm } from './entry';
export { counted, listed } from './shared/sentences';
export { carriedBelow, carriedProps } from './redundant/prop-carried';
export { repeatedName } from './redundant/markup-repeated';
export { relayedAbove } from './events/event-relayed';
export type { Link, MemberStep } from './shared/links';
export { type SharedValue, sharedValues } from './state/stores';

function toFinding({ model, pages }: Pick<Check, 'model' | 'pages'>, found: Found): Finding {
  const general = entryOf(found.rule);
  const component = model.components.get(found.component);
  if (!general) throw new Error(`The catalogue has no rule ${found.rule}.`);
  const framework = component?.framework ?? 'script';
  const entry = spokenFor(found.rule, general, framework);
  return {
    key: `${found.rule}:${found.component}:${found.words['target'] ?? ''}${found.words['target'] ? '.' : ''}${found.subject}`,
    rule: found.rule,
    severity: found.severity ?? entry.severity,
    component: found.component,
    subject: found.subject,
    at: found.at,
    message: entry.message(found.words),
    consequence: entry.consequence(found.words, framework),
    fix: entry.fix(found.words, framework),
    ...(found.edits ? { edits: found.edits } : {}),
    ...(found.member === undefined ? {} : { member: found.member }),
    ...(found.loose ? { loose: found.loose } : {}),
    ...(found.goes ? { goes: found.goes } : {}),
    evidence: found.evidence,
    touches: { component: found.touches, places: pages.places.get(found.touches) ?? 0 },
    pages: found.pages ?? [],
  };
}

/** Two findings of one key are told apart by a count, in the order of the text. */
function withUniqueKeys(findings: readonly Finding[]): Finding[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const count = (seen.get(finding.key) ?? 0) + 1;
    seen.set(finding.key, count);
    return count === 1 ? finding : { ...finding, key: `${finding.key}~${count}` };
  });
}

/** What an earlier check found out, to be used again where nothing it was found from has changed. */
export type CheckKeep = {
  readonly pages: SurveyKeep;
  readonly overlap: OverlapKeep;
  readonly known: WeakMap<Use, KnownUse>;
  readonly inComponents: WeakMap<Component, readonly Found[]>;
  readonly ofUses: WeakMap<KnownUse, readonly Found[]>;
};

/** How many places a page has, where a check has looked at it; undefined for others. */
export function placesOnPage({ pages }: CheckKeep, page: Page): number | undefined {
  const part = pages.get(page.id);
  if (part?.page !== page) return undefined;
  let count = 0;
  for (const { places } of part.components.values()) count += places;
  return count;
}

/** The pages on which components stand, in the order of the pages, as far as a check has looked at them. */
export function pagesOfComponents({ pages }: CheckKeep, all: readonly Page[]): Map<ComponentId, Page[]> {
  const found = new Map<ComponentId, Page[]>();
  for (const page of all) {
    const part = pages.get(page.id);
    if (part?.page !== page) continue;
    for (const id of part.components.keys()) {
      const known = found.get(id);
      if (known) known.push(page);
      else found.set(id, [page]);
    }
  }
  return found;
}

/** Nothing kept yet. */
export function newCheckKeep(): CheckKeep {
  return { overlap: {}, pages: new Map(), known: new WeakMap(), inComponents: new WeakMap(), ofUses: new WeakMap() };
}

const all = Object.values(rules);
const componentRules = all.flatMap((rule) => rule.inComponent ?? []);
const useRules = all.flatMap((rule) => rule.ofUse ?? []);
const projectRules = all.flatMap((rule) => rule.inProject ?? []);

function groupBy<T, Key>(all: readonly T[], keyOf: (one: T) => Key): Map<Key, T[]> {
  const groups = new Map<Key, T[]>();
  for (const one of all) {
    const known = groups.get(keyOf(one));
    if (known) known.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}

/** What rules find about one thing, from `kept` where it is known; what a rule fails at is not kept, so that it is asked again. */
function foundIn<T extends object>(
  one: T,
  at: Location,
  kept: WeakMap<T, readonly Found[]>,
  finders: readonly ((one: T) => readonly Found[])[],
  onFailure: CheckOptions['onFailure'],
): readonly Found[] {
  const known = kept.get(one);
  if (known) return known;
  let failed = false;
  const found = finders.flatMap((find) => {
    try {
      return find(one);
    } catch (error) {
      if (!onFailure) throw error;
      failed = true;
      onFailure({ ...at, message: `This could not be checked: ${messageOf(error)}.` });
      return [];
    }
  });
  if (!failed) kept.set(one, found);
  return found;
}

function askedOfProject(shared: Check, onFailure: CheckOptions['onFailure']): Found[] {
  return projectRules.flatMap((find) => {
    try {
      return find(shared);
    } catch (error) {
      if (!onFailure) throw error;
      const reason = messageOf(error);
      onFailure({ file: 'The whole project', start: 0, end: 0, message: `One of the questions about all files has no answer: ${reason}.` });
      return [];
    }
  });
}

/** Markup that is kept in a variable may stand at several places of one tree: what is wrong with it is one finding. */
function onePerPlace(all: readonly Found[]): Found[] {
  const seen = new Set<string>();
  return all.filter(({ rule, subject, component, at, words }) => {
    const key = `${rule} ${component} ${subject} ${words['target'] ?? ''} ${at.file} ${at.start} ${at.end}`;
    return !seen.has(key) && seen.add(key);
  });
}

/** Rules of which one value that is treated alike at many places is one cause. */
const ofOneValue: ReadonlySet<RuleId> = new Set(['prop-written', 'change-unseen']);

/** Other places of one cause that are told as evidence. */
const mostPlaces = 8;

/**
 * What is found in a class and again in those that extend it, which have it of that class: told once, of the class in which it is
 * written. Where that one stands on no page, it touches the places of the first that does.
 */
function withoutHeirs(all: readonly Found[], { model, pages }: Pick<Check, 'model' | 'pages'>): Found[] {
  const causeOf = ({ rule, subject, at }: Found): string => `${rule} ${subject} ${at.file} ${at.start}`;
  const isWritten = ({ component, at }: Found): boolean => {
    const owner = model.components.get(component);
    return owner !== undefined && covers(owner.file, owner.facts.span, at);
  };
  const written = new Set(all.flatMap((one) => (ofOneValue.has(one.rule) && isWritten(one) ? [causeOf(one)] : [])));
  const heirs = new Map<string, Found>();
  const kept = all.filter((one) => {
    if (!ofOneValue.has(one.rule) || !written.has(causeOf(one)) || isWritten(one)) return true;
    if (pages.places.has(one.touches) && !heirs.has(causeOf(one))) heirs.set(causeOf(one), one);
    return false;
  });
  return kept.map((one) => {
    const heir = ofOneValue.has(one.rule) && !pages.places.has(one.touches) ? heirs.get(causeOf(one)) : undefined;
    return heir ? { ...one, touches: heir.touches } : one;
  });
}

/** One finding for a value of a component that is treated alike at several places: at the first, with the others as evidence. */
function onePerCause(all: readonly Found[]): Found[] {
  const first = new Map<string, Found>();
  const more = new Map<Found, Found['evidence'][number][]>();
  const kept = all.filter((found) => {
    if (!ofOneValue.has(found.rule)) return true;
    const { rule, component, subject, at, severity = '', words } = found;
    const key = [rule, severity, component, subject, at.file, words['how'] ?? '', words['what'] ?? ''].join('\n');
    const known = first.get(key);
    if (!known) {
      first.set(key, found);
      return true;
    }
    more.set(known, [...(more.get(known) ?? []), ...found.evidence.slice(0, 1)]);
    return false;
  });
  return kept.map((found) => {
    const others = more.get(found);
    return others ? { ...found, evidence: [...found.evidence, ...others.slice(0, mostPlaces)] } : found;
  });
}

/** What a project may set for itself. */
export type CheckOptions = {
  /** From which likeness on two components are twins, 0 to 1; absent for Liana's own. */
  readonly twinsFrom?: number;
  /** Told of a place at which a rule fails; all others are asked all the same. Without it, check throws what the rule did. */
  readonly onFailure?: (problem: PlacedProblem) => void;
};

/**
 * All findings of a model, worst first; within a severity by how much would go, by how many places
 * they touch, then by place. With the `keep` of an earlier check, only what has changed since is asked again; `keep` is
 * brought up to date.
 */
export function check(
  model: Model,
  keep: CheckKeep = newCheckKeep(),
  { twinsFrom = twinDefaults.likeness, onFailure }: CheckOptions = {},
): Finding[] {
  const uses = knownUses(model, keep.known);
  const byTarget = groupBy(uses, (known) => known.target.id);
  const shared: Check = {
    model,
    uses,
    usesOf: (id) => byTarget.get(id) ?? [],
    pages: surveyPages(model, keep.pages),
    overlap: surveyOverlap(model, keep.overlap, { likeness: twinsFrom }),
  };
  const source = [...model.components.values()].filter((component) => component.fileRole === 'source');
  const all = withoutYielding([
    ...source.flatMap((component) =>
      foundIn(component, locate(component.file, component.facts.span), keep.inComponents, componentRules, onFailure),
    ),
    ...shared.uses.flatMap((known) => foundIn(known, locate(known.use.file, known.use.node.span), keep.ofUses, useRules, onFailure)),
    ...askedOfProject(shared, onFailure),
  ]);
  const findings = onePerCause(withoutHeirs(onePerPlace(all), shared))
    .map((found) => toFinding(shared, found))
    .sort(
      (a, b) =>
        severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
        goneWeight(b.goes ?? []) - goneWeight(a.goes ?? []) ||
        b.touches.places - a.touches.places ||
        a.at.file.localeCompare(b.at.file) ||
        a.at.start - b.at.start,
    );
  return withUniqueKeys(findings);
}

/**
 * Messages with one end that had two in an earlier version: in a later version alone they are no findings, since somebody
 * outside the project may be the other end. `earlier` tells of a component which one it was. Empty where all meet.
 */
export function unpairedSince(before: Model, after: Model, earlier: (component: Component) => Component | undefined): Finding[] {
  const left = endsLeft(before, after, earlier);
  if (left.length === 0) return [];
  const pages = surveyPages(after, new Map());
  return onePerPlace(left).map((found) => toFinding({ model: after, pages }, found));
}
