import type * as t from '@babel/types';
import type { How, Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addCall, type Body, moduleValue, noteDemanded, noteTest, propOfRest, propValue, type Effects, wholeProps } from './body';
import { type Aliased, lookUp, type Meaning, type Scope, seesModule, unboxed, noteUndeclared } from './scope';
import { bare, keyName, patternNames, spanOf } from './syntax';
import { append } from '../../model/append';

export type Chain = {
  readonly base: t.Node;
  readonly path: string[];
  readonly optional: boolean;
  readonly computed: readonly t.Node[];
  /** What the members are read of is said to be there: `label!.length`. */
  readonly asserted: boolean;
};

const none: readonly never[] = [];

/** What a store holds, `useLevels.getState()`, is meant by the store; all else as it is. */
function openedStore(node: t.Node): t.Node {
  const { callee } = node.type === 'CallExpression' && node.arguments.length === 0 ? node : { callee: undefined };
  return callee?.type === 'MemberExpression' && keyName({ key: callee.property, computed: callee.computed }) === 'getState'
    ? bare(callee.object)
    : node;
}

/** `a.b?.[c].d` → base `a`, path `b`, `*`, `d`; and the computed keys to be read on their own. */
export function memberChain(node: t.Node): Chain {
  const path: string[] = [];
  let computed: t.Node[] | undefined;
  let optional = false;
  let asserted = false;
  let at = bare(node);
  while (at.type === 'MemberExpression' || at.type === 'OptionalMemberExpression') {
    if (at.type === 'OptionalMemberExpression' && at.optional) optional = true;
    if (at.computed && at.property.type !== 'StringLiteral' && at.property.type !== 'NumericLiteral') {
      path.push('*');
      (computed ??= []).push(at.property);
    } else path.push(keyName({ key: at.property, computed: false }) ?? '*');
    asserted = at.object.type === 'TSNonNullExpression';
    at = openedStore(bare(at.object));
  }
  path.reverse();
  return { base: at, path, optional, computed: computed ?? none, asserted };
}

/** `a` is the reading of a whole; what is done with it on the way makes it less. */
export function weaken(inner: How, outer: How): How {
  if (inner === 'called') return inner;
  if (outer === 'same' || outer === 'part') return inner === 'same' ? outer : inner;
  return outer === 'spread' && inner !== 'computed' ? 'spread' : outer === 'item' && inner === 'computed' ? 'item' : outer;
}

export function howOf(path: readonly string[], how: How): How {
  if (path.length === 0 || (how !== 'same' && how !== 'part')) return how;
  return path.includes('*') ? 'item' : 'part';
}

/** The readings of one part of what is made of others: what a pattern takes out of it. */
export function partsOf(readings: readonly Reading[], path: readonly string[]): Reading[] {
  return readings.map((one) => {
    const whole = one.held ? one.path : [...one.path, ...path];
    return { ...one, path: whole, how: one.how === 'same' || one.how === 'part' ? howOf(whole, one.how) : one.how };
  });
}

/** Pushes the readings that a name stands for, with the members read from it. */
export function readMeaning(body: Body, given: Meaning, members: readonly string[], how: How, span: Span, sink: Effects): void {
  const { meaning, path } = unboxed(given, members);
  switch (meaning.kind) {
    case 'value': {
      const whole = meaning.path.length === 0 ? path : [...meaning.path, ...path];
      const ofRest = propOfRest(body, meaning.value, whole, span);
      if (ofRest) {
        sink.reads.push({ ...ofRest, how: howOf(ofRest.path, how), span });
        break;
      }
      sink.reads.push({ value: meaning.value, path: whole, how: howOf(whole, how), span });
      const value = body.values[meaning.value];
      if (value?.action !== undefined) addCall(sink, value.action);
      if (value?.kind === 'rest') {
        const [name] = whole;
        if (name === undefined || name === '*') body.restTargets.push({ kind: 'unknown', tag: '' });
        else if (!body.restNames.has(name)) body.restNames.set(name, span);
      }
      break;
    }
    case 'props': {
      const [first, ...rest] = path;
      if (first === undefined || first === '*') {
        body.propsEscape = true;
        sink.reads.push({ value: wholeProps(body, span), path, how: howOf(path, how), span });
      } else sink.reads.push({ value: propValue(body, first, span), path: rest, how: howOf(rest, how), span });
      break;
    }
    case 'local':
      for (const one of meaning.readings) {
        sink.reads.push({ value: one.value, path: [...one.path, ...path], how: weaken(one.how, howOf(path, how)), span, ...marksOf(one) });
      }
      break;
    case 'function':
      if (meaning.value !== undefined) sink.reads.push({ value: meaning.value, path: [], how, span });
      addCall(sink, meaning.action);
      break;
    case 'markup':
      for (const one of meaning.readings) sink.reads.push({ ...one, how: 'computed', span });
      break;
    case 'members': {
      const [first, ...rest] = path;
      if (first !== undefined) readMeaning(body, meaning.of(first, span), rest, how, span, sink);
      break;
    }
    case 'gives':
    case 'writes':
    case 'calledGives':
    case 'commands':
      break;
    case 'position':
      sink.position = true;
      break;
    case 'emits':
      body.raisesUnseen = true;
      break;
    case 'box':
    case 'opaque':
  }
}

