import type { Binding, TemplateNode } from '../../model/facts';
import { adapterOf } from '../../frameworks/registry';
import { parseComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import type { Span } from '../../model/span';

/** One attribute of a piece, under a name that is the same whatever the framework writes. */
export type Trait = {
  readonly name: string;
  readonly kind: 'class' | 'constant' | 'value' | 'handler' | 'content';
  readonly binding: Binding;
};

/** A node of a component's markup, as far as it says what the component is made of. */
export type Piece = {
  readonly index: number;
  /** Index of the piece around it; -1 for the outermost. */
  readonly parent: number;
  /** Index after its last descendant. */
  readonly end: number;
  readonly kind: TemplateNode['kind'];
  /** As `kind`, but what is shown is one thing, be it a value or content: which of them is often known to its users alone. */
  readonly role: Exclude<TemplateNode['kind'], 'outlet'>;
  /** What it is: a tag, or who is meant by it; empty where the kind says all. */
  readonly label: string;
  readonly traits: readonly Trait[];
  /** What it takes to write it, without what is in it; and with that. In attributes and tags, a tag counting two. */
  readonly own: number;
  readonly total: number;
  readonly span: Span;
  readonly node: TemplateNode;
  readonly children: readonly number[];
};

/** The markup of a component as pieces, in the order of the text; fragments are left out, what is in them is kept. */
export type Pieces = {
  readonly component: Component;
  readonly nodes: readonly Piece[];
  readonly roots: readonly number[];
  readonly total: number;
};

const kept = { exact: new WeakMap<Component, Pieces>(), 'by name': new WeakMap<Component, Pieces>() };
/** Attributes that tell a thing apart for the framework alone. */
const unsaid = new Set(['key', 'ref', 'slot']);

/** The name of a trait that is the same whatever a framework has around it: `maxLevel` and `max-level` are one, so are a listener and a prop `onPick`. */
function traitName({ to }: Binding, classProp: string): string {
  if (to.kind === 'class' || to.name === 'class' || to.name === classProp) return 'class';
  return `${to.kind === 'event' || to.kind === 'listener' ? 'on' : ''}${to.name}`.replace(/[-:]/g, '').toLowerCase();
}

function traitOf(binding: Binding, classProp: string): Trait {
  const name = traitName(binding, classProp);
  if (name === 'class') return { name, kind: 'class', binding };
  if (binding.markup) return { name, kind: 'content', binding };
  if (binding.direction === 'out' || binding.action !== undefined) return { name, kind: 'handler', binding };
  return { name, kind: binding.readings.length === 0 && binding.constant !== undefined ? 'constant' : 'value', binding };
}

/** Whom a tag means: the very component, or, where components of several frameworks are compared, any of that name. */
export type Naming = 'exact' | 'by name';

function labelOf(model: Model, node: TemplateNode, naming: Naming): string {
  if (node.kind === 'element') return node.tag;
  if (node.kind !== 'use') return '';
  const target = model.useOfNode.get(node)?.target;
  if (naming === 'by name') return target?.kind === 'component' ? parseComponentId(target.id).name : node.tag;
  if (target?.kind === 'component') return target.id;
  if (target?.kind === 'outside') return `${target.module} ${target.name}`;
  return node.tag;
}

/** What is drawn is no structure of the component: an icon is like each other icon. */
const isDrawing = (node: TemplateNode): boolean => node.kind === 'element' && node.tag === 'svg';

/** The pieces of a component; empty for one without markup. */
export function piecesOf(model: Model, component: Component, naming: Naming = 'exact'): Pieces {
  const known = kept[naming].get(component);
  if (known) return known;
  type Growing = { -readonly [Key in keyof Piece]: Piece[Key] } & { children: number[] };
  const { classProp } = adapterOf(component.framework).link;
  const nodes: Growing[] = [];
  const roots: number[] = [];
  // Parents before children, without recursion; a mark closes each node when all below it is placed.
  const stack: ({ readonly node: TemplateNode; readonly parent: number } | { readonly close: number })[] = [];
  const push = (children: readonly TemplateNode[], parent: number): void => {
    for (let at = children.length - 1; at >= 0; at--) stack.push({ node: children[at] as TemplateNode, parent });
  };
  push(component.facts.template, -1);
  for (let step = stack.pop(); step; step = stack.pop()) {
    if ('close' in step) {
      const done = nodes[step.close];
      if (!done) continue;
      done.end = nodes.length;
      done.total = done.own + done.children.reduce((sum, child) => sum + (nodes[child]?.total ?? 0), 0);
      continue;
    }
    const { node, parent } = step;
    if (node.kind === 'element' && node.tag === '') {
      push(node.children, parent);
      continue;
    }
    const hasTraits = node.kind === 'element' || node.kind === 'use';
    const traits = hasTraits ? node.bindings.filter((one) => !unsaid.has(one.to.name)).map((one) => traitOf(one, classProp)) : [];
    const index = nodes.length;
    const own = (hasTraits ? 2 + traits.length + node.spreads.length : node.kind === 'text' || node.kind === 'outlet' ? 1 : 2) * 1;
    nodes.push({
      index,
      parent,
      end: index + 1,
      kind: node.kind,
      role: node.kind === 'outlet' ? 'text' : node.kind,
      label: labelOf(model, node, naming),
      traits,
      own,
      total: own,
      span: node.span,
      node,
      children: [],
    });
    if (parent >= 0) nodes[parent]?.children.push(index);
    else roots.push(index);
    stack.push({ close: index });
    if (isDrawing(node)) continue;
    if (hasTraits) push(node.children, index);
    else if (node.kind === 'repeat' || node.kind === 'branch') push(node.children, index);
    else if (node.kind === 'outlet') push(node.fallback ?? [], index);
    if (hasTraits) for (const trait of [...traits].reverse()) push(trait.binding.markup ?? [], index);
  }
  const made = { component, nodes, roots, total: roots.reduce((sum, root) => sum + (nodes[root]?.total ?? 0), 0) };
  kept[naming].set(component, made);
  return made;
}
