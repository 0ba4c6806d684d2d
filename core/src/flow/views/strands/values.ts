import { componentId } from '../../../model/ids';
import type { StrandKind } from '../../../model/strand';
import type { Frame } from '../../graph/frames';
import { type Spot, valueOf } from '../../graph/graph';
import { isPutTogether, nameInModule } from '../../graph/stores';
import { codeAt } from '../../graph/targets';
import type { FlowQueries } from '../../steps/queries';
import { nameOf } from '../../steps/step';
import { subjectId } from '../subject';
import { startStrand, type StrandDraft, tie, type Tie } from './draft';
import { wayOf } from './way';
import { ownValue } from '../../../model/own-value';

/** What a page's strands are made from: its answers, and the path to each of its places. */
export type Page = { readonly ways: FlowQueries; readonly paths: readonly string[] };

const born: Readonly<Partial<Record<string, StrandKind>>> = { state: 'state', hook: 'state', fetched: 'state', store: 'store' };

/** The strands of what components hold, of what hooks of the project hold for them, and of stores. */
export function valueStrands(page: Page): StrandDraft[] {
  return page.ways.graph.frames.flatMap((frame): StrandDraft[] => {
    switch (frame.kind) {
      case 'component':
        return frame.place < 0 ? [] : [...heldByComponent(page, frame), ...givenToPage(page, frame)];
      case 'hook':
        return frame.place < 0 ? [] : heldByHook(page, frame);
      case 'module':
        return heldByModule(page, frame);
    }
  });
}

function heldByComponent(page: Page, frame: Frame): StrandDraft[] {
  const { ways } = page;
  const { graph } = ways;
  return frame.body.values.flatMap((value, index): StrandDraft[] => {
    const kind = born[value.kind];
    if (!kind || frame.component?.consumes.some((take) => take.value === index)) return [];
    if (value.kind === 'store' && value.args) return [];
    if (value.kind === 'hook') {
      const hook = graph.hookFrame(frame.index, index);
      if ((hook && holdsState(ways, hook)) || isStoreReading(ways, frame, index)) return [];
    }
    const parts = value.kind === 'hook' ? membersRead(ways, frame, index) : [undefined];
    return parts.map((part) => {
      const name = part === undefined ? value.name : (ownValue(value.parts, part) ?? part);
      return strandFrom(page, { frame: frame.index, value: index, track: part === undefined ? [] : [part] }, kind, name);
    });
  });
}

/** A value with its owner's knot and its way. */
function strandFrom(page: Page, spot: Spot, kind: StrandKind, name: string): StrandDraft {
  const { graph } = page.ways;
  const frame = graph.frames[spot.frame] as Frame;
  const value = valueOf(graph, spot);
  const home = frame.component?.id ?? componentId(frame.file, name);
  const draft = startStrand(kind, name, home, atPath(page, frame), subjectId(graph, spot));
  const at = value ? [codeAt(frame, value.span)] : [];
  tie(draft, { place: frame.place, kind: 'owns', name, from: -1, code: at });
  tieAll(draft, [...wayOf(page.ways, spot), ...changesOf(page.ways, frame, spot.value)]);
  return draft;
}

function tieAll(draft: StrandDraft, ties: readonly Tie[]): void {
  for (const one of ties) tie(draft, one);
}

/** The way to a frame: the path of its place, and the hooks through which it is called. */
function atPath({ ways, paths }: Page, frame: Frame): string {
  if (frame.place < 0) return '';
  const hooks: string[] = [];
  for (let at: Frame | undefined = frame; at?.caller; at = ways.graph.frames[at.caller.frame])
    hooks.unshift(`${at.name}.${at.caller.value}`);
  return [paths[frame.place] ?? '', ...hooks].join('~');
}

/** What the page itself is given, from above all that is seen. */
function givenToPage(page: Page, frame: Frame): StrandDraft[] {
  const { graph } = page.ways;
  if ((graph.tree.places[frame.place]?.owner ?? -1) >= 0) return [];
  return [...graph.indexOf(frame).props].flatMap(([key, value]): StrandDraft[] => {
    if (frame.component?.contract.members.get(key)?.kind !== 'value') return [];
    const name = frame.body.values[value]?.name ?? '';
    return [strandFrom(page, { frame: frame.index, value, track: [] }, 'prop', name)];
  });
}

/** What a hook gives of a store belongs to the store's strand. */
function isStoreReading({ graph }: FlowQueries, frame: Frame, index: number): boolean {
  const value = frame.body.values[index];
  if (value?.gives) return value.gives.gives !== 'dispatch';
  return value?.source !== undefined && graph.moduleSpot(frame, value.source) !== undefined;
}

/** The members of what a hook gives that are read; one strand each. */
function membersRead({ graph }: FlowQueries, frame: Frame, value: number): (string | undefined)[] {
  const sinks = graph.indexOf(frame).sinks.get(value) ?? [];
  return [...new Set(sinks.map(({ reading: { path } }) => (path[0] === '*' ? undefined : path[0])))];
}

/** Whether a hook's frame holds something itself, so that what it gives starts within it. */
function holdsState(ways: FlowQueries, frame: Frame): boolean {
  return frame.body.values.some((value, index) => {
    if (value.kind === 'state') return true;
    const inner = ways.graph.hookFrame(frame.index, index);
    return inner !== undefined && holdsState(ways, inner);
  });
}

function heldByHook(page: Page, frame: Frame): StrandDraft[] {
  return frame.body.values.flatMap((value, index): StrandDraft[] => {
    if (value.kind !== 'state') return [];
    const spot: Spot = { frame: frame.index, value: index, track: [] };
    const unnamed = value.span.end - value.span.start !== value.name.length;
    return [strandFrom(page, spot, 'state', unnamed ? givenName(page.ways, spot) : value.name)];
  });
}

function heldByModule(page: Page, frame: Frame): StrandDraft[] {
  const { ways } = page;
  return frame.body.values.flatMap((value, index): StrandDraft[] => {
    if ((value.kind !== 'state' && value.kind !== 'store') || isPutTogether(frame.body, index)) return [];
    const name = nameInModule(frame.body, index);
    const draft = strandFrom(page, { frame: frame.index, value: index, track: [] }, 'store', name);
    return draft.knots.size === 0 || ways.graph.tree.places.length === 0 ? [] : [draft];
  });
}

/** The name that the component gives to what a hook holds without one: `const [boat] = useBoat()`. */
function givenName({ graph, onward }: FlowQueries, start: Spot): string {
  let at = start;
  for (let hops = 0; hops < 6; hops++) {
    const next = onward(at).find((step) => step.to !== undefined && step.frame === at.frame && step.kind !== 'changes')?.to;
    if (!next) break;
    at = next;
    if (graph.frames[at.frame]?.kind === 'component') return nameOf(graph, at);
  }
  return valueOf(graph, start)?.name ?? '';
}

/** The places that change a value. */
function changesOf(ways: FlowQueries, frame: Frame, value: number): Tie[] {
  const name = frame.body.values[value]?.name ?? '';
  return ways.writers(frame, value).flatMap((writer): Tie[] => {
    if (writer.frame.place >= 0) return [{ place: writer.frame.place, kind: 'changes', name, from: -1, code: [writer.at] }];
    if (writer.action < 0) return [];
    return ways
      .callers(writer.frame, writer.action)
      .map(({ frame: there, at }): Tie => ({ place: there.place, kind: 'changes', name, from: -1, code: [at] }));
  });
}
