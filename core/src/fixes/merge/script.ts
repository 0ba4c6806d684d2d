import { markupOf } from '../../frameworks/registry';
import { lineAt, lineSpan, lineStarts } from '../../model/lines';
import type { Component } from '../../model/model';
import type { Span } from '../../model/span';
import { closingAt } from '../../overlap';

const blank = (text: string): string => text.replace(/[^\n]/g, ' ');
const cut = (text: string, start: number, end: number): string => text.slice(0, start) + blank(text.slice(start, end)) + text.slice(end);

const cutAll = (text: string, what: RegExp): string => text.replace(what, (found: string) => blank(found));

/** All but the script of a component's file as white space, so that offsets are those of the file. */
function onlyScript({ facts, framework }: Component, text: string): string {
  if (markupOf(framework) === 'expression') {
    let script = cut(cut(text, 0, facts.span.start), facts.span.end, text.length);
    for (const node of facts.template) script = cut(script, node.span.start, node.span.end);
    return script;
  }
  let script = '';
  let from = 0;
  for (const match of text.matchAll(/<script\b[^>]*>([\s\S]*?)<\/script>/g)) {
    const end = match.index + match[0].length - '</script>'.length;
    const start = end - (match[1] ?? '').length;
    script += blank(text.slice(from, start)) + text.slice(start, end);
    from = end;
  }
  return script + blank(text.slice(from));
}

/** The script of a component without its markup, the declaration of its props, its imports and its comments; offsets are those of its file. */
function scriptOf(component: Component, text: string): string {
  const { facts, framework } = component;
  let script = onlyScript(component, text);
  if (markupOf(framework) === 'expression') {
    const params = /\(/g;
    params.lastIndex = Math.max(facts.nameSpan.end, facts.span.start);
    const open = params.exec(script)?.index ?? -1;
    const close = open < 0 ? -1 : closingAt(script, open);
    if (close > 0) script = cut(script, open, close + 1);
  } else {
    script = cutAll(script, /^[^\S\n]*import[^;]*?from\s*['"][^'"]+['"];?/gm);
    script = cutAll(script, /^[^\S\n]*export let [^;\n]*;?/gm);
    for (const call of ['withDefaults(', 'defineProps', '$props(']) {
      const at = script.indexOf(call);
      if (at < 0) continue;
      const line = script.lastIndexOf('\n', at) + 1;
      const paren = script.indexOf('(', at);
      const begin = /(?:const|let)\s+[^;]*$/.exec(script.slice(0, at));
      const end = closingAt(script, paren);
      script = cut(script, begin ? begin.index : line, end + 1 + (script[end + 1] === ';' ? 1 : 0));
    }
    script = cutAll(script, /(?:type|interface)\s+\w*Props\b[^{]*\{[^{}]*\};?/g);
  }
  return cutAll(script, /\/\*[\s\S]*?\*\/|(?<!:)\/\/.*$/gm);
}

type Token = { readonly text: string } & Span;

const tokens = (script: string): Token[] =>
  [...script.matchAll(/'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"|[A-Za-z_$][\w$]*|\d+(?:\.\d+)?|[^\s\w]/g)].map((match) => ({
    text: match[0],
    start: match.index,
    end: match.index + match[0].length,
  }));

/** A constant in the script of the first that is another one in the second's. */
export type ScriptHole = { readonly a: Span; readonly texts: readonly [a: string, b: string]; readonly about: string };

const kindOf = (token: string): 'text' | 'number' | 'flag' | undefined =>
  /^['"]/.test(token) ? 'text' : /^\d/.test(token) ? 'number' : /^(?:true|false)$/.test(token) ? 'flag' : undefined;

/** What stands before a constant that is a value: after all else it may be a key, a type, or a part of either. */
const beforeValue = new Set(['(', ',', '=', '?', '&', '|', '[', 'return', '+', ':', '>']);

/** Whether a constant stands where an expression may; in a type, or as the name of a member, none may. */
function isValue(all: readonly Token[], at: number): boolean {
  const [before, after] = [all[at - 1]?.text ?? '', all[at + 1]?.text ?? ''];
  if (!beforeValue.has(before) || after === ':' || after === '|') return false;
  // `a: 'x' = …` and `<'x'>` are types; `a: 'x',` is a member.
  if (before === ':') return /^[,}\])]$/.test(after) && all[at - 2] !== undefined;
  return !(before === '>' && all[at - 2]?.text !== '=');
}

