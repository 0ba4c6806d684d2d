import { type KnownUse, spelling } from '../../contract';
import { indexBody } from '../../flow';
import { defaultSlot, keyOfMember, type Member, type MemberKey } from '../../model/member';
import { bindingKey } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';

import type { ComponentFacts, Reading, TemplateNode } from '../../model/facts';
import type { Component } from '../../model/model';
import { locate, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

type Outlet = Extract<TemplateNode, { kind: 'outlet' }>;
/** Content that a use gives for one slot. */
type Given = {
  readonly slot: MemberKey;
  readonly form: 'markup' | 'function';
  readonly span: Span;
  readonly hands: readonly number[];
  readonly parts: number;
};
/** `reads`: what is given is read of what the slot hands out. */
type Misfit = { readonly at: Span; readonly given: string; readonly wants: string; readonly outlet: Outlet; readonly reads?: true };

const indexOf = remembered((facts: ComponentFacts) => indexBody(facts));

const outletsOf = remembered((facts: ComponentFacts): ReadonlyMap<string, readonly Outlet[]> => {
  const found = new Map<string, Outlet[]>();
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'outlet') return;
    const known = found.get(node.slot);
    if (known) known.push(node);
    else found.set(node.slot, [node]);
  });
  return found;
});

/** Readings of what a slot hands out, by the value that stands for it. */
const readingsOfHanded = remembered((facts: ComponentFacts): ReadonlyMap<number, readonly Reading[]> => {
  const { sinks } = indexOf(facts);
  return new Map(
    facts.values.flatMap((value, index) =>
      value.kind === 'handed' ? [[index, (sinks.get(index) ?? []).map((sink) => sink.reading)] as const] : [],
    ),
  );
});

function contentsOf({ use: { node } }: KnownUse): Given[] {
  const found: Given[] = node.bindings.flatMap((binding): Given[] =>
    // A component by its name is a function, and may stand for what it shows.
    binding.markup && bindingKey(binding) !== undefined && !binding.markup.every((one) => one.kind === 'use' && one.asValue)
      ? [
          {
            slot: keyOfMember(binding.to as Member),
            form: binding.slotProps ? 'function' : 'markup',
            span: binding.nameSpan,
            hands: binding.slotProps ?? [],
            parts: 1,
          },
        ]
      : [],
  );
  if (node.content === 'none' || node.content === 'value') return found;
  const parts = node.children.filter((child) => child.kind === 'element' || child.kind === 'use').length;
  const form = node.content === 'function' ? 'function' : 'markup';
  return [...found, { slot: defaultSlot, form, span: node.nameSpan, hands: node.slotProps ?? [], parts }];
}

/** Where slots are props, one is called, or shown as it is; undefined where it is both or goes elsewhere as well. */
function shapeOf(target: Component, slot: MemberKey, outlets: readonly Outlet[]): 'function' | 'markup' | undefined {
  const { props, sinks, calls } = indexOf(target.facts);
  const value = props.get(slot);
  if (value === undefined || calls.has(value)) return undefined;
  const called = outlets.filter((outlet) => outlet.reading?.how === 'called').length;
  const goesOn = (sinks.get(value) ?? []).some((sink) => sink.to !== 'shown' || sink.node.kind !== 'outlet');
  if (goesOn || (called > 0 && called < outlets.length)) return undefined;
  return called > 0 ? 'function' : 'markup';
}

/** Of a component that is open, only that it takes exactly one child is known. */
function misfitOfProps({ owner, target }: KnownUse, given: Given, outlets: readonly Outlet[], isOpen: boolean): Misfit | undefined {
  const [outlet] = outlets;
  if (!outlet) return undefined;
  if (outlets.every((one) => one.only) && given.form === 'markup' && given.parts > 1)
    return { at: given.span, given: `${given.parts} children`, wants: 'exactly one', outlet };
  const shape = isOpen ? undefined : shapeOf(target, given.slot, outlets);
  if (shape === undefined) return undefined;
  if (shape === given.form) return shape === 'function' ? misfitOfReadings(owner, given, outlets) : undefined;
  return shape === 'function'
    ? { at: given.span, given: 'markup', wants: 'a function that gives it', outlet }
    : { at: given.span, given: 'a function', wants: 'markup', outlet };
}

const camel = (name: string): string => name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/** What is read of a slot that hands it out nowhere: a member of its one object, or a parameter too many. */
function misfitInTemplates({ owner, target }: KnownUse, given: Given, outlets: readonly Outlet[]): Misfit | undefined {
  const [outlet] = outlets;
  if (!outlet) return undefined;
  if (traitsOf(target).handingSlotsApart && given.form === 'markup' && outlets.every((one) => one.slotProps.length > 0))
    return { at: given.span, given: 'markup', wants: 'content that takes what it hands out', outlet };
  // Where content is called by its place in the markup alone, it is handed what stands there.
  if (outlets.some((one) => !one.names && one.reading === undefined) && !traitsOf(target).madeOnce) return undefined;
  return misfitOfReadings(owner, given, outlets);
}

