import type { BodyFacts, TemplateNode, ValueFact } from '../../../model/facts';
import { nameOfKey } from '../../../model/context-key';
import { isListener, memberKeyOf } from '../../../model/given';
import { defaultSlot, isSlotKey, type MemberKey, memberName, memberOf } from '../../../model/member';
import { type FilePath, locate, type Location, type Span } from '../../../model/span';
import type { StrandKind } from '../../../model/strand';
import { type ComputationStep, computationAfter } from '../../../read/script/computation';
import type { Frame, Graph } from '../../graph/frames';
import { isPutTogether, nameInModule } from '../../graph/stores';
import { givenTo, slotLabel } from '../../graph/targets';
import { type SubjectId, subjectId } from '../subject';
import { type Knot, type LinkHow, type Links, linksOf } from './links';
import { columnsFor, contracted, inOrder, type RowLinks } from './order';
import { againWords, effectName, listeningWords, markupWords, several, stepsInShort } from './words';

/** What a row is: what comes in, what is derived of it, what goes out, what is shown. */
export const rowGroups = ['in', 'derived', 'out', 'shown'] as const;
export type RowGroup = (typeof rowGroups)[number];

/** A declaration of a body, or a place in its markup where one ends. */
export type DerivesRow = {
  readonly group: RowGroup;
  readonly kind: StrandKind;
  readonly name: string;
  readonly at: Location;
  /** What it is computed from, as written, on one line; empty where nothing is. */
  readonly text: string;
  /** The same where it is written, to be shown whole; absent where nothing is. */
  readonly code?: Location;
  /** What its computation does, in a few words. */
  readonly does: string;
  /** When it is another, as a sentence; empty where nothing is to be said. */
  readonly says: string;
  readonly steps: readonly ComputationStep[];
  /** What sets it by hand: functions that write to it, each with the first place. */
  readonly setBy: readonly { readonly name: string; readonly at: Location }[];
  /** For a trace of it; absent for what is no value. */
  readonly subject?: SubjectId;
  /** A value of the body whose own declarations are meant by it: of a hook, or of a store of the project. */
  readonly opens?: SubjectId;
};

/** The way of one row to those that are made of it. */
export type DerivesStrand = {
  readonly row: number;
  readonly column: number;
  readonly to: readonly { readonly row: number; readonly how: LinkHow }[];
};

/** What derives from what within one component, hook or module. */
export type Derivation = {
  readonly name: string;
  readonly file: FilePath;
  readonly kind: Frame['kind'];
  readonly rows: readonly DerivesRow[];
  readonly strands: readonly DerivesStrand[];
  readonly columns: number;
};

const asRows = new Set<ValueFact['kind']>([
  'prop',
  'state',
  'derived',
  'context',
  'store',
  'fetched',
  'hook',
  'ref',
  'handed',
  'rest',
  'props',
]);
const fromOutside = new Set<ValueFact['kind']>(['prop', 'param', 'module', 'context', 'store', 'ref', 'handed', 'rest', 'props']);
const mostText = 240;

/** A value that a function of the body computes for itself alone, and that nothing outside of it knows. */
function isInner({ values, actions }: BodyFacts, value: ValueFact): boolean {
  if (value.kind === 'prop' || value.kind === 'function') return false;
  return values.some(({ kind, action }) => {
    const run = kind === 'function' && action !== undefined ? actions[action] : undefined;
    return run !== undefined && run.span.file === value.span.file && run.span.start < value.span.start && value.span.end <= run.span.end;
  });
}

/** Whether something is read, and not only called. */
const isRead = ({ onward }: Links, key: string): boolean => [...(onward.get(key)?.values() ?? [])].some((how) => how !== 'called');

/** The file of a constant of another module of the project; undefined for all else. */
function constantOf(graph: Graph, frame: Frame, { source, name }: ValueFact): FilePath | undefined {
  const meant = graph.named(frame, nameOfKey(source ?? name));
  return meant.kind === 'value' && meant.file !== frame.file ? meant.file : undefined;
}

