import { unzipSync } from 'fflate';

/** An archive that is refused as a whole; the message says which entry and why. */
export class ArchiveError extends Error {}

const mostEntries = 50_000;
const mostBytes = 512 * 1024 * 1024;

export type Entry = { readonly file: string; readonly bytes: Uint8Array };

/** A path that would leave the folder it is unpacked to, or that is none. */
function refusal(name: string): string | undefined {
  if (name.startsWith('/') || name.startsWith('\\') || /^[A-Za-z]:/.test(name)) return 'it has an absolute path';
  if (name.split(/[/\\]/).includes('..')) return 'its path climbs out of the archive';
  return name.includes('\0') ? 'its name holds a zero byte' : undefined;
}

const centralHeader = 0x02014b50;

/** Names of entries that are symbolic links, from the attributes in the archive's directory. */
function linkedEntries(bytes: Uint8Array): string[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const names: string[] = [];
  let end = bytes.length - 22;
  while (end >= 0 && view.getUint32(end, true) !== 0x06054b50) end--;
  if (end < 0) return names;
  let at = view.getUint32(end + 16, true);
  while (at + 46 <= bytes.length && view.getUint32(at, true) === centralHeader) {
    const name = new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + view.getUint16(at + 28, true)));
    if (((view.getUint32(at + 38, true) >>> 16) & 0xf000) === 0xa000) names.push(name);
    at += 46 + view.getUint16(at + 28, true) + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return names;
}

/**
 * Unpacks the entries of a zip archive that `wanted` asks for. Refuses the whole archive for paths
 * that climb out, links, more than 50,000 entries, or more than 512 MiB unpacked.
 */
export function unpack(
  bytes: Uint8Array,
  wanted: (file: string) => boolean,
): { entries: Entry[]; listed: { file: string; size: number }[] } {
  const listed: { file: string; size: number }[] = [];
  let size = 0;
  const [link] = linkedEntries(bytes);
  if (link !== undefined) throw new ArchiveError(`This archive was refused: ${link} is a link. Nothing was imported.`);
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const reason = refusal(name);
        if (reason) throw new ArchiveError(`This archive was refused: ${name}: ${reason}. Nothing was imported.`);
        if (name.endsWith('/')) return false;
        listed.push({ file: name, size: originalSize });
        if (listed.length > mostEntries)
          throw new ArchiveError('This archive was refused: it has more than 50,000 entries. Nothing was imported.');
        if (!wanted(name)) return false;
        size += originalSize;
        if (size > mostBytes)
          throw new ArchiveError(`This archive was refused: with ${name} it unpacks to more than 512 MiB. Nothing was imported.`);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof ArchiveError) throw error;
    throw new ArchiveError(`This file is no zip archive that can be read: ${error instanceof Error ? error.message : String(error)}.`);
  }
  return { entries: Object.entries(unpacked).map(([file, content]) => ({ file, bytes: content })), listed };
}
