import { type Decisions, decisionsDocument, parseDecisions, parsePlan, type Plan, planDocument, messageOf } from '@liana/core';
import { strFromU8, strToU8, zipSync } from 'fflate';
import Joi from 'joi';
import { ArchiveError, unpack } from '../analysis/zip';
import type { StoredLook, StoredText } from '../storage/database';
import type { NewLook } from '../storage/plans';
import { typeOf } from './file-types';

/** The head of a project file. Its format is told in `docs/project-file.md`. */
type Head = { readonly format: 'liana-project'; readonly version: 1; readonly name: string };

const headSchema = Joi.object<Head>({
  format: Joi.valid('liana-project').required(),
  version: Joi.number().integer().min(1).required(),
  name: Joi.string().required(),
});

export const isProjectFile = (name: string): boolean => /\.liana\.zip$/i.test(name);

/** A project as one file: its plan, what its pages are shown from, what was decided about its findings, and its source. */
export function writeProjectFile(
  plan: Plan,
  looks: readonly StoredLook[],
  source: readonly StoredText[],
  decisions: Decisions,
): Uint8Array<ArrayBuffer> {
  const head: Head = { format: 'liana-project', version: 1, name: plan.name };
  const entries: Record<string, Uint8Array> = {
    'liana.json': strToU8(`${JSON.stringify(head, undefined, 2)}\n`),
    'plan.json': strToU8(`${JSON.stringify(planDocument(plan), undefined, 2)}\n`),
    'decisions.json': strToU8(`${JSON.stringify(decisionsDocument(decisions), undefined, 2)}\n`),
  };
  for (const { file, bytes } of looks) entries[`looks/${file}`] = bytes;
  for (const { file, text } of source) entries[`source/${file}`] = strToU8(text);
  return zipSync(entries) as Uint8Array<ArrayBuffer>;
}

export type ReadProjectFile = {
  readonly name: string;
  readonly plan: Plan;
  /** Absent in files that were written before there were any. */
  readonly decisions?: Decisions;
  readonly looks: readonly NewLook[];
  readonly source: readonly { readonly file: string; readonly text: string }[];
};

function json(entries: ReadonlyMap<string, Uint8Array>, file: string, archive: string): unknown {
  const bytes = entries.get(file);
  if (!bytes) throw new ArchiveError(`${archive} is no project file of Liana: ${file} is missing. Nothing was imported.`);
  try {
    return JSON.parse(strFromU8(bytes));
  } catch (error) {
    throw new ArchiveError(`${archive}: ${file} is no JSON: ${messageOf(error)}. Nothing was imported.`);
  }
}

/** Reads a project file. Throws `ArchiveError` with the entry and the field that is wrong. */
export async function readProjectFile(bytes: Uint8Array, archive: string): Promise<ReadProjectFile> {
  const entries = new Map((await unpack(bytes, () => true)).entries.map((entry) => [entry.file, entry.bytes]));
  const { error, value: head } = headSchema.validate(json(entries, 'liana.json', archive), { allowUnknown: true });
  if (error) throw new ArchiveError(`${archive}: liana.json: ${error.message}. Nothing was imported.`);
  if (head.version > 1)
    throw new ArchiveError(
      `${archive} was written by a newer Liana (version ${head.version}); this one reads version 1. Nothing was imported.`,
    );
  const parsed = parsePlan(json(entries, 'plan.json', archive));
  if ('wrong' in parsed) throw new ArchiveError(`${archive}: plan.json: ${parsed.wrong} Nothing was imported.`);
  const decided = entries.has('decisions.json') ? parseDecisions(json(entries, 'decisions.json', archive)) : undefined;
  if (decided && 'wrong' in decided) throw new ArchiveError(`${archive}: decisions.json: ${decided.wrong} Nothing was imported.`);
  const below = (folder: string): [string, Uint8Array][] =>
    [...entries].flatMap(([file, content]): [string, Uint8Array][] =>
      file.startsWith(folder) ? [[file.slice(folder.length), content]] : [],
    );
  return {
    name: head.name,
    plan: parsed.plan,
    ...(decided ? { decisions: decided.decisions } : {}),
    looks: below('looks/').map(([file, content]) => ({
      file,
      type: typeOf(file) || 'application/octet-stream',
      bytes: new Uint8Array(content),
    })),
    source: below('source/').map(([file, content]) => ({ file, text: strFromU8(content) })),
  };
}