/** What `this.x.y` stands for in a class, and the members after it. */
export function ownMeaning(
  body: Body,
  path: readonly string[],
  scope: Scope,
  span?: Span,
): { readonly meaning: Meaning; readonly path: readonly string[]; readonly ofState?: true } | undefined {
  const props = path[0] === 'props' ? lookUp(scope, 'this.props') : undefined;
  if (props) return { meaning: props, path: path.slice(1) };
  if (path[0] === 'state' && path[1] !== undefined) {
    const meaning = body.own?.(`state.${path[1]}`);
    if (meaning) return { meaning, path: path.slice(2), ofState: true };
  }
  const meaning = path[0] === undefined ? undefined : body.own?.(path[0], span);
  return meaning && { meaning, path: path.slice(1) };
}

export function readName(body: Body, name: string, path: readonly string[], how: How, node: t.Node, scope: Scope, sink: Effects): void {
  const span = spanOf(node);
  const meaning = lookUp(scope, name, span);
  if (meaning) readMeaning(body, meaning, path, how, span, sink);
  else if (body.module.names.has(name) && seesModule(scope)) {
    sink.reads.push({ value: moduleValue(body, name, span), path, how: howOf(path, how), span });
  } else noteUndeclared(scope, { name, span, ...(path.length > 0 ? { ofMember: true } : {}) });
}

/** The value that a name holds as it is: its own, or that of a member of the instance that was taken into it. */
function standsFor(body: Body, meaning: Meaning | undefined): number | undefined {
  if (meaning?.kind === 'value' || meaning?.kind === 'box') return meaning.value;
  const [only, ...more] = meaning?.kind === 'local' && body.own ? meaning.readings : [];
  return only?.how === 'same' && only.path.length === 0 && more.length === 0 ? only.value : undefined;
}

/** Notes that a member of a name is read, or of one of its members, without asking whether it is there. */
export function demand(body: Body, name: string, { path, asserted }: Pick<Chain, 'path' | 'asserted'>, scope: Scope, span: Span): void {
  const meaning = lookUp(scope, name);
  if (asserted && (meaning?.kind === 'value' || meaning?.kind === 'box') && !body.asserted.has(meaning.value))
    body.asserted.set(meaning.value, span);
  const value = meaning && 'path' in meaning && meaning.path.length > 0 ? undefined : standsFor(body, meaning);
  if (value !== undefined) noteDemanded(body, value, span);
  else if (meaning?.kind === 'props' && path.length > 1 && path[0] !== '*') noteDemanded(body, propValue(body, path[0] ?? '', span), span);
}

/** Notes the values whose presence a condition asks for: `a`, `!a`, `a != null`, `a && b`, `a?.has(b)`. */
export function noteTested(body: Body, test: t.Node, scope: Scope): number[] {
  const node = bare(test);
  switch (node.type) {
    case 'Identifier': {
      const value = standsFor(body, lookUp(scope, node.name));
      if (value === undefined) return [];
      noteTest(body, value, spanOf(node));
      return [value];
    }
    case 'MemberExpression':
    case 'OptionalMemberExpression': {
      const { base, path } = memberChain(node);
      if (base.type === 'ThisExpression') {
        const own = path.length === 1 ? ownMeaning(body, path, scope, spanOf(node)) : undefined;
        if (own?.meaning.kind !== 'value' || own.meaning.path.length > 0) return [];
        noteTest(body, own.meaning.value, spanOf(node));
        return [own.meaning.value];
      }
      if (base.type !== 'Identifier') return [];
      const meaning = lookUp(scope, base.name);
      if (meaning?.kind === 'box' && path[0] === 'value' && path.length === 1) {
        noteTest(body, meaning.value, spanOf(node));
        return [meaning.value];
      }
      if (meaning?.kind === 'props' && path.length === 1) {
        const value = propValue(body, path[0] as string, spanOf(node));
        noteTest(body, value, spanOf(node));
        return [value];
      }
      return [];
    }
    case 'UnaryExpression':
      return noteTested(body, node.argument, scope);
    case 'BinaryExpression':
      return [...noteTested(body, node.left, scope), ...noteTested(body, node.right, scope)];
    case 'LogicalExpression':
      return [...noteTested(body, node.left, scope), ...noteTested(body, node.right, scope)];
    case 'CallExpression':
      return node.arguments.flatMap((argument) => noteTested(body, argument, scope));
    case 'OptionalCallExpression': {
      // `a?.startsWith(b)` gives nothing where there is no `a`.
      const { base, optional } = memberChain(node.callee);
      return [...(optional ? noteTested(body, base, scope) : []), ...node.arguments.flatMap((one) => noteTested(body, one, scope))];
    }
    default:
      return [];
  }
}

