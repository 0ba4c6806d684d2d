import type { ComponentFacts, FileFacts, MemberFact, NameFact, Problem, ValueFact } from '../../../model/facts';
import { noFacts } from '../../../model/no-facts';
import { directoryOf } from '../../../model/paths';
import type { TypeExpr } from '../../../model/types';
import type { FilePath, Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { basesOf, classesIn, type DeclaredClass } from '../../../read/elements/bases';
import {
  type ClassMember,
  type ClassNode,
  type ClassRules,
  decoratorsOf,
  namesOf,
  readElementClass,
  type ReadClass,
  type Role,
} from '../../../read/elements/class';
import { alwaysRun, setAgain } from '../../../read/elements/always';
import { contractEvents, slotMembers, unmentionedOf } from '../../../read/elements/contract';
import { type Beside, type Part, placed, type Unit, unitOf } from '../../../read/elements/unit';
import { attributeNamed, type HtmlNode, parseHtml } from '../../../read/markup/html';
import { isCommonAttribute } from '../../../read/elements/platform';
import { slotsOf } from '../../../read/markup/contract';
import { addValue, type Body, newBody } from '../../../read/script/body';
import { addModuleBody, type ReadModule, readModuleHead } from '../../../read/script/plain';
import { innerScope, type Meaning, type Scope } from '../../../read/script/scope';
import { bare, dottedName, keyName, spanOf } from '../../../read/script/syntax';
import { annotatedType } from '../../../read/elements/types';
import { attributeOf, bundleOf, platformAttribute } from '../names';
import { lwcDialect } from './dialect';
import { type LwcMarkup, readNodes } from './template';

/** What the framework’s base class gives beside what every element has. */
const inherited: ReadonlySet<string> = new Set(['template', 'refs', 'hostElement', 'render', 'errorCallback']);

const lifecycle = /^(?:constructor|connectedCallback|disconnectedCallback|renderedCallback|errorCallback|render)$/;

/** Tells whether a script belongs to this framework: the class of a bundle, or a module in its folder. */
export const isLwcScript = (file: FilePath, text: string): boolean =>
  /(?:^|\/)lwc\/[^/]+\/[^/]+\.(?:js|ts)$/.test(file) || /from\s*['"]lwc['"]/.test(text);

/** The files that are read with the class of a bundle: its templates, and what says how it is offered. */
export function filesBeside(file: FilePath, all: Iterable<FilePath>): FilePath[] {
  if (!bundleOf(file)) return [];
  const folder = `${directoryOf(file)}/`;
  return [...all].filter((one) => one.startsWith(folder) && /^[^/]+(?:\.html|\.js-meta\.xml)$/.test(one.slice(folder.length))).sort();
}

/** Reads the class of a bundle with its templates, or a module beside it. Never throws. */
export function readLwcScript(file: FilePath, text: string, beside: Beside): FileFacts {
  const unit = unitOf(
    file,
    text,
    beside.filter((one) => one.file.endsWith('.html')),
  );
  const read = readModuleHead(file, text, unit.text);
  const { facts, program } = read;
  const meta = beside.find((one) => one.file.endsWith('.js-meta.xml'))?.text;
  const bundle = bundleOf(file);
  const classes = classesIn(program.body, read.declared);
  const apart = new Set<string>();
  const components: ComponentFacts[] = [];
  const bases: ComponentFacts[] = [];
  for (const one of classes) {
    if (one.hole === undefined && !extendsElement(one.node) && !one.isDefault) continue;
    const isMain = bundle !== undefined && one.isDefault && Boolean(one.node.superClass);
    if (!isMain && one.hole === undefined && !extendsElement(one.node)) continue;
    apart.add(one.name);
    const component = readClass(read, one, isMain ? unit : { ...unit, parts: [] }, isMain ? bundle.name : one.name);
    if (isMain) {
      const tags = [`${bundle.namespace}-${attributeOf(bundle.name)}`];
      const element = component.element ? { element: { ...component.element, tags } } : {};
      components.push({ ...component, ...element, ...(offered(meta) ? { isOffered: true as const } : {}) });
    } else bases.push({ ...component, ...(component.element ? { element: { ...component.element, isAbstract: true as const } } : {}) });
  }
  facts.components = components;
  addModuleBody(read, apart, lwcDialect);
  if (bases.length > 0) facts.bases = bases;
  if (components.length > 0) facts.framework = 'lwc';
  return placed(unit, facts);
}

/** The template of a bundle is read with its class. */
export const readLwcTemplate = noFacts;

const extendsElement = (node: ClassNode): boolean => node.superClass !== null && node.superClass !== undefined;

const offered = (meta: string | undefined): boolean => meta !== undefined && /<isExposed>\s*true\s*<\/isExposed>/.test(meta);

/** A field that begins as true or false is a flag. */
const flagOf = (member: ClassMember): TypeExpr | undefined =>
  member.type === 'ClassProperty' && member.value?.type === 'BooleanLiteral' ? { kind: 'primitive', name: 'boolean' } : undefined;

function roleOf(_: string, members: readonly ClassMember[]): Role | undefined {
  const decorators = new Map(members.flatMap((one) => [...decoratorsOf(one)]));
  const isMethod = members.some((one) => one.type === 'ClassMethod' && one.kind === 'method');
  if (decorators.has('wire')) return isMethod ? undefined : { kind: 'own' };
  if (decorators.has('api') && !isMethod) {
    const type = members.map((one) => annotatedType(one) ?? flagOf(one)).find((one) => one !== undefined);
    return { kind: 'prop', ...(type ? { member: { type } } : {}) };
  }
  if (decorators.has('track')) return { kind: 'state', isDeep: true };
  return undefined;
}

function readClass(read: ReadModule, declared: DeclaredClass, unit: Unit, name: string): ComponentFacts {
  const { module, facts } = read;
  const { node } = declared;
  const body = newBody(module, lwcDialect);
  const bases = basesOf(node, declared.hole);
  const isLight = node.body.body.some(
    (one) =>
      one.type === 'ClassProperty' &&
      one.static &&
      keyName(one) === 'renderMode' &&
      one.value?.type === 'StringLiteral' &&
      one.value.value === 'light',
  );
  body.root = isLight ? 'light' : 'open';
  const hasOwnBases = bases.some((base) => !isFrameworkBase(read, base)) || declared.hole !== undefined;
  const rules: ClassRules = {
    roleOf,
    lifecycle,
    gives: () => false,
    field: 'state',
    follows: 'assignment',
    inherited,
    unknown: hasOwnBases ? 'inherited' : 'nothing',
  };
  const ofClass = readElementClass(body, node, rules);
  const unwired = readWires(body, node, ofClass);
  exposeMethods(body, node, ofClass);
  const refs = new Map<string, number>();
  const refOf = (ref: string, span: Span): number => {
    const known = refs.get(ref);
    if (known !== undefined) return known;
    const value = addValue(body, { name: ref, kind: 'ref', span, from: [] });
    refs.set(ref, value);
    return value;
  };
  ofClass.own.set('refs', { kind: 'members', of: (ref, span) => ({ kind: 'value', value: refOf(ref, span), path: [] }) });
  const undeclared: NameFact[] = hasOwnBases ? [] : unwired.filter(({ name }) => !ofClass.written.has(name));
  const scope = templateScope(ofClass, undeclared, hasOwnBases, body);
  const problems: Problem[] = [];
  const template = unit.parts.flatMap((part) => {
    const markup: LwcMarkup = { body, text: unit.text, lang: 'ts', problems, event: 'event', refOf, slotted: new WeakMap() };
    return readNodes(markup, contentOf(part), scope);
  });
  facts.problems = [...facts.problems, ...problems];
  const component = assembleComponent(body, (raises) => {
    const slots = slotsOf(template);
    return {
      name,
      local: declared.name,
      span: spanOf(node),
      nameSpan: declared.nameSpan,
      form: 'element',
      openness: 'closed',
      through: [],
      template,
      slots,
      members: [...memberList(ofClass), ...contractEvents(raises, ofClass.members), ...slotMembers(slots)],
      eventName: (member) => member.name,
    };
  });
  for (const value of component.values as Writable<ValueFact>[]) {
    // A method of the server, asked by its name.
    const from = value.kind === 'module' ? module.imported.get(value.source ?? value.name)?.from : undefined;
    if (from?.startsWith('@salesforce/apex/')) value.origin = { kind: 'query', what: from.slice('@salesforce/apex/'.length) };
  }
  alwaysRun(component, ofClass, body, /^(?:connectedCallback|renderedCallback|constructor)$/);
  const again = setAgain(component, ofClass, /^renderedCallback$/);
  const full: Writable<ComponentFacts> = {
    ...component,
    element: { root: body.root, keepsFields: true, attributes: commonAttributes(memberList(ofClass)), ...namesOf(ofClass) },
  };
  if (again.length > 0) full.again = again;
  const { start, end } = spanOf(node);
  const unmentioned = unmentionedOf(memberList(ofClass), [unit.text.slice(start, end), ...unit.parts.map((part) => part.text)]);
  if (unmentioned.length > 0) full.unmentioned = unmentioned;
  if (undeclared.length > 0) full.undeclared = undeclared;
  if (hasOwnBases) full.bases = bases;
  if (unit.parts.length > 0) full.files = unit.parts.map((part) => part.file);
  return full;
}

const memberList = ({ members }: ReadClass): MemberFact[] => [...members.values()];

/** Properties of a class that attributes of the platform set, which mean the same of every element: `aria-label`, `title`. */
function commonAttributes(members: readonly MemberFact[]): Record<string, string> {
  const named = members.map(({ name }): [string, string] => [
    name.replace(/^aria[A-Z]\w*/, (aria) => `aria-${aria.slice('aria'.length).toLowerCase()}`),
    name,
  ]);
  const all = named.map(([written, name]): [string, string] => [platformAttribute(written) ?? attributeOf(written), name]);
  return Object.fromEntries(all.filter(([attribute]) => isCommonAttribute(attribute)));
}

/** What stands in a template: between the tags of its root. */
function contentOf({ text, offset }: Part): readonly HtmlNode[] {
  const nodes = parseHtml(text, { offset });
  const root = nodes.find((one) => one.kind === 'element');
  return root?.kind === 'element' && root.tag.toLowerCase() === 'template' && !attributeNamed(root, 'for:each') ? root.children : nodes;
}

function isFrameworkBase({ module }: ReadModule, base: string): boolean {
  const from = module.imported.get(base)?.from;
  return from === 'lwc' || base === 'LightningElement';
}

/** What the names of a template mean: members of its class. */
function templateScope({ own, written }: ReadClass, undeclared: NameFact[], isInheriting: boolean, body: Body): Scope {
  const scope: Scope = {
    names: new Map(),
    isApart: true,
    other: (name, span): Meaning | undefined => {
      const known = own.get(name);
      if (known) return known;
      if (span.end === 0) return undefined;
      if (!written.has(name) && !undeclared.some((one) => one.name === name && one.span.start === span.start))
        undeclared.push({ name, span, ofSelf: true });
      if (!isInheriting) return { kind: 'opaque' };
      // What a class that it extends has: link finds it by the name.
      return body.own?.(name, span);
    },
  };
  return innerScope(scope);
}

/**
 * `@wire(getJars, { minimum: '$minimum' }) jars`: what a source outside of the component gives, asked anew when what it is
 * asked with changes. Gives the names that it is asked with and that the class has not.
 */
function readWires(body: Body, node: ClassNode, { own }: ReadClass): NameFact[] {
  const missing: NameFact[] = [];
  const declared = new Set(node.body.body.flatMap((one) => ('key' in one ? (keyName(one) ?? []) : [])));
  for (const member of node.body.body) {
    if (member.type !== 'ClassProperty' && member.type !== 'ClassMethod') continue;
    const wire = decoratorsOf(member).get('wire');
    const name = keyName(member);
    if (!wire || name === undefined) continue;
    const [source, config] = wire;
    const what = (source && dottedName(bare(source))) ?? '';
    const followed = (config?.type === 'ObjectExpression' ? config.properties : []).flatMap((one) => {
      const given = one.type === 'ObjectProperty' ? bare(one.value) : undefined;
      const path = given?.type === 'StringLiteral' && given.value.startsWith('$') ? given.value.slice(1).split('.') : undefined;
      const [first] = path ?? [];
      const meaning = first === undefined ? undefined : own.get(first);
      if (given && first !== undefined && !meaning && !declared.has(first)) {
        const start = (given.start ?? 0) + 2;
        missing.push({ name: first, span: { start, end: start + first.length }, ofSelf: true, asks: what });
      }
      return meaning?.kind === 'value' && path
        ? [{ value: meaning.value, path: path.slice(1), how: 'computed' as const, span: spanOf(one) }]
        : [];
    });
    const span = spanOf(member.key);
    if (member.type === 'ClassMethod') {
      const action = body.actions.findIndex((one) => one.name === name);
      const facts = body.actions[action];
      if (facts) facts.when = `when ${what} answers`;
      const value = addValue(body, {
        name: what,
        kind: 'fetched',
        span,
        from: followed,
        origin: { kind: 'query', what: askedOf(body, what) },
        ...sourced(body, what),
      });
      body.queue.push(() => {
        const param = body.values.find((one) => one.kind === 'param' && one.of === action && one.position === 0);
        if (param) param.from = [{ value, path: [], how: 'same', span }];
      });
      continue;
    }
    const value = addValue(body, {
      name,
      kind: 'fetched',
      span,
      from: followed,
      origin: { kind: 'query', what: askedOf(body, what) },
      ...sourced(body, what),
    });
    own.set(name, { kind: 'value', value, path: [] });
  }
  return missing;
}

/** What a wire asks, by the name that the platform has for it: a method of the server by its class. */
function askedOf({ module }: Body, name: string): string {
  const from = module.imported.get(name)?.from;
  return from?.startsWith('@salesforce/apex/') ? from.slice('@salesforce/apex/'.length) : name;
}

const sourced = (body: Body, what: string): { source?: string } => (body.module.names.has(what) ? { source: what } : {});

/** Methods that `@api` offers to who holds a handle. */
function exposeMethods(body: Body, node: ClassNode, { own }: ReadClass): void {
  for (const member of node.body.body) {
    const name = member.type === 'ClassMethod' && decoratorsOf(member).has('api') ? keyName(member) : undefined;
    const meaning = name === undefined ? undefined : own.get(name);
    if (name === undefined || meaning?.kind !== 'function' || meaning.value === undefined) continue;
    body.exposes.push({ value: meaning.value, path: [], how: 'same', span: spanOf(member), held: { at: [name], how: 'same' } });
  }
}
