import type { FileFacts } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { directoryOf, joinPath } from '../../model/paths';
import { remembered } from '../../model/remembered';
import { ownComponents } from '../shared/all-uses';
import { olderMeant } from '../names/component-unknown';
import { headOf } from '../shared/head';
import { listed } from '../shared/sentences';
import { baseName } from '../state/stores';
import type { Found, Rule } from '../rule';

/** Files that a framework finds by their names. */
const byName =
  /(?:^|\/)(?:[+_][^/]*|app|App|error|layout|loading|not-found|template|default|root|entry[^/]*|main|index)\.\w+$|(?:^|\/)(?:pages|layouts|routes|app)\//;

/** Files that only declare what another one has. */
const declares = /\.d\.[cm]?ts$/;

/** Components that some page renders, or that code mentions in a way that may render them. */
function reached(model: Model): Set<ComponentId> {
  const found = new Set<ComponentId>();
  const stack: ComponentId[] = [];
  const reach = (id: ComponentId): void => {
    if (found.has(id)) return;
    found.add(id);
    stack.push(id);
  };
  for (const component of model.components.values()) if (component.role !== 'component') reach(component.id);
  for (const page of model.pages) {
    if (page.above === 'known') reach(page.entry);
    for (const step of page.chain) if (step.body) reach(step.body);
  }
  for (let id = stack.pop(); id; id = stack.pop())
    for (const { target, node } of model.usesBy.get(id) ?? []) {
      // One that cannot stand where it is used is told there.
      const meant = target.kind === 'component' ? target.id : target.kind === 'unresolved' ? olderMeant(model, node.tag)?.id : undefined;
      if (meant !== undefined) reach(meant);
    }
  return found;
}

/**
 * Whether a name that a file imports may be more than imported: where the file is one component whose markup knows names by
 * themselves, all that it does with them is seen.
 */
function heldIn({ components, exports, aliases }: FileFacts): (name: string) => boolean {
  const [only, ...more] = components;
  const knowsAll = only?.form === 'file' && more.length === 0 && !only.registersTags && only.openness !== 'open';
  if (!knowsAll) return () => true;
  const held = new Set([
    ...only.values.flatMap(({ source }) => source?.split('.')[0] ?? []),
    ...exports.flatMap(({ local }) => local ?? []),
    ...aliases.map(({ target }) => target.split('.')[0] ?? ''),
  ]);
  return (name) => held.has(name);
}

/** Components that another file imports, or their own mentions as a value. */
function mentioned(model: Model): Set<ComponentId> {
  const found = new Set<ComponentId>();
  const note = (file: string, name: string): void => {
    const meant = model.named(file, name);
    if (meant.kind === 'component') found.add(meant.id);
  };
  for (const facts of model.files.values()) {
    const isHeld = heldIn(facts);
    for (const one of facts.imports) if (!one.typeOnly && isHeld(one.local)) note(facts.file, one.local);
    for (const one of facts.aliases) note(facts.file, one.name);
    for (const one of facts.globals ?? []) note(facts.file, one.target);
    for (const body of [...facts.components, ...facts.shared.filter((one) => one.kind === 'hook'), ...(facts.module ? [facts.module] : [])])
      for (const value of body.values) if (value.kind === 'module' && value.source !== undefined) note(facts.file, value.source);
  }
  return found;
}

/** Tells whether some file of the project imports from a file, or hands on what it exports; of other than relative paths the last names decide. */
function takenFiles(model: Model): (file: string) => boolean {
  const bare = (path: string): string => path.replace(/\.\w+$/, '').replace(/(^|\/)index$/, '');
  const paths = new Set<string>();
  const ends = new Set<string>();
  for (const { file, imports, exports } of model.files.values())
    for (const { from } of [...imports, ...exports]) {
      if (from?.startsWith('.')) paths.add(bare(joinPath(directoryOf(file), from)));
      else if (from !== undefined) ends.add(baseName(from));
    }
  return (file) => paths.has(bare(file)) || ends.has(baseName(bare(file)));
}

/** What a package begins with is there for others, whoever else takes something from it. */
const entry = /^(?:src\/)?index\.\w+$/;

