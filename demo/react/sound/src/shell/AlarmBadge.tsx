import { useEffect, useState } from 'react';
import { type Alarm, alarmChannel } from '@/data/alarm';

export function AlarmBadge() {
  const [alarm, setAlarm] = useState<Alarm | null>(null);

  useEffect(() => {
    const channel = new BroadcastChannel(alarmChannel);
    channel.onmessage = (event: MessageEvent<Alarm>) => setAlarm(event.data);
    return () => channel.close();
  }, []);

  if (!alarm) return null;
  return <strong role="alert">Alarm at {alarm.lockName}</strong>;
}
