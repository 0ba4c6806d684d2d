import type { Reading, ValueFact } from '../../model/facts';
import { traitsOf } from '../../frameworks/registry';
import { bindingFor, memberKeyOf } from '../../model/given';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { ownComponents } from '../shared/all-uses';
import { remembered } from '../../model/remembered';
import type { Check, Found, Rule } from '../rule';
import { literalPattern } from '../../model/literal-pattern';

type Computed = { readonly component: Component; readonly value: ValueFact; readonly source: string };

/** A computation is worth a name of its own when it does something: a call or an operation, not a mere reading. */
function isWorthIt(formula: string): boolean {
  // What the framework has around it is no computation.
  const inner = formula
    .replace(/^(?:computed|toSignal|toObservable|useMemo|\$derived(?:\.by)?)\(\s*(?:\(\)\s*=>\s*)?/, '')
    .replace(/\(\)/g, '');
  return formula.length >= 24 && /[?+*/<>]|\w\(|&&|\|\|/.test(inner);
}

/** A computation with the names of what its own functions are handed taken away: `f => f.days` is `g => g.days`. */
function named(formula: string, sources: ReadonlyMap<string, string>, boxMember: string | undefined): string {
  const names = new Map([...sources].filter(([name]) => !name.includes('.')));
  let count = 0;
  for (const [, single, several] of formula.matchAll(/(?:\b([\w$]+)|\(([\w$,\s]+)\))\s*=>/g))
    for (const name of (single ?? several ?? '').split(','))
      if (name.trim() !== '' && !names.has(name.trim())) names.set(name.trim(), `#${count++}`);
  return unpacked(formula, sources, boxMember)
    .replace(/(?<![.\w$])[A-Za-z_$][\w$]*/g, (word) => names.get(word) ?? word)
    .replace(/\((#\d+)\)(?=\s*=>)/g, '$1')
    .replace(/\s*([^\w\s$#«»'"`])\s*/g, '$1')
    .replace(/,\)/g, ')');
}

/** Sources by their names alone: not as members of what holds them, nor by what a box of them opens with. */
function unpacked(formula: string, sources: ReadonlyMap<string, string>, boxMember: string | undefined): string {
  const members = [...sources].filter(([name]) => name.includes('.')).sort(([a], [b]) => b.length - a.length);
  const whole = members.reduce(
    (text, [name, key]) => text.replace(new RegExp(`(?<![.\\w$])${literalPattern(name)}(?![\\w$])`, 'g'), key),
    formula.replace(/\s*\.\s*(?=[A-Za-z_$])/g, '.').replace(/\bthis\./g, ''),
  );
  return whole.replace(/(?<![.\w$])([A-Za-z_$][\w$]*)\.([A-Za-z_$][\w$]*)/g, (whole, holder: string, name: string) => {
    if (sources.has(holder)) return name === boxMember ? holder : whole;
    return sources.has(name) ? name : whole;
  });
}

/** What a prop is given, where all uses give it the same value of one owner as it is. */
function givenTo(model: Model, component: Component, prop: ValueFact, path: readonly string[]): string | undefined {
  const keys = (model.usesOf.get(component.id) ?? []).map((use) => {
    const readings = bindingFor(use.node, memberKeyOf(prop))?.readings ?? [];
    const [only, ...more] = readings;
    const held = only && model.components.get(use.owner)?.facts.values[only.value];
    const isHeld = held?.kind === 'state' || held?.kind === 'store' || held?.kind === 'hook' || held?.kind === 'derived';
    if (!only || more.length > 0 || !isHeld || (only.how !== 'same' && only.how !== 'part') || only.path.includes('*')) return undefined;
    return `${use.owner} ${held.name} ${[...only.path, ...path].join('.')}`;
  });
  const [first] = keys;
  return keys.every((key) => key === first) ? first : undefined;
}

/** `useTasks((state) => state.tasks)`: the part of what a hook holds that a function takes out of it; undefined for all other arguments. */
function selectedBy({ facts }: Component, { args = [] }: ValueFact): readonly string[] | undefined {
  const [only, ...more] = args;
  const [handed, ...others] = only?.readings ?? [];
  const action = facts.actions[only?.action ?? facts.values[handed?.value ?? -1]?.action ?? -1];
  const [given, ...further] = action?.returns ?? [];
  if (!given || more.length > 0 || others.length > 0 || further.length > 0) return undefined;
  const isPart = (given.how === 'same' || given.how === 'part') && facts.values[given.value]?.kind === 'param';
  return isPart && given.held === undefined ? given.path : undefined;
}

/** What a reading comes from, as one name for the whole project; undefined for what is a component's own. */
function sourceOf(model: Model, component: Component, reading: Reading): { readonly key: string; readonly name: string } | undefined {
  const value = component.facts.values[reading.value];
  if (value?.kind === 'prop') {
    const key = givenTo(model, component, value, reading.path);
    return key === undefined ? undefined : { key, name: value.name };
  }
  // Another name for a part of what is held elsewhere.
  const [only, ...more] = value?.kind === 'derived' && value.formula === undefined ? value.from : [];
  if (only && more.length === 0 && (only.how === 'same' || only.how === 'part') && only.value !== reading.value)
    return sourceOf(model, component, { ...reading, value: only.value, path: [...only.path, ...reading.path] });
  // `useStore(lines)`: what it is given the store of.
  const [given, ...others] = value?.kind === 'hook' && value.gives?.gives === 'store' ? (value.args ?? []) : [];
  const [store, ...rest] = given?.readings ?? [];
  if (store && others.length === 0 && rest.length === 0)
    return sourceOf(model, component, { ...store, path: [...store.path, ...reading.path] });
  if (value?.kind === 'state' && value.shape === undefined)
    return { key: `${component.id} ${value.name} ${reading.path.join('.')}`, name: value.name };
  if (
    value?.source === undefined ||
    (value.kind !== 'store' && value.kind !== 'context' && value.kind !== 'hook' && value.kind !== 'module')
  )
    return undefined;
  const meant = model.named(component.file, value.source.split('.')[0] ?? '');
  const selected = selectedBy(component, value);
  // A hook that is given something else gives something else each time.
  if (!selected && value.args?.some((arg) => arg.readings.length > 0 || arg.action !== undefined)) return undefined;
  const path = [...(selected ?? []), ...reading.path].join('.');
  switch (meant.kind) {
    case 'context':
      return { key: `${meant.id} ${path}`, name: value.source };
    case 'hook':
      return { key: `${meant.file} ${meant.fact.name} ${path}`, name: value.source };
    case 'value':
      // Functions and constants of modules are the same for all; what varies must come from something that is held.
      return { key: `${meant.file} ${meant.name} ${path}`, name: value.kind === 'module' && !isStore(model, meant) ? '' : value.source };
    default:
      return undefined;
  }
}

const isStore = (model: Model, { file, name }: { readonly file: string; readonly name: string }): boolean =>
  model.files.get(file)?.module?.values.some((value) => value.kind === 'store' && value.name === name) ?? false;

/** The values of a component that are computed in a way that is worth a name. */
const worthIn = remembered(({ facts }: Component): readonly ValueFact[] =>
  facts.values.filter(({ kind, formula, from }) => kind === 'derived' && formula !== undefined && isWorthIt(formula) && from.length > 0),
);

function computedIn(model: Model, component: Component): (Computed & { readonly key: string })[] {
  return worthIn(component).flatMap((value) => {
    const inner = value.from.filter(
      (reading) => component.facts.values[reading.value]?.kind !== 'param' && component.facts.values[reading.value]?.kind !== 'item',
    );
    const sources = inner.map((reading) => sourceOf(model, component, reading));
    const held = sources.find((one) => one !== undefined && one.name !== '');
    if (!held || sources.includes(undefined)) return [];
    const keys = sources.map((one) => one?.key ?? '').sort();
    const names = new Map(
      inner.map((one, at) => [[component.facts.values[one.value]?.name ?? '', ...one.path].join('.'), `«${sources[at]?.key ?? ''}»`]),
    );
    return [
      {
        component,
        value,
        source: held.name,
        key: `${component.framework} ${named(value.formula ?? '', names, traitsOf(component).boxMember)} ← ${keys.join(', ')}`,
      },
    ];
  });
}

/** The same computation from the same source in several components. */
export const derivedTwice: Rule = {
  inProject: ({ model }: Check) => {
    const all = new Map<string, Computed[]>();
    for (const component of ownComponents(model))
      for (const one of computedIn(model, component)) {
        const known = all.get(one.key);
        if (known) known.push(one);
        else all.set(one.key, [one]);
      }
    return [...all.values()].flatMap((same): Found[] => {
      const [first] = same;
      const second = same.find((one) => one.component !== first?.component);
      if (!first || !second) return [];
      const at = locate(second.component.file, second.value.span);
      return [
        {
          rule: 'derived-twice',
          component: second.component.id,
          subject: second.value.name,
          at,
          words: { first: first.component.name, second: second.component.name, value: second.value.name, source: second.source },
          evidence: [
            { at, text: `${second.component.name} computes ${second.value.formula ?? ''}.` },
            { at: locate(first.component.file, first.value.span), text: `${first.component.name} does the same.` },
          ],
          goes: [{ count: same.length - 1, what: 'line' }],
          touches: second.component.id,
        },
      ];
    });
  },
};
