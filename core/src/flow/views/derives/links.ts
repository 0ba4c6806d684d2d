import type { ActionFact, Binding, How, Reading, TemplateElement, TemplateNode, TemplateUse } from '../../../model/facts';
import { isListener, memberKeyOf } from '../../../model/given';
import type { MemberKey } from '../../../model/member';
import { walkTemplate } from '../../../model/walk';
import type { Indexed } from '../../graph/sinks';
import { asTaken } from '../../graph/stores';

/**
 * Something of a body that a value comes from or goes to: a value, what one member of all props holds, an event that is
 * no value, a node of the markup, what runs on an event, an effect.
 */
export type Knot =
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'member'; readonly member: MemberKey }
  | { readonly kind: 'event'; readonly member: MemberKey }
  | { readonly kind: 'markup'; readonly node: TemplateNode; readonly nth: number }
  | { readonly kind: 'trigger'; readonly on: readonly Listening[]; readonly action?: number }
  | { readonly kind: 'effect'; readonly action: number }
  | { readonly kind: 'given'; readonly to: GivenTo; readonly readings: readonly Reading[] };

/** To whom a body gives something: to who calls it, to all below, to who holds a handle on it. */
export type GivenTo = 'caller' | 'below' | 'handle';

/** What a binding hears, and the node that bears it. */
export type Listening = { readonly node: TemplateElement | TemplateUse; readonly binding: Binding };

/** How a value gets from one to another: as in a reading, or because something runs that changes or raises it. */
export type LinkHow = How | 'changes' | 'raises';

/** All that leads from one to another within a body; by the keys of the knots. */
export type Links = {
  readonly knots: ReadonlyMap<string, Knot>;
  /** From each to what is made of it, with how. */
  readonly onward: ReadonlyMap<string, ReadonlyMap<string, LinkHow>>;
};

type Building = { readonly body: Indexed; readonly knots: Map<string, Knot>; readonly onward: Map<string, Map<string, LinkHow>> };

const valueKey = (value: number): string => `value ${value}`;

/** What a body gives to others, by whom it is taken. */
function givenBy(body: Indexed): (readonly [GivenTo, readonly Reading[]])[] {
  const given: readonly (readonly [GivenTo, readonly Reading[]])[] = [
    ['caller', body.returns ?? []],
    ['below', (body.provides ?? []).flatMap(({ readings }) => readings)],
    ['handle', body.exposes ?? []],
  ];
  return given.filter(([, readings]) => readings.length > 0);
}

/** Finds what leads from one to another within a body, not yet leaving out what is only on the way: parameters and functions. */
export function linksOf(body: Indexed): Links {
  const building: Building = { body, knots: new Map(), onward: new Map() };
  const items = new Map<number, string>();
  let counted = 0;
  const keys = new Map<TemplateNode, string>();
  walkTemplate(body.template ?? [], (node) => {
    const nth = counted++;
    const key = `markup ${nth}`;
    keys.set(node, key);
    building.knots.set(key, { kind: 'markup', node, nth });
    if (node.kind === 'repeat' && node.value !== undefined) items.set(node.value, key);
  });
  const keyOf = (value: number): string => items.get(value) ?? valueKey(asTaken(body, value));
  body.values.forEach((_, value) => {
    if (!items.has(value) && asTaken(body, value) === value) building.knots.set(valueKey(value), { kind: 'value', value });
  });
  const link = (from: string | undefined, to: string | undefined, how: LinkHow): void => {
    if (from === undefined || to === undefined || from === to) return;
    const known = building.onward.get(from) ?? new Map<string, LinkHow>();
    if (!known.has(to)) known.set(to, how);
    building.onward.set(from, known);
  };
  const sourceOf = ({ value, path }: Reading): string | undefined => {
    const read = body.values[value];
    if (read?.kind === 'setter') return undefined;
    const [first] = path;
    if ((read?.kind !== 'props' && read?.kind !== 'rest') || first === undefined) return keyOf(value);
    const key = `member ${first}`;
    building.knots.set(key, { kind: 'member', member: first as MemberKey });
    return key;
  };
  const read = (readings: readonly Reading[], to: string): void => {
    for (const reading of readings) link(sourceOf(reading), to, reading.held?.how ?? reading.how);
  };
  const eventKeyOf = (member: MemberKey, value: number | undefined): string => {
    if (value !== undefined) return valueKey(value);
    const own = body.values.findIndex((one) => one.kind === 'prop' && memberKeyOf(one) === member);
    if (own >= 0) return valueKey(own);
    building.knots.set(`event ${member}`, { kind: 'event', member });
    return `event ${member}`;
  };

  body.values.forEach((value, index) => {
    const to = keyOf(index);
    if (value.args) for (const arg of value.args) read(arg.readings, to);
    read(value.from, to);
    if (value.kind === 'function' && value.action !== undefined) {
      const run = body.actions[value.action];
      if (run) read(run.returns.length > 0 ? run.returns : run.reads, to);
    }
  });
  body.actions.forEach((action) => {
    for (const change of action.changes) for (const reading of change.from) link(sourceOf(reading), keyOf(change.value), 'changes');
    for (const raise of action.raises) for (const arg of raise.args ?? []) read(arg.readings, eventKeyOf(raise.member, raise.value));
    for (const call of action.invokes) {
      const run = body.values[call.value]?.action;
      if (run === undefined || call.path.length > 0) continue;
      body.values.forEach((param, index) => {
        if (param.kind === 'param' && param.of === run) read(call.args[param.position ?? 0]?.readings ?? [], valueKey(index));
      });
    }
  });
  for (const [node, key] of keys) readNode(node, key, read);
  for (const [to, readings] of givenBy(body)) {
    building.knots.set(`given ${to}`, { kind: 'given', to, readings });
    read(readings, `given ${to}`);
  }

  /** What is changed and raised when an action runs, and by what it calls. */
  const leads = (from: string, first: number): void => {
    for (const at of runsOf(body, first)) {
      const action = body.actions[at];
      for (const { value } of action?.changes ?? []) link(from, keyOf(value), 'changes');
      for (const { member, value } of action?.raises ?? []) link(from, eventKeyOf(member, value), 'raises');
    }
  };
  body.actions.forEach((action, index) => {
    if (action.kind !== 'effect' && action.kind !== 'lifecycle') return;
    const key = `effect ${index}`;
    building.knots.set(key, { kind: 'effect', action: index });
    read(action.follows ?? action.reads, key);
    leads(key, index);
  });
  for (const [key, trigger] of triggersOf(body)) {
    building.knots.set(key, trigger);
    if (trigger.action !== undefined) leads(key, trigger.action);
    for (const { binding } of trigger.on)
      for (const reading of trigger.action === undefined ? binding.readings : []) {
        const value = body.values[reading.value];
        if (value?.kind === 'setter' && value.partner !== undefined) link(key, keyOf(value.partner), 'changes');
        else if (value && binding.direction === 'two-way') link(key, keyOf(reading.value), 'changes');
        else if (value?.kind === 'prop') link(key, keyOf(reading.value), 'raises');
      }
  }
  return { knots: building.knots, onward: building.onward };
}

