import type * as t from '@babel/types';
import type { ChangerFact, FileFacts } from '../../model/facts';
import type { Span } from '../../model/span';
import type { ModuleScope } from './body';
import { collectionMethods, inPlaceMethods, selfGivingMethods } from './lists';
import { bare, forEachChild, type FunctionNode, isFunction, spanOf } from './syntax';

/** The name at the root of `a.b.c`, `a[0].b`; undefined for anything else, and for a name by itself. */
function rootOfMember(node: t.Node): string | undefined {
  let at = bare(node);
  if (at.type !== 'MemberExpression' && at.type !== 'OptionalMemberExpression') return undefined;
  while (at.type === 'MemberExpression' || at.type === 'OptionalMemberExpression') at = bare(at.object);
  return at.type === 'Identifier' ? at.name : undefined;
}

/** A call of a method: its receiver and the method's name; undefined for other nodes. */
function methodCall(given: t.Node): { readonly receiver: t.Node; readonly method: string } | undefined {
  const node = bare(given);
  const callee = node.type === 'CallExpression' || node.type === 'OptionalCallExpression' ? bare(node.callee) : undefined;
  if (callee?.type !== 'MemberExpression' && callee?.type !== 'OptionalMemberExpression') return undefined;
  return callee.property.type === 'Identifier' && !callee.computed
    ? { receiver: bare(callee.object), method: callee.property.name }
    : undefined;
}

/** The name whose inside a node changes: `a.b = 1`, `a.b += 1`, `a.b++`, `delete a.b`, `a.list.push(1)`. */
function changedIn(node: t.Node, methods: ReadonlySet<string>): string | undefined {
  switch (node.type) {
    case 'AssignmentExpression':
      return rootOfMember(node.left);
    case 'UpdateExpression':
      return rootOfMember(node.argument);
    case 'UnaryExpression':
      return node.operator === 'delete' ? rootOfMember(node.argument) : undefined;
    case 'CallExpression':
    case 'OptionalCallExpression': {
      const call = methodCall(node);
      if (!call || !methods.has(call.method)) return undefined;
      return call.receiver.type === 'Identifier' ? call.receiver.name : rootOfMember(call.receiver);
    }
    default:
      return undefined;
  }
}

/** The name to which another value is given, so that what follows is no longer about what was handed in. */
function replacedIn(node: t.Node): string | undefined {
  if (node.type === 'AssignmentExpression') return node.left.type === 'Identifier' ? node.left.name : undefined;
  return node.type === 'VariableDeclarator' && node.id.type === 'Identifier' ? node.id.name : undefined;
}

/** What a function must hold to change the inside of anything. */
const mayChange = /[^=!<>]=(?!=|>)|\+\+|--|\bdelete\b|\.(?:push|pop|shift|unshift|splice|sort|reverse|fill)\(/;

/** The name that is given back: by itself, or by a method that changes it and gives it back, as `sort` does. */
function givenBack(given: t.Node | null | undefined): string | undefined {
  const node = given && bare(given);
  if (!node) return undefined;
  if (node.type === 'Identifier') return node.name;
  const call = methodCall(node);
  return call?.receiver.type === 'Identifier' && selfGivingMethods.has(call.method) ? call.receiver.name : undefined;
}

/**
 * The parameters of a function whose inside it changes, each at the first place that does; `returned` where
 * the function then returns that same one. Empty for none. What other functions do that it hands a
 * parameter to is not looked at.
 */
function changesIn(name: string, run: FunctionNode, methods: ReadonlySet<string>): ChangerFact[] {
  const params = new Map(run.params.flatMap((one, position) => (one.type === 'Identifier' ? [[one.name, position] as const] : [])));
  if (params.size === 0) return [];
  const first = new Map<string, t.Node>();
  const replaced = new Set<string>();
  const returned = new Set<string>();
  const visit = (node: t.Node): void => {
    const other = replacedIn(node);
    if (other !== undefined) replaced.add(other);
    const changed = changedIn(node, methods);
    if (changed !== undefined && params.has(changed) && !first.has(changed)) first.set(changed, node);
    const back = node.type === 'ReturnStatement' ? givenBack(node.argument) : node === run.body ? givenBack(node) : undefined;
    if (back !== undefined) returned.add(back);
    // Functions inside run at another time.
    forEachChild(node, (child) => {
      if (!isFunction(child)) visit(child);
    });
  };
  visit(run.body);
  return [...first].flatMap(([param, node]) =>
    replaced.has(param)
      ? []
      : [{ name, position: params.get(param) ?? 0, span: spanOf(node), ...(returned.has(param) ? { returned: true as const } : {}) }],
  );
}

/** The functions of a module that change the inside of what they are handed, as facts of its file. */
export function changersOf({ functions, text }: Pick<ModuleScope, 'functions' | 'text'>): Pick<FileFacts, 'changers'> {
  const changers = [...functions].flatMap(([name, run]) =>
    mayChange.test(text.slice(run.body.start ?? 0, run.body.end ?? 0)) ? changesIn(name, run, inPlaceMethods) : [],
  );
  return changers.length > 0 ? { changers } : {};
}

/**
 * Where a function that is told what a state holds changes that and gives it back as it is, so that nothing tells the
 * two apart: `(list) => { list.push(one); return list; }`. Undefined where it gives back something else.
 */
export function changedBack(run: FunctionNode, isCollection: boolean): Span | undefined {
  const found = changesIn('', run, isCollection ? collectionMethods : inPlaceMethods).find(({ position }) => position === 0);
  return found?.returned ? found.span : undefined;
}
