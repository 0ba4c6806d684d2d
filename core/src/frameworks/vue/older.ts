import type { Binding, ComponentFacts, FileFacts, TemplateUse } from '../../model/facts';
import type { FilePath } from '../../model/span';
import { mapUses } from '../../model/walk';

type Files = ReadonlyMap<FilePath, FileFacts>;
type Bound = NonNullable<ComponentFacts['boundBy']>;

/** What a two-way binding without a name stands for in the older version, where the component does not say otherwise. */
const customary: Bound = { prop: 'value', event: 'input' };

/** What stands on the first element of a component also where that says that it inherits nothing. */
const putOnRoot = ['class', 'style'];

/**
 * The facts of a project whose package declares version 2: a two-way binding without a name gives `value` and hears
 * `input`, or what the component names for it; classes and styles reach the first element of any component. The same
 * files where none is of that version.
 */
export function inDeclaredVersion(files: Files, majorOf: (file: FilePath, name: string) => number | undefined): Files {
  const own = [...files.values()].filter((one) => one.framework === 'vue');
  if (own.length === 0) return files;
  // Only the older version has an export of its own to begin with: `import Vue from 'vue'`.
  const begins = [...files.values()].some(({ imports }) => imports.some(({ from, imported }) => from === 'vue' && imported === 'default'));
  const older = own.filter(({ file }) => (majorOf(file, 'vue') ?? (begins ? 2 : 3)) === 2);
  if (older.length === 0) return files;
  const named = new Map(
    own.flatMap(({ components }) =>
      components.flatMap(({ boundBy, name, saidName }) => (boundBy ? [name, saidName ?? name].map((one) => [one, boundBy] as const) : [])),
    ),
  );
  const change = (use: TemplateUse): TemplateUse => {
    const by = named.get(use.tag) ?? customary;
    const bindings = use.bindings.map((one) => asTwo(one, by));
    return bindings.every((one, at) => one === use.bindings[at]) ? use : { ...use, bindings };
  };
  const found = new Map(files);
  let changed = false;
  for (const facts of older) {
    const components = facts.components.map((one) => {
      const template = mapUses(one.template, change);
      if (template === one.template && !one.inheritsNothing) return one;
      return { ...one, template, ...(one.inheritsNothing ? { putOnRoot } : {}) };
    });
    if (components.every((one, at) => one === facts.components[at])) continue;
    changed = true;
    found.set(facts.file, { ...facts, components });
  }
  return changed ? found : files;
}

/** The two halves of a binding as what they are there: a prop that is given, and an event that is heard. */
function asTwo(binding: Binding, { prop, event }: Bound): Binding {
  const { to } = binding;
  if (to.kind === 'prop' && to.name === 'modelValue' && binding.direction === 'two-way')
    return { ...binding, to: { kind: 'prop', name: prop }, direction: 'in' };
  if (to.kind === 'model' && to.name === 'modelValue' && binding.direction === 'out')
    return { ...binding, to: { kind: 'event', name: event } };
  return binding;
}
