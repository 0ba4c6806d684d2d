import type { Reading, ValueFact } from './facts';
import type { Component, Model } from './model';

type Project = Pick<Model, 'named' | 'files' | 'components'>;

/** A component that a tag may be which is a value, and when it is; empty where it always is. */
export type Choice = { readonly component: Component; readonly when: string };

/**
 * The components that one reading of a tag's expression names by itself: a component, the members of a table of the
 * module or of the body, what a state is set to. Empty where it names none, as where a prop is the tag.
 */
export function choicesNamed(project: Project, body: Component, reading: Reading): Choice[] {
  const value = body.facts.values[reading.value];
  if (value?.kind === 'module') return tabled(project, body, reading, 'the choice');
  const held = heldChoices(project, value, body, reading.how === 'same' ? value?.name : undefined);
  if (held.length > 0 || !value || value.kind !== 'derived') return held;
  return value.from.flatMap((one) => tabled(project, body, one, value.name));
}

/** What a name of the module gives that is read in a tag's expression: the component itself, or those of a table, whole or by a member. */
function tabled(project: Project, { facts, file }: Component, reading: Reading, name: string): Choice[] {
  const source = facts.values[reading.value];
  if (source?.kind !== 'module' || source.source === undefined) return [];
  const own = reading.path.length === 0 && reading.how === 'same' ? componentMeant(project, file, source.source) : undefined;
  if (own) return [{ component: own, when: `${name} is ${own.name}` }];
  const meant = project.named(file, source.source);
  if (meant.kind !== 'value') return [];
  const aliases = project.files.get(meant.file)?.aliases ?? [];
  const given = aliases.find((alias) => alias.name === `${meant.name}()`);
  const table = reading.how === 'called' ? given?.target : meant.name;
  const [key = '*'] = reading.how === 'called' ? [] : reading.path;
  return aliases.flatMap((alias): Choice[] => {
    const [of, member] = alias.name.split('.');
    const component =
      of === table && member !== undefined && (key === '*' || key === member) ? componentMeant(project, meant.file, alias.name) : undefined;
    return component ? [{ component, when: key === '*' ? `${name} is ${member}` : '' }] : [];
  });
}

/** The components that a value of the body itself may be, or may be taken from: a table written there, or a state that is set to one after another. */
function heldChoices(project: Project, value: ValueFact | undefined, { facts, file }: Component, called = 'the choice'): Choice[] {
  if (value?.kind !== 'derived' && value?.kind !== 'state') return [];
  const { values, actions } = facts;
  const named = ({ value: at }: Reading): Component | undefined => {
    const source = values[at]?.kind === 'module' ? values[at].source : undefined;
    return source === undefined ? undefined : componentMeant(project, file, source);
  };
  const tables = [value, ...value.from.flatMap((one) => values[one.value] ?? [])];
  const inTables = tables.flatMap(({ from }) =>
    from.flatMap((reading): Choice[] => {
      const component = reading.held?.at.length === 1 ? named(reading) : undefined;
      return component ? [{ component, when: `${called} is ${reading.held?.at[0] ?? ''}` }] : [];
    }),
  );
  if (inTables.length > 0 || value.kind !== 'state') return whereSeveral(inTables);
  const set = actions.flatMap(({ changes }) => changes.flatMap((change) => (values[change.value] === value ? change.from : [])));
  const found = new Set(
    [...value.from, ...set].flatMap((reading) => (reading.how === 'same' && !reading.held ? (named(reading) ?? []) : [])),
  );
  return whereSeveral([...found].map((component) => ({ component, when: `${value.name} is ${component.name}` })));
}

/** The only one there is needs no condition. */
const whereSeveral = (choices: Choice[]): Choice[] => (choices.length === 1 ? choices.map((one) => ({ ...one, when: '' })) : choices);

/** The component that a name of a file stands for; undefined for anything else. */
export function componentMeant(project: Project, file: string, name: string): Component | undefined {
  const meant = project.named(file, name);
  return meant.kind === 'component' ? project.components.get(meant.id) : undefined;
}
