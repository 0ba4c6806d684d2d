import { useEffect, useState } from 'react';
import type { Alarm } from '@/data/alarm';

export function AlarmBadge() {
  const [alarm, setAlarm] = useState<Alarm | null>(null);

  useEffect(() => {
    const show = (event: Event) => setAlarm((event as CustomEvent<Alarm>).detail);
    document.addEventListener('towpath-alarm', show);
    return () => document.removeEventListener('towpath-alarm', show);
  }, []);

  if (!alarm) return null;
  return <strong role="alert">Alarm at {alarm.lockName}</strong>;
}
