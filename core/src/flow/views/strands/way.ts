import type { Binding } from '../../../model/facts';
import { bindingFor, bindingKey, memberKeyOf } from '../../../model/given';
import { useById } from '../../../model/lookup';
import { remembered } from '../../../model/remembered';
import type { KnotKind } from '../../../model/strand';
import { adapterOf } from '../../../frameworks/registry';
import type { Frame } from '../../graph/frames';
import { type Spot, valueOf } from '../../graph/graph';
import type { FlowQueries } from '../../steps/queries';
import type { Step } from '../../steps/step';
import { followAll, startOf } from '../follow';
import type { Draft } from '../ladder';
import type { Tie } from './draft';

/** Steps that put a value into something else, or give it to all below: the strand of that goes on from there. */
export const leaving: ReadonlySet<Step['kind']> = new Set([
  'changes',
  'starts',
  'raises',
  'catches',
  'publishes',
  'hears',
  'calls',
  'relays',
  'provides',
]);

/** Where a value goes, place by place: the lines of its trace, up to where it becomes something else. */
export function wayOf(ways: FlowQueries, start: Spot): Tie[] {
  const first = startOf(ways, start);
  followAll(ways, first, start, (spot) => upToLeaving(ways.onward(spot)));
  const ties: Tie[] = [];
  // `whole`: since it came to the place, it is still all of it.
  const stack: { draft: Draft; place: number; whole: boolean }[] = [{ draft: first, place: first.place, whole: true }];
  for (let at = stack.pop(); at; at = stack.pop()) {
    for (const draft of at.draft.below) {
      const there = draft.place >= 0 ? draft.place : at.place;
      const crosses = there !== at.place;
      const kind = knotOf(draft, crosses, at.whole);
      if (kind)
        ties.push({
          place: there,
          kind,
          name: draft.name,
          from: crosses ? at.place : -1,
          code: draft.code,
          twoWay: isTwoWay(ways, at.draft, draft),
        });
      if (!leaving.has(draft.kind)) stack.push({ draft, place: there, whole: crosses || (at.whole && draft.how === 'same') });
    }
  }
  return ties;
}

/** A step that puts the value into something else, or gives it to all below, ends the way there. */
const upToLeaving = remembered((steps: readonly Step[]) => {
  // Those who are called at the end of one way are many; the way leaves at one line for all of them.
  const left = new Set<string>();
  return steps.flatMap((step): Step[] => {
    const first = step.via?.find((one) => leaving.has(one.kind)) ?? (step.to && leaving.has(step.kind) ? step : undefined);
    if (!first) return [step];
    const { kind, frame, at } = first;
    const key = `${kind} ${frame} ${at.file} ${at.start}`;
    if (left.has(key)) return [];
    left.add(key);
    const { to: _, ...last } = first;
    return [{ ...last, ending: step.via ? 'read' : (last.ending ?? 'read') }];
  });
});

/** What a line of a trace is as a knot; undefined where it stays in its place and only has another name there. */
function knotOf(draft: Draft, crosses: boolean, whole: boolean): KnotKind | undefined {
  if (leaving.has(draft.kind) || draft.kind === 'paints' || draft.kind === 'reads') return 'reads';
  if (!draft.spot) return crosses ? (draft.how === 'same' ? 'passes' : 'narrows') : undefined;
  if (draft.kind === 'takes') return 'reads';
  if (!crosses) return draft.kind === 'derives' ? 'reads' : undefined;
  if (!whole) return 'narrows';
  if (draft.kind === 'passes' || draft.kind === 'renames') return draft.kind;
  return draft.kind === 'gives' || draft.kind === 'provides' ? 'passes' : 'narrows';
}

/** The same use gives the value and takes its change: bound both ways, or heard by a handler that sets just this value. */
function isTwoWay(ways: FlowQueries, from: Draft, to: Draft): boolean {
  const { graph } = ways;
  const place = graph.tree.places[to.place];
  const arrived = to.spot && valueOf(graph, to.spot);
  if (!from.spot || !place?.use || arrived?.kind !== 'prop' || to.how !== 'same' || to.place === from.place) return false;
  const owner = graph.frames[place.owner];
  const target = graph.frames[to.place]?.component;
  const use = useById(graph.model, place.use)?.node;
  if (!use || !owner || !target) return false;
  if (bindingFor(use, memberKeyOf(arrived))?.direction === 'two-way') return true;
  const asked = adapterOf(target.framework).link.changesOf(arrived.name);
  const state = from.spot;
  return use.bindings.some((binding) => {
    const key = bindingKey(binding);
    return key !== undefined && asked.includes(key) && sets(ways, owner, binding, state);
  });
}

/** The handler that a binding gives sets the state of a spot. */
function sets({ runs }: FlowQueries, owner: Frame, binding: Binding, state: Spot): boolean {
  const isIt = (frame: Frame, value: number): boolean => frame.index === state.frame && value === state.value;
  const setsWhenRun = (spot: Spot): boolean =>
    runs(spot).some((run) => (run.kind === 'setter' ? isIt(run.frame, run.state) : run.kind === 'action' && acts(run.frame, run.action)));
  const acts = (frame: Frame, action: number): boolean => {
    const facts = frame.body.actions[action];
    return (
      facts !== undefined &&
      (facts.changes.some((change) => isIt(frame, change.value)) ||
        facts.invokes.some(
          ({ value, path }) => frame.body.values[value]?.kind === 'setter' && setsWhenRun({ frame: frame.index, value, track: path }),
        ))
    );
  };
  if (binding.action !== undefined) return acts(owner, binding.action);
  return binding.readings.some(({ value, path }) => setsWhenRun({ frame: owner.index, value, track: path }));
}
