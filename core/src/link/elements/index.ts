import type { ComponentFacts, FileFacts } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Names } from '../names';
import { withSends } from './helpers';
import { inherited } from './inherit';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Packages whose classes bring nothing that users of an element could give. */
const platformBases = /^(?:lwc|lit|lit-element|@lit\/.*|lightning\/.*|haunted|@polymer\/.*)$/;
const platformClasses = /^(?:HTML\w*Element|LitElement|ReactiveElement|LightningElement|Element)$/;

type Base = { readonly file: FilePath; readonly facts: ComponentFacts };

/** The class that a name of a module stands for; `outside` for one of a package, undefined for one that cannot be found. */
function baseNamed(files: Files, names: Names, file: FilePath, written: string): Base | 'platform' | undefined {
  const name = written.replace(/\(\)$/, '');
  const meant = names.meant(file, name);
  if (meant.kind === 'component') return { file: meant.file, facts: meant.facts };
  if (meant.kind === 'shared') {
    const facts = files.get(meant.file)?.bases?.find((one) => one.local === meant.fact.name);
    return facts && { file: meant.file, facts };
  }
  if (meant.kind === 'outside') return platformBases.test(meant.module) ? 'platform' : undefined;
  return platformClasses.test(name) ? 'platform' : undefined;
}

/** How deep classes extend each other. */
const deepest = 12;

/**
 * What the components of a project are whose classes extend others, and what they raise by constants, classes of events
 * and functions of other modules: the facts of all files, those that say no more as they are.
 */
export function joinElements(files: Files, names: Names): Files {
  if (![...files.values()].some(({ components }) => components.some((one) => one.element))) return files;
  const known = new Map<ComponentFacts, ComponentFacts>();
  const whole = (file: FilePath, facts: ComponentFacts, depth: number): ComponentFacts => {
    const found = known.get(facts);
    if (found) return found;
    let made = facts;
    for (const name of facts.bases ?? []) {
      const base = depth < deepest ? baseNamed(files, names, file, name) : undefined;
      if (base === 'platform') continue;
      if (base) made = inherited(made, whole(base.file, base.facts, depth + 1), base.file);
      else made = { ...made, openness: 'open' };
    }
    made = withSends(files, names, file, made);
    known.set(facts, made);
    return made;
  };
  return new Map(
    [...files].map(([file, facts]): [FilePath, FileFacts] => {
      if (!facts.components.some((one) => one.element)) return [file, facts];
      return [file, { ...facts, components: facts.components.map((one) => (one.element ? whole(file, one, 0) : one)) }];
    }),
  );
}
