import { type KnownUse, spelling } from '../../contract';

import { defaultSlot, type MemberKey, memberName } from '../../model/member';
import { bindingKey } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';

import type { SlotFact, TemplateNode } from '../../model/facts';
import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { allUses, ownComponents } from '../shared/all-uses';
import { counted } from '../shared/sentences';
import type { Check, Found, Rule } from '../rule';
import { isDynamic } from './dynamic';

function fills({ use, target }: KnownUse, slot: MemberKey): boolean {
  const { node } = use;
  if (slot === defaultSlot && (node.content !== 'none' || node.children.length > 0)) return true;
  return node.bindings.some((binding) => {
    const key = bindingKey(binding);
    return key !== undefined && (key === slot || isDynamic(target, key) || binding.to.name === memberName(slot));
  });
}

/** It stands in a slot of its own: what fills the outer one is its fallback. */
function outletsOf(template: readonly TemplateNode[], slot: MemberKey): Extract<TemplateNode, { kind: 'outlet' }>[] {
  const found: Extract<TemplateNode, { kind: 'outlet' }>[] = [];
  walkTemplate(template, (node) => {
    if (node.kind === 'outlet' && node.slot === slot) found.push(node);
  });
  return found;
}

/** It hands on what it is given to a component's named place, where something else may stand in for it. */
function isHandedOn({ model }: Check, component: Component, slot: MemberKey): boolean {
  return (model.usesBy.get(component.id) ?? []).some(({ node, target }) =>
    node.bindings.some((binding) => {
      const { to, markup } = binding;
      if (to.kind !== 'slot' || !markup || outletsOf(markup, slot).length === 0) return false;
      const known = target.kind === 'component' ? model.components.get(target.id) : undefined;
      return known?.facts.slots.some((one) => one.key === bindingKey(binding) && one.fallback) ?? true;
    }),
  );
}

/** Where a prop may hold any value, only a declared kind or the name tells that it holds content. */
function isSlot(component: Component, { key }: SlotFact): boolean {
  return !traitsOf(component).onlyProps || key === defaultSlot || component.contract.members.get(key)?.kind === 'slot';
}

function idleIn(check: Check, component: Component): Found[] {
  const { facts } = component;
  const slots = facts.slots.filter((slot) => !slot.fallback && !isDynamic(component, slot.key) && isSlot(component, slot));
  if (slots.length === 0 || facts.clones || facts.openness === 'open') return [];
  const uses = allUses(check, component);
  if (!uses) return [];
  return slots.flatMap((slot): Found[] => {
    const outlets = outletsOf(facts.template, slot.key);
    if (outlets.length === 0 || outlets.some((outlet) => outlet.fallback && outlet.fallback.length > 0)) return [];
    if (isHandedOn(check, component, slot.key)) return [];
    if (uses.some((known) => fills(known, slot.key))) return [];
    const at = locate(component.file, slot.span);
    const name = slot.key === defaultSlot ? spelling(component, slot.key) : memberName(slot.key);
    return [
      {
        rule: 'slot-idle',
        component: component.id,
        subject: spelling(component, slot.key),
        at,
        words: { component: component.name, slot: name },
        evidence: [
          { at, text: `${component.name} has a place for ${name}.` },
          ...uses.slice(0, 2).map(({ use, owner }) => ({
            at: locate(use.file, use.node.nameSpan),
            text: `${owner.name} gives nothing for it (${counted(uses.length, 'use')} in all).`,
          })),
        ],
        goes: [{ count: 1, what: 'slot' }],
        touches: component.id,
      },
    ];
  });
}

/** No use fills a slot, and it has no fallback. */
export const slotIdle: Rule = {
  inProject: (check) => ownComponents(check.model).flatMap((component) => idleIn(check, component)),
};
