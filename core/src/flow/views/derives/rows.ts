import type { TemplateNode, ValueFact } from '../../../model/facts';
import { nameOfKey } from '../../../model/context-key';
import { isListener, memberKeyOf } from '../../../model/given';
import { locate, type Location, type Span } from '../../../model/span';
import type { StrandKind } from '../../../model/strand';
import { type ComputationStep, computationAfter } from '../../../read/script/computation';
import type { Frame } from '../../graph/frames';
import type { Graph } from '../../graph/graph';
import { type SubjectId, subjectId } from '../subject';
import type { DerivesRow, RowGroup } from './derivation';
import { constantOf, heldByModule, kindOf, providedBy } from './kinds';
import type { Knot, LinkHow } from './links';
import type { Making } from './making';
import { spanOf } from './names';
import { answeredWords, givenWords, heardWords } from './place-words';
import { againWords, listeningWords, markupWords, several, stepsInShort } from './words';

const mostText = 240;

function folded(text: string): string {
  const line = text.replace(/\s+/g, ' ').trim();
  return line.length > mostText ? `${line.slice(0, mostText - 1)}…` : line;
}

/** A row: what it is called, what it is made of, what it does. */
export function rowOf(making: Making, key: string, knot: Knot, group: RowGroup, nameOf: (key: string) => string): DerivesRow {
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
