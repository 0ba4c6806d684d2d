import type { BodyFacts, Reading, TemplateNode, ValueFact } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { contains, type FilePath } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { remembered } from '../../model/remembered';

type Body = BodyFacts & { readonly template?: readonly TemplateNode[]; readonly returns?: readonly Reading[] };
/** How a body uses one of its values; places are in its own file. */
export type Mention = { read?: { start: number; end: number }; written?: { start: number; end: number }; otherwise?: true };

/** Shapes of stores that are changed by whoever likes; others have makers and writers of their own. */
const plain = new Set(['observable', 'atom']);

/** What a body does with its values: reads, writes, or something that may be either. */
const mentionsIn = remembered((body: Body): ReadonlyMap<number, Mention> => {
  const found = new Map<number, Mention>();
  const of = (value: number): Mention => {
    const known = found.get(value) ?? {};
    found.set(value, known);
    return known;
  };
  const read = (readings: readonly Reading[]): void => {
    for (const reading of readings) of(reading.value).read ??= reading.span;
  };
  // Whole and made into something else, it may be in the hands of a function from outside.
  const within = (readings: readonly Reading[]): void => {
    for (const reading of readings)
      if (reading.how === 'computed' && reading.path.length === 0) of(reading.value).otherwise = true;
      else read([reading]);
  };
  for (const action of body.actions) {
    for (const change of action.changes) of(change.value).written ??= change.span;
    // What a change makes the new value from is not read for its own sake.
    const own = (reading: Reading): boolean =>
      action.changes.some(
        (change) =>
          change.value === reading.value &&
          contains(change.span, reading.span) &&
          // What `id++` gives may be wanted.
          (change.from.length > 0 || change.how === 'in-place'),
      );
    within([...action.reads, ...action.returns].filter((reading) => !own(reading) && !isSetting(body, reading)));
    for (const call of action.invokes) {
      if (isSetting(body, call)) of(call.value).written ??= call.span;
      else of(call.value).otherwise = true;
      for (const arg of call.args) for (const reading of arg.readings) of(reading.value).otherwise = true;
    }
  }
  for (const value of body.values) {
    if (!value.gives) within(value.from);
    for (const arg of value.args ?? []) for (const reading of arg.readings) noteGiven(value, reading, of(reading.value));
  }
  read(body.returns ?? []);
  walkTemplate(body.template ?? [], (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') read(node.readings);
    else if (node.kind === 'outlet') read([...(node.reading ? [node.reading] : []), ...node.slotProps.flat()]);
    else {
      for (const spread of node.spreads) read(spread.readings);
      for (const binding of node.bindings) {
        read(binding.readings);
        if (binding.direction !== 'two-way') continue;
        // A field shows it and writes it; what a component does with it is for that to say.
        for (const reading of binding.readings)
          if (node.kind === 'element') of(reading.value).written ??= reading.span;
          else of(reading.value).otherwise = true;
      }
    }
  });
  return found;
});

/** A method of something of another module by which stores are given another content: `$term.set(next)`. */
const isSetting = ({ values }: Body, { value, path }: Pick<Reading, 'value' | 'path'>): boolean =>
  path.length === 1 && /^(?:set|setKey|update)$/.test(path[0] ?? '') && values[value]?.kind === 'module';

/** A store is handed to a hook: known ones read it or give what sets it. */
function noteGiven({ gives, parts }: ValueFact, reading: Reading, mention: Mention): void {
  if (gives?.gives === 'store') mention.read ??= reading.span;
  else if (gives?.gives === 'setter') mention.written ??= reading.span;
  else if (gives?.gives === 'pair' && parts) {
    if (parts['0'] !== undefined) mention.read ??= reading.span;
    if (parts['1'] !== undefined) mention.written ??= reading.span;
  } else mention.otherwise = true;
}

export type Store = {
  readonly file: FilePath;
  readonly value: ValueFact;
  mentions: { readonly file: FilePath; readonly mention: Mention; readonly by?: Component }[];
};

/** The plain stores of the project's modules, by file and name, with all that mentions them. */
export const storesOf = (model: Model): Map<string, Store> =>
  mentioned(model, ({ kind, shape, origin }) => kind === 'store' && plain.has(shape ?? '') && !origin);

