import type {
  Answer,
  CodeRow,
  Comparison,
  ComponentId,
  ContractRow,
  Derivation,
  Finding,
  FilePath,
  Merged,
  NameHit,
  Page,
  PlaceCard,
  PlaceIndex,
  Problem,
  Severity,
  Status,
  Strand,
  SubjectId,
  SubjectKind,
  Trace,
  UseCounts,
  LivesElsewhere,
  ProvidedElsewhere,
  WhatIf,
} from '@liana/core';

/** What an opened project amounts to. */
export type Summary = {
  readonly projectId: string;
  readonly files: number;
  readonly components: number;
  readonly frameworks: readonly string[];
  readonly pages: readonly PageEntry[];
  readonly uses: UseCounts;
  readonly problems: readonly ({ readonly file: string; readonly line: number } & Problem)[];
};

export type PageEntry = Pick<Page, 'id' | 'name' | 'file' | 'path' | 'why'> & {
  /** How many places its tree has. */
  readonly places: number;
};

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
  readonly cut?: 'recursion' | 'folded';
  /** With `folded`: the place below which the same is unfolded. */
  readonly sameAs?: PlaceIndex;
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

/** In which language some code is read: script with markup in it, a whole component of one of two frameworks, markup by itself, or styles. */
export type Grammar = 'script' | 'vue' | 'svelte' | 'html' | 'styles';

/** Some lines of a file, with what is to be marked in them. */
export type Excerpt = {
  readonly file: string;
  /** What its first line is written in. */
  readonly grammar: Grammar;
  /** 1-based line of the first mark, and of the text's first line. */
  readonly line: number;
  readonly firstLine: number;
  readonly text: string;
  /** For each line of the text, the offset in the file at which it starts. */
  readonly from: readonly number[];
  /** Marks as offsets in `text`. */
  readonly marks: readonly { readonly start: number; readonly end: number }[];
};

export type FindingView = Finding & {
  readonly componentName: string;
  readonly framework: string;
  readonly line: number;
  /** Names of the pages that it touches, by where its component stands. */
  readonly onPages: readonly string[];
  /** The reason that a comment in the source gives for accepting it; absent where none does. */
  readonly accepted?: string;
};

export type CardAnswer = { readonly card: PlaceCard; readonly findings: readonly FindingView[]; readonly line: number };

export type SearchHit = NameHit & { readonly line: number };

/** One line of code of a rung: the text without its indentation, what is marked in it, and where it stands. */
export type CodeLine = {
  readonly file: FilePath;
  /** 1-based. */
  readonly line: number;
  readonly text: string;
  /** Offset of the text's first character in the file. */
  readonly from: number;
  readonly marks: readonly { readonly start: number; readonly end: number }[];
};

/** A value or event that can be traced, for lists to choose from. */
export type SubjectEntry = {
  /** Id of the page on which the place is. */
  readonly page: string;
  readonly id: SubjectId;
  readonly name: string;
  readonly kind: SubjectKind;
  readonly home: string;
  /** The steps to its place; absent for what stands at none. */
  readonly place?: string;
  /** In lists: at how many places of the page it matters, its own among them. */
  readonly places?: number;
};

export type TraceAnswer = {
  readonly page: PageEntry;
  readonly trace: Trace;
  /** For each rung, by its index, the lines of its code. */
  readonly code: readonly (readonly CodeLine[])[];
  /** For each rung, what a trace from there is of; absent where nothing goes on. */
  readonly onward: readonly (SubjectId | undefined)[];
  /** The steps to each place that is mentioned. */
  readonly paths: Readonly<Record<PlaceIndex, string>>;
  /** Names of the places that `impact` mentions. */
  readonly names: Readonly<Record<PlaceIndex, string>>;
  /** Who answers, where the subject is a context that is taken. */
  readonly answers?: Answer;
  /** Who changes what it comes from, in short. */
  readonly writers: readonly { readonly who: string; readonly says: string; readonly kind: string; readonly code: CodeLine }[];
  readonly text: string;
};