/** Files that are imported or handed on as a whole, or loaded while the code runs: any of their components may be meant. */
function importedWhole(model: Model): (component: Component) => boolean {
  const names = new Set<string>();
  for (const facts of model.files.values()) for (const one of facts.imports) if (one.imported === '*') names.add(baseName(one.from));
  for (const facts of model.files.values()) {
    for (const way of facts.later ?? []) {
      // Of a pattern the folder counts: `./parts/*.vue`.
      const fixed = way.split('*')[0] ?? '';
      names.add(way.includes('*') || way.includes('${') ? (fixed.split('/').at(-2) ?? '') : baseName(way));
    }
  }
  // What such a file hands on of others may be meant as well; a file that nobody imports as a whole hands on names.
  const handing = [...model.files.values()].filter((facts) => facts.exports.some((one) => one.from !== undefined));
  // Nobody in the project takes anything from such a file: it is there for others.
  const isTaken = takenFiles(model);
  for (const { file, exports } of handing)
    if (!isTaken(file) || entry.test(file)) for (const one of exports) if (one.from !== undefined) names.add(baseName(one.from));
  for (let grew = true; grew;) {
    const before = names.size;
    for (const facts of handing)
      if (isAmong(facts.file)) for (const one of facts.exports) if (one.from !== undefined) names.add(baseName(one.from));
    grew = names.size > before;
  }
  return ({ file }) => isAmong(file);

  function isAmong(file: string): boolean {
    return (
      names.has(baseName(file)) ||
      file
        .split('/')
        .slice(0, -1)
        .some((folder) => folder !== '' && names.has(folder))
    );
  }
}

/** Others may find it: it is exported, or a file of its own. */
const isOffered = (model: Model, { facts, file }: Component): boolean =>
  facts.form === 'file' ||
  facts.form === 'element' ||
  (model.files.get(file)?.exports.some((one) => one.from === undefined && one.local === facts.local.split('.')[0]) ?? false);

/** What would go along: components that only this one renders, and that nothing else mentions. */
function onlyBelow(model: Model, start: Component, idle: ReadonlySet<ComponentId>): string[] {
  return [...new Set((model.usesBy.get(start.id) ?? []).flatMap(({ target }) => (target.kind === 'component' ? [target.id] : [])))].flatMap(
    (id) => {
      const users = new Set((model.usesOf.get(id) ?? []).map((use) => use.owner));
      return id !== start.id && idle.has(id) && users.size === 1 ? [model.components.get(id)?.name ?? ''] : [];
    },
  );
}

type Idle = { readonly unreached: ReadonlySet<ComponentId>; readonly idle: readonly Component[] };

/** Components that no page reaches, and of these the ones that nothing else uses, mentions or finds by its name. */
const idleIn = remembered((model: Model): Idle => {
  const none: Idle = { unreached: new Set(), idle: [] };
  if (!model.pages.some((page) => page.above === 'known')) return none;
  const live = reached(model);
  const unreached = ownComponents(model).filter((one) => !live.has(one.id));
  if (unreached.length === 0) return none;
  const known = mentioned(model);
  const isWhole = importedWhole(model);
  const idle = unreached.filter(
    (component) =>
      !known.has(component.id) &&
      !isWhole(component) &&
      isOffered(model, component) &&
      !byName.test(component.file) &&
      !declares.test(component.file) &&
      !(model.usesOf.get(component.id) ?? []).some((use) => use.owner !== component.id),
  );
  // Where so much stands idle, the pages that are known are not what the project is for.
  const isLibrary = idle.length > 10 && idle.length * 3 > ownComponents(model).length;
  return { unreached: new Set(unreached.map(({ id }) => id)), idle: isLibrary ? [] : idle };
});

/** Whether nothing renders a component, as far as can be told. */
export const isIdle = (model: Model, id: ComponentId): boolean => idleIn(model).idle.some((one) => one.id === id);

/** Nothing renders a component, from any page. */
export const componentIdle: Rule = {
  inProject: ({ model }) => {
    const { unreached, idle } = idleIn(model);
    return idle.map((component): Found => {
      const only = onlyBelow(model, component, unreached);
      const at = headOf(component);
      return {
        rule: 'component-idle',
        component: component.id,
        subject: component.name,
        at,
        words: { component: component.name, only: only.length > 0 ? `, and with it ${listed(only)}` : '' },
        evidence: [{ at, text: `No page renders ${component.name}, and nothing else uses it.` }],
        goes: [{ count: 1 + only.length, what: 'component' }],
        touches: component.id,
      };
    });
  },
};
