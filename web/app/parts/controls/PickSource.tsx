import Button from '@mui/material/Button';
import { type ChangeEvent, useRef } from 'react';

type Props = {
  /** What the two fields are called, of which only the buttons are seen. */
  labels: { readonly folder: string; readonly archive: string };
  /** Whether to choose a folder is what one comes here for. */
  isMain: boolean;
  /** Asks for a folder whose place the browser can keep; where it cannot, files come instead. */
  onFolder: (ask: () => Promise<FileSystemDirectoryHandle>) => void;
  onFiles: (files: readonly File[]) => void;
};

type FolderPicker = { showDirectoryPicker?: (options: { mode: 'read' }) => Promise<FileSystemDirectoryHandle> };

/** Choose a folder or a zip archive. */
export function PickSource({ labels, isMain, onFolder, onFiles }: Props) {
  const folder = useRef<HTMLInputElement>(null);
  const archive = useRef<HTMLInputElement>(null);
  const chooseFolder = (): void => {
    const { showDirectoryPicker } = window as unknown as FolderPicker;
    if (showDirectoryPicker) onFolder(() => showDirectoryPicker.call(window, { mode: 'read' }));
    else folder.current?.click();
  };
  const take = (event: ChangeEvent<HTMLInputElement>): void => {
    const files = [...(event.target.files ?? [])];
    event.target.value = '';
    if (files.length > 0) onFiles(files);
  };
  return (
    <>
      <Button variant={isMain ? 'contained' : 'outlined'} onClick={chooseFolder}>
        Choose a folder
      </Button>
      <Button variant="outlined" onClick={() => archive.current?.click()}>
        Choose a zip archive
      </Button>
      <input ref={folder} type="file" hidden aria-label={labels.folder} {...{ webkitdirectory: '' }} multiple onChange={take} />
      <input ref={archive} type="file" hidden aria-label={labels.archive} accept=".zip,application/zip" onChange={take} />
    </>
  );
}
