import { readFileSync } from 'node:fs';
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
export function instrumented(file: string, text: string, places?: Set<string>): string {
  const program = parse(text, { sourceType: 'module', plugins: ['typescript', 'jsx'] }).program as unknown as AnyNode;
  const edits: Edit[] = [];
  const mark = (mark: Mark): string => {
    places?.add(mark.what);
    return `__mark(${JSON.stringify(mark)})`;
  };
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
      else if (isKept(node, parent) && !notRun.test(name) && /\.[jt]sx?$/.test(file))
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

/** Assignments in a component’s script that change what it keeps: to the inside of a box, to its own variables, to a store. */
function isKeptTarget(target: AnyNode, framework: string, own: ReadonlySet<string>): boolean {
  if (target.type === 'Identifier') return framework === 'svelte' && own.has(nameOf(target));
  if (target.type !== 'MemberExpression') return false;
  const object = target['object'] as AnyNode;
  if (object.type === 'ThisExpression') return true;
  if (framework === 'vue' && nameOf(target['property']) === 'value') return true;
  return object.type === 'MemberExpression' ? isKeptTarget(object, framework, own) : own.has(nameOf(object));
}

/** What a call does that counts: it raises an event, sends one through the document, or sets what a store holds. */
function kindOfCall(callee: AnyNode): Mark['kind'] | undefined {
  if (callee.type !== 'MemberExpression') return /^(emit|dispatch)$|^on[a-z]/.test(nameOf(callee)) ? 'raise' : undefined;
  const name = nameOf(callee['property']);
  if (name === 'dispatchEvent') return 'raise';
  return name === 'set' && nameOf(callee['object']).startsWith('$') ? 'set' : undefined;
}

/** A component file or module with a call of `__mark` in each named function, each assignment to state and each raise of its scripts; these places are put into `places`. */
export function instrumentedScripts(file: string, text: string, framework: 'vue' | 'svelte', places: Set<string>): string {
  const blocks = /\.(vue|svelte)$/.test(file)
    ? [...text.matchAll(/(<script\b[^>]*>)([\s\S]*?)<\/script>/g)].map((one) => ({
        at: one.index + (one[1] ?? '').length,
        code: one[2] ?? '',
      }))
    : [{ at: 0, code: text }];
  const edits: Edit[] = [];
  for (const block of blocks) {
    const program = parse(block.code, { sourceType: 'module', plugins: ['typescript'] }).program as unknown as AnyNode;
    const place = (node: AnyNode): string => `${file}:${block.at + node.start}`;
    const mark = (kind: Mark['kind'], node: AnyNode): string => {
      places.add(place(node));
      return `__mark(${JSON.stringify({ kind, what: place(node) } satisfies Mark)})`;
    };
    const own = new Set(
      childrenOf(program).flatMap((one) =>
        one.type === 'VariableDeclaration' ? childrenOf(one).map((declared) => nameOf(declared['id'])) : [],
      ),
    );
    own.delete('');
    const stack: { node: AnyNode; parent: AnyNode; inside: boolean; under: string }[] = [
      { node: program, parent: program, inside: false, under: '' },
    ];
    for (let at = stack.pop(); at; at = stack.pop()) {
      const { node, parent, inside, under } = at;
      if (scriptFunctions.has(node.type)) {
        const name = nameOf(node['id']) || nameOf(node['key']) || nameOf(parent['id']);
        const isNamed = node.type === 'FunctionDeclaration' || node.type === 'ObjectMethod' || parent.type === 'VariableDeclarator';
        const isRun =
          isNamed &&
          node['kind'] !== 'get' &&
          !/^(computed|getters|watch)$/.test(under) &&
          !/^(use[A-Z]\w*|create[A-Z]\w*|state|data|setup|subscribe|)$/.test(name);
        const body = node['body'] as AnyNode;
        if (isRun && body.type === 'BlockStatement') edits.push({ at: block.at + body.start + 1, text: `${mark('run', node)};`, order: 1 });
        else if (isRun)
          edits.push(
            { at: block.at + body.start, text: `(${mark('run', node)},(`, order: 2 },
            { at: block.at + body.end, text: '))', order: 0 },
          );
      }
      if (node.type === 'AssignmentExpression' && inside && isKeptTarget(node['left'] as AnyNode, framework, own)) {
        const right = node['right'] as AnyNode;
        edits.push(
          { at: block.at + right.start, text: `(${mark('set', node)},`, order: 2 },
          { at: block.at + right.end, text: ')', order: 0 },
        );
      }
      const kind = inside && node.type === 'CallExpression' ? kindOfCall(node['callee'] as AnyNode) : undefined;
      if (kind) {
        const called = node['callee'] as AnyNode;
        const held = called.type === 'MemberExpression' ? (called['object'] as AnyNode) : called;
        edits.push(
          { at: block.at + held.start, text: `(${mark(kind, node)},`, order: 2 },
          { at: block.at + held.end, text: ')', order: 0 },
        );
      }
      const deeper = inside || scriptFunctions.has(node.type);
      const below = node.type === 'ObjectProperty' ? nameOf(node['key']) : under;
      for (const child of childrenOf(node)) stack.push({ node: child, parent: node, inside: deeper, under: below });
    }
  }
  let made = text;
  for (const edit of edits.sort((a, b) => b.at - a.at || b.order - a.order))
    made = made.slice(0, edit.at) + edit.text + made.slice(edit.at);
  return made;
}

const scriptFunctions = new Set([...functions, 'ObjectMethod']);

/** A member of the instance that is its own; what its element shows is seen on the page. */
const isMemberOfThis = (target: AnyNode): boolean =>
  target.type === 'MemberExpression' &&
  (target['object'] as AnyNode).type === 'ThisExpression' &&
  !/^(?:innerHTML|textContent)$/.test(nameOf(target['property']));

const lives = /^(?:constructor|connectedCallback|disconnectedCallback|attributeChangedCallback)$/;

/**
 * The class of a Lightning web component with the marks of an element; that it has rendered it tells by its life cycle. What
 * is done while it is put onto the page is part of that, as in the other frameworks.
 */
export function instrumentedBundle(file: string, text: string, places: Set<string>): string {
  const marked = instrumentedElements(file, text, places).replace(
    /connectedCallback\(\) \{\n([\s\S]*?)\n {2}\}/,
    'connectedCallback() {\n__mounts(() => {$1\n});\n  }',
  );
  const what = file.split('/').at(-2) ?? '';
  return marked.replace(
    /extends LightningElement \{/,
    (head) => `${head}\n  renderedCallback() { __mark(${JSON.stringify({ kind: 'render', what } satisfies Mark)}); }\n`,
  );
}

/**
 * A module of elements with a call of `__mark` in each rendering, each method and each listener in a template, each
 * assignment to a member, each change of what is provided, and each event that is sent; these places are put into `places`.
 */
export function instrumentedElements(file: string, text: string, places: Set<string>): string {
  const program = parse(text, { sourceType: 'module', plugins: ['decorators'] }).program as unknown as AnyNode;
  const edits: Edit[] = [];
  const mark = (kind: Mark['kind'], node: AnyNode, what = `${file}:${node.start}`): string => {
    places.add(what);
    return `__mark(${JSON.stringify({ kind, what } satisfies Mark)})`;
  };
  const stack: { node: AnyNode; parent: AnyNode; owner: string; inside: boolean }[] = [
    { node: program, parent: program, owner: '', inside: false },
  ];
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { node, parent } = at;
    let { owner, inside } = at;
    if (node.type === 'ClassDeclaration') owner = nameOf(node['id']);
    const isMethod = node.type === 'ClassMethod' && node['kind'] === 'method' && !lives.test(nameOf(node['key']));
    if (isMethod || (node.type === 'ArrowFunctionExpression' && (parent.type === 'TemplateLiteral' || parent.type === 'ClassProperty'))) {
      const body = node['body'] as AnyNode;
      const tells = isMethod && nameOf(node['key']) === 'render' ? mark('render', node, owner) : mark('run', node);
      if (body.type === 'BlockStatement') edits.push({ at: body.start + 1, text: `${tells};`, order: 1 });
      else edits.push({ at: body.start, text: `(${tells},(`, order: 2 }, { at: body.end, text: '))', order: 0 });
      inside = true;
    }
    if (node.type === 'AssignmentExpression' && inside && isMemberOfThis(node['left'] as AnyNode)) {
      const right = node['right'] as AnyNode;
      edits.push({ at: right.start, text: `(${mark('set', node)},`, order: 2 }, { at: right.end, text: ')', order: 0 });
    }
    const callee = node.type === 'CallExpression' && inside ? (node['callee'] as AnyNode) : undefined;
    const called = callee ? nameOf(callee['property']) : '';
    const [first] = callee ? (node['arguments'] as AnyNode[]) : [];
    if (first && (called === 'dispatchEvent' || called === 'setValue'))
      edits.push(
        { at: first.start, text: `(${mark(called === 'setValue' ? 'set' : 'raise', node)},`, order: 2 },
        { at: first.end, text: ')', order: 0 },
      );
    for (const child of childrenOf(node)) stack.push({ node: child, parent: node, owner, inside });
  }
  let made = text;
  for (const edit of edits.sort((a, b) => b.at - a.at || b.order - a.order))
    made = made.slice(0, edit.at) + edit.text + made.slice(edit.at);
  return made;
}

const givesNothing = ({ returnType }: AnyNode): boolean =>
  isNode(returnType) && (returnType['typeAnnotation'] as AnyNode).type === 'TSVoidKeyword';

const ngLives = /^(?:constructor|ng[A-Z]\w*|transform)$/;

/**
 * A script of Angular with a call of `__mark` in each method, and at each call that sets a signal or a subject or emits an
 * output; these places are put into `places`. What stands in templates is not marked.
 */
export function instrumentedClasses(file: string, text: string, places: Set<string>): string {
  const program = parse(text, { sourceType: 'module', plugins: ['typescript', 'decorators'] }).program as unknown as AnyNode;
  const edits: Edit[] = [];
  const mark = (kind: Mark['kind'], node: AnyNode): string => {
    places.add(`${file}:${node.start}`);
    return `__mark(${JSON.stringify({ kind, what: `${file}:${node.start}` } satisfies Mark)})`;
  };
  const stack: { node: AnyNode; inside: boolean }[] = [{ node: program, inside: false }];
  for (let at = stack.pop(); at; at = stack.pop()) {
    const { node } = at;
    let { inside } = at;
    if (node.type === 'ClassMethod' && !ngLives.test(nameOf(node['key']))) {
      // What gives something is asked while the page is painted.
      if (givesNothing(node)) edits.push({ at: (node['body'] as AnyNode).start + 1, text: `${mark('run', node)};`, order: 1 });
      inside = true;
    }
    const callee = node.type === 'CallExpression' && inside ? (node['callee'] as AnyNode) : undefined;
    const called = callee?.type === 'MemberExpression' ? nameOf(callee['property']) : '';
    const kind = called === 'emit' ? 'raise' : /^(?:set|update|next)$/.test(called) ? 'set' : undefined;
    if (callee && kind) {
      const held = callee['object'] as AnyNode;
      edits.push({ at: held.start, text: `(${mark(kind, node)}, `, order: 2 }, { at: held.end, text: ')', order: 0 });
    }
    for (const child of childrenOf(node)) stack.push({ node: child, inside });
  }
  let made = text;
  for (const edit of edits.sort((a, b) => b.at - a.at || b.order - a.order))
    made = made.slice(0, edit.at) + edit.text + made.slice(edit.at);
  return `${made}\ndeclare function __mark(mark: unknown): void;\n`;
}

const renderedFunction = `
function __rendered(one: any) { const what = one.$.type.__file?.replace(/^.*\\//, '').replace('.vue', ''); if (what) __mark({ kind: 'render', what }); }
`;

/** What a mixin of all components tells when they are made and painted anew. */
const vueTells = `{ beforeMount() { __rendered(this) }, beforeUpdate() { __rendered(this) } }`;

/** A file of an application in which parts of several frameworks stand on pages of Astro; those pages are as they were. */
export function instrumentedIslands(file: string, text: string, places: Set<string>): string {
  if (file === 'astro.config.mjs') {
    const settings = text
      .replace('vue()', "vue({ appEntrypoint: '/src/marks' })")
      .replace('defineConfig({', 'defineConfig({ vite: { build: { minify: false } },');
    // On the server nobody listens.
    return `globalThis.__mark = () => undefined;\n${settings}`;
  }
  if (file.endsWith('.jsx')) return instrumented(file, text, places);
  if (/\.(?:vue|svelte|ts)$/.test(file)) return instrumentedScripts(file, text, file.endsWith('.svelte') ? 'svelte' : 'vue', places);
  return text;
}

/** A module that lets the parts of Vue tell when they are painted; the configuration above names it. */
export const islandMarks = { file: 'src/marks.ts', text: `export default (app: any) => app.mixin(${vueTells});${renderedFunction}` };

/** Marks all source below a folder while it is built. */
export function instrument(root: string, framework: 'react' | 'vue' | 'svelte' | 'elements', places: Set<string>): Plugin {
  const marked = (file: string, text: string): string => {
    if (framework === 'react') return instrumented(file, text);
    if (framework === 'elements') return instrumentedElements(file, text, places);
    if (framework === 'svelte') return instrumentedScripts(file, text, framework, places);
    if (file !== 'src/main.ts') return instrumentedScripts(file, text, framework, places);
    return text.replace('createApp(App)', `createApp(App).mixin(${vueTells})`) + renderedFunction;
  };
  return {
    name: 'marks',
    enforce: 'pre',
    load(id) {
      if (!id.startsWith(`${root}/src/`) || id.includes('?') || !/\.(tsx?|js|vue|svelte)$/.test(id)) return undefined;
      return marked(id.slice(root.length + 1), readFileSync(id, 'utf8'));
    },
  };
}
