import type { Span } from '@liana/core';
import ts from 'typescript';

/** A stretch of a text and what stands there then; offsets as everywhere. */
type Stretch = Span & { readonly text: string };

/** A class that cannot be said as a function without knowing more of it. */
class Unsaid extends Error {}

const has = (node: ts.Node, kind: ts.SyntaxKind): boolean =>
  ts.canHaveModifiers(node) && (ts.getModifiers(node) ?? []).some((one) => one.kind === kind);

type Parts = {
  readonly members: ReadonlySet<string>;
  readonly refs: ReadonlySet<string>;
  readonly hasState: boolean;
};

/** The stretches of a node that say `this`, said as in a function. */
function withoutThis(node: ts.Node, { members, refs, hasState }: Parts): Stretch[] {
  const found: Stretch[] = [];
  const stretch = (one: ts.Node, text: string): void => void found.push({ start: one.getStart(), end: one.end, text });
  const visit = (one: ts.Node): void => {
    if (ts.isCallExpression(one) && one.expression.getText() === 'this.setState') {
      const [given, ...more] = one.arguments;
      if (!given || more.length > 0 || !hasState) throw new Unsaid();
      const { start, end } = { start: given.getStart(), end: given.end };
      found.push({
        start: one.getStart(),
        end: start,
        text: ts.isObjectLiteralExpression(given) ? 'setState({ ...state, ...' : 'setState((was) => ({ ...was, ...(',
      });
      found.push({ start: end, end: one.end, text: ts.isObjectLiteralExpression(given) ? ' })' : ')(was, props) }))' });
      visit(given);
      return;
    }
    if (ts.isPropertyAccessExpression(one) && one.expression.kind === ts.SyntaxKind.ThisKeyword) {
      const { text } = one.name;
      if (text === 'props') stretch(one, 'props');
      else if (text === 'state' && hasState) stretch(one, 'state');
      else if (refs.has(text)) stretch(one, `${text}.current`);
      else if (members.has(text)) stretch(one, text);
      else throw new Unsaid();
      return;
    }
    if (one.kind === ts.SyntaxKind.ThisKeyword || one.kind === ts.SyntaxKind.SuperKeyword) throw new Unsaid();
    ts.forEachChild(one, visit);
  };
  visit(node);
  return found;
}

/** A node's text as it stands in a function. */
function said(node: ts.Node, parts: Parts): string {
  const [start, text] = [node.getStart(), node.getText()];
  return withoutThis(node, parts)
    .sort((a, b) => b.start - a.start)
    .reduce((made, one) => made.slice(0, one.start - start) + one.text + made.slice(one.end - start), text);
}

const nameOf = (member: ts.ClassElement): string => (member.name && ts.isIdentifier(member.name) ? member.name.text : '');
const isFunction = (value: ts.Expression | undefined): boolean =>
  value !== undefined && (ts.isArrowFunction(value) || ts.isFunctionExpression(value));

