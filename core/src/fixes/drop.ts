import { markupOf } from '../frameworks/registry';
import type { Component } from '../model/model';
import { type MemberKey, memberName } from '../model/member';
import { bindingFor } from '../model/given';
import { followedReads, putFirst, refuseChanged } from './body';
import { dropProp, memberReads, takenProps } from './contract';
import { dropUnusedImports } from './imports';
import { bindingSpan, statementSpan } from './lists';
import { CannotWrite, type Rewrite } from './rewrite';
import { endOf, indentAt, type Source, startOf } from './source';
import { refuseLetters } from './written';

/** Takes a prop from all who give it. Throws where a component may be given it unseen. */
function takeFromUses(rewrite: Rewrite, component: Component, prop: MemberKey): void {
  if (component.isPublic) throw new CannotWrite(`${component.name} may be used outside the project.`);
  for (const use of rewrite.model.usesOf.get(component.id) ?? []) {
    const owner = rewrite.model.components.get(use.owner);
    if (!owner) continue;
    const source = rewrite.source(owner, use.file);
    if (use.node.spreads.some((spread) => spread.span.end > use.node.nameSpan.end))
      throw new CannotWrite(`${use.file} may give it by a spread.`);
    const binding = bindingFor(use.node, prop);
    if (binding) rewrite.put(source, bindingSpan(source, binding), '');
  }
}

/** The edits by which a prop that is read nowhere goes: from its component, and from all who give it. */
export function dropEverywhere(rewrite: Rewrite, component: Component, prop: MemberKey): void {
  dropProp(rewrite, component, prop);
  takeFromUses(rewrite, component, prop);
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
}

/**
 * What all uses of a component give for a prop, as code; undefined where none gives it. Throws where
 * they differ, and where script would read the letters of a text otherwise than markup does.
 */
function givenBy({ model }: Rewrite, component: Component, prop: MemberKey): string | undefined {
  const given = (model.usesOf.get(component.id) ?? []).map(({ node }) => bindingFor(node, prop));
  const [first] = given;
  if (given.some((one) => one?.constant !== first?.constant || (one && one.constant === undefined)))
    throw new CannotWrite(`${memberName(prop)} is not the same in all places.`);
  const constant = first?.constant;
  if (constant !== undefined) refuseLetters([constant]);
  if (constant !== undefined && /^["'].*\\/s.test(constant)) throw new CannotWrite(`${constant} says another thing in script.`);
  return constant;
}

/** Whether a name is held against other values: TypeScript says of a constant that it never is one of them. */
function isCompared({ text }: Source, local: string, all: string | undefined): boolean {
  const name = `(?:${all === undefined ? '' : `${all}\\.`})?${local}\\b`;
  return new RegExp(`(?<![\\w$.])${name}\\s*[!=]==?|[!=]==?\\s*${name}|\\bswitch\\s*\\(\\s*${name}`).test(text);
}

/** The edits by which a prop that has one value alone becomes a constant of its component. Throws where its value is not written. */
export function settle(rewrite: Rewrite, component: Component, prop: MemberKey): void {
  const given = givenBy(rewrite, component, prop);
  const source = rewrite.source(component);
  const taken = takenProps(source, component);
  const { local, fallback, type } = dropProp(rewrite, component, prop);
  const value = given ?? fallback;
  if (value === undefined) throw new CannotWrite('What it switches would have to go with it, which is not seen with certainty.');
  if (given === undefined && markupOf(component.framework) === 'directives' && !taken.pattern && /=>|^(?:async\s+)?function\b/.test(value))
    throw new CannotWrite(`The default of ${memberName(prop)} is made anew for each ${component.name}.`);
  refuseChanged(source, component, memberName(prop), local);
  const kept = source.isTyped && type !== undefined && isCompared(source, local, taken.all) ? ` as ${type}` : '';
  const line = `const ${local} = ${value.replace(/^"([^"'\\]*)"$/, "'$1'")}${kept};`;
  if (markupOf(component.framework) === 'expression') {
    const reads = taken.all === undefined ? [] : memberReads(source, taken.all, memberName(prop));
    for (const read of reads) rewrite.put(source, { start: startOf(read), end: endOf(read) }, local);
    putFirst(rewrite, source, component, [line]);
  } else if (taken.statement) {
    if (markupOf(component.framework) === 'directives') followedReads(rewrite, source, taken.all, memberName(prop), local, '');
    rewrite.insert(source, statementSpan(source, taken.statement).end, `${indentAt(source.text, startOf(taken.statement))}${line}\n`);
  }
  takeFromUses(rewrite, component, prop);
  for (const opened of rewrite.opened()) dropUnusedImports(rewrite, opened);
}
