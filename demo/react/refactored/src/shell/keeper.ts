import { createContext, useContext } from 'react';
import type { Keeper } from '@/data/canal';

export type KeeperValue = { keeper: Keeper; signOff: () => void };

export const KeeperContext = createContext<KeeperValue | null>(null);

export function useKeeper(): KeeperValue {
  const value = useContext(KeeperContext);
  if (!value) throw new Error('useKeeper needs an AppShell above it.');
  return value;
}
