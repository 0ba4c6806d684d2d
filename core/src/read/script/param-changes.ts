import type * as t from '@babel/types';
import type { ChangerFact, FileFacts } from '../../model/facts';
import type { ModuleScope } from './body';
import { inPlaceMethods } from './lists';
import { bare, forEachChild, type FunctionNode, isFunction, spanOf } from './syntax';

/** The name at the root of `a.b.c`, `a[0].b`; undefined for anything else, and for a name by itself. */
function rootOfMember(node: t.Node): string | undefined {
  let at = bare(node);
  if (at.type !== 'MemberExpression' && at.type !== 'OptionalMemberExpression') return undefined;
  while (at.type === 'MemberExpression' || at.type === 'OptionalMemberExpression') at = bare(at.object);
  return at.type === 'Identifier' ? at.name : undefined;
}

/** The name whose inside a node changes: `a.b = 1`, `a.b += 1`, `a.b++`, `delete a.b`, `a.list.push(1)`. */
function changedIn(node: t.Node): string | undefined {
  switch (node.type) {
    case 'AssignmentExpression':
      return rootOfMember(node.left);
    case 'UpdateExpression':
      return rootOfMember(node.argument);
    case 'UnaryExpression':
      return node.operator === 'delete' ? rootOfMember(node.argument) : undefined;
    case 'CallExpression':
    case 'OptionalCallExpression': {
      const callee = bare(node.callee);
      if (callee.type !== 'MemberExpression' && callee.type !== 'OptionalMemberExpression') return undefined;
      const isInPlace = callee.property.type === 'Identifier' && !callee.computed && inPlaceMethods.has(callee.property.name);
      const list = bare(callee.object);
      return isInPlace ? (list.type === 'Identifier' ? list.name : rootOfMember(list)) : undefined;
    }
    default:
      return undefined;
  }
}

/** Another value is given to a name, so that what follows is no longer about what was handed in. */
const isReplaced = (node: t.Node, name: string): boolean =>
  (node.type === 'AssignmentExpression' && node.left.type === 'Identifier' && node.left.name === name) ||
  (node.type === 'VariableDeclarator' && node.id.type === 'Identifier' && node.id.name === name);

/**
 * The parameters of a function whose inside it changes, each at the first place that does; `returned` where
 * the function then returns that same one. Empty for none. What other functions do that it hands a
 * parameter to is not looked at.
 */
function changesIn(name: string, run: FunctionNode): ChangerFact[] {
  return run.params.flatMap((param, position) => {
    if (param.type !== 'Identifier') return [];
    let first: t.Node | undefined;
    let isOther = false;
    let isReturned = false;
    const visit = (node: t.Node): void => {
      if (isReplaced(node, param.name)) isOther = true;
      if (changedIn(node) === param.name) first ??= node;
      if (first && node.type === 'ReturnStatement' && node.argument && isName(node.argument, param.name)) isReturned = true;
      // Functions inside run at another time.
      forEachChild(node, (child) => {
        if (!isFunction(child)) visit(child);
      });
    };
    visit(run.body);
    return first && !isOther ? [{ name, position, span: spanOf(first), ...(isReturned ? { returned: true as const } : {}) }] : [];
  });
}

/** The functions of a module that change the inside of what they are handed, as facts of its file. */
export function changersOf({ functions }: Pick<ModuleScope, 'functions'>): Pick<FileFacts, 'changers'> {
  const changers = [...functions].flatMap(([name, run]) => changesIn(name, run));
  return changers.length > 0 ? { changers } : {};
}

function isName(node: t.Node, name: string): boolean {
  const given = bare(node);
  return given.type === 'Identifier' && given.name === name;
}
