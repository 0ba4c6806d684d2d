import { decisionsDocument } from '@liana/core';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useSyncExternalStore } from 'react';
import { loadTriage, retryWaiting, waitingStore } from '../storage/triage';
import { download } from '../views/carve/download';

async function exportWaiting(): Promise<void> {
  for (const projectId of waitingStore.projects()) {
    const document = decisionsDocument(await loadTriage(projectId));
    download('liana-decisions.json', [`${JSON.stringify(document, undefined, 2)}\n`], 'application/json');
  }
}

/** Says as long as it is so that decisions are not stored yet, and lets them be taken away at once. */
export function NotStored() {
  const count = useSyncExternalStore(waitingStore.subscribe, waitingStore.get, () => 0);

  useEffect(() => {
    if (count === 0) return;
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [count]);

  if (count === 0) return null;
  return (
    <Alert
      severity="error"
      className="not-stored"
      action={
        <>
          <Button color="inherit" onClick={() => void retryWaiting()}>
            Try again
          </Button>
          <Button color="inherit" onClick={() => void exportWaiting()}>
            Export the decisions
          </Button>
        </>
      }
    >
      {count === 1 ? 'One decision is' : `${count} decisions are`} not stored yet. {waitingStore.reason()} It is tried again by itself;
      leaving this page now would lose {count === 1 ? 'it' : 'them'}.
    </Alert>
  );
}
