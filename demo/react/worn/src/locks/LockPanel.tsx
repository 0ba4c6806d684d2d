import type { Lock, Passage } from '@/data/canal';
import { HintBubble } from '@/parts/HintBubble';
import { StatusPill } from '@/passages/StatusPill';
import { AlarmButton } from './AlarmButton';
import { CanalMap } from './CanalMap';
import { LevelChart } from './LevelChart';

type Props = { lock: Lock; waiting: Passage[]; onClear: (passageId: string) => void };

export function LockPanel({ lock, waiting, onClear }: Props) {
  return (
    <aside>
      <h2>{lock.name}</h2>
      <HintBubble label="Boats that have asked for a passage and are not through yet.">
        <p>{waiting.length} waiting</p>
      </HintBubble>
      {waiting.map((passage) => (
        <StatusPill key={passage.id} status={passage.status} canClear onClear={() => onClear(passage.id)} />
      ))}
      <LevelChart lockId={lock.id} max={lock.rise} />
      <CanalMap currentId={lock.id} />
      <AlarmButton lock={lock} />
    </aside>
  );
}
