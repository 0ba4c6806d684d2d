import type { CallFact, Reading } from '../../model/facts';
import type { Frame } from '../graph/frames';
import { backward, forward, type Passed, type Track } from '../graph/track';
import type { FlowQueries } from './queries';

/** Functions that call each other deeper than this are not followed. */
const deepest = 8;

/** What one function that reads a store gives: straight of what it is handed, and by others that it hands that to. */
type Selecting = {
  readonly frame: Frame;
  readonly direct: readonly Reading[];
  readonly nested: readonly { readonly call: CallFact; readonly given: Reading; readonly span: Reading['span'] }[];
};

function selectingBy(ways: FlowQueries, frame: Frame, { value, path }: Pick<Reading, 'value' | 'path'>): Selecting[] {
  const { graph, runs } = ways;
  const kept = frame.body.values[value];
  // A hook that keeps a function gives that function.
  if (kept?.kind === 'hook' && /^use(?:Shallow|Callback|StableCallback)$/.test(kept.source ?? ''))
    return (kept.args?.[0]?.readings ?? []).flatMap((one) => selectingBy(ways, frame, one));
  return runs({ frame: frame.index, value, track: path }).flatMap((run): Selecting[] => {
    if (run.kind !== 'action') return [];
    const facts = run.frame.body.actions[run.action];
    const param = graph.indexOf(run.frame).params.get(run.action)?.get(0);
    const returned = facts?.returns ?? [];
    const nested = (facts?.invokes ?? []).flatMap((call) => {
      const given = call.args[0]?.readings.find((one) => one.value === param);
      const result = returned.find((one) => one.value === call.value && one.how === 'called');
      return given && result ? [{ call, given, span: result.span }] : [];
    });
    const handed = new Set(nested.map(({ given }) => given.span.start));
    const direct = returned.filter((one) => one.value === param && !(nested.length > 0 && handed.has(one.span.start)));
    return [{ frame: run.frame, direct, nested }];
  });
}

/** Which parts of its store a selector takes for a part of what it gives; the whole where its text does not tell. */
export function selectorTracks(
  ways: FlowQueries,
  frame: Frame,
  selector: Pick<Reading, 'value' | 'path'>,
  track: Track,
  depth = 0,
): Track[] {
  return selectingBy(ways, frame, selector).flatMap((one): Track[] => {
    const straight = one.direct.flatMap((reading): Track[] => {
      const passed = backward(reading, track);
      return passed ? [passed.track] : [];
    });
    const through =
      depth > deepest
        ? []
        : one.nested.flatMap(({ call, given }) =>
            selectorTracks(ways, one.frame, call, [], depth + 1).flatMap((inner): Track[] => {
              const passed = backward({ ...given, how: given.path.length > 0 ? 'part' : 'same' }, inner);
              return passed ? [passed.track] : [];
            }),
          );
    const found = [...straight, ...through];
    return found.length > 0 ? found : [[]];
  });
}

/** What a selector makes of a part of its store, each with the place that reads it; empty where it takes another part. */
export function selectorPasses(
  ways: FlowQueries,
  frame: Frame,
  selector: Pick<Reading, 'value' | 'path'>,
  track: Track,
  depth = 0,
): { readonly passed: Passed; readonly frame: Frame; readonly span: Reading['span'] }[] {
  return selectingBy(ways, frame, selector).flatMap((one) => {
    const direct = one.direct.flatMap((reading) => {
      const passed = forward(reading, track);
      return passed ? [{ passed, frame: one.frame, span: reading.span }] : [];
    });
    const through =
      depth > deepest
        ? []
        : one.nested.flatMap(({ call, given, span }) => {
            const passed = forward({ ...given, how: given.path.length > 0 ? 'part' : 'same' }, track);
            const inner = passed ? selectorPasses(ways, one.frame, call, passed.track, depth + 1) : [];
            return inner.slice(0, 1).map(() => ({ passed: { track: [], how: 'computed' as const }, frame: one.frame, span }));
          });
    return [...direct, ...through];
  });
}
