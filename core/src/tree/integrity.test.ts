import { describe, expect, test } from 'vitest';
import { makeApplication } from '../../../bench/src/application';
import { analyse } from '../analyse';
import { makeFlowQueries, orderColumns, placeCard, strandsOf } from '../flow';
import { ancestors, providerFor, unfold } from '.';

const { sources, configs } = makeApplication(160, undefined, 3);
const { model, findings } = analyse(sources, configs);
const trees = model.pages.map((page) => unfold(model, page));

describe('a made application, whole', () => {
  test('is read, linked and has nothing that could be found wrong', () => {
    expect(model.counts.unresolved).toBe(0);
    expect([...model.files.values()].flatMap((facts) => facts.problems)).toEqual([]);
    expect(model.pages.length).toBeGreaterThan(2);
    expect(findings.filter((finding) => finding.severity === 'fault')).toEqual([]);
  });

  test('is the same for the same seed, and another for another', () => {
    expect(makeApplication(160, undefined, 3)).toEqual({ sources, configs });
    expect(makeApplication(160, undefined, 4).sources).not.toEqual(sources);
  });
});

describe.each(trees.map((tree) => [tree.page, tree] as const))('the tree of %s', (_, tree) => {
  test('places come after their parents and owners, one level further in', () => {
    for (const place of tree.places) {
      expect(place.parent).toBeLessThan(place.index);
      expect(place.owner).toBeLessThan(place.index);
      expect(place.depth).toBe(place.parent < 0 ? 0 : (tree.places[place.parent]?.depth ?? -9) + 1);
      expect(ancestors(tree, place)).toHaveLength(place.depth);
    }
  });

  test('a use belongs to the component of its owner and leads to the component of the place', () => {
    for (const place of tree.places) {
      if (!place.use) continue;
      const ownerId = tree.places[place.owner]?.component;
      const use = [...model.usesBy.values()].flat().find((one) => one.id === place.use);
      if (ownerId) expect(use?.owner).toBe(ownerId);
      expect(use?.target).toMatchObject({ kind: 'component', id: place.component });
    }
  });

  test('whoever takes a context that is needed finds its provider', () => {
    for (const place of tree.places) {
      for (const take of model.components.get(place.component)?.consumes ?? [])
        expect(providerFor(tree, place, take.context)).toBeDefined();
    }
  });

  test('knots stand in order, at places of the page, and come from knots of the same strand', () => {
    const { strands } = strandsOf(makeFlowQueries(model, tree));
    expect(strands.length).toBeGreaterThan(0);
    for (const strand of strands) {
      const places = new Set(strand.knots.map((knot) => knot.place));
      expect(places.size).toBe(strand.knots.length);
      expect([...places]).toEqual([...places].sort((a, b) => a - b));
      for (const knot of strand.knots) {
        expect(tree.places[knot.place]).toBeDefined();
        expect(knot.kinds.length).toBeGreaterThan(0);
        if (knot.from >= 0) expect(places.has(knot.from)).toBe(true);
        for (const { at } of knot.code) expect(at.end).toBeLessThanOrEqual(sources.find(({ file }) => file === at.file)?.text.length ?? 0);
      }
    }
  });

  test('columns hold each strand once', () => {
    const { strands } = strandsOf(makeFlowQueries(model, tree));
    const ordered = orderColumns(strands).map((strand) => strand.id);
    expect(ordered).toHaveLength(strands.length);
    expect(new Set(ordered)).toEqual(new Set(strands.map((strand) => strand.id)));
  });

  test('every place has a card, whose givers are on the page', () => {
    const { strands } = strandsOf(makeFlowQueries(model, tree));
    for (const { index } of tree.places) {
      const card = placeCard(model, tree, strands, index);
      expect(card?.place).toBe(index);
      for (const prop of card?.props ?? []) if (prop.from) expect(prop.from.hops).toBeGreaterThan(0);
    }
  });
});
