import { type ActionKind, timerEvent, type ValueFact } from '../../model/facts';
import type { Frame } from '../graph/frames';
import { type Spot, spotKey, valueOf } from '../graph/graph';
import { type Draft, draftOf } from './ladder';
import { nameOf, type Step } from '../steps/step';
import { reducerStep } from '../steps/forward';
import { codeAt } from '../graph/targets';
import { channelText, type Sender } from '../steps/channels';
import type { Caller, FlowQueries, Writer } from '../steps/queries';

/** What a value comes from, with the steps to it. */
type Origin = { readonly spot: Spot; readonly trail: readonly Step[] };

/** The states, stores and requests that a value comes from, with the steps to each; a field of a class is one, unless what it is made with is asked for. */
export function originsOf(ways: FlowQueries, spot: Spot, isFieldOpen = true): Origin[] {
  const found: Origin[] = [];
  const seen = new Set<string>();
  const stack: (Origin & { readonly isByField?: true })[] = [{ spot, trail: [] }];
  for (let at = stack.pop(); at && seen.size < 2000; at = stack.pop()) {
    const key = spotKey(at.spot);
    const value = valueOf(ways.graph, at.spot);
    if (!value || seen.has(key)) continue;
    seen.add(key);
    const isField = isFieldOpen && isFieldOfClass(ways, at.spot);
    const lasts = !isField && isLasting(ways, at.spot, value);
    // An element may put another value into its own property.
    const isOwn = value.kind === 'prop' && isWrittenProp(ways, at.spot);
    const steps = ways.back(at.spot).filter(({ kind }) => !lasts || kind === 'gives' || kind === 'takes');
    // Through a field that is only made once, what arrives is what tells of its changes itself.
    const isHeard = !at.isByField || value.observable === true || isCentralStore(value);
    if (isHeard && (isOwn || (lasts && !isMadeOfOthers(ways, at.spot, steps)))) found.push(at);
    const by = isField || at.isByField ? { isByField: true as const } : {};
    for (const step of steps) if (step.to) stack.push({ spot: step.to, trail: step.silent ? at.trail : [...at.trail, step], ...by });
  }
  return found.length === 0 && isFieldOpen && isFieldOfClass(ways, spot) ? [{ spot, trail: [] }] : found;
}

/** Whether a value is kept, so that it is changed where it stands and not where it began. */
function isLasting(ways: FlowQueries, spot: Spot, value: ValueFact): boolean {
  return (
    value.kind === 'state' ||
    value.kind === 'ref' ||
    (value.kind === 'store' && !value.args) ||
    (value.kind === 'hook' && value.origin?.kind === 'query') ||
    isWrittenQuery(ways, spot)
  );
}

/** A part of the one store of an application: what is selected of it follows it. */
const isCentralStore = ({ kind, shape }: ValueFact): boolean =>
  kind === 'store' && (shape === 'slice' || shape === 'root' || shape === 'module');

/** A field of a class that nothing writes: what it is made with may be a signal or a stream, which is the same one wherever it is kept. */
function isFieldOfClass(ways: FlowQueries, spot: Spot): boolean {
  const frame = ways.graph.frames[spot.frame];
  const value = frame?.body.values[spot.value];
  if (!frame?.component?.facts.ofClass || value?.kind !== 'state' || value.observable || value.once) return false;
  return value.from.length > 0 && ways.writers(frame, spot.value).length === 0;
}

/** A property of an element that the element itself writes. */
function isWrittenProp({ graph }: FlowQueries, { frame, value }: Spot): boolean {
  const body = graph.frames[frame];
  if (!body?.component?.facts.element) return false;
  return body.body.actions.some(({ changes }) => changes.some((change) => change.value === value));
}

/** Options of a query that the module keeps, where something sets what is asked by them or has it asked again. */
function isWrittenQuery(ways: FlowQueries, spot: Spot): boolean {
  const frame = ways.graph.frames[spot.frame];
  const isKept = frame?.kind === 'module' && frame.body.values[spot.value]?.kind === 'derived';
  return isKept && ways.writers(frame, spot.value).length > 0;
}

