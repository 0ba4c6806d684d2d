import type * as t from '@babel/types';
import type { ComponentFacts, NameFact, Reading, TemplateNode } from '../../../model/facts';
import type { Span } from '../../../model/span';
import type { TypeExpr } from '../../../model/types';
import { type Connected, readConnected } from './connected';
import {
  addAction,
  addValue,
  type Body,
  type Dialect,
  fillAction,
  type ModuleScope,
  newBody,
  newEffects,
  type Effects,
  propValue,
} from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { bindParams, readActionInto, readExpression, readFunctionInto, readingsOf } from '../../../read/script/expressions';
import { bindLocal, mergeInto } from '../../../read/script/names';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bindProps } from '../../../read/script/props';
import { bare, dottedName, forEachChild, type FunctionNode, isFunction, keyName, patternNames, spanOf } from '../../../read/script/syntax';
import { assemble, readTemplate } from './components';
import { propMember } from './names';
import type { Declared } from '../../../read/script/declarations';
import { append } from '../../../model/append';
import { readType } from '../../../read/script/types';

type ClassNode = t.ClassDeclaration | t.ClassExpression;
type Member = t.ClassMethod | t.ClassProperty;

const lifecycles = /^(component(Did|Will)|UNSAFE_component|shouldComponent|getSnapshot|getDerived)/;

/** The states of a class by the name of their member; made at their first mention. */
type ClassState = { readonly of: (name: string, span: Span) => number };

/** What makes `this` read in a class component: `this.setState(…)`, `this.forceUpdate()`. */
function classDialect(state: ClassState): Dialect {
  return {
    ...channelDialect,
    memberOfProp: propMember,
    onThis: (body, call, path, scope, sink) => {
      if (path.length !== 1 || path[0] !== 'setState') return false;
      readSetState(body, call, state, scope, sink);
      return true;
    },
  };
}

/** `this.setState({ open: true })`, `this.setState((before, props) => ({ count: before.count + 1 }))`. */
function readSetState(body: Body, call: t.CallExpression | t.OptionalCallExpression, state: ClassState, scope: Scope, sink: Effects): void {
  const [given, then] = call.arguments;
  if (then) readExpression(body, then, scope, 'computed', sink);
  const node = given && bare(given);
  const object = isFunction(node) ? resultOf(node) : node;
  const inner = innerScope(scope);
  if (isFunction(node)) bindBefore(node, state, inner);
  if (object?.type !== 'ObjectExpression') {
    if (node && !isFunction(node)) readExpression(body, node, scope, 'computed', sink);
    else if (isFunction(node)) readFunctionInto(body, node, inner, sink, node.params.length);
    return;
  }
  for (const property of object.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    const read = newEffects();
    const value = property.type === 'ObjectProperty' ? property.value : property.type === 'SpreadElement' ? property.argument : undefined;
    if (value) readExpression(body, value, inner, 'same', read);
    if (name !== undefined)
      (sink.changes ??= []).push({ value: state.of(name, spanOf(property)), span: spanOf(call), how: 'set', from: read.reads });
    mergeInto(sink, read, 'computed');
  }
}

function resultOf(node: FunctionNode): t.Node | undefined {
  if (node.body.type !== 'BlockStatement') return bare(node.body);
  const result = node.body.body.find((one) => one.type === 'ReturnStatement')?.argument;
  return result ? bare(result) : undefined;
}

/** The first parameter of a functional update is the state as it was, the second the props. */
function bindBefore(node: FunctionNode, state: ClassState, scope: Scope): void {
  const [before, props] = node.params;
  if (before?.type === 'ObjectPattern') {
    for (const property of before.properties) {
      const name = property.type === 'ObjectProperty' ? keyName(property) : undefined;
      if (property.type !== 'ObjectProperty' || name === undefined) continue;
      const reading: Reading = { value: state.of(name, spanOf(property)), path: [], how: 'same', span: spanOf(property) };
      bindLocal(property.value, [reading], scope);
    }
  } else if (before?.type === 'Identifier')
    scope.names.set(before.name, { kind: 'members', of: (name, span) => ({ kind: 'value', value: state.of(name, span), path: [] }) });
  if (props?.type === 'Identifier') scope.names.set(props.name, { kind: 'props' });
}

function memberFunction(member: Member): FunctionNode | undefined {
  if (member.type === 'ClassMethod') return member;
  const value = member.value ? bare(member.value) : undefined;
  return isFunction(value) ? value : undefined;
}

