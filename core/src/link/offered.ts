import type { ExportFact, FileFacts } from '../model/facts';
import { type ComponentId, componentId } from '../model/ids';
import type { FilePath } from '../model/span';
import { usesIn } from '../model/walk';
import type { PackageInfo } from './config';
import type { Names } from './names';
import { entriesOf } from './resolve';

/**
 * The components that others can import from a package: those that the modules which it names in `exports` give, by any
 * name, as members of what they give, by registering them for all templates, or in some other way that is not followed.
 * Undefined where that cannot be told: it names none, some of them are not among the files, a module registers what its
 * text does not tell, or nothing that can be followed is a component.
 */
export function offeredBy(
  info: PackageInfo,
  files: ReadonlyMap<FilePath, FileFacts>,
  paths: ReadonlySet<FilePath>,
  names: Names,
): ReadonlySet<ComponentId> | undefined {
  const entries = entriesOf(paths, info);
  if (!entries) return undefined;
  const found = new Set<ComponentId>();
  const visited = new Set<FilePath>();
  const asked = new Set<string>();
  let isTold = true;
  for (const entry of entries) addAll(entry);
  return isTold && found.size > 0 ? found : undefined;

  function addAll(file: FilePath): void {
    const facts = files.get(file);
    if (!facts || visited.has(file)) return;
    visited.add(file);
    addHandled(facts);
    if (facts.registersOthers) isTold = false;
    for (const { target } of facts.globals ?? []) addLocal(file, target);
    for (const one of facts.exports) addExport(file, one);
    // A file that is a component gives it without a word for it.
    for (const one of facts.components) if (one.form === 'file') found.add(componentId(file, one.name));
  }

  /** Components that a file of which something is given imports, or loads, and does not render itself: it may hand them on in any way. */
  function addHandled(facts: FileFacts): void {
    if (asked.has(facts.file)) return;
    asked.add(facts.file);
    const rendered = new Set(facts.components.flatMap(({ template }) => usesIn(template).map(({ tag }) => tag.split('.')[0])));
    for (const { local } of facts.imports) {
      const meant = rendered.has(local) ? undefined : names.meant(facts.file, local);
      if (meant?.kind === 'component') found.add(componentId(meant.file, meant.facts.name));
      if (meant?.kind === 'namespace') addAll(meant.file);
    }
    for (const way of facts.later ?? []) {
      const resolved = names.resolveModule(facts.file, way);
      if (resolved.kind === 'file') addAll(resolved.file);
    }
  }

  function addExport(file: FilePath, { exported, local, from }: ExportFact): void {
    if (from === undefined) return addLocal(file, local);
    const resolved = names.resolveModule(file, from);
    if (resolved.kind !== 'file') return;
    if (exported === '*' || local === '*') addAll(resolved.file);
    else addNamed(resolved.file, local);
  }

  /** What a file gives under one name. */
  function addNamed(file: FilePath, name: string): void {
    const facts = files.get(file);
    if (!facts || asked.has(`${file}\n${name}`)) return;
    asked.add(`${file}\n${name}`);
    addHandled(facts);
    if (name === 'default') for (const one of facts.components) if (one.form === 'file') found.add(componentId(file, one.name));
    const own = facts.exports.filter(({ exported }) => exported === name);
    for (const one of own) addExport(file, one);
    if (own.length > 0) return;
    for (const { exported, from } of facts.exports) {
      const resolved = exported === '*' && from !== undefined ? names.resolveModule(file, from) : undefined;
      if (resolved?.kind === 'file') addNamed(resolved.file, name);
    }
  }

  /** What a name of a file stands for, with its members. */
  function addLocal(file: FilePath, local: string): void {
    const facts = files.get(file);
    if (!facts || asked.has(`${file} ${local}`)) return;
    asked.add(`${file} ${local}`);
    const meant = names.meant(file, local);
    if (meant.kind === 'component') found.add(componentId(meant.file, meant.facts.name));
    if (meant.kind === 'namespace') addAll(meant.file);
    for (const one of facts.components)
      if (one.local === local || one.local.startsWith(`${local}.`)) found.add(componentId(file, one.name));
    for (const one of facts.aliases) {
      if (one.name !== local && !one.name.startsWith(`${local}.`)) continue;
      const resolved = one.from === undefined ? undefined : names.resolveModule(file, one.from);
      if (one.name !== local) addLocal(file, one.name);
      if (one.from === undefined) addLocal(file, one.target);
      else if (resolved?.kind === 'file') addNamed(resolved.file, one.target);
    }
    const imported = facts.imports.find((one) => one.local === local.split('.')[0]);
    const resolved = imported && names.resolveModule(file, imported.from);
    if (resolved?.kind !== 'file') return;
    if (imported?.imported === '*') addAll(resolved.file);
    else if (imported) addNamed(resolved.file, imported.imported);
  }
}
