import type * as t from '@babel/types';
import type { HookFact, Reading } from '../../../model/facts';
import type { DeclaredClass } from '../../../read/elements/bases';
import { type ClassNode, memberOfThis, membersOf, readElementClass } from '../../../read/elements/class';
import { addValue, type Body, hookFact, type ModuleScope, newBody } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { bindParams } from '../../../read/script/expressions';
import type { Meaning } from '../../../read/script/scope';
import { bare, forEachChild, keyName, patternNames, spanOf } from '../../../read/script/syntax';

/** Methods that an element runs of what it has been told of as a part of itself. */
const hostLife = /^host(?:Connected|Disconnected|Update|Updated)$/;

/** Whether a module may have classes that are parts of elements, by its text. */
export const mayControl = (text: string): boolean => /\baddController\s*\(\s*this\b|\bimplements\b[^{]*\bReactiveController\b/.test(text);

/** `host.addController(this)`: what a class makes itself a part of; undefined where it does not. */
function joined(node: t.Node): t.Node | undefined {
  let found: t.Node | undefined;
  const visit = (one: t.Node): void => {
    const isJoining =
      one.type === 'CallExpression' &&
      one.callee.type === 'MemberExpression' &&
      one.arguments[0]?.type === 'ThisExpression' &&
      keyName({ key: one.callee.property }) === 'addController';
    if (isJoining) found ??= bare((one.callee as t.MemberExpression).object);
    forEachChild(one, visit);
  };
  visit(node);
  return found;
}

/** The member by which a class holds the element that it is a part of: `(this.host = host).addController(this)`; undefined where none does. */
function hostHeld(built: t.ClassMethod): string | undefined {
  const whole = joined(built.body);
  const own = whole && memberOfThis(whole.type === 'AssignmentExpression' ? whole.left : whole);
  if (own !== undefined || whole?.type !== 'Identifier') return own;
  if (built.params.some((one) => one.type === 'TSParameterProperty' && patternNames(one)[0]?.name === whole.name)) return whole.name;
  for (const { type, ...one } of built.body.body as (t.Statement & { expression?: t.Node })[]) {
    const set = type === 'ExpressionStatement' && one.expression ? bare(one.expression) : undefined;
    if (set?.type === 'AssignmentExpression' && set.right.type === 'Identifier' && set.right.name === whole.name)
      return memberOfThis(set.left);
  }
  return undefined;
}

/** Whether a class is a part of the element that makes it: it lives with it, keeps state for it and asks it to render. */
export function isController(node: ClassNode): boolean {
  return membersOf(node).some((one) => {
    const name = keyName(one) ?? '';
    return one.type === 'ClassMethod' && (hostLife.test(name) || (one.kind === 'constructor' && joined(one.body) !== undefined));
  });
}

/** Names that only the class itself knows, and those that its element alone asks for. */
function keptNames(node: ClassNode, built: t.ClassMethod | undefined): ReadonlySet<string> {
  const isKept = ({ accessibility }: { readonly accessibility?: string | null }): boolean =>
    accessibility === 'private' || accessibility === 'protected';
  const members = membersOf(node).flatMap((one) => {
    const name = keyName(one) ?? '';
    return hostLife.test(name) || (one.type !== 'ClassPrivateMethod' && one.type !== 'ClassPrivateProperty' && isKept(one)) ? [name] : [];
  });
  const handed = (built?.params ?? []).flatMap((one) =>
    one.type === 'TSParameterProperty' && isKept(one) ? [patternNames(one)[0]?.name ?? ''] : [],
  );
  return new Set([...members, ...handed]);
}

/** What a name of the class gives to whoever has made it; empty for what is its own, or cannot be told. */
function given({ values }: Body, name: string, meaning: Meaning): Reading[] {
  const value = meaning.kind === 'value' || meaning.kind === 'function' ? meaning.value : undefined;
  const span = value === undefined ? undefined : values[value]?.span;
  if (value === undefined || !span || name.startsWith('#')) return [];
  return [{ value, path: meaning.kind === 'value' ? meaning.path : [], how: 'same', span, held: { at: [name], how: 'same' } }];
}

/**
 * A class whose instances are parts of elements: who makes one holds and does what the class does, as if it called a
 * function that gives its members.
 */
export function readController(module: ModuleScope, { name, nameSpan, node }: DeclaredClass): HookFact {
  const body = newBody(module, channelDialect);
  const read = readElementClass(body, node, {
    roleOf: () => undefined,
    lifecycle: hostLife,
    gives: () => false,
    field: 'state',
    follows: 'nothing',
    inherited: new Set(),
    unknown: 'nothing',
  });
  const built = membersOf(node).find((one): one is t.ClassMethod => one.type === 'ClassMethod' && one.kind === 'constructor');
  if (built) bindParams(body, built, read.scope);
  const host = built && hostHeld(built);
  if (host !== undefined) body.host = host;
  // `constructor(private host: Host)`: a field that holds what is handed in.
  for (const [position, parameter] of (built?.params ?? []).entries()) {
    if (parameter.type !== 'TSParameterProperty') continue;
    const [target] = patternNames(parameter);
    if (!target) continue;
    const value = addValue(body, { name: target.name, kind: 'param', span: spanOf(target.node), from: [], position });
    read.own.set(target.name, { kind: 'value', value, path: [] });
  }
  const kept = keptNames(node, built);
  const returns = [...read.own].flatMap(([member, meaning]) => (kept.has(member) ? [] : given(body, member, meaning)));
  return hookFact({ name, span: nameSpan }, body, returns);
}