/** What a module holds and a body reads: a state, a store, something that is computed from these. */
function heldByModule(
  graph: Graph,
  frame: Frame,
  { source, name }: ValueFact,
): { readonly frame: Frame; readonly value: number } | undefined {
  const spot = graph.moduleSpot(frame, nameOfKey(source ?? name));
  const kind = spot?.frame.body.values[spot.value]?.kind;
  return kind === 'state' || kind === 'store' || kind === 'derived' ? spot : undefined;
}

/** A function that gives something and changes nothing. */
function isComputing({ actions }: BodyFacts, { action }: ValueFact): boolean {
  const run = action === undefined ? undefined : actions[action];
  return run !== undefined && run.changes.length === 0 && run.raises.length === 0 && !run.givesNothing && run.returns.length > 0;
}

/** Its name stands where it is declared, so that a reader of the file knows it. */
const isWritten = (text: string | undefined, { name, span }: ValueFact): boolean => text === undefined || text.startsWith(name, span.start);

/** What rows are made with: the frame, what leads to each row, and the texts. */
type Making = {
  readonly graph: Graph;
  readonly frame: Frame;
  readonly texts: ReadonlyMap<FilePath, string>;
  readonly sourcesOf: (key: string) => readonly string[];
  /** What a row leads to, and how. */
  readonly leadsTo: (key: string) => ReadonlyMap<string, LinkHow>;
};

/**
 * What derives from what in a frame: its declarations in the order of their dependence, and places of its markup, with
 * strands from each to those that are made of it. `texts` are the files that its body is read from; what a file says
 * that is not among them stays unsaid.
 */
export function derivationOf(graph: Graph, frame: Frame, texts: ReadonlyMap<FilePath, string>): Derivation {
  const { body } = frame;
  const links = linksOf(body);
  const reached = new Set([...links.onward.values()].flatMap((to) => [...to.keys()]));
  const isRow = (key: string): boolean => {
    const knot = links.knots.get(key);
    if (!knot) return false;
    if (knot.kind === 'trigger') return links.onward.has(key);
    if (knot.kind === 'effect') return links.onward.has(key) || reached.has(key);
    if (knot.kind === 'markup') return reached.has(key);
    if (knot.kind !== 'value') return true;
    const value = body.values[knot.value];
    if (!value || value.name === '' || isInner(body, value)) return false;
    if (value.kind === 'param') return value.of === undefined && links.onward.has(key);
    if (value.kind === 'module')
      return isRead(links, key) && (heldByModule(graph, frame, value) ?? constantOf(graph, frame, value)) !== undefined;
    if (value.kind === 'function') return isComputing(body, value) && links.onward.has(key) && reached.has(key);
    if (value.kind === 'store' && isPutTogether(body, knot.value)) return false;
    if (value.kind === 'derived' && !isWritten(texts.get(value.span.file ?? frame.file), value)) return false;
    if (value.kind === 'rest' || value.kind === 'props' || value.kind === 'handed' || value.kind === 'ref') return links.onward.has(key);
    return asRows.has(value.kind);
  };
  const own = contracted(links, isRow);
  const keys = [...links.knots.keys()].filter((key) => isRow(key) && isTied(links.knots.get(key), key, own));
  const sources = new Map<string, string[]>();
  for (const [from, to] of own) for (const key of to.keys()) sources.set(key, [...(sources.get(key) ?? []), from]);
  const making: Making = { graph, frame, texts, sourcesOf: (key) => sources.get(key) ?? [], leadsTo: (key) => own.get(key) ?? new Map() };
  const nameOf = (key: string): string => nameOfKnot(making, links.knots.get(key) as Knot);

  const ordered = inOrder(keys, own, (key) => startOf(making, links.knots.get(key) as Knot));
  const groups = new Map<string, RowGroup>();
  for (const key of ordered) groups.set(key, groupOf(making, key, links.knots.get(key) as Knot, groups));
  const placed = rowGroups.flatMap((group) => ordered.filter((key) => groups.get(key) === group));
  const lineOf = new Map(placed.map((key, row): [string, number] => [key, row]));
  const rows = placed.map((key) => rowOf(making, key, links.knots.get(key) as Knot, groups.get(key) ?? 'derived', nameOf));
  const drawn = placed.flatMap((key, row) => {
    const to = [...(own.get(key) ?? [])].flatMap(([next, how]) => {
      const line = lineOf.get(next);
      return line === undefined ? [] : [{ row: line, how }];
    });
    if (to.length === 0) return [];
    const all = [row, ...to.map((one) => one.row)];
    return [{ row, to: to.sort((a, b) => a.row - b.row), from: Math.min(...all), end: Math.max(...all) }];
  });
  const stretches = [...drawn].sort((a, b) => a.from - b.from);
  const columns = columnsFor(stretches.map(({ from, end }) => ({ from, to: end })));
  const strands = stretches.map(({ row, to }, index) => ({ row, column: columns[index] ?? 0, to }));
  return {
    name: frame.kind === 'module' ? frame.file : frame.name,
    file: frame.file,
    kind: frame.kind,
    rows,
    strands,
    columns: Math.max(0, ...columns.map((one) => one + 1)),
  };
}

