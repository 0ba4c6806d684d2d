import { isGiven } from '../../contract';

import { memberOf } from '../../model/member';
import { bindingFor } from '../../model/given';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { Component, ContractMember } from '../../model/model';
import { locate } from '../../model/span';
import { indexOf } from '../../flow/graph/index-of';
import { allUses, isOnlyAsked, ownComponents, ownersOf } from '../shared/all-uses';
import { remembered } from '../../model/remembered';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** Slots and events have rules of their own; names that begin with a line are left unread on purpose. */
const isOfOtherRule = (prop: ContractMember, isOlder: boolean): boolean =>
  prop.kind === 'slot' ||
  (prop.kind === 'two-way' && !isOlder) ||
  memberOf(prop.key).kind !== 'prop' ||
  prop.name === 'key' ||
  prop.name === 'ref' ||
  prop.name.startsWith('_');

/** The props that a component declares in its own file and does nothing with. */
const idleProps = remembered((component: Component): readonly ContractMember[] => {
  const { facts, contract } = component;
  if (facts.form === 'class' || facts.openness === 'open' || facts.wrappedBy.length > 0 || facts.values.some((one) => one.kind === 'props'))
    return [];
  const index = indexOf(facts);
  const hasRest = facts.values.some((one) => one.kind === 'rest') || facts.openness !== 'closed';
  return [...contract.members.values()].filter((prop) => {
    // In the older way of Svelte each prop may be bound both ways.
    if (
      isOfOtherRule(prop, facts.followsAssignment ?? false) ||
      prop.mixed ||
      isOnlyAsked(component, prop.name) ||
      prop.declared.file !== component.file
    )
      return false;
    const at = index.props.get(prop.key);
    // What is not taken by its name may be among the rest.
    if (at === undefined)
      return (
        !hasRest &&
        !prop.taken &&
        (traitsOf(component).onlyProps || traitsOf(component).madeOnce === true) &&
        contract.openness === 'closed'
      );
    const value = facts.values[at];
    if (!facts.unmentioned?.includes(prop.key)) return false;
    return !index.sinks.has(at) && !index.calls.has(at) && !index.changes.has(at) && !index.refs.has(at) && value?.demanded === undefined;
  });
});

/** A declared prop is never read nor passed on. */
export const propIdle: Rule = {
  inProject: (check) => {
    const own = ownComponents(check.model);
    if (own.every((component) => idleProps(component).length === 0)) return [];
    // A type that several components share declares for all of them.
    const declared = new Map<string, number>();
    for (const { contract, facts, file } of own)
      for (const { declared: at } of contract.members.values()) {
        // What it hands on to its root is declared there alone.
        if (facts.openness === 'through' && at.file !== file) continue;
        const key = `${at.file} ${at.start}`;
        declared.set(key, (declared.get(key) ?? 0) + 1);
      }
    const files = [...check.model.files.values()];
    const readOutside = new Set(files.flatMap((file) => file.readsProps ?? []));
    const readOnElements = new Set(files.flatMap((file) => file.asks ?? []));
    return own.flatMap((component) =>
      idleProps(component).flatMap((prop): Found[] => {
        if ((component.facts.element || component.facts.selected) && readOnElements.has(prop.name)) return [];
        if ((declared.get(`${prop.declared.file} ${prop.declared.start}`) ?? 0) > 1) return [];
        const all = allUses(check, component);
        // Where it may be given unseen, it would go on to the root if it were not declared.
        if (!all && traitsOf(component).fallThrough) return [];
        const uses = all ?? check.usesOf(component.id);
        const giving = uses.filter((known) => isGiven(known, prop.key));
        // What is handed the element may read it there.
        if (readOutside.has(prop.name) && (!all || giving.length > 0)) return [];
        const isCallback =
          prop.kind === 'callback' ||
          (traitsOf(component).onlyProps && adapterOf(component.framework).link.eventOf(prop.name) !== undefined);
        // Who gives a callback waits for it: that is more than too much.
        if (isCallback && giving.length > 0) return [];
        return [
          {
            rule: 'prop-idle',
            component: component.id,
            subject: prop.name,
            member: prop.key,
            at: prop.declared,
            words: {
              component: component.name,
              prop: prop.name,
              given: giving.length > 0 ? `${listed(ownersOf(giving))} ${ownersOf(giving).length === 1 ? 'gives' : 'give'}` : '',
            },
            evidence: [
              { at: prop.declared, text: `${component.name} declares ${prop.name}, and no line of it reads it.` },
              ...giving.slice(0, 3).map(({ use, owner }) => ({
                at: locate(use.file, bindingFor(use.node, prop.key)?.span ?? use.node.nameSpan),
                text: `${owner.name} gives it.`,
              })),
            ],
            goes: [{ count: 1 + giving.length, what: 'prop' }],
            touches: component.id,
          },
        ];
      }),
    );
  },
};
