import type { Reading, TemplateNode } from '../../model/facts';
import type { Component } from '../../model/model';
import { locate } from '../../model/span';
import { templateChildren, walkTemplate } from '../../model/walk';
import { ownComponents } from '../shared/all-uses';
import { remembered } from '../../model/remembered';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';
import { append } from '../../model/append';

/** In smaller projects no component is far from the others; below this size none is crowded. */
const projectLeast = 20;
const sizeLeast = 25;

const counts = new Set(['state', 'derived', 'ref', 'store', 'context', 'fetched', 'hook', 'function']);

/** How much a component holds: values, uses and actions. */
const sizeOf = remembered(({ facts }: Component): number => {
  let uses = 0;
  walkTemplate(facts.template, (node) => {
    if (node.kind === 'use') uses++;
  });
  return facts.values.filter((value) => counts.has(value.kind)).length + facts.actions.length + uses;
});

/** The values of which the upper quarter begins, and the middle one. */
function quartiles(sizes: readonly number[]): { readonly median: number; readonly upper: number; readonly spread: number } {
  const sorted = [...sizes].sort((a, b) => a - b);
  const at = (share: number): number => sorted[Math.floor((sorted.length - 1) * share)] ?? 0;
  return { median: at(0.5), upper: at(0.75), spread: at(0.75) - at(0.25) };
}

/** The readings anywhere in some markup. */
function readingsIn(node: TemplateNode): Reading[] {
  const found: Reading[] = [];
  walkTemplate([node], (one) => {
    if (one.kind === 'text' || one.kind === 'branch' || one.kind === 'repeat') append(found, one.readings);
    else if (one.kind === 'outlet') append(found, [...one.slotProps.flat(), ...(one.reading ? [one.reading] : [])]);
    else {
      for (const binding of one.bindings) append(found, binding.readings);
      for (const spread of one.spreads) append(found, spread.readings);
    }
  });
  return found;
}

/** States that have to do with each other: through a value, an action, or one piece of markup. Each group by the names of its states. */
function groupsOf(component: Component): string[][] {
  const { values, actions, template } = component.facts;
  const parent = values.map((_, at) => at);
  const find = (at: number): number => (parent[at] === at || parent[at] === undefined ? at : (parent[at] = find(parent[at])));
  const join = (members: readonly number[]): void => {
    // What comes from outside ties nothing together.
    const own = members.filter((one) => counts.has(values[one]?.kind ?? '') || values[one]?.kind === 'setter');
    for (const one of own.slice(1)) parent[find(one)] = find(own[0] ?? one);
  };
  values.forEach((value, at) => join([at, ...value.from.map((one) => one.value), ...(value.partner === undefined ? [] : [value.partner])]));
  actions.forEach((action, at) => {
    const own = values.flatMap((value, index) => (value.action === at ? [index] : []));
    const called = action.calls.flatMap((call) => values.flatMap((value, index) => (value.action === call ? [index] : [])));
    join([
      ...own,
      ...called,
      ...action.reads.map((one) => one.value),
      ...action.changes.map((one) => one.value),
      ...action.invokes.map((one) => one.value),
    ]);
  });
  // The pieces that the outermost markup is made of.
  let pieces: readonly TemplateNode[] = template;
  while (pieces.length === 1 && pieces[0]) pieces = templateChildren(pieces[0]);
  for (const piece of pieces) join(readingsIn(piece).map((one) => one.value));
  const groups = new Map<number, string[]>();
  values.forEach((value, at) => {
    if (value.kind === 'state') groups.set(find(at), [...(groups.get(find(at)) ?? []), value.name]);
  });
  return [...groups.values()];
}

/** A component holds far more than the rest of the project, in groups that do not touch. */
export const componentCrowded: Rule = {
  inProject: ({ model }) => {
    const own = ownComponents(model).filter((one) => one.facts.form !== 'class');
    if (own.length < projectLeast) return [];
    const { median, upper, spread } = quartiles(own.map((one) => sizeOf(one)));
    // Far out by the fences of Tukey 1977: three times the spread of the middle half beyond it.
    const bar = Math.max(sizeLeast, upper + 3 * spread, 3 * median);
    return own.flatMap((component): Found[] => {
      const size = sizeOf(component);
      if (size < bar) return [];
      const groups = groupsOf(component).filter((group) => group.length > 0);
      if (groups.filter((group) => group.length > 1).length < 2) return [];
      const at = locate(component.file, component.facts.nameSpan);
      const spanOf = (name: string): { start: number; end: number } =>
        component.facts.values.find((value) => value.name === name)?.span ?? component.facts.nameSpan;
      return [
        {
          rule: 'component-crowded',
          component: component.id,
          subject: component.name,
          at,
          words: {
            component: component.name,
            count: String(size),
            usual: String(median),
            groups: String(groups.length),
            names: groups.map((group) => listed(group, 3)).join('; '),
          },
          evidence: [
            { at, text: `${component.name} holds ${size} values, uses and actions.` },
            ...groups.slice(0, 6).map((group) => ({
              at: locate(component.file, spanOf(group[0] ?? '')),
              text: `${listed(group)}: nothing else has to do with ${group.length === 1 ? 'it' : 'them'}.`,
            })),
          ],
          touches: component.id,
        },
      ];
    });
  },
};
