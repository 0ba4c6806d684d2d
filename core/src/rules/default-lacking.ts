import { isGiven, isPlain, type KnownUse } from '../flow';
import type { Component, ContractProp } from '../model/model';
import { locate, type Span } from '../model/span';
import { remembered } from './remembered';
import { speltBindings } from './prop-spelt';
import { counted, listed } from './sentences';
import type { Found, Rule } from './rule';

type Demand = { readonly prop: ContractProp; readonly span: Span };

/** Props that a component declares as optional, without a default, and reads as if they were always there. */
export const demandsOf = remembered((component: Component): readonly Demand[] =>
  component.facts.values.flatMap((value): Demand[] => {
    if (value.kind !== 'prop' || !value.demanded) return [];
    const prop = component.contract.props.get(value.name);
    return prop?.required === 'no' && prop.fallback === undefined && !prop.mixed && prop.kind !== 'slot'
      ? [{ prop, span: value.demanded }]
      : [];
  }),
);

/** In these a flag that is not given is false, and what a component raises needs no listener. */
function isFilledIn(component: Component, { kinds }: ContractProp): boolean {
  return component.framework === 'vue' && (kinds?.has('flag') ?? false);
}

function leavesOut(known: KnownUse, name: string): boolean {
  return (
    isPlain(known.use.node) &&
    !isGiven(known.use.node, name) &&
    !known.inContentOfCloner &&
    !known.owner.facts.clones &&
    !speltBindings(known).some((one) => one.declared === name)
  );
}

/** An optional prop without a default is read in a way that throws when it is absent, and some use leaves it out. */
export const defaultLacking: Rule = {
  inProject: ({ model, usesOf }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || component.facts.wrappedBy.length > 0) return [];
      return demandsOf(component).flatMap(({ prop, span }): Found[] => {
        if (isFilledIn(component, prop)) return [];
        const without = usesOf(component.id).filter((known) => leavesOut(known, prop.name));
        if (without.length === 0) return [];
        const at = locate(component.file, span);
        const owners = listed([...new Set(without.map((known) => known.owner.name))]);
        return [
          {
            rule: 'default-lacking',
            component: component.id,
            subject: prop.name,
            at,
            words: { component: component.name, prop: prop.name, owners, count: counted(without.length, 'use') },
            evidence: [
              { at, says: `${prop.name} is read here as if it were always given.` },
              { at: prop.declared, says: `${prop.name} may be left out, and has no default.` },
              ...without
                .slice(0, 3)
                .map(({ use, owner }) => ({ at: locate(use.file, use.node.nameSpan), says: `${owner.name} leaves it out.` })),
            ],
            touches: component.id,
          },
        ];
      });
    }),
};
