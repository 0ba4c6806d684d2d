import { channelKey, channelsOf, channelText, reaches } from '../steps/channels';
import { memberName } from '../../model/member';
import { followAll } from './follow';
import type { SendFact } from '../../model/facts';
import type { Frame } from '../graph/frames';
import { type Graph, type Spot, spotKey } from '../graph/graph';
import { type Draft, draftOf } from './ladder';
import { renewedBy } from '../steps/queries-asked';
import { reducerStep, runsOnHearing } from '../steps/forward';
import { calledName, type Step } from '../steps/step';
import { codeAt } from '../graph/targets';
import type { Run, FlowQueries } from '../steps/queries';

/**
 * Hangs below a line what an action does when it runs: the states it changes and where these go,
 * the events it raises up to their handlers, what it sends and who hears it.
 */
export function hangEffects(ways: FlowQueries, above: Draft, frame: Frame, action: number, seen: Set<string>): void {
  const { graph } = ways;
  const facts = frame.body.actions[action];
  const key = `run ${frame.index} ${action}`;
  if (!facts || seen.has(key)) return;
  seen.add(key);
  for (const change of facts.changes) {
    const held = frame.body.values[change.value];
    const module = held?.kind === 'module' ? graph.moduleSpot(frame, held.source ?? '') : undefined;
    const spot: Spot = module
      ? { frame: module.frame.index, value: module.value, track: change.path ?? [] }
      : { frame: frame.index, value: change.value, track: change.path ?? [] };
    hangChange(
      ways,
      above,
      { kind: 'changes', how: 'same', at: codeAt(frame, change.span), frame: frame.index, name: '', to: spot },
      change.actionType,
      seen,
    );
  }
  for (const raise of facts.raises) {
    if (raise.value === undefined) continue;
    const draft = draftOf(
      graph,
      { kind: 'raises', how: 'same', at: codeAt(frame, raise.span), frame: frame.index, name: memberName(raise.member) },
      memberName(raise.member),
    );
    above.below.push(draft);
    hangRuns(ways, draft, { frame: frame.index, value: raise.value, track: [] }, 'catches', seen);
  }
  for (const call of facts.invokes) {
    for (const to of renewedBy(graph, frame, call))
      hangChange(
        ways,
        above,
        { kind: 'changes', how: 'same', at: codeAt(frame, call.span), frame: frame.index, name: '', to },
        undefined,
        seen,
      );
    const spot: Spot = { frame: frame.index, value: call.value, track: call.path };
    const runs = ways.runs(spot);
    if (!runs.some((run) => run.kind !== 'end')) continue;
    const name = calledName(frame.body.values[call.value]?.name ?? '', call.path);
    const draft = draftOf(graph, { kind: 'calls', how: 'same', at: codeAt(frame, call.span), frame: frame.index, name }, name);
    hangRuns(ways, draft, spot, 'catches', seen);
    if (draft.below.length > 0) above.below.push(draft);
  }
  for (const send of facts.sends) {
    const channel = channelKey(graph, frame, send.channel);
    const name = channelText(send.channel.event, send.channel.name);
    const hearers = channel === undefined ? [] : (channelsOf(graph).hearers.get(channel) ?? []);
    const reached = hearers.filter((one) => reaches(graph, { frame, action, send }, one));
    const sent: Step = { kind: 'publishes', how: 'same', at: codeAt(frame, send.span), frame: frame.index, name };
    const stop = stopOf(graph, frame, send);
    const unheard: Step =
      channel === undefined ? { ...sent, ending: 'unknown' } : { ...sent, ending: 'unheard', ...(stop === undefined ? {} : { by: stop }) };
    const draft = draftOf(graph, reached.length > 0 ? sent : unheard, name);
    above.below.push(draft);
    for (const one of reached) {
      const heard = draftOf(
        graph,
        { kind: 'hears', how: 'same', at: codeAt(one.frame, one.hear.span), frame: one.frame.index, name },
        name,
      );
      draft.below.push(heard);
      for (const run of runsOnHearing(ways, one)) hangRunAfter(ways, heard, run, undefined, seen);
    }
  }
}