/** Markup and what runs are rows only where a row leads to them, or they to one; declarations always. */
function isTied(knot: Knot | undefined, key: string, links: RowLinks): boolean {
  if (knot?.kind === 'trigger') return links.has(key);
  if (knot?.kind !== 'markup' && knot?.kind !== 'given' && knot?.kind !== 'event') return true;
  return [...links.values()].some((to) => to.has(key));
}

/** Whether a value is heard rather than read: an event, or a callback that the component calls. */
function isEventValue({ component }: Frame, value: ValueFact): boolean {
  if (value.kind !== 'prop') return false;
  const key = memberKeyOf(value);
  return memberOf(key).kind === 'event' || component?.contract.members.get(key)?.kind === 'callback';
}

function groupOf({ graph, frame, sourcesOf, leadsTo }: Making, key: string, knot: Knot, before: ReadonlyMap<string, RowGroup>): RowGroup {
  switch (knot.kind) {
    case 'markup':
      return providedBy(graph, knot.node) === undefined ? 'shown' : 'out';
    case 'event':
    case 'given':
      return 'out';
    case 'member':
    case 'trigger':
      return 'in';
    case 'effect':
      return [...leadsTo(key).values()].includes('changes') ? 'derived' : 'out';
    case 'value': {
      const value = frame.body.values[knot.value];
      if (!value) return 'derived';
      if (isEventValue(frame, value)) return 'out';
      const fromRows = sourcesOf(key).filter((from) => !from.startsWith('trigger'));
      if (fromOutside.has(value.kind)) return 'in';
      if (value.kind === 'state') return fromRows.some((from) => (before.get(from) ?? 'in') !== 'in') ? 'derived' : 'in';
      return fromRows.length > 0 || value.kind === 'function' ? 'derived' : 'in';
    }
  }
}

const memberText = (frame: Frame, key: MemberKey): string => (isSlotKey(key) ? slotLabel(frame, key) : memberName(key));

function nameOfKnot({ frame }: Making, knot: Knot): string {
  const { body } = frame;
  switch (knot.kind) {
    case 'value': {
      const value = body.values[knot.value];
      if (frame.kind === 'module') return nameInModule(body, knot.value);
      if (value?.kind === 'context' && value.name === value.source) return nameOfKey(value.source);
      return value?.kind === 'prop' ? memberText(frame, memberKeyOf(value)) : (value?.name ?? '');
    }
    case 'member':
    case 'event':
      return memberText(frame, knot.member);
    case 'effect':
      return effectName(body.actions[knot.action] ?? ({ name: '', kind: 'effect' } as never));
    case 'trigger': {
      const named = knot.action !== undefined && body.values.some(({ kind, action }) => kind === 'function' && action === knot.action);
      const name = named ? (body.actions[knot.action ?? -1]?.name ?? '') : '';
      return name === '' ? listeningWords(knot.on) : name;
    }
    case 'given':
      return { caller: 'gives back', below: 'provides', handle: 'exposes' }[knot.to];
    case 'markup':
      return knot.node.kind === 'repeat' ? knot.node.item : '';
  }
}

