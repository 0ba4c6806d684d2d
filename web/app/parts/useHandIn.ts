import { messageOf } from '@liana/core';
import { useNavigate } from 'react-router';
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

/** Runs what brings source in, then opens it; a failure is told and nothing is changed. */
export function useHandIn(): (bring: () => Promise<string | undefined>) => Promise<void> {
  const navigate = useNavigate();
  const tell = useTell();
  return async (bring) => {
    try {
      const id = await bring();
      if (!id) return;
      const project = await getProject(id);
      const address = `/projects/${id}/${project?.origin.kind === 'plan' ? 'carve' : 'tree'}`;
      claimAddress(address);
      await navigate(address, { replace: true });
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      tell(messageOf(error));
    }
  };
}
