import type * as t from '@babel/types';
import type { StoreShape } from './store-shapes';
import type {
  ActionFact,
  ActionKind,
  AgainFact,
  BodyFacts,
  CallFact,
  ChangeFact,
  HearFact,
  HookFact,
  ProvideFact,
  RaiseFact,
  Reading,
  SendFact,
  ValueFact,
} from '../../model/facts';
import { memberKeyOf } from '../../model/given';
import { type MemberKey, memberName, propKey } from '../../model/member';
import { contains, type Span } from '../../model/span';
import type { Writable } from '../../model/writable';
import { formulaAfter } from './formula';
import { positionMembers } from './position-members';
import type { Meaning, Scope } from './scope';
import type { FunctionNode } from './syntax';

/** What the module around a body declares, as far as bodies refer to it. */
export type ModuleScope = {
  /** Every name declared or imported at module level. */
  readonly names: ReadonlySet<string>;
  /** Names that come from another module, and which. */
  readonly imported: ReadonlyMap<string, { readonly from: string; readonly imported: string }>;
  /** Functions declared at module level, by name. */
  readonly functions: ReadonlyMap<string, FunctionNode>;
  /** Objects declared at module level, by name. */
  readonly tables: ReadonlyMap<string, t.ObjectExpression>;
  /** Functions of the module, and tables of such, whose markup was read where they are called. */
  readonly inPlace: Set<string>;
  /** Constants at module level whose items and order never change. */
  readonly constants: ReadonlySet<string>;
  /** Constants of the module that are objects, with the names of all their members, where the text tells them. */
  readonly objects: ReadonlyMap<string, readonly string[]>;
  /** Constants of the module that are texts. */
  readonly texts: ReadonlyMap<string, string>;
  /** Lists and tables of the module that hold texts alone, by member or position. */
  readonly textTables: ReadonlyMap<string, Readonly<Record<string, string>>>;
  /** Tells whether a capitalised name is declared inside some function of the module. */
  readonly isLocal: (name: string) => boolean;
  /** Tells whether markup begins within a node. */
  readonly holdsMarkup: (node: t.Node) => boolean;
  readonly text: string;
};

