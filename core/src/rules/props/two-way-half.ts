import type { Binding, TemplateNode } from '../../model/facts';
import { memberKeyOf } from '../../model/given';
import { modelKey, propKey } from '../../model/member';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { TextEdit } from '../../model/finding';
import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { insertAt, withEdits } from '../shared/edits';
import type { Found, Rule } from '../rule';

type Element = Extract<TemplateNode, { kind: 'element' }>;

/** Fields that take no text of the user's: their value is only handed on. */
const valueOnly = /^["'{]*(button|checkbox|image|hidden|radio|reset|submit)["'}]*$/;

/**
 * A two-way binding onto a component that has one half of it or none; in React a field with a value
 * and nothing that follows its change, as React's own warning tells them.
 */
export const twoWayHalf: Rule = {
  ofUse: (known): Found[] => {
    const { use, owner, target } = known;
    const { contract } = target;
    if (contract.openness === 'open' || target.facts.raisesUnseen) return [];
    return use.node.bindings.flatMap((binding): Found[] => {
      const { name } = binding.to;
      // What says something to the element that the component stands for has both halves there.
      const half = binding.direction === 'two-way' && binding.to.kind !== 'property' ? missingHalf(target, name) : undefined;
      if (!half) return [];
      const at = locate(use.file, binding.nameSpan);
      const prop = contract.members.get(propKey(name));
      return [
        {
          rule: 'two-way-half',
          component: owner.id,
          subject: name,
          at,
          words: { target: target.name, prop: name, half },
          evidence: [
            { at, text: `${owner.name} binds ${name} both ways.` },
            prop
              ? { at: prop.declared, text: `${target.name} takes ${name}, and never tells its change.` }
              : { at: locate(target.file, target.facts.nameSpan), text: `${target.name} has ${half}.` },
          ],
          ...withEdits(bindableEdit(target, name)),
          touches: target.id,
        },
      ];
    });
  },
  inComponent: (component) => {
    const { controlledFields, areElements } = traitsOf(component);
    return controlledFields ? stuckFields(component, stuckBinding) : areElements ? stuckFields(component, liveBinding) : [];
  },
};

/** What a component lacks of a two-way binding, in words; undefined where it has both halves. */
function missingHalf(target: Component, name: string): string | undefined {
  const { twoWay } = traitsOf(target);
  const { members } = target.contract;
  const down = members.get(propKey(name));
  const hasUp =
    members.has(modelKey(name)) ||
    adapterOf(target.framework)
      .link.changesOf(name)
      .some((key) => members.has(key));
  // Where every prop may be bound, one that the component never writes is only superfluous, unless people enter it there.
  if (down?.kind === 'two-way') return isEnteredInVain(target, name) ? 'only the value, not its change' : undefined;
  if (twoWay === 'none' || (hasUp && down)) return undefined;
  // A mark stands on the prop; what the contract lets through may be bound without one.
  if (!down && twoWay === 'mark') return undefined;
  return down ? 'only the value, not its change' : hasUp ? 'only the change, not the value' : 'neither the value nor its change';
}

/** People enter what a field has under that name: its value, or whether it is chosen. */
function isEntered({ tag, bindings }: Element, name: string): boolean {
  const type = bindings.find((one) => one.to.name === 'type');
  if (!/^(input|select|textarea)$/.test(tag) || (type && type.constant === undefined)) return false;
  return name === 'checked' || (name === 'value' && !valueOnly.test(type?.constant ?? ''));
}

/** A prop stands as the value of a field, and what is entered there is never written to it. */
function isEnteredInVain({ facts }: Component, name: string): boolean {
  const value = facts.values.findIndex((one) => one.kind === 'prop' && memberKeyOf(one) === propKey(name));
  if (value < 0 || !facts.followsAssignment || facts.actions.some(({ changes }) => changes.some((one) => one.value === value)))
    return false;
  let isShown = false;
  let isBound = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const { to, direction, readings } of node.bindings) {
      if (!readings.some((one) => one.value === value)) continue;
      if (direction === 'two-way') isBound = true;
      const isField = node.kind === 'element' && isEntered(node, to.name);
      if (isField && direction === 'in' && readings.every((one) => one.how === 'same' && one.path.length === 0)) isShown = true;
    }
  });
  return isShown && !isBound;
}

