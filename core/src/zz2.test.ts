import { test } from 'vitest';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { analyse } from './analyse';
import { unfold } from './tree';
import { surveyPages } from './rules/shared/pages';
const root = process.env.CASE!;
const walk = (d: string): string[] => readdirSync(d).flatMap((n) => { const f = path.join(d, n); return statSync(f).isDirectory() ? walk(f) : [f]; });
test('x', () => {
  const sources = walk(root).filter((f) => !f.endsWith('expect.json')).map((f) => ({ file: path.relative(root, f), text: readFileSync(f, 'utf8') }));
  const { model } = analyse(sources, sources.filter((s) => s.file.endsWith('.json')));
  for (const p of model.pages) { const t = unfold(model, p); console.log(p.id, p.above, t.places.map(x=>[x.index, x.component.split('#')[1], x.parent, x.provider, x.element, x.host, x.sheltered].join(' ')).join('\n'), JSON.stringify(t.providers), t.hosts.map(h=>[h.index,h.node.tag,h.owner,h.parent,h.root,h.place].join(' ')).join('\n')); }
  console.log(JSON.stringify(surveyPages(model, new Map()).shadowed));
});
