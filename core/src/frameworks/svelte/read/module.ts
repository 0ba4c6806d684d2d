import type * as t from '@babel/types';
import type { Binding, FileFacts, Reading, RootFact, SharedFact, TemplateUse } from '../../../model/facts';
import type { Writable } from '../../../model/writable';
import { voidsOf } from '../../../read/script/called';
import { changersOf } from '../../../read/script/param-changes';
import { type Body, type Dialect, finishBody, hookFact, type ModuleScope, newBody, newEffects } from '../../../read/script/body';
import { aliasOf, type Declared as Declaration, declarationsOf } from '../../../read/script/declarations';
import { bindParams, readingsOf } from '../../../read/script/expressions';
import { mayLast, readModuleBody } from '../../../read/script/module-body';
import { ambientOf, kept, moduleScope, takenApart, sharedValue } from '../../../read/script/module-scope';
import { readModule } from '../../../read/script/modules';
import { parseScript } from '../../../read/script/parse';
import { innerScope, type Scope } from '../../../read/script/scope';
import { bare, dottedName, type FunctionNode, isFunction, keyName, resultOf, spanOf } from '../../../read/script/syntax';
import { readTypeDeclaration } from '../../../read/script/types';
import { keepsState, readStateClass } from './classes';
import { type DeclaredMembers, newDeclared } from './declared';
import { apiName, instanceValue, svelteDialect } from './dialect';
import { halvesOf } from './load';
import { readInstance } from './script';

