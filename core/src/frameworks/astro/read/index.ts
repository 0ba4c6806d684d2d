import type * as t from '@babel/types';
import type { ComponentFacts, FileFacts, MemberFact, Problem, SlotFact, TemplateNode, TemplateUse } from '../../../model/facts';
import { memberName, type MemberKey } from '../../../model/member';
import { noFacts } from '../../../model/no-facts';
import type { FilePath, Span } from '../../../model/span';
import type { TypeExpr, TypeFact } from '../../../model/types';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { type ClassNode, functionOf, membersOf } from '../../../read/elements/class';
import { opennessOf, slotsOf } from '../../../read/markup/contract';
import { platformNames, trulyUndeclared } from '../../../read/markup/undeclared';
import { addAction, type Body, fillAction, newBody, newEffects } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { declarationsOf } from '../../../read/script/declarations';
import { readStatement } from '../../../read/script/expressions';
import { kept, moduleScope } from '../../../read/script/module-scope';
import { readModule } from '../../../read/script/modules';
import { parseScriptAt } from '../../../read/script/parse';
import { hoisted, innerScope, markupScope, type Scope } from '../../../read/script/scope';
import { declareAction, declareFunction } from '../../../read/script/functions';
import { bare, keyName, nameOfFile, spanOf } from '../../../read/script/syntax';
import { readTypeDeclaration } from '../../../read/script/types';
import { unboundNames } from '../../../read/script/unbound';
import { useOfTag } from '../../placed';
import { browserNames, frontmatterScope, readFrontmatter, withProps } from './frontmatter';
import { lookUpsIn, namesElements } from './look-ups';
import { type AstroElement, type AstroNode, parseMarkup } from './markup';
import { type AstroMarkup, readNodes, slotsAsked } from './template';
import { append } from '../../../model/append';

/** Where the script at the top of a file stands, between two lines of dashes; undefined for none. */
export function frontmatterOf(text: string): { readonly script: Span; readonly end: number } | undefined {
  const open = /^\uFEFF?(?:\s|<!--[\s\S]*?-->)*---[^\S\n]*\r?\n?/.exec(text);
  if (!open) return undefined;
  const start = open[0].length;
  const close = dashesFrom(text, start);
  return close === undefined ? undefined : { script: { start, end: close }, end: close + 3 };
}

/** What is passed over on the way to the closing dashes: texts, comments and templates may hold some, too. */
const passed = /'(?:\\.|[^'\\\n])*'|"(?:\\.|[^"\\\n])*"|`(?:\\[\s\S]|[^`\\])*`|\/\*[\s\S]*?\*\/|\/\/[^\n]*|---/g;

/** Where a line of dashes stands that no text holds. A quote that is never closed hides nothing: then the first line of dashes is meant. */
function dashesFrom(text: string, start: number): number | undefined {
  passed.lastIndex = start;
  for (let match = passed.exec(text); match; match = passed.exec(text)) {
    if (match[0] === '---' && /(?:^|\n)[^\S\n]*$/.test(text.slice(Math.max(0, match.index - 80), match.index))) return match.index;
  }
  const first = /(?:^|\n)([^\S\n]*)---/.exec(text.slice(start));
  return first ? start + first.index + first[0].length - 3 : undefined;
}

/** A page bears the name of its file as it is; what others use, one that a tag may have. */
function nameOf(file: FilePath): string {
  const own = /(?:^|\/)src\/pages\/(?:.*\/)?([^/]+)\.\w+$/.exec(file)?.[1];
  return own ?? nameOfFile(file);
}

