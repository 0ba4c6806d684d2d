import { componentId, type ComponentId } from '../model/ids';
import { type FilePath } from '../model/span';
import type { KnotCode, KnotKind, StrandKind } from '../model/strand';
import type { PlaceIndex } from '../model/tree';
import { channelsOf } from './channels';
import { type Frame, type Spot, spotKey, valueOf } from './frames';
import { nameOf, type Step } from './step';
import { subjectId, type SubjectId } from './subject';
import { codeAt } from './targets';
import type { Ways } from './way';

/** A strand that starts outside the components of a page or inside a hook, before it is drawn. */
export type WideStrand = {
  readonly kind: StrandKind;
  readonly name: string;
  readonly home: ComponentId;
  readonly key: string;
  readonly subject?: SubjectId;
  readonly ties: readonly Tie[];
};

export type Tie = {
  readonly place: PlaceIndex;
  readonly kind: KnotKind;
  readonly name: string;
  readonly from: PlaceIndex;
  readonly code: readonly KnotCode[];
};

/** Steps that put a value into something else: the strand of that goes on from there. */
const leaving = new Set<Step['kind']>(['changes', 'starts', 'raises', 'catches', 'publishes', 'hears', 'calls', 'relays']);
const most = 4000;

/** The strands of what hooks of the project hold, of stores, and of channels. */
export function wideStrands(ways: Ways): WideStrand[] {
  return [...heldByHooks(ways), ...heldByModules(ways), ...channelStrands(ways)];
}

/** Whether a hook's frame holds something itself, so that what it gives starts within it. */
export function holdsState(ways: Ways, frame: Frame): boolean {
  return frame.body.values.some((value, index) => {
    if (value.kind === 'state') return true;
    const inner = ways.graph.hookFrame(frame.index, index);
    return inner !== undefined && holdsState(ways, inner);
  });
}

function heldByHooks(ways: Ways): WideStrand[] {
  return ways.graph.frames.flatMap((frame) => {
    if (frame.kind !== 'hook' || frame.place < 0 || !frame.component) return [];
    const home = frame.component.id;
    return frame.body.values.flatMap((value, index): WideStrand[] => {
      if (value.kind !== 'state') return [];
      const spot: Spot = { frame: frame.index, value: index, track: [] };
      const unnamed = value.span.end - value.span.start !== value.name.length;
      const name = unnamed ? givenName(ways, spot) : value.name;
      const owns: Tie = {
        place: frame.place,
        kind: 'owns',
        name,
        from: -1,
        code: [{ at: codeAt(frame, value.span), does: 'owns' }],
      };
      return [
        {
          kind: 'state',
          name,
          home,
          key: `@${frame.place}.${frame.index}`,
          subject: subjectId(ways.graph, spot),
          ties: [owns, ...tiesOf(ways, spot, frame.place), ...changesOf(ways, frame, index)],
        },
      ];
    });
  });
}

function heldByModules(ways: Ways): WideStrand[] {
  return ways.graph.frames.flatMap((frame) => {
    if (frame.kind !== 'module') return [];
    return frame.body.values.flatMap((value, index): WideStrand[] => {
      if (value.kind !== 'state' && value.kind !== 'store') return [];
      const spot: Spot = { frame: frame.index, value: index, track: [] };
      const ties = [...tiesOf(ways, spot, -1), ...changesOf(ways, frame, index)].filter((tie) => tie.place >= 0);
      const home = componentId(frame.file, value.name);
      return ties.length === 0 ? [] : [{ kind: 'store', name: value.name, home, key: '', subject: subjectId(ways.graph, spot), ties }];
    });
  });
}

/** The name that the component gives to what a hook holds without one: `const [boat] = useBoat()`. */
function givenName({ graph, onward }: Ways, start: Spot): string {
  let at = start;
  for (let hops = 0; hops < 6; hops++) {
    const next = onward(at).find((step) => step.to !== undefined && step.frame === at.frame && !leaving.has(step.kind))?.to;
    if (!next) break;
    at = next;
    if (graph.frames[at.frame]?.kind === 'component') return nameOf(graph, at);
  }
  return valueOf(graph, start)?.name ?? '';
}

