import path from 'node:path';
import { analyseFolder } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';
import { propose, isProposed } from '@liana/core';
const only = process.argv[2];
for (const { name, folder: inner = '' } of packages) {
  if (only && !name.includes(only)) continue;
  const folder = await readFolder(path.join(fetched(name), inner));
  const { findings, model } = analyseFolder(folder);
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  for (const f of findings) {
    if (f.severity === 'tidy' && !isProposed(f.rule)) console.log(name.padEnd(34), f.rule.padEnd(16), '—', f.component, '|', f.subject);
    if (isProposed(f.rule)) {
      const p = propose(model, f, (x) => texts.get(x));
      console.log(name.padEnd(34), f.rule.padEnd(16), p && 'edits' in p ? 'OK' : 'NO ' + (p as any)?.wrong, '|', f.at.file + ':' + f.at.start, f.message.slice(0, 90));
      if (process.argv[3] && p && 'edits' in p) console.log((await import('@liana/core')).patchOf(p.edits, (x: string) => texts.get(x)));
    }
  }
}
