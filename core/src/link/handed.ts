import type {
  ActionFact,
  ArgFact,
  BodyFacts,
  CallFact,
  Channel,
  ComponentFacts,
  FileFacts,
  HearFact,
  RaiseFact,
  Reading,
  SendFact,
  ValueFact,
} from '../model/facts';
import { memberKeyOf } from '../model/given';
import { eventKey, type MemberKey, memberName } from '../model/member';
import type { FilePath } from '../model/span';
import { withBodies } from './bodies';
import { textNamed } from './elements/helpers';
import type { Names } from './names';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** A function of a module, as far as it is handed what it sends by: an element, the name of an event, what raises one. */
type Helper = {
  readonly file: FilePath;
  readonly values: readonly ValueFact[];
  readonly index: number;
  readonly action: ActionFact;
  /** How many calls of it were met, and how many of these told all that it sends. */
  calls: number;
  told: number;
};

/** A body with the file in which its names are looked for. */
type Caller = { readonly file: FilePath; readonly body: BodyFacts };

const isOwnParam = (values: readonly ValueFact[], action: number, value: number | undefined): boolean => {
  const param = value === undefined ? undefined : values[value];
  return param?.kind === 'param' && param.of === action;
};

/** The functions of all modules that are handed an element, the name of an event, or what raises one. */
function helpersOf(files: Files): Map<string, Helper> {
  const found = new Map<string, Helper>();
  for (const { file, module } of files.values())
    module?.values.forEach(({ kind, name, action: index }) => {
      const action = kind === 'function' && index !== undefined ? module.actions[index] : undefined;
      if (!action || index === undefined) return;
      const isHanded = (value: number | undefined): boolean => isOwnParam(module.values, index, value);
      const byChannel = [...action.sends, ...action.hears].some(
        ({ channel }) => isHanded(channel.element) || isHanded(channel.held?.value),
      );
      const byCall = action.invokes.some((call) => call.path.length === 0 && isHanded(call.value));
      if (byChannel || byCall) found.set(`${file}#${name}`, { file, values: module.values, index, action, calls: 0, told: 0 });
    });
  return found;
}

/** What one call hands to a helper. */
class Call {
  constructor(
    readonly helper: Helper,
    readonly call: CallFact,
    readonly by: Caller,
    readonly names: Names,
  ) {}

  /** The argument that one of the helper's parameters is given; undefined for all other values. */
  argOf(value: number | undefined): ArgFact | undefined {
    const param = value === undefined ? undefined : this.helper.values[value];
    return param?.kind === 'param' && param.of === this.helper.index && param.position !== undefined
      ? this.call.args[param.position]
      : undefined;
  }

  /** What the caller gives where the helper reads its parameters. */
  given(readings: readonly Reading[]): Reading[] {
    return readings.flatMap((reading) =>
      (this.argOf(reading.value)?.readings ?? []).map((one): Reading => {
        const at = [...(reading.held?.at ?? []), ...(one.held?.at ?? [])];
        const path = one.held ? one.path : [...one.path, ...reading.path];
        return { ...one, path, ...(at.length > 0 ? { held: { at, how: one.held?.how ?? one.how } } : {}) };
      }),
    );
  }

