import { messageOf } from '@liana/core';
import { useNavigate } from 'react-router';
import { comparedWithSound } from '../analysis/hand-in';
import type { Origin } from '../storage/database';
import { getProject } from '../storage/projects';
import { useTell } from './Notices';

/**
 * Puts the address into the history at once. The router would do so only when the project has been
 * read, and a reload before that would lead back to where one came from.
 */
function claimAddress(address: string): void {
  const state = (window.history.state ?? {}) as { idx?: number };
  window.history.pushState({ ...state, idx: (state.idx ?? 0) + 1 }, '', address);
}

/** The view in which a project opens that was just brought in. */
function firstView(origin: Origin | undefined): string {
  if (origin?.kind === 'plan') return 'carve';
  return origin?.kind === 'demo' && origin.edition === 'refactored' ? comparedWithSound(origin.framework) : 'tree';
}

/** Runs what brings source in, then opens it; a failure is told and nothing is changed. */
export function useHandIn(): (bring: () => Promise<string | undefined>) => Promise<void> {
  const navigate = useNavigate();
  const tell = useTell();
  return async (bring) => {
    try {
      const id = await bring();
      if (!id) return;
      const project = await getProject(id);
      const address = `/projects/${id}/${firstView(project?.origin)}`;
      claimAddress(address);
      await navigate(address, { replace: true });
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      tell(messageOf(error));
    }
  };
}
