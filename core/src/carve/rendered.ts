import type { Component, Model } from '../model/model';
import type { Markup, SkeletonPart } from '../model/skeleton';
import { piecesOf } from '../overlap';

/**
 * What something renders itself, without what the parts in it render: how often each sign of it occurs. Signs
 * are elements, elements in elements, classes, and attributes with constant values.
 */
export type Rendered = ReadonlyMap<string, number>;

/** Attributes whose value is of the occasion, or is written anew for each page. */
const unsaid = new Set(['class', 'style', 'href', 'src', 'id', 'key', 'ref', 'slot', 'value']);

class Signs {
  readonly counts = new Map<string, number>();
  private add(sign: string): void {
    this.counts.set(sign, (this.counts.get(sign) ?? 0) + 1);
  }
  element(tag: string, around: string): void {
    this.add(tag);
    if (around !== '') this.add(`${around}>${tag}`);
  }
  classes(names: string): void {
    for (const name of names.split(/\s+/)) if (/^[\w-]+$/.test(name)) this.add(`.${name}`);
  }
  attribute(name: string, value: string): void {
    const plain = name.replace(/[-:]/g, '').toLowerCase();
    if (!unsaid.has(plain)) this.add(`@${plain}=${value}`);
  }
}

/** A constant as it is meant: without its quotes. */
const unquoted = (constant: string): string => /^(["'`])([\s\S]*)\1$/.exec(constant)?.[2] ?? constant;

/** What a component renders, as its markup says. Empty for one without markup of its own. */
export function renderedBy(model: Model, component: Component): Rendered {
  const signs = new Signs();
  const { nodes } = piecesOf(model, component);
  const elementAround = (at: number): string => {
    for (let up = nodes[at]?.parent ?? -1; up >= 0; up = nodes[up]?.parent ?? -1) {
      const piece = nodes[up];
      if (piece?.kind === 'element') return piece.label;
      if (piece?.kind === 'use') return '';
    }
    return '';
  };
  for (const piece of nodes) {
    if (piece.kind !== 'element') continue;
    signs.element(piece.label, elementAround(piece.index));
    for (const { name, kind, binding } of piece.traits) {
      if (kind === 'class') signs.classes(binding.to.kind === 'class' ? binding.to.name : unquoted(binding.constant ?? ''));
      else if (kind === 'constant') signs.attribute(name, unquoted(binding.constant ?? ''));
    }
  }
  return signs.counts;
}

/** What a planned part renders, as its markup on its page says. Empty for a part that was drawn on a picture. */
export function plannedRendered(part: SkeletonPart): Rendered {
  const signs = new Signs();
  const walk = (markup: readonly Markup[], around: string): void => {
    for (const one of markup) {
      if (one.kind === 'element') {
        signs.element(one.tag, around);
        for (const { name, value } of one.attributes) {
          if (typeof value !== 'string') continue;
          if (name === 'class') signs.classes(value);
          else signs.attribute(name, value);
        }
        walk(one.children, one.tag);
      } else if (one.kind === 'each' || one.kind === 'when') walk(one.children, around);
      else if (one.kind === 'use') walk(one.content, '');
    }
  };
  walk(part.markup, '');
  return signs.counts;
}

/** How much a sign says: the fewer things have it, the more; a class more than an element. */
export function signWeights(all: readonly Rendered[]): (sign: string) => number {
  const having = new Map<string, number>();
  for (const rendered of all) for (const sign of rendered.keys()) having.set(sign, (having.get(sign) ?? 0) + 1);
  const kind = (sign: string): number => (sign.startsWith('.') ? 3 : sign.startsWith('@') ? 1.5 : sign.includes('>') ? 1 : 0.5);
  return (sign) => kind(sign) * Math.log(1 + all.length / Math.max(1, having.get(sign) ?? 0));
}

/**
 * How alike what two things render is, 0 to 1: the weight of what both have by the weight of what they have on
 * average. 0 where either renders nothing itself, or they have too little in common to tell: a bare element says
 * nothing. How often a sign occurs counts by its root, for lists of other lengths.
 */
export function renderLikeness(one: Rendered, other: Rendered, weight: (sign: string) => number): number {
  const sum = (rendered: Rendered): number => [...rendered].reduce((total, [sign, times]) => total + Math.sqrt(times) * weight(sign), 0);
  const either = sum(one) + sum(other);
  if (one.size === 0 || other.size === 0 || either === 0) return 0;
  const common = [...one.keys()].filter((sign) => other.has(sign));
  if (common.length < 3 && !common.some((sign) => /^[.@]/.test(sign))) return 0;
  let both = 0;
  for (const [sign, times] of one) both += Math.sqrt(Math.min(times, other.get(sign) ?? 0)) * weight(sign);
  return (2 * both) / either;
}
