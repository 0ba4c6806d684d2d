import type * as t from '@babel/types';
import type { StoreReading } from '../../../model/facts';
import { isConverted } from '../../../read/script/conversions';
import { modelKey } from '../../../model/member';
import { addCall, addValue, type Body, type Dialect, memberValue, type Effects } from '../../../read/script/body';
import { centralStore } from '../../../read/script/central';
import { channelDialect } from '../../../read/script/channels';
import { keptFunction, readArgs, readExpression, readingsOf } from '../../../read/script/expressions';
import { composableValue, computedFrom } from '../../../read/script/functions';
import { lookUp, type Meaning, type Scope } from '../../../read/script/scope';
import { plainMembersOf } from '../../../read/script/lists';
import { bare, calleeName, dottedName, isFunction, keyName, keyOf, spanOf } from '../../../read/script/syntax';
import { storeReadingOf } from '../../../read/script/store-shapes';
import { type DeclaredMembers, fieldOf } from './contract';
import { eventMember, propMember } from './names';

type Call = t.CallExpression | t.OptionalCallExpression;

/** What the framework's functions give: state or something computed, in a box that opens with `.value` or as it is. */
const states = new Map([
  ['ref', true],
  ['shallowRef', true],
  ['customRef', true],
  ['useTemplateRef', true],
  ['reactive', false],
  ['shallowReactive', false],
]);
/** Functions that give what they are given. */
const transparent = new Set(['readonly', 'shallowReadonly', 'toRaw', 'markRaw', 'unref', 'toValue', 'proxyRefs', 'storeToRefs']);
const framework = /^(vue|@vue\/[\w-]+|vue-demi|#imports|#app|nuxt\/app|@nuxtjs\/composition-api)$/;

/** The framework's function that a call is: imported from it, or not declared in the file where functions are imported by themselves. */
export function apiName(body: Body, call: t.Node, scope: Scope): string | undefined {
  const name = calleeName(call);
  if (name === undefined || (call.type !== 'CallExpression' && call.type !== 'OptionalCallExpression')) return undefined;
  const root = dottedName(call.callee)?.split('.')[0] ?? '';
  const origin = body.module.imported.get(root);
  if (origin) return framework.test(origin.from) ? (root === name ? origin.imported : name) : undefined;
  return body.module.names.has(root) || (root !== 'Vue' && root !== name) || scopeHas(scope, root) ? undefined : name;
}

function scopeHas(scope: Scope, name: string): boolean {
  for (let at: Scope | undefined = scope; at; at = at.outer) if (at.names.has(name)) return true;
  return false;
}

/** Whether a call is one of a function made to be used while a component is set up: `useLevels()`. */
export function isComposable(name: string | undefined): boolean {
  return name !== undefined && /^(use|provide|inject)[A-Z]/.test(name);
}

/** Names under which an application gives something to all its components: `$bus`. */
export const forAll = /^\$[a-z]\w*$/i;

/** What the reading of expressions must know of this framework, for one body with what it declares. */
export function vueDialect(declared: DeclaredMembers, setters: Map<number, number>): Dialect {
  return {
    ...channelDialect,
    call: (body, call, callee, scope, sink) =>
      readEmit(body, call, callee, scope, sink) ||
      readTransparent(body, call, scope, sink) ||
      (channelDialect.call?.(body, call, callee, scope, sink) ?? false),
    onThis: (body, call, path, scope, sink) => {
      if (path[0] !== '$emit') return false;
      raise(body, call, scope, sink);
      return true;
    },
    forAll,
    propsReadOnly: true,
    memberOfProp: propMember,
    hook: (body, call, scope) => madeValue(body, call, scope, setters)?.value,
    write: (body, value, path, from, span, sink) => {
      if (declared.models.has(value)) {
        const key = modelKey(body.values[value]?.name ?? '');
        (sink.raises ??= []).push({ member: key, value: memberValue(body, key, span), optional: true, span, args: [{ readings: from }] });
        return true;
      }
      const setter = setters.get(value);
      const action = setter === undefined ? undefined : body.values[setter]?.action;
      if (setter === undefined || action === undefined || path.length > 0) return false;
      addCall(sink, action);
      (sink.invokes ??= []).push({ span, value: setter, path: [], args: [{ readings: from }] });
      return true;
    },
  };
}

/** `emit('book', boat)`, by whatever name the function goes. */
function readEmit(body: Body, call: Call, { base, path }: { base: t.Node; path: readonly string[] }, scope: Scope, sink: Effects): boolean {
  if (base.type !== 'Identifier') return false;
  const meaning = lookUp(scope, base.name);
  const emits = path.length === 0 ? meaning : meaning?.kind === 'members' ? meaning.of(path[0] ?? '', spanOf(call.callee)) : undefined;
  if (emits?.kind !== 'emits') return false;
  raise(body, call, scope, sink);
  return true;
}

function raise(body: Body, call: Call, scope: Scope, sink: Effects): void {
  const [first, ...rest] = call.arguments;
  const args = readArgs(body, rest, scope, sink);
  const names = first ? textsOf(body, first) : [];
  // Which one is known only while it runs: it may be any.
  if (names.length === 0) body.raisesUnseen = true;
  for (const name of names) {
    const key = eventMember(name);
    (sink.raises ??= []).push({
      member: key,
      value: memberValue(body, key, spanOf(first as t.Node)),
      optional: true,
      span: spanOf(call),
      args,
    });
  }
}

/** The texts that an expression may be, where it tells all of them. */
function textsOf(body: Body, given: t.Node): string[] {
  const node = bare(given);
  switch (node.type) {
    case 'StringLiteral':
      return [node.value];
    case 'TemplateLiteral':
      return node.expressions.length === 0 ? [node.quasis[0]?.value.cooked ?? ''] : [];
    case 'ConditionalExpression':
      return [...textsOf(body, node.consequent), ...textsOf(body, node.alternate)];
    case 'Identifier': {
      const text = body.module.texts.get(node.name);
      return text === undefined ? [] : [text];
    }
    default:
      return [];
  }
}

function readTransparent(body: Body, call: Call, scope: Scope, sink: Effects): boolean {
  const name = apiName(body, call, scope) ?? calleeName(call);
  const [first] = call.arguments;
  if (!name || !transparent.has(name) || !first || (name !== 'storeToRefs' && apiName(body, call, scope) === undefined)) return false;
  readExpression(body, first, scope, 'same', sink);
  return true;
}

type Made = { readonly value: number; readonly boxed: boolean };

/** The value that a call makes when a component is set up; one for each call, however often it is asked for. */
export function madeValue(body: Body, call: t.CallExpression, scope: Scope, setters: Map<number, number>, name?: string): Made | undefined {
  const known = body.hookValues.get(call);
  if (known !== undefined) return { value: known, boxed: true };
  const made = makeValue(body, call, scope, setters, name);
  if (made) body.hookValues.set(call, made.value);
  return made;
}

function makeValue(body: Body, call: t.CallExpression, scope: Scope, setters: Map<number, number>, given?: string): Made | undefined {
  const api = apiName(body, call, scope);
  const span = spanOf(call);
  const [first] = call.arguments;
  const name = given ?? calleeName(call) ?? '';
  const boxed = api === undefined ? undefined : states.get(api);
  if (boxed !== undefined) {
    const from = first && !isFunction(first) ? readingsOf(body, first, scope) : [];
    const shallow = api === 'shallowRef' || api === 'shallowReactive' ? { shallow: true as const } : {};
    return {
      value: addValue(body, {
        name,
        kind: 'state',
        span,
        from,
        ...shallow,
        ...(isConverted(first) ? { converted: true as const } : {}),
        ...(boxed ? {} : { ofObject: true as const }),
        ...plainMembersOf(first),
      }),
      boxed,
    };
  }
  if (api === 'computed' || (api === 'toRef' && isFunction(first)))
    return { value: makeComputed(body, name, first, span, scope, setters), boxed: true };
  if (api === 'inject' && first) return { value: makeTaken(body, name, call, scope), boxed: true };
  const source = dottedName(call.callee);
  if (isStoreHook(body, source)) return { value: centralStore(body, span), boxed: false };
  if (!isComposable(calleeName(call)) || source === undefined) return undefined;
  const value = composableValue(body, name, source, call, scope);
  const facts = body.values[value];
  const gives = readingOfStore(body, source);
  if (facts && gives) facts.gives = gives;
  if (facts?.args)
    facts.args = facts.args.map((arg, at) => (isOpenedFirst(call.arguments[at], scope) ? { ...arg, byValue: true as const } : arg));
  return { value, boxed: true };
}

/** `useStore()` of the package whose store an application has one of. */
const isStoreHook = ({ module }: Body, source: string | undefined): boolean => {
  const origin = source === undefined ? undefined : module.imported.get(source);
  return origin?.from === 'vuex' && origin.imported === 'useStore';
};

/** `useStore(basket)` of the package that hands stores of modules to Vue: what that store holds. */
function readingOfStore({ module }: Body, source: string): StoreReading | undefined {
  const origin = module.imported.get(source);
  return origin?.from === '@nanostores/vue' ? storeReadingOf(origin.imported) : undefined;
}

/** `useName(props.id)`, `useName(id.value)`: what could be followed is read before it is handed in. */
function isOpenedFirst(given: t.Node | undefined, scope: Scope): boolean {
  const node = given && bare(given);
  if (node?.type !== 'MemberExpression' || node.object.type !== 'Identifier') return false;
  const meaning = lookUp(scope, node.object.name);
  return meaning?.kind === 'props' || (meaning?.kind === 'box' && keyName({ key: node.property }) === 'value');
}

/** `computed(() => …)`, `computed({ get, set })`: what it is made from is read when all names are known. */
function makeComputed(
  body: Body,
  name: string,
  given: t.Node | undefined,
  span: { start: number; end: number },
  scope: Scope,
  setters: Map<number, number>,
): number {
  const value = addValue(body, { name, kind: 'derived', span, from: [] });
  const node = given && bare(given);
  const get = fieldOf(node, 'get') ?? node;
  const set = fieldOf(node, 'set');
  body.queue.push(() => {
    const facts = body.values[value];
    if (facts) facts.from = computedFrom(body, get, scope);
  });
  if (isFunction(set)) setters.set(value, keptFunction(body, `set ${name}`, set, scope).value);
  return value;
}

/** `inject(key, fallback)`. */
export function makeTaken(body: Body, name: string, call: t.CallExpression, scope: Scope): number {
  const [key, fallback] = call.arguments;
  const source = key && keyOf(key);
  const from = fallback && !isFunction(fallback) ? readingsOf(body, fallback, scope) : [];
  return addValue(body, {
    name,
    kind: 'context',
    span: spanOf(call),
    from,
    ...(source === undefined ? {} : { source }),
    ...(fallback ? { guarded: true } : { needed: true }),
  });
}

/** The meaning of a name that is bound to what a call makes, or to a part of it. */
export function madeMeaning(made: Made, path: readonly string[]): Meaning {
  return { kind: made.boxed ? 'box' : 'value', value: made.value, path };
}
