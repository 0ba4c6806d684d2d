import type { Binding } from '../model/facts';
import type { ComponentId } from '../model/ids';
import type { Component, Use } from '../model/model';
import { walkTemplate, templateChildren } from '../model/walk';
import type { TemplateNode } from '../model/facts';
import { literalOf, pascal } from '../overlap';
import type { Link, Step } from '../rules';
import { dropEvent, dropProp, memberReads, type PropText, takenProps } from './contract';
import { dropUnusedImports, putAfterImports, wayTo, writeImports } from './imports';
import { bindingSpan, statementSpan } from './lists';
import { CannotWrite, type Rewrite } from './rewrite';
import { endOf, everyNode, indentAt, type Source, startOf, startsLine } from './source';

/** A use from outside the chain that gives what goes through it. */
type Giving = { readonly use: Use; readonly binding: Binding };

/** Who takes from the context: what it calls it, and what its declaration said. */
type Taking = { readonly component: Component; readonly link: Step };

/** The chain that a context replaces. */
type Chain = {
  readonly rewrite: Rewrite;
  readonly links: readonly Link[];
  /** What the context is about: the name of the first prop, without the mark of an event. */
  readonly topic: string;
  readonly isEvent: boolean;
};

const keyOf = ({ component, prop }: Step): string => `${component} ${prop}`;

const componentOf = ({ rewrite }: Chain, id: ComponentId): Component => {
  const found = rewrite.model.components.get(id);
  if (!found) throw new CannotWrite('One of the components is not there any more.');
  return found;
};

const usesOf = ({ rewrite }: Chain, id: ComponentId): Use[] =>
  (rewrite.model.usesOf.get(id) ?? []).filter((use) => rewrite.model.components.get(use.owner)?.fileRole === 'source');

/** `onPick`, `@pick`, `on:pick` → `pick`; `passages` stays. */
const topicOf = (prop: string): string => prop.replace(/^(?:@|on:)/, '').replace(/[-:](\w)/g, (_, letter: string) => letter.toUpperCase());

function nodesAbove(roots: readonly TemplateNode[], wanted: TemplateNode): TemplateNode[] {
  const go = (nodes: readonly TemplateNode[], above: readonly TemplateNode[]): TemplateNode[] | undefined => {
    for (const node of nodes) {
      if (node === wanted) return [...above];
      const found = go(templateChildren(node), [...above, node]);
      if (found) return found;
    }
    return undefined;
  };
  return go(roots, []) ?? [];
}

/** Who gives the value from outside the chain. */
function givings(chain: Chain): Giving[] {
  const handed = new Set(chain.links.flatMap((link) => link.hands.map((one) => one.binding)));
  return chain.links.flatMap((link) =>
    usesOf(chain, link.component).flatMap((use): Giving[] => {
      const component = componentOf(chain, link.component);
      if (use.node.asValue || use.node.spreads.some((spread) => !spread.names && spread.span.end > use.node.nameSpan.end))
        throw new CannotWrite(`${use.file} gives ${component.name} what cannot be seen.`);
      const binding = use.node.bindings.find((one) => one.name === link.prop || topicOf(one.name) === topicOf(link.prop));
      return binding && !handed.has(binding) ? [{ use, binding }] : [];
    }),
  );
}

/** What a use gives, as code of its framework's script. */
function givenCode(source: Source, binding: Binding): string {
  const text = source.text.slice(binding.span.start, binding.span.end);
  if (/^\{[\w$]+\}$/.test(text)) return text.slice(1, -1);
  if (source.framework === 'vue' && /^[:@][\w-]+$/.test(text)) return topicOf(text.slice(1));
  return literalOf(source.framework, text.replace(/^@/, ':'));
}