/** The tables of a component's or hook's body while it is being read. */
export type Body = {
  readonly module: ModuleScope;
  readonly values: Writable<ValueFact>[];
  readonly actions: Writable<ActionFact>[];
  /** Functions met on the way, to be read when every name of the body is known. */
  readonly queue: (() => void)[];
  readonly propValues: Map<MemberKey, number>;
  readonly moduleValues: Map<string, number>;
  /** Values read in a condition, so their absence is provided for. */
  readonly tested: Set<number>;
  /** Where each value is first read in a condition. */
  readonly firstTested: Map<number, Span>;
  /** Values that are said to be there where a member of theirs is read: `label!.length`. */
  readonly asserted: Map<number, Span>;
  /** Values whose member is read without asking whether they are there. */
  readonly demanded: Map<number, Span>;
  /** All places of this kind. */
  readonly demandedAt: Map<number, Span[]>;
  /** Values whose absence throws on purpose. */
  readonly thrown: Set<number>;
  /** Local functions whose markup is being read, so that recursion ends. */
  readonly unfolding: Set<FunctionNode>;
  /** Local functions whose markup shows where they are called. */
  readonly rendered: Span[];
  /** The props object goes somewhere that the file does not tell. */
  propsEscape: boolean;
  /** Events whose subscriptions something in the body ends; empty text for any. */
  readonly endings: Set<string>;
  /** Events whose subscriptions are taken away by another function than was added. */
  readonly vainEndings: Set<string>;
  /** Of the document and the window, by event: on which way listeners are added, and taken away. */
  readonly ways: Map<string, { readonly added: Set<WayHeard>; readonly removed: Set<WayHeard> }>;
  /** States that are set each time the component renders, or an effect of it runs. */
  readonly again: AgainFact[];
  /** The function that raises events is handed on. */
  raisesUnseen: boolean;
  /** Members that are read of what remains of the props, each with where first. */
  readonly restNames: Map<string, Span>;
  /** Values that hold what a pattern leaves of the props; what a framework holds of undeclared attributes is none. */
  readonly restOfProps: Set<number>;
  /** The rest of the props goes to these: a tag, or `?` where the file does not tell. */
  readonly restTargets: { readonly kind: 'element' | 'use' | 'unknown'; readonly tag: string }[];
  /** Content is cloned, so this component may add props to it. */
  clones: boolean;
  /** Props taken apart by name, in the order of the text. */
  readonly taken: Map<MemberKey, { readonly span: Span; readonly fallback?: string }>;
  /** Callback props given to native elements as they are. */
  readonly attached: RaiseFact[];
  /** A class renders itself again when it says so, whatever has changed. */
  rendersOnDemand?: true;
  /** What `this.x` stands for in a class. */
  own?: (name: string, span?: Span) => Meaning | undefined;
  /** The member by which the class holds the element that it is a part of; absent where it is none. */
  host?: string;
  /** Attributes that a class reads by their names; absent for none. */
  attributeReads?: Set<string>;
  /** Who sees into the markup of a component that is an element; absent for all others. */
  root?: 'light' | 'open' | 'closed';
  /** Fields of a class that hold nothing until they are set; absent for none. */
  unset?: Set<number>;
  /** What a handle on the component gives. */
  readonly exposes: Reading[];
  /** Changes inside of what the component is given, wherever they stand. */
  readonly givenChanged: ChangeFact[];
  /** Values that stand for members of a class that is extended; absent for none. */
  inherits?: Set<number>;
  /** Values of which users are told when they are set, with that of the event; absent where there are none. */
  asksChange?: Map<number, number>;
  /** Members that are opened by a call, by the name of the class of the module that has them; absent for none. */
  opened?: Readonly<Record<string, readonly string[]>>;
  /** What is handed to markup that a directive stamps; absent for all others. */
  stamped?: { readonly hands: readonly Reading[]; readonly span: Span; readonly names?: readonly string[] }[];
  /** What the framework adds to reading expressions. */
  readonly dialect: Dialect;
  /** Values that stand for calls of hooks, so that each call is one value. */
  readonly hookValues: Map<t.Node, number>;
  /** The value that stands for the one store of the application; absent where none is mentioned. */
  central?: number;
  /** It is the module itself, not a component or a hook. */
  isModule?: true;
  /** What a hook gives; absent in a component. */
  returns?: Reading[];
};

/** What is added to the reading of expressions: by a framework, or by a concern of its own such as channels. */
export type Dialect = {
  /** Reads a call by what it is called on; false for those that are ordinary. */
  readonly call?: (
    body: Body,
    call: t.CallExpression | t.OptionalCallExpression,
    callee: { readonly base: t.Node; readonly path: readonly string[] },
    scope: Scope,
    sink: Effects,
  ) => boolean;
  /** Reads an assignment; false for those that are ordinary. */
  readonly assign?: (body: Body, node: t.AssignmentExpression, scope: Scope, sink: Effects) => boolean;
  /** Reads what a function does that sets up state and is run once: its names get their meaning in the scope. */
  readonly setUp?: (body: Body, statements: readonly t.Statement[], scope: Scope) => void;
  /** Notes the change of a value by writing to it; false where the framework adds nothing to that. */
  readonly write?: (body: Body, value: number, path: readonly string[], from: readonly Reading[], span: Span, sink: Effects) => boolean;
  /** The value that a call of a hook stands for; undefined for other calls. */
  readonly hook?: (body: Body, call: t.CallExpression, scope: Scope) => number | undefined;
  /** What the framework itself holds outside components; undefined for all else. */
  readonly store?: (init: t.Node) => StoreShape | undefined;
  /** Reads a call on `this`; false for those that are ordinary. */
  readonly onThis?: (
    body: Body,
    call: t.CallExpression | t.OptionalCallExpression,
    path: readonly string[],
    scope: Scope,
    sink: Effects,
  ) => boolean;
  /** The member that a name of the props object stands for, where that is not a prop of the name. */
  readonly memberOfProp?: (name: string) => MemberKey;
  /** What stands before the name of a store where its value is meant. */
  readonly storeMark?: string;
  /** A prop takes no other value, by whatever name it is written to. */
  readonly propsReadOnly?: true;
  /** Modules that are of the project though they are written as packages are. */
  readonly ownModules?: RegExp;
  /** What is raised on the component itself is an event of its contract. */
  readonly raisesOnSelf?: true;
  /** A component may put another value into its own prop. */
  readonly propsWritable?: true;
  /** What is asked for by the name of a class is an instance of it, whose methods are its own: no list. */
  readonly asksInstances?: true;
  /** Names under which an application may give something to all its components; methods of a bus may be spelled so too. */
  readonly forAll?: RegExp;
};

