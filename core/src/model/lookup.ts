import type { ComponentId, UseId } from './ids';
import type { Model, Use } from './model';

/** The use of an id: its owner's id is all before the last `/`. Undefined for one of an earlier model. */
export function useById(model: Pick<Model, 'usesBy'>, id: UseId): Use | undefined {
  return model.usesBy.get(id.slice(0, id.lastIndexOf('/')) as ComponentId)?.find((use) => use.id === id);
}
