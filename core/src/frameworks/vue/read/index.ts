import type * as t from '@babel/types';
import { shownAgain } from './again';
import { assembleComponent } from '../../../read/component';
import type { AttributeNode, ElementNode, RootNode, TemplateChildNode } from '@vue/compiler-dom';
import type { ComponentFacts, FileFacts, NameFact, Problem, Reading, SlotFact, TemplateNode } from '../../../model/facts';
import { anySlot } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { TypeExpr, TypeFact } from '../../../model/types';
import { parseTemplate } from '../parser';
import { type Body, type ModuleScope, newBody, memberValue } from '../../../read/script/body';
import { declarationsOf } from '../../../read/script/declarations';
import { kept, moduleScope } from '../../../read/script/module-scope';
import { type Beside, type Part, placed, type Unit, unitOf } from '../../../read/elements/unit';
import { readModule } from '../../../read/script/modules';
import { parseScriptAt, type ScriptLang } from '../../../read/script/parse';
import { platformNames, trulyUndeclared } from '../../../read/markup/undeclared';
import { innerScope, markupScope, type Meaning, type Scope } from '../../../read/script/scope';
import { memberNames, unboundNames } from '../../../read/script/unbound';
import { nameOfFile } from '../../../read/script/syntax';
import { readTypeDeclaration } from '../../../read/script/types';
import { opennessOf, provided, slotsOf } from '../../../read/markup/contract';
import { langOf, partMeant } from './beside';
import { fieldOf, isOpen, newDeclared, membersOf } from './contract';
import { vueDialect } from './dialect';
import { camel, eventMember, pascal } from './names';
import { extendsOther, optionsOf, readOptions } from './options';
import { attrsOf, newSetup, readSetup, type Setup, templateNames } from './setup';
import { readRender } from './render';
import { isSeeThrough, readChildren, type VueMarkup } from './template';
import { append } from '../../../model/append';

type Block = {
  readonly node: ElementNode;
  readonly range: { start: number; end: number };
  readonly lang: ScriptLang;
  readonly setup: boolean;
};

/** Reads a single-file component, in whatever style it is written, with the files that it names as its parts. Never throws. */
export function readVue(file: string, own: string, beside: Beside = []): FileFacts {
  const problems: Problem[] = [];
  const parsed = parseTemplate(own, {
    parseMode: 'sfc',
    onError: (error) => {
      const start = Math.min(error.loc?.start.offset ?? 0, own.length);
      problems.push({ message: error.message, start, end: Math.min(start + 1, own.length) });
    },
  });
  const named = parsed.children.filter(isElement).flatMap((node) => partNamed(file, node, beside) ?? []);
  const unit = unitOf(file, own, [...new Set(named)]);
  const { text } = unit;
  const scripts = blocksOf(parsed, unit, problems);
  const lang = scripts.find((one) => one.lang !== 'js')?.lang ?? 'js';
  const programs = scripts.map((one) => ({ ...one, ...parseScriptAt(text, one.range, one.lang) }));
  const broken = programs.some((one) => one.problems.length > 0) || isIncomplete(parsed, unit);
  for (const one of programs) append(problems, one.problems);
  const plain = programs.filter((one) => !one.setup).flatMap((one) => one.program.body);
  const setup = programs.filter((one) => one.setup).flatMap((one) => one.program.body);
  const read = readModule([...plain, ...setup]);
  const whole = { type: 'Program', body: [...plain, ...setup], directives: [], sourceType: 'module' } as unknown as t.Program;
  const outer = { ...whole, body: [...plain, ...setup.filter((one) => one.type === 'ImportDeclaration')] };
  const module = moduleScope(outer, text, declarationsOf(plain), read.imports);
  const template = templateOf(parsed, unit, problems);
  const component = readComponent({ file, text, end: own.length, lang, module, plain, setup, template, problems, broken });
  const files = unit.parts.map((one) => one.file);
  return placed(unit, {
    file,
    framework: 'vue',
    problems,
    imports: read.imports,
    exports: [
      ...read.exports.filter((one) => one.exported !== 'default'),
      { exported: 'default', local: 'default', span: component.nameSpan },
    ],
    types: kept(whole.body, readTypeDeclaration) satisfies TypeFact[],
    components: [files.length > 0 ? { ...component, files: [file, ...files] } : component],
    shared: declarationsOf(plain)
      .filter((one) => one.name !== 'default')
      .map((one) => ({ kind: 'value', name: one.name, span: one.nameSpan })),
    roots: [],
    routes: [],
    ambient: [],
    aliases: [],
    makers: [],
  });
}

