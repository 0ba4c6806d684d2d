import type * as t from '@babel/types';
import type { ComponentFacts, TemplateNode } from '../../model/facts';
import type { Span } from '../../model/span';
import { contains } from '../../model/span';
import type { Writable } from '../../model/writable';
import type { ValueFact } from '../../model/facts';
import { walkTemplate } from '../../model/walk';
import type { Body } from '../script/body';
import { isFunction, spanOf } from '../script/syntax';
import type { ReadClass } from './class';

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
    always.push(...stretches(getter));
    for (const one of component.values[at]?.from ?? []) stack.push(one.value);
  }
  for (const [name, meaning] of read.own) if (meaning.kind === 'function' && starts.test(name)) always.push(...stretches(meaning.node));
  const inMarkup: Span[] = [];
  walkTemplate(component.template, (node) => {
    inMarkup.push(node.span);
  });
  for (const [index, value] of component.values.entries()) {
    const demanded = body.tested.has(index) ? undefined : body.demanded.get(index);
    if (value.kind !== 'prop' || !demanded) continue;
    const isAlways = always.some((one) => contains(one, demanded)) || (inMarkup.some((one) => contains(one, demanded)) && value.demandedAlways === true);
    const facts = value as Writable<ValueFact>;
    facts.demanded = demanded;
    if (isAlways) facts.demandedAlways = true;
    else delete facts.demandedAlways;
  }
}
