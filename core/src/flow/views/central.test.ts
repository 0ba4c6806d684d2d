import { expect, test } from 'vitest';
import { central, centralProjects } from '../../../../testing/src/traces/central';
import { disagreements } from '../../../../testing/src/agreement';
import { traceLines, waysOf } from '../../../../testing/src/trace';
import { loadCompilers } from '../../frameworks/registry';
import { check } from '../../rules';
import { strandsOf, traceOf } from '..';
import { parseNamedValue, placesNamed, spotsNamed, spotsOfFile } from './named';

await loadCompilers(['App.vue', { file: 'src/app.ts', text: "from '@angular/core'" }]);

test.each(central.map((one) => [`${one.name}: ${one.of} ${one.ask}`, one] as const))('%s', (_, { files, of, ask, rungs }) => {
  const ways = waysOf(files);
  const { graph } = ways;
  const asked = parseNamedValue(of);
  const spots =
    asked && 'file' in asked
      ? spotsOfFile(graph, asked.file, asked.name)
      : placesNamed(graph, asked?.component ?? '').flatMap((place) => spotsNamed(graph, place, asked?.name ?? ''));
  expect(spots.slice(0, 1).map((spot) => traceLines(traceOf(ways, spot, ask)))).toEqual([rungs]);
});

test.each(Object.entries(centralProjects))('strands and traces of it are one way: %s', (_, files) => {
  const ways = waysOf(files);
  expect(disagreements(ways, strandsOf(ways, check(ways.graph.model)))).toEqual([]);
});

test.each(Object.entries(centralProjects))('nothing is wrong in it: %s', (_, files) => {
  const found = check(waysOf(files).graph.model).filter(({ severity }) => severity !== 'tidy');
  expect(found.map(({ rule, message }) => `${rule}: ${message}`)).toEqual([]);
});
