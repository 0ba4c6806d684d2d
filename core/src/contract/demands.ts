import { memberKeyOf } from '../model/given';
import type { Component, ContractMember } from '../model/model';
import { remembered } from '../model/remembered';
import type { TemplateNode } from '../model/facts';
import { isSlotKey, type MemberKey } from '../model/member';
import { contains, type Span } from '../model/span';
import { templateChildren, walkTemplate } from '../model/walk';

/** A prop that is read as if it were always given, and where. */
export type Demand = { readonly prop: ContractMember; readonly span: Span };

/** Props that a component declares as optional, without a default, and reads as if they were always there. */
export const demandsOf = remembered((component: Component): readonly Demand[] =>
  component.facts.values.flatMap((value): Demand[] => {
    if (value.kind !== 'prop' || !value.demanded) return [];
    const prop = component.contract.members.get(memberKeyOf(value));
    return prop?.required === 'no' && prop.fallback === undefined && !prop.mixed && prop.kind !== 'slot'
      ? [{ prop, span: value.demanded }]
      : [];
  }),
);

/** Whether a place of the markup shows each time: it stands under no condition and in no list, nor after one at which a component may return early. */
function showsAlways(template: readonly TemplateNode[], span: Span): boolean {
  const covers = (node: TemplateNode): boolean => {
    if (node.kind !== 'branch' && node.kind !== 'repeat') return templateChildren(node).some(covers);
    let found = false;
    walkTemplate(node.children, (inner) => {
      if (contains(inner.span, span)) found = true;
    });
    return found;
  };
  return !template.some((node) => covers(node) || (node.kind === 'branch' && node.span.start < span.start));
}

/** Props of which nothing says whether they may be left out, and without which a component throws whenever it renders. */
export const needsByReading = remembered((component: Component): ReadonlySet<MemberKey> => {
  const { facts, contract } = component;
  return new Set(
    facts.values.flatMap((value): MemberKey[] => {
      if (value.kind !== 'prop' || !value.demanded || !value.demandedAlways) return [];
      const prop = contract.members.get(memberKeyOf(value));
      const isOpen =
        prop?.required === 'unknown' && prop.fallback === undefined && !prop.mixed && prop.kind !== 'two-way' && !isSlotKey(prop.key);
      return prop && isOpen && showsAlways(facts.template, value.demanded) ? [prop.key] : [];
    }),
  );
});