/** What markup shows, and what decides about it. */
function readNode(node: TemplateNode, key: string, read: (readings: readonly Reading[], to: string) => void): void {
  switch (node.kind) {
    case 'text':
    case 'branch':
    case 'repeat':
      read(node.readings, key);
      return;
    case 'outlet':
      if (node.reading) read([node.reading], key);
      for (const hands of node.slotProps) read(hands, key);
      return;
    case 'element':
    case 'use':
      for (const binding of node.bindings) if (!isListener(binding) && binding.direction !== 'out') read(binding.readings, key);
      for (const spread of node.spreads) if (!spread.fallsThrough) read(spread.readings, key);
      if (node.kind === 'use') read(node.dynamic ?? [], key);
  }
}

/** An action and all that it calls within the body. */
function runsOf({ actions, values }: Indexed, first: number): ReadonlySet<number> {
  const found = new Set([first]);
  for (const at of found) {
    const action = actions[at] as ActionFact | undefined;
    for (const called of action?.calls ?? []) found.add(called);
    for (const call of action?.invokes ?? []) {
      const run = call.path.length === 0 ? values[call.value]?.action : undefined;
      if (run !== undefined) found.add(run);
    }
  }
  return found;
}

/** A function is given to a component, which may call it. */
function isFunctionGiven({ values }: Indexed, node: TemplateNode, { action, readings }: Binding): boolean {
  const [only, ...others] = readings;
  const kind = only && others.length === 0 && only.path.length === 0 ? values[only.value]?.kind : undefined;
  return node.kind === 'use' && (action !== undefined || kind === 'function' || kind === 'setter');
}

/** What people do, by what it runs: listeners of one named function are one. */
function triggersOf(body: Indexed): ReadonlyMap<string, Extract<Knot, { kind: 'trigger' }>> {
  const found = new Map<string, Extract<Knot, { kind: 'trigger' }>>();
  walkTemplate(body.template ?? [], (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const binding of node.bindings) {
      const isBoth =
        binding.direction === 'two-way' && !node.bindings.some((one) => isListener(one) && one.span.start === binding.span.start);
      if (!isListener(binding) && !isBoth && !isFunctionGiven(body, node, binding)) continue;
      const [reading] = binding.readings;
      const action = binding.action ?? (reading?.path.length === 0 ? body.values[reading.value]?.action : undefined);
      if (action === undefined && reading === undefined) continue;
      const key = `trigger ${action ?? `of ${reading?.value ?? 0}`}`;
      found.set(key, {
        kind: 'trigger',
        on: [...(found.get(key)?.on ?? []), { node, binding }],
        ...(action === undefined ? {} : { action }),
      });
    }
  });
  // Without markup of its own, what others call is what sets things going.
  if (body.template === undefined)
    body.values.forEach(({ kind, action }) => {
      if (kind === 'function' && action !== undefined && !found.has(`trigger ${action}`))
        found.set(`trigger ${action}`, { kind: 'trigger', on: [], action });
    });
  return found;
}
