import { link } from './link';
import type { Finding } from './model/finding';
import type { ConfigFile, Model } from './model/model';
import type { FilePath } from './model/span';
import { isReadable } from './frameworks/registry';
import { readFiles } from './frameworks/read-file';
import { check, type CheckOptions } from './rules';

export type SourceFile = { readonly file: FilePath; readonly text: string };

export type Analysis = { readonly model: Model; readonly findings: readonly Finding[] };

/** The whole way from texts to findings, in one go: for the shell, for tests, for the benchmarks. */
export function analyse(sources: readonly SourceFile[], configs: readonly ConfigFile[] = [], options: CheckOptions = {}): Analysis {
  const files = readFiles(sources.filter(({ file }) => isReadable(file)));
  const model = link(files, configs);
  return { model, findings: check(model, undefined, options) };
}
