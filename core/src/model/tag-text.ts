import type { BindingTarget, TemplateElement, TemplateUse } from './facts';

/** The name that people know a part of markup by: the tag as it is written, of what is found by a tag or a selector that tag, of others the component, if it is known before it runs. */
export function tagText(node: TemplateElement | TemplateUse): string {
  if (node.kind === 'element') return node.tag === '' ? 'a fragment' : `<${node.tag}>`;
  if (node.kind === 'use' && node.tag === '') return 'a part chosen while running';
  return node.element === undefined ? componentText(node.tag) : `<${node.element}>`;
}

/** The name of a component in the file that declares it, of a tag that names that file too. */
export const componentText = (tag: string): string => /^(?:from|import):.*#(.+)$/.exec(tag)?.[1] ?? tag;

/** What an event is heard on: the tag of an element, empty for what the component itself stands on; or a part of the page. */
export const heardBy = (tag: string, to: BindingTarget): string => (to.kind === 'listener' && to.on !== 'self' ? `the ${to.on}` : tag);

/** What an event is heard on, or painted on, in words: `<button>`, the window. */
export const elementText = (tag: string): string => (tag === '' ? 'its own element' : tag.startsWith('the ') ? tag : `<${tag}>`);
