import { type KnownUse, demandsOf, isGiven, speltBindings } from '../../contract';

import { type MemberKey, memberOf } from '../../model/member';
import { bindingFor } from '../../model/given';
import type { Component, ContractMember } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { isOfText } from '../shared/kinds';
import { allUses, isOnlyAsked, ownComponents, rememberedByUses } from '../shared/all-uses';

import { indexOf } from '../../flow/graph/index-of';

import { counted } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** Names by which an element is addressed or dressed are no choices of the component. */
const isAddress = ({ key, name }: ContractMember): boolean =>
  memberOf(key).kind !== 'prop' || /^(?:key|ref|id|class|className|style|name|title|slot)$|-|^_|^on[A-Z]/.test(name);

/** The constant that all uses give; undefined where they differ, or one gives something that is no constant. */
function sameConstant(uses: readonly KnownUse[], prop: MemberKey): string | undefined {
  const given = uses.map(({ use }) => bindingFor(use.node, prop));
  const [first] = given;
  const isConstant = given.every((one) => one?.constant !== undefined && one.readings.length === 0 && one.constant === first?.constant);
  return isConstant ? first?.constant : undefined;
}

/** Whether the component does anything with it; if not, another rule speaks. */
function isRead(component: Component, prop: ContractMember): boolean {
  const at = indexOf(component.facts).props.get(prop.key);
  return at !== undefined && ((indexOf(component.facts).sinks.get(at)?.length ?? 0) > 0 || indexOf(component.facts).calls.has(at));
}

/** It may be left out: so it is declared, or it has a default, or nothing is declared and the markup asks whether it is there. */
function isOptional({ facts }: Component, { key, required, fallback }: ContractMember): boolean {
  if (required !== 'unknown' || fallback !== undefined) return required === 'no' || fallback !== undefined;
  // Of an element nothing is required by declaration.
  if (facts.element) return true;
  const at = indexOf(facts).props.get(key);
  let isAsked = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind === 'branch' && node.readings.some(({ value, path }) => value === at && path.length === 0)) isAsked = true;
  });
  return isAsked;
}

const unusedIn = rememberedByUses((component, uses): readonly Found[] => {
  const { contract } = component;
  return [...contract.members.values()].flatMap((prop): Found[] => {
    // In the older way of Svelte each prop may be bound both ways.
    const isValue = prop.kind === 'value' || (prop.kind === 'two-way' && component.facts.followsAssignment);
    if (!isValue || isOnlyAsked(component, prop.name) || prop.mixed || isAddress(prop) || !isRead(component, prop)) return [];
    const isNever = uses.every((known) => !isGiven(known, prop.key));
    if (isNever && !isOptional(component, prop)) return [];
    const constant = isNever ? '' : uses.length > 1 ? sameConstant(uses, prop.key) : undefined;
    if (constant === undefined) return [];
    // What is read as if it were always given is more than too much.
    if (demandsOf(component).some((one) => one.prop.key === prop.key)) return [];
    if (uses.some((known) => speltBindings(known).some((one) => one.declared === prop.key))) return [];
    // What is shown as it is may be content, unless its type says otherwise, or nothing says anything.
    if (isNever && prop.required !== 'unknown' && !isOfText(prop) && component.facts.slots.some((slot) => slot.key === prop.key)) return [];
    const [first] = uses;
    return [
      {
        rule: 'prop-unused',
        component: component.id,
        subject: prop.name,
        member: prop.key,
        at: prop.declared,
        words: { component: component.name, prop: prop.name, constant, count: String(uses.length) },
        evidence: [
          { at: prop.declared, text: isNever ? `${prop.name} may be given.` : `${component.name} takes ${prop.name}.` },
          ...(first
            ? [
                {
                  at: locate(first.use.file, first.use.node.nameSpan),
                  text: isNever
                    ? `${first.owner.name} does not give it${uses.length > 1 ? `, nor do the other ${counted(uses.length - 1, 'use')}` : ''}.`
                    : `${first.owner.name} gives ${constant}, as do all others.`,
                },
              ]
            : []),
        ],
        goes: [{ count: isNever ? 1 : uses.length, what: 'prop' }],
        touches: component.id,
      },
    ];
  });
});

/** An optional prop that no use ever gives, or one that all uses give as the same constant. */
export const propUnused: Rule = {
  inProject: (check) => {
    // Who holds an element may set what no markup gives it.
    const sets = new Set([...check.model.files.values()].flatMap((file) => file.sets ?? []));
    return ownComponents(check.model).flatMap((component) => {
      const uses = allUses(check, component);
      const found = uses ? unusedIn(component, uses) : [];
      return component.facts.element || component.facts.selected ? found.filter(({ subject }) => !sets.has(subject)) : found;
    });
  },
};
