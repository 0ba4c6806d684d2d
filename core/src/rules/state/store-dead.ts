import type { Reading, ValueFact } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { contains, type FilePath, locate, type Location } from '../../model/span';
import { type FactoryStore, factoryStores } from './factory-stores';
import { asksFor, baseName, importedWhole, moduleDataOf, type Store, storesOf } from './stores';
import type { Found, Rule } from '../rule';

/** A store is written and never read, or read and never written. */
export const storeDead: Rule = {
  inProject: ({ model }) => {
    if (!model.pages.some((page) => page.above === 'known')) return [];
    const stores = [...storesOf(model).values()];
    const made = factoryStores(model);
    const data = [...moduleDataOf(model).values()];
    if (stores.length + made.length + data.length === 0) return [];
    const whole = importedWhole(model);
    const first = new Map<FilePath, Component>();
    for (const component of model.components.values())
      if (component.fileRole === 'source' && !component.isPublic && !first.has(component.file)) first.set(component.file, component);
    const ofFactories = made.flatMap((store) => {
      const dead = deadFactory(store, whole, first);
      return dead.length > 0 ? dead : [...deadFields(store, whole, first), ...deadMembers(model, store, whole, first)];
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
    return [...ofModules, ...ofFactories, ...data.flatMap((one) => deadData(model, one, whole))];
  },
};

/** Data of a module that something writes, which a component asks for, and that nobody reads. */
function deadData(model: Model, { file, value, mentions }: Store, whole: ReadonlySet<string>): Found[] {
  const places = mentions.flatMap((one) => (one.mention.written ? [locate(one.file, one.mention.written)] : []));
  const isUsed = mentions.some(({ mention }) => mention.read || mention.otherwise);
  if (places.length === 0 || isUsed || whole.has(baseName(file))) return [];
  const owner = [...model.components.values()].find(
    (component) => component.fileRole === 'source' && (component.file === file || asksFor(model, component, file)),
  );
  return owner ? [foundDead(owner, file, value, 'written', places)] : [];
}

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

/** States that a store holds under names of its own, which something sets and nobody reads: no other member, and none who take it. */
function deadMembers(
  model: Model,
  { file, value, takers, otherwise }: FactoryStore,
  whole: ReadonlySet<string>,
  first: ReadonlyMap<FilePath, Component>,
): Found[] {
  const module = model.files.get(file)?.module;
  if (!module || otherwise || takers.length === 0 || whole.has(baseName(file))) return [];
  return value.from.flatMap(({ value: at, held }): Found[] => {
    const [member, ...more] = held?.at ?? [];
    const state = module.values[at];
    if (member === undefined || more.length > 0 || state?.kind !== 'state') return [];
    const changes = module.actions.flatMap((action) => action.changes.filter((one) => one.value === at));
    const isOwn = ({ span }: Reading): boolean => changes.some((one) => contains(one.span, span));
    const isRead =
      module.actions.some(({ reads, returns, invokes }) =>
        [...reads, ...returns, ...invokes.flatMap(({ args }) => args.flatMap(({ readings }) => readings))].some(
          (one) => one.value === at && !isOwn(one),
        ),
      ) ||
      module.values.some((one) => one !== value && one.from.some((reading) => reading.value === at && !isOwn(reading))) ||
      takers.some(({ read }) => read.has(member) || read.has('*'));
    const places = [...changes.map(({ span }) => locate(file, span)), ...takers.flatMap(({ written }) => written.get(member) ?? [])];
    const owner = takers.map(({ by }) => by).find((one) => one !== undefined && !one.isPublic) ?? first.get(file);
    return isRead || places.length === 0 || !owner ? [] : [foundDead(owner, file, { name: member, span: state.span }, 'written', places)];
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
