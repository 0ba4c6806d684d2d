import Button from '@mui/material/Button';
import { Diff } from '../../parts/Diff';
import { useTell } from '../../parts/Notices';
import { download } from '../carve/download';

/** A change as the lines that go and the lines that come, to be copied or taken as a patch. */
export function FixDiff({ patch }: { patch: string }) {
  const tell = useTell();
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(patch);
    tell('The patch is on the clipboard.');
  };
  return (
    <>
      <Diff patch={patch} label="The change" />
      <p className="row-of-controls">
        <Button size="small" variant="outlined" onClick={() => void copy()}>
          Copy the patch
        </Button>
        <Button size="small" variant="outlined" onClick={() => download('liana-fix.patch', [patch], 'text/x-diff')}>
          Download it
        </Button>
      </p>
    </>
  );
}