/** What derives from what in a component, a hook or a module, at a place of a page. */
export type DerivationAnswer = {
  readonly page: PageEntry;
  readonly derivation: Derivation;
  /** The steps to its place; absent for what stands at none. */
  readonly place?: string;
  /** The row of the value that was asked for; absent where it was asked for as a whole. */
  readonly asked?: number;
  /** The 1-based line of each row. */
  readonly lines: readonly number[];
  readonly text: string;
};

/** A component as it stands among those that are like it. */
export type AlikeMember = {
  readonly id: ComponentId;
  readonly name: string;
  readonly file: FilePath;
  readonly framework: string;
  readonly lines: number;
  readonly uses: number;
};

/** Components in groups of likeness; the first of each group is the one that the others are like. */
export type AlikeAnswer = {
  readonly groups: readonly {
    readonly members: readonly AlikeMember[];
    readonly pairs: readonly { readonly a: ComponentId; readonly b: ComponentId; readonly likeness: number }[];
    readonly likeness: number;
  }[];
  /** How many are like no other. */
  readonly others: number;
};

/** A change that answers a finding, as a patch, and in which way it does; or why it cannot be written, as a sentence. */
export type ProposalAnswer = { readonly says: string; readonly patch: string } | { readonly wrong: string };

export type ComparedAnswer = {
  readonly a: AlikeMember;
  readonly b: AlikeMember;
  readonly comparison: Comparison;
  /** Why there is no component in their place, where it cannot be written with certainty. */
  readonly wrong?: string;
  readonly merged?: Pick<Merged, 'name' | 'text' | 'props' | 'uses'>;
  /** All changes as a patch, and those of the uses alone; empty where there are none. */
  readonly patch: string;
  readonly usesPatch: string;
  /** Lines that would go, less those that come. */
  readonly saved: number;
  /** Key of the finding that tells of the two. */
  readonly finding?: string;
};

/** What would become of some places that stood elsewhere. */
export type WhatIfAnswer = {
  /** For each move: the slots of what the place would stand in, and what would come of it; undefined where it cannot stand there. */
  readonly moves: readonly { readonly slots: readonly string[]; readonly whatIf: WhatIf | undefined }[];
  /** All the moves as a patch, or why they cannot be written. */
  readonly proposal: ProposalAnswer;
};

/** What would come of it if the state of a strand lived, or its context were provided, at another place. */
export type LivesAnswer = { readonly state: LivesElsewhere } | { readonly context: ProvidedElsewhere };

/** One of the two sides of a comparison, as it stands in the URL: the project as it is, an earlier reading of it, another project. */
export type SideId = 'now' | 'plan' | `reading:${number}` | `project:${string}`;

/** Two versions compared, for the list at the left. */
export type VersionsAnswer = {
  readonly summary: string;
  readonly components: readonly {
    /** Names a component of the comparison in the URL. */
    readonly key: string;
    readonly name: string;
    readonly file: FilePath;
    readonly status: Status;
    readonly holds: boolean | null;
    readonly says: string;
    readonly alike: number;
    readonly contract: number;
  }[];
  readonly breaks: readonly {
    readonly key: string;
    readonly says: string;
    readonly component: string;
    readonly file: FilePath;
    readonly line: number;
  }[];
  readonly ways: readonly { readonly of: string; readonly lost: readonly string[]; readonly gained: readonly string[] }[];
  readonly answers: readonly {
    readonly key: string;
    readonly component: string;
    readonly place: string;
    readonly before: string | null;
    readonly after: string | null;
  }[];
  readonly newFindings: number;
  readonly goneFindings: number;
};

/** One component in both versions. */
export type VersionDetail = {
  readonly name: string;
  readonly says: string;
  readonly before?: { readonly name: string; readonly file: FilePath; readonly lines: number };
  readonly after?: { readonly name: string; readonly file: FilePath; readonly lines: number };
  /** What is broken in it, or by it. */
  readonly breaks: VersionsAnswer['breaks'];
  readonly contract: readonly ContractRow[];
  readonly users: readonly {
    readonly owner: string;
    readonly file: FilePath;
    readonly line: number;
    readonly touched: boolean;
    readonly broken?: string;
  }[];
  readonly ways: VersionsAnswer['ways'];
  readonly code: readonly CodeRow[];
};
