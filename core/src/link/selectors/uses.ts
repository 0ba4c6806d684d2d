import { adapters } from '../../frameworks/registry';
import type {
  Binding,
  ComponentFacts,
  KeyFact,
  MemberFact,
  TemplateElement,
  TemplateNode,
  TemplateUse,
  UntakenFact,
} from '../../model/facts';
import { bindingKey } from '../../model/given';
import { defaultSlot, eventKey, memberName, memberOf, propKey } from '../../model/member';
import { elementMembers, isCommonAttribute, isElementTag, isPlatformTag } from '../../read/elements/platform';
import { platformAttributes } from '../../model/platform-names';
import { isNativeEvent } from '../../model/native-events';
import { foreignName } from '../elements/inherit';
import type { Reach, Selected } from './reach';
import { isSelected, parseSelector, type Selectable } from './selector';
import { ownValue } from '../../model/own-value';

/** What the uses of a template are found by. */
export type Finding = {
  readonly reach: Reach;
  /** All that the project has, whether in reach or not. */
  readonly all: readonly Selected[];
  /** The directives that come along with one, with the names that they have there. */
  readonly along: (selected: Selected) => readonly Along[];
  /** Names of attributes by which selectors of the project choose elements. */
  readonly taken: ReadonlySet<string>;
  /** Is told what nothing in reach takes. */
  readonly lose: (one: UntakenFact) => void;
};

/** A directive that comes along with another: its inputs and outputs by the names under which they are offered. */
export type Along = {
  readonly selected: Selected;
  readonly inputs: Readonly<Record<string, string>>;
  readonly outputs: Readonly<Record<string, string>>;
};

