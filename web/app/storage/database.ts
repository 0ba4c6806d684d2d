import Dexie, { type Table } from 'dexie';
import type { FileFacts, LeftOutReason } from '@liana/core';

/** Where a project's files came from; a folder handle lets it be read again without asking where it is. */
export type Origin =
  | { readonly kind: 'folder'; readonly name: string; readonly handle?: FileSystemDirectoryHandle }
  | { readonly kind: 'files'; readonly name: string }
  | { readonly kind: 'zip'; readonly name: string }
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

class Database extends Dexie {
  readonly projects!: Table<Project, string>;
  readonly files!: Table<StoredFile, [string, string]>;
  readonly texts!: Table<StoredText, [string, string]>;
  readonly facts!: Table<StoredFacts, [string, string]>;

  constructor() {
    super('liana');
    this.version(1).stores({
      projects: 'id, createdAt',
      files: '[projectId+file], projectId',
      texts: '[projectId+file], projectId',
      facts: '[projectId+file], projectId',
    });
  }
}

/** The browser's database; the same one in the page and in workers. */
export const database = new Database();