const isPart = ({ tag }: ElementNode): boolean => tag === 'script' || tag === 'template';

/** The file that a script or a template says it stands in. */
function partNamed(file: string, node: ElementNode, beside: Beside): Beside[number] | undefined {
  const src = isPart(node) ? attributeOf(node, 'src') : undefined;
  return src === undefined ? undefined : partMeant(file, src, beside);
}

/** A script or a template stands in a file that is not read with the component. */
const isIncomplete = (parsed: RootNode, unit: Unit): boolean =>
  parsed.children
    .filter(isElement)
    .some((node) => isPart(node) && attributeOf(node, 'src') !== undefined && !partNamed(unit.file, node, unit.parts));

function attributeOf(node: ElementNode, name: string): string | undefined {
  const found = node.props.find((one): one is AttributeNode => one.type === 6 && one.name === name);
  return found && (found.value?.content ?? '');
}

function isElement(node: TemplateChildNode): node is ElementNode {
  return (node.type as number) === 1;
}

function blocksOf(parsed: RootNode, unit: Unit, problems: Problem[]): Block[] {
  return parsed.children.filter(isElement).flatMap((node): Block[] => {
    if (node.tag !== 'script') return [];
    const setup = attributeOf(node, 'setup') !== undefined;
    const [content] = node.children;
    if (!content) {
      const from = attributeOf(node, 'src');
      const part = partIn(unit, node);
      if (part) return [{ node, range: { start: part.offset, end: part.offset + part.text.length }, lang: langOf(part.file), setup }];
      if (from) notFollowed('script', from, node, problems);
      return [];
    }
    const lang = attributeOf(node, 'lang');
    const known = lang === 'ts' || lang === 'tsx' || lang === 'jsx' ? lang : 'js';
    const range = { start: content.loc.start.offset, end: node.children.at(-1)?.loc.end.offset ?? content.loc.end.offset };
    return [{ node, range, lang: known, setup }];
  });
}

/** The part of a unit that a script or a template stands in, where it is not written in place. */
function partIn(unit: Unit, node: ElementNode): Part | undefined {
  const named = partNamed(unit.file, node, unit.parts);
  return unit.parts.find((one) => one.file === named?.file);
}

function notFollowed(what: string, from: string, node: ElementNode, problems: Problem[]): void {
  const message = `The ${what} stands in ${from} and is not followed.`;
  problems.push({ message, start: node.loc.start.offset, end: node.loc.end.offset });
}

function templateOf(parsed: RootNode, unit: Unit, problems: Problem[]): ElementNode | undefined {
  const node = parsed.children.filter(isElement).find((one) => one.tag === 'template');
  const from = node && attributeOf(node, 'src');
  if (node && from !== undefined) {
    const part = partIn(unit, node);
    if (part?.file.endsWith('.html')) return { ...node, children: childrenOfPart(part, problems) };
    notFollowed('template', from, node, problems);
    return undefined;
  }
  const lang = node && attributeOf(node, 'lang');
  if (!node || lang === undefined || lang === 'html') return node;
  problems.push({ message: `Liana does not read templates in ${lang}.`, start: node.loc.start.offset, end: node.loc.start.offset + 1 });
  return undefined;
}

/** A template that stands in a file of its own, each place by its offset in the unit. */
function childrenOfPart({ text, offset }: Part, problems: Problem[]): TemplateChildNode[] {
  const end = offset + text.length;
  return parseTemplate(' '.repeat(offset) + text, {
    parseMode: 'html',
    onError: (error) => {
      const start = Math.min(error.loc?.start.offset ?? offset, end);
      problems.push({ message: error.message, start, end: Math.min(start + 1, end) });
    },
  }).children;
}

type Source = {
  readonly file: string;
  /** With the files that it is read with behind it. */
  readonly text: string;
  /** Where its own file ends. */
  readonly end: number;
  readonly lang: ScriptLang;
  readonly module: ModuleScope;
  readonly plain: readonly t.Statement[];
  readonly setup: readonly t.Statement[];
  readonly template: ElementNode | undefined;
  readonly problems: Problem[];
  /** Not all of the script could be read, so nothing is known to be missing from it. */
  readonly broken: boolean;
};

