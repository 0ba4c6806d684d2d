import { memberKeyOf } from '../model/given';
import type { Component, ContractMember } from '../model/model';
import { remembered } from '../model/remembered';
import type { Span } from '../model/span';

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