/** What a store only gives on, of its parts or computed, is changed where these are; what is set of it sets the state that it was put together from. */
function isMadeOfOthers(ways: FlowQueries, spot: Spot, steps: readonly Step[]): boolean {
  const given = steps.filter(({ kind }) => kind === 'gives');
  if (valueOf(ways.graph, spot)?.kind !== 'store' || given.length === 0) return false;
  if (given.some(({ to }) => to && valueOf(ways.graph, to)?.kind === 'state')) return true;
  const frame = ways.graph.frames[spot.frame];
  return !frame || !ways.writers(frame, spot.value).some((writer) => touches(writer, spot));
}

/** Hangs below a line who changes a state, and what leads there: back to a click, a key, a timer, an answer. */
export function hangWriters(ways: FlowQueries, above: Draft, state: Spot, seen: Set<string>): number {
  const { graph } = ways;
  const frame = graph.frames[state.frame];
  if (!frame) return 0;
  const own = ways.writers(frame, state.value).filter((writer) => touches(writer, state));
  const told = new Set<string>();
  const writers = [...own, ...ways.mutators(state)].filter(({ frame: there, at }) => {
    const key = `${there.index} ${at.file} ${at.start}`;
    return !told.has(key) && Boolean(told.add(key));
  });
  for (const writer of writers) {
    let from = above;
    for (const one of writer.trail) from = hungStep(ways, from, { ...one, kind: 'relays' });
    const handled = reducerStep(graph, frame, state.value, writer.told);
    if (handled) from = hungStep(ways, from, handled);
    const step: Step = {
      kind: 'changes',
      how: 'same',
      at: writer.at,
      frame: writer.frame.index,
      name: nameOf(graph, { ...state, track: [] }),
      ...(writer.told === undefined ? {} : { by: writer.told }),
    };
    const draft = draftOf(graph, step, writer.name);
    from.below.push(draft);
    if (writer.action >= 0) hangCauses(ways, draft, writer.frame, writer.action, seen);
    else for (const caller of platformOf(ways, writer)) draft.below.push(caller);
  }
  return writers.length;
}

/** Hangs a step below a line, unless it hangs there already; the line that stands for it. */
function hungStep({ graph }: FlowQueries, above: Draft, step: Step): Draft {
  const draft = draftOf(graph, step, step.name);
  delete (draft as { spot?: Spot }).spot;
  const known = above.below.find(
    (one) =>
      one.kind === draft.kind && one.place === draft.place && one.code[0]?.start === step.at.start && one.code[0]?.file === step.at.file,
  );
  if (!known) above.below.push(draft);
  return known ?? draft;
}

function touches(writer: Writer, state: Spot): boolean {
  const length = Math.min(writer.path.length, state.track.length);
  for (let at = 0; at < length; at++) {
    const [a, b] = [writer.path[at], state.track[at]];
    if (a !== b && a !== '*' && b !== '*') return false;
  }
  return true;
}

/** A setter that is handed to an element as it is. */
function platformOf({ graph }: FlowQueries, writer: Writer): Draft[] {
  const { on } = writer;
  const step: Step = {
    kind: 'starts',
    how: 'same',
    at: writer.at,
    frame: writer.frame.index,
    name: on?.event ?? writer.name,
    ending: 'platform',
    ...(on ? { by: on.element } : {}),
  };
  return [draftOf(graph, step, step.name)];
}

/** Hangs below a line what makes an action run. */
export function hangCauses(ways: FlowQueries, above: Draft, frame: Frame, action: number, seen: Set<string>): void {
  const { graph } = ways;
  const facts = frame.body.actions[action];
  const key = `cause ${frame.index} ${action}`;
  if (!facts) return;
  if (seen.has(key)) {
    above.below.push(
      draftOf(
        graph,
        { kind: 'catches', how: 'same', at: codeAt(frame, facts.span), frame: frame.index, name: facts.name, ending: 'again' },
        facts.name,
      ),
    );
    return;
  }
  seen.add(key);
  const callers = ways.callers(frame, action);
  if (facts.kind === 'effect' || facts.kind === 'lifecycle' || facts.kind === 'render' || callers.length === 0) {
    const uncalled = callers.length === 0 && facts.kind === 'handler' && facts.when === undefined;
    const runsBy: Step = {
      kind: 'starts',
      how: 'same',
      at: codeAt(frame, facts.span),
      frame: frame.index,
      name: facts.name,
      ending: uncalled ? 'uncalled' : 'platform',
      by: uncalled
        ? facts.name
        : (facts.when ??
          causeOf(
            facts.kind,
            facts.follows?.map((one) => frame.body.values[one.value]?.name ?? ''),
          )),
    };
    above.below.push(draftOf(graph, runsBy, facts.name));
    return;
  }
  const inPlace = graph.indexOf(frame).attached.has(action);
  const caught = inPlace
    ? above
    : hungStep(ways, above, { kind: 'catches', how: 'same', at: codeAt(frame, facts.span), frame: frame.index, name: facts.name });
  for (const caller of callers) hangCaller(ways, caught, caller, seen);
}

