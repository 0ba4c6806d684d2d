import type { FilePath } from '../../../model/span';
import type { Frame } from '../../graph/frames';
import type { Graph } from '../../graph/graph';
import type { LinkHow } from './links';

/** What rows are made with: the frame, what leads to each row, and the texts. */
export type Making = {
  readonly graph: Graph;
  readonly frame: Frame;
  readonly texts: ReadonlyMap<FilePath, string>;
  readonly sourcesOf: (key: string) => readonly string[];
  /** What a row leads to, and how. */
  readonly leadsTo: (key: string) => ReadonlyMap<string, LinkHow>;
};
