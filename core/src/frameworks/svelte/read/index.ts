import type * as t from '@babel/types';
import { assembleComponent } from '../../../read/component';
import type { AST } from 'svelte/compiler';
import type { ComponentFacts, FileFacts, Problem } from '../../../model/facts';
import type { Writable } from '../../../model/writable';
import { parser } from '../parser';
import { opennessOf, provided, slotsOf } from '../../../read/markup/contract';
import { type Body, newBody } from '../../../read/script/body';
import { declarationsOf } from '../../../read/script/declarations';
import { mayLast, readModuleBody } from '../../../read/script/module-body';
import { kept, moduleScope } from '../../../read/script/module-scope';
import { readModule } from '../../../read/script/modules';
import { parseScriptAt, type ScriptLang } from '../../../read/script/parse';
import { platformNames, trulyUndeclared } from '../../../read/markup/undeclared';
import { unboundNames } from '../../../read/script/unbound';
import { markupScope, type Scope } from '../../../read/script/scope';
import { nameOfFile } from '../../../read/script/syntax';
import { readTypeDeclaration } from '../../../read/script/types';
import { type DeclaredMembers, eventName, newDeclared, membersOf } from './declared';
import { svelteDialect } from './dialect';
import { type Instance, otherNames, readInstance, usesRunes } from './script';
import { readFragment, type SvelteMarkup } from './template';
import { append } from '../../../model/append';

type Parsed = { readonly root: AST.Root | undefined; readonly problems: Problem[] };
type CompileError = { message?: string; position?: [number, number]; start?: { character?: number } };

/** A component with nothing in its style, where that is in another language than the platform's; all places stay. */
const withoutStyle = (text: string): string =>
  text.replace(
    /(<style\b[^>]*\blang\s*=\s*(["']?)(?!css\b)\w+\2[^>]*>)([\s\S]*?)(?=<\/style>)/g,
    (_, head: string, __, content: string) => head + content.replace(/[^\n]/g, ' '),
  );

/** Parses a component; where that fails, once more without what cannot be parsed. */
function parsed(whole: string): Parsed {
  const parse = parser();
  const text = withoutStyle(whole);
  try {
    return { root: parse(text, { modern: true }), problems: [] };
  } catch (error) {
    const { message, position, start } = error as CompileError;
    const at = Math.min(position?.[0] ?? start?.character ?? 0, text.length);
    const problem: Problem = { message: (message ?? String(error)).split('\n')[0] ?? '', start: at, end: Math.min(at + 1, text.length) };
    try {
      return { root: parse(text, { modern: true, loose: true }), problems: [problem] };
    } catch {
      return { root: undefined, problems: [problem] };
    }
  }
}

/** Reads a component file, written with runes or in the older way. Never throws. */
export function readSvelte(file: string, text: string): FileFacts {
  const { root, problems } = parsed(text);
  const langs = [root?.instance, root?.module].map((script) => langOf(script));
  const lang: ScriptLang = langs.includes('ts') ? 'ts' : 'js';
  const [instance, module] = [root?.instance, root?.module].map((script) => statementsOf(text, script, lang, problems));
  const all = [...(module ?? []), ...(instance ?? [])];
  const { imports, exports } = readModule(all);
  const moduleExports = readModule(module ?? []).exports;
  const outer = {
    type: 'Program',
    body: [...(module ?? []), ...(instance ?? []).filter((one) => one.type === 'ImportDeclaration')],
  } as unknown as t.Program;
  const declaredThere = declarationsOf(module ?? []);
  const scope = moduleScope(outer, text, declaredThere, imports);
  const declared = newDeclared();
  const body = newBody(scope, svelteDialect(declared));
  const start = root?.fragment.nodes.find((node) => node.type !== 'Text')?.start ?? 0;
  const component = readComponent(file, text, lang, root, module ?? [], instance ?? [], body, declared, problems, start);
  const facts: Writable<FileFacts> = {
    file,
    framework: 'svelte',
    problems,
    imports,
    exports: [
      ...moduleExports.filter((one) => one.exported !== 'default'),
      { exported: 'default', local: 'default', span: component.nameSpan },
    ],
    types: kept(all, readTypeDeclaration),
    components: [component],
    shared: declaredThere.map((one) => ({ kind: 'value', name: one.name, span: one.nameSpan })),
    roots: [],
    routes: [],
    ambient: [],
    aliases: [],
    makers: [],
  };
  if (module && exports.length > 0 && mayLast(text)) {
    const held = readModuleBody(scope, module, () => false, svelteDialect(newDeclared()), file);
    if (held) facts.module = held;
  }
  return facts;
}

function langOf(script: AST.Script | null | undefined): ScriptLang {
  const lang = script?.attributes.find((one) => one.name === 'lang');
  const [text] = lang && Array.isArray(lang.value) ? lang.value : [];
  return text?.type === 'Text' && /^(ts|typescript)$/.test(text.data) ? 'ts' : 'js';
}

function statementsOf(text: string, script: AST.Script | null | undefined, lang: ScriptLang, problems: Problem[]): t.Statement[] {
  if (!script) return [];
  const { start, end } = script.content as unknown as { start: number; end: number };
  const read = parseScriptAt(text, { start, end }, lang);
  if (problems.length === 0) append(problems, read.problems);
  return read.program.body;
}

function readComponent(
  file: string,
  text: string,
  lang: ScriptLang,
  root: AST.Root | undefined,
  moduleStatements: readonly t.Statement[],
  statements: readonly t.Statement[],
  body: Body,
  declared: DeclaredMembers,
  problems: Problem[],
  start: number,
): ComponentFacts {
  const script = root?.instance ? text.slice(root.instance.start, root.instance.end) : '';
  const runes = root?.options?.runes ?? usesRunes(script);
  const names: Scope['names'] = new Map();
  const instance: Instance = { body, declared, runes };
  const scope: Scope = { names, other: otherNames(instance, names) };
  readInstance(instance, statements, scope);
  const markup: SvelteMarkup = { body, text, lang, problems, event: 'event', snippets: new WeakMap(), showing: new Set() };
  const inner = markupScope(scope);
  const template = root ? readFragment(markup, root.fragment.nodes, inner) : [];
  if (!root && text.trim() !== '') declared.open = true;
  return assembleComponent(body, () => {
    const slots = slotsOf(template);
    const written = new Set<string>();
    if (inner.undeclared.length > 0) unboundNames([...moduleStatements, ...statements], ({ name }) => written.add(name));
    const undeclared = trulyUndeclared(inner.undeclared, platformNames, (name) => written.has(name));
    return {
      name: nameOfFile(file),
      local: 'default',
      span: { start: 0, end: text.length },
      nameSpan: { start, end: Math.min(start + 1, text.length) },
      form: 'file',
      ...opennessOf(body, declared.open || body.propsEscape),
      template: provided(declared.provides, template),
      slots,
      members: membersOf(body, declared, slots),
      eventName,
      exposes: declared.exposes,
      ...(declared.propsType ? { propsType: declared.propsType } : {}),
      ...(undeclared.length > 0 ? { undeclared } : {}),
      ...(runes ? {} : { followsAssignment: true }),
    };
  });
}
