import type { Binding, Reading, TemplateNode, TemplateUse } from '../model/facts';
import type { Component } from '../model/model';
import type { Span } from '../model/span';
import { walkTemplate } from '../model/walk';

/** Somewhere in a component that a value goes to another component. */
export type Carried = {
  readonly node: TemplateUse;
  /** The prop that carries it; `*` for a spread. */
  readonly prop: string;
  /** What it becomes on the way: itself, a part or item of it, or computed from it. */
  readonly how: 'same' | 'part' | 'computed';
  readonly span: Span;
};

/** What a component does with one of its values. */
export type ValueFlow = {
  readonly carried: readonly Carried[];
  /** Read, painted, tested, computed with. */
  readonly reads: readonly Span[];
  readonly changes: readonly Span[];
};

type Sink = { readonly reading: Reading; readonly carried?: { readonly node: TemplateUse; readonly prop: string; readonly span: Span } };

/** Tables of one component's body, made once. */
export type BodyFlow = {
  readonly component: Component;
  readonly sinks: ReadonlyMap<number, readonly Sink[]>;
  readonly changes: ReadonlyMap<number, readonly Span[]>;
  /** Values made from a value, with the reading that does it. */
  readonly made: ReadonlyMap<number, readonly { readonly value: number; readonly reading: Reading }[]>;
  readonly props: ReadonlyMap<string, number>;
};

function add<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const known = map.get(key);
  if (known) known.push(value);
  else map.set(key, [value]);
}

/** Which readings of a component carry its values on, and which end there. */
export function bodyFlow(component: Component): BodyFlow {
  const { facts } = component;
  const sinks = new Map<number, Sink[]>();
  const changes = new Map<number, Span[]>();
  const made = new Map<number, { value: number; reading: Reading }[]>();
  const ends = (readings: readonly Reading[]): void => readings.forEach((reading) => add(sinks, reading.value, { reading }));
  walkTemplate(facts.template, (node) => noteNode(node, sinks, ends));
  for (const action of facts.actions) {
    ends(action.reads.filter((reading) => reading.how !== 'called'));
    for (const change of action.changes) add(changes, change.value, change.span);
  }
  for (const provided of facts.provides) ends(provided.readings);
  facts.values.forEach((value, index) => {
    const computed = value.kind === 'derived' || value.kind === 'hook' || value.kind === 'fetched';
    for (const reading of value.from) {
      if (value.kind === 'state' || value.kind === 'ref') add(sinks, reading.value, { reading });
      else add(made, reading.value, { value: index, reading });
      if (computed && (reading.how === 'computed' || reading.how === 'called')) add(sinks, reading.value, { reading });
    }
  });
  const props = new Map(facts.values.flatMap((value, index): [string, number][] => (value.kind === 'prop' ? [[value.name, index]] : [])));
  return { component, sinks, changes, made, props };
}

function noteNode(node: TemplateNode, sinks: Map<number, Sink[]>, ends: (readings: readonly Reading[]) => void): void {
  switch (node.kind) {
    case 'text':
    case 'branch':
      ends(node.readings);
      return;
    case 'outlet':
      if (node.reading) ends([node.reading]);
      for (const hands of node.hands) ends(hands);
      return;
    case 'element':
      for (const binding of node.bindings) ends(binding.readings);
      for (const spread of node.spreads) ends(spread.readings.filter((reading) => reading.how !== 'spread' || reading.path.length > 0));
      return;
    case 'use':
      for (const binding of node.bindings) noteBinding(node, binding, sinks);
      for (const spread of node.spreads) {
        for (const reading of spread.readings) add(sinks, reading.value, { reading, carried: { node, prop: '*', span: spread.span } });
      }
      return;
    case 'repeat':
  }
}

function noteBinding(node: TemplateUse, binding: Binding, sinks: Map<number, Sink[]>): void {
  if (binding.markup) return;
  for (const reading of binding.readings) add(sinks, reading.value, { reading, carried: { node, prop: binding.name, span: binding.span } });
}

const strength = { same: 0, part: 1, computed: 2 } as const;

function weaker(a: Carried['how'], b: Carried['how']): Carried['how'] {
  return strength[a] >= strength[b] ? a : b;
}

function howOf(reading: Reading): Carried['how'] {
  if (reading.how === 'same' || reading.how === 'spread') return 'same';
  return reading.how === 'part' || reading.how === 'item' ? 'part' : 'computed';
}

/**
 * Follows a value through its component: through constants made from it, to where it is carried
 * on, read or changed. With `member`, only what is read of that member.
 */
export function followValue(body: BodyFlow, value: number, member?: string): ValueFlow {
  const carried: Carried[] = [];
  const reads: Span[] = [];
  const seen = new Set([value]);
  const stack: { value: number; how: Carried['how']; member: string | undefined }[] = [{ value, how: 'same', member }];
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { how } = at;
    const fits = (reading: Reading): boolean => at?.member === undefined || reading.path[0] === at.member;
    const part = (reading: Reading): Carried['how'] =>
      at?.member !== undefined && reading.path.length === 1 && reading.how === 'part' ? 'same' : howOf(reading);
    for (const sink of body.sinks.get(at.value) ?? []) {
      if (!fits(sink.reading)) continue;
      if (sink.carried) carried.push({ ...sink.carried, how: weaker(how, part(sink.reading)) });
      else reads.push(sink.reading.span);
    }
    for (const next of body.made.get(at.value) ?? []) {
      if (!fits(next.reading) || seen.has(next.value)) continue;
      seen.add(next.value);
      stack.push({ value: next.value, how: weaker(how, part(next.reading)), member: undefined });
    }
  }
  return { carried, reads, changes: body.changes.get(value) ?? [] };
}
