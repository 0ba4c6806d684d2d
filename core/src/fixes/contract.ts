import { markupOf } from '../frameworks/registry';
import type * as t from '@babel/types';
import { type MemberKey, memberName } from '../model/member';
import type { FileFacts } from '../model/facts';
import type { Component } from '../model/model';
import { isFunction } from '../read/script/syntax';
import type { FunctionNode } from '../read/script/syntax';
import { memberSpan, statementSpan } from './lists';
import { CannotWrite, type Rewrite } from './rewrite';
import { endOf, everyNode, type Source, startOf, written } from './source';

/** How a component takes its props: the pattern that takes them apart, or the name that it gives to all of them. */
export type Taken = {
  readonly pattern?: t.ObjectPattern;
  readonly all?: string;
  /** React: the function that the component is. */
  readonly run?: FunctionNode;
  /** What declares them, where that is a statement of its own. */
  readonly statement?: t.Statement;
  readonly call?: t.CallExpression;
};

const parameterOf = (given: t.Node | undefined): t.Node | undefined => (given?.type === 'AssignmentPattern' ? given.left : given);

/** The function that a component of React is; undefined for a class. */
function functionOf({ program }: Source, { facts }: Component): FunctionNode | undefined {
  const found: FunctionNode[] = [];
  everyNode(program, (node) => {
    if (!isFunction(node) || startOf(node) < facts.span.start || endOf(node) > facts.span.end) return;
    if (facts.template.every(({ span }) => span.start >= startOf(node) && span.end <= endOf(node))) found.push(node);
  });
  return found[0];
}

const isCallOf = (node: t.Node | null | undefined, names: readonly string[]): node is t.CallExpression =>
  node?.type === 'CallExpression' && node.callee.type === 'Identifier' && names.includes(node.callee.name);

/** How a component takes its props. Throws where it has a form that is not followed. */
export function takenProps(source: Source, component: Component): Taken {
  const taken = takenBy(source, component);
  if (taken) return taken;
  throw new CannotWrite(
    markupOf(component.framework) === 'expression'
      ? `${component.name} is no plain function.`
      : `${component.name} declares its props in a form that is not followed.`,
  );
}

/** How a component takes its props; undefined where it takes none in a form that is followed. */
export function takenBy(source: Source, component: Component): Taken | undefined {
  if (markupOf(component.framework) === 'expression') {
    const run = functionOf(source, component);
    const param = parameterOf(run?.params[0]);
    if (!run) return undefined;
    if (param?.type === 'ObjectPattern') return { run, pattern: param };
    return param?.type === 'Identifier' ? { run, all: param.name } : { run };
  }
  const makers = markupOf(component.framework) === 'directives' ? ['defineProps', 'withDefaults'] : ['$props'];
  for (const statement of source.program.body) {
    if (statement.type === 'ExpressionStatement' && isCallOf(statement.expression, makers))
      return { statement, call: statement.expression };
    if (statement.type !== 'VariableDeclaration') continue;
    for (const { id, init } of statement.declarations)
      if (isCallOf(init, makers))
        return {
          statement,
          call: init,
          ...(id.type === 'ObjectPattern' ? { pattern: id } : id.type === 'Identifier' ? { all: id.name } : {}),
        };
  }
  return undefined;
}

type Member = t.TSPropertySignature | t.TSMethodSignature | t.TSCallSignatureDeclaration;

const isMember = (node: t.Node): node is Member =>
  node.type === 'TSPropertySignature' || node.type === 'TSMethodSignature' || node.type === 'TSCallSignatureDeclaration';

/** The declaration of a prop or an event, wherever it stands in the component's file, with the list that it is part of. */
type Declared = {
  readonly source: Source;
  readonly node: t.Node;
  readonly list: readonly (t.Node | null)[];
  readonly parents: readonly t.Node[];
};

function declaredAt(rewrite: Rewrite, component: Component, key: MemberKey): Declared | undefined {
  const declared = component.contract.members.get(key)?.declared;
  if (!declared) return undefined;
  const source = rewrite.source(component, declared.file);
  let found: Declared | undefined;
  everyNode(source.program, (node, parents) => {
    const holder = parents.at(-1);
    const isAt =
      startOf(node) === declared.start ||
      (node.type === 'TSCallSignatureDeclaration' && startOf(node) <= declared.start && endOf(node) >= declared.end);
    if (found || !isAt || !holder) return;
    const list =
      isMember(node) && holder.type === 'TSTypeLiteral'
        ? holder.members
        : isMember(node) && holder.type === 'TSInterfaceBody'
          ? holder.body
          : node.type === 'ObjectProperty' && holder.type === 'ObjectExpression'
            ? holder.properties
            : node.type === 'StringLiteral' && holder.type === 'ArrayExpression'
              ? holder.elements
              : undefined;
    if (list) found = { source, node, list, parents: [...parents] };
  });
  return found;
}

