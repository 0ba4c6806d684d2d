import { traitsOf } from '../frameworks/registry';
import type { Binding, ComponentFacts, FileFacts, TemplateNode, TemplateUse } from '../model/facts';
import { isSlotKey, keyOfMember, memberName, memberOf, propKey } from '../model/member';
import type { FilePath } from '../model/span';
import type { Names } from './names';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** `foot-note` → `footNote`. */
const joined = (name: string): string => name.replace(/-([a-z\d])/g, (_, letter: string) => letter.toUpperCase());

/**
 * The facts of a project in which pages that a server makes use parts of other frameworks: content that such a page gives
 * by the name of a slot is for the prop of that name, where the part has no slots but props. Facts of all other files are
 * as they were.
 */
export function joinIslands(files: Files, names: Names): Files {
  if (![...files.values()].some((facts) => traitsOf(facts).madeOnce)) return files;
  const found = new Map(files);
  for (const [file, facts] of files) {
    if (!traitsOf(facts).madeOnce) continue;
    const components = facts.components.map((one) => withCrossing(one, file));
    if (components.some((one, index) => one !== facts.components[index])) found.set(file, { ...facts, components });
  }
  return found;

  function withCrossing(component: ComponentFacts, file: FilePath): ComponentFacts {
    const template = mapped(component.template, (use) => crossed(use, file));
    return template === component.template ? component : { ...component, template };
  }

  function crossed(use: TemplateUse, file: FilePath): TemplateUse {
    if (!use.bindings.some(({ to }) => to.kind === 'slot')) return use;
    const meant = names.meant(file, use.tag);
    const target = meant.kind === 'component' ? files.get(meant.file) : undefined;
    if (meant.kind !== 'component' || !target || traitsOf(target).madeOnce) return use;
    const bindings = use.bindings.map((binding) => ({ ...binding, to: placeFor(binding, meant.facts, traitsOf(target).onlyProps) }));
    return { ...use, bindings };
  }
}

/** Where content for a slot goes in a part: to the slot of that name, else to the prop; parts with props alone have names that script can write. */
function placeFor({ to }: Binding, { members }: ComponentFacts, isJoined: boolean): Binding['to'] {
  const key = to.kind === 'slot' ? keyOfMember(to) : undefined;
  if (key === undefined || !isSlotKey(key) || members.some((one) => one.key === key)) return to;
  const name = memberName(key);
  const prop = propKey(isJoined ? joined(name) : name);
  return isJoined || members.some((one) => one.key === prop) ? memberOf(prop) : to;
}

/** A template with some of its uses in another form; the same one where none is. */
function mapped(nodes: readonly TemplateNode[], change: (use: TemplateUse) => TemplateUse): readonly TemplateNode[] {
  const next = nodes.map((node) => nodeWith(node, change));
  return next.every((one, index) => one === nodes[index]) ? nodes : next;
}

function nodeWith(node: TemplateNode, change: (use: TemplateUse) => TemplateUse): TemplateNode {
  switch (node.kind) {
    case 'text':
      return node;
    case 'outlet': {
      const fallback = node.fallback && mapped(node.fallback, change);
      return fallback === node.fallback ? node : { ...node, ...(fallback ? { fallback } : {}) };
    }
    case 'repeat':
    case 'branch': {
      const children = mapped(node.children, change);
      return children === node.children ? node : { ...node, children };
    }
    case 'element':
    case 'use': {
      const children = mapped(node.children, change);
      const bindings = node.bindings.map((one): Binding => {
        const markup = one.markup && mapped(one.markup, change);
        return markup === one.markup || !markup ? one : { ...one, markup };
      });
      const isSame = children === node.children && bindings.every((one, index) => one === node.bindings[index]);
      const inner = isSame ? node : { ...node, children, bindings };
      return inner.kind === 'use' ? change(inner) : inner;
    }
  }
}
