import type { ActionFact, ComponentFacts, FileFacts, HearFact, ProvideFact, Reading, SendFact, ValueFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import { provided } from '../../read/markup/contract';
import type { Names } from '../names';
import { eventText, textNamed } from './helpers';

type Files = ReadonlyMap<FilePath, FileFacts>;
type Bodies = Pick<ComponentFacts, 'values' | 'actions'>;

/** What an action hands back through the event that it handles: what it puts into it, or gives to a function that it carries. */
function answersOf({ values, actions }: Bodies, action: number, position = 0, depth = 0): readonly Reading[] | undefined {
  const facts = actions[action];
  const isEvent = (value: number): boolean => {
    const held = values[value];
    return held?.kind === 'param' && held.of === action && held.position === position;
  };
  if (!facts) return undefined;
  // Another function may do it for this one, that is handed the event.
  const others =
    depth > 3
      ? []
      : facts.invokes.flatMap(({ value, path, args }) => {
          const called = path.length === 0 ? values[value]?.action : undefined;
          const at = args.findIndex(({ readings }) => readings.some((one) => isEvent(one.value) && one.path.length === 0));
          return called === undefined || at < 0 ? [] : [{ called, at }];
        });
  const byOther = others.flatMap(({ called, at }) => answersOf({ values, actions }, called, at, depth + 1) ?? []);
  const put = facts.changes.filter((change) => isEvent(change.value) && (change.path ?? []).length > 0);
  const given = facts.invokes.filter(
    ({ value, path }) => isEvent(value) && path.length > 0 && !/^(?:stop|prevent|composedPath|initEvent)/.test(path.at(-1) ?? ''),
  );
  if (put.length === 0 && given.length === 0) return byOther.length > 0 ? byOther : undefined;
  return [...byOther, ...put.flatMap((one) => one.from), ...given.flatMap((one) => one.args.flatMap((arg) => arg.readings))];
}

/** The action that a subscription runs. */
const runOf = ({ values }: Pick<ComponentFacts, 'values'>, { action, reading }: HearFact): number | undefined =>
  action ?? (reading && reading.path.length === 0 ? values[reading.value]?.action : undefined);

/** Events by which something is asked for, and all that are sent at all. */
export type Asked = { readonly asked: ReadonlySet<string>; readonly sent: ReadonlySet<string> };

/** The names of the events by which something is asked for, of all files. */
export function askedNames(files: Files): Asked {
  const asked = new Set<string>();
  const sent = new Set<string>();
  for (const { components } of files.values())
    for (const { actions } of components)
      for (const { sends } of actions)
        for (const send of sends) {
          const event = send.channel.event ?? '';
          sent.add(event);
          if (isAsking(send)) asked.add(event);
        }
  return { asked, sent };
}

const isAsking = ({ asks, bubbles, channel }: SendFact): boolean =>
  asks === true && bubbles && channel.on === 'element' && channel.event !== undefined && !channel.event.includes('{');

/** What a component answers: the events of those that ask from below, each with what it gives back. */
function answeredBy(files: Files, names: Names, file: FilePath, facts: ComponentFacts, { asked, sent }: Asked): ProvideFact[] {
  const found = new Map<string, ProvideFact>();
  const add = (event: string, span: ProvideFact['span'], readings: readonly Reading[]): void => {
    // What nobody sends is answered for nobody.
    if ((asked.has(event) || !sent.has(event)) && !found.has(event)) found.set(event, { key: `key:'${event}'`, span, readings });
  };
  facts.actions.forEach((action) => {
    for (const hear of action.hears) {
      const event = eventText(names, action.span.file ?? file, hear.channel.event);
      const run = runOf(facts, hear);
      const answers = run === undefined ? undefined : answersOf(facts, run);
      if (hear.channel.own && event !== undefined && answers)
        add(event, run === undefined ? hear.span : (facts.actions[run]?.span ?? hear.span), answers);
    }
    for (const { event, span, readings } of answeredFor(files, names, action.span.file ?? file, facts, action)) add(event, span, readings);
  });
  // Who answers no question that is asked answers none at all: it may listen to the platform.
  return [...found.keys()].some((event) => asked.has(event)) ? [...found.values()] : [];
}

/** What a function of a module answers for the component that it is handed: `answer(this, FARE, give)`. */
function answeredFor(
  files: Files,
  names: Names,
  file: FilePath,
  { values }: Bodies,
  action: ActionFact,
): { event: string; span: ProvideFact['span']; readings: readonly Reading[] }[] {
  return action.invokes.flatMap((call) => {
    const source = call.path.length === 0 ? values[call.value]?.source : undefined;
    if (source === undefined || !call.args.some((one) => one.isOwn)) return [];
    const meant = names.meant(file, source);
    const module = meant.kind === 'shared' ? files.get(meant.file)?.module : undefined;
    const held =
      meant.kind === 'shared' ? module?.values.find((one) => one.kind === 'function' && one.name === meant.fact.name) : undefined;
    const called = held?.action;
    if (meant.kind !== 'shared' || !module || called === undefined) return [];
    const paramAt = (value: number | undefined): number | undefined => {
      const param = value === undefined ? undefined : module.values[value];
      return param?.kind === 'param' && param.of === called ? param.position : undefined;
    };
    return (module.actions[called]?.hears ?? []).flatMap((hear) => {
      const element = paramAt(hear.channel.element);
      if (element === undefined || !call.args[element]?.isOwn) return [];
      const run = runOf(module, hear);
      if (run === undefined || answersOf(module, run) === undefined) return [];
      const position = paramAt(hear.channel.held?.value);
      const arg = position === undefined ? undefined : call.args[position];
      const [reading] = arg?.readings ?? [];
      const constant = reading && values[reading.value]?.source;
      const event =
        position === undefined
          ? eventText(names, meant.file, hear.channel.event)
          : (/^['"`](.*)['"`]$/.exec(arg?.constant ?? '')?.[1] ??
            (constant === undefined ? undefined : textNamed(names, file, [constant, ...(reading?.path ?? [])].join('.'))));
      const given = call.args.filter((_, at) => at !== element && at !== position);
      return event === undefined ? [] : [{ event, span: call.span, readings: given.flatMap((one) => one.readings) }];
    });
  });
}

/** What a component asks for, as values that hold what comes back. */
function takenBy({ actions, values }: ComponentFacts): ValueFact[] {
  // A member that holds nothing until somebody answers, and of which another is read wherever it is.
  const isDemanded = ({ answerKept }: SendFact): boolean =>
    answerKept?.some((name) => values.some((one) => one.name === name && one.demanded !== undefined)) ?? false;
  const found = new Map<string, ValueFact>();
  for (const { sends } of actions)
    for (const send of sends) {
      const event = send.channel.event ?? '';
      if (!isAsking(send) || found.has(event) || values.some((one) => one.kind === 'context' && one.source === `key:'${event}'`)) continue;
      found.set(event, {
        name: event,
        kind: 'context',
        span: send.span,
        from: [],
        source: `key:'${event}'`,
        ...(send.needsAnswer || isDemanded(send) ? { needed: true } : { guarded: true }),
        ...(send.composed === false ? { asks: 'root' as const } : {}),
      });
    }
  return [...found.values()];
}

/** The facts of a component with what it asks for and answers by events: an answer stands around its markup as what any provider gives. */
export function withRequests(files: Files, names: Names, file: FilePath, facts: ComponentFacts, asked: Asked): ComponentFacts {
  const gives = answeredBy(files, names, file, facts, asked);
  const takes = takenBy(facts);
  if (gives.length === 0 && takes.length === 0) return facts;
  return {
    ...facts,
    values: [...facts.values, ...takes],
    template: gives.length > 0 ? provided(gives, facts.template) : facts.template,
  };
}
