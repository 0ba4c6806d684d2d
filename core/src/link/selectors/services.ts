import type { BodyFacts, ComponentFacts, FileFacts, Reading, TemplateNode, ValueFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Names } from '../names';
import { ownValue } from '../../model/own-value';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** The class of the project that an injection asks for, with those of its members that are opened by a call. */
function serviceOf(
  files: Files,
  names: Names,
  file: FilePath,
  { kind, source }: ValueFact,
): { readonly key: string; readonly signals: readonly string[] } | undefined {
  const key = kind === 'context' ? /^key:(.+)$/.exec(source ?? '')?.[1] : undefined;
  if (key === undefined) return undefined;
  const meant = names.meant(file, key);
  if (meant.kind !== 'shared' || meant.fact.kind !== 'value') return undefined;
  const { fact } = meant;
  const held = files
    .get(meant.file)
    ?.module?.values.some((one) => one.kind === 'store' && one.shape === 'factory' && one.name === fact.name);
  return held ? { key, signals: ownValue(files.get(meant.file)?.signals, fact.name) ?? [] } : undefined;
}

/**
 * A body that asks for instances of classes of the project reads and changes what these hold: each injection is also
 * the class itself, and a call that opens a member of it is a reading of that member.
 */
export function withServices<Body extends BodyFacts & { readonly template?: readonly TemplateNode[] }>(
  files: Files,
  names: Names,
  file: FilePath,
  body: Body,
  opened: Iterable<number> = [],
): Body {
  const asked = body.values.flatMap((value, index) => {
    const service = serviceOf(files, names, file, value);
    return service ? [{ index, service }] : [];
  });
  const openedBy = new Map<number, ReadonlySet<string>>();
  for (const { index, service } of asked) openedBy.set(index, new Set(service.signals));
  const aliases = new Set<number>();
  // A field that holds a member of a service is opened as that is.
  const held = new Set<number>(opened);
  body.values.forEach((value, index) => {
    const [only, ...more] = value.kind === 'state' || value.kind === 'derived' ? value.from : [];
    if (only && more.length === 0 && only.path.length === 1 && openedBy.get(only.value)?.has(only.path[0] ?? '')) {
      held.add(index);
      aliases.add(index);
    }
  });
  if (asked.length === 0 && held.size === 0) return body;
  const opens = ({ value, path, how }: Pick<Reading, 'value' | 'path' | 'how'>): boolean =>
    how === 'called' && (held.has(value) || (path.length > 0 && openedBy.get(value)?.has(path[0] ?? '') === true));
  // Further members are of an item of what is opened: nothing else is called on it.
  const howOpened = ({ value, path }: Pick<Reading, 'value' | 'path'>): Reading['how'] => {
    const own = held.has(value) ? 0 : 1;
    return path.length > own ? 'item' : own > 0 ? 'part' : 'same';
  };
  const values = body.values.map((value) => {
    const [only, ...more] = value.kind === 'state' && value.once ? value.from : [];
    return only && more.length === 0 && opens(only) ? { ...value, kind: 'derived' as const } : value;
  });
  for (const index of aliases) {
    const { shallow: _, ...value } = values[index] ?? { name: '', kind: 'state', span: { start: 0, end: 0 }, from: [] };
    values[index] = { ...value, kind: 'derived' };
  }
  for (const { index, service } of asked) {
    const value = values[index];
    if (!value) continue;
    values.push(value);
    const { asks: _, needed: __, guarded: ___, ...rest } = value;
    values[index] = { ...rest, kind: 'module', source: service.key };
  }
  const copy = (one: unknown): unknown => {
    if (typeof one !== 'object' || one === null) return one;
    if (Array.isArray(one)) {
      const list = one.map(copy);
      return list.filter((each) => !isOpening(each, openedBy, held));
    }
    const made: Record<string, unknown> = {};
    for (const [key, each] of Object.entries(one)) made[key] = copy(each);
    if (isReading(one) && opens(one)) made['how'] = howOpened(one);
    return made;
  };
  const changed = copy({ values, actions: body.actions, template: body.template ?? [] }) as Pick<
    ComponentFacts,
    'values' | 'actions' | 'template'
  >;
  return { ...body, values: changed.values, actions: changed.actions, ...(body.template ? { template: changed.template } : {}) };
}

const isReading = (one: object): one is Reading => 'how' in one && 'path' in one && 'value' in one && typeof one.value === 'number';

/** A call that does nothing but open a member. */
function isOpening(one: unknown, openedBy: ReadonlyMap<number, ReadonlySet<string>>, held: ReadonlySet<number>): boolean {
  if (typeof one !== 'object' || one === null || !('args' in one) || !('path' in one) || !('value' in one) || 'member' in one) return false;
  const { value, path, args } = one as { value: number; path: readonly string[]; args: readonly unknown[] };
  if (args.length > 0) return false;
  return (path.length === 0 && held.has(value)) || (path.length === 1 && openedBy.get(value)?.has(path[0] ?? '') === true);
}
