import { traitsOf } from '../../frameworks/registry';
import type {
  ActionFact,
  Binding,
  ComponentFacts,
  FileFacts,
  PageListener,
  TemplateElement,
  TemplateNode,
  TemplateUse,
} from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Names } from '../names';

type Placed = PageListener & { readonly file: FilePath };

/** What the scripts of a page listen for that are modules of their own: those it loads, and what these import. */
function listenersOf(files: ReadonlyMap<FilePath, FileFacts>, names: Names, page: FileFacts): Placed[] {
  const found: Placed[] = [];
  const seen = new Set([page.file]);
  const stack = [page];
  for (let at = stack.pop(); at; at = stack.pop())
    for (const from of [...at.imports.flatMap((one) => (one.typeOnly ? [] : one.from)), ...(at.effects ?? [])]) {
      const resolved = names.resolveModule(at.file, from);
      const facts = resolved.kind === 'file' && !seen.has(resolved.file) ? files.get(resolved.file) : undefined;
      if (!facts) continue;
      seen.add(facts.file);
      stack.push(facts);
      for (const one of facts.listensOn ?? []) found.push({ ...one, file: facts.file });
    }
  return found;
}

const constantOf = ({ bindings }: TemplateElement | TemplateUse, name: string): string =>
  bindings.find(({ to }) => to.name === name && to.kind !== 'event')?.constant?.replace(/^(['"])(.*)\1$/, '$2') ?? '';

/** Whether an element is one that a selector of one tag, id or class finds. */
function isFound(node: TemplateElement | TemplateUse, selector: string): boolean {
  const [, mark, name = ''] = /^([#.]?)([\w-]+)$/.exec(selector) ?? [];
  if (mark === '#') return constantOf(node, 'id') === name;
  if (mark === '.') return constantOf(node, 'class').split(/\s+/).includes(name);
  return mark === '' && node.tag.toLowerCase() === name.toLowerCase();
}

/** What a listener does is not read: it stands in a module of its own. */
const actionOf = ({ event, span, file }: Placed): ActionFact => ({
  name: event,
  kind: 'handler',
  span: { ...span, file },
  reads: [],
  changes: [],
  raises: [],
  calls: [],
  invokes: [],
  sends: [],
  hears: [],
  cleansUp: false,
  returns: [],
});

const bindingOf = ({ event, span, nameSpan, file }: Placed, action: number): Binding => ({
  to: { kind: 'event', name: event },
  written: event,
  span: { ...span, file },
  nameSpan: { ...nameSpan, file },
  direction: 'out',
  readings: [],
  action,
});

function withListeners(nodes: readonly TemplateNode[], all: readonly Placed[], first: number): TemplateNode[] {
  return nodes.map((node): TemplateNode => {
    if (node.kind !== 'element' && node.kind !== 'use') return node;
    const heard = all.flatMap((one, index) => (isFound(node, one.selector) ? [bindingOf(one, first + index)] : []));
    return { ...node, bindings: [...node.bindings, ...heard], children: withListeners(node.children, all, first) };
  });
}

/** The facts of a page of static HTML, with the listeners that its scripts put on what they find in it; as they are where there are none. */
export function withPageScripts(files: ReadonlyMap<FilePath, FileFacts>, names: Names, page: FileFacts): FileFacts {
  if (!traitsOf(page).areElements || !page.components.some(({ form }) => form === 'file')) return page;
  const all = listenersOf(files, names, page);
  if (all.length === 0) return page;
  const components = page.components.map((one): ComponentFacts => ({
    ...one,
    template: withListeners(one.template, all, one.actions.length),
    actions: [...one.actions, ...all.map(actionOf)],
  }));
  return { ...page, components };
}
