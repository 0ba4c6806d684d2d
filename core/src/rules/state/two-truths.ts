import type { BodyFacts, OriginFact } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { locate, type Location } from '../../model/span';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

/** A state that keeps its own copy of something asked for outside. */
type Copy = { readonly origin: OriginFact; readonly state: number; readonly name: string; readonly span: { start: number; end: number } };

/** Only what is asked for by the same words is the same. */
const isNamed = ({ kind, what }: OriginFact): boolean =>
  (kind === 'fetch' && /^[\w./:-]*\/[\w./:?=&-]*$/.test(what)) ||
  (kind === 'storage' && /^[\w.:/-]+$/.test(what) && !/Storage\b/.test(what));

const copiesIn = remembered((body: BodyFacts): readonly Copy[] =>
  body.values.flatMap((value, state): Copy[] => {
    if (value.kind !== 'state' || value.shape !== undefined) return [];
    const sources = [
      ...value.from,
      ...body.actions.flatMap((action) => action.changes.flatMap((change) => (change.value === state ? change.from : []))),
    ];
    const origin = sources.map((reading) => originOf(body, reading.value, 4)).find((one) => one !== undefined && isNamed(one));
    return origin ? [{ origin, state, name: value.name, span: value.span }] : [];
  }),
);

function originOf(body: BodyFacts, value: number, depth: number): OriginFact | undefined {
  const facts = body.values[value];
  if (facts?.origin) return facts.origin;
  if (depth === 0 || facts?.kind !== 'derived') return undefined;
  return facts.from.map((reading) => originOf(body, reading.value, depth - 1)).find((one) => one !== undefined);
}

/** Whether the component changes its copy by itself, so that the other cannot know. */
function changesIt(body: BodyFacts, copy: Copy): boolean {
  return body.actions.some((action) =>
    action.changes.some(
      (change) => change.value === copy.state && change.from.every((reading) => originOf(body, reading.value, 4) === undefined),
    ),
  );
}

type Kept = { readonly copy: Copy; readonly body: BodyFacts; readonly at: Location };

const hooksIn = remembered((body: BodyFacts) => body.values.filter((value) => value.kind === 'hook'));

/** The copies that a component keeps, by itself or through hooks of the project. */
function copiesOf(model: Model, component: Component): Kept[] {
  const own = copiesIn(component.facts).map((copy) => ({ copy, body: component.facts, at: locate(component.file, copy.span) }));
  const through = hooksIn(component.facts).flatMap((value): Kept[] => {
    if (value.source === undefined) return [];
    const meant = model.named(component.file, value.source);
    if (meant.kind !== 'hook') return [];
    return copiesIn(meant.fact).map((copy) => ({ copy, body: meant.fact, at: locate(component.file, value.span) }));
  });
  return [...own, ...through];
}

type Holder = { readonly component: Component; readonly kept: Kept };

/** Two components of one page keep separate copies of the same thing, and one of them changes its own. */
export const twoTruths: Rule = {
  inProject: ({ model, pages }) => {
    const holders = new Map<string, Holder[]>();
    for (const component of model.components.values()) {
      if (component.fileRole !== 'source' || component.role !== 'component') continue;
      for (const kept of copiesOf(model, component)) {
        const key = `${kept.copy.origin.kind} ${kept.copy.origin.what}`;
        const known = holders.get(key);
        if (known) known.push({ component, kept });
        else holders.set(key, [{ component, kept }]);
      }
    }
    return [...holders.values()].flatMap((all): Found[] => {
      if (all.length < 2 || !all.some(({ kept }) => changesIt(kept.body, kept.copy))) return [];
      const pair = onOnePage(all, pages.together);
      if (!pair) return [];
      const [first, second, page] = pair;
      const { what, kind } = first.kept.copy.origin;
      return [
        {
          rule: 'two-truths',
          component: second.component.id,
          subject: what,
          at: second.kept.at,
          words: { what, first: first.component.name, second: second.component.name, page, kind: kind === 'fetch' ? 'asks for' : 'reads' },
          evidence: [
            { at: second.kept.at, text: `${second.component.name} keeps its own copy of ${what}.` },
            { at: first.kept.at, text: `So does ${first.component.name}.` },
          ],
          touches: second.component.id,
          pages: [page],
        },
      ];
    });
  },
};

function onOnePage(
  all: readonly Holder[],
  together: (a: ComponentId, b: ComponentId) => string | undefined,
): [Holder, Holder, string] | undefined {
  for (const [index, first] of all.entries())
    for (const second of all.slice(index + 1)) {
      const page = first.component === second.component ? undefined : together(first.component.id, second.component.id);
      if (page !== undefined) return [first, second, page];
    }
  return undefined;
}