/** A type that others read too must stay as it is. */
function refuseShared({ model }: Rewrite, component: Component, { source, parents }: Declared): void {
  const named = parents.find(
    (one): one is t.TSTypeAliasDeclaration | t.TSInterfaceDeclaration =>
      one.type === 'TSTypeAliasDeclaration' || one.type === 'TSInterfaceDeclaration',
  );
  if (!named) return;
  const { name } = named.id;
  let uses = 0;
  everyNode(source.program, (node) => {
    if (node.type === 'Identifier' && node.name === name) uses++;
  });
  const isOwn = source.file === component.file;
  const isExported = parents.some((one) => one.type === 'ExportNamedDeclaration');
  const isElsewhere =
    (isOwn ? isExported : true) && [...model.files.values()].some((facts) => facts.file !== component.file && mentions(facts, name));
  // Once where it is declared, and, in the component's own file, once where it is taken.
  if (uses > (isOwn ? 2 : 1) || isElsewhere || (isOwn && isExported && component.isPublic))
    throw new CannotWrite(`${name}, the type of the props of ${component.name}, may be used elsewhere.`);
}

/** Whether a file brings in or hands on something of a name. */
const mentions = ({ imports, exports }: FileFacts, name: string): boolean =>
  imports.some((one) => one.imported === name) ||
  exports.some((one) => one.from !== undefined && (one.local === name || one.local === '*'));

/** What a declaration says of a prop. */
export type PropText = {
  /** The name that the component gives it. */
  readonly local: string;
  /** Its type as written; absent where none is. */
  readonly type?: string;
  /** What it is where it is not given, as written. */
  readonly fallback?: string;
  readonly optional: boolean;
};

function typeText(source: Source, node: t.Node): string | undefined {
  if (node.type === 'TSPropertySignature') return node.typeAnnotation ? written(source, node.typeAnnotation.typeAnnotation) : undefined;
  if (node.type !== 'TSMethodSignature' && node.type !== 'TSCallSignatureDeclaration') return undefined;
  // The first parameter of a call signature is the event's name.
  const params = node.type === 'TSMethodSignature' ? node.parameters : node.parameters.slice(1);
  return `(${params.map((one) => written(source, one)).join(', ')}) => void`;
}

function patternMember(pattern: t.ObjectPattern | undefined, name: string): t.ObjectProperty | undefined {
  return pattern?.properties.find(
    (one): one is t.ObjectProperty =>
      one.type === 'ObjectProperty' &&
      ((one.key.type === 'Identifier' && one.key.name === name) || (one.key.type === 'StringLiteral' && one.key.value === name)),
  );
}

/** Takes a prop out of what a component declares and takes; what stood there. Throws where that has a form that is not followed. */
export function dropProp(rewrite: Rewrite, component: Component, key: MemberKey): PropText {
  const name = memberName(key);
  const source = rewrite.source(component);
  const taken = takenProps(source, component);
  const declared = declaredAt(rewrite, component, key);
  const member = patternMember(taken.pattern, name);
  if (!declared && !member) throw new CannotWrite(`${component.name} takes ${name} in a form that is not followed.`);
  if (declared) refuseShared(rewrite, component, declared);
  const value = member?.value.type === 'AssignmentPattern' ? member.value.left : member?.value;
  const fallback =
    member?.value.type === 'AssignmentPattern' ? written(source, member.value.right) : dropDefault(rewrite, source, taken, name);
  const type = declared && typeText(declared.source, declared.node);
  dropMember(rewrite, source, taken, member, declared);
  return {
    local: value?.type === 'Identifier' ? value.name : name,
    ...(type === undefined ? {} : { type }),
    ...(fallback === undefined ? {} : { fallback }),
    optional: declared !== undefined && 'optional' in declared.node && declared.node.optional === true,
  };
}

