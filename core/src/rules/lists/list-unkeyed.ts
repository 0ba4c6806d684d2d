import type { ComponentFacts, KeyFact, TemplateNode } from '../../model/facts';
import { bindingFor, memberKeyOf } from '../../model/given';
import { type MemberKey, propKey } from '../../model/member';
import { traitsOf } from '../../frameworks/registry';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { indexOf } from '../../flow/graph/index-of';
import { usesIn, walkTemplate } from '../../model/walk';
import { keyEdit, withEdits } from '../shared/edits';
import { remembered } from '../../model/remembered';
import { tagText } from '../../model/tag-text';
import type { Found, Rule } from '../rule';

type Repeat = Extract<TemplateNode, { kind: 'repeat' }>;
type Part = Extract<TemplateNode, { kind: 'element' | 'use' }>;

/** Lists that stand in the content of something. A list given as a prop may get its keys where it is shown. */
function repeatsIn(template: readonly TemplateNode[]): Repeat[] {
  const found: Repeat[] = [];
  const stack = [...template].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind === 'repeat') found.push(node);
    if (node.kind !== 'text' && node.kind !== 'outlet')
      for (let at = node.children.length - 1; at >= 0; at--) stack.push(node.children[at] as TemplateNode);
  }
  return found;
}

/** What stands for one item: below conditions, but not below elements. */
function partsOf(nodes: readonly TemplateNode[]): Part[] {
  return nodes.flatMap((node): Part[] => {
    if (node.kind === 'element' || node.kind === 'use') return [node];
    return node.kind === 'branch' ? partsOf(node.children) : [];
  });
}

function nameOf(part: Part): string {
  return tagText(part);
}

/** A state that is set; of a script in which any variable may be one, only those that are written count. */
const isKept = ({ followsAssignment, actions }: ComponentFacts, state: number): boolean =>
  !followsAssignment || actions.some(({ changes }) => changes.some((change) => change.value === state));

/** Of an element, which sets much from what it is given, a state counts that something on its own page sets. */
function isOfItself(facts: ComponentFacts, state: number): boolean {
  if (!facts.element) return true;
  const { attached, functionOf, sinks } = indexOf(facts);
  const isHeard = (at: number): boolean => {
    const own = functionOf.get(at);
    return attached.has(at) || (own !== undefined && (sinks.get(own) ?? []).some((sink) => sink.to === 'attribute'));
  };
  return facts.actions.some(({ changes }, at) => isHeard(at) && changes.some((one) => one.value === state));
}

/** Tells whether a part remembers anything between renders: state of its own or below, or a field’s text. */
function remembers(model: Model, part: Part, seen: Set<ComponentId>): boolean {
  let found = false;
  walkTemplate([part], (node) => {
    if (node.kind === 'element' && /^(input|textarea|select)$/.test(node.tag)) {
      // A constant is what the field begins with, and nothing more.
      const names = node.bindings.flatMap((binding) => (binding.constant === undefined ? [binding.to.name] : []));
      const button = node.bindings.some((binding) => binding.to.name === 'type' && /submit|button|hidden/.test(binding.constant ?? ''));
      if (!button && !names.includes('value') && !names.includes('checked') && node.spreads.length === 0) found = true;
    }
  });
  return (
    found ||
    usesIn([part]).some((node) => {
      const target = model.useOfNode.get(node)?.target;
      const component = target?.kind === 'component' ? model.components.get(target.id) : undefined;
      if (!component || seen.has(component.id)) return false;
      seen.add(component.id);
      if (
        component.facts.values.some((value, at) => value.kind === 'state' && isKept(component.facts, at) && isOfItself(component.facts, at))
      )
        return true;
      return partsOf(component.facts.template).some((inner) => remembers(model, inner, seen));
    })
  );
}

/** Tells whether the list changes its order or loses items: while rendering, or where its state is set. */
function isReordered(model: Model, component: Component, repeat: Repeat): boolean {
  if (repeat.order === 'shuffled') return true;
  return isShuffled(
    model,
    component,
    repeat.readings.filter((reading) => reading.how === 'item').map((reading) => reading.value),
    3,
  );
}

/** Whether one of some values loses items or changes their order: a state of the component, or of an owner that gives it as it is. */
function isShuffled(model: Model, component: Component, values: readonly number[], depth: number): boolean {
  const { facts } = component;
  const seen = new Set<number>();
  const stack = [...values];
  for (let value = stack.pop(); value !== undefined; value = stack.pop()) {
    if (seen.has(value)) continue;
    seen.add(value);
    if (facts.actions.some((action) => action.changes.some((change) => change.value === value && change.order === 'reorder'))) return true;
    const held = facts.values[value];
    if (held?.kind === 'prop' && depth > 0 && ownersShuffle(model, component, memberKeyOf(held), depth - 1)) return true;
    for (const reading of held?.from ?? []) if (held?.kind !== 'state') stack.push(reading.value);
  }
  return false;
}

