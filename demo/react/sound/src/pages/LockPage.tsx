import { useState } from 'react';
import { useParams } from 'react-router';
import { firstPassages, locks } from '@/data/canal';
import { GateSwitch } from '@/locks/GateSwitch';
import { LevelChart } from '@/locks/LevelChart';
import { PassageQueue } from '@/passages/PassageQueue';
import { AppShell } from '@/shell/AppShell';

export function LockPage() {
  const { lockId } = useParams();
  const lock = locks.find((one) => one.id === lockId);
  const [passages, setPassages] = useState(() => firstPassages.filter((passage) => passage.lockId === lockId));

  if (!lock) {
    return (
      <AppShell>
        <p>There is no such lock.</p>
      </AppShell>
    );
  }

  const clear = (id: string) => setPassages((all) => all.filter((passage) => passage.id !== id));

  return (
    <AppShell>
      <h1>{lock.name}</h1>
      <LevelChart lockId={lock.id} max={lock.rise} />
      <GateSwitch lockId={lock.id} />
      <PassageQueue items={passages} dense onClear={clear} />
    </AppShell>
  );
}