/** Gives a value to all below one use: a provider around it. */
function provideAround(chain: Chain, { use, binding }: Giving, context: string): void {
  const { rewrite } = chain;
  const owner = componentOf(chain, use.owner);
  const source = rewrite.source(owner, use.file);
  const { text } = source;
  const { span } = use.node;
  const parent = nodesAbove(owner.facts.template, use.node)
    .filter((one) => one.kind === 'use')
    .at(-1);
  const target = parent?.kind === 'use' ? rewrite.model.useOfNode.get(parent)?.target : undefined;
  if (target && (target.kind !== 'component' || rewrite.model.components.get(target.id)?.facts.clones) && target.kind !== 'provider')
    throw new CannotWrite(`${parent?.kind === 'use' ? parent.tag : ''} may look at what is in it, which would be a provider.`);
  if (use.node.key.kind === 'spread') throw new CannotWrite(`${use.file} gives ${use.node.tag} a key that cannot be seen.`);
  const key = use.node.key.kind === 'none' ? undefined : /\bkey\s*=\s*(?:\{[^{}]*\}|"[^"]*")/.exec(text.slice(span.start, span.end));
  if (use.node.key.kind !== 'none' && !key) throw new CannotWrite(`${use.file} gives ${use.node.tag} a key that is not followed.`);
  const keyStart = span.start + (key?.index ?? 0);
  if (key)
    rewrite.put(
      source,
      { start: text.lastIndexOf(text.slice(0, keyStart).trimEnd().at(-1) ?? '', keyStart) + 1, end: keyStart + key[0].length },
      '',
    );
  const value = text.slice(binding.nameSpan.end, binding.span.end);
  const open = `<${context}.Provider${key ? ` ${key[0]}` : ''} value${value}>`;
  const close = `</${context}.Provider>`;
  if (!startsLine(text, span.start)) {
    rewrite.insert(source, span.start, open);
    rewrite.insert(source, span.end, close);
    return;
  }
  const indent = indentAt(text, span.start);
  rewrite.insert(source, span.start, `${open}\n${indent}  `);
  const inner = text.slice(span.start, span.end);
  const lost = bindingSpan(source, binding);
  // Lines of a text in backticks must not move.
  if (!inner.includes('`'))
    for (const match of inner.matchAll(/\n(?=[^\n])/g)) {
      const at = span.start + match.index + 1;
      if (at <= lost.start || at > lost.end) rewrite.insert(source, at, '  ');
    }
  rewrite.insert(source, span.end, `\n${indent}${close}`);
}

/** Kinds of values that exist while a component is set up; others are there only in its markup. */
const inScript = new Set([
  'prop',
  'props',
  'state',
  'derived',
  'function',
  'setter',
  'store',
  'ref',
  'hook',
  'fetched',
  'context',
  'module',
]);

const refMakers = /^(?:ref|shallowRef|computed|customRef|toRef)$/;

/** What a name of a component's script is made by: `ref` for `const a = ref(1)`; undefined for a function and what is not known. */
function makerOf({ program }: Source, name: string): string | undefined {
  for (const statement of program.body) {
    if (statement.type !== 'VariableDeclaration') continue;
    for (const { id, init } of statement.declarations)
      if (id.type === 'Identifier' && id.name === name && init?.type === 'CallExpression' && init.callee.type === 'Identifier')
        return init.callee.name;
  }
  return undefined;
}

/** What Vue is given for all below: a function as it is, a value that is followed. */
function vueGiven(chain: Chain, source: Source, owner: Component, { binding }: Giving): string {
  const { rewrite } = chain;
  const code = givenCode(source, binding);
  const [only] = binding.readings;
  const value = only && owner.facts.values[only.value];
  if (binding.constant !== undefined) return code;
  if (!value || binding.readings.length > 1 || only.how !== 'same' || only.path.length > 0)
    throw new CannotWrite(`What ${owner.name} gives stands in the markup as an expression; give it a name first.`);
  if (value.kind === 'function') return code;
  if (value.kind === 'prop') {
    rewrite.need(source, 'computed', 'vue');
    const { all } = takenProps(source, owner);
    return `computed(() => ${code.includes('.') || all === undefined ? code : `${all}.${code}`})`;
  }
  if (refMakers.test(makerOf(source, value.name) ?? '')) return code;
  throw new CannotWrite(`${value.name} of ${owner.name} is of a kind of which it is not clear how all below would follow it.`);
}

