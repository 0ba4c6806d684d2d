import { memberOf } from '../model/member';
import type { Component } from '../model/model';
import { memberReads, takenProps } from './contract';
import { CannotWrite, type Rewrite } from './rewrite';
import { endOf, everyNode, indentAt, type Source, startOf, startsLine } from './source';

/** Puts lines at the start of what a component of React does. */
export function putFirst(rewrite: Rewrite, source: Source, component: Component, lines: readonly string[]): void {
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
  const between = text.slice(arrow + 2, startOf(run.body));
  // After a mere `return`, a new line would end the statement.
  const [open, close] = between.includes('\n') && !between.includes('(') ? [' (', `\n${indent}  )`] : ['', ''];
  rewrite.insert(source, arrow + 2, ` {${lines.map((line) => `\n${indent}  ${line}`).join('')}\n${indent}  return${open}`);
  rewrite.insert(source, end, `${close};\n${indent}}`);
}

/** A name that stands for nothing in a component's file yet. */
export function freeName({ program }: Source, { facts }: Component, wanted: string): string {
  // An event is no name of script.
  const taken = new Set(
    facts.values.filter(({ member }) => member === undefined || memberOf(member).kind !== 'event').map(({ name }) => name),
  );
  everyNode(program, (node, parents) => {
    const holder = parents.at(-1);
    const isKey = holder && (('key' in holder && holder.key === node) || ('property' in holder && holder.property === node));
    if (node.type === 'Identifier' && !isKey) taken.add(node.name);
  });
  let name = wanted;
  for (let turn = 2; taken.has(name); turn++) name = `${wanted}${turn}`;
  return name;
}

/** What was a prop is a name of its own now, in script with what follows it (`.value`): its readings in script and markup. */
export function followedReads(
  rewrite: Rewrite,
  source: Source,
  all: string | undefined,
  name: string,
  local: string,
  behind: string,
): void {
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
    rewrite.insert(source, endOf(node), isShorthand ? `: ${local}${behind}` : behind);
  });
  if (all === undefined) return;
  for (const read of memberReads(source, all, name)) rewrite.put(source, { start: startOf(read), end: endOf(read) }, `${local}${behind}`);
  const script = source.text.indexOf('<template');
  for (const match of source.text.slice(script).matchAll(new RegExp(`(?<![\\w$.])${all}\\.${name}(?![\\w$])`, 'g'))) {
    const at = script + match.index;
    if (source.program.body.every((one) => at < startOf(one) || at > endOf(one)))
      rewrite.put(source, { start: at, end: at + match[0].length }, local);
  }
}

/** What was a prop is a constant then: throws where its component sets it anew. */
export function refuseChanged(source: Source, component: Component, prop: string, local: string): void {
  const at = component.facts.values.findIndex((value) => value.name === local && (value.kind === 'prop' || value.kind === 'state'));
  let isChanged = component.facts.actions.some((action) => action.changes.some((change) => change.value === at));
  everyNode(source.program, (node) => {
    const target = node.type === 'AssignmentExpression' ? node.left : node.type === 'UpdateExpression' ? node.argument : undefined;
    if (target?.type === 'Identifier' && target.name === local) isChanged = true;
  });
  if (isChanged) throw new CannotWrite(`${component.name} changes ${prop}.`);
}
