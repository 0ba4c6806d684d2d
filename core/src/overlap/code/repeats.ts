import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { type Piece, piecesOf } from './pieces';

/** A stretch of markup that stands in several places: the pieces, by the components they stand in. */
export type Repeated = { readonly places: readonly { readonly component: ComponentId; readonly piece: Piece }[]; readonly weight: number };

/** Lighter stretches are alike because the platform makes them so. */
const weightLeast = 20;
/** What is as long to the letter in all its ends holds the same texts, and counts from this weight on. */
const weightToTheLetter = 12;
const wordedLeast = 3;
const piecesLeast = 5;
const kindsLeast = 3;

/** One name for the structure of each piece and all that is in it: what it is, the names of its attributes, its children. */
function printsOf(nodes: readonly Piece[], framework: string, names: Map<string, number>): number[] {
  const prints = new Array<number>(nodes.length).fill(-1);
  for (let at = nodes.length - 1; at >= 0; at--) {
    const node = nodes[at] as Piece;
    // Markup of two frameworks cannot be one component.
    const text = `${framework} ${node.role}:${node.label}[${node.traits
      .map((trait) => trait.name)
      .sort()
      .join(' ')}](${node.children.map((child) => prints[child]).join(',')})`;
    const known = names.get(text) ?? names.size;
    names.set(text, known);
    prints[at] = known;
  }
  return prints;
}

/** The pieces that are written where a piece stands; markup that is kept elsewhere and shown in it is written once, wherever it shows. */
export const writtenIn = (nodes: readonly Piece[], { index, end, span }: Piece): Piece[] =>
  nodes.slice(index, end).filter((one) => one.span.start >= span.start && one.span.end <= span.end);

/** What a piece weighs that could be a component of its own; undefined for all others. */
function wholeWeight(nodes: readonly Piece[], piece: Piece): number | undefined {
  if (piece.kind !== 'element' || piece.end - piece.index < piecesLeast || piece.total < weightToTheLetter) return undefined;
  const own = writtenIn(nodes, piece);
  // A row of one element over and over is alike wherever it stands.
  const kinds = new Set(own.map((one) => `${one.role} ${one.label}`));
  const weight = own.reduce((sum, one) => sum + one.own, 0);
  return own.length >= piecesLeast && kinds.size >= kindsLeast && weight >= weightToTheLetter ? weight : undefined;
}

/** How long each end of a piece is, those that nothing but words stands in; undefined where these are too few to tell that two are the same. */
function wordsOf(nodes: readonly Piece[], piece: Piece): string | undefined {
  const ends = writtenIn(nodes, piece).filter(({ children }) => children.length === 0);
  const worded = ends.filter(({ node }) => node.kind === 'element' && node.hasText);
  return worded.length >= wordedLeast && worded.length === ends.length
    ? ends.map(({ span }) => span.end - span.start).join(' ')
    : undefined;
}

/**
 * The same markup in several places of a project, the heaviest first: equal structure, whatever the
 * texts, values and classes. A stretch within a larger one that repeats as often is left out.
 */
export function findRepeats(model: Model): Repeated[] {
  const names = new Map<string, number>();
  const nameOf = (text: string): number => {
    const known = names.get(text) ?? names.size;
    names.set(text, known);
    return known;
  };
  const seen = new Set<string>();
  const found = new Map<number, { component: Component; piece: Piece; parentPrint: number }[]>();
  for (const component of model.components.values()) {
    if (component.role !== 'component' || component.fileRole !== 'source') continue;
    const { nodes } = piecesOf(model, component);
    const prints = printsOf(nodes, component.framework, names);
    for (const piece of nodes) {
      const weight = wholeWeight(nodes, piece);
      if (weight === undefined) continue;
      const own = prints[piece.index] ?? -1;
      const isHeavy = weight >= weightLeast && piece.total >= weightLeast;
      const words = isHeavy ? '' : wordsOf(nodes, piece);
      if (words === undefined) continue;
      const print = isHeavy ? own : nameOf(`${own}: ${words}`);
      const place = { component, piece, parentPrint: prints[piece.parent] ?? -1 };
      // Markup that shows at several places may be written at one.
      const written = `${print} ${component.id} ${piece.span.start}`;
      if (seen.has(written)) continue;
      seen.add(written);
      const known = found.get(print);
      if (known) known.push(place);
      else found.set(print, [place]);
    }
  }
  const covered = new Map<string, { start: number; end: number }[]>();
  return [...found.values()]
    .filter((places) => places.length > 1)
    .filter((places) => {
      const [first] = places;
      const around = first ? found.get(first.parentPrint) : undefined;
      // What is around it repeats as often, so that this is only a part of it.
      return !(around && around.length >= places.length && places.every((place) => place.parentPrint === first?.parentPrint));
    })
    .map((places) => ({
      places: places.map(({ component, piece }) => ({ component: component.id, piece })),
      weight: places[0]?.piece.total ?? 0,
    }))
    .sort((a, b) => b.weight * b.places.length - a.weight * a.places.length)
    .filter(({ places }) => {
      // All within stretches that are told already: it goes with these.
      const isWithin = ({ component, piece }: Repeated['places'][number]): boolean =>
        (covered.get(component) ?? []).some((one) => one.start <= piece.span.start && piece.span.end <= one.end);
      if (places.every(isWithin)) return false;
      for (const { component, piece } of places) covered.set(component, [...(covered.get(component) ?? []), piece.span]);
      return true;
    });
}