function readComponent(source: Source): ComponentFacts {
  const { file, text, module, plain, setup: statements, template, problems } = source;
  const declared = newDeclared();
  const setters = new Map<number, number>();
  const body = newBody(module, vueDialect(declared, setters));
  const setup = newSetup({ body, declared, setters, statements: [...plain, ...statements] });
  const scope = innerScope();
  const options = optionsOf(plain);
  if (options && statements.length === 0) setup.options = options;
  const locals = options ? readOptions(setup, options, scope) : new Map<string, string>();
  if (statements.length > 0) readSetup(setup, statements, scope);
  const name = nameOfFile(file);
  const start = template?.loc.start.offset ?? 0;
  const nameSpan = { start, end: start + (template ? '<template'.length : 0) };
  const markup: VueMarkup = {
    body,
    text,
    lang: source.lang,
    problems,
    event: '$event',
    component: componentsOf(module, new Map([...ownName(setup), ...locals, ...setup.lazy]), name, registersTags(setup)),
    isNewer: statements.length > 0,
    registers: registersTags(setup),
  };
  if (source.broken || extendsOther(plain)) declared.open = true;
  const missing = !template && text.trim() !== '';
  if (missing && (options === undefined || (hasRender(options) && !setup.render))) declared.open = true;
  return assemble(setup, markup, template?.children ?? [], scope, {
    name,
    local: 'default',
    span: { start: 0, end: source.end },
    nameSpan,
  });
}

function hasRender(options: t.ObjectExpression): boolean {
  return options.properties.some(
    (one) => one.type !== 'SpreadElement' && one.key.type === 'Identifier' && /^(render|extends|mixins|setup)$/.test(one.key.name),
  );
}

/** A component may use itself by the name that its options give it. */
function ownName({ declared }: Setup): [string, string][] {
  return declared.saidName === undefined ? [] : [[pascal(declared.saidName), 'default']];
}

/** Markup knows the components that its options register, and no others of the file. */
function registersTags({ options, declared }: Setup): boolean {
  const listed = options && fieldOf(options, 'components');
  const isListed = !listed || (listed.type === 'ObjectExpression' && listed.properties.every((one) => one.type !== 'SpreadElement'));
  return options !== undefined && !isOpen(declared) && isListed;
}

/** Finds who is meant by a tag: an import or a registered name, by any of its spellings; the file's own name for itself. */
export function componentsOf(
  module: ModuleScope,
  locals: ReadonlyMap<string, string>,
  self: string,
  registers = false,
): VueMarkup['component'] {
  return (tag) => {
    const [root = '', ...members] = tag.split('.');
    for (const spelling of [root, camel(root), pascal(root)]) {
      const local = locals.get(spelling);
      if (local !== undefined) return local;
      // Where components are registered, an import alone makes no tag.
      if (registers) continue;
      if (module.imported.has(spelling) && (spelling !== spelling.toLowerCase() || members.length > 0))
        return [spelling, ...members].join('.');
      if (spelling !== root && module.names.has(spelling)) return spelling;
    }
    if (!registers && module.names.has(root) && /^[A-Z]/.test(root)) return tag;
    return pascal(root) === self && /^[A-Z]|-/.test(root) ? 'default' : undefined;
  };
}

/** Puts a component's facts together: its template is read last, when all names are known. */
export function assemble(
  setup: Setup,
  markup: VueMarkup,
  children: readonly TemplateChildNode[],
  scope: Scope,
  named: Pick<ComponentFacts, 'name' | 'local' | 'span' | 'nameSpan'>,
): ComponentFacts {
  const { body, declared } = setup;
  for (const [event, span] of declared.events) memberValue(body, eventMember(event), span);
  const apart = setup.options ? { isApart: true as const } : {};
  const inner = markupScope({ names: opened(scope.names), outer: { names: new Map(), other: templateNames(setup), ...apart } });
  const rendered = setup.render && children.length === 0 ? readRender(markup, setup.render) : undefined;
  if (setup.render && rendered?.isWhole !== true) declared.open = true;
  const shown = rendered ? rendered.nodes : readChildren(markup, children, inner);
  const template = declared.inheritAttrs ? withAttrs(body, shown) : shown;
  const slots = [...slotsOf(shown), ...slotsOfScript(body.module.text)];
  append(body.again, shownAgain(shown, body, scope));
  return assembleComponent(body, () => {
    const { propsType, eventTypes } = declared;
    const [eventsType, ...more] = eventTypes;
    const isSeen = !declared.open && (propsType === undefined || isWrittenHere(propsType, setup.statements));
    const unknown = [...inner.undeclared, ...(declared.mixins.length > 0 ? setup.guessed : [])];
    const undeclared = isSeen && unknown.length > 0 ? trulyUndeclared(unknown, seenByMarkup, declaredBy(setup)).map(hiddenIn(body)) : [];
    return {
      ...named,
      form: 'file',
      ...opennessOf(body, isOpen(declared)),
      template: provided(declared.provides, template),
      slots,
      members: membersOf(body, declared, slots),
      eventName: ({ name }) => name,
      ...(propsType ? { propsType } : {}),
      ...(eventsType ? { eventsType: more.length === 0 ? eventsType : { kind: 'intersection', of: eventTypes } } : {}),
      ...(undeclared.length > 0 ? { undeclared } : {}),
      ...(registersTags(setup) ? { registersTags: true } : {}),
      ...(declared.saidName === undefined ? {} : { saidName: pascal(declared.saidName) }),
      ...(declared.boundBy ? { boundBy: declared.boundBy } : {}),
      ...(declared.mixins.length > 0 ? { mixins: declared.mixins } : {}),
      ...(declared.inheritAttrs ? {} : { inheritsNothing: true }),
    };
  });
}