function spanOf({ frame }: Making, knot: Knot): Span {
  const { body } = frame;
  switch (knot.kind) {
    case 'value':
      return body.values[knot.value]?.span ?? { start: 0, end: 0 };
    case 'effect':
      return body.actions[knot.action]?.span ?? { start: 0, end: 0 };
    case 'trigger':
      return knot.on[0]?.binding.span ?? { start: 0, end: 0 };
    case 'given':
      return knot.readings[0]?.span ?? { start: 0, end: 0 };
    case 'markup':
      return knot.node.span;
    case 'member':
    case 'event': {
      const declared = frame.component?.contract.members.get(knot.member)?.declared;
      return declared ?? frame.component?.facts.nameSpan ?? { start: 0, end: 0 };
    }
  }
}

/** Where something stands, so that what is read from several files keeps their order: its own file first, markup last. */
function startOf(making: Making, knot: Knot): number {
  if (knot.kind === 'markup') return 2e7 + knot.nth;
  const { file, start } = spanOf(making, knot);
  return start + (file === undefined || file === making.frame.file ? 0 : 1e7);
}

const kindOf = (frame: Frame, value: ValueFact): StrandKind => {
  if (isEventValue(frame, value)) return 'event';
  if (value.kind === 'prop' || value.kind === 'param' || value.kind === 'rest' || value.kind === 'props') return 'prop';
  return value.kind === 'context' ? 'context' : value.kind === 'store' || value.kind === 'module' ? 'store' : 'state';
};

function folded(text: string): string {
  const line = text.replace(/\s+/g, ' ').trim();
  return line.length > mostText ? `${line.slice(0, mostText - 1)}…` : line;
}

function rowOf(making: Making, key: string, knot: Knot, group: RowGroup, nameOf: (key: string) => string): DerivesRow {
  const { frame, graph, texts, sourcesOf } = making;
  const at = locate(frame.file, spanOf(making, knot));
  const cut = ({ file, start, end }: Location): string => folded((texts.get(file) ?? '').slice(start, end));
  const names = sourcesOf(key).map(nameOf);
  const base = { group, at, name: nameOf(key), text: '', does: '', says: '', steps: [], setBy: [] };
  switch (knot.kind) {
    case 'member':
      return { ...base, kind: 'prop', does: givenWords(graph, frame, knot.member) };
    case 'event':
      return { ...base, kind: 'event', does: heardWords(graph, frame, knot.member) };
    case 'trigger': {
      const heard = listeningWords(knot.on);
      const run = base.name === heard || knot.action === undefined ? undefined : frame.body.actions[knot.action];
      const code = run ? locate(frame.file, run.span) : at;
      return {
        ...base,
        kind: 'event',
        text: cut(code),
        code,
        does: knot.on.length === 0 ? 'called by others' : base.name === heard ? effectWords(making, key, nameOf) : heard,
      };
    }
    case 'effect': {
      const says = names.length > 0 ? `Runs whenever ${several(names).replace(/ and /, ' or ')} is another.` : '';
      return { ...base, kind: 'state', text: cut(at), code: at, does: effectWords(making, key, nameOf), says };
    }
    case 'given':
      return {
        ...base,
        kind: 'prop',
        text: several(names, 8),
        does: { caller: 'to who calls it', below: 'to all below', handle: 'to who holds a handle' }[knot.to],
      };
    case 'markup': {
      const provided = providedBy(graph, knot.node);
      const { name, does } =
        provided === undefined ? markupWords(knot.node, names) : { name: `provides ${provided}`, does: 'to all below' };
      const code = locate(frame.file, shownSpan(knot.node));
      return {
        ...base,
        kind: sourceKind(making, key),
        name,
        text: knot.node.kind === 'text' || knot.node.kind === 'outlet' ? cut(code) : bindingsText(knot.node, frame, cut),
        code,
        does,
      };
    }
    case 'value': {
      const value = frame.body.values[knot.value] as ValueFact;
      return valueRow(making, { ...base, kind: kindOf(frame, value) }, knot.value, value, names);
    }
  }
}

