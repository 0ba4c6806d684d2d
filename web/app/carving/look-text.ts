import { decodeFile } from '@liana/core';
import type { StoredLook } from '../storage/database';

/** The text of a saved page or a style sheet, in whichever encoding it is; empty for what is no text. */
export function lookText({ bytes }: Pick<StoredLook, 'bytes'>): string {
  const decoded = decodeFile(bytes, (part, label, fatal) => new TextDecoder(label, { fatal }).decode(part));
  return 'refused' in decoded ? '' : decoded.text;
}
