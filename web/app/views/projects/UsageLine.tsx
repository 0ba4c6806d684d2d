import { counted } from '@liana/core';
import MuiLink from '@mui/material/Link';
import type { Usage } from '../../storage/usage';

/** A number of bytes as one says it. */
export function sizeOf(bytes: number): string {
  if (bytes < 1024 * 1024) return `${Math.ceil(bytes / 1024).toLocaleString('en')} KB`;
  const size = bytes / 1024 / 1024;
  return size < 10_000 ? `${size.toFixed(size < 10 ? 1 : 0)} MB` : `${Math.round(size / 1024).toLocaleString('en')} GB`;
}

/** What this browser keeps, and what of it can go. */
export function UsageLine({ usage, onClear }: { usage: Usage; onClear: () => void }) {
  const { total, quota, source, pages, readings, isPersistent } = usage;
  return (
    <p className="quiet">
      This browser keeps{' '}
      {total === undefined ? '' : `${sizeOf(total)} for Liana${quota === undefined ? '' : ` of at most ${sizeOf(quota)}`}: `}
      {sizeOf(source)} of source, {sizeOf(pages)} of pages, and readings of {counted(readings, 'file')}.{' '}
      {isPersistent ? 'It does not clear them by itself.' : 'It may clear them when it needs the room.'}
      {readings > 0 && (
        <>
          {' '}
          Readings can go; they are made again when a project is opened.{' '}
          <MuiLink component="button" onClick={onClear}>
            Clear the readings
          </MuiLink>
        </>
      )}
    </p>
  );
}
