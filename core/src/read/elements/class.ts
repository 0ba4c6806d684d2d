import type * as t from '@babel/types';
import type { ClassFact, MemberFact, Reading } from '../../model/facts';
import { propKey } from '../../model/member';
import type { Span } from '../../model/span';
import { addAction, addValue, type Body, excerpt, fillAction, newEffects, propValue } from '../script/body';
import { readActionInto, readArgs, readFunctionInto } from '../script/expressions';
import { givesNothing } from '../script/called';
import { computedFrom, fieldFrom, noteLate } from '../script/functions';
import { makesCollection } from '../script/lists';
import { innerScope, type Meaning, type Scope } from '../script/scope';
import { bare, forEachChild, type FunctionNode, isFunction, keyName, resultOf, spanOf } from '../script/syntax';
import { foldedText } from '../script/formula';
import { elementMembers } from './platform';

export type ClassNode = t.ClassDeclaration | t.ClassExpression;
export type ClassMember = t.ClassMethod | t.ClassPrivateMethod | t.ClassProperty | t.ClassPrivateProperty | t.ClassAccessorProperty;

/** What a member of a class is to the framework and to users of the element. */
export type Role = {
  /** `prop`: users set it; `state`: the framework follows it; `plain`: nobody does; `own`: the reader of the framework sees to it itself. */
  readonly kind: 'prop' | 'state' | 'plain' | 'own';
  /** The name that users know it by, where that is another one. */
  readonly as?: string;
  readonly member?: Partial<Pick<MemberFact, 'type' | 'kind' | 'required'>>;
  /** The inside of an object or a list is followed, too. */
  readonly isDeep?: true;
  /** A field of the class stands before what would follow it. */
  readonly isHidden?: true;
};

/** How a framework reads a class. */
export type ClassRules = {
  /** What a name is by what is declared of it; `members` are its field, its accessors or its method. Undefined for an ordinary one. */
  readonly roleOf: (name: string, members: readonly ClassMember[]) => Role | undefined;
  /** Whether what a field is given makes it something that the framework’s reader sees to itself. */
  readonly isOwn?: (given: t.Node) => boolean;
  /** What is made with the instance itself, `new Clock(this)`, is a part of it with a state of its own. */
  readonly holdsParts?: true;
  /** Methods that the platform or the framework runs in the life of an element. */
  readonly lifecycle: RegExp;
  /** Methods that give markup and are read as such. */
  readonly gives: (name: string, node: FunctionNode) => boolean;
  /** Fields that nothing declares a role for. */
  readonly field: 'state' | 'plain';
  /** What makes markup show a field anew: that it is written, or nothing but what the class does itself. */
  readonly follows: 'assignment' | 'nothing';
  /** Names that the framework’s own base class has. */
  readonly inherited: ReadonlySet<string>;
  /** What a name is that the class reads of itself and does not have: set from outside, of a class that it extends, or nothing. */
  readonly unknown: 'outside' | 'inherited' | 'nothing';
};

/** A class as it has been read: what its names stand for. */
export type ReadClass = {
  /** The name of the class, or its first word. */
  readonly span: Span;
  readonly own: Map<string, Meaning>;
  readonly scope: Scope;
  /** What it declares to users. */
  readonly members: Map<string, MemberFact>;
  /** Names that it reads of itself and does not declare, with the first place of each. */
  readonly asked: Map<string, Span>;
  /** Names that it writes of itself wherever. */
  readonly written: ReadonlySet<string>;
  /** Properties that it sets by a setter of its own. */
  readonly accessors: readonly string[];
  /** Methods that give markup. */
  readonly markup: ReadonlyMap<string, FunctionNode>;
  /** Getters by their values. */
  readonly getters: ReadonlyMap<number, FunctionNode>;
  /** Static fields. */
  readonly statics: ReadonlyMap<string, t.Node>;
};

const isMember = (one: t.Node): one is ClassMember =>
  one.type === 'ClassMethod' ||
  one.type === 'ClassPrivateMethod' ||
  one.type === 'ClassProperty' ||
  one.type === 'ClassPrivateProperty' ||
  one.type === 'ClassAccessorProperty';

export const membersOf = (node: ClassNode): ClassMember[] => node.body.body.filter(isMember);

