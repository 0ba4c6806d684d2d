import type * as t from '@babel/types';
import type { ComponentFacts, MakerFact } from '../../../model/facts';
import { usesIn } from '../../../model/walk';
import type { ModuleScope } from '../../../read/script/body';
import { bare, type FunctionNode, isFunction, patternNames, isCapitalised } from '../../../read/script/syntax';
import { type Declared, declarationsOf } from '../../../read/script/declarations';

type ReadComponent = (module: ModuleScope, declared: Declared) => ComponentFacts | undefined;

/**
 * A function of the project that makes a component around one it is handed, `withKeeper(Menu)`, also
 * after options, `withSize(2)(Menu)`: the component it makes, read with the name of the handed one as
 * a component like any other. Undefined for functions that show nothing they are handed.
 */
export function readMaker(module: ModuleScope, declared: Declared, read: ReadComponent): MakerFact | undefined {
  if (!isFunction(declared.node) || declared.wrappers.length > 0 || !module.holdsMarkup(declared.node)) return undefined;
  const names = new Set(module.names);
  const handed = new Set<string>();
  for (let fn: FunctionNode = declared.node; ;) {
    for (const parameter of fn.params) {
      for (const { name } of patternNames(parameter)) if (isCapitalised(name)) handed.add(name);
    }
    if (handed.size === 0 && !isFunction(resultOf(fn))) return undefined;
    for (const name of handed) names.add(name);
    const made = madeBy(fn, declared);
    const component = made && handed.size > 0 ? read({ ...module, names }, made) : undefined;
    if (component) {
      const holes = new Set(usesIn(component.template).flatMap((use) => (handed.has(use.tag) ? [use.tag] : [])));
      const [hole] = holes;
      return holes.size === 1 && hole !== undefined ? { name: declared.name, hole, component } : undefined;
    }
    const inner = resultOf(fn);
    if (!isFunction(inner)) return undefined;
    fn = inner;
  }
}

function resultOf(fn: FunctionNode): t.Node | undefined {
  if (fn.body.type !== 'BlockStatement') return bare(fn.body);
  const results = fn.body.body.filter((one) => one.type === 'ReturnStatement');
  const [result] = results;
  return results.length === 1 && result?.argument ? bare(result.argument) : undefined;
}

/** What a function gives, as if the module declared it: in place, in a wrapper, or by a name of its own. */
function madeBy(fn: FunctionNode, maker: Declared): Declared | undefined {
  const result = resultOf(fn);
  if (!result) return undefined;
  const name = `${maker.name}()`;
  const own = fn.body.type === 'BlockStatement' ? declarationsOf(fn.body.body) : [];
  const byName = (node: t.Node): Declared | undefined =>
    node.type === 'Identifier' ? own.find((one) => one.name === node.name) : undefined;
  const [given] = result.type === 'Identifier' ? [byName(result)] : declarationsOf([asDefault(result)]);
  const named = given && byName(given.node);
  return given && { ...(named ?? given), name, wrappers: [...given.wrappers, ...(named?.wrappers ?? [])], nameSpan: maker.nameSpan };
}

/** Lets one expression be looked at as a declaration is. */
function asDefault(expression: t.Node): t.ExportDefaultDeclaration {
  const { start, end } = expression;
  return { type: 'ExportDefaultDeclaration', declaration: expression, start, end } as t.ExportDefaultDeclaration;
}
