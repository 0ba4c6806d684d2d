import type * as t from '@babel/types';
import type { ComponentFacts, MemberFact, NameFact } from '../../../model/facts';
import { propKey } from '../../../model/member';
import { literalPattern } from '../../../model/literal-pattern';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { alwaysRun, setAgain } from '../../../read/elements/always';
import { basesOf, type DeclaredClass } from '../../../read/elements/bases';
import {
  type ClassRules,
  decoratorsOf,
  functionOf,
  membersOf,
  namesOf,
  readElementClass,
  type ReadClass,
} from '../../../read/elements/class';
import { contractEvents, slotMembers, unmentionedOf } from '../../../read/elements/contract';
import { provided, slotsOf } from '../../../read/markup/contract';
import { addValue, type Body, type Dialect, newBody, newEffects, propValue } from '../../../read/script/body';
import { readExpression, readingsOf } from '../../../read/script/expressions';
import { mergeInto } from '../../../read/script/names';
import type { ReadModule } from '../../../read/script/plain';
import { innerScope } from '../../../read/script/scope';
import { bare, dottedName, type FunctionNode, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { readAttributeReads } from './attributes';
import { readContexts, setOnProvider } from './contexts';
import { handleOfSelector, type Handles, handlesDialect, newHandles, parentsIn, settleHandles } from './handles';
import { type ElementMarkup, holdsTagged, markupOfBlock, markupOf } from './markup';
import { type Declared, declaredBy, roleOf } from './roles';

/** What the base classes of the framework give beside what every element has. */
const inherited: ReadonlySet<string> = new Set(
  'renderRoot renderOptions updateComplete isUpdatePending hasUpdated requestUpdate performUpdate scheduleUpdate getUpdateComplete addController removeController enableUpdating internals form validity validationMessage willValidate'.split(
    ' ',
  ),
);

const lifecycle =
  /^(?:constructor|connectedCallback|disconnectedCallback|adoptedCallback|attributeChangedCallback|connectedMoveCallback|firstUpdated|updated|willUpdate|update|shouldUpdate|render|createRenderRoot|form\w+Callback|hostConnected|hostDisconnected|hostUpdate|hostUpdated)$/;

const platformBase = /^(?:HTML\w*Element|LitElement|ReactiveElement|UpdatingElement)$/;

/** What reading script must know of a class: what it makes and holds, and what it raises on itself. */
function dialectOf(markup: () => ElementMarkup, handles: Handles): Dialect {
  const own = handlesDialect(markup, handles);
  return {
    ...own,
    raisesOnSelf: true,
    propsWritable: true,
    call: (body, call, callee, scope, sink) => {
      const set = setOnProvider(body, call);
      if (set) {
        const inner = newEffects();
        if (set.given) readExpression(body, set.given, scope, 'same', inner);
        (sink.changes ??= []).push({ value: set.value, span: spanOf(call), how: 'set', from: [...inner.reads] });
        mergeInto(sink, inner, 'computed');
        return true;
      }
      return readAttributeReads(body, call, scope, sink) || (own.call?.(body, call, callee, scope, sink) ?? false);
    },
  };
}

/** What is the same for the classes of all elements. */
const elementRules: Pick<ClassRules, 'lifecycle' | 'holdsParts' | 'field' | 'isOwn' | 'inherited'> = {
  lifecycle,
  holdsParts: true,
  field: 'state',
  isOwn: (given) => given.type === 'NewExpression' && /^Context(?:Provider|Consumer)$/.test(dottedName(given.callee) ?? ''),
  inherited,
};

/** Reads a class whose instances are elements. */
export function readElement(
  read: ReadModule,
  one: DeclaredClass,
  stored: ReadonlyMap<string, t.Node>,
  constants: ReadonlyMap<string, t.Node>,
  name: string,
): ComponentFacts {
  const { module, program } = read;
  const { node } = one;
  const { start, end } = spanOf(node);
  const text = module.text.slice(start, end);
  const declared = declaredBy(node, text);
  const bases = basesOf(node, one.hole).filter((base) => !platformBase.test(base.split('.').at(-1) ?? ''));
  const isInheriting = bases.length > 0 || one.hole !== undefined;
  // Of an element of the platform alone nothing is made anew: it draws by itself, whenever it sees fit.
  const isDrawing = !declared.isReactive && !isInheriting;
  const handles = newHandles(stored, parentsIn(node));
  const methods = markupMethods(node);
  const body = newBody(
    module,
    dialectOf(() => markup, handles),
  );
  body.root = declared.root;
  const outer = innerScope();
  const markup: ElementMarkup = {
    body,
    text: module.text,
    lang: 'ts',
    problems: read.facts.problems as ElementMarkup['problems'],
    event: 'event',
    methods,
    constants,
    outer,
    slotted: new WeakMap(),
    showing: new Set(),
    handleOf: (given, scope) => {
      const [reading] = readingsOf(body, given, scope);
      const facts = reading && body.values[reading.value];
      if (facts?.kind === 'state') facts.kind = 'ref';
      return reading && reading.path.length === 0 ? { ...reading, path: ['value'] } : undefined;
    },
  };
  const ofClass = readElementClass(body, node, {
    ...elementRules,
    roleOf: roleOf(declared, one.hole !== undefined, /\.[cm]?tsx?$/.test(read.facts.file)),
    gives: (method) => methods.has(method),
    follows: declared.isReactive ? 'assignment' : 'nothing',
    unknown: isInheriting ? 'inherited' : 'outside',
  });
  const gives = readContexts(body, node, ofClass, program, one.name);
  declareProperties(body, ofClass, declared);
  readQueries(body, handles, node, ofClass);
  readObserved(body, ofClass, declared);
  const rendered = renderedBy(markup, methods, ofClass);
  const component = assembleComponent(body, (raises) => {
    const template = [...rendered, ...handles.template];
    settleHandles(body, handles, template);
    const slots = declared.root === 'light' && !isInheriting ? [] : slotsOf(template);
    return {
      name,
      local: one.name,
      span: spanOf(node),
      nameSpan: one.nameSpan,
      form: 'element',
      openness: 'closed',
      through: [],
      template: provided(gives, template),
      slots,
      members: [
        ...ofClass.members.values(),
        ...attributeMembers(body, ofClass, declared),
        ...contractEvents(raises, ofClass.members),
        ...slotMembers(slots),
      ],
      eventName: (member) => member.name,
    };
  });
  alwaysRun(component, ofClass, body, /^(?:connectedCallback|firstUpdated|constructor)$/);
  const full: Writable<ComponentFacts> = {
    ...component,
    element: {
      root: declared.root,
      attributes: attributesOf(body, ofClass, declared),
      keepsContent: true,
      ...namesOf(ofClass),
      ...(one.hole === undefined ? {} : { isAbstract: true as const }),
      ...(isDrawing || /\brequestUpdate\b/.test(text) ? { rendersByHand: true as const } : {}),
    },
  };
  const again = declared.isReactive ? setAgain(component, ofClass, /^updated$/) : [];
  if (again.length > 0) full.again = again;
  if (bases.length > 0) full.bases = bases;
  const undeclared = isInheriting ? [] : undeclaredOf(ofClass, text);
  if (undeclared.length > 0) full.undeclared = undeclared;
  const unmentioned = unmentionedOf([...ofClass.members.values()], [text]);
  if (unmentioned.length > 0) full.unmentioned = unmentioned;
  return full;
}

/** Members that the class asks itself for and declares nowhere, each with the event that it is to hear. `text` is the class's own. */
function undeclaredOf({ asked }: ReadClass, text: string): NameFact[] {
  return [...asked].map(([name, span]): NameFact => {
    const heard = new RegExp(`addEventListener\\(\\s*(['"])([\\w:.-]+)\\1\\s*,\\s*this\\.${literalPattern(name)}\\s*[,)]`).exec(text)?.[2];
    return { name, span, ofSelf: true, mayBeGiven: true, ...(heard === undefined ? {} : { listener: heard }) };
  });
}

/** Methods and getters whose result is markup. */
function markupMethods(node: DeclaredClass['node']): Map<string, FunctionNode> {
  const found = new Map<string, FunctionNode>();
  for (const member of membersOf(node)) {
    const name = keyName(member);
    const fn = member.static ? undefined : functionOf(member);
    if (name !== undefined && fn && isFunction(fn) && holdsTagged(fn) && gives(fn)) found.set(name, fn);
  }
  return found;
}

/** Something comes back from it: a method that paints by itself gives nothing. */
function gives(fn: FunctionNode): boolean {
  if (fn.body.type !== 'BlockStatement') return holdsTagged(fn.body) && !(bare(fn.body).type === 'CallExpression' && !holdsReturn(fn.body));
  let found = false;
  const visit = (nodes: readonly t.Statement[]): void => {
    for (const one of nodes) {
      if (one.type === 'ReturnStatement' && one.argument) found = true;
      else if (one.type === 'IfStatement') visit([one.consequent, ...(one.alternate ? [one.alternate] : [])]);
      else if (one.type === 'BlockStatement') visit(one.body);
      else if (one.type === 'SwitchStatement') for (const each of one.cases) visit(each.consequent);
    }
  };
  visit(fn.body.body);
  return found;
}

const holdsReturn = (node: t.Node): boolean => {
  const call = bare(node);
  return !(call.type === 'CallExpression' && call.callee.type === 'Identifier' && call.callee.name === 'render');
};

/** Properties that are declared and given no first value. */
function declareProperties(body: Body, read: ReadClass, { properties }: Declared): void {
  for (const [name, property] of properties) {
    if (read.own.has(name)) continue;
    const value = property.isState
      ? addValue(body, { name, kind: 'state', span: property.span, from: [], shallow: true })
      : propValue(body, name, property.span);
    read.own.set(name, { kind: 'value', value, path: [] });
    if (!property.isState)
      read.members.set(name, {
        key: propKey(name),
        name,
        span: property.span,
        kind: 'value',
        required: 'unknown',
        ...(property.type ? { type: property.type } : {}),
      });
  }
}

/** What the platform hands to `attributeChangedCallback` is what the observed attributes are given. */
function readObserved(body: Body, read: ReadClass, { observed }: Declared): void {
  const changed = read.own.get('attributeChangedCallback');
  if (observed.length === 0) return;
  const camel = (name: string): string => name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
  const values = observed.flatMap((name) => {
    if (name !== name.toLowerCase()) return [];
    const known = read.own.get(camel(name));
    if (known?.kind === 'value' && known.path.length === 0 && body.values[known.value]?.kind === 'prop') return [known.value];
    return known ? [] : [propValue(body, name, changed?.kind === 'function' ? spanOf(changed.node) : { start: 0, end: 0 })];
  });
  if (changed?.kind !== 'function') return;
  const span = spanOf(changed.node);
  body.queue.push(() => {
    for (const param of body.values)
      if (param.kind === 'param' && param.of === changed.action && param.position === 2)
        param.from = values.map((value) => ({ value, path: [], how: 'same', span }));
  });
}

/** `@query('#field') field`: a handle on an element of the own markup. */
function readQueries(body: Body, handles: Handles, node: DeclaredClass['node'], read: ReadClass): void {
  for (const member of membersOf(node)) {
    const name = keyName(member);
    const decorators = decoratorsOf(member);
    if (name === undefined || ![...decorators.keys()].some((one) => one.startsWith('query'))) continue;
    const [selector] = decorators.get('query') ?? [];
    // Several elements, or those in a slot: which they are the class does not say.
    if (selector?.type !== 'StringLiteral') read.own.set(name, { kind: 'opaque' });
    else {
      const value = handleOfSelector(body, handles, selector.value, spanOf(member.key));
      read.own.set(name, { kind: 'value', value, path: [] });
    }
  }
}

/** The markup that the method `render` gives, and what other methods that give markup show which nothing calls. */
function renderedBy(markup: ElementMarkup, methods: ReadonlyMap<string, FunctionNode>, read: ReadClass): ReturnType<typeof markupOf> {
  const render = methods.get('render');
  if (!render) return [];
  const scope = innerScope(read.scope);
  return render.body.type === 'BlockStatement' ? markupOfBlock(markup, render.body.body, scope) : markupOf(markup, render.body, scope);
}

/** The properties by the attributes that set them. */
function attributesOf(body: Body, read: ReadClass, { properties, observed }: Declared): Record<string, string> {
  const found: Record<string, string> = {};
  for (const [name, { attribute }] of properties) if (attribute !== undefined) found[attribute] = name;
  const camel = (name: string): string => name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
  for (const name of observed) {
    // The platform asks for names in lower case, whatever is written.
    if (name === name.toLowerCase()) found[name] ??= read.members.has(camel(name)) ? camel(name) : name;
  }
  for (const name of body.attributeReads ?? []) found[name] ??= read.members.has(camel(name)) ? camel(name) : name;
  return found;
}

/** Attributes that the class reads by their names, and that no property stands for. */
function attributeMembers(body: Body, read: ReadClass, declared: Declared): MemberFact[] {
  const attributes = attributesOf(body, read, declared);
  const known = new Set([...read.members.keys(), ...[...declared.properties].flatMap(([name, { isState }]) => (isState ? [] : [name]))]);
  // A name with capitals is one that the platform never tells of.
  const missed = declared.observed.filter((name) => name !== name.toLowerCase());
  return [...new Set([...Object.values(attributes), ...missed])].flatMap((name): MemberFact[] => {
    if (known.has(name)) return [];
    const at = body.values.find((value) => value.kind === 'prop' && value.name === name);
    const isMissed = missed.includes(name);
    return [{ key: propKey(name), name, span: at?.span ?? read.span, kind: 'value', required: isMissed ? 'no' : 'unknown' }];
  });
}
