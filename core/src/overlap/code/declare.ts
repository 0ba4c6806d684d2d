import type { Component } from '../../model/model';
import { closingAt } from './text';

/** A prop that is to be added to a component: what it is when it is not given, and its type, both as code. */
export type NewProp = {
  readonly name: string;
  readonly fallback: string;
  readonly type: 'string' | 'number' | 'boolean' | 'unknown' | 'ReactNode';
};

export type Insertion = { readonly at: number; readonly text: string };

const patternEntry = ({ name, fallback }: NewProp): string => (fallback === 'undefined' ? ` ${name},` : ` ${name} = ${fallback},`);
const typeEntry = ({ name, type }: NewProp): string => ` ${name}?: ${type === 'ReactNode' ? "import('react').ReactNode" : type};`;

/** Where the braces of a type of this name stand in a file; -1 for one that is not declared there as a literal. */
function typeBraces(text: string, name: string): number {
  const found = new RegExp(`\\b(?:type\\s+${name}\\s*=\\s*(?:[\\w<>\\s]+&\\s*)?|interface\\s+${name}\\s*(?:extends\\s[^{]+)?)\\{`).exec(
    text,
  );
  return found ? found.index + found[0].length - 1 : -1;
}

/** Adds props to a destructuring pattern at `open`, and to the type behind it; undefined where the type is not at hand. */
function intoPattern(text: string, open: number, props: readonly NewProp[], typed: string | undefined): Insertion[] | undefined {
  const close = closingAt(text, open);
  if (close < 0) return undefined;
  const pattern = { at: open + 1, text: props.map(patternEntry).join('') };
  const after = /^\s*:\s*/.exec(text.slice(close + 1));
  const named = typed ?? (after ? /^(\w+)/.exec(text.slice(close + 1 + after[0].length))?.[1] : undefined);
  if (!after && typed === undefined) return [pattern];
  const braces =
    after && text[close + 1 + after[0].length] === '{' ? close + 1 + after[0].length : named === undefined ? -1 : typeBraces(text, named);
  if (braces >= 0) return [pattern, { at: braces + 1, text: props.map(typeEntry).join('') }];
  // A type from elsewhere stays as it is, and gets what is new beside it.
  const reference = /^\s*:\s*[\w.]+(?:<[^<>]*>)?(?=\s*[=),])/.exec(text.slice(close + 1));
  return reference ? [pattern, { at: close + 1 + reference[0].length, text: ` & {${props.map(typeEntry).join('')} }` }] : undefined;
}

function inReact(text: string, component: Component, props: readonly NewProp[]): Insertion[] | undefined {
  const { nameSpan, span } = component.facts;
  const isTyped = /\.tsx?$/.test(component.file);
  const open = /\(\s*(\{|\)|\w)/g;
  open.lastIndex = Math.max(nameSpan.end, span.start);
  const params = open.exec(text);
  if (!params || params.index > span.end) return undefined;
  const at = params.index + params[0].length - 1;
  if (params[1] === ')') {
    const type = isTyped ? `: {${props.map(typeEntry).join('')} }` : '';
    return [{ at, text: `{${props.map(patternEntry).join('')} }${type}` }];
  }
  if (params[1] !== '{') return undefined;
  const typed = /\bFC<\s*(\w+)\s*>/.exec(text.slice(nameSpan.end, at))?.[1];
  return intoPattern(text, at, props, typed);
}

const runtimeType = { string: 'String', number: 'Number', boolean: 'Boolean', unknown: 'null', ReactNode: 'null' } as const;

function inVue(text: string, props: readonly NewProp[]): Insertion[] | undefined {
  const script = /<script\b[^>]*\bsetup\b[^>]*>/.exec(text);
  const entry = ({ name, fallback, type }: NewProp): string => ` ${name}: { type: ${runtimeType[type]}, default: ${fallback} },`;
  const call = text.indexOf('defineProps');
  if (call < 0) {
    const added = `\ndefineProps({${props.map(entry).join('')} });\n`;
    if (!script) return [{ at: 0, text: `<script setup>${added}</script>\n\n` }];
    const end = text.indexOf('</script>', script.index);
    return end < 0 ? undefined : [{ at: end, text: added }];
  }
  const given = call + 'defineProps'.length;
  if (text[given] === '<') {
    const inner = /^<\s*(\{|\w+)/.exec(text.slice(given));
    const braces = inner?.[1] === '{' ? given + inner[0].length - 1 : inner ? typeBraces(text, inner[1] ?? '') : -1;
    if (braces < 0) return undefined;
    const type = { at: braces + 1, text: props.map(typeEntry).join('') };
    const destructured = /\{[^{}]*\}\s*=\s*(?:withDefaults\(\s*)?$/.exec(text.slice(0, call));
    if (destructured) return [{ at: destructured.index + 1, text: props.map(patternEntry).join('') }, type];
    const paren = text.indexOf('(', inner?.[1] === '{' ? closingAt(text, braces) : given);
    const end = closingAt(text, paren);
    const defaults = props.map(({ name, fallback }) => ` ${name}: ${fallback},`).join('');
    if (/withDefaults\(\s*$/.test(text.slice(0, call))) {
      const object = text.indexOf('{', end);
      return object < 0 ? undefined : [type, { at: object + 1, text: defaults }];
    }
    return [{ at: call, text: 'withDefaults(' }, type, { at: end + 1, text: `, {${defaults} })` }];
  }
  const object = /^\(\s*\{/.exec(text.slice(given));
  return object ? [{ at: given + object[0].length, text: props.map(entry).join('') }] : undefined;
}

function inSvelte(text: string, props: readonly NewProp[]): Insertion[] | undefined {
  const taken = /(\{)[^{}]*(?:\{[^{}]*\}[^{}]*)*\}\s*(?::[^=]+)?=\s*\$props\(\)/.exec(text);
  if (taken) return intoPattern(text, taken.index, props, undefined);
  const script = /<script\b(?![^>]*\bmodule\b)[^>]*>/.exec(text);
  const older = props.map(({ name, fallback }) => `\n  export let ${name} = ${fallback};`).join('');
  const runes = `\n  let {${props.map(patternEntry).join('')} } = $props();`;
  if (!script) return [{ at: 0, text: `<script>${runes}\n</script>\n\n` }];
  if (/\$props\(\)/.test(text)) return undefined;
  return [{ at: script.index + script[0].length, text: /\bexport let\b|\$:/.test(text) ? older : runes }];
}

/** The insertions that declare some props in a component's own file; undefined where that has a form that is not followed. */
export function declareProps(text: string, component: Component, props: readonly NewProp[]): readonly Insertion[] | undefined {
  if (props.length === 0) return [];
  if (component.framework === 'react') return component.facts.form === 'function' ? inReact(text, component, props) : undefined;
  if (component.framework === 'vue') return inVue(text, props);
  return component.framework === 'svelte' ? inSvelte(text, props) : undefined;
}
