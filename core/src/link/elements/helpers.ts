import type {
  ActionFact,
  ArgFact,
  CallFact,
  ComponentFacts,
  EventClassFact,
  EventFact,
  FileFacts,
  HearFact,
  MemberFact,
  RaiseFact,
  Reading,
  SendFact,
} from '../../model/facts';
import { eventKey, memberName, type MemberKey } from '../../model/member';
import type { FilePath } from '../../model/span';
import type { Names } from '../names';
import { ownValue } from '../../model/own-value';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** The text that a name of a module stands for; undefined where it is none. */
export function textNamed(names: Names, file: FilePath, name: string): string | undefined {
  const [root = name, ...members] = name.split('.');
  const meant = names.meant(file, name.startsWith('from:') ? name : root);
  if (meant.kind === 'namespace') {
    const inner = names.exported(meant.file, members[0] ?? '');
    return inner.kind === 'shared' && inner.fact.kind === 'value' ? inner.fact.text : undefined;
  }
  if (meant.kind !== 'shared' || meant.fact.kind !== 'value') return undefined;
  return members.length === 0 ? meant.fact.text : ownValue(meant.fact.texts, members.join('.'));
}

/** The name of an event as it is read: itself, or what the constant says that it names. */
export function eventText(names: Names, file: FilePath, event: string | undefined): string | undefined {
  const named = event === undefined ? undefined : /^\{(.+)\}$/.exec(event)?.[1];
  return named === undefined ? event : (textNamed(names, file, named) ?? event);
}

/** The class of an event that a module makes one of. */
function eventClass(
  files: Files,
  names: Names,
  file: FilePath,
  name: string,
): { readonly fact: EventClassFact; readonly file: FilePath } | undefined {
  const meant = names.meant(file, name);
  if (meant.kind !== 'shared') return undefined;
  const fact = files.get(meant.file)?.eventClasses?.find((one) => one.name === meant.fact.name);
  return fact && { fact, file: meant.file };
}

const heldAt = (readings: readonly Reading[], at: readonly string[]): Reading[] =>
  readings.map((read): Reading => ({ ...read, held: { at: [...at, ...(read.held?.at ?? [])], how: read.held?.how ?? read.how } }));

/** What an event carries that is made of a class: what its members were made with. */
function carried({ members, detail, inDetail }: EventClassFact, args: readonly ArgFact[]): ArgFact[] {
  const readings = [
    ...Object.entries(members).flatMap(([member, at]) => heldAt(args[at]?.readings ?? [], [member])),
    ...(detail === undefined ? [] : heldAt(args[detail]?.readings ?? [], ['detail'])),
    ...Object.entries(inDetail ?? {}).flatMap(([member, at]) => heldAt(args[at]?.readings ?? [], ['detail', member])),
  ];
  const action = args.find((one) => one.action !== undefined)?.action;
  return [{ readings, ...(action === undefined ? {} : { action }) }];
}

/** What is sent, told by the constants and classes that it names. */
function settled(files: Files, names: Names, file: FilePath, send: SendFact): SendFact {
  const made = send.made === undefined ? undefined : eventClass(files, names, file, send.made);
  if (made) {
    const { fact } = made;
    const event = eventText(names, made.file, fact.event);
    const asks = send.asks || send.args.some((one) => one.action !== undefined) ? { asks: true as const } : {};
    const { made: _, ...rest } = send;
    return {
      ...rest,
      channel: { ...send.channel, ...(event === undefined ? {} : { event }) },
      bubbles: fact.bubbles,
      composed: fact.composed,
      args: carried(fact, send.args),
      ...asks,
    };
  }
  const event = send.channel.held ? send.channel.event : eventText(names, file, send.channel.event);
  return event === send.channel.event || event === undefined ? send : { ...send, channel: { ...send.channel, event } };
}

/** An event of a component's contract, where what is sent passes the component. */
function raised(send: SendFact, root: 'light' | 'open' | 'closed'): RaiseFact | undefined {
  const { channel, bubbles, composed = false, args, span } = send;
  if (channel.on !== 'element' || channel.event === undefined || channel.event.startsWith('{')) return undefined;
  const passes = channel.own === 'element' || (bubbles && (composed || root === 'light'));
  return passes ? { member: eventKey(channel.event), optional: true, span, args, travel: { bubbles, composed } } : undefined;
}

