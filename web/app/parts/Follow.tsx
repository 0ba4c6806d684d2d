import { messageOf } from '@liana/core';
import Tooltip from '@mui/material/Tooltip';
import { useEffect, useState } from 'react';
import { useRevalidator } from 'react-router';
import { getAnalyst } from '../analysis/client';
import { permitFolder } from '../analysis/hand-in';
import { Toggle } from './controls/Toggle';
import { useTell } from './Notices';

/** Pause between two looks at a folder, in milliseconds, where the browser does not tell of changes itself. */
const pause = 500;

/** Where the browser tells of changes, how long to wait for more of them, in milliseconds. */
const settles = 80;

type Observer = { observe: (handle: FileSystemDirectoryHandle, options: { recursive: boolean }) => Promise<void>; disconnect: () => void };
type WithObserver = { FileSystemObserver?: new (told: () => void) => Observer };

/** Calls `look` at once and after each change of a folder, never twice at the same time; gives what ends it. */
function watch(handle: FileSystemDirectoryHandle, look: () => Promise<void>): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isLooking = false;
  let isEnded = false;
  let isTold = false;
  let isObserved = false;
  const again = async (): Promise<void> => {
    if (isLooking || isEnded) {
      isTold = true;
      return;
    }
    isLooking = true;
    isTold = false;
    await look();
    isLooking = false;
    // Promises let both change while they are awaited.
    if (isTold as boolean) timer = setTimeout(() => void again(), settles);
    else if (!isObserved && !(isEnded as boolean)) timer = setTimeout(() => void again(), pause);
  };
  const { FileSystemObserver } = window as unknown as WithObserver;
  const observer = FileSystemObserver && new FileSystemObserver(() => setTimeout(() => void again(), settles));
  const observed = observer?.observe(handle, { recursive: true }).then(
    () => (isObserved = true),
    () => undefined,
  );
  void Promise.resolve(observed).then(again);
  return () => {
    isEnded = true;
    clearTimeout(timer);
    observer?.disconnect();
  };
}

/** Switches on that what changes in a project's folder is read while one edits. */
export function Follow({ projectId, handle }: { projectId: string; handle: FileSystemDirectoryHandle }) {
  const [isOn, setIsOn] = useState(false);
  const { revalidate } = useRevalidator();
  const tell = useTell();

  useEffect(() => {
    if (!isOn) return;
    return watch(handle, () =>
      getAnalyst()
        .lookAgain(projectId, handle)
        .then(async (isOther) => {
          if (isOther) await revalidate();
        })
        .catch((error: unknown) => {
          setIsOn(false);
          tell(`The folder is not followed any more: ${messageOf(error)}`);
        }),
    );
  }, [isOn, projectId, handle, revalidate, tell]);

  const toggle = (): void => {
    if (isOn) return setIsOn(false);
    permitFolder(handle).then(
      () => setIsOn(true),
      (error: unknown) => tell(messageOf(error)),
    );
  };
  return (
    <Tooltip title={isOn ? 'What changes in the folder is read while you edit.' : 'Read what changes in the folder while you edit'}>
      <span>
        <Toggle isOn={isOn} onToggle={toggle}>
          {isOn ? 'Following' : 'Follow'}
        </Toggle>
      </span>
    </Tooltip>
  );
}
