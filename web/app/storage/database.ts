import Dexie, { type Table } from 'dexie';
import type { ComponentId, FileFacts, Finding, LeftOutReason, PlacedProblem, PlanDocument, RuleSettings, TriageMark } from '@liana/core';

/** Where a project's files came from; a folder handle lets it be read again without asking where it is. */
export type Origin =
  | { readonly kind: 'folder'; readonly name: string; readonly handle?: FileSystemDirectoryHandle }
  | { readonly kind: 'files'; readonly name: string }
  | { readonly kind: 'zip'; readonly name: string }
  /** No source: a project that begins with a page to carve. */
  | { readonly kind: 'plan'; readonly name: string }
  | { readonly kind: 'demo'; readonly name: string; readonly framework: string; readonly edition: string };

export type Project = {
  readonly id: string;
  readonly name: string;
  readonly origin: Origin;
  readonly createdAt: number;
  readonly readAt: number;
  readonly files: number;
  readonly bytes: number;
  readonly leftOut: Readonly<Partial<Record<LeftOutReason, number>>>;
  readonly refused: readonly { readonly file: string; readonly reason: string }[];
  /** Found when it was last analysed; absent before. */
  readonly frameworks?: readonly string[];
  /** Set while it can still be brought back; removed for good at the next start. */
  readonly deletedAt?: number;
};

/** A file of a project without its text. */
export type StoredFile = {
  readonly projectId: string;
  readonly file: string;
  readonly hash: string;
  readonly size: number;
  readonly kind: 'source' | 'config';
};
export type StoredText = { readonly projectId: string; readonly file: string; readonly text: string };
/** Facts of a file, valid for one text and one version of the readers. */
export type StoredFacts = {
  readonly projectId: string;
  readonly file: string;
  readonly hash: string;
  readonly version: string;
  readonly facts: FileFacts;
};

/** What was found in a project when it was checked last, so that opening it again need not check it. */
export type StoredCheck = {
  readonly projectId: string;
  /** Of all that it follows from: the files, the rules, the settings. */
  readonly key: string;
  readonly findings: readonly Finding[];
  readonly failures: readonly PlacedProblem[];
  /** How many places each page has, by its id. */
  readonly places: ReadonlyMap<string, number>;
  /** The names of the pages on which the components stand that findings touch. */
  readonly standsOn: ReadonlyMap<ComponentId, readonly string[]>;
};

/** The plan of a project; checked when it is taken out, since another version may have written it. */
export type StoredPlan = {
  readonly projectId: string;
  readonly document: PlanDocument;
  readonly savedAt: number;
  /** Counts the times it was saved; absent in what was written before they were counted. */
  readonly revision?: number;
};
/** Something that another took the place of, or that cannot be read: kept as it was, to be exported. */
export type StoredAside = {
  readonly id?: number;
  readonly projectId: string;
  readonly document: unknown;
  readonly why: string;
  readonly at: number;
};
/** A picture, a saved page, or a file that came with one. */
export type StoredLook = {
  readonly projectId: string;
  readonly file: string;
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
};

/** What was decided about a project's findings, and which findings its last two readings had. */
export type StoredTriage = {
  readonly projectId: string;
  readonly marks: Readonly<Record<string, TriageMark>>;
  readonly rules: RuleSettings;
  /** From which likeness on two components are twins; absent for Liana's own. */
  readonly twinsFrom?: number;
  /** Keys of the findings of the last reading, and the project's `readAt` then; 0 before the first. */
  readonly latest: readonly string[];
  readonly latestAt: number;
  /** Keys of the reading before that; absent where there was none. */
  readonly known?: readonly string[];
};

/** A reading that another took the place of, or that was given a name: its files, by the hashes of their texts. */
export type StoredReading = {
  readonly id?: number;
  readonly projectId: string;
  /** When it was read, in milliseconds since 1970. */
  readonly readAt: number;
  readonly name?: string;
  readonly files: readonly Pick<StoredFile, 'file' | 'hash' | 'kind'>[];
};
/** A text that some reading had; each is kept once. */
export type StoredOldText = { readonly projectId: string; readonly hash: string; readonly text: string };

class Database extends Dexie {
  readonly projects!: Table<Project, string>;
  readonly files!: Table<StoredFile, [string, string]>;
  readonly texts!: Table<StoredText, [string, string]>;
  readonly facts!: Table<StoredFacts, [string, string]>;

  readonly plans!: Table<StoredPlan, string>;
  readonly looks!: Table<StoredLook, [string, string]>;
  readonly triage!: Table<StoredTriage, string>;
  readonly aside!: Table<StoredAside, number>;
  readonly readings!: Table<StoredReading, number>;
  readonly oldTexts!: Table<StoredOldText, [string, string]>;
  readonly checks!: Table<StoredCheck, string>;

  constructor() {
    super('liana');
    this.version(1).stores({
      projects: 'id, createdAt',
      files: '[projectId+file], projectId',
      texts: '[projectId+file], projectId',
      facts: '[projectId+file], projectId',
    });
    this.version(2).stores({ plans: 'projectId', looks: '[projectId+file], projectId' });
    this.version(3).stores({ triage: 'projectId' });
    this.version(4).stores({ aside: '++id, projectId' });
    this.version(5).stores({ readings: '++id, projectId', oldTexts: '[projectId+hash], projectId' });
    this.version(6).stores({ checks: 'projectId' });
  }
}

/** The browser's database; the same one in the page and in workers. */
export const database = new Database();
