import type * as t from '@babel/types';
import type { Binding, Reading, TemplateElement, TemplateNode, TemplateUse } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { walkTemplate } from '../../../model/walk';
import { isElementTag } from '../../../read/elements/platform';
import { addValue, type Body, type Dialect, type Effects, excerpt, newEffects } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { readExpression, readingsOf } from '../../../read/script/expressions';
import { mergeInto } from '../../../read/script/names';
import { innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { bare, dottedName, forEachChild, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { type ElementMarkup, looksLikeMarkup, markupOf, readHandler } from './markup';
import { append } from '../../../model/append';

type Call = t.CallExpression | t.OptionalCallExpression;
type Node = Writable<TemplateElement> | Writable<TemplateUse>;

/** An element that script makes, or asks its own markup for, by the value that holds it. */
type Handle = {
  readonly value: number;
  /** Made by script: the node that it is. */
  readonly node?: Node;
  /** What its own markup is asked for. */
  readonly selector?: string;
  /** What is given to it before it is known which one it is. */
  readonly given: Binding[];
};

/** The elements that script of a class or a page holds, and the markup that it puts there. */
export type Handles = {
  readonly byValue: Map<number, Handle>;
  readonly bySelector: Map<string, Handle>;
  /** What stands in the element’s own tree, as script puts it there. */
  readonly template: TemplateNode[];
  /** Markup that a module keeps in templates, by their names. */
  readonly stored: ReadonlyMap<string, t.Node>;
  /** What stands around a node, the innermost first, within its function. */
  readonly around: (node: t.Node) => readonly t.Node[];
};

export function newHandles(stored: ReadonlyMap<string, t.Node>, around: Handles['around']): Handles {
  return { byValue: new Map(), bySelector: new Map(), template: [], stored, around };
}

/** The nodes around each node of a tree. */
export function parentsIn(root: t.Node): (node: t.Node) => readonly t.Node[] {
  let parents: Map<t.Node, t.Node> | undefined;
  const note = (node: t.Node): void => {
    forEachChild(node, (child) => {
      parents?.set(child, node);
      note(child);
    });
  };
  return (node) => {
    if (!parents) {
      parents = new Map();
      note(root);
    }
    const found: t.Node[] = [];
    for (let at = parents.get(node); at; at = parents.get(at)) found.push(at);
    return found;
  };
}

/** Whether an expression stands for the element itself, or for the root of its shadow tree. */
function isOwnRoot(given: t.Node, scope: Scope, depth = 3): boolean {
  const node = bare(given);
  if (node.type === 'ThisExpression') return true;
  const member = node.type === 'MemberExpression' && node.object.type === 'ThisExpression' ? (keyName({ key: node.property }) ?? '') : '';
  if (/^(?:shadowRoot|renderRoot|_?#?_?(?:shadow|root|shadowRoot)_?)$/i.test(member)) return true;
  if (node.type === 'CallExpression') return (dottedNameOf(node.callee) ?? '') === 'this.attachShadow';
  if (node.type !== 'Identifier' || depth === 0) return false;
  if (/^(?:self|host|that)$/.test(node.name)) return true;
  const meaning = lookUp(scope, node.name);
  return meaning?.kind === 'local' && meaning.same?.path.length === 0 && isOwnRoot(meaning.same.node, meaning.same.scope, depth - 1);
}

const dottedNameOf = (node: t.Node): string | undefined =>
  node.type === 'MemberExpression' && node.object.type === 'ThisExpression'
    ? `this.${keyName({ key: node.property }) ?? ''}`
    : dottedName(node);

/** The handle that an expression stands for. */
function handleMeant(body: Body, handles: Handles, given: t.Node, scope: Scope): Handle | undefined {
  const node = bare(given);
  if (node.type === 'Identifier' || node.type === 'MemberExpression' || node.type === 'CallExpression') {
    const [reading, ...more] = readingsOf(body, node, scope);
    return reading && more.length === 0 && reading.path.length === 0 ? handles.byValue.get(reading.value) : undefined;
  }
  return undefined;
}

/** The value of a handle on what a selector finds in the element’s own markup. */
export function handleOfSelector(body: Body, handles: Handles, selector: string, span: Span): number {
  const known = handles.bySelector.get(selector);
  if (known) return known.value;
  const value = addValue(body, { name: selector.replace(/^[#.]/, ''), kind: 'ref', span, from: [] });
  const handle: Handle = { value, selector, given: [] };
  handles.bySelector.set(selector, handle);
  handles.byValue.set(value, handle);
  return value;
}

/** `document.createElement('seed-tray')`: an element that script makes. */
function made(body: Body, handles: Handles, tag: string, call: t.CallExpression): number {
  const span = spanOf(call);
  const [first] = call.arguments;
  const nameSpan = first ? spanOf(first) : span;
  const value = addValue(body, { name: tag, kind: 'ref', span, from: [] });
  const shared = { tag, span, nameSpan, bindings: [], spreads: [], children: [], key: { kind: 'none' as const } };
  const ref: Reading = { value, path: [], how: 'same', span };
  const node: Node = isElementTag(tag) ? { kind: 'use', ...shared, content: 'none', ref } : { kind: 'element', ...shared, ref };
  handles.byValue.set(value, { value, node, given: [] });
  return value;
}

const queries = /^(?:querySelector|getElementById|shadowRoot\.querySelector)$/;

/** The value that a call gives which makes an element, or asks for one of the own markup. */
function elementOf(body: Body, handles: Handles, call: t.CallExpression, scope: Scope): number | undefined {
  const known = body.hookValues.get(call);
  if (known !== undefined) return known;
  const { callee } = call;
  if (callee.type !== 'MemberExpression') return undefined;
  const method = keyName({ key: callee.property }) ?? '';
  const [first] = call.arguments;
  const text = first?.type === 'StringLiteral' ? first.value : undefined;
  let value: number | undefined;
  if (/^createElement(?:NS)?$/.test(method) && dottedName(callee.object) === 'document' && text !== undefined)
    value = made(body, handles, text, call);
  else if (queries.test(method) && text !== undefined && (isOwnRoot(callee.object, scope) || isPageQuery(body, callee.object)))
    value = handleOfSelector(body, handles, method === 'getElementById' ? `#${text}` : text, spanOf(call));
  if (value !== undefined) body.hookValues.set(call, value);
  return value;
}

/** A page asks the document for its own elements. */
const isPageQuery = (body: Body, given: t.Node): boolean => body.root === undefined && dottedName(given) === 'document';

const inserting = /^(?:append|appendChild|prepend|insertBefore|replaceChildren|replaceWith|before|after|insertAdjacentElement)$/;

/** The loops and conditions that stand around a place in script, around some markup. */
function placed(markup: ElementMarkup, handles: Handles, at: t.Node, nodes: readonly TemplateNode[], scope: Scope): TemplateNode[] {
  let shown = [...nodes];
  const { body } = markup;
  for (const around of handles.around(at)) {
    if (shown.length === 0) break;
    const span = spanOf(around);
    if (around.type === 'IfStatement') {
      const readings = readingsOf(body, around.test, scope, 'computed');
      const negated = around.alternate ? (around.alternate.start ?? 0) <= (at.start ?? 0) : false;
      shown = [
        { kind: 'branch', when: excerpt(body.module, spanOf(around.test)), negated, readings, span: spanOf(around.test), children: shown },
      ];
    } else if (around.type === 'ForOfStatement') {
      const readings = readingsOf(body, around.right, scope, 'item');
      shown = [
        {
          kind: 'repeat',
          over: excerpt(body.module, spanOf(around.right), 40),
          readings,
          span,
          item: '',
          order: 'unknown',
          children: shown,
        },
      ];
    } else if (around.type === 'ForStatement' || around.type === 'WhileStatement')
      shown = [{ kind: 'repeat', over: 'loop', readings: [], span, item: '', order: 'unknown', children: shown }];
    else if (
      around.type === 'CallExpression' &&
      around.callee.type === 'MemberExpression' &&
      /^(?:map|forEach|flatMap)$/.test(keyName({ key: around.callee.property }) ?? '') &&
      around.arguments.some((one) => isFunction(one))
    ) {
      const list = around.callee.object;
      shown = [
        {
          kind: 'repeat',
          over: excerpt(body.module, spanOf(list), 40),
          readings: readingsOf(body, list, scope, 'item'),
          span,
          item: '',
          order: 'unknown',
          children: shown,
        },
      ];
    }
  }
  return shown;
}

/** Where script puts elements: into the own tree, or into an element that it holds. */
function put(markup: ElementMarkup, handles: Handles, target: t.Node, call: t.Node, nodes: readonly TemplateNode[], scope: Scope): boolean {
  if (nodes.length === 0) return false;
  if (isOwnRoot(target, scope)) {
    append(handles.template, placed(markup, handles, call, nodes, scope));
    return true;
  }
  if (/^document\.(?:body|documentElement)$/.test(dottedName(bare(target)) ?? '')) {
    const span = spanOf(call);
    const shown = placed(markup, handles, call, nodes, scope);
    handles.template.push({
      kind: 'element',
      tag: '',
      span,
      nameSpan: span,
      bindings: [],
      spreads: [],
      children: shown,
      key: { kind: 'none' },
      apart: true,
    });
    return true;
  }
  const holder = handleMeant(markup.body, handles, target, scope);
  if (!holder) return false;
  if (holder.node) {
    holder.node.children = [...holder.node.children, ...nodes];
    if (holder.node.kind === 'use') holder.node.content = 'markup';
  } else append(handles.template, placed(markup, handles, call, nodes, scope));
  return true;
}

/** The markup of a template that a module keeps, where an expression takes its content. */
function storedIn(handles: Handles, given: t.Node): t.Node | undefined {
  let found: t.Node | undefined;
  const visit = (node: t.Node): void => {
    if (node.type === 'MemberExpression' && node.object.type === 'Identifier' && keyName({ key: node.property }) === 'content')
      found ??= handles.stored.get(node.object.name);
    forEachChild(node, visit);
  };
  visit(given);
  return found;
}

/** What is put somewhere by a call: elements that script made, or the content of a template. */
function insertedBy(markup: ElementMarkup, handles: Handles, call: Call, scope: Scope): TemplateNode[] {
  return call.arguments.flatMap((one): TemplateNode[] => {
    const stored = storedIn(handles, one);
    if (stored) return markupOf(markup, stored, innerScope());
    const handle = handleMeant(markup.body, handles, one, scope);
    return handle?.node ? [handle.node as TemplateNode] : [];
  });
}

/** A binding of an element that script holds. */
function bind(handle: Handle, binding: Binding): void {
  if (handle.node) handle.node.bindings = [...handle.node.bindings, binding];
  else handle.given.push(binding);
}

const isUse = (handle: Handle): boolean => (handle.node ? handle.node.kind === 'use' : isElementTag(handle.selector ?? ''));

/** `el.tray = tray`, `el.innerHTML = '…'`, `el.onclick = f`: what an element is given by script. */
function readAssignment(markup: ElementMarkup, handles: Handles, node: t.AssignmentExpression, scope: Scope, sink: Effects): boolean {
  const { body } = markup;
  const left = bare(node.left);
  if (left.type !== 'MemberExpression' || left.computed) return false;
  const name = keyName({ key: left.property }) ?? '';
  const { object } = left;
  if (name === 'innerHTML' || name === 'outerHTML') {
    const text = markup.text.slice(node.right.start ?? 0, node.right.end ?? 0);
    const nodes = looksLikeMarkup(text) || markup.constants.has(text) ? markupOf(markup, node.right, scope) : [];
    if (nodes.length > 0 && put(markup, handles, object, node, nodes, scope)) return true;
    return false;
  }
  if (object.type === 'ThisExpression') return false;
  const handle = handleMeant(body, handles, object, scope);
  if (!handle) return false;
  const event = /^on([a-z]+)$/.exec(name)?.[1];
  const span = spanOf(node);
  const nameSpan = spanOf(left.property);
  const shared = { written: name, span, nameSpan };
  if (event !== undefined) {
    bind(handle, {
      ...shared,
      to: { kind: 'listener', name: event, on: 'self' },
      direction: 'out',
      ...readHandler(markup, event, node.right, scope),
    });
    return true;
  }
  const inner = newEffects();
  readExpression(body, node.right, scope, 'same', inner);
  const readings = [...inner.reads];
  mergeInto(sink, inner, 'computed');
  if (name === 'textContent' || name === 'innerText') {
    if (handle.node && readings.length > 0) handle.node.children = [...handle.node.children, { kind: 'text', readings, span }];
    if (handle.node?.kind === 'use' && handle.node.content === 'none') handle.node.content = 'text';
    return true;
  }
  const right = bare(node.right);
  const constant = /^(?:String|Numeric|Boolean|Null)Literal$/.test(right.type) ? excerpt(body.module, spanOf(right)) : undefined;
  bind(handle, {
    ...shared,
    to: isUse(handle) ? { kind: 'prop', name } : { kind: 'property', name },
    direction: 'in',
    readings,
    ...(constant === undefined ? {} : { constant }),
  });
  return true;
}

/** Calls on elements that script holds. */
function readElementCall(markup: ElementMarkup, handles: Handles, call: Call, scope: Scope, sink: Effects): boolean {
  const { body } = markup;
  const { callee } = call;
  if (callee.type === 'Identifier' && callee.name === 'render' && call.arguments.length >= 2 && body.module.imported.has('render')) {
    const [template, target] = call.arguments;
    if (template && target) {
      append(handles.template, placed(markup, handles, call, markupOf(markup, template, scope), scope));
      return true;
    }
  }
  if (callee.type !== 'MemberExpression' && callee.type !== 'OptionalMemberExpression') return false;
  const method = keyName({ key: callee.property }) ?? '';
  const { object } = callee;
  const [first, second] = call.arguments;
  if (inserting.test(method)) {
    const nodes = insertedBy(markup, handles, call, scope);
    return put(
      markup,
      handles,
      /^(?:before|after|replaceWith)$/.test(method) ? ({ type: 'ThisExpression' } as t.Node) : object,
      call,
      nodes,
      scope,
    );
  }
  if (method === 'insertAdjacentHTML' && second) return put(markup, handles, object, call, markupOf(markup, second, scope), scope);
  if (method === 'setAttribute' || method === 'toggleAttribute') {
    const handle = object.type === 'ThisExpression' ? undefined : handleMeant(body, handles, object, scope);
    if (!handle || first?.type !== 'StringLiteral') return false;
    const inner = newEffects();
    if (second) readExpression(body, second, scope, 'same', inner);
    const readings = [...inner.reads];
    mergeInto(sink, inner, 'computed');
    bind(handle, {
      to: { kind: 'attribute', name: first.value.toLowerCase() },
      written: first.value,
      span: spanOf(call),
      nameSpan: spanOf(first),
      direction: 'in',
      readings,
      asAttribute: method === 'setAttribute' ? 'text' : 'flag',
      ...(readings.length === 0 && second ? { constant: excerpt(body.module, spanOf(second)) } : {}),
    });
    return true;
  }
  if (method === 'addEventListener' && first && second) {
    const handle = object.type === 'ThisExpression' ? undefined : handleMeant(body, handles, object, scope);
    // What is heard stands with the subscription; the binding only says that somebody listens here.
    if (handle && isUse(handle) && first.type === 'StringLiteral')
      bind(handle, {
        to: { kind: 'event', name: first.value },
        written: first.value,
        span: spanOf(call),
        nameSpan: spanOf(first),
        direction: 'out',
        readings: [],
      });
    return false;
  }
  return false;
}

/** What an element has for a selector: its tag, its id, a class, an attribute. */
function fits(node: TemplateElement | TemplateUse, selector: string): boolean {
  const last =
    selector
      .trim()
      .split(/[\s>+~]+/)
      .at(-1) ?? '';
  const [, tag = '', more = ''] = /^([\w-]*)(.*)$/.exec(last) ?? [];
  if (tag !== '' && node.tag.toLowerCase() !== tag.toLowerCase()) return false;
  const textOf = (name: string): string | undefined => {
    const found = node.bindings.find(({ to }) => to.kind === 'attribute' && to.name === name);
    return found && /^"(.*)"$/.exec(found.constant ?? '')?.[1];
  };
  for (const [, mark, name = '', attribute, value] of more.matchAll(
    /([#.])([\w-]+)|\[([\w-]+)(?:[~^$*|]?=["']?([^"'\]]*)["']?)?\]|:[\w-]+(?:\([^)]*\))?/g,
  )) {
    if (mark === '#' && textOf('id') !== name) return false;
    if (mark === '.' && !(textOf('class') ?? '').split(/\s+/).includes(name)) return false;
    if (attribute !== undefined) {
      const has = node.bindings.some(({ to }) => to.name === attribute);
      if (!has || (value !== undefined && textOf(attribute) !== undefined && textOf(attribute) !== value)) return false;
    }
  }
  return tag !== '' || more !== '';
}

/** Gives each element that was asked for its handle, and what script gave it; `template` is all of the own markup. */
export function settleHandles(body: Body, handles: Handles, template: readonly TemplateNode[]): void {
  for (const handle of handles.bySelector.values()) {
    let found: Node | undefined;
    walkTemplate(template, (node) => {
      if (!found && (node.kind === 'element' || node.kind === 'use') && fits(node, handle.selector ?? '')) found = node;
    });
    if (!found) continue;
    const span = body.values[handle.value]?.span ?? found.span;
    if (!found.ref) found.ref = { value: handle.value, path: [], how: 'same', span };
    else {
      const value = body.values[handle.value];
      if (value && found.ref.value !== handle.value) value.from = [found.ref];
    }
    if (handle.given.length > 0)
      found.bindings = [...found.bindings, ...handle.given.filter(({ to }) => found?.kind === 'use' || to.kind !== 'event')];
  }
}

/** What reading script must know of elements that it makes, asks for and gives something. */
export function handlesDialect(markup: () => ElementMarkup, handles: Handles): Pick<Dialect, 'call' | 'assign' | 'hook'> {
  return {
    hook: (body, call, scope) => elementOf(body, handles, call, scope),
    call: (body, call, callee, scope, sink) =>
      readElementCall(markup(), handles, call, scope, sink) || (channelDialect.call?.(body, call, callee, scope, sink) ?? false),
    assign: (body, node, scope, sink) =>
      readAssignment(markup(), handles, node, scope, sink) || (channelDialect.assign?.(body, node, scope, sink) ?? false),
  };
}
