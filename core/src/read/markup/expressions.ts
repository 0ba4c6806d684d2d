import type * as t from '@babel/types';
import type { MemberKey } from '../../model/member';
import type { Binding, Problem, Reading, SpreadFact, TemplateNode } from '../../model/facts';
import type { Span } from '../../model/span';
import { addAction, addValue, type Body, excerpt, fillAction, newEffects, type Effects } from '../script/body';
import { readActionInto, readExpression, readingsOf, readStatement } from '../script/expressions';
import { noteWrite } from '../script/writes';
import { stopsEvents } from '../script/call-meaning';
import { noteTested } from '../script/names';
import { parseExpressionAt, parseScriptAt, type ScriptLang, type ScriptRange } from '../script/parse';
import { listBelow, orderOf } from '../script/repeated';
import { innerScope, lookUp, type Scope } from '../script/scope';
import { bare, isFunction, patternNames, spanOf } from '../script/syntax';
import { append } from '../../model/append';

/** A template whose expressions are being read: they stand in the text of the file. */
export type Markup = {
  readonly body: Body;
  readonly text: string;
  readonly lang: ScriptLang;
  readonly problems: Problem[];
  /** Name of the parameter that an inline handler has without declaring it. */
  readonly event: string;
};

/** The expression that stands in a part of the file; undefined, with a problem noted, where it cannot be parsed. */
export function expressionAt(markup: Markup, range: ScriptRange): t.Expression | undefined {
  const found = parseExpressionAt(markup.text, range, markup.lang);
  if ('type' in found) return found;
  markup.problems.push(found);
  return undefined;
}

/** A value on the screen; nothing for one that renders only constants. */
export function shownText(markup: Markup, node: t.Node, scope: Scope, span: Span): TemplateNode[] {
  const readings = readingsOf(markup.body, node, scope);
  return readings.length === 0 ? [] : [{ kind: 'text', readings, span }];
}

export type Branch = Extract<TemplateNode, { kind: 'branch' }>;

/** Markup that shows only under a condition. */
export function branch(markup: Markup, test: t.Node, negated: boolean, scope: Scope, children: readonly TemplateNode[]): Branch {
  const { body } = markup;
  noteTested(body, test, scope);
  const span = spanOf(test);
  return { kind: 'branch', when: excerpt(body.module, span), negated, readings: readingsOf(body, test, scope, 'computed'), span, children };
}

/** Of the conditions before an `else`, so many of the nearest are told: a chain of thousands would square. */
const mostBefore = 12;

/** Markup that shows only where none of the conditions of a chain before it holds: those in the order of the text, as branches without content. */
export function inElse(before: readonly Branch[], children: TemplateNode[]): TemplateNode[] {
  return before.slice(-mostBefore).reduceRight((shown, one) => [{ ...one, negated: true, children: shown }], children);
}

/** What a repeat gives its names: one item, its position, and the scope in which its content is read. */
export type Item = { readonly pattern?: t.Node; readonly position?: string; readonly key?: string };

/** Markup that repeats over a list; `content` reads what is repeated, in the scope of one item. */
export function repeat(
  markup: Markup,
  list: t.Node,
  item: Item,
  span: Span,
  scope: Scope,
  content: (scope: Scope) => readonly TemplateNode[],
): TemplateNode {
  const { body } = markup;
  const below = listBelow(list);
  const direct = readingsOf(body, below, scope, 'item');
  const whole = below === list ? [] : readingsOf(body, list, scope, 'computed');
  const readings = [...direct, ...whole.filter((one) => !direct.some((known) => known.value === one.value))];
  const inner = innerScope(scope);
  const names = item.pattern ? patternNames(item.pattern) : [];
  const named = names.find((found) => found.path.length === 0);
  const value = item.pattern
    ? addValue(body, {
        name: named?.name ?? excerpt(body.module, spanOf(item.pattern), 30),
        kind: 'item',
        span: spanOf(item.pattern),
        from: readings,
      })
    : undefined;
  for (const found of names) if (value !== undefined) inner.names.set(found.name, { kind: 'value', value, path: found.path });
  for (const name of [item.position, item.key]) if (name !== undefined) inner.names.set(name, { kind: 'position' });
  return {
    kind: 'repeat',
    over: excerpt(body.module, spanOf(list)),
    ...(value === undefined ? {} : { value }),
    readings,
    span,
    item: named?.name ?? (item.pattern ? excerpt(body.module, spanOf(item.pattern), 30) : ''),
    order: orderOf(body, list),
    children: content(inner),
  };
}

