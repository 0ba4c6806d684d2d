import { type Alarm, alarmChannel } from '@/data/alarm';
import type { Lock } from '@/data/canal';

type Props = { lock: Lock };

export function AlarmButton({ lock }: Props) {
  const raise = () => {
    const channel = new BroadcastChannel(alarmChannel);
    const alarm: Alarm = { lockId: lock.id, lockName: lock.name };
    channel.postMessage(alarm);
    channel.close();
  };

  return <button onClick={raise}>Raise the alarm</button>;
}
