import { describe, expect, test } from 'vitest';
import { analyseFiles, strandLines } from '../../../../testing/src/project';
import { spotNamed, traceLines, tracedIn, waysOf } from '../../../../testing/src/trace';
import { loadCompilers } from '../../frameworks/registry';
import { alike } from '../../../../testing/src/traces/alike';
import { channels, events } from '../../../../testing/src/traces/events';
import { classes, contexts, hooks, reducers } from '../../../../testing/src/traces/hooks';
import { makers } from '../../../../testing/src/traces/makers';
import { impact, stores } from '../../../../testing/src/traces/stores';
import { others } from '../../../../testing/src/traces/others';
import { svelteOwn } from '../../../../testing/src/traces/svelte';
import { outside } from '../../../../testing/src/traces/outside';
import { origins, slots, values } from '../../../../testing/src/traces/values';
import { vueOwn } from '../../../../testing/src/traces/vue';
import { endings, rungText, stepKinds, traceOf } from '..';

await loadCompilers(['App.vue', 'App.svelte', 'app.component.html']);

const tables = {
  others,
  outside,
  values,
  origins,
  slots,
  hooks,
  classes,
  reducers,
  makers,
  contexts,
  events,
  channels,
  stores,
  impact,
  vueOwn,
  svelteOwn,
};
const all = Object.values(tables).flat();

describe.each(Object.entries(tables))('%s', (_, cases) => {
  test.each(cases.map((one) => [`${one.name}: ${one.of} ${one.ask}`, one] as const))('%s', (_name, one) => {
    expect(tracedIn(one.files, one.of, one.ask)).toEqual(one.rungs);
  });
});

describe.each(['react', 'vue', 'svelte'] as const)('in %s as in the others', (framework) => {
  test.each(alike.map((one) => [`${one.name}: ${one.ask}`, one] as const))('%s', (_name, one) => {
    const of = typeof one.of === 'string' ? one.of : one.of[framework];
    expect(tracedIn(one.sources[framework], of, one.ask)).toEqual(one.rungs[framework]);
  });

  test.each(alike.map((one) => [one.name, one] as const))('the strands beside it: %s', (_name, one) => {
    expect(strandLines(analyseFiles(one.sources[framework]).model, 'App')).toEqual(one.strands[framework]);
  });
});

describe('the tables', () => {
  const traces = all.map((one) => {
    const ways = waysOf(one.files);
    return { ways, trace: traceOf(ways, spotNamed(ways, one.of), one.ask) };
  });
  const rungs = traces.flatMap(({ trace }) => trace.rungs);

  test('hold each kind of step', () => {
    const seen = new Set(rungs.map((rung) => rung.kind));
    expect(stepKinds.filter((kind) => !seen.has(kind))).toEqual([]);
  });

  test('hold each ending', () => {
    const seen = new Set(rungs.map((rung) => rung.ending));
    expect(endings.filter((ending) => !seen.has(ending))).toEqual([]);
  });

  test('hold each way in which an expression reads a value', () => {
    const seen = new Set(
      traces.flatMap(({ ways }) =>
        ways.graph.frames.flatMap((frame) =>
          [...ways.graph.indexOf(frame).sinks.values()].flatMap((sinks) => sinks.map((sink) => sink.reading.how)),
        ),
      ),
    );
    expect([...seen].sort()).toEqual(['called', 'computed', 'item', 'part', 'same', 'spread']);
  });

  test('every rung has a place in the code and says something', () => {
    for (const rung of rungs) {
      expect(rung.code.length, JSON.stringify(rung)).toBeGreaterThan(0);
      expect(rungText(rung), JSON.stringify(rung)).not.toBe('');
    }
  });

  test('a trace is the same when it is asked for again', () => {
    for (const one of all.slice(0, 20)) {
      const ways = waysOf(one.files);
      const spot = spotNamed(ways, one.of);
      for (const question of ['comes', 'changes', 'impact', 'goes'] as const) traceOf(ways, spot, question);
      expect(traceLines(traceOf(ways, spot, one.ask)), one.name).toEqual(one.rungs);
    }
  });
});
