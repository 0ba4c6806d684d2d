import { adapterOf, markupOf } from '../../frameworks/registry';
import type { Binding } from '../../model/facts';
import { memberOf } from '../../model/member';
import type { ComponentId } from '../../model/ids';
import type { Link, MemberStep } from '../../rules';
import { freeName } from '../body';
import { dropEvent, dropProp } from '../contract';
import { dropUnusedImports, putAfterImports, wayTo, writeImports } from '../imports';
import { bindingSpan } from '../lists';
import { CannotWrite, type Rewrite } from '../rewrite';
import { pascal } from '../written';
import { type Chain, componentOf, type Giving, givesFunction, givings, keyOf, nodesAbove, topicOf, usesOf } from './chain';
import { provideAround, provideFromScript } from './give';
import { inject, take } from './take';

/** The name of a context that nothing has yet: one of the project's for React, a key for the others. */
function contextName(chain: Chain): string {
  const { rewrite, topic, links } = chain;
  const isReact = markupOf(componentOf(chain, links[0]?.component as ComponentId).framework) === 'expression';
  const keys = new Set<string>();
  for (const context of rewrite.model.contexts.values()) keys.add(context.name.replace(/^['"]|['"]$/g, ''));
  const wanted = isReact ? `${pascal(topic.replace(/^on(?=[A-Z])/, ''))}Context` : topic;
  let name = wanted;
  for (let turn = 2; keys.has(name); turn++) name = `${wanted}${turn}`;
  return name;
}

/**
 * The edits by which a value or an event that passes through a chain of components goes by a context
 * instead: the chain declares it no more, who gives it provides it, and who reads it takes it. Throws
 * `CannotWrite` where that is not certain.
 */
export function provideInstead(rewrite: Rewrite, links: readonly Link[], isEvent: boolean): void {
  const [first] = links;
  if (!first) throw new CannotWrite('It is not handed on any more.');
  const all = givings({ rewrite, links });
  const isFunction = givesFunction(rewrite, all);
  const chain: Chain = { rewrite, links, topic: topicOf(first.prop), isEvent, isFunction };
  const framework = componentOf(chain, first.component).framework;
  if (links.some((link) => componentOf(chain, link.component).framework !== framework))
    throw new CannotWrite('It goes through two frameworks.');
  if (links.some((link) => componentOf(chain, link.component).isPublic))
    throw new CannotWrite('One of them may be used outside the project.');
  if (markupOf(framework) === 'blocks' && memberOf(first.prop).kind === 'event')
    throw new CannotWrite('What hears an event of Svelte before version 5 waits for the event itself; make it a callback first.');
  const inChain = new Set(links.map(keyOf));
  const name = contextName(chain);
  if (all.length === 0) throw new CannotWrite('Nobody gives it.');
  if (all.some(({ binding }) => binding.direction === 'two-way')) throw new CannotWrite('It is bound both ways.');
  const typed = new Map<string, string>();
  const takers = takeAll(chain, inChain, name, typed);
  for (const link of links) {
    const component = componentOf(chain, link.component);
    for (const hand of link.hands)
      if (inChain.has(keyOf(hand.to))) rewrite.put(rewrite.source(component), bindingSpan(rewrite.source(component), hand.binding), '');
    if (takers.has(link.component)) continue;
    if (isEvent && markupOf(framework) === 'directives') dropEvent(rewrite, component, link.prop);
    else dropProp(rewrite, component, link.prop);
  }
  for (const { use, binding } of all) {
    const source = rewrite.source(componentOf(chain, use.owner), use.file);
    rewrite.put(source, bindingSpan(source, binding), '');
  }
  if (markupOf(framework) === 'expression') declareContext(chain, all, typed, name);
  else provideFromScript(chain, all, name);
  writeImports(rewrite);
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
}

/** Lets all who read the value take it: those at the ends where nobody else gives it to them, else the last ones of the chain. */
function takeAll(chain: Chain, inChain: ReadonlySet<string>, name: string, typed: Map<string, string>): Set<ComponentId> {
  const { rewrite, links } = chain;
  const takers = new Set<ComponentId>();
  const ends = new Map<string, { readonly to: MemberStep; readonly hands: { readonly link: Link; readonly binding: Binding }[] }>();
  for (const link of links)
    for (const { binding, to } of link.hands) {
      if (inChain.has(keyOf(to))) continue;
      const end = ends.get(keyOf(to)) ?? { to, hands: [] };
      end.hands.push({ link, binding });
      ends.set(keyOf(to), end);
    }
  for (const { to, hands } of ends.values()) {
    const reader = rewrite.model.components.get(to.component);
    const handed = new Set(hands.map((one) => one.binding));
    const isAlone = usesOf(chain, to.component).every((use) => use.node.bindings.some((binding) => handed.has(binding)));
    const taken =
      reader !== undefined &&
      isAlone &&
      !takers.has(reader.id) &&
      rewrite.attempt(() => {
        take(chain, { component: reader, link: to }, name, typed);
        for (const { link, binding } of hands) {
          const source = rewrite.source(componentOf(chain, link.component));
          rewrite.put(source, bindingSpan(source, binding), '');
        }
      });
    if (taken) continue;
    for (const { link } of hands) {
      if (takers.has(link.component)) continue;
      takers.add(link.component);
      takeInCarrier(chain, link, name, typed);
    }
  }
  const [only] = takers;
  if (takers.size === 1 && ends.size === 1 && links.length === 2 && only !== undefined && !isRepeated(chain, only))
    throw new CannotWrite(`${componentOf(chain, only).name} would take it two levels below, where a prop does as well.`);
  return takers;
}

function isRepeated(chain: Chain, id: ComponentId): boolean {
  return usesOf(chain, id).some((use) =>
    nodesAbove(componentOf(chain, use.owner).facts.template, use.node).some((node) => node.kind === 'repeat'),
  );
}

/** The last of a chain takes the value itself and hands it on as before. */
function takeInCarrier(chain: Chain, link: Link, name: string, typed: Map<string, string>): void {
  const { rewrite, isEvent } = chain;
  const component = componentOf(chain, link.component);
  const source = rewrite.source(component);
  if (isEvent && markupOf(component.framework) === 'directives') {
    const { type } = dropEvent(rewrite, component, link.prop);
    const local = freeName(source, component, topicOf(link.prop));
    for (const { binding } of link.hands) rewrite.put(source, { start: binding.nameSpan.end, end: binding.span.end }, `="${local}"`);
    inject(rewrite, source, local, type, name);
    return;
  }
  take(chain, { component, link }, name, typed);
}

/** Declares a context of React beside its first taker, and provides it around each use that gave the value. */
function declareContext(chain: Chain, all: readonly Giving[], typed: ReadonlyMap<string, string>, name: string): void {
  const { rewrite } = chain;
  const [home, type] = [...typed][0] ?? [];
  const source = rewrite.opened().find((one) => one.file === home);
  if (home === undefined || !source) throw new CannotWrite('Nobody takes it.');
  if (new Set(typed.values()).size > 1) throw new CannotWrite('Those who read it say different types of it.');
  rewrite.need(source, 'createContext', adapterOf(source.framework).write.package);
  const isFunction = /=>/.test(type ?? '');
  putAfterImports(
    rewrite,
    source,
    `export const ${name} = createContext${type === '' ? '' : `<${isFunction ? `(${type ?? ''})` : (type ?? '')} | undefined>`}(undefined);`,
  );
  for (const file of typed.keys())
    if (file !== home) {
      const other = rewrite.opened().find((one) => one.file === file);
      if (other) rewrite.need(other, name, wayTo(other, rewrite, home));
    }
  for (const giving of all) {
    const owner = componentOf(chain, giving.use.owner);
    const used = rewrite.source(owner, giving.use.file);
    if (used.file !== home) rewrite.need(used, name, wayTo(used, rewrite, home));
    provideAround(chain, giving, name);
  }
}
