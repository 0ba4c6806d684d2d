import type { Project, TagTarget } from '../frameworks/conventions';
import { adapters } from '../frameworks/registry';
import type { FilePath } from '../model/span';
import type { Meant, Names } from './names';

/** Who is meant by a tag that its file neither declares nor imports; undefined for nobody. */
export type Tags = (file: FilePath, tag: string) => Meant | undefined;

/** Makes the answers from what each framework registers for its own files. */
export function makeTags(project: Project, names: Names): Tags {
  const registered = new Map(adapters.map((adapter) => [adapter.id, adapter.link.registeredTags?.(project)]));
  const meant = (target: TagTarget): Meant => {
    switch (target.kind) {
      case 'name':
        return names.meant(target.file, target.name);
      case 'export':
        return names.exported(target.file, target.name);
      case 'outside':
        return target;
    }
  };
  return (file, tag) => {
    const framework = project.files.get(file)?.framework;
    const target = framework && registered.get(framework)?.(file, tag);
    return target && meant(target);
  };
}