function causeOf(kind: ActionKind, follows: readonly string[] | undefined): string {
  if (kind === 'handler') return '';
  if (kind === 'render') return 'while it renders';
  if (kind === 'lifecycle') return 'by the framework';
  if (follows === undefined) return 'after each rendering';
  return follows.length === 0 ? 'once it stands on the page' : `when ${follows.join(', ')} changes`;
}

function hangCaller(ways: FlowQueries, above: Draft, caller: Caller, seen: Set<string>): void {
  const { graph } = ways;
  let at = above;
  for (const step of caller.trail) at = hungStep(ways, at, step.kind === 'catches' ? step : { ...step, kind: 'relays' });
  const base = { how: 'same', at: caller.at, frame: caller.frame.index } as const;
  switch (caller.by) {
    case 'platform': {
      const senders = ways.senders(`document ${caller.event}`, caller.frame, caller.at);
      const started: Step = { kind: senders.length > 0 ? 'hears' : 'starts', ...base, name: caller.event };
      const end = senders.length > 0 ? {} : { ending: 'platform' as const, by: caller.element };
      const draft = draftOf(graph, { ...started, ...end }, caller.event);
      at.below.push(draft);
      for (const sender of senders) hangSender(ways, draft, sender, caller.event, seen);
      return;
    }
    case 'outside':
      at.below.push(
        draftOf(
          graph,
          {
            kind: 'starts',
            ...base,
            name: caller.name,
            ending: graph.named(caller.frame, caller.name).kind === 'value' ? 'unknown' : 'leaves',
            by: caller.name,
          },
          caller.name,
        ),
      );
      return;
    case 'render':
      at.below.push(
        draftOf(
          graph,
          {
            kind: 'starts',
            ...base,
            name: caller.name,
            ending: 'platform',
            by: caller.frame.kind === 'module' ? 'when this is computed' : 'while it renders',
          },
          caller.name,
        ),
      );
      return;
    case 'channel':
      hangSenders(ways, at, caller, seen);
      return;
    default: {
      const draft = draftOf(graph, { kind: caller.by === 'raise' ? 'raises' : 'calls', ...base, name: caller.name }, caller.name);
      at.below.push(draft);
      hangCauses(ways, draft, caller.frame, caller.action, seen);
    }
  }
}

/** A timer is set by whoever asks for it: that goes on to what made it. */
function isTimer(key: string | undefined): boolean {
  return key === `document ${timerEvent}`;
}

function hangSenders(ways: FlowQueries, above: Draft, caller: Extract<Caller, { by: 'channel' }>, seen: Set<string>): void {
  const { graph } = ways;
  const key = caller.channel;
  const name = channelText(key?.split(' ').at(-1), key?.trim());
  const senders = key === undefined ? [] : ways.senders(key, caller.frame);
  const heard: Step = { kind: 'hears', how: 'same', at: caller.at, frame: caller.frame.index, name };
  const draft = draftOf(
    graph,
    senders.length > 0
      ? heard
      : {
          ...heard,
          ending: key === undefined ? 'unknown' : 'platform',
          by: isTimer(key) ? '' : key?.startsWith('document') ? 'the page' : name,
        },
    name,
  );
  above.below.push(draft);
  if (isTimer(key)) hangCauses(ways, draft, caller.frame, caller.action, seen);
  for (const sender of senders) hangSender(ways, draft, sender, name, seen);
}

function hangSender(ways: FlowQueries, above: Draft, { frame, action, send }: Sender, name: string, seen: Set<string>): void {
  const sent = draftOf(ways.graph, { kind: 'publishes', how: 'same', at: codeAt(frame, send.span), frame: frame.index, name }, name);
  above.below.push(sent);
  hangCauses(ways, sent, frame, action, seen);
}
