import type { ActionFact, BodyFacts, Reading, TemplateNode, ValueFact } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { remembered } from '../../model/remembered';
import { contains, type FilePath, locate, type Location } from '../../model/span';
import { walkTemplate } from '../../model/walk';

type Body = BodyFacts & { readonly template?: readonly TemplateNode[]; readonly returns?: readonly Reading[] };

/** A store that a factory made and that is taken by a call: its members, and all who take it. */
export type FactoryStore = {
  readonly file: FilePath;
  readonly value: ValueFact;
  /** What it does with its own fields. */
  readonly own: { readonly read: ReadonlySet<string>; readonly written: ReadonlyMap<string, Location> };
  /** Members that change it when they are called, and nothing else. */
  readonly writers: ReadonlySet<string>;
  readonly takers: readonly Taker[];
  /** Something is done with it that is not followed. */
  readonly otherwise: boolean;
};

/** Who takes a store: what it reads of it, and which of its writers it uses. */
export type Taker = {
  /** Absent for hooks and modules. */
  readonly by?: Component;
  readonly reads: readonly Location[];
  readonly writes: readonly Location[];
  /** The members that it reads, and those that it writes without calling anything. */
  readonly read: ReadonlySet<string>;
  readonly written: ReadonlyMap<string, Location>;
};

type Touch = { readonly member: string; readonly span: { start: number; end: number }; readonly isWrite: boolean };

/** What a body does with each of its values by the first member: readings, calls and changes; `*` for the whole. */
const touchesIn = remembered((body: Body): ReadonlyMap<number, readonly Touch[]> => {
  const found = new Map<number, Touch[]>();
  const add = (value: number, touch: Touch): void => {
    const known = found.get(value);
    if (known) known.push(touch);
    else found.set(value, [touch]);
  };
  const read = (readings: readonly Reading[]): void => {
    for (const { value, path, span } of readings) add(value, { member: path[0] ?? '*', span, isWrite: false });
  };
  for (const action of body.actions) {
    read(action.reads);
    read(action.returns);
    for (const { value, path, span } of action.changes) add(value, { member: path?.[0] ?? '*', span, isWrite: true });
    for (const one of action.invokes) {
      add(one.value, { member: one.path[0] ?? '*', span: one.span, isWrite: false });
      for (const arg of one.args) read(arg.readings);
    }
  }
  for (const value of body.values) {
    read(value.from.filter((one) => one.how !== 'called'));
    for (const arg of value.args ?? []) read(arg.readings);
  }
  read(body.returns ?? []);
  walkTemplate(body.template ?? [], (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') read(node.readings);
    else if (node.kind === 'outlet') read([...(node.reading ? [node.reading] : []), ...node.slotProps.flat()]);
    else for (const one of [...node.spreads, ...node.bindings]) read(one.readings);
  });
  return found;
});

/** What a selector takes of the store: the members that it reads of its parameter; undefined where that cannot be told. */
function selected(body: Body, value: ValueFact): readonly Touch[] | undefined {
  const [first, ...more] = value.args ?? [];
  const action = first?.action === undefined || more.length > 1 ? undefined : body.actions[first.action];
  if (!action) return undefined;
  const isParam = ({ value: at }: Reading): boolean => body.values[at]?.kind === 'param' && body.values[at].of === first?.action;
  const reads = [...action.reads, ...action.returns].filter(isParam);
  if (reads.length === 0 || reads.some((one) => one.path.length === 0)) return undefined;
  return reads.map((one) => ({ member: one.path[0] ?? '*', span: one.span, isWrite: false }));
}

/** Members that only change the store: functions of its own that read nothing else of it, and give and call nothing. */
function writersOf(module: BodyFacts, store: number): Set<string> {
  const found = new Set<string>();
  const value = module.values[store];
  // What it holds may stand in states of its own.
  const ofStore = new Set([
    store,
    ...(value?.from ?? []).flatMap((one) => (module.values[one.value]?.kind === 'state' ? [one.value] : [])),
  ]);
  for (const { held, value: at } of value?.from ?? []) {
    const [name] = held?.at ?? [];
    const action = module.values[at]?.action;
    const facts = action === undefined ? undefined : module.actions[action];
    if (name !== undefined && facts && onlyWrites(facts, ofStore)) found.add(name);
  }
  return found;
}

function onlyWrites(action: ActionFact, ofStore: ReadonlySet<number>): boolean {
  const changes = action.changes.filter((one) => ofStore.has(one.value));
  const isOwn = (one: Reading): boolean =>
    !ofStore.has(one.value) || changes.some(({ span }) => span.start <= one.span.start && one.span.end <= span.end);
  return (
    changes.length > 0 && action.reads.every(isOwn) && action.returns.every((one) => !ofStore.has(one.value)) && action.sends.length === 0
  );
}