/** A class component: its props, its state member by member, its methods, and what `render` shows. */
export function readClassComponent(
  module: ModuleScope,
  declared: Declared,
  node: ClassNode,
  file: string,
  connected?: Connected,
): ComponentFacts {
  const states = new Map<string, number>();
  const state: ClassState = {
    of: (name, span) => {
      const known = states.get(name);
      if (known !== undefined) return known;
      const value = addValue(body, { name, kind: 'state', span, from: [] });
      states.set(name, value);
      return value;
    },
  };
  const body: Body = newBody(module, classDialect(state));
  if (/\bforceUpdate\b/.test(module.text.slice(node.start ?? 0, node.end ?? 0))) body.rendersOnDemand = true;
  const scope = innerScope();
  scope.names.set('this.props', { kind: 'props' });
  const members = node.body.body.filter((one): one is Member => one.type === 'ClassMethod' || one.type === 'ClassProperty');
  const own = new Map<string, Meaning>();
  body.own = (name) => {
    if (name.startsWith('state.')) return { kind: 'value', value: state.of(name.slice('state.'.length), spanOf(node)), path: [] };
    return own.get(name);
  };
  for (const member of members) declareMember(body, member, own, state, scope);
  const template: TemplateNode[] = [];
  for (const member of members) {
    const fn = memberFunction(member);
    if (!fn || member.static) continue;
    const name = keyName(member) ?? '';
    if (name === 'render') append(template, readTemplate(body, fn, innerScope(scope)));
    else if (module.holdsMarkup(fn)) append(template, renderedBy(body, fn, scope));
  }
  for (const { name, span } of propsNamed(module, node)) propValue(body, name, span);
  if (connected) readConnected(body, connected);
  const assembled = assemble(body, template, declared, 'class', file, propsTypeOfClass(node));
  // What it inherits from a class of one's own reads the same props.
  const facts: ComponentFacts = ownBase.test(dottedName(node.superClass) ?? '') ? assembled : { ...assembled, openness: 'open' };
  const missing = undeclaredHandlers(node);
  return missing.length > 0 ? { ...facts, undeclared: missing } : facts;
}

/**
 * `class Card extends Component<Props>`: what it is given, by its type; undefined where none is written. A decorator
 * may give it some of that, and a parameter of the class may stand for anything.
 */
function propsTypeOfClass(node: ClassNode): TypeExpr | undefined {
  const given = node.superTypeParameters ?? undefined;
  if (given?.type !== 'TSTypeParameterInstantiation' || !ownBase.test(dottedName(node.superClass) ?? '')) return undefined;
  if (node.typeParameters || (node.decorators ?? []).length > 0) return { kind: 'unknown' };
  return given.params[0] && readType(given.params[0]);
}

/** Names that the text of a class reads off its props, wherever in it. */
function propsNamed({ text }: ModuleScope, node: ClassNode): { name: string; span: { start: number; end: number } }[] {
  const from = node.start ?? 0;
  return [...text.slice(from, node.end ?? 0).matchAll(/(?:\bthis\.|(?<![.\w$]))props\s*\??\.\s*([\w$]+)/g)].map((match) => {
    const end = from + match.index + match[0].length;
    return { name: match[1] ?? '', span: { start: end - (match[1]?.length ?? 0), end } };
  });
}

/** The framework's own base classes. */
const ownBase = /^(\w+\.)?(Pure)?Component$/;

/** `onClick={this.clear}` where the class has no `clear` and all that it inherits is the framework's. */
function undeclaredHandlers(node: ClassNode): NameFact[] {
  if (!ownBase.test(dottedName(node.superClass) ?? '')) return [];
  const own = new Set<string>();
  const asked: NameFact[] = [];
  const memberOfThis = (given: t.Node): string | undefined =>
    given.type === 'MemberExpression' && given.object.type === 'ThisExpression' && !given.computed && given.property.type === 'Identifier'
      ? given.property.name
      : undefined;
  const visit = (one: t.Node): void => {
    const key = 'key' in one && (one.type === 'ClassMethod' || one.type === 'ClassProperty') ? keyName(one) : undefined;
    if (key !== undefined) own.add(key);
    if (one.type === 'AssignmentExpression') own.add(memberOfThis(one.left) ?? '');
    if (
      one.type === 'JSXAttribute' &&
      one.name.type === 'JSXIdentifier' &&
      /^on[A-Z]/.test(one.name.name) &&
      one.value?.type === 'JSXExpressionContainer'
    ) {
      const name = memberOfThis(one.value.expression);
      if (name !== undefined) asked.push({ name, span: spanOf(one.value.expression), ofSelf: true });
    }
    forEachChild(one, visit);
  };
  visit(node.body);
  return asked.filter(({ name }) => !own.has(name));
}

/** A method that gives markup: its parameters are its own. */
function renderedBy(body: Body, fn: FunctionNode, scope: Scope): TemplateNode[] {
  const inner = innerScope(scope);
  bindParams(body, fn, inner);
  return readTemplate(body, fn, inner);
}

