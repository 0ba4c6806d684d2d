import { parse } from '@babel/parser';
import type { Plugin } from 'vite';

/** What a run of an instrumented application tells: the kind, and where in the source it stands. */
export type Mark = { readonly kind: 'render' | 'run' | 'set' | 'raise'; readonly what: string };

type AnyNode = { type: string; start: number; end: number; [field: string]: unknown };
type Edit = { readonly at: number; readonly text: string; readonly order: number };

function isNode(value: unknown): value is AnyNode {
  return typeof value === 'object' && value !== null && typeof (value as AnyNode).type === 'string';
}

function childrenOf(node: AnyNode): AnyNode[] {
  return Object.entries(node).flatMap(([field, value]) =>
    field === 'loc' ? [] : Array.isArray(value) ? value.filter(isNode) : isNode(value) ? [value] : [],
  );
}

function nameOf(node: unknown): string {
  return isNode(node) && node.type === 'Identifier' ? String(node['name']) : '';
}

const functions = new Set(['FunctionDeclaration', 'FunctionExpression', 'ArrowFunctionExpression', 'ClassMethod']);

/** Constructors, hooks, reducers and subscriptions are run by the framework while it renders and mounts. */
const notRun = /^(constructor|use[A-Z]\w*|subscribe|\w*Reducer)$/;

/** Whether a function is one that something calls by name: an attribute, a constant, a member, not an argument. */
function isKept(node: AnyNode, parent: AnyNode): boolean {
  if (node.type === 'FunctionDeclaration' || node.type === 'ClassMethod') return true;
  return ['JSXAttribute', 'VariableDeclarator', 'ClassProperty', 'AssignmentExpression'].includes(parent.type);
}

/** The source with a call of `__mark` in each component’s rendering, each named function, each call of a setter and each raise. */
export function instrumented(file: string, text: string): string {
  const program = parse(text, { sourceType: 'module', plugins: ['typescript', 'jsx'] }).program as unknown as AnyNode;
  const edits: Edit[] = [];
  const mark = (mark: Mark): string => `__mark(${JSON.stringify(mark)})`;
  const intoBody = (node: AnyNode, what: Mark): void => {
    const body = node['body'] as AnyNode;
    if (body.type === 'BlockStatement') edits.push({ at: body.start + 1, text: `${mark(what)};`, order: 1 });
    else edits.push({ at: body.start, text: `(${mark(what)},(`, order: 2 }, { at: body.end, text: '))', order: 0 });
  };
  const stack: { node: AnyNode; parent: AnyNode; owner: string; depth: number }[] = [
    { node: program, parent: program, owner: '', depth: 0 },
  ];
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { node, parent, depth } = at;
    let { owner } = at;
    if (node.type === 'ClassDeclaration') owner = nameOf(node['id']);
    if (functions.has(node.type)) {
      const name = node.type === 'ClassMethod' ? nameOf(node['key']) : nameOf(node['id']) || nameOf(parent['id']);
      const isComponent = depth === 0 && /^[A-Z]/.test(name);
      if (node.type === 'ClassMethod' && name === 'render') intoBody(node, { kind: 'render', what: owner });
      else if (isComponent) intoBody(node, { kind: 'render', what: name });
      else if (isKept(node, parent) && !notRun.test(name) && /\.tsx?$/.test(file))
        intoBody(node, { kind: 'run', what: `${file}:${node.start}` });
    }
    if (node.type === 'CallExpression' || node.type === 'OptionalCallExpression') {
      const callee = node['callee'] as AnyNode;
      const name = nameOf(callee);
      const kind = /^(set[A-Z]|dispatch$)/.test(name) ? 'set' : /^on[A-Z]/.test(name) ? 'raise' : undefined;
      if (kind)
        edits.push(
          { at: callee.start, text: `(${mark({ kind, what: `${file}:${node.start}` })},`, order: 2 },
          { at: callee.end, text: ')', order: 0 },
        );
    }
    const deeper = depth + (functions.has(node.type) ? 1 : 0);
    // What stands in the braces of an attribute belongs to the attribute; in those of content it renders.
    const holder = node.type === 'JSXExpressionContainer' && parent.type === 'JSXAttribute' ? parent : node;
    for (const child of childrenOf(node)) stack.push({ node: child, parent: holder, owner, depth: deeper });
  }
  let made = text;
  for (const edit of edits.sort((a, b) => b.at - a.at || b.order - a.order))
    made = made.slice(0, edit.at) + edit.text + made.slice(edit.at);
  return made;
}

/** Marks all source below a folder while it is built. */
export function instrument(root: string): Plugin {
  return {
    name: 'marks',
    enforce: 'pre',
    transform(text, id) {
      if (!id.startsWith(`${root}/src/`) || !/\.tsx?$/.test(id)) return undefined;
      return { code: instrumented(id.slice(root.length + 1), text), map: null };
    },
  };
}
