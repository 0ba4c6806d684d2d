import type { BodyFacts, ComponentFacts, FileFacts } from '../model/facts';
import type { FilePath } from '../model/span';

type Files = ReadonlyMap<FilePath, FileFacts>;

/** What becomes of the bodies of a file; each gives the same one where nothing does. */
type Change = {
  readonly component: (facts: ComponentFacts, file: FilePath) => ComponentFacts;
  readonly body: <Body extends BodyFacts>(facts: Body, file: FilePath) => Body;
};

/** The facts of all files with their components, hooks and modules changed; the same map where none was. */
export function withBodies(files: Files, { component, body }: Change): Files {
  let changed = false;
  const all = [...files].map(([file, facts]): [FilePath, FileFacts] => {
    const components = facts.components.map((one) => component(one, file));
    const shared = facts.shared.map((one) => (one.kind === 'hook' ? body(one, file) : one));
    const module = facts.module && body(facts.module, file);
    const isSame =
      module === facts.module &&
      components.every((one, at) => one === facts.components[at]) &&
      shared.every((one, at) => one === facts.shared[at]);
    changed ||= !isSame;
    return [file, isSame ? facts : { ...facts, components, shared, ...(module ? { module } : {}) }];
  });
  return changed ? new Map(all) : files;
}