/** Reads a file with a script at its top and markup below. Never throws. */
export function readAstro(file: FilePath, text: string): FileFacts {
  const front = frontmatterOf(text);
  const problems: Problem[] = [];
  const read = front ? parseScriptAt(text, front.script, 'ts') : undefined;
  if (read) append(problems, read.problems);
  const statements = read ? withProps(read.program).body : [];
  const parsed = parseMarkup(text, front?.end ?? 0);
  append(problems, parsed.problems);
  const scripts = clientScripts(text, parsed.nodes, problems);
  const all = [...statements, ...scripts.flatMap((one) => one.statements)];
  const { imports } = readModule(all);
  const { exports } = readModule(statements);
  const outer = { type: 'Program', body: all.filter((one) => one.type === 'ImportDeclaration') } as unknown as t.Program;
  const module = moduleScope(outer, text, [], imports);
  const types = kept(all, readTypeDeclaration);
  const body = newBody(module, { ...channelDialect, propsWritable: true });
  const scope = frontmatterScope();
  readFrontmatter(body, statements, scope);
  for (const one of scripts) readClientScript(body, one.statements);
  const inner = markupScope(scope);
  const markup: AstroMarkup = {
    body,
    text,
    lang: 'tsx',
    problems,
    event: 'event',
    holes: [],
    ofScripts: functionsOf(
      scripts.filter((one) => one.isModule),
      text,
    ),
  };
  const template = [...slotsAsked(markup, statements, scope), ...readNodes(markup, parsed.nodes, inner)];
  const start = parsed.nodes.find((one) => one.kind !== 'text')?.start ?? 0;
  const nameSpan = { start, end: Math.min(start + 1, text.length) };
  const absent = browserNames(statements);
  const lookUps = scripts.flatMap((one) => lookUpsIn(one.statements, text));
  const component = assembleComponent(body, () => {
    const slots = slotsOf(template);
    const written = new Set<string>();
    if (inner.undeclared.length > 0) unboundNames(statements, ({ name }) => written.add(name));
    const undeclared = trulyUndeclared(inner.undeclared, platformNames, (name) => written.has(name));
    const propsType = propsTypeOf(types, imports);
    return {
      name: nameOf(file),
      local: 'default',
      span: { start: 0, end: text.length },
      nameSpan,
      form: 'file',
      ...opennessOf(body, body.propsEscape),
      template,
      slots,
      members: contractMembers(body, slots),
      eventName: ({ name }) => name,
      ...(propsType ? { propsType } : {}),
      ...(undeclared.length > 0 ? { undeclared } : {}),
      ...(absent.length > 0 ? { absent } : {}),
      ...(lookUps.length > 0 ? { lookUps } : {}),
      ...(namesElements(
        scripts.map((one) => one.statements),
        text,
      )
        ? { namesElements: true as const }
        : {}),
    } satisfies Omit<ComponentFacts, 'values' | 'actions' | 'events' | 'clones' | 'wrappedBy'> & { eventName: (one: MemberFact) => string };
  });
  const facts: Writable<FileFacts> = {
    ...noFacts(file),
    framework: 'astro',
    problems,
    imports,
    exports: [...exports.filter((one) => one.exported !== 'default'), { exported: 'default', local: 'default', span: nameSpan }],
    types,
    components: [component],
    shared: declarationsOf(statements.filter((one) => one.type === 'ExportNamedDeclaration')).map((one) => ({
      kind: 'value',
      name: one.name,
      span: one.nameSpan,
    })),
  };
  return facts;
}

/** The type by the name that says what a file is given; undefined where none is declared. */
function propsTypeOf(types: readonly TypeFact[], imports: FileFacts['imports']): TypeExpr | undefined {
  const isDeclared = types.some((one) => one.name === 'Props') || imports.some((one) => one.local === 'Props');
  return isDeclared ? { kind: 'ref', name: 'Props', args: [] } : undefined;
}

/** A script of the markup, which runs in the browser: as a module of its own, or as it stands. */
type ClientScript = { readonly statements: readonly t.Statement[]; readonly isModule: boolean };

/** The scripts of the markup. */
function clientScripts(text: string, nodes: readonly AstroNode[], problems: Problem[]): ClientScript[] {
  const found: ClientScript[] = [];
  const visit = (one: AstroElement): void => {
    if (one.name !== 'script' || !one.raw) return;
    const type = one.attributes.find((each) => each.name === 'type');
    const kind = type ? text.slice(type.value.start, type.value.end) : '';
    if (kind !== '' && !/^(?:module|text\/javascript)$/.test(kind)) return;
    const read = parseScriptAt(text, one.raw, 'ts');
    append(problems, read.problems);
    // With an attribute it stands on the page as it is, and sees and is seen by all others of its kind.
    found.push({ statements: read.program.body, isModule: one.attributes.length === 0 });
  };
  walkElements(nodes, visit);
  return found;
}

/** Visits all elements, those in expressions and attributes too. */
function walkElements(nodes: readonly AstroNode[], visit: (element: AstroElement) => void): void {
  const stack = [...nodes].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind === 'expression') append(stack, node.holes.flatMap((hole) => hole.nodes).reverse());
    if (node.kind !== 'element') continue;
    visit(node);
    append(stack, [...node.attributes.flatMap((one) => one.holes.flatMap((hole) => hole.nodes)), ...node.children].reverse());
  }
}

/** Functions of scripts that are modules, and that nothing puts on the window. */
function functionsOf(scripts: readonly ClientScript[], text: string): ReadonlySet<string> {
  const names = scripts.flatMap(({ statements }) =>
    statements.flatMap((one) => (one.type === 'FunctionDeclaration' && one.id ? [one.id.name] : [])),
  );
  return new Set(
    names.filter(
      (name) =>
        !new RegExp(
          `(?:window|globalThis|self)(?:\\.|\\[['"])${name.replace(/\$/g, '\\$&')}\\b|Object\\.assign\\(\\s*(?:window|globalThis)`,
        ).test(text),
    ),
  );
}

/** What a script of the markup does in the browser: it knows nothing of what stands at the top of the file. */
function readClientScript(body: Body, statements: readonly t.Statement[]): void {
  const scope = innerScope();
  for (const found of hoisted(statements)) if (found.id) declareFunction(body, found.id.name, found, scope, 'handler', spanOf(found.id));
  for (const found of statements.flatMap(classesOf)) readMethods(body, found, scope);
  const sink = newEffects();
  for (const one of statements) if (!/^(?:Import|Export|FunctionDeclaration)/.test(one.type)) readStatement(body, one, scope, sink);
  const [first] = statements;
  const last = statements.at(-1);
  if (first && last) fillAction(body, addAction(body, 'script', 'lifecycle', { start: spanOf(first).start, end: spanOf(last).end }), sink);
}

