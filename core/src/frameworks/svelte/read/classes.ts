import type * as t from '@babel/types';
import type { Reading, SharedFact } from '../../../model/facts';
import { addAction, addValue, hookFact, type ModuleScope, newBody } from '../../../read/script/body';
import { bindParams, readActionInto, readingsOf } from '../../../read/script/expressions';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { newDeclared } from './declared';
import { madeValue, svelteDialect } from './dialect';

type Field = { readonly name: string; readonly key: t.Node; readonly init?: t.Node };

/** Whether a class keeps state that the framework follows: one of its fields is made by a rune. */
export function keepsState(node: t.Node, text: string): node is t.Class {
  return (
    (node.type === 'ClassDeclaration' || node.type === 'ClassExpression') &&
    /(?:=|\bthis\.#?\w+\s*=)\s*\$(?:state|derived)\b/.test(text.slice(node.start ?? 0, node.end ?? 0))
  );
}

/**
 * A class whose instances keep state: who makes one holds and does what the class does, as if it called
 * a function that gives its members. Private members are read and not given.
 */
export function readStateClass(module: ModuleScope, name: string, node: t.Class): SharedFact {
  const body = newBody(module, svelteDialect(newDeclared()));
  const scope = innerScope();
  const members = new Map<string, Meaning>();
  const returns: Reading[] = [];
  body.own = (member) => members.get(member);
  const built = node.body.body.find((one): one is t.ClassMethod => one.type === 'ClassMethod' && one.kind === 'constructor');
  if (built) bindParams(body, built, scope);
  const addMethod = (member: string, key: t.Node, run: FunctionNode): void => {
    const action = addAction(body, member, 'handler', spanOf(run));
    const value = addValue(body, { name: member, kind: 'function', span: spanOf(key), from: [], action });
    const kind = run.type === 'ClassMethod' || run.type === 'ClassPrivateMethod' ? run.kind : 'method';
    const isGetter = kind === 'get';
    if (kind !== 'set') {
      members.set(member, isGetter ? { kind: 'value', value, path: ['()'] } : { kind: 'function', node: run, scope, action, value });
      give(returns, member, { value, path: isGetter ? ['()'] : [], how: isGetter ? 'computed' : 'same', span: spanOf(key) });
    }
    body.queue.push(() => readActionInto(body, action, run, scope));
  };
  for (const field of fieldsOf(node, built)) {
    const init = field.init && bare(field.init);
    if (isFunction(init)) {
      addMethod(field.name, field.key, init);
      continue;
    }
    const value = fieldValue(body, field, scope);
    members.set(field.name, { kind: 'value', value, path: [] });
    give(returns, field.name, { value, path: [], how: 'same', span: spanOf(field.key) });
  }
  for (const one of node.body.body) {
    const isMethod = one.type === 'ClassMethod' || one.type === 'ClassPrivateMethod';
    if (isMethod && one.kind !== 'constructor' && !one.static) addMethod(keyName(one) ?? '', one.key, one);
  }
  return hookFact({ name, span: spanOf(node.id ?? node) }, body, returns);
}

function give(returns: Reading[], name: string, reading: Reading): void {
  if (!name.startsWith('#')) returns.push({ ...reading, held: { at: [name], how: reading.how } });
}

/** The fields of a class: those it declares, and those that its constructor makes. */
function fieldsOf(node: t.Class, built: t.ClassMethod | undefined): Field[] {
  const declared = node.body.body.flatMap((one): Field[] => {
    if ((one.type !== 'ClassProperty' && one.type !== 'ClassPrivateProperty') || one.static) return [];
    const name = keyName({ key: one.key, computed: one.type === 'ClassProperty' ? one.computed : false });
    return name === undefined ? [] : [{ name, key: one.key, ...(one.value ? { init: one.value } : {}) }];
  });
  const made = (built?.body.body ?? []).flatMap((one): Field[] => {
    const set = one.type === 'ExpressionStatement' && one.expression.type === 'AssignmentExpression' ? one.expression : undefined;
    const isOwn = set?.left.type === 'MemberExpression' && set.left.object.type === 'ThisExpression';
    const name = set && isOwn ? keyName({ key: (set.left as t.MemberExpression).property }) : undefined;
    return set && name !== undefined ? [{ name, key: (set.left as t.MemberExpression).property, init: set.right }] : [];
  });
  // What the constructor sets of a declared field is its first value.
  return [
    ...declared.filter((one) => !made.some(({ name }) => name === one.name) || one.init),
    ...made.filter(({ name }) => !declared.some((one) => one.name === name && one.init)),
  ];
}

function fieldValue(body: ReturnType<typeof newBody>, { name, key, init }: Field, scope: Scope): number {
  const node = init && bare(init);
  const made = node?.type === 'CallExpression' ? madeValue(body, node, scope, name) : undefined;
  const facts = made === undefined ? undefined : body.values[made];
  if (made !== undefined && facts) {
    Object.assign(facts, { name, span: spanOf(key) });
    return made;
  }
  const isCollection = node?.type === 'NewExpression' && node.callee.type === 'Identifier' && /^Svelte[A-Z]/.test(node.callee.name);
  const value = addValue(body, { name, kind: isCollection ? 'state' : 'derived', span: spanOf(key), from: [] });
  body.queue.push(() => {
    const made = body.values[value];
    if (made && node && !isFunction(node)) made.from = readingsOf(body, node, scope);
  });
  return value;
}
