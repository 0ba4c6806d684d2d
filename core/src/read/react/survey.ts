import type * as t from '@babel/types';
import { forEachChild, isFunction, patternNames } from '../script/syntax';

export type Survey = {
  /** Offsets at which markup begins, ascending. */
  readonly markup: readonly number[];
  /** Calls at any depth that put markup on the screen or make routes. */
  readonly calls: readonly t.CallExpression[];
  /** Capitalised names declared inside functions: a tag of that name is known only while running. */
  readonly locals: ReadonlySet<string>;
};

const noteworthy =
  /^(render|hydrateRoot|hydrate|createBrowserRouter|createHashRouter|createMemoryRouter|useRoutes|createRoutesFromElements)$/;

/** One look at the whole program for what the rest of the reader asks for by place. */
export function survey(program: t.Program): Survey {
  const markup: number[] = [];
  const calls: t.CallExpression[] = [];
  const locals = new Set<string>();
  const declare = (pattern: t.Node): void => {
    for (const { name } of patternNames(pattern)) if (/^[A-Z]/.test(name)) locals.add(name);
  };
  const stack: t.Node[] = [program];
  for (let node = stack.pop(); node; node = stack.pop()) {
    switch (node.type) {
      case 'JSXElement':
      case 'JSXFragment':
        markup.push(node.start ?? 0);
        break;
      case 'CallExpression': {
        const callee = node.callee;
        const name =
          callee.type === 'Identifier'
            ? callee.name
            : callee.type === 'MemberExpression' && callee.property.type === 'Identifier'
              ? callee.property.name
              : '';
        if (name === 'createElement' || name === 'cloneElement') markup.push(node.start ?? 0);
        else if (noteworthy.test(name)) calls.push(node);
        break;
      }
      case 'VariableDeclarator':
        declare(node.id);
        break;
      case 'TSTypeAliasDeclaration':
      case 'TSInterfaceDeclaration':
      case 'TSTypeAnnotation':
      case 'ImportDeclaration':
        continue;
      default:
    }
    if (isFunction(node)) {
      node.params.forEach(declare);
      if (node.type === 'FunctionDeclaration' && node.id) declare(node.id);
    }
    forEachChild(node, (child) => stack.push(child));
  }
  return { markup: markup.sort((a, b) => a - b), calls, locals };
}