/** What something does when it runs: `sets boat, raises book`. */
function effectWords({ leadsTo }: Making, key: string, nameOf: (key: string) => string): string {
  const all = [...leadsTo(key)];
  const named = (wanted: LinkHow): string =>
    several(
      all.flatMap(([to, how]) => (how === wanted ? [nameOf(to)] : [])),
      3,
    );
  const [sets, raises] = [named('changes'), named('raises')];
  return [sets && `sets ${sets}`, raises && `raises ${raises}`].filter((one) => one !== '').join(', ');
}

/** The colour of what is shown: that of the first value that leads there. */
function sourceKind(making: Making, key: string): StrandKind {
  const { frame, sourcesOf } = making;
  const [first] = sourcesOf(key);
  if (first?.startsWith('member ')) return 'prop';
  if (first?.startsWith('markup ')) return sourceKind(making, first);
  const value = first?.startsWith('value ') ? frame.body.values[Number(first.slice(6))] : undefined;
  return value ? kindOf(frame, value) : 'state';
}

/** The context that a node of the markup provides; undefined for all other nodes. */
function providedBy({ model }: Graph, node: TemplateNode): string | undefined {
  const target = node.kind === 'use' ? model.useOfNode.get(node)?.target : undefined;
  return target?.kind === 'provider' ? model.contexts.get(target.context)?.name : undefined;
}

/** Of markup, only its head. */
function shownSpan(node: TemplateNode): Span {
  if (node.kind !== 'element' && node.kind !== 'use') return node.span;
  const last = Math.max(node.nameSpan.end, ...node.bindings.map(({ span }) => span.end));
  return { ...node.span, end: Math.min(last, node.span.end) };
}

/** What markup says of values: the bindings that read some, or the expression of a condition or a repeat. */
function bindingsText(node: TemplateNode, { file }: Frame, cut: (at: Location) => string): string {
  if (node.kind === 'branch') return node.when;
  if (node.kind === 'repeat') return node.over;
  if (node.kind !== 'element' && node.kind !== 'use') return '';
  const shown = node.bindings.filter((binding) => !isListener(binding) && binding.readings.length > 0);
  return folded(shown.map(({ span }) => cut(locate(file, span))).join(' '));
}

function valueRow(making: Making, base: DerivesRow, index: number, value: ValueFact, names: readonly string[]): DerivesRow {
  const { graph, frame, texts } = making;
  const { file } = base.at;
  const text = texts.get(file) ?? '';
  const computation = value.kind === 'prop' && base.kind === 'event' ? undefined : computationAfter(text, base.at.end);
  const code = computation ? { file, ...computation.at } : undefined;
  const spot = { frame: frame.index, value: index, track: [] };
  const setters = settersOf(frame, index);
  const setBy = setters.flatMap(({ byHand, ...one }) => (byHand ? [one] : []));
  const opens = openedBy(graph, frame, index, value);
  const isComputed = base.group === 'derived' && value.kind !== 'state' && value.kind !== 'hook' && setters.length === 0;
  return {
    ...base,
    text: computation ? folded(text.slice(computation.at.start, computation.at.end)) : '',
    ...(code ? { code } : {}),
    does: doesWords(
      making,
      base,
      value,
      setters.map(({ name }) => name),
      computation?.steps ?? [],
      names,
    ),
    says: isComputed ? againWords(frame, value, names) : '',
    steps: base.group === 'derived' && value.kind !== 'hook' ? (computation?.steps ?? []) : [],
    setBy,
    subject: subjectId(graph, spot),
    ...(opens === undefined ? {} : { opens }),
  };
}