/** Where a value goes, place by place. */
function tiesOf(ways: Ways, start: Spot, place: PlaceIndex): Tie[] {
  const { graph } = ways;
  const ties: Tie[] = [];
  const seen = new Set<string>();
  const stack: { spot: Spot; place: PlaceIndex }[] = [{ spot: start, place }];
  for (let at = stack.pop(); at && seen.size < most; at = stack.pop()) {
    const key = spotKey(at.spot);
    if (seen.has(key)) continue;
    seen.add(key);
    for (const step of ways.onward(at.spot)) {
      const there = graph.frames[step.frame]?.place ?? -1;
      if (leaving.has(step.kind)) continue;
      const kind = knotOf(step, there !== at.place);
      if (kind && there >= 0)
        ties.push({ place: there, kind, name: step.name, from: there === at.place ? -1 : at.place, code: [{ at: step.at, does: kind }] });
      if (step.to && !isFunction(ways, step.to)) stack.push({ spot: step.to, place: there >= 0 ? there : at.place });
    }
  }
  return ties;
}

function isFunction({ graph }: Ways, spot: Spot): boolean {
  const kind = valueOf(graph, spot)?.kind;
  return kind === 'function' && spot.track[0] !== '()';
}

function knotOf(step: Step, crosses: boolean): KnotKind | undefined {
  if (!step.to) return step.kind === 'paints' || step.kind === 'reads' ? 'reads' : crosses ? 'passes' : undefined;
  if (step.kind === 'takes') return step.silent ? undefined : 'reads';
  if (!crosses) return undefined;
  return step.kind === 'passes' || step.kind === 'renames' ? step.kind : step.kind === 'gives' ? 'passes' : 'narrows';
}

/** The places that change a value. */
function changesOf(ways: Ways, frame: Frame, value: number): Tie[] {
  const { graph } = ways;
  const name = frame.body.values[value]?.name ?? '';
  return ways.writers(frame, value).flatMap((writer): Tie[] => {
    if (writer.frame.place >= 0)
      return [{ place: writer.frame.place, kind: 'changes', name, from: -1, code: [{ at: writer.at, does: 'changes' }] }];
    return ways.callers(writer.frame, writer.action).flatMap((caller): Tie[] =>
      caller.frame.place >= 0
        ? [
            {
              place: caller.frame.place,
              kind: 'changes',
              name: graph.frames[caller.frame.index]?.name ?? name,
              from: -1,
              code: [{ at: caller.at, does: 'changes' }],
            },
          ]
        : [],
    );
  });
}

/** One strand a channel on which something is sent: raised by who sends, caught by who hears. */
function channelStrands(ways: Ways): WideStrand[] {
  const { graph } = ways;
  const { senders, hearers } = channelsOf(graph);
  return [...senders].flatMap(([key, sent]): WideStrand[] => {
    const [first] = sent.filter((one) => one.frame.place >= 0);
    const home = first?.frame.component?.id;
    if (!home || !first) return [];
    const event = first.send.channel.event;
    const name = event !== undefined && event !== '' && event !== 'message' ? event : channelName(key, first.frame.file);
    const raises = sent.map((one): Tie => ({
      place: one.frame.place,
      kind: 'raises',
      name,
      from: -1,
      code: [{ at: codeAt(one.frame, one.send.span), does: 'raises' }],
    }));
    const catches = (hearers.get(key) ?? []).map((one): Tie => ({
      place: one.frame.place,
      kind: 'catches',
      name,
      from: first.frame.place,
      code: [{ at: codeAt(one.frame, one.hear.span), does: 'catches' }],
    }));
    return [{ kind: 'event', name, home, key: ` ${key}`, ties: [...raises, ...catches].filter((tie) => tie.place >= 0) }];
  });
}

/** `"alarm" message` → `alarm`, `src/bus.ts#bus ` → `bus`. */
function channelName(key: string, file: FilePath): string {
  const quoted = /^"(.*)" /.exec(key)?.[1];
  return quoted ?? key.split(' ')[0]?.split('#').at(-1) ?? file;
}
