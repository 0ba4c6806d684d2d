import type { Component } from '../../model/model';
import { closingAt } from './text';

const blank = (text: string): string => text.replace(/[^\n]/g, ' ');
const cut = (text: string, start: number, end: number): string => text.slice(0, start) + blank(text.slice(start, end)) + text.slice(end);

/** The text of a component without its markup, the declaration of its props, its imports and its comments. */
function scriptOf({ facts, framework, name }: Component, text: string): string {
  let script: string;
  if (framework === 'react') {
    script = text;
    for (const node of facts.template) script = cut(script, node.span.start, node.span.end);
    const params = /\(/g;
    params.lastIndex = Math.max(facts.nameSpan.end, facts.span.start);
    const open = params.exec(script)?.index ?? -1;
    const close = open < 0 ? -1 : closingAt(text, open);
    if (close > 0) script = cut(script, open, close + 1);
    script = script.slice(facts.span.start, facts.span.end).replace(new RegExp(`\\b${name}\\b`, 'g'), '§');
  } else {
    script = [...text.matchAll(/<script\b[^>]*>([\s\S]*?)<\/script>/g)].map((match) => match[1] ?? '').join('\n');
    script = script.replace(/^\s*import[^;]*?from\s*['"][^'"]+['"];?/gm, '').replace(/^\s*export let [^;\n]*;?/gm, '');
    for (const call of ['withDefaults', 'defineProps', '$props']) {
      const at = script.indexOf(`${call}${call === '$props' ? '(' : ''}`);
      if (at < 0) continue;
      const start = script.lastIndexOf('\n', at) + 1;
      const paren = script.indexOf('(', at);
      const begin = /(?:const|let)\s+[\s\S]*$/.exec(script.slice(0, at));
      const end = closingAt(script, paren);
      script = script.slice(0, begin ? begin.index : start) + script.slice(end + 1).replace(/^;/, '');
    }
    script = script.replace(/(?:type|interface)\s+\w*Props\b[^{]*\{[^{}]*\};?/g, '');
  }
  return script.replace(/\/\*[\s\S]*?\*\/|(?<!:)\/\/.*$/gm, '');
}

const tokens = (text: string): string[] => text.match(/'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"|[A-Za-z_$][\w$]*|\d+(?:\.\d+)?|[^\s\w]/g) ?? [];

/**
 * Whether two components do the same in script but for names; what the second calls otherwise is
 * noted in `names`. Says where they part; undefined for the same.
 */
export function sameScript(
  one: Component,
  other: Component,
  texts: readonly [string, string],
  names: Map<string, string>,
): string | undefined {
  const [mine, theirs] = [tokens(scriptOf(one, texts[0])), tokens(scriptOf(other, texts[1]))];
  const own = new Set(one.facts.values.map((value) => value.name));
  const known = new Set(other.facts.values.map((value) => value.name));
  const back = new Map([...names].map(([from, to]) => [to, from]));
  const apart = (at: number): string =>
    `What they do differs: ${one.name} has ${mine[at] ?? 'nothing'} where ${other.name} has ${theirs[at] ?? 'nothing'}.`;
  for (let at = 0; at < Math.max(mine.length, theirs.length); at++) {
    const [left, right] = [mine[at], theirs[at]];
    if (left === undefined || right === undefined) return apart(at);
    const to = names.get(right);
    if (left === (to ?? right)) continue;
    if (to !== undefined || !known.has(right) || !own.has(left) || back.has(left)) return apart(at);
    names.set(right, left);
    back.set(left, right);
  }
  return undefined;
}
