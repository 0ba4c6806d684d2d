import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { type FactoryStore, factoryStores } from './factory-stores';
import { baseName, importedWhole, type Store, storesOf } from './stores';
import { unfold } from '../../tree';
import type { Found, Rule } from '../rule';

/** The one component that reads and writes a store; undefined where others, hooks or modules have to do with it. */
function onlyUser({ mentions, file, value }: Store, whole: ReadonlySet<string>): Component | undefined {
  const [first] = mentions;
  if (!first?.by || value.origin || whole.has(baseName(file)) || mentions.some(({ by, mention }) => by !== first.by || mention.otherwise))
    return undefined;
  const reads = mentions.some(({ mention }) => mention.read);
  const writes = mentions.some(({ mention }) => mention.written);
  return reads && writes && first.by.role === 'component' && first.by.fileRole === 'source' && !first.by.isPublic ? first.by : undefined;
}

/** It stands once on each page, in no list and under no condition: nothing outlives it. */
function isAlwaysThere(model: Model, component: Component): boolean {
  const pages = model.pages.filter((page) => page.above === 'known');
  return (
    pages.length > 0 &&
    pages.every((page) => {
      const tree = unfold(model, page);
      const places = tree.places.filter((place) => place.component === component.id);
      const [place] = places;
      if (!place || places.length > 1 || tree.truncated) return false;
      for (let at: typeof place | undefined = place; at; at = tree.places[at.parent])
        if (at.repeats.length > 0 || at.branches.length > 0) return false;
      return true;
    })
  );
}

/** One component alone, mounted once, reads and writes a store, and nothing outlives the component by it. */
export const storePrivate: Rule = {
  inProject: ({ model }) => {
    if (!model.pages.some((page) => page.above === 'known')) return [];
    const whole = importedWhole(model);
    const made = factoryStores(model).flatMap((store): Found[] => privateFactory(model, store, whole));
    const plain = [...storesOf(model).values()].flatMap((store): Found[] => {
      const component = onlyUser(store, whole);
      if (!component || !isAlwaysThere(model, component)) return [];
      const at = locate(store.file, store.value.span);
      const places = store.mentions.flatMap(({ file, mention }) => [
        ...(mention.read ? [{ at: locate(file, mention.read), text: `${component.name} reads it.` }] : []),
        ...(mention.written ? [{ at: locate(file, mention.written), text: `${component.name} changes it.` }] : []),
      ]);
      return [
        {
          rule: 'store-private',
          component: component.id,
          subject: store.value.name,
          at,
          words: { store: store.value.name, component: component.name },
          evidence: [{ at, text: `${store.value.name} is kept outside all components.` }, ...places.slice(0, 3)],
          goes: [{ count: 1, what: 'store' }],
          touches: component.id,
        },
      ];
    });
    return [...plain, ...made];
  },
};

/** A store that is taken by a call: one component takes it, reads it and calls what changes it. */
function privateFactory(model: Model, { file, value, takers, otherwise }: FactoryStore, whole: ReadonlySet<string>): Found[] {
  const component = takers[0]?.by;
  if (!component || otherwise || whole.has(baseName(file)) || takers.some(({ by }) => by !== component)) return [];
  const reads = takers.flatMap((one) => one.reads);
  const writes = takers.flatMap((one) => one.writes);
  if (reads.length === 0 || writes.length === 0 || component.role !== 'component' || component.fileRole !== 'source') return [];
  if (component.isPublic || !isAlwaysThere(model, component)) return [];
  const at = locate(file, value.span);
  return [
    {
      rule: 'store-private',
      component: component.id,
      subject: value.name,
      at,
      words: { store: value.name, component: component.name },
      evidence: [
        { at, text: `${value.name} is kept outside all components.` },
        ...reads.slice(0, 1).map((one) => ({ at: one, text: `${component.name} reads it.` })),
        ...writes.slice(0, 1).map((one) => ({ at: one, text: `${component.name} changes it.` })),
      ],
      goes: [{ count: 1, what: 'store' }],
      touches: component.id,
    },
  ];
}
