import { useEffect, useState, useSyncExternalStore } from 'react';
import { stopWork, type Work, workStore } from '../analysis/client';

const idle: Work = { kind: 'idle' };
const shownAfter = 500;

/** Progress of long work, with a button to stop it; shown only when it takes longer than half a second. */
export function WorkNotice() {
  const work = useSyncExternalStore(workStore.subscribe, workStore.get, () => idle);
  const since = work.kind === 'running' ? work.since : 0;
  const [shown, setShown] = useState(0);

  useEffect(() => {
    if (since === 0) return;
    const timer = setTimeout(() => setShown(since), Math.max(0, shownAfter - (Date.now() - since)));
    return () => clearTimeout(timer);
  }, [since]);

  if (work.kind !== 'running' || shown !== since) return null;
  const { stage, done, total } = work.progress;
  return (
    <div className="work" role="status">
      <b>{work.title}</b>
      <progress aria-label={stage} {...(total > 0 ? { value: done, max: total } : {})} />
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <span>
          {stage}
          {total > 0
            ? `: ${done.toLocaleString('en')} of ${total.toLocaleString('en')}`
            : done > 0
              ? `: ${done.toLocaleString('en')}`
              : ' …'}
        </span>
        <button type="button" onClick={() => void stopWork()}>
          Stop
        </button>
      </div>
    </div>
  );
}
