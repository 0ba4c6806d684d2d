import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from 'vitest';
import { disagreements } from '../../../../../testing/src/agreement';
import { check } from '../../../rules';
import { isReadable, loadCompilers } from '../../../frameworks/registry';
import { readFile } from '../../../frameworks/read-file';
import { isConfig, link } from '../../../link';
import { unfold } from '../../../tree';
import { makeFlowQueries, strandsOf } from '../..';

await loadCompilers(['App.vue', 'App.svelte']);

const demos = fileURLToPath(new URL('../../../../../demo', import.meta.url));

function filesBelow(folder: string, within = ''): string[] {
  return readdirSync(path.join(folder, within)).flatMap((name) => {
    const file = path.join(within, name);
    return statSync(path.join(folder, file)).isDirectory() ? filesBelow(folder, file) : [file];
  });
}

describe.each(['react', 'vue', 'svelte'])('a strand and the trace of its value are one way: %s', (framework) => {
  test.each(['sound', 'worn'])('the %s demo', (edition) => {
    const folder = path.join(demos, framework, edition);
    const files = filesBelow(folder);
    const textOf = (file: string): string => readFileSync(path.join(folder, file), 'utf8');
    const facts = new Map(files.filter(isReadable).map((file) => [file, readFile(file, textOf(file))]));
    const model = link(
      facts,
      files.filter(isConfig).map((file) => ({ file, text: textOf(file) })),
    );
    const findings = check(model);
    const wrong = model.pages.flatMap((page) => {
      const ways = makeFlowQueries(model, unfold(model, page));
      return disagreements(ways, strandsOf(ways, findings));
    });
    expect(wrong).toEqual([]);
  });
});
