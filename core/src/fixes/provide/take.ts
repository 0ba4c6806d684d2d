import { adapterOf, markupOf } from '../../frameworks/registry';
import type { Component } from '../../model/model';
import { type MemberKey, memberName } from '../../model/member';
import type { MemberStep } from '../../rules';
import { followedReads, freeName, putFirst, refuseChanged } from '../body';
import { dropEvent, dropProp, memberReads, type PropText, takenProps } from '../contract';
import { putAfterImports } from '../imports';
import { statementSpan } from '../lists';
import { CannotWrite, type Rewrite } from '../rewrite';
import { pascal } from '../written';
import { endOf, indentAt, type Source, startOf } from '../source';
import { type Chain, topicOf } from './chain';

/** Who takes from the context: what it calls it, and what its declaration said. */
type Taking = { readonly component: Component; readonly link: MemberStep };

/** Lets a component take what was its prop, or what raises its event, from the context. */
export function take(chain: Chain, { component, link }: Taking, context: string, typed: Map<string, string>): void {
  const { rewrite, isEvent } = chain;
  const source = rewrite.source(component);
  if (component.isPublic) throw new CannotWrite(`${component.name} may be used outside the project.`);
  if (isEvent && markupOf(component.framework) === 'directives') {
    takeHandler(chain, component, link.prop, context);
    return;
  }
  const prop = dropProp(rewrite, component, link.prop);
  const name = memberName(link.prop);
  refuseChanged(source, component, name, prop.local);
  if (markupOf(component.framework) === 'expression') takeInReact(rewrite, source, component, prop, context, typed, name);
  else if (markupOf(component.framework) === 'directives') takeInVue(chain, source, component, prop, context, name);
  else takeInSvelte(rewrite, source, component, prop, context);
}

function takeInReact(
  rewrite: Rewrite,
  source: Source,
  component: Component,
  prop: PropText,
  context: string,
  typed: Map<string, string>,
  name: string,
): void {
  if (source.isTyped && prop.type === undefined)
    throw new CannotWrite(`The type of ${name} in ${component.name} is not written where it is taken.`);
  const { all } = takenProps(source, component);
  if (all !== undefined)
    for (const read of memberReads(source, all, name)) rewrite.put(source, { start: startOf(read), end: endOf(read) }, prop.local);
  typed.set(component.file, source.isTyped ? (prop.type ?? '') : '');
  rewrite.need(source, 'useContext', adapterOf(source.framework).write.package);
  const call = `const ${prop.local} = useContext(${context})`;
  if (prop.fallback !== undefined) putFirst(rewrite, source, component, [`${call} ?? ${prop.fallback};`]);
  else if (prop.optional || !source.isTyped) putFirst(rewrite, source, component, [`${call};`]);
  else
    putFirst(rewrite, source, component, [
      `${call};`,
      `if (${prop.local} === undefined) throw new Error('${component.name} stands outside ${context}.');`,
    ]);
}

function takeInVue({ rewrite, isFunction }: Chain, source: Source, component: Component, prop: PropText, key: string, name: string): void {
  if (source.isTyped && prop.type === undefined)
    throw new CannotWrite(`The type of ${name} in ${component.name} is not written where it is taken.`);
  const taken = takenProps(source, component);
  if (prop.fallback !== undefined || prop.optional) throw new CannotWrite(`${component.name} may be left without ${name}.`);
  followedReads(rewrite, source, taken.all, name, prop.local, isFunction ? '' : '.value');
  if (source.isTyped && !isFunction) rewrite.need(source, 'type Ref', adapterOf(source.framework).write.package);
  inject(rewrite, source, prop.local, prop.type === undefined || isFunction ? prop.type : `Ref<${prop.type}>`, key);
}

/** In Vue: the line by which a component takes what is given under a key. */
export function inject(rewrite: Rewrite, source: Source, local: string, type: string | undefined, key: string): void {
  rewrite.need(source, 'inject', adapterOf(source.framework).write.package);
  const given = type === undefined || !source.isTyped ? '' : `<${type}>`;
  putAfterImports(rewrite, source, `const ${local} = inject${given}('${key}')${source.isTyped ? '!' : ''};`);
}

function takeInSvelte(rewrite: Rewrite, source: Source, component: Component, prop: PropText, key: string): void {
  const { statement } = takenProps(source, component);
  if (!statement) throw new CannotWrite(`${component.name} takes its props in a form that is not followed.`);
  const getter = freeName(source, component, `get${pascal(prop.local)}`);
  const type = prop.type === undefined ? '' : prop.optional ? `<(() => ${prop.type}) | undefined>` : `<() => ${prop.type}>`;
  const given = prop.optional || prop.fallback !== undefined ? `${getter}?.()` : `${getter}()`;
  const indent = indentAt(source.text, startOf(statement));
  rewrite.need(source, 'getContext', adapterOf(source.framework).write.package);
  rewrite.insert(
    source,
    statementSpan(source, statement).end,
    `${indent}const ${getter} = getContext${type}('${key}');\n${indent}const ${prop.local} = $derived(${given}${prop.fallback === undefined ? '' : ` ?? ${prop.fallback}`});\n`,
  );
}

/** In Vue: what raised an event calls what the context gives. */
function takeHandler({ rewrite }: Chain, component: Component, event: MemberKey, key: string): void {
  const source = rewrite.source(component);
  const facts = component.facts.events.find((one) => one.key === event);
  if (!facts || component.facts.raisesUnseen || facts.raised.length === 0)
    throw new CannotWrite(`${component.name} raises ${topicOf(event)} in a form that is not followed.`);
  const { type } = dropEvent(rewrite, component, event);
  if (source.isTyped && type === undefined) throw new CannotWrite(`${component.name} does not say what ${topicOf(event)} hands over.`);
  const local = freeName(source, component, topicOf(event));
  for (const raise of facts.raised) {
    const call = /^[\w$]+\(\s*(['"])[^'"]+\1\s*(?:,\s*)?/.exec(source.text.slice(raise.span.start, raise.span.end));
    if (!call) throw new CannotWrite(`${component.name} raises ${topicOf(event)} in a form that is not followed.`);
    rewrite.put(source, { start: raise.span.start, end: raise.span.start + call[0].length }, `${local}(`);
  }
  inject(rewrite, source, local, type, key);
}
