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
    if (path.length > 0) noteDemanded(body, value, span);
    const fallback = path.length === 0 && found.fallback ? { fallback: excerpt(body.module, spanOf(found.fallback)) } : {};
    const key = propMember(body, prop);
    if (!body.taken.has(key)) body.taken.set(key, { span: found.key ? spanOf(found.key) : span, ...fallback });
  }
}
