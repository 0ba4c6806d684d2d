import type { ActionFact, ComponentFacts, TemplateNode, ValueFact } from '../../model/facts';
import { superMarkup } from '../../model/super-markup';
import type { FilePath } from '../../model/span';

/** Members of facts that hold the index of a value, and those that hold the index of an action. */
const ofValues = new Set(['value', 'partner', 'element']);
const ofActions = new Set(['action', 'writer']);

type Renumbering = { readonly value: (index: number) => number; readonly action: (index: number) => number; readonly file: FilePath };

/** The name by which a module of another file is meant. */
export const foreignName = (file: FilePath, name: string): string => (/^(?:from|key|import):/.test(name) ? name : `from:${file}#${name}`);

/** A copy of facts with other indexes, whose places lie in the file that they were read from. */
function renumbered<T>(facts: T, by: Renumbering): T {
  const copy = (value: unknown, key: string, holder: object | undefined): unknown => {
    if (typeof value === 'number') {
      if (ofValues.has(key)) return by.value(value);
      if (ofActions.has(key)) return by.action(value);
      if (key === 'of' && holder && 'kind' in holder && holder.kind === 'param') return by.action(value);
      return value;
    }
    if (typeof value !== 'object' || value === null) return value;
    if (Array.isArray(value)) {
      if (key === 'calls') return value.map((one) => by.action(one as number));
      if (key === 'slotProps' && value.every((one) => typeof one === 'number')) return value.map((one) => by.value(one));
      return value.map((one) => copy(one, '', undefined));
    }
    const made: Record<string, unknown> = {};
    for (const [name, one] of Object.entries(value)) made[name] = copy(one, name, value);
    if (typeof made['start'] === 'number' && typeof made['end'] === 'number' && made['file'] === undefined) made['file'] = by.file;
    if ('kind' in value && typeof made['source'] === 'string') made['source'] = foreignName(by.file, made['source']);
    if ('kind' in value && value.kind === 'use' && typeof made['tag'] === 'string' && /^[A-Z]/.test(made['tag']))
      made['tag'] = foreignName(by.file, made['tag']);
    return made;
  };
  return copy(facts, '', undefined) as T;
}

function withSuper(nodes: readonly TemplateNode[], above: readonly TemplateNode[]): TemplateNode[] {
  return nodes.flatMap((node): TemplateNode[] => {
    if (node.kind === 'element' && node.tag === superMarkup) return [...above];
    if (node.kind === 'element' || node.kind === 'use' || node.kind === 'repeat' || node.kind === 'branch')
      return [{ ...node, children: withSuper(node.children, above) }];
    return [node];
  });
}

/**
 * The facts of a component with those of a class that it extends: what it does not declare itself is the other’s, and
 * what it reads of itself without declaring it is found there. `at` is the file of the other class.
 */
export function inherited(own: ComponentFacts, base: ComponentFacts, at: FilePath): ComponentFacts {
  const [mine, theirs] = [own.element?.names ?? {}, base.element?.names ?? {}];
  const values: ValueFact[] = [...own.values];
  const actions: ActionFact[] = [...own.actions];
  const shift = actions.length;
  const known = new Map<number, number>();
  const filled: { readonly from: number; readonly to: number }[] = [];
  for (const [name, from] of Object.entries(theirs)) {
    const to = mine[name];
    if (to === undefined) continue;
    known.set(from, to);
    if (own.element?.asked?.includes(name)) filled.push({ from, to });
  }
  const appended: number[] = [];
  base.values.forEach((_, index) => {
    if (known.has(index)) return;
    known.set(index, values.length + appended.length);
    appended.push(index);
  });
  const by: Renumbering = { value: (index) => known.get(index) ?? index, action: (index) => index + shift, file: at };
  const {
    template,
    values: theirValues,
    actions: theirActions,
    members,
    exposes,
    events,
    slots,
  } = renumbered(
    {
      template: base.template,
      values: base.values,
      actions: base.actions,
      members: base.members,
      exposes: base.exposes ?? [],
      events: base.events,
      slots: base.slots,
    },
    by,
  );
  for (const { from, to } of filled) values[to] = theirValues[from] as ValueFact;
  for (const index of appended) values.push(theirValues[index] as ValueFact);
  actions.push(...theirActions);
  const shown = own.template.length === 0 ? template : withSuper(own.template, template);
  const has = <T extends { readonly key: string }>(list: readonly T[], key: string): boolean => list.some((one) => one.key === key);
  const allMembers = [...own.members, ...members.filter((one) => !has(own.members, one.key))];
  const names: Record<string, number> = { ...mine };
  for (const [name, index] of Object.entries(theirs)) names[name] ??= known.get(index) ?? index;
  const asked = (own.element?.asked ?? []).filter((name) => theirs[name] === undefined);
  const undeclared = (own.undeclared ?? []).filter(({ name }) => theirs[name] === undefined);
  const { undeclared: _, ...rest } = own;
  return {
    ...rest,
    values,
    actions,
    members: allMembers,
    template: shown,
    events: [
      ...own.events.map((one) => {
        const other = events.find(({ key }) => key === one.key);
        return other ? { ...one, raised: [...one.raised, ...other.raised] } : one;
      }),
      ...events.filter((one) => !has(own.events, one.key)),
    ],
    slots: own.template.length === 0 ? slots : [...own.slots, ...slots.filter((one) => !has(own.slots, one.key))],
    ...(exposes.length > 0 || own.exposes ? { exposes: [...(own.exposes ?? []), ...exposes] } : {}),
    ...(undeclared.length > 0 ? { undeclared } : {}),
    ...(own.endings || base.endings ? { endings: [...(own.endings ?? []), ...(base.endings ?? [])] } : {}),
    ...(base.raisesUnseen ? { raisesUnseen: true } : {}),
    ...(own.gives || base.gives ? { gives: [...(own.gives ?? []), ...renumbered(base.gives ?? [], by)] } : {}),
    files: [...new Set([...(own.files ?? []), at, ...(base.files ?? [])])],
    ...(own.element
      ? {
          element: {
            ...own.element,
            // Who does not attach a shadow tree itself has the one that its class attaches.
            root: own.element.root === 'light' && base.element ? base.element.root : own.element.root,
            attributes: { ...base.element?.attributes, ...own.element.attributes },
            names,
            ...(asked.length > 0 ? { asked } : {}),
          },
        }
      : {}),
  };
}
