import { nearest } from '../../contract';
import { adapters } from '../../frameworks/registry';
import type { Binding } from '../../model/facts';
import { bindingFor, memberKeyOf } from '../../model/given';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import type { Tree } from '../../model/tree';
import { unfold } from '../../tree';
import type { Check, Found } from '../rule';

/** What the markup of a page is asked for by, and of what not all can be seen: of elements, or of ids or classes alone. */
type Markup = { readonly names: ReadonlySet<string>; readonly open: ReadonlySet<'elements' | 'ids' | 'classes'> };

/** Whether markup may hold what a selector asks for, as far as can be seen. */
function mayHold({ names, open }: Markup, selector: string): boolean {
  if (names.has(selector) || open.has('elements')) return true;
  return (selector.startsWith('#') && open.has('ids')) || (selector.startsWith('.') && open.has('classes'));
}

/** Of the pages on which a script stands, so many are looked at; it is there that it finds what it asks for, or nowhere. */
const mostPages = 20;

/** Tags of what frameworks bring themselves: pictures, code, and what stands in the head. Ids and classes these have from who uses them. */
const ofFrameworks = ['img', 'picture', 'source', 'pre', 'code', 'script', 'style', 'link', 'meta'];

const isOfFramework = (module: string): boolean => adapters.some(({ ownPackages }) => ownPackages.test(module));

const simple = /^(?:#[\w-]+|\.[\w-]+|\[[\w-]+\]|[a-z][\w-]*)$/;

/** Elements that scripts ask pages for, unguarded, and that no markup of the page has. */
export function lostLookUps({ model, pages }: Check): Found[] {
  const asking = [...model.components.values()].filter(({ facts, fileRole }) => fileRole === 'source' && (facts.lookUps?.length ?? 0) > 0);
  if (asking.length === 0) return [];
  const found = new Map<string, Found>();
  const present = new Set<string>();
  const asked = new Set(asking.flatMap(({ id }) => pages.pagesOf(id).slice(0, mostPages)));
  for (const page of asked) {
    const tree = unfold(model, page);
    const markup = markupOf(model, tree);
    const there = new Set(tree.places.map((place) => place.component));
    for (const component of asking) {
      if (!there.has(component.id)) continue;
      for (const { selector, span, guarded } of component.facts.lookUps ?? []) {
        const key = `${component.id} ${span.start}`;
        if (guarded || !simple.test(selector)) continue;
        if (mayHold(markup, selector)) present.add(key);
        else found.set(key, foundAt(component, selector, span, nearest(selector, [...markup.names])));
      }
    }
  }
  return [...found].flatMap(([key, one]) => (present.has(key) ? [] : [one]));
}

function foundAt(component: Component, selector: string, span: { start: number; end: number }, near: string | undefined): Found {
  const at = locate(component.file, span);
  const name = selector.replace(/^[#.]|^\[|\]$/g, '');
  return {
    rule: 'name-unknown',
    component: component.id,
    subject: name,
    at,
    words: { component: component.name, name: selector, how: 'looked-up', ...(near === undefined ? {} : { near }) },
    evidence: [{ at, text: `The script asks the page for ${selector}, and goes on as if it were there.` }],
    touches: component.id,
  };
}

/** All that the markup of a page can be asked for by: ids, classes, attributes and tags of all that stands on it. */
function markupOf(model: Model, tree: Tree): Markup {
  const names = new Set<string>();
  const seen = new Set<ComponentId>();
  const open = new Set<'elements' | 'ids' | 'classes'>(tree.truncated ? ['elements'] : []);
  for (const { component: id } of tree.places) {
    if (seen.has(id)) continue;
    seen.add(id);
    const component = model.components.get(id);
    if (!component) continue;
    for (const tag of component.facts.element?.tags ?? []) names.add(tag);
    if (component.facts.namesElements) open.add('elements');
    walkTemplate(component.facts.template, (node) => {
      if (node.kind !== 'element' && node.kind !== 'use') return;
      if (node.kind === 'use') {
        if (node.element !== undefined) names.add(node.element);
        const target = model.useOfNode.get(node)?.target;
        if (target?.kind === 'outside' && isOfFramework(target.module)) for (const tag of ofFrameworks) names.add(tag);
        else if (target?.kind !== 'component' && target?.kind !== 'provider' && target?.kind !== 'consumer') open.add('elements');
      } else {
        names.add(node.tag);
        // What falls through stands at the use that gives it.
        if (node.spreads.some((one) => !one.fallsThrough)) open.add('elements');
      }
      for (const binding of node.bindings) {
        const { name } = binding.to;
        names.add(`[${name}]`);
        if (name !== 'id' && name !== 'class' && name !== 'className') continue;
        const texts = textsOf(model, component, binding);
        if (!texts) open.add(name === 'id' ? 'ids' : 'classes');
        for (const text of texts ?? [])
          for (const one of text.split(/\s+/)) if (one !== '') names.add(name === 'id' ? `#${one}` : `.${one}`);
      }
    });
  }
  return { names, open };
}

const unquoted = (text: string): string | undefined => /^(["'`])([^"'`$]*)\1$/.exec(text.trim())?.[2];

/** The texts that an attribute may be: the one written, or those that users give a prop, with its default. Undefined where they cannot all be seen. */
function textsOf(model: Model, component: Component, { constant, readings }: Binding): string[] | undefined {
  if (constant !== undefined) {
    const text = unquoted(constant);
    return text === undefined ? undefined : [text];
  }
  const [only, ...more] = readings;
  const value = only && component.facts.values[only.value];
  if (value?.kind !== 'prop' || more.length > 0 || only?.how !== 'same' || only.path.length > 0 || component.isPublic) return undefined;
  const key = memberKeyOf(value);
  const found: string[] = [];
  for (const { node } of model.usesOf.get(component.id) ?? []) {
    if (node.spreads.length > 0) return undefined;
    const given = bindingFor(node, key)?.constant ?? component.facts.members.find((one) => one.key === key)?.fallback;
    const text = given === undefined ? undefined : unquoted(given);
    if (text === undefined) return undefined;
    found.push(text);
  }
  return found;
}
