import { traitsOf } from '../frameworks/registry';
import type { Binding, ComponentFacts, FileFacts, TemplateUse } from '../model/facts';
import { isSlotKey, keyOfMember, memberName, memberOf, propKey } from '../model/member';
import type { FilePath } from '../model/span';
import { mapUses } from '../model/walk';
import type { Names } from './names';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** `foot-note` → `footNote`. */
const joined = (name: string): string => name.replace(/-([a-z\d])/g, (_, letter: string) => letter.toUpperCase());

/**
 * The facts of a project in which pages that a server makes use parts of other frameworks: content that such a page gives
 * by the name of a slot is for the prop of that name, where the part has no slots but props. Facts of all other files are
 * as they were.
 */
export function joinIslands(files: Files, names: Names): Files {
  if (![...files.values()].some((facts) => traitsOf(facts).madeOnce)) return files;
  const found = new Map(files);
  for (const [file, facts] of files) {
    if (!traitsOf(facts).madeOnce) continue;
    const components = facts.components.map((one) => withCrossing(one, file));
    if (components.some((one, index) => one !== facts.components[index])) found.set(file, { ...facts, components });
  }
  return found;

  function withCrossing(component: ComponentFacts, file: FilePath): ComponentFacts {
    const template = mapUses(component.template, (use) => crossed(use, file));
    return template === component.template ? component : { ...component, template };
  }

  function crossed(use: TemplateUse, file: FilePath): TemplateUse {
    if (!use.bindings.some(({ to }) => to.kind === 'slot')) return use;
    const meant = names.meant(file, use.tag);
    const target = meant.kind === 'component' ? files.get(meant.file) : undefined;
    if (meant.kind !== 'component' || !target || traitsOf(target).madeOnce) return use;
    const bindings = use.bindings.map((binding) => ({ ...binding, to: placeFor(binding, meant.facts, traitsOf(target).onlyProps) }));
    return { ...use, bindings };
  }
}

/** Where content for a slot goes in a part: to the slot of that name, else to the prop; parts with props alone have names that script can write. */
function placeFor({ to }: Binding, { members }: ComponentFacts, isJoined: boolean): Binding['to'] {
  const key = to.kind === 'slot' ? keyOfMember(to) : undefined;
  if (key === undefined || !isSlotKey(key) || members.some((one) => one.key === key)) return to;
  const name = memberName(key);
  const prop = propKey(isJoined ? joined(name) : name);
  return isJoined || members.some((one) => one.key === prop) ? memberOf(prop) : to;
}
