import { messageOf } from '@liana/core';
import { configure, type FileEntry, Uint8ArrayReader, ZipReader } from '@zip.js/zip.js';

// It is called in workers already: the library needs none of its own.
configure({ useWebWorkers: false });

/** An archive that is refused as a whole; the message says which entry and why. */
export class ArchiveError extends Error {}

const mostEntries = 50_000;
const mostBytes = 512 * 1024 * 1024;

/** No text and no picture is packed as tightly as this; what is was made to burst. */
const mostRatio = 1000;

/** Below this size in bytes a ratio says nothing: a short file of one letter packs that well. */
const leastForRatio = 4 * 1024 * 1024;

export type Entry = { readonly file: string; readonly bytes: Uint8Array };

/** A path that would leave the folder it is unpacked to, or that is none. */
function refusal(name: string): string | undefined {
  if (name.startsWith('/') || /^[A-Za-z]:/.test(name)) return 'it has an absolute path';
  if (name.split('/').includes('..')) return 'its path climbs out of the archive';
  return name.includes('\0') ? 'its name holds a zero byte' : undefined;
}

const otherContent = 'its content has not the size or the checksum that the archive tells';

/** What the library says of an entry that is not what the archive tells of it, in words of ours. */
const lies: readonly (readonly [RegExp, string])[] = [
  [/ambiguous/i, 'the archive tells of it in two places, and not the same'],
  [/signature|CRC/i, otherContent],
  [/uncompressed size/i, otherContent],
  [/overlapping/i, 'it lies over another entry'],
  [/out of bounds|Local file header/i, 'it lies outside the archive'],
  [/compression|compressed data/i, 'it is packed in a way that cannot be read'],
];

function refused(name: string, reason: string): ArchiveError {
  return new ArchiveError(`This archive was refused: ${name}: ${reason}. Nothing was imported.`);
}

/** The bytes of one entry. Ends as soon as more of them come than the archive tells, so that memory is never more than it says. */
async function bytesOf(entry: FileEntry, name: string): Promise<Uint8Array> {
  const { uncompressedSize } = entry;
  const bytes = new Uint8Array(uncompressedSize);
  let at = 0;
  const into = new WritableStream<Uint8Array>({
    write(chunk) {
      if (at + chunk.length > uncompressedSize) throw refused(name, otherContent);
      bytes.set(chunk, at);
      at += chunk.length;
    },
  });
  try {
    await entry.getData(into, { checkSignature: true, checkOverlappingEntry: true });
  } catch (error) {
    if (error instanceof ArchiveError) throw error;
    const says = messageOf(error);
    throw refused(name, lies.find(([pattern]) => pattern.test(says))?.[1] ?? says);
  }
  if (at !== uncompressedSize) throw refused(name, otherContent);
  return bytes;
}

/**
 * Unpacks the entries of a zip archive that `wanted` asks for. Paths with backslashes are read as
 * folders. Refuses the whole archive, with the entry, for paths that climb out, links, encrypted
 * entries, names that stand twice, entries that lie over each other or are not what the archive tells
 * of them, a ratio of more than 1,000, more than 50,000 entries, or more than 512 MiB unpacked.
 */
export async function unpack(
  bytes: Uint8Array,
  wanted: (file: string) => boolean,
): Promise<{ entries: Entry[]; listed: { file: string; size: number }[] }> {
  const reader = new ZipReader(new Uint8ArrayReader(bytes), { checkOverlappingEntry: true });
  const listed: { file: string; size: number }[] = [];
  const asked: { name: string; entry: FileEntry }[] = [];
  const names = new Set<string>();
  let size = 0;
  try {
    for await (const entry of reader.getEntriesGenerator({ filenameValidation: 'tolerant' })) {
      const name = entry.filename.replaceAll('\\', '/');
      const reason = refusal(name);
      if (reason) throw refused(name, reason);
      if (((entry.externalFileAttributes >>> 16) & 0xf000) === 0xa000) throw refused(name, 'it is a link');
      if (entry.directory || name.endsWith('/')) continue;
      if (names.has(name)) throw refused(name, 'it stands in the archive twice');
      names.add(name);
      listed.push({ file: name, size: entry.uncompressedSize });
      if (listed.length > mostEntries)
        throw new ArchiveError('This archive was refused: it has more than 50,000 entries. Nothing was imported.');
      if (!wanted(name)) continue;
      if (entry.encrypted) throw refused(name, 'it is encrypted');
      if (entry.uncompressedSize > leastForRatio && entry.uncompressedSize > mostRatio * entry.compressedSize)
        throw refused(name, `it would become more than ${mostRatio.toLocaleString('en')} times its size`);
      size += entry.uncompressedSize;
      if (size > mostBytes)
        throw new ArchiveError(`This archive was refused: with ${name} it unpacks to more than 512 MiB. Nothing was imported.`);
      asked.push({ name, entry });
    }
  } catch (error) {
    if (error instanceof ArchiveError) throw error;
    throw new ArchiveError(`This file is no zip archive that can be read: ${messageOf(error)}.`);
  }
  const entries: Entry[] = [];
  for (const { name, entry } of asked) entries.push({ file: name, bytes: await bytesOf(entry, name) });
  await reader.close();
  return { entries, listed };
}
