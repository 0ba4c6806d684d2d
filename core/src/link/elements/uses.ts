import type {
  Binding,
  BindingTarget,
  ComponentFacts,
  FileFacts,
  MemberFact,
  TemplateElement,
  TemplateNode,
  TemplateUse,
  ValueFact,
} from '../../model/facts';
import { propKey } from '../../model/member';
import type { FilePath } from '../../model/span';
import { elementMembers, isCommonAttribute, isElementTag } from '../../read/elements/platform';
import { hyphened } from '../../write/case';
import { foreignName } from './inherit';
import { ownValue } from '../../model/own-value';

/** A component that a tag stands for. */
export type Defined = { readonly file: FilePath; readonly facts: ComponentFacts };

/** Finds the component that a tag of a file stands for, with what it has from the classes that it extends. */
export type FindDefined = (file: FilePath, tag: string) => Defined | undefined;

/** Properties that a use sets and that the class has under that name without declaring them to users, by component. */
export type SetFromOutside = Map<ComponentFacts, Set<string>>;

const memberNamed = (facts: ComponentFacts, name: string): MemberFact | undefined => facts.members.find((one) => one.key === propKey(name));

/** What a binding of an element sets: a property by its attribute, or by its own name. */
function targetOf(to: BindingTarget, { facts }: Defined, isFramework: boolean): BindingTarget {
  const element = facts.element;
  switch (to.kind) {
    case 'attribute': {
      const property = ownValue(element?.attributes, to.name.toLowerCase()) ?? (memberNamed(facts, to.name) ? to.name : undefined);
      if (property !== undefined) return { kind: 'prop', name: property };
      // Other frameworks set a property where the element has one.
      if (isFramework && ownValue(element?.names, to.name) !== undefined) return { kind: 'prop', name: to.name };
      return isCommonAttribute(to.name.toLowerCase()) || to.name.startsWith(':') || /[@.:{]/.test(to.name)
        ? to
        : { kind: 'prop', name: to.name };
    }
    case 'property':
      return elementMembers.has(to.name) && !memberNamed(facts, to.name) ? to : { kind: 'prop', name: to.name };
    case 'prop':
      return elementMembers.has(to.name) && !memberNamed(facts, to.name) ? { kind: 'property', name: to.name } : to;
    case 'listener':
      return to.on === 'self' ? { kind: 'event', name: to.name } : to;
    default:
      return to;
  }
}

function bound(node: TemplateUse | TemplateElement, defined: Defined, isFramework: boolean, outside: SetFromOutside): readonly Binding[] {
  return node.bindings.map((binding) => {
    const to = targetOf(binding.to, defined, isFramework);
    if (
      to.kind === 'prop' &&
      !defined.facts.element?.keepsFields &&
      !memberNamed(defined.facts, to.name) &&
      ownValue(defined.facts.element?.names, to.name) !== undefined &&
      !/^[#_]/.test(to.name)
    ) {
      const known = outside.get(defined.facts) ?? new Set();
      outside.set(defined.facts, known.add(to.name));
    }
    return to === binding.to ? binding : { ...binding, to };
  });
}

/** A template in which tags of elements are uses of what defines them; the same where there are none. */
export function withUses(
  nodes: readonly TemplateNode[],
  file: FilePath,
  find: FindDefined,
  isFramework: boolean,
  outside: SetFromOutside,
): readonly TemplateNode[] {
  let changed = false;
  const made = nodes.map((node): TemplateNode => {
    const next = nodeWithUses(node, file, find, isFramework, outside);
    if (next !== node) changed = true;
    return next;
  });
  return changed ? made : nodes;
}

/** `TideGauge` → `tide-gauge`: the tag that markup of another framework means by a name. */
const tagOf = (name: string): string => hyphened(name).replace(/^-/, '');

function nodeWithUses(node: TemplateNode, file: FilePath, find: FindDefined, isFramework: boolean, outside: SetFromOutside): TemplateNode {
  const inner = (nodes: readonly TemplateNode[]): readonly TemplateNode[] => withUses(nodes, file, find, isFramework, outside);
  switch (node.kind) {
    case 'text':
      return node;
    case 'outlet': {
      const fallback = node.fallback && inner(node.fallback);
      return fallback === node.fallback || !fallback ? node : { ...node, fallback };
    }
    case 'repeat':
    case 'branch': {
      const children = inner(node.children);
      return children === node.children ? node : { ...node, children };
    }
    case 'element': {
      const children = inner(node.children);
      const defined = isElementTag(node.tag.toLowerCase()) ? find(file, node.tag.toLowerCase()) : undefined;
      if (!defined) return children === node.children ? node : { ...node, children };
      const { kind: _, aroundOne: __, ...rest } = node;
      return {
        ...rest,
        kind: 'use',
        tag: foreignName(defined.file, defined.facts.local),
        bindings: bound(node, defined, isFramework, outside),
        children,
        content: children.length > 0 ? 'markup' : 'none',
      };
    }
    case 'use': {
      const bindings = node.bindings.map((one): Binding => {
        const markup = one.markup && inner(one.markup);
        return markup === one.markup || !markup ? one : { ...one, markup };
      });
      const same = bindings.every((one, at) => one === node.bindings[at]);
      const children = inner(node.children);
      const defined = node.tag === '' ? undefined : find(file, node.tag);
      const whole = { ...node, bindings: same ? node.bindings : bindings };
      const spelt = defined || !isFramework ? undefined : find(file, tagOf(node.tag));
      if (spelt)
        return { ...whole, tag: foreignName(spelt.file, spelt.facts.local), children, bindings: bound(whole, spelt, true, outside) };
      if (!defined) return same && children === node.children ? node : { ...whole, children };
      return { ...whole, children, bindings: bound(whole, defined, isFramework, outside) };
    }
  }
}

/** The facts of a component whose fields are set from outside: each is a property of its contract. */
export function withOutside(facts: ComponentFacts, names: ReadonlySet<string>): ComponentFacts {
  const values: ValueFact[] = [...facts.values];
  const members: MemberFact[] = [...facts.members];
  for (const name of names) {
    const at = ownValue(facts.element?.names, name);
    const value = at === undefined ? undefined : values[at];
    if (at === undefined || !value || memberNamed(facts, name) || (value.kind !== 'state' && value.kind !== 'prop')) continue;
    values[at] = { ...value, name, kind: 'prop' };
    members.push({ key: propKey(name), name, span: value.span, kind: 'value', required: 'no' });
  }
  return { ...facts, values, members };
}

/** The facts of a file with the elements in its markup as uses. */
export function fileWithUses(facts: FileFacts, findAny: FindDefined, isFramework: boolean, outside: SetFromOutside): FileFacts {
  // What the file imports is what its tags mean, however they are written.
  const own = new Set(facts.imports.map(({ local }) => tagOf(local)));
  const find: FindDefined = (file, tag) => (isFramework && own.has(tag) ? undefined : findAny(file, tag));
  const read = <Body extends { readonly template: readonly TemplateNode[] }>(body: Body): Body => {
    const template = withUses(body.template, facts.file, find, isFramework, outside);
    return template === body.template ? body : { ...body, template };
  };
  const components = facts.components.map(read);
  const roots = facts.roots.map(read);
  const same = components.every((one, at) => one === facts.components[at]) && roots.every((one, at) => one === facts.roots[at]);
  return same ? facts : { ...facts, components, roots };
}
