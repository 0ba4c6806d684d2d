import type { BodyFacts } from '../../model/facts';

/** A store that holds nothing but states of its module, and what is computed from them: each of these has a way of its own. */
export function isPutTogether({ values, actions }: BodyFacts, store: number): boolean {
  const value = values[store];
  const kinds = value?.kind === 'store' ? value.from.map((from) => (from.held ? values[from.value]?.kind : undefined)) : [];
  return (
    kinds.includes('state') &&
    kinds.every((kind) => kind === 'state' || kind === 'derived' || kind === 'function') &&
    !actions.some(({ changes }) => changes.some((change) => change.value === store))
  );
}

/** The name of a value of a module, with that of the store that it is a state of: `Levels.held`. */
export function nameInModule({ values }: BodyFacts, index: number): string {
  const name = values[index]?.name ?? '';
  const store = values.find((one) => one.kind === 'store' && one.from.some((from) => from.value === index && from.held));
  return store === undefined ? name : `${store.name}.${name}`;
}
