import type { TemplateElement, TemplateUse } from './facts';

/** The name that people know a part of markup by: the tag as it is written, of what is found by a tag or a selector that tag, of others the component. */
export function tagText(node: TemplateElement | TemplateUse): string {
  if (node.kind === 'element') return node.tag === '' ? 'a fragment' : `<${node.tag}>`;
  return node.element === undefined ? componentText(node.tag) : `<${node.element}>`;
}

/** The name of a component in the file that declares it, of a tag that names that file too. */
export const componentText = (tag: string): string => /^(?:from|import):.*#(.+)$/.exec(tag)?.[1] ?? tag;