/** A prop may be bound where its component says so: `value = $bindable()`. */
function bindableEdit(target: Component, name: string): TextEdit[] {
  const { bindable } = adapterOf(target.framework).write;
  const prop = bindable && !target.facts.followsAssignment ? target.facts.members.find((one) => one.key === propKey(name)) : undefined;
  const plain = prop && prop.fallback === undefined && prop.span.end - prop.span.start === name.length;
  return bindable && plain ? [insertAt(target.file, prop.span.end, ` = ${bindable}`)] : [];
}

/** A field that shows one state as it is, and a setter of that state: what the user enters is put there. */
function changeEdit({ facts, file, framework }: Component, node: Element, binding: Binding): TextEdit[] {
  // What a field of numbers or dates gives is a text: how it is to be turned is not certain.
  if (
    binding.to.name !== 'checked' &&
    node.bindings.some((one) => one.to.name === 'type' && !/text|search|email|url|tel/.test(one.constant ?? ''))
  )
    return [];
  const [only, ...more] = binding.readings;
  if (only?.how !== 'same' || only.path.length > 0 || more.length > 0 || facts.values[only.value]?.kind !== 'state') return [];
  const setter = facts.values.find((value) => value.kind === 'setter' && value.partner === only.value);
  const what = binding.to.name === 'checked' ? 'checked' : 'value';
  return setter
    ? [
        insertAt(
          file,
          binding.span.end,
          ` ${adapterOf(framework).write.listener('change', `(event) => ${setter.name}(event.target.${what})`)}`,
        ),
      ]
    : [];
}

/** Fields that show a value and let nobody change it. */
function stuckFields(component: Component, stuckIn: (node: Element) => Binding | undefined): Found[] {
  const found: Found[] = [];
  walkTemplate(component.facts.template, (node) => {
    const binding = node.kind === 'element' ? stuckIn(node) : undefined;
    if (node.kind !== 'element' || !binding) return;
    const at = locate(component.file, binding.nameSpan);
    found.push({
      rule: 'two-way-half',
      component: component.id,
      subject: binding.to.name,
      at,
      words: { target: `<${node.tag}>`, prop: binding.to.name, half: '', field: node.tag },
      evidence: [{ at, text: `${component.name} gives <${node.tag}> its ${binding.to.name}, and listens to no change.` }],
      ...withEdits(changeEdit(component, node, binding)),
      touches: component.id,
    });
  });
  return found;
}

/** A value that is held against what the field shows each time that the element renders. */
function liveBinding(node: Element): Binding | undefined {
  const isHeard = node.bindings.some(({ to }) => to.kind === 'listener' && /^(?:input|change|keyup|keydown|blur)$/.test(to.name));
  const isLocked = node.bindings.some(({ to }) => /^(?:readonly|disabled)$/i.test(to.name) || to.kind === 'directive');
  if (!/^(input|textarea|select)$/.test(node.tag) || node.spreads.length > 0 || isHeard || isLocked) return undefined;
  return node.bindings.find(({ modifiers, readings }) => modifiers?.includes('live') && readings.length > 0);
}

function stuckBinding(node: Element): Binding | undefined {
  if (!/^(input|textarea|select)$/.test(node.tag) || node.spreads.length > 0) return undefined;
  const given = (name: string): Binding | undefined => node.bindings.find((one) => one.to.kind === 'attribute' && one.to.name === name);
  const heard = (name: string): boolean => node.bindings.some((one) => one.to.kind === 'listener' && one.to.name === name);
  const type = given('type');
  if (heard('change') || ['readOnly', 'disabled', 'ref'].some((name) => given(name)) || (type && type.constant === undefined))
    return undefined;
  const checked = given('checked');
  if (checked && checked.readings.length > 0) return checked;
  const value = given('value');
  const isText = value && value.readings.length > 0 && !(node.tag === 'input' && type && valueOnly.test(type.constant ?? ''));
  return isText && !heard('input') ? value : undefined;
}