/** Gives a member its meaning: a function, first states, the context it takes, a field. */
function declareMember(body: Body, member: Member, own: Map<string, Meaning>, state: ClassState, scope: Scope): void {
  const name = keyName(member) ?? '';
  const fn = memberFunction(member);
  if (member.type === 'ClassProperty' && member.static) {
    const context = name === 'contextType' && member.value ? dottedName(member.value) : undefined;
    if (context)
      own.set('context', {
        kind: 'value',
        value: addValue(body, { name: 'context', kind: 'context', span: spanOf(member), from: [], source: context }),
        path: [],
      });
    return;
  }
  if (member.static) {
    if (name === 'getDerivedStateFromProps' && fn) readDerivation(body, fn, state, scope);
    return;
  }
  if (name === 'constructor' && fn) {
    readConstructor(body, fn, state, scope);
    return;
  }
  if (name === 'state' && member.type === 'ClassProperty' && member.value) {
    readFirstState(body, member.value, state, scope);
    return;
  }
  if (fn) {
    if (name === 'render') return;
    const kind = lifecycles.test(name) ? 'lifecycle' : 'handler';
    const action = addAction(body, name, kind, spanOf(fn));
    const value = addValue(body, { name, kind: 'function', span: spanOf(member.key), from: [], action });
    own.set(name, { kind: 'function', node: fn, scope, action, value });
    body.queue.push(() => readActionInto(body, action, fn, scope));
    if (kind === 'lifecycle') {
      const facts = body.actions[action];
      if (facts && name === 'componentDidMount') facts.follows = [];
    }
    return;
  }
  if (member.type === 'ClassProperty' && member.value) {
    const value = addValue(body, { name, kind: 'ref', span: spanOf(member.key), from: readingsOf(body, member.value, scope) });
    own.set(name, { kind: 'value', value, path: [] });
  }
}

/** `static getDerivedStateFromProps({ show }, state) { return { shown: show }; }`: it sets states from props. */
function readDerivation(body: Body, fn: FunctionNode, state: ClassState, scope: Scope): void {
  const action = addAction(body, 'getDerivedStateFromProps', 'lifecycle', spanOf(fn));
  body.queue.push(() => {
    const inner = innerScope(scope);
    const [props, before] = fn.params;
    if (props?.type === 'Identifier') inner.names.set(props.name, { kind: 'props' });
    else if (props) bindProps(body, props, inner);
    if (before) for (const found of patternNames(before)) inner.names.set(found.name, { kind: 'opaque' });
    const sink = newEffects();
    for (const property of givenMembers(fn)) {
      const name = keyName(property);
      if (name === undefined) continue;
      const from = readingsOf(body, property.value, inner);
      (sink.changes ??= []).push({ value: state.of(name, spanOf(property)), span: spanOf(property), how: 'set', from });
    }
    fillAction(body, action, sink);
  });
}

/** The members of all objects that a function may give. */
function givenMembers(fn: FunctionNode): t.ObjectProperty[] {
  const found: t.ObjectProperty[] = [];
  const visit = (node: t.Node): void => {
    if (isFunction(node)) return;
    if (node.type === 'ObjectExpression')
      append(
        found,
        node.properties.filter((one): one is t.ObjectProperty => one.type === 'ObjectProperty'),
      );
    else forEachChild(node, visit);
  };
  visit(fn.body);
  return found;
}

/** `this.state = { … }` in a constructor, and whatever else it does. */
function readConstructor(body: Body, fn: FunctionNode, state: ClassState, scope: Scope): void {
  const inner = innerScope(scope);
  const [props] = fn.params;
  if (props?.type === 'Identifier') inner.names.set(props.name, { kind: 'props' });
  const action = addAction(body, 'constructor', 'lifecycle', spanOf(fn));
  const statements = fn.body.type === 'BlockStatement' ? fn.body.body : [];
  const rest: t.Statement[] = [];
  for (const one of statements) {
    const set = one.type === 'ExpressionStatement' && one.expression.type === 'AssignmentExpression' ? one.expression : undefined;
    const isState =
      set?.left.type === 'MemberExpression' && set.left.object.type === 'ThisExpression' && keyName({ key: set.left.property }) === 'state';
    const isBound = set?.right.type === 'CallExpression' && /\.bind$/.test(dottedName(set.right.callee) ?? '.bind');
    if (set && isState) readFirstState(body, set.right, state, inner);
    else if (!isBound && !isSuper(one)) rest.push(one);
  }
  if (rest.length === 0) return;
  body.queue.push(() => {
    const sink = newEffects();
    readFunctionInto(body, { ...fn, body: { ...fn.body, body: rest } } as FunctionNode, inner, sink, fn.params.length);
    fillAction(body, action, sink);
  });
}

function isSuper(statement: t.Statement): boolean {
  return (
    statement.type === 'ExpressionStatement' &&
    statement.expression.type === 'CallExpression' &&
    statement.expression.callee.type === 'Super'
  );
}

function readFirstState(body: Body, given: t.Node, state: ClassState, scope: Scope): void {
  const node = bare(given);
  if (node.type !== 'ObjectExpression') return;
  for (const property of node.properties) {
    if (property.type !== 'ObjectProperty') continue;
    const name = keyName(property);
    if (name === undefined) continue;
    const index = state.of(name, spanOf(property.key));
    const value = body.values[index];
    if (value) value.from = readingsOf(body, property.value, scope);
  }
}