const ownersShuffle = (model: Model, component: Component, key: MemberKey, depth: number): boolean =>
  (model.usesOf.get(component.id) ?? []).some((use) => {
    const owner = model.components.get(use.owner);
    const given = bindingFor(use.node, key)?.readings.filter((one) => one.how === 'same' || one.how === 'part') ?? [];
    return (
      owner !== undefined &&
      isShuffled(
        model,
        owner,
        given.map((one) => one.value),
        depth,
      )
    );
  });

/** A key that is another one each time: a number or a name that is made while rendering. */
const isMadeAnew = (key: KeyFact): boolean =>
  key.kind !== 'none' &&
  /(?<![.\w$])(?:Math\.random|(?:window\.)?crypto\.randomUUID|Date\.now|performance\.now|nanoid|uuid(?:v4)?|(?:_\.)?uniqueId)\(/.test(
    key.text,
  );

/** A key that is the position in the list, as it is or as a member that the items get from theirs. */
function isPosition({ values }: ComponentFacts, { item, readings }: Repeat, key: KeyFact): boolean {
  if (key.kind !== 'value') return key.kind === 'position';
  const member = item !== undefined && key.text.startsWith(`${item}.`) ? key.text.slice(item.length + 1) : undefined;
  const lists = readings.filter(({ how, path }) => how === 'item' && path.length === 0);
  return member !== undefined && lists.some(({ value }) => values[value]?.positionMembers?.includes(member));
}

/** It stands in markup: what script makes, and puts somewhere, is the same one wherever it stands. */
const isWritten = ({ nameSpan, span }: Part): boolean => nameSpan.start === span.start + '<'.length;

/** Repeated parts that nothing but their position tells apart, if anything. */
const unkeyedParts = remembered((component: Component): readonly { readonly repeat: Repeat; readonly part: Part }[] =>
  repeatsIn(component.facts.template).flatMap((repeat) =>
    repeat.order === 'platform'
      ? []
      : partsOf(repeat.children)
          .filter((part) => !component.facts.element || isWritten(part))
          .filter((part) => !part.spreads.some((spread) => spread.keys?.includes(propKey('key')) ?? traitsOf(component).keys === 'spread'))
          .filter((part) => {
            const { key } = part;
            return key.kind === 'none' || isMadeAnew(key) || (isPosition(component.facts, repeat, key) && repeat.order !== 'constant');
          })
          .map((part) => ({ repeat, part })),
  ),
);

function problemOf(model: Model, component: Component, repeat: Repeat, part: Part): string | undefined {
  if (isMadeAnew(part.key)) return 'with another key each time';
  const isByPosition = isPosition(component.facts, repeat, part.key) || traitsOf(component).keys === 'position';
  if (!isByPosition) return 'without a key';
  if (!isReordered(model, component, repeat) || !remembers(model, part, new Set())) return undefined;
  return part.key.kind === 'none' ? 'without a key' : 'with its position as key';
}

/** A repeated part has no key, or its position as key while the list is reordered and the parts remember something. */
export const listUnkeyed: Rule = {
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || traitsOf(component).keys === 'none') return [];
      return unkeyedParts(component).flatMap(({ repeat, part }): Found[] => {
        const how = problemOf(model, component, repeat, part);
        if (!how) return [];
        const at = locate(component.file, part.nameSpan);
        return [
          {
            rule: 'list-unkeyed',
            component: component.id,
            subject: 'key',
            at,
            words: {
              component: component.name,
              part: nameOf(part),
              how,
              anew: isMadeAnew(part.key) ? 'yes' : '',
              position: isPosition(component.facts, repeat, part.key) || traitsOf(component).keys === 'position' ? 'position' : '',
            },
            evidence: [
              { at, text: `${nameOf(part)} stands for one item of ${repeat.over}.` },
              ...(part.key.kind !== 'none' && isPosition(component.facts, repeat, part.key)
                ? [
                    {
                      at: locate(component.file, part.key.span),
                      text:
                        part.key.kind === 'position'
                          ? 'Its key is its position in the list.'
                          : `${part.key.text} is made from the position in the list.`,
                    },
                  ]
                : []),
            ],
            ...withEdits(keyEdit(component, repeat, part)),
            touches: component.id,
          },
        ];
      });
    }),
};
