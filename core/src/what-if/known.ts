import { useById } from '../model/lookup';
import type { Reading, TemplateNode, ValueFact } from '../model/facts';
import { bindingFor, memberKeyOf } from '../model/given';
import type { Component, Model } from '../model/model';
import type { FilePath, Span } from '../model/span';
import type { Place, Tree } from '../model/tree';
import { walkTemplate } from '../model/walk';

/** Kinds of values that a body knows only within a part of its markup: one item of a loop, what a slot hands out. */
const isLocal = ({ kind }: ValueFact): boolean => kind === 'item' || kind === 'handed';

/** Kinds of values whose names can be written in a component's markup. */
const named: ReadonlySet<ValueFact['kind']> = new Set([
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
const isWritable = (value: ValueFact): boolean => named.has(value.kind) && value.member?.startsWith('event:') !== true;

/** Two values of one name that may stand for each other: both are functions, or neither is. */
const isSameSort = (one: ValueFact, other: ValueFact): boolean =>
  (one.kind === 'function') === (other.kind === 'function') || one.kind === 'prop';

/** What a body calls a value. */
const calledAs = ({ name, alias }: ValueFact): string => alias ?? name;

/** What of some markup's names is known where it would stand. */
export type Known = {
  /** Whether a value of the old writer is known there, by its name. */
  readonly isKnown: (index: number) => boolean;
  /** Whether the value of that name is the very same there: handed on to it unchanged, or asked for of the same store or context, or by the same hook that holds no state. */
  readonly isSame: (index: number) => boolean;
};

/** From whom to whom markup would go: who writes it now, who would, and the stretches of the text that count. */
export type Ground = {
  readonly from: Component;
  readonly to: Component;
  readonly writer: Place;
  readonly newWriter: Place;
  /** The use that moves, with all between its tags. */
  readonly moving: Span;
  /** Where the old writer would write it, if that goes on writing it; undefined for somewhere in its markup. */
  readonly goal: Span | undefined;
};

/** Answers what is known, for markup that goes from one writer to another, or to another place of the same one. */
export function knownAt(model: Model, tree: Tree, { from, to, writer, newWriter, moving, goal }: Ground): Known {
  const scopes = scopesOf(from.facts.template);
  const isInScope = (index: number, at: Span): boolean => {
    const scope = scopes.get(index);
    return scope !== undefined && at.start >= scope.span.start && at.end <= scope.span.end;
  };
  const thereOf = (value: ValueFact): number =>
    to.facts.values.findIndex((one) => calledAs(one) === calledAs(value) && isWritable(one) && isSameSort(one, value));
  const isKnown = (index: number): boolean => {
    const value = from.facts.values[index];
    if (!value) return true;
    const scope = scopes.get(index);
    // A loop or a slot that goes along brings its names.
    if (scope && scope.by.start >= moving.start && scope.by.end <= moving.end) return scope.readings.every((one) => isKnown(one.value));
    if (from === to) return isLocal(value) ? goal !== undefined && isInScope(index, goal) : true;
    return value.kind === 'module' || thereOf(value) >= 0;
  };
  const isSame = (index: number): boolean => {
    const value = from.facts.values[index];
    if (!value || from === to || value.kind === 'module') return true;
    const there = thereOf(value);
    if (value.source !== undefined && value.source === to.facts.values[there]?.source && !holdsState(model, from.file, value)) return true;
    const [mine, theirs] = [originOf(model, tree, writer, index), originOf(model, tree, newWriter, there)];
    return mine.place === theirs.place && mine.value === theirs.value;
  };
  return { isKnown, isSame };
}

/** Whether a value is of a hook of the project that holds state, itself or by others: each that calls it has one of its own. */
function holdsState(model: Model, file: FilePath, { kind, source }: Pick<ValueFact, 'kind' | 'source'>, depth = 0): boolean {
  const hook = kind === 'hook' && source !== undefined && depth < 8 ? model.named(file, source) : undefined;
  if (hook?.kind !== 'hook') return false;
  return hook.fact.values.some((one) => one.kind === 'state' || holdsState(model, hook.file, one, depth + 1));
}

/** A part of the markup in which a name holds, what it is handed by, and what it is made of. */
type Scope = { readonly span: Span; readonly by: Span; readonly readings: readonly Reading[] };

/** For each name that holds within a part of the markup alone: that part. */
function scopesOf(template: readonly TemplateNode[]): ReadonlyMap<number, Scope> {
  const scopes = new Map<number, Scope>();
  walkTemplate(template, (node) => {
    if (node.kind === 'repeat' && node.value !== undefined)
      scopes.set(node.value, { span: node.span, by: node.span, readings: node.readings });
    if (node.kind !== 'use' && node.kind !== 'element') return;
    const handing = node.kind === 'use' ? [...node.bindings, { slotProps: node.slotProps, markup: node.children }] : node.bindings;
    for (const { slotProps, markup } of handing) {
      const [first, last] = [markup?.[0], markup?.at(-1)];
      if (first && last)
        for (const value of slotProps ?? [])
          scopes.set(value, { span: { start: first.span.start, end: last.span.end }, by: node.span, readings: [] });
    }
  });
  return scopes;
}

/** Where a value is held that comes to a place from prop to prop as it is. */
export function originOf(model: Model, tree: Tree, place: Place, index: number): { readonly place: Place; readonly value: number } {
  const value = model.components.get(place.component)?.facts.values[index];
  const use = place.use && useById(model, place.use);
  const owner = tree.places[place.owner];
  const [given, ...more] = value?.kind === 'prop' && use ? (bindingFor(use.node, memberKeyOf(value))?.readings ?? []) : [];
  const isAsItIs = given !== undefined && more.length === 0 && given.how === 'same' && given.path.length === 0;
  return isAsItIs && owner ? originOf(model, tree, owner, given.value) : { place, value: index };
}