/** What a script takes of its slots may be any of them: what it does with their content is not seen. */
function slotsOfScript(text: string): SlotFact[] {
  const found = /\buseSlots\s*\(|\bthis\.\$slots\b|\bsetup\s*\([^)]*\bslots\b/.exec(text);
  return found
    ? [{ key: anySlot, span: { start: found.index, end: found.index + found[0].length }, fallback: false, hasSlotProps: false }]
    : [];
}

/** Whether all members of a type stand in this file: written in place, or by a declaration that takes nothing over from others. */
function isWrittenHere(type: TypeExpr, statements: readonly t.Statement[]): boolean {
  if (type.kind === 'object') return true;
  if (type.kind !== 'ref') return false;
  return statements.some((statement) => {
    const one = statement.type === 'ExportNamedDeclaration' ? statement.declaration : statement;
    if (one?.type === 'TSInterfaceDeclaration') return one.id.name === type.name && !one.extends?.length;
    return one?.type === 'TSTypeAliasDeclaration' && one.id.name === type.name && one.typeAnnotation.type === 'TSTypeLiteral';
  });
}

/** Names that markup may read though no script declares them: those of the language that the framework lets through. */
const seenByMarkup: ReadonlySet<string> = new Set(
  (
    'Infinity,undefined,NaN,isFinite,isNaN,parseFloat,parseInt,decodeURI,decodeURIComponent,encodeURI,encodeURIComponent,' +
    'Math,Number,Date,Array,Object,Boolean,String,RegExp,Map,Set,JSON,Intl,BigInt,console,Error,Symbol,arguments,require,' +
    // What the usual packages give to every template by themselves: functions of pages, of translation and of addresses.
    'navigateTo,abortNavigation,reloadNuxtApp,clearError,showError,refreshNuxtData,preloadRouteComponents,' +
    'localePath,switchLocalePath,localeRoute,localeLocation,getRouteBaseName'
  ).split(','),
);

/** What tells whether a script may declare a name for its markup: as a member of the options, or as a name of its own. */
function declaredBy({ statements, options }: Setup): (name: string) => boolean {
  if (options) {
    const members = memberNames([options]);
    return (name) => members.has(name);
  }
  const written = new Set<string>();
  unboundNames(statements, ({ name }) => written.add(name));
  return (name) => written.has(name);
}

/** Adds to a name who has it that markup does not see: the module, where options alone are handed on, or the platform. */
function hiddenIn({ module }: Body): (name: NameFact) => NameFact {
  return (one) =>
    module.names.has(one.name) ? { ...one, hidden: 'module' } : platformNames.has(one.name) ? { ...one, hidden: 'platform' } : one;
}

/** In markup the framework opens boxes by itself. */
function opened(names: ReadonlyMap<string, Meaning>): Map<string, Meaning> {
  return new Map([...names].map(([name, meaning]) => [name, meaning.kind === 'box' ? { ...meaning, kind: 'value' } : meaning]));
}

/** Attributes that are not declared go to the one root of the template; with several roots they are lost. */
function withAttrs(body: Body, nodes: readonly TemplateNode[]): readonly TemplateNode[] {
  if (nodes.length > 1 && !nodes.every((one) => one.kind === 'branch')) return nodes;
  return nodes.map((node): TemplateNode => {
    if (node.kind === 'branch' || (node.kind === 'element' && (node.tag === '' || isSeeThrough(node.tag))))
      return { ...node, children: withAttrs(body, node.children) };
    if ((node.kind !== 'element' && node.kind !== 'use') || node.tag === 'Teleport' || node.tag === 'Suspense') return node;
    const span: Span = node.nameSpan;
    body.restTargets.push({ kind: node.kind === 'element' ? 'element' : node.tag === '' ? 'unknown' : 'use', tag: node.tag });
    const reading: Reading = { value: attrsOf(body, span), path: [], how: 'spread', span };
    return { ...node, spreads: [...node.spreads, { span, readings: [reading], fallsThrough: true }] };
  });
}
