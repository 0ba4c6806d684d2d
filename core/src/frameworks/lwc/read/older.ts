import type * as t from '@babel/types';
import type {
  ArgFact,
  Binding,
  ComponentFacts,
  EventFact,
  FileFacts,
  MemberFact,
  NameFact,
  Problem,
  Reading,
  TemplateNode,
} from '../../../model/facts';
import { defaultSlot, eventKey, propKey } from '../../../model/member';
import { directoryOf } from '../../../model/paths';
import type { FilePath, Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { slotMembers } from '../../../read/elements/contract';
import { type Beside, type Part, placed, unitOf } from '../../../read/elements/unit';
import { branch, expressionAt, type Markup, outlet, repeat, shownText } from '../../../read/markup/expressions';
import { attributeNamed, type HtmlAttribute, type HtmlElement, type HtmlNode, parseHtml } from '../../../read/markup/html';
import { slotsOf } from '../../../read/markup/contract';
import { addAction, addValue, type Effects, fillAction, newBody, newEffects } from '../../../read/script/body';
import { inDetail } from '../../../read/script/channels';
import { readingsOf } from '../../../read/script/expressions';
import { readModuleHead } from '../../../read/script/plain';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, forEachChild, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { lwcDialect } from './dialect';
import { append } from '../../../model/append';

/** The markup of a bundle of the older framework. */
export const isOlderMarkup = (file: FilePath): boolean => /\.(?:cmp|app)$/.test(file);

/** The scripts that are read with the markup of an older bundle: its controller and its helper. */
export function olderBeside(file: FilePath, all: Iterable<FilePath>): FilePath[] {
  const name = /([^/]+)\.(?:cmp|app)$/.exec(file)?.[1];
  const own = name === undefined ? [] : [`${name}Controller.js`, `${name}Helper.js`].map((one) => `${directoryOf(file)}/${one}`);
  return [...all].filter((one) => own.includes(one)).sort();
}

type OlderFunction = {
  readonly node: FunctionNode;
  readonly action: number;
  readonly value: number;
  /** Its parameters by their names: the event of an action, all that a helper is handed. */
  readonly params: ReadonlyMap<string, number>;
};
type Functions = ReadonlyMap<string, OlderFunction>;

type Older = {
  readonly markup: Markup;
  readonly scope: Scope;
  readonly controller: Functions;
  readonly helper: Functions;
  readonly attributes: ReadonlyMap<string, number>;
  readonly missing: NameFact[];
};

const textAt = (text: string, attribute: HtmlAttribute | undefined): string | undefined =>
  attribute?.value && text.slice(attribute.value.start, attribute.value.end);

const named = ({ text }: Markup, node: HtmlElement, name: string): string | undefined => textAt(text, attributeNamed(node, name));

/** An action is called with the component, the event and the helper; a helper's function with what its caller writes. */
const eventParameter = 1;

/** The functions of a controller or a helper: `({ open: function (component, event, helper) { … } })`. */
function functionsOf(markup: Markup, part: Part | undefined, of: 'controller' | 'helper'): Functions {
  const found = new Map<string, OlderFunction>();
  const table = part && expressionAt(markup, { start: part.offset, end: part.offset + part.text.trimEnd().replace(/;$/, '').length });
  const object = table && bare(table);
  for (const one of object?.type === 'ObjectExpression' ? object.properties : []) {
    const name = one.type === 'SpreadElement' ? undefined : keyName(one);
    const node = one.type === 'ObjectProperty' ? bare(one.value) : one.type === 'ObjectMethod' ? one : undefined;
    if (name === undefined || !isFunction(node)) continue;
    const action = addAction(markup.body, name, 'handler', spanOf(one));
    const value = addValue(markup.body, { name, kind: 'function', span: spanOf(node), from: [], action });
    const params = new Map<string, number>();
    for (const [position, param] of node.params.entries()) {
      if (param.type !== 'Identifier' || (of === 'controller' && position !== eventParameter)) continue;
      const facts = { name: param.name, kind: 'param' as const, span: spanOf(param), from: [], of: action };
      params.set(param.name, addValue(markup.body, { ...facts, position: of === 'controller' ? 0 : position }));
    }
    found.set(name, { node, action, value, params });
  }
  return found;
}

/** Reads the markup of an older bundle with its controller and its helper. Never throws. */
export function readOlder(file: FilePath, text: string, beside: Beside): FileFacts {
  const unit = unitOf(file, text, beside);
  const { module, facts } = readModuleHead(file, '', unit.text);
  const body = newBody(module, lwcDialect);
  body.root = 'light';
  const problems: Problem[] = [];
  const markup: Markup = { body, text: unit.text, lang: 'js', problems, event: 'event' };
  const root = parseHtml(text, { xml: true }).find((one): one is HtmlElement => one.kind === 'element');
  const name = (file.split('/').at(-1) ?? file).replace(/\.\w+$/, '');
  const controller = functionsOf(
    markup,
    unit.parts.find((one) => one.file.endsWith('Controller.js')),
    'controller',
  );
  const helper = functionsOf(
    markup,
    unit.parts.find((one) => one.file.endsWith('Helper.js')),
    'helper',
  );
  const written = new Set([...unit.text.matchAll(/\.set\(\s*['"]v\.(\w+)/g)].map(([, one = '']) => one));
  const attributes = new Map<string, number>();
  const members: MemberFact[] = [];
  const declared = declarationsIn(root);
  for (const one of declared.filter(({ tag }) => tag === 'aura:attribute')) {
    const own = named(markup, one, 'name');
    const at = attributeNamed(one, 'name')?.value;
    if (own === undefined || !at) continue;
    const fallback = named(markup, one, 'default');
    // What it sets itself is its own to keep; all else is what its owner gives.
    attributes.set(own, addValue(body, { name: own, kind: written.has(own) ? 'state' : 'prop', span: at, from: [] }));
    members.push({ key: propKey(own), name: own, span: at, kind: 'value', required: 'no', fallback: fallback ?? 'undefined' });
  }
  const older: Older = { markup, scope: innerScope(), controller, helper, attributes, missing: [] };
  older.scope.names.set('v', { kind: 'members', of: (one) => valueOf(attributes.get(one)) });
  older.scope.names.set('c', { kind: 'members', of: (one, span) => actionOf(older, one, span) });
  for (const one of [...controller.values(), ...helper.values()])
    body.queue.push(() => {
      const sink = newEffects();
      readWhatItDoes(older, one, sink);
      fillAction(body, one.action, sink);
    });
  readHandlers(older, declared);
  const template = root ? readNodes(older, root.children, older.scope) : [];
  const slots = slotsOf(template);
  const component: Writable<ComponentFacts> = assembleComponent(body, () => ({
    name,
    local: 'default',
    span: { start: 0, end: text.length },
    nameSpan: root?.nameSpan ?? { start: 0, end: Math.min(1, text.length) },
    form: 'element',
    openness: named(markup, root ?? emptyRoot, 'extends') === undefined ? 'closed' : 'open',
    through: [],
    template,
    slots,
    members: [...members, ...eventsIn(markup, declared), ...slotMembers(slots)],
    eventName: (member) => member.name,
  }));
  component.element = { root: 'light', attributes: {}, keepsContent: true, isOlder: true };
  component.events = [...component.events, ...quietEvents(markup, declared, component)];
  if (older.missing.length > 0) component.undeclared = older.missing;
  if (file.endsWith('.app') || /\bflexipage:|\bforce:|\blightning:/.test(named(markup, root ?? emptyRoot, 'implements') ?? ''))
    component.isOffered = true;
  if (unit.parts.length > 0) component.files = unit.parts.map((one) => one.file);
  facts.problems = [...facts.problems, ...problems];
  facts.framework = 'lwc';
  facts.exports = [{ exported: 'default', local: 'default', span: component.nameSpan }];
  facts.components = [component];
  return placed(unit, facts);
}

const emptyRoot: HtmlElement = {
  kind: 'element',
  tag: '',
  span: { start: 0, end: 0 },
  nameSpan: { start: 0, end: 0 },
  attributes: [],
  children: [],
};

const valueOf = (value: number | undefined): Meaning => (value === undefined ? { kind: 'opaque' } : { kind: 'value', value, path: [] });

/** What `c.open` stands for; an action that the controller does not have is noted. */
function actionOf({ controller, missing }: Older, name: string, span: Span | undefined): Meaning {
  const found = controller.get(name);
  if (found) return { kind: 'function', node: found.node, scope: innerScope(), action: found.action, value: found.value };
  if (span && !missing.some((one) => one.name === name)) missing.push({ name, span, ofSelf: true });
  return { kind: 'opaque' };
}

const declarationsIn = (root: HtmlElement | undefined): HtmlElement[] =>
  (root?.children ?? []).filter((one): one is HtmlElement => one.kind === 'element' && declaring.test(one.tag));

const declaring = /^aura:(?:attribute|registerEvent|handler|dependency|import|method|locker|documentation)$/i;

/** The events that a bundle registers, as members of its contract. */
const eventsIn = (markup: Markup, declared: readonly HtmlElement[]): MemberFact[] =>
  declared.flatMap((one): MemberFact[] => {
    const name = one.tag === 'aura:registerEvent' ? named(markup, one, 'name') : undefined;
    return name === undefined ? [] : [{ key: eventKey(name), name, span: one.span, kind: 'callback', required: 'no' }];
  });

/** Events that are registered and that nothing fires. */
const quietEvents = (markup: Markup, declared: readonly HtmlElement[], { events }: ComponentFacts): EventFact[] =>
  eventsIn(markup, declared).flatMap(({ key, name, span }): EventFact[] =>
    events.some((one) => one.key === key) ? [] : [{ name, key, span, raised: [], travels: 'bubbles' }],
  );

/** `<aura:handler name="passed" action="{!c.count}" />`: what comes from below is heard; `init` runs at the start. */
function readHandlers(older: Older, declared: readonly HtmlElement[]): void {
  const { markup, scope } = older;
  for (const one of declared) {
    if (one.tag !== 'aura:handler') continue;
    const event = named(markup, one, 'name') ?? named(markup, one, 'event');
    const [run] = readingsIn(older, attributeNamed(one, 'action'), scope);
    if (event === undefined || !run) continue;
    const value = named(markup, one, 'value');
    if (/^(?:init|change|destroy|render|afterRender)$/.test(event) && value !== undefined) {
      const started = addAction(markup.body, event, 'lifecycle', one.span);
      const facts = markup.body.actions[started];
      const action = markup.body.values[run.value]?.action;
      if (facts && action !== undefined) facts.calls = [action];
      continue;
    }
    const listening = addAction(markup.body, `hears ${event}`, 'lifecycle', one.span);
    const facts = markup.body.actions[listening];
    if (facts)
      facts.hears = [
        { channel: { on: 'element', own: 'element', event: event.replace(/^.*:/, '') }, span: one.span, ends: true, reading: run },
      ];
  }
}

/** `component.get('v.level')`, `event.getParam('axles')`, a parameter: what an expression of a function reads; `own` are its variables. */
function readsIn({ attributes }: Older, { params }: OlderFunction, own: ReadonlyMap<string, t.Node>, node: t.Node): Reading[] {
  const found: Reading[] = [];
  const seen = new Set<string>();
  const visit = (one: t.Node, isWhole: boolean): void => {
    const note = (value: number, path: readonly string[]): number =>
      found.push({ value, path, how: !isWhole ? 'computed' : path.length > 0 ? 'part' : 'same', span: spanOf(one) });
    if (one.type === 'Identifier') {
      const param = params.get(one.name);
      const held = own.get(one.name);
      if (param !== undefined) note(param, []);
      else if (held && !seen.has(one.name)) visit(bare(held), (seen.add(one.name), isWhole));
      return;
    }
    const method =
      one.type === 'CallExpression' && one.callee.type === 'MemberExpression' ? keyName({ key: one.callee.property }) : undefined;
    if (one.type === 'CallExpression' && one.callee.type === 'MemberExpression') {
      const object = bare(one.callee.object);
      const [first] = one.arguments;
      const text = first?.type === 'StringLiteral' ? first.value : undefined;
      const param = object.type === 'Identifier' ? params.get(object.name) : undefined;
      const value = method === 'get' ? attributeNamedBy(attributes, first) : undefined;
      if (value !== undefined) note(value, []);
      else if (method === 'getParam' && param !== undefined && text !== undefined) note(param, ['detail', text]);
      else for (const argument of [object, ...one.arguments]) visit(argument, false);
      return;
    }
    // What a member is called by is no name that is read.
    forEachChild(one, (child) => {
      if (one.type !== 'MemberExpression' || one.computed || child !== one.property) visit(child, false);
    });
  };
  visit(bare(node), true);
  return found;
}

/** `'v.level'`: the attribute that a call of `get` or `set` names. */
function attributeNamedBy(attributes: Older['attributes'], given: t.Node | undefined): number | undefined {
  const name = given?.type === 'StringLiteral' ? /^v\.(\w+)/.exec(given.value)?.[1] : undefined;
  return name === undefined ? undefined : attributes.get(name);
}

/** What a function of a controller or a helper reads, sets, calls and fires. */
function readWhatItDoes(older: Older, fn: OlderFunction, sink: Effects): void {
  const { helper } = older;
  const own = new Map<string, t.Node>();
  const reads = (node: t.Node | undefined): Reading[] => (node ? readsIn(older, fn, own, node) : []);
  const fired = new Map<string, string>();
  const params = new Map<string, ArgFact>();
  const visit = (one: t.Node): void => {
    const made = one.type === 'VariableDeclarator' && one.id.type === 'Identifier' && one.init ? bare(one.init) : undefined;
    if (made && one.type === 'VariableDeclarator' && one.id.type === 'Identifier') {
      const event = eventGot(made);
      if (event === undefined) own.set(one.id.name, made);
      else fired.set(one.id.name, event);
    }
    if (one.type === 'CallExpression' && one.callee.type === 'MemberExpression') {
      const method = keyName({ key: one.callee.property });
      const object = bare(one.callee.object);
      const [first, second] = one.arguments;
      const value = method === 'set' ? attributeNamedBy(older.attributes, first) : undefined;
      if (value !== undefined) (sink.changes ??= []).push({ value, span: spanOf(one), how: 'assign', from: reads(second) });
      const table = object.type === 'ThisExpression' || (object.type === 'Identifier' && object.name === 'helper') ? helper : undefined;
      const called = method === undefined ? undefined : table?.get(method);
      if (called) {
        (sink.calls ??= []).push(called.action);
        const args = one.arguments.map((arg): ArgFact => ({ readings: reads(arg) }));
        (sink.invokes ??= []).push({ value: called.value, span: spanOf(one), path: [], args });
      }
      const name = object.type === 'Identifier' ? object.name : '';
      if (method === 'setParams' && first) params.set(name, { readings: inParams(first, reads) });
      const event = method === 'fire' ? (fired.get(name) ?? eventGot(object)) : undefined;
      if (event !== undefined) {
        const travel = { bubbles: true, composed: true };
        const span = spanOf(one);
        const given = params.get(name);
        const args = given ? [given] : [];
        (sink.sends ??= []).push({ channel: { on: 'element', own: 'element', event }, ...travel, args, span });
        (sink.raises ??= []).push({ member: eventKey(event), optional: true, span, args, travel });
      }
    }
    forEachChild(one, visit);
  };
  visit(fn.node.body);
  append(sink.reads, reads(fn.node.body));
}

/** `{ axles: component.get('v.axles') }`: what is read stands in the event's parameters by these names. */
function inParams(given: t.Node, reads: (node: t.Node) => Reading[]): Reading[] {
  const node = bare(given);
  if (node.type !== 'ObjectExpression') return inDetail(reads(node));
  return node.properties.flatMap((one): Reading[] => {
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    if (one.type !== 'ObjectProperty' || name === undefined) return [];
    return reads(one.value).map((read): Reading => ({ ...read, held: { at: ['detail', name], how: read.how } }));
  });
}

/** `component.getEvent('passed')`, `$A.get('e.c:Passed')`: the event that a call makes. */
function eventGot(given: t.Node): string | undefined {
  if (given.type !== 'CallExpression' || given.callee.type !== 'MemberExpression') return undefined;
  const method = keyName({ key: given.callee.property });
  const [first] = given.arguments;
  if (first?.type !== 'StringLiteral') return undefined;
  if (method === 'getEvent') return first.value;
  return method === 'get' && first.value.startsWith('e.') ? first.value.replace(/^e\.(?:\w+:)?/, '') : undefined;
}

/** What an attribute reads: `{!v.level}`, `{!c.open}`; nothing for a text. */
function readingsIn({ markup }: Older, attribute: HtmlAttribute | undefined, scope: Scope): readonly Reading[] {
  const node = attribute && expressionOf(markup, attribute);
  return node ? readingsOf(markup.body, node, scope) : [];
}

function expressionOf(markup: Markup, { value }: HtmlAttribute): t.Expression | undefined {
  const range = value && bracedIn(markup.text, value);
  return range && expressionAt(markup, range);
}

/** Where the expression of `{!…}` or `{#…}` stands; undefined where there is none, or text beside it. */
function bracedIn(text: string, span: Span): Span | undefined {
  const found = /^\s*\{[!#]([^{}]*)\}\s*$/.exec(text.slice(span.start, span.end));
  if (!found) return undefined;
  const start = span.start + text.slice(span.start, span.end).indexOf('{') + 2;
  return { start, end: start + (found[1]?.length ?? 0) };
}

function readNodes(older: Older, nodes: readonly HtmlNode[], scope: Scope): TemplateNode[] {
  return nodes.flatMap((node): TemplateNode[] => {
    if (node.kind === 'element') return declaring.test(node.tag) ? [] : readTag(older, node, scope);
    const text = older.markup.text.slice(node.span.start, node.span.end);
    return [...text.matchAll(/\{[!#]([^{}]*)\}/g)].flatMap((match): TemplateNode[] => {
      const start = node.span.start + match.index + 2;
      if (/^\s*v\.body\s*$/.test(match[1] ?? '')) return [outlet(defaultSlot, node.span, [], [], [], false)];
      const shown = expressionAt(older.markup, { start, end: start + (match[1]?.length ?? 0) });
      return shown ? shownText(older.markup, shown, scope, { start, end: start + (match[1]?.length ?? 0) }) : [];
    });
  });
}

const isElse = (markup: Markup, node: HtmlNode): node is HtmlElement =>
  node.kind === 'element' && node.tag === 'aura:set' && named(markup, node, 'attribute') === 'else';

function readTag(older: Older, node: HtmlElement, scope: Scope): TemplateNode[] {
  const { markup } = older;
  if (node.tag === 'aura:set') return readNodes(older, node.children, scope);
  if (node.tag === 'aura:if' || node.tag === 'aura:renderIf') {
    const at = attributeNamed(node, 'isTrue');
    const test = at && expressionOf(markup, at);
    const shown = readNodes(
      older,
      node.children.filter((one) => !isElse(markup, one)),
      scope,
    );
    if (!test) return shown;
    const other = node.children
      .filter((one): one is HtmlElement => isElse(markup, one))
      .flatMap((one) => readNodes(older, one.children, scope));
    return [branch(markup, test, false, scope, shown), ...(other.length > 0 ? [branch(markup, test, true, scope, other)] : [])];
  }
  if (node.tag === 'aura:iteration') {
    const at = attributeNamed(node, 'items');
    const list = at && expressionOf(markup, at);
    const item = attributeNamed(node, 'var')?.value;
    const name = named(markup, node, 'var');
    const position = named(markup, node, 'indexVar');
    if (!list) return readNodes(older, node.children, scope);
    const pattern = name && item ? { pattern: { type: 'Identifier', name, start: item.start, end: item.end } as t.Identifier } : {};
    return [
      repeat(markup, list, { ...pattern, ...(position ? { position } : {}) }, node.span, scope, (inner) =>
        readNodes(older, node.children, inner),
      ),
    ];
  }
  const isUse = /^\w+:[A-Za-z_]\w*$/.test(node.tag);
  const bindings = node.attributes
    .filter(({ name }) => !/^(?:aura:id|xmlns)/.test(name))
    .map((one): Binding => bindingOf(older, one, scope, isUse));
  const base = { span: node.span, nameSpan: node.nameSpan, bindings, spreads: [], children: readNodes(older, node.children, scope) };
  if (!isUse) return [{ kind: 'element', tag: node.tag, ...base, key: { kind: 'none' } }];
  const content = base.children.length > 0 ? ('markup' as const) : ('none' as const);
  return [{ kind: 'use', tag: node.tag, ...base, key: { kind: 'none' }, content }];
}

/** A value, or what is to run when an event comes: what names an action of the controller is for an event. */
function bindingOf(older: Older, one: HtmlAttribute, scope: Scope, isUse: boolean): Binding {
  const { text } = older.markup;
  const isAction = /^\s*\{[!#]\s*c\./.test(textAt(text, one) ?? '');
  const event = one.name.replace(/^on(?=[a-z])/, '');
  const to: Binding['to'] = isAction
    ? isUse
      ? { kind: 'event', name: event }
      : { kind: 'listener', name: event, on: 'self' }
    : { kind: isUse && !/^(?:class|style|title)$/.test(one.name) ? 'prop' : 'attribute', name: one.name };
  return {
    to,
    written: one.name,
    span: one.span,
    nameSpan: one.nameSpan,
    direction: isAction ? 'out' : 'in',
    readings: readingsIn(older, one, scope),
  };
}
