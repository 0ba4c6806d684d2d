import type { ReactNode } from 'react';
import type { Lock } from '@/data/canal';
import { GateSwitch } from './GateSwitch';
import { LevelGauge } from './LevelGauge';

type Props = { lock: Lock; isSelected: boolean; onSelect: (lockId: string) => void; children: ReactNode };

export function LockCard({ lock, isSelected, onSelect, children }: Props) {
  return (
    <article className="lock-card" data-selected={isSelected}>
      <h2>
        <button onClick={() => onSelect(lock.id)}>{lock.name}</button>
      </h2>
      <LevelGauge lockId={lock.id} rise={lock.rise} />
      <GateSwitch lockId={lock.id} />
      {children}
    </article>
  );
}
