import type * as t from '@babel/types';
import { addingRoutes } from './added-routes';
import { isCapitalised, patternNames, pushChildren } from './syntax';

export type Survey = {
  /** Calls at any depth that put markup on the screen, make routes or register components. */
  readonly calls: readonly t.CallExpression[];
  /** Capitalised names declared inside functions: a tag of that name is known only while running. */
  readonly locals: ReadonlySet<string>;
};

const noteworthy = new Set([
  'render',
  'hydrateRoot',
  'hydrate',
  'createBrowserRouter',
  'createHashRouter',
  'createMemoryRouter',
  'useRoutes',
  'createApp',
  'createSSRApp',
  'createRouter',
  'mount',
  'provide',
  'component',
  ...addingRoutes,
]);

/** Tells whether a text may hold one of the calls that a survey collects. */
export function mayHoldCalls(text: string): boolean {
  return /\b(?:render|hydrate(?:Root)?|create(?:Browser|Hash|Memory)Router|useRoutes|create(?:SSR)?App|createRouter|mount|provide|injectRoute|createPage)\s*(?:<[^(]*>)?\(/.test(
    text,
  );
}
/** One look at the whole program, for the few modules that need it. */
export function survey(program: t.Program): Survey {
  const calls: t.CallExpression[] = [];
  const locals = new Set<string>();
  const stack: t.Node[] = [program];
  for (let node = stack.pop(); node; node = stack.pop()) {
    switch (node.type) {
      case 'CallExpression':
        if (noteworthy.has(lastName(node.callee))) calls.push(node);
        break;
      case 'VariableDeclarator':
        noteLocal(node.id, locals);
        break;
      case 'ClassDeclaration':
        if (node.id) noteLocal(node.id, locals);
        break;
      case 'FunctionDeclaration':
        if (node.id) noteLocal(node.id, locals);
        for (const parameter of node.params) noteLocal(parameter, locals);
        break;
      case 'ArrowFunctionExpression':
      case 'FunctionExpression':
        for (const parameter of node.params) noteLocal(parameter, locals);
        break;
      default:
    }
    pushChildren(node, stack);
  }
  return { calls, locals };
}

function lastName(callee: t.Node): string {
  if (callee.type === 'Identifier') return callee.name;
  return callee.type === 'MemberExpression' && callee.property.type === 'Identifier' ? callee.property.name : '';
}

/** Only capitalised names can be tags. */
function noteLocal(pattern: t.Node, locals: Set<string>): void {
  if (pattern.type === 'Identifier') {
    if (isCapitalised(pattern.name)) locals.add(pattern.name);
  } else if (pattern.type === 'ObjectPattern' || pattern.type === 'ArrayPattern' || pattern.type === 'AssignmentPattern') {
    for (const { name } of patternNames(pattern)) if (isCapitalised(name)) locals.add(name);
  }
}
