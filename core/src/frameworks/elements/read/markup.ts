import type * as t from '@babel/types';
import type { Binding, BindingTarget, KeyFact, NameFact, Reading, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import { defaultSlot, memberOf, slotKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { superMarkup } from '../../../model/super-markup';
import { memberOfThis } from '../../../read/elements/class';
import { isElementTag } from '../../../read/elements/platform';
import { attributeNamed, type HtmlAttribute, type HtmlElement, type HtmlNode, parseHtml } from '../../../read/markup/html';
import { branch, type Markup, outlet, repeat } from '../../../read/markup/expressions';
import { bySlot, isMarkupNode, noteSlot, type SlottedNodes } from '../../../read/markup/slotted';
import { addAction, type Body, excerpt, fillAction, newEffects } from '../../../read/script/body';
import { givesNothing } from '../../../read/script/called';
import { keptFunction, readingsOf, readStatement } from '../../../read/script/expressions';
import { declareAction } from '../../../read/script/functions';
import { madeByCall } from '../../../read/script/made-functions';
import { bindLocal } from '../../../read/script/names';
import { hoisted, innerScope, lookUp, type Scope } from '../../../read/script/scope';
import {
  bare,
  dottedName,
  forEachChild,
  type FunctionNode,
  isFunction,
  keyName,
  madeIn,
  patternNames,
  spanOf,
} from '../../../read/script/syntax';
import { append } from '../../../model/append';

/** Markup of a class or a page that is being read. */
export type ElementMarkup = Markup & {
  /** Methods and getters of the class that give markup. */
  readonly methods: ReadonlyMap<string, FunctionNode>;
  /** Texts of the module that hold markup, by the names of their constants. */
  readonly constants: ReadonlyMap<string, t.Node>;
  /** The scope of the class: its methods see the names of the module alone. */
  readonly outer: Scope;
  /** The slots that nodes name which they are for, wherever in the class their markup is written. */
  readonly slotted: SlottedNodes<HtmlAttribute>;
  /** Functions whose markup is being read, so that recursion ends. */
  readonly showing: Set<t.Node>;
  /** A directive gives a handle on an element: `${ref(this.field)}`. */
  readonly handleOf: (node: t.Node, scope: Scope) => Reading | undefined;
};

const noKey: KeyFact = { kind: 'none' };

/** What stands in for the expressions of a template while its text is parsed: characters that no markup has. */
const hole = '\uE000';
const rest = '\uE001';

const isTagged = (node: t.Node): node is t.TaggedTemplateExpression =>
  node.type === 'TaggedTemplateExpression' && /^(?:html|svg|mathml)$/.test((dottedName(node.tag) ?? '').split('.').at(-1) ?? '');

/** A text that begins a tag. */
export const looksLikeMarkup = (text: string): boolean => /<[a-z!][^<]*/i.test(text);

/** Whether markup of a tagged template begins within a node. */
export function holdsTagged(node: t.Node): boolean {
  let found = isTagged(node);
  if (!found)
    forEachChild(node, (child) => {
      found ||= holdsTagged(child);
    });
  return found;
}

/** Whether an expression gives markup: a tagged template, a call of what gives some, or a text with tags. */
function givesMarkup(markup: ElementMarkup, given: t.Node, scope: Scope): boolean {
  const node = bare(given);
  if (isTagged(node)) return true;
  if (node.type === 'TemplateLiteral' || node.type === 'StringLiteral')
    return looksLikeMarkup(markup.text.slice(node.start ?? 0, node.end ?? 0));
  if (node.type === 'MemberExpression' && node.object.type === 'ThisExpression')
    return markup.methods.has(keyName({ key: node.property }) ?? '');
  if (node.type === 'Identifier')
    return lookUp(scope, node.name)?.kind === 'markup' || (!lookUp(scope, node.name) && markup.constants.has(node.name));
  if (node.type === 'CallExpression') {
    const { callee } = node;
    if (callee.type === 'MemberExpression') {
      const name = keyName({ key: callee.property }) ?? '';
      if (callee.object.type === 'ThisExpression' && markup.methods.has(name)) return true;
      if (callee.object.type === 'Super') return true;
    }
    if (callee.type === 'Identifier') {
      const meaning = lookUp(scope, callee.name);
      const fn = meaning?.kind === 'function' ? meaning.node : meaning ? undefined : markup.body.module.functions.get(callee.name);
      if (fn && holdsTagged(fn)) return true;
    }
  }
  if (isFunction(node)) return holdsTagged(node);
  let found = false;
  if (/^(?:Call|Conditional|Logical|Array|Sequence)Expression$/.test(node.type))
    forEachChild(node, (child) => {
      found ||= givesMarkup(markup, child, scope);
    });
  return found;
}

type Hole = { readonly at: number; readonly node: t.Node };

/** A template’s text with its expressions masked, each by as many characters as it takes. */
function masked(
  markup: ElementMarkup,
  node: t.TemplateLiteral | t.StringLiteral,
): { readonly text: string; readonly offset: number; readonly holes: readonly Hole[] } {
  const offset = (node.start ?? 0) + 1;
  const end = (node.end ?? 0) - 1;
  if (node.type === 'StringLiteral') return { text: markup.text.slice(offset, end), offset, holes: [] };
  let text = '';
  const holes: Hole[] = [];
  let at = offset;
  node.expressions.forEach((one, index) => {
    const from = node.quasis[index]?.end ?? at;
    const to = node.quasis[index + 1]?.start ?? end;
    text += markup.text.slice(at, from) + hole + rest.repeat(Math.max(0, to - from - 1));
    holes.push({ at: from, node: one });
    at = to;
  });
  return { text: text + markup.text.slice(at, end), offset, holes };
}

type Source = { readonly text: string; readonly offset: number; readonly holes: ReadonlyMap<number, t.Node> };

/** The markup of a template, with its expressions; `raw` where it is a text that becomes markup. */
export function markupOfTemplate(markup: ElementMarkup, node: t.TemplateLiteral | t.StringLiteral, scope: Scope): TemplateNode[] {
  const { text, offset, holes } = masked(markup, node);
  const source: Source = { text, offset, holes: new Map(holes.map((one) => [one.at, one.node])) };
  return readNodes(markup, source, parseHtml(text, { offset }), scope);
}

/** The markup of a stretch of an HTML file. */
export function markupOfPage(markup: ElementMarkup, nodes: readonly HtmlNode[], scope: Scope): TemplateNode[] {
  return readNodes(markup, { text: markup.text, offset: 0, holes: new Map() }, nodes, scope);
}

const sliceOf = ({ text, offset }: Source, { start, end }: Span): string => text.slice(start - offset, end - offset);

/** The expressions that stand in a stretch of a template, in their order. */
function holesIn(source: Source, span: Span): t.Node[] {
  if (source.holes.size === 0) return [];
  const found: t.Node[] = [];
  const written = sliceOf(source, span);
  for (let at = written.indexOf(hole); at >= 0; at = written.indexOf(hole, at + 1)) {
    const node = source.holes.get(span.start + at);
    if (node) found.push(node);
  }
  return found;
}

/** The one expression that an attribute is given as a whole. */
function onlyHole(source: Source, span: Span | undefined): t.Node | undefined {
  if (!span) return undefined;
  return new RegExp(`^${hole}${rest}*$`).test(sliceOf(source, span).trim()) ? holesIn(source, span)[0] : undefined;
}

function readNodes(markup: ElementMarkup, source: Source, nodes: readonly HtmlNode[], scope: Scope): TemplateNode[] {
  return nodes.flatMap((node): TemplateNode[] =>
    node.kind === 'text'
      ? holesIn(source, node.span).flatMap((one) => markupOf(markup, one, scope))
      : noteSlot(
          markup.slotted,
          readTag(markup, source, node, scope),
          textOf(source, attributeNamed(node, 'slot')),
          attributeNamed(node, 'slot'),
        ),
  );
}

function readTag(markup: ElementMarkup, source: Source, node: HtmlElement, scope: Scope): TemplateNode[] {
  const tag = node.tag.toLowerCase();
  if (tag === 'style' || tag === 'script' || tag === '!doctype') return [];
  if (tag === 'slot') return [readSlot(markup, source, node, scope)];
  if (tag === 'template') return readNodes(markup, source, node.children, scope);
  if (tag.startsWith(hole)) {
    const children = readNodes(markup, source, node.children, scope);
    const { bindings, spreads } = readAttributes(markup, source, node, scope, true);
    const [by] = holesIn(source, node.nameSpan);
    return [
      {
        kind: 'use',
        tag: '',
        span: node.span,
        nameSpan: node.nameSpan,
        bindings,
        spreads,
        children,
        key: noKey,
        content: children.length > 0 ? 'markup' : 'none',
        ...(by ? { dynamic: readingsOf(markup.body, by, scope) } : {}),
      },
    ];
  }
  return [isElementTag(tag) ? readUse(markup, source, node, tag, scope) : readElement(markup, source, node, scope)];
}

function readSlot(markup: ElementMarkup, source: Source, node: HtmlElement, scope: Scope): TemplateNode {
  const name = textOf(source, attributeNamed(node, 'name')) ?? '';
  const isComputed = name.includes(hole);
  const hasText = node.children.some((one) => one.kind === 'text' && sliceOf(source, one.span).trim() !== '');
  return outlet(
    isComputed ? slotKey('*') : name === '' ? defaultSlot : slotKey(name),
    node.span,
    [],
    [],
    readNodes(markup, source, node.children, scope),
    hasText,
  );
}

const textOf = (source: Source, attribute: HtmlAttribute | undefined): string | undefined =>
  attribute && (attribute.value ? sliceOf(source, attribute.value) : '');

function readElement(markup: ElementMarkup, source: Source, node: HtmlElement, scope: Scope): TemplateNode {
  const { bindings, spreads, ref } = readAttributes(markup, source, node, scope, false);
  return {
    kind: 'element',
    tag: node.tag,
    span: node.span,
    nameSpan: node.nameSpan,
    bindings,
    spreads,
    children: readNodes(markup, source, node.children, scope),
    key: noKey,
    ...(ref ? { ref } : {}),
  };
}

function readUse(markup: ElementMarkup, source: Source, node: HtmlElement, tag: string, scope: Scope): TemplateUse {
  const { bindings, spreads, ref } = readAttributes(markup, source, node, scope, true);
  const parts = bySlot(readNodes(markup, source, node.children, scope), markup.slotted);
  for (const [slot, { at, nodes }] of parts)
    if (at)
      bindings.push({
        to: memberOf(slot.includes(hole) ? slotKey('*') : slotKey(slot)),
        written: `slot="${slot}"`,
        span: at.span,
        nameSpan: at.value ?? at.nameSpan,
        direction: 'in',
        readings: [],
        markup: nodes,
      });
  const children = parts.get('')?.nodes ?? [];
  const isText = node.children.some((one) => one.kind === 'text' && isTextIn(markup, source, one.span));
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag,
    span: node.span,
    nameSpan: node.nameSpan,
    bindings,
    spreads,
    children,
    key: noKey,
    content: children.some(isMarkupNode) ? 'markup' : isText ? 'text' : 'none',
  };
  if (ref) use.ref = ref;
  return use;
}

/** Whether a stretch between tags is surely a text: what a call gives may be markup for a slot, which is not seen here. */
function isTextIn({ body }: ElementMarkup, source: Source, span: Span): boolean {
  const words = sliceOf(source, span).replace(new RegExp(`[${hole}${rest}]`, 'g'), '');
  const isSaid = (node: t.Node): boolean =>
    !/Call|Conditional|Logical/.test(node.type) && !(node.type === 'Identifier' && isNothing(body, node.name));
  return words.trim() !== '' || holesIn(source, span).some((one) => isSaid(bare(one)));
}

type Attributes = { readonly bindings: Binding[]; readonly spreads: SpreadFact[]; readonly ref?: Reading };

function readAttributes(markup: ElementMarkup, source: Source, node: HtmlElement, scope: Scope, isUse: boolean): Attributes {
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  let ref: Reading | undefined;
  for (const one of node.attributes) {
    if (one.name.startsWith(hole)) {
      const [given] = holesIn(source, one.nameSpan);
      const directive = given && bare(given);
      const name = directive?.type === 'CallExpression' ? dottedName(directive.callee) : undefined;
      if (directive?.type === 'CallExpression' && name === 'ref' && directive.arguments[0])
        ref = markup.handleOf(directive.arguments[0], scope);
      else if (directive) {
        const readings = readingsOf(markup.body, directive, scope, 'spread');
        // What a directive does to an element cannot be seen.
        if (name !== undefined && /^(?:spread|spreadProps|spreadAttributes|bind)$/.test(name)) spreads.push({ span: one.span, readings });
        else
          bindings.push({
            to: { kind: 'directive', name: name ?? '' },
            written: name ?? '',
            span: spanOf(directive),
            nameSpan: spanOf(directive),
            direction: 'in',
            readings,
          });
      }
    } else if (one.name.toLowerCase() !== 'slot' || !isUse) {
      const bound = readAttribute(markup, source, one, scope, isUse);
      bindings.push(bound);
    }
  }
  return { bindings, spreads, ...(ref ? { ref } : {}) };
}

function targetOf(name: string, isUse: boolean): BindingTarget {
  const [mark = ''] = name;
  const bareName = name.slice(1);
  if (mark === '@') return isUse ? { kind: 'event', name: bareName } : { kind: 'listener', name: bareName, on: 'self' };
  if (mark === '.') return isUse ? { kind: 'prop', name: bareName } : { kind: 'property', name: bareName };
  const plain = (mark === '?' ? bareName : name).toLowerCase();
  return { kind: 'attribute', name: plain };
}

/** Directives that give what they are handed: `live(x)`, `ifDefined(x)`. */
const transparent = /^(?:live|ifDefined|guard|until|cache|unsafeHTML|unsafeSVG|templateContent|literal|unsafeStatic)$/;

function readAttribute(markup: ElementMarkup, source: Source, one: HtmlAttribute, scope: Scope, isUse: boolean): Binding {
  const { body } = markup;
  const to = targetOf(one.name, isUse);
  const isHeard = to.kind === 'event' || to.kind === 'listener';
  const binding: Writable<Binding> = {
    to,
    written: one.name,
    span: one.span,
    nameSpan: /^[.@?]/.test(one.name) ? { start: one.nameSpan.start + 1, end: one.nameSpan.end } : one.nameSpan,
    direction: isHeard ? 'out' : 'in',
    readings: [],
    ...(to.kind === 'attribute' ? { asAttribute: one.name.startsWith('?') ? ('flag' as const) : ('text' as const) } : {}),
  };
  const given = onlyHole(source, one.value);
  if (!given) {
    const holes = one.value ? holesIn(source, one.value) : [];
    if (holes.length === 0) return { ...binding, constant: one.value === undefined ? 'true' : JSON.stringify(textOf(source, one) ?? '') };
    return { ...binding, readings: holes.flatMap((node) => readingsOf(body, node, scope, 'computed')) };
  }
  const node = bare(given);
  if (isHeard) return { ...binding, ...readHandler(markup, to.name, node, scope) };
  const name = node.type === 'CallExpression' ? dottedName(node.callee) : undefined;
  const [first] = node.type === 'CallExpression' ? node.arguments : [];
  if (node.type === 'CallExpression' && name !== undefined && transparent.test(name) && first) {
    return { ...binding, ...(name === 'live' ? { modifiers: ['live'] } : {}), readings: readingsOf(body, first, scope) };
  }
  if (isFunction(node)) {
    const kept = keptFunction(body, to.name, node, scope);
    return { ...binding, readings: [kept], made: 'function' };
  }
  if (givesMarkup(markup, node, scope) && isUse) binding.markup = markupOf(markup, node, scope);
  const readings = readingsOf(body, node, scope);
  const constant = /^(?:String|Numeric|Boolean|Null)Literal$/.test(node.type) ? excerpt(body.module, spanOf(node)) : undefined;
  const made = madeIn(node);
  return { ...binding, readings, ...(made ? { made } : {}), ...(constant === undefined ? {} : { constant }) };
}

/** What runs when an event is heard: a function in place or by name, what a call makes, or an object with options. */
export function readHandler(
  markup: ElementMarkup,
  event: string,
  given: t.Node,
  scope: Scope,
): Pick<Binding, 'readings' | 'action' | 'modifiers' | 'called'> {
  const { body } = markup;
  const node = bare(given);
  if (isFunction(node)) return { readings: [], action: declareAction(body, event, 'handler', node, scope) };
  if (node.type === 'CallExpression' && node.callee.type === 'MemberExpression' && keyName({ key: node.callee.property }) === 'bind')
    return readHandler(markup, event, node.callee.object, scope);
  const made = madeByMethod(markup, node, scope) ?? madeByCall(body, node, scope);
  if (made !== undefined) return { readings: [], action: made };
  if (node.type === 'ObjectExpression') {
    const handler = node.properties.find((one) => one.type !== 'SpreadElement' && keyName(one) === 'handleEvent');
    const run = handler?.type === 'ObjectMethod' ? handler : handler?.type === 'ObjectProperty' ? handler.value : undefined;
    const modifiers = node.properties.flatMap((one) => {
      const name = one.type === 'ObjectProperty' && one.value.type === 'BooleanLiteral' && one.value.value ? keyName(one) : undefined;
      return name === undefined ? [] : [name];
    });
    if (run) return { ...readHandler(markup, event, run, scope), ...(modifiers.length > 0 ? { modifiers } : {}) };
  }
  const called = calledForNothing(body, node);
  return { readings: readingsOf(body, node, scope), ...(called ? { called } : {}) };
}

/** `this.save()` where a listener is wanted, of a method that gives nothing back. */
function calledForNothing({ own, module }: Body, given: t.Node): NameFact | undefined {
  const name = given.type === 'CallExpression' ? memberOfThis(given.callee) : undefined;
  const meaning = name === undefined ? undefined : own?.(name);
  if (name === undefined || meaning?.kind !== 'function' || !givesNothing(meaning.node, module.text)) return undefined;
  return { name, span: spanOf(given) };
}

/** `this.set('name')`: a method that gives a function. */
function madeByMethod({ body }: ElementMarkup, given: t.Node, scope: Scope): number | undefined {
  if (given.type !== 'CallExpression' || given.callee.type !== 'MemberExpression' || given.callee.object.type !== 'ThisExpression')
    return undefined;
  const name = keyName({ key: given.callee.property });
  const meaning = name === undefined ? undefined : body.own?.(name);
  if (meaning?.kind !== 'function') return undefined;
  const inner = innerScope(scope);
  inner.names.set(name ?? '', meaning);
  const callee = { type: 'Identifier', name, start: given.callee.start, end: given.callee.end } as t.Identifier;
  return madeByCall(body, { ...given, callee }, inner);
}

/** The markup that an expression gives. */
export function markupOf(markup: ElementMarkup, expression: t.Node, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const node = bare(expression);
  switch (node.type) {
    case 'TaggedTemplateExpression':
      return isTagged(node) ? markupOfTemplate(markup, node.quasi, scope) : shown(body, node, scope);
    case 'TemplateLiteral':
      return looksLikeMarkup(markup.text.slice(node.start ?? 0, node.end ?? 0))
        ? markupOfTemplate(markup, node, scope)
        : shown(body, node, scope);
    case 'StringLiteral':
      return looksLikeMarkup(node.value) ? markupOfTemplate(markup, node, scope) : [];
    case 'ConditionalExpression': {
      const one = markupOf(markup, node.consequent, scope);
      const other = markupOf(markup, node.alternate, scope);
      if (one.length === 0 && other.length === 0) return [branch(markup, node.test, false, scope, [])];
      return [
        ...(one.length > 0 ? [branch(markup, node.test, false, scope, one)] : []),
        ...(other.length > 0 ? [branch(markup, node.test, true, scope, other)] : []),
      ];
    }
    case 'LogicalExpression': {
      const right = markupOf(markup, node.right, scope);
      if (node.operator === '&&') return [branch(markup, node.left, false, scope, right)];
      return [...markupOf(markup, node.left, scope), ...(right.length > 0 ? [branch(markup, node.left, true, scope, right)] : [])];
    }
    case 'ArrayExpression':
      return node.elements.flatMap((one) => (one ? markupOf(markup, one.type === 'SpreadElement' ? one.argument : one, scope) : []));
    case 'CallExpression':
    case 'OptionalCallExpression':
      return markupOfCall(markup, node, scope);
    case 'Identifier': {
      const meaning = lookUp(scope, node.name);
      if (meaning?.kind === 'markup') return [...meaning.nodes];
      const constant = meaning ? undefined : markup.constants.get(node.name);
      if (constant) return markupOf(markup, constant, innerScope());
      return !meaning && isNothing(body, node.name) ? [] : shown(body, node, scope);
    }
    case 'MemberExpression': {
      const name = node.object.type === 'ThisExpression' ? keyName({ key: node.property }) : undefined;
      const getter = name === undefined ? undefined : markup.methods.get(name);
      return getter ? markupOfFunction(markup, getter, markup.outer, []) : shown(body, node, scope);
    }
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return holdsTagged(node) ? markupOfFunction(markup, node, scope, []) : shown(body, node, scope);
    default:
      return shown(body, node, scope);
  }
}

/** What the library has for an expression that puts nothing on the screen. */
const isNothing = ({ module }: Body, name: string): boolean => /^(?:nothing|noChange)$/.test(module.imported.get(name)?.imported ?? '');

function shown(body: Body, node: t.Node, scope: Scope): TemplateNode[] {
  const readings = readingsOf(body, node, scope);
  return readings.length === 0 ? [] : [{ kind: 'text', readings, span: spanOf(node) }];
}

/** The function that an argument is, by itself or by its name. */
function functionMeant(
  markup: ElementMarkup,
  given: t.Node | undefined,
  scope: Scope,
): { readonly node: FunctionNode; readonly scope: Scope } | undefined {
  const node = given && bare(given);
  if (isFunction(node)) return { node, scope };
  if (node?.type === 'Identifier') {
    const meaning = lookUp(scope, node.name);
    if (meaning?.kind === 'function') return { node: meaning.node, scope: meaning.scope };
    const fn = meaning ? undefined : markup.body.module.functions.get(node.name);
    return fn && { node: fn, scope: innerScope() };
  }
  const name = node?.type === 'MemberExpression' && node.object.type === 'ThisExpression' ? keyName({ key: node.property }) : undefined;
  const method = name === undefined ? undefined : markup.methods.get(name);
  return method && { node: method, scope: markup.outer };
}

type Call = t.CallExpression | t.OptionalCallExpression;

function repeated(markup: ElementMarkup, call: Call, list: t.Node, given: t.Node | undefined, scope: Scope, key?: t.Node): TemplateNode[] {
  const fn = functionMeant(markup, given, scope);
  if (!fn) return shown(markup.body, call, scope);
  const [item, position] = fn.node.params;
  const at = position?.type === 'Identifier' ? position.name : undefined;
  const span = spanOf(call);
  let content: readonly TemplateNode[] = [];
  const node = repeat(
    markup,
    list,
    { ...(item ? { pattern: item } : {}), ...(at === undefined ? {} : { position: at }) },
    span,
    innerScope(fn.scope),
    (inner) => {
      const byKey = functionMeant(markup, key, scope);
      const keyed: KeyFact | undefined = byKey ? keyOfItem(markup, byKey.node, inner) : undefined;
      content = markupOfBody(markup, fn.node, inner).map((one) =>
        keyed && (one.kind === 'use' || one.kind === 'element') ? { ...one, key: keyed } : one,
      );
      return content;
    },
  );
  return content.length === 0 ? shown(markup.body, call, scope) : [node];
}

/** `repeat(list, (one) => one.id, …)`: the key of an item. */
function keyOfItem({ body }: ElementMarkup, fn: FunctionNode, scope: Scope): KeyFact {
  const inner = innerScope(scope);
  const span = spanOf(fn);
  const [item, position] = fn.params;
  const result = fn.body.type === 'BlockStatement' ? undefined : bare(fn.body);
  if (item) bindLocal(item, [], inner);
  const isPosition = result?.type === 'Identifier' && position?.type === 'Identifier' && result.name === position.name;
  return { kind: isPosition ? 'position' : 'value', span, text: excerpt(body.module, span, 40) };
}

function markupOfCall(markup: ElementMarkup, node: Call, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const { callee } = node;
  const [first, second, third] = node.arguments;
  if (callee.type === 'MemberExpression' || callee.type === 'OptionalMemberExpression') {
    const method = keyName({ key: callee.property }) ?? '';
    if (callee.object.type === 'Super') return [fragment(superMarkup, spanOf(node))];
    if (callee.object.type === 'ThisExpression') {
      const own = markup.methods.get(method);
      if (own)
        return markupOfFunction(
          markup,
          own,
          markup.outer,
          node.arguments.map((one) => readingsOf(body, one, scope)),
        );
    }
    if ((method === 'map' || method === 'flatMap') && first) return repeated(markup, node, callee.object, first, scope);
    if (/^(?:join|filter|flat|concat|trim|replace|reverse)$/.test(method) && givesMarkup(markup, callee.object, scope))
      return markupOf(markup, callee.object, scope);
    if (method === 'from' && dottedName(callee.object) === 'Array' && first && second) return repeated(markup, node, first, second, scope);
    if (method === 'then' && first) return markupLater(markup, callee.object, node.arguments, scope);
    if (method === 'render' && first?.type === 'ObjectExpression') return markupByState(markup, callee.object, first, scope);
    return shown(body, node, scope);
  }
  const name = callee.type === 'Identifier' ? callee.name : '';
  if (lookUp(scope, name)?.kind !== 'function') {
    if (name === 'repeat' && first)
      return third ? repeated(markup, node, first, third, scope, second) : repeated(markup, node, first, second, scope);
    if (name === 'map' && first && second) return repeated(markup, node, first, second, scope);
    if (name === 'when' && first) {
      const one = second ? given(markup, second, scope) : [];
      const other = third ? given(markup, third, scope) : [];
      return [branch(markup, first, false, scope, one), ...(other.length > 0 ? [branch(markup, first, true, scope, other)] : [])];
    }
    if (name === 'choose' && first && second?.type === 'ArrayExpression')
      return [
        ...second.elements.flatMap((one): TemplateNode[] => {
          const [value, fn] = one?.type === 'ArrayExpression' ? one.elements : [];
          if (!value || !fn) return [];
          const chosen = branch(markup, first, false, scope, given(markup, fn, scope));
          return [{ ...chosen, when: `${chosen.when} is ${excerpt(body.module, spanOf(value), 30)}` }];
        }),
        ...(third ? [noneOf(branch(markup, first, true, scope, given(markup, third, scope)))] : []),
      ];
    if (name === 'keyed' && first && second) {
      const key: KeyFact = { kind: 'value', span: spanOf(first), text: excerpt(body.module, spanOf(first), 40) };
      return [
        ...shown(body, first, scope),
        ...markupOf(markup, second, scope).map((one) => (one.kind === 'use' || one.kind === 'element' ? { ...one, key } : one)),
      ];
    }
    if (name === 'guard' && first && second) return [...shown(body, first, scope), ...given(markup, second, scope)];
    if (transparent.test(name)) return node.arguments.flatMap((one) => given(markup, one, scope));
  }
  const fn = functionMeant(markup, callee, scope);
  if (fn && holdsTagged(fn.node))
    return markupOfFunction(
      markup,
      fn.node,
      fn.scope,
      node.arguments.map((one) => readingsOf(body, one, scope)),
    );
  return shown(body, node, scope);
}

/** What shows where no case holds. */
const noneOf = (made: ReturnType<typeof branch>): TemplateNode => ({ ...made, when: `${made.when} is none of these`, negated: false });

/** `load().then((rows) => html`…`)`: what functions give that wait for a promise; they are handed what it gives. */
function markupLater(markup: ElementMarkup, promise: t.Node, given: readonly t.Node[], scope: Scope): TemplateNode[] {
  const readings = readingsOf(markup.body, promise, scope);
  return [
    ...markupOf(markup, promise, scope),
    ...given.flatMap((one, at) => {
      const fn = functionMeant(markup, one, scope);
      return fn && holdsTagged(fn.node) ? markupOfFunction(markup, fn.node, fn.scope, at === 0 ? [readings] : []) : [];
    }),
  ];
}

/** `this.load.render({ pending: () => html`…`, complete: (rows) => html`…` })`: what is shown in each state of a task. */
function markupByState(markup: ElementMarkup, task: t.Node, states: t.ObjectExpression, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const readings = readingsOf(body, task, scope);
  const shownIn = states.properties.flatMap((one): TemplateNode[] => {
    const [name, run] = one.type === 'SpreadElement' ? [] : [keyName(one), one.type === 'ObjectMethod' ? one : one.value];
    const fn = run?.type === 'ObjectMethod' ? { node: run, scope } : run && functionMeant(markup, run, scope);
    if (name === undefined || !fn || !holdsTagged(fn.node)) return [];
    const children = markupOfFunction(markup, fn.node, fn.scope, [readings]);
    return [
      {
        kind: 'branch',
        when: `${excerpt(body.module, spanOf(task), 40)} is ${name}`,
        negated: false,
        readings,
        span: spanOf(one),
        children,
      },
    ];
  });
  return shownIn.length > 0 ? shownIn : readings.length > 0 ? shown(body, task, scope) : [];
}

/** Markup that a function gives, or that stands there by itself. */
function given(markup: ElementMarkup, node: t.Node, scope: Scope): TemplateNode[] {
  const fn = functionMeant(markup, node, scope);
  return fn ? markupOfFunction(markup, fn.node, fn.scope, []) : markupOf(markup, node, scope);
}

const fragment = (tag: string, span: Span, children: readonly TemplateNode[] = []): TemplateNode => ({
  kind: 'element',
  tag,
  span,
  nameSpan: span,
  bindings: [],
  spreads: [],
  children,
  key: noKey,
});

/** The markup of a function where it is called; its parameters are what it is handed. */
export function markupOfFunction(
  markup: ElementMarkup,
  fn: FunctionNode,
  scope: Scope,
  args: readonly (readonly Reading[])[],
): TemplateNode[] {
  if (markup.showing.has(fn)) return [];
  markup.showing.add(fn);
  const inner = innerScope(scope);
  fn.params.forEach((one, at) => {
    bindLocal(one, args[at] ?? [], inner);
  });
  const nodes = markupOfBody(markup, fn, inner);
  markup.showing.delete(fn);
  return nodes;
}

function markupOfBody(markup: ElementMarkup, fn: FunctionNode, scope: Scope): TemplateNode[] {
  return fn.body.type === 'BlockStatement' ? markupOfBlock(markup, fn.body.body, scope) : markupOf(markup, fn.body, scope);
}

const blockOf = (node: t.Statement): readonly t.Statement[] => (node.type === 'BlockStatement' ? node.body : [node]);

const returns = (statements: readonly t.Statement[]): boolean =>
  statements.some((one) => one.type === 'ReturnStatement' || one.type === 'ThrowStatement');

/** The markup that a block gives back, with what it keeps in variables on the way. */
export function markupOfBlock(markup: ElementMarkup, statements: readonly t.Statement[], scope: Scope): TemplateNode[] {
  const { body } = markup;
  for (const found of hoisted(statements)) {
    const kept = found.id ? keptFunction(body, found.id.name, found, scope) : undefined;
    const action = kept && body.values[kept.value]?.action;
    if (found.id && kept && action !== undefined)
      scope.names.set(found.id.name, { kind: 'function', node: found, scope, action, value: kept.value });
  }
  const nodes: TemplateNode[] = [];
  for (const [at, one] of statements.entries()) {
    switch (one.type) {
      case 'ReturnStatement':
        if (one.argument) append(nodes, markupOf(markup, one.argument, scope));
        return nodes;
      case 'IfStatement': {
        const consequent = markupOfBlock(markup, blockOf(one.consequent), innerScope(scope));
        const isEnd = returns(blockOf(one.consequent));
        const other = one.alternate ? markupOfBlock(markup, blockOf(one.alternate), innerScope(scope)) : [];
        if (consequent.length > 0 || isEnd) nodes.push(branch(markup, one.test, false, scope, consequent));
        if (other.length > 0) nodes.push(branch(markup, one.test, true, scope, other));
        if (isEnd && !one.alternate) {
          const after = markupOfBlock(markup, statements.slice(at + 1), scope);
          return after.length > 0 ? [...nodes, branch(markup, one.test, true, scope, after)] : nodes;
        }
        if (consequent.length === 0 && other.length === 0 && !isEnd) readLoose(markup, one, scope);
        continue;
      }
      case 'SwitchStatement':
        for (const each of one.cases) {
          const shownThere = markupOfBlock(markup, each.consequent, innerScope(scope));
          if (shownThere.length > 0) nodes.push(branch(markup, one.discriminant, each.test === null, scope, shownThere));
        }
        continue;
      case 'VariableDeclaration':
        for (const each of one.declarations) declareLocal(markup, one, each, scope);
        continue;
      case 'ForOfStatement': {
        const kept = markupInLoop(markup, one, scope);
        if (!kept) readLoose(markup, one, scope);
        continue;
      }
      case 'ExpressionStatement': {
        const node = bare(one.expression);
        if (node.type === 'AssignmentExpression' && node.left.type === 'Identifier' && givesMarkup(markup, node.right, scope)) {
          keep(node.left.name, markupOf(markup, node.right, scope), scope);
          continue;
        }
        if (
          node.type === 'CallExpression' &&
          node.callee.type === 'MemberExpression' &&
          node.callee.object.type === 'Identifier' &&
          keyName({ key: node.callee.property }) === 'push' &&
          node.arguments.some((arg) => givesMarkup(markup, arg, scope))
        ) {
          keep(
            node.callee.object.name,
            node.arguments.flatMap((arg) => markupOf(markup, arg, scope)),
            scope,
          );
          continue;
        }
        readLoose(markup, one, scope);
        continue;
      }
      case 'FunctionDeclaration':
        continue;
      default:
        readLoose(markup, one, scope);
    }
  }
  return nodes;
}

function declareLocal(markup: ElementMarkup, statement: t.VariableDeclaration, each: t.VariableDeclarator, scope: Scope): void {
  const { body } = markup;
  const init = each.init ? bare(each.init) : undefined;
  if (init && isFunction(init) && each.id.type === 'Identifier') {
    const kept = keptFunction(body, each.id.name, init, scope);
    const action = body.values[kept.value]?.action;
    if (action !== undefined) scope.names.set(each.id.name, { kind: 'function', node: init, scope, action, value: kept.value });
    return;
  }
  if (init && givesMarkup(markup, init, scope)) {
    const nodes = markupOf(markup, init, scope);
    for (const found of patternNames(each.id)) scope.names.set(found.name, { kind: 'markup', nodes, readings: [] });
    return;
  }
  readLoose(markup, { ...statement, declarations: [each] }, scope);
}

/** Adds markup to a variable. */
function keep(name: string, nodes: TemplateNode[], scope: Scope): void {
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    const known = at.names.get(name);
    if (!known) continue;
    if (known.kind === 'markup') append(known.nodes, nodes);
    else at.names.set(name, { kind: 'markup', nodes, readings: [] });
    return;
  }
  scope.names.set(name, { kind: 'markup', nodes, readings: [] });
}