/** The names by which an element is found: its attributes, what is bound to it, and what it listens to. */
function selectableOf(tag: string, bindings: readonly Binding[]): Selectable {
  const attributes = new Map<string, string | undefined>();
  const classes = new Set<string>();
  for (const { to, constant, direction, asAttribute } of bindings) {
    if (asAttribute) continue;
    const text = constant === undefined ? undefined : constant.replace(/^["'](.*)["']$/s, '$1');
    if (to.kind === 'attribute' && to.name === 'class') for (const one of (text ?? '').split(/\s+/)) if (one !== '') classes.add(one);
    if (to.kind === 'class') classes.add(to.name);
    if (to.kind === 'attribute') attributes.set(to.name, text);
    else if (to.kind === 'property' && !attributes.has(to.name)) attributes.set(to.name, direction === 'in' ? text : undefined);
    else if (to.kind === 'listener' && to.on === 'self' && !attributes.has(to.name)) attributes.set(to.name, undefined);
  }
  return { tag, classes, attributes };
}

/** A template in which elements are uses of what their selectors mean. */
export function withSelected(nodes: readonly TemplateNode[], finding: Finding): TemplateNode[] {
  return nodes.flatMap((node) => nodeWith(node, finding));
}

function nodeWith(node: TemplateNode, finding: Finding): TemplateNode[] {
  switch (node.kind) {
    case 'text':
      return [node];
    case 'outlet':
      return [node.fallback ? { ...node, fallback: withSelected(node.fallback, finding) } : node];
    case 'repeat':
    case 'branch':
      return [{ ...node, children: withSelected(node.children, finding) }];
    case 'use':
      return [{ ...node, children: withSelected(node.children, finding) }];
    case 'element':
      return [elementWith(node, finding)];
  }
}

const noKey: KeyFact = { kind: 'none' };

function elementWith(node: TemplateElement, finding: Finding): TemplateNode {
  const bindings = node.bindings.map((one): Binding => (one.markup ? { ...one, markup: withSelected(one.markup, finding) } : one));
  const children = withSelected(node.children, finding);
  const element: TemplateElement = { ...node, bindings, children };
  if (node.tag === '') return element;
  const selectable = selectableOf(node.tag, bindings);
  const meant = finding.reach.selected.filter(({ alternatives }) => isSelected(alternatives, selectable));
  const component = meant.find(({ facts }) => facts.selected?.kind === 'component');
  const directives = meant.filter(({ facts }) => facts.selected?.kind === 'directive');
  const along = [...(component ? [component] : []), ...directives].flatMap((one) => finding.along(one));
  const onHost: Host[] = [
    ...directives.map((selected): Host => ({ selected, inputs: namesOf(selected, 'value'), outputs: namesOf(selected, 'callback') })),
    ...along,
  ];
  const taken = new Set<Binding>();
  const around = onHost.map((host) => ({ host, bindings: bindingsFor(bindings, host, taken) }));
  // A template with a star belongs to the one directive that its first name means, and so does all that is given with it.
  const [only, ...others] = around;
  if (node.isTemplate && only && others.length === 0)
    for (const one of bindings)
      if (one.to.kind === 'property' && !taken.has(one)) only.bindings.push({ ...one, to: { kind: 'prop', name: one.to.name } });
  loseUntaken(element, bindings, { component, isShared: onHost.length > 0, taken, selectable }, finding);
  const inner = component
    ? componentUse(element, component, bindings, taken, finding)
    : plainElement(element, bindings, taken, finding, selectable, onHost.length > 0);
  return around.reduceRight<TemplateNode>((inside, { host, bindings: own }) => directiveUse(element, host, own, inside), inner);
}

type Claimed = {
  readonly component: Selected | undefined;
  readonly isShared: boolean;
  readonly taken: ReadonlySet<Binding>;
  readonly selectable: Selectable;
};

/** Tells what is given to an element and nothing in reach takes: properties that it does not have, and templates that nobody stamps. */
function loseUntaken(
  { tag, isTemplate }: TemplateElement,
  bindings: readonly Binding[],
  { component, isShared, taken, selectable }: Claimed,
  { all, reach, lose }: Finding,
): void {
  // An unknown element brings nothing further.
  if (reach.isOpen || (!component && !isTemplate && !isPlatformTag(tag))) return;
  const forgotten = all.filter(
    (one) => one.facts.selected?.kind === 'directive' && !reach.selected.includes(one) && isSelected(one.alternatives, selectable),
  );
  if (isTemplate) {
    const [only] = forgotten;
    const [first] = bindings;
    if (only && first && !isShared && !bindings.some(({ to }) => reach.taken.has(to.name)))
      lose({ name: first.to.name, span: first.nameSpan, tag, by: only.facts.name, file: only.file, isStructural: true });
    return;
  }
  for (const binding of bindings) {
    const { foreign: name } = binding;
    if (name === undefined || taken.has(binding) || reach.taken.has(name)) continue;
    // What a component does not take is told with it.
    if (component && !isOwnBinding(name)) continue;
    if (component && hasMember(component.facts, binding)) continue;
    const by = forgotten.find(({ facts }) => facts.members.some(({ key }) => key === propKey(name)));
    const own = bringing(name);
    const known = by ? { by: by.facts.name, file: by.file } : own === undefined ? {} : { by: own };
    lose({ name, span: binding.nameSpan, tag, ...known });
  }
  for (const { facts, file, alternatives } of forgotten) {
    const chosenBy = new Set(alternatives.flatMap(({ attributes }) => attributes.map(({ name }) => name)));
    const text = bindings.find(({ to }) => to.kind === 'attribute' && chosenBy.has(to.name) && !isOfPlatform(to.name));
    if (text) lose({ name: text.to.name, span: text.nameSpan, tag, by: facts.name, file, isText: true });
  }
}

const isOfPlatform = (name: string): boolean => isCommonAttribute(name.toLowerCase()) || platformAttributes.has(name.toLowerCase());

/** What brings a directive of the framework into reach that takes a name. */
export function bringing(name: string): string | undefined {
  for (const { link } of adapters) for (const [by, names] of link.selectors?.directives ?? []) if (names.includes(name)) return by;
  return undefined;
}

/** A directive on an element, with its members by the names that they have there. */
type Host = Along;

const namesOf = ({ facts }: Selected, kind: 'value' | 'callback'): Record<string, string> =>
  Object.fromEntries(
    facts.members
      .filter((one) => (one.kind === 'callback') === (kind === 'callback') && one.kind !== 'slot')
      .map(({ name }): [string, string] => [name, name]),
  );

/** What an element gives to one directive on it; each may be given to several, and to the element no more. */
function bindingsFor(bindings: readonly Binding[], { inputs, outputs }: Host, taken: Set<Binding>): Binding[] {
  return bindings.flatMap((binding): Binding[] => {
    const { to } = binding;
    if (binding.asAttribute) return [];
    const member =
      (to.kind === 'property' || to.kind === 'attribute') && Object.hasOwn(inputs, to.name)
        ? ({ kind: 'prop', name: ownValue(inputs, to.name) ?? to.name } as const)
        : to.kind === 'listener' && to.on === 'self' && Object.hasOwn(outputs, to.name)
          ? ({ kind: 'event', name: ownValue(outputs, to.name) ?? to.name } as const)
          : undefined;
    if (!member) return [];
    taken.add(binding);
    return [{ ...binding, to: member }];
  });
}

function asUse(element: TemplateElement, tag: string, bindings: readonly Binding[]): TemplateUse {
  const { span, nameSpan, key, ref, children } = element;
  return {
    kind: 'use',
    tag,
    span,
    nameSpan,
    bindings,
    spreads: [],
    children,
    key,
    content: children.length > 0 ? 'markup' : element.hasText ? 'text' : 'none',
    element: element.tag,
    ...(ref ? { ref } : {}),
  };
}

/** Bindings that say something to a component, to the element that it stands for, or to nobody. */
function targetFor(binding: Binding, { facts }: Selected, tag: string, finding: Finding): Binding {
  const { to, asAttribute } = binding;
  const has = (key: MemberFact['key']): boolean => facts.members.some((one) => one.key === key);
  if (asAttribute) return binding;
  switch (to.kind) {
    case 'attribute':
      if (has(propKey(to.name))) return { ...binding, to: { kind: 'prop', name: to.name } };
      // Written as a text, a name that nothing takes does no harm; one that is clearly meant for an input does not reach it.
      if (isMisspelt(to.name, facts)) return { ...binding, to: { kind: 'prop', name: to.name }, asAttribute: 'text' };
      return isForNobody(binding, tag, finding) ? { ...binding, to: { kind: 'prop', name: to.name }, asAttribute: 'text' } : binding;
    case 'property':
      if (has(propKey(to.name))) return { ...binding, to: { kind: 'prop', name: to.name } };
      // Both ways it is bound to what the framework itself gives, or to a member.
      return finding.reach.taken.has(to.name) || (binding.direction === 'two-way' ? isOwnBinding(to.name) : isElementProperty(tag, to.name))
        ? binding
        : { ...binding, to: { kind: 'prop', name: to.name } };
    case 'listener':
      if (to.on !== 'self') return binding;
      if (has(eventKey(to.name))) return { ...binding, to: { kind: 'event', name: to.name } };
      return isNativeEvent(to.name) ? binding : { ...binding, to: { kind: 'event', name: to.name } };
    default:
      return binding;
  }
}

/** An attribute that says something as a text, which neither the platform nor anything of the project can take. */
function isForNobody({ to, constant = '""' }: Binding, tag: string, { reach, taken }: Finding): boolean {
  const name = to.name.toLowerCase();
  if (reach.isOpen || reach.taken.has(to.name) || /^["']?["']?$/.test(constant) || !isElementTag(tag)) return false;
  return !isCommonAttribute(name) && !platformAttributes.has(name) && !/^(?:i18n|ng|xmlns)|[-:]/.test(name) && !taken.has(to.name);
}

const isMisspelt = (name: string, { members }: ComponentFacts): boolean =>
  !isCommonAttribute(name.toLowerCase()) &&
  members.some((one) => one.kind === 'value' && one.name !== name && one.name.toLowerCase() === name.toLowerCase().replace(/-/g, ''));

const ownBindings = adapters.flatMap(({ link }) => link.selectors?.ownBindings ?? []);

const isOwnBinding = (name: string): boolean => ownBindings.some((one) => one.test(name));

/** Properties that any element has, and those that the elements of the platform have under the names of their attributes. */
const isElementProperty = (tag: string, name: string): boolean =>
  elementMembers.has(name) ||
  isCommonAttribute(name.toLowerCase()) ||
  (!isElementTag(tag) && platformAttributes.has(name.toLowerCase())) ||
  isOwnBinding(name);

function componentUse(
  element: TemplateElement,
  component: Selected,
  bindings: readonly Binding[],
  taken: ReadonlySet<Binding>,
  finding: Finding,
): TemplateUse {
  const own = bindings
    .filter((one) => (!taken.has(one) || hasMember(component.facts, one)) && (!one.isUp || hasMember(component.facts, one)))
    .map((one) => targetFor(one, component, element.tag, finding));
  const { children, slots } = contentOf(element.children, component.facts);
  const use = asUse({ ...element, children }, foreignName(component.file, component.facts.local), [...own, ...slots]);
  return children.length === 0 && !element.hasText ? { ...use, content: 'none' } : use;
}

const hasMember = ({ members }: ComponentFacts, { to }: Binding): boolean =>
  members.some(({ key }) => key === (to.kind === 'listener' ? eventKey(to.name) : propKey(to.name)));

/** Content by the slots that choose it: templates by the names that they bear, all else by the selectors of the slots. */
function contentOf(nodes: readonly TemplateNode[], { members, slots }: ComponentFacts): { children: TemplateNode[]; slots: Binding[] } {
  const named = new Set(members.filter(({ kind }) => kind === 'slot').map(({ key }) => key));
  const choosing = slots.flatMap(({ key }) => {
    const name = memberName(key);
    return key === defaultSlot || !/[[.:#,*]|^[a-z]/.test(name) ? [] : [{ key, alternatives: parseSelector(name) }];
  });
  const bySlot = new Map<MemberFact['key'], TemplateNode[]>();
  const made: Binding[] = [];
  const children: TemplateNode[] = [];
  for (const node of nodes) {
    const given = node.kind === 'element' && node.isTemplate ? node.bindings.find((one) => one.to.kind === 'slot') : undefined;
    const key = given && bindingKey(given);
    if (given && key !== undefined && named.has(key)) {
      made.push(given);
      continue;
    }
    const asked = node.kind === 'element' ? node.names?.find((one) => named.has(`slot:${one.name}` as MemberFact['key'])) : undefined;
    if (asked && node.kind === 'element') {
      const to = memberOf(`slot:${asked.name}` as MemberFact['key']);
      made.push({ to, written: `#${asked.name}`, span: asked.span, nameSpan: asked.span, direction: 'in', readings: [], markup: [node] });
      continue;
    }
    const slot = choosing.find(({ alternatives }) => chosen(node, alternatives));
    if (slot) bySlot.set(slot.key, [...(bySlot.get(slot.key) ?? []), node]);
    else children.push(node);
  }
  for (const [key, markup] of bySlot) {
    const [first] = markup;
    const span = first?.span ?? { start: 0, end: 0 };
    made.push({ to: memberOf(key), written: memberName(key), span, nameSpan: span, direction: 'in', readings: [], markup });
  }
  return { children, slots: made };
}

/** Whether a selector chooses a node of the content: an element, or the one that a condition or a list shows. */
function chosen(node: TemplateNode, alternatives: ReturnType<typeof parseSelector>): boolean {
  if (node.kind === 'element' || node.kind === 'use')
    return isSelected(alternatives, selectableOf(node.kind === 'use' ? tagWritten(node) : node.tag, writtenBindings(node)));
  if (node.kind !== 'branch' && node.kind !== 'repeat') return false;
  const [only, ...more] = node.children;
  return only !== undefined && more.length === 0 && chosen(only, alternatives);
}

const tagWritten = (node: TemplateUse): string => node.element ?? '';
const writtenBindings = (node: TemplateElement | TemplateUse): readonly Binding[] =>
  node.kind === 'use' && node.onHost
    ? node.children
        .flatMap((one) => (one.kind === 'use' || one.kind === 'element' ? writtenBindings(one) : []))
        .concat(node.bindings.map(asWritten))
    : node.bindings.map(asWritten);

/** A binding as the element has it, whatever it has become. */
const asWritten = (binding: Binding): Binding =>
  binding.to.kind === 'prop'
    ? { ...binding, to: { kind: binding.constant === undefined ? 'property' : 'attribute', name: binding.to.name } }
    : binding;

/** An element that is no component: what nothing takes of it stays its own. */
function plainElement(
  element: TemplateElement,
  bindings: readonly Binding[],
  taken: ReadonlySet<Binding>,
  finding: Finding,
  selectable: Selectable,
  isShared: boolean,
): TemplateNode {
  const rest = bindings.filter((one) => !taken.has(one) || one.to.kind === 'attribute');
  if (element.isTemplate) return templateElement(element, rest, isShared);
  const { reach } = finding;
  const isUnknown = !isPlatformTag(element.tag) && !isShared;
  const forgotten = isUnknown
    ? finding.all.some(({ facts, alternatives }) => facts.selected?.kind === 'component' && isSelected(alternatives, selectable))
    : false;
  if (isUnknown && (forgotten || (!reach.isOpen && isElementTag(element.tag))))
    return {
      ...asUse(element, element.tag, []),
      spreads: [{ span: element.span, readings: bindings.flatMap((one) => [...one.readings]) }],
      unregistered: true,
    };
  return { ...element, bindings: rest };
}

/** What is repeated by way of a template bears its key. */
function keyed(node: TemplateNode, key: KeyFact): TemplateNode {
  if (key.kind === 'none') return node;
  if (node.kind === 'branch' || (node.kind === 'element' && node.tag === ''))
    return { ...node, children: node.children.map((one) => keyed(one, key)) };
  if ((node.kind === 'element' || node.kind === 'use') && node.key.kind === 'none') return { ...node, key };
  return node;
}

/** A template that a directive stamps holds its content for it; one that nothing is known of is shown by somebody. */
function templateElement(element: TemplateElement, bindings: readonly Binding[], isShared: boolean): TemplateNode {
  const content = bindings.find((one) => one.to.kind === 'slot');
  const children = content?.markup ?? element.children;
  if (isShared) return { ...element, tag: '', bindings: [], children };
  return content && memberName(bindingKey(content) ?? defaultSlot) !== 'default'
    ? { ...element, bindings }
    : {
        kind: 'branch',
        when: 'its template is shown',
        negated: false,
        readings: [],
        span: element.span,
        children: children.map((one) => keyed(one, element.key)),
      };
}

function directiveUse(element: TemplateElement, { selected }: Host, bindings: readonly Binding[], inside: TemplateNode): TemplateUse {
  const { span, nameSpan, key } = element;
  const content = element.bindings.find((one) => one.to.kind === 'slot' && bindingKey(one) === defaultSlot);
  return {
    kind: 'use',
    tag: foreignName(selected.file, selected.facts.local),
    span,
    nameSpan,
    bindings,
    spreads: [],
    children: [inside],
    key: inside.kind === 'element' || inside.kind === 'use' ? key : noKey,
    content: content?.slotProps ? 'function' : 'markup',
    onHost: true,
    element: element.tag,
    ...(content?.slotProps ? { slotProps: content.slotProps } : {}),
  };
}
