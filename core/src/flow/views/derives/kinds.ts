import type { BodyFacts, TemplateNode, ValueFact } from '../../../model/facts';
import { nameOfKey } from '../../../model/context-key';
import { memberKeyOf } from '../../../model/given';
import { memberOf } from '../../../model/member';
import type { FilePath } from '../../../model/span';
import type { StrandKind } from '../../../model/strand';
import type { Frame } from '../../graph/frames';
import type { Graph } from '../../graph/graph';
import { isPutTogether } from '../../graph/stores';
import type { RowGroup } from './derivation';
import type { Knot, Links } from './links';
import type { Making } from './making';
import type { RowLinks } from './order';

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
export function constantOf(graph: Graph, frame: Frame, { source, name }: ValueFact): FilePath | undefined {
  const meant = graph.named(frame, nameOfKey(source ?? name));
  return meant.kind === 'value' && meant.file !== frame.file ? meant.file : undefined;
}

/** What a module holds and a body reads: a state, a store, something that is computed from these. */
export function heldByModule(
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

/** Tells of each knot whether a reader of the body would know it as something of its own; the others are only on the way. */
export function rowTest(graph: Graph, frame: Frame, texts: ReadonlyMap<FilePath, string>, links: Links): (key: string) => boolean {
  const { body } = frame;
  const reached = new Set([...links.onward.values()].flatMap((to) => [...to.keys()]));
  return (key) => {
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
}

/** Markup and what runs are rows only where a row leads to them, or they to one; declarations always. */
export function isTied(knot: Knot | undefined, key: string, links: RowLinks): boolean {
  if (knot?.kind === 'trigger') return links.has(key);
  if (knot?.kind !== 'markup' && knot?.kind !== 'given' && knot?.kind !== 'event') return true;
  return [...links.values()].some((to) => to.has(key));
}

/** Whether a value is heard rather than read: an event, or a callback that the component calls. */
export function isEventValue({ component }: Frame, value: ValueFact): boolean {
  if (value.kind !== 'prop') return false;
  const key = memberKeyOf(value);
  return memberOf(key).kind === 'event' || component?.contract.members.get(key)?.kind === 'callback';
}

/** The context that a node of the markup provides; undefined for all other nodes. */
export function providedBy({ model }: Graph, node: TemplateNode): string | undefined {
  const target = node.kind === 'use' ? model.useOfNode.get(node)?.target : undefined;
  return target?.kind === 'provider' ? model.contexts.get(target.context)?.name : undefined;
}

/** What a row is: by what it stands for, and by what it is made of. */
export function groupOf(
  { graph, frame, sourcesOf, leadsTo }: Making,
  key: string,
  knot: Knot,
  before: ReadonlyMap<string, RowGroup>,
): RowGroup {
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

/** The colour of a value. */
export const kindOf = (frame: Frame, value: ValueFact): StrandKind => {
  if (isEventValue(frame, value)) return 'event';
  if (value.kind === 'prop' || value.kind === 'param' || value.kind === 'rest' || value.kind === 'props') return 'prop';
  return value.kind === 'context' ? 'context' : value.kind === 'store' || value.kind === 'module' ? 'store' : 'state';
};
