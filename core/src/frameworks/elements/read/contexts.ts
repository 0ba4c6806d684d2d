import type * as t from '@babel/types';
import type { ProvideFact } from '../../../model/facts';
import { type ClassNode, decoratorsOf, membersOf, type ReadClass } from '../../../read/elements/class';
import { addValue, type Body } from '../../../read/script/body';
import { readingsOf } from '../../../read/script/expressions';
import { innerScope } from '../../../read/script/scope';
import { bare, dottedName, keyName, spanOf } from '../../../read/script/syntax';

/** The value of an option that stands in place. */
function optionOf(given: t.Node | undefined, name: string): t.Node | undefined {
  const node = given && bare(given);
  if (node?.type !== 'ObjectExpression') return undefined;
  for (const one of node.properties) {
    if (one.type === 'ObjectProperty' && keyName(one) === name) return one.value;
  }
  return undefined;
}

/** The name by which the module knows the context of a provider or a consumer: in its options, or as it stands. */
function contextOf(given: t.Node | undefined): string | undefined {
  const option = optionOf(given, 'context') ?? given;
  return option ? dottedName(bare(option)) : undefined;
}

/** Provides and consumers that are put on a class behind it: `provide({ context })(SideFrame.prototype, 'unit')`. */
export function putOnClass(
  program: t.Program,
  name: string,
): { readonly kind: string; readonly member: string; readonly options: t.Node | undefined; readonly at: t.Node }[] {
  return program.body.flatMap((one) => {
    const call = one.type === 'ExpressionStatement' ? bare(one.expression) : undefined;
    if (call?.type !== 'CallExpression' || call.callee.type !== 'CallExpression') return [];
    const kind = dottedName(call.callee.callee) ?? '';
    const [target, member] = call.arguments;
    if (!/^(?:provide|consume)$/.test(kind) || !target || dottedName(target) !== `${name}.prototype` || member?.type !== 'StringLiteral')
      return [];
    return [{ kind, member: member.value, options: call.callee.arguments[0], at: call }];
  });
}

/** What a class takes from above it and gives to all below, by contexts. */
export function readContexts(body: Body, node: ClassNode, read: ReadClass, program: t.Program, name: string): ProvideFact[] {
  const gives: ProvideFact[] = [];
  const take = (member: string, options: t.Node | undefined, at: t.Node, isBoxed: boolean): void => {
    const source = contextOf(options);
    const value = addValue(body, {
      name: member.replace(/^[#_]+/, ''),
      kind: 'context',
      span: spanOf(at),
      from: [],
      ...(source === undefined ? {} : { source }),
    });
    read.own.set(
      member,
      isBoxed
        ? { kind: 'members', of: (one) => (one === 'value' ? { kind: 'value', value, path: [] } : { kind: 'opaque' }) }
        : { kind: 'value', value, path: [] },
    );
  };
  const give = (member: string, options: t.Node | undefined, at: t.Node): void => {
    const key = contextOf(options);
    const meaning = read.own.get(member);
    const value = meaning?.kind === 'value' ? meaning.value : undefined;
    if (key !== undefined)
      gives.push({ key, span: spanOf(at), readings: value === undefined ? [] : [{ value, path: [], how: 'same', span: spanOf(at) }] });
  };
  const makes = (member: string, given: t.Node | null | undefined, at: t.Node): void => {
    const made = given && bare(given);
    const maker = made?.type === 'NewExpression' ? dottedName(made.callee) : undefined;
    if (made?.type !== 'NewExpression' || (maker !== 'ContextProvider' && maker !== 'ContextConsumer')) return;
    const [, options, plain] = made.arguments;
    if (maker === 'ContextConsumer') {
      take(member, options, at, true);
      return;
    }
    const first = optionOf(options, 'initialValue') ?? plain;
    const value = addValue(body, { name: member.replace(/^[#_]+/, ''), kind: 'state', span: spanOf(at), from: [] });
    const key = contextOf(options);
    if (first)
      body.queue.push(() => {
        const facts = body.values[value];
        if (facts) facts.from = readingsOf(body, first, innerScope(read.scope));
      });
    if (key !== undefined) gives.push({ key, span: spanOf(made), readings: [{ value, path: [], how: 'same', span: spanOf(made) }] });
    read.own.set(member, {
      kind: 'members',
      of: (one) => (one === 'value' || one === 'setValue' ? { kind: 'value', value, path: [] } : { kind: 'opaque' }),
    });
  };
  for (const member of membersOf(node)) {
    const key = keyName(member);
    if (key === undefined || member.static) continue;
    const decorators = decoratorsOf(member);
    const [consumed] = decorators.get('consume') ?? [];
    const [provided] = decorators.get('provide') ?? [];
    if (decorators.has('consume')) take(key, consumed, member.key, false);
    if (decorators.has('provide')) give(key, provided, member.key);
    if ('value' in member) makes(key, member.value, member.key);
    if (member.type === 'ClassMethod' && member.kind === 'constructor')
      for (const one of member.body.body) {
        const set = one.type === 'ExpressionStatement' && one.expression.type === 'AssignmentExpression' ? one.expression : undefined;
        if (set?.left.type === 'MemberExpression' && set.left.object.type === 'ThisExpression')
          makes(keyName({ key: set.left.property }) ?? '', set.right, set.left.property);
        else if (one.type === 'ExpressionStatement') makes(`#context ${one.start ?? 0}`, one.expression, one);
      }
  }
  // What is taken and given under one member: what comes from above goes on as it is.
  const put = putOnClass(program, name);
  for (const { kind, member, options, at } of put) if (kind === 'consume') take(member, options, at, false);
  for (const { kind, member, options, at } of put) if (kind === 'provide') give(member, options, at);
  return gives;
}

/** `this.provider.setValue(next)`: another value for all below. */
export function setOnProvider(
  body: Body,
  call: t.CallExpression | t.OptionalCallExpression,
): { readonly value: number; readonly given: t.Node | undefined } | undefined {
  const { callee } = call;
  if (callee.type !== 'MemberExpression' || keyName({ key: callee.property }) !== 'setValue') return undefined;
  const { object } = callee;
  if (object.type !== 'MemberExpression' || object.object.type !== 'ThisExpression') return undefined;
  const meaning = body.own?.(keyName({ key: object.property }) ?? '');
  const held = meaning?.kind === 'members' ? meaning.of('setValue', spanOf(call)) : undefined;
  return held?.kind === 'value' ? { value: held.value, given: call.arguments[0] } : undefined;
}