/** `for (const row of rows) parts.push(html\\`…\\`)`: what is put into a list on each turn. */
function markupInLoop(markup: ElementMarkup, loop: t.ForOfStatement, scope: Scope): boolean {
  const pushes = blockOf(loop.body).flatMap((one) => {
    const node = one.type === 'ExpressionStatement' ? bare(one.expression) : undefined;
    return node?.type === 'CallExpression' &&
      node.callee.type === 'MemberExpression' &&
      node.callee.object.type === 'Identifier' &&
      keyName({ key: node.callee.property }) === 'push'
      ? [{ name: node.callee.object.name, args: node.arguments }]
      : [];
  });
  const [push] = pushes;
  const pattern = loop.left.type === 'VariableDeclaration' ? loop.left.declarations[0]?.id : undefined;
  if (!push || !push.args.some((one) => givesMarkup(markup, one, scope))) return false;
  const node = repeat(markup, loop.right, pattern ? { pattern } : {}, spanOf(loop), scope, (inner) =>
    push.args.flatMap((one) => markupOf(markup, one, inner)),
  );
  keep(push.name, [node], scope);
  return true;
}

/** What is done on the way to markup. */
function readLoose(markup: ElementMarkup, statement: t.Statement, scope: Scope): void {
  const { body } = markup;
  const sink = newEffects();
  readStatement(body, statement, scope, sink);
  if (sink.reads.length === 0 && !sink.changes && !sink.raises && !sink.calls && !sink.sends) return;
  fillAction(body, addAction(body, 'while rendering', 'render', spanOf(statement)), sink);
}