/** A function of a module that is called, with the module's facts. */
function calledFunction(
  files: Files,
  names: Names,
  file: FilePath,
  source: string,
): { readonly file: FilePath; readonly action: ActionFact; readonly index: number; readonly values: ComponentFacts['values'] } | undefined {
  const meant = names.meant(file, source);
  if (meant.kind !== 'shared') return undefined;
  const module = files.get(meant.file)?.module;
  const held = module?.values.find((one) => one.kind === 'function' && one.name === meant.fact.name);
  const action = held?.action === undefined ? undefined : module?.actions[held.action];
  return module && action && held?.action !== undefined
    ? { file: meant.file, action, index: held.action, values: module.values }
    : undefined;
}

/** What a call has a function of a module send on the component itself: `raise(this, TAKE, { id })`. */
export function sentFor(files: Files, names: Names, file: FilePath, body: Pick<ComponentFacts, 'values'>, call: CallFact): SendFact[] {
  const source = call.path.length === 0 ? body.values[call.value]?.source : undefined;
  if (source === undefined || !call.args.some((one) => one.isOwn)) return [];
  const called = calledFunction(files, names, file, source);
  if (!called) return [];
  const argOf = (value: number | undefined): ArgFact | undefined => {
    const param = value === undefined ? undefined : called.values[value];
    return param?.kind === 'param' && param.of === called.index && param.position !== undefined ? call.args[param.position] : undefined;
  };
  return called.action.sends.flatMap((given): SendFact[] => {
    const send = settled(files, names, called.file, given);
    if (!argOf(send.channel.element)?.isOwn) return [];
    const named = argOf(send.channel.held?.value);
    const [nameRead] = named?.readings ?? [];
    const nameSource = nameRead && body.values[nameRead.value]?.source;
    const event = send.channel.held
      ? (/^['"`](.*)['"`]$/.exec(named?.constant ?? '')?.[1] ??
        (nameSource === undefined ? undefined : textNamed(names, file, [nameSource, ...(nameRead?.path ?? [])].join('.'))))
      : send.channel.event;
    if (event === undefined) return [];
    const flags = argOf(send.options?.value)?.flags;
    const args = send.args.map((arg): ArgFact => ({
      readings: arg.readings.flatMap((reading) => {
        const from = argOf(reading.value);
        return (from?.readings ?? []).map((one): Reading => ({
          ...one,
          held: { at: [...(reading.held?.at ?? []), ...(one.held?.at ?? [])], how: one.held?.how ?? one.how },
        }));
      }),
    }));
    return [
      {
        channel: { on: 'element', own: 'element', event },
        bubbles: send.bubbles || flags?.['bubbles'] === true,
        composed: send.composed === true || flags?.['composed'] === true,
        args,
        span: call.span,
        ...(send.asks ? { asks: true as const } : {}),
      },
    ];
  });
}

/** A subscription whose event is told by the constant that it names. */
function settledHear(names: Names, file: FilePath, hear: HearFact): HearFact {
  const event = hear.channel.held ? hear.channel.event : eventText(names, file, hear.channel.event);
  return event === hear.channel.event || event === undefined ? hear : { ...hear, channel: { ...hear.channel, event } };
}

/** What a call has a function of a module listen for on the component itself: `answer(this, FARE, give)`. */
export function heardFor(files: Files, names: Names, file: FilePath, body: Pick<ComponentFacts, 'values'>, call: CallFact): HearFact[] {
  const source = call.path.length === 0 ? body.values[call.value]?.source : undefined;
  const called = source !== undefined && call.args.some((one) => one.isOwn) ? calledFunction(files, names, file, source) : undefined;
  if (!called) return [];
  const argOf = (value: number | undefined): ArgFact | undefined => {
    const param = value === undefined ? undefined : called.values[value];
    return param?.kind === 'param' && param.of === called.index && param.position !== undefined ? call.args[param.position] : undefined;
  };
  return called.action.hears.flatMap((hear): HearFact[] => {
    if (!argOf(hear.channel.element)?.isOwn) return [];
    const event = hear.channel.held
      ? nameGiven(names, file, body, argOf(hear.channel.held.value))
      : eventText(names, called.file, hear.channel.event);
    const given = call.args.find((one) => one.action !== undefined)?.action;
    if (event === undefined) return [];
    return [
      {
        channel: { on: 'element', own: 'element', event },
        span: call.span,
        ends: false,
        ...(given === undefined ? {} : { action: given }),
      },
    ];
  });
}

/** The text that an argument is: written in place, or a constant of a module. */
function nameGiven(names: Names, file: FilePath, { values }: Pick<ComponentFacts, 'values'>, arg: ArgFact | undefined): string | undefined {
  const [reading] = arg?.readings ?? [];
  const source = reading && values[reading.value]?.source;
  const text = /^['"`](.*)['"`]$/.exec(arg?.constant ?? '')?.[1];
  return text ?? (source === undefined ? undefined : textNamed(names, file, [source, ...(reading?.path ?? [])].join('.')));
}

/** Names that callers of one of the component’s own functions give an event: `this.tell('pick')`; the send itself where none can be told. */
function namedSends(names: Names, file: FilePath, { values, actions }: ComponentFacts, send: SendFact): SendFact[] {
  const param = send.channel.held && values[send.channel.held.value];
  if (param?.kind !== 'param' || param.of === undefined || param.position === undefined) return [send];
  const found = new Set<string>();
  for (const { invokes } of actions)
    for (const { value, args, path } of invokes) {
      if (values[value]?.action !== param.of || path.length > 0) continue;
      const arg = args[param.position];
      const [reading] = arg?.readings ?? [];
      const source = reading && values[reading.value]?.source;
      const name =
        /^['"`](.*)['"`]$/.exec(arg?.constant ?? '')?.[1] ??
        (source === undefined ? undefined : textNamed(names, file, [source, ...(reading?.path ?? [])].join('.')));
      if (name === undefined) return [send];
      found.add(name);
    }
  const { held: _, ...channel } = send.channel;
  return found.size === 0 ? [send] : [...found].map((event): SendFact => ({ ...send, channel: { ...channel, event } }));
}

/** The facts of a component with what its own functions, and those of modules that it calls, send on it: settled names, and the events of its contract. */
export function withSends(files: Files, names: Names, file: FilePath, facts: ComponentFacts): ComponentFacts {
  const root = facts.element?.root ?? 'light';
  let changed = false;
  const actions = facts.actions.map((action): ActionFact => {
    if (action.sends.length === 0 && action.hears.length === 0 && !action.invokes.some((call) => call.args.some((one) => one.isOwn)))
      return action;
    const at = action.span.file ?? file;
    const added = action.invokes.flatMap((call) => sentFor(files, names, at, facts, call));
    const heard = action.invokes.flatMap((call) => heardFor(files, names, at, facts, call));
    const hears = [...action.hears.map((one): HearFact => settledHear(names, at, one)), ...heard];
    const sends = [...action.sends.flatMap((one) => namedSends(names, at, facts, settled(files, names, at, one))), ...added];
    const isSame = sends.every((one, index) => one === action.sends[index]) && hears.every((one, index) => one === action.hears[index]);
    if (added.length === 0 && heard.length === 0 && isSame) return action;
    changed = true;
    const raises = sends.flatMap((one) => raised(one, root) ?? []);
    const kept = action.raises.filter((one) => !one.travel);
    return { ...action, sends, hears, raises: [...kept, ...raises] };
  });
  if (!changed) return facts;
  const endings = facts.endings?.map((one) => eventText(names, file, one) ?? one);
  return withEvents({ ...facts, actions, ...(endings ? { endings } : {}) });
}

/** The contract anew, by what is raised now. */
function withEvents(facts: ComponentFacts): ComponentFacts {
  const raises = new Map<MemberKey, RaiseFact[]>();
  for (const { raises: all } of facts.actions)
    for (const one of all) if (one.travel) raises.set(one.member, [...(raises.get(one.member) ?? []), one]);
  const isTold = ({ key }: { readonly key: MemberKey }): boolean => !key.startsWith('event:') || raises.has(key);
  const events: EventFact[] = facts.events.filter(isTold).map((one) => ({ ...one, raised: raises.get(one.key) ?? one.raised }));
  const members: MemberFact[] = facts.members.filter(isTold);
  for (const [key, all] of raises) {
    const [first] = all;
    if (!first) continue;
    if (!members.some((one) => one.key === key))
      members.push({ key, name: memberName(key), span: first.span, kind: 'callback', required: 'no' });
    if (!events.some((one) => one.key === key))
      events.push({ name: memberName(key), key, span: first.span, raised: all, travels: 'owner' });
  }
  return { ...facts, events, members };
}
