import { givesGlobalProperties } from '../global-properties';
import { mixablesOf } from '../../../read/script/unbound';
import type * as t from '@babel/types';
import { voidsOf } from '../../../read/script/called';
import { changersOf } from '../../../read/script/param-changes';
import { parseTemplate } from '../parser';
import type { AliasFact, ComponentFacts, FileFacts, Problem, RootFact, SharedFact, TemplateUse } from '../../../model/facts';
import type { Writable } from '../../../model/writable';
import { addValue, type Dialect, finishBody, hookFact, type ModuleScope, newBody } from '../../../read/script/body';
import { aliasOf, type Declared as Declaration, declarationsOf } from '../../../read/script/declarations';
import { bindParams, readingsOf } from '../../../read/script/expressions';
import { mayLast, readModuleBody } from '../../../read/script/module-body';
import { ambientOf, kept, moduleScope, takenApart, sharedValue } from '../../../read/script/module-scope';
import { readModule } from '../../../read/script/modules';
import { parseScript } from '../../../read/script/parse';
import { routesOf } from '../../../read/script/routes';
import { innerScope } from '../../../read/script/scope';
import { survey } from '../../../read/script/survey';
import {
  annotationOf,
  bare,
  calleeName,
  dottedName,
  forEachChild,
  type FunctionNode,
  isFunction,
  keyName,
  keyOf,
  nameOfFile,
  resultOf,
  spanOf,
} from '../../../read/script/syntax';
import { readType, readTypeDeclaration } from '../../../read/script/types';
import { declareEvents, declareProps, fieldOf, newDeclared } from './contract';
import { vueDialect, isComposable } from './dialect';
import { assemble, componentsOf } from '.';
import { pascal } from './names';
import { boundSetup, isComponentObject, isMixin, membersGiven, optionsIn, readOptions } from './options';
import { mayRegister, registrationsOf } from './registrations';
import { rendersSomething } from './render';
import { newSetup, readSetup } from './setup';
import type { VueMarkup } from './template';
import { append } from '../../../model/append';

