import { useEffect, useMemo, useReducer } from 'react';
import { type Alarm, alarmChannel } from '@/data/alarm';
import { firstPassages } from '@/data/canal';
import { passagesReducer } from './passages-reducer';

/** The passages of one lock, and what a keeper can do with them. An alarm at a lock holds its boats. */
export function usePassages(lockId: string | undefined) {
  const [all, dispatch] = useReducer(passagesReducer, firstPassages);
  const passages = useMemo(() => all.filter((passage) => passage.lockId === lockId), [all, lockId]);
  const clear = (passageId: string) => dispatch({ type: 'clear', passageId });

  useEffect(() => {
    const channel = new BroadcastChannel(alarmChannel);
    channel.onmessage = (event: MessageEvent<Alarm>) => dispatch({ type: 'hold', lockId: event.data.lockId });
    return () => channel.close();
  }, []);

  return { passages, clear };
}
