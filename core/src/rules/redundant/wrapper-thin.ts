import type { ActionFact, Binding, TemplateNode, TemplateUse } from '../../model/facts';
import { bindingKey, memberKeyOf } from '../../model/given';
import { defaultSlot, type MemberKey, memberName } from '../../model/member';
import { traitsOf } from '../../frameworks/registry';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { allUses, ownComponents, ownersOf } from '../shared/all-uses';
import { remembered } from '../../model/remembered';
import { counted, listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** Kinds of values that come with the props. */
const given = new Set(['prop', 'rest', 'props', 'handed']);

/** The only use that a component's markup is made of. */
function onlyUse(template: readonly TemplateNode[]): TemplateUse | undefined {
  const [node, ...more] = template.filter((one) => one.kind !== 'text' || one.readings.length > 0);
  return node?.kind === 'use' &&
    more.length === 0 &&
    node.tag !== '' &&
    (node.key.kind === 'none' || node.key.kind === 'spread') &&
    // To start a part is something of its own.
    !node.startedBy &&
    !node.ref
    ? node
    : undefined;
}

/** Content that is the component's own content of the same name, placed again. */
const isOwnContent = (children: readonly TemplateNode[], key: MemberKey | undefined): boolean =>
  children.every(
    (child) =>
      child.kind === 'outlet' &&
      !child.fallback &&
      !child.fallbackText &&
      child.slotProps.length === 0 &&
      key !== undefined &&
      memberName(child.slot) === memberName(key),
  );

/** A function that does nothing but raise one event. */
const onlyRaises = ({ raises, changes, sends, hears, invokes, calls }: ActionFact): boolean =>
  raises.length === 1 && changes.length + sends.length + hears.length + invokes.length + calls.length === 0;

/** The use to which a component hands all that it gets, under the same names. */
const handsOnTo = remembered((component: Component): TemplateUse | undefined => {
  const { facts } = component;
  if (facts.form === 'class' || !facts.actions.every(onlyRaises) || facts.wrappedBy.length > 0 || facts.memo) return undefined;
  if (facts.values.some((value) => (!given.has(value.kind) && value.of === undefined) || value.from.length > 0)) return undefined;
  const node = onlyUse(facts.template);
  if (!node || !isOwnContent(node.children, defaultSlot)) return undefined;
  const isHanded = (binding: Binding): boolean => {
    const [only, ...more] = binding.readings;
    const value = only && facts.values[only.value];
    if (binding.action !== undefined) return facts.actions[binding.action]?.raises[0]?.member === bindingKey(binding);
    if (binding.markup) return isOwnContent(binding.markup, bindingKey(binding)) && binding.markup.length > 0;
    return (
      only?.how === 'same' &&
      more.length === 0 &&
      only.path.length === 0 &&
      value?.kind === 'prop' &&
      memberKeyOf(value) === bindingKey(binding)
    );
  };
  if (!node.bindings.every(isHanded)) return undefined;
  if (!node.spreads.every((one) => one.readings.every((reading) => given.has(facts.values[reading.value]?.kind ?? '')))) return undefined;
  // Where something is handed on at all, or the framework does it for the one root.
  const handsSomething = node.bindings.length > 0 || node.spreads.length > 0 || node.children.length > 0;
  return handsSomething || traitsOf(component).fallThrough ? node : undefined;
});

/** Components that a page is named after are where one begins to read. */
const isPage = (model: Model, component: Component): boolean =>
  model.pages.some((page) => page.file === component.file && page.name === component.name);

/** A component renders one other component and hands on what it gets, adding nothing. */
export const wrapperThin: Rule = {
  inProject: (check) =>
    ownComponents(check.model).flatMap((component): Found[] => {
      const node = handsOnTo(component);
      const target = node && check.model.useOfNode.get(node)?.target;
      const inner = target?.kind === 'component' && !target.wrapped ? check.model.components.get(target.id) : undefined;
      if (!node || !inner || inner === component || isPage(check.model, component)) return [];
      // What begins otherwise than in the inner one is something that it adds.
      const adds = component.facts.members.some(
        (one) => one.fallback !== undefined && inner.contract.members.get(one.key)?.fallback !== one.fallback,
      );
      if (adds) return [];
      const uses = allUses(check, component);
      if (!uses) return [];
      const at = locate(component.file, component.facts.nameSpan);
      return [
        {
          rule: 'wrapper-thin',
          component: component.id,
          subject: component.name,
          at,
          words: { component: component.name, inner: inner.name, uses: listed(ownersOf(uses)) },
          evidence: [
            { at: locate(component.file, node.nameSpan), text: `All that ${component.name} renders is ${inner.name}.` },
            ...uses.slice(0, 3).map(({ use, owner }) => ({
              at: locate(use.file, use.node.nameSpan),
              text: `${owner.name} uses it (${counted(uses.length, 'use')} in all).`,
            })),
          ],
          goes: [{ count: 1, what: 'component' }],
          touches: component.id,
        },
      ];
    }),
};
