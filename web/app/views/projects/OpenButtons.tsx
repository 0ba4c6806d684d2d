import Button from '@mui/material/Button';
import { type ChangeEvent, useRef } from 'react';
import { handInFiles, handInFolder } from '../../analysis/hand-in';

type Props = { onBring: (bring: () => Promise<string | undefined>) => Promise<void> };

type FolderPicker = { showDirectoryPicker?: (options: { mode: 'read' }) => Promise<FileSystemDirectoryHandle> };

/** Choose a folder or a zip archive. A browser that can keep the folder's place can read it again by itself. */
export function OpenButtons({ onBring }: Props) {
  const folder = useRef<HTMLInputElement>(null);
  const archive = useRef<HTMLInputElement>(null);

  const chooseFolder = (): void => {
    const { showDirectoryPicker } = window as unknown as FolderPicker;
    if (showDirectoryPicker) void onBring(async () => handInFolder(await showDirectoryPicker.call(window, { mode: 'read' })));
    else folder.current?.click();
  };
  const take = (event: ChangeEvent<HTMLInputElement>): void => {
    const files = [...(event.target.files ?? [])];
    event.target.value = '';
    if (files.length > 0) void onBring(() => handInFiles(files));
  };

  return (
    <>
      <Button variant="contained" onClick={chooseFolder}>
        Choose a folder
      </Button>
      <Button variant="outlined" onClick={() => archive.current?.click()}>
        Choose a zip archive
      </Button>
      <input ref={folder} type="file" hidden aria-label="Folder" {...{ webkitdirectory: '' }} multiple onChange={take} />
      <input ref={archive} type="file" hidden aria-label="Zip archive" accept=".zip,application/zip" onChange={take} />
    </>
  );
}
