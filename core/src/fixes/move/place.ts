import { adapterOf, markupOf } from '../../frameworks/registry';
import type { TemplateNode, TemplateUse } from '../../model/facts';
import { bindingFor } from '../../model/given';
import { propKey } from '../../model/member';
import type { Component } from '../../model/model';
import type { Span } from '../../model/span';
import { contentSpan } from '../../overlap';
import { takenProps } from '../contract';
import { CannotWrite, type Rewrite } from '../rewrite';
import { endOf, everyNode, indentAt, type Source, startOf, startsLine } from '../source';

/** What holds a stretch of markup in script that has markup in it: between tags, in braces of its own, or in some expression. */
function heldIn({ program }: Source, span: Span): { readonly how: 'tags' | 'braces' | 'expression'; readonly holder: Span } {
  let found: ReturnType<typeof heldIn> = { how: 'expression', holder: span };
  everyNode(program, (node, parents) => {
    if (startOf(node) !== span.start || endOf(node) !== span.end || (node.type !== 'JSXElement' && node.type !== 'JSXFragment')) return;
    const holder = parents.at(-1);
    const isElement = (type: string | undefined): boolean => type === 'JSXElement' || type === 'JSXFragment';
    if (!holder) return;
    const holderSpan = { start: startOf(holder), end: endOf(holder) };
    if (isElement(holder.type)) found = { how: 'tags', holder: holderSpan };
    else if (holder.type === 'JSXExpressionContainer' && isElement(parents.at(-2)?.type)) found = { how: 'braces', holder: holderSpan };
  });
  return found;
}

