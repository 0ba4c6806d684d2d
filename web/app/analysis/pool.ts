import type { FileFacts, SourceFile } from '@liana/core';
import type { Reader } from './reader';
import { type Host, hostOf } from './worker-host';

/** A file’s text with those of the files that are read with it. */
export type TextUnit = SourceFile & { readonly beside: readonly SourceFile[] };

const batchSize = 400_000;

/** Cuts files into batches of about the same amount of text. */
function batches(files: readonly TextUnit[]): TextUnit[][] {
  const cut: TextUnit[][] = [];
  let size = 0;
  for (const file of files) {
    const last = cut.at(-1);
    const length = file.beside.reduce((sum, one) => sum + one.text.length, file.text.length);
    if (!last || size + length > batchSize) {
      cut.push([file]);
      size = length;
    } else {
      last.push(file);
      size += length;
    }
  }
  return cut;
}

/** Workers that read files side by side. Started when first needed, ended when the work is done. */
export async function readAll(
  files: readonly TextUnit[],
  onBatch: (facts: FileFacts[]) => Promise<void>,
  isCancelled: () => boolean,
): Promise<void> {
  const waiting = batches(files);
  const count = Math.max(1, Math.min(waiting.length, (navigator.hardwareConcurrency || 2) - 1, 6));
  const pool = Array.from({ length: count }, () =>
    hostOf<Reader>((name) => new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module', name })),
  );
  const work = async (host: Host<Reader>): Promise<void> => {
    for (let batch = waiting.shift(); batch && !isCancelled(); batch = waiting.shift()) {
      const given = batch;
      await onBatch((await host.ask((reader) => reader.read(given))) as FileFacts[]);
    }
  };
  try {
    await Promise.all(pool.map(work));
  } finally {
    for (const host of pool) host.end(new Error('The reading is over.'));
  }
}
