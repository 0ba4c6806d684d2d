import type * as t from '@babel/types';
import { addValue, type Body } from '../../../read/script/body';
import { computedFrom } from '../../../read/script/functions';
import { type Meaning, type Scope } from '../../../read/script/scope';
import { bare, calleeName, dottedName, isFunction, keyName, spanOf } from '../../../read/script/syntax';

/** Functions whose result is spread into options: each makes members that stand for members of a store. */
const memberHelpers = new Set(['mapState', 'mapWritableState', 'mapGetters', 'mapActions']);

/**
 * What a spread of `computed` or `methods` adds, where it is made from stores: `...mapState(useLevels, ['now'])`,
 * `...mapActions(useLevels, { note: 'record' })`, `...mapStores(useLevels)`. Names with what each stands for;
 * undefined for any other spread, and where no store is named.
 */
export function takenFromStores(body: Body, spread: t.SpreadElement, scope: Scope): ReadonlyMap<string, Meaning> | undefined {
  const call = bare(spread.argument);
  const helper = call.type === 'CallExpression' ? calleeName(call) : undefined;
  if (call.type !== 'CallExpression' || helper === undefined) return undefined;
  if (helper === 'mapStores') return new Map(call.arguments.flatMap((one) => wholeStore(body, one)));
  const [store, given] = call.arguments;
  if (!memberHelpers.has(helper) || !store || !given) return undefined;
  const value = storeValue(body, store);
  if (value === undefined) return undefined;
  const found = new Map<string, Meaning>();
  const list = bare(given);
  if (list.type === 'ArrayExpression') {
    for (const one of list.elements) if (one?.type === 'StringLiteral') found.set(one.value, { kind: 'value', value, path: [one.value] });
  }
  if (list.type === 'ObjectExpression') {
    for (const property of list.properties) {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      const node = property.type === 'ObjectProperty' ? bare(property.value) : property;
      if (name === undefined) continue;
      if (node.type === 'StringLiteral') found.set(name, { kind: 'value', value, path: [node.value] });
      else if (isFunction(node)) found.set(name, selected(body, name, node, value, scope));
    }
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
function selected(body: Body, name: string, node: t.Node, store: number, scope: Scope): Meaning {
  const value = addValue(body, { name, kind: 'derived', span: spanOf(node), from: [] });
  body.queue.push(() => {
    const facts = body.values[value];
    if (facts && isFunction(node)) facts.from = computedFrom(body, node, scope, { kind: 'value', value: store, path: [] });
  });
  return { kind: 'value', value, path: [] };
}
