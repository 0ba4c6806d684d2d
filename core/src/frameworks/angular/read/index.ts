import type * as t from '@babel/types';
import type {
  AlongFact,
  Binding,
  ComponentFacts,
  FileFacts,
  GroupFact,
  ListFact,
  MemberFact,
  NameFact,
  PipeFact,
  Problem,
  ProvisionFact,
  RootFact,
  RouteFact,
  SelectFact,
  SharedFact,
  TemplateNode,
} from '../../../model/facts';
import { defaultSlot, slotKey } from '../../../model/member';
import { noFacts } from '../../../model/no-facts';
import { directoryOf, joinPath } from '../../../model/paths';
import type { FilePath, Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { basesOf } from '../../../read/elements/bases';
import { decoratorsOf, isStatic, membersOf, namesOf } from '../../../read/elements/class';
import type { ClassNode } from '../../../read/elements/class';
import { unmentionedOf } from '../../../read/elements/contract';
import { type Beside, placed, unitOf } from '../../../read/elements/unit';
import { slotsOf } from '../../../read/markup/contract';
import { addValue, type Body, finishBody, readPutOff, newBody } from '../../../read/script/body';
import { inlineAction } from '../../../read/markup/expressions';
import { readExpression, readingsOf } from '../../../read/script/expressions';
import { addModuleBody, type ReadModule, readModuleHead } from '../../../read/script/plain';
import { routesOf } from '../../../read/script/routes';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, dottedName, keyName, spanOf } from '../../../read/script/syntax';
import { parseBinding, parseHandler, parseTemplate, type TemplateRange } from '../parser';
import { apiName } from './api';
import { type AngularClass, readAngularClass } from './class';
import { angularDialect } from './dialect';
import { turned } from './expressions';
import { forwarded, listOf, namesIn, provisionsIn } from './providers';
import { type AngularMarkup, aroundHost, outletUse, readView } from './template';
import { append } from '../../../model/append';
import { ownValue } from '../../../model/own-value';

