import type * as t from '@babel/types';
import type { Reading, ValueFact, ValueKind } from '../../model/facts';
import type { Span } from '../../model/span';
import { type Body, type Effects, moduleValue, propValue } from './body';
import { type Chain, howOf, memberChain, ownMeaning, unaliased } from './names';
import { lookUp, type Meaning, type Scope, unboxed } from './scope';
import { spanOf } from './syntax';

/** `state.x = …`, `local = …`: a change of a value of the body, where it is one. */
export function noteWrite(body: Body, target: t.Node, scope: Scope, span: Span, from: readonly Reading[], sink: Effects): void {
  noteChainWrite(body, memberChain(target), scope, span, from, sink);
}

export function noteChainWrite(body: Body, written: Chain, given: Scope, span: Span, from: readonly Reading[], sink: Effects): void {
  const { chain, scope } = unaliased(written, given);
  const { base } = chain;
  const own = base.type === 'ThisExpression' ? ownMeaning(body, chain.path, scope, span) : undefined;
  if (base.type !== 'Identifier' && !own) return;
  const name = base.type === 'Identifier' ? base.name : '';
  const found = own ? own.meaning : lookUp(scope, name);
  const { meaning, path } = found ? unboxed(found, own ? own.path : chain.path) : { meaning: found, path: chain.path };
  if (!meaning && body.module.names.has(name)) {
    const value = moduleValue(body, name, spanOf(base));
    (sink.changes ??= []).push({ value, span, how: path.length > 0 ? 'in-place' : 'assign', from, ...(path.length > 0 ? { path } : {}) });
    return;
  }
  const isParam = meaning?.kind === 'value' && body.values[meaning.value]?.kind === 'param';
  if (meaning && path.length === 0 && name !== '' && (meaning.kind === 'local' || isParam)) {
    rebind(scope, name, meaning, from);
    return;
  }
  const [prop, ...members] = path;
  if (meaning?.kind === 'props' && prop !== undefined && prop !== '*') {
    const how = members.length > 0 ? 'in-place' : 'assign';
    const to = members.length > 0 ? { path: members } : { toProps: true as const };
    (sink.changes ??= []).push({ value: propValue(body, prop, span), span, how, from, ...to });
  }
  if (meaning?.kind !== 'value') return;
  const value = body.values[meaning.value];
  if (!value || body.dialect.write?.(body, meaning.value, [...meaning.path, ...path], from, span, sink)) return;
  if (value.kind === 'derived' && path.length === 0) {
    value.from = [...value.from, ...from];
    if (value.plain) (sink.changes ??= []).push({ value: meaning.value, span, how: 'assign', from });
  } else if (value.unfollowed) {
    (sink.changes ??= []).push({ value: meaning.value, span, how: 'in-place', from, path: [...meaning.path, ...path] });
    return;
  } else if (value.kind === 'derived')
    value.from = [
      ...value.from,
      ...from.map((one): Reading => ({ ...one, how: 'computed', held: { at: path, how: one.held?.how ?? one.how } })),
    ].slice(0, 40);
  const whole = [...meaning.path, ...path];
  // The box that is followed, and not what it holds.
  const isBoxItself = found?.kind === 'box' && found.path.length === 0 && !own && chain.path.length === 0;
  // A member of the object of all state is set by what sets state, and not by hand.
  const isByHand = own?.ofState === true && !body.rendersOnDemand;
  if (value.kind === 'prop' && !body.dialect.propsWritable && (own || body.dialect.propsReadOnly) && whole.length === 0) {
    (sink.changes ??= []).push({ value: meaning.value, span, how: 'assign', from, toProps: true });
    return;
  }
  if (!takesWrites.has(value.kind) && (whole.length === 0 || !sharesItsInside(value))) return;
  (sink.changes ??= []).push({
    value: meaning.value,
    span,
    how: whole.length > 0 || isByHand ? 'in-place' : 'assign',
    from,
    ...(whole.length > 0 ? { path: whole } : {}),
    ...(chain === written ? {} : { byAlias: true as const }),
    ...(whole.length === 0 && (value.ofObject || isBoxItself) ? { replaces: true as const } : {}),
  });
}

/** A local, or a parameter, is given another value: from here on it may be either, and is another name for nothing. */
function rebind(scope: Scope, name: string, meaning: Meaning, from: readonly Reading[]): void {
  const span: Span = { start: 0, end: 0 };
  const before: readonly Reading[] =
    meaning.kind === 'local'
      ? meaning.readings
      : meaning.kind === 'value'
        ? [{ value: meaning.value, path: meaning.path, how: howOf(meaning.path, 'same'), span: from[0]?.span ?? span }]
        : [];
  const readings = [...before, ...from.filter((one) => !before.includes(one))].slice(0, 20);
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    if (!at.names.has(name)) continue;
    at.names.set(name, { kind: 'local', readings });
    return;
  }
}

const takesWrites: ReadonlySet<ValueKind> = new Set<ValueKind>(['state', 'ref', 'prop', 'store', 'module', 'item']);

/** A value that is a part of another, or is handed in: who writes to its inside writes to that. */
function sharesItsInside({ kind, from, once }: ValueFact): boolean {
  if (kind === 'handed' || kind === 'context' || kind === 'hook' || kind === 'param') return true;
  return kind === 'derived' && from.some(({ how, held }) => !held && (how === 'item' || how === 'part' || (once && how === 'same')));
}
