import { adapterOf, markupOf } from '../../frameworks/registry';
import type { Binding } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component } from '../../model/model';
import { takenProps } from '../contract';
import { bindingSpan, keySpan, statementSpan } from '../lists';
import { CannotWrite } from '../rewrite';
import { indentAt, type Source, startOf, startsLine } from '../source';
import { literalOf } from '../written';
import { camelName, type Chain, componentOf, type Giving, nodesAbove, usesOf } from './chain';

/** What a use gives, as code of its framework's script. */
function givenCode(source: Source, binding: Binding): string {
  const text = source.text.slice(binding.span.start, binding.span.end);
  if (/^\{[\w$]+\}$/.test(text)) return text.slice(1, -1);
  if (markupOf(source.framework) === 'directives' && /^[:@][\w-]+$/.test(text)) return camelName(text.slice(1));
  return literalOf(source.framework, text.replace(/^@/, ':'));
}

/** Gives a value to all below one use: a provider around it. */
export function provideAround(chain: Chain, { use, binding }: Giving, context: string): void {
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
  const key = keySpan(source, use.node);
  if (key) rewrite.put(source, { start: text.slice(0, key.start).trimEnd().length, end: key.end }, '');
  const value = text.slice(binding.nameSpan.end, binding.span.end);
  const open = `<${context}.Provider${key ? ` ${text.slice(key.start, key.end)}` : ''} value${value}>`;
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
  if (binding.constant !== undefined) {
    rewrite.need(source, 'ref', adapterOf(source.framework).write.package);
    return `ref(${code})`;
  }
  if (!value || binding.readings.length > 1 || only.how !== 'same' || only.path.length > 0)
    throw new CannotWrite(`What ${owner.name} gives stands in the markup as an expression; give it a name first.`);
  if (value.kind === 'function') return code;
  if (value.kind === 'prop') {
    rewrite.need(source, 'computed', adapterOf(source.framework).write.package);
    const { all } = takenProps(source, owner);
    return `computed(() => ${code.includes('.') || all === undefined ? code : `${all}.${code}`})`;
  }
  if (refMakers.test(makerOf(source, value.name) ?? '')) return code;
  throw new CannotWrite(`${value.name} of ${owner.name} is of a kind of which it is not clear how all below would follow it.`);
}

/** Gives a value to all below the component that has it, from its script. */
export function provideFromScript(chain: Chain, all: readonly Giving[], key: string): void {
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
    const vue = markupOf(source.framework) === 'directives';
    const what = vue ? vueGiven(chain, source, owner, first) : `() => ${code?.startsWith('{') ? `(${code})` : (code ?? '')}`;
    rewrite.need(source, vue ? 'provide' : 'setContext', adapterOf(source.framework).write.package);
    const last = source.program.body.at(-1);
    if (!last) throw new CannotWrite(`${owner.name} has no script.`);
    const line = `\n${indentAt(source.text, startOf(last))}${vue ? 'provide' : 'setContext'}('${key}', ${what});\n`;
    rewrite.insert(source, statementSpan(source, last).end, line);
  }
}