const none: readonly never[] = [];

export function newBody(module: ModuleScope, dialect: Dialect = {}): Body {
  return {
    module,
    dialect,
    hookValues: new Map(),
    values: [],
    actions: [],
    queue: [],
    propValues: new Map(),
    moduleValues: new Map(),
    tested: new Set(),
    firstTested: new Map(),
    asserted: new Map(),
    demanded: new Map(),
    demandedAt: new Map(),
    thrown: new Set(),
    unfolding: new Set(),
    rendered: [],
    propsEscape: false,
    endings: new Set(),
    vainEndings: new Set(),
    ways: new Map(),
    again: [],
    raisesUnseen: false,
    restTargets: [],
    restNames: new Map(),
    restOfProps: new Set(),
    clones: false,
    taken: new Map(),
    attached: [],
    exposes: [],
    givenChanged: [],
  };
}

/** Collects what an expression or a function does. */
export type Effects = {
  readonly reads: Reading[];
  /** The lists below are made when something is first put in: most expressions only read. */
  changes: ChangeFact[] | undefined;
  raises: RaiseFact[] | undefined;
  calls: number[] | undefined;
  invokes: CallFact[] | undefined;
  sends: SendFact[] | undefined;
  hears: HearFact[] | undefined;
  returns: Reading[] | undefined;
  /** The position in a list was read. */
  position: boolean;
  /** How many functions deep the reading stands; a function's own `return` is at 0. */
  depth: number;
};

export function newEffects(): Effects {
  return {
    reads: [],
    changes: undefined,
    raises: undefined,
    calls: undefined,
    invokes: undefined,
    sends: undefined,
    hears: undefined,
    returns: undefined,
    position: false,
    depth: 0,
  };
}

/** Adds a value to the body's table; its index. */
export function addValue(body: Body, value: ValueFact): number {
  return body.values.push({ ...value }) - 1;
}

/** Adds an action that is filled when the queue runs; its index. */
export function addAction(body: Body, name: string, kind: ActionKind, span: Span): number {
  return (
    body.actions.push({
      name,
      kind,
      span,
      reads: none,
      changes: none,
      raises: none,
      calls: none,
      invokes: none,
      sends: none,
      hears: none,
      cleansUp: false,
      returns: none,
    }) - 1
  );
}

/** Notes that a value is read in a way that throws where it is absent. */
export function noteDemanded(body: Body, value: number, span: Span): void {
  const known = body.demanded.get(value);
  if (!known || span.start < known.start) body.demanded.set(value, span);
  const places = body.demandedAt.get(value);
  if (places) places.push(span);
  else body.demandedAt.set(value, [span]);
}

/** Notes a call of, or the handing on of, a function of the body. */
export function addCall(sink: Effects, action: number): void {
  (sink.calls ??= []).push(action);
}

/** Writes what was collected into an action. */
export function fillAction(body: Body, index: number, sink: Effects): void {
  const action = body.actions[index];
  if (!action) return;
  action.reads = sink.reads.length > 0 ? sink.reads : none;
  if (sink.changes) action.changes = sink.changes;
  if (sink.raises) action.raises = sink.raises;
  if (sink.calls) action.calls = [...new Set(sink.calls)];
  if (sink.invokes) action.invokes = sink.invokes;
  if (sink.sends) action.sends = sink.sends;
  if (sink.hears) action.hears = sink.hears;
  if (sink.returns) action.returns = sink.returns;
}