/** Throws where a use is written in a function or a snippet with parameters of its own, whose names hold in it alone. */
function refuseInner(source: Source, { start, end }: Span, component: Component): void {
  const { text } = source;
  if (markupOf(source.framework) === 'blocks') {
    const opened = text.lastIndexOf('{#snippet', start);
    const isIn = opened >= 0 && text.lastIndexOf('{/snippet}', start) < opened;
    if (isIn && !/^\{#snippet\s+[\w$]+\(\s*\)/.test(text.slice(opened)))
      throw new CannotWrite('It stands in a snippet with parameters of its own.');
  }
  if (markupOf(source.framework) !== 'expression') return;
  const { run } = takenProps(source, component);
  everyNode(source.program, (node, parents) => {
    if (startOf(node) !== start || endOf(node) !== end || node.type !== 'JSXElement') return;
    const at = parents.findLastIndex((one) => 'params' in one && Array.isArray(one.params));
    const inner = parents[at];
    // What a list is made with, and what hands content out, is followed as part of the markup.
    if (parents[at - 1]?.type === 'CallExpression' || parents[at - 1]?.type === 'JSXExpressionContainer') return;
    const isRender = inner?.type === 'ClassMethod' && inner.key.type === 'Identifier' && inner.key.name === 'render';
    if (inner && inner !== run && !isRender && (inner as { params: unknown[] }).params.length > 0)
      throw new CannotWrite('It stands in a function with parameters of its own.');
  });
}

/** The stretch to be taken out so that a use stands there no more; with its lines, where it has them for itself. Throws where more would have to go. */
export function cutSpan(source: Source, use: Span, component: Component): Span {
  const { text } = source;
  let { start, end } = use;
  refuseInner(source, use, component);
  if (markupOf(source.framework) === 'expression') {
    const { how, holder } = heldIn(source, use);
    if (how === 'expression')
      throw new CannotWrite(`${component.name} writes it as part of an expression, which would have to go as well.`);
    if (how === 'braces') ({ start, end } = holder);
  } else if (component.facts.template.length === 1 && component.facts.template[0]?.span.start === start)
    throw new CannotWrite(`It is all that ${component.name} renders.`);
  const rest = /^[^\S\n]*\r?\n/.exec(text.slice(end))?.[0];
  if (rest === undefined || !startsLine(text, start)) return { start, end };
  return { start: text.lastIndexOf('\n', start - 1) + 1, end: end + rest.length };
}

/** Some lines with another white space before all but the first. */
function reindented(body: string, before: string, after: string): string {
  const [first = '', ...lines] = body.split('\n');
  return [first, ...lines.map((line) => (line.startsWith(before) ? after + line.slice(before.length) : line))].join('\n');
}

/** Markup that is to be put in, and the white space before its lines where it stands now. */
export type Body = { readonly text: string; readonly indent: string };

/** Puts markup at the end of what stands between two tags. */
function putInside(rewrite: Rewrite, source: Source, content: Span, { text: body, indent }: Body): void {
  const { text } = source;
  const inner = text.slice(content.start, content.end);
  const at = content.start + inner.trimEnd().length;
  if (!inner.includes('\n') || !text.slice(at, content.end).includes('\n')) return rewrite.insert(source, content.end, body);
  const first = /\n([^\S\n]*)\S/.exec(inner)?.[1];
  const own = first ?? `${indentAt(text, content.end)}  `;
  rewrite.insert(source, at, `\n${own}${reindented(body, indent, own)}`);
}

/** Puts markup between the tags of an element or a use, which gets tags for it where it closes itself. */
function putBetween(rewrite: Rewrite, source: Source, { span, nameSpan }: Pick<TemplateUse, 'span' | 'nameSpan'>, body: Body): void {
  const { text } = source;
  const content = contentSpan(text, span);
  if (content) return putInside(rewrite, source, content, body);
  const close = /\s*\/>$/.exec(text.slice(span.start, span.end))?.[0];
  if (close === undefined) throw new CannotWrite(`Nothing can be put into ${text.slice(nameSpan.start, nameSpan.end)}.`);
  const tag = text.slice(nameSpan.start, nameSpan.end);
  const own = startsLine(text, span.start) ? indentAt(text, span.start) : undefined;
  const inner = own === undefined ? body.text : `\n${own}  ${reindented(body.text, body.indent, `${own}  `)}\n${own}`;
  rewrite.put(source, { start: span.end - close.length, end: span.end }, `>${inner}</${tag}>`);
}

/** Puts markup at the end of what a component renders. Throws where it has no element of its own that could hold it. */
export function putInMarkup(rewrite: Rewrite, source: Source, { name, facts }: Component, body: Body): void {
  const { template } = facts;
  const [first, ...more] = template.filter((node) => node.kind !== 'text' || node.readings.length > 0);
  const last = more.at(-1);
  if (first?.kind === 'element' && !last) {
    const content = contentSpan(source.text, first.span);
    if (!content) throw new CannotWrite(`The element that ${name} renders has nothing between tags.`);
    return putInside(rewrite, source, content, body);
  }
  if (!first) throw new CannotWrite(`${name} renders nothing that it could stand in.`);
  if (!last) throw new CannotWrite(`${name} has no element of its own: where in it that would stand is for you to say.`);
  putBeside(rewrite, source, last, name, body);
}

/** Puts markup behind the last of several that stand beside each other. */
function putBeside(rewrite: Rewrite, source: Source, { span }: TemplateNode, name: string, { text: body, indent }: Body): void {
  if (markupOf(source.framework) === 'expression') {
    const { how, holder } = heldIn(source, span);
    const inner = contentSpan(source.text, holder);
    if (how !== 'tags' || !inner) throw new CannotWrite(`Where in ${name} it would stand is for you to say: what it renders depends.`);
    return putInside(rewrite, source, inner, { text: body, indent });
  }
  const own = indentAt(source.text, span.start);
  rewrite.insert(source, span.end, startsLine(source.text, span.start) ? `\n${own}${reindented(body, indent, own)}` : body);
}

const isContent = (slot: string): boolean => slot === 'default' || slot === 'children';

/** Puts markup into a slot of a use; `holder` is the text of the component that has the slot. Throws where it holds something in a way that cannot be added to. */
export function putInSlot(rewrite: Rewrite, source: Source, use: TemplateUse, slot: string, body: Body, holder: string): void {
  const { text } = source;
  const { fillsSlot, holdsSlot } = adapterOf(source.framework).write;
  if (use.content === 'function' || use.content === 'value')
    throw new CannotWrite(`What stands between the tags of ${text.slice(use.nameSpan.start, use.nameSpan.end)} is given by code.`);
  const inside = contentSpan(text, use.span);
  const isHeld = inside !== undefined && holdsSlot?.(isContent(slot) ? 'default' : slot, text.slice(inside.start, inside.end)) === true;
  if (isHeld || (!isContent(slot) && bindingFor(use, propKey(slot)))) throw new CannotWrite(`${slot} holds something there already.`);
  if (isContent(slot)) return putBetween(rewrite, source, use, body);
  if (!fillsSlot) return rewrite.insert(source, use.nameSpan.end, ` ${slot}={${body.text}}`);
  putBetween(rewrite, source, use, { ...body, text: fillsSlot(slot, body.text, holder) });
}
