import type {
  ActionFact,
  Binding,
  BodyFacts,
  CallFact,
  ProvideFact,
  ChangeFact,
  RaiseFact,
  Reading,
  SendFact,
  SpreadFact,
  TemplateNode,
  TemplateUse,
} from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { bindingKey, memberKeyOf } from '../../model/given';
import { contains } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { addTo } from '../../model/add-to';

type ElementNode = Extract<TemplateNode, { kind: 'element' }>;
type OutletNode = Extract<TemplateNode, { kind: 'outlet' }>;

/** Where a reading puts what it reads. */
export type Sink = { readonly reading: Reading } & (
  | { readonly to: 'value'; readonly value: number }
  | { readonly to: 'first'; readonly value: number }
  | { readonly to: 'argument'; readonly value: number; readonly position: number }
  | { readonly to: 'prop'; readonly use: TemplateUse; readonly binding: Binding }
  | { readonly to: 'spread'; readonly use: TemplateUse; readonly spread: SpreadFact }
  | { readonly to: 'attribute'; readonly element: ElementNode; readonly binding: Binding }
  | { readonly to: 'attributes'; readonly element: ElementNode; readonly spread: SpreadFact }
  | { readonly to: 'shown'; readonly node: TemplateNode }
  | { readonly to: 'decides'; readonly node: TemplateNode }
  | { readonly to: 'handed'; readonly outlet: OutletNode; readonly position: number }
  | { readonly to: 'read'; readonly action: number }
  | { readonly to: 'follows'; readonly action: number }
  | { readonly to: 'put'; readonly action: number; readonly change: ChangeFact }
  | { readonly to: 'payload'; readonly action: number; readonly raise: RaiseFact; readonly position: number }
  | { readonly to: 'passed'; readonly action: number; readonly call: CallFact; readonly position: number }
  | { readonly to: 'sent'; readonly action: number; readonly send: SendFact; readonly position: number }
  | { readonly to: 'result'; readonly action: number }
  | { readonly to: 'returned' }
  | { readonly to: 'exposed' }
  /** Given to all below by a hook. */
  | { readonly to: 'provided'; readonly key: string }
);

/** A place where a function that is a value is run. */
export type CallSite =
  | { readonly by: 'raise'; readonly action: number; readonly raise: RaiseFact }
  | { readonly by: 'call'; readonly action: number; readonly call: CallFact };

/** A change of a value, and the action that makes it. */
export type ChangeSite = { readonly action: number; readonly change: ChangeFact };

/** Tables of one body, made once: where each value goes, what calls and changes it. */
export type BodyIndex = {
  readonly sinks: ReadonlyMap<number, readonly Sink[]>;
  readonly calls: ReadonlyMap<number, readonly CallSite[]>;
  readonly changes: ReadonlyMap<number, readonly ChangeSite[]>;
  /** Functions by the action that they are. */
  readonly functionOf: ReadonlyMap<number, number>;
  /** Parameters of each action, by position; those of the body itself under -1. */
  readonly params: ReadonlyMap<number, ReadonlyMap<number, number>>;
  readonly props: ReadonlyMap<MemberKey, number>;
  /** The rest of the props, or the props as a whole. */
  readonly rest: readonly number[];
  /** Uses whose handle a value holds. */
  readonly refs: ReadonlyMap<number, readonly TemplateUse[]>;
  /** Elements and uses that are given a function written in place, by its action. */
  readonly attached: ReadonlyMap<number, { readonly node: ElementNode | TemplateUse; readonly binding: Binding }>;
  readonly outlets: readonly OutletNode[];
};

/** What an index is made from: the body of a component, a hook or a module. */
export type Indexed = BodyFacts & {
  readonly template?: readonly TemplateNode[];
  readonly returns?: readonly Reading[];
  readonly exposes?: readonly Reading[];
  readonly provides?: readonly ProvideFact[];
};

type Tables = {
  readonly sinks: Map<number, Sink[]>;
  readonly calls: Map<number, CallSite[]>;
  readonly changes: Map<number, ChangeSite[]>;
  readonly refs: Map<number, TemplateUse[]>;
  readonly attached: Map<number, { node: ElementNode | TemplateUse; binding: Binding }>;
  readonly outlets: OutletNode[];
};

