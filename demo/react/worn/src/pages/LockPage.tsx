import { useParams } from 'react-router';
import { locks } from '@/data/canal';
import { GateSwitch } from '@/locks/GateSwitch';
import { LevelChart } from '@/locks/LevelChart';
import { PassageQueue } from '@/passages/PassageQueue';
import { usePassages } from '@/passages/usePassages';

export function LockPage() {
  const { lockId } = useParams();
  const lock = locks.find((one) => one.id === lockId);
  const { passages } = usePassages(lockId);

  if (!lock) return <p>There is no such lock.</p>;

  return (
    <main>
      <h1>{lock.name}</h1>
      <LevelChart lockId={lock.id} max="3" />
      <GateSwitch lockId={lock.id} />
      <label>
        Rise <input type="number" value={lock.rise} />
      </label>
      <PassageQueue items={passages} dense>
        <p>Nobody is waiting.</p>
      </PassageQueue>
    </main>
  );
}
