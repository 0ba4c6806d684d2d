import type * as t from '@babel/types';
import type { AmbientFact, FileFacts, SharedFact } from '../../model/facts';
import type { TypeFact } from '../../model/types';
import type { ModuleScope } from './body';
import type { Declared } from './declarations';
import { declaredNames, readModule } from './modules';
import { keysHeld } from './query-keys';
import { bare, type FunctionNode, isFunction, keyName, objectNames, patternNames, spanOf } from './syntax';
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
  const objects = new Map<string, readonly string[]>();
  const tables = new Map<string, t.ObjectExpression>();
  const texts = new Map<string, string>();
  for (const one of declared) {
    if (isFunction(one.node) && one.wrappers.length === 0) functions.set(one.name, one.node);
    const value = bare(one.node);
    if (value.type === 'ArrayExpression' || value.type === 'ObjectExpression') constants.add(one.name);
    if (value.type === 'ObjectExpression') tables.set(one.name, value);
    const members = objectNames(value);
    if (members) objects.set(one.name, members);
    if (value.type === 'StringLiteral') texts.set(one.name, value.value);
  }
  const textTables = new Map<string, Readonly<Record<string, string>>>();
  for (const one of declared) {
    const table = textTable(bare(one.node)) ?? staticTexts(one.node);
    if (!table) continue;
    textTables.set(one.name, table);
    for (const [member, said] of Object.entries(table)) texts.set(`${one.name}.${member}`, said);
  }
  return { names, imported, functions, tables, inPlace: new Set(), constants, objects, texts, textTables, isLocal, holdsMarkup, text };
}

/** The static fields of a class that are texts; undefined for none. */
function staticTexts(node: t.Node): Record<string, string> | undefined {
  if (node.type !== 'ClassDeclaration' && node.type !== 'ClassExpression') return undefined;
  const table: Record<string, string> = {};
  for (const one of node.body.body) {
    const name = one.type === 'ClassProperty' && one.static ? keyName(one) : undefined;
    const value = one.type === 'ClassProperty' && one.value ? bare(one.value) : undefined;
    if (name !== undefined && value?.type === 'StringLiteral') table[name] = value.value;
  }
  return Object.keys(table).length > 0 ? table : undefined;
}

/** What a list or a table of texts holds; undefined for all else. */
function textTable(node: t.Node): Record<string, string> | undefined {
  const entries: (readonly [string | undefined, t.Node | null | undefined])[] =
    node.type === 'ArrayExpression'
      ? node.elements.map((one, at) => [String(at), one] as const)
      : node.type === 'ObjectExpression'
        ? node.properties.map((one) =>
            one.type === 'ObjectProperty' ? ([keyName(one), one.value] as const) : ([undefined, undefined] as const),
          )
        : [];
  const table: Record<string, string> = {};
  for (const [key, given] of entries) {
    const value = given && bare(given);
    if (key === undefined || value?.type !== 'StringLiteral') return undefined;
    table[key] = value.value;
  }
  return entries.length > 0 ? table : undefined;
}

/** Something of the module that is no component, with the texts that it holds. */
export function sharedValue(module: ModuleScope, { name, nameSpan, node }: Declared): SharedFact {
  const text = module.texts.get(name);
  const texts = module.textTables.get(name);
  const keys = keysHeld(module, node);
  return {
    kind: 'value',
    name,
    span: nameSpan,
    ...(text === undefined ? {} : { text }),
    ...(texts ? { texts } : {}),
    ...(keys ? { keys } : {}),
  };
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
