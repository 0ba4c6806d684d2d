import type { Finding, NameHit, Page, PlaceCard, PlaceIndex, Problem, Severity, Strand, UseCounts } from '@liana/core';

/** What an opened project amounts to. */
export type Summary = {
  readonly projectId: string;
  readonly files: number;
  readonly components: number;
  readonly frameworks: readonly string[];
  readonly pages: readonly PageEntry[];
  readonly findings: Readonly<Record<Severity, number>>;
  readonly uses: UseCounts;
  readonly problems: readonly ({ readonly file: string; readonly line: number } & Problem)[];
};

export type PageEntry = Pick<Page, 'id' | 'name' | 'file' | 'path' | 'reach'>;

/** One row of the tree view. */
export type Row = {
  readonly place: PlaceIndex;
  readonly parent: PlaceIndex;
  readonly depth: number;
  readonly name: string;
  readonly file: string;
  readonly role: 'page' | 'layout' | 'component';
  /** How it is repeated, under which condition, in whose slot: in words. */
  readonly guard: string;
  /** Its name among its siblings, with a count where several share it; the steps from the page down name a place in a link. */
  readonly step: string;
  readonly worst?: Severity;
  readonly cut?: 'recursion' | 'size';
};

export type TreeAnswer = {
  readonly page: PageEntry;
  readonly rows: readonly Row[];
  /** In the order of their columns. */
  readonly strands: readonly Strand[];
  /** Values that stay inside one component. */
  readonly local: number;
  readonly truncated: boolean;
};

/** Some lines of a file, with what is to be marked in them. */
export type Excerpt = {
  readonly file: string;
  /** 1-based line of the first mark, and of the text's first line. */
  readonly line: number;
  readonly firstLine: number;
  readonly text: string;
  /** Marks as offsets in `text`. */
  readonly marks: readonly { readonly start: number; readonly end: number }[];
};

export type FindingView = Finding & { readonly componentName: string; readonly line: number };

export type CardAnswer = { readonly card: PlaceCard; readonly findings: readonly FindingView[]; readonly line: number };

export type SearchHit = NameHit & { readonly line: number };
