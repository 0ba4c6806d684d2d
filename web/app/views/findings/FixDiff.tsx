import Button from '@mui/material/Button';
import { useTell } from '../../parts/Notices';
import { download } from '../carve/download';

const kindOf = (line: string): string =>
  line.startsWith('+') ? 'added' : line.startsWith('-') ? 'gone' : line.startsWith('@@') ? 'where' : '';

/** A certain fix as the lines that go and the lines that come, to be copied or taken as a patch. */
export function FixDiff({ patch }: { patch: string }) {
  const tell = useTell();
  const lines = patch
    .trimEnd()
    .split('\n')
    .filter((line) => !/^(---|\+\+\+|===|\\ No newline)/.test(line));
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(patch);
    tell('The patch is on the clipboard.');
  };
  return (
    <>
      <pre className="diff" tabIndex={0} aria-label="The change">
        {lines.map((line, index) => (
          <span key={`${index} ${line}`} className={kindOf(line)}>
            {line}
            {'\n'}
          </span>
        ))}
      </pre>
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
