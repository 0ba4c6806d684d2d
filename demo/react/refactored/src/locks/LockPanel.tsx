import type { Lock } from '@/data/canal';
import { HintBubble } from '@/parts/HintBubble';
import { AlarmButton } from './AlarmButton';
import { CanalMap } from './CanalMap';
import { LevelChart } from './LevelChart';

type Props = { lock: Lock; waiting: number };

export function LockPanel({ lock, waiting }: Props) {
  return (
    <aside>
      <h2>{lock.name}</h2>
      <HintBubble label="Boats that have asked for a passage and are not through yet.">
        <p>{waiting} waiting</p>
      </HintBubble>
      <LevelChart lockId={lock.id} max={lock.rise} />
      <CanalMap currentId={lock.id} />
      <AlarmButton lock={lock} />
    </aside>
  );
}
