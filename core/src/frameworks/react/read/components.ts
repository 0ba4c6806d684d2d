import type * as t from '@babel/types';
import { assembleComponent } from '../../../read/component';
import { defaultSlot, type MemberKey, memberName } from '../../../model/member';
import type { ComponentFacts, Openness, MemberFact, RaiseFact, Reading, SharedFact, SlotFact, TemplateNode } from '../../../model/facts';
import type { TypeExpr } from '../../../model/types';
import { walkTemplate } from '../../../model/walk';
import type { Writable } from '../../../model/writable';
import { type Body, type Dialect, hookFact, type ModuleScope, newBody } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { bindParams, readingsOf } from '../../../read/script/expressions';
import { innerScope, type Scope } from '../../../read/script/scope';
import {
  annotationOf,
  bare,
  calleeName,
  dottedName,
  type FunctionNode,
  isFunction,
  keyName,
  patternNames,
  isCapitalised,
  nameOfFile,
} from '../../../read/script/syntax';
import { readType, typeArguments } from '../../../read/script/types';
import { addsProps, type Declared } from '../../../read/script/declarations';
import { hookValue } from './hooks';
import { eventOf, propMember } from './names';
import { bindProps } from '../../../read/script/props';
import { setAgain } from './again';
import { type Connected, readConnected } from './connected';
import { markupOf, markupOfBlock } from './template';
import { append } from '../../../model/append';

/** Methods that only class components have. */
const ofComponents = /^(render|(UNSAFE_)?component(Did|Will)\w+|shouldComponentUpdate|getDerivedStateFrom\w+|getSnapshotBeforeUpdate)$/;

function isClassComponent(node: t.Node): node is t.ClassDeclaration | t.ClassExpression {
  if (node.type !== 'ClassDeclaration' && node.type !== 'ClassExpression') return false;
  const base = node.superClass ? dottedName(node.superClass) : undefined;
  if (!base) return false;
  return (
    /(^|\.)(Pure)?Component$/.test(base) ||
    node.body.body.some((member) => member.type === 'ClassMethod' && ofComponents.test(keyName(member) ?? ''))
  );
}

/** Tells whether a function's own `return` may be something to show. */
function returnsShowable(node: FunctionNode): boolean {
  if (node.body.type !== 'BlockStatement') return isShowable(node.body);
  const stack: t.Statement[] = [...node.body.body];
  for (let one = stack.pop(); one; one = stack.pop()) {
    if (one.type === 'ReturnStatement' && one.argument && isShowable(one.argument)) return true;
    if (one.type === 'IfStatement') append(stack, one.alternate ? [one.consequent, one.alternate] : [one.consequent]);
    else if (one.type === 'BlockStatement') append(stack, one.body);
  }
  return false;
}

function isShowable(node: t.Node): boolean {
  const inner = bare(node);
  if (inner.type === 'NullLiteral') return true;
  if (inner.type === 'ConditionalExpression') return isShowable(inner.consequent) || isShowable(inner.alternate);
  if (inner.type === 'CallExpression') return calleeName(inner) === 'createPortal';
  return /(^|\.)children$/.test(dottedName(inner) ?? '');
}

/** Tells whether something declared is a component of this framework. */
export function isComponent(module: ModuleScope, declared: Declared): boolean {
  const { node } = declared;
  const last = declared.name.split('.').at(-1) ?? '';
  const named = isCapitalised(last) || declared.name === 'default';
  if (!named) return false;
  if (isClassComponent(node)) return true;
  if (!isFunction(node)) return false;
  if (declared.wrappers.some((wrapper) => wrapper.name === 'lazy')) return false;
  if (node.params.length > 2 && declared.wrappers.length === 0) return false;
  if (declared.wrappers.some((wrapper) => wrapper.name === 'memo' || wrapper.name === 'forwardRef')) return true;
  if (!module.holdsMarkup(node)) return returnsShowable(node) && takesProps(node);
  return !returnsFunctionOnly(node);
}

function takesProps(node: FunctionNode): boolean {
  const [first] = node.params;
  if (!first) return true;
  const target = first.type === 'AssignmentPattern' ? first.left : first;
  return target.type === 'ObjectPattern' || (target.type === 'Identifier' && /props/i.test(target.name));
}

/** A function that makes components is none itself. */
function returnsFunctionOnly(node: FunctionNode): boolean {
  if (node.body.type !== 'BlockStatement')
    return isFunction(node.body) || node.body.type === 'ClassExpression' || node.body.type === 'ObjectExpression';
  const returns = node.body.body.filter((one) => one.type === 'ReturnStatement');
  if (returns.length !== 1) return false;
  const result = returns[0]?.argument ? bare(returns[0].argument) : undefined;
  if (!result) return true;
  if (isFunction(result) || result.type === 'ClassExpression' || result.type === 'ObjectExpression') return true;
  if (result.type !== 'Identifier') return false;
  return node.body.body.some((one) => one.type === 'FunctionDeclaration' && one.id?.name === result.name);
}

/** The declared type of the props: the parameter's, the wrapper's argument, or the annotation's. */
function propsTypeOf(declared: Declared): TypeExpr | undefined {
  const parameter = isFunction(declared.node) ? declared.node.params[0] : undefined;
  const annotation = parameter && annotationOf(parameter);
  if (annotation) return readType(annotation);
  for (const wrapper of declared.wrappers) {
    const args = typeArguments(wrapper.call);
    const given = wrapper.name === 'forwardRef' ? args[1] : wrapper.name === 'memo' ? args[0] : undefined;
    if (given) return given;
  }
  if (declared.annotation?.type === 'TSTypeReference') {
    const name = dottedName(declared.annotation.typeName)?.split('.').at(-1);
    const [given] = typeArguments(declared.annotation);
    if (
      name &&
      /^(FC|FunctionComponent|VFC|ComponentType|NamedExoticComponent|ForwardRefExoticComponent|MemoExoticComponent)$/.test(name)
    ) {
      return given ?? { kind: 'object', members: [], indexed: false };
    }
    return { kind: 'unknown' };
  }
  return isFunction(declared.node) && isGeneric(declared.node) ? { kind: 'unknown' } : undefined;
}