/** The class that a statement declares, or defines under a tag: `customElements.define('tide-gauge', class extends HTMLElement { … })`. */
function classesOf(statement: t.Statement): ClassNode[] {
  if (statement.type === 'ClassDeclaration') return [statement];
  const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
  return call?.type === 'CallExpression' ? call.arguments.map((one) => bare(one)).filter((one) => one.type === 'ClassExpression') : [];
}

/** What the methods of a class do, whose instances are elements of the markup: it happens where the file stands. */
function readMethods(body: Body, node: ClassNode, scope: Scope): void {
  for (const member of membersOf(node)) {
    const fn = functionOf(member);
    if (fn) declareAction(body, keyName(member) ?? 'a method', 'handler', fn, scope);
  }
}

/** All that users may give: props that are taken, and slots. */
function contractMembers(body: Body, slots: readonly SlotFact[]): MemberFact[] {
  const members = new Map<MemberKey, MemberFact>();
  for (const [key, value] of body.propValues) {
    const taken = body.taken.get(key);
    members.set(key, {
      key,
      name: memberName(key),
      span: taken?.span ?? body.values[value]?.span ?? { start: 0, end: 0 },
      kind: 'value',
      required: taken?.fallback === undefined ? 'unknown' : 'no',
      ...(taken?.fallback === undefined ? {} : { fallback: taken.fallback }),
    });
  }
  for (const { key, span } of slots) members.set(key, { key, name: memberName(key), span, kind: 'slot', required: 'no' });
  return [...members.values()];
}

/** A text without the code that it shows, each letter at its place. */
const withoutCode = (text: string): string =>
  text.replace(/^[^\S\n]*(```+|~~~+)[\s\S]*?^[^\S\n]*\1/gm, (shown) => ' '.repeat(shown.length));

/** What a text imports. */
function importsOfText(text: string): FileFacts['imports'] {
  return [...text.matchAll(/^import\s[^;]*?['"][^'"\n]+['"]/gm)].flatMap(({ 0: { length }, index }) => {
    const read = parseScriptAt(text, { start: index, end: index + length }, 'ts');
    return read.problems.length > 0 ? [] : readModule(read.program.body).imports;
  });
}

/** The tags of a text that stand for what it imports. What is given there is not read: it may be anything. */
function usesOfText(text: string, imports: FileFacts['imports']): TemplateUse[] {
  const names = new Set(imports.map((one) => one.local));
  return [...text.matchAll(/<([A-Z][\w$]*)\b/g)].flatMap(({ 1: tag = '', index }): TemplateUse[] => {
    const span = { start: index, end: index + 1 + tag.length };
    return names.has(tag) ? [{ ...useOfTag(tag), span, nameSpan: { start: index + 1, end: span.end }, content: 'value' }] : [];
  });
}

/** Reads a text: the layout that it names, in which it is shown as a page, and what it imports and shows. Never throws. */
export function readText(file: FilePath, text: string): FileFacts {
  const own = file.endsWith('.mdx') ? withoutCode(text) : '';
  const imported = importsOfText(own);
  const shown = usesOfText(own, imported);
  const front = frontmatterOf(text);
  const named = front && /^layout:\s*['"]?([^'"\n]+?)['"]?\s*$/m.exec(text.slice(front.script.start, front.script.end));
  const isPage = /(?:^|\/)src\/pages\//.test(file);
  if (!isPage || (!named?.[1] && shown.length === 0)) return { ...noFacts(file), imports: imported };
  const at = front && named ? front.script.start + named.index : 0;
  const span = { start: at, end: at + (named?.[0].length ?? Math.min(1, text.length)) };
  const start = front?.end ?? 0;
  const words: TemplateNode[] = text.slice(start).trim() === '' ? [] : [{ kind: 'text', readings: [], span: { start, end: text.length } }];
  const content = [...words, ...shown];
  const component: ComponentFacts = {
    name: nameOf(file),
    local: 'default',
    span: { start: 0, end: text.length },
    nameSpan: span,
    form: 'file',
    members: [],
    events: [],
    slots: [],
    openness: 'closed',
    through: [],
    // What it is given (its address, its headings, what stands at its top) is the layout's to take or leave.
    template: named ? [{ ...useOfTag('Layout', content), span, nameSpan: span }] : content,
    clones: false,
    wrappedBy: [],
    values: [],
    actions: [],
  };
  return {
    ...noFacts(file),
    framework: 'astro',
    imports: [...imported, ...(named?.[1] ? [{ local: 'Layout', imported: 'default', from: named[1], typeOnly: false, span }] : [])],
    exports: [{ exported: 'default', local: 'default', span }],
    components: [component],
  };
}
