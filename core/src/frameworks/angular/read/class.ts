import type * as t from '@babel/types';
import type { MemberFact, Reading, ValueFact } from '../../../model/facts';
import { eventKey, propKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { TypeExpr } from '../../../model/types';
import { annotatedType } from '../../../read/elements/types';
import { calledByForm, controlMade, firstValues, isControlType, isFieldOfForm } from './forms';
import {
  type ClassMember,
  type ClassNode,
  type ClassRules,
  decoratorsOf,
  isStatic,
  membersOf,
  readElementClass,
  type ReadClass,
  type Role,
} from '../../../read/elements/class';
import {
  addAction,
  addValue,
  type Body,
  excerpt,
  fillAction,
  memberValue,
  moduleValue,
  newEffects,
  propValue,
} from '../../../read/script/body';
import { readArgs, readExpression, readingsOf } from '../../../read/script/expressions';
import { computedFrom } from '../../../read/script/functions';
import { makesCollection } from '../../../read/script/lists';
import type { Meaning } from '../../../read/script/scope';
import { annotationOf, bare, dottedName, forEachChild, isFunction, keyName, spanOf } from '../../../read/script/syntax';
import { readType } from '../../../read/script/types';
import { apiCall, apiName, holdsSignal, streamName } from './api';
import { injected, injectedBy } from './inject';

const lifecycle =
  /^(?:constructor|ngOnInit|ngOnDestroy|ngOnChanges|ngDoCheck|ngAfterContentInit|ngAfterContentChecked|ngAfterViewInit|ngAfterViewChecked)$/;

/** Something that markup between the tags of a component, or its own, is asked for. */
export type Query = {
  readonly name: string;
  readonly value: number;
  readonly selector: string;
  readonly ofContent: boolean;
  readonly isTemplate: boolean;
};

/** A class of the framework as it has been read. */
export type AngularClass = ReadClass & {
  readonly contract: MemberFact[];
  /** Names of fields that are opened by a call. */
  readonly signals: ReadonlySet<string>;
  readonly queries: readonly Query[];
};

/** The members of a class of the framework become values and actions of a body. */
export function readAngularClass(body: Body, node: ClassNode, hasBases: boolean): AngularClass {
  const { module } = body;
  const fields = membersOf(node).filter((one) => !isStatic(one));
  const signals = new Set(
    fields.flatMap((one) => {
      const name = keyName(one);
      return name !== undefined && holdsSignal(module, valueIn(one)) ? [name] : [];
    }),
  );
  openSignals(node, signals);
  const made = new Map(
    fields.flatMap((one): [string, Made][] => {
      const name = keyName(one);
      const found = name === undefined ? undefined : madeBy(body, one);
      return name !== undefined && found ? [[name, found]] : [];
    }),
  );
  const rules: ClassRules = {
    roleOf: (name, members) => (made.has(name) ? { kind: 'own' } : roleOf(name, members)),
    lifecycle,
    gives: () => false,
    field: 'state',
    follows: 'nothing',
    inherited: new Set(),
    unknown: hasBases ? 'inherited' : 'nothing',
  };
  const contract: MemberFact[] = [];
  const queries: Query[] = [];
  const injections = readParameters(body, node);
  const read = readElementClass(body, node, rules);
  for (const { name, meaning, isMember } of injections) {
    read.scope.names.set(name, meaning);
    if (isMember) read.own.set(name, meaning);
  }
  for (const one of fields) {
    const name = keyName(one);
    const found = name === undefined ? undefined : made.get(name);
    if (name !== undefined && found) declare(body, read, one, name, found, contract, queries);
  }
  for (const one of fields) keepOnce(body, read, one);
  for (const one of fields) noteControl(body, read, one);
  if (isFieldOfForm(body.module.text))
    for (const action of body.actions) {
      const when = calledByForm(action.name);
      if (when !== undefined) action.when ??= when;
    }
  return { ...read, contract: [...read.members.values(), ...contract], signals, queries };
}

/** Whether an expression opens a signal where it stands: not in a function that runs later, nor as the seed of what something else makes. */
function opensNow(node: t.Node): boolean {
  if ((node as { isOpened?: true }).isOpened) return true;
  if (isFunction(node) || seeds.has(node.type)) return false;
  if (node.type === 'CallExpression') {
    const { callee } = node;
    if (callee.type === 'MemberExpression' && opensNow(callee.object)) return true;
    return isOfLanguage(callee) && node.arguments.some(opensNow);
  }
  let found = false;
  forEachChild(node, (child) => {
    found ||= opensNow(child);
  });
  return found;
}

/** What holds a value from here on by itself: forms, drafts. */
const seeds = new Set(['NewExpression', 'ObjectExpression']);

/** What computes, and keeps nothing. */
const isOfLanguage = (callee: t.Node): boolean =>
  (callee.type === 'Identifier' && /^(?:Number|String|Boolean)$/.test(callee.name)) ||
  (callee.type === 'MemberExpression' &&
    callee.object.type === 'Identifier' &&
    /^(?:Math|Object|Array|JSON|Number|String)$/.test(callee.object.name));

/** `this.levels.highest()`, `inject(Levels).highest()`: it may open a signal of a service. */
function asksService(node: t.Node): boolean {
  if (node.type !== 'CallExpression' || node.arguments.length > 0 || node.callee.type !== 'MemberExpression') return false;
  const { object } = node.callee;
  return object.type === 'CallExpression'
    ? object.callee.type === 'Identifier' && object.callee.name === 'inject'
    : object.type === 'MemberExpression' && object.object.type === 'ThisExpression';
}

/** A field that is computed from what a signal holds when the class is made, and that nothing writes, keeps that. */
function keepOnce(body: Body, { own, written }: ReadClass, member: ClassMember): void {
  const name = keyName(member);
  const init = valueIn(member);
  const meaning = name === undefined ? undefined : own.get(name);
  const value = meaning?.kind === 'value' ? body.values[meaning.value] : undefined;
  if (name === undefined || !init || value?.kind !== 'state' || value.observable || written.has(name)) return;
  if (opensNow(init)) Object.assign(value, { kind: 'derived', once: true });
  // Whether it opens one is for the class of the service to say.
  else if (asksService(init)) Object.assign(value, { once: true });
}

const valueIn = (member: ClassMember): t.Node | undefined =>
  member.type === 'ClassMethod' || member.type === 'ClassPrivateMethod' ? undefined : (member.value ?? undefined);

/** `this.term()` → `this.term`, for all fields that are opened by a call. */
function openSignals(node: t.Node, signals: ReadonlySet<string>): void {
  if (signals.size === 0) return;
  const stack: t.Node[] = [node];
  for (let at = stack.pop(); at; at = stack.pop()) {
    if (at.type === 'CallExpression' && at.arguments.length === 0) {
      const { callee } = at;
      const isOwn = callee.type === 'MemberExpression' && callee.object.type === 'ThisExpression' && !callee.computed;
      if (isOwn && signals.has(keyName({ key: callee.property }) ?? ''))
        Object.assign(at, {
          isOpened: true,
          type: 'MemberExpression',
          object: callee.object,
          property: callee.property,
          computed: false,
        });
    }
    forEachChild(at, (child) => stack.push(child));
  }
}

/** What the options of a decorator or a call say under a name. */
function optionOf(given: t.Node | undefined, name: string): t.Node | undefined {
  const node = given && bare(given);
  if (node?.type !== 'ObjectExpression') return undefined;
  for (const one of node.properties) if (one.type === 'ObjectProperty' && keyName(one) === name) return bare(one.value);
  return undefined;
}

const textOf = (node: t.Node | undefined): string | undefined => (node?.type === 'StringLiteral' ? node.value : undefined);

/** A field that the framework gives its meaning. */
type Made =
  | {
      readonly kind: 'input' | 'model';
      readonly as: string;
      readonly isRequired: boolean;
      readonly first?: t.Node;
      readonly type?: TypeExpr;
    }
  | { readonly kind: 'output'; readonly as: string; readonly stream?: t.Node }
  | {
      readonly kind: 'signal' | 'computed' | 'linked' | 'stream' | 'injected' | 'resource' | 'emitter' | 'subject' | 'effect';
      readonly call: t.CallExpression | t.NewExpression;
      readonly first?: t.Node;
    }
  /** A control of a form. */
  | { readonly kind: 'control'; readonly call: t.CallExpression | t.NewExpression }
  /** Another name for something of the module: `protected readonly levels = levels`. */
  | { readonly kind: 'alias'; readonly of: t.Identifier }
  | { readonly kind: 'query'; readonly selector: string; readonly ofContent: boolean; readonly isTemplate: boolean };

/** What makes a field of a class; undefined for an ordinary one. */
function madeBy(body: Body, member: ClassMember): Made | undefined {
  const { module } = body;
  const name = keyName(member) ?? '';
  const decorators = decoratorsOf(member);
  const output = decorators.get('Output');
  const value = valueIn(member);
  if (output) {
    const as = textOf(output[0] && bare(output[0])) ?? name;
    const isEmitter = !value || bare(value).type === 'NewExpression';
    return { kind: 'output', as, ...(isEmitter || !value ? {} : { stream: value }) };
  }
  const query = [...decorators].find(([one]) => /^(?:View|Content)Child(?:ren)?$/.test(one));
  if (query) {
    const [which, [selector, options]] = query;
    return queryOf(which, selector, options, annotatedType(member));
  }
  if (!value || decorators.has('Input')) return undefined;
  const node = bare(value);
  const control = controlMade(module, node);
  if (control) return { kind: 'control', call: control };
  if (isAlias(body, member, node)) return { kind: 'alias', of: node };
  if (node.type === 'NewExpression') {
    const maker = streamName(module, node.callee);
    const [first] = node.arguments;
    const given = first ? { first } : {};
    if (apiName(module, node.callee) === 'EventEmitter') return { kind: 'emitter', call: node };
    return maker !== undefined && /Subject$/.test(maker) ? { kind: 'subject', call: node, ...given } : undefined;
  }
  const found = apiCall(module, node);
  if (!found) return isStream(body, node) ? { kind: 'stream', call: node as t.CallExpression } : undefined;
  const { api, call } = found;
  const [first, second] = call.arguments;
  const given = first ? { first } : {};
  switch (api) {
    case 'input':
    case 'input.required':
    case 'model':
    case 'model.required': {
      const isRequired = api.endsWith('required');
      const as = textOf(optionOf(isRequired ? first : second, 'alias')) ?? name;
      const transform = optionOf(isRequired ? first : second, 'transform');
      const type = transform ? undefined : declaredType(call, isRequired ? undefined : first);
      return { kind: api.startsWith('model') ? 'model' : 'input', as, isRequired, ...(isRequired ? {} : given), ...(type ? { type } : {}) };
    }
    case 'output':
      return { kind: 'output', as: textOf(optionOf(first, 'alias')) ?? name };
    case 'outputFromObservable':
      return { kind: 'output', as: textOf(optionOf(second, 'alias')) ?? name, ...(first ? { stream: first } : {}) };
    case 'signal':
      return { kind: 'signal', call, ...given };
    case 'computed':
      return { kind: 'computed', call, ...given };
    case 'linkedSignal':
      return { kind: 'linked', call, ...given };
    case 'toSignal':
    case 'toObservable':
      return { kind: 'stream', call };
    case 'inject':
      return injected(call) ? { kind: 'injected', call } : undefined;
    case 'effect':
      return { kind: 'effect', call };
    case 'resource':
    case 'rxResource':
    case 'httpResource':
      return { kind: 'resource', call, ...given };
    default: {
      const which = /^(view|content)(Child|Children)(?:\.required)?$/.exec(api);
      return which
        ? queryOf(`${which[1] === 'view' ? 'View' : 'Content'}${which[2] ?? ''}`, first, second, declaredType(call, undefined))
        : undefined;
    }
  }
}

/** A field that nothing writes and that stands for a value of this module or another one. */
function isAlias({ module }: Body, member: ClassMember, node: t.Node): node is t.Identifier {
  const isReadonly = member.type === 'ClassProperty' && member.readonly === true;
  return (
    isReadonly &&
    node.type === 'Identifier' &&
    /^[a-z_$]/.test(node.name) &&
    module.names.has(node.name) &&
    !module.functions.has(node.name)
  );
}

/** A field that holds what comes of a stream, or the stream itself in another guise. */
function isStream({ module }: Body, node: t.Node): boolean {
  if (node.type !== 'CallExpression') return false;
  if (streamName(module, node.callee) !== undefined) return true;
  const method = node.callee.type === 'MemberExpression' ? keyName({ key: node.callee.property }) : undefined;
  return method !== undefined && /^(?:pipe|asObservable|asReadonly)$/.test(method);
}

function queryOf(which: string, selector: t.Node | undefined, options: t.Node | undefined, type: TypeExpr | undefined): Made {
  const given = selector && bare(selector);
  const name = textOf(given) ?? (given && dottedName(given)) ?? '';
  const read = optionOf(options, 'read');
  const isTemplate =
    name === 'TemplateRef' ||
    (read !== undefined && dottedName(read) === 'TemplateRef') ||
    (type !== undefined && mentions(type, 'TemplateRef'));
  return { kind: 'query', selector: name, ofContent: which.startsWith('Content'), isTemplate };
}

function mentions(type: TypeExpr, name: string): boolean {
  if (type.kind === 'ref') return type.name === name || type.args.some((one) => mentions(one, name));
  return type.kind === 'union' && type.of.some((one) => mentions(one, name));
}

/** `input<string>()`, `input('Save')`: the type that is told, or that of the first value where it is a plain one. */
function declaredType(call: t.CallExpression, first: t.Node | undefined): TypeExpr | undefined {
  const holder = call as { typeParameters?: t.Node | null; typeArguments?: t.Node | null };
  const given = holder.typeArguments ?? holder.typeParameters;
  if (given?.type === 'TSTypeParameterInstantiation')
    return given.params[0] && given.params.length === 1 ? readType(given.params[0]) : undefined;
  const value = first && bare(first);
  const plain = /^(String|Numeric|Boolean)Literal$/.exec(value?.type ?? '')?.[1];
  return plain ? { kind: 'primitive', name: plain === 'Numeric' ? 'number' : plain.toLowerCase() } : undefined;
}

/** `@Input({ alias, required, transform })`, on a field or a setter. */
function roleOf(name: string, members: readonly ClassMember[]): Role | undefined {
  const decorators = new Map(members.flatMap((one) => [...decoratorsOf(one)]));
  const input = decorators.get('Input');
  if (!input) return undefined;
  const [first] = input;
  const as = textOf(first && bare(first)) ?? textOf(optionOf(first, 'alias')) ?? name;
  const required = optionOf(first, 'required');
  const isRequired = required?.type === 'BooleanLiteral' && required.value;
  const isConverted = optionOf(first, 'transform') !== undefined || members.some((one) => one.type === 'ClassMethod');
  const type = isConverted ? undefined : members.map((one) => annotatedType(one)).find((one) => one !== undefined);
  return { kind: 'prop', as, member: { required: isRequired ? 'yes' : 'no', ...(type ? { type } : {}) } };
}

function declare(
  body: Body,
  read: ReadClass,
  member: ClassMember,
  name: string,
  made: Made,
  contract: MemberFact[],
  queries: Query[],
): void {
  const span = spanOf(member.key);
  const { own, scope } = read;
  const stands = (value: number): void => {
    own.set(name, { kind: 'value', value, path: [] });
  };
  const later = (value: number, from: () => readonly Reading[]): void => {
    stands(value);
    body.queue.push(() => {
      const facts = body.values[value];
      if (facts) facts.from = from();
    });
  };
  const add = (facts: Omit<ValueFact, 'name' | 'span' | 'from'>): number => addValue(body, { name, span, from: [], ...facts });
  switch (made.kind) {
    case 'input':
    case 'model': {
      stands(declareInput(body, made, span, contract));
      return;
    }
    case 'output':
      stands(declareOutput(body, read, made, span, contract));
      return;
    case 'signal': {
      const { first } = made;
      later(
        add({ kind: 'state', observable: true, shallow: true, ...(first && makesCollection(first) ? { collection: true } : {}) }),
        () => (first ? readingsOf(body, first, scope) : []),
      );
      return;
    }
    case 'subject': {
      const { first } = made;
      later(add({ kind: 'state', observable: true, shallow: true }), () => (first ? readingsOf(body, first, scope) : []));
      return;
    }
    case 'emitter':
      stands(add({ kind: 'state', observable: true, shallow: true }));
      return;
    case 'control': {
      const { call } = made;
      const value = add({ kind: 'state', observable: true, shallow: true, isControl: true });
      later(value, () => firstValues(call).flatMap((one) => readingsOf(body, one, scope)));
      return;
    }
    case 'computed': {
      const { first } = made;
      later(add({ kind: 'derived', tracked: true }), () => computedFrom(body, first && bare(first), scope));
      return;
    }
    case 'linked': {
      const { first } = made;
      const run = first && (optionOf(first, 'computation') ?? bare(first));
      const source = optionOf(first, 'source');
      later(add({ kind: 'state', observable: true, shallow: true }), () => [
        ...(source ? computedFrom(body, source, scope) : []),
        ...computedFrom(body, run, scope),
      ]);
      return;
    }
    case 'alias':
      stands(moduleValue(body, made.of.name, spanOf(made.of)));
      return;
    case 'stream':
      later(add({ kind: 'derived' }), () => streamFrom(body, made.call, scope));
      return;
    case 'resource': {
      const { first } = made;
      const what = excerpt(body.module, spanOf(made.call), 40);
      later(add({ kind: 'fetched', origin: { kind: 'fetch', what } }), () => (first ? readsWithin(body, first, scope) : []));
      return;
    }
    case 'injected': {
      const token = injected(made.call as t.CallExpression);
      if (!token) return;
      const value = add({ kind: 'context', ...token.facts });
      body.hookValues.set(made.call, value);
      stands(value);
      return;
    }
    case 'effect': {
      own.set(name, { kind: 'opaque' });
      body.queue.push(() => readExpression(body, made.call, scope, 'computed', newEffects()));
      return;
    }
    case 'query': {
      const value = add({ kind: 'ref' });
      stands(value);
      queries.push({ name, value, selector: made.selector, ofContent: made.ofContent, isTemplate: made.isTemplate });
    }
  }
}

/** `form!: FormGroup`: a control that is made later. */
function noteControl(body: Body, { own }: ReadClass, field: ClassMember): void {
  const type = annotatedType(field);
  const meaning = own.get(keyName(field) ?? '');
  const value = meaning?.kind === 'value' && meaning.path.length === 0 ? body.values[meaning.value] : undefined;
  if (value?.kind === 'state' && type?.kind === 'ref' && isControlType(body.module, type.name)) value.isControl = true;
}

type MadeOf<K extends Made['kind']> = Extract<Made, { readonly kind: K }>;

/** What is given from outside, and of a model the event of its change, too; its value in the body. */
function declareInput(body: Body, made: MadeOf<'input' | 'model'>, span: Span, contract: MemberFact[]): number {
  const value = propValue(body, made.as, span);
  const facts = body.values[value];
  if (facts) facts.observable = true;
  const fallback = made.first && excerpt(body.module, spanOf(made.first));
  const isGiven = fallback !== undefined && !/^(?:undefined|null)$/.test(fallback);
  contract.push({
    key: propKey(made.as),
    name: made.as,
    span,
    kind: 'value',
    required: made.isRequired ? 'yes' : 'no',
    ...(isGiven ? { fallback } : {}),
    ...(made.type ? { type: made.type } : {}),
  });
  if (made.kind === 'model') {
    const key = eventKey(`${made.as}Change`);
    (body.asksChange ??= new Map()).set(value, memberValue(body, key, span));
    contract.push({ key, name: `${made.as}Change`, span, kind: 'callback', required: 'no' });
  }
  return value;
}

/** What is told to the outside; one that is made of a stream tells what that gives. Its value in the body. */
function declareOutput(body: Body, { scope }: ReadClass, made: MadeOf<'output'>, span: Span, contract: MemberFact[]): number {
  const key = eventKey(made.as);
  const value = memberValue(body, key, span);
  contract.push({ key, name: made.as, span, kind: 'callback', required: 'no' });
  const { stream } = made;
  if (stream) {
    const action = addAction(body, made.as, 'effect', spanOf(stream));
    body.queue.push(() => {
      const sink = newEffects();
      const args = readArgs(body, [stream], scope, sink);
      sink.raises = [...(sink.raises ?? []), { member: key, value, optional: true, span: spanOf(stream), args }];
      fillAction(body, action, sink);
    });
  }
  return value;
}

/** What a stream is made of; all that is done on the way is done by an action of its own. */
function streamFrom(body: Body, call: t.CallExpression | t.NewExpression, scope: ReadClass['scope']): Reading[] {
  const sink = newEffects();
  readExpression(body, call, scope, 'same', sink);
  const does = sink.changes ?? sink.raises ?? sink.invokes ?? sink.calls;
  if (does) {
    const action = addAction(body, 'stream', 'computation', spanOf(call));
    Object.assign(body.actions[action] ?? {}, { when: 'when the stream gives a value' });
    fillAction(body, action, { ...sink, returns: undefined });
  }
  return sink.reads;
}

function readsWithin(body: Body, node: t.Node, scope: ReadClass['scope']): Reading[] {
  const sink = newEffects();
  readExpression(body, node, scope, 'computed', sink);
  return sink.reads.map((one): Reading => ({ ...one, how: one.how === 'called' ? 'called' : 'computed' }));
}

/** What the constructor asks for: by the type of a parameter, or the token that a decorator names. */
function readParameters(body: Body, node: ClassNode): { readonly name: string; readonly meaning: Meaning; readonly isMember: boolean }[] {
  const found: { name: string; meaning: Meaning; isMember: boolean }[] = [];
  const built = node.body.body.find((one): one is t.ClassMethod => one.type === 'ClassMethod' && one.kind === 'constructor');
  for (const parameter of built?.params ?? []) {
    const inner = parameter.type === 'TSParameterProperty' ? parameter.parameter : parameter;
    const id = inner.type === 'AssignmentPattern' ? inner.left : inner;
    if (id.type !== 'Identifier') continue;
    const decorators = decoratorsOf(parameter as { decorators?: t.Decorator[] | null });
    const [token] = decorators.get('Inject') ?? [];
    const type = annotationOf(id);
    const key = token ? dottedName(bare(token)) : type?.type === 'TSTypeReference' ? dottedName(type.typeName) : undefined;
    const flags = new Set([...decorators.keys()].map((one) => one.charAt(0).toLowerCase() + one.slice(1)));
    const span: Span = { start: id.start ?? 0, end: (id.start ?? 0) + id.name.length };
    const value =
      key === undefined
        ? addValue(body, { name: id.name, kind: 'param', span, from: [] })
        : addValue(body, { name: id.name, kind: 'context', span, from: [], ...injectedBy(key, flags).facts });
    found.push({ name: id.name, meaning: { kind: 'value', value, path: [] }, isMember: parameter.type === 'TSParameterProperty' });
  }
  return found;
}
