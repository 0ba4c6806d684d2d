import type * as ng from '@angular/compiler';
import { structural } from '../directives';
import type * as t from '@babel/types';
import type { Binding, BindingTarget, KeyFact, NameFact, Reading, TemplateElement, TemplateNode, TemplateUse } from '../../../model/facts';
import { defaultSlot, memberOf, slotKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { addValue, excerpt } from '../../../read/script/body';
import { type Branch, branch, inElse, inlineAction, type Markup, outlet, repeat, shownText } from '../../../read/markup/expressions';
import { callGiven } from '../../../read/script/called';
import { readExpression, readingsOf } from '../../../read/script/expressions';
import { stopsEvents } from '../../../read/script/call-meaning';
import { innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { bare, madeIn, spanOf } from '../../../read/script/syntax';
import { compiler } from '../parser';
import { routeOutlet } from '../tags';
import { writeTarget } from './dialect';
import { turned, type Turning } from './expressions';

/** A template that is being read, with what its expressions turn to and the templates within it that have names. */
export type AngularMarkup = Markup & {
  readonly opens: (name: string) => boolean;
  readonly pipes: NameFact[];
  /** Directives of the framework that stand on templates. */
  readonly directives: NameFact[];
  /** Templates by the names that markup gives them. */
  readonly named: Map<string, ng.TmplAstTemplate>;
  /** Those that are shown by their names: they do not stand where they are written. */
  readonly shown: Set<ng.TmplAstTemplate>;
  /** Those that are being read, so that one that shows itself ends. */
  readonly reading: Set<ng.TmplAstTemplate>;
  /** The form around what is read, for the fields that name a part of it. */
  group?: { readonly node: t.Node; readonly scope: Scope } | undefined;
  /** Fields that hold what a query finds of the content, by name: the slot that each is. */
  readonly asked: ReadonlyMap<string, string>;
};

const noKey: KeyFact = { kind: 'none' };

const placeOf = (span: ng.ParseSourceSpan): Span => ({ start: span.start.offset, end: span.end.offset });
const isWithin = (span: Span): boolean => span.end > span.start;

function turningIn(markup: AngularMarkup, scope: Scope): Turning {
  return {
    opens: (name, ofSelf) => {
      const meaning = ofSelf ? undefined : lookUp(scope, name);
      const value = meaning?.kind === 'value' && meaning.path.length === 0 ? markup.body.values[meaning.value] : undefined;
      // A name of the markup itself may hold a signal, which is opened as well.
      return markup.opens(name) || value?.kind === 'item';
    },
    pipe: (name, span) => {
      if (!markup.pipes.some((one) => one.span.start === span.start)) markup.pipes.push({ name, span });
    },
  };
}

const expressionOf = (markup: AngularMarkup, ast: ng.AST, scope: Scope): t.Expression => turned(ast, turningIn(markup, scope));

/** Reads the nodes of one view: their references are known in all of it. */
export function readView(markup: AngularMarkup, nodes: readonly ng.TmplAstNode[], scope: Scope): TemplateNode[] {
  const view = innerScope(scope);
  noteReferences(markup, nodes, view);
  return readNodes(markup, nodes, view);
}

/** Gives the names that a view gives to its elements and templates their meaning. */
function noteReferences(markup: AngularMarkup, nodes: readonly ng.TmplAstNode[], scope: Scope): void {
  const c = compiler();
  for (const node of nodes) {
    const isElement = node instanceof c.TmplAstElement;
    if (!isElement && !(node instanceof c.TmplAstTemplate)) {
      if (node instanceof c.TmplAstContent) noteReferences(markup, node.children, scope);
      continue;
    }
    const isStructural = !isElement && node.templateAttrs.length > 0;
    for (const one of isStructural ? [] : node.references) {
      if (isElement) {
        const value = addValue(markup.body, { name: one.name, kind: 'ref', span: placeOf(one.keySpan), from: [] });
        scope.names.set(one.name, { kind: 'value', value, path: [] });
      } else {
        markup.named.set(one.name, node);
        scope.names.set(one.name, { kind: 'opaque' });
      }
    }
    if (isElement) noteReferences(markup, node.children, scope);
  }
}

function readNodes(markup: AngularMarkup, nodes: readonly ng.TmplAstNode[], scope: Scope): TemplateNode[] {
  return nodes.flatMap((node) => readNode(markup, node, scope));
}

function readNode(markup: AngularMarkup, node: ng.TmplAstNode, scope: Scope): TemplateNode[] {
  const c = compiler();
  if (node instanceof c.TmplAstBoundText) return textOf(markup, node.value, scope, placeOf(node.sourceSpan));
  if (node instanceof c.TmplAstElement) return readElement(markup, node, scope);
  if (node instanceof c.TmplAstTemplate) return readTemplate(markup, node, scope);
  if (node instanceof c.TmplAstContent) return [readOutlet(markup, node, scope)];
  if (node instanceof c.TmplAstIfBlock) return readIf(markup, node, scope);
  if (node instanceof c.TmplAstForLoopBlock) return readFor(markup, node, scope);
  if (node instanceof c.TmplAstSwitchBlock) return readSwitch(markup, node, scope);
  if (node instanceof c.TmplAstDeferredBlock) return readDeferred(markup, node, scope);
  if (node instanceof c.TmplAstLetDeclaration) {
    const from = readingsOf(markup.body, expressionOf(markup, node.value, scope), scope);
    const value = addValue(markup.body, { name: node.name, kind: 'derived', span: placeOf(node.nameSpan), from });
    scope.names.set(node.name, { kind: 'value', value, path: [] });
    return [];
  }
  if (node instanceof c.TmplAstIcu)
    return Object.values(node.vars).flatMap((one) => textOf(markup, one.value, scope, placeOf(node.sourceSpan)));
  return [];
}

/** A text with what it shows: each expression by itself. */
function textOf(markup: AngularMarkup, ast: ng.AST, scope: Scope, span: Span): TemplateNode[] {
  return shownText(markup, expressionOf(markup, ast, scope), scope, span);
}

const hasText = (nodes: readonly ng.TmplAstNode[]): boolean =>
  nodes.some((one) => one instanceof compiler().TmplAstText && one.value.trim() !== '');

/** What holds other nodes and is no element. */
const fragment = (span: Span, children: readonly TemplateNode[], bindings: readonly Binding[] = []): TemplateElement => ({
  kind: 'element',
  tag: '',
  span,
  nameSpan: { start: span.start, end: Math.min(span.end, span.start + 1) },
  bindings,
  spreads: [],
  children,
  key: noKey,
});

function withEffect(node: TemplateNode): TemplateNode {
  if (node.kind !== 'element' || !node.aroundOne) return node;
  const { aroundOne: _, ...rest } = node;
  return rest;
}

function readElement(markup: AngularMarkup, node: ng.TmplAstElement, scope: Scope): TemplateNode[] {
  const span = placeOf(node.sourceSpan);
  const outletOf = node.inputs.find(({ name }) => name === 'ngTemplateOutlet');
  if (outletOf) return readStamped(markup, outletOf, node.inputs, scope, span);
  const chosen = node.inputs.find(({ name }) => name === 'ngComponentOutlet');
  if (chosen) return readChosen(markup, chosen, scope, span);
  const switched = node.inputs.find(({ name }) => name === 'ngSwitch');
  const inner = switched ? innerScope(scope) : scope;
  if (switched)
    inner.names.set(switchName, { kind: 'local', readings: readingsOf(markup.body, expressionOf(markup, switched.value, scope), scope) });
  const { name } = node;
  const around = markup.group;
  const form = node.inputs.find((one) => one.name === 'formGroup');
  if (form) markup.group = { node: expressionOf(markup, form.value, scope), scope };
  const within = readNodes(markup, node.children, inner);
  if (form) markup.group = around;
  if (name === 'ng-container') {
    const isBare = /^<ng-container\s*>$/.test(markup.text.slice(span.start, placeOf(node.startSourceSpan).end));
    return [{ ...fragment(span, within), ...(isBare && within.length > 0 ? { aroundOne: true as const } : {}) }];
  }
  // What stands in a part itself is chosen by its selectors, and what a layer holds is not.
  const children = name.includes('-') ? within.map(withEffect) : within;
  if (routeOutlet.test(name)) {
    markup.directives.push({ name, span: placeOf(node.startSourceSpan) });
    const named = bindingsOf(markup, node, scope).filter(({ to }) => to.name === 'name');
    return [{ ...outletUse(name, span), bindings: named.map((one) => ({ ...one, to: { kind: 'prop', name: 'name' } })) }];
  }
  const nameSpan = { start: span.start + 1, end: span.start + 1 + name.replace(/^:\w+:/, '').length };
  const element: Writable<TemplateElement> = {
    kind: 'element',
    tag: name.replace(/^:\w+:/, ''),
    span,
    nameSpan,
    bindings: withFields(markup, node, bindingsOf(markup, node, scope), scope),
    spreads: [],
    children,
    key: noKey,
  };
  const [first] = node.references;
  const meaning = first && lookUp(scope, first.name);
  if (first && meaning?.kind === 'value') element.ref = { value: meaning.value, path: [], how: 'same', span: placeOf(first.sourceSpan) };
  if (first)
    element.names = node.references.map((one) => ({
      name: one.name,
      span: placeOf(one.keySpan),
      ...(one.value === '' ? {} : { as: one.value }),
    }));
  if (hasText(node.children)) element.hasText = true;
  return [element];
}

/** `[formControl]="search"`, `formControlName="name"` on a field: it shows what the control holds, and puts into that what is typed. */
function withFields(markup: AngularMarkup, node: ng.TmplAstElement, bindings: Binding[], scope: Scope): Binding[] {
  if (!tags.test(node.name)) return bindings;
  const { body } = markup;
  const own = node.inputs.find((one) => one.name === 'formControl');
  return bindings.flatMap((binding): Binding[] => {
    const { name } = binding.to;
    const control =
      name === 'formControl' && own
        ? { node: expressionOf(markup, own.value, scope), scope }
        : name === 'formControlName'
          ? markup.group
          : undefined;
    const readings = control ? readingsOf(body, control.node, control.scope) : [];
    const [only, ...more] = readings;
    if (!control || !only || more.length > 0 || !body.values[only.value]?.isControl) return [binding];
    const { span, nameSpan, written } = binding;
    const action = inlineAction(markup, 'input', span, control.scope, (inner, sink) => {
      const event = lookUp(inner, markup.event);
      const from: Reading[] = event?.kind === 'value' ? [{ value: event.value, path: [], how: 'same', span }] : [];
      (sink.changes ??= []).push({ value: only.value, span, how: 'set', from });
    });
    const shown =
      name === 'formControl' ? binding : { ...binding, readings: [...binding.readings, { ...only, how: 'part' as const, span }] };
    return [
      shown,
      { to: { kind: 'listener', name: 'input', on: 'self' }, written, span, nameSpan, direction: 'out', isUp: true, readings: [], action },
    ];
  });
}

/** The place where a route shows its page. */
export const outletUse = (tag: string, span: Span): TemplateUse => ({
  kind: 'use',
  tag,
  span,
  nameSpan: { start: span.start + 1, end: span.start + 1 + tag.length },
  bindings: [],
  spreads: [],
  children: [],
  key: noKey,
  content: 'none',
});

/** Under this name the value is known that the cases around are held against. */
const switchName = '@switch';

const tags = /^(?:input|textarea|select)$/;

/** The attributes, properties and listeners of an element. */
function bindingsOf(markup: AngularMarkup, node: ng.TmplAstElement | ng.TmplAstTemplate, scope: Scope): Binding[] {
  const tag = node instanceof compiler().TmplAstElement ? node.name : templateTag;
  const all = [
    ...node.attributes.map((one) => ({ at: one.sourceSpan.start.offset, make: () => constant(markup, one) })),
    ...node.inputs
      .filter(({ name }) => name !== 'ngSwitch')
      .map((one) => ({ at: one.sourceSpan.start.offset, make: () => boundOf(markup, one, scope, tag) })),
    ...node.outputs.map((one) => ({ at: one.sourceSpan.start.offset + 0.5, make: () => listenerOf(markup, one, scope, tag) })),
  ];
  return all.sort((a, b) => a.at - b.at).flatMap(({ make }) => make());
}

/** An attribute written as a text. */
function constant({ text }: AngularMarkup, given: ng.TmplAstTextAttribute): Binding[] {
  const span = placeOf(given.sourceSpan);
  const value = given.valueSpan ? text.slice(given.valueSpan.start.offset, given.valueSpan.end.offset) : '';
  return [
    {
      to: { kind: 'attribute', name: given.name },
      written: given.name,
      span,
      nameSpan: given.keySpan ? placeOf(given.keySpan) : span,
      direction: 'in',
      readings: [],
      constant: given.valueSpan ? JSON.stringify(value.replace(/^["']|["']$/g, '')) : '""',
    },
  ];
}

/** What the compiler calls the kinds of bindings by number. */
const kinds = ['property', 'attribute', 'class', 'style'] as const;
const twoWay = 5;

/** The name as it stands in the text, with its brackets. */
function writtenIn({ text }: Markup, span: Span): string {
  return /^[^\s=>]+/.exec(text.slice(span.start, span.end))?.[0] ?? '';
}

const templateTag = 'ng-template';

/** Whether elements of a tag have a property, by the list that the compiler itself asks. */
function hasProperty(tag: string, name: string): boolean {
  const schema = (platformSchema ??= new (compiler().DomElementSchemaRegistry)());
  return schema.hasProperty(tag, schema.getMappedPropName(name), []);
}

let platformSchema: ng.DomElementSchemaRegistry | undefined;

function boundOf(markup: AngularMarkup, given: ng.TmplAstBoundAttribute, scope: Scope, tag: string): Binding[] {
  const { body } = markup;
  const span = placeOf(given.sourceSpan);
  const isTwoWay = (given.type as number) === twoWay;
  const kind = isTwoWay ? 'property' : kinds[given.type as number];
  if (kind === undefined) return [];
  const node = expressionOf(markup, given.value, scope);
  const isModel = given.name === 'ngModel' && tags.test(tag);
  const to: BindingTarget = isModel ? { kind: 'attribute', name: 'value' } : { kind, name: given.name };
  const binding: Writable<Binding> = {
    to,
    written: writtenIn(markup, span),
    span,
    nameSpan: given.keySpan ? placeOf(given.keySpan) : span,
    direction: isTwoWay ? 'two-way' : 'in',
    readings: [],
  };
  const inner = bare(node);
  const made = madeIn(inner);
  if (made) binding.made = made;
  if (/^(?:String|Numeric|Boolean|Null)Literal$/.test(inner.type))
    binding.constant = body.module.text.slice(inner.start ?? 0, inner.end ?? 0);
  else binding.readings = readingsOf(body, node, scope);
  if (binding.readings.length === 0 && binding.constant === undefined && isWithin(spanOf(inner)))
    binding.constant = excerpt(body.module, spanOf(inner));
  const call = kind === 'property' && !isTwoWay ? callGiven(body, inner, scope) : undefined;
  if (call) binding.call = call;
  // A name of a template: what it holds is given.
  const template = inner.type === 'Identifier' ? markup.named.get(inner.name) : undefined;
  if (template && lookUp(scope, (inner as t.Identifier).name)?.kind === 'opaque') {
    markup.shown.add(template);
    const { nodes, value } = readNamed(markup, template, scope);
    binding.markup = nodes;
    if (value !== undefined) binding.slotProps = [value];
    delete binding.constant;
  }
  if (kind === 'attribute' && !isModel) binding.asAttribute = 'text';
  if (kind === 'property' && tag !== templateTag && !hasProperty(tag, given.name)) binding.foreign = given.name;
  return [binding];
}

/** `(book)="add($event)"`, `(window:resize)="fit()"`, and the half of a two-way binding that goes up. */
function listenerOf(markup: AngularMarkup, given: ng.TmplAstBoundEvent, scope: Scope, tag: string): Binding[] {
  const { body } = markup;
  const span = placeOf(given.sourceSpan);
  const [name = '', ...modifiers] = given.name.split('.');
  const node = expressionOf(markup, given.handler, scope);
  const isUp = (given.type as number) === 2;
  const isModel = name === 'ngModelChange' && tags.test(tag);
  const on = given.target === 'window' ? 'window' : given.target === 'document' || given.target === 'body' ? 'document' : 'self';
  const at = given.handlerSpan ? placeOf(given.handlerSpan) : span;
  const action = inlineAction(markup, name, at, scope, (inner, sink) => {
    if (!isUp) {
      readExpression(body, node, inner, 'computed', sink);
      return;
    }
    const event = lookUp(inner, markup.event);
    if (event?.kind === 'value') writeTarget(body, node, inner, at, [{ value: event.value, path: [], how: 'same', span: at }], sink);
  });
  const facts = body.actions[action];
  if (facts && stopsEvents(node.type === 'SequenceExpression' ? node.expressions : [node])) facts.stops = true;
  const target = bare(node);
  const isNamed =
    !isUp && (target.type === 'Identifier' || (target.type === 'MemberExpression' && !target.computed)) && isWithin(spanOf(target));
  return [
    {
      to: { kind: 'listener', name: isModel ? 'input' : name, on },
      written: writtenIn(markup, span),
      ...(modifiers.length > 0 ? { modifiers } : {}),
      span,
      nameSpan: given.keySpan ? placeOf(given.keySpan) : span,
      direction: 'out',
      ...(isUp ? { isUp: true as const } : {}),
      readings: [],
      action,
      ...(isNamed ? { uncalled: { name: excerpt(body.module, spanOf(target)), span: spanOf(target) } } : {}),
    },
  ];
}

/** The attribute of a template that the compiler made of a `*`, by its name. */
function attributeOf(node: ng.TmplAstTemplate, name: string): ng.TmplAstBoundAttribute | undefined {
  const { TmplAstBoundAttribute } = compiler();
  const all = [...node.templateAttrs, ...node.inputs];
  return all.find((one): one is ng.TmplAstBoundAttribute => one instanceof TmplAstBoundAttribute && one.name === name);
}

const isStructural = (node: ng.TmplAstTemplate): boolean => node.templateAttrs.length > 0;

/** `*ngIf`, `*ngFor` and others of their kind, and templates that something shows by a name. */
function readTemplate(markup: AngularMarkup, node: ng.TmplAstTemplate, scope: Scope): TemplateNode[] {
  for (const one of [...node.templateAttrs, ...(isStructural(node) ? [] : node.inputs)])
    if (structural.has(one.name)) markup.directives.push({ name: one.name, span: placeOf(one.keySpan ?? one.sourceSpan) });
  const condition = attributeOf(node, 'ngIf');
  if (condition) return readCondition(markup, node, condition, scope);
  const list = attributeOf(node, 'ngForOf');
  if (list) return [readRepeated(markup, node, list, scope)];
  const stamped = attributeOf(node, 'ngTemplateOutlet');
  if (stamped) return readStamped(markup, stamped, [...node.templateAttrs, ...node.inputs], scope, placeOf(node.sourceSpan));
  const chosen = attributeOf(node, 'ngComponentOutlet');
  if (chosen) return readChosen(markup, chosen, scope, placeOf(node.sourceSpan));
  const isCase = node.templateAttrs.some(({ name }) => name === 'ngSwitchCase' || name === 'ngSwitchDefault');
  if (isCase) return readCase(markup, node, attributeOf(node, 'ngSwitchCase'), scope);
  if (!isStructural(node) && node.references.some(({ name }) => isShownByName(markup, name, node))) {
    markup.shown.add(node);
    return [];
  }
  return [readOtherTemplate(markup, node, scope)];
}

/** Whether some other part of the markup names the template: it stands there. */
function isShownByName({ text, named }: AngularMarkup, name: string, node: ng.TmplAstTemplate): boolean {
  if (named.get(name) !== node) return false;
  const pattern = new RegExp(
    `(?:ngTemplateOutlet\\]?="?\\s*|\\b(?:else|then)\\s+|\\]\\s*=\\s*["'][^"']*)\\b${name.replace(/\$/g, '\\$')}\\b`,
  );
  return pattern.test(text);
}

/** A template of a directive of one's own, or one that a component asks its content for. */
function readOtherTemplate(markup: AngularMarkup, node: ng.TmplAstTemplate, scope: Scope): TemplateNode {
  const span = placeOf(node.sourceSpan);
  const { nodes, value } = readContent(markup, node, node.children, scope);
  const { TmplAstBoundAttribute } = compiler();
  const own = isStructural(node)
    ? node.templateAttrs.flatMap((one) =>
        one instanceof TmplAstBoundAttribute ? boundOf(markup, one, scope, 'ng-template') : constant(markup, one),
      )
    : bindingsOf(markup, node, scope);
  const [first] = isStructural(node) ? [] : node.references;
  const key = first ? slotKey(first.name) : defaultSlot;
  const nameSpan = first ? placeOf(first.keySpan) : { start: span.start, end: Math.min(span.end, span.start + 1) };
  const content: Binding = {
    to: memberOf(key),
    written: first ? `#${first.name}` : 'ng-template',
    span: first ? placeOf(first.sourceSpan) : span,
    nameSpan,
    direction: 'in',
    readings: [],
    markup: nodes,
    ...(value === undefined ? {} : { slotProps: [value] }),
  };
  return {
    kind: 'element',
    tag: 'ng-template',
    isTemplate: true,
    span,
    nameSpan,
    bindings: [...own, content],
    spreads: [],
    children: [],
    key: noKey,
  };
}

/** What stands in a template, with the value that stands for what it is handed. */
function readContent(
  markup: AngularMarkup,
  node: ng.TmplAstTemplate,
  children: readonly ng.TmplAstNode[],
  scope: Scope,
): { readonly nodes: readonly TemplateNode[]; readonly value?: number } {
  const inner = innerScope(scope);
  if (node.variables.length === 0) return { nodes: readView(markup, children, inner) };
  const [first] = node.variables;
  const value = addValue(markup.body, {
    name: node.variables.map(({ name }) => name).join(', '),
    kind: 'handed',
    span: first ? placeOf(first.sourceSpan) : placeOf(node.sourceSpan),
    from: [],
  });
  for (const one of node.variables) inner.names.set(one.name, { kind: 'value', value, path: [one.value === '' ? '$implicit' : one.value] });
  return { nodes: readView(markup, children, inner), value };
}

/** What a template holds that is shown by its name. */
function readNamed(markup: AngularMarkup, node: ng.TmplAstTemplate, scope: Scope): { nodes: readonly TemplateNode[]; value?: number } {
  if (markup.reading.has(node)) return { nodes: [] };
  markup.reading.add(node);
  const found = readContent(markup, node, node.children, scope);
  markup.reading.delete(node);
  return found;
}

/** The template that an expression names; undefined for any other. */
function templateNamed(markup: AngularMarkup, ast: ng.AST, scope: Scope): ng.TmplAstTemplate | undefined {
  const node = bare(expressionOf(markup, ast, scope));
  if (node.type === 'LogicalExpression' && node.left.type === 'Identifier') return markup.named.get(node.left.name);
  return node.type === 'Identifier' ? markup.named.get(node.name) : undefined;
}

/** `*ngIf="ready; else waiting"`, `*ngIf="vm$ | async as vm"`. */
function readCondition(markup: AngularMarkup, node: ng.TmplAstTemplate, condition: ng.TmplAstBoundAttribute, scope: Scope): TemplateNode[] {
  const { body } = markup;
  const test = expressionOf(markup, condition.value, scope);
  const inner = innerScope(scope);
  for (const one of node.variables) {
    const value = addValue(body, { name: one.name, kind: 'derived', span: placeOf(one.keySpan), from: readingsOf(body, test, scope) });
    inner.names.set(one.name, { kind: 'value', value, path: [] });
  }
  const shown = (name: 'ngIfThen' | 'ngIfElse'): readonly TemplateNode[] => {
    const given = attributeOf(node, name);
    const template = given && templateNamed(markup, given.value, scope);
    if (template) markup.shown.add(template);
    return template ? readNamed(markup, template, scope).nodes : [];
  };
  const then = shown('ngIfThen');
  const other = shown('ngIfElse');
  const own = readView(markup, node.children, inner);
  return [
    branch(markup, test, false, scope, then.length > 0 ? then : own),
    ...(other.length > 0 ? [branch(markup, test, true, scope, other)] : []),
  ];
}

const identifier = (name: string, span: Span): t.Identifier =>
  ({ type: 'Identifier', name, start: span.start, end: span.end }) as unknown as t.Identifier;

/** Names by which a repeat tells where it is. */
const positions = new Set(['index', '$index', 'first', '$first', 'last', '$last', 'even', '$even', 'odd', '$odd', 'count', '$count']);

/** `*ngFor="let row of rows; index as i; trackBy: byId"`: items are told apart by what they are. */
function readRepeated(markup: AngularMarkup, node: ng.TmplAstTemplate, list: ng.TmplAstBoundAttribute, scope: Scope): TemplateNode {
  const item = node.variables.find(({ value }) => value === '$implicit' || value === '');
  const track = attributeOf(node, 'ngForTrackBy');
  const span = placeOf(node.sourceSpan);
  const at = item ? placeOf(item.keySpan) : span;
  return repeat(
    markup,
    expressionOf(markup, list.value, scope),
    item ? { pattern: identifier(item.name, at) } : {},
    span,
    scope,
    (inner) => {
      for (const one of node.variables) if (positions.has(one.value)) inner.names.set(one.name, { kind: 'position' });
      if (track) readingsOf(markup.body, expressionOf(markup, track.value, scope), scope);
      const key: KeyFact = { kind: 'value', span: at, text: item?.name ?? '' };
      return readView(markup, node.children, inner).map((one) => keyed(one, key));
    },
  );
}

/** The key of what is repeated stands on whatever that is. */
function keyed(node: TemplateNode, key: KeyFact): TemplateNode {
  if (node.kind === 'branch') return { ...node, children: node.children.map((one) => keyed(one, key)) };
  if (node.kind === 'element' && node.tag === '' && node.key.kind === 'none')
    return { ...node, key, children: node.children.map((one) => keyed(one, key)) };
  return (node.kind === 'element' || node.kind === 'use') && node.key.kind === 'none' ? { ...node, key } : node;
}

/** `@for (row of rows; track row.id) { … } @empty { … }`. */
function readFor(markup: AngularMarkup, node: ng.TmplAstForLoopBlock, scope: Scope): TemplateNode[] {
  const list = expressionOf(markup, node.expression, scope);
  const at = placeOf(node.item.keySpan);
  const each = repeat(markup, list, { pattern: identifier(node.item.name, at) }, placeOf(node.sourceSpan), scope, (inner) => {
    for (const one of node.contextVariables) inner.names.set(one.name, { kind: 'position' });
    const key = keyOf(markup, node.trackBy, inner);
    return readView(markup, node.children, inner).map((one) => keyed(one, key));
  });
  if (!node.empty) return [each];
  return [each, branch(markup, list, true, scope, readView(markup, node.empty.children, scope))];
}

function keyOf(markup: AngularMarkup, ast: ng.AST, scope: Scope): KeyFact {
  const node = bare(expressionOf(markup, ast, scope));
  const span = spanOf(node);
  const text = excerpt(markup.body.module, span);
  if (node.type === 'Identifier' && lookUp(scope, node.name)?.kind === 'position') return { kind: 'position', span, text };
  if (/^(?:String|Numeric|Null)Literal$/.test(node.type)) return { kind: 'constant', span, text };
  return { kind: 'value', span, text };
}

function readIf(markup: AngularMarkup, node: ng.TmplAstIfBlock, scope: Scope): TemplateNode[] {
  const before: Branch[] = [];
  return node.branches.flatMap((one): TemplateNode[] => {
    const inner = innerScope(scope);
    const test = one.expression ? expressionOf(markup, one.expression, scope) : undefined;
    if (one.expressionAlias && test) {
      const value = addValue(markup.body, {
        name: one.expressionAlias.name,
        kind: 'derived',
        span: placeOf(one.expressionAlias.keySpan),
        from: readingsOf(markup.body, test, scope),
      });
      inner.names.set(one.expressionAlias.name, { kind: 'value', value, path: [] });
    }
    const own = readView(markup, one.children, inner);
    const made = test && branch(markup, test, false, scope, own);
    const shown = inElse(before, made ? [made] : own);
    if (made) before.push(made);
    return shown;
  });
}

/** A condition that two expressions together make. */
const compared = (left: t.Expression, right: t.Expression): t.Node =>
  ({ type: 'BinaryExpression', operator: '===', left, right, start: right.start ?? 0, end: right.end ?? 0 }) as unknown as t.Node;

function readSwitch(markup: AngularMarkup, node: ng.TmplAstSwitchBlock, scope: Scope): TemplateNode[] {
  const on = expressionOf(markup, node.expression, scope);
  return node.cases.map((one): TemplateNode => {
    const children = readView(markup, one.children, scope);
    return one.expression
      ? caseOf(markup, on, expressionOf(markup, one.expression, scope), scope, children)
      : otherwise(branch(markup, on, true, scope, children));
  });
}

/** What shows where no case holds. */
const otherwise = (made: ReturnType<typeof branch>): TemplateNode => ({
  ...made,
  when: `${made.when} is none of these`,
  negated: false,
});

/** A case of what is switched on. */
function caseOf(
  markup: AngularMarkup,
  on: t.Expression,
  value: t.Expression,
  scope: Scope,
  children: readonly TemplateNode[],
): TemplateNode {
  const made = branch(markup, compared(on, value), false, scope, children);
  const { module } = markup.body;
  return { ...made, when: `${excerpt(module, spanOf(on), 40)} is ${excerpt(module, spanOf(value), 30)}` };
}

/** `*ngSwitchCase`, `*ngSwitchDefault`: held against what the element around switches on. */
function readCase(
  markup: AngularMarkup,
  node: ng.TmplAstTemplate,
  given: ng.TmplAstBoundAttribute | undefined,
  scope: Scope,
): TemplateNode[] {
  const children = readView(markup, node.children, scope);
  const span = placeOf(node.sourceSpan);
  const on = identifier(switchName, { start: span.start, end: span.start });
  const test = given ? compared(on, expressionOf(markup, given.value, scope)) : on;
  const made = branch(markup, test, !given, scope, children);
  return [given ? made : { ...made, when: 'it is none of these', negated: false }];
}

/** `@defer { … } @placeholder { … } @loading { … } @error { … }`. */
function readDeferred(markup: AngularMarkup, node: ng.TmplAstDeferredBlock, scope: Scope): TemplateNode[] {
  const span = placeOf(node.sourceSpan);
  const part = (when: string, children: readonly ng.TmplAstNode[] | undefined): TemplateNode[] =>
    children && children.length > 0
      ? [{ kind: 'branch', when, negated: false, readings: [], span, children: readView(markup, children, scope) }]
      : [];
  return [
    ...part('it is loaded', node.children),
    ...part('it is not asked for yet', node.placeholder?.children),
    ...part('it is being loaded', node.loading?.children),
    ...part('it cannot be loaded', node.error?.children),
  ];
}

/** `<ng-content select="[head]">`: content that the selector chooses. */
function readOutlet(markup: AngularMarkup, node: ng.TmplAstContent, scope: Scope): TemplateNode {
  const slot = node.selector === '*' || node.selector === '' ? defaultSlot : slotKey(node.selector);
  const { children } = node;
  return outlet(slot, placeOf(node.sourceSpan), [], [], readNodes(markup, children, scope), hasText(children));
}

/** `*ngComponentOutlet="kind"`: a component that a value holds. */
function readChosen(markup: AngularMarkup, given: ng.TmplAstBoundAttribute, scope: Scope, span: Span): TemplateNode[] {
  const dynamic = readingsOf(markup.body, expressionOf(markup, given.value, scope), scope);
  return [{ ...outletUse('', span), nameSpan: placeOf(given.sourceSpan), dynamic }];
}

/** `[ngTemplateOutlet]="row; context: { $implicit: one }"`: a template of this markup, or one that was given from outside. */
function readStamped(
  markup: AngularMarkup,
  given: ng.TmplAstBoundAttribute,
  all: readonly (ng.TmplAstBoundAttribute | ng.TmplAstTextAttribute)[],
  scope: Scope,
  span: Span,
): TemplateNode[] {
  const { body } = markup;
  const context = all.find(({ name }) => name === 'ngTemplateOutletContext');
  const handed = context && typeof context.value !== 'string' ? expressionOf(markup, context.value, scope) : undefined;
  const readings = handed ? readingsOf(body, handed, scope) : [];
  const own = templateNamed(markup, given.value, scope);
  if (own) {
    markup.shown.add(own);
    const inner = innerScope(scope);
    for (const one of own.variables) {
      const member = one.value === '' ? '$implicit' : one.value;
      const held = readings.flatMap((read): Reading[] => {
        if (read.held?.at[0] !== member) return [];
        const { held: from, ...rest } = read;
        return [{ ...rest, how: from.how }];
      });
      inner.names.set(one.name, { kind: 'local', readings: held });
    }
    if (markup.reading.has(own)) return [];
    markup.reading.add(own);
    const nodes = readView(markup, own.children, inner);
    markup.reading.delete(own);
    return [fragment(span, nodes)];
  }
  const node = bare(expressionOf(markup, given.value, scope));
  const [first] = readingsOf(body, node, scope);
  const value = first && body.values[first.value];
  const field = value && [...markup.asked].find(([name]) => name === value.name);
  const slot = field ? slotKey(field[1]) : value?.kind === 'prop' ? slotKey(value.name) : undefined;
  if (slot === undefined) return [];
  const names =
    handed === undefined
      ? []
      : handed.type === 'ObjectExpression'
        ? handed.properties.flatMap((one) => (one.type === 'ObjectProperty' && one.key.type === 'Identifier' ? [one.key.name] : []))
        : undefined;
  return [
    {
      kind: 'outlet',
      slot,
      span,
      slotProps: handed ? [readings] : [],
      ...(names ? { names } : {}),
      ...(first ? { reading: first } : {}),
    },
  ];
}

/** What the component does with its own element, around what it shows. */
export function aroundHost(bindings: readonly Binding[], span: Span, template: readonly TemplateNode[]): readonly TemplateNode[] {
  return bindings.length === 0 ? template : [fragment(span, template, bindings)];
}
