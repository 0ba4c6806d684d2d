import { parsePlan, type Plan, messageOf } from '@liana/core';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { getAnalyst } from '../../analysis/client';
import { typeOf } from '../../carving/file-types';
import { useTell } from '../../parts/Notices';
import type { Project } from '../../storage/database';
import type { NewLook } from '../../storage/plans';

type Props = {
  project: Project;
  isBusy: boolean;
  onBring: () => void;
  onFiles: (files: readonly File[]) => void;
  onPlan: (plan: Plan, looks: readonly NewLook[]) => Promise<void>;
};

type DemoPages = { readonly plan: unknown; readonly files: readonly { readonly file: string; readonly base64: string }[] };

async function demoPages(): Promise<{ plan: unknown; looks: NewLook[] }> {
  const answer = await fetch('/sources/pages');
  if (!answer.ok) throw new Error('The demo’s pages could not be loaded.');
  const { plan, files } = (await answer.json()) as DemoPages;
  return {
    plan,
    looks: files.map(({ file, base64 }) => ({
      file,
      type: typeOf(file),
      bytes: Uint8Array.from(atob(base64), (one) => one.charCodeAt(0)),
    })),
  };
}

/** Before any page is there: what to bring, and what can be tried. */
export function NoPages({ project, isBusy, onBring, onFiles, onPlan }: Props) {
  const [isLoading, setIsLoading] = useState(false);
  const tell = useTell();
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    setIsLoading(true);
    await work().catch((error: unknown) => tell(messageOf(error)));
    setIsLoading(false);
  };
  const takeDemo = (): Promise<void> =>
    attempt(async () => {
      const { plan, looks } = await demoPages();
      const parsed = parsePlan(plan);
      if ('wrong' in parsed) throw new Error(parsed.wrong);
      await onPlan(parsed.plan, looks);
    });
  const tryPages = (): Promise<void> =>
    attempt(async () => {
      const { looks } = await demoPages();
      onFiles(looks.filter((look) => !look.file.endsWith('.png')).map((look) => new File([look.bytes], look.file, { type: look.type })));
    });
  const isOff = isBusy || isLoading;
  return (
    <div className="empty carve-empty">
      <h2>Begin with a page</h2>
      <p>
        Bring a picture of a page, or a saved page with its style and pictures beside it or in a zip archive. Then mark its parts, biggest
        first.
      </p>
      <p className="row-of-controls">
        <Button variant="contained" disabled={isOff} onClick={onBring}>
          Choose a picture or a page
        </Button>
        {project.files > 0 && (
          <Button
            variant="outlined"
            disabled={isOff}
            onClick={() => void attempt(async () => onPlan(await getAnalyst().planFromCode(project.id, project.name), []))}
          >
            Make a plan from the code
          </Button>
        )}
      </p>
      <p>Or drop it here, or paste a picture. To try it with Towpath, the demo:</p>
      <p className="row-of-controls">
        <Button size="small" disabled={isOff} onClick={() => void takeDemo()}>
          Its finished plan
        </Button>
        <Button size="small" disabled={isOff} onClick={() => void tryPages()}>
          Its pages, not yet marked
        </Button>
      </p>
    </div>
  );
}
