import type { HearFact, ActionFact, Reading, TemplateNode } from '../../model/facts';
import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { TextEdit } from '../../model/finding';
import type { Component, Use } from '../../model/model';
import { type FilePath, locate } from '../../model/span';

/** The edits of a finding, where there are some. */
export function withEdits(edits: readonly TextEdit[]): { readonly edits?: readonly TextEdit[] } {
  return edits.length > 0 ? { edits } : {};
}

/** Text that is put in where nothing is taken away. */
export function insertAt(file: FilePath, at: number, text: string): TextEdit {
  return { file, start: at, end: at, was: '', text };
}

/** An attribute that gives an expression, as the framework writes it: `eta={eta}`, `:eta="eta"`. */
const attribute = (framework: Component['framework'], name: string, expression: string): string =>
  ` ${adapterOf(framework).write.attribute(name, expression)}`;

/** Kinds of values that a component's markup may hand on by their name, wherever it stands. */
const handed = new Set(['prop', 'state', 'derived', 'function']);

/** Gives a prop what its owner has under the same name; nothing where it has none, or an item hides it. */
export function passEdit(use: Use, owner: Component, prop: string): TextEdit[] {
  if (!/^[A-Za-z_$][\w$]*$/.test(prop) || use.node.nameSpan.end <= use.node.nameSpan.start) return [];
  const named = owner.facts.values.filter((value) => value.name === prop);
  const [only] = named;
  if (named.length !== 1 || !only || !handed.has(only.kind) || only.span.end - only.span.start !== prop.length) return [];
  if (writesThis(owner) || (only.kind === 'function' && /^(callback|update)$/.test(prop))) return [];
  const { file, end } = locate(use.file, use.node.nameSpan);
  return [insertAt(file, end, attribute(owner.framework, prop, prop))];
}

/** Its markup takes what it has of `this`, which a name by itself does not say. */
const writesThis = ({ facts, framework }: Component): boolean =>
  facts.form === 'class' || (facts.form === 'element' && traitsOf({ framework }).markup === 'expression');

type Part = Extract<TemplateNode, { kind: 'element' | 'use' }>;

/** Gives a repeated part its item's own name as key, where the markup reads one: `key={notice.id}`. */
export function keyEdit(component: Component, repeat: Extract<TemplateNode, { kind: 'repeat' }>, part: Part): TextEdit[] {
  if (part.key.kind !== 'none' || part.nameSpan.end <= part.nameSpan.start || repeat.value === undefined) return [];
  if ((part.kind === 'element' && part.tag === '') || writesThis(component)) return [];
  if (!/^[A-Za-z_$][\w$]*$/.test(repeat.item)) return [];
  const { facts } = component;
  const read = new Set<string | undefined>();
  const note = (reading: Reading): void => {
    if (reading.value === repeat.value && reading.path.length === 1) read.add(reading.path[0]);
  };
  for (const value of facts.values) value.from.forEach(note);
  for (const action of facts.actions) action.reads.forEach(note);
  for (const reading of readingsBelow(repeat.children)) note(reading);
  const name = ['id', 'key', 'uuid'].find((one) => read.has(one));
  if (name === undefined) return [];
  const { file, end } = locate(component.file, part.nameSpan);
  return [insertAt(file, end, attribute(component.framework, 'key', `${repeat.item}.${name}`))];
}

/** What is read in some markup, at any depth. */
function* readingsBelow(nodes: readonly TemplateNode[]): Generator<Reading> {
  const stack = [...nodes];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.kind === 'outlet') continue;
    if (node.kind === 'element' || node.kind === 'use') for (const binding of node.bindings) yield* binding.readings;
    else yield* node.readings;
    if (node.kind !== 'text') for (const child of node.children) stack.push(child);
  }
}

/** Returns what ends a subscription of the document or the window, where the effect can and the handler has a name. */
export function endingEdit(component: Component, action: ActionFact, { channel, reading }: HearFact): TextEdit[] {
  const value = reading && component.facts.values[reading.value];
  if (!action.takesEnding || !channel.event || channel.event.startsWith('{') || (channel.on !== 'window' && channel.on !== 'document'))
    return [];
  if (reading?.how !== 'same' || reading.path.length > 0 || value?.kind !== 'function' || !/^[A-Za-z_$][\w$]*$/.test(value.name)) return [];
  // A function that is written in place has no name by which it could be taken away again.
  if (reading.span.end - reading.span.start !== value.name.length) return [];
  return [
    insertAt(
      component.file,
      action.span.end - 1,
      `  return () => ${channel.on}.removeEventListener('${channel.event}', ${value.name});\n  `,
    ),
  ];
}