function isGeneric(node: FunctionNode): boolean {
  const parameter = node.params[0];
  return parameter !== undefined && (parameter as { typeAnnotation?: { type?: string } }).typeAnnotation?.type === 'TypeAnnotation';
}

function slotsOf(template: readonly TemplateNode[], body: Body): SlotFact[] {
  const slots = new Map<MemberKey, SlotFact>();
  walkTemplate(template, (node) => {
    if (node.kind !== 'outlet') return;
    if (node.slot !== defaultSlot && body.values[node.reading?.value ?? -1]?.kind !== 'prop') return;
    const known = slots.get(node.slot);
    slots.set(node.slot, {
      key: node.slot,
      span: known?.span ?? node.span,
      fallback: false,
      hasSlotProps: (known?.hasSlotProps ?? false) || node.slotProps.length > 0,
    });
  });
  return [...slots.values()];
}

function propsOf(body: Body, slots: readonly SlotFact[], raises: readonly RaiseFact[]): MemberFact[] {
  const raised = new Set(raises.map((raise) => raise.member));
  return [...body.propValues].map(([key, value]): MemberFact => {
    const taken = body.taken.get(key);
    const name = body.values[value]?.name ?? memberName(key);
    const callback = eventOf(name) !== undefined || raised.has(key);
    const kind = callback
      ? 'callback'
      : key === defaultSlot || slots.some((slot) => slot.key === key && slot.hasSlotProps)
        ? 'slot'
        : 'value';
    const prop: Writable<MemberFact> = {
      key,
      name,
      span: taken?.span ?? body.values[value]?.span ?? { start: 0, end: 0 },
      kind,
      required: taken?.fallback === undefined ? 'unknown' : 'no',
    };
    if (taken?.fallback !== undefined) prop.fallback = taken.fallback;
    return prop;
  });
}

function opennessOf(body: Body): { openness: Openness; through: string[] } {
  const through = body.restTargets.filter((target) => target.kind === 'use').map((target) => target.tag);
  if (body.propsEscape || body.clones || body.restTargets.some((target) => target.kind === 'unknown'))
    return { openness: 'open', through: [] };
  if (through.length > 0) return { openness: 'through', through };
  return { openness: body.restTargets.length > 0 ? 'platform' : 'closed', through: [] };
}

function nameOf(declared: Declared, file: string): string {
  if (declared.name !== 'default') return declared.name;
  const own = isFunction(declared.node) && 'id' in declared.node ? declared.node.id?.name : undefined;
  return own ?? nameOfFile(file);
}

/** A function component's facts. */
export function readFunctionComponent(
  module: ModuleScope,
  declared: Declared,
  node: FunctionNode,
  file: string,
  connected?: Connected,
): ComponentFacts {
  const body = newBody(module, reactDialect);
  const scope = innerScope();
  const [parameter, reference] = node.params;
  if (parameter) bindProps(body, parameter, scope);
  for (const found of reference ? patternNames(reference) : []) scope.names.set(found.name, { kind: 'opaque' });
  const template = readTemplate(body, node, scope);
  if (connected) readConnected(body, connected);
  const facts = assemble(body, template, declared, 'function', file, propsTypeOf(declared));
  return node.async ? { ...facts, isAsync: true } : facts;
}

/** What the reading of expressions must know of this framework. */
export const reactDialect: Dialect = { ...channelDialect, hook: hookValue, memberOfProp: propMember };

export function readTemplate(body: Body, node: FunctionNode, scope: Scope): TemplateNode[] {
  if (node.body.type !== 'BlockStatement') return markupOf(body, node.body, scope);
  const template = markupOfBlock(body, node.body.body, scope, 'body');
  append(body.again, setAgain(body, node.body.body, scope, node.params[0]));
  return template;
}

/** A component's facts from what its body told. */
export function assemble(
  body: Body,
  template: TemplateNode[],
  declared: Declared,
  form: 'function' | 'class',
  file: string,
  propsType: TypeExpr | undefined,
): ComponentFacts {
  const wrappedBy = declared.wrappers.filter(addsProps).map((wrapper) => wrapper.name);
  const { span, nameSpan, name: local } = declared;
  return assembleComponent(body, (raises) => {
    const slots = slotsOf(template, body);
    return {
      ...{ name: nameOf(declared, file), local, span, nameSpan, form, template, slots, wrappedBy },
      ...(wrappedBy.length > 0 ? { openness: 'open', through: [] } : opennessOf(body)),
      members: propsOf(body, slots, raises),
      eventName: ({ name }) => eventOf(name) ?? name,
      ...(propsType ? { propsType } : {}),
      ...(declared.wrappers.some((wrapper) => wrapper.name === 'memo') ? { memo: true } : {}),
    };
  });
}

/** A hook of the project: what it takes and what it gives. */
export function readHook(module: ModuleScope, declared: Declared, node: FunctionNode): SharedFact {
  const body = newBody(module, reactDialect);
  const scope = innerScope();
  const returns: Reading[] = [];
  body.returns = returns;
  bindParams(body, node, scope);
  if (node.body.type === 'BlockStatement') readTemplate(body, node, scope);
  else append(returns, readingsOf(body, node.body, scope));
  return hookFact(declared, body, returns);
}

export { isClassComponent };