/** Gives a value to all below the component that has it, from its script. */
function provideFromScript(chain: Chain, all: readonly Giving[], key: string): void {
  const { rewrite } = chain;
  const byOwner = new Map<ComponentId, Giving[]>();
  for (const giving of all) byOwner.set(giving.use.owner, [...(byOwner.get(giving.use.owner) ?? []), giving]);
  for (const [id, own] of byOwner) {
    const owner = componentOf(chain, id);
    const source = rewrite.source(owner);
    const [first] = own;
    if (!first) continue;
    const codes = new Set(own.map(({ binding }) => givenCode(source, binding)));
    const given = new Set(own.map(({ use }) => use));
    const silent = chain.links.some((link) =>
      usesOf(chain, link.component).some(
        (use) => use.owner === id && !given.has(use) && !chain.links.some((one) => one.hands.some((hand) => hand.node === use.node)),
      ),
    );
    if (codes.size > 1 || silent) throw new CannotWrite(`${owner.name} gives more than one thing, and a context has one for all below.`);
    for (const { binding } of own)
      for (const reading of [
        ...binding.readings,
        ...(binding.action === undefined ? [] : (owner.facts.actions[binding.action]?.reads ?? [])),
      ]) {
        const value = owner.facts.values[reading.value];
        if (value && !inScript.has(value.kind) && !(value.kind === 'param' && value.of === binding.action))
          throw new CannotWrite(`${value.name} of ${owner.name} is there only in its markup, and is another one at each place.`);
      }
    const [code] = codes;
    const vue = source.framework === 'vue';
    const what = vue ? vueGiven(chain, source, owner, first) : `() => ${code?.startsWith('{') ? `(${code})` : (code ?? '')}`;
    rewrite.need(source, vue ? 'provide' : 'setContext', vue ? 'vue' : 'svelte');
    const last = source.program.body.at(-1);
    if (!last) throw new CannotWrite(`${owner.name} has no script.`);
    const line = `\n${indentAt(source.text, startOf(last))}${vue ? 'provide' : 'setContext'}('${key}', ${what});\n`;
    rewrite.insert(source, statementSpan(source, last).end, line);
  }
}

/** Puts a line at the start of what a component of React does. */
function putFirst(rewrite: Rewrite, source: Source, component: Component, lines: readonly string[]): void {
  const { run } = takenProps(source, component);
  if (!run) throw new CannotWrite(`${component.name} is no plain function.`);
  if (run.body.type === 'BlockStatement') {
    const [first] = run.body.body;
    const at = first ? startOf(first) : endOf(run.body) - 1;
    const indent = first && startsLine(source.text, at) ? `\n${indentAt(source.text, at)}` : ' ';
    const gap = first?.type === 'ReturnStatement' && startsLine(source.text, at) ? '\n' : '';
    rewrite.insert(source, at, `${lines.join(indent)}${gap}${indent}`);
    return;
  }
  // An arrow that is all expression gets a body.
  const { text } = source;
  const indent = indentAt(text, startOf(run));
  const arrow = text.slice(0, startOf(run.body)).lastIndexOf('=>');
  const end = endOf(run);
  rewrite.insert(source, arrow + 2, ` {${lines.map((line) => `\n${indent}  ${line}`).join('')}\n${indent}  return`);
  rewrite.insert(source, end, `;\n${indent}}`);
}

/** A name that stands for nothing in a component's file yet. */
function freeName({ program }: Source, { facts }: Component, wanted: string): string {
  const taken = new Set(facts.values.map((value) => value.name));
  everyNode(program, (node, parents) => {
    const holder = parents.at(-1);
    const isKey = holder && (('key' in holder && holder.key === node) || ('property' in holder && holder.property === node));
    if (node.type === 'Identifier' && !isKey) taken.add(node.name);
  });
  let name = wanted;
  for (let turn = 2; taken.has(name); turn++) name = `${wanted}${turn}`;
  return name;
}

/** Lets a component take what was its prop, or what raises its event, from the context. */
function take(chain: Chain, { component, link }: Taking, context: string, typed: Map<string, string>): void {
  const { rewrite, isEvent } = chain;
  const source = rewrite.source(component);
  if (component.isPublic) throw new CannotWrite(`${component.name} may be used outside the project.`);
  if (isEvent && component.framework === 'vue') takeHandler(chain, component, link.prop, context);
  else if (component.framework === 'react')
    takeInReact(rewrite, source, component, dropProp(rewrite, component, link.prop), context, typed, link.prop);
  else if (component.framework === 'vue')
    takeInVue(rewrite, source, component, dropProp(rewrite, component, link.prop), context, link.prop);
  else if (component.framework === 'svelte') takeInSvelte(rewrite, source, component, dropProp(rewrite, component, link.prop), context);
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
  rewrite.need(source, 'useContext', 'react');
  const call = `const ${prop.local} = useContext(${context})`;
  if (prop.fallback !== undefined) putFirst(rewrite, source, component, [`${call} ?? ${prop.fallback};`]);
  else if (prop.optional || !source.isTyped) putFirst(rewrite, source, component, [`${call};`]);
  else
    putFirst(rewrite, source, component, [
      `${call};`,
      `if (${prop.local} === undefined) throw new Error('${component.name} stands outside ${context}.');`,
    ]);
}