/** Whether a constructor does nothing but hand on its props, set the state and bind methods; the state that it sets. */
function constructed({ body }: ts.ConstructorDeclaration): ts.Expression | undefined {
  let state: ts.Expression | undefined;
  for (const statement of body?.statements ?? []) {
    const text = statement.getText();
    if (/^super\(/.test(text) || /^this\.(\w+) = this\.\1\.bind\(this\);?$/.test(text)) continue;
    const value = ts.isExpressionStatement(statement) && ts.isBinaryExpression(statement.expression) ? statement.expression : undefined;
    if (value?.left.getText() !== 'this.state') throw new Unsaid();
    state = value.right;
  }
  return state;
}

function functionOf(node: ts.ClassDeclaration): string {
  const { name } = node;
  if (!name || node.typeParameters || (ts.getDecorators(node) ?? []).length > 0) throw new Unsaid();
  const fields = node.members.filter((member) => ts.isPropertyDeclaration(member));
  const methods = node.members.filter((member) => ts.isMethodDeclaration(member));
  const maker = node.members.find((member) => ts.isConstructorDeclaration(member));
  if (fields.length + methods.length + (maker ? 1 : 0) !== node.members.length) throw new Unsaid();
  const isStatic = (member: ts.ClassElement): boolean => has(member, ts.SyntaxKind.StaticKeyword);
  const state = fields.find((field) => nameOf(field) === 'state')?.initializer ?? (maker && constructed(maker));
  const own = fields.filter((field) => !isStatic(field) && nameOf(field) !== 'state');
  const refs = new Set(own.filter(({ initializer }) => !isFunction(initializer)).map(nameOf));
  const members = new Set([...own, ...methods.filter((one) => !isStatic(one))].map(nameOf));
  const parts: Parts = { members, refs, hasState: state !== undefined };
  const lifecycle = ['componentDidMount', 'componentWillUnmount'];
  const render = methods.find((method) => nameOf(method) === 'render');
  if (
    !render?.body ||
    methods.some(
      (one) =>
        isStatic(one) ||
        (nameOf(one) !== 'render' &&
          /^(?:component|shouldComponent|get[A-Z]\w*State|getSnapshot|UNSAFE_)/.test(nameOf(one)) &&
          !lifecycle.includes(nameOf(one))),
    )
  )
    throw new Unsaid();
  // A bare word that a member is called too would mean the member then.
  const names = new Set([...members, 'props', 'state', 'setState', 'was']);
  const visit = (one: ts.Node): void => {
    if (ts.isIdentifier(one) && names.has(one.text)) {
      const { parent } = one;
      const isName =
        (ts.isPropertyAccessExpression(parent) && parent.name === one) ||
        ts.isJsxAttribute(parent) ||
        (ts.isPropertyAssignment(parent) && parent.name === one) ||
        ((ts.isPropertyDeclaration(parent) || ts.isMethodDeclaration(parent)) && parent.name === one) ||
        (maker !== undefined && maker.pos <= one.pos && one.end <= maker.end);
      if (!isName) throw new Unsaid();
    }
    ts.forEachChild(one, visit);
  };
  for (const member of node.members) visit(member);
  const lines = [
    ...(state ? [`const [state, setState] = useState(${said(state, parts)});`] : []),
    ...own.map((field) => {
      if (!field.initializer) throw new Unsaid();
      return `const ${nameOf(field)} = ${refs.has(nameOf(field)) ? `useRef(${said(field.initializer, parts)})` : said(field.initializer, parts)};`;
    }),
    ...methods
      .filter((method) => method !== render && !lifecycle.includes(nameOf(method)))
      .map(
        (method) =>
          `${has(method, ts.SyntaxKind.AsyncKeyword) ? 'async ' : ''}function ${nameOf(method)}(${method.parameters.map((one) => said(one, parts)).join(', ')}) ${said(method.body ?? method, parts)}`,
      ),
  ];
  const [mount, unmount] = lifecycle.map((one) => methods.find((method) => nameOf(method) === one)?.body);
  const inner = (body: ts.Block): string => said(body, parts).slice(1, -1).trim();
  if (mount ?? unmount)
    lines.push(`useEffect(() => {\n${mount ? inner(mount) : ''}\n${unmount ? `return () => {\n${inner(unmount)}\n};\n` : ''}}, []);`);
  const exported = has(node, ts.SyntaxKind.DefaultKeyword) ? 'export default ' : has(node, ts.SyntaxKind.ExportKeyword) ? 'export ' : '';
  const statics = fields
    .filter(isStatic)
    .map((field) => `${name.text}.${nameOf(field)} = ${field.initializer?.getText() ?? 'undefined'};\n`);
  const given = node.heritageClauses?.[0]?.types[0]?.typeArguments?.[0];
  return `${exported}function ${name.text}(props${given ? `: ${given.getText()}` : ''}) {\n${lines.join('\n')}\n${inner(render.body)}\n}\n${statics.join('')}`;
}

/**
 * A class component of React as a function with hooks: state, fields as refs, methods as functions, mounting and
 * unmounting as one effect. Gives the stretches that change, undefined where the class says more than that (other
 * parts of its life, `setState` with a second argument, `this` handed on, names that would be hidden).
 */
export function asFunction(file: string, text: string, { start, end }: Span): Stretch[] | undefined {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, file.endsWith('x') ? undefined : ts.ScriptKind.JSX);
  const node = source.statements.find(
    (one): one is ts.ClassDeclaration => ts.isClassDeclaration(one) && one.getStart() <= end && start <= one.end,
  );
  if (!node) return undefined;
  try {
    return [
      { start: 0, end: 0, text: "import { useEffect, useRef, useState } from 'react';\n" },
      { start: node.getStart(), end: node.end, text: functionOf(node) },
    ];
  } catch (error) {
    if (error instanceof Unsaid) return undefined;
    throw error;
  }
}
