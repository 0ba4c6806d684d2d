import { patchOf, propose } from '../../../core/src/fixes';
import { makeFlowQueries, strandsOf } from '../../../core/src/flow';
import { findingEntries, findingsCsv, findingsMarkdown, findingsSarif } from '../../../core/src/formats';
import { readFiles } from '../../../core/src/frameworks/read-file';
import { link } from '../../../core/src/link';
import { check, newCheckKeep } from '../../../core/src/rules';
import { placePaths, unfold } from '../../../core/src/tree';
import type { Files } from '../project';

/** Takes a project through all that Liana does with one: read, link, check, fixes, flow, formats. Throws what any of it throws. */
export function allThrough(files: Files): { readonly findings: number; readonly problems: number } {
  const entries = Object.entries(files).map(([file, text]) => ({ file, text }));
  const textOf = (file: string): string | undefined => (Object.hasOwn(files, file) ? files[file] : undefined);
  const isConfig = ({ file }: { file: string }): boolean => file.endsWith('.json');
  const facts = readFiles(entries.filter((one) => !isConfig(one)));
  const model = link(facts, entries.filter(isConfig));
  const findings = check(model, newCheckKeep());
  for (const finding of findings) {
    if (finding.edits) patchOf(finding.edits, textOf);
    propose(model, finding, textOf);
  }
  for (const page of model.pages.slice(0, 3)) {
    const tree = unfold(model, page);
    placePaths(model, tree);
    strandsOf(makeFlowQueries(model, tree), findings);
  }
  const told = findingEntries(model, findings, textOf);
  findingsCsv(told);
  findingsMarkdown('spoilt', told);
  findingsSarif(told);
  return { findings: findings.length, problems: [...facts.values()].reduce((sum, one) => sum + one.problems.length, 0) };
}
