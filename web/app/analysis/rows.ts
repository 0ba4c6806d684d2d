import { adapterOf, anySlot, conditionOf, defaultSlot, isSlotKey, type MemberKey, memberName } from '@liana/core';
import type { Component, ComponentId, Finding, Model, Place, Severity, Tree } from '@liana/core';
import type { Row } from './answers';

/** `locks` → `lock`; other names stay. */
function oneOf(name: string): string {
  return name.replace(/^one of .*/, 'item');
}

/** A slot by the word of its framework: `children`, `default slot`, `slot foot`. */
function slotWords(slot: MemberKey, owner: Component): string {
  if (slot === defaultSlot) return adapterOf(owner.framework).write.content;
  if (slot === anySlot) return 'slot';
  return isSlotKey(slot) ? `slot ${memberName(slot)}` : memberName(slot);
}

function slotPhrase(place: Place, model: Model, tree: Tree): string {
  const of = place.slot && tree.places[place.slot.of];
  const owner = of && model.components.get(of.component);
  return place.slot && owner ? `in ${owner.name}’s ${slotWords(place.slot.key, owner)}` : '';
}

/** How much a folded place stands for: what is below its like, which is unfolded above. */
function asAbove(place: Place, tree: Tree): string {
  const like = tree.places[place.sameAs ?? -1];
  let count = 0;
  if (like) while ((tree.places[like.index + 1 + count]?.depth ?? -1) > like.depth) count++;
  return `as above, ${count === 1 ? '1 place' : `${count.toLocaleString('en')} places`}`;
}

/** A part of another framework on a page of a server: what it is written in, and how it is started in the browser. */
function islandWords(mark: string, component: Component | undefined): string {
  const name = component ? adapterOf(component.framework).name : '';
  return mark === '' ? `${name}, not started in the browser` : `${name}, ${mark}`;
}

/** How a place is repeated, under which condition and in whose slot, as the row says it. */
export function guardOf(place: Place, model: Model, tree: Tree): string {
  const repeats = place.repeats.map((repeat) => (repeat.item ? `each ${oneOf(repeat.item)}` : `each of ${repeat.over}`));
  const branches = place.branches.slice(-2).map((branch) => `if ${conditionOf(branch)}`);
  const cut = place.cut === 'recursion' ? ['stands within itself'] : place.cut === 'folded' ? [asAbove(place, tree)] : [];
  const host = place.onHost ? [`on <${place.onHost}>`] : [];
  const island = place.island === undefined ? [] : [islandWords(place.island, model.components.get(place.component))];
  return [...island, ...host, slotPhrase(place, model, tree), ...repeats, ...branches, ...cut].filter(Boolean).join(' · ');
}

function roleOf(component: Component | undefined, place: Place): Row['role'] {
  if (place.parent < 0) return 'page';
  return component?.facts.slots.some((slot) => slot.key === defaultSlot) && place.depth <= 2 ? 'layout' : 'component';
}

const order: readonly Severity[] = ['fault', 'risk', 'tidy'];

function worstByComponent(findings: readonly Finding[]): Map<ComponentId, Severity> {
  const worst = new Map<ComponentId, Severity>();
  for (const finding of findings) {
    const known = worst.get(finding.touches.component);
    if (!known || order.indexOf(finding.severity) < order.indexOf(known)) worst.set(finding.touches.component, finding.severity);
  }
  return worst;
}

/** The rows of an unfolded page. */
export function rowsOf(model: Model, tree: Tree, findings: readonly Finding[]): Row[] {
  const worst = worstByComponent(findings);
  const counts = new Map<string, number>();
  return tree.places.map((place): Row => {
    const component = model.components.get(place.component);
    const name = component?.name ?? '';
    const among = `${place.parent} ${name}`;
    const count = (counts.get(among) ?? 0) + 1;
    counts.set(among, count);
    const severity = worst.get(place.component);
    return {
      place: place.index,
      parent: place.parent,
      depth: place.depth,
      name,
      file: component?.file ?? '',
      role: roleOf(component, place),
      guard: guardOf(place, model, tree),
      step: count === 1 ? name : `${name}~${count}`,
      ...(severity ? { worst: severity } : {}),
      ...(place.cut ? { cut: place.cut } : {}),
      ...(place.sameAs === undefined ? {} : { sameAs: place.sameAs }),
    };
  });
}
