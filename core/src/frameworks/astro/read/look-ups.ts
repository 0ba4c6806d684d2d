import type * as t from '@babel/types';
import type { LookUpFact } from '../../../model/facts';
import { dottedName, pushChildren, spanOf } from '../../../read/script/syntax';
import { ownValue } from '../../../model/own-value';

const methods: Readonly<Record<string, { readonly all: boolean; readonly before: string }>> = {
  'document.querySelector': { all: false, before: '' },
  'document.querySelectorAll': { all: true, before: '' },
  'document.getElementById': { all: false, before: '#' },
  'document.getElementsByClassName': { all: true, before: '.' },
  'document.getElementsByTagName': { all: true, before: '' },
};

/** The elements that a script asks the page for by a text. */
export function lookUpsIn(statements: readonly t.Statement[], text: string): LookUpFact[] {
  const found: LookUpFact[] = [];
  const stack: { node: t.Node; name?: string; isOptional?: boolean }[] = statements.map((node) => ({ node }));
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { node } = at;
    if (node.type === 'CallExpression') {
      const method = ownValue(methods, dottedName(node.callee) ?? '');
      const [given] = node.arguments;
      if (method && given?.type === 'StringLiteral') {
        const guarded = at.isOptional === true || (at.name !== undefined && isMinded(text, statements, at.name)) || method.all;
        found.push({ selector: `${method.before}${given.value}`, span: spanOf(node), all: method.all, guarded });
      }
    }
    const below: t.Node[] = [];
    pushChildren(node, below);
    const isName = node.type === 'VariableDeclarator' && node.id.type === 'Identifier';
    const through = /^(?:TS|Parenthesized)/.test(node.type);
    for (const child of below) {
      const isAsked =
        (node.type === 'OptionalMemberExpression' && child === node.object) ||
        node.type === 'LogicalExpression' ||
        node.type === 'IfStatement';
      stack.push({
        node: child,
        ...(isName && node.id.type === 'Identifier' ? { name: node.id.name } : through && at.name !== undefined ? { name: at.name } : {}),
        ...(isAsked || (through && at.isOptional) ? { isOptional: true } : {}),
      });
    }
  }
  return found.sort((a, b) => a.span.start - b.span.start);
}

/** Whether a script asks anywhere if what a name holds is there. */
function isMinded(text: string, statements: readonly t.Statement[], name: string): boolean {
  const [first] = statements;
  const last = statements.at(-1);
  const script = first && last ? text.slice(first.start ?? 0, last.end ?? 0) : '';
  const own = name.replace(/\$/g, '\\$&');
  return new RegExp(
    `(?<![\\w$.])${own}\\s*(?:\\?\\.|&&|\\|\\||\\?\\?|\\?[^.:]|[!=]==?\\s*null|\\))|[!(]\\s*${own}\\s*[)&|]|instanceof|if\\s*\\(\\s*!?${own}\\b`,
  ).test(script);
}

/** Scripts make elements or give them names, so that the markup does not tell of all that there are. */
export const namesElements = (scripts: readonly (readonly t.Statement[])[], text: string): boolean =>
  scripts.some((statements) => {
    const [first] = statements;
    const last = statements.at(-1);
    return (
      first !== undefined &&
      last !== undefined &&
      /innerHTML|insertAdjacentHTML|createElement|cloneNode|\.id\s*=|setAttribute\(\s*['"](?:id|class)/.test(
        text.slice(first.start ?? 0, last.end ?? 0),
      )
    );
  });
