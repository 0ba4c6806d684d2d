import type { FileFacts, SourceFile } from '@liana/core';
import { type Remote, wrap } from 'comlink';
import type { Reader } from './reader.worker';

type Member = { readonly worker: Worker; readonly reader: Remote<Reader> };

const batchSize = 400_000;

/** Cuts files into batches of about the same amount of text. */
function batches(files: readonly SourceFile[]): SourceFile[][] {
  const cut: SourceFile[][] = [];
  let size = 0;
  for (const file of files) {
    const last = cut.at(-1);
    if (!last || size + file.text.length > batchSize) {
      cut.push([file]);
      size = file.text.length;
    } else {
      last.push(file);
      size += file.text.length;
    }
  }
  return cut;
}

/** Workers that read files side by side. Started when first needed, ended when the work is done. */
export async function readAll(
  files: readonly SourceFile[],
  onBatch: (facts: FileFacts[]) => Promise<void>,
  isCancelled: () => boolean,
): Promise<void> {
  const waiting = batches(files);
  const count = Math.max(1, Math.min(waiting.length, (navigator.hardwareConcurrency || 2) - 1, 6));
  const pool: Member[] = Array.from({ length: count }, () => {
    const worker = new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module' });
    return { worker, reader: wrap<Reader>(worker) };
  });
  const work = async ({ reader }: Member): Promise<void> => {
    for (let batch = waiting.shift(); batch && !isCancelled(); batch = waiting.shift()) {
      await onBatch((await reader.read(batch)) as FileFacts[]);
    }
  };
  try {
    await Promise.all(pool.map(work));
  } finally {
    for (const { worker } of pool) worker.terminate();
  }
}
