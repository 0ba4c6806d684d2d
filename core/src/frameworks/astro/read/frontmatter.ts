import type * as t from '@babel/types';
import type { NameFact, OriginFact, Unsendable } from '../../../model/facts';
import { addValue, type Body, type Effects, newEffects } from '../../../read/script/body';
import { readExpression, readStatement } from '../../../read/script/expressions';
import { declareFunction, noteSetUp } from '../../../read/script/functions';
import { mergeInto, partsOf } from '../../../read/script/names';
import { originOfCall } from '../../../read/script/origins';
import { bindProps } from '../../../read/script/props';
import { hoisted, innerScope, lookUp, type Scope } from '../../../read/script/scope';
import { bare, dottedName, isFunction, patternNames, pushChildren, spanOf } from '../../../read/script/syntax';
import { append } from '../../../model/append';

/** The name by which the props of a file are known once its script has been read: no script can say it. */
const props = 'Astro.props';

/** A scope that knows what a file knows by itself: its props, and what else it is told of the page. */
export function frontmatterScope(): Scope {
  const scope = innerScope();
  scope.names.set(props, { kind: 'props' });
  for (const name of ['Astro', 'Fragment']) scope.names.set(name, { kind: 'opaque' });
  return scope;
}

/** An expression in which `Astro.props` is one name. Its nodes are changed. */
export function withProps<N extends t.Node>(node: N): N {
  const stack: t.Node[] = [node];
  const isProps = (one: t.Node): boolean => one.type === 'MemberExpression' && !one.computed && dottedName(one) === props;
  for (let at = stack.pop(); at; at = stack.pop()) {
    if (isProps(at)) Object.assign(at, { type: 'Identifier', name: props });
    else pushChildren(at, stack);
  }
  return node;
}

/** Reads the script of a file: its names get their meaning in `scope`, everything done on the way is one action. */
export function readFrontmatter(body: Body, statements: readonly t.Statement[], scope: Scope): void {
  const own = statements.map((one) => (one.type === 'ExportNamedDeclaration' && one.declaration ? one.declaration : one));
  for (const found of hoisted(own)) if (found.id) declareFunction(body, found.id.name, found, scope, 'handler', spanOf(found.id));
  const done = newEffects();
  for (const one of own) {
    if (one.type === 'VariableDeclaration') for (const each of one.declarations) declare(body, each, scope, done);
    else if (!/^(?:Import|Export|TS|FunctionDeclaration|ClassDeclaration)/.test(one.type)) readStatement(body, one, scope, done);
  }
  noteSetUp(body, own, done);
}

function declare(body: Body, { id, init: given }: t.VariableDeclarator, scope: Scope, done: Effects): void {
  const init = given ? bare(given) : undefined;
  if (init && isFunction(init) && id.type === 'Identifier') {
    declareFunction(body, id.name, init, scope, 'handler', spanOf(id));
    return;
  }
  if (init?.type === 'Identifier' && lookUp(scope, init.name)?.kind === 'props') {
    bindProps(body, id, scope);
    return;
  }
  const sink = newEffects();
  if (init) readExpression(body, init, scope, 'same', sink);
  const asked = init?.type === 'CallExpression' ? askedBy(body, init) : undefined;
  const lost = init && lostOf(init);
  for (const found of patternNames(id as t.Node)) {
    const [only, ...others] = sink.reads;
    const source = only && body.values[only.value];
    const isAlias =
      only && others.length === 0 && only.how === 'same' && only.path.length === 0 && !only.held && source && source.kind !== 'module';
    if (isAlias) {
      scope.names.set(found.name, { kind: 'value', value: only.value, path: found.path });
      continue;
    }
    const value = addValue(body, {
      name: found.name,
      kind: asked ? 'fetched' : 'derived',
      span: spanOf(found.node),
      from: partsOf(sink.reads, found.path),
      once: true,
      ...(asked ? { origin: asked } : {}),
      ...(lost && found.path.length === 0 ? { unsendable: lost } : {}),
    });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
  mergeInto(done, { ...sink, reads: [] }, 'same');
}

/** What a call asks for from outside: a request, a collection of the project's content. */
function askedBy(body: Body, call: t.CallExpression): OriginFact | undefined {
  const [base = '', ...path] = dottedName(call.callee)?.split('.') ?? [];
  const isContent = body.module.imported.get(base)?.from === 'astro:content';
  const [first] = call.arguments;
  return isContent ? { kind: 'query', what: first?.type === 'StringLiteral' ? first.value : base } : originOfCall(body, call, base, path);
}

/** Names that no server has; `navigator` is one of newer servers, too. */
const ofBrowser = /^(?:window|document|localStorage|sessionStorage|location|history)$/;

/** Names that only a browser has, read when a page is made: outside of functions, and where nothing asks first whether there is one. */
export function browserNames(statements: readonly t.Statement[]): NameFact[] {
  const found: NameFact[] = [];
  const stack: t.Node[] = [...statements].reverse();
  const isAsked = statements.some((one) => holdsQuestion(one));
  for (let node = stack.pop(); node && !isAsked; node = stack.pop()) {
    if (isFunction(node) || node.type.startsWith('TS') || node.type === 'ImportDeclaration') continue;
    if (node.type === 'MemberExpression') {
      if (node.object.type === 'Identifier' && ofBrowser.test(node.object.name))
        found.push({ name: node.object.name, span: spanOf(node.object) });
      stack.push(node.object);
      append(stack, node.computed ? [node.property] : []);
      continue;
    }
    pushChildren(node, stack);
  }
  const declared = new Set(
    statements.flatMap((one) =>
      one.type === 'VariableDeclaration' ? one.declarations.flatMap((each) => patternNames(each.id as t.Node).map(({ name }) => name)) : [],
    ),
  );
  return found.filter(({ name }) => !declared.has(name));
}

/** Somewhere is asked whether there is a browser: `typeof window`, `import.meta.env.SSR`. */
function holdsQuestion(statement: t.Statement): boolean {
  const stack: t.Node[] = [statement];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (
      node.type === 'UnaryExpression' &&
      node.operator === 'typeof' &&
      node.argument.type === 'Identifier' &&
      ofBrowser.test(node.argument.name)
    )
      return true;
    if (node.type === 'MetaProperty') return true;
    pushChildren(node, stack);
  }
  return false;
}

/** Classes of the language whose instances are sent as what they are. */
const sent = /^(?:Date|RegExp|Map|Set|URL|Uint(?:8|16|32)Array|Array|Object)$/;

/** What is lost of something where only plain data is sent: within lists and objects that are written in place, too. Undefined for nothing that can be seen. */
export function lostOf(given: t.Node): Unsendable | undefined {
  const node = bare(given);
  if (isFunction(node)) return 'function';
  if (node.type === 'NewExpression') return node.callee.type === 'Identifier' && !sent.test(node.callee.name) ? 'instance' : undefined;
  if (node.type === 'CallExpression') return dottedName(node.callee) === 'Symbol' ? 'symbol' : undefined;
  const inner =
    node.type === 'ArrayExpression'
      ? node.elements
      : node.type === 'ObjectExpression'
        ? node.properties.map((one) =>
            one.type === 'ObjectProperty' ? one.value : one.type === 'ObjectMethod' && one.kind === 'method' ? one : null,
          )
        : [];
  for (const one of inner) {
    const lost = one?.type === 'ObjectMethod' ? ('function' as const) : one && lostOf(one);
    if (lost) return lost;
  }
  return undefined;
}
