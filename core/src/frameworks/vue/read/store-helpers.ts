import type * as t from '@babel/types';
import { addValue, type Body } from '../../../read/script/body';
import { centralStore } from '../../../read/script/central';
import { computedFrom } from '../../../read/script/functions';
import { type Meaning, type Scope } from '../../../read/script/scope';
import { ownValue } from '../../../model/own-value';
import { bare, calleeName, dottedName, isFunction, keyName, spanOf } from '../../../read/script/syntax';

/** Functions whose result is spread into options: each makes members that stand for members of a store. */
const memberHelpers = new Set(['mapState', 'mapWritableState', 'mapGetters', 'mapActions']);

/**
 * What a call adds to `computed` or `methods`, where it is made from stores: `...mapState(useLevels, ['now'])`,
 * `...mapActions(useLevels, { note: 'record' })`, `...mapStores(useLevels)`. Names with what each stands for;
 * undefined for any other call, and where no store is named.
 */
export function takenFromStores(body: Body, given: t.Node, scope: Scope): ReadonlyMap<string, Meaning> | undefined {
  const call = bare(given);
  const helper = call.type === 'CallExpression' ? calleeName(call) : undefined;
  if (call.type !== 'CallExpression' || helper === undefined) return undefined;
  if (helper === 'mapStores') return new Map(call.arguments.flatMap((one) => wholeStore(body, one)));
  const centralized = takenFromCentral(body, call, helper, scope);
  if (centralized) return centralized;
  const [store, taken] = call.arguments;
  if (!memberHelpers.has(helper) || !store || !taken) return undefined;
  const value = storeValue(body, store);
  if (value === undefined) return undefined;
  const found = new Map<string, Meaning>();
  const list = bare(taken);
  if (list.type === 'ArrayExpression') {
    for (const one of list.elements) if (one?.type === 'StringLiteral') found.set(one.value, { kind: 'value', value, path: [one.value] });
  }
  if (list.type === 'ObjectExpression') {
    for (const property of list.properties) {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      const node = property.type === 'ObjectProperty' ? bare(property.value) : property;
      if (name === undefined) continue;
      if (node.type === 'StringLiteral') found.set(name, { kind: 'value', value, path: [node.value] });
      else if (isFunction(node)) found.set(name, selected(body, name, node, { value, path: [] }, scope));
    }
  }
  return found;
}

/** What a helper gives of the application's one store, by its name: the member of the store under which its names stand. */
const ofCentral: Readonly<Record<string, 'state' | 'getters' | 'commit' | 'dispatch'>> = {
  mapState: 'state',
  mapGetters: 'getters',
  mapMutations: 'commit',
  mapActions: 'dispatch',
};

/** Helpers that are made for one part of the store: `const { mapState } = createNamespacedHelpers('boats')`. */
function partOfHelper(text: string, helper: string): string | undefined {
  for (const [, names = '', part] of text.matchAll(/\{([^{}]*)\}\s*=\s*createNamespacedHelpers\(\s*['"]([^'"]+)['"]/g))
    if (names.split(',').some((one) => (one.split(':')[1] ?? one).trim() === helper)) return part;
  return undefined;
}

/**
 * `...mapState('boats', ['list'])`, `...mapMutations({ pick: 'boats/pick' })`: what is taken of the application's one store.
 * Undefined for helpers of other stores, and where names of a part are not told.
 */
function takenFromCentral(body: Body, call: t.CallExpression, helper: string, scope: Scope): ReadonlyMap<string, Meaning> | undefined {
  const member = ownValue(ofCentral, body.module.imported.get(helper)?.imported ?? helper);
  const made = partOfHelper(body.module.text, helper);
  if (!member || (made === undefined && body.module.imported.get(helper)?.from !== 'vuex')) return undefined;
  const said = call.arguments.map((one) => bare(one));
  const first = said[0]?.type === 'StringLiteral' ? said[0].value : undefined;
  const given = first === undefined ? said[0] : said[1];
  const part = made ?? first?.replace(/\/$/, '');
  const store = centralStore(body, spanOf(call));
  const at = (name: string): readonly string[] =>
    member === 'state' ? ['state', ...(part?.split('/') ?? []), name] : [member, part === undefined ? name : `${part}/${name}`];
  const found = new Map<string, Meaning>();
  const put = (name: string, of: t.StringLiteral): void => {
    const taken = { value: store, path: at(of.value) };
    const span = spanOf(of);
    const isHeld = member === 'state' || member === 'getters';
    const value = isHeld ? addValue(body, { name, kind: 'derived', span, from: [{ ...taken, how: 'part', span }] }) : undefined;
    found.set(name, value === undefined ? { kind: 'value', ...taken } : { kind: 'value', value, path: [] });
  };
  if (given?.type === 'ArrayExpression')
    for (const one of given.elements) if (one?.type === 'StringLiteral') put(one.value.split('/').at(-1) ?? one.value, one);
  for (const property of given?.type === 'ObjectExpression' ? given.properties : []) {
    const name = property.type === 'SpreadElement' ? undefined : keyName(property);
    const node = property.type === 'ObjectProperty' ? bare(property.value) : property;
    if (name === undefined) continue;
    if (node.type === 'StringLiteral') put(name, node);
    else if (isFunction(node) && member === 'state')
      found.set(name, selected(body, name, node, { value: store, path: ['state', ...(part?.split('/') ?? [])] }, scope));
  }
  return found;
}

/** The store that a helper is handed, as a value of the body; undefined for what is no name. */
function storeValue(body: Body, given: t.Node): number | undefined {
  const source = dottedName(given);
  if (source === undefined || !body.module.names.has(source.split('.')[0] ?? '')) return undefined;
  return addValue(body, { name: source, kind: 'hook', span: spanOf(given), from: [], source });
}

/** `mapStores(useLevels)`: the store as a whole, under its id and a suffix. */
function wholeStore(body: Body, given: t.Node): [string, Meaning][] {
  const source = dottedName(given);
  const value = storeValue(body, given);
  const id = source && /^use([A-Z]\w*?)(Store)?$/.exec(source)?.[1];
  if (value === undefined || !id) return [];
  return [[`${id.charAt(0).toLowerCase()}${id.slice(1)}Store`, { kind: 'value', value, path: [] }]];
}

/** `mapState(useLevels, { last: (levels) => levels.all.at(-1) })`: computed from the store that it is handed. */
function selected(
  body: Body,
  name: string,
  node: t.Node,
  store: { readonly value: number; readonly path: readonly string[] },
  scope: Scope,
): Meaning {
  const value = addValue(body, { name, kind: 'derived', span: spanOf(node), from: [] });
  body.queue.push(() => {
    const facts = body.values[value];
    if (facts && isFunction(node)) facts.from = computedFrom(body, node, scope, { kind: 'value', ...store });
  });
  return { kind: 'value', value, path: [] };
}