/** The member that a name of the props object stands for. */
export function propMember(body: Body, name: string): MemberKey {
  return body.dialect.memberOfProp?.(name) ?? propKey(name);
}

/** The value that stands for a prop of the component, by its name in the props object; made at its first reading. */
export function propValue(body: Body, name: string, span: Span): number {
  return memberValue(body, propMember(body, name), span, name);
}

/** The value that stands for a member of the component's contract, made at its first reading. */
export function memberValue(body: Body, key: MemberKey, span: Span, name = memberName(key)): number {
  const known = body.propValues.get(key);
  if (known !== undefined) return known;
  const member = key === name ? {} : { member: key };
  const index = addValue(body, { name, kind: 'prop', span, from: none, ...member });
  body.propValues.set(key, index);
  return index;
}

/** What is read of the rest of the props under a name is the prop of that name; undefined for the rest as a whole, and all else. */
export function propOfRest(
  body: Body,
  value: number,
  [name, ...path]: readonly string[],
  span: Span,
): { readonly value: number; readonly path: readonly string[] } | undefined {
  if (!body.restOfProps.has(value) || name === undefined || name === '*') return undefined;
  if (!body.restNames.has(name)) body.restNames.set(name, span);
  return { value: propValue(body, name, span), path };
}

/** A prop that is a function, given to an element or handed on as it is: the platform raises it. */
export function attachCallbacks(body: Body, readings: readonly Pick<Reading, 'value' | 'how' | 'path' | 'span'>[]): void {
  for (const { value: index, how, path, span } of readings) {
    const value = body.values[index];
    if (value?.kind !== 'prop' || how !== 'same' || path.length > 0) continue;
    body.attached.push({ member: memberKeyOf(value), value: index, optional: true, span });
  }
}

/** The value that stands for the props object as a whole. */
export function wholeProps(body: Body, span: Span): number {
  const known = body.values.findIndex((value) => value.kind === 'props');
  return known >= 0 ? known : addValue(body, { name: 'props', kind: 'props', span, from: none });
}

/** The value that stands for a name of the module, made at its first reading. */
export function moduleValue(body: Body, name: string, span: Span): number {
  const known = body.moduleValues.get(name);
  if (known !== undefined) return known;
  const index = addValue(body, { name, kind: 'module', span, from: none, source: name });
  body.moduleValues.set(name, index);
  return index;
}

/** Notes that a condition asks whether a value is there. */
export function noteTest(body: Body, value: number, span: Span): void {
  body.tested.add(value);
  if (!body.firstTested.has(value)) body.firstTested.set(value, span);
}

/**
 * Where a member of a value is read though it may be absent: no condition asks for it anywhere, or this comes
 * before all that do and runs each time, or it is said to be there by a mark that checks nothing.
 */
function surelyDemanded(body: Body, value: number): Span | undefined {
  const first = body.demanded.get(value);
  if (!body.tested.has(value)) return first;
  const tested = body.firstTested.get(value);
  const runsEachTime = (span: Span): boolean => !body.actions.some((action) => contains(action.span, span));
  // What stands before the declaration is markup that runs after the script.
  const declared = body.values[value]?.span.start ?? 0;
  if (first && tested && declared < first.start && first.start < tested.start && runsEachTime(first)) return first;
  const asserted = body.asserted.get(value);
  return asserted && runsEachTime(asserted) ? asserted : undefined;
}

/** Reads the functions that were put off until the names around them were known, and those within them. */
export function readPutOff({ queue }: Body): void {
  for (let at = 0; at < queue.length; at++) queue[at]?.();
  queue.length = 0;
}

/** On which way a listener is asked for: in to where an event is raised, out from there, or either where the text does not tell. */
export type WayHeard = 'in' | 'out' | 'either';

