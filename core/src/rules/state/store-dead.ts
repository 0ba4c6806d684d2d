import type { ValueFact } from '../../model/facts';
import type { Component } from '../../model/model';
import { type FilePath, locate, type Location } from '../../model/span';
import { type FactoryStore, factoryStores } from './factory-stores';
import { baseName, importedWhole, storesOf } from './stores';
import type { Found, Rule } from '../rule';

/** A store is written and never read, or read and never written. */
export const storeDead: Rule = {
  inProject: ({ model }) => {
    if (!model.pages.some((page) => page.above === 'known')) return [];
    const stores = [...storesOf(model).values()];
    const made = factoryStores(model);
    if (stores.length + made.length === 0) return [];
    const whole = importedWhole(model);
    const first = new Map<FilePath, Component>();
    for (const component of model.components.values())
      if (component.fileRole === 'source' && !component.isPublic && !first.has(component.file)) first.set(component.file, component);
    const ofFactories = made.flatMap((store) => {
      const dead = deadFactory(store, whole, first);
      return dead.length > 0 ? dead : deadFields(store, whole, first);
    });
    const ofModules = stores.flatMap(({ file, value, mentions }): Found[] => {
      if (mentions.some(({ mention }) => mention.otherwise) || whole.has(baseName(file))) return [];
      const at = (which: 'read' | 'written'): Location[] =>
        mentions.flatMap((one) => (one.mention[which] ? [locate(one.file, one.mention[which])] : []));
      const read = at('read');
      const written = at('written');
      // An atom that is only read may be kept by the browser's storage, or set from a link.
      if (read.length > 0 === written.length > 0 || (read.length > 0 && value.shape === 'atom')) return [];
      // Setting it is what it is for.
      if (value.runs && read.length === 0) return [];
      const places = read.length > 0 ? read : written;
      const owner = [file, ...places.map((place) => place.file)].map((one) => first.get(one)).find((one) => one !== undefined);
      if (!owner) return [];
      return [foundDead(owner, file, value, read.length > 0 ? 'read' : 'written', places)];
    });
    return [...ofModules, ...ofFactories];
  },
};

/**
 * A store that is taken by a call: all who take it use what changes it alone, and nobody reads it; or they read its fields,
 * and nothing anywhere sets one.
 */
function deadFactory(
  { file, value, takers, otherwise, own }: FactoryStore,
  whole: ReadonlySet<string>,
  first: ReadonlyMap<FilePath, Component>,
): Found[] {
  const written = takers.flatMap((one) => one.writes);
  const read = takers.flatMap((one) => one.reads);
  if (otherwise || whole.has(baseName(file))) return [];
  const { fields = [], plainMembers = [] } = value;
  // What is inside a list or an object may change where an item of it is at hand.
  const isNeverSet =
    fields.length > 0 &&
    fields.every(({ name }) => plainMembers.includes(name)) &&
    read.length > 0 &&
    written.length === 0 &&
    own.written.size === 0;
  if (isNeverSet) {
    const owner = [file, ...read.map((place) => place.file)].map((one) => first.get(one)).find((one) => one !== undefined);
    return owner ? [foundDead(owner, file, value, 'read', read)] : [];
  }
  if (written.length === 0 || read.length > 0) return [];
  const owner = [file, ...written.map((place) => place.file)].map((one) => first.get(one)).find((one) => one !== undefined);
  if (!owner) return [];
  return [foundDead(owner, file, value, 'written', written)];
}

/** Fields of a store that something sets, and that nobody reads: not the store itself, and none who take it. */
function deadFields(
  { file, value, takers, otherwise, own }: FactoryStore,
  whole: ReadonlySet<string>,
  first: ReadonlyMap<FilePath, Component>,
): Found[] {
  if (otherwise || whole.has(baseName(file)) || takers.length === 0 || own.read.has('*')) return [];
  return (value.fields ?? []).flatMap((field): Found[] => {
    const isRead = own.read.has(field.name) || takers.some(({ read }) => read.has(field.name) || read.has('*'));
    const places = [own.written.get(field.name), ...takers.map(({ written }) => written.get(field.name))].filter(
      (one) => one !== undefined,
    );
    const owner = [file, ...places.map((place) => place.file), ...takers.flatMap(({ by }) => by?.file ?? [])]
      .map((one) => first.get(one))
      .find((one) => one !== undefined);
    return isRead || places.length === 0 || !owner ? [] : [foundDead(owner, file, field, 'written', places)];
  });
}

function foundDead(
  owner: Component,
  file: FilePath,
  value: Pick<ValueFact, 'name' | 'span'>,
  has: 'read' | 'written',
  places: readonly Location[],
): Found {
  const declared = locate(file, value.span);
  return {
    rule: 'store-dead',
    component: owner.id,
    subject: value.name,
    at: declared,
    words: { store: value.name, lacks: has === 'read' ? 'written' : 'read', has },
    evidence: [
      { at: declared, text: `${value.name} is made here.` },
      ...places.slice(0, 3).map((place) => ({ at: place, text: `It is ${has} here.` })),
    ],
    touches: owner.id,
  };
}
