import type { Finding } from '../../../model/finding';
import type { Strand } from '../../../model/strand';
import { placePaths } from '../../../tree';
import type { FlowQueries } from '../../steps/queries';
import { contextStrands } from './contexts';
import { finishStrand } from './draft';
import { eventStrands } from './events';
import { looseStrands } from './loose';
import { type Page, valueStrands } from './values';

export { leaving } from './way';

/** The strands of a page: those that touch more than one place or end loose, and how many stay inside one component. */
export type Strands = { readonly strands: readonly Strand[]; readonly local: number };

/**
 * All strands of an unfolded page. Two uses of one component with different sources stay apart. Loose
 * ends are those that the findings tell, so that the tree never says another thing than they do.
 */
export function strandsOf(ways: FlowQueries, findings: readonly Finding[] = []): Strands {
  const { model, tree } = ways.graph;
  const page: Page = { ways, paths: placePaths(model, tree) };
  const drafts = [...valueStrands(page), ...eventStrands(page), ...contextStrands(page), ...looseStrands(page, findings)];
  return {
    strands: drafts.filter((draft) => draft.knots.size > 1 || draft.loose !== undefined).map(finishStrand),
    local: drafts.filter((draft) => draft.knots.size === 1 && draft.loose === undefined).length,
  };
}
