import { type ReactNode, useState } from 'react';
import type { Keeper } from '@/data/canal';
import { KeeperContext } from './keeper';
import { TopBar } from './TopBar';

type Props = { children: ReactNode };

export function AppShell({ children }: Props) {
  const [keeper, setKeeper] = useState<Keeper>({ name: 'M. Oake', onDuty: true });
  const signOff = () => setKeeper((before) => ({ ...before, onDuty: false }));

  return (
    <KeeperContext value={{ keeper, signOff }}>
      <TopBar />
      <main>{children}</main>
    </KeeperContext>
  );
}
