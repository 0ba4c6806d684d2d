import type * as t from '@babel/types';
import type { RootFact } from '../../../model/facts';
import { addValue, finishBody, type ModuleScope, newBody } from '../../../read/script/body';
import type { Declared } from '../../../read/script/declarations';
import type { ReadShown } from '../../../read/script/routes';
import { innerScope } from '../../../read/script/scope';
import { calleeName, dottedName, keyName, pushChildren, spanOf } from '../../../read/script/syntax';
import { handedIn } from './handed';
import { markupOf } from './template';

/** Markup that stands in a route. */
export const shownByRoute: ReadShown = (module, markup) => {
  const body = newBody(module);
  const template = markupOf(body, markup, innerScope());
  return { template, ...finishBody(body) };
};

/** What a component is handed to show something with, and not what mounts an application: `render` as a prop, `props.render`. */
function isHanded(module: ModuleScope, { callee }: t.CallExpression): boolean {
  if (callee.type === 'Identifier') return !module.names.has(callee.name);
  if (callee.type !== 'MemberExpression') return false;
  const held = callee.object;
  const name =
    held.type === 'MemberExpression' && held.object.type === 'ThisExpression' ? keyName({ key: held.property }) : dottedName(held);
  return name === 'props';
}

/** `createRoot(…).render(<App/>)`, `render(<App/>, element)`, `hydrateRoot(element, <App/>)`. */
export function rootOf(module: ModuleScope, call: t.CallExpression): RootFact | undefined {
  const name =
    calleeName(call) ??
    (call.callee.type === 'MemberExpression' && call.callee.property.type === 'Identifier' ? call.callee.property.name : '');
  if (!/^(render|hydrate|hydrateRoot)$/.test(name) || isHanded(module, call)) return undefined;
  const given = call.arguments[name === 'hydrateRoot' ? 1 : 0];
  if (!given || given.type === 'SpreadElement') return undefined;
  const body = newBody(module);
  const template = markupOf(body, given, innerScope());
  return template.length === 0 ? undefined : { span: spanOf(call), mounts: true, template, ...finishBody(body) };
}

/** The functions of a module that another one calls, of those that hold markup. */
function calledIn(whole: t.Node, held: ReadonlySet<string>): string[] {
  if (held.size === 0) return [];
  const found = new Set<string>();
  const stack: t.Node[] = [whole];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.type === 'CallExpression' && node.callee.type === 'Identifier' && held.has(node.callee.name)) found.add(node.callee.name);
    pushChildren(node, stack);
  }
  return [...found];
}

/** Markup in a module's constants, functions and hooks: used, though by no component of this module. */
export function looseMarkup(module: ModuleScope, declared: Declared, held: ReadonlySet<string>): RootFact | undefined {
  const body = newBody(module);
  const markup = module.holdsMarkup(declared.whole) ? markupOf(body, declared.whole, innerScope()) : [];
  const template = [...markup, ...handedIn(declared.whole, (name) => module.names.has(name))];
  const called = template.length === 0 ? calledIn(declared.whole, held) : [];
  for (const name of called) addValue(body, { name, kind: 'module', span: declared.span, from: [], source: name });
  return template.length + called.length === 0
    ? undefined
    : { span: declared.span, mounts: false, of: declared.name, template, ...finishBody(body) };
}
