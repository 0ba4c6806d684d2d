import type { ComponentId } from '../model/ids';
import type { Model } from '../model/model';
import { locate, type Location } from '../model/span';

/** Something of the project that a search found by its name. */
export type NameHit = {
  readonly kind: 'component' | 'prop' | 'event' | 'state' | 'context' | 'hook' | 'file';
  readonly name: string;
  /** Where it belongs: a component's name or a path. */
  readonly where: string;
  readonly component?: ComponentId;
  readonly at: Location;
};

/** 0 for the name itself, 1 for its start, 2 for the start of a word in it, 3 for anywhere; undefined for no match. */
function closeness(name: string, asked: string): number | undefined {
  const lower = name.toLowerCase();
  if (lower === asked) return 0;
  if (lower.startsWith(asked)) return 1;
  const at = lower.indexOf(asked);
  if (at < 0) return undefined;
  return /[A-Z]/.test(name[at] ?? '') || /[^A-Za-z0-9]/.test(name[at - 1] ?? '') ? 2 : 3;
}

function* namesOf(model: Model): Generator<NameHit> {
  for (const component of model.components.values()) {
    if (component.role !== 'component') continue;
    const { id, name, file, facts } = component;
    yield { kind: 'component', name, where: file, component: id, at: locate(file, facts.nameSpan) };
    for (const prop of component.contract.members.values()) {
      yield { kind: prop.kind === 'callback' ? 'event' : 'prop', name: prop.name, where: name, component: id, at: prop.declared };
    }
    for (const value of facts.values)
      if (value.kind === 'state') yield { kind: 'state', name: value.name, where: name, component: id, at: locate(file, value.span) };
  }
  for (const facts of model.files.values()) {
    yield {
      kind: 'file',
      name: facts.file.split('/').at(-1) ?? facts.file,
      where: facts.file,
      at: locate(facts.file, { start: 0, end: 0 }),
    };
    for (const shared of facts.shared) {
      if (shared.kind === 'value') continue;
      yield { kind: shared.kind, name: shared.name, where: facts.file, at: locate(facts.file, shared.span) };
    }
  }
}

const kindOrder: readonly NameHit['kind'][] = ['component', 'state', 'context', 'hook', 'event', 'prop', 'file'];

/** Finds components, props, events, state, contexts, hooks and files by name, the closest first. An empty question finds nothing. */
export function findNames(model: Model, question: string, most = 40): NameHit[] {
  const asked = question.trim().toLowerCase();
  if (asked === '') return [];
  const hits: { hit: NameHit; close: number }[] = [];
  for (const hit of namesOf(model)) {
    const close = closeness(hit.name, asked);
    if (close !== undefined) hits.push({ hit, close });
  }
  return hits
    .sort(
      (a, b) =>
        a.close - b.close ||
        kindOrder.indexOf(a.hit.kind) - kindOrder.indexOf(b.hit.kind) ||
        a.hit.name.localeCompare(b.hit.name) ||
        a.hit.where.localeCompare(b.hit.where),
    )
    .slice(0, most)
    .map(({ hit }) => hit);
}