function takeInVue(rewrite: Rewrite, source: Source, component: Component, prop: PropText, key: string, name: string): void {
  if (source.isTyped && prop.type === undefined)
    throw new CannotWrite(`The type of ${name} in ${component.name} is not written where it is taken.`);
  const taken = takenProps(source, component);
  followedReads(rewrite, source, taken.all, name, prop.local);
  const isPlain = /=>/.test(prop.type ?? '');
  if (prop.fallback !== undefined) throw new CannotWrite(`${component.name} has a default for ${name}.`);
  rewrite.need(source, 'inject', 'vue');
  if (source.isTyped && !isPlain) rewrite.need(source, 'type Ref', 'vue');
  const type = source.isTyped ? `<${isPlain ? (prop.type ?? '') : `Ref<${prop.type ?? ''}>`}>` : '';
  const line = `const ${prop.local} = inject${type}('${key}')${source.isTyped && !prop.optional ? '!' : ''};`;
  putAfterImports(rewrite, source, line);
}

/** What was a prop is held by a reference now: its readings in script and markup. */
function followedReads(rewrite: Rewrite, source: Source, all: string | undefined, name: string, local: string): void {
  const declared = new Set<number>();
  everyNode(source.program, (node, parents) => {
    if (node.type !== 'Identifier' || node.name !== local) return;
    const holder = parents.at(-1);
    const isKey = holder && 'key' in holder && holder.key === node;
    const isMember =
      (holder?.type === 'MemberExpression' || holder?.type === 'OptionalMemberExpression') && holder.property === node && !holder.computed;
    const isPattern = parents.some((one, at) => one.type === 'ObjectPattern' && parents[at - 1]?.type === 'VariableDeclarator');
    if (isKey || isMember || isPattern || declared.has(startOf(node)) || parents.some((one) => one.type.startsWith('TS'))) return;
    if (all !== undefined) throw new CannotWrite(`${local} is the name of something else in ${source.file}.`);
    if (holder?.type === 'VariableDeclarator' || holder?.type.includes('Function'))
      throw new CannotWrite(`${local} is the name of something else in ${source.file}.`);
    const isShorthand = holder?.type === 'ObjectProperty' && holder.shorthand;
    declared.add(startOf(node));
    rewrite.insert(source, endOf(node), isShorthand ? `: ${local}.value` : '.value');
  });
  if (all === undefined) return;
  for (const read of memberReads(source, all, name)) rewrite.put(source, { start: startOf(read), end: endOf(read) }, `${local}.value`);
  const script = source.text.indexOf('<template');
  for (const match of source.text.slice(script).matchAll(new RegExp(`(?<![\\w$.])${all}\\.${name}(?![\\w$])`, 'g'))) {
    const at = script + match.index;
    if (source.program.body.every((one) => at < startOf(one) || at > endOf(one)))
      rewrite.put(source, { start: at, end: at + match[0].length }, local);
  }
}

function takeInSvelte(rewrite: Rewrite, source: Source, component: Component, prop: PropText, key: string): void {
  const { statement } = takenProps(source, component);
  if (!statement) throw new CannotWrite(`${component.name} takes its props in a form that is not followed.`);
  const getter = freeName(source, component, `get${pascal(prop.local)}`);
  const type = prop.type === undefined ? '' : prop.optional ? `<(() => ${prop.type}) | undefined>` : `<() => ${prop.type}>`;
  const given = prop.optional || prop.fallback !== undefined ? `${getter}?.()` : `${getter}()`;
  const indent = indentAt(source.text, startOf(statement));
  rewrite.need(source, 'getContext', 'svelte');
  rewrite.insert(
    source,
    statementSpan(source, statement).end,
    `${indent}const ${getter} = getContext${type}('${key}');\n${indent}const ${prop.local} = $derived(${given}${prop.fallback === undefined ? '' : ` ?? ${prop.fallback}`});\n`,
  );
}

