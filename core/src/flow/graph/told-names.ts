import type { ActionFact, BodyFacts, ValueFact } from '../../model/facts';
import type { Model } from '../../model/model';
import { ownValue } from '../../model/own-value';
import type { FilePath } from '../../model/span';

/** What a constant says; a name by itself where it is no text: whoever means it means the same. */
function toldBy(model: Model, file: FilePath, name: string): string {
  const meant = model.named(file, name);
  if (meant.kind !== 'value') return `{${name}}`;
  const [, ...members] = name.split('.');
  const member = members.at(-1);
  const text = meant.text ?? (member === undefined ? undefined : ownValue(meant.texts, member));
  if (text !== undefined) return text;
  const own = meant.name.split('.').at(-1) === member ? members.slice(0, -1) : members;
  // A namespace is no member of what it gives.
  const isOfModule = own.length > 0 && model.named(file, name.split('.')[0] ?? '').kind === 'value';
  return [`${meant.file}#${meant.name}`, ...(isOfModule ? own : [])].join('.');
}

/**
 * Bodies with the names by which stores are told to do something as texts: `commit {ADD}` is `commit add` where a constant
 * says so. Each body is made once; those that name no constant are given as they are.
 */
export function makeToldNames(model: Model): <Body extends BodyFacts>(file: FilePath, body: Body) => Body {
  const known = new WeakMap<BodyFacts, BodyFacts>();
  return (file, body) => {
    if (!body.toldByConstants) return body;
    const found = known.get(body) ?? withNames(model, file, body);
    known.set(body, found);
    return found as typeof body;
  };
}

function withNames(model: Model, file: FilePath, body: BodyFacts): BodyFacts {
  const named = (path: readonly string[]): readonly string[] => {
    const [command, told, ...rest] = path;
    if ((command !== 'commit' && command !== 'dispatch') || !told?.includes('{')) return path;
    return [command, told.replace(/\{([^{}]+)\}/g, (_, name: string) => toldBy(model, file, name)), ...rest];
  };
  const value = (one: ValueFact): ValueFact =>
    one.kind === 'store'
      ? { ...one, from: one.from.map((from) => (from.held ? { ...from, held: { ...from.held, at: named(from.held.at) } } : from)) }
      : one;
  const action = (one: ActionFact): ActionFact => ({
    ...one,
    reads: one.reads.map((read) => ({ ...read, path: named(read.path) })),
    invokes: one.invokes.map((call) => ({ ...call, path: named(call.path) })),
  });
  return { ...body, values: body.values.map(value), actions: body.actions.map(action) };
}
