import { nearest } from '../../contract';
import { makeToldNames } from '../../flow';
import { append } from '../../model/append';
import type { BodyFacts, Reading, TemplateNode, ValueFact } from '../../model/facts';
import type { Model } from '../../model/model';
import { type FilePath, locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import type { Found } from '../rule';

/** All that the application's store can be told, as `commit boats/add`; not whole where a part of it cannot be seen. */
type Commands = { readonly names: ReadonlySet<string>; readonly isWhole: boolean };

const isCommand = (at: readonly string[] | undefined): boolean => at?.[0] === 'commit' || at?.[0] === 'dispatch';

const isTold = ({ from, shape }: ValueFact): boolean =>
  shape === 'root' && from.some(({ held, partOfStore }) => held?.at[0] === 'commit' || partOfStore?.kind === 'module');

/** A store or a part of one, with the body of the module that makes it. */
type Store = { readonly file: FilePath; readonly body: BodyFacts; readonly store: ValueFact };

/** Collects what a store and its parts can be told; undefined where the project has no store of this kind. */
function commandsOf(model: Model): Commands | undefined {
  const named = makeToldNames(model);
  const bodies = [...model.files].flatMap(([file, { module }]) => (module ? [{ file, body: named(file, module) }] : []));
  const roots = bodies.flatMap(({ file, body }) => body.values.filter(isTold).map((store): Store => ({ file, body, store })));
  if (roots.length === 0) return undefined;
  // Parts may be added while it runs.
  let isWhole = ![...model.files.values()].some(({ addsStoreParts }) => addsStoreParts);
  const partOf = (file: FilePath, body: BodyFacts, { value: at }: Reading): Store | undefined => {
    const value = body.values[at];
    if (value?.kind === 'store') return { file, body, store: value };
    const meant = value?.source === undefined ? undefined : model.named(file, value.source);
    const there = meant?.kind === 'value' ? bodies.find((one) => one.file === meant.file) : undefined;
    const name = meant?.kind === 'value' ? meant.name : undefined;
    const store = there?.body.values.find(
      (one) => one.kind === 'store' && (one.name === name || (one.isDefault === true && name === 'default')),
    );
    return there && store && { ...there, store };
  };
  /** The names as the store itself has them: those that its own key stands before begin with a stroke. */
  const namesOf = ({ file, body, store }: Store, depth: number): (readonly [command: string, name: string])[] => {
    if (store.isOpen || depth > 8) {
      isWhole = false;
      return [];
    }
    return store.from.flatMap((reading): (readonly [string, string])[] => {
      const { held, partOfStore } = reading;
      const [command = '', name = ''] = held && isCommand(held.at) ? held.at : [];
      if (name !== '') return [[command, name]];
      if (partOfStore?.kind !== 'module') return [];
      const part = partOf(file, body, reading);
      if (!part) isWhole = false;
      const { key, namespaced } = partOfStore;
      return (part ? namesOf(part, depth + 1) : []).map(([does, one]) => {
        const own = one.startsWith('/') ? key + one : one;
        return [does, namespaced ? `/${own}` : own];
      });
    });
  };
  const names = new Set(roots.flatMap((root) => namesOf(root, 0)).map(([command, name]) => `${command} ${name}`));
  return { names, isWhole };
}

/** What components tell the application's store that it has nothing for. */
export function toldInVain(model: Model): Found[] {
  const commands = commandsOf(model);
  if (!commands?.isWhole) return [];
  const named = makeToldNames(model);
  const found: Found[] = [];
  for (const { id, name: component, file, facts, fileRole } of model.components.values()) {
    if (fileRole !== 'source') continue;
    const body = named(file, facts);
    const told = [...body.actions.flatMap(({ invokes }) => invokes), ...listenersOf(facts.template)];
    for (const { value, path, span } of told) {
      const [command = '', event = ''] = path;
      const isCentral = body.values[value]?.gives?.gives === 'root' && isCommand(path) && path.length === 2;
      if (!isCentral || /[{#]/.test(event) || commands.names.has(`${command} ${event}`)) continue;
      const others = [...commands.names].flatMap((one) => (one.startsWith(`${command} `) ? one.slice(command.length + 1) : []));
      const at = locate(file, span);
      found.push({
        rule: 'channel-unpaired',
        component: id,
        subject: event,
        at,
        words: { component, event, does: command === 'commit' ? 'commits' : 'dispatches', near: nearest(event, others) ?? '' },
        evidence: [{ at, text: `The store is told ${event}.` }],
        touches: id,
      });
    }
  }
  return found;
}

/** What markup gives to elements and parts as functions: `@click="add"`. */
function listenersOf(template: readonly TemplateNode[]): Reading[] {
  const found: Reading[] = [];
  walkTemplate(template, (node) => {
    if (node.kind === 'element' || node.kind === 'use') for (const { readings } of node.bindings) append(found, readings);
  });
  return found;
}
