import path from 'node:path';
import { check, link, makeFlowQueries, readFile, strandsOf, unfold } from '@liana/core';
import { readFolder } from '../../cli/src/folder';
import { disagreements } from '../../testing/src/agreement';
import { fetched, packages } from './corpus-packages';

/** Pages of a package beyond these are not asked. */
const mostPages = 40;

// Whether strands and traces say the same on real packages: `npm run agreement [-- NAME …]`.
const asked = process.argv.slice(2);
for (const { name, folder: inner = '' } of packages) {
  if (asked.length > 0 && !asked.some((one) => name.startsWith(one))) continue;
  const folder = await readFolder(path.join(fetched(name), inner));
  const facts = new Map(folder.sources.map(({ file, text }) => [file, readFile(file, text)]));
  const model = link(facts, folder.configs);
  const findings = check(model);
  let strands = 0;
  const wrong = model.pages.slice(0, mostPages).flatMap((page) => {
    const ways = makeFlowQueries(model, unfold(model, page));
    const found = strandsOf(ways, findings);
    strands += found.strands.length;
    return disagreements(ways, found).map((one) => `${page.name}: ${one}`);
  });
  console.log(`${name}: ${wrong.length} of ${strands} strands differ from their traces`);
  if (asked.length > 0) for (const one of wrong) console.log(`  ${one}`);
}
