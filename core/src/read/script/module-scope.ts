import type * as t from '@babel/types';
import type { AmbientFact, FileFacts, SharedFact } from '../../model/facts';
import type { TypeFact } from '../../model/types';
import type { ModuleScope } from './body';
import type { Declared } from './declarations';
import { declaredNames, readModule } from './modules';
import { bare, type FunctionNode, isFunction, patternNames, spanOf } from './syntax';
import { readTypeDeclaration } from './types';

/** What the statements of a module declare, as far as bodies refer to it. */
export function moduleScope(
  program: t.Program,
  text: string,
  declared: readonly Declared[],
  imports: FileFacts['imports'],
  holdsMarkup: ModuleScope['holdsMarkup'] = () => false,
  isLocal: ModuleScope['isLocal'] = () => false,
): ModuleScope {
  const names = new Set<string>();
  for (const statement of program.body) for (const name of declaredNames(statement)) names.add(name);
  const imported = new Map<string, { from: string; imported: string }>();
  for (const one of imports) {
    if (!one.typeOnly) names.add(one.local);
    imported.set(one.local, one);
  }
  const functions = new Map<string, FunctionNode>();
  const constants = new Set<string>();
  const texts = new Map<string, string>();
  for (const one of declared) {
    if (isFunction(one.node) && one.wrappers.length === 0) functions.set(one.name, one.node);
    const value = bare(one.node);
    if (value.type === 'ArrayExpression' || value.type === 'ObjectExpression') constants.add(one.name);
    if (value.type === 'StringLiteral') texts.set(one.name, value.value);
  }
  return { names, imported, functions, constants, texts, isLocal, holdsMarkup, text };
}

/** What a question has an answer for, statement by statement. */
export function kept<T>(statements: readonly t.Statement[], ask: (statement: t.Statement) => T | undefined): T[] {
  const found: T[] = [];
  for (const statement of statements) {
    const answer = ask(statement);
    if (answer !== undefined) found.push(answer);
  }
  return found;
}

/** `const { Fill, Slot } = make()`: names of the module whose making is not followed. */
export function takenApart(statement: t.Statement, module: ModuleScope): SharedFact[] {
  const declared = statement.type === 'ExportNamedDeclaration' ? statement.declaration : statement;
  if (declared?.type !== 'VariableDeclaration') return [];
  return declared.declarations
    .filter((one) => one.id.type !== 'Identifier')
    .flatMap((one) => patternNames(one.id).filter((found) => !module.imported.has(found.name)))
    .map((found): SharedFact => ({ kind: 'value', name: found.name, span: spanOf(found.node) }));
}

/** `declare module 'name' { … }` in a declaration file. */
export function ambientOf(statement: t.Statement): AmbientFact | undefined {
  if (statement.type !== 'TSModuleDeclaration' || statement.id.type !== 'StringLiteral') return undefined;
  const body = statement.body?.type === 'TSModuleBlock' ? statement.body.body : [];
  const types: TypeFact[] = body.flatMap((one) => readTypeDeclaration(one) ?? []);
  return { module: statement.id.value, types, imports: readModule(body).imports };
}
