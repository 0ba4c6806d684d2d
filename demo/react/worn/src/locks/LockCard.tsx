import type { Lock, Passage } from '@/data/canal';
import { PassageQueue } from '@/passages/PassageQueue';
import { GateSwitch } from './GateSwitch';
import { LevelGauge } from './LevelGauge';

type Props = {
  lock: Lock;
  passages: Passage[];
  selectedLock: string | null;
  onSelect: (lockId: string) => void;
};

export function LockCard({ lock, passages, selectedLock, onSelect }: Props) {
  return (
    <article className="lock-card" data-selected={lock.id === selectedLock}>
      <h2>
        <button onClick={() => onSelect(lock.id)}>{lock.name}</button>
      </h2>
      <LevelGauge lockId={lock.id} max={lock.rise} />
      <GateSwitch lockId={lock.id} tone="calm" />
      <PassageQueue items={passages} />
    </article>
  );
}