/** In Vue: what raised an event calls what the context gives. */
function takeHandler({ rewrite }: Chain, component: Component, spelling: string, key: string): void {
  const source = rewrite.source(component);
  const event = component.facts.events.find((one) => one.spelling === spelling);
  if (!event || component.facts.raisesUnseen || event.raised.length === 0)
    throw new CannotWrite(`${component.name} raises ${topicOf(spelling)} in a form that is not followed.`);
  const { type } = dropEvent(rewrite, component, spelling);
  if (source.isTyped && type === undefined) throw new CannotWrite(`${component.name} does not say what ${topicOf(spelling)} hands over.`);
  const local = freeName(source, component, topicOf(spelling));
  for (const raise of event.raised) {
    const call = /^[\w$]+\(\s*(['"])[^'"]+\1\s*(?:,\s*)?/.exec(source.text.slice(raise.span.start, raise.span.end));
    if (!call) throw new CannotWrite(`${component.name} raises ${topicOf(spelling)} in a form that is not followed.`);
    rewrite.put(source, { start: raise.span.start, end: raise.span.start + call[0].length }, `${local}(`);
  }
  rewrite.need(source, 'inject', 'vue');
  putAfterImports(
    rewrite,
    source,
    `const ${local} = inject${type === undefined ? '' : `<${type}>`}('${key}')${source.isTyped ? '!' : ''};`,
  );
}

/** The name of a context that nothing has yet: one of the project's for React, a key for the others. */
function contextName(chain: Chain): string {
  const { rewrite, topic, links } = chain;
  const isReact = componentOf(chain, links[0]?.component as ComponentId).framework === 'react';
  const keys = new Set<string>();
  for (const component of rewrite.model.components.values())
    for (const one of component.facts.provides) keys.add(one.source.replace(/^['"]|['"]$/g, ''));
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
  const chain: Chain = { rewrite, links, topic: topicOf(first.prop), isEvent };
  const framework = componentOf(chain, first.component).framework;
  if (links.some((link) => componentOf(chain, link.component).framework !== framework))
    throw new CannotWrite('It goes through two frameworks.');
  if (links.some((link) => componentOf(chain, link.component).isPublic))
    throw new CannotWrite('One of them may be used outside the project.');
  if (/^on:/.test(first.prop))
    throw new CannotWrite('What hears an event of Svelte before version 5 waits for the event itself; make it a callback first.');
  const inChain = new Set(links.map(keyOf));
  const name = contextName(chain);
  const all = givings(chain);
  if (all.length === 0) throw new CannotWrite('Nobody gives it.');
  if (all.some(({ binding }) => binding.direction === 'two-way')) throw new CannotWrite('It is bound both ways.');
  const typed = new Map<string, string>();
  const takers = takeAll(chain, inChain, name, typed);
  for (const link of links) {
    const component = componentOf(chain, link.component);
    for (const hand of link.hands)
      if (inChain.has(keyOf(hand.to))) rewrite.put(rewrite.source(component), bindingSpan(rewrite.source(component), hand.binding), '');
    if (takers.has(link.component)) continue;
    if (isEvent && framework === 'vue') dropEvent(rewrite, component, link.prop);
    else dropProp(rewrite, component, link.prop);
  }
  for (const { use, binding } of all) {
    const source = rewrite.source(componentOf(chain, use.owner), use.file);
    rewrite.put(source, bindingSpan(source, binding), '');
  }
  if (framework === 'react') declareContext(chain, all, typed, name);
  else provideFromScript(chain, all, name);
  writeImports(rewrite);
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
}

/** Lets all who read the value take it: those at the ends where nobody else gives it to them, else the last ones of the chain. */
function takeAll(chain: Chain, inChain: ReadonlySet<string>, name: string, typed: Map<string, string>): Set<ComponentId> {
  const { rewrite, links } = chain;
  const takers = new Set<ComponentId>();
  const ends = new Map<string, { readonly to: Step; readonly hands: { readonly link: Link; readonly binding: Binding }[] }>();
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
  return usesOf(chain, id).some((use) => {
    let found = false;
    const owner = chain.rewrite.model.components.get(use.owner);
    walkTemplate(owner?.facts.template ?? [], (node) => {
      if (node.kind !== 'repeat') return;
      walkTemplate(node.children, (one) => {
        if (one === use.node) found = true;
      });
    });
    return found;
  });
}

/** The last of a chain takes the value itself and hands it on as before. */
function takeInCarrier(chain: Chain, link: Link, name: string, typed: Map<string, string>): void {
  const { rewrite, isEvent } = chain;
  const component = componentOf(chain, link.component);
  const source = rewrite.source(component);
  if (isEvent && component.framework === 'vue') {
    const { type } = dropEvent(rewrite, component, link.prop);
    const local = freeName(source, component, topicOf(link.prop));
    for (const { binding } of link.hands) rewrite.put(source, { start: binding.nameSpan.end, end: binding.span.end }, `="${local}"`);
    rewrite.need(source, 'inject', 'vue');
    putAfterImports(
      rewrite,
      source,
      `const ${local} = inject${type === undefined ? '' : `<${type}>`}('${name}')${source.isTyped ? '!' : ''};`,
    );
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
  rewrite.need(source, 'createContext', 'react');
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
