import { useEffect, useMemo, useState } from 'react';
import { type Alarm, alarmChannel } from '@/data/alarm';
import { firstPassages } from '@/data/canal';

/** The passages of one lock, and what a keeper can do with them. An alarm at a lock holds its boats. */
export function usePassages(lockId: string | undefined) {
  const [all, setAll] = useState(firstPassages);
  const passages = useMemo(() => all.filter((passage) => passage.lockId === lockId), [all, lockId]);
  const clear = (passageId: string) => setAll((before) => before.filter((passage) => passage.id !== passageId));

  useEffect(() => {
    const channel = new BroadcastChannel(alarmChannel);
    channel.onmessage = (event: MessageEvent<Alarm>) =>
      setAll((before) => before.map((passage) => (passage.lockId === event.data.lockId ? { ...passage, status: 'waiting' } : passage)));
    return () => channel.close();
  }, []);

  return { passages, clear };
}
