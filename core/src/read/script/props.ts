import type * as t from '@babel/types';
import { addValue, type Body, excerpt, noteDemanded, propMember, propValue } from './body';
import type { Scope } from './scope';
import { patternNames, spanOf } from './syntax';

/** Binds the names of a pattern that takes the props object apart, or its one name. */
export function bindProps(body: Body, pattern: t.Node, scope: Scope): void {
  const target = pattern.type === 'AssignmentPattern' ? pattern.left : pattern;
  if (target.type === 'Identifier') {
    scope.names.set(target.name, { kind: 'props' });
    return;
  }
  for (const found of patternNames(target)) {
    const span = spanOf(found.node);
    const [prop, ...path] = found.path;
    if (found.rest && path.length === 0) {
      const value = addValue(body, { name: found.name, kind: 'rest', span, from: [] });
      body.restOfProps.add(value);
      scope.names.set(found.name, { kind: 'value', value, path: [] });
      if (prop === undefined) continue;
    }
    if (prop === undefined || prop === '*') {
      body.propsEscape = true;
      scope.names.set(found.name, { kind: 'opaque' });
      continue;
    }
    const value = propValue(body, prop, span);
    scope.names.set(found.name, { kind: 'value', value, path });
    const held = body.values[value];
    if (held && path.length === 0 && found.name !== held.name) held.alias ??= found.name;
    if (path.length > 0) noteDemanded(body, value, span);
    const fallback = path.length === 0 && found.fallback ? { fallback: excerpt(body.module, spanOf(found.fallback)) } : {};
    const key = propMember(body, prop);
    if (!body.taken.has(key)) body.taken.set(key, { span: found.key ? spanOf(found.key) : span, ...fallback });
  }
}

/**
 * Binds the names of a pattern that takes the props object apart once, where what is taken does not follow the props:
 * each is a value of its own from then on.
 */
export function takeProps(body: Body, pattern: t.Node, scope: Scope): void {
  bindProps(body, pattern, scope);
  if (pattern.type !== 'ObjectPattern') return;
  for (const found of patternNames(pattern)) {
    const meaning = scope.names.get(found.name);
    const isProp = meaning?.kind === 'value' && body.values[meaning.value]?.kind === 'prop';
    if (!isProp || found.fallback) continue;
    const span = spanOf(found.node);
    const how = meaning.path.length > 0 ? 'part' : 'same';
    const value = addValue(body, {
      name: found.name,
      kind: 'derived',
      span,
      from: [{ value: meaning.value, path: meaning.path, how, span }],
      once: true,
    });
    scope.names.set(found.name, { kind: 'value', value, path: [] });
  }
}
