import type * as t from '@babel/types';
import type { Span } from '../../model/span';
import type { Declared } from '../script/declarations';
import { bare, dottedName, isFunction, resultOf, spanOf } from '../script/syntax';
import type { ClassNode } from './class';

/** A class that a module declares, by itself or by a function that makes it of another one. */
export type DeclaredClass = {
  readonly name: string;
  readonly nameSpan: Span;
  readonly node: ClassNode;
  /** The parameter that stands for what it extends, where a function makes it. */
  readonly hole?: string;
  readonly isDefault: boolean;
};

const isClass = (node: t.Node | undefined): node is ClassNode => node?.type === 'ClassDeclaration' || node?.type === 'ClassExpression';

/** The class that a function makes of the one it is handed: `(Base) => class extends Base { … }`, `(Base) => class extends Busy(Base) { … }`. */
function madeClass(node: t.Node): { readonly node: ClassNode; readonly hole: string } | undefined {
  if (!isFunction(node)) return undefined;
  const [first] = node.params;
  const hole = first?.type === 'Identifier' ? first.name : undefined;
  if (hole === undefined) return undefined;
  const result = resultOf(node);
  const declared = node.body.type === 'BlockStatement' ? node.body.body : [];
  const given = result && bare(result);
  const found = isClass(given)
    ? given
    : given?.type === 'Identifier'
      ? declared.find((one): one is t.ClassDeclaration => one.type === 'ClassDeclaration' && one.id?.name === given.name)
      : undefined;
  return found && extendsHole(found.superClass, hole) ? { node: found, hole } : undefined;
}

/** Whether a class extends what is handed in, by itself or through other functions of the kind: `Busy(Base)`. */
function extendsHole(superClass: t.Node | null | undefined, hole: string): boolean {
  let node = superClass && bare(superClass);
  while (node?.type === 'CallExpression') node = node.arguments[0] && bare(node.arguments[0]);
  return node ? dottedName(node)?.split('.')[0] === hole : false;
}

/** All classes of a module that stand at its own level, and those that its functions make. */
export function classesIn(statements: readonly t.Statement[], declared: readonly Declared[]): DeclaredClass[] {
  const exported = statements.find((one): one is t.ExportDefaultDeclaration => one.type === 'ExportDefaultDeclaration');
  const given = exported && bare(exported.declaration);
  const isDefault = (name: string, node: t.Node): boolean =>
    given !== undefined &&
    (given === node || (given.type === 'Identifier' && given.name === name) || ('id' in given && given.id === null && given === node));
  return declared.flatMap(({ name, nameSpan, node, whole }): DeclaredClass[] => {
    if (isClass(node)) {
      const own = node.id ? spanOf(node.id) : nameSpan;
      return [{ name, nameSpan: own, node, isDefault: name === 'default' || isDefault(name, node) }];
    }
    const made = madeClass(node) ?? madeClass(bare(whole));
    return made ? [{ name, nameSpan, node: made.node, hole: made.hole, isDefault: false }] : [];
  });
}

/**
 * What a class extends, the nearest first, as the module names it: `Busy()` for a function that makes a class of the
 * one it is handed. `hole` names what stands for a class that is handed in. `?` for what cannot be told.
 */
export function basesOf({ superClass }: ClassNode, hole?: string): string[] {
  const found: string[] = [];
  const visit = (given: t.Node | null | undefined): void => {
    const node = given && bare(given);
    if (!node) return;
    if (node.type === 'CallExpression') {
      const name = dottedName(node.callee);
      found.push(name === undefined ? '?' : `${name}()`);
      visit(node.arguments[0]);
      return;
    }
    const name = dottedName(node);
    if (name === undefined) found.push('?');
    else if (name !== hole) found.push(name);
  };
  visit(superClass);
  return found;
}
