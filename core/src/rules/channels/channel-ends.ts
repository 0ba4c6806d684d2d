import { carrierOf, eventNames, type Naming, uncalled } from '../../flow';
import type { ActionFact, Channel, ValueFact } from '../../model/facts';
import type { Component, Model } from '../../model/model';
import { type FilePath, locate, type Location } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { append } from '../../model/append';

/** One end of a way beside the props; undefined owner where no component of its file stands for it. */
export type End = {
  readonly channel: Channel;
  /** What carries it: all ends of one carrier can meet. Undefined where the text does not tell. */
  readonly carrier: string | undefined;
  /** The names that its event may have; undefined where the text does not tell. */
  readonly events: readonly string[] | undefined;
  readonly at: Location;
  readonly owner: Component | undefined;
};
export type Sent = End & { readonly bubbles: boolean };
export type Heard = End & { readonly captures: boolean };
type Ends = { readonly sends: readonly Sent[]; readonly hears: readonly Heard[] };

type Body = {
  readonly file: FilePath;
  readonly values: readonly ValueFact[];
  readonly actions: readonly ActionFact[];
  readonly owner: Component | undefined;
  readonly hook?: string;
};

/** A call of a hook: the body that calls it, and the value there that stands for the call. */
type HookCall = { readonly by: Body; readonly value: ValueFact };

const known = new WeakMap<Model, Ends>();

/** All that sends and hears something, in components, hooks and modules. */
export function channelEnds(model: Model): Ends {
  const ends = known.get(model) ?? collect(model);
  known.set(model, ends);
  return ends;
}

function collect(model: Model): Ends {
  const sends: Sent[] = [];
  const hears: Heard[] = [];
  const bodies = bodiesOf(model);
  const calls = hookCalls(model, bodies);
  for (const body of bodies)
    for (const action of body.actions) {
      for (const { channel, span, bubbles } of action.sends)
        for (const end of endsOf(model, body, channel, locate(body.file, span), calls)) sends.push({ ...end, bubbles });
      for (const { channel, span, captures = false } of action.hears)
        for (const end of endsOf(model, body, channel, locate(body.file, span), calls)) hears.push({ ...end, captures });
    }
  for (const owner of model.components.values()) append(hears, heardInMarkup(model, owner));
  return { sends, hears };
}

/** What markup listens to at the window or the document. */
function heardInMarkup(model: Model, owner: Component): Heard[] {
  const found: Heard[] = [];
  walkTemplate(owner.facts.template, (node) => {
    for (const { to, nameSpan, modifiers } of node.kind === 'element' ? node.bindings : []) {
      if (to.kind !== 'listener' || to.on === 'self') continue;
      const channel: Channel = { on: to.on, event: to.name };
      const carrier = carrierOf(model, owner.file, channel);
      found.push({
        channel,
        carrier,
        events: [to.name],
        at: locate(owner.file, nameSpan),
        owner,
        captures: modifiers?.includes('capture') ?? false,
      });
    }
  });
  return found;
}

/** The bodies of a project; hooks and modules belong to the first component of their file. */
function bodiesOf(model: Model): Body[] {
  const inFile = new Map<FilePath, Component[]>();
  for (const component of model.components.values()) {
    const others = inFile.get(component.file);
    if (others) others.push(component);
    else inFile.set(component.file, [component]);
  }
  return [...model.files.values()].flatMap(({ file, shared, module }): Body[] => {
    const owned = inFile.get(file) ?? [];
    const [owner] = owned;
    return [
      ...owned.map((component) => ({ file, values: component.facts.values, actions: component.facts.actions, owner: component })),
      ...shared.flatMap((one) =>
        one.kind === 'hook' ? [{ file, values: one.values, actions: one.actions, owner, hook: `${file}#${one.name}` }] : [],
      ),
      ...(module ? [{ file, values: module.values, actions: module.actions, owner }] : []),
    ];
  });
}

function hookCalls(model: Model, bodies: readonly Body[]): ReadonlyMap<string, readonly HookCall[]> {
  const calls = new Map<string, HookCall[]>();
  for (const by of bodies)
    for (const value of by.values) {
      const meant = value.kind === 'hook' && value.source !== undefined ? model.named(by.file, value.source) : undefined;
      if (meant?.kind !== 'hook') continue;
      const key = `${meant.file}#${meant.fact.name}`;
      calls.set(key, [...(calls.get(key) ?? []), { by, value }]);
    }
  return calls;
}

/** One end, or one for each caller of a hook that is told the name of the event. */
function endsOf(model: Model, body: Body, channel: Channel, at: Location, calls: ReadonlyMap<string, readonly HookCall[]>): End[] {
  const carrier = carrierOf(model, body.file, channel);
  const held = channel.held && body.values[channel.held.value];
  const callers = body.hook !== undefined && held?.kind === 'param' && held.of === undefined ? (calls.get(body.hook) ?? []) : undefined;
  if (!callers)
    return [
      { channel, carrier, events: eventNames(model, channel, uncalled(body.file, body.values, body.actions)), at, owner: body.owner },
    ];
  return callers.map(({ by, value }): End => {
    const naming: Naming = {
      file: body.file,
      values: body.values,
      given: (position) => {
        const arg = value.args?.[position];
        return arg && [{ arg, in: uncalled(by.file, by.values) }];
      },
    };
    return { channel, carrier, events: eventNames(model, channel, naming), at: locate(by.file, value.span), owner: by.owner };
  });
}
