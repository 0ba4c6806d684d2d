import { messageOf } from '@liana/core';
import type { Question, SubjectId } from '@liana/core';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { getAnalyst } from '../analysis/client';
import { traceLink } from '../views/trace/state';
import { useTell } from './Notices';

type Asked = {
  readonly file: string;
  readonly offset: number;
  /** The steps to the place from which it is asked. */
  readonly place?: string | undefined;
  readonly ask?: Question;
  /** Tried first, where what is meant has a name of its own. */
  readonly of?: SubjectId;
};

/** Goes to the trace of the name that stands at an offset of a file, or tells that nothing is known there. */
export function useTraceName(projectId: string, page: string | undefined): (asked: Asked) => void {
  const navigate = useNavigate();
  const tell = useTell();
  return useCallback(
    ({ file, offset, place, ask, of }: Asked): void => {
      const analyst = getAnalyst();
      const named = of === undefined ? Promise.resolve(undefined) : analyst.subject(projectId, page, of);
      void named
        .then((own) => own ?? analyst.subjectAt(projectId, page, file, offset, place))
        .then((found) =>
          found ? navigate(traceLink(projectId, found.page, found.id, found.place, ask)) : tell('Liana knows no value of that name there.'),
        )
        .catch((error: unknown) => tell(messageOf(error)));
    },
    [navigate, page, projectId, tell],
  );
}
