import type { Keeper } from '@/data/canal';

export type KeeperValue = { readonly keeper: Keeper; signOff: () => void };

/** The keeper who is signed in, for all below the shell. */
export const keeperKey = Symbol('keeper');
