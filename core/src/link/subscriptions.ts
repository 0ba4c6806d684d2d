import type { ActionFact, BodyFacts, CallFact, FileFacts, HearFact, ValueFact } from '../model/facts';
import type { FilePath } from '../model/span';
import { withBodies } from './bodies';
import type { Names } from './names';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Whether a store of a module has a method of its own by that name, which puts the function that it is handed into a list. */
function keepsListeners(files: Files, file: FilePath, store: string, method: string): boolean {
  const { module } = files.get(file) ?? {};
  const held = module?.values.find(({ name, kind }) => name === store && kind !== 'module');
  const own = held?.from.find((one) => one.held?.at.length === 1 && one.held.at[0] === method);
  const action = own && module?.values[own.value]?.action;
  if (!module || action === undefined) return false;
  return (module.actions[action]?.changes ?? []).some(({ from }) =>
    from.some(({ value, held: at }) => {
      const given = module.values[value];
      return at?.at.includes('*') && given?.kind === 'param' && given.of === action && given.position === 0;
    }),
  );
}

/** A body whose subscriptions to stores of the project are calls of these; the same where it has none. */
function withCalls<Body extends BodyFacts>(files: Files, names: Names, file: FilePath, body: Body): Body {
  const values: ValueFact[] = [...body.values];
  const storeIn = (name: string, span: ValueFact['span']): number => {
    const known = values.findIndex((one) => one.kind === 'module' && one.source === name);
    return known >= 0 ? known : values.push({ name, kind: 'module', source: name, span, from: [] }) - 1;
  };
  let changed = false;
  const actions = body.actions.map((action): ActionFact => {
    const calls: CallFact[] = [];
    const hears = action.hears.map((hear): HearFact => {
      const { channel, by, reading, span } = hear;
      const { name = '' } = channel;
      const meant = by !== undefined && reading && channel.on === 'channel' && channel.event === '' ? names.meant(file, name) : undefined;
      if (!reading || by === undefined || meant?.kind !== 'shared' || !keepsListeners(files, meant.file, meant.fact.name, by)) return hear;
      calls.push({ span, value: storeIn(name, span), path: [by], args: [{ readings: [reading] }] });
      return { ...hear, called: true };
    });
    if (calls.length === 0) return action;
    changed = true;
    return { ...action, hears, invokes: [...action.invokes, ...calls] };
  });
  return changed ? { ...body, values, actions } : body;
}

/**
 * What subscribes to a store that a module of the project makes calls a function of that store, `level.subscribe(show)`, where
 * the store keeps those who want to be told in a list: the way goes on through that list. The facts of all files; the same
 * where nothing does so.
 */
export function joinSubscriptions(files: Files, names: Names): Files {
  const body = <Body extends BodyFacts>(facts: Body, file: FilePath): Body => withCalls(files, names, file, facts);
  return withBodies(files, { component: body, body });
}
