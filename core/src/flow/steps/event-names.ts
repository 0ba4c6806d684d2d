import type { ActionFact, ArgFact, Channel, Reading, ValueFact } from '../../model/facts';
import type { Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import { append } from '../../model/append';
import { ownValue } from '../../model/own-value';

/** What a body's parameter is given by one who calls it: the argument, and the body in which it is written. */
export type Given = { readonly arg: ArgFact; readonly in: Naming };

/** A body in which a name is looked for. */
export type Naming = {
  readonly file: FilePath;
  readonly values: readonly ValueFact[];
  /** The functions of the body, for what they give each other. */
  readonly actions?: readonly ActionFact[];
  /** What all callers of the body give for one of its parameters, by position; undefined where they cannot be seen. */
  readonly given: (position: number) => readonly Given[] | undefined;
};

/** A body that nobody calls, or whose callers cannot be seen. */
export const uncalled = (file: FilePath, values: readonly ValueFact[], actions: readonly ActionFact[] = []): Naming => ({
  file,
  values,
  actions,
  given: () => undefined,
});

const deepest = 5;

/** The texts that a name of a module stands for: of a constant its own, of a list or a table all of them. Undefined where it is none. */
function textsNamed(model: Model, file: FilePath, name: string): readonly string[] | undefined {
  const meant = model.named(file, name);
  if (meant.kind !== 'value') return undefined;
  if (meant.text !== undefined) return [meant.text];
  const [, ...members] = name.split('.');
  const member = members.at(-1);
  if (meant.texts) {
    const said = member === undefined ? undefined : ownValue(meant.texts, member);
    return said === undefined ? Object.values(meant.texts) : [said];
  }
  // A constant that is no text of its own is a name by itself: whoever means it means the same.
  return [`${meant.file}#${meant.name}`];
}

function textsOf(model: Model, reading: Reading, from: Naming, depth: number): readonly string[] | undefined {
  const value = from.values[reading.value];
  if (!value || depth > deepest) return undefined;
  if (value.kind === 'module')
    return value.source === undefined
      ? undefined
      : textsNamed(model, from.file, [value.source, ...reading.path.filter((one) => one !== '*')].join('.'));
  if (value.kind === 'param' && value.of === undefined) {
    const given = from.given(value.position ?? 0);
    return given && allOf(given.map(({ arg, in: there }) => textsOfArg(model, arg, there, depth + 1)));
  }
  if (value.kind === 'param' && value.of !== undefined) {
    const given = (from.actions ?? []).flatMap(({ invokes }) =>
      invokes
        .filter((call) => call.path.length === 0 && from.values[call.value]?.action === value.of)
        .map((call) => call.args[value.position ?? 0]),
    );
    return given.length === 0 ? undefined : allOf(given.map((arg) => arg && textsOfArg(model, arg, from, depth + 1)));
  }
  if (value.kind === 'item' || value.kind === 'derived') {
    const [first, ...more] = value.from;
    return first && more.length === 0 ? textsOf(model, first, from, depth + 1) : undefined;
  }
  return undefined;
}

function textsOfArg(model: Model, arg: ArgFact, from: Naming, depth: number): readonly string[] | undefined {
  const text = /^(['"`])(.*)\1$/.exec(arg.constant ?? '')?.[2];
  if (text !== undefined) return [text];
  const [reading, ...more] = arg.readings;
  return reading && more.length === 0 ? textsOf(model, reading, from, depth) : undefined;
}

function allOf(found: readonly (readonly string[] | undefined)[]): readonly string[] | undefined {
  const all: string[] = [];
  for (const one of found) {
    if (!one) return undefined;
    append(all, one);
  }
  return [...new Set(all)];
}

/**
 * The names that the event of a channel may have: a text, a constant of some module, the items of a list, or what all
 * callers of a hook give it. Undefined where the text does not tell.
 */
export function eventNames(model: Model, channel: Channel, from: Naming): readonly string[] | undefined {
  const { event, held } = channel;
  if (held) return textsOf(model, held, from, 0);
  const constant = event === undefined ? undefined : /^\{(.+)\}$/.exec(event)?.[1];
  if (event === undefined || constant === undefined) return event === undefined ? undefined : [event];
  return textsNamed(model, from.file, constant);
}
