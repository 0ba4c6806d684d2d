import type { FilePath, Span } from '@liana/core';
import ts from 'typescript';

/** Places where JSX stands, by file. */
function elementsOf(file: FilePath, text: string): (ts.JsxElement | ts.JsxSelfClosingElement)[] {
  const kind = file.endsWith('.tsx') ? ts.ScriptKind.TSX : ts.ScriptKind.JSX;
  const found: (ts.JsxElement | ts.JsxSelfClosingElement)[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isJsxElement(node) || ts.isJsxSelfClosingElement(node)) found.push(node);
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, kind));
  return found;
}

/** Names declared in the functions around a node, from the component's own function inwards. */
function localNames(node: ts.Node): Set<string> {
  const names = new Set<string>();
  const bind = (name: ts.BindingName): void => {
    if (ts.isIdentifier(name)) names.add(name.text);
    else for (const one of name.elements) if (ts.isBindingElement(one)) bind(one.name);
  };
  const declared = (within: ts.Node): void => {
    if (ts.isVariableDeclaration(within) || ts.isParameter(within)) bind(within.name);
    if ((ts.isFunctionDeclaration(within) || ts.isClassDeclaration(within)) && within.name) names.add(within.name.text);
    ts.forEachChild(within, declared);
  };
  for (let at = node.parent; at && !ts.isSourceFile(at); at = at.parent) if (ts.isFunctionLike(at)) declared(at);
  return names;
}

/** What a piece of markup reads of the functions around it; undefined where it writes some of it, or says `this`, `await` or a type of theirs. */
function readOf(node: ts.Node): string[] | undefined {
  const locals = localNames(node);
  const read = new Set<string>();
  let isPlain = true;
  const visit = (one: ts.Node): void => {
    if (one.kind === ts.SyntaxKind.ThisKeyword || ts.isAwaitExpression(one) || ts.isTypeNode(one) || ts.isFunctionLike(one))
      isPlain = false;
    if (ts.isIdentifier(one) && locals.has(one.text)) {
      const { parent } = one;
      const isName =
        (ts.isPropertyAccessExpression(parent) && parent.name === one) || ts.isJsxAttribute(parent) || ts.isPropertyAssignment(parent);
      if (!isName || (ts.isPropertyAssignment(parent) && parent.initializer === one)) read.add(one.text);
    }
    ts.forEachChild(one, visit);
  };
  visit(node);
  return isPlain && ![...read].some((name) => /^[A-Z]|^(?:use|render)[A-Z]|^(?:key|ref|children|props)$/.test(name))
    ? [...read]
    : undefined;
}

/** Shorter ones are hardly a part of their own. */
const shortest = 80;

/** A piece of markup, and what it reads of the function that it stands in. */
export type Extractable = Span & { readonly read: readonly string[] };

/** The elements within a stretch of a file that can stand in a component of their own, given what they read: four names at most. */
export function partsToExtract(file: FilePath, text: string, { start: from, end: to }: Span): Extractable[] {
  return elementsOf(file, text).flatMap((node): Extractable[] => {
    const [start, end] = [node.getStart(), node.end];
    const tag = (ts.isJsxElement(node) ? node.openingElement : node).tagName.getText();
    if (start < from || end > to || end - start < shortest || !ts.isJsxElement(node.parent) || !/^[a-z]/.test(tag)) return [];
    const read = readOf(node);
    return read && read.length <= 4 ? [{ start, end, read }] : [];
  });
}
