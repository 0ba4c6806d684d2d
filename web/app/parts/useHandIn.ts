import { useNavigate } from 'react-router';
import { Stopped } from '../analysis/client';
import { useTell } from './Notices';

/** Runs what brings source in, then opens it; a failure is told and nothing is changed. */
export function useHandIn(): (bring: () => Promise<string | undefined>) => Promise<void> {
  const navigate = useNavigate();
  const tell = useTell();
  return async (bring) => {
    try {
      const id = await bring();
      if (id) await navigate(`/projects/${id}/tree`);
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return;
      tell(error instanceof Stopped || error instanceof Error ? error.message : String(error));
    }
  };
}