/** Binds the names of a pattern to parts of some readings; `same` is what they are other names for, where that is told. */
export function bindLocal(pattern: t.Node, readings: readonly Reading[], scope: Scope, same?: Aliased): void {
  for (const found of patternNames(pattern)) {
    scope.names.set(found.name, {
      kind: 'local',
      readings: readings.map((one) => ({ ...one, path: [...one.path, ...found.path], how: weaken(one.how, howOf(found.path, 'same')) })),
      ...(same ? { same: { ...same, path: [...same.path, ...found.path] } } : {}),
    });
  }
}

/** Methods of lists that give one of the items, and those that give a list of the same items. */
const givesItem = new Set(['find', 'findLast', 'at', 'pop', 'shift']);
const givesItems = new Set(['filter', 'slice', 'sort', 'toSorted', 'reverse', 'toReversed', 'concat', 'values']);

/** `list.find(…).open`, `list.filter(…)[0].open`: what is found is an item of the list. */
export function foundChain(chain: Chain): Chain {
  const { base, path } = chain;
  if ((base.type !== 'CallExpression' && base.type !== 'OptionalCallExpression') || path.length === 0) return chain;
  const callee = memberChain(base.callee);
  const list = callee.path.slice(0, -1);
  const method = callee.path.at(-1) ?? '';
  if (givesItem.has(method)) return foundChain({ ...callee, path: [...list, '*', ...path] });
  // The list that these give is another one: only what its items hold is the same.
  const isItem = path.length > 1 && (path[0] === '*' || /^\d+$/.test(path[0] ?? ''));
  return isItem && givesItems.has(method) ? foundChain({ ...callee, path: [...list, '*', ...path.slice(1)] }) : chain;
}

/** Other names for the same are followed this far. */
const mostAliases = 6;

/**
 * What a chain of members comes to through locals that are other names for the same object:
 * `row.open` after `const row = rows.find(…)` is `rows.*.open`. The chain itself where its root is no such name.
 */
export function unaliased(given: Chain, scope: Scope): { readonly chain: Chain; readonly scope: Scope } {
  let chain = foundChain(given);
  let at = scope;
  for (let count = 0; count < mostAliases && chain.base.type === 'Identifier' && chain.path.length > 0; count++) {
    const meaning = lookUp(at, chain.base.name);
    if (meaning?.kind !== 'local' || !meaning.same) break;
    const { node, path, scope: declared } = meaning.same;
    const source = memberChain(node);
    chain = foundChain({ ...source, path: [...source.path, ...path, ...chain.path] });
    at = declared;
  }
  return { chain, scope: at };
}

/** What a reading stays in whatever it enters: the latest value, or what only decides. */
export const marksOf = ({ latest, decides, takenAt }: Reading): Pick<Reading, 'latest' | 'decides' | 'takenAt'> => ({
  ...(takenAt ? { takenAt } : {}),
  ...(latest ? { latest } : {}),
  ...(decides ? { decides } : {}),
});

/** Adds what an inner expression does; its readings count as `how` at most. */
export function mergeInto(sink: Effects, inner: Effects, how: How): void {
  for (const read of inner.reads) {
    sink.reads.push(
      how === 'same' ? read : { value: read.value, path: read.path, how: weaken(read.how, how), span: read.span, ...marksOf(read) },
    );
  }
  if (inner.changes) append((sink.changes ??= []), inner.changes);
  if (inner.raises) append((sink.raises ??= []), inner.raises);
  if (inner.calls) append((sink.calls ??= []), inner.calls);
  if (inner.invokes) append((sink.invokes ??= []), inner.invokes);
  if (inner.sends) append((sink.sends ??= []), inner.sends);
  if (inner.hears) append((sink.hears ??= []), inner.hears);
  if (inner.position) sink.position = true;
}