export const isStatic = (member: ClassMember): boolean => member.static === true;

/** The function that a member is: a method, or a field that holds one. */
export function functionOf(member: ClassMember): FunctionNode | undefined {
  if (member.type === 'ClassMethod' || member.type === 'ClassPrivateMethod') return member;
  const value = member.value ? bare(member.value) : undefined;
  return isFunction(value) ? value : undefined;
}

/** The decorators of a member by their names, with what they are called with. */
export function decoratorsOf(member: { readonly decorators?: readonly t.Decorator[] | null }): Map<string, readonly t.Node[]> {
  const found = new Map<string, readonly t.Node[]>();
  for (const { expression } of member.decorators ?? []) {
    const call = expression.type === 'CallExpression' ? expression : undefined;
    const callee = call ? call.callee : expression;
    if (callee.type === 'Identifier') found.set(callee.name, call ? call.arguments : []);
  }
  return found;
}

/** `this.x` → `x`; undefined for all else. */
export function memberOfThis(given: t.Node): string | undefined {
  const node = bare(given);
  return node.type === 'MemberExpression' && node.object.type === 'ThisExpression' && !node.computed
    ? keyName({ key: node.property })
    : undefined;
}

/** `this.x = value` as a statement of its own. */
function assignedIn(statement: t.Statement): { readonly name: string; readonly value: t.Node; readonly at: t.Node } | undefined {
  const node = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
  if (node?.type !== 'AssignmentExpression' || node.operator !== '=') return undefined;
  const name = memberOfThis(node.left);
  return name === undefined ? undefined : { name, value: node.right, at: node.left };
}

/** Names that a class writes of itself wherever, with the first place of each. */
function writtenNames(node: ClassNode): Map<string, Span> {
  const found = new Map<string, Span>();
  const visit = (one: t.Node): void => {
    const target = one.type === 'AssignmentExpression' ? one.left : one.type === 'UpdateExpression' ? one.argument : undefined;
    const name = target && memberOfThis(target);
    if (name !== undefined && !found.has(name)) found.set(name, spanOf(target as t.Node));
    forEachChild(one, visit);
  };
  visit(node.body);
  return found;
}

/** `{ handleEvent: (event) => … }`: the function of an object that is told of events. */
function toldOf(node: t.Node): FunctionNode | undefined {
  for (const one of node.type === 'ObjectExpression' ? node.properties : []) {
    if (one.type === 'SpreadElement' || keyName(one) !== 'handleEvent') continue;
    const fn = one.type === 'ObjectMethod' ? one : bare(one.value);
    return isFunction(fn) ? fn : undefined;
  }
  return undefined;
}

