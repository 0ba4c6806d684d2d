import type { ActionFact, CallFact, ClassFact, ComponentFacts, EventFact, RaiseFact, TemplateNode, ValueFact } from '../../model/facts';
import { memberKeyOf } from '../../model/given';
import { superMarkup } from '../../model/super-markup';
import type { FilePath } from '../../model/span';
import { append } from '../../model/append';
import { ownValue } from '../../model/own-value';

/** Members of facts that hold the index of a value, and those that hold the index of an action. */
const ofValues = new Set(['value', 'partner', 'element']);
const ofActions = new Set(['action', 'writer']);

type Renumbering = { readonly value: (index: number) => number; readonly action: (index: number) => number; readonly file: FilePath };

/** The name by which a module of another file is meant. */
export const foreignName = (file: FilePath, name: string): string => (/^(?:from|key|import):/.test(name) ? name : `from:${file}#${name}`);

/** The same of a channel: a text, a member of the instance and what an application gives under a name are known everywhere. */
const foreignChannel = (file: FilePath, name: string): string => (/^(?:["$]|this\.)/.test(name) ? name : foreignName(file, name));

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
    if ('on' in value && value.on === 'channel' && typeof made['name'] === 'string') made['name'] = foreignChannel(by.file, made['name']);
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

/** What is known of the class of a component as a class, with that of its base. */
function classFacts(
  { ofClass, element }: ComponentFacts,
  base: ComponentFacts,
  known: { readonly names: Readonly<Record<string, number>>; readonly asked?: readonly string[] },
): Pick<ComponentFacts, 'ofClass' | 'element'> {
  const opened = base.ofClass?.opened;
  const accessors = base.element?.accessors;
  return {
    ...(ofClass
      ? { ofClass: { ...withoutAsked(ofClass), ...known, ...(opened ? { opened: [...(ofClass.opened ?? []), ...opened] } : {}) } }
      : {}),
    ...(element
      ? {
          element: {
            ...withoutAsked(element),
            // Who does not attach a shadow tree itself has the one that its class attaches.
            root: element.root === 'light' && base.element ? base.element.root : element.root,
            attributes: { ...base.element?.attributes, ...element.attributes },
            ...known,
            ...(base.element?.rendersByHand ? { rendersByHand: true as const } : {}),
            ...(accessors ? { accessors: [...(element.accessors ?? []), ...accessors] } : {}),
          },
        }
      : {}),
  };
}

const withoutAsked = <Fact extends ClassFact>({ asked: _, ...rest }: Fact): Omit<Fact, 'asked'> => rest;

/** What a component’s class knows by name. */
export const classOf = ({ element, ofClass }: ComponentFacts): ClassFact | undefined => element ?? ofClass;
const namesOf = (facts: ComponentFacts): Readonly<Record<string, number>> => classOf(facts)?.names ?? {};

/**
 * The facts of a component with those of a class that it extends: what it does not declare itself is the other’s, and
 * what it reads of itself without declaring it is found there. `at` is the file of the other class.
 */
export function inherited(own: ComponentFacts, base: ComponentFacts, at: FilePath): ComponentFacts {
  const [mine, theirs] = [namesOf(own), namesOf(base)];
  const ownAsked = classOf(own)?.asked ?? [];
  const values: ValueFact[] = [...own.values];
  const actions: ActionFact[] = [...own.actions];
  const shift = actions.length;
  const known = new Map<number, number>();
  const filled: { readonly from: number; readonly to: number }[] = [];
  for (const [name, from] of Object.entries(theirs)) {
    const to = ownValue(mine, name);
    if (to === undefined) continue;
    known.set(from, to);
    if (ownAsked.includes(name)) filled.push({ from, to });
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
  const isFilled = new Set(filled.map(({ to }) => to));
  for (const index of appended) values.push(theirValues[index] as ValueFact);
  append(actions, theirActions);
  const shown = own.template.length === 0 ? template : withSuper(own.template, template);
  const has = <T extends { readonly key: string }>(list: readonly T[], key: string): boolean => list.some((one) => one.key === key);
  const allMembers = [...own.members, ...members.filter((one) => !has(own.members, one.key))];
  const names: Record<string, number> = { ...mine };
  for (const [name, index] of Object.entries(theirs)) names[name] ??= known.get(index) ?? index;
  const theirAsked = classOf(base)?.asked ?? [];
  const asked = [
    ...ownAsked.filter((name) => ownValue(theirs, name) === undefined || theirAsked.includes(name)),
    ...theirAsked.filter((name) => ownValue(mine, name) === undefined),
  ];
  const undeclared = (own.undeclared ?? []).filter(({ name }) => ownValue(theirs, name) === undefined);
  const { undeclared: _, ...rest } = own;
  const called = withoutRaises({ ...rest, values, actions, members: allMembers }, isFilled);
  return {
    ...called,
    template: shown,
    ...(own.template.length === 0 && template.length > 0 ? { shownByBase: true as const } : {}),
    events: [
      ...called.events.map((one) => {
        const other = events.find(({ key }) => key === one.key);
        return other ? { ...one, raised: [...one.raised, ...other.raised] } : one;
      }),
      ...events.filter((one) => !has(own.events, one.key)),
    ],
    slots: own.template.length === 0 ? slots : [...own.slots, ...slots.filter((one) => !has(own.slots, one.key))],
    ...(exposes.length > 0 || own.exposes ? { exposes: [...(own.exposes ?? []), ...exposes] } : {}),
    ...(undeclared.length > 0 && base.openness !== 'open' ? { undeclared } : {}),
    ...(own.endings || base.endings ? { endings: [...(own.endings ?? []), ...(base.endings ?? [])] } : {}),
    ...(base.raisesUnseen ? { raisesUnseen: true } : {}),
    ...(base.openness === 'open' ? { openness: 'open' as const } : {}),
    ...(own.gives || base.gives ? { gives: [...(own.gives ?? []), ...renumbered(base.gives ?? [], by)] } : {}),
    files: [...new Set([...(own.files ?? []), at, ...(base.files ?? [])])],
    ...classFacts(own, base, { names, ...(asked.length > 0 ? { asked } : {}) }),
  };
}

/** What looked like a callback that is given, and is a member of the class: it is called there, and nobody hears of it. */
function withoutRaises(facts: ComponentFacts, own: ReadonlySet<number>): ComponentFacts {
  if (own.size === 0) return facts;
  const isOne = ({ value }: RaiseFact): boolean => value !== undefined && own.has(value);
  const actions = facts.actions.map((action): ActionFact => {
    const called = action.raises.filter(isOne);
    if (called.length === 0) return action;
    return {
      ...action,
      raises: action.raises.filter((one) => !isOne(one)),
      calls: [...action.calls, ...called.flatMap(({ value }) => facts.values[value ?? -1]?.action ?? [])],
      invokes: [...action.invokes, ...called.map(({ value = 0, span, args = [] }): CallFact => ({ value, span, path: [], args }))],
    };
  });
  const gone = new Set(facts.actions.flatMap(({ raises }) => raises.filter(isOne).map(({ member }) => member)));
  for (const { raises } of actions) for (const { member } of raises) gone.delete(member);
  const events = facts.events.flatMap((event): EventFact[] => {
    const raised = event.raised.filter((one) => !isOne(one));
    if (raised.length === event.raised.length) return [event];
    return raised.length === 0 ? [] : [{ ...event, raised }];
  });
  const members = facts.members.filter(({ key, kind }) => kind !== 'callback' || !gone.has(key));
  return { ...facts, actions, events, members };
}

const isDeclared = ({ members }: ComponentFacts, value: ValueFact): boolean =>
  members.some((one) => one.key === memberKeyOf(value) && one.kind !== 'callback');

/**
 * The facts of an element whose classes are all joined: what it still reads of itself without anyone declaring it is no
 * prop, for nobody is known to give it, but its own where it writes it.
 */
export function settled(facts: ComponentFacts): ComponentFacts {
  const own = classOf(facts);
  if (!own?.asked) return facts;
  const values = [...facts.values];
  const known = new Set<number>();
  const written = new Set(facts.actions.flatMap(({ changes }) => changes.map(({ value }) => value)));
  for (const name of own.asked) {
    const index = ownValue(own.names, name);
    const value = index === undefined ? undefined : values[index];
    if (index === undefined || value?.kind !== 'prop' || isDeclared(facts, value)) continue;
    const { member: _, ...rest } = value;
    values[index] = { ...rest, kind: written.has(index) ? 'state' : 'hook' };
    known.add(index);
  }
  return withoutRaises({ ...facts, values }, known);
}