/** Within a macro of the compiler, which is moved out of the component and can read nothing of it. */
function isInMacro(all: readonly Token[], at: number): boolean {
  let depth = 0;
  for (let index = at - 1; index >= 0; index--) {
    const { text } = all[index] as Token;
    if (text === ')') depth++;
    else if (text === '(' && depth-- === 0) {
      if (/^define[A-Z]/.test(all[index - 1]?.text ?? '')) return true;
      depth = 0;
    }
  }
  return false;
}

/** Where the component’s props can be read: not in what a module does once, nor in an effect that says what it follows. */
function canRead({ facts, framework }: Component, text: string, { start }: Span): boolean {
  if (facts.actions.some((action) => action.follows && action.span.start <= start && start < action.span.end)) return false;
  if (markupOf(framework) === 'expression') return true;
  const tag = /<script\b[^>]*>(?![\s\S]*<script\b)/.exec(text.slice(0, start))?.[0] ?? '';
  return markupOf(framework) === 'directives' ? /\bsetup\b/.test(tag) : !/\bmodule\b/.test(tag);
}

/** What a constant is about: the member it is given to, the name it is kept by, the function that is called with it. */
function aboutOf(all: readonly Token[], at: number): string {
  const name = (index: number): string => (/^[A-Za-z_$]/.test(all[index]?.text ?? '') ? (all[index]?.text ?? '') : '');
  const before = all[at - 1]?.text;
  if (before === ':' || (before === '=' && all[at - 2]?.text !== '=')) return name(at - 2);
  if (before === '(') return name(at - 2).replace(/^(?:use|get|set|on|handle|is|has)(?=[A-Z])/, '');
  return '';
}

/** The line of a token, as what a component has there. */
function hasAt(text: string, token: Token | undefined): string {
  if (!token) return 'has nothing more';
  const starts = lineStarts(text);
  const line = lineAt(starts, token.start);
  const { start, end } = lineSpan(text, starts, line);
  const says = text.slice(start, end).trim();
  return `has “${says.length > 60 ? `${says.slice(0, 59)}…` : says}” in line ${line}`;
}

/**
 * What two components do in script, laid beside each other: the same but for names, which are noted
 * in `names`, and for constants, which are given. Says where they part for more than that.
 */
export function compareScripts(
  one: Component,
  other: Component,
  texts: readonly [string, string],
  names: Map<string, string>,
): { readonly holes: readonly ScriptHole[] } | { readonly wrong: string } {
  const [mine, theirs] = [tokens(scriptOf(one, texts[0])), tokens(scriptOf(other, texts[1]))];
  const namesOf = ({ facts }: Component): Set<string> =>
    new Set(facts.values.flatMap((value) => (value.kind === 'module' ? [] : [value.name])));
  const [own, known] = [namesOf(one), namesOf(other)];
  const back = new Map([...names].map(([from, to]) => [to, from]));
  const holes: ScriptHole[] = [];
  for (let at = 0; at < Math.max(mine.length, theirs.length); at++) {
    const [left, right] = [mine[at], theirs[at]];
    const wrong = { wrong: `What they do differs: ${one.name} ${hasAt(texts[0], left)} where ${other.name} ${hasAt(texts[1], right)}.` };
    if (left === undefined || right === undefined) return wrong;
    if (left.text === one.name && right.text === other.name) continue;
    const to = names.get(right.text);
    if (left.text === (to ?? right.text)) continue;
    const kind = kindOf(left.text);
    if (
      kind !== undefined &&
      kind === kindOf(right.text) &&
      isValue(mine, at) &&
      isValue(theirs, at) &&
      !isInMacro(mine, at) &&
      canRead(one, texts[0], left)
    ) {
      holes.push({ a: { start: left.start, end: left.end }, texts: [left.text, right.text], about: aboutOf(mine, at) });
      continue;
    }
    if (to !== undefined || !known.has(right.text) || !own.has(left.text) || back.has(left.text)) return wrong;
    names.set(right.text, left.text);
    back.set(left.text, right.text);
  }
  return { holes };
}
