import type * as t from '@babel/types';
import type { ComponentFacts, FileFacts, GlobalFact, ImportFact, SharedFact } from '../../../model/facts';
import type { FilePath } from '../../../model/span';
import { classesIn, type DeclaredClass } from '../../../read/elements/bases';
import { type ClassNode, decoratorsOf, membersOf } from '../../../read/elements/class';
import { restoreDecorators } from './compiled';
import { isElementTag } from '../../../read/elements/platform';
import type { ModuleScope } from '../../../read/script/body';
import { channelDialect } from '../../../read/script/channels';
import { addModuleBody, type ReadModule, readModuleHead } from '../../../read/script/plain';
import { bare, dottedName, forEachChild, isFunction, keyName, resultOf, spanOf } from '../../../read/script/syntax';
import { readElement } from './class';
import { isController, mayControl, readController } from './controllers';
import { looksLikeMarkup } from './markup';

/** A function that makes a class of another one: `(Base) => class extends Base { … }`; those of components are of another framework. */
const classMaker = /(?:=>|\breturn)\s*\(?\s*class\b[^{]*\bextends\s+(?!(?:\w+\.)?(?:Pure)?Component\b)[^{]*\{/;

/** What only the class of an element has, or does. */
const ofElement =
  /\b(?:connectedCallback|disconnectedCallback|attributeChangedCallback|observedAttributes|dispatchEvent|requestUpdate|willUpdate|firstUpdated|shadowRoot|renderRoot|attachShadow)\b|\bstatic\s+(?:get\s+)?properties\b|\bhtml`/;

const definesElement =
  /\bcustomElements\b|\bextends\s+(?:\w+\s*\(\s*)*(?:HTML\w*Element|LitElement|ReactiveElement)\b|(?:@|\[\s*|,\s*)customElement\s*\(|\bextends\s+\w+\s*\{[\s\S]*\b(?:connectedCallback|attributeChangedCallback|observedAttributes)\b/;

/** A class that has a base, which is no component of another framework. */
const extending = /\bextends\s+(?!(?:\w+\.)?(?:Pure)?Component\b)[\w$]/;

/** The tag of templates, from a package or a module that hands the library on under a name of its own. */
const importsTag = /\bimport\s*(?:[\w$]+\s*,\s*)?\{[^}]*\bhtml\b[^}]*\}\s*from\s*['"](?!lit\b|@lit\b|lit-)/;

/** A class that shows a template, extending one that may be an element. */
const extendsAndShows = (text: string): boolean => extending.test(text) && /\brender\s*\(/.test(text) && /\bhtml\s*`/.test(text);

/** Whether a module is of elements, by its text: it defines some, extends one, or makes a class of one that is an element's. */
export const isElementsScript = (_: FilePath, text: string): boolean =>
  definesElement.test(text) ||
  mayControl(text) ||
  (classMaker.test(text) && ofElement.test(text)) ||
  (importsTag.test(text) && extendsAndShows(text));

/** Reads a module of classes whose instances are elements, or one beside them. Never throws. */
export function readElementsScript(file: FilePath, text: string): FileFacts {
  const read = readModuleHead(file, text);
  const { program, declared, module, facts } = read;
  const { defined, definesOthers } = definitionsIn(program, module);
  const classes = [...classesIn(program.body, declared), ...definedInPlace(program)];
  restoreDecorators(program.body, new Map(classes.map((one) => [one.name, one.node])));
  const { stored, constants } = markupKept(program, module);
  const apart = new Set<string>();
  const components: ComponentFacts[] = [];
  const bases: ComponentFacts[] = [];
  const locals = new Set(defined.map((one) => one.target));
  const isOne = (one: DeclaredClass, known: ReadonlySet<string>): boolean => {
    const base =
      dottedName(one.node.superClass ?? null)
        ?.split('.')
        .at(-1) ?? '';
    return (
      one.hole !== undefined ||
      locals.has(one.name) ||
      decoratorsOf(one.node).has('customElement') ||
      /Element$/.test(base) ||
      known.has(base) ||
      extendsMixin(one.node) ||
      livesAsElement(one.node) ||
      (importsTag.test(text) && extendsAndShows(text.slice(one.node.start ?? 0, one.node.end ?? 0)))
    );
  };
  const known = new Set<string>();
  const controllers = new Map<string, SharedFact>();
  for (const one of classes) {
    if (!isOne(one, known)) {
      if (isController(one.node)) controllers.set(one.name, readController(module, one));
      continue;
    }
    known.add(one.name);
    apart.add(one.name);
    const name =
      one.node.id?.name ?? (one.name === 'default' ? (defined.find((each) => each.target === 'default')?.name ?? 'default') : one.name);
    const component = readElement(read, one, stored, constants, name);
    if (one.hole === undefined) components.push(component);
    else bases.push(component);
  }
  facts.components = components;
  if (bases.length > 0) facts.bases = bases;
  const decorated = classes.flatMap(({ name, node }): GlobalFact[] => {
    const [tag] = decoratorsOf(node).get('customElement') ?? [];
    const said = tag?.type === 'StringLiteral' ? tag.value : tag && module.texts.get(dottedName(tag) ?? '');
    return said === undefined ? [] : [{ name: said, target: name, span: spanOf(node) }];
  });
  const globals = [...defined, ...decorated, ...definedByHelper(program, classes)];
  if (globals.length > 0) facts.globals = globals;
  if (definesOthers) facts.definesOthers = true;
  if (/\.[mc]?ts$/.test(file)) facts.imports = withTypesMarked(facts.imports, program);
  for (const name of controllers.keys()) apart.add(name);
  addModuleBody(read, apart, channelDialect);
  facts.shared = facts.shared.map((one) => controllers.get(one.name) ?? contextMade(read, one) ?? one);
  if (components.length > 0 || bases.length > 0) facts.framework = 'elements';
  return facts;
}

/** `createContext(Symbol('light'))`: a context of the module. */
function contextMade({ declared }: ReadModule, one: SharedFact): SharedFact | undefined {
  const found = declared.find(({ name }) => name === one.name);
  const made = found && bare(found.whole);
  const call = made?.type === 'CallExpression' ? dottedName(made.callee) : undefined;
  if (call !== 'createContext' || made?.type !== 'CallExpression') return undefined;
  const [key] = made.arguments;
  const said = key?.type === 'StringLiteral' ? { said: key.value } : {};
  return { kind: 'context', name: one.name, span: one.span, fallback: 'none', ...said };
}

/** A class has methods that the platform runs in the life of an element. */
const livesAsElement = ({ body }: ClassNode): boolean =>
  body.body.some(
    (one) =>
      (one.type === 'ClassMethod' && /^(?:connectedCallback|disconnectedCallback|attributeChangedCallback)$/.test(keyName(one) ?? '')) ||
      (one.type === 'ClassProperty' && one.static && keyName(one) === 'observedAttributes'),
  );

const extendsMixin = ({ superClass }: ClassNode): boolean => {
  let node = superClass ? bare(superClass) : undefined;
  while (node?.type === 'CallExpression') node = node.arguments[0] && bare(node.arguments[0]);
  return superClass?.type === 'CallExpression' && /Element$/.test(dottedName(node ?? null) ?? '');
};

/** Classes that are written where they are defined: `customElements.define('stock-ask', class StockAsk extends HTMLElement { … })`. */
function definedInPlace(program: t.Program): DeclaredClass[] {
  const found: DeclaredClass[] = [];
  walkCalls(program, (call) => {
    const [tag, given] = isDefine(call) ? call.arguments : [];
    const node = given && bare(given);
    if (node?.type === 'ClassExpression')
      found.push({
        name: node.id?.name ?? classNameOf(tag),
        nameSpan: node.id ? spanOf(node.id) : { start: node.start ?? 0, end: (node.start ?? 0) + 5 },
        node,
        isDefault: false,
      });
  });
  return found;
}

/** `defineElement(Gauge)`: a function of another module defines a class by the tag that it says itself. */
function definedByHelper(program: t.Program, classes: readonly DeclaredClass[]): GlobalFact[] {
  return program.body.flatMap((statement): GlobalFact[] => {
    const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    if (
      call?.type !== 'CallExpression' ||
      call.arguments.length !== 1 ||
      !/(?:^|\.)(?:define|register)\w*$/i.test(dottedName(call.callee) ?? '')
    )
      return [];
    const target = call.arguments[0]?.type === 'Identifier' ? call.arguments[0].name : undefined;
    const tag = classes.flatMap(({ name, node }) => (name === target ? (saidTag(node) ?? []) : []))[0];
    return target === undefined || tag === undefined ? [] : [{ name: tag, target, span: spanOf(call) }];
  });
}

/** The tag that a class says as a static member: `static get is() { return 'tide-gauge'; }`. */
function saidTag(node: ClassNode): string | undefined {
  for (const member of membersOf(node)) {
    if (!member.static || !/^(?:is|tag|tagName)$/.test(keyName(member) ?? '')) continue;
    const given = member.type === 'ClassMethod' ? resultOf(member) : 'value' in member ? member.value : undefined;
    const text = given && bare(given);
    if (text?.type === 'StringLiteral' && isElementTag(text.value)) return text.value;
  }
  return undefined;
}

const classNameOf = (tag: t.Node | undefined): string =>
  (tag?.type === 'StringLiteral' ? tag.value : 'element').replace(/(?:^|-)(\w)/g, (_, letter: string) => letter.toUpperCase());

const isDefine = ({ callee }: t.CallExpression): boolean =>
  callee.type === 'MemberExpression' &&
  keyName({ key: callee.property }) === 'define' &&
  /(?:^|\.)customElements$|^registry$/i.test(dottedName(callee.object) ?? '');

function walkCalls(root: t.Node, visit: (call: t.CallExpression) => void): void {
  const go = (node: t.Node): void => {
    if (node.type === 'CallExpression') visit(node);
    forEachChild(node, go);
  };
  go(root);
}

/** The tags that a module defines, with the names of the classes. */
function definitionsIn(
  program: t.Program,
  module: ModuleScope,
): { readonly defined: readonly GlobalFact[]; readonly definesOthers: boolean } {
  const found: GlobalFact[] = [];
  let definesOthers = false;
  const add = (name: string | undefined, target: string | undefined, at: t.Node): void => {
    if (name !== undefined && target !== undefined && isElementTag(name) && !found.some((one) => one.name === name))
      found.push({ name, target, span: spanOf(at) });
  };
  walkCalls(program, (call) => {
    if (!isDefine(call)) return;
    const [tag, given] = call.arguments;
    const said =
      tag?.type === 'StringLiteral'
        ? tag.value
        : tag?.type === 'TemplateLiteral' && tag.expressions.length === 0
          ? tag.quasis[0]?.value.cooked
          : tag && module.texts.get(dottedName(tag) ?? '');
    const node = given && bare(given);
    const target = node?.type === 'ClassExpression' ? (node.id?.name ?? classNameOf(tag)) : dottedName(node ?? null);
    if (said !== undefined && said !== null) {
      add(said, target, call);
      return;
    }
    definesOthers = true;
    // Tags and classes that stand in a table, or by a static member of each class.
    for (const table of module.tables.values())
      for (const one of table.properties) {
        const key = one.type === 'ObjectProperty' ? keyName(one) : undefined;
        if (one.type === 'ObjectProperty' && key?.includes('-')) add(key, dottedName(bare(one.value)), one);
      }
    if (tag?.type === 'MemberExpression') {
      const member = keyName({ key: tag.property }) ?? '';
      for (const [name, text] of module.texts) if (name.endsWith(`.${member}`)) add(text, name.slice(0, -member.length - 1), call);
    }
  });
  // `[['a-b', One], …].forEach(([tag, type]) => customElements.define(tag, type))`
  if (found.length === 0 && /customElements/.test(module.text)) {
    const visit = (node: t.Node): void => {
      if (node.type === 'ArrayExpression' && node.elements.length === 2) {
        const [tag, target] = node.elements;
        if (tag?.type === 'StringLiteral' && target?.type === 'Identifier') add(tag.value, target.name, node);
      }
      forEachChild(node, visit);
    };
    visit(program);
  }
  return { defined: found, definesOthers };
}

/** Imports with a mark on those that nothing but types names. */
function withTypesMarked(imports: readonly ImportFact[], program: t.Program): readonly ImportFact[] {
  const named = new Set<string>();
  const visit = (node: t.Node): void => {
    if (node.type === 'ImportDeclaration') return;
    if (node.type === 'Identifier' || node.type === 'JSXIdentifier') named.add(node.name);
    forEachChild(node, visit);
  };
  visit(program);
  return imports.map((one) => (one.typeOnly || named.has(one.local) ? one : { ...one, inTypesAlone: true }));
}

/** Templates and texts of markup that the module keeps. */
function markupKept(
  program: t.Program,
  module: ModuleScope,
): { readonly stored: Map<string, t.Node>; readonly constants: Map<string, t.Node> } {
  const stored = new Map<string, t.Node>();
  const constants = new Map<string, t.Node>();
  for (const statement of program.body) {
    const declaration = statement.type === 'ExportNamedDeclaration' ? statement.declaration : statement;
    if (declaration?.type === 'VariableDeclaration')
      for (const { id, init } of declaration.declarations) {
        const node = init && bare(init);
        if (id.type !== 'Identifier' || !node || isFunction(node)) continue;
        const text = module.text.slice(node.start ?? 0, node.end ?? 0);
        if ((node.type === 'TemplateLiteral' || node.type === 'StringLiteral') && looksLikeMarkup(text)) constants.set(id.name, node);
        if (node.type === 'TaggedTemplateExpression' && /^(?:html|svg)$/.test(dottedName(node.tag) ?? '')) constants.set(id.name, node);
      }
    const set = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    if (
      set?.type === 'AssignmentExpression' &&
      set.left.type === 'MemberExpression' &&
      keyName({ key: set.left.property }) === 'innerHTML' &&
      set.left.object.type === 'Identifier'
    ) {
      const right = bare(set.right);
      stored.set(set.left.object.name, right.type === 'Identifier' ? (constants.get(right.name) ?? right) : right);
    }
  }
  return { stored, constants };
}
