import { readFileSync, readdirSync } from 'node:fs';
import { test } from 'vitest';
import { link } from './link';
import { loadCompilers } from './frameworks/registry';
import { readFiles } from './frameworks/read-file';
import { factoryStores } from './rules/state/factory-stores';
test('x', async () => {
  await loadCompilers(['a.component.html']);
  const root = '../shared/cases/angular/' + process.env.CASE + '/';
  const all = readdirSync(root, { recursive: true })
    .map(String)
    .filter((f) => /\.(ts|html)$/.test(f));
  const files = readFiles(all.map((file) => ({ file, text: readFileSync(root + file, 'utf8') })));
  const model = link(files, []);
  for (const s of factoryStores(model)) console.log(JSON.stringify(s, null, 1));
  for (const c of model.components.values())
    console.log(
      c.name,
      JSON.stringify(
        c.facts.values.map((v) => [v.name, v.kind, v.source, v.formula, v.from.map((r) => [r.value, r.path.join('.'), r.how].join(' '))]),
      ),
    );
});