/** A listener on one way is not taken away by the same function on the other one. */
function loseOtherWays({ ways, endings, vainEndings }: Body): void {
  const isAlone = (all: ReadonlySet<WayHeard>, way: WayHeard): boolean => all.size === 1 && all.has(way);
  for (const [event, { added, removed }] of ways) {
    const isOther = (isAlone(added, 'in') && isAlone(removed, 'out')) || (isAlone(added, 'out') && isAlone(removed, 'in'));
    if (isOther && endings.delete(event)) vainEndings.add(event);
  }
}

/** Reads all functions that were put off, and gives the finished tables. */
export function finishBody(body: Body): BodyFacts {
  readPutOff(body);
  loseOtherWays(body);
  for (const [index, value] of body.values.entries()) {
    if (value.kind === 'derived' && value.from.some((one) => one.how === 'computed' || one.how === 'called')) {
      const formula = formulaAfter(body.module.text, value.span.end);
      if (formula !== '') value.formula = formula;
    }
    const byPosition = positionMembers(value.formula ?? '');
    if (byPosition.length > 0) value.positionMembers = byPosition;
    const demanded = body.demanded.get(index);
    const surely = value.kind === 'prop' || body.unset?.has(index) ? surelyDemanded(body, index) : undefined;
    if (surely) value.demanded = surely;
    // What a function reads that shows where it is called is read as often as the markup around it.
    const isLater = ({ span }: ActionFact): boolean => !body.rendered.some((one) => contains(one, span) && contains(span, one));
    if (surely && !body.actions.some((action) => contains(action.span, surely) && isLater(action))) value.demandedAlways = true;
    if (value.kind !== 'context' && value.kind !== 'hook') continue;
    if (body.tested.has(index) && !body.thrown.has(index)) value.guarded = true;
    if (demanded || body.thrown.has(index)) value.needed = true;
  }
  for (const action of body.actions) {
    if (action.raises.length === 0) continue;
    action.raises = action.raises.map((raise) =>
      raise.value !== undefined && body.tested.has(raise.value) ? { ...raise, optional: true } : raise,
    );
  }
  return {
    values: body.values,
    actions: body.actions,
    ...(body.endings.size > 0 ? { endings: [...body.endings] } : {}),
    ...(body.vainEndings.size > 0 ? { vainEndings: [...body.vainEndings] } : {}),
    ...(namesConstants(body) ? { toldByConstants: true as const } : {}),
  };
}

/** Whether a store is told to do something by what a constant says. */
function namesConstants({ values, actions, central, isModule }: Body): boolean {
  const isConstant = ([command, told]: readonly string[]): boolean =>
    (command === 'commit' || command === 'dispatch') && told?.includes('{') === true;
  const calls = central !== undefined && actions.some(({ invokes }) => invokes.some(({ path }) => isConstant(path)));
  return (
    calls ||
    (isModule === true && values.some(({ kind, from }) => kind === 'store' && from.some(({ held }) => held && isConstant(held.at))))
  );
}

/** A function of the project, or what is made to be used as one, once its body has been read to its end: what it gives, and gives to all below. */
export function hookFact(
  { name, span }: Pick<HookFact, 'name' | 'span'>,
  body: Body,
  returns: readonly Reading[],
  provides: readonly ProvideFact[] = [],
): HookFact & { readonly kind: 'hook' } {
  const facts = finishBody(body);
  return { kind: 'hook', name, span, ...facts, returns: mergeReadings(returns), ...(provides.length > 0 ? { provides } : {}) };
}

/** The text of a span on one line, cut to `most` characters. */
export function excerpt(module: ModuleScope, span: Span, most = 60): string {
  const text = module.text.slice(span.start, Math.min(span.end, span.start + most * 4)).replace(/\s+/g, ' ');
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}

/** Readings without those that say the same again. */
export function mergeReadings(readings: readonly Reading[]): Reading[] {
  const seen = new Set<string>();
  // What is read for its own sake says more than that it decides.
  const own = readings.some((one) => one.decides)
    ? [...readings].sort((a, b) => Number(a.decides ?? false) - Number(b.decides ?? false))
    : readings;
  return own.filter((one) => {
    const key = `${one.value} ${one.how} ${one.path.join('.')} ${one.held ? one.held.at.join('.') : ''}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
