import { markupOf } from '../../frameworks/registry';
import type { Framework } from '../../model/framework';
import type { Span } from '../../model/span';
import { closingAt, type Piece, withBraces } from '../../overlap';
import { CannotWrite } from '../rewrite';
import type { NewProp } from './declare';

export const typeOf = (code: string): NewProp['type'] =>
  code.startsWith("'") ? 'string' : /^-?\d/.test(code) ? 'number' : /^(?:true|false)$/.test(code) ? 'boolean' : 'unknown';

/** Markup that stands between tags, not within an expression. */
export function isBetweenTags(framework: Framework, text: string, span: Span): boolean {
  if (markupOf(framework) !== 'expression') return true;
  const before = text.slice(0, span.start).trimEnd();
  return !/(?:=>|[({?:&|,=[]|\breturn)$/.test(before);
}

/** The braces in which an expression of markup stands: all that would have to go with it. */
function container(text: string, span: Span): Span {
  let depth = 0;
  for (let at = span.start - 1; at >= 0; at--) {
    if (text[at] === '}') depth++;
    else if (text[at] === '{' && depth-- === 0) {
      const end = closingAt(text, at);
      if (end >= span.end) return { start: at, end: end + 1 };
      return span;
    }
  }
  return span;
}

/** The stretch that has to be moved or wrapped as one: the node, or the expression that it stands in. */
export function unitOf(framework: Framework, text: string, piece: Piece): Span {
  if (markupOf(framework) !== 'expression') {
    if (piece.kind === 'element' || piece.kind === 'use') return piece.span;
    const inner = piece.node.kind === 'branch' || piece.node.kind === 'repeat' ? piece.node.children : [];
    const [only, ...more] = inner;
    // A directive stands on the element that it is about; a block stands around what it is about.
    if (markupOf(framework) === 'directives' && inner.length > 0) {
      if (!only || more.length > 0 || only.span.end < piece.span.end) throw new CannotWrite('A condition around several parts differs.');
      return only.span;
    }
    return inner.length > 0 ? blockSpan(text, piece.span) : withBraces(text, piece.span);
  }
  if ((piece.kind === 'element' || piece.kind === 'use') && (isBetweenTags(framework, text, piece.span) || piece.parent < 0))
    return piece.span;
  return piece.parent < 0 ? piece.span : container(text, piece.span);
}

/** The block that a condition or a list of Svelte opens: `{#if open}…{/if}`. */
function blockSpan(text: string, span: Span): Span {
  const start = text.lastIndexOf('{#', span.start);
  const kind = /^\{#(\w+)/.exec(text.slice(start))?.[1];
  if (start < 0 || kind === undefined || /[}>]/.test(text.slice(start + 2, span.start)))
    throw new CannotWrite('Only one way of a condition differs.');
  let depth = 0;
  for (const match of text.slice(start).matchAll(new RegExp(`\\{([#/])${kind}\\b[^}]*\\}`, 'g'))) {
    depth += match[1] === '#' ? 1 : -1;
    if (depth === 0) return { start, end: start + match.index + match[0].length };
  }
  throw new CannotWrite('A block is not closed.');
}

export const isExpression = (unit: string): boolean => unit.startsWith('{') && unit.endsWith('}');
const inner = (unit: string): string => (isExpression(unit) ? unit.slice(1, -1).trim() : unit);

export function only(framework: Framework, flag: string, unit: string, between: boolean): string {
  if (markupOf(framework) === 'directives') return `<template v-if="${flag}">${unit}</template>`;
  if (markupOf(framework) === 'blocks') return `{#if ${flag}}${unit}{/if}`;
  return between ? `{${flag} && (${inner(unit)})}` : `${flag} && (${inner(unit)})`;
}

export function either(framework: Framework, flag: string, second: string, first: string, between: boolean): string {
  if (markupOf(framework) === 'directives') return `<template v-if="${flag}">${second}</template><template v-else>${first}</template>`;
  if (markupOf(framework) === 'blocks') return `{#if ${flag}}${second}{:else}${first}{/if}`;
  const code = `${flag} ? (${inner(second)}) : (${inner(first)})`;
  return between ? `{${code}}` : code;
}
