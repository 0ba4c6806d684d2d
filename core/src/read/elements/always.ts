import type * as t from '@babel/types';
import type { AgainFact, ComponentFacts, TemplateNode, ValueFact } from '../../model/facts';
import { contains, type Span } from '../../model/span';
import type { Writable } from '../../model/writable';
import { walkTemplate } from '../../model/walk';
import type { Body } from '../script/body';
import { bare, isFunction, spanOf } from '../script/syntax';
import { memberOfThis, type ReadClass } from './class';
import { append } from '../../model/append';

/** The stretches of a function that run whenever it does: its own statements, and not what stands under a condition or in a function. */
function stretches(fn: t.Node): Span[] {
  if (!isFunction(fn)) return [];
  if (fn.body.type !== 'BlockStatement') return [spanOf(fn.body)];
  const found: Span[] = [];
  for (const one of fn.body.body) {
    if (one.type === 'IfStatement' || one.type === 'SwitchStatement' || /^(?:For|While|Try)/.test(one.type)) {
      // What comes after a condition that may return does not always run.
      if (one.type === 'IfStatement') break;
      continue;
    }
    found.push(spanOf(one));
  }
  return found;
}

/** A value that is another each time: one more than before, or an object made anew. */
function isAnew(given: t.Node, name: string): boolean {
  const node = bare(given);
  if (node.type === 'ObjectExpression' || node.type === 'ArrayExpression') return true;
  if (node.type !== 'BinaryExpression') return false;
  return memberOfThis(node.left) === name || memberOfThis(node.right) === name;
}

/** Fields that are set to another value each time the element has rendered, without a condition, and that its markup shows. */
export function setAgain(component: ComponentFacts, read: ReadClass, after: RegExp): AgainFact[] {
  const shown = new Set<number>();
  const note = (value: number): void => {
    if (shown.has(value)) return;
    shown.add(value);
    for (const one of component.values[value]?.from ?? []) note(one.value);
  };
  walkTemplate(component.template, (node) => {
    const readings =
      node.kind === 'element' || node.kind === 'use'
        ? node.bindings.flatMap((one) => one.readings)
        : 'readings' in node
          ? node.readings
          : [];
    for (const one of readings) note(one.value);
  });
  return [...read.own].flatMap(([name, meaning]): AgainFact[] => {
    if (meaning.kind !== 'function' || !after.test(name) || meaning.node.body.type !== 'BlockStatement') return [];
    const statements = meaning.node.body.body;
    const first = statements.findIndex((one) => one.type === 'IfStatement');
    return statements.slice(0, first < 0 ? undefined : first).flatMap((one): AgainFact[] => {
      const node = one.type === 'ExpressionStatement' ? bare(one.expression) : undefined;
      const target = node?.type === 'AssignmentExpression' ? node.left : node?.type === 'UpdateExpression' ? node.argument : undefined;
      const field = target && memberOfThis(target);
      const meant = field === undefined ? undefined : read.own.get(field);
      if (!node || field === undefined || meant?.kind !== 'value' || !shown.has(meant.value)) return [];
      const grows =
        node.type === 'UpdateExpression' || (node.type === 'AssignmentExpression' && (node.operator !== '=' || isAnew(node.right, field)));
      return grows ? [{ value: meant.value, span: spanOf(node), by: 'an effect' }] : [];
    });
  });
}

/** Values that are read by markup which shows whenever the element does. */
function shownAlways(template: readonly TemplateNode[]): Set<number> {
  const found = new Set<number>();
  const visit = (nodes: readonly TemplateNode[]): void => {
    for (const node of nodes) {
      if (node.kind === 'repeat' || node.kind === 'branch') {
        for (const one of node.readings) found.add(one.value);
        continue;
      }
      if (node.kind === 'text') for (const one of node.readings) found.add(one.value);
      if (node.kind === 'element' || node.kind === 'use') {
        for (const binding of node.bindings) if (binding.direction === 'in') for (const one of binding.readings) found.add(one.value);
        visit(node.children);
      }
      if (node.kind === 'outlet') visit(node.fallback ?? []);
    }
  };
  visit(template);
  return found;
}

/**
 * Tells of each property whether the place that throws without it is run whenever the element shows: in a getter that
 * its markup always reads, or in what it does at the start of its life.
 */
export function alwaysRun(component: ComponentFacts, read: ReadClass, body: Body, starts: RegExp): void {
  const shown = shownAlways(component.template);
  const always: Span[] = [];
  const seen = new Set<number>();
  const stack = [...shown];
  for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
    const getter = read.getters.get(at);
    if (!getter || seen.has(at)) continue;
    seen.add(at);
    append(always, stretches(getter));
    for (const one of component.values[at]?.from ?? []) stack.push(one.value);
  }
  for (const [name, meaning] of read.own) if (meaning.kind === 'function' && starts.test(name)) append(always, stretches(meaning.node));
  const inMarkup: Span[] = [];
  walkTemplate(component.template, (node) => {
    inMarkup.push(node.span);
  });
  for (const [index, value] of component.values.entries()) {
    const places = body.tested.has(index) ? [] : (body.demandedAt.get(index) ?? []);
    if (value.kind !== 'prop' || places.length === 0) continue;
    const isInMarkup = (one: Span): boolean => inMarkup.some((node) => contains(node, one));
    const surely =
      places.find((one) => always.some((stretch) => contains(stretch, one))) ??
      places.find((one) => isInMarkup(one) && !component.actions.some(({ span }) => contains(span, one)));
    const isAlways = surely !== undefined;
    const facts = value as Writable<ValueFact>;
    facts.demanded = surely ?? (places[0] as Span);
    if (isAlways) facts.demandedAlways = true;
    else delete facts.demandedAlways;
  }
}