  /** The texts that an argument may be, where they are told: written in place, or a constant of some module. */
  texts(arg: ArgFact | undefined, within: Caller): readonly string[] {
    const text = /^['"`](.*)['"`]$/.exec(arg?.constant ?? '')?.[1];
    if (text !== undefined) return [text];
    if (arg?.texts) return arg.texts;
    const [reading, ...more] = arg?.readings ?? [];
    if (!reading || more.length > 0) return [];
    const value = within.body.values[reading.value];
    const named = value?.source === undefined ? undefined : textNamed(this.names, within.file, [value.source, ...reading.path].join('.'));
    return named === undefined ? [] : [named];
  }
}

/** What the helper sends for its caller: on the element, by the name, that it is handed. */
function sentFor(call: Call): SendFact[] {
  return call.helper.action.sends.flatMap((send): SendFact[] => {
    const { channel } = send;
    const element = call.argOf(channel.element)?.readings[0];
    const named = call.argOf(channel.held?.value);
    if (!element && !named) return [];
    const { held: _, element: __, ...rest } = channel;
    const own = channel.event === undefined ? [] : [channel.event];
    const events = channel.held ? call.texts(named, call.by) : own;
    const flags = call.argOf(send.options?.value)?.flags;
    const args = send.args.map((arg): ArgFact => ({ readings: call.given(arg.readings) }));
    return events.map((event) => ({
      ...send,
      channel: { ...rest, event, ...(element ? { element: element.value } : {}) },
      bubbles: send.bubbles || flags?.['bubbles'] === true,
      args,
      span: call.call.span,
    }));
  });
}

/** What the helper listens to for its caller, with the function that it is handed. */
function heardFor(call: Call): HearFact[] {
  return call.helper.action.hears.flatMap((hear): HearFact[] => {
    const { channel } = hear;
    const element = call.argOf(channel.element)?.readings[0];
    const named = call.argOf(channel.held?.value);
    if (!element && !named) return [];
    const run = call.argOf(hear.reading?.value);
    const { held: _, element: __, ...rest } = channel;
    const events = channel.held ? call.texts(named, call.by) : channel.event === undefined ? [] : [channel.event];
    const [reading] = run?.readings ?? [];
    const runs = { ...(run?.action === undefined ? {} : { action: run.action }), ...(reading ? { reading } : {}) };
    if (run === undefined) return [];
    return events.map((event) => ({
      channel: { ...rest, event, ...(element ? { element: element.value } : {}) },
      span: call.call.span,
      ends: hear.ends,
      ...(hear.captures ? { captures: hear.captures } : {}),
      ...runs,
    }));
  });
}

/** What the helper raises by the function that it is handed: `raise(dispatch, 1)`. */
function raisedFor(call: Call): { readonly member: MemberKey; readonly args: readonly ArgFact[] }[] {
  const { helper } = call;
  return helper.action.invokes.flatMap((one) => {
    if (one.path.length > 0 || !call.argOf(one.value)?.raises) return [];
    const [first, ...rest] = one.args;
    const own = call.texts(first, { file: helper.file, body: { values: helper.values, actions: [] } });
    const events = own.length > 0 ? own : call.texts(first?.readings[0] && call.argOf(first.readings[0].value), call.by);
    const args = rest.map((arg): ArgFact => ({
      readings: call.given(arg.readings),
      ...(arg.constant === undefined ? {} : { constant: arg.constant }),
    }));
    return events.map((event) => ({ member: eventKey(event), args }));
  });
}

/** What is told to a function of a module by the name of an event goes where that function sends it, or listens. */
function whereDone(helper: Helper | undefined, own: Channel, of: 'sends' | 'hears'): Channel {
  const [only, ...more] = helper?.action[of] ?? [];
  if (!helper || !only || more.length > 0 || !isOwnParam(helper.values, helper.index, only.channel.held?.value)) return own;
  const { held: _, ...there } = only.channel;
  return there.element === undefined && there.on !== 'element'
    ? { ...there, ...(own.event === undefined ? {} : { event: own.event }) }
    : own;
}

/** A body with what functions of modules send, hear and raise for it; the same where they do nothing. */
function withHanded<Body extends BodyFacts>(helpers: ReadonlyMap<string, Helper>, names: Names, file: FilePath, body: Body): Body {
  const values: ValueFact[] = [...body.values];
  const valueOf = (member: MemberKey, span: ValueFact['span']): number => {
    const known = values.findIndex((one) => one.kind === 'prop' && memberKeyOf(one) === member);
    return known >= 0 ? known : values.push({ name: memberName(member), kind: 'prop', member, span, from: [] }) - 1;
  };
  let changed = false;
  const actions = body.actions.map((action): ActionFact => {
    const calls = action.invokes.flatMap((call): Call[] => {
      const source = call.path.length === 0 ? body.values[call.value]?.source : undefined;
      const meant = source === undefined ? undefined : names.meant(file, source);
      const helper = meant?.kind === 'shared' ? helpers.get(`${meant.file}#${meant.fact.name}`) : undefined;
      return helper ? [new Call(helper, call, { file, body }, names)] : [];
    });
    for (const { helper } of calls) helper.calls++;
    const sends = calls.flatMap((call) => {
      const own = sentFor(call);
      if (own.length >= call.helper.action.sends.length) call.helper.told++;
      return own;
    });
    const hears = calls.flatMap(heardFor);
    const raises = calls.flatMap((one) =>
      raisedFor(one).map(({ member, args }): RaiseFact => ({
        member,
        value: valueOf(member, one.call.span),
        optional: true,
        span: one.call.span,
        args,
      })),
    );
    const by = (name = ''): Helper | undefined => {
      const meant = name.endsWith('()') ? names.meant(file, name.slice(0, -2)) : undefined;
      return meant?.kind === 'shared' ? helpers.get(`${meant.file}#${meant.fact.name}`) : undefined;
    };
    const rightly = <Fact extends SendFact | HearFact>(facts: readonly Fact[], of: 'sends' | 'hears'): readonly Fact[] => {
      const told = facts.map((one): Fact => {
        const channel = whereDone(by(one.channel.name), one.channel, of);
        return channel === one.channel ? one : { ...one, channel };
      });
      return told.every((one, at) => one === facts[at]) ? facts : told;
    };
    const [sent, heard] = [rightly(action.sends, 'sends'), rightly(action.hears, 'hears')];
    const isSame = sent === action.sends && heard === action.hears && sends.length + hears.length + raises.length === 0;
    if (isSame) return action;
    changed = true;
    return { ...action, sends: [...sent, ...sends], hears: [...heard, ...hears], raises: [...action.raises, ...raises] };
  });
  return changed ? { ...body, values, actions } : body;
}

/** A module without what its functions send for others alone, where all of these tell it themselves. */
function withoutHanded(helpers: ReadonlyMap<string, Helper>, facts: FileFacts): FileFacts {
  const { module } = facts;
  if (!module) return facts;
  const isTold = (index: number): boolean =>
    module.values.some(({ kind, name, action }) => {
      const helper = kind === 'function' && action === index ? helpers.get(`${facts.file}#${name}`) : undefined;
      return helper !== undefined && helper.calls > 0 && helper.calls === helper.told;
    });
  const isHanded = (index: number, { channel }: SendFact): boolean =>
    isOwnParam(module.values, index, channel.element) || isOwnParam(module.values, index, channel.held?.value);
  let changed = false;
  const actions = module.actions.map((action, index): ActionFact => {
    const sends = action.sends.filter((send) => !isHanded(index, send));
    if (sends.length === action.sends.length || !isTold(index)) return action;
    changed = true;
    return { ...action, sends };
  });
  return changed ? { ...facts, module: { ...module, actions } } : facts;
}

/** The contract of a component with all that is raised for it. */
function withRaised(before: ComponentFacts, after: ComponentFacts): ComponentFacts {
  if (before === after) return before;
  const raised = after.actions.flatMap(({ raises }, at) => raises.slice(before.actions[at]?.raises.length ?? 0));
  const events = after.events.map((event) => {
    const own = raised.filter(({ member }) => member === event.key);
    return own.length > 0 ? { ...event, raised: [...event.raised, ...own] } : event;
  });
  return { ...after, events };
}

/**
 * What the bodies of a project send, hear and raise through functions of its modules that they hand what it is done by:
 * `tell(frame.current, PICK, id)`, `listen(window, 'resize', measure)`, `raise(dispatch, 1)`. The facts of all files; the
 * same where no module has such a function. Elements have that from where they are joined.
 */
export function joinHanded(files: Files, names: Names): Files {
  const helpers = helpersOf(files);
  if (helpers.size === 0) return files;
  const body = <Body extends BodyFacts>(facts: Body, file: FilePath): Body => withHanded(helpers, names, file, facts);
  const component = (facts: ComponentFacts, file: FilePath): ComponentFacts =>
    facts.element ? facts : withRaised(facts, body(facts, file));
  const all = withBodies(files, { component, body });
  return all === files ? files : new Map([...all].map(([file, facts]) => [file, withoutHanded(helpers, facts)]));
}
