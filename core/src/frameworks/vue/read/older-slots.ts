import type { AttributeNode, DirectiveNode, ElementNode, TemplateChildNode } from '@vue/compiler-dom';

/** What the compiler calls its nodes by number. */
const element = 1;
const attribute = 6;
const directive = 7;

const isElement = (node: TemplateChildNode): node is ElementNode => (node.type as number) === element;

const attributeOf = (node: ElementNode, ...names: readonly string[]): AttributeNode | undefined =>
  node.props.find((one): one is AttributeNode => one.type === attribute && names.includes(one.name));

/** A place within the quotes of what an attribute is given. */
function within({ value }: AttributeNode): DirectiveNode['loc'] | undefined {
  if (!value) return undefined;
  const { start, end, source } = value.loc;
  const quoted = /^["']/.test(source) ? 1 : 0;
  return {
    source: source.slice(quoted, source.length - quoted),
    start: { ...start, offset: start.offset + quoted },
    end: { ...end, offset: end.offset - quoted },
  };
}

/** `slot="row" slot-scope="{ boat }"` as the directive that stands for it today: `#row="{ boat }"`. */
function asDirective(name: AttributeNode | undefined, scope: AttributeNode | undefined): DirectiveNode {
  const handed = scope && within(scope);
  const expression = (content: string, loc: DirectiveNode['loc'], isStatic: boolean) =>
    ({ type: 4, content, isStatic, constType: 0, loc }) as unknown as NonNullable<DirectiveNode['exp']>;
  return {
    type: directive,
    name: 'slot',
    rawName: `#${name?.value?.content ?? 'default'}`,
    modifiers: [],
    loc: (name ?? scope)?.loc as DirectiveNode['loc'],
    arg: name?.value ? expression(name.value.content, within(name) ?? name.loc, true) : undefined,
    exp: handed && handed.source.trim() !== '' ? expression(handed.source, handed, false) : undefined,
  } as DirectiveNode;
}

/**
 * What stands between the tags of a use, with content for its slots that is written in the older way (`slot` and
 * `slot-scope` as attributes of an element or a template) as if it were written in the newer. `slot` alone on an element is
 * an attribute of the platform in scripts that only the newer version has (`isNewer`).
 */
export function withSlotDirectives(children: readonly TemplateChildNode[], isNewer: boolean): readonly TemplateChildNode[] {
  return children.map((child) => {
    if (!isElement(child)) return child;
    const isTemplate = child.tag === 'template';
    const scope = attributeOf(child, 'slot-scope', ...(isTemplate ? ['scope'] : []));
    const name = attributeOf(child, 'slot');
    if (!scope && (!name || (isNewer && !isTemplate))) return child;
    const props = child.props.filter((one) => one !== scope && one !== name);
    const slot = asDirective(name, scope);
    if (isTemplate) return { ...child, props: [...props, slot] } as ElementNode;
    return { ...child, tag: 'template', props: [slot], children: [{ ...child, props }] } as unknown as ElementNode;
  });
}