/** The default that `withDefaults` gives. */
function dropDefault(rewrite: Rewrite, source: Source, { call }: Taken, name: string): string | undefined {
  const given = isCallOf(call, ['withDefaults']) ? call.arguments[1] : undefined;
  if (given?.type !== 'ObjectExpression') return undefined;
  const at = given.properties.findIndex((one) => one.type === 'ObjectProperty' && one.key.type === 'Identifier' && one.key.name === name);
  const member = given.properties[at];
  if (member?.type !== 'ObjectProperty') return undefined;
  rewrite.put(source, memberSpan(source, given.properties, at), '');
  return written(source, member.value);
}

function dropMember(
  rewrite: Rewrite,
  source: Source,
  taken: Taken,
  member: t.ObjectProperty | undefined,
  declared: Declared | undefined,
): void {
  const { pattern, run, statement } = taken;
  const isLast = (!pattern || pattern.properties.length === 1) && (!declared || declared.list.length === 1);
  if (isLast && pattern && run) {
    // Nothing is left to take: the parameter goes, and with it the type that only it names.
    rewrite.put(source, { start: startOf(pattern), end: endOf(pattern) }, '');
    const named =
      declared?.parents.findIndex((one) => one.type === 'TSTypeAliasDeclaration' || one.type === 'TSInterfaceDeclaration') ?? -1;
    const alias = declared?.parents[named];
    if (alias && declared) rewrite.put(declared.source, statementSpan(declared.source, exportOf(declared.parents) ?? alias), '');
    return;
  }
  if (isLast && statement && !alias(declared)) {
    rewrite.put(source, statementSpan(source, statement), '');
    return;
  }
  if (member && pattern) rewrite.put(source, memberSpan(source, pattern.properties, pattern.properties.indexOf(member)), '');
  if (declared) rewrite.put(declared.source, memberSpan(declared.source, declared.list, declared.list.indexOf(declared.node)), '');
}

const exportOf = (parents: readonly t.Node[]): t.Node | undefined => parents.find((one) => one.type === 'ExportNamedDeclaration');

const alias = (declared: Declared | undefined): boolean =>
  declared?.parents.some((one) => one.type === 'TSTypeAliasDeclaration' || one.type === 'TSInterfaceDeclaration') ?? false;

/** Takes an event out of what a component of Vue declares; the type of who hears it, and the name of what raises it. */
export function dropEvent(rewrite: Rewrite, component: Component, key: MemberKey): { readonly type?: string; readonly emit?: string } {
  const source = rewrite.source(component);
  const declared = declaredAt(rewrite, component, key);
  if (!declared) throw new CannotWrite(`${component.name} declares ${memberName(key)} in a form that is not followed.`);
  refuseShared(rewrite, component, declared);
  const call = declared.parents.find((one) => isCallOf(one, ['defineEmits']));
  const declarator = declared.parents.find((one): one is t.VariableDeclarator => one.type === 'VariableDeclarator');
  const statement = declared.parents[1];
  if (!call || !statement) throw new CannotWrite(`${component.name} declares ${memberName(key)} in a form that is not followed.`);
  if (declared.list.length === 1) rewrite.put(source, statementSpan(source, statement), '');
  else rewrite.put(source, memberSpan(source, declared.list, declared.list.indexOf(declared.node)), '');
  const type = eventType(source, declared.node);
  return {
    ...(type === undefined ? {} : { type }),
    ...(declarator?.id.type === 'Identifier' ? { emit: declarator.id.name } : {}),
  };
}

/** `select: [lockId: string]` as the type of a handler. */
function eventType(source: Source, node: t.Node): string | undefined {
  if (node.type === 'TSPropertySignature') {
    const type = node.typeAnnotation?.typeAnnotation;
    if (type?.type === 'TSTupleType') {
      const params = type.elementTypes.map((one, at) =>
        one.type === 'TSNamedTupleMember' ? written(source, one) : `value${at + 1}: ${written(source, one)}`,
      );
      return `(${params.join(', ')}) => void`;
    }
  }
  return typeText(source, node);
}

/** Where a prop that has gone from a pattern is read by the name of all props: `props.items`. */
export function memberReads({ program }: Source, all: string, name: string): t.MemberExpression[] {
  const found: t.MemberExpression[] = [];
  everyNode(program, (node) => {
    if (node.type !== 'MemberExpression' && node.type !== 'OptionalMemberExpression') return;
    if (
      node.object.type === 'Identifier' &&
      node.object.name === all &&
      !node.computed &&
      node.property.type === 'Identifier' &&
      node.property.name === name
    )
      found.push(node as t.MemberExpression);
  });
  return found;
}
