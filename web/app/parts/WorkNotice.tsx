import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Paper from '@mui/material/Paper';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { stopWork, type Work, workStore } from '../analysis/client';

const idle: Work = { kind: 'idle' };

/** How far the work is, in words: its stage, and what is done of what. */
function progressWords({ stage, done, total }: Extract<Work, { kind: 'running' }>['progress']): string {
  if (total > 0) return `${stage}: ${done.toLocaleString('en')} of ${total.toLocaleString('en')}`;
  return done > 0 ? `${stage}: ${done.toLocaleString('en')}` : `${stage} …`;
}

/** Progress of long work, with a button to stop it; shown only when it takes longer than `after` milliseconds. */
export function WorkNotice({ after = 500 }: { after?: number }) {
  const work = useSyncExternalStore(workStore.subscribe, workStore.get, () => idle);
  const since = work.kind === 'running' ? work.since : 0;
  const [shown, setShown] = useState(0);

  useEffect(() => {
    if (since === 0) return;
    const timer = setTimeout(() => setShown(since), Math.max(0, after - (Date.now() - since)));
    return () => clearTimeout(timer);
  }, [since, after]);

  if (work.kind !== 'running' || shown !== since) return null;
  const { stage, done, total } = work.progress;
  return (
    <Paper className="work" role="status" elevation={6}>
      <b>{work.title}</b>
      <LinearProgress
        aria-label={stage}
        sx={{ my: 1.25 }}
        {...(total > 0 ? { variant: 'determinate', value: (100 * Math.min(done, total)) / total } : {})}
      />
      <div className="work-foot">
        <span>{progressWords(work.progress)}</span>
        <Button variant="outlined" color="inherit" onClick={() => void stopWork()}>
          Stop
        </Button>
      </div>
    </Paper>
  );
}
