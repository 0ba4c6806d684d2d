import { heardName } from '../tree';
import type { Binding, Reading, TemplateNode, TemplateUse } from '../model/facts';
import { bindingKey, isListener } from '../model/given';
import { useById } from '../model/lookup';
import { memberName, memberOf } from '../model/member';
import type { Component, Model } from '../model/model';
import type { Place, Tree } from '../model/tree';
import { walkTemplate } from '../model/walk';
import { type Lift, liftOf } from './lift';
import { knownAt } from './known';
import type { Stand } from './move';
import { type Spot, writtenWith } from './stand';

/** What the moved part, and what is written between its tags, would be given. */
export type Given = {
  /** Members that would be given nothing: what they are given (`of`) is not known where the part would stand. */
  readonly lost: readonly { readonly component: string; readonly name: string; readonly of: string; readonly lift?: Lift }[];
  /** Members that would be given another value, which has the same name there. */
  readonly another: readonly { readonly component: string; readonly name: string; readonly of: string }[];
  /** Events that nobody would hear any more. */
  readonly unheard: readonly { readonly component: string; readonly event: string }[];
  /** Who would hear what is raised. */
  readonly heardBy: readonly { readonly component: string; readonly event: string; readonly by: string }[];
  /** Members that would be given what they are given now. */
  readonly unchanged: readonly { readonly component: string; readonly name: string }[];
};

type Collected = { [Key in keyof Given]: Given[Key][number][] };

/** What would be given at a spot. `slot`: it would be written by whoever writes the use of the target. */
export function givenAt(model: Model, tree: Tree, { moved: index, target: goal, slot }: Stand, spot: Spot): Given {
  const found: Collected = { lost: [], another: [], unheard: [], heardBy: [], unchanged: [] };
  const moved = tree.places[index];
  const use = moved?.use && useById(model, moved.use);
  const from = use ? model.components.get(use.owner) : undefined;
  const to = model.components.get(spot.owner.component);
  const writer = tree.places[moved?.owner ?? -1];
  if (!moved || !use || !from || !to || !writer) return found;
  const targetUse = tree.places[goal]?.use;
  const at = slot === undefined || !targetUse ? undefined : useById(model, targetUse)?.node.span;
  const ground = { from, to, writer, newWriter: spot.owner, moving: use.node.span, goal: at };
  const { isKnown, isSame } = knownAt(model, tree, ground);
  const lostOf = (reading: Reading): { of: string; lift?: Lift } => {
    const lift = liftOf(model, tree, ground, reading.value);
    return { of: nameRead(from, reading), ...(lift ? { lift } : {}) };
  };
  const readingsOf = (binding: Binding): readonly Reading[] =>
    binding.action === undefined ? binding.readings : [...binding.readings, ...actionReadings(from, binding.action)];
  const tell = (component: string, place: Place, node: TemplateUse): void => {
    for (const binding of node.bindings) {
      const key = bindingKey(binding);
      const isHearing = isListener(binding) || (key !== undefined && isCallback(model, place, memberOf(key).name, key));
      const missing = readingsOf(binding).find((reading) => !isKnown(reading.value));
      const name = key === undefined ? (heardName(binding) ?? binding.written) : memberName(key);
      const other = missing ? undefined : readingsOf(binding).find((reading) => !isSame(reading.value));
      if (isHearing && missing) found.unheard.push({ component, event: name });
      else if (isHearing) found.heardBy.push({ component, event: name, by: to.name });
      else if (missing && key !== undefined) found.lost.push({ component, name, ...lostOf(missing) });
      else if (!other && key !== undefined) found.unchanged.push({ component, name });
      if (other && (isHearing || key !== undefined)) found.another.push({ component, name, of: nameRead(from, other) });
    }
    for (const { readings, keys } of node.spreads) {
      const missing = readings.find((reading) => !isKnown(reading.value));
      if (!missing) continue;
      const names = keys ?? [];
      for (const key of names) found.lost.push({ component, name: memberName(key), ...lostOf(missing) });
      if (names.length === 0) found.lost.push({ component, name: `…${nameRead(from, missing)}`, ...lostOf(missing) });
    }
  };
  const isWritten = writtenWith(model, moved);
  const told = new Set<TemplateUse>();
  for (const place of [moved, ...tree.places]) {
    const own = place.use && place.owner === moved.owner && isWritten(place) ? useById(model, place.use) : undefined;
    if (!own || told.has(own.node)) continue;
    told.add(own.node);
    tell(model.components.get(place.component)?.name ?? '', place, own.node);
  }
  // What stands between the tags, or in markup that is given as a value, beside components: texts, elements, loops and conditions.
  const readingsIn = (node: Exclude<TemplateNode, TemplateUse>): readonly Reading[] => {
    if (node.kind === 'element') return node.bindings.flatMap(readingsOf);
    return node.kind === 'outlet' ? (node.reading ? [node.reading] : []) : node.readings;
  };
  const tellMarkup = (name: string, markup: readonly TemplateNode[]): void =>
    walkTemplate(markup, (node) => {
      if (node.kind === 'use') return;
      // A slot of whoever writes the part now is none of whoever would.
      const isOtherSlot = node.kind === 'outlet' && node.reading === undefined && from !== to;
      const missing = readingsIn(node).find((reading) => !isKnown(reading.value));
      if (!missing && !isOtherSlot) return;
      const what = missing ? lostOf(missing) : { of: `the slot ${node.kind === 'outlet' ? memberName(node.slot) : ''}` };
      found.lost.push({ component: model.components.get(moved.component)?.name ?? '', name, ...what });
    });
  tellMarkup('children', use.node.children);
  for (const { markup, written, to: target } of use.node.bindings) if (markup) tellMarkup(target.name || written, markup);
  return {
    lost: unique(found.lost),
    another: unique(found.another),
    unheard: unique(found.unheard),
    heardBy: unique(found.heardBy),
    unchanged: unique(found.unchanged),
  };
}

/** Several uses of one component may say the same: each is told once. */
const unique = <One>(all: readonly One[]): One[] => [...new Map(all.map((one) => [JSON.stringify(one), one])).values()];

/** What an action of a body needs of that body: what it reads, changes and calls, without its own parameters. */
function actionReadings({ facts }: Component, index: number): Reading[] {
  const action = facts.actions[index];
  if (!action) return [];
  const named = (value: number): Reading => ({ value, path: [], how: 'called', span: action.span });
  return [...action.reads, ...action.changes.map(({ value }) => named(value)), ...action.invokes.map(({ value }) => named(value))].filter(
    ({ value }) => facts.values[value]?.kind !== 'param',
  );
}

/** What a reading is of, by the name that the markup has for it. */
function nameRead({ facts }: Component, { value, path }: Reading): string {
  const name = facts.values[value]?.name ?? '';
  return /^[\w$]+$/.test(name) ? name : (path[0] ?? name);
}

function isCallback(model: Model, place: Place, name: string, key: ReturnType<typeof bindingKey>): boolean {
  const member = key && model.components.get(place.component)?.contract.members.get(key);
  return member?.kind === 'callback' || /^on[A-Z]/.test(name);
}
