import type { KnownUse } from '../flow';
import type { SlotFact, TemplateNode } from '../model/facts';
import type { Component } from '../model/model';
import { locate } from '../model/span';
import { walkTemplate } from '../model/walk';
import { allUses, ownComponents } from './all-uses';
import { counted } from './sentences';
import type { Check, Found, Rule } from './rule';

/** A name that is put together while running may be any slot. */
const isDynamic = (name: string): boolean => /[[\]{}$*]/.test(name);

function fills({ use }: KnownUse, slot: string): boolean {
  const { node } = use;
  const plain = slot.replace(/^#/, '');
  if (plain === 'children' || plain === 'default') {
    if (node.content !== 'none' || node.children.length > 0) return true;
  }
  return node.bindings.some(({ name }) => name === slot || name === `#${plain}` || name === plain || isDynamic(name));
}

/** It stands in a slot of its own: what fills the outer one is its fallback. */
function outletsOf(template: readonly TemplateNode[], slot: string): Extract<TemplateNode, { kind: 'outlet' }>[] {
  const found: Extract<TemplateNode, { kind: 'outlet' }>[] = [];
  walkTemplate(template, (node) => {
    if (node.kind === 'outlet' && node.slot === slot) found.push(node);
  });
  return found;
}

/** It hands on what it is given to a component's named place, where something else may stand in for it. */
function isHandedOn({ model }: Check, component: Component, slot: string): boolean {
  return (model.usesBy.get(component.id) ?? []).some(({ node, target }) =>
    node.bindings.some(({ name, markup }) => {
      if (!name.startsWith('#') || !markup || outletsOf(markup, slot).length === 0) return false;
      const known = target.kind === 'component' ? model.components.get(target.id) : undefined;
      return known?.facts.slots.some((one) => one.name === name && one.fallback) ?? true;
    }),
  );
}

/** Where a prop may hold any value, only a declared kind or the name tells that it holds content. */
function isSlot(component: Component, { name }: SlotFact): boolean {
  if (component.framework !== 'react') return true;
  return name === 'children' || component.contract.props.get(name)?.kind === 'slot';
}

function idleIn(check: Check, component: Component): Found[] {
  const { facts } = component;
  const slots = facts.slots.filter((slot) => !slot.fallback && !isDynamic(slot.name) && isSlot(component, slot));
  if (slots.length === 0 || facts.clones || facts.openness === 'open') return [];
  const uses = allUses(check, component);
  if (!uses) return [];
  return slots.flatMap((slot): Found[] => {
    const outlets = outletsOf(facts.template, slot.name);
    if (outlets.length === 0 || outlets.some((outlet) => outlet.fallback && outlet.fallback.length > 0)) return [];
    if (isHandedOn(check, component, slot.name)) return [];
    if (uses.some((known) => fills(known, slot.name))) return [];
    const at = locate(component.file, slot.span);
    const name = slot.name.replace(/^#/, '');
    return [
      {
        rule: 'slot-idle',
        component: component.id,
        subject: slot.name,
        at,
        words: { component: component.name, slot: name },
        evidence: [
          { at, says: `${component.name} has a place for ${name}.` },
          ...uses.slice(0, 2).map(({ use, owner }) => ({
            at: locate(use.file, use.node.nameSpan),
            says: `${owner.name} gives nothing for it (${counted(uses.length, 'use')} in all).`,
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