/** Where every reading of a body goes. */
export function indexBody(body: Indexed): BodyIndex {
  const tables: Tables = { sinks: new Map(), calls: new Map(), changes: new Map(), refs: new Map(), attached: new Map(), outlets: [] };
  const { sinks } = tables;
  walkTemplate(body.template ?? [], (node) => noteNode(node, tables));
  body.actions.forEach((action, index) => noteAction(action, index, tables));
  const params = new Map<number, Map<number, number>>();
  const functionOf = new Map<number, number>();
  const props = new Map<MemberKey, number>();
  const rest: number[] = [];
  body.values.forEach((value, index) => {
    if (value.kind === 'prop') props.set(memberKeyOf(value), index);
    if (value.kind === 'rest' || value.kind === 'props') rest.push(index);
    if (value.kind === 'function' && value.action !== undefined) functionOf.set(value.action, index);
    if (value.kind === 'param') {
      const known = params.get(value.of ?? -1) ?? new Map<number, number>();
      params.set(value.of ?? -1, known.set(value.position ?? 0, index));
    }
    const to = value.kind === 'state' || value.kind === 'ref' || value.kind === 'store' ? 'first' : 'value';
    if (value.args)
      value.args.forEach((arg, position) =>
        arg.readings.forEach((reading) => addTo(sinks, reading.value, { reading, to: 'argument', value: index, position })),
      );
    else for (const reading of value.from) addTo(sinks, reading.value, { reading, to, value: index });
  });
  for (const reading of body.returns ?? []) addTo(sinks, reading.value, { reading, to: 'returned' });
  for (const { key, readings } of body.provides ?? [])
    for (const reading of readings) addTo(sinks, reading.value, { reading, to: 'provided', key });
  for (const reading of body.exposes ?? []) addTo(sinks, reading.value, { reading, to: 'exposed' });
  return { ...tables, functionOf, params, props, rest };
}

function noteNode(node: TemplateNode, tables: Tables): void {
  const { sinks } = tables;
  switch (node.kind) {
    case 'text':
      for (const reading of node.readings) addTo(sinks, reading.value, { reading, to: 'shown', node });
      return;
    case 'branch':
      for (const reading of node.readings) addTo(sinks, reading.value, { reading, to: 'decides', node });
      return;
    case 'repeat':
      for (const reading of node.readings)
        if (node.value === undefined || reading.how === 'computed') addTo(sinks, reading.value, { reading, to: 'decides', node });
      return;
    case 'outlet':
      tables.outlets.push(node);
      if (node.reading && node.reading.how !== 'called') addTo(sinks, node.reading.value, { reading: node.reading, to: 'shown', node });
      node.slotProps.forEach((hands, position) =>
        hands.forEach((reading) => addTo(sinks, reading.value, { reading, to: 'handed', outlet: node, position })),
      );
      return;
    case 'element':
      for (const binding of node.bindings) {
        if (binding.action !== undefined) tables.attached.set(binding.action, { node, binding });
        for (const reading of binding.readings) addTo(sinks, reading.value, { reading, to: 'attribute', element: node, binding });
      }
      for (const spread of node.spreads)
        for (const reading of spread.readings) addTo(sinks, reading.value, { reading, to: 'attributes', element: node, spread });
      return;
    case 'use':
      for (const binding of node.bindings) {
        if (binding.action !== undefined) tables.attached.set(binding.action, { node, binding });
        // What is said to the element that stands for it, and not to the part itself.
        const isOfElement = bindingKey(binding) === undefined && binding.direction === 'in' && node.element !== undefined;
        for (const reading of binding.readings)
          addTo(sinks, reading.value, isOfElement ? { reading, to: 'shown', node } : { reading, to: 'prop', use: node, binding });
      }
      for (const spread of node.spreads)
        for (const reading of spread.readings) addTo(sinks, reading.value, { reading, to: 'spread', use: node, spread });
      for (const reading of node.dynamic ?? []) addTo(sinks, reading.value, { reading, to: 'decides', node });
      if (node.ref) addTo(tables.refs, node.ref.value, node);
  }
}

function noteAction(action: ActionFact, index: number, tables: Tables): void {
  const { sinks } = tables;
  const told = new Set<number | string>();
  const note = (sink: Sink): void => {
    told.add(sink.reading.span.start);
    if (sink.to !== 'follows') told.add(`${sink.reading.value} ${sink.reading.path.join('.')}`);
    addTo(sinks, sink.reading.value, sink);
  };
  for (const change of action.changes) {
    addTo(tables.changes, change.value, { action: index, change });
    for (const reading of change.from) note({ reading, to: 'put', action: index, change });
  }
  for (const raise of action.raises) {
    if (raise.value !== undefined) addTo(tables.calls, raise.value, { by: 'raise', action: index, raise });
    (raise.args ?? []).forEach((arg, position) =>
      arg.readings.forEach((reading) => note({ reading, to: 'payload', action: index, raise, position })),
    );
  }
  for (const call of action.invokes) {
    addTo(tables.calls, call.value, { by: 'call', action: index, call });
    call.args.forEach((arg, position) => arg.readings.forEach((reading) => note({ reading, to: 'passed', action: index, call, position })));
  }
  for (const send of action.sends) {
    send.args.forEach((arg, position) => arg.readings.forEach((reading) => note({ reading, to: 'sent', action: index, send, position })));
  }
  for (const reading of action.returns) {
    if ((reading.held?.how ?? reading.how) === 'computed') addTo(sinks, reading.value, { reading, to: 'result', action: index });
    else note({ reading, to: 'result', action: index });
  }
  for (const reading of action.follows ?? []) note({ reading, to: 'follows', action: index });
  for (const reading of action.reads) {
    if (reading.how === 'called' || told.has(reading.span.start) || told.has(`${reading.value} ${reading.path.join('.')}`)) continue;
    if (action.changes.some((change) => change.value === reading.value && contains(change.span, reading.span))) continue;
    addTo(sinks, reading.value, { reading, to: 'read', action: index });
  }
}
