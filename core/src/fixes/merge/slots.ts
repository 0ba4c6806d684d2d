import type { TemplateNode } from '../../model/facts';
import { walkTemplate } from '../../model/walk';
import { contentSpan, type Hole, type Laid, nameOf, type Piece } from '../../overlap';
import type { Framework } from '../../model/facts';
import type { NewProp } from './declare';
import { type MergedProp, newProp, type Work } from './fill';
import { isBetweenTags, unitOf } from './unit';

/** One piece in the first and another one in its place in the second. */
export type Swap = { readonly a: Piece; readonly b: Piece; readonly holes: readonly Hole[] };

/** It says the same wherever it stands: it reads nothing, does nothing, and uses no component. */
function isFree(root: Piece): boolean {
  let free = true;
  walkTemplate([root.node], (node: TemplateNode) => {
    if (node.kind === 'element') {
      if (node.spreads.some((spread) => spread.span.end > node.nameSpan.end)) free = false;
      if (node.bindings.some((one) => one.readings.length > 0 || one.action !== undefined || one.markup || one.constant === undefined))
        free = false;
    } else free = false;
  });
  return free;
}

/** Between which siblings that both have a piece stands: their indexes in the first, -1 for none. */
function gapOf({ a, b, alignment }: Laid, side: 'a' | 'b', piece: Piece): string {
  const own = side === 'a' ? a : b;
  const siblings = piece.parent >= 0 ? (own.nodes[piece.parent]?.children ?? []) : own.roots;
  const inFirst = (index: number): number => alignment.pairs.find((pair) => pair[side === 'a' ? 0 : 1] === index)?.[0] ?? -1;
  const at = siblings.indexOf(piece.index);
  const before =
    siblings
      .slice(0, at)
      .map(inFirst)
      .filter((one) => one >= 0)
      .at(-1) ?? -1;
  const after =
    siblings
      .slice(at + 1)
      .map(inFirst)
      .find((one) => one >= 0) ?? -1;
  return `${piece.parent < 0 ? -1 : inFirst(piece.parent)} ${before} ${after}`;
}

/** Styles of a component's own do not reach what its users put into it. */
const scoped: Readonly<Partial<Record<Framework, RegExp>>> = { vue: /<style\b[^>]*\b(?:scoped|module)\b/, svelte: /<style\b/ };

/** Elements that stand in each other's place, of which the second's can be given by its users as it is. */
export function swapsOf(laid: Laid, framework: Framework): Swap[] {
  if (laid.texts.some((text) => scoped[framework]?.test(text))) return [];
  const fits = ({ a, b }: Pick<Swap, 'a' | 'b'>): boolean =>
    a.kind === 'element' &&
    b.kind === 'element' &&
    isFree(b) &&
    a.parent >= 0 &&
    !/\bv-else\b/.test(laid.texts[0].slice(a.span.start, a.span.end).slice(0, 200));
  const tags = laid.holes.flatMap((hole): Swap[] => {
    const [a, b] = [laid.a.nodes[hole.difference?.a ?? -1], laid.b.nodes[hole.difference?.b ?? -1]];
    return hole.difference?.kind === 'tag' && a && b ? [{ a, b, holes: [hole] }] : [];
  });
  const gaps = new Map<string, { a: [Hole, Piece][]; b: [Hole, Piece][] }>();
  for (const hole of laid.holes) {
    if (hole.difference?.kind !== 'presence') continue;
    const side = hole.a ? 'a' : 'b';
    const piece = side === 'a' ? laid.a.nodes[hole.difference.a] : laid.b.nodes[hole.difference.b];
    if (!piece) continue;
    const gap = gapOf(laid, side, piece);
    const known = gaps.get(gap) ?? { a: [], b: [] };
    known[side].push([hole, piece]);
    gaps.set(gap, known);
  }
  const gapped = [...gaps.values()].flatMap(({ a: [one, ...more], b: [other, ...others] }): Swap[] =>
    one && other && more.length + others.length === 0 ? [{ a: one[1], b: other[1], holes: [one[0], other[0]] }] : [],
  );
  return [...tags, ...gapped].filter(fits);
}

/** A name for what may be put in some element's place. */
const slotName = (piece: Piece): string =>
  /^h\d$/.test(piece.label)
    ? 'heading'
    : piece.label === 'button'
      ? 'action'
      : /^(?:svg|img|i)$/.test(piece.label)
        ? 'mark'
        : nameOf(piece).length > 2
          ? nameOf(piece)
          : 'part';

/** Svelte before version 5, where content has a name but is no prop. */
const isOlder = ({ laid, framework }: Work): boolean => framework === 'svelte' && /\bexport let\b|<slot\b/.test(laid.texts.join(' '));

/** Whether what the users put in is declared as a prop. */
export const isPropSlot = (work: Work): boolean => work.framework === 'react' || (work.framework === 'svelte' && !isOlder(work));

/** Leaves a place for either: what the first has is what stands there where nothing is given. */
export function slotHole(work: Work, { a, b }: Swap): void {
  const { laid, framework } = work;
  const given = laid.texts[1].slice(b.span.start, b.span.end);
  const name = newProp(work, 'slot', slotName(a), 'undefined', given);
  const type: NewProp['type'] = framework === 'react' ? 'ReactNode' : 'unknown';
  work.props.push({ ...(work.props.pop() as MergedProp), type });
  const unit = unitOf(framework, laid.texts[0], a);
  const own = laid.texts[0].slice(unit.start, unit.end);
  work.puts.push({
    ...unit,
    other: unitOf(framework, laid.texts[1], b),
    text: placed(work, name, own, isBetweenTags(framework, laid.texts[0], unit)),
  });
}

function placed(work: Work, name: string, own: string, between: boolean): string {
  if (work.framework === 'vue' || isOlder(work)) return `<slot name="${name}">${own}</slot>`;
  if (work.framework === 'svelte') return `{#if ${name}}{@render ${name}()}{:else}${own}{/if}`;
  return between ? `{${name} ?? ${own}}` : `${name} ?? (${own})`;
}

/** What a use of the second has to hold, and where: an attribute, or content of its own. */
export function slotGiven(
  work: Work,
  text: string,
  use: { readonly start: number; readonly end: number },
  tag: string,
): { start: number; end: number; text: string }[] {
  const slots = work.props.filter((prop) => prop.kind === 'slot');
  if (slots.length === 0 || work.framework === 'react') return [];
  const content = slots
    .map(({ name, given }) => {
      if (work.framework === 'vue') return `<template #${name}>${given}</template>`;
      return isOlder(work) ? `<svelte:fragment slot="${name}">${given}</svelte:fragment>` : `{#snippet ${name}()}${given}{/snippet}`;
    })
    .join('');
  const inside = contentSpan(text, use);
  if (inside) return [{ start: inside.start, end: inside.start, text: content }];
  const close = /\s*\/>$/.exec(text.slice(use.start, use.end))?.[0] ?? '';
  return [{ start: use.end - close.length, end: use.end, text: `>${content}</${tag}>` }];
}
