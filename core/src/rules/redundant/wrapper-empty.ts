import type { TemplateNode } from '../../model/facts';
import { propKey } from '../../model/member';
import { bindingFor } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';
import type { TextEdit } from '../../model/finding';
import type { Component } from '../../model/model';
import { locate, type Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

type Element = Extract<TemplateNode, { kind: 'element' }>;

const isFragment = (node: TemplateNode): node is Element => node.kind === 'element' && node.tag === '';

/** Fragments around one element alone. */
const emptyFragments = remembered((component: Component): readonly Element[] => {
  if (!traitsOf(component).fragments || component.role !== 'component') return [];
  const found: Element[] = [];
  walkTemplate(component.facts.template, (node) => {
    if (isFragment(node) && node.aroundOne && node.key.kind === 'none') found.push(node);
  });
  return found;
});

/** Both tags of a fragment go, and what is inside stays. */
function withoutTags({ file }: Component, { span }: Element): TextEdit[] {
  return [
    { file, start: span.start, end: span.start + 2, was: '<>', text: '' },
    { file, start: span.end - 3, end: span.end, was: '</>', text: '' },
  ];
}

/** Markup or provider layers without effect. */
export const wrapperEmpty: Rule = {
  inComponent: (component) =>
    emptyFragments(component).map((node): Found => {
      const { fragmentTag } = traitsOf(component);
      const span = node.nameSpan.end > node.nameSpan.start ? node.nameSpan : node.span;
      if (fragmentTag !== undefined) return foundAt(component, fragmentTag, { layer: `an ${fragmentTag}`, is: 'fragment' }, span);
      return { ...foundAt(component, 'fragment', { layer: 'a fragment', is: 'fragment' }, span), edits: withoutTags(component, node) };
    }),
  inProject: ({ model }) =>
    [...model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      return (model.usesBy.get(component.id) ?? []).flatMap((use): Found[] => {
        const context = use.target.kind === 'provider' ? use.target.context : undefined;
        const [only, ...more] = bindingFor(use.node, propKey('value'))?.readings ?? [];
        if (!context || only?.how !== 'same' || only.path.length > 0 || more.length > 0) return [];
        const taken = component.consumes.some(
          (take) =>
            take.value === only.value &&
            take.context === context &&
            take.via.length === 0 &&
            // Where it has something to give in the provider's stead, it provides that.
            (traitsOf(component).onlyProps || component.facts.values[take.value]?.guarded !== true),
        );
        const name = model.contexts.get(context)?.name ?? '';
        return taken ? [foundAt(component, name, { layer: `a provider of ${name}`, is: 'provider' }, use.node.nameSpan)] : [];
      });
    }),
};

/** A layer as a sentence names it, and what kind of layer it is. */
type Layer = { readonly layer: string; readonly is: 'fragment' | 'provider' };

function foundAt(component: Component, subject: string, { layer, is }: Layer, span: Span): Found {
  const at = locate(component.file, span);
  const text = is === 'fragment' ? 'What is inside stands here as well without it.' : 'It gives what it took from the provider around it.';
  return {
    rule: 'wrapper-empty',
    component: component.id,
    subject,
    at,
    words: { component: component.name, layer },
    evidence: [{ at, text }],
    goes: [{ count: is === 'fragment' ? 2 : 3, what: 'line' }],
    touches: component.id,
  };
}