/** Where an event that an element sends by itself comes to an end: at the element, or at the root that it stands in; undefined where it goes on to the document. */
function stopOf({ tree, frames }: Graph, { place }: Frame, { channel, bubbles, composed }: SendFact): string | undefined {
  const own = channel.own === 'element' ? tree.hosts[tree.places[place]?.element ?? -1] : undefined;
  if (!own) return undefined;
  if (!bubbles) return 'itself';
  const bearer = composed === false ? tree.hosts[own.root] : undefined;
  return bearer?.place === undefined ? undefined : frames[bearer.place]?.name;
}

/** A change of a state, and where the state goes from there. */
function hangChange(ways: FlowQueries, above: Draft, step: Step, told: string | undefined, seen: Set<string>): void {
  const { graph } = ways;
  const { to } = step;
  const frame = to && graph.frames[to.frame];
  if (!to || !frame) return;
  const name = frame.body.values[to.value]?.name ?? '';
  const before = seen.has(spotKey(to));
  const draft = draftOf(graph, { ...step, name, ...(before ? { ending: 'again' as const } : {}) }, name);
  above.below.push(draft);
  const handled = reducerStep(graph, frame, to.value, told);
  const last = handled ? draftOf(graph, handled, name) : draft;
  if (handled) draft.below.push(last);
  if (!before) followAll(ways, last, to, ways.onward, seen);
}

/** Everything that runs when a function is called, each with the way to it. */
export function hangRuns(ways: FlowQueries, above: Draft, spot: Spot, arrives: 'catches' | undefined, seen: Set<string>): void {
  for (const run of ways.runs(spot)) hangRunAfter(ways, above, run, arrives, seen);
}

/** What runs, behind the way to it. */
function hangRunAfter(ways: FlowQueries, above: Draft, run: Run, arrives: 'catches' | undefined, seen: Set<string>): void {
  let at = above;
  for (const step of run.trail) {
    const draft = draftOf(ways.graph, relayed(step), step.name);
    at.below.push(draft);
    at = draft;
  }
  hangRun(ways, at, run, arrives, seen);
}

function hangRun(ways: FlowQueries, above: Draft, run: Run, arrives: 'catches' | undefined, seen: Set<string>): void {
  const { graph } = ways;
  if (run.kind === 'end') {
    const lost = run.step.ending === 'ungiven' || run.step.ending === 'default';
    above.below.push(
      draftOf(
        graph,
        { ...run.step, kind: 'catches', ending: lost ? 'unheard' : run.step.ending === 'page' ? 'page' : 'leaves' },
        run.step.name,
      ),
    );
    return;
  }
  if (run.kind === 'setter') {
    const to: Spot = { frame: run.frame.index, value: run.state, track: [] };
    const at = run.trail.at(-1)?.at ?? codeAt(run.frame, run.frame.body.values[run.state]?.span ?? { start: 0, end: 0 });
    hangChange(ways, above, { kind: 'changes', how: 'same', at, frame: run.frame.index, name: '', to }, undefined, seen);
    return;
  }
  if (!arrives || run.trail.at(-1)?.action === run.action) {
    hangEffects(ways, above, run.frame, run.action, seen);
    return;
  }
  const span = run.frame.body.actions[run.action]?.span ?? { start: 0, end: 0 };
  const again = seen.has(`run ${run.frame.index} ${run.action}`);
  const caught: Step = { kind: 'catches', how: 'same', at: codeAt(run.frame, span), frame: run.frame.index, name: run.name, by: run.name };
  const draft = draftOf(graph, again ? { ...caught, ending: 'again' } : caught, run.name);
  above.below.push(draft);
  hangEffects(ways, draft, run.frame, run.action, seen);
}

function relayed(step: Step): Step {
  return step.kind === 'catches' ? step : { ...step, kind: 'relays' };
}