/** Variables of the project's modules that hold data and are no stores, by file and name, with all that mentions them. */
export const moduleDataOf = (model: Model): Map<string, Store> =>
  mentioned(model, ({ kind, isData }) => kind === 'state' && isData === true);

function mentioned(model: Model, isMeant: (value: ValueFact) => boolean): Map<string, Store> {
  const stores = new Map<string, Store>();
  for (const facts of model.files.values())
    for (const value of facts.module?.values ?? [])
      if (isMeant(value)) stores.set(`${facts.file} ${value.name}`, { file: facts.file, value, mentions: [] });
  if (stores.size === 0) return stores;
  const note = (file: FilePath, body: Body, isModule: boolean, by?: Component): void => {
    for (const [index, mention] of mentionsIn(body)) {
      const value = body.values[index];
      if (!value) continue;
      const own = isModule && isMeant(value) ? { file, name: value.name } : undefined;
      const meant = own ?? (value.source === undefined ? undefined : model.named(file, value.source.split('.')[0] ?? ''));
      if (!meant) continue;
      if ('kind' in meant && meant.kind !== 'value') continue;
      stores.get(`${meant.file} ${meant.name}`)?.mentions.push({ file, mention, ...(by ? { by } : {}) });
    }
  };
  for (const component of model.components.values()) note(component.file, component.facts, false, component);
  for (const facts of model.files.values()) {
    for (const shared of facts.shared) if (shared.kind === 'hook') note(facts.file, shared, false);
    if (facts.module) note(facts.file, facts.module, true);
  }
  // A file that imports a store and is not seen to do anything with it may do whatever it likes.
  for (const facts of model.files.values())
    for (const one of facts.imports) {
      const meant = one.typeOnly ? undefined : model.named(facts.file, one.local);
      const store = meant?.kind === 'value' ? stores.get(`${meant.file} ${meant.name}`) : undefined;
      if (store && !store.mentions.some((mention) => mention.file === facts.file))
        store.mentions.push({ file: facts.file, mention: { otherwise: true } });
    }
  return stores;
}

/** Whether a component holds anything of a module. */
export const asksFor = (model: Model, component: Component, module: FilePath): boolean =>
  component.facts.values.some(({ source }) => {
    const meant = source === undefined ? undefined : model.named(component.file, source.split('.')[0] ?? '');
    return meant?.kind === 'value' && meant.file === module;
  });

/** Files that something imports as a whole: their stores may be used in ways that cannot be told. */
export function importedWhole(model: Model): Set<string> {
  const names = new Set<string>();
  for (const facts of model.files.values()) for (const one of facts.imports) if (one.imported === '*') names.add(baseName(one.from));
  return names;
}

export const baseName = (path: string): string => (path.split('/').at(-1) ?? '').replace(/\.\w+$/, '');

/** A store or a context of the project with how many components read and how many write it; of a context, take and provide. */
export type SharedValue = {
  readonly kind: 'store' | 'context';
  readonly name: string;
  readonly file: FilePath;
  readonly readers: number;
  readonly writers: number;
};

/** The stores and contexts of a project, those with the most readers first. */
export function sharedValues(model: Model): SharedValue[] {
  const contexts = [...model.contexts.values()].map((context): SharedValue => {
    const all = [...model.components.values()];
    const provides = (id: Component['id']): boolean =>
      (model.usesBy.get(id) ?? []).some((use) => use.target.kind === 'provider' && use.target.context === context.id);
    return {
      kind: 'context',
      name: context.name,
      file: context.declared.file,
      readers: all.filter((one) => one.consumes.some((take) => take.context === context.id)).length,
      writers: all.filter((one) => provides(one.id)).length,
    };
  });
  const stores = [...storesOf(model).values()].map(({ file, value, mentions }): SharedValue => {
    const count = (which: 'read' | 'written'): number =>
      new Set(mentions.flatMap((one) => (one.mention[which] ? [one.by?.id ?? one.file] : []))).size;
    return { kind: 'store', name: value.name, file, readers: count('read'), writers: count('written') };
  });
  return [...contexts, ...stores].sort((a, b) => b.readers - a.readers || a.name.localeCompare(b.name));
}
