import { useParams } from 'react-router';
import { locks } from '@/data/canal';
import { GateSwitch } from '@/locks/GateSwitch';
import { LevelChart } from '@/locks/LevelChart';
import { PassageQueue } from '@/passages/PassageQueue';
import { usePassages } from '@/passages/usePassages';
import { AppShell } from '@/shell/AppShell';

export function LockPage() {
  const { lockId } = useParams();
  const lock = locks.find((one) => one.id === lockId);
  const { passages, clear } = usePassages(lockId);

  if (!lock) {
    return (
      <AppShell>
        <p>There is no such lock.</p>
      </AppShell>
    );
  }

  return (
    <AppShell>
      <h1>{lock.name}</h1>
      <LevelChart lockId={lock.id} max={lock.rise} />
      <GateSwitch lockId={lock.id} />
      <PassageQueue items={passages} dense onClear={clear} />
    </AppShell>
  );
}
