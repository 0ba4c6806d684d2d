import type { ComponentId, UseId } from './ids';
import type { ChangerFact } from './facts';
import type { Model, Use } from './model';
import type { FilePath } from './span';

/** The use of an id: its owner's id is all before the last `/`. Undefined for one of an earlier model. */
export function useById(model: Pick<Model, 'usesBy'>, id: UseId): Use | undefined {
  return model.usesBy.get(id.slice(0, id.lastIndexOf('/')) as ComponentId)?.find((use) => use.id === id);
}

/** How a function of a module changes the inside of a parameter; undefined where it does not. */
export function changerNamed(model: Pick<Model, 'files'>, file: FilePath, name: string, position: number): ChangerFact | undefined {
  return model.files.get(file)?.changers?.find((one) => one.name === name && one.position === position);
}
