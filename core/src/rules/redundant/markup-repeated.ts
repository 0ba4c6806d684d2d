import type { Model } from '../../model/model';
import { piecesOf, type Repeated, writtenIn } from '../../overlap';
import { locate } from '../../model/span';
import { counted, listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';

/** Tags that say what a stretch of markup is about better than the others. */
const telling = new Set([
  'form',
  'nav',
  'header',
  'footer',
  'table',
  'dl',
  'ul',
  'ol',
  'article',
  'section',
  'aside',
  'figure',
  'fieldset',
  'dialog',
  'menu',
]);

const wordsOf = (name: string): string[] => name.match(/[A-Z]+(?![a-z])|[A-Z]?[a-z0-9]+/g) ?? [name];

/** The words that several names end with: `BlogPostFooter`, `DocFooter` → `Footer`; empty for none. */
function commonEnd(names: readonly string[]): string {
  const [first = [], ...more] = names.map((name) => wordsOf(name).reverse());
  const count = first.findIndex((word, at) => more.some((other) => other[at] !== word));
  return [...(count < 0 ? first : first.slice(0, count))].reverse().join('');
}

/** A class that says what something is, not how it looks: no `w-full`, `mt-2`, `flex`. */
const isNaming = (word: string): boolean =>
  /^[a-z]{3,}(?:[-_]?[a-z]{3,})*$/i.test(word) && !/^(?:flex|grid|block|inline|relative|absolute|text|gap|space)(?:-|$)/.test(word);

/** A name for the component that repeated markup could be: by its class or tag, else by the components that have it. */
export function repeatedName(model: Model, { places }: Repeated): string {
  const [first] = places;
  if (!first) return 'SharedPart';
  const { node, label } = first.piece;
  const dressed =
    node.kind === 'element' ? node.bindings.find((one) => one.to.kind === 'attribute' && one.to.name === 'class')?.constant : undefined;
  const word = dressed?.replace(/["']/g, '').split(/\s+/)[0]?.split(/__|--/)[0];
  const names = [...new Set(places.map((place) => model.components.get(place.component)?.name ?? ''))];
  const common = commonEnd(names) || 'Shared';
  const tag = /^[uod]l$/.test(label) ? 'list' : telling.has(label) ? label : 'part';
  const isTaken = (name: string): boolean => [...model.components.values()].some((one) => one.name === name);
  const ofOwners = !common.toLowerCase().endsWith(tag) ? `${common}-${tag}` : isTaken(common) ? `${common}-part` : common;
  const base = word !== undefined && isNaming(word) ? word : ofOwners;
  return base.replace(/(?:^|[-_])([a-z])/gi, (_, letter: string) => letter.toUpperCase());
}

/** The lines that a piece takes, as one writes it: a tag to a line, and one more where something is in it. */
const linesOf = (pieces: number): number => Math.round(pieces * 1.4);

/** The same stretch of markup stands in several places. */
export const markupRepeated: Rule = {
  inProject: ({ model, overlap }) => {
    // Twins say more: all that is in them repeats. Of pages nobody makes one.
    const pages = new Set(model.pages.map(({ file, name }) => `${file} ${name}`));
    const twin = new Map(overlap.twins.flatMap(({ members }, at) => members.map((id) => [id, at] as const)));
    return overlap.repeats.flatMap((repeated): Found[] => {
      // What a class shows that it has of its base is written once.
      const places = repeated.places.filter(({ component }) => !model.components.get(component)?.facts.shownByBase);
      const [first, ...others] = places;
      const owner = first && model.components.get(first.component);
      if (!first || !owner || others.length === 0) return [];
      const clusters = new Set(places.map((place) => twin.get(place.component) ?? -1));
      const areOfPages = places.every(({ component }) => {
        const one = model.components.get(component);
        return one !== undefined && pages.has(`${one.file} ${one.name}`);
      });
      if (clusters.size === 1 && !clusters.has(-1) && !areOfPages) return [];
      const lines = linesOf(writtenIn(piecesOf(model, owner).nodes, first.piece).length);
      const names = [...new Set(others.map((place) => model.components.get(place.component)?.name ?? ''))];
      const isOwn = names.length === 1 && names[0] === owner.name;
      const at = locate(owner.file, first.piece.span);
      return [
        {
          rule: 'markup-repeated',
          component: owner.id,
          subject: first.piece.label,
          at: locate(owner.file, {
            ...first.piece.span,
            end: Math.min(first.piece.span.end, first.piece.span.start + first.piece.label.length + 1),
          }),
          words: {
            first: owner.name,
            places: isOwn ? `${owner.name} again` : listed(names),
            count: `about ${lines}`,
            times: String(places.length),
            name: repeatedName(model, repeated),
            holes: ', with what differs as its props',
          },
          evidence: places.slice(0, 5).map(({ component, piece }) => ({
            at: locate(model.components.get(component)?.file ?? at.file, piece.span),
            text: `${model.components.get(component)?.name ?? ''} has it (${counted(places.length, 'place')} in all).`,
          })),
          goes: [{ count: lines * (places.length - 1), what: 'line' }],
          touches: owner.id,
        },
      ];
    });
  },
};