/** A member’s name without the mark of a private one. */
const spoken = (name: string): string => name.replace(/^(?:#_?|_{1,2}(?=[A-Za-z]))/, '');

type Group = {
  field?: t.ClassProperty | t.ClassPrivateProperty | t.ClassAccessorProperty;
  get?: FunctionNode;
  set?: FunctionNode;
  method?: FunctionNode;
  all: ClassMember[];
};

function grouped(node: ClassNode): Map<string, Group> {
  const groups = new Map<string, Group>();
  for (const member of membersOf(node)) {
    const name = keyName(member);
    if (name === undefined || isStatic(member)) continue;
    const group: Group = groups.get(name) ?? { all: [] };
    groups.set(name, group);
    group.all.push(member);
    if (member.type === 'ClassMethod' || member.type === 'ClassPrivateMethod') {
      if (member.kind === 'get') group.get = member;
      else if (member.kind === 'set') group.set = member;
      else group.method = member;
    } else {
      const fn = functionOf(member);
      if (fn) group.method = fn;
      group.field = member;
    }
  }
  return groups;
}

/** A class that is being read: what is known of it so far. */
type ClassReader = Pick<ReadClass, 'own' | 'scope' | 'members' | 'asked'> & {
  readonly body: Body;
  readonly rules: ClassRules;
  readonly markup: Map<string, FunctionNode>;
  readonly getters: Map<number, FunctionNode>;
};

const valueNamed = (value: number): Meaning => ({ kind: 'value', value, path: [] });

/** A name that the class reads of itself without declaring it: of what it extends, or set from outside. */
function askedOfSelf(reader: ClassReader, name: string, span: Span | undefined): Meaning | undefined {
  const { body, rules, own, asked } = reader;
  if (elementMembers.has(name) || rules.inherited.has(name) || !/^[\w$]+$/.test(name) || !span) return undefined;
  if (rules.unknown === 'nothing') return undefined;
  asked.set(name, span);
  const value = propValue(body, name, span);
  if (rules.unknown === 'inherited') (body.inherits ??= new Set()).add(value);
  if (rules.unknown === 'outside') declareMember(reader, name, span, { kind: 'prop' });
  const meaning = valueNamed(value);
  own.set(name, meaning);
  return meaning;
}

function isNothing(given: t.Node): boolean {
  const node = bare(given);
  return node.type === 'NullLiteral' || (node.type === 'Identifier' && node.name === 'undefined');
}

function declareMember({ body, members }: ClassReader, written: string, span: Span, role: Role, fallback?: t.Node): void {
  const name = role.as ?? written;
  const set = fallback && !isNothing(fallback) ? fallback : undefined;
  members.set(name, {
    key: propKey(name),
    name,
    span,
    kind: 'value',
    required: set ? 'no' : 'unknown',
    ...(set ? { fallback: excerpt(body.module, spanOf(set)) } : {}),
    ...role.member,
  });
}

function declareField(reader: ClassReader, name: string, span: Span, role: Role, first: t.Node | undefined): void {
  const { body, rules, own, scope } = reader;
  const collection = first && makesCollection(first) ? { collection: true as const } : {};
  if (role.kind === 'prop') {
    const value = propValue(body, role.as ?? name, span);
    const held = body.values[value];
    if (held) Object.assign(held, role.isHidden ? { plain: true } : {}, collection);
    declareMember(reader, name, span, role, first);
    own.set(name, valueNamed(value));
    return;
  }
  const holds = first && bare(first);
  const told = holds && toldOf(holds);
  if (told) {
    declareMethod(reader, name, told, span);
    return;
  }
  const part = rules.holdsParts && holds ? partMade(reader, name, span, holds) : undefined;
  if (part !== undefined) {
    own.set(name, valueNamed(part));
    return;
  }
  const value = addValue(body, {
    name: spoken(name),
    kind: 'state',
    span,
    from: [],
    ...(role.kind === 'plain' ? { plain: true as const } : {}),
    ...(role.isDeep || rules.follows === 'nothing' || holds?.type === 'StringLiteral' ? {} : { shallow: true as const }),
    ...collection,
  });
  own.set(name, valueNamed(value));
  if (!first || isNothing(first)) (body.unset ??= new Set()).add(value);
  if (first)
    body.queue.push(() => {
      const facts = body.values[value];
      if (facts) facts.from = fieldFrom(body, first, scope);
    });
}

/** `new Clock(this, 500)`: read as a call of what gives the members of that class. Undefined for all else. */
function partMade({ body, scope }: ClassReader, name: string, span: Span, node: t.Node): number | undefined {
  if (node.type !== 'NewExpression' || node.callee.type !== 'Identifier' || node.arguments[0]?.type !== 'ThisExpression') return undefined;
  const value = addValue(body, { name: spoken(name), kind: 'hook', span, from: [], source: node.callee.name });
  body.queue.push(() => {
    const sink = newEffects();
    const args = readArgs(body, node.arguments, scope, sink);
    Object.assign(body.values[value] ?? {}, { args });
  });
  return value;
}

function declareMethod({ body, rules, own, scope, markup }: ClassReader, name: string, fn: FunctionNode, span: Span): void {
  if (rules.gives(name, fn)) {
    markup.set(name, fn);
    return;
  }
  const kind = rules.lifecycle.test(name) ? 'lifecycle' : 'handler';
  const action = addAction(body, spoken(name), kind, spanOf(fn));
  const value = addValue(body, { name: spoken(name), kind: 'function', span, from: [], action });
  own.set(name, { kind: 'function', node: fn, scope, action, value });
  noteLate(body, action, fn);
  const facts = body.actions[action];
  if (facts && givesNothing(fn, body.module.text)) facts.givesNothing = true;
  body.queue.push(() => readActionInto(body, action, fn, scope));
}

function declareGetter({ body, own, scope, getters }: ClassReader, name: string, get: FunctionNode, span: Span): void {
  const result = resultOf(get);
  const formula = result && result.type !== 'Identifier' ? foldedText(body.module.text, spanOf(result)) : '';
  const value = addValue(body, { name: spoken(name), kind: 'derived', span, from: [], ...(formula === '' ? {} : { formula }) });
  own.set(name, valueNamed(value));
  getters.set(value, get);
  body.queue.push(() => {
    const facts = body.values[value];
    if (facts) facts.from = [...facts.from, ...computedFrom(body, get, scope)];
  });
}

/** What is put into a property that has a setter goes on from its parameter. */
function declareSetter({ body, scope }: ClassReader, name: string, set: FunctionNode, value: number | undefined): void {
  const action = addAction(body, `set ${name}`, 'handler', spanOf(set));
  const facts = body.actions[action];
  if (facts && value !== undefined && body.values[value]?.kind === 'prop') facts.when = `when ${name} is given`;
  body.queue.push(() => {
    readActionInto(body, action, set, scope);
    const param = body.values.find((one) => one.kind === 'param' && one.of === action && one.position === 0);
    if (param && value !== undefined) param.from = [{ value, path: [], how: 'same', span: spanOf(set) }];
  });
}

/** A property that has a getter is read by it. */
function readGiven({ body, scope }: ClassReader, name: string, get: FunctionNode, value: number): void {
  const action = addAction(body, `get ${name}`, 'computation', spanOf(get));
  body.queue.push(() => {
    readActionInto(body, action, get, scope);
    const facts = body.values[value];
    const held = (body.actions[action]?.returns ?? []).filter((one) => one.value !== value);
    if (facts && held.length > 0) facts.from = held.map((one): Reading => ({ ...one }));
  });
}

/** What stands in the class under a name: a method, a field, accessors, in the role that it has. */
function declareGroup(
  reader: ClassReader,
  name: string,
  group: Group,
  role: Role | undefined,
  first: t.Node | undefined,
  span: Span,
): void {
  const { body, rules, own } = reader;
  if (group.method && role?.kind !== 'prop') declareMethod(reader, name, group.method, span);
  else if (group.field) declareField(reader, name, span, role ?? { kind: rules.field }, first);
  else if (role?.kind === 'prop' && (group.set || group.get)) {
    const value = propValue(body, role.as ?? name, span);
    if (group.set) declareMember(reader, name, span, { ...role, member: { required: 'no', ...role.member } });
    own.set(name, valueNamed(value));
    if (group.set) declareSetter(reader, name, group.set, value);
    if (group.get) readGiven(reader, name, group.get, value);
  } else {
    if (group.get) declareGetter(reader, name, group.get, span);
    if (group.set) declareSetter(reader, name, group.set, undefined);
    if (group.set && !own.has(name)) own.set(name, { kind: 'opaque' });
  }
}

/** What the constructor gives a name first: a field that stands nowhere else, or the default of a property. */
function declareBeginning(reader: ClassReader, name: string, { value, at }: Beginning, role: Role | undefined): void {
  const { own, members, rules } = reader;
  if (!own.has(name)) {
    const given = bare(value);
    if (isFunction(given)) declareMethod(reader, name, given, spanOf(at));
    else declareField(reader, name, spanOf(at), role ?? { kind: rules.field }, value);
    return;
  }
  const member = members.get(name);
  if (!member || member.fallback !== undefined) return;
  const { type, kind, span } = member;
  declareMember(reader, name, span, { kind: 'prop', member: { ...(type ? { type } : {}), kind } }, value);
}

/**
 * Reads a class whose instances are elements: its properties, its fields, its accessors and methods, each under the
 * name that the class knows it by. Methods are read when the body is finished.
 */
export function readElementClass(body: Body, node: ClassNode, rules: ClassRules): ReadClass {
  const own = new Map<string, Meaning>();
  const reader: ClassReader = {
    body,
    rules,
    own,
    scope: innerScope(),
    members: new Map(),
    asked: new Map(),
    markup: new Map(),
    getters: new Map(),
  };
  const groups = grouped(node);
  const written = writtenNames(node);
  const constructed = groups.get('constructor')?.method;
  const begun = beginnings(constructed);
  body.own = (name, span) => own.get(name) ?? askedOfSelf(reader, name, span);

  for (const [name, group] of groups) {
    if (name === 'constructor') continue;
    const role = rules.roleOf(name, group.all);
    if (role?.kind === 'own' || (group.field?.value && rules.isOwn?.(group.field.value))) continue;
    const [first] = group.all;
    declareGroup(reader, name, group, role, group.field?.value ?? begun.get(name)?.value, first ? spanOf(first.key) : spanOf(node));
  }
  for (const [name, beginning] of begun) {
    const role = rules.roleOf(name, []);
    if (role?.kind !== 'own' && !rules.isOwn?.(beginning.value)) declareBeginning(reader, name, beginning, role);
  }
  for (const [name, span] of written) {
    const role = rules.roleOf(name, []);
    const first = begun.get(name)?.value;
    const isKnown = own.has(name) || elementMembers.has(name) || rules.inherited.has(name);
    if (isKnown || role?.kind === 'own' || (first && rules.isOwn?.(first))) continue;
    if (rules.unknown !== 'inherited' || role) declareField(reader, name, span, role ?? { kind: rules.field }, undefined);
  }
  if (constructed) readConstructor(body, constructed, reader.scope);
  const start = node.start ?? 0;
  return {
    span: node.id ? spanOf(node.id) : { start, end: start + 5 },
    own,
    scope: reader.scope,
    members: reader.members,
    asked: reader.asked,
    written: new Set(written.keys()),
    accessors: [...groups].flatMap(([name, { set }]) => (set ? [name] : [])),
    markup: reader.markup,
    getters: reader.getters,
    statics: staticsOf(node),
  };
}

function staticsOf(node: ClassNode): Map<string, t.Node> {
  return new Map(
    membersOf(node).flatMap((one): [string, t.Node][] => {
      const name = isStatic(one) ? keyName(one) : undefined;
      const value = name === undefined ? undefined : one.type === 'ClassMethod' ? one : 'value' in one ? one.value : undefined;
      return name !== undefined && value ? [[name, value]] : [];
    }),
  );
}

/** How a field begins: its first value, and where it is given. */
type Beginning = { readonly value: t.Node; readonly at: t.Node };

/** What a constructor puts into fields, by their names: how they begin. */
function beginnings(constructed: FunctionNode | undefined): Map<string, Beginning> {
  const found = new Map<string, Beginning>();
  const statements = constructed?.body.type === 'BlockStatement' ? constructed.body.body : [];
  for (const one of statements) {
    const set = assignedIn(one);
    if (set && !found.has(set.name)) found.set(set.name, set);
  }
  return found;
}

/** Whatever a constructor does beside calling what it extends and giving fields their first values. */
function readConstructor(body: Body, fn: FunctionNode, scope: Scope): void {
  const statements = fn.body.type === 'BlockStatement' ? fn.body.body : [];
  const first = new Set<string>();
  const rest = statements.filter((one) => {
    if (one.type === 'ExpressionStatement' && one.expression.type === 'CallExpression' && one.expression.callee.type === 'Super')
      return false;
    const set = assignedIn(one);
    if (!set || first.has(set.name)) return true;
    first.add(set.name);
    return false;
  });
  if (rest.length === 0) return;
  const action = addAction(body, 'constructor', 'lifecycle', spanOf(fn));
  body.queue.push(() => {
    const sink = newEffects();
    readFunctionInto(body, { ...fn, body: { ...fn.body, body: rest } } as FunctionNode, innerScope(scope), sink);
    fillAction(body, action, sink);
  });
}

/** The values that the names of a class stand for, those names that it does not declare itself, and those with a setter of its own. */
export function namesOf({
  own,
  asked,
  accessors,
}: ReadClass): Pick<ClassFact, 'asked' | 'accessors'> & { readonly names: Record<string, number> } {
  const names: Record<string, number> = {};
  for (const [name, meaning] of own) {
    const value =
      meaning.kind === 'value' && meaning.path.length === 0 ? meaning.value : meaning.kind === 'function' ? meaning.value : undefined;
    if (value !== undefined) names[name] = value;
  }
  return {
    names,
    ...(asked.size > 0 ? { asked: [...asked.keys()] } : {}),
    ...(accessors.length > 0 ? { accessors } : {}),
  };
}