function doesWords(
  { graph, frame }: Making,
  { kind, group }: DerivesRow,
  value: ValueFact,
  setBy: readonly string[],
  steps: readonly ComputationStep[],
  names: readonly string[],
): string {
  if (value.kind === 'prop')
    return kind === 'event' ? heardWords(graph, frame, memberKeyOf(value)) : givenWords(graph, frame, memberKeyOf(value));
  if (value.kind === 'module') {
    const file = heldByModule(graph, frame, value) ? undefined : constantOf(graph, frame, value);
    return file === undefined ? 'held by a module' : `a constant of ${file.split('/').at(-1) ?? file}`;
  }
  if (value.kind === 'param') return 'given by who calls it';
  if (value.kind === 'context') return answeredWords(graph, frame, value);
  if (value.kind === 'hook') return value.source === undefined ? 'given by a call' : `given by ${nameOfKey(value.source)}`;
  if (value.kind === 'handed') return 'handed to this content';
  if (setBy.length > 0) return `set by ${several(setBy, 3)}`;
  if (value.kind === 'state') return group === 'derived' ? stepsInShort(steps) : 'never set here';
  if (value.kind === 'store') return frame.kind === 'module' ? '' : 'a store';
  if (value.origin !== undefined && steps.length === 0) return `asked: ${value.origin.kind}`;
  if (steps.length > 0) return stepsInShort(steps);
  return names.length > 1 ? `made of ${names.length}` : names.length === 1 ? `made of ${names[0] ?? ''}` : '';
}

/** The functions that set a state, each with the first place; by hand, where nothing that is followed runs them. */
function settersOf(frame: Frame, state: number): readonly (DerivesRow['setBy'][number] & { readonly byHand: boolean })[] {
  const found = new Map<string, { at: Location; byHand: boolean }>();
  for (const { name, kind, changes } of frame.body.actions)
    for (const change of changes)
      if (change.value === state && !found.has(name))
        found.set(name, { at: locate(frame.file, change.span), byHand: kind !== 'effect' && kind !== 'lifecycle' });
  return [...found].map(([name, one]) => ({ name: name === '' ? 'a handler' : name, ...one }));
}

/** The body that stands behind a value: of the hook that is called, or the module of what is injected. */
function openedBy(graph: Graph, frame: Frame, index: number, value: ValueFact): SubjectId | undefined {
  if (value.kind === 'hook') {
    const called = graph.hookFrame(frame.index, index);
    const [first] = called?.body.values.keys() ?? [];
    return called && first !== undefined ? subjectId(graph, { frame: called.index, value: first, track: [] }) : undefined;
  }
  if (value.kind !== 'store' && value.kind !== 'context' && value.kind !== 'module') return undefined;
  const spot =
    value.kind === 'module' || value.source !== undefined ? graph.moduleSpot(frame, nameOfKey(value.source ?? value.name)) : undefined;
  return spot && spot.frame !== frame ? subjectId(graph, { frame: spot.frame.index, value: spot.value, track: [] }) : undefined;
}

function givenWords(graph: Graph, frame: Frame, key: MemberKey): string {
  if (frame.kind === 'hook') return 'given by who calls it';
  const given = givenTo(graph, frame, key);
  if (!given) return frame.place < 0 ? '' : 'nobody above gives it';
  const spread = given.use.spreads.some((one) => one.keys === undefined || one.keys.includes(key));
  if (key === defaultSlot && given.use.content !== 'none') return `content of ${given.owner.name}`;
  if (!given.binding) return spread ? `given by ${given.owner.name}` : 'given nowhere';
  return given.binding.constant === undefined ? `given by ${given.owner.name}` : `a constant of ${given.owner.name}`;
}

function heardWords(graph: Graph, frame: Frame, key: MemberKey): string {
  const given = givenTo(graph, frame, key);
  if (!given) return frame.place < 0 ? '' : 'nobody above hears it';
  const spread = given.use.spreads.some((one) => one.keys === undefined || one.keys.includes(key));
  return given.binding || spread ? `heard by ${given.owner.name}` : 'heard by nobody';
}

function answeredWords(graph: Graph, frame: Frame, value: ValueFact): string {
  const meant = value.source === undefined ? undefined : graph.named(frame, value.source);
  if (meant?.kind !== 'context') return 'taken from above';
  const provider = graph.providerOf(frame, meant.id, value.asks);
  const by = provider && graph.frames[provider.owner];
  if (provider) return `answered by ${by?.name || 'the application'}`;
  const context = graph.model.contexts.get(meant.id);
  return context?.isOne ? 'one for all' : context?.fallback === 'given' ? 'the default' : 'nobody above provides it';
}