/** The fields that the functions of a store read and write by themselves; `*` for the whole, which may be any. */
function ownFields(file: FilePath, module: BodyFacts, store: number): FactoryStore['own'] {
  const read = new Set<string>();
  const written = new Map<string, Location>();
  for (const action of module.actions) {
    const changes = action.changes.filter((one) => one.value === store);
    for (const { path, span } of changes) written.set(path?.[0] ?? '*', locate(file, span));
    // What a field is computed from is no reading of it, where that is itself.
    const isForItself = ({ path, span }: Reading): boolean =>
      changes.some((one) => one.path?.[0] === path[0] && one.how === 'in-place' && contains(one.span, span));
    for (const one of [...action.reads, ...action.returns]) if (one.value === store && !isForItself(one)) read.add(one.path[0] ?? '*');
  }
  for (const value of module.values) for (const one of value.from) if (one.value === store) read.add(one.path[0] ?? '*');
  // Who is handed what sets it may set anything.
  module.values.forEach(({ kind, partner }, index) => {
    const isSetter = kind === 'setter' && partner === store;
    if (isSetter && module.actions.some((action) => action.reads.some((one) => one.value === index && one.how !== 'called')))
      written.set('*', locate(file, module.values[store]?.span ?? { start: 0, end: 0 }));
  });
  return { read, written };
}

/** The stores of the project that factories made, with all who take them. */
export function factoryStores(model: Model): FactoryStore[] {
  const stores = new Map<string, Omit<FactoryStore, 'takers' | 'otherwise'> & { takers: Taker[]; otherwise: boolean }>();
  for (const { file, module, imports } of model.files.values()) {
    // What is kept by the browser outlives all components.
    if (imports.some((one) => /persist|storage/i.test(one.imported))) continue;
    module?.values.forEach((value, index) => {
      if (value.kind !== 'store' || value.shape !== 'factory' || value.origin) return;
      const members = value.from.map(({ held }) => held?.at[0]);
      if (members.some((one) => one === undefined || /persist/i.test(one))) return;
      const own = ownFields(file, module, index);
      stores.set(`${file} ${value.name}`, { file, value, own, writers: writersOf(module, index), takers: [], otherwise: false });
    });
  }
  if (stores.size === 0) return [];
  const seen = new Set<string>();
  const note = (file: FilePath, body: Body, by?: Component): void => {
    body.values.forEach((value, index) => {
      if ((value.kind !== 'hook' && value.kind !== 'module') || value.source === undefined) return;
      const meant = model.named(file, value.source);
      const store = meant.kind === 'value' ? stores.get(`${meant.file} ${meant.name}`) : undefined;
      if (!store) return;
      seen.add(`${file} ${store.file} ${store.value.name}`);
      const isSelected = (value.args?.length ?? 0) > 0;
      // A class that is asked for by its name is taken as it is, also where it gets no other name.
      const ofClass = touchesIn(body).get(index) ?? [];
      const isOpened = ofClass.length > 0 && ofClass.every(({ member }) => member !== '*');
      const isTaken = value.kind === 'hook' || (value.kind === 'module' && (value.name !== value.source || isOpened));
      const touches = isTaken ? (isSelected ? selected(body, value) : (touchesIn(body).get(index) ?? [])) : undefined;
      if (!touches || touches.some(({ member }) => member === '*' || member.startsWith('$'))) {
        store.otherwise = true;
        return;
      }
      const isWriting = (one: Touch): boolean => one.isWrite || store.writers.has(one.member);
      store.takers.push({
        ...(by ? { by } : {}),
        reads: touches.filter((one) => !isWriting(one)).map(({ span }) => locate(file, span)),
        writes: touches.filter(isWriting).map(({ span }) => locate(file, span)),
        read: new Set(touches.flatMap((one) => (isWriting(one) ? [] : [one.member]))),
        written: new Map(touches.flatMap((one) => (one.isWrite ? [[one.member, locate(file, one.span)] as const] : []))),
      });
    });
  };
  for (const component of model.components.values()) note(component.file, component.facts, component);
  for (const { file, shared, module } of model.files.values()) {
    for (const one of shared) if (one.kind === 'hook') note(file, one);
    if (module) note(file, module);
  }
  // A file that imports a store and is not seen to take it may do whatever it likes with it.
  for (const { file, imports } of model.files.values())
    for (const one of imports) {
      const meant = one.typeOnly ? undefined : model.named(file, one.local);
      const store = meant?.kind === 'value' ? stores.get(`${meant.file} ${meant.name}`) : undefined;
      if (store && !seen.has(`${file} ${store.file} ${store.value.name}`)) store.otherwise = true;
    }
  return [...stores.values()];
}
