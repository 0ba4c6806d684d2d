import { inject, type InjectionKey, type Ref } from 'vue';
import type { Keeper } from '@/data/canal';

export type KeeperValue = { keeper: Ref<Keeper>; signOff: () => void };

export const keeperKey: InjectionKey<KeeperValue> = Symbol('keeper');

/** The keeper who answers here. Throws where nobody is signed in. */
export function useKeeper(): KeeperValue {
  const value = inject(keeperKey);
  if (!value) throw new Error('No keeper is signed in here.');
  return value;
}