/** What content reads that none of some outlets hands it: a member of their one object, or a parameter too many. */
function misfitOfReadings(owner: Component, given: Given, outlets: readonly Outlet[]): Misfit | undefined {
  const [outlet] = outlets;
  if (!outlet) return undefined;
  const readings = (at: number): readonly Reading[] => readingsOfHanded(owner.facts).get(given.hands[at] ?? -1) ?? [];
  const names = new Set(outlets.flatMap((one) => (one.names ?? []).map(camel)));
  if (outlets.every((one) => one.names)) {
    const read = readings(0).find(({ path: [name] }) => name !== undefined && name !== '*' && !names.has(camel(name)));
    const name = read?.path[0];
    return read && name !== undefined
      ? { at: read.span, given: name, wants: names.size > 0 ? [...names].join(', ') : 'nothing', outlet, reads: true }
      : undefined;
  }
  const most = Math.max(...outlets.map((one) => one.slotProps.length));
  if (outlets.some((one) => one.names)) return undefined;
  const extra = given.hands.findIndex((_, at) => at >= most && readings(at).length > 0);
  const [read] = extra < 0 ? [] : readings(extra);
  return read
    ? {
        at: read.span,
        given: owner.facts.values[given.hands[extra] ?? -1]?.name ?? '',
        wants: most === 0 ? 'nothing' : `${most} value${most === 1 ? '' : 's'}`,
        outlet,
        reads: true,
      }
    : undefined;
}

/** A constant given under the name of content: there is nothing in it to render. */
function constantsForSlots({ use, owner, target }: KnownUse): Found[] {
  return use.node.bindings.flatMap((binding): Found[] => {
    if (binding.to.kind !== 'prop' || binding.constant === undefined || binding.markup || binding.readings.length > 0) return [];
    const outlets = outletsOf(target.facts).get(bindingKey(binding) ?? '') ?? [];
    const [outlet] = outlets;
    if (!outlet || outlets.some((one) => one.reading?.how !== 'called') || /^(null|undefined|false)$/.test(binding.constant.trim()))
      return [];
    const at = locate(use.file, binding.nameSpan);
    const words = { target: target.name, slot: binding.to.name, given: 'a constant', wants: 'content that it calls', reads: '' };
    return [
      {
        rule: 'slot-shape',
        component: owner.id,
        subject: binding.to.name,
        at,
        words,
        evidence: [
          { at, text: `${owner.name} gives the constant ${binding.constant}.` },
          { at: locate(target.file, outlet.span), text: `${target.name} renders ${binding.to.name} here.` },
        ],
        touches: target.id,
      },
    ];
  });
}

/** Content is given in another form than the component takes, or reads what the slot does not hand out. */
export const slotShape: Rule = {
  ofUse: (known) => [...misfitsOf(known), ...constantsForSlots(known)],
};

function misfitsOf(known: KnownUse): Found[] {
  const { use, owner, target } = known;
  if (target.facts.wrappedBy.length > 0) return [];
  const isOpen = target.facts.openness === 'open';
  const isProp = traitsOf(target).onlyProps;
  if (isOpen && !isProp) return [];
  const nameOf = (slot: MemberKey): string => spelling(target, slot);
  return contentsOf(known).flatMap((given): Found[] => {
    const outlets = outletsOf(target.facts).get(given.slot) ?? [];
    const misfit = isProp ? misfitOfProps(known, given, outlets, isOpen) : misfitInTemplates(known, given, outlets);
    if (!misfit) return [];
    const at = locate(use.file, misfit.at);
    return [
      {
        rule: 'slot-shape',
        component: owner.id,
        subject: isProp ? nameOf(given.slot) : misfit.given,
        at,
        words: {
          target: target.name,
          slot: nameOf(given.slot),
          given: misfit.given,
          wants: misfit.wants,
          reads: misfit.reads || !isProp ? 'yes' : '',
        },
        evidence: [
          {
            at,
            text:
              isProp && !misfit.reads
                ? `${owner.name} gives ${misfit.given}.`
                : `${owner.name} reads ${misfit.given} of what the slot hands out.`,
          },
          {
            at: locate(target.file, misfit.outlet.span),
            text: isProp && !misfit.reads ? `${target.name} takes ${misfit.wants}.` : `${target.name} hands out ${misfit.wants} here.`,
          },
        ],
        touches: target.id,
      },
    ];
  });
}
