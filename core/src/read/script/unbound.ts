import type * as t from '@babel/types';
import type { FileFacts, NameFact } from '../../model/facts';
import type { Declared } from './declarations';
import { bare, forEachChild, holdsFunction, isFunction, keyName, patternNames, spanOf } from './syntax';

/** Names that a function or a block binds for all that stands in it. */
type Bound = { readonly names: ReadonlySet<string>; readonly outer?: Bound };

const isBound = (bound: Bound | undefined, name: string): boolean => {
  for (let at = bound; at; at = at.outer) if (at.names.has(name)) return true;
  return false;
};

/** Names that the statements of a function declare, in blocks too, but not those of functions within. */
function declaredWithin(node: t.Node, found: Set<string>): void {
  forEachChild(node, (child) => {
    if (child.type === 'VariableDeclarator') for (const { name } of patternNames(child.id)) found.add(name);
    if ((child.type === 'FunctionDeclaration' || child.type === 'ClassDeclaration') && child.id) found.add(child.id.name);
    if (child.type === 'CatchClause' && child.param) for (const { name } of patternNames(child.param)) found.add(name);
    if (!isFunction(child) && child.type !== 'ClassDeclaration' && child.type !== 'ClassExpression') declaredWithin(child, found);
  });
}

/**
 * Every place at which a name stands that no function around it binds: those of the module, of what it
 * imports, of the platform, and those that nothing declares. `inMarkup`: it stands within markup.
 */
export function unboundNames(roots: readonly t.Node[], report: (name: NameFact, inMarkup: boolean) => void): void {
  const visit = (node: t.Node, bound: Bound | undefined, inMarkup: boolean): void => {
    switch (node.type) {
      case 'Identifier':
        if (!isBound(bound, node.name)) report({ name: node.name, span: spanOf(node) }, inMarkup);
        return;
      case 'MemberExpression':
      case 'OptionalMemberExpression':
        visit(node.object, bound, inMarkup);
        if (node.computed) visit(node.property, bound, inMarkup);
        return;
      case 'ObjectProperty':
      case 'ClassProperty':
      case 'ClassAccessorProperty':
        if (node.computed) visit(node.key, bound, inMarkup);
        if (node.value) visit(node.value, bound, inMarkup);
        return;
      case 'LabeledStatement':
        visit(node.body, bound, inMarkup);
        return;
      case 'BreakStatement':
      case 'ContinueStatement':
      case 'MetaProperty':
      case 'ImportDeclaration':
        return;
      case 'ExportNamedDeclaration':
        if (node.source) return;
        break;
      case 'ExportSpecifier':
        visit(node.local, bound, inMarkup);
        return;
      case 'JSXElement':
      case 'JSXFragment':
        forEachChild(node, (child) => visit(child, bound, true));
        return;
      default:
    }
    if (isFunction(node)) {
      const names = new Set<string>(['arguments']);
      for (const param of node.params) for (const { name } of patternNames(bare(param))) names.add(name);
      if (node.type === 'FunctionExpression' && node.id) names.add(node.id.name);
      declaredWithin(node.body, names);
      const inner: Bound = { names, ...(bound ? { outer: bound } : {}) };
      if ('key' in node && node.computed) visit(node.key, bound, inMarkup);
      for (const param of node.params) visit(param, inner, inMarkup);
      visit(node.body, inner, inMarkup);
      return;
    }
    if (node.type === 'ClassExpression' && node.id) {
      const inner: Bound = { names: new Set([node.id.name]), ...(bound ? { outer: bound } : {}) };
      forEachChild(node, (child) => visit(child, inner, inMarkup));
      return;
    }
    forEachChild(node, (child) => visit(child, bound, inMarkup));
  };
  for (const root of roots) visit(root, undefined, false);
}

/** Names that objects may have as members: keys, what is written to `this`, and all that stands in texts. */
export function memberNames(roots: readonly t.Node[]): Set<string> {
  const found = new Set<string>();
  const visit = (node: t.Node): void => {
    if ((node.type === 'ObjectProperty' || node.type === 'ObjectMethod') && node.key.type === 'Identifier') found.add(node.key.name);
    if (node.type === 'StringLiteral') for (const word of node.value.split(/[^\w$]+/)) found.add(word);
    if (node.type === 'MemberExpression' && node.object.type === 'ThisExpression' && node.property.type === 'Identifier')
      found.add(node.property.name);
    forEachChild(node, visit);
  };
  roots.forEach(visit);
  return found;
}

/** What is mixed into an object of options, by names of its module; undefined where its text does not tell all of its members. */
function mixedInto(object: t.ObjectExpression): string[] | undefined {
  const mixed: string[] = [];
  for (const property of object.properties) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    if (name === undefined || name === 'extends' || name === 'setup') return undefined;
    if (name !== 'mixins') continue;
    const list = property.type === 'ObjectProperty' ? bare(property.value) : undefined;
    for (const one of list?.type === 'ArrayExpression' ? list.elements : [null]) {
      if (one?.type !== 'Identifier') return undefined;
      mixed.push(one.name);
    }
  }
  return mixed;
}

/** The objects of a module that may be mixed into components, since they hold functions, as facts of its file. */
export function mixablesOf(declared: readonly Pick<Declared, 'name' | 'node'>[]): Pick<FileFacts, 'mixables'> {
  const mixables = declared.flatMap(({ name, node }) => {
    const object = bare(node);
    const mixins = object.type === 'ObjectExpression' && holdsFunction(object) ? mixedInto(object) : undefined;
    return mixins ? [{ name, members: [...memberNames([object])], ...(mixins.length > 0 ? { mixins } : {}) }] : [];
  });
  return mixables.length > 0 ? { mixables } : {};
}