/** Whether a script belongs to this framework. */
export const isAngularScript = (text: string): boolean => /from\s*['"]@angular\//.test(text);

/** So many templates in one folder are read with a class beside which none of its own name stands. */
const mostTemplates = 3;

/**
 * Where the template of a script may stand, as far as names tell: in the file of its own name, else in any of the few
 * beside it.
 */
export function filesBeside(file: FilePath, all: Iterable<FilePath>): FilePath[] {
  if (!/\.[cm]?ts$/.test(file) || /\.(?:d|spec|test|stories|module|service|pipe|directive|config|routes)\.[cm]?ts$/.test(file)) return [];
  const folder = directoryOf(file);
  const templates = [...all]
    .filter((one) => one.endsWith('.html') && directoryOf(one) === folder && !/(?:^|\/)index\.html$/.test(one))
    .sort();
  const stems = [file.replace(/\.[cm]?ts$/, ''), file.replace(/(?:\.(?:component|page|container|dialog|view))?\.[cm]?ts$/, '')];
  const own = templates.filter((one) => stems.some((stem) => one === `${stem}.html`));
  return own.length > 0 ? own : templates.length <= mostTemplates ? templates : [];
}

/** A template is read with the class that names it. */
export const readAngularTemplate = noFacts;

type Decorated = { readonly name: string; readonly node: ClassNode; readonly options: ReadonlyMap<string, t.Node>; readonly span: Span };

/** Reads a script of this framework with its templates. Never throws. */
export function readAngularScript(file: FilePath, text: string, beside: Beside): FileFacts {
  const unit = unitOf(
    file,
    text,
    beside.filter((one) => one.file.endsWith('.html')),
  );
  const read = readModuleHead(file, text, unit.text);
  const { facts, program, module, declared } = read;
  const components: ComponentFacts[] = [];
  const groups: GroupFact[] = [];
  const pipes: PipeFact[] = [];
  const services: { name: string; node: ClassNode; isForAll: boolean }[] = [];
  const [shown, others]: [ClassNode[], ClassNode[]] = [[], []];
  const apart = new Set<string>();
  for (const { name, nameSpan, node } of declared) {
    if (node.type !== 'ClassDeclaration' && node.type !== 'ClassExpression') continue;
    const own = node.id ? spanOf(node.id) : nameSpan;
    const kind = decoratedBy(read, node);
    (kind?.api === 'Component' || kind?.api === 'Directive' ? shown : others).push(node);
    if (!kind) continue;
    const one: Decorated = { name, node, options: kind.options, span: own };
    if (kind.api === 'Component' || kind.api === 'Directive') {
      apart.add(name);
      const url = templateFile(module, kind.options);
      const part = url === undefined ? undefined : unit.parts.find((each) => each.file === joinPath(directoryOf(file), url));
      const at: TemplateRange | undefined =
        part === undefined
          ? inlineTemplate(kind.options.get('template'))
          : { start: part.offset, end: part.offset + part.text.length, isEscaped: false };
      components.push(readDeclared(read, one, kind.api === 'Component', at, part ? [part.file] : [], unit.text));
    } else if (kind.api === 'NgModule') {
      apart.add(name);
      groups.push(groupOf(one));
    } else if (kind.api === 'Pipe') {
      const said = textIn(kind.options.get('name'));
      const alone = flagIn(kind.options.get('standalone'));
      if (said !== undefined) pipes.push({ name: said, local: name, span: own, ...(alone === undefined ? {} : { isAlone: alone }) });
    } else {
      const level = textIn(kind.options.get('providedIn'));
      services.push({ name, node, isForAll: level !== undefined && level !== 'null' });
    }
  }
  facts.components = components;
  facts.framework = 'angular';
  for (const { name } of services) apart.add(name);
  addModuleBody(read, apart, angularDialect);
  const held = readServices(read, services);
  if (held) facts.module = held;
  const asked = askedApart(read, shown, others);
  if (asked.length > 0) facts.asked = asked;
  facts.shared = facts.shared.map((one) => asking(one, services, read));
  facts.roots = rootsOf(read);
  facts.routes = routesOf(module, program, undefined, (given) => provisionsIn(given)).map(withOutlet);
  const lists = declared.flatMap(({ name, node }) => listOf(name, bare(node)) ?? []).concat(staticLists(declared));
  if (groups.length > 0) facts.groups = groups;
  if (pipes.length > 0) facts.pipes = pipes;
  if (lists.length > 0) facts.lists = lists;
  return placed(unit, facts);
}

/** A route that provides something, or loads what does, and shows nothing itself shows those below it. */
function withOutlet(route: RouteFact): RouteFact {
  const children = route.children.map(withOutlet);
  const isBare = (route.provisions || route.tables) && route.component === undefined && route.template.length === 0;
  return { ...route, children, ...(isBare ? { template: [outletUse('router-outlet', route.span)] } : {}) };
}

const classDecorators = /^(?:Component|Directive|NgModule|Pipe|Injectable)$/;

function decoratedBy(
  { module }: ReadModule,
  node: ClassNode,
): { readonly api: string; readonly options: ReadonlyMap<string, t.Node> } | undefined {
  for (const { expression } of node.decorators ?? []) {
    const call = expression.type === 'CallExpression' ? expression : undefined;
    const api = call && apiName(module, call.callee);
    if (!call || api === undefined || !classDecorators.test(api)) continue;
    const [given] = call.arguments;
    return { api, options: fieldsOf(given && bare(given)) };
  }
  return undefined;
}

function fieldsOf(node: t.Node | undefined): Map<string, t.Node> {
  if (node?.type !== 'ObjectExpression') return new Map();
  return new Map(
    node.properties.flatMap((one): [string, t.Node][] => {
      const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
      return one.type === 'ObjectProperty' && name !== undefined ? [[name, bare(one.value)]] : [];
    }),
  );
}

function textIn(node: t.Node | undefined): string | undefined {
  if (node?.type === 'StringLiteral') return node.value;
  return node?.type === 'TemplateLiteral' && node.expressions.length === 0 ? (node.quasis[0]?.value.cooked ?? undefined) : undefined;
}

const flagIn = (node: t.Node | undefined): boolean | undefined => (node?.type === 'BooleanLiteral' ? node.value : undefined);

/** The file of a template: by its address, by `require('./lock.html')`, or imported by a name. */
function templateFile({ imported }: ReadModule['module'], options: ReadonlyMap<string, t.Node>): string | undefined {
  const given = options.get('template');
  const named = given?.type === 'Identifier' ? imported.get(given.name)?.from : undefined;
  const isAsked = given?.type === 'CallExpression' && dottedName(given.callee) === 'require';
  const from = isAsked ? textIn(given.arguments[0]) : named;
  // What a bundler is told about it stands before or behind.
  return textIn(options.get('templateUrl')) ?? /([^!?]+\.html)(?:\?\w+)?$/.exec(from ?? '')?.[1];
}

/** Where a template stands that is written in the script. */
function inlineTemplate(node: t.Node | undefined): TemplateRange | undefined {
  const isText = node?.type === 'StringLiteral' || (node?.type === 'TemplateLiteral' && node.expressions.length === 0);
  return node && isText ? { start: (node.start ?? 0) + 1, end: (node.end ?? 0) - 1, isEscaped: true } : undefined;
}

function selectOf({ options }: Decorated, isComponent: boolean): SelectFact {
  const selector = textIn(options.get('selector'));
  const uses = namesIn(options.get('imports'));
  const alone = flagIn(options.get('standalone'));
  const exported = textIn(options.get('exportAs'));
  const along = options.get('hostDirectives');
  return {
    kind: isComponent ? 'component' : 'directive',
    uses: uses.names,
    ...(selector === undefined ? {} : { selector }),
    ...(alone === undefined ? {} : { isAlone: alone }),
    ...(uses.isOpen || options.has('schemas') ? { isOpen: true as const } : {}),
    ...(exported === undefined ? {} : { exportAs: exported.split(',').map((one) => one.trim()) }),
    ...(along ? { along: alongIn(along) } : {}),
  };
}

/** `hostDirectives: [Scope, { directive: Dense, inputs: ['dense: compact'] }]`. */
function alongIn(given: t.Node): AlongFact[] {
  if (given.type !== 'ArrayExpression') return [];
  const renamed = (node: t.Node | undefined): Record<string, string> =>
    Object.fromEntries(
      (node?.type === 'ArrayExpression' ? node.elements : []).flatMap((one): [string, string][] => {
        const [from = '', to = from] = (textIn(one ?? undefined) ?? '').split(':').map((part) => part.trim());
        return from === '' ? [] : [[to, from]];
      }),
    );
  return given.elements.flatMap((one): AlongFact[] => {
    const node = one ? forwarded(one) : undefined;
    if (!node) return [];
    const fields = fieldsOf(node);
    const directive = fields.get('directive');
    const name = dottedName(directive ? forwarded(directive) : node);
    return name === undefined
      ? []
      : [{ name, inputs: renamed(fields.get('inputs')), outputs: renamed(fields.get('outputs')), span: spanOf(node) }];
  });
}

/** Reads a component or a directive: its class, its template and what it does with its own element. */
/** Where a directive shows the markup of its host: at each place that stamps it, else once. */
function outletsOf({ stamped = [] }: Body, span: Span): TemplateNode[] {
  const shows = { kind: 'outlet', slot: defaultSlot, onHost: true } as const;
  if (stamped.length === 0) return [{ ...shows, span, slotProps: [] }];
  return stamped.map(({ hands, span: place, names }): TemplateNode => ({
    ...shows,
    span: place,
    slotProps: [hands],
    ...(names ? { names } : {}),
  }));
}

function readDeclared(
  read: ReadModule,
  one: Decorated,
  isComponent: boolean,
  at: TemplateRange | undefined,
  files: readonly FilePath[],
  text: string,
): ComponentFacts {
  const { module, facts } = read;
  const { node, name, options, span } = one;
  const body = newBody(module, angularDialect);
  if (!isComponent) body.stamped = [];
  const bases = basesOf(node);
  const ofClass = readAngularClass(body, node, bases.length > 0);
  const problems: Problem[] = [];
  const undeclared: NameFact[] = [];
  const scope = templateScope(ofClass, undeclared, bases.length > 0, body);
  const queries = ofClass.queries.filter((query) => query.ofContent && query.isTemplate);
  const markup: AngularMarkup = {
    body,
    text,
    lang: 'ts',
    problems,
    event: '$event',
    opens: (field) => ofClass.signals.has(field),
    pipes: [],
    directives: [],
    named: new Map(),
    shown: new Set(),
    reading: new Set(),
    asked: new Map(queries.map((query) => [query.name, query.selector === 'TemplateRef' ? 'default' : query.selector])),
  };
  const host = hostBindings(markup, one, innerScope(scope), ofClass);
  let shown: readonly TemplateNode[] = [];
  if (at) {
    const parsed = parseTemplate(text, at);
    append(problems, parsed.problems);
    shown = readView(markup, parsed.nodes, scope);
  }
  facts.problems = [...facts.problems, ...problems];
  const provides = provisionsIn(options.get('providers'), body);
  const view = provisionsIn(options.get('viewProviders'), body);
  const component = assembleComponent(body, () => {
    const template = aroundHost(host, span, isComponent ? shown : outletsOf(body, span));
    const slots = slotsOf(template);
    const asked = queries.map((query): MemberFact => ({
      key: slotKey(query.selector === 'TemplateRef' ? 'default' : query.selector),
      name: query.selector === 'TemplateRef' ? 'default' : query.selector,
      span: body.values[query.value]?.span ?? span,
      kind: 'slot',
      required: 'no',
    }));
    const known = new Set(asked.map(({ key }) => key));
    return {
      name,
      local: name,
      span: spanOf(node),
      nameSpan: span,
      form: 'element',
      openness: 'closed',
      through: [],
      template,
      slots,
      members: [
        ...ofClass.contract,
        ...listedMembers(options, span),
        ...asked,
        ...slots
          .filter(({ key }) => !known.has(key))
          .map(({ key, span: place }): MemberFact => ({ key, name: key.slice('slot:'.length), span: place, kind: 'slot', required: 'no' })),
      ],
      eventName: (member) => member.name,
    };
  });
  const full: Writable<ComponentFacts> = { ...component, selected: selectOf(one, isComponent) };
  if (/(?:^|\.)OnPush$/.test(dottedName(options.get('changeDetection')) ?? '')) full.memo = true;
  const own = text.slice(node.start ?? 0, node.end ?? 0);
  if (full.memo && /\b(?:markForCheck|detectChanges|reattach|ApplicationRef)\b/.test(own)) full.checksByHand = true;
  if (provides.length > 0) full.provisions = provides;
  if (view.length > 0) full.viewProvisions = view;
  if (markup.pipes.length > 0) full.pipesUsed = markup.pipes;
  if (markup.directives.length > 0) full.directivesUsed = markup.directives;
  full.ofClass = { ...namesOf(ofClass), ...(ofClass.signals.size > 0 ? { opened: [...ofClass.signals] } : {}) };
  if (bases.length > 0) full.bases = bases;
  if (undeclared.length > 0) full.undeclared = undeclared;
  if (files.length > 0) full.files = files;
  const beside = at && !at.isEscaped ? text.slice(at.start, at.end) : '';
  const decorators = (node.decorators ?? []).map((each) => text.slice(each.start ?? 0, each.end ?? 0));
  const unmentioned = unmentionedOf(ofClass.contract, [own, beside, ...(text.slice(node.start ?? 0).startsWith('@') ? [] : decorators)]);
  if (unmentioned.length > 0) full.unmentioned = unmentioned;
  return full;
}

/** `inputs: ['size']`, `outputs: ['picked']` of a decorator, beside those of the class. */
function listedMembers(options: ReadonlyMap<string, t.Node>, span: Span): MemberFact[] {
  const listed = (name: string): string[] => {
    const node = options.get(name);
    return node?.type === 'ArrayExpression'
      ? node.elements.flatMap((one) => (textIn(one ?? undefined) ?? '').split(':').at(-1)?.trim() || [])
      : [];
  };
  return [
    ...listed('inputs').map((name): MemberFact => ({ key: name as MemberFact['key'], name, span, kind: 'value', required: 'no' })),
    ...listed('outputs').map((name): MemberFact => ({
      key: `event:${name}` as MemberFact['key'],
      name,
      span,
      kind: 'callback',
      required: 'no',
    })),
  ];
}

/** What the names of a template mean: members of its class. */
function templateScope({ own, written }: AngularClass, undeclared: NameFact[], isInheriting: boolean, body: Body): Scope {
  return innerScope({
    names: new Map(),
    isApart: true,
    other: (name, span): Meaning | undefined => {
      const known = own.get(name);
      if (known) return known;
      if (span.end === 0 || name === '$event') return undefined;
      if (!written.has(name) && !seen.has(name) && !undeclared.some((one) => one.name === name && one.span.start === span.start))
        undeclared.push({ name, span, ...(body.module.text.charAt(span.end) === '(' ? { ofCall: true as const } : {}) });
      // What a class that it extends has: link finds it by the name.
      return (isInheriting ? body.own?.(name, span) : undefined) ?? { kind: 'opaque' };
    },
  });
}

/** Names that every template knows. */
const seen = new Set(['undefined', '$any', '$event', '$index', '$implicit']);

/** `host: { '[class.open]': 'open', '(click)': 'toggle()' }`, `@HostBinding`, `@HostListener`. */
function hostBindings(markup: AngularMarkup, { node, options }: Decorated, scope: Scope, { own }: AngularClass): Binding[] {
  const { body } = markup;
  const found: Binding[] = [];
  const host = options.get('host');
  for (const one of host?.type === 'ObjectExpression' ? host.properties : []) {
    const key = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    const value = one.type === 'ObjectProperty' ? bare(one.value) : undefined;
    const text = textIn(value);
    if (one.type !== 'ObjectProperty' || key === undefined || text === undefined || !value) continue;
    const offset = (value.start ?? 0) + 1;
    const span = spanOf(one);
    const nameSpan = spanOf(one.key);
    const listened = /^\(([\w:@.-]+)\)$/.exec(key)?.[1];
    const bound = /^\[(.+)\]$/.exec(key)?.[1];
    if (listened !== undefined) {
      const ast = parseHandler(text, offset);
      if (ast)
        found.push(
          hostListener(markup, listened, key, span, nameSpan, scope, (inner, sink) =>
            readExpression(body, turnedIn(markup, ast), inner, 'computed', sink),
          ),
        );
    } else if (bound !== undefined) {
      const ast = parseBinding(text, offset);
      if (ast)
        found.push({
          to: targetOf(bound),
          written: key,
          span,
          nameSpan,
          direction: 'in',
          readings: readingsOf(body, turnedIn(markup, ast), scope),
        });
    }
  }
  for (const member of membersOf(node)) {
    const name = keyName(member);
    const decorators = decoratorsOf(member);
    const listener = decorators.get('HostListener');
    const event = listener?.[0] && textIn(bare(listener[0]));
    const meaning = name === undefined ? undefined : own.get(name);
    if (event !== undefined && meaning?.kind === 'function' && name !== undefined) {
      const span = spanOf(member.key);
      found.push({
        to: listenerTarget(event),
        written: `(${event})`,
        span,
        nameSpan: span,
        direction: 'out',
        readings: meaning.value === undefined ? [] : [{ value: meaning.value, path: [], how: 'same', span }],
      });
    }
    const bound = decorators.get('HostBinding');
    if (bound && meaning?.kind === 'value' && name !== undefined) {
      const span = spanOf(member.key);
      const to = (bound[0] && textIn(bare(bound[0]))) ?? name;
      found.push({
        to: targetOf(to),
        written: `[${to}]`,
        span,
        nameSpan: span,
        direction: 'in',
        readings: [{ value: meaning.value, path: meaning.path, how: 'same', span }],
      });
    }
  }
  return found;
}

const turnedIn = (markup: AngularMarkup, ast: Parameters<typeof turned>[0]): t.Expression =>
  turned(ast, { opens: (name) => markup.opens(name), pipe: () => undefined });

function listenerTarget(event: string): Binding['to'] {
  const [first = '', second] = event.split(':');
  const name = (second ?? first).split('.')[0] ?? '';
  return { kind: 'listener', name, on: second === undefined ? 'self' : first === 'window' ? 'window' : 'document' };
}

function hostListener(
  markup: AngularMarkup,
  event: string,
  written: string,
  span: Span,
  nameSpan: Span,
  scope: Scope,
  run: Parameters<typeof inlineAction>[4],
): Binding {
  return {
    to: listenerTarget(event),
    written,
    span,
    nameSpan,
    direction: 'out',
    readings: [],
    action: inlineAction(markup, event, span, scope, run),
  };
}

function targetOf(name: string): Binding['to'] {
  const [head = '', ...rest] = name.split('.');
  const inner = rest.join('.');
  if (head === 'class' || head === 'style') return { kind: head, name: inner === '' ? head : inner };
  return head === 'attr' ? { kind: 'attribute', name: inner } : { kind: 'property', name };
}

/** A group of components: `@NgModule({ declarations, imports, exports, bootstrap, providers })`. */
function groupOf({ name, options, span }: Decorated): GroupFact {
  const [declares, brings, offers, starts] = ['declarations', 'imports', 'exports', 'bootstrap'].map((one) => namesIn(options.get(one)));
  const brought = options.get('imports');
  const calls =
    brought?.type === 'ArrayExpression'
      ? brought.elements.flatMap((one) => (one && bare(one).type === 'CallExpression' ? [bare(one)] : []))
      : [];
  const tables = calls.flatMap((call) => {
    const [given] = call.type === 'CallExpression' ? call.arguments : [];
    const table = given && dottedName(bare(given));
    return table === undefined ? [] : [table];
  });
  const called = calls.flatMap((call): ProvisionFact[] => {
    const callee = call.type === 'CallExpression' ? dottedName(call.callee) : undefined;
    return callee === undefined ? [] : [{ kind: 'list', name: callee, span: spanOf(call) }];
  });
  return {
    name,
    span,
    declares: declares?.names ?? [],
    brings: brings?.names ?? [],
    offers: offers?.names ?? [],
    starts: starts?.names ?? [],
    provides: [...provisionsIn(options.get('providers')), ...called],
    tables,
    ...([declares, brings, offers].some((one) => one?.isOpen) || options.has('schemas') ? { isOpen: true as const } : {}),
  };
}

/** Static fields and methods of classes that hold or give lists: `static forRoot() { return { ngModule, providers } }`. */
function staticLists(declared: ReadModule['declared']): ListFact[] {
  return declared.flatMap(({ name, node }) => {
    if (node.type !== 'ClassDeclaration' && node.type !== 'ClassExpression') return [];
    return membersOf(node).flatMap((member): ListFact[] => {
      const key = isStatic(member) ? keyName(member) : undefined;
      const given = member.type === 'ClassMethod' || member.type === 'ClassPrivateMethod' ? member : member.value;
      const list = key === undefined || !given ? undefined : listOf(`${name}.${key}`, bare(given));
      return list ? [list] : [];
    });
  });
}

/** What the classes hold and do that are asked for by their names: one instance of each, as the module’s own. */
function readServices(read: ReadModule, services: readonly { readonly name: string; readonly node: ClassNode }[]): FileFacts['module'] {
  const { module, facts } = read;
  if (services.length === 0) return facts.module;
  const body = newBody(module, angularDialect);
  body.isModule = true;
  for (const { name, node } of services) {
    const ofClass = readAngularClass(body, node, basesOf(node).length > 0);
    const span = node.id ? spanOf(node.id) : { start: node.start ?? 0, end: (node.start ?? 0) + 5 };
    const value = addValue(body, { name, kind: 'store', shape: 'factory', span, from: [] });
    body.queue.push(() => {
      const facts = body.values[value];
      if (!facts) return;
      facts.from = [...ofClass.own].flatMap(([member, meaning]) => {
        const held = meaning.kind === 'value' || meaning.kind === 'function' ? meaning.value : undefined;
        if (held === undefined) return [];
        const path = meaning.kind === 'value' ? meaning.path : [];
        return [
          {
            value: held,
            path,
            how: 'computed' as const,
            span: body.values[held]?.span ?? span,
            held: { at: [member], how: 'same' as const },
          },
        ];
      });
    });
    // What is put off speaks of this class by `this`, and not of the next.
    readPutOff(body);
    const { names = {} } = namesOf(ofClass);
    body.opened = { ...(body.opened ?? {}), [name]: [...ofClass.signals].filter((one) => ownValue(names, one) !== undefined) };
  }
  const own = finishBody(body);
  const signals = body.opened ?? {};
  if (Object.values(signals).some((one) => one.length > 0)) facts.signals = signals;
  if (!facts.module) return own;
  return joined(facts.module, own);
}

/** What is asked for outside of the classes that are `shown`: by `inject` anywhere, and by the constructors of all other classes. */
function askedApart({ module }: ReadModule, shown: readonly ClassNode[], others: readonly ClassNode[]): string[] {
  const found = new Set<string>();
  const isShown = (at: number): boolean => shown.some(({ start, end }) => (start ?? 0) <= at && at < (end ?? 0));
  for (const match of module.text.matchAll(/\binject\s*(?:<[^()]*>)?\(\s*([\w$.]+)/g))
    if (match[1] !== undefined && !isShown(match.index)) found.add(match[1]);
  for (const node of others) {
    const body = newBody(module, angularDialect);
    readAngularClass(body, node, basesOf(node).length > 0);
    for (const { kind, source } of finishBody(body).values)
      if (kind === 'context' && source?.startsWith('key:')) found.add(source.slice('key:'.length));
  }
  return [...found];
}

/** Two bodies as one: the values and actions of the second come after those of the first. */
function joined(first: NonNullable<FileFacts['module']>, second: NonNullable<FileFacts['module']>): NonNullable<FileFacts['module']> {
  const [values, actions] = [first.values.length, first.actions.length];
  const moved = JSON.parse(JSON.stringify(second), function (this: unknown, key, value: unknown) {
    if (typeof value !== 'number') return value;
    if (key === 'value' || key === 'partner' || key === 'element') return value + values;
    const isParam = key === 'of' && (this as { kind?: string }).kind === 'param';
    if (key === 'action' || key === 'writer' || isParam) return value + actions;
    return value;
  }) as NonNullable<FileFacts['module']>;
  const shifted = moved.actions.map((one) => ({ ...one, calls: one.calls.map((call) => call + actions) }));
  return { values: [...first.values, ...moved.values], actions: [...first.actions, ...shifted] };
}

/** Names that give something to who asks for them where nobody provides it: classes for all, tokens with a factory. */
function asking(
  one: SharedFact,
  services: readonly { readonly name: string; readonly isForAll: boolean }[],
  { declared, module }: ReadModule,
): SharedFact {
  if (one.kind !== 'value') return one;
  const service = services.find(({ name }) => name === one.name);
  const node = declared.find(({ name }) => name === one.name)?.whole;
  const made = node && bare(node);
  const token = made?.type === 'NewExpression' && apiName(module, made.callee) === 'InjectionToken' ? made : undefined;
  const hasFactory = token?.arguments[1] !== undefined;
  return service?.isForAll || hasFactory ? { ...one, givesItself: true } : one;
}

/** `bootstrapApplication(App, { providers })`, `platformBrowserDynamic().bootstrapModule(AppModule)`. */
function rootsOf({ program, module }: ReadModule): RootFact[] {
  if (!/\bbootstrap(?:Application|Module)\s*\(|\bcreateApplication\s*\(/.test(module.text)) return [];
  const found: RootFact[] = [];
  const stack: t.Node[] = [program];
  const visit = (node: t.Node): void => {
    if (node.type === 'CallExpression') {
      const [first, second] = node.arguments;
      const name = first && dottedName(bare(first));
      const method = node.callee.type === 'MemberExpression' ? keyName({ key: node.callee.property }) : undefined;
      const base = { span: spanOf(node), mounts: true, values: [], actions: [], template: [] };
      if (name !== undefined && apiName(module, node.callee) === 'bootstrapApplication')
        found.push({ ...base, template: [useOf(name, first as t.Node)], provisions: second ? configOf(second) : [] });
      if (name !== undefined && method === 'bootstrapModule') found.push({ ...base, group: name });
    }
    for (const value of Object.values(node) as unknown[]) {
      if (Array.isArray(value))
        for (const one of value) {
          if (isNode(one)) stack.push(one);
        }
      else if (isNode(value)) stack.push(value);
    }
  };
  for (let node = stack.pop(); node; node = stack.pop()) visit(node);
  return found;
}

const isNode = (value: unknown): value is t.Node =>
  typeof value === 'object' && value !== null && typeof (value as t.Node).type === 'string';

/** `{ providers: […] }`, or a name that stands for it. */
function configOf(given: t.Node): ProvisionFact[] {
  const node = bare(given);
  if (node.type === 'Identifier') return [{ kind: 'list', name: node.name, span: spanOf(node) }];
  return provisionsIn(node);
}

const useOf = (tag: string, at: t.Node): TemplateNode => ({
  kind: 'use',
  tag,
  span: spanOf(at),
  nameSpan: spanOf(at),
  bindings: [],
  spreads: [],
  children: [],
  key: { kind: 'none' },
  content: 'none',
});