/** Tells whether a script belongs to this framework: by its name, or by what it imports. */
export function isSvelteScript(file: string, text: string): boolean {
  if (
    /\.svelte\.[cm]?[jt]s$/.test(file) ||
    /(^|\/)\+(page|layout)(\.server)?\.[cm]?[jt]s$/.test(file) ||
    /from\s*['"](?:svelte(?:\/[\w-]+)?|\$app\/[\w-]+)['"]/.test(text)
  )
    return true;
  // The older way to put a component on the screen: `new App({ target })`.
  return /from\s*['"][^'"]+\.svelte['"]/.test(text) && /\bnew\s+\w+\s*\(\s*\{[^}]*\btarget\b/.test(text);
}

const lasting = /\b(?:getContext|setContext|writable|readable|derived)\b|\$(?:state|derived|effect)\b/;

/** Reads a script of a project in this framework: stores, state in functions, keys, contexts that are taken by functions. Never throws. */
export function readSvelteScript(file: string, text: string): FileFacts {
  const { program, problems } = parseScript(file, text);
  const { imports, exports } = readModule(program.body);
  const declared = declarationsOf(program.body);
  const module = moduleScope(program, text, declared, imports);
  const apart = new Set<string>();
  const shared: SharedFact[] = [];
  const classes = new Set(declared.filter(({ node }) => keepsState(node, text)).map(({ name }) => name));
  for (const one of declared) {
    const { node } = one;
    if (keepsState(node, text)) {
      apart.add(one.name);
      shared.push(readStateClass(module, one.name, node));
      continue;
    }
    if (
      isFunction(node) &&
      one.wrappers.length === 0 &&
      lasting.test(text.slice(node.start ?? 0, node.end ?? 0)) &&
      (gives(node) || /\bsetContext\b/.test(text.slice(node.start ?? 0, node.end ?? 0)))
    ) {
      apart.add(one.name);
      shared.push(readComposable(module, one, node, classes));
      continue;
    }
    shared.push(sharedValue(module, one));
  }
  const facts: Writable<FileFacts> = {
    file,
    framework: 'script',
    problems,
    imports,
    exports,
    types: kept(program.body, readTypeDeclaration),
    components: [],
    shared: [...shared, ...program.body.flatMap((statement) => takenApart(statement, module))],
    roots: rootsOf(module, program.body),
    routes: [],
    ambient: kept(program.body, ambientOf),
    aliases: declared.filter((one) => !apart.has(one.name)).flatMap(aliasOf),
    makers: [],
    ...changersOf(module),
    ...voidsOf(module),
    ...halvesOf(file, program),
  };
  const given = [...text.matchAll(/\bsetContext\s*(?:<[^(]*>)?\(\s*(?:'([^']*)'|"([^"]*)"|([\w$.]+))/g)].map((match) => ({
    key: match[3] === undefined ? `'${match[1] ?? match[2] ?? ''}'` : match[3],
    span: { start: match.index, end: match.index + match[0].length },
  }));
  // What a function sets whose callers are followed stands around those.
  const hooks = shared.flatMap((one) => (one.kind === 'hook' ? declared.filter(({ name }) => name === one.name) : []));
  const isFollowed = (at: number): boolean => hooks.some(({ node }) => (node.start ?? 0) <= at && at < (node.end ?? 0));
  const loose = given.filter(({ span }) => !isFollowed(span.start));
  if (loose.length > 0) facts.gives = loose;
  const body = mayLast(text) ? readModuleBody(module, program.body, (name) => apart.has(name), moduleDialect(), file) : undefined;
  if (body) facts.module = body;
  return facts;
}

function moduleDialect(): Dialect {
  const declared = newDeclared();
  return {
    ...svelteDialect(declared),
    setUp: (body, statements, scope) => readInstance({ body, declared, runes: true, isFunction: true }, statements, scope),
  };
}

/** `mount(App, { target })`, `new App({ target })`: what is put on the screen. */
function rootsOf(module: ModuleScope, statements: readonly t.Statement[]): RootFact[] {
  return statements.flatMap((statement): RootFact[] => {
    const inner =
      statement.type === 'ExportDefaultDeclaration'
        ? statement.declaration
        : statement.type === 'ExpressionStatement'
          ? statement.expression
          : undefined;
    const given = inner ?? (statement.type === 'VariableDeclaration' ? statement.declarations[0]?.init : undefined);
    const node = given && bare(given);
    if (node?.type !== 'CallExpression' && node?.type !== 'NewExpression') return [];
    const [first, second] = node.arguments;
    const mounts = node.type === 'CallExpression' && /^(mount|hydrate)$/.test(apiName(newBody(module), node) ?? '');
    const made = node.type === 'NewExpression' && first?.type === 'ObjectExpression' && memberOf(first, 'target') !== undefined;
    const tag = dottedName(mounts ? first : made ? node.callee : undefined);
    if (tag === undefined || !module.imported.has(tag)) return [];
    const body = newBody(module);
    const props = memberOf(mounts ? second : first, 'props');
    const span = spanOf(node);
    const bindings = (props?.type === 'ObjectExpression' ? props.properties : []).flatMap((one): Binding[] => {
      const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
      if (one.type !== 'ObjectProperty' || name === undefined) return [];
      return [
        {
          to: { kind: 'prop', name },
          written: name,
          span: spanOf(one),
          nameSpan: spanOf(one.key),
          direction: 'in',
          readings: readingsOf(body, one.value, innerScope()),
        },
      ];
    });
    const use: TemplateUse = {
      kind: 'use',
      tag,
      span,
      nameSpan: span,
      bindings,
      spreads: [],
      children: [],
      key: { kind: 'none' },
      content: 'none',
    };
    return [{ span, mounts: true, template: [use], ...finishBody(body) }];
  });
}

function memberOf(object: t.Node | undefined, name: string): t.Node | undefined {
  if (object?.type !== 'ObjectExpression') return undefined;
  const found = object.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === name);
  return found && bare(found.value);
}

/** A function that gives something back; one that keeps to itself is followed as any other. */
function gives(node: FunctionNode): boolean {
  return node.body.type !== 'BlockStatement' || node.body.body.some((one) => one.type === 'ReturnStatement' && Boolean(one.argument));
}

/** What a function gives back, an instance that it makes on the way among it. */
function givenBack(body: Body, declared: DeclaredMembers, result: t.Node, scope: Scope): Reading[] {
  const made = instanceValue(body, declared, bare(result), scope, newEffects());
  return made === undefined ? readingsOf(body, result, scope) : [{ value: made, path: [], how: 'same', span: spanOf(result) }];
}

function readComposable(module: ModuleScope, one: Declaration, node: FunctionNode, classes: ReadonlySet<string>): SharedFact {
  const declared = newDeclared(classes);
  const body = newBody(module, svelteDialect(declared));
  const scope = innerScope();
  bindParams(body, node, scope);
  if (node.body.type === 'BlockStatement') readInstance({ body, declared, runes: true, isFunction: true }, node.body.body, scope);
  const result = resultOf(node);
  return hookFact(one, body, result ? givenBack(body, declared, result, scope) : [], declared.provides);
}
