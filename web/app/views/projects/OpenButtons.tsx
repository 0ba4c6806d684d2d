import { handInFiles, handInFolder } from '../../analysis/hand-in';
import { PickSource } from '../../parts/controls/PickSource';

type Props = { onBring: (bring: () => Promise<string | undefined>) => Promise<void> };

/** Choose a folder or a zip archive. A browser that can keep the folder's place can read it again by itself. */
export function OpenButtons({ onBring }: Props) {
  return (
    <PickSource
      labels={{ folder: 'Folder', archive: 'Zip archive' }}
      isMain
      onFolder={(ask) => void onBring(async () => handInFolder(await ask()))}
      onFiles={(files) => void onBring(() => handInFiles(files))}
    />
  );
}