/** Whether a script may hold a plugin: a method or function `install` of one or two parameters, which provides something. */
function installs(text: string): boolean {
  return /\binstall\b[^{};]{0,80}[{>]/.test(text) && /\.(?:provide|component)\s*\(/.test(text);
}

/** Whether a script may hold an object of options: some that are functions or hold them, which use `this`. */
function mixesIn(text: string): boolean {
  const isOptions = /\b(?:data\s*(?:\(\s*\)|:\s*function)|(?:methods|computed|watch)\s*:\s*\{)/;
  return isOptions.test(text) && /\bthis\.[\w$]/.test(text) && /\bexport\b/.test(text);
}

/** Tells whether a script belongs to this framework: it imports from it, or from what is made for it alone. */
export function isVueScript(text: string): boolean {
  const imports = /from\s*['"](?:[^'"]+\.vue|vue|vue-demi|@vue\/[\w-]+|vue-router|pinia|vuex|@vueuse\/[\w-]+|#imports|#app|nuxt\/app)['"]/;
  return imports.test(text) || givesGlobalProperties(text) || installs(text) || mixesIn(text) || mayRegister(text);
}

/** Reads a script of a project in this framework: composables, stores, keys, component objects, routes, the application. Never throws. */
export function readVueScript(file: string, text: string): FileFacts {
  const { program, problems } = parseScript(file, text);
  const { imports, exports } = readModule(program.body);
  const declared = declarationsOf(program.body);
  const module = moduleScope(program, text, declared, imports);
  const apart = new Set<string>();
  const found: Found = { components: [], shared: [], aliases: [], statements: program.body };
  for (const one of declared) sortDeclared(module, one, file, problems as Problem[], apart, found);
  const { calls } = survey(program);
  const facts: Writable<FileFacts> = {
    file,
    framework: found.components.length > 0 ? 'vue' : 'script',
    problems,
    imports,
    exports,
    types: kept(program.body, readTypeDeclaration),
    components: found.components,
    shared: [...found.shared, ...program.body.flatMap((statement) => takenApart(statement, module))],
    roots: rootsOf(module, calls, program.body),
    routes: routesOf(module, program),
    ambient: kept(program.body, ambientOf),
    aliases: found.aliases,
    makers: [],
    ...changersOf(module),
    ...voidsOf(module),
    ...mixablesOf(declared),
    ...registrationsOf(calls.filter((call) => methodOf(call) === 'component')),
  };
  const given = calls.flatMap((call) => {
    const [key, value] = call.arguments;
    const name = methodOf(call) === 'provide' && key && value ? keyOf(key) : undefined;
    return name === undefined ? [] : [{ key: name.slice('key:'.length), span: spanOf(call) }];
  });
  if (given.length > 0) facts.gives = given;
  const body = mayLast(text) ? readModuleBody(module, program.body, (name) => apart.has(name), moduleDialect(), file) : undefined;
  if (body) facts.module = body;
  return facts;
}

/** Stores that are set up by a function hold what components do. */
function moduleDialect(): Dialect {
  const declared = newDeclared();
  const setters = new Map<number, number>();
  return {
    ...vueDialect(declared, setters),
    store: (init) => {
      const first = init.type === 'CallExpression' ? init.arguments[0] : undefined;
      if (!/^(?:shallow)?(?:[rR]ef|[rR]eactive)$/.test(calleeName(init) ?? '')) return undefined;
      return { shape: 'observable', ...(first ? { first } : {}) };
    },
    setUp: (body, statements, scope) => readSetup(newSetup({ body, declared, setters }), statements, scope),
  };
}

type Found = {
  readonly components: ComponentFacts[];
  readonly shared: SharedFact[];
  readonly aliases: AliasFact[];
  readonly statements: readonly t.Statement[];
};

function sortDeclared(module: ModuleScope, one: Declaration, file: string, problems: Problem[], apart: Set<string>, found: Found): void {
  const { node, whole } = one;
  const options = optionsIn(whole);
  const object = bare(whole).type === 'ObjectExpression';
  if (options && object && isMixin(options)) {
    apart.add(one.name);
    found.shared.push(readMixin(module, one, options));
    return;
  }
  if (options && (!object || isComponentObject(options)) && (one.name === 'default' || /^[A-Z]/.test(one.name))) {
    apart.add(one.name);
    found.components.push(readObject(module, one, options, file, problems));
    return;
  }
  if (isFunction(node) && (one.name === 'default' || /^[A-Z]/.test(one.name)) && rendersSomething(node)) {
    apart.add(one.name);
    found.components.push(readFunctional(module, one, node, file, problems, found.statements));
    return;
  }
  // A function without a name is known by that of its file.
  const known = one.name === 'default' ? nameOfFile(file).replace(/^./, (letter) => letter.toLowerCase()) : one.name;
  if (isFunction(node) && isComposable(known)) {
    apart.add(one.name);
    found.shared.push(readComposable(module, one, node));
    return;
  }
  append(found.aliases, aliasOf(one));
  found.shared.push(sharedValue(module, one));
}

/** An object that is mixed into components: they hold and do what it does, as if they called a composable. */
function readMixin(module: ModuleScope, one: Declaration, options: t.ObjectExpression): SharedFact {
  const declared = newDeclared();
  const setters = new Map<number, number>();
  const body = newBody(module, vueDialect(declared, setters));
  const host = addValue(body, { name: 'this', kind: 'param', span: one.nameSpan, from: [], position: 0 });
  const setup = newSetup({ body, declared, setters, host });
  const returns = membersGiven(setup, options);
  return hookFact(one, body, returns, declared.provides);
}

/** A component written as an object in a script, with its template as a text or none that can be read. */
function readObject(module: ModuleScope, one: Declaration, options: t.ObjectExpression, file: string, problems: Problem[]): ComponentFacts {
  const declared = newDeclared();
  const setters = new Map<number, number>();
  const body = newBody(module, vueDialect(declared, setters));
  const setup = newSetup({ body, declared, setters, options });
  const scope = innerScope();
  const locals = readOptions(setup, options, scope);
  const given = fieldOf(options, 'template');
  const template = given && bare(given);
  const written = fieldOf(options, 'name');
  const name = one.name !== 'default' ? one.name : written?.type === 'StringLiteral' ? pascal(written.value) : nameOfFile(file);
  const start = (template?.start ?? 0) + 1;
  const text =
    template?.type === 'StringLiteral' || (template?.type === 'TemplateLiteral' && template.expressions.length === 0)
      ? module.text.slice(0, (template.end ?? 1) - 1)
      : undefined;
  if (text === undefined && !setup.render) declared.open = true;
  const padded = text === undefined ? '' : ' '.repeat(start) + text.slice(start);
  const markup: VueMarkup = {
    body,
    text: module.text,
    lang: 'js',
    problems,
    event: '$event',
    component: componentsOf(module, locals, name),
  };
  const children = text === undefined ? [] : parseTemplate(padded, { onError: () => undefined }).children;
  return assemble(setup, markup, children, scope, { name, local: one.name, span: one.span, nameSpan: one.nameSpan });
}

/** What is assigned to a dotted name by a statement of the module: `Chip.props = { … }`. */
function assignedTo(statements: readonly t.Statement[], name: string): t.Node | undefined {
  for (const one of statements) {
    const given = one.type === 'ExpressionStatement' && one.expression.type === 'AssignmentExpression' ? one.expression : undefined;
    if (given && dottedName(given.left) === name) return bare(given.right);
  }
  return undefined;
}

/** A component written as a function: of its props what is shown, or a function that gives it. Without `props` all attributes are its props, so it is open. */
function readFunctional(
  module: ModuleScope,
  one: Declaration,
  node: FunctionNode,
  file: string,
  problems: Problem[],
  statements: readonly t.Statement[],
): ComponentFacts {
  const declared = newDeclared();
  const setters = new Map<number, number>();
  const body = newBody(module, vueDialect(declared, setters));
  const setup = newSetup({ body, declared, setters });
  const scope = innerScope();
  const props = assignedTo(statements, `${one.name}.props`);
  const emits = assignedTo(statements, `${one.name}.emits`);
  if (props) declareProps(body, declared, props);
  else declared.open = true;
  if (emits) declareEvents(declared, emits);
  const annotation = node.params[0] && annotationOf(node.params[0]);
  if (annotation && !props) declared.propsType = readType(annotation);
  const inner = boundSetup(setup, node, scope);
  const result = resultOf(node);
  const given = result && bare(result);
  if (isFunction(given)) {
    if (node.body.type === 'BlockStatement') readSetup(setup, node.body.body, inner);
    setup.render = { run: given, scope: inner };
  } else setup.render = { run: node, scope: inner, isBound: true };
  const name = one.name === 'default' ? nameOfFile(file) : one.name;
  const markup: VueMarkup = {
    body,
    text: module.text,
    lang: 'js',
    problems,
    event: '$event',
    component: componentsOf(module, new Map(), name),
  };
  return assemble(setup, markup, [], scope, { name, local: one.name, span: one.span, nameSpan: one.nameSpan });
}

/** A composable of the project: what it takes and what it gives. */
export function readComposable(module: ModuleScope, one: Declaration, node: FunctionNode): SharedFact {
  const declared = newDeclared();
  const setters = new Map<number, number>();
  const body = newBody(module, vueDialect(declared, setters));
  const scope = innerScope();
  bindParams(body, node, scope);
  for (const [name, meaning] of scope.names) if (meaning.kind === 'value') scope.names.set(name, { ...meaning, kind: 'box' });
  const setup = newSetup({ body, declared, setters });
  if (node.body.type === 'BlockStatement') readSetup(setup, node.body.body, scope);
  const result = resultOf(node);
  return hookFact(one, body, result ? readingsOf(body, result, scope) : [], declared.provides);
}

/** `createApp(App).use(router).provide(key, value).mount('#app')`. */
function rootsOf(module: ModuleScope, calls: readonly t.CallExpression[], statements: readonly t.Statement[]): RootFact[] {
  const roots: RootFact[] = [];
  const made = calls.filter((call) => /^create(SSR)?App$/.test(calleeName(call) ?? ''));
  const all = made.length > 0 ? surveyed(statements) : [];
  for (const call of made) {
    const [shown, given] = call.arguments;
    const tag = shown && dottedName(bare(shown));
    if (tag === undefined || shown === undefined) continue;
    const body = newBody(module);
    const scope = innerScope();
    const span = spanOf(call);
    const object = given && bare(given);
    const bindings =
      object?.type === 'ObjectExpression'
        ? object.properties.flatMap((one) =>
            one.type === 'ObjectProperty' && keyName(one) !== undefined
              ? [
                  {
                    to: { kind: 'prop' as const, name: keyName(one) ?? '' },
                    written: keyName(one) ?? '',
                    span: spanOf(one),
                    nameSpan: spanOf(one.key),
                    direction: 'in' as const,
                    readings: readingsOf(body, one.value, scope),
                  },
                ]
              : [],
          )
        : [];
    let template = useOf(tag, shown, bindings, []);
    for (const one of all) {
      const [first, second] = one.arguments;
      const method = methodOf(one);
      if (!first || !second) continue;
      const key = method === 'provide' ? keyOf(first) : undefined;
      const at = spanOf(second);
      if (key !== undefined)
        template = useOf(
          key,
          one,
          [
            {
              to: { kind: 'prop', name: 'value' },
              written: 'value',
              span: at,
              nameSpan: at,
              direction: 'in',
              readings: readingsOf(body, second, scope),
            },
          ],
          [template],
        );
    }
    roots.push({ span, mounts: true, template: [template], ...finishBody(body) });
  }
  return [...roots, ...olderRoots(module, statements)];
}

/** A use of a component that no markup writes. */
const useOf = (tag: string, at: t.Node, bindings: TemplateUse['bindings'], children: readonly TemplateUse[]): TemplateUse => ({
  kind: 'use',
  tag,
  span: spanOf(at),
  nameSpan: spanOf(at),
  bindings,
  spreads: [],
  children,
  key: { kind: 'none' },
  content: children.length > 0 ? 'markup' : 'none',
});

/** `new Vue({ router, render: (h) => h(App) }).$mount('#app')`, and the same with a template that is the tag of a component. */
function olderRoots(module: ModuleScope, statements: readonly t.Statement[]): RootFact[] {
  if (!module.text.includes('new Vue')) return [];
  const roots: RootFact[] = [];
  const visit = (node: t.Node): void => {
    const [options] = node.type === 'NewExpression' && dottedName(node.callee) === 'Vue' ? node.arguments : [];
    const shown = options && shownBy(bare(options));
    if (shown) {
      const use = useOf(shown.tag, shown.at, [], []);
      roots.push({ span: spanOf(node), mounts: true, template: [use], ...finishBody(newBody(module)) });
    }
    forEachChild(node, visit);
  };
  statements.forEach(visit);
  return roots;
}

/** The component that options show and nothing else: by `render`, or by a template of its tag alone. */
function shownBy(options: t.Node): { tag: string; at: t.Node } | undefined {
  const render = fieldOf(options, 'render');
  const made = isFunction(render) ? resultOf(render) : undefined;
  const call = made && bare(made);
  const [shown] = call?.type === 'CallExpression' ? call.arguments : [];
  const tag = shown && dottedName(bare(shown));
  if (shown && tag !== undefined) return { tag, at: shown };
  const template = fieldOf(options, 'template');
  const [, only] =
    (template?.type === 'StringLiteral' && /^\s*<([A-Z]\w*|[a-z]+(?:-\w+)*)\s*(?:\/>|><\/\1>)\s*$/.exec(template.value)) || [];
  return template && only ? { tag: pascal(only), at: template } : undefined;
}

function methodOf(call: t.CallExpression): string {
  const { callee } = call;
  return callee.type === 'MemberExpression' && callee.property.type === 'Identifier' ? callee.property.name : '';
}

/** All calls of methods in the statements of a module. */
function surveyed(statements: readonly t.Statement[]): t.CallExpression[] {
  const found: t.CallExpression[] = [];
  const visit = (given: t.Node | null | undefined): void => {
    const node = given && bare(given);
    if (node?.type !== 'CallExpression') return;
    found.push(node);
    if (node.callee.type === 'MemberExpression') visit(node.callee.object);
  };
  for (const one of statements) {
    if (one.type === 'ExpressionStatement') visit(one.expression);
    if (one.type === 'VariableDeclaration') for (const each of one.declarations) visit(each.init);
  }
  return found;
}
