import type * as t from '@babel/types';
import type { ExportFact, ImportFact } from '../../model/facts';
import { calleeName, dottedName, patternNames, spanOf } from './syntax';
import { append } from '../../model/append';

export type ModuleFacts = { readonly imports: readonly ImportFact[]; readonly exports: readonly ExportFact[] };

function importsOf(node: t.ImportDeclaration): ImportFact[] {
  return node.specifiers.map((specifier) => ({
    local: specifier.local.name,
    imported:
      specifier.type === 'ImportDefaultSpecifier'
        ? 'default'
        : specifier.type === 'ImportNamespaceSpecifier'
          ? '*'
          : moduleName(specifier.imported),
    from: node.source.value,
    typeOnly: node.importKind === 'type' || (specifier.type === 'ImportSpecifier' && specifier.importKind === 'type'),
    span: spanOf(specifier),
  }));
}

function moduleName(node: t.Identifier | t.StringLiteral): string {
  return node.type === 'Identifier' ? node.name : node.value;
}

/** Names that a statement declares at module level. */
export function declaredNames(statement: t.Node): readonly string[] {
  switch (statement.type) {
    case 'ImportDeclaration':
    case 'ExpressionStatement':
      return none;
    case 'VariableDeclaration':
      return statement.declarations.flatMap((one) => patternNames(one.id).map((found) => found.name));
    case 'FunctionDeclaration':
    case 'ClassDeclaration':
    case 'TSDeclareFunction':
      return statement.id ? [statement.id.name] : [];
    case 'TSEnumDeclaration':
    case 'TSInterfaceDeclaration':
    case 'TSTypeAliasDeclaration':
      return [statement.id.name];
    case 'ExportNamedDeclaration':
    case 'ExportDefaultDeclaration':
      return statement.declaration ? declaredNames(statement.declaration) : [];
    default:
      return none;
  }
}

const none: readonly never[] = [];

function exportsOfNamed(node: t.ExportNamedDeclaration): ExportFact[] {
  const from = node.source?.value;
  if (node.declaration) {
    return declaredNames(node.declaration).map((name) => ({ exported: name, local: name, span: spanOf(node) }));
  }
  return node.specifiers.map((specifier) => {
    const exported = moduleName(specifier.exported as t.Identifier | t.StringLiteral);
    const local =
      specifier.type === 'ExportSpecifier' ? moduleName(specifier.local) : specifier.type === 'ExportNamespaceSpecifier' ? '*' : 'default';
    return { exported, local, ...(from === undefined ? {} : { from }), span: spanOf(specifier) };
  });
}

function exportsOfDefault(node: t.ExportDefaultDeclaration): ExportFact {
  const declared = node.declaration;
  const name = declared.type === 'FunctionDeclaration' || declared.type === 'ClassDeclaration' ? declared.id?.name : dottedName(declared);
  return { exported: 'default', local: name ?? 'default', span: spanOf(node) };
}

/** `const X = require('m')`, `const { a: b } = require('m')` → imports. */
function requiresOf(node: t.VariableDeclaration): ImportFact[] {
  return node.declarations.flatMap((one): ImportFact[] => {
    const from = one.init && requiredModule(one.init);
    if (!from) return [];
    return patternNames(one.id)
      .filter((found) => found.path.length <= 1 && !found.rest)
      .map((found) => ({
        local: found.name,
        imported: found.path[0] ?? 'default',
        from,
        typeOnly: false,
        span: spanOf(found.node),
      }));
  });
}

function requiredModule(node: t.Node): string | undefined {
  if (node.type !== 'CallExpression' || calleeName(node) !== 'require') return undefined;
  const [argument] = node.arguments;
  return argument?.type === 'StringLiteral' ? argument.value : undefined;
}

/** `module.exports = X`, `exports.a = X`, `module.exports = { a, b: X }` → exports. */
function commonExports(node: t.ExpressionStatement): ExportFact[] {
  const { expression } = node;
  if (expression.type !== 'AssignmentExpression') return [];
  const target = dottedName(expression.left);
  const span = spanOf(node);
  const local = dottedName(expression.right) ?? 'default';
  if (target === 'module.exports') {
    if (expression.right.type !== 'ObjectExpression') return [{ exported: 'default', local, span }];
    return expression.right.properties.flatMap((property): ExportFact[] => {
      if (property.type !== 'ObjectProperty' || property.key.type !== 'Identifier') return [];
      const name = dottedName(property.value);
      return name ? [{ exported: property.key.name, local: name, span: spanOf(property) }] : [];
    });
  }
  const member = /^(?:module\.)?exports\.(\w+)$/.exec(target ?? '')?.[1];
  return member ? [{ exported: member, local: dottedName(expression.right) ?? member, span }] : [];
}

/** What a module imports and exports: ES modules, and CommonJS in its simple forms. */
export function readModule(body: readonly t.Statement[]): ModuleFacts {
  const imports: ImportFact[] = [];
  const exports: ExportFact[] = [];
  for (const node of body) {
    switch (node.type) {
      case 'ImportDeclaration':
        append(imports, importsOf(node));
        break;
      case 'ExportNamedDeclaration':
        append(exports, exportsOfNamed(node));
        break;
      case 'ExportAllDeclaration':
        exports.push({ exported: '*', local: '*', from: node.source.value, span: spanOf(node) });
        break;
      case 'ExportDefaultDeclaration':
        exports.push(exportsOfDefault(node));
        break;
      case 'TSExportAssignment':
        exports.push({ exported: 'default', local: dottedName(node.expression) ?? 'default', span: spanOf(node) });
        break;
      case 'VariableDeclaration':
        append(imports, requiresOf(node));
        break;
      case 'ExpressionStatement':
        append(exports, commonExports(node));
        break;
      default:
    }
  }
  return { imports, exports };
}