/** The name under which what a slot hands out holds a value. */
const nameIn = ({ to }: Binding): string => to.name;

/** Where content shows that is given from outside: it is handed one object, of attributes and whole objects. */
export function outlet(
  slot: MemberKey,
  span: Span,
  bindings: readonly Binding[],
  spreads: readonly SpreadFact[],
  fallback: readonly TemplateNode[],
  hasText: boolean,
): TemplateNode {
  const hands = [
    ...bindings.flatMap((binding) =>
      binding.readings.map((one): Reading => ({
        ...one,
        how: 'computed',
        held: { at: [nameIn(binding), ...(one.held?.at ?? [])], how: one.held?.how ?? one.how },
      })),
    ),
    ...spreads.flatMap((spread) => spread.readings),
  ];
  return {
    kind: 'outlet',
    slot,
    span,
    slotProps: bindings.length > 0 || spreads.length > 0 ? [hands] : [],
    ...(spreads.length === 0 ? { names: bindings.map(nameIn) } : {}),
    ...(fallback.length > 0 ? { fallback } : {}),
    ...(hasText ? { fallbackText: true as const } : {}),
  };
}

/** What is given for an event: a function by name, or what runs when it is raised. */
export type Handler = { readonly readings: readonly Reading[]; readonly action?: number };

/** Reads the handler that stands in a part of the file: a function, its name, or statements to run. */
export function handlerAt(markup: Markup, name: string, range: ScriptRange, scope: Scope): Handler {
  const { body } = markup;
  const found = parseExpressionAt(markup.text, range, markup.lang);
  const node = 'type' in found ? bare(found) : undefined;
  if (node && isFunction(node)) {
    const action = addAction(body, name, 'handler', spanOf(node));
    body.queue.push(() => readActionInto(body, action, node, scope));
    return { readings: [], action };
  }
  if (node && isPath(node)) {
    const sink = newEffects();
    readExpression(body, node, scope, 'same', sink);
    return { readings: sink.reads };
  }
  const program = node ? undefined : parseScriptAt(markup.text, range, markup.lang);
  if (program && program.problems.length > 0) {
    append(markup.problems, program.problems.slice(0, 1));
    return { readings: [] };
  }
  const statements = program?.program.body ?? [];
  const action = inlineAction(markup, name, range, scope, (inner, sink) => {
    if (node) readExpression(body, node, inner, 'computed', sink);
    for (const statement of statements) readStatement(body, statement, inner, sink);
  });
  const facts = body.actions[action];
  if (facts && stopsEvents(node ? [node] : statements)) facts.stops = true;
  return { readings: [], action };
}

function isPath(node: t.Node): boolean {
  return node.type === 'Identifier' || node.type === 'MemberExpression' || node.type === 'OptionalMemberExpression';
}

/** Statements that run when an event is raised, as a function of the event; the action's index. */
export function inlineAction(markup: Markup, name: string, span: Span, scope: Scope, read: (scope: Scope, sink: Effects) => void): number {
  const { body, event } = markup;
  const action = addAction(body, name, 'handler', { start: span.start, end: span.end });
  body.queue.push(() => {
    const inner = innerScope(scope);
    const value = addValue(body, { name: event, kind: 'param', span, from: [], of: action, position: 0 });
    inner.names.set(event, { kind: 'value', value, path: [] });
    const sink = newEffects();
    read(inner, sink);
    fillAction(body, action, sink);
  });
  return action;
}

/** The half of a two-way binding that goes up: what is raised is put into `target`. `part` leads to the value within what is raised. */
export function writing(markup: Markup, name: string, target: t.Node, part: readonly string[], span: Span, scope: Scope): number {
  const { body, event } = markup;
  return inlineAction(markup, name, span, scope, (inner, sink) => {
    const given = lookUp(inner, event);
    if (given?.kind !== 'value') return;
    const from: Reading = { value: given.value, path: part, how: part.length > 0 ? 'part' : 'same', span };
    noteWrite(body, bare(target), inner, span, [from], sink);
  });
}

/** What part of an element's own event the platform puts into a two-way binding, and by which event. */
export function nativeModel(tag: string, kind: string | undefined): { readonly attribute: string; readonly event: string } {
  if (tag === 'select') return { attribute: 'value', event: 'change' };
  return kind === 'checkbox' || kind === 'radio' ? { attribute: 'checked', event: 'change' } : { attribute: 'value', event: 'input' };
}
