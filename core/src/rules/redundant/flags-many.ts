import type { KnownUse } from '../../contract';

import type { MemberKey } from '../../model/member';
import { bindingFor } from '../../model/given';
import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import { allUses, ownComponents } from '../shared/all-uses';
import { indexOf } from '../../flow/graph/index-of';
import { remembered } from '../../model/remembered';
import { counted, listed } from '../shared/sentences';
import type { Check, Found, Rule } from '../rule';

const flagsLeast = 3;
/** Of two uses nobody can say which forms are meant. */
const usesLeast = 3;

/**
 * Props that switch a piece of markup, as what they are or as what they are not, and are read for nothing else. Where
 * nothing says of what kind they are, the uses do.
 */
const flagsOf = remembered(({ facts, contract }: Component): readonly MemberKey[] => {
  const index = indexOf(facts);
  return [...contract.members.values()].flatMap((prop) => {
    const at = index.props.get(prop.key);
    const sinks = at === undefined ? [] : (index.sinks.get(at) ?? []);
    const isFlag = prop.kinds
      ? [...prop.kinds].every((kind) => kind === 'flag' || kind === 'nothing')
      : /^(?:true|false|)$/.test(prop.fallback ?? '');
    const switches = sinks.length > 0 && sinks.every((sink) => sink.to === 'decides' && sink.node.kind === 'branch');
    return isFlag && switches ? [prop.key] : [];
  });
});

/** What a use gives for a flag; undefined where that is known only while running. */
function given({ use, target }: KnownUse, flag: MemberKey): boolean | undefined {
  const binding = bindingFor(use.node, flag);
  if (!binding) return target.contract.members.get(flag)?.fallback === 'true';
  if (binding.readings.length > 0 || !/^(?:true|false|"")?$/.test(binding.constant ?? '')) return undefined;
  return binding.constant === undefined || /^(?:true|""|)$/.test(binding.constant);
}

/** It is known to be a flag by its kind or its default, or some use gives it as one. */
const isOneSomewhere = ({ contract }: Component, uses: readonly KnownUse[], flag: MemberKey): boolean => {
  const prop = contract.members.get(flag);
  return (
    prop?.kinds !== undefined ||
    prop?.fallback !== undefined ||
    uses.some((known) => bindingFor(known.use.node, flag) && given(known, flag))
  );
};

function manyIn(check: Check, component: Component): Found[] {
  const flags = flagsOf(component);
  if (flags.length < flagsLeast) return [];
  const uses = allUses(check, component);
  if (!uses || uses.length < usesLeast || !flags.every((flag) => isOneSomewhere(component, uses, flag))) return [];
  const forms = new Map<string, KnownUse[]>();
  for (const known of uses) {
    const values = flags.map((flag) => given(known, flag));
    if (values.includes(undefined)) return [];
    const form = flags.filter((_, at) => values[at]).join(' with ') || 'none of them';
    forms.set(form, [...(forms.get(form) ?? []), known]);
  }
  const possible = 2 ** flags.length;
  if (forms.size * 2 > possible) return [];
  const at = locate(component.file, component.facts.nameSpan);
  return [
    {
      rule: 'flags-many',
      component: component.id,
      subject: component.name,
      at,
      words: {
        component: component.name,
        flags: String(flags.length),
        occur: String(forms.size),
        possible: String(possible),
        combos: listed(
          [...forms].map(([form, all]) => `${form} (${counted(all.length, 'use')})`),
          6,
        ),
      },
      evidence: [
        ...flags.map((flag) => ({
          at: component.contract.members.get(flag)?.declared ?? at,
          text: `${flag} switches a piece of its markup.`,
        })),
        ...[...forms]
          .slice(0, 4)
          .flatMap(([form, all]) =>
            all
              .slice(0, 1)
              .map(({ use, owner }) => ({ at: locate(use.file, use.node.nameSpan), text: `${owner.name} uses it with ${form}.` })),
          ),
      ],
      goes: [{ count: flags.length, what: 'prop' }],
      touches: component.id,
    },
  ];
}

/** Three or more flags each switch a piece of markup, and few of their combinations occur. */
export const flagsMany: Rule = { inProject: (check) => ownComponents(check.model).flatMap((component) => manyIn(check, component)) };
